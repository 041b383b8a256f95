package tidylantern.server.ownpage;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.select.Selector.SelectorParseException;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.Colour;
import tidylantern.core.design.look.LookType;
import tidylantern.core.design.look.SeenStyle;

/**
 * A page with the rules of its style sheets: what its parts look like at rest, by the cascade as far as a proposal
 * needs it (importance, specificity, order, inheritance, custom properties).
 */
final class StyledPage {
    /** One declaration under one selector. */
    record Rule(String selector, String property, String value, boolean important) {
        /**
         * By CSS Selectors Level 4, 'calculating a selector's specificity': ids, then classes and the like, then types.
         */
        int specificity() {
            String plain = selector.replaceAll("::[\\w-]+", " e").replaceAll(":(where)\\([^)]*\\)", "");
            return 10_000 * count(IDS, plain) + 100 * count(CLASSES, plain) + count(TYPES, plain);
        }

        private static int count(Pattern pattern, String in) {
            return (int) pattern.matcher(in).results().count();
        }
    }

    private static final Pattern IDS = Pattern.compile("#[\\w-]+");
    private static final Pattern CLASSES = Pattern.compile("\\.[\\w-]+|\\[[^\\]]*]|:(?!not|is)[\\w-]+");
    private static final Pattern TYPES = Pattern.compile("(?<![\\w.#:\\[-])[a-zA-Z][\\w-]*");
    /** What holds only while somebody does something, or stands beside the element itself. */
    private static final Pattern NOT_AT_REST = Pattern.compile(
            ":(hover|focus|active|visited|disabled|checked|before|after|first-l|selection|placeholder|target)|::");

    private static final Pattern VARIABLE = Pattern.compile("var\\(\\s*(--[\\w-]+)\\s*(?:,\\s*([^()]*))?\\)");
    private static final Pattern SHORTHAND =
            Pattern.compile("(?i)(?:^|\\s)(\\d[\\d.]*(?:px|rem|em|%))(?:\\s*/\\s*[\\w.%]+)?\\s+(.+)$");
    private static final Pattern WEIGHT = Pattern.compile("(?<![\\d.])([1-9]00)(?![\\d.])|\\b(bold)\\b");
    private static final Pattern LENGTH = Pattern.compile("^([\\d.]+)(px|rem|em)");
    private static final Pattern COLOUR =
            Pattern.compile("(?i)#[0-9a-f]{3,8}\\b|(?:rgb|hsl)a?\\([^)]*\\)|(?<![\\w-])[a-z]{3,20}(?![\\w(-])");
    private static final double USUAL_PX = 16;
    private static final int VARIABLES_DEEP = 8;
    private static final List<String> INHERITED = List.of("color", "font-family", "font-size", "font-weight");

    private final Document page;
    private final List<Rule> rules;
    private final Map<Element, Map<String, String>> own = new LinkedHashMap<>();

    StyledPage(Document page, List<Rule> rules) {
        this.page = page;
        this.rules = rules.stream()
                .filter(rule -> !NOT_AT_REST.matcher(rule.selector()).find())
                .toList();
    }

    SeenStyle seen() {
        Element body = page.body();
        Element link = first("main a[href]", "article a[href]", "a[href]");
        Element button = first("button", "input[type=submit]", "a[class*=button]", "a[class*=btn]");
        Element card = first("article", "[class*=card]");
        Element heading = first("h2", "h1", "h3");
        Colour behindButton = button == null ? null : colour(button, "background-color", "background");
        String font = family(body);
        String titleFont = heading == null ? null : family(heading);
        return new SeenStyle(
                Objects.requireNonNullElse(colour(body, "background-color", "background"), new Colour(255, 255, 255)),
                card == null ? null : colour(card, "background-color", "background"),
                colour(body, "color"),
                behindButton != null && isStrong(behindButton)
                        ? behindButton
                        : link == null ? null : colour(link, "color"),
                font,
                Objects.equals(font, titleFont) ? null : titleFont,
                length(body, "font-size"),
                heading == null ? null : weight(heading),
                Stream.of(button, card)
                        .filter(Objects::nonNull)
                        .map(one -> length(one, "border-radius"))
                        .filter(Objects::nonNull)
                        .findFirst()
                        .orElse(null));
    }

