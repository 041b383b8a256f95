package tidylantern.core.readiness;

import java.text.NumberFormat;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tidylantern.core.design.filter.CategoryControl;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.JointSource;
import tidylantern.core.design.filter.OnPage;
import tidylantern.core.query.filter.FilterFigures;

/** What an owner should know about a filter as it is now, in whole sentences. */
public final class FilterWarnings {
    /** More than this nobody scrolls through in a menu; our own figure. */
    private static final int LONG_MENU = 100;
    /** A field that fewer items have takes almost everything away once a visitor sets it; our own figure. */
    private static final double FEW = 0.05;

    private FilterWarnings() {}

    /**
     * @param figures of the filter, as they are today
     * @param inReach how many items the search reaches
     */
    public static List<String> of(Filter filter, FilterFigures figures, int inReach) {
        List<String> warnings = new ArrayList<>();
        if (isHidden(filter)) {
            warnings.add("It is shown in no place, so visitors cannot set it.");
        }
        if (filter.source() instanceof JointSource) {
            return warnings;
        }
        if (figures.items() == 0) {
            return List.of("No item that can be found has a value, so visitors do not see it.");
        }
        if (figures.items() < FEW * inReach) {
            warnings.add("Only %d %% of what is searched has a value; everything else drops out once it is set."
                    .formatted(Math.max(1, Math.round(100.0 * figures.items() / inReach))));
        }
        if (filter.source() instanceof CategorySource categories) {
            if (categories.control() == CategoryControl.MENU && figures.values() > LONG_MENU) {
                warnings.add("%s values are too many for a menu. A list shows a few and more on demand."
                        .formatted(NumberFormat.getInstance(Locale.ENGLISH).format(figures.values())));
            }
            if (categories.offered().picked() != null
                    && categories.offered().picked().isEmpty()) {
                warnings.add("Nothing is picked yet, so visitors do not see it.");
            }
        }
        return warnings;
    }

    private static boolean isHidden(Filter filter) {
        return filter.shown().page() == OnPage.NOWHERE
                && !filter.shown().box()
                && !filter.shown().home();
    }
}
