package tidylantern.core.query.listing;

import java.util.List;
import tidylantern.core.content.CollectionKey;

/**
 * What each collection and each rule of a reach comes to. In the order of the design.
 *
 * @param inReach items that the search can find
 */
public record ReachCounts(int inReach, List<OfCollection> collections) {
    /**
     * @param items that the collection has
     * @param keptOut of those, kept out of every search by their owner
     * @param inReach of those, what the search can find
     * @param only how many items each 'only' rule picks by itself
     * @param leaveOut how many items each leave-out rule hits by itself
     */
    public record OfCollection(
            CollectionKey collection,
            int items,
            int keptOut,
            int inReach,
            List<Integer> only,
            List<Integer> leaveOut) {}
}