    /** Grey buttons are no accent. */
    private static boolean isStrong(Colour colour) {
        int most = Math.max(colour.red(), Math.max(colour.green(), colour.blue()));
        int least = Math.min(colour.red(), Math.min(colour.green(), colour.blue()));
        return most - least > 40;
    }

    private @Nullable Element first(String... selectors) {
        return Stream.of(selectors)
                .map(page.body()::selectFirst)
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(null);
    }

    private @Nullable Colour colour(Element element, String... properties) {
        for (String property : properties) {
            String written = value(element, property);
            Matcher found = COLOUR.matcher(written == null ? "" : written);
            while (found.find()) {
                Colour read = CssColours.read(found.group());
                if (read != null) {
                    return read;
                }
            }
        }
        return null;
    }

    private @Nullable String family(Element element) {
        String written = value(element, "font-family");
        if (written == null) {
            Matcher shorthand = SHORTHAND.matcher(Objects.requireNonNullElse(value(element, "font"), ""));
            written = shorthand.find() ? shorthand.group(2) : null;
        }
        return written == null || !LookType.isFamilies(written) || written.equals(LookType.OF_PAGE)
                ? null
                : written.replace('"', '\'');
    }

    private @Nullable Integer length(Element element, String property) {
        String written = value(element, property);
        if (written == null && property.equals("font-size")) {
            Matcher shorthand = SHORTHAND.matcher(Objects.requireNonNullElse(value(element, "font"), ""));
            written = shorthand.find() ? shorthand.group(1) : null;
        }
        Matcher length = LENGTH.matcher(written == null ? "" : written);
        if (!length.find()) {
            return null;
        }
        double number = Double.parseDouble(length.group(1));
        return (int) Math.round(length.group(2).equals("px") ? number : number * USUAL_PX);
    }

    private @Nullable Integer weight(Element element) {
        String written = value(element, "font-weight");
        if (written == null) {
            written = value(element, "font");
        }
        Matcher weight = WEIGHT.matcher(written == null ? "" : written);
        return !weight.find() ? null : weight.group(1) == null ? 700 : Integer.valueOf(weight.group(1));
    }

    /** As it holds for an element, with custom properties put in; null where nothing says it. */
    private @Nullable String value(Element element, String property) {
        for (Element at = element; at != null; at = at.parent()) {
            String written = declared(at).get(property);
            if (written != null && !written.equals("inherit")) {
                return resolved(at, written);
            }
            if (!INHERITED.contains(property) && !property.equals("font")) {
                return null;
            }
        }
        return null;
    }

    private String resolved(Element element, String written) {
        String value = written;
        for (int depth = 0; depth < VARIABLES_DEEP && value.contains("var("); depth++) {
            value = VARIABLE.matcher(value).replaceAll(found -> {
                String set = variable(element, found.group(1));
                return Matcher.quoteReplacement(set != null ? set : Objects.requireNonNullElse(found.group(2), ""));
            });
        }
        return value.strip();
    }

    private @Nullable String variable(Element element, String name) {
        for (Element at = element; at != null; at = at.parent()) {
            String set = declared(at).get(name);
            if (set != null) {
                return set;
            }
        }
        return null;
    }

    /** What the rules say of an element itself, the strongest of each property. */
    private Map<String, String> declared(Element element) {
        return own.computeIfAbsent(element, one -> {
            // A selector stands with each of its declarations.
            Map<String, Boolean> known = new HashMap<>();
            List<Rule> matching = new ArrayList<>(rules.stream()
                    .filter(rule -> known.computeIfAbsent(rule.selector(), selector -> matches(one, selector)))
                    .toList());
            // Sorting keeps the order of equals: the later one holds.
            matching.sort(Comparator.comparing(Rule::important).thenComparingInt(Rule::specificity));
            Map<String, String> declared = new LinkedHashMap<>();
            matching.forEach(rule -> declared.put(rule.property(), rule.value()));
            return declared;
        });
    }

    private static boolean matches(Element element, String selector) {
        String plain = selector.toLowerCase(Locale.ROOT).equals(":root") ? "html" : selector;
        try {
            return element.is(plain);
        } catch (SelectorParseException | IllegalArgumentException unknown) {
            // What is not understood is passed over, as a browser does.
            return false;
        }
    }
}
