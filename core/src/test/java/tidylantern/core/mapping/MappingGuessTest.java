package tidylantern.core.mapping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.mapping.Mapping.DateForm;
import tidylantern.core.mapping.Mapping.MappedField;

class MappingGuessTest {
    private static final List<Object> IDS = List.of("a-1", "b-2", "c-3", "d-4");

    /** Columns and their values in turn. */
    private static Map<String, List<Object>> samples(Object... columns) {
        Map<String, List<Object>> samples = new LinkedHashMap<>();
        samples.put("id", IDS);
        for (int i = 0; i < columns.length; i += 2) {
            samples.put((String) columns[i], new ArrayList<>((List<?>) columns[i + 1]));
        }
        return samples;
    }

    private static Mapping guess(@Nullable Collection existing, Object... columns) {
        return Objects.requireNonNull(MappingGuess.of(samples(columns), existing));
    }

    private static MappedField of(Mapping mapping, String property) {
        return mapping.fields().stream()
                .filter(field -> field.property().equals(property))
                .findFirst()
                .orElseThrow(() -> new AssertionError(property + " is not in " + mapping));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "12; 7; 30; 4 | NUMBER",
                "12.50; 7.00; 30.25; 4.10 | NUMBER",
                "€ 12.50; € 7; € 30; € 4 | MONEY",
                "12 EUR; 7 EUR; 30 EUR; 4 EUR | MONEY",
                "64 m²; 80 m²; 31 m²; 120 m² | NUMBER",
                "2026-05-31; 2026-06-01; 2025-01-30; 2026-02-28 | DATE",
                "yes; no; no; yes | YES_NO",
                "true; false; false; true | YES_NO",
                "Soup; Bread; Soup; Soup | CATEGORY",
                "47.4, -32.5; 47.1, -32.9; 47.3, -32.2; 47.0, -32.7 | PLACE",
                "PT30M; PT1H; PT2H10M; PT5M | NUMBER",
                "0123; 0045; 0911; 0007 | TEXT"
            })
    void kindsAreToldFromTheValues(String values, FieldKind kind) {
        Mapping mapping = guess(null, "it", List.of(values.split("; ")));
        assertThat(of(mapping, "it").kind()).isEqualTo(kind);
    }

    @Test
    void labelsAreTheHeadersWordsAndAUnitIsAUnit() {
        Mapping mapping = guess(
                null,
                "size (KiB)",
                List.of("12", "7", "30", "4"),
                "First release",
                List.of("2026-05-31", "2026-06-01", "2025-01-30", "2026-02-28"),
                "living area [m²]",
                List.of("64", "80", "31", "120"),
                "bookingCode",
                List.of("QH-1", "QH-2", "QH-3", "QH-4"),
                "Notes (short)",
                List.of("One thing", "Another one", "A third thing", "The last"));
        assertThat(mapping.fields())
                .extracting(MappedField::label, MappedField::unit)
                .containsExactlyInAnyOrder(
                        tuple("Size", "KiB"),
                        tuple("First release", null),
                        tuple("Living area", "m²"),
                        tuple("Booking code", null),
                        tuple("Notes (short)", null));
    }

    @Test
    void aSeparatorOfLevelsAndOneOfValuesAreToldApart() {
        MappedField trade = of(
                guess(
                        null,
                        "trade",
                        List.of("Food > Coffee; Food > Tea", "Boats > Rope", "Food > Tea", "Boats > Rope; Food > Tea")),
                "trade");
        assertThat(trade.kind()).isEqualTo(FieldKind.CATEGORY);
        assertThat(trade.separator()).isEqualTo(";");
        assertThat(trade.levels()).isEqualTo(">");
    }

    @Test
    void sentencesWithBarsBetweenThemAreSeveralTexts() {
        MappedField reviews = of(
                guess(
                        null,
                        "reviews",
                        List.of(
                                "She re-laid my hammock, and would not take extra. | Bought a bell rope; good.",
                                "Nobody was in a hurry here at all, least of all the cat.",
                                "Slow. | Lovely.",
                                "We came twice and will come again, whatever the weather.")),
                "reviews");
        assertThat(reviews.kind()).isEqualTo(FieldKind.TEXT);
        assertThat(reviews.separator()).isEqualTo("|");
    }

    @Test
    void theOrderOfDayAndMonthIsToldFromDaysThatHaveOnlyOneReading() {
        assertThat(of(guess(null, "on", List.of("31/05/2026", "01/06/2026", "02/06/2026", "03/06/2026")), "on")
                        .dates())
                .isEqualTo(DateForm.DAY_FIRST);
        assertThat(of(guess(null, "on", List.of("05/31/2026", "06/01/2026", "06/02/2026", "06/03/2026")), "on")
                        .dates())
                .isEqualTo(DateForm.MONTH_FIRST);
    }

    @Test
    void decimalCommasAndUnitsAreRecognised() {
        MappedField price = of(guess(null, "price", List.of("1.234,50", "12,00", "7,25", "980,00")), "price");
        assertThat(price.kind()).isEqualTo(FieldKind.MONEY);
        assertThat(price.decimalComma()).isTrue();
        assertThat(of(guess(null, "area", List.of("64 m²", "80 m²", "12 m²", "31 m²")), "area")
                        .unit())
                .isEqualTo("m²");
    }

    @Test
    void columnsThatEveryCollectionHasAreKnownByTheirNames() {
        Mapping mapping = guess(
                null,
                "Headline",
                List.of("One", "Two", "Three", "Four"),
                "pubDate",
                List.of("2026-01-01", "2026-01-02", "2026-01-03", "2026-01-04"),
                "Image URL",
                List.of("/a.jpg", "/b.jpg", "/c.jpg", "/d.jpg"),
                "image alt",
                List.of("A", "B", "C", "D"),
                "lat",
                List.of("47.1", "47.2", "47.3", "47.4"),
                "lng",
                List.of("-32.1", "-32.2", "-32.3", "-32.4"),
                "town",
                List.of("Inkwell", "Skarn", "Pell", "Otter"));
        assertThat(mapping.idColumn()).isEqualTo("id");
        assertThat(of(mapping, "title").column()).isEqualTo("Headline");
        assertThat(of(mapping, "published").column()).isEqualTo("pubDate");
        assertThat(of(mapping, "image").alternative()).isEqualTo("image alt");
        assertThat(of(mapping, "place")).satisfies(place -> {
            assertThat(place.column()).isEqualTo("lat");
            assertThat(place.longitude()).isEqualTo("lng");
            assertThat(place.placeName()).isEqualTo("town");
        });
        assertThat(mapping.fields()).as("each column is used once").hasSize(4);
    }

    @Test
    void whatAPageSaysTwiceIsTakenOnce() {
        Mapping mapping = guess(
                null,
                "title",
                List.of("One", "Two", "Three", "Four"),
                "schema.name",
                List.of("One", "Two", "Three", "Four"),
                "schema.geo",
                List.of(
                        Map.of("lat", 1, "lon", 2),
                        Map.of("lat", 1, "lon", 3),
                        Map.of("lat", 1, "lon", 4),
                        Map.of("lat", 1, "lon", 5)),
                "language",
                List.of("en", "en", "en", "en"));
        assertThat(mapping.fields()).extracting(MappedField::column).containsExactly("title", "schema.geo");
        assertThat(of(mapping, "place").kind()).isEqualTo(FieldKind.PLACE);
    }

    @Test
    void aFieldThatTheCollectionHasKeepsItsKindAndLabel() {
        Collection makers = new Collection(
                new CollectionKey("makers"),
                "Makers",
                "en",
                List.of(new Field(new FieldKey("since"), FieldKind.CODE, "since", "Founded in")));
        MappedField since = of(guess(makers, "since", List.of("1812", "1790", "1902", "2011")), "since");
        assertThat(since.kind()).isEqualTo(FieldKind.CODE);
        assertThat(since.label()).isEqualTo("Founded in");
    }

    @Test
    void withoutANameForItTheIdIsWhatTellsRecordsApart() {
        Map<String, List<Object>> samples = new LinkedHashMap<>();
        samples.put("colour", List.of("red", "red", "blue"));
        samples.put("what", List.of("boat", "hut", "rope"));
        assertThat(Objects.requireNonNull(MappingGuess.of(samples, null)).idColumn())
                .isEqualTo("what");
        samples.put("Url", List.of("/a", "/b", "/c"));
        assertThat(Objects.requireNonNull(MappingGuess.of(samples, null)).idColumn())
                .isEqualTo("Url");
        assertThat(MappingGuess.of(Map.of(), null)).isNull();
    }

    @ParameterizedTest
    @CsvSource({
        "Price (EUR),priceEur",
        "schema.recipeYield,recipeYield",
        "Größe,grosse",
        "isles:island,island",
        "2nd name,field2ndName",
        "step free,stepFree"
    })
    void namesOfColumnsBecomeKeysOfFields(String column, String property) {
        assertThat(MappingGuess.property(column)).isEqualTo(property);
        assertThat(FieldKey.fits(property)).isTrue();
    }

    @Test
    void addressesOfTheWebAreNoTrees() {
        for (List<String> addresses : List.of(
                List.of("www.isles.example/a/b", "www.isles.example/c", "isles.example/d", "http://isles.example/e"),
                List.of(
                        "https://isles.example/a",
                        "ftp://isles.example/b",
                        "https://isles.example/c",
                        "https://isles.example/d"))) {
            MappedField field = of(guess(null, "homepage", addresses), "homepage");
            assertThat(field.kind()).as("%s", addresses).isEqualTo(FieldKind.TEXT);
            assertThat(field.levels()).isNull();
        }
        assertThat(of(guess(null, "kindOf", List.of("a/b", "a/c", "a/b", "a/d")), "kindOf")
                        .levels())
                .as("paths still are")
                .isEqualTo("/");
    }

    @Test
    void aFewCellsOfSeveralValuesAreEnoughIfTheirPartsAreValuesElsewhere() {
        List<String> roles = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            roles.add(List.of("program", "library", "data", "documentation").get(i % 4));
        }
        roles.set(7, "program; data");
        roles.set(11, "library; documentation");
        assertThat(ofMany("role", roles).separator()).isEqualTo(";");
        List<String> names = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            names.add("Name " + i);
        }
        names.set(7, "One thing; another");
        assertThat(ofMany("label", names).separator())
                .as("a sign in a name parts nothing")
                .isNull();
    }

    private static MappedField ofMany(String column, List<String> values) {
        Map<String, List<Object>> samples = new LinkedHashMap<>();
        samples.put(
                "id",
                IntStream.range(0, values.size()).<Object>mapToObj(n -> "i" + n).toList());
        samples.put(column, List.copyOf(values));
        return of(Objects.requireNonNull(MappingGuess.of(samples, null)), column);
    }
}
