package tidylantern.core.query;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One page of results.
 *
 * @param query the words as they were read
 * @param startingList whether nothing, or too little, was typed, so that this is everything in reach, newest first
 * @param total how many items are found; exact
 * @param page 1 to {@code pages}
 * @param didYouMean another query, where little is found; it finds something
 * @param seeAlso queries to go on with; each finds something
 * @param filters what each filter of the design offers, in its order
 * @param pages at least 1, even if nothing is found
 */
public record Answer(String query, boolean startingList, int total, int page, int pages, int perPage, List<Hit> hits,
        @Nullable String didYouMean, List<String> seeAlso, List<FilterAnswer> filters) {
    public Answer {
        hits = List.copyOf(hits);
        seeAlso = List.copyOf(seeAlso);
        filters = List.copyOf(filters);
    }

    /** Whether visitors see one of the filters: it leads anywhere, and what it waits for is set. What is set itself stays in sight. */
    public boolean shows(FilterAnswer filter) {
        String after = filter.filter().after();
        return filter.offers() && (after == null || filter.isSet() || filters.stream().anyMatch(other -> other.filter().key().equals(after) && other.isSet()));
    }
}
