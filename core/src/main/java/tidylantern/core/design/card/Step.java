package tidylantern.core.design.card;

import java.util.Locale;

/** How much room there is between parts; how much a step is belongs to the look. */
public enum Step {
    NONE,
    SMALL,
    USUAL,
    LARGE;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT);
    }
}
