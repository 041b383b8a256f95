package tidylantern.server.trial;

import java.util.Locale;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;
import tidylantern.core.trial.Expectation;
import tidylantern.core.trial.Trial;
import tidylantern.server.platform.Refusal;

/**
 * A trial as it goes over the wire and into files.
 *
 * @param collection of the expected item; null where none is expected
 * @param item its id there
 * @param number of places for an item to be within (1 for the first), or of results; null where a suggestion is
 *     expected
 * @param suggestion the query that visitors should be offered
 */
public record TrialShape(
        String query,
        Expects expects,
        @Nullable CollectionKey collection,
        @Nullable ItemId item,
        @Nullable Integer number,
        @Nullable String suggestion) {
    /** What is expected. */
    public enum Expects {
        WITHIN,
        AT_LEAST,
        AT_MOST,
        SUGGESTS;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }

        static Expects of(String written) {
            return valueOf(written.toUpperCase(Locale.ROOT).replace('-', '_'));
        }
    }

    static TrialShape of(Trial trial) {
        return switch (trial.expected()) {
            case Expectation.Within within ->
                new TrialShape(
                        trial.query(),
                        Expects.WITHIN,
                        within.item().collection(),
                        within.item().id(),
                        within.first(),
                        null);
            case Expectation.AtLeast least ->
                new TrialShape(trial.query(), Expects.AT_LEAST, null, null, least.results(), null);
            case Expectation.AtMost most ->
                new TrialShape(trial.query(), Expects.AT_MOST, null, null, most.results(), null);
            case Expectation.Suggests suggests ->
                new TrialShape(trial.query(), Expects.SUGGESTS, null, null, null, suggests.query());
        };
    }

    /**
     * @throws Refusal naming what is missing
     * @throws tidylantern.core.trial.TrialFault naming what is out of range
     */
    Trial trial() {
        if (query == null || expects == null) {
            throw Refusal.bad(
                    query == null ? "query" : "expects", "A trial needs a query, and what is expected of it.");
        }
        return new Trial(
                query,
                switch (expects) {
                    case WITHIN -> {
                        if (collection == null || item == null) {
                            throw Refusal.bad(
                                    "item",
                                    "Say which item is expected for \"%s\": its collection and its id."
                                            .formatted(query));
                        }
                        yield new Expectation.Within(new ItemRef(collection, item), givenNumber());
                    }
                    case AT_LEAST -> new Expectation.AtLeast(givenNumber());
                    case AT_MOST -> new Expectation.AtMost(givenNumber());
                    case SUGGESTS -> new Expectation.Suggests(suggestion == null ? "" : suggestion);
                });
    }

    private int givenNumber() {
        if (number == null) {
            throw Refusal.bad("number", "Say how many are expected for \"%s\".".formatted(query));
        }
        return number;
    }
}
