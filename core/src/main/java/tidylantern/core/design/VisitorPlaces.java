package tidylantern.core.design;

import tidylantern.core.design.box.SearchBox;
import tidylantern.core.design.results.LiveList;
import tidylantern.core.design.results.ResultsPage;

/**
 * Where visitors meet the search.
 *
 * @param box that they type into
 * @param live what appears at the box while they type
 * @param page the list of all results
 */
public record VisitorPlaces(SearchBox box, LiveList live, ResultsPage page) {
    /** An open box, live results below it, a list. */
    public static VisitorPlaces usual() {
        return new VisitorPlaces(SearchBox.usual(), LiveList.usual(), ResultsPage.usual());
    }
}
