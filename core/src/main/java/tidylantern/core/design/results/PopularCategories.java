package tidylantern.core.design.results;

import org.jspecify.annotations.Nullable;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.Limit;

/**
 * Values of one filter of categories as links that narrow: those whose items visitors chose most often; as long as
 * nothing was chosen, the largest.
 *
 * @param filter its key
 * @param most how many there are at the most, 1 to 30
 * @param below whether they stand below every list, and not only where nothing is found
 */
public record PopularCategories(String filter, int most, boolean below) {
    public static final Limit MOST = new Limit(1, 30);
    private static final int USUAL_MOST = 8;

    public PopularCategories {
        filter = filter.strip();
        DesignFault.unless(!filter.isEmpty(), "filter", "say of which filter the popular values are");
        MOST.check("most", most);
    }

    /** Where nothing is found. */
    public static PopularCategories of(String filter) {
        return new PopularCategories(filter, USUAL_MOST, false);
    }

    /** What a page offers; null for nothing. */
    public static @Nullable PopularCategories on(ResultsPage page, int found) {
        PopularCategories popular = page.shows().popular();
        return popular != null && (found == 0 || popular.below()) ? popular : null;
    }
}
