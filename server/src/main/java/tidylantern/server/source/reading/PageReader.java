package tidylantern.server.source.reading;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URI;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;

/**
 * Makes columns of a web page: what it is called, what it says, what it shows, and the parts that its owner points at.
 */
public final class PageReader {
    private final SourceSettings.Crawl settings;
    private final StructuredData structured;
    private final Furniture furniture;

    /** One that compares pages with no others. */
    public PageReader(SourceSettings.Crawl settings, JsonMapper json) {
        this(settings, json, new Furniture(Set.of()));
    }

    public PageReader(SourceSettings.Crawl settings, JsonMapper json, Furniture furniture) {
        this.settings = settings;
        this.structured = new StructuredData(json);
        this.furniture = furniture;
    }

    /** Takes note of a page, so that what it shares with others is told from its text. */
    void learn(Document page) {
        MainText.withoutSignsOfLinks(page);
        furniture.learn(MainText.find(page, settings.mainText()));
    }

    public static Document parse(WebFetcher.Fetched page) throws SourceProblem {
        try {
            return Jsoup.parse(
                    new ByteArrayInputStream(page.body()),
                    page.charset(),
                    page.address().toString());
        } catch (IOException unreadable) {
            throw new SourceProblem("The page cannot be read: " + unreadable.getMessage(), unreadable);
        }
    }

    /** The address that the page gives as its own, if it is one of the same site; else the one it was read from. */
    static URI canonical(Document page, URI address) {
        Element link = page.selectFirst("link[rel~=(?i)\\bcanonical\\b][href]");
        URI said = link == null ? null : SiteAddresses.tidy(address, link.attr("href"));
        return said != null && SiteAddresses.sameSite(address, said) ? said : address;
    }

    /** Whether the page asks search engines to leave it alone: robots meta tag, common practice since 1996. */
    static boolean noIndex(Document page) {
        return robots(page).matches(".*\\b(noindex|none)\\b.*");
    }

    static boolean noFollow(Document page) {
        return robots(page).matches(".*\\b(nofollow|none)\\b.*");
    }

    private static String robots(Document page) {
        return String.join(
                        ",",
                        page.select("meta[name~=(?i)^(robots|tidylantern)$]").eachAttr("content"))
                .toLowerCase(Locale.ROOT);
    }

    /** The pages that it leads to, in its order; those that ask not to be followed left out. */
    static List<URI> links(Document page, URI address) {
        List<URI> links = new ArrayList<>();
        for (Element link : page.select("a[href]")) {
            URI to = link.attr("rel").toLowerCase(Locale.ROOT).contains("nofollow")
                    ? null
                    : SiteAddresses.tidy(address, link.attr("href"));
            if (to != null) {
                links.add(to);
            }
        }
        return links;
    }

    public Map<String, @Nullable Object> columns(Document page, URI address) {
        Map<String, @Nullable Object> columns = new LinkedHashMap<>();
        MainText.withoutSignsOfLinks(page);
        Element main = MainText.find(page, settings.mainText());
        Set<Element> apart = MainText.apart(main, new HashSet<>(settings.leaveOut()));
        apart.addAll(furniture.in(main, apart));
        columns.put("address", address.toString());
        String title = title(page, main, apart);
        columns.put("title", title);
        columns.put("description", meta(page, "meta[name~=(?i)^description$]", "meta[property=og:description]"));
        List<String> headings = main.select("h1, h2, h3, h4").stream()
                .filter(heading -> !MainText.inside(heading, apart))
                .map(Element::text)
                .filter(text -> !text.isBlank())
                .toList();
        columns.put("headings", headings.isEmpty() ? null : headings);
        // What is the title already is not said a second time.
        main.select("h1").stream()
                .filter(heading -> heading.text().equals(title))
                .findFirst()
                .ifPresent(apart::add);
        columns.put("text", text(main, apart));
        String language = page.selectFirst("html") == null
                ? ""
                : page.select("html").attr("lang").isEmpty()
                        ? page.select("html").attr("xml:lang")
                        : page.select("html").attr("lang");
        columns.put("language", language.isBlank() ? null : language.strip());
        String keywords = meta(page, "meta[name~=(?i)^keywords$]");
        columns.put(
                "keywords",
                keywords == null
                        ? null
                        : List.of(keywords.split("\\s*,\\s*")).stream()
                                .filter(word -> !word.isBlank())
                                .toList());
        columns.put("image", image(page, main, apart, address));
        columns.put(
                "published",
                meta(
                        page,
                        "meta[property=article:published_time]",
                        "meta[name~=(?i)^(date|dc\\.date|dcterms\\.created)$]"));
        columns.put("author", meta(page, "meta[name~=(?i)^author$]", "meta[property=article:author]"));
        structured.columns(page, address.toString()).forEach(columns::put);
        for (SourceSettings.Part part : settings.parts()) {
            List<Object> said = new ArrayList<>();
            for (Element selected : page.select(part.selector())) {
                Object value = part(selected, address);
                if (value != null) {
                    said.add(value);
                }
            }
            columns.put(part.name(), said.isEmpty() ? null : said.size() == 1 ? said.getFirst() : said);
        }
        return columns;
    }

