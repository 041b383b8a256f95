package tidylantern.core.design.results;

import org.jspecify.annotations.Nullable;
import tidylantern.core.design.Limit;
import tidylantern.core.design.card.Place;

/**
 * How the cards of a results page stand.
 *
 * @param arranged one below the other, side by side, or as a wall of pictures
 * @param columns side by side at the most where there is room, 1 to 6; null for as many as fit
 * @param viewer whether a picture on a wall opens large, over the page, with the way to the next ones
 * @param tags key of a filter of categories whose values stand below the large picture, each of which narrows; null for
 *     none
 */
public record Layout(
        Arranged arranged,
        @Nullable Integer columns,
        boolean viewer,
        @Nullable String tags) {
    public static final Limit COLUMNS = new Limit(1, 6);

    public Layout {
        COLUMNS.check("columns", columns);
        tags = tags == null || tags.isBlank() ? null : tags.strip();
    }

    /** With as many columns as fit. */
    public static Layout of(Arranged arranged) {
        return new Layout(arranged, null, false, null);
    }

    /** Whether pictures open large. */
    public boolean opensPictures() {
        return arranged == Arranged.WALL && viewer;
    }

    /** Whose cards are drawn. */
    public Place place() {
        return switch (arranged) {
            case LIST -> Place.LIST;
            case GRID -> Place.GRID;
            case WALL -> Place.WALL;
        };
    }
}
