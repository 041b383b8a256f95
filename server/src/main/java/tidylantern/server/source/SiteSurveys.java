package tidylantern.server.source;

import java.net.URI;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tidylantern.core.content.Addresses;
import tidylantern.server.source.reading.FeedReader;
import tidylantern.server.source.reading.PageReader;
import tidylantern.server.source.reading.Reading;
import tidylantern.server.source.reading.Robots;
import tidylantern.server.source.reading.SiteAddresses;
import tidylantern.server.source.reading.Sitemaps;
import tidylantern.server.source.reading.SourceProblem;
import tidylantern.server.source.reading.SourceSettings;
import tidylantern.server.source.reading.StructuredData;
import tidylantern.server.source.reading.WebFetcher;
import tools.jackson.databind.json.JsonMapper;

/**
 * Looks at a site as somebody would who is to bring its content in: what it is called, its language, and where content
 * can be read from. Nothing is taken; a site is asked for its first page, its feeds, its sitemap and one page of each
 * part.
 */
@Component
class SiteSurveys {
    private static final WebFetcher.Limits PAGE = new WebFetcher.Limits(5_000_000, Duration.ofSeconds(15), false);
    private static final WebFetcher.Limits FEED = new WebFetcher.Limits(20_000_000, Duration.ofSeconds(15), true);
    /** Nobody waits longer; what was not looked at by then is offered without what it says it is. */
    private static final Duration LONGEST = Duration.ofSeconds(20);

    /** What first pages are called that are not called as their site is. */
    private static final Pattern FIRST_PAGE = Pattern.compile(
            "(?i)home( ?page)?|start(seite)?|welcome|willkommen|accueil|bienvenue|inicio|bienvenidos?|welkom");

    private static final int MOST_FEEDS = 4;
    private static final int MOST_PAGES = 20_000;
    private static final int MOST_PARTS = 8;
    /** Fewer pages below one folder are no kind of content. */
    private static final int FEWEST_OF_A_PART = 3;

    private final WebFetcher fetcher;
    private final JsonMapper json;

    SiteSurveys(WebFetcher fetcher, JsonMapper json) {
        this.fetcher = fetcher;
        this.json = json;
    }

    /**
     * What was found.
     *
     * @param name that the site calls itself by; empty where it does not
     * @param language a tag (BCP 47); empty where the page does not say
     * @param leadsTo where the address leads, if that is another site; else null
     * @param problem why the first page could not be read, in words; null where it could
     * @param sources that could be set up, the best first
     */
    record Survey(
            String name,
            String language,
            @Nullable String leadsTo,
            @Nullable String problem,
            List<FoundSource> sources) {}

    /**
     * A place that content can be read from.
     *
     * @param title what it may be called
     * @param items how many there are
     * @param about what its pages say they are, in schema.org's words; empty where they do not
     */
    record FoundSource(SourceSettings settings, String title, int items, String about) {}

    Survey of(String siteAddress) {
        URI at = URI.create(siteAddress + "/");
        Document page;
        URI arrived;
        try {
            WebFetcher.Fetched answer = fetcher.fetch(at, WebFetcher.Known.NOTHING, PAGE);
            arrived = answer.address();
            if (!answer.ok()) {
                return unread(problem(at, answer.status()));
            }
            page = PageReader.parse(answer);
        } catch (SourceProblem problem) {
            return unread(String.valueOf(problem.getMessage()));
        }
        List<FoundSource> sources = new ArrayList<>();
        if (SiteAddresses.sameSite(at, arrived)) {
            long end = System.nanoTime() + LONGEST.toNanos();
            sources.addAll(feeds(at, page, end));
            sources.addAll(parts(at, end));
        }
        sources.sort(Comparator.comparing((FoundSource source) -> source.about().isEmpty())
                .thenComparing(Comparator.comparingInt(FoundSource::items).reversed()));
        return new Survey(
                name(page),
                page.select("html").attr("lang").strip(),
                SiteAddresses.sameSite(at, arrived) ? null : Addresses.origin(arrived),
                null,
                sources);
    }

    private static Survey unread(String problem) {
        return new Survey("", "", null, problem, List.of());
    }

    private static String problem(URI at, int status) {
        return switch (status) {
            case 401, 403 ->
                "%s wants to know who asks (status %d). Its content can come as a file, or be sent by a script."
                        .formatted(at, status);
            case 404, 410 -> "There is no page at %s (status %d). Check the address.".formatted(at, status);
            default -> "%s answers with status %d. Try again later, or bring a file in.".formatted(at, status);
        };
    }

    /** What the site is called: by what it says of itself, else by the shortest part of its first page's title. */
    private static String name(Document page) {
        for (String said : List.of("meta[property=og:site_name]", "meta[name=application-name]")) {
            String name = page.select(said).attr("content").strip();
            if (!name.isEmpty()) {
                return name;
            }
        }
        String[] parts = page.title().split("\\s+[|·–—-]\\s+");
        return List.of(parts).stream()
                .map(String::strip)
                .filter(part -> !part.isEmpty() && !FIRST_PAGE.matcher(part).matches())
                .min(Comparator.comparingInt(String::length))
                .orElse("");
    }

