package tidylantern.core.design.filter;

import java.util.Locale;

/** What several ticks mean together. */
public enum Several {
    /** One is enough. */
    ANY,
    /** Every one must hold; for fields with several values. */
    ALL;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
