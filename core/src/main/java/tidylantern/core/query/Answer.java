package tidylantern.core.query;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.results.StartingList;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.core.query.help.WithoutOne;

/**
 * One page of results.
 *
 * @param query the words as they were read
 * @param startingList whether nothing, or too little, was typed, so that this is everything in reach
 * @param start what stands there instead of everything, before anything is typed or set
 * @param startLabel of the category that it is of; empty for others
 * @param newestFirst whether the starting list begins with the newest, as far as no pin and no tier decides; false
 *     where nothing in it has a day
 * @param total how many items are found; exact
 * @param page 1 to {@code pages}
 * @param didYouMean another query, where little is found; it finds something
 * @param seeAlso queries to go on with; each finds something
 * @param withoutOne where nothing is found, what is with one filter less
 * @param related where nothing is found, items that some of the words find
 * @param popular values of the page's filter of popular categories, with how many items in reach have them
 * @param filters what each filter of the design offers, in its order
 * @param shown keys of the filters that visitors see just now: those that lead anywhere, and whose conditions hold
 * @param pages at least 1, even if nothing is found
 */
public record Answer(
        String query,
        boolean startingList,
        StartingList.With start,
        String startLabel,
        boolean newestFirst,
        int total,
        int page,
        int pages,
        int perPage,
        List<Hit> hits,
        @Nullable String didYouMean,
        List<String> seeAlso,
        List<WithoutOne> withoutOne,
        List<Hit> related,
        List<FilterAnswer.Offered> popular,
        List<FilterAnswer> filters,
        Set<String> shown) {
    public Answer {
        hits = List.copyOf(hits);
        seeAlso = List.copyOf(seeAlso);
        withoutOne = List.copyOf(withoutOne);
        related = List.copyOf(related);
        popular = List.copyOf(popular);
        filters = List.copyOf(filters);
        shown = Set.copyOf(shown);
    }

    /** Whether visitors see one of the filters. */
    public boolean shows(FilterAnswer filter) {
        return shown.contains(filter.filter().key());
    }
}
