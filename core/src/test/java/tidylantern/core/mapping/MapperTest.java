package tidylantern.core.mapping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemRefused;
import tidylantern.core.mapping.Mapping.DateForm;
import tidylantern.core.mapping.Mapping.MappedField;
import tidylantern.core.place.Gazetteer;
import tidylantern.core.place.GazetteerFixture;

/** What becomes of one record. */
class MapperTest {
    private static final String SITE = "https://isles.example";

    private static Map<String, @Nullable Object> record(@Nullable Object... pairs) {
        Map<String, @Nullable Object> record = new HashMap<>(Map.of("id", "x-1"));
        for (int i = 0; i < pairs.length; i += 2) {
            record.put((String) pairs[i], pairs[i + 1]);
        }
        return record;
    }

    private static @Nullable Object mapped(MappedField field, @Nullable Object... pairs) throws ItemRefused {
        return new Mapper(new Mapping("id", List.of(field)), SITE, Gazetteer.empty())
                .map(record(pairs))
                .properties()
                .get(field.property());
    }

    private static MappedField field(FieldKind kind) {
        return new MappedField("it", "It", kind, "c");
    }

    @Test
    void whatSaysATownAndNoCoordinatesIsWhereTheTownIs() throws Exception {
        Gazetteer world = new GazetteerFixture()
                .place("Skarn", "QH", "01", 4_000, 47.5, -32.25)
                .place("Skarn", "QH", "02", 90_000, 46.5, -30.5)
                .gazetteer();
        Mapper mapper = new Mapper(
                new Mapping("id", List.of(new MappedField("where", "Where", FieldKind.PLACE, "town"))), SITE, world);
        assertThat(mapper.map(Map.of("id", "1", "town", " skarn ")).properties())
                .as("of several the largest, by any spelling")
                .containsEntry("where", Map.of("lat", 46.5, "lon", -30.5, "name", "skarn"));
        assertThat(mapper.map(Map.of("id", "1", "town", "Nowhere at all")).properties())
                .as("a name that nobody knows refuses no item")
                .containsEntry("where", null);
        assertThat(mapper.unplaced()).as("and is told").containsExactly("Nowhere at all");
        assertThat(mapper.map(Map.of("id", "1", "town", "47.1, -32"))
                        .properties()
                        .get("where"))
                .isEqualTo(Map.of("lat", new BigDecimal("47.1"), "lon", new BigDecimal("-32")));
        assertThatExceptionOfType(ItemRefused.class)
                .as("coordinates in another spelling are no name")
                .isThrownBy(() -> mapper.map(Map.of("id", "1", "town", "N 47° 5'")));
    }

