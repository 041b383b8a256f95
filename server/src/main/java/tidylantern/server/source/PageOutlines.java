package tidylantern.server.source;

import java.net.URI;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;
import tidylantern.server.source.reading.MainText;
import tidylantern.server.source.reading.PageReader;
import tidylantern.server.source.reading.Robots;
import tidylantern.server.source.reading.SiteAddresses;
import tidylantern.server.source.reading.SourceProblem;
import tidylantern.server.source.reading.SourceSettings;
import tidylantern.server.source.reading.WebFetcher;

/**
 * Shows a page as a list of its parts, as text, so that an owner can point at some of them without anything of the page
 * being run or shown as HTML.
 */
@Component
class PageOutlines {
    private static final WebFetcher.Limits LIMITS = new WebFetcher.Limits(5_000_000, Duration.ofSeconds(30), true);
    private static final int MOST_BLOCKS = 400;
    private static final int MOST_CONTAINERS = 15;
    private static final int LONGEST_TEXT = 220;
    private static final int FEWEST_WORDS_OF_CONTAINER = 15;
    private static final String BLOCKS =
            "h1, h2, h3, h4, h5, h6, p, li, dt, dd, td, th, blockquote, pre, figcaption, img, time, span, strong, em, small, a, div, address, label";

    private final WebFetcher fetcher;
    private final SourceSecrets secrets;

    PageOutlines(WebFetcher fetcher, SourceSecrets secrets) {
        this.fetcher = fetcher;
        this.secrets = secrets;
    }

    /**
     * One part of a page.
     *
     * @param selector selects it, and parts like it on other pages
     * @param alike how many parts of this page it selects
     * @param main whether it is taken as main text
     * @param picture whether it is an image; the text is its alternative text then
     */
    record Block(String selector, int alike, String tag, String text, boolean main, boolean picture) {}

    /** An element that could hold the main text. */
    record Container(String selector, int words, boolean chosen) {}

    /** @param mainText as it would be taken, cut at some length */
    record Outline(
            String address, @Nullable String title, List<Container> containers, List<Block> blocks, String mainText) {}

    /** @throws Refusal with the reason, if the page cannot be read */
    Outline of(SiteKey site, SourceSettings.Crawl settings, String address) {
        URI at = SiteAddresses.tidy(address);
        if (at == null || !SiteAddresses.sameSite(URI.create(settings.address()), at)) {
            throw Refusal.bad("address", "\"%s\" is no page of the site that is read.".formatted(address));
        }
        try {
            URI start = URI.create(
                    String.valueOf(secrets.reveal(site, settings).settings().address()));
            if (!Robots.of(SiteAddresses.signedIn(start, at), fetcher).allows(at)) {
                throw Refusal.bad("address", "The site's robots.txt does not allow this page to be read.");
            }
            WebFetcher.Fetched answer =
                    fetcher.fetch(SiteAddresses.signedIn(start, at), WebFetcher.Known.NOTHING, LIMITS);
            if (!answer.ok()) {
                throw Refusal.bad("address", "%s answers with status %d.".formatted(at, answer.status()));
            }
            return outline(settings, PageReader.parse(answer), at);
        } catch (SourceProblem problem) {
            throw Refusal.bad("address", String.valueOf(problem.getMessage()));
        }
    }

    private static Outline outline(SourceSettings.Crawl settings, Document page, URI address) {
        Element main = MainText.find(page, settings.mainText());
        Set<Element> apart = MainText.apart(main, new HashSet<>(settings.leaveOut()));
        List<Block> blocks = new ArrayList<>();
        Map<String, Integer> seen = new LinkedHashMap<>();
        for (Element element : page.body().select(BLOCKS)) {
            boolean picture = element.normalName().equals("img");
            String text = picture
                    ? element.attr("alt")
                    : element.normalName().matches("h[1-6]|p|li|dt|dd|td|th|blockquote|pre|figcaption|address")
                            ? element.text()
                            : element.ownText();
            if ((text.isBlank() && !picture) || blocks.size() >= MOST_BLOCKS || insideInline(element)) {
                continue;
            }
            String selector = selector(page, element);
            int alike = page.select(selector).size();
            // Of many alike the first few show what they are.
            if (seen.merge(selector, 1, Integer::sum) <= 3) {
                boolean inMain = MainText.inside(element, Set.of(main)) && !MainText.inside(element, apart);
                blocks.add(new Block(
                        selector,
                        alike,
                        element.normalName(),
                        text.length() <= LONGEST_TEXT ? text : text.substring(0, LONGEST_TEXT) + "…",
                        inMain,
                        picture));
            }
        }
        Map<String, @Nullable Object> columns =
                new PageReader(settings, new tools.jackson.databind.json.JsonMapper()).columns(page, address);
        String text = Objects.toString(columns.get("text"), "");
        return new Outline(
                address.toString(),
                Objects.toString(columns.get("title"), null),
                containers(page, main),
                blocks,
                text.substring(0, Math.min(text.length(), 4_000)));
    }

    /** Words within a paragraph are no part of their own, unless they carry a class: a price, say. */
    private static boolean insideInline(Element element) {
        return element.normalName().matches("span|strong|em|small|a|label")
                && element.className().isEmpty()
                && element.id().isEmpty()
                && element.attr("itemprop").isEmpty();
    }

    private static List<Container> containers(Document page, Element main) {
        List<Container> containers = new ArrayList<>();
        containers.add(new Container(selector(page, main), words(main), true));
        for (Element element : page.select("main, article, section, div, td, body")) {
            boolean named = !element.id().isEmpty()
                    || !element.className().isEmpty()
                    || element.normalName().matches("main|article|body");
            if (element != main
                    && named
                    && words(element) >= FEWEST_WORDS_OF_CONTAINER
                    && containers.size() < MOST_CONTAINERS) {
                Container container = new Container(selector(page, element), words(element), false);
                if (containers.stream().noneMatch(one -> one.selector().equals(container.selector()))) {
                    containers.add(container);
                }
            }
        }
        return containers;
    }

    private static int words(Element element) {
        String text = element.text();
        return text.isBlank() ? 0 : text.split("\\s+").length;
    }

    /** By id or class where it has some, within the nearest parents that have, so that it holds on other pages too. */
    static String selector(Document page, Element element) {
        StringBuilder selector = new StringBuilder(own(element));
        Element parent = element.parent();
        for (int level = 0; level < 4 && parent != null && !parent.normalName().matches("html|body|#root"); level++) {
            if (selector.toString().contains("#")
                    || (selector.indexOf(".") >= 0
                            && page.select(selector.toString()).size() <= 1)) {
                break;
            }
            if (!parent.id().isEmpty()
                    || !parent.className().isEmpty()
                    || parent.normalName().matches("main|article|header|footer|nav|aside")) {
                selector.insert(0, own(parent) + " ");
            }
            parent = parent.parent();
        }
        return selector.toString();
    }

    private static String own(Element element) {
        String item = element.attr("itemprop");
        if (element.id().matches("[A-Za-z][A-Za-z_-]{0,40}")) {
            return element.normalName() + "#" + element.id();
        }
        if (item.matches("[A-Za-z]{1,40}")) {
            return element.normalName() + "[itemprop=" + item + "]";
        }
        StringBuilder own = new StringBuilder(element.normalName());
        element.classNames().stream()
                .filter(name -> name.matches("[A-Za-z][A-Za-z_-]{0,40}"))
                .limit(2)
                .forEach(name -> own.append('.').append(name));
        return own.toString();
    }
}
