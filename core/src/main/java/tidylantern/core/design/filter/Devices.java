package tidylantern.core.design.filter;

import java.util.Locale;

/** On what a filter is shown. */
public enum Devices {
    ALL,
    /** Where filters stand beside the results. */
    WIDE,
    /** Where they open as a sheet. */
    NARROW;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
