package tidylantern.core.design.filter;

import java.util.Locale;

/**
 * How filters stand in each of the places where visitors may meet them. Which filters do, each says itself.
 *
 * @param page the results page, at the side of the results and above them
 * @param box beside the search box
 * @param home the form that stands alone
 */
public record FilterPlaces(Place page, Place box, Place home) {

    public static FilterPlaces usual() {
        return new FilterPlaces(Place.usual(), Place.usual(), Place.usual());
    }

    /**
     * @param shown whether any filter is shown there; the single ones keep what they say
     * @param atOnce whether a choice holds as it is made, or when a button is pressed
     * @param opened whether the filters are in view, or behind a button at first
     */
    public record Place(boolean shown, boolean atOnce, Opened opened) {

        public static Place usual() {
            return new Place(true, true, Opened.IN_VIEW);
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
