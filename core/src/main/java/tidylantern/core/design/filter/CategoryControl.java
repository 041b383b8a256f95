package tidylantern.core.design.filter;

import java.util.Locale;

/** What values of a category field are handled with, the usual one first. */
public enum CategoryControl implements Control {
    /** Values to tick, those of a tree below one another. */
    LIST,
    /** Values of which one holds, or none. */
    ONE_OF,
    /** The same, folded into one line. */
    MENU,
    /** Values side by side, to be switched on and off. */
    CHIPS,
    /** The same with a colour or a picture for each. */
    PICTURES;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
