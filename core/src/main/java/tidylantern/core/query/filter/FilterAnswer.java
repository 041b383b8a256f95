package tidylantern.core.query.filter;

import java.util.List;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.filter.Control;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.OnlyControl;

/**
 * What a filter offers for one query.
 *
 * @param filter as it works over what the content holds
 * @param values to tick, in the design's order, those of a tree with what lies below them; none for bounds and boxes
 * @param further how many more there are beside and behind these, which are asked for by letters of their names
 * @param bounds of a number or of days; null for other controls
 * @param text what is typed into a box; empty for other controls
 * @param around the place from which distances are measured; null for other controls
 * @param start what holds while a visitor has set nothing, as addresses have it; empty for nothing
 */
public record FilterAnswer(
        Filter filter,
        List<Offered> values,
        int further,
        @Nullable Bounds bounds,
        String text,
        @Nullable Around around,
        List<String> start) {
    public FilterAnswer {
        values = List.copyOf(values);
        start = List.copyOf(start);
    }

    FilterAnswer(Filter filter, List<Offered> values, @Nullable Bounds bounds, String text, @Nullable Around around) {
        this(filter, values, 0, bounds, text, around, List.of());
    }

    static FilterAnswer of(Filter filter, List<Offered> values) {
        return of(filter, values, 0);
    }

    static FilterAnswer of(Filter filter, List<Offered> values, int further) {
        return new FilterAnswer(filter, values, further, null, "", null, List.of());
    }

    FilterAnswer withStart(List<String> changed) {
        return changed.isEmpty() ? this : new FilterAnswer(filter, values, further, bounds, text, around, changed);
    }

    /** What it is handled with. */
    public Control control() {
        return filter.source().control();
    }

    /** Whether anything that may be set in it would take some of so many results away. */
    public boolean narrows(int total) {
        return isSet()
                || (bounds != null
                        ? bounds.count() > 0 && (bounds.count() < total || bounds.varied())
                        : around != null
                                ? around.items() > 0
                                : control() == OnlyControl.BOX ? total > 1 : narrows(values, total));
    }

    private static boolean narrows(List<Offered> values, int total) {
        return values.stream()
                .anyMatch(value -> (value.count() > 0 && value.count() < total) || narrows(value.children(), total));
    }

    /** Whether it leads anywhere: one whose values would all give nothing does not, unless something in it is set. */
    public boolean offers() {
        return bounds != null
                ? bounds.min() != null || bounds.set()
                : around != null ? around.items() > 0 : control() == OnlyControl.BOX || offers(values);
    }

    /** Whether anything is set in it. */
    public boolean isSet() {
        return bounds != null ? bounds.set() : !text.isEmpty() || isTicked(values);
    }

    private static boolean isTicked(List<Offered> values) {
        return values.stream().anyMatch(value -> value.selected() || isTicked(value.children()));
    }

    private static boolean offers(List<Offered> values) {
        return values.stream().anyMatch(value -> value.count() > 0 || value.selected() || offers(value.children()));
    }

    /**
     * The place from which distances are measured.
     *
     * @param known whether there is one
     * @param name how it is called; empty where only a position is known
     * @param unknown what was asked for, where no place has that name; else empty
     * @param items how many items in reach have a place
     * @param names of places that can be asked for, by name; the few hundred that most items have
     * @param namesakes other places that the name may mean; each of these names means just one
     * @param attribution what is shown beside a name from the gazetteer; empty where it is none of those
     */
    public record Around(
            boolean known,
            String name,
            String unknown,
            int items,
            List<String> names,
            List<String> namesakes,
            String attribution) {
        public Around {
            names = List.copyOf(names);
            namesakes = List.copyOf(namesakes);
        }
    }

    /**
     * One value on offer.
     *
     * @param value its key, as addresses have it
     * @param label what the owner or the content calls it; empty where visitors read what the value says by itself: yes
     *     or no, a month, a band, a distance, from today
     * @param count how many items have it, or something below it, among the results of everything else; exact
     * @param below how many lie right below it
     * @param children those, with their own; none where the values stand in one list, and in large trees where nothing
     *     below is ticked
     * @param picture a colour ({@code #0e5f63}) or the address of a picture; empty for none
     * @param heading under which it stands; empty for none
     */
    public record Offered(
            String value,
            String label,
            int count,
            boolean selected,
            int below,
            List<Offered> children,
            String picture,
            String heading) {
        public Offered {
            children = List.copyOf(children);
        }

        /** With nothing below it. */
        static Offered of(String value, String label, int count, boolean selected) {
            return new Offered(value, label, count, selected, 0, List.of(), "", "");
        }

        /** As visitors see it. */
        public Offered drawn(String label, String picture, List<Offered> children) {
            return new Offered(value, label, count, selected, below, children, picture, heading);
        }

        /** Under another heading. */
        public Offered under(String heading) {
            return new Offered(value, label, count, selected, below, children, picture, heading);
        }

        /** The same as a part of a joint filter has it. */
        Offered in(String prefix, String under) {
            return new Offered(
                    prefix + value,
                    label,
                    count,
                    selected,
                    below,
                    children.stream().map(child -> child.in(prefix, "")).toList(),
                    picture,
                    under);
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
     * @param bars how many of these lie in each of equal parts between {@code barsFrom} and the greatest; an item with
     *     several days counts once in each
     * @param barsFrom where the first begins
     * @param barWidth how wide each is; 0 for days, which have none
     * @param varied whether the items counted differ in it
     */
    public record Bounds(
            @Nullable String min,
            @Nullable String max,
            @Nullable String from,
            @Nullable String to,
            double step,
            int count,
            List<Integer> bars,
            double barsFrom,
            double barWidth,
            boolean varied) {
        public Bounds {
            bars = List.copyOf(bars);
        }

        boolean set() {
            return from != null || to != null;
        }
    }
}
