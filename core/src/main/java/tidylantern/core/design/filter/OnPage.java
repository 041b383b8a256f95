package tidylantern.core.design.filter;

import java.util.Locale;

/** Where a filter stands on the results page. */
public enum OnPage {
    SIDE,
    TOP,
    NOWHERE;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
