package tidylantern.core.design.filter;

import java.util.Locale;

/** What becomes of a value that would give nothing. */
public enum WithoutResults {
    DIM,
    HIDE,
    /** Not shown, and neither is one that none of the items found has. */
    FOUND;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
