package tidylantern.core.query;

import java.util.List;
import tidylantern.core.content.CollectionKey;

/**
 * The short list that appears while typing: the items of the results page in its order, by collection; the collection
 * with the best hit comes first.
 *
 * @param total how many items are found in all
 */
public record LiveAnswer(String query, boolean startingList, int total, List<Group> groups) {
    public LiveAnswer {
        groups = List.copyOf(groups);
    }

    /** @param total how many items of the collection are found; exact */
    public record Group(CollectionKey collection, String label, int total, List<Hit> hits) {
        public Group {
            hits = List.copyOf(hits);
        }
    }
}
