package tidylantern.core.design.look;

import java.util.Locale;

/** How the search box and fields are set apart. */
public enum BoxForm {
    /** A line all around it. */
    FRAMED,
    /** A line below it. */
    LINED;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
