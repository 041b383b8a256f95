package tidylantern.core.query.filter;

import java.util.Map;
import tidylantern.core.content.ItemRef;

/**
 * How often visitors chose items of a search, as far as that was counted.
 *
 * @param times by item, of those that were chosen most often
 */
public record Popularity(Map<ItemRef, Long> times) {
    /** Where nothing was counted. */
    public static final Popularity UNKNOWN = new Popularity(Map.of());

    public Popularity {
        times = Map.copyOf(times);
    }
}
