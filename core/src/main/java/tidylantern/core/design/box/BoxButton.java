package tidylantern.core.design.box;

import java.util.Locale;
import tidylantern.core.design.Limit;
import tidylantern.core.design.Sign;

/**
 * The button that asks, or, where there is none, the sign that tells what the box is for.
 *
 * @param shows what stands on it
 * @param side of the words on which it stands
 * @param sign that is drawn on it
 * @param size of the sign, 12 to 40 px
 */
public record BoxButton(Shows shows, Side side, Sign sign, int size) {
    public static final Limit SIZE = new Limit(12, 40);
    private static final int USUAL_SIZE = 20;

    public BoxButton {
        SIZE.check("size", size);
    }

    /** A magnifying glass behind the words. */
    public static BoxButton usual() {
        return new BoxButton(Shows.SIGN, Side.END, Sign.MAGNIFIER, USUAL_SIZE);
    }

    /** What stands on a button. */
    public enum Shows {
        SIGN,
        WORD,
        BOTH,
        /** There is no button: Enter asks, and the sign stands there by itself. */
        NO_BUTTON;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    /** A side of a line, as it is read. */
    public enum Side {
        START,
        END;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
