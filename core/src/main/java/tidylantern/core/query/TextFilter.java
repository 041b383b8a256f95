package tidylantern.core.query;

import java.io.IOException;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreMode;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.Control;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.Filter;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Words;

/** Words that must all stand in one field, met as the design meets words. */
final class TextFilter implements OneFilter {
    private static final Counting NOTHING = new Counting() {
        @Override
        void open(LeafReaderContext leaf) {}

        @Override
        void count(int document) {}
    };

    private final Filter filter;
    private final IndexSearcher searcher;
    private final String text;
    private final @Nullable Query passed;

    TextFilter(
            Filter filter,
            List<String> given,
            IndexSearcher searcher,
            SiteContent content,
            SearchDesign design,
            Effort effort)
            throws IOException {
        this.filter = filter;
        this.searcher = searcher;
        // Words are the same on any day.
        VisitorQuery asked = VisitorQuery.plain(given.isEmpty() ? "" : given.getFirst(), LocalDate.EPOCH);
        Words words = design.words()
                .withWeights(List.of(new FieldWeight(filter.field(), 1)))
                .withNeeded(Words.WordsNeeded.ALL)
                .withOperators(false);
        ReadQuery read = ReadQuery.read(asked, design.withWords(words), content, searcher, effort, false);
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
    public Passing passing(LeafReaderContext leaf) throws IOException {
        return Passing.of(
                searcher.createWeight(
                        searcher.rewrite(Objects.requireNonNull(passed)), ScoreMode.COMPLETE_NO_SCORES, 1),
                leaf);
    }

    @Override
    public Counting counting() {
        return NOTHING;
    }

    @Override
    public FilterAnswer answer() {
        return new FilterAnswer(filter, Control.BOX, List.of(), null, text, null);
    }
}
