package tidylantern.core.design;

import java.util.List;
import java.util.Objects;

/**
 * What helps visitors on. Keys that a document leaves out take their usual value.
 *
 * @param completions whether the word at hand is completed while it is typed
 * @param didYouMean whether another way to write a query is offered where nothing or little is found
 * @param seeAlso whether other queries are offered under the results
 * @param owners what the owner offers beside some queries, before what is found by itself
 */
public record Help(boolean completions, boolean didYouMean, boolean seeAlso, List<SeeAlso> owners) {
    public static final int MOST_SEE_ALSO = 1_000;

    public Help {
        owners = List.copyOf(owners);
        DesignFault.unless(
                owners.size() <= MOST_SEE_ALSO,
                "owners",
                "%d entries are too many; %d are the most",
                owners.size(),
                MOST_SEE_ALSO);
        DesignFault.ifTwice(
                owners.stream()
                        .map(entry -> entry.query().toLowerCase(java.util.Locale.ROOT))
                        .toList(),
                "owners",
                "the query");
    }

    public static Help usual() {
        return new Help(true, true, true, List.of());
    }

    /**
     * Queries that the owner offers beside one.
     *
     * @param query its words are looked for in what is typed, all of them, in any order
     * @param offered 1 to 6
     */
    public record SeeAlso(String query, List<String> offered) {
        public static final int MOST_OFFERED = 6;

        public SeeAlso {
            query = Synonym.tidy(query, "query");
            List<String> given = Objects.requireNonNullElse(offered, List.of());
            offered = given.stream()
                    .map(one -> Synonym.tidy(one, "offered"))
                    .distinct()
                    .toList();
            DesignFault.unless(
                    !offered.isEmpty() && offered.size() <= MOST_OFFERED,
                    "offered",
                    "offer 1 to %d queries beside \"%s\"",
                    MOST_OFFERED,
                    query);
        }

        /** As an owner would say it. */
        @Override
        public String toString() {
            return query + " → " + String.join(", ", offered);
        }
    }
}
