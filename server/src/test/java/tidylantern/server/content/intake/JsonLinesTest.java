package tidylantern.server.content.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class JsonLinesTest {
    private static List<JsonLines.Line> lines(InputStream body) throws IOException {
        JsonLines lines = new JsonLines(body);
        List<JsonLines.Line> all = new ArrayList<>();
        for (JsonLines.Line line = lines.next(); line != null; line = lines.next()) {
            all.add(line);
        }
        return all;
    }

    private static List<JsonLines.Line> lines(String body) throws IOException {
        return lines(new ByteArrayInputStream(body.getBytes(StandardCharsets.UTF_8)));
    }

    private static JsonLines.Line read(int number, String text) {
        return new JsonLines.Line(number, text, null);
    }

    /** A body as networks bring it: now a byte, now a stretch. */
    private static InputStream inPieces(String body, Random random) {
        return new ByteArrayInputStream(body.getBytes(StandardCharsets.UTF_8)) {
            @Override
            public synchronized int read(byte[] into, int from, int most) {
                return super.read(into, from, Math.min(most, 1 + random.nextInt(40_000)));
            }
        };
    }

    /** Held against splitting the whole: lines of any length, ends of them anywhere in what arrives at once. */
    @Test
    void linesAreTheSameHoweverTheyArrive() throws IOException {
        Random random = new Random(20);
        for (int round = 0; round < 50; round++) {
            List<String> written = new ArrayList<>();
            for (int n = random.nextInt(12); n >= 0; n--) {
                written.add((random.nextBoolean() ? "é" : "x").repeat(random.nextInt(4) * random.nextInt(30_000)));
            }
            List<JsonLines.Line> expected = new ArrayList<>();
            for (int n = 0; n < written.size(); n++) {
                if (!written.get(n).isEmpty()) {
                    expected.add(read(n + 1, written.get(n)));
                }
            }
            String body = String.join("\n", written) + (random.nextBoolean() ? "\n" : "");
            assertThat(lines(inPieces(body, random))).isEqualTo(expected);
        }
    }

    @Test
    void blankLinesCountButSayNothing() throws IOException {
        assertThat(lines("")).isEmpty();
        assertThat(lines("\n \n\r\n")).isEmpty();
        assertThat(lines("\uFEFF{}\n\n{\"a\": 1}")).containsExactly(read(1, "{}"), read(3, "{\"a\": 1}"));
    }

    @Test
    void aLineThatIsTooLongIsToldAndTheNextOneRead() throws IOException {
        List<JsonLines.Line> read = lines("x".repeat(JsonLines.MOST_BYTES + 1) + "\n{}\n" + "y".repeat(3_000_000));
        assertThat(read).hasSize(3);
        assertThat(read.get(0).text()).isNull();
        assertThat(read.get(0).fault()).contains("1,000,001 bytes; 1,000,000 are the most");
        assertThat(read.get(1)).isEqualTo(read(2, "{}"));
        assertThat(read.get(2).fault()).contains("3,000,000 bytes");
        assertThat(lines("z".repeat(JsonLines.MOST_BYTES)).getFirst().text()).hasSize(JsonLines.MOST_BYTES);
    }

    @Test
    void aLineInAnotherEncodingIsToldAndTheNextOneRead() throws IOException {
        byte[] latin = "{\"title\": \"Café\"}\n{}".getBytes(StandardCharsets.ISO_8859_1);
        List<JsonLines.Line> read = lines(new ByteArrayInputStream(latin));
        assertThat(read.get(0).fault()).contains("not UTF-8");
        assertThat(read.get(1)).isEqualTo(read(2, "{}"));
    }
}
