package tidylantern.core.query;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.MatchAllDocsQuery;
import org.apache.lucene.search.Query;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.Filter;
import tidylantern.core.design.SearchDesign;

/**
 * What a visitor narrowed a query by. Filters and values that the design or the content does not have are passed over.
 *
 * @param filters all of the design, in its order
 */
record Narrowing(List<OneFilter> filters) {
    static Narrowing of(VisitorQuery query, SearchDesign design, SiteContent content, IndexSearcher searcher) throws IOException {
        List<OneFilter> filters = new ArrayList<>();
        for (Filter filter : design.filters()) {
            filters.add(OneFilter.of(filter, query.filters().getOrDefault(filter.key(), List.of()), searcher, content, design, query));
        }
        return new Narrowing(filters);
    }

    boolean isSet() {
        return filters.stream().anyMatch(one -> one.passed() != null);
    }

    /** Passed by the items that all set filters let through. */
    Query all() {
        if (!isSet()) {
            return MatchAllDocsQuery.INSTANCE;
        }
        BooleanQuery.Builder all = new BooleanQuery.Builder();
        filters.stream().map(OneFilter::passed).filter(Objects::nonNull).forEach(passed -> all.add(passed, Occur.FILTER));
        return all.build();
    }
}
