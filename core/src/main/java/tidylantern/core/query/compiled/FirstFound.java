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

/** Finds one item, the first in the order of the index, and looks no further. */
public final class FirstFound implements CollectorManager<FirstFound.First, Integer> {
    /** What is told where nothing is found. */
    public static final int NOTHING = Integer.MAX_VALUE;

    private FirstFound() {}

    /** The document of the first item that a query finds; {@link #NOTHING} if it finds none. */
    public static int of(IndexSearcher searcher, Query query) throws IOException {
        return searcher.search(query, new FirstFound());
    }

    @Override
    public First newCollector() {
        return new First();
    }

    @Override
    public Integer reduce(Collection<First> firsts) {
        return firsts.stream().mapToInt(first -> first.document).min().orElse(NOTHING);
    }

    static final class First extends SimpleCollector {
        private int document = NOTHING;
        private int base;

        @Override
        protected void doSetNextReader(LeafReaderContext leaf) {
            if (document != NOTHING) {
                throw new CollectionTerminatedException();
            }
            base = leaf.docBase;
        }

        @Override
        public void collect(int inPart) {
            document = base + inPart;
            throw new CollectionTerminatedException();
        }

        @Override
        public ScoreMode scoreMode() {
            return ScoreMode.COMPLETE_NO_SCORES;
        }
    }
}