    private static @Nullable Object part(Element selected, URI address) {
        if (selected.normalName().equals("img")) {
            URI source = SiteAddresses.tidy(address, selected.attr("src"));
            return source == null ? null : picture(source.toString(), selected.attr("alt"));
        }
        if (selected.normalName().equals("time") && !selected.attr("datetime").isBlank()) {
            return selected.attr("datetime");
        }
        if (selected.normalName().equals("meta")) {
            return selected.attr("content");
        }
        String text = PageText.of(selected);
        return text.isEmpty() ? null : text;
    }

    private static String text(Element main, Set<Element> apart) {
        if (apart.isEmpty()) {
            return PageText.of(main);
        }
        // On a copy: what is apart is found by its place, which a copy shares.
        Element copy = main.clone();
        List<Element> originals = new ArrayList<>(main.getAllElements());
        List<Element> copies = new ArrayList<>(copy.getAllElements());
        for (int i = 0; i < originals.size(); i++) {
            if (apart.contains(originals.get(i))) {
                copies.get(i).remove();
            }
        }
        return PageText.of(copy);
    }

    /** The main heading where the page's title holds it too (the rest is the site's name), else the title. */
    private static @Nullable String title(Document page, Element main, Set<Element> apart) {
        String title = page.title().strip();
        String heading = main.select("h1").stream()
                .filter(one -> !MainText.inside(one, apart))
                .map(Element::text)
                .filter(text -> !text.isBlank())
                .findFirst()
                .orElseGet(() -> page.select("h1").stream()
                        .map(Element::text)
                        .filter(text -> !text.isBlank())
                        .findFirst()
                        .orElse(""));
        if (!heading.isEmpty()
                && (title.isEmpty() || title.toLowerCase(Locale.ROOT).contains(heading.toLowerCase(Locale.ROOT)))) {
            return heading;
        }
        String shared = meta(page, "meta[property=og:title]");
        if (shared != null && (title.isEmpty() || title.contains(shared))) {
            return shared;
        }
        return title.isEmpty() ? null : title;
    }

    private static @Nullable String meta(Document page, String... selectors) {
        for (String selector : selectors) {
            for (Element meta : page.select(selector)) {
                if (!meta.attr("content").isBlank()) {
                    return meta.attr("content").strip();
                }
            }
        }
        return null;
    }

    private static @Nullable Map<String, Object> image(Document page, Element main, Set<Element> apart, URI address) {
        String shared = meta(page, "meta[property=og:image]");
        URI said = shared == null ? null : SiteAddresses.tidy(address, shared);
        if (said != null) {
            String alternative = meta(page, "meta[property=og:image:alt]");
            return picture(said.toString(), alternative == null ? "" : alternative);
        }
        for (Element image : main.select("img[src]")) {
            URI source = MainText.inside(image, apart) || tiny(image)
                    ? null
                    : SiteAddresses.tidy(address, image.attr("src"));
            if (source != null) {
                return picture(source.toString(), image.attr("alt"));
            }
        }
        return null;
    }

    private static boolean tiny(Element image) {
        return image.attr("width").matches("\\d{1,2}") || image.attr("height").matches("\\d{1,2}");
    }

    private static Map<String, Object> picture(String address, String alternative) {
        Map<String, Object> picture = new LinkedHashMap<>();
        picture.put("url", address);
        if (!alternative.isBlank()) {
            picture.put("alt", alternative.strip());
        }
        return picture;
    }
}
