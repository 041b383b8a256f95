package tidylantern.core.query;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.MatchAllDocsQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermQuery;
import tidylantern.core.design.Filter;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.index.IndexFields;

/** What a visitor narrowed a query by. Filters and values that the design or the content does not have are passed over. */
record Narrowing(List<Selected> selected) {
    /**
     * A filter that is set.
     *
     * @param place of the filter in the design
     * @param values keys of the ticked ones, at least one
     * @param passed by the items that have what is ticked
     */
    record Selected(int place, Filter filter, List<String> values, Query passed) {}

    static Narrowing of(VisitorQuery query, SearchDesign design, IndexReader reader) throws IOException {
        List<Selected> selected = new ArrayList<>();
        for (int place = 0; place < design.filters().size(); place++) {
            Filter filter = design.filters().get(place);
            CategoryNumbers known = CategoryNumbers.of(reader, filter.field());
            List<String> values = query.filters().getOrDefault(filter.key(), List.of()).stream().distinct().filter(value -> known.has(value) && !filter.excepts(value)).toList();
            if (!values.isEmpty()) {
                BooleanQuery.Builder passed = new BooleanQuery.Builder();
                values.forEach(value -> passed.add(new TermQuery(new Term(IndexFields.values(filter.field()), value)), filter.several() == Filter.Several.ALL ? Occur.FILTER : Occur.SHOULD));
                selected.add(new Selected(place, filter, values, passed.build()));
            }
        }
        return new Narrowing(selected);
    }

    /** Passed by the items that all set filters let through. */
    Query all() {
        if (selected.isEmpty()) {
            return MatchAllDocsQuery.INSTANCE;
        }
        BooleanQuery.Builder all = new BooleanQuery.Builder();
        selected.forEach(one -> all.add(one.passed(), Occur.FILTER));
        return all.build();
    }

    /** The ticked values of a filter. */
    List<String> of(Filter filter) {
        return selected.stream().filter(one -> one.filter().equals(filter)).findFirst().map(Selected::values).orElse(List.of());
    }
}
