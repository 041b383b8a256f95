package tidylantern.server.source.reading;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;

/**
 * Tells a page's main text from its menus, headers and footers. What a page says itself wins ({@code main},
 * {@code article}, landmark roles); otherwise the element whose own paragraphs hold most text that is not links. That
 * long runs of text with few links are main text is common practice (Kohlschütter, Fankhauser, Nejdl, "Boilerplate
 * detection using shallow text features", WSDM 2010, find link density and words a block the two best features).
 */
public final class MainText {
    private static final Pattern APART = Pattern.compile(
            "(?i)(^|[-_ ])(nav|navbar|navigation|docnav|menu|footer|header|masthead|(bread)?crumbs?|pager|pagination|toc|cookie|consent|banner|share|social|related|comments?|skip|promo|advert|newsletter)([-_ ]|$)");
    /** Beside the main text a column of its own, within it a box of the text. */
    private static final Pattern BESIDE = Pattern.compile("(?i)(^|[-_ ])sidebar([-_ ]|$)");

    private static final Set<String> APART_TAGS =
            Set.of("nav", "header", "footer", "aside", "form", "dialog", "button", "menu");
    private static final Set<String> APART_ROLES = Set.of(
            "navigation", "banner", "contentinfo", "complementary", "search", "menu", "menubar", "dialog", "alert");
    private static final List<String> SAID = List.of("main", "[role=main]", "[itemprop=articleBody]");
    private static final double MOST_LINKED = .5;
    /** Fewer letters beside links are no text. */
    private static final int LITTLE = 60;

    private MainText() {}

    /** Takes away links that are but a sign beside a heading or a name and lead to it: {@code ¶}, {@code #}. */
    static void withoutSignsOfLinks(Document page) {
        page.select("a[href*=#]").stream()
                .filter(link -> link.hasText()
                        && link.text().codePoints().noneMatch(Character::isLetterOrDigit)
                        && link.selectFirst("img, svg") == null)
                .forEach(Element::remove);
    }

    /** The element that holds the main text: the owner's choice, what the page says, or the best guess. */
    public static Element find(Document page, @Nullable String chosen) {
        if (chosen != null) {
            Element first = page.selectFirst(chosen);
            if (first != null) {
                return first;
            }
        }
        for (String said : SAID) {
            Element one = page.selectFirst(said);
            if (one != null && one.text().length() > 20) {
                return one;
            }
        }
        List<Element> articles = page.select("article");
        if (articles.size() == 1 && articles.getFirst().text().length() > 20) {
            return articles.getFirst();
        }
        return guessed(page);
    }

    /** Each paragraph gives its words, less those of links, to its parent, and half of them to the parent's parent. */
    private static Element guessed(Document page) {
        Map<Element, Double> scores = new HashMap<>();
        Set<Element> left = apart(page.body(), Set.of());
        for (Element block : page.body().select("p, li, dd, td, pre, blockquote, h1, h2, h3")) {
            if (inside(block, left)) {
                continue;
            }
            int words = block.text().length();
            int linked = block.select("a").stream()
                    .mapToInt(link -> link.text().length())
                    .sum();
            double worth = words - 2.0 * linked;
            Element parent = block.parent();
            for (int level = 1;
                    level <= 4 && parent != null && !parent.normalName().equals("html");
                    level++) {
                scores.merge(parent, worth / level, Double::sum);
                parent = parent.parent();
            }
        }
        Element best = scores.entrySet().stream()
                .max(Map.Entry.<Element, Double>comparingByValue().thenComparing(entry -> -depth(entry.getKey())))
                .map(Map.Entry::getKey)
                .orElse(page.body());
        double worth = scores.getOrDefault(best, 0.0);
        // Where one section of a long text wins narrowly, its neighbours are text too.
        for (Element parent = best.parent();
                parent != null && !parent.normalName().equals("html");
                parent = parent.parent()) {
            double all = 0;
            for (Element child : parent.children()) {
                all += inside(child, left)
                        ? 0
                        : child.text().length()
                                - 2.0
                                        * child.select("a").stream()
                                                .mapToInt(link -> link.text().length())
                                                .sum();
            }
            if (all > worth * 1.1) {
                best = parent;
            }
        }
        return best;
    }

    private static int depth(Element element) {
        return element.parents().size();
    }

    /**
     * The parts of an element that belong to no main text: what the owner leaves out, and menus, headers, footers and
     * the like by tag, role, by their name where they say little, or because they are little else than links.
     */
    public static Set<Element> apart(Element root, Set<String> leaveOut) {
        Set<Element> apart = new HashSet<>();
        leaveOut.forEach(selector -> apart.addAll(root.select(selector)));
        for (Element element : root.getAllElements()) {
            if (element == root || element.normalName().equals("body")) {
                continue;
            }
            boolean named = APART_TAGS.contains(element.normalName())
                    && !(element.normalName().equals("header")
                            && element.selectFirst("h1") != null
                            && element.parents().stream()
                                    .anyMatch(p -> p.normalName().equals("article")
                                            || p.normalName().equals("main")));
            boolean role = APART_ROLES.contains(element.attr("role"));
            boolean name = (says(APART, element) || (says(BESIDE, element) && !amongParagraphs(element)))
                    && (!element.normalName().matches("h[1-6]|p|html|main|article") || allLinks(element))
                    && saysLittle(element);
            if (named || role || name || linkList(element)) {
                apart.add(element);
            }
        }
        return apart;
    }

    /** A name alone says nothing ({@code SQL-COMMENT}, {@code file-menu}): what holds a text of its own is text. */
    private static boolean saysLittle(Element element) {
        int all = element.text().length();
        int linked = element.select("a[href], button, select, option").stream()
                .mapToInt(link -> link.text().length())
                .sum();
        return all - linked < LITTLE || linked > all * MOST_LINKED;
    }

    private static boolean says(Pattern pattern, Element element) {
        return pattern.matcher(element.className()).find()
                || pattern.matcher(element.id()).find();
    }

    /** A column stands beside one container, a box of the text beside paragraphs. */
    private static boolean amongParagraphs(Element element) {
        return element.siblingElements().stream()
                .anyMatch(sibling -> sibling.text().length() > 80
                        && sibling.selectFirst("> p, > div, > ul, > ol, > table, > section, > h1, > h2, > h3") == null
                        && sibling.select("a[href]").stream()
                                        .mapToInt(link -> link.text().length())
                                        .sum()
                                < sibling.text().length() * MOST_LINKED);
    }

    private static boolean allLinks(Element element) {
        return element.normalName().equals("p")
                && !element.select("a[href]").isEmpty()
                && element.text().length()
                        <= element.select("a[href]").stream()
                                .mapToInt(link -> link.text().length() + 3)
                                .sum();
    }

    private static boolean linkList(Element element) {
        if (!element.normalName().matches("ul|ol|dl|div|table|section") || element.childrenSize() < 2) {
            return false;
        }
        int all = element.text().length();
        List<Element> links = element.select("a[href]");
        int linked = links.stream().mapToInt(link -> link.text().length()).sum();
        return links.size() >= 3
                && all > 0
                && linked > all * (1 - (1 - MOST_LINKED) * .6)
                && element.select("p").stream()
                        .noneMatch(p -> p.text().length() > 80 && p.select("a").isEmpty());
    }

    public static boolean inside(Element element, Set<Element> parts) {
        for (Element at = element; at != null; at = at.parent()) {
            if (parts.contains(at)) {
                return true;
            }
        }
        return false;
    }
}
