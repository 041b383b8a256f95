package tidylantern.server.source.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.apache.lucene.util.SloppyMath;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemReader;
import tidylantern.core.content.ItemRefused;
import tidylantern.core.mapping.Mapper;
import tidylantern.core.mapping.Mapping;
import tidylantern.core.mapping.Mapping.MappedField;
import tidylantern.core.mapping.MappingGuess;
import tidylantern.core.place.Gazetteer;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * What is guessed of the columns of 37 tables that others wrote, held against what an owner would want. Where they come
 * from stands in {@code tables/README.md}; half of them were never tuned on.
 */
class TablesOfOthersTest {
    /** As the service has it. */
    private static final Gazetteer WORLD = Gazetteer.of(
            () -> Objects.requireNonNull(TablesOfOthersTest.class.getResourceAsStream("/gazetteer/cities.pbf")));

    private static final Path TABLES = folder();

    private static Path folder() {
        try {
            return Path.of(Objects.requireNonNull(TablesOfOthersTest.class.getResource("/tables"))
                    .toURI());
        } catch (URISyntaxException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    /** @param right the kinds that are, with what stands between several values of a cell */
    private record Wanted(String table, String half, String column, List<String> right) {}

    private static List<Wanted> wanted() throws IOException {
        return Files.readAllLines(TABLES.resolve("kinds.tsv")).stream()
                .skip(1)
                .map(line -> line.split("\t"))
                .map(cells -> new Wanted(cells[0], cells[1], cells[2], List.of(cells[3].split("/"))))
                .toList();
    }

    private static List<Map<String, @Nullable Object>> records(String table) throws SourceProblem {
        Path file = TABLES.resolve(table + ".csv");
        Told told = new Told();
        JsonMapper json = JsonMapper.builder()
                .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
                .build();
        SourceSettings.File asItIs = new SourceSettings.File("0123456789abcdef01234567", null, null, null, null, null);
        new FileReader(Files.exists(file) ? file : TABLES.resolve(table + ".jsonl"), asItIs, json).read(told);
        assertThat(told.refusals).as(table).isEmpty();
        return told.records;
    }

    private static Map<String, List<Object>> samples(List<Map<String, @Nullable Object>> records) {
        Map<String, List<Object>> samples = new LinkedHashMap<>();
        records.forEach(record -> record.forEach((column, value) -> {
            List<Object> said = samples.computeIfAbsent(column, key -> new ArrayList<>());
            if (value != null && !(value instanceof String text && text.isBlank())) {
                said.add(value);
            }
        }));
        return samples;
    }

    /** What became of each column. */
    private static Map<String, String> guessed(String table) throws SourceProblem {
        Map<String, List<Object>> samples = samples(records(table));
        Mapping mapping = Objects.requireNonNull(MappingGuess.of(samples, null, WORLD));
        Map<String, String> guessed = new TreeMap<>();
        samples.keySet().forEach(column -> guessed.put(column, "nothing"));
        guessed.put(mapping.idColumn(), "id");
        for (MappedField field : mapping.fields()) {
            String kind = field.kind().toString();
            String separator = field.separator() == null ? "" : field.separator();
            guessed.put(field.column(), kind + separator);
            if (field.longitude() != null) {
                guessed.put(field.longitude(), kind);
            }
            if (field.placeName() != null) {
                guessed.put(field.placeName(), kind);
            }
            if (field.alternative() != null) {
                guessed.put(field.alternative(), "alternative");
            }
        }
        return guessed;
    }

    /**
     * Capitals of the states of the USA are placed by their names alone, and compared with the coordinates that the
     * table has (vega-datasets). Many are called as larger towns are, so that a name alone is no certainty.
     */
    @Test
    void aTownIsPlacedByItsNameWhereTheTableHasIt() throws Exception {
        List<Map<String, @Nullable Object>> capitals = records("vega-us-state-capitals");
        Map<String, List<Object>> towns =
                samples(capitals.stream().map(TablesOfOthersTest::townAlone).toList());
        Mapping mapping = Objects.requireNonNull(MappingGuess.of(towns, null, WORLD));
        assertThat(mapping.fields()).anyMatch(field -> field.kind() == FieldKind.PLACE);
        Mapper mapper = new Mapper(mapping, "", WORLD);
        int near = 0;
        int placed = 0;
        for (Map<String, @Nullable Object> record : capitals) {
            Object place = mapper.map(townAlone(record)).properties().get("place");
            if (place instanceof Map<?, ?> at) {
                placed++;
                double apart = SloppyMath.haversinMeters(
                        ((Number) at.get("lat")).doubleValue(),
                        ((Number) at.get("lon")).doubleValue(),
                        Double.parseDouble(String.valueOf(record.get("lat"))),
                        Double.parseDouble(String.valueOf(record.get("lon"))));
                near += apart < 30_000 ? 1 : 0;
            }
        }
        assertThat(placed).isEqualTo(capitals.size());
        assertThat(near).as("of %d", placed).isGreaterThanOrEqualTo(43);
    }

    private static Map<String, @Nullable Object> townAlone(Map<String, @Nullable Object> record) {
        Map<String, @Nullable Object> town = new LinkedHashMap<>();
        town.put("id", record.get("state"));
        town.put("city", record.get("city"));
        return town;
    }

    /** A guess that refuses an item is worse than none. */
    @Test
    void noRecordIsRefusedForWhatWasGuessed() throws Exception {
        List<String> refused = new ArrayList<>();
        for (String table : wanted().stream().map(Wanted::table).distinct().toList()) {
            List<Map<String, @Nullable Object>> records = records(table);
            Mapping mapping = Objects.requireNonNull(MappingGuess.of(samples(records), null, WORLD));
            Mapper mapper = new Mapper(mapping, "", WORLD);
            ItemReader reader = new ItemReader(new Collection(
                    new CollectionKey("table"),
                    "Table",
                    "en",
                    mapping.fields().stream()
                            .map(field -> new Field(
                                    new FieldKey(field.property()), field.kind(), field.property(), field.label()))
                            .toList()));
            for (Map<String, @Nullable Object> record : records) {
                try {
                    Mapper.Mapped mapped = mapper.map(record);
                    reader.read(mapped.id(), mapped.properties());
                } catch (ItemRefused why) {
                    refused.add(table + ": " + why.getMessage());
                }
            }
        }
        assertThat(refused).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"tuned, 0.99", "held, 0.95"})
    void kindsAreWhatAnOwnerWouldWant(String half, double atLeast) throws Exception {
        Map<String, Map<String, String>> guesses = new LinkedHashMap<>();
        List<String> wrong = new ArrayList<>();
        int columns = 0;
        for (Wanted wanted : wanted()) {
            if (!wanted.half().equals(half)) {
                continue;
            }
            columns++;
            if (!guesses.containsKey(wanted.table())) {
                guesses.put(wanted.table(), guessed(wanted.table()));
            }
            String guess = guesses.get(wanted.table()).get(wanted.column());
            if (!wanted.right().contains(guess)) {
                wrong.add("%s, %s: %s, and not %s"
                        .formatted(wanted.table(), wanted.column(), String.join(" or ", wanted.right()), guess));
            }
        }
        assertThat(columns).isGreaterThan(100);
        assertThat((columns - wrong.size()) / (double) columns)
                .as("of %d columns; wrong: %s", columns, String.join("\n", wrong))
                .isGreaterThanOrEqualTo(atLeast);
    }
}