    /** @param end by {@link System#nanoTime}, after which nothing more is asked for */
    private List<FoundSource> feeds(URI site, Document page, long end) {
        List<FoundSource> found = new ArrayList<>();
        Set<URI> seen = new LinkedHashSet<>();
        for (Element link : page.select("link[rel~=(?i)\\balternate\\b][href]")) {
            URI at = SiteAddresses.tidy(link.absUrl("href"));
            boolean isFeed = link.attr("type").toLowerCase(Locale.ROOT).matches("application/(rss|atom)\\+xml.*");
            if (isFeed && at != null && SiteAddresses.sameSite(site, at) && seen.size() < MOST_FEEDS && seen.add(at)) {
                int entries = isBefore(end) ? entries(at) : 0;
                if (entries > 0) {
                    String title = link.attr("title").strip();
                    found.add(new FoundSource(
                            new SourceSettings.Feed(at.toString()), title.isEmpty() ? "Feed" : title, entries, ""));
                }
            }
        }
        return found;
    }

    /** How many entries a feed has; none if it cannot be read, for then it is not offered. */
    private int entries(URI feed) {
        Counting counting = new Counting();
        try {
            new FeedReader(fetcher.fetch(feed, WebFetcher.Known.NOTHING, FEED)).read(counting);
        } catch (SourceProblem unread) {
            return 0;
        }
        return counting.records;
    }

    /** The folders of the site's sitemap, each with its pages; the whole of it where it has no folders. */
    private List<FoundSource> parts(URI site, long end) {
        URI sitemap = site.resolve("/sitemap.xml");
        Robots robots;
        Set<URI> pages;
        try {
            robots = Robots.of(site, fetcher);
            pages = new Sitemaps(fetcher).pages(sitemap, MOST_PAGES, new Counting());
        } catch (SourceProblem none) {
            return List.of();
        }
        Map<String, List<URI>> byFolder = new LinkedHashMap<>();
        // What robots.txt keeps from being read would not be brought in either.
        pages.removeIf(page -> !robots.allows(page));
        pages.forEach(page ->
                byFolder.computeIfAbsent(folder(page), key -> new ArrayList<>()).add(page));
        List<Map.Entry<String, List<URI>>> parts = byFolder.entrySet().stream()
                .filter(part -> !part.getKey().isEmpty() && part.getValue().size() >= FEWEST_OF_A_PART)
                .sorted(Comparator.comparingInt(
                        (Map.Entry<String, List<URI>> part) -> -part.getValue().size()))
                .limit(MOST_PARTS)
                .toList();
        if (parts.isEmpty()) {
            return pages.isEmpty() ? List.of() : List.of(part(sitemap, null, List.copyOf(pages), "Pages", end));
        }
        return parts.stream()
                .map(part -> part(sitemap, "/" + part.getKey() + "/", part.getValue(), words(part.getKey()), end))
                .toList();
    }

    /** {@code recipes} of {@code https://isles.example/recipes/soup}; empty for a page at the top. */
    private static String folder(URI page) {
        String[] names = page.getRawPath().split("/");
        return names.length > 2 ? names[1] : "";
    }

    private static String words(String folder) {
        String words = folder.replaceAll("[-_]+", " ").strip();
        return words.isEmpty() ? folder : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    private FoundSource part(URI sitemap, @Nullable String prefix, List<URI> pages, String title, long end) {
        return new FoundSource(
                SourceSettings.Crawl.of(sitemap.toString(), prefix),
                title,
                pages.size(),
                isBefore(end) ? about(pages.getFirst()) : "");
    }

    private static boolean isBefore(long end) {
        return System.nanoTime() - end < 0;
    }

    /** What a page says that it is about. */
    private String about(URI page) {
        try {
            WebFetcher.Fetched answer = fetcher.fetch(page, WebFetcher.Known.NOTHING, PAGE);
            Object type = answer.ok()
                    ? new StructuredData(json)
                            .columns(PageReader.parse(answer), page.toString())
                            .get("schema.type")
                    : null;
            return type == null ? "" : type.toString();
        } catch (SourceProblem unread) {
            return "";
        }
    }

    /** Counts records and keeps none of them. */
    private static final class Counting implements Reading {
        private int records;

        @Override
        public void record(String at, Map<String, @Nullable Object> columns) {
            records++;
        }

        @Override
        public void refuse(String at, String reason) {
            // One that cannot be read is no item.
        }

        @Override
        public void gone(String at, String reason) {
            // Nothing was known before.
        }

        @Override
        public void asBefore(String at, String id) {
            // Nothing was known before.
        }

        @Override
        public void note(String note) {
            // Said when the source is looked at.
        }

        @Override
        public void incomplete(String why) {
            // Said when the source is looked at.
        }

        @Override
        public void progress(int read, int known) {
            // Nobody follows it.
        }

        @Override
        public boolean enough() {
            return false;
        }
    }
}
