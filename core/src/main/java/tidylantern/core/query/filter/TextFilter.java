package tidylantern.core.query.filter;

import java.io.IOException;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreMode;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.query.compiled.DocumentCounting;
import tidylantern.core.query.compiled.FilterPlan;
import tidylantern.core.query.words.ReadQuery;
import tidylantern.core.query.words.VisitorQuery;

/** Words that must all stand in one field, met as the design meets words. */
public final class TextFilter implements QueryFilter {
    private static final DocumentCounting NOTHING = new DocumentCounting() {
        @Override
        public void open(LeafReaderContext leaf) {}

        @Override
        public void count(int document) {}
    };

    private final Filter filter;
    private final IndexSearcher searcher;
    private final String text;
    private final @Nullable Query passed;

    TextFilter(FilterPlan plan, List<String> given, QueryFilter.Setting in) throws IOException {
        filter = plan.filter();
        searcher = in.state().searcher();
        // Words are the same on any day.
        VisitorQuery asked = VisitorQuery.plain(given.isEmpty() ? "" : given.getFirst(), LocalDate.EPOCH);
        ReadQuery read = ReadQuery.read(asked, in.search(), plan.words(), in.state(), in.effort());
        text = read.startingList() ? "" : asked.text().strip();
        passed = read.startingList() ? null : read.lucene();
    }

    @Override
    public Filter filter() {
        return filter;
    }

    @Override
    public List<String> values() {
        return text.isEmpty() ? List.of() : List.of(text);
    }

    @Override
    public @Nullable Query passed() {
        return passed;
    }

    @Override
    public DocumentTest passing(LeafReaderContext leaf) throws IOException {
        return DocumentTest.of(
                searcher.createWeight(
                        searcher.rewrite(Objects.requireNonNull(passed)), ScoreMode.COMPLETE_NO_SCORES, 1),
                leaf);
    }

    @Override
    public DocumentCounting counting() {
        return NOTHING;
    }

    @Override
    public FilterAnswer answer() {
        return new FilterAnswer(filter, List.of(), null, text, null);
    }
}
