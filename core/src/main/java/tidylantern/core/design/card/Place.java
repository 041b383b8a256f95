package tidylantern.core.design.card;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** Where cards are drawn. */
public enum Place {
    /** One below the other on a page of results. */
    LIST(null),
    /** Side by side on a page of results. */
    GRID(LIST),
    /** Pictures close to one another on a page of results, with little text. */
    WALL(GRID),
    /** Under the box, while visitors type. */
    LIVE(LIST);

    private final @Nullable Place followed;

    Place(@Nullable Place followed) {
        this.followed = followed;
    }

    /** The place whose card is drawn here as long as this one has none of its own. */
    public @Nullable Place followed() {
        return followed;
    }

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT);
    }
}
