package tidylantern.core.query.compiled;

import java.io.IOException;
import java.util.Collection;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.CollectionTerminatedException;
import org.apache.lucene.search.CollectorManager;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.SimpleCollector;

/** Tells whether so many items are found, and looks no further. */
public record FoundAtLeast(int wanted) implements CollectorManager<FoundAtLeast.Counter, Boolean> {
    /** Whether a query finds so many items. */
    public static boolean found(IndexSearcher searcher, Query query, int wanted) throws IOException {
        return searcher.search(query, new FoundAtLeast(wanted));
    }

    @Override
    public Counter newCollector() {
        return new Counter(wanted);
    }

    @Override
    public Boolean reduce(Collection<Counter> counters) {
        return counters.stream().mapToInt(counter -> counter.found).sum() >= wanted;
    }

    static final class Counter extends SimpleCollector {
        private final int wanted;
        private int found;

        Counter(int wanted) {
            this.wanted = wanted;
        }

        @Override
        protected void doSetNextReader(LeafReaderContext leaf) {
            if (found >= wanted) {
                throw new CollectionTerminatedException();
            }
        }

        @Override
        public void collect(int document) {
            if (++found >= wanted) {
                throw new CollectionTerminatedException();
            }
        }

        @Override
        public ScoreMode scoreMode() {
            return ScoreMode.COMPLETE_NO_SCORES;
        }
    }
}
