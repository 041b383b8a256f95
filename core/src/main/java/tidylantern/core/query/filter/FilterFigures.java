package tidylantern.core.query.filter;

import java.util.List;

/**
 * What a filter does today, for its owner.
 *
 * @param key of the filter
 * @param values how many are on offer, those of all levels
 * @param nearlyUnique whether nearly every value stands in one item in reach alone, so that narrowing by it leads to
 *     that one; a tree is looked at from its top
 * @param items in reach that have any
 * @param leftOut what is not on offer
 */
public record FilterFigures(String key, int values, boolean nearlyUnique, int items, LeftOut leftOut) {
    public static final int MOST_LISTED = 200;

    /**
     * @param values how many values, those of all levels, that items in reach have
     * @param items how many items have any of them
     * @param names of the first few hundred, by name
     */
    public record LeftOut(int values, int items, List<String> names) {
        public static final LeftOut NOTHING = new LeftOut(0, 0, List.of());

        public LeftOut {
            names = List.copyOf(names);
        }

        LeftOut and(LeftOut other) {
            return new LeftOut(
                    values + other.values,
                    items + other.items,
                    java.util.stream.Stream.concat(names.stream(), other.names.stream())
                            .limit(MOST_LISTED)
                            .toList());
        }
    }
}
