package tidylantern.core.trial;

import tidylantern.core.content.ItemRef;

/** What an owner wants of a query's results. */
public sealed interface Expectation {
    int MOST_PLACES = 100;
    int MOST_RESULTS = 1_000_000;

    /**
     * An item is among the first so many results; with 1 it comes first.
     *
     * @param first 1 to {@value #MOST_PLACES}
     */
    record Within(ItemRef item, int first) implements Expectation {
        public Within {
            unless(
                    first >= 1 && first <= MOST_PLACES,
                    "first",
                    "An item can be expected within the first 1 to %d results, not %d.".formatted(MOST_PLACES, first));
        }
    }

    /** There are so many results, or more. */
    record AtLeast(int results) implements Expectation {
        public AtLeast {
            unless(
                    results >= 1 && results <= MOST_RESULTS,
                    "number",
                    "At least 1 to %d results can be expected, not %d.".formatted(MOST_RESULTS, results));
        }
    }

    /** There are no more results than this; with 0 there are none. */
    record AtMost(int results) implements Expectation {
        public AtMost {
            unless(
                    results >= 0 && results <= MOST_RESULTS,
                    "number",
                    "At most 0 to %d results can be expected, not %d.".formatted(MOST_RESULTS, results));
        }
    }

    /** Visitors are asked whether they meant this query; compared without regard to case. */
    record Suggests(String query) implements Expectation {
        public Suggests {
            query = query.strip();
            unless(
                    !query.isEmpty() && query.length() <= Trial.LONGEST_QUERY,
                    "suggestion",
                    "Say which query visitors should be offered, in up to %d letters.".formatted(Trial.LONGEST_QUERY));
        }
    }

    private static void unless(boolean right, String field, String message) {
        if (!right) {
            throw new TrialFault(field, message);
        }
    }
}
