package tidylantern.core.query;

import java.util.List;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.Control;
import tidylantern.core.design.Filter;

/**
 * What a filter offers for one query.
 *
 * @param values to tick, in the design's order, those of a tree with what lies below them; none for bounds and boxes
 * @param bounds of a number or of days; null for other controls
 * @param text what is typed into a box; empty for other controls
 */
public record FilterAnswer(Filter filter, Control control, List<Offered> values, @Nullable Bounds bounds, String text) {
    public FilterAnswer {
        values = List.copyOf(values);
    }

    static FilterAnswer of(Filter filter, Control control, List<Offered> values) {
        return new FilterAnswer(filter, control, values, null, "");
    }

    /** Whether it leads anywhere: one whose values would all give nothing does not, unless something in it is set. */
    public boolean offers() {
        return bounds != null ? bounds.min() != null || bounds.set() : control == Control.BOX || offers(values);
    }

    boolean isSet() {
        return bounds != null ? bounds.set() : !text.isEmpty() || isTicked(values);
    }

    private static boolean isTicked(List<Offered> values) {
        return values.stream().anyMatch(value -> value.selected() || isTicked(value.children()));
    }

    private static boolean offers(List<Offered> values) {
        return values.stream().anyMatch(value -> value.count() > 0 || value.selected() || offers(value.children()));
    }

    /**
     * One value on offer.
     *
     * @param value its key, as addresses have it
     * @param count how many items have it, or something below it, among the results of everything else; exact
     * @param below how many lie right below it
     * @param children those, with their own; none where the values stand in one list, and in large trees where nothing below is ticked
     */
    public record Offered(String value, String label, int count, boolean selected, int below, List<Offered> children) {
        public Offered {
            children = List.copyOf(children);
        }
    }

    /**
     * Between which ends visitors may choose, and what they chose; numbers in digits, days as {@code 2026-05-14}.
     *
     * @param min the least among all items in reach; null where none has a value
     * @param max the greatest
     * @param from what is set, inclusive; null where that end is open
     * @param to what is set, inclusive
     * @param step by which a drawn bound moves; 1 for days
     * @param count how many items have a value among the results of everything else
     * @param bars how many of these lie in each of equal parts between {@code barsFrom} and the greatest; an item with several days counts once in each
     * @param barsFrom where the first begins
     * @param barWidth how wide each is; 0 for days, which have none
     */
    public record Bounds(@Nullable String min, @Nullable String max, @Nullable String from, @Nullable String to, double step, int count, List<Integer> bars, double barsFrom, double barWidth) {
        public Bounds {
            bars = List.copyOf(bars);
        }

        boolean set() {
            return from != null || to != null;
        }
    }
}
