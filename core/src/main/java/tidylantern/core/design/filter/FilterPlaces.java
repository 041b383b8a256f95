package tidylantern.core.design.filter;

import java.util.Locale;
import java.util.Objects;

/**
 * How filters stand in each of the places where visitors may meet them. Which filters do, each says itself.
 *
 * @param page the results page, at the side of the results and above them
 * @param box beside the search box
 * @param home the form that stands alone
 */
public record FilterPlaces(Place page, Place box, Place home) {
    public FilterPlaces {
        page = Objects.requireNonNullElseGet(page, Place::usual);
        box = Objects.requireNonNullElseGet(box, Place::usual);
        home = Objects.requireNonNullElseGet(home, Place::usual);
    }

    // Null takes its default here, as it does where a document leaves a key out.
    @SuppressWarnings("NullAway")
    public static FilterPlaces usual() {
        return new FilterPlaces(null, null, null);
    }

    /**
     * @param shown whether any filter is shown there; the single ones keep what they say
     * @param atOnce whether a choice holds as it is made, or when a button is pressed
     * @param opened whether the filters are in view, or behind a button at first
     */
    public record Place(Boolean shown, Boolean atOnce, Opened opened) {
        public Place {
            shown = Objects.requireNonNullElse(shown, true);
            atOnce = Objects.requireNonNullElse(atOnce, true);
            opened = Objects.requireNonNullElse(opened, Opened.IN_VIEW);
        }

        // Null takes its default here, as it does where a document leaves a key out.
        @SuppressWarnings("NullAway")
        static Place usual() {
            return new Place(null, null, null);
        }
    }

    /** Where there is room beside the results; where there is none, filters always open as a sheet. */
    public enum Opened {
        IN_VIEW,
        /** Behind a button, and then where they stand. */
        UNFOLDING,
        /** Behind a button, and then over the page. */
        OVER;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }
}
