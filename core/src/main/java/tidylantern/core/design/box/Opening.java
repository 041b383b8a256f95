package tidylantern.core.design.box;

import java.util.Locale;

/** How a search box comes to be in view. */
public enum Opening {
    /** It always is. */
    ALWAYS,
    /** It takes the place of a sign once that is pressed. */
    IN_PLACE,
    /** It hangs below the sign. */
    BELOW,
    /** It stands over the page, which waits meanwhile. */
    OVER;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
