package tidylantern.core.index;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WordPiecesTest {
    private static String pieces(String written) {
        return String.join(
                " ",
                WordPieces.of(written).stream()
                        .map(piece -> written.substring(piece.from(), piece.to()))
                        .toList());
    }

    @ParameterizedTest
    @CsvSource({
        "LocalDateTime, Local Date Time", "HTTPServer, HTTP Server", "parseURL, parse URL", "iso8601, iso 8601",
                "UTF8Reader, UTF 8 Reader",
        "file_name, file name", "java.time.Instant, java time Instant", "iPhone, i Phone", "ÎleDePell, Île De Pell",
                "10km, 10 km"
    })
    void aWordOfPieces(String written, String pieces) {
        assertThat(pieces(written)).isEqualTo(pieces);
    }

    @ParameterizedTest
    @CsvSource({"harbour", "Harbour", "HARBOUR", "URLs", "2041", "3.14", "don't", "4f3a9c1d77e0b2c6a5d8e1f09b3c"})
    void aWordOfOne(String written) {
        assertThat(WordPieces.of(written)).isEmpty();
    }

    @Test
    void anythingFoundStandsInTheWordAndNothingIsLost() {
        Random random = new Random(7);
        String letters = "aBcD1_.é'Z9x";
        for (int round = 0; round < 20_000; round++) {
            StringBuilder made = new StringBuilder();
            for (int i = random.nextInt(14); i >= 0; i--) {
                made.append(letters.charAt(random.nextInt(letters.length())));
            }
            String written = made.toString();
            List<WordPieces.Piece> pieces = WordPieces.of(written);
            int at = 0;
            for (WordPieces.Piece piece : pieces) {
                assertThat(written.substring(at, piece.from())).as(written).matches("[_.]*");
                assertThat(piece.to()).as(written).isGreaterThan(piece.from());
                at = piece.to();
            }
            assertThat(pieces.isEmpty() ? "" : written.substring(at))
                    .as(written)
                    .matches("[_.]*");
            for (String folded : WordPieces.folded(written)) {
                assertThat(WordPieces.find(written, folded))
                        .as("%s in %s", folded, written)
                        .isNotNull();
            }
        }
    }
}
