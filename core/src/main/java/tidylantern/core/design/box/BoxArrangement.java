package tidylantern.core.design.box;

import java.util.Locale;

/**
 * What stands in a search box, and how it opens, in one range of widths.
 *
 * @param heading whether a heading stands above it
 * @param label whether its label is seen; it is heard in any case
 * @param placeholder whether a few words stand in it while it is empty
 * @param clear where the cross stands that empties it
 */
public record BoxArrangement(
        Opening opening, boolean heading, boolean label, boolean placeholder, BoxButton button, Clear clear) {

    /** Always open, with a magnifying glass. */
    public static BoxArrangement usual() {
        return new BoxArrangement(Opening.ALWAYS, false, false, false, BoxButton.usual(), Clear.INSIDE);
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
