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
import tidylantern.core.place.Gazetteer;
import tidylantern.core.place.GazetteerFixture;

class MappingGuessTest {
    private static final Gazetteer NOWHERE = Gazetteer.empty();

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
        return Objects.requireNonNull(MappingGuess.of(samples(columns), existing, NOWHERE));
    }

    private static MappedField of(Mapping mapping, String property) {
        return mapping.fields().stream()
                .filter(field ->
                        field.property().equals(property) || field.column().equals(property))
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
                "0123; 0045; 0911; 0007 | CODE",
                "12; n/a; 30; - | NUMBER",
                "Jun 12 1998; Jul 4 2008; May 1, 2010; Dec 31 1999 | DATE",
                "12. Juni 1998; 4. Juli 2008; 1. Mai 2010; 31. Dezember 1999 | DATE",
                "12 juin 1998; 4 juillet 2008; 1er mai 2010; 31 décembre 1999 | DATE",
                "31 de mayo de 2026; 1 de enero de 2026; 2 de abril de 2026; 9 de julio de 2026 | DATE",
                "12 maart 1998; 4 juli 2008; 1 mei 2010; 31 december 1999 | DATE",
                "20260531; 20260601; 20250130; 20260228 | DATE",
                "2026-05-01, 2026-06-01; 2026-05-08; 2026-05-15, 2026-07-01; 2026-05-22 | DATE",
                "ja; nein; nein; ja | YES_NO",
                "oui; non; non; oui | YES_NO",
                "sí; no; no; sí | YES_NO",
                "nee; ja; nee; ja | YES_NO",
                "1; 0; 0; 1 | NUMBER",
                "45 min; 1 h 20; 2 h; 1h05 | NUMBER",
                "12 km; 7 km; 30 km; 4 km | NUMBER",
                "12 CHF; 7 EUR; 30 USD; 4 GBP | MONEY",
                "12 ABC; 7 XYZ; 30 QQQ; 4 WWW | TEXT",
                "AD; FR; ES; IT | CODE",
                "Soup; Cake; Stew; Tart | TEXT",
                "#c93f38; #6e544b; #11aa00; #ffffff | CODE",
                "1.0.2; 2.1.0; 3.0.0-rc1; 0.9.8 | CODE",
                "1.0.2; 2.1.0; 3.0.0; 0.9.8 | CODE",
                "1.5e-05; .5; 2; 3.25 | NUMBER",
                "09:30; 10:00; 18:30; 07:15 | TEXT",
                "www.isles.example/a; www.isles.example/b; isles.example/c; https://isles.example | LINK",
                "https://isles.example/a; https://isles.example/b; ask us; https://isles.example/c | TEXT",
                "/a.jpg; /b.png; /c.webp; https://isles.example/d.jpg?size=2 | IMAGE"
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
    void unitsAndMoneyStandInHeaders() {
        Mapping mapping = guess(
                null,
                "Weight in lbs",
                List.of("12", "7", "30", "4"),
                "elevation_ft",
                List.of("120", "70", "300", "40"),
                "Running Time min",
                List.of("90", "110", "95", "130"),
                "Beak Length (mm)",
                List.of(39.1, 40.3, 36.7, 39.3),
                "Production Budget",
                List.of("8000", "1200", "900", "7000"),
                "Price (EUR)",
                List.of("12", "7.5", "30", "4"),
                "Rent",
                List.of("620", "510", "480", "900"),
                "Currency",
                List.of("EUR", "GBP", "EUR", "EUR"));
        assertThat(mapping.fields())
                .extracting(
                        MappedField::label, field -> field.kind().toString(), MappedField::unit, MappedField::currency)
                .contains(
                        tuple("Weight", "number", "lbs", null),
                        tuple("Elevation", "number", "ft", null),
                        tuple("Running Time", "number", "min", null),
                        tuple("Beak Length", "number", "mm", null),
                        tuple("Production Budget", "money", null, "Currency"),
                        tuple("Price (EUR)", "money", null, "EUR"),
                        tuple("Rent", "money", null, "Currency"));
    }

    @ParameterizedTest
    @CsvSource({
        "TOP,number",
        "ALL ITEMS,number",
        "COST IN EUR,money",
        "Total [CHF],money",
        "Takings $,money",
        "Bookings,number"
    })
    void wordsInCapitalsAreNoCurrenciesByThemselves(String header, String kind) {
        assertThat(of(guess(null, header, List.of("12", "7", "30", "4")), header)
                        .kind())
                .hasToString(kind);
    }

    @Test
    void ofLongTextsTheShorterSumsUpAndTheLongestIsTheText() {
        String sentence = "It stands on the quay and is open whenever the ferry is late. ";
        List<Object> brief = new ArrayList<>();
        List<Object> whole = new ArrayList<>();
        List<Object> names = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            names.add("Shed number " + i);
            brief.add("Line " + i + ": a shed with a kettle and a view of the boats, no more.");
            whole.add(sentence.repeat(3 + i));
        }
        Mapping mapping = guess(null, "What it is", whole, "In a line", brief, "Shed", names);
        assertThat(of(mapping, "title").column()).isEqualTo("Shed");
        assertThat(of(mapping, "title").label()).isEqualTo("Shed");
        assertThat(of(mapping, "summary").column()).isEqualTo("In a line");
        assertThat(of(mapping, "body").column()).isEqualTo("What it is");
        Mapping called = guess(null, "description", whole, "shortDescription", brief, "name", names);
        assertThat(of(called, "summary").column()).isEqualTo("shortDescription");
        assertThat(of(called, "body").column()).isEqualTo("description");
    }

    @Test
    void commasPartValuesWhereTheCellsAreMadeOfFewer() {
        List<String> origins = new ArrayList<>();
        List<String> names = new ArrayList<>();
        List<String> tongues = new ArrayList<>();
        List<String> islands = List.of("Oyle", "Thrum", "Farrow", "Marrow Isle", "North Isle");
        for (int i = 0; i < 60; i++) {
            origins.add(islands.get(i % 5) + (i % 3 == 0 ? ", " + islands.get((i / 3 + 1) % 5) : ""));
            names.add("Name " + i + (i % 3 == 0 ? ", the " + i + "th" : ""));
            tongues.add(List.of("en", "fr", "de,en", "nl").get(i % 4));
        }
        assertThat(ofMany("origin", origins).separator()).isEqualTo(",");
        assertThat(ofMany("label", names).separator()).isNull();
        assertThat(ofMany("spoken", tongues).separator()).isEqualTo(",");
    }

    @Test
    void aSlashMakesATreeOnlyWhereParentsRecur() {
        List<String> models = new ArrayList<>();
        List<String> zones = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            models.add("Model" + i + "/" + i);
            zones.add(List.of("North", "South", "East").get(i % 3) + "/Harbour " + i);
        }
        assertThat(ofMany("model", models).levels()).isNull();
        List<String> some = new ArrayList<>(models);
        for (int i = 0; i < 16; i++) {
            some.set(i, "Model" + i);
        }
        assertThat(ofMany("model", some).levels())
                .as("those without a slash are no parents")
                .isNull();
        assertThat(ofMany("zone", zones).levels()).isEqualTo("/");
    }

    @Test
    void timesSince1970AreDaysWhereTheColumnIsCalledSo() {
        List<Object> times = List.of(1517966773840L, 1517950582750L, 1517937631060L, 1517861422000L);
        assertThat(of(guess(null, "updated", times), "updated").kind()).isEqualTo(FieldKind.DATE);
        assertThat(of(guess(null, "phone", times), "phone").kind()).isEqualTo(FieldKind.NUMBER);
        List<Object> parcels = List.of(1_517_966_773_840_123_456L, 1_517_950_582_750_123_456L, 12L, 7L);
        assertThat(of(guess(null, "parcel", parcels), "parcel").kind())
                .as("too long to reckon with")
                .isEqualTo(FieldKind.CODE);
        assertThat(of(
                                guess(
                                        null,
                                        "latlng",
                                        List.of(List.of(12.5, -69.9), List.of(44, 18), List.of(4, -72), List.of(1, 2))),
                                "latlng")
                        .kind())
                .isEqualTo(FieldKind.PLACE);
    }

    @Test
    void whatWasGuessedWithDoubtSaysWhatSpeaksAgainstIt() {
        List<Object> mixed = new ArrayList<>();
        List<Object> days = new ArrayList<>();
        List<Object> origins = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            mixed.add(i == 7 ? "about a dozen" : String.valueOf(10 + i));
            days.add("0" + (1 + i % 9) + "/0" + (1 + i % 8) + "/2026");
            origins.add(List.of("Oyle", "Oyle, Thrum", "Thrum, Farrow", "Farrow, Oyle")
                    .get(i % 4));
        }
        Map<String, List<Object>> samples = new LinkedHashMap<>();
        samples.put("id", IntStream.range(0, 20).<Object>mapToObj(n -> "i" + n).toList());
        samples.put(
                "name",
                IntStream.range(0, 20).<Object>mapToObj(n -> "Boat " + n).toList());
        samples.put("seats", mixed);
        samples.put("on", days);
        samples.put("origin", origins);
        Mapping mapping = Objects.requireNonNull(MappingGuess.of(samples, null, NOWHERE));
        assertThat(Doubts.of(mapping, samples, NOWHERE).entrySet())
                .extracting(Map.Entry::getKey, Map.Entry::getValue)
                .contains(
                        tuple("on", "Each of these days can be read with the month first, too."),
                        tuple("origin", "Several values stand in a cell, with commas between them."))
                .anySatisfy(doubt -> assertThat(doubt.toList().toString()).contains("about a dozen"));
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
        assertThat(Objects.requireNonNull(MappingGuess.of(samples, null, NOWHERE))
                        .idColumn())
                .isEqualTo("what");
        samples.put("Url", List.of("/a", "/b", "/c"));
        assertThat(Objects.requireNonNull(MappingGuess.of(samples, null, NOWHERE))
                        .idColumn())
                .isEqualTo("Url");
        assertThat(MappingGuess.of(Map.of(), null, NOWHERE)).isNull();
    }

    @ParameterizedTest
    @CsvSource({
        "Price (EUR),priceEur",
        "schema.recipeYield,recipeYield",
        "Größe,grosse",
        "US Gross,usGross",
        "MPAA Rating,mpaaRating",
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
            boolean canBeFollowed = addresses.stream().noneMatch(address -> address.startsWith("ftp:"));
            assertThat(field.kind()).as("%s", addresses).isEqualTo(canBeFollowed ? FieldKind.LINK : FieldKind.TEXT);
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
        return of(Objects.requireNonNull(MappingGuess.of(samples, null, NOWHERE)), column);
    }

    @Test
    void townsPlaceItemsWhereNothingSaysCoordinates() {
        List<Object> towns = List.of("Skarn", "Oyle", "Skarn", "Marrow", "Thole", "Brill", "Nowhere at all");
        GazetteerFixture world = new GazetteerFixture();
        List.of("Skarn", "Oyle", "Marrow", "Thole", "Brill")
                .forEach(town -> world.place(town, "QH", "01", 4_000, 47.5, -32.25));
        world.place("Oyle", "QH", "02", 90, 46, -30);
        Map<String, List<Object>> samples = samples("town", towns);
        Mapping mapping = Objects.requireNonNull(MappingGuess.of(samples, null, world.gazetteer()));
        assertThat(mapping.fields())
                .extracting(MappedField::property, MappedField::kind, MappedField::column)
                .as("beside what else the column is")
                .contains(tuple("place", FieldKind.PLACE, "town"))
                .anyMatch(one ->
                        one.toList().get(2).equals("town") && one.toList().get(1) != FieldKind.PLACE);
        assertThat(Doubts.of(mapping, samples, world.gazetteer()).get("place"))
                .isEqualTo("Placed by the names of towns: 5 of 6 are known; items of others have no place."
                        + " 1 stand for several places, of which the largest is taken.");
        Map<String, List<Object>> placed = samples("town", towns, "lat", List.of("1", "2"), "lon", List.of("3", "4"));
        assertThat(Objects.requireNonNull(MappingGuess.of(placed, null, world.gazetteer()))
                        .fields())
                .as("coordinates say it better")
                .filteredOn(field -> field.kind() == FieldKind.PLACE)
                .extracting(MappedField::column)
                .containsExactly("lat");
        assertThat(Objects.requireNonNull(MappingGuess.of(samples, null, NOWHERE))
                        .fields())
                .as("names that nobody knows place nothing")
                .noneMatch(field -> field.kind() == FieldKind.PLACE);
    }
}
