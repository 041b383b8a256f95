package tidylantern.core.design.look;

import java.util.Locale;

/** How a card is set apart from what is around it. */
public enum CardForm {
    /** A line all around it, and a ground of its own. */
    FRAMED,
    /** A line above it, nothing else. */
    RULED,
    /** A ground of its own, no line. */
    FILLED,
    /** Nothing but the room around it. */
    BARE;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
