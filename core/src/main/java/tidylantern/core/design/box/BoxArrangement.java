package tidylantern.core.design.box;

import java.util.Locale;
import java.util.Objects;

/**
 * What stands in a search box, and how it opens, in one range of widths.
 *
 * @param heading whether a heading stands above it
 * @param label whether its label is seen; it is heard in any case
 * @param placeholder whether a few words stand in it while it is empty
 * @param clear where the cross stands that empties it
 */
public record BoxArrangement(
        Opening opening, Boolean heading, Boolean label, Boolean placeholder, BoxButton button, Clear clear) {
    // Null takes its default here, as it does where a document leaves a key out.
    @SuppressWarnings("NullAway")
    public BoxArrangement {
        opening = Objects.requireNonNullElse(opening, Opening.ALWAYS);
        heading = Objects.requireNonNullElse(heading, false);
        label = Objects.requireNonNullElse(label, false);
        placeholder = Objects.requireNonNullElse(placeholder, false);
        button = Objects.requireNonNullElseGet(button, BoxButton::usual);
        clear = Objects.requireNonNullElse(clear, Clear.INSIDE);
    }

    /** Always open, with a magnifying glass. */
    // Null takes its default here, as it does where a document leaves a key out.
    @SuppressWarnings("NullAway")
    public static BoxArrangement usual() {
        return new BoxArrangement(null, null, null, null, null, null);
    }

    /** The same, opening otherwise. */
    public BoxArrangement opening(Opening changed) {
        return new BoxArrangement(changed, heading, label, placeholder, button, clear);
    }

    /** Where the cross stands that empties a box. */
    public enum Clear {
        /** Behind the words. */
        INSIDE,
        /** Outside the box, beside it. */
        BESIDE,
        NOWHERE;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
