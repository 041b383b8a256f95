package tidylantern.demo;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The content of the made-up archipelago, with its dates set from one day. */
public final class Quillhaven {
    /** The collections in the order of the site's menu, with what visitors read. */
    private static final String CURRENCY = "EUR";

    public static final List<Part> PARTS = List.of(
            new Part("journal", "Journal"),
            new Part("makers", "Makers"),
            new Part("kitchen", "Kitchen"),
            new Part("outings", "Outings"),
            new Part("homes", "Homes"),
            new Part("pictures", "Pictures"));

    private static final String PUBLISHED = "publishedDaysAgo";
    private static final String DEPARTURES = "departuresInDays";
    private static final TypeReference<LinkedHashMap<String, Object>> OBJECT = new TypeReference<>() {};
    private static final JsonMapper JSON = new JsonMapper();

    private final Map<String, List<Map<String, Object>>> items = new LinkedHashMap<>();

    public record Part(String key, String label) {}

    /** A query that visitors are likely to type, and the item it should find among its first {@code within} results. */
    public record Expected(String query, int within, String item) {
        public String collection() {
            return item.substring(0, item.indexOf('-'));
        }
    }

    /** @param today the day from which all dates of the content are counted */
    public Quillhaven(LocalDate today) {
        for (Part part : PARTS) {
            items.put(
                    part.key(),
                    lines(part.key() + ".jsonl").stream()
                            .map(line -> dated(JSON.readValue(line, OBJECT), today))
                            .toList());
        }
    }

    private static Map<String, Object> dated(Map<String, Object> item, LocalDate today) {
        Map<String, Object> dated = new LinkedHashMap<>();
        item.forEach((property, value) -> {
            switch (property) {
                case PUBLISHED ->
                    dated.put(
                            "published",
                            today.minusDays(((Number) value).longValue()).toString());
                case DEPARTURES ->
                    dated.put(
                            "departures",
                            ((List<?>) value)
                                    .stream()
                                            .map(days -> today.plusDays(((Number) days).longValue())
                                                    .toString())
                                            .toList());
                default -> dated.put(property, value);
            }
        });
        return dated;
    }

    /** The items of a collection, as a source would bring them; empty for one that is not there. */
    public List<Map<String, Object>> items(String collection) {
        return items.getOrDefault(collection, List.of());
    }

    /** The item at an address of the site, or null. */
    public @Nullable Map<String, Object> at(String collection, String address) {
        return items(collection).stream()
                .filter(item -> address.equals(item.get("url")))
                .findFirst()
                .orElse(null);
    }

    /** A collection as the push endpoint takes it. */
    public String jsonLines(String collection) {
        StringBuilder lines = new StringBuilder();
        items(collection)
                .forEach(item -> lines.append(JSON.writeValueAsString(item)).append('\n'));
        return lines.toString();
    }

    /** The same as the service is given them: prices with the currency of the Isles. */
    public String pushedLines(String collection) {
        StringBuilder lines = new StringBuilder();
        for (Map<String, Object> item : items(collection)) {
            Map<String, Object> pushed = new LinkedHashMap<>(item);
            pushed.computeIfPresent("price", (key, amount) -> Map.of("amount", amount, "currency", CURRENCY));
            lines.append(JSON.writeValueAsString(pushed)).append('\n');
        }
        return lines.toString();
    }

    public static List<Expected> expected() {
        return lines("queries.tsv").stream()
                .filter(line -> !line.startsWith("#"))
                .map(line -> line.split("\t"))
                .map(parts -> new Expected(parts[0], Integer.parseInt(parts[1]), parts[2]))
                .toList();
    }

    /**
     * Where each collection can be read from, as the service's API takes it: a JSON list.
     *
     * @param site where the stand-in website is, without a slash at the end
     */
    static String sources(String site) {
        return String.join("\n", lines("sources.json")).replace("{site}", site);
    }

    /** Trials of the demo's search as CSV. */
    static String trials() {
        return String.join("\n", lines("trials.csv"));
    }

    /** Which items hold featured tiers by hand, as JSON. */
    static String placements() {
        return String.join("\n", lines("placements.json"));
    }

    /** What the elements wear on the site's pages, as JSON. */
    public static String look() {
        return String.join("\n", lines("look.json"));
    }

    /** The demo's searches: a JSON list of keys, names, collections (all where none are named) and filters. */
    static String searches() {
        return String.join("\n", lines("searches.json"));
    }

    private static List<String> lines(String file) {
        try (InputStream in = Objects.requireNonNull(
                        Quillhaven.class.getResourceAsStream("/quillhaven/" + file),
                        file + " is not on the class path");
                BufferedReader reader = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            List<String> lines = new ArrayList<>();
            for (String line = reader.readLine(); line != null; line = reader.readLine()) {
                if (!line.isBlank()) {
                    lines.add(line);
                }
            }
            return lines;
        } catch (IOException failure) {
            throw new UncheckedIOException("reading " + file, failure);
        }
    }
}
