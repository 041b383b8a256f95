package tidylantern.core.query.help;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import tidylantern.core.query.filter.NarrowedQuery;
import tidylantern.core.query.filter.QueryFilter;

/**
 * What a query finds with one filter less.
 *
 * @param filter its key
 * @param total how many items are found once nothing is set in it; exact, and more than none
 */
public record WithoutOne(String filter, int total) {
    /** For each filter in which something is set, those that lead anywhere. */
    public static List<WithoutOne> of(NarrowedQuery asked) throws IOException {
        List<WithoutOne> ways = new ArrayList<>();
        List<QueryFilter> filters = asked.narrowing().filters();
        for (QueryFilter less : filters) {
            if (less.passed() == null) {
                continue;
            }
            BooleanQuery.Builder others =
                    new BooleanQuery.Builder().add(asked.read().lucene(), Occur.FILTER);
            filters.stream()
                    .filter(one -> one != less)
                    .map(QueryFilter::passed)
                    .filter(Objects::nonNull)
                    .forEach(passed -> others.add(passed, Occur.FILTER));
            int total = asked.searcher().count(others.build());
            if (total > 0) {
                ways.add(new WithoutOne(less.filter().key(), total));
            }
        }
        return ways;
    }
}
