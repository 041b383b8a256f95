package tidylantern.server.content.intake;

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
    private final byte[] read = new byte[1 << 16];
    /** Where in {@link #read} the next line begins, and where what was read ends. */
    private int from;

    private int to;
    private int number;

    JsonLines(InputStream body) {
        this.body = body;
    }

    /** The next line that is not blank, or null at the end. */
    @Nullable Line next() throws IOException {
        while (readOn()) {
            number++;
            ByteArrayOutputStream bytes = new ByteArrayOutputStream(1 << 10);
            long length = restOfLine(bytes);
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
        return null;
    }

    /**
     * Reads up to the end of a line, a stretch at a time.
     *
     * @param bytes gets the first {@value #MOST_BYTES} of it at least
     * @return how many there are, without the line's end
     */
    private long restOfLine(ByteArrayOutputStream bytes) throws IOException {
        long length = 0;
        while (readOn()) {
            int end = from;
            while (end < to && read[end] != '\n') {
                end++;
            }
            if (length <= MOST_BYTES) {
                bytes.write(read, from, end - from);
            }
            length += end - from;
            boolean ends = end < to;
            from = ends ? end + 1 : end;
            if (ends) {
                break;
            }
        }
        return length;
    }

    /** Whether there is a byte more. */
    private boolean readOn() throws IOException {
        if (from == to) {
            from = 0;
            to = Math.max(0, body.read(read));
        }
        return from < to;
    }
}
