package tidylantern.core.query;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.ItemRef;

/**
 * In which order a query finds items, without anything to show of them.
 *
 * @param total how many items are found
 * @param first the first of them, in their order
 * @param places of the items that were asked about, 1 for the first; those that are not found are missing
 * @param didYouMean what visitors are asked; null where nothing is, or it was not looked for
 */
public record Ranking(
        int total,
        List<ItemRef> first,
        Map<ItemRef, Integer> places,
        @Nullable String didYouMean) {
    public Ranking {
        first = List.copyOf(first);
        places = Map.copyOf(places);
    }
}
