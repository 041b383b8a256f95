package tidylantern.core.query;

import java.util.List;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;

/**
 * The short list that appears while typing: the items of the results page in its order: by collection, the one with the
 * best hit first, or all in one list.
 *
 * @param total how many items are found in all
 * @param completions whole queries in which the word at hand is completed; each finds something
 * @param didYouMean another query, where nothing is found; it finds something
 */
public record LiveAnswer(
        String query,
        boolean startingList,
        int total,
        List<Group> groups,
        List<String> completions,
        @Nullable String didYouMean) {
    public LiveAnswer {
        groups = List.copyOf(groups);
        completions = List.copyOf(completions);
    }

    /**
     * @param collection null where results of all stand in one list
     * @param label empty for such a list
     * @param total how many items of the collection, or of all, are found; exact
     */
    public record Group(@Nullable CollectionKey collection, String label, int total, List<Hit> hits) {
        public Group {
            hits = List.copyOf(hits);
        }
    }
}
