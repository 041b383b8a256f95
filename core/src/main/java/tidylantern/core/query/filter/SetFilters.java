package tidylantern.core.query.filter;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.MatchAllDocsQuery;
import org.apache.lucene.search.Query;
import org.jspecify.annotations.Nullable;
import tidylantern.core.query.compiled.FilterPlan;

/**
 * What a visitor narrowed a query by. Filters and values that the design or the content does not have are passed over.
 *
 * @param filters all of the design that are in use, in its order
 * @param starts of each what holds while nothing is set
 */
public record SetFilters(List<QueryFilter> filters, List<List<String>> starts) {
    static SetFilters of(QueryFilter.Setting in) throws IOException {
        List<QueryFilter> filters = new ArrayList<>();
        List<List<String>> starts = new ArrayList<>();
        for (FilterPlan plan : in.search().filters()) {
            List<String> given = in.query().filters().get(plan.filter().key());
            QueryFilter one = QueryFilter.of(plan, given, in);
            filters.add(one);
            starts.add(
                    plan.filter().source().startsEmpty()
                            ? List.of()
                            : given == null
                                    ? one.values()
                                    : QueryFilter.of(plan, null, in).values());
        }
        return new SetFilters(filters, starts);
    }

    /** After everything has been counted. */
    public List<FilterAnswer> answers() throws IOException {
        List<FilterAnswer> answers = new ArrayList<>();
        for (int i = 0; i < filters.size(); i++) {
            answers.add(filters.get(i).answer().withStart(starts.get(i)));
        }
        return answers;
    }

    /** The filter with a key; null where the design has none in use. */
    public @Nullable QueryFilter filter(@Nullable String key) {
        return filters.stream()
                .filter(one -> one.filter().key().equals(key))
                .findFirst()
                .orElse(null);
    }

    /** Whether anything is set in any of them. */
    public boolean isSet() {
        return filters.stream().anyMatch(one -> one.passed() != null);
    }

    /** Passed by the items that all set filters let through. */
    public Query all() {
        if (!isSet()) {
            return MatchAllDocsQuery.INSTANCE;
        }
        BooleanQuery.Builder all = new BooleanQuery.Builder();
        filters.stream()
                .map(QueryFilter::passed)
                .filter(Objects::nonNull)
                .forEach(passed -> all.add(passed, Occur.FILTER));
        return all.build();
    }
}
