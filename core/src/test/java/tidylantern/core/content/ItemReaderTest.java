package tidylantern.core.content;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ItemReaderTest {
    private static FieldValue read(FieldKind kind, Object loose) throws ItemRefused {
        Collection collection = new Collection(
                new CollectionKey("homes"), "Homes", "en", List.of(new Field(new FieldKey("f"), kind, "f", "F")));
        FieldValue value = new ItemReader(collection)
                .read(new ItemId("1"), Map.of("f", loose))
                .values()
                .get(new FieldKey("f"));
        return value;
    }

    @ParameterizedTest
    @ValueSource(strings = {"1e-999999999", "1e999999999", "1E+16", "0.12345678901234567890123456789012345", "1e-41"})
    void aNumberThatWouldFillTheMemoryIsRefused(String number) {
        assertThatThrownBy(() -> Numbers.read(number)).isInstanceOf(IllegalArgumentException.class);
        assertThat(Numbers.written(new BigDecimal(number)).length())
                .as("written for people")
                .isLessThan(60);
    }

    @ParameterizedTest
    @ValueSource(strings = {"0.1", "-1e15", "0.30000000000000004", "1e-40", "900719925474099", " 7 "})
    void anOrdinaryNumberIsNot(String number) {
        assertThat(Numbers.read(number)).isEqualByComparingTo(number.strip());
    }

    @Test
    void readsEachKindFromWhatJsonCanSay() throws ItemRefused {
        assertThat(read(FieldKind.TEXT, List.of("good", "late"))).isEqualTo(new FieldValue.Text("good\nlate"));
        assertThat(read(FieldKind.NUMBER, "12.50")).isEqualTo(new FieldValue.Numeric(new BigDecimal("12.50")));
        assertThat(read(FieldKind.MONEY, "480 eur")).isEqualTo(new FieldValue.Money(new BigDecimal("480"), "EUR"));
        assertThat(read(FieldKind.MONEY, Map.of("amount", 480)))
                .isEqualTo(new FieldValue.Money(new BigDecimal("480"), null));
        assertThat(read(FieldKind.DATE, List.of("2026-05-02", "2026-05-01", "2026-05-02T08:00:00Z")))
                .isEqualTo(new FieldValue.Dates(List.of(LocalDate.of(2026, 5, 1), LocalDate.of(2026, 5, 2))));
        assertThat(read(FieldKind.PLACE, "47.3, -32.6")).isEqualTo(new FieldValue.Place(47.3, -32.6, null));
        assertThat(read(FieldKind.YES_NO, "no")).isEqualTo(new FieldValue.YesNo(false));
        assertThat(read(FieldKind.IMAGE, Map.of("url", "/a.svg", "alt", "A boat")))
                .isEqualTo(new FieldValue.Image("/a.svg", "A boat"));
        assertThat(read(FieldKind.CODE, " QH-1 ")).isEqualTo(new FieldValue.Codes(List.of("QH-1")));
    }

    @Test
    void aCategoryIsItsPath() throws ItemRefused {
        FieldValue value = read(FieldKind.CATEGORY, List.of("North Isle/Pell Harbour", "Great Quill/Pell Harbour"));
        assertThat(((FieldValue.Categories) value).paths())
                .extracting(CategoryPath::key)
                .as("the same name under two parents is two values")
                .containsExactly("north-isle/pell-harbour", "great-quill/pell-harbour");
    }

    @ParameterizedTest
    @CsvSource({
        "NUMBER, cheap, write a number",
        "DATE, 2026-02-30, write a day",
        "DATE, tomorrow, write a day",
        "YES_NO, perhaps, write true or false",
        "IMAGE, javascript:alert(1), no web address",
        "LINK, data:text/html;x, no web address",
        "LINK, https://, no web address",
        "MONEY, 12 bananas, write a number",
        "PLACE, 91;0, write {\"lat\"",
        "CATEGORY, /, names no category",
        "NUMBER, 1e99, too large"
    })
    void refusesWhatDoesNotFitAndSaysWhatWould(FieldKind kind, String loose, String advice) {
        assertThatThrownBy(() -> read(kind, loose))
                .isInstanceOf(ItemRefused.class)
                .hasMessageContaining("\"f\" is a field of kind " + kind)
                .hasMessageContaining(advice)
                .extracting(refused -> ((ItemRefused) refused).property())
                .isEqualTo("f");
    }

    @Test
    void aPlaceOutsideTheGlobeIsRefused() {
        assertThatThrownBy(() -> read(FieldKind.PLACE, "91, 0")).hasMessageContaining("latitude 91.0 is outside");
    }

    @Test
    void controlCharactersGoAndLineBreaksStay() throws ItemRefused {
        assertThat(read(FieldKind.TEXT, "a\u0000b\u001fc\nd\te\ud800")).isEqualTo(new FieldValue.Text("abc\nd\te"));
    }

    @Test
    void emptyValuesAreNoValues() throws ItemRefused {
        Collection collection = new Collection(
                new CollectionKey("c"),
                "C",
                "en",
                List.of(
                        new Field(new FieldKey("tags"), FieldKind.CATEGORY, "tags", "Tags"),
                        new Field(new FieldKey("title"), FieldKind.TEXT, "title", "Title")));
        Item item = new ItemReader(collection).read(new ItemId("1"), new java.util.HashMap<>() {
            {
                put("tags", Arrays.asList());
                put("title", null);
            }
        });
        assertThat(item.values()).isEmpty();
    }

    @Test
    void anItemWithoutATitleIsCalledByItsHeadingWordsOrAddress() {
        ItemRef ref = new ItemRef(new CollectionKey("c"), new ItemId("x"));
        FieldValue body = new FieldValue.Text("Cold water, sixty strokes out and sixty back, every morning.");
        assertThat(new Item(
                                ref,
                                Map.of(
                                        FieldKey.HEADINGS,
                                        new FieldValue.Text("\nSwimming\nLater"),
                                        FieldKey.BODY,
                                        body))
                        .title())
                .isEqualTo("Swimming");
        assertThat(new Item(ref, Map.of(FieldKey.BODY, body)).title())
                .isEqualTo("Cold water, sixty strokes out and sixty back,…");
        assertThat(new Item(ref, Map.of(FieldKey.ADDRESS, new FieldValue.Link("/swim"))).title())
                .isEqualTo("/swim");
        assertThat(new Item(ref, Map.of()).title()).isEqualTo("x");
    }
}
