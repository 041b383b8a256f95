package tidylantern.core.design.results;

import java.util.Locale;

/** How the cards of a results page stand. */
public enum Arranged {
    /** One below the other. */
    LIST,
    /** Side by side, where there is room. */
    GRID,
    /** As a wall of pictures. */
    WALL;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT);
    }
}
