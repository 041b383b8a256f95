package tidylantern.server.content.intake;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;

/**
 * Reads the lines of a JSON Lines body one by one, holding no more than one. A line that is too long or no UTF-8 is
 * told as such, and the next one is read as if nothing had happened.
 */
final class JsonLines {
    /** A longer line is refused; one item's texts fit many times over. */
    static final int MOST_BYTES = 1_000_000;

    /**
     * @param number 1 for the first line of the body
     * @param text null where {@code fault} says why there is none
     */
    record Line(int number, @Nullable String text, @Nullable String fault) {}

    private final InputStream body;
    private int number;

    JsonLines(InputStream body) {
        this.body = new BufferedInputStream(body, 1 << 16);
    }

    /** The next line that is not blank, or null at the end. */
    @Nullable Line next() throws IOException {
        while (true) {
            ByteArrayOutputStream bytes = new ByteArrayOutputStream(1 << 10);
            long length = 0;
            int b = body.read();
            if (b < 0) {
                return null;
            }
            number++;
            for (; b >= 0 && b != '\n'; b = body.read()) {
                length++;
                if (length <= MOST_BYTES) {
                    bytes.write(b);
                }
            }
            if (length > MOST_BYTES) {
                return new Line(
                        number,
                        null,
                        "the line has %,d bytes; %,d are the most for one item".formatted(length, MOST_BYTES));
            }
            String text;
            try {
                text = StandardCharsets.UTF_8
                        .newDecoder()
                        .onMalformedInput(CodingErrorAction.REPORT)
                        .onUnmappableCharacter(CodingErrorAction.REPORT)
                        .decode(ByteBuffer.wrap(bytes.toByteArray()))
                        .toString();
            } catch (CharacterCodingException otherEncoding) {
                return new Line(number, null, "the line is not UTF-8; send the body in that encoding");
            }
            if (number == 1 && text.startsWith("\uFEFF")) {
                text = text.substring(1);
            }
            if (!text.isBlank()) {
                return new Line(number, text, null);
            }
        }
    }
}
