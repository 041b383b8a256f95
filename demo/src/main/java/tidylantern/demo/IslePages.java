package tidylantern.demo;

import com.samskivert.mustache.Mustache;
import com.samskivert.mustache.Template;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The pages of the website of the Quillhaven Isles, wherever it is served. They know of the search only what any site
 * would: the one script tag and the search's key.
 */
public final class IslePages {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);
    /** The one page in another language: its own words, while what is found stays as it is. */
    private static final String GERMAN_SEARCH = "/suche";

    /** The page whose results stand in the site's own markup. */
    private static final String OWN_CARDS = "/find-a-home";

    /** Leads through the searches of the site to where they are made. */
    static final String HOW_IT_WAS_MADE = "/how-it-was-made";

    private static final String HTML = "text/html; charset=utf-8";
    private static final Map<String, String> FILES = Map.of(
            "site.css",
            "text/css; charset=utf-8",
            "heard.js",
            "text/javascript; charset=utf-8",
            "newsreader-latin-wght-normal.woff2",
            "font/woff2",
            "newsreader-latin-ext-wght-normal.woff2",
            "font/woff2",
            "figtree-latin-wght-normal.woff2",
            "font/woff2");
    private static final Set<String> OF_ALL = Set.of(GERMAN_SEARCH, OWN_CARDS, HOW_IT_WAS_MADE);

    private static final JsonMapper JSON = new JsonMapper();

    /** The steps of the workbench, as it calls them. */
    private static final Map<String, String> STEPS = Map.of(
            "what-is-searched",
            "What is searched",
            "words",
            "Words",
            "filters",
            "Filters",
            "order",
            "Order & featured",
            "cards",
            "Cards & look",
            "results-page",
            "Results page",
            "go-live",
            "Go live",
            "trials",
            "Trials");

    private static final Map<String, String> LEADS = Map.of(
            "journal",
            "What happens here, told by those it happened to.",
            "makers",
            "Workshops, shops and services of the seven islands.",
            "kitchen",
            "What we eat, and how it is done.",
            "outings",
            "On the water, on foot, after dark: book a day with somebody who knows.",
            "homes",
            "To let by the week, or to keep.",
            "pictures",
            "The islands through a few patient lenses.");

    private static final Map<String, Template> TEMPLATES = new ConcurrentHashMap<>();

    private final Quillhaven content;
    private final Whereabouts at;
    private final StructuredData structured;

    /**
     * Where the pages stand, and which search they carry.
     *
     * @param origin of the pages, without a slash at its end
     * @param root path below which they stand, without a slash at its end; empty for the origin itself
     * @param service origin of the service, without a slash at its end; empty where that serves the pages itself
     * @param search key of the search that they show
     * @param hasAll whether the five searches of the demo are there, or this one alone
     */
    public record Whereabouts(String origin, String root, String service, String search, boolean hasAll) {
        String address() {
            return origin + root;
        }
    }

    /** What is answered for a path. */
    public static final class Page {
        private final int status;
        private final String type;
        private final byte[] body;

        Page(int status, String type, byte[] body) {
            this.status = status;
            this.type = type;
            this.body = body;
        }

        static Page of(String type, String text) {
            return new Page(200, type, text.getBytes(StandardCharsets.UTF_8));
        }

        public int status() {
            return status;
        }

        /** Its media type. */
        public String type() {
            return type;
        }

        public byte[] body() {
            return body.clone();
        }
    }

    public IslePages(Quillhaven content, Whereabouts at) {
        this.content = content;
        this.at = at;
        this.structured = new StructuredData(at.address());
    }

    /** @param path below the root; begins with a slash */
    public Page at(String path) {
        return switch (path) {
            case "/" -> Page.of(HTML, home());
            case "/search" ->
                Page.of(HTML, page("search", "Search", "Search the Quillhaven Isles.", path, "", Map.of()));
            case "/robots.txt" ->
                Page.of(
                        "text/plain; charset=utf-8",
                        "User-agent: *\nDisallow: /search\nDisallow: /suche\nDisallow: /find-a-home\nSitemap: "
                                + at.address() + "/sitemap.xml\n");
            case "/sitemap.xml" ->
                Page.of("application/xml; charset=utf-8", plain("sitemap.xml", Map.of("addresses", addresses())));
            case "/journal.atom" ->
                Page.of(
                        "application/atom+xml; charset=utf-8",
                        plain(
                                "journal.atom",
                                Map.of(
                                        "site",
                                        at.address(),
                                        "entries",
                                        entries(),
                                        "updated",
                                        entries().getFirst().get("published") + "T08:00:00Z")));
            case "/outings.jsonl" -> Page.of("application/jsonl; charset=utf-8", content.jsonLines("outings"));
            case "/makers.csv" -> Page.of("text/csv; charset=utf-8", csv());
            case "/homes.geojson" -> Page.of("application/geo+json; charset=utf-8", geoJson());
            default -> at.hasAll() && OF_ALL.contains(path) ? ofAll(path) : other(path);
        };
    }

    /** Pages that tell of the demo's five searches, or carry another than the first. */
    private Page ofAll(String path) {
        return switch (path) {
            case GERMAN_SEARCH ->
                Page.of(
                        HTML,
                        page("search-in-german", "Suche", "Die Quillhaven-Inseln durchsuchen.", path, "", Map.of()));
            case OWN_CARDS ->
                Page.of(
                        HTML,
                        page("search-for-a-home", "Find a home", "Homes to let and to keep.", path, "", Map.of()));
            default ->
                Page.of(
                        HTML,
                        page(
                                "how-it-was-made",
                                "How it was made",
                                "The five searches of this site, and where each of their decisions was made.",
                                path,
                                "",
                                Map.of("searches", searchesMade())));
        };
    }

    private Page other(String path) {
        String[] parts = path.substring(1).split("/");
        if (parts[0].equals("files") && parts.length == 2 && FILES.containsKey(parts[1])) {
            return new Page(
                    200,
                    Objects.requireNonNull(FILES.get(parts[1])),
                    bytes(parts[1].endsWith(".woff2") ? "fonts/" + parts[1] : parts[1]));
        }
        if (parts[0].equals("images") && parts.length == 2 && parts[1].endsWith(".svg")) {
            return Page.of(
                    "image/svg+xml; charset=utf-8", Illustrations.svg(parts[1].substring(0, parts[1].length() - 4)));
        }
        Quillhaven.Part part = Quillhaven.PARTS.stream()
                .filter(one -> one.key().equals(parts[0]))
                .findFirst()
                .orElse(null);
        if (part != null && parts.length == 1) {
            return Page.of(HTML, collection(part, path));
        }
        Map<String, Object> item = part == null ? null : content.at(part.key(), path);
        if (part == null || item == null) {
            String missing = page("missing", "Not here", "There is no such page.", path, "", Map.of());
            return new Page(404, HTML, missing.getBytes(StandardCharsets.UTF_8));
        }
        return Page.of(HTML, item(part, item, path));
    }

    private String collection(Quillhaven.Part part, String path) {
        return page(
                "collection",
                part.label(),
                lead(part.key()),
                path,
                "",
                Map.of(
                        "part",
                        part,
                        "lead",
                        lead(part.key()),
                        // One of its lists the site has narrowed in place; the others it just shows.
                        "narrowed",
                        at.hasAll() && part.key().equals("outings"),
                        "cards",
                        cards(part.key(), content.items(part.key()))));
    }

    /** Each search with its page, and the steps of the workbench in which it was decided. */
    private List<Map<String, Object>> searchesMade() {
        String workbench = at.service() + "/workbench/" + DemoLoader.SITE + "/searches/";
        List<Map<String, Object>> searches = new ArrayList<>();
        for (JsonNode one : JSON.readTree(Quillhaven.searches())) {
            String key = one.path("key").asString();
            String shownAt = one.path("shownAt").asString();
            searches.add(Map.of(
                    "number",
                    searches.size() + 1,
                    "name",
                    one.path("name").asString(),
                    "purpose",
                    one.path("purpose").asString(),
                    "page",
                    shownAt.isEmpty() ? at.service() + "/s/" + key : shownAt,
                    "pageName",
                    one.path("shownAs").asString(),
                    "steps",
                    one.path("made")
                            .valueStream()
                            .map(step -> Map.of(
                                    "step",
                                    STEPS.get(step.path("step").asString()),
                                    "address",
                                    workbench + key + "/" + step.path("step").asString()
                                            + (step.has("part")
                                                    ? "#" + step.path("part").asString()
                                                    : ""),
                                    "what",
                                    step.path("what").asString()))
                            .toList()));
        }
        return searches;
    }

    private String home() {
        return page(
                "home",
                "Quillhaven Isles",
                "Seven islands, one ferry, and a kettle always on: journal, makers, kitchen, outings and homes of the Quillhaven Isles.",
                "/",
                "",
                Map.of(
                        "journal",
                        cards(
                                "journal",
                                content.items("journal").stream().limit(3).toList()),
                        "outings",
                        cards(
                                "outings",
                                content.items("outings").stream().limit(4).toList()),
                        "homes",
                        cards("homes", content.items("homes").stream().limit(3).toList()),
                        "kitchen",
                        cards(
                                "kitchen",
                                content.items("kitchen").stream().limit(4).toList())));
    }

    private String item(Quillhaven.Part part, Map<String, Object> item, String path) {
        Map<String, Object> shown = new HashMap<>(card(part.key(), item));
        shown.put("part", part);
        shown.put("paragraphs", List.of(text(item, "body").split("\n\n")));
        shown.put("facts", facts(part.key(), item));
        shown.put("reviews", item.getOrDefault("reviews", List.of()));
        shown.put("hasReviews", item.containsKey("reviews"));
        shown.put("tags", item.getOrDefault("tags", item.getOrDefault("keywords", List.of())));
        return page("item", text(shown, "title"), description(item), path, structured.of(part.key(), item), shown);
    }

    private static String description(Map<String, Object> item) {
        String summary = text(item, "summary");
        return summary.isEmpty() ? text(item, "body").split("(?<=[.!?]) ")[0] : summary;
    }

    private static String lead(String part) {
        return LEADS.getOrDefault(part, "");
    }

    /** One line of a page's table of facts. */
    record Fact(String name, String value) {}

    private static List<Fact> facts(String part, Map<String, Object> item) {
        List<Fact> facts = new ArrayList<>();
        Map<String, String> names = new LinkedHashMap<>();
        names.put("author", part.equals("pictures") ? "Photographer" : "By");
        names.put("island", "Where");
        names.put("trade", "Trade");
        names.put("activity", "Kind");
        names.put("offer", "Offer");
        names.put("status", "Status");
        names.put("course", "Course");
        names.put("bedrooms", "Bedrooms");
        names.put("area", "Area, m²");
        names.put("hours", "Hours");
        names.put("serves", "Serves");
        names.put("since", "Since");
        names.put("rating", "Rating");
        names.put("code", "Code");
        names.put("bookingCode", "Booking code");
        names.forEach((property, name) -> {
            if (item.get(property) != null) {
                facts.add(new Fact(
                        name, item.get(property).toString().replace("/", " › ").replaceAll("^(Q[OH]-\\d+) › ", "$1/")));
            }
        });
        if (item.containsKey("price")) {
            facts.add(new Fact("Price", price(part, item)));
        }
        if (part.equals("kitchen")) {
            facts.add(new Fact("Takes", item.get("minutes") + " minutes"));
        }
        if (item.get("departures") instanceof List<?> days) {
            facts.add(new Fact(
                    "Departs",
                    String.join(
                            ", ",
                            days.stream()
                                    .map(day -> LocalDate.parse(day.toString()).format(DAY))
                                    .toList())));
        }
        Map<String, String> features = new LinkedHashMap<>();
        features.put("stepFree", "step-free");
        features.put("garden", "garden");
        features.put("seaView", "sea view");
        features.put("petsWelcome", "pets welcome");
        features.put("fireplace", "fireplace");
        features.put("internet", "internet");
        features.put("childrenWelcome", "children welcome");
        features.put("dogsWelcome", "dogs welcome");
        features.put("lunchIncluded", "lunch included");
        features.put("visitorsWelcome", "visitors welcome");
        features.put("takesCards", "takes cards");
        List<String> has = features.entrySet().stream()
                .filter(feature -> Boolean.TRUE.equals(item.get(feature.getKey())))
                .map(Map.Entry::getValue)
                .toList();
        if (!has.isEmpty()) {
            facts.add(new Fact("With", String.join(", ", has)));
        }
        return facts;
    }

    private static String price(String part, Map<String, Object> item) {
        int price = ((Number) Objects.requireNonNull(item.get("price"))).intValue();
        String amount = String.format(Locale.ENGLISH, "%,d", price);
        if (part.equals("outings")) {
            return price == 0 ? "free" : amount + " a person";
        }
        return "To let".equals(item.get("offer")) ? amount + " a week" : amount;
    }

    private List<Map<String, Object>> cards(String part, List<Map<String, Object>> items) {
        return items.stream().map(item -> card(part, item)).toList();
    }

    private Map<String, Object> card(String part, Map<String, Object> item) {
        Map<String, Object> card = new HashMap<>();
        String title = text(item, "title");
        card.put("title", title.isEmpty() ? text(item, "body").split("[,.]")[0] : title);
        card.put("url", item.get("url"));
        card.put("summary", text(item, "summary"));
        card.put("image", item.get("image") instanceof Map<?, ?> image ? image.get("url") : null);
        card.put(
                "alt",
                item.get("image") instanceof Map<?, ?> image && image.get("alt") != null ? image.get("alt") : "");
        card.put("day", LocalDate.parse(text(item, "published")).format(DAY));
        card.put(
                "line",
                switch (part) {
                    case "journal" -> item.get("author") + " · " + item.get("minutes") + " min";
                    case "makers" -> text(item, "trade").replace("/", " › ");
                    case "kitchen" -> item.get("minutes") + " min · serves " + item.get("serves");
                    case "outings" -> place(item) + " · " + price(part, item);
                    case "homes" -> place(item) + " · " + price(part, item);
                    default -> place(item);
                });
        return card;
    }

    private static String place(Map<String, Object> item) {
        String island = text(item, "island");
        return island.substring(island.lastIndexOf('/') + 1);
    }

    private List<String> addresses() {
        List<String> addresses = new ArrayList<>(List.of(at.address() + "/"));
        for (Quillhaven.Part part : Quillhaven.PARTS) {
            addresses.add(at.address() + "/" + part.key());
            content.items(part.key()).forEach(item -> addresses.add(at.address() + item.get("url")));
        }
        return addresses;
    }

    private List<Map<String, Object>> entries() {
        return content.items("journal").stream()
                .map(item -> {
                    Map<String, Object> entry = new HashMap<>(item);
                    if (item.get("image") instanceof Map<?, ?> image) {
                        entry.put("picture", image.get("url"));
                        if (image.get("alt") != null) {
                            entry.put("alt", image.get("alt"));
                        }
                    }
                    return entry;
                })
                .sorted((a, b) -> text(b, "published").compareTo(text(a, "published")))
                .toList();
    }

    /** As a spreadsheet would have them: a column a field, lists with bars between their parts. */
    private String csv() {
        List<String> columns = List.of(
                "id",
                "title",
                "summary",
                "body",
                "url",
                "trade",
                "island",
                "lat",
                "lon",
                "town",
                "image",
                "image alt",
                "plan",
                "rating",
                "since",
                "code",
                "keywords",
                "visitorsWelcome",
                "takesCards",
                "stepFree",
                "reviews",
                "published");
        StringWriter out = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(
                out,
                CSVFormat.RFC4180
                        .builder()
                        .setHeader(columns.toArray(String[]::new))
                        .get())) {
            for (Map<String, Object> item : content.items("makers")) {
                printer.printRecord(
                        columns.stream().map(column -> cell(item, column)).toList());
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException("writing to memory", impossible);
        }
        return out.toString();
    }

    private static @Nullable Object cell(Map<String, Object> item, String column) {
        Map<?, ?> place = item.get("place") instanceof Map<?, ?> map ? map : Map.of();
        Map<?, ?> image = item.get("image") instanceof Map<?, ?> map ? map : Map.of();
        return switch (column) {
            case "lat", "lon" -> place.get(column);
            case "town" -> place.get("name");
            case "image" -> image.get("url");
            case "image alt" -> image.get("alt");
            default ->
                item.get(column) instanceof List<?> list
                        ? String.join(" | ", list.stream().map(Object::toString).toList())
                        : item.get(column);
        };
    }

    private String geoJson() {
        List<Map<String, Object>> features = content.items("homes").stream()
                .map(item -> {
                    Map<?, ?> place = (Map<?, ?>) Objects.requireNonNull(item.get("place"));
                    Map<String, Object> properties = new LinkedHashMap<>(item);
                    properties.remove("place");
                    properties.put("town", place.get("name"));
                    return Map.<String, Object>of(
                            "type",
                            "Feature",
                            "geometry",
                            Map.of("type", "Point", "coordinates", List.of(place.get("lon"), place.get("lat"))),
                            "properties",
                            properties);
                })
                .toList();
        return JSON.writeValueAsString(Map.of("type", "FeatureCollection", "features", features));
    }

    private String page(
            String template, String title, String description, String path, String jsonLd, Map<String, Object> values) {
        Map<String, Object> all = new HashMap<>(values);
        all.put("content", plain(template + ".html", withService(values)));
        all.put("pageTitle", title.equals("Quillhaven Isles") ? title : title + " – Quillhaven Isles");
        all.put("description", description);
        all.put("canonical", at.address() + path);
        all.put("jsonLd", jsonLd);
        all.put("hasJsonLd", !jsonLd.isEmpty());
        all.put("withBox", !template.startsWith("search"));
        boolean german = path.equals(GERMAN_SEARCH);
        all.put("german", german);
        all.put("language", german ? "de" : "en");
        all.put(
                "menu",
                Quillhaven.PARTS.stream()
                        .map(part -> Map.of(
                                "key",
                                part.key(),
                                "label",
                                part.label(),
                                "here",
                                path.equals("/" + part.key()) || path.startsWith("/" + part.key() + "/")))
                        .toList());
        return plain("layout.html", withService(all));
    }

    private Map<String, Object> withService(Map<String, Object> values) {
        Map<String, Object> all = new HashMap<>(values);
        all.put("service", at.service());
        all.put("root", at.root());
        all.put("search", at.search());
        all.put("hasAll", at.hasAll());
        return all;
    }

    private String plain(String name, Map<String, Object> values) {
        return TEMPLATES
                .computeIfAbsent(name, file -> Mustache.compiler()
                        .defaultValue("")
                        .compile(new String(bytes(file), StandardCharsets.UTF_8)))
                .execute(values);
    }

    private static byte[] bytes(String file) {
        try (InputStream in = Objects.requireNonNull(
                IslePages.class.getResourceAsStream("/site/" + file), file + " is not on the class path")) {
            return in.readAllBytes();
        } catch (IOException failure) {
            throw new UncheckedIOException("reading " + file, failure);
        }
    }

    private static String text(Map<String, Object> item, String property) {
        Object value = item.get(property);
        return value == null ? "" : value.toString();
    }
}
