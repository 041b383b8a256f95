package tidylantern.core.design.look;

import java.util.Locale;

/** One of the two sets of colours of a look. */
public enum Shade {
    LIGHT,
    DARK;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
