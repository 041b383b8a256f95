package tidylantern.core.content;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Values that cannot exist in a wrong state, and say why. */
class ContentValuesTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "North Isle/Pell Harbour | north-isle/pell-harbour | Pell Harbour",
                "/Thrum//Carder's Hythe/ | thrum/carder~27.s-hythe | Carder's Hythe",
                "Cloth & Wool | cloth-~26.-wool | Cloth & Wool",
                "Čapek/Élan | capek/elan | Élan",
                "漁/港 | 漁/港 | 港"
            })
    void aCategoryIsKnownByItsPath(String written, String key, String label) {
        CategoryPath path = CategoryPath.parse(written);
        assertThat(path.key()).isEqualTo(key);
        assertThat(path.label()).isEqualTo(label);
    }

    @Test
    void aTreeHasAnEnd() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> CategoryPath.parse("a/".repeat(33)))
                .withMessageContaining("32 are the most");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "https://a.example/b?c=d#e",
                "http://a.example",
                "/path",
                "//cdn.example/x.png",
                "page.html",
                "/fête/crêpes",
                "?q=1"
            })
    void addressesThatVisitorsMayBeSentTo(String address) {
        assertThat(Addresses.safe(address)).isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "javascript:alert(1)",
                "JaVaScRiPt:alert(1)",
                " javascript:alert(1)",
                "java\nscript:alert(1)",
                "data:text/html,x",
                "vbscript:x",
                "file:///etc/passwd",
                "https:",
                "https:///x",
                "\\\\server\\x",
                "",
                "a b"
            })
    void addressesThatNeverBecomeAValue(String address) {
        assertThat(Addresses.safe(address)).isFalse();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "1st", "_a", "a b", "é", "a.b"})
    void whatCannotNameAField(String name) {
        assertThat(FieldKey.fits(name)).isFalse();
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new FieldKey(name))
                .withMessageContaining("cannot name a field");
    }

    @Test
    void idsAndKeysHaveTheirBounds() {
        assertThatIllegalArgumentException().isThrownBy(() -> new ItemId(" "));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new ItemId("x".repeat(201)))
                .withMessageContaining("200 are the most");
        assertThatIllegalArgumentException().isThrownBy(() -> new ItemId("a\u0000b"));
        assertThatIllegalArgumentException().isThrownBy(() -> new CollectionKey("Posts"));
        assertThat(new ItemRef(new CollectionKey("posts"), new ItemId("a/b"))).hasToString("posts/a/b");
    }

    @Test
    void aFieldsKeyHasOneKindInASite() {
        Field number = new Field(new FieldKey("length"), FieldKind.NUMBER, "length", "Length");
        Field text = new Field(new FieldKey("length"), FieldKind.TEXT, "length", "Length");
        Collection films = new Collection(new CollectionKey("films"), "Films", "en", List.of(number));
        Collection books = new Collection(new CollectionKey("books"), "Books", "en", List.of(text));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new SiteContent(List.of(films, books)))
                .withMessageContaining("is text in \"books\" and number elsewhere");
        assertThat(new SiteContent(List.of(films)).kind(new FieldKey("length"))).isEqualTo(FieldKind.NUMBER);
        assertThat(new SiteContent(List.of(films)).kind(new FieldKey("width"))).isNull();
    }

    @ParameterizedTest
    @CsvSource({
        "bookingCode, Booking code",
        "sea_view, Sea view",
        "url, Address",
        "petsWelcome2, Pets welcome2",
        "title, Title"
    })
    void labelsAreReadFromProperties(String property, String label) {
        assertThat(Field.labelFrom(property)).isEqualTo(label);
    }
}
