package tidylantern.core.design.look;

import java.util.Locale;

/** How far cards stand off the page. */
public enum Shadow {
    NONE,
    SOFT,
    DEEP;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
