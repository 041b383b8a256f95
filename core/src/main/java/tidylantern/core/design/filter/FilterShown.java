package tidylantern.core.design.filter;

import java.util.List;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;

/**
 * In which places a filter is shown, and when.
 *
 * @param page where on the results page
 * @param box beside the search box
 * @param home in the form that stands alone ({@code <tidy-filters>})
 * @param devices where there is room beside the results, where there is none, or both
 * @param folded whether only the label shows at first
 * @param after key of another filter, without which set this one is not shown; null to show it always
 * @param narrowing only while setting it would take anything away
 * @param collections only while something of one of these is among the results; none for always
 */
public record FilterShown(
        OnPage page,
        boolean box,
        boolean home,
        Devices devices,
        boolean folded,
        @Nullable String after,
        boolean narrowing,
        List<CollectionKey> collections) {
    public FilterShown {
        collections = collections.stream().distinct().toList();
    }

    /** At the side of the results, always. */
    public static FilterShown usual() {
        return on(OnPage.SIDE, false, List.of());
    }

    /** At the side of the results, while setting it takes anything away and something of these collections is found. */
    public static FilterShown whileNarrowing(List<CollectionKey> collections) {
        return on(OnPage.SIDE, true, collections);
    }

    /** In no place; set from elsewhere. */
    public static FilterShown nowhere() {
        return on(OnPage.NOWHERE, false, List.of());
    }

    private static FilterShown on(OnPage page, boolean narrowing, List<CollectionKey> collections) {
        return new FilterShown(page, false, false, Devices.ALL, false, null, narrowing, collections);
    }
}
