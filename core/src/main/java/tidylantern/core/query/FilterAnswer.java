package tidylantern.core.query;

import java.util.List;
import tidylantern.core.design.Filter;

/**
 * What a filter offers for one query.
 *
 * @param values in the design's order, those of a tree with what lies below them
 */
public record FilterAnswer(Filter filter, List<Offered> values) {
    public FilterAnswer {
        values = List.copyOf(values);
    }

    /**
     * One value on offer.
     *
     * @param value its key, as addresses have it
     * @param count how many items have it, or something below it, among the results of everything else; exact
     * @param children none where the values stand in one list
     */
    public record Offered(String value, String label, int count, boolean selected, List<Offered> children) {
        public Offered {
            children = List.copyOf(children);
        }
    }
}
