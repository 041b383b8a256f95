package tidylantern.core.design.filter;

import java.util.Locale;

/** What fields are handled with that leave no choice. */
public enum OnlyControl implements Control {
    /** Words that must stand in the field. */
    BOX,
    /** How far from a place of the visitor's. */
    DISTANCE;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
