package tidylantern.core.content;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class KindGuessTest {
    static Stream<Arguments> samples() {
        return Stream.of(
                Arguments.of("title", List.of("2026-05-01"), FieldKind.TEXT),
                Arguments.of("garden", List.of(true, false), FieldKind.YES_NO),
                Arguments.of("bedrooms", List.of(2, 3), FieldKind.NUMBER),
                Arguments.of("price", List.of(480, 520.5), FieldKind.MONEY),
                Arguments.of("rent", List.of(Map.of("amount", 3, "currency", "EUR")), FieldKind.MONEY),
                Arguments.of("departures", List.of(List.of("2026-05-01", "2026-06-01")), FieldKind.DATE),
                Arguments.of("place", List.of(Map.of("lat", 47.3, "lon", -32.6)), FieldKind.PLACE),
                Arguments.of("image", List.of(Map.of("url", "/a.svg")), FieldKind.IMAGE),
                Arguments.of("photo", List.of("/a", "/b"), FieldKind.IMAGE),
                Arguments.of("plan", List.of("/files/a.png"), FieldKind.IMAGE),
                Arguments.of("url", List.of("/a"), FieldKind.LINK),
                Arguments.of("homepage", List.of("https://a.example/"), FieldKind.LINK),
                Arguments.of("code", List.of("QH-201/L", "MK-104"), FieldKind.CODE),
                Arguments.of("tags", List.of(List.of("ferry", "winter")), FieldKind.CATEGORY),
                Arguments.of(
                        "tags", List.of(List.of("sea", "boat"), List.of("fish", "crab", "net")), FieldKind.CATEGORY),
                Arguments.of("course", List.of("Soup", "Cake", "Stew", "Tart"), FieldKind.TEXT),
                Arguments.of("homepage", List.of("www.isles.example/a", "www.isles.example/b"), FieldKind.TEXT),
                Arguments.of("unitPrice", List.of(3, 4), FieldKind.MONEY),
                Arguments.of("island", List.of("North Isle/Pell Harbour"), FieldKind.CATEGORY),
                Arguments.of("genres", List.of(List.of(List.of("Game", "Strategy"))), FieldKind.CATEGORY),
                Arguments.of("genre", List.of("game > strategy"), FieldKind.CATEGORY),
                Arguments.of(
                        "deep",
                        List.of(
                                "entity/physical entity/object, physical object/whole, unit/living thing, animate thing/organism, being"),
                        FieldKind.CATEGORY),
                Arguments.of("lists", List.of(List.of(List.of(1, 2))), FieldKind.TEXT),
                Arguments.of("status", List.of("Free", "Taken", "Free", "Free"), FieldKind.CATEGORY),
                Arguments.of("reviews", List.of(List.of("Good", "Late")), FieldKind.TEXT),
                Arguments.of("note", List.of("One thing", "Another thing", "A third"), FieldKind.TEXT),
                Arguments.of("mixed", List.of("word", 12), FieldKind.TEXT),
                Arguments.of("nothing", List.of(), FieldKind.TEXT));
    }

    @ParameterizedTest(name = "{0} of {1} is {2}")
    @MethodSource("samples")
    void guessesFromNameAndValues(String property, List<?> samples, FieldKind expected) {
        assertThat(KindGuess.of(property, samples)).isEqualTo(expected);
    }
}
