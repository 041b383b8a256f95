package tidylantern.core.design;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.ItemRef;

/**
 * What an owner decides about single items for a query: some stand at fixed places, some are taken out.
 *
 * @param queries to which it answers, 1 to {@value #MOST_QUERIES}, each 1 to 200 characters; near ways to write them
 *     too
 * @param put items at places; each is found by these queries, whatever its words, as long as it is in reach
 * @param takeOut items that these queries do not find
 * @param until the last day on which it holds; null for good
 */
public record Pin(
        List<String> queries,
        List<Put> put,
        List<ItemRef> takeOut,
        @Nullable LocalDate until) {
    public static final int MOST_QUERIES = 50;
    public static final int MOST_ITEMS = 50;

    public Pin {
        queries = queries.stream()
                .map(String::strip)
                .filter(query -> !query.isEmpty())
                .distinct()
                .toList();
        DesignFault.unless(
                !queries.isEmpty() && queries.size() <= MOST_QUERIES,
                "queries",
                "a pin needs 1 to %d queries",
                MOST_QUERIES);
        DesignFault.unless(
                queries.stream()
                        .allMatch(query ->
                                query.length() <= 200 && query.codePoints().anyMatch(Character::isLetterOrDigit)),
                "queries",
                "a query of a pin has letters or digits, and 200 characters at most");
        put = List.copyOf(put);
        takeOut = List.copyOf(takeOut);
        DesignFault.unless(
                put.size() <= MOST_ITEMS && takeOut.size() <= MOST_ITEMS,
                "put",
                "a pin concerns %d items at most",
                MOST_ITEMS);
        DesignFault.unless(
                !put.isEmpty() || !takeOut.isEmpty(), "put", "a pin puts an item at a place or takes one out");
        DesignFault.ifTwice(put.stream().map(Put::item).toList(), "put", "an item has one place, and");
        DesignFault.ifTwice(put.stream().map(Put::at).toList(), "put", "a place takes one item, and place");
        DesignFault.ifTwice(
                Stream.concat(put.stream().map(Put::item), takeOut.stream()).toList(),
                "takeOut",
                "what is put at a place cannot be taken out as well, and");
    }

    /** Whether it holds on a day. */
    public boolean holdsOn(LocalDate day) {
        return until == null || !day.isAfter(until);
    }

    @Override
    public String toString() {
        return String.join(", ", queries) + ": "
                + String.join(
                        "; ",
                        Stream.concat(
                                        put.stream().map(one -> one.item() + " at " + one.at()),
                                        takeOut.stream().map(one -> one + " out"))
                                .toList())
                + (until == null ? "" : ", until " + until);
    }

    /**
     * @param at the item's place among the results, 1 for the first, at most {@value #LAST}; of fewer results the last
     */
    public record Put(ItemRef item, Integer at) {
        public static final int LAST = 50;

        public Put {
            DesignFault.unless(item != null, "item", "name the item that is put at a place");
            DesignFault.unless(at != null && at >= 1 && at <= LAST, "at", "place %s is none; choose 1 to %d", at, LAST);
        }
    }
}
