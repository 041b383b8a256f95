package tidylantern.core.design.filter;

import java.util.Locale;

/** What days are handled with, the usual one first. */
public enum DayControl implements Control {
    /** A first and a last day. */
    SPAN,
    /** The months in which there is something. */
    MONTHS,
    /** Only what is today or later. */
    FROM_TODAY;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
