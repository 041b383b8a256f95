package tidylantern.core.query.help;

import java.io.IOException;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import tidylantern.core.design.results.PopularCategories;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.core.query.filter.MostChosen;
import tidylantern.core.query.filter.NarrowedQuery;
import tidylantern.core.query.filter.QueryFilter;

/** The values of a filter whose items visitors chose most often; as long as none was, those with the most items. */
public final class PopularValues {
    private PopularValues() {}

    /**
     * @param found how many results there are beside them
     * @return with how many items in reach each has; none where the page offers none
     */
    public static List<FilterAnswer.Offered> of(NarrowedQuery asked, MostChosen chosen, int found) throws IOException {
        PopularCategories wanted = PopularCategories.on(asked.design().page(), found);
        QueryFilter filter = wanted == null ? null : asked.narrowing().filter(wanted.filter());
        if (wanted == null || filter == null) {
            return List.of();
        }
        Map<String, Long> times = filter.timesChosen(chosen);
        return filter.inReach().stream()
                .filter(value -> value.count() > 0)
                .sorted(Comparator.comparingLong((FilterAnswer.Offered value) -> times.getOrDefault(value.value(), 0L))
                        .thenComparingInt(FilterAnswer.Offered::count)
                        .reversed()
                        .thenComparing(FilterAnswer.Offered::label))
                .limit(wanted.most())
                .toList();
    }
}