    @Test
    void idsAndAddressesOfTheSiteItselfAreKeptFromItsRoot() throws Exception {
        Mapper mapper = new Mapper(
                new Mapping("link", List.of(new MappedField("url", "Address", FieldKind.LINK, "link"))),
                SITE,
                Gazetteer.empty());
        Mapper.Mapped here = mapper.map(Map.of("link", SITE + "/journal/ferry"));
        assertThat(here.id().value()).isEqualTo("/journal/ferry");
        assertThat(here.properties()).containsEntry("url", "/journal/ferry");
        assertThat(mapper.map(Map.of("link", SITE)).id().value()).isEqualTo("/");
        assertThat(mapper.map(Map.of("link", SITE + ".elsewhere.example/x"))
                        .id()
                        .value())
                .as("another site whose name begins alike")
                .isEqualTo(SITE + ".elsewhere.example/x");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "12.5 | - | false | 12.5",
                "1,234.50 | - | false | 1234.50",
                "1.234,50 | - | true | 1234.50",
                "64 m² | m² | false | 64",
                "64m² | m² | false | 64",
                "1 234 | - | false | 1234",
                "PT1H30M | min | false | 90",
                "PT1H30M | hours | false | 1.5",
                "P2D | days | false | 2",
                "1'234 | - | false | 1234",
                "−5 | - | false | -5"
            })
    void numbersAreReadAsTheSourceWritesThem(String text, @Nullable String unit, boolean comma, BigDecimal expected)
            throws Exception {
        assertThat(mapped(field(FieldKind.NUMBER).withUnit(unit).withDecimalComma(comma), "c", text))
                .isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "31.5.2026 | DAY_FIRST | 2026-05-31",
                "5/31/2026 | MONTH_FIRST | 2026-05-31",
                "2026-05-31T23:30:00-08:00 | YEAR_FIRST | 2026-05-31",
                "2026/5/1 | YEAR_FIRST | 2026-05-01"
            })
    void daysAreReadInTheOrderThatTheOwnerNames(String text, DateForm form, String day) throws Exception {
        assertThat(mapped(field(FieldKind.DATE).withDates(form), "c", text)).isEqualTo(day);
    }

    @Test
    void whatSaysThatThereIsNothingIsEmptyWhereItCanMeanNothingElse() throws Exception {
        for (FieldKind kind :
                List.of(FieldKind.NUMBER, FieldKind.MONEY, FieldKind.DATE, FieldKind.LINK, FieldKind.IMAGE)) {
            assertThat(mapped(field(kind), "c", "n/a")).as("%s", kind).isNull();
            assertThat(mapped(field(kind), "c", "–")).as("%s", kind).isNull();
        }
        assertThat(mapped(field(FieldKind.CATEGORY), "c", "NA"))
                .as("a continent")
                .isEqualTo("NA");
        assertThat(mapped(field(FieldKind.CATEGORY), "c", "None")).isEqualTo("None");
        assertThat(mapped(field(FieldKind.CATEGORY), "c", "\\N")).isNull();
        assertThat(mapped(field(FieldKind.YES_NO), "c", "-")).as("left open").isEqualTo(false);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Jun 12 1998 | 1998-06-12",
                "Friday, June 12th, 1998 | 1998-06-12",
                "12. Juni 1998 | 1998-06-12",
                "Fri, 12 Jun 1998 08:00:00 GMT | 1998-06-12",
                "1er juin 1998 | 1998-06-01",
                "12 de junio de 1998 | 1998-06-12",
                "12 juni 1998 | 1998-06-12",
                "19980612 | 1998-06-12",
                "1517966773840 | 2018-02-07",
                "1517966773 | 2018-02-07"
            })
    void daysAreReadWithNamesOfMonthsAndAsOneNumber(String text, String day) throws Exception {
        assertThat(mapped(field(FieldKind.DATE), "c", text)).isEqualTo(day);
    }

    @Test
    void durationsAreReadAsPeopleSayThem() throws Exception {
        MappedField minutes = field(FieldKind.NUMBER).withUnit("min");
        for (String text : List.of("1 h 20", "1h20", "80 min", "80", "1 hour 20 minutes", "PT1H20M")) {
            assertThat(mapped(minutes, "c", text)).as(text).isEqualTo(new BigDecimal("80"));
        }
    }

    @Test
    void ofSomebodyWithAnAddressTheNameIsKept() throws Exception {
        assertThat(mapped(field(FieldKind.CATEGORY), "c", "Wick Amory <wick@isles.example>"))
                .isEqualTo("Wick Amory");
        assertThat(mapped(field(FieldKind.TEXT), "c", "\"Wick Amory\" <wick@isles.example>"))
                .isEqualTo("Wick Amory");
        assertThat(mapped(field(FieldKind.TEXT), "c", "a < b and c > d")).isEqualTo("a < b and c > d");
    }

    @Test
    void addressesAreMadeWhole() throws Exception {
        assertThat(mapped(field(FieldKind.LINK), "c", "www.isles.example/a")).isEqualTo("https://www.isles.example/a");
        assertThat(mapped(field(FieldKind.LINK), "c", "https://a.example/a b")).isEqualTo("https://a.example/a%20b");
        assertThat(mapped(field(FieldKind.LINK), "c", "/a/b")).isEqualTo("/a/b");
        assertThat(mapped(field(FieldKind.PLACE), "c", List.of(12.5, -69.9)))
                .isEqualTo(Map.of("lat", new BigDecimal("12.5"), "lon", new BigDecimal("-69.9")));
    }

    @Test
    void severalDaysComeAsAListOrInOneText() throws Exception {
        assertThat(mapped(field(FieldKind.DATE), "c", List.of("2026-05-31", "2026-06-07")))
                .isEqualTo(List.of("2026-05-31", "2026-06-07"));
        assertThat(mapped(field(FieldKind.DATE).splitAt(";"), "c", "2026-05-31; 2026-06-07"))
                .isEqualTo(List.of("2026-05-31", "2026-06-07"));
    }

    @Test
    void categoriesAreFlatOrTrees() throws Exception {
        assertThat(mapped(field(FieldKind.CATEGORY).withLevels(">"), "c", "Food > Coffee"))
                .isEqualTo("Food/Coffee");
        assertThat(mapped(field(FieldKind.CATEGORY).splitAt("|").withLevels(">"), "c", "Food > Coffee | Boats"))
                .isEqualTo(List.of("Food/Coffee", "Boats"));
        assertThat(mapped(field(FieldKind.CATEGORY), "c", "Bed/Breakfast"))
                .as("a slash in a flat name is no level")
                .isEqualTo(List.of("Bed/Breakfast"));
    }

    @Test
    void moneyHasItsCurrencyFromTheAmountAColumnOrTheMapping() throws Exception {
        MappedField plain = field(FieldKind.MONEY);
        assertThat(mapped(plain, "c", "€ 480")).isEqualTo(Map.of("amount", new BigDecimal("480"), "currency", "EUR"));
        assertThat(mapped(plain, "c", "480.-")).isEqualTo(new BigDecimal("480"));
        MappedField beside = new MappedField(
                "it",
                "It",
                FieldKind.MONEY,
                "c",
                null,
                null,
                null,
                "cur",
                null,
                null,
                null,
                DateForm.YEAR_FIRST,
                false);
        assertThat(mapped(beside, "c", "480", "cur", "DKK"))
                .isEqualTo(Map.of("amount", new BigDecimal("480"), "currency", "DKK"));
        MappedField always = new MappedField(
                "it", "It", FieldKind.MONEY, "c", null, null, null, "NOK", null, null, null, DateForm.YEAR_FIRST, true);
        assertThat(mapped(always, "c", "1.480,50"))
                .isEqualTo(Map.of("amount", new BigDecimal("1480.50"), "currency", "NOK"));
    }

    @Test
    void aPlaceComesFromOneColumnOrTwo() throws Exception {
        Map<String, Object> expected = Map.of("lat", new BigDecimal("47.4"), "lon", new BigDecimal("-32.5"));
        assertThat(mapped(field(FieldKind.PLACE), "c", "47.4, -32.5")).isEqualTo(expected);
        assertThat(mapped(field(FieldKind.PLACE).withPlace("lon", null), "c", "47.4", "lon", "-32.5"))
                .isEqualTo(expected);
        assertThat(mapped(
                        field(FieldKind.PLACE).withPlace("lon", "town"),
                        "c",
                        "47.4",
                        "lon",
                        "-32.5",
                        "town",
                        "Inkwell"))
                .asInstanceOf(org.assertj.core.api.InstanceOfAssertFactories.MAP)
                .containsEntry("name", "Inkwell");
        assertThatThrownBy(() -> mapped(field(FieldKind.PLACE).withPlace("lon", null), "c", "47.4"))
                .isInstanceOf(ItemRefused.class)
                .hasMessageContaining("there is a latitude, and nothing in \"lon\"");
    }

    @Test
    void anImageTakesItsAlternativeTextFromAnotherColumn() throws Exception {
        assertThat(mapped(field(FieldKind.IMAGE).withAlternative("alt"), "c", SITE + "/a.svg", "alt", "A boat"))
                .isEqualTo(Map.of("url", "/a.svg", "alt", "A boat"));
        assertThat(mapped(field(FieldKind.IMAGE), "c", Map.of("url", SITE + "/a.svg")))
                .isEqualTo(Map.of("url", "/a.svg"));
    }

    @Test
    void whatTheRecordDoesNotSayIsNull() throws Exception {
        assertThat(new Mapper(new Mapping("id", List.of(field(FieldKind.TEXT))), SITE, Gazetteer.empty())
                        .map(record("c", "  "))
                        .properties())
                .containsEntry("it", null);
        assertThat(mapped(field(FieldKind.TEXT), "c", List.of("", " "))).isNull();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "NUMBER | twelve | write a number such as 12.5",
                "NUMBER | 12 kg | say which unit the field is in",
                "DATE | 31.5.2026 | if day or month come first, say so",
                "YES_NO | perhaps | is neither yes nor no",
                "PLACE | 12 Inkwell harbour | is no \"latitude, longitude\""
            })
    void aValueThatDoesNotFitNamesTheColumnTheKindAndTheWayOut(FieldKind kind, String text, String way) {
        assertThatThrownBy(() -> mapped(field(kind), "c", text))
                .isInstanceOf(ItemRefused.class)
                .hasMessageContaining("\"c\"")
                .hasMessageContaining(kind.toString())
                .hasMessageContaining(way);
    }

    @Test
    void aRecordWithoutAnIdIsRefused() {
        assertThatThrownBy(() -> new Mapper(new Mapping("key", List.of(field(FieldKind.TEXT))), SITE, Gazetteer.empty())
                        .map(record("c", "x")))
                .isInstanceOf(ItemRefused.class)
                .hasMessageContaining("nothing in the id column \"key\"");
    }

    @Test
    void aMappingThatCannotHoldNamesItsKey() {
        assertThatThrownBy(() -> new Mapping("id", List.of()))
                .isInstanceOfSatisfying(
                        MappingFault.class, fault -> assertThat(fault.key()).isEqualTo("fields"));
        assertThatThrownBy(() -> new Mapping("id", List.of(field(FieldKind.TEXT), field(FieldKind.DATE))))
                .isInstanceOfSatisfying(
                        MappingFault.class, fault -> assertThat(fault.key()).isEqualTo("fields[1].property"));
        assertThatThrownBy(() -> new MappedField("id", "Id", FieldKind.TEXT, "id"))
                .isInstanceOf(MappingFault.class)
                .hasMessageContaining("give the field another name");
    }
}
