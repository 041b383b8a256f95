package tidylantern.core.design.filter;

import java.util.Locale;

/** What a yes/no field is handled with, the usual one first. */
public enum YesNoControl implements Control {
    /** Only those with a yes. */
    SWITCH,
    /** Yes and no, each to tick. */
    TICKS;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
