package tidylantern.server.answer;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tidylantern.core.query.MarkedText;

/**
 * What one part of a card says of one result, as every renderer draws it.
 *
 * @param key of the part in the card's body
 * @param text what visitors read, in runs; of a picture what it shows, which may be nothing
 * @param value the same for the page, where it needs one: an address, a day, a number, a distance in kilometres; else
 *     null
 */
public record CardValue(
        String key,
        As as,
        List<MarkedText.Run> text,
        @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable String value) {
    /** What a renderer makes of it. */
    public enum As {
        TEXT,
        /** {@code value} is where it leads. */
        LINK,
        /** Each run in a frame of its own. */
        CHIPS,
        /** {@code value} holds the signs; the text is for those who hear it. */
        SIGNS,
        /** {@code value} is where the picture is. */
        PICTURE,
        /** A letter in place of a picture. */
        LETTER,
        /** A sign in place of a picture; {@code value} is its outline, as the path of an SVG of 24 by 24. */
        SIGN;

        /** As answers have it. */
        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    static CardValue text(String key, String text) {
        return new CardValue(key, As.TEXT, plain(text), null);
    }

    static List<MarkedText.Run> plain(String text) {
        return text.isEmpty() ? List.of() : List.of(new MarkedText.Run(text, false));
    }

    /** All that is seen of it in one line, without marks. */
    public String seen() {
        if (as == As.SIGNS && value != null) {
            return value;
        }
        return text.stream().map(MarkedText.Run::text).collect(Collectors.joining(as == As.CHIPS ? " | " : ""));
    }
}
