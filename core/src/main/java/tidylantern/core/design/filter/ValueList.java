package tidylantern.core.design.filter;

import tidylantern.core.design.DesignFault;
import tidylantern.core.design.Limit;

/**
 * How the values of a filter stand.
 *
 * @param order of the values on each level
 * @param withoutResults what becomes of a value that would give nothing
 * @param counts whether the number of items stands beside a value
 * @param cutAfter how many values show at first; 'more' shows the rest
 * @param searchFrom from how many values on a list is searched by name
 */
public record ValueList(ValueOrder order, WithoutResults withoutResults, boolean counts, int cutAfter, int searchFrom) {
    public static final Limit CUT_AFTER = new Limit(1, 1_000);
    public static final Limit SEARCH_FROM = new Limit(1, 10_000);
    static final int USUAL_CUT = 8;
    static final int USUAL_SEARCH_FROM = 20;

    public ValueList {
        checkCut(cutAfter);
        DesignFault.unless(
                SEARCH_FROM.includes(searchFrom),
                "searchFrom",
                "a list cannot be searched from %d values on; choose %s",
                searchFrom,
                SEARCH_FROM);
    }

    static void checkCut(int cutAfter) {
        DesignFault.unless(
                CUT_AFTER.includes(cutAfter),
                "cutAfter",
                "a list cannot be cut after %d values; choose %s",
                cutAfter,
                CUT_AFTER);
    }

    /** By name, with numbers, those without results greyed. */
    public static ValueList usual() {
        return by(ValueOrder.NAME);
    }

    /** In some order, with everything else as usual. */
    public static ValueList by(ValueOrder order) {
        return of(order, WithoutResults.DIM);
    }

    /** The same with something else done about those without results. */
    public static ValueList of(ValueOrder order, WithoutResults withoutResults) {
        return new ValueList(order, withoutResults, true, USUAL_CUT, USUAL_SEARCH_FROM);
    }
}
