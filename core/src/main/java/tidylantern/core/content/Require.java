package tidylantern.core.content;

import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;

/** The one way in which a value refuses to exist in a wrong state. */
public final class Require {
    private static final int SHOWN = 60;

    private Require() {}

    /** @throws IllegalArgumentException naming {@code what} unless the text has at most so many bytes in UTF-8 */
    static void shortEnough(String text, int mostBytes, String what) {
        // Characters first: most texts are far too short to be counted.
        if (text.length() > mostBytes / 3) {
            int bytes = text.getBytes(StandardCharsets.UTF_8).length;
            require(bytes <= mostBytes, "%s has %,d bytes; %,d are the most: %s", what, bytes, mostBytes, shown(text));
        }
    }

    /** A value in quotes, cut where it is long, for a message. */
    public static String shown(@Nullable Object value) {
        String text = String.valueOf(value);
        return "\"" + (text.length() > SHOWN ? text.substring(0, SHOWN) + "…" : text) + "\"";
    }

    /**
     * @param message a {@link String#formatted} pattern that says what was wrong and the way out
     * @throws IllegalArgumentException with that message, unless {@code holds}
     */
    public static void require(boolean holds, String message, @Nullable Object... values) {
        if (!holds) {
            throw new IllegalArgumentException(message.formatted(values));
        }
    }
}
