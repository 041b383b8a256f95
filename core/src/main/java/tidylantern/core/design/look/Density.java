package tidylantern.core.design.look;

import java.util.Locale;

/** How much room there is between things. */
public enum Density {
    AIRY,
    USUAL,
    DENSE;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
