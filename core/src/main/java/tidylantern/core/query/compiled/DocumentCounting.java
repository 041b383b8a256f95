package tidylantern.core.query.compiled;

import java.io.IOException;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.Scorer;
import org.apache.lucene.search.Weight;
import org.jspecify.annotations.Nullable;
import tidylantern.core.index.LiveDocuments;

/** Adds up what one item after the other has in a field. */
public abstract class DocumentCounting {
    private @Nullable LeafReaderContext entered;

    /** The items that follow are of this part of the index. */
    public final void enter(LeafReaderContext leaf) {
        entered = leaf;
    }

    /** @param document greater than the one before, within the part */
    public final void add(int document) throws IOException {
        if (entered != null) {
            // Not before anything is found there: most parts of an index hold none of the results of most queries.
            open(entered);
            entered = null;
        }
        count(document);
    }

    /** Adds documents of one part, in their order. */
    public final void addAll(LeafReaderContext leaf, DocIdSetIterator documents) throws IOException {
        enter(leaf);
        for (int document = documents.nextDoc();
                document != DocIdSetIterator.NO_MORE_DOCS;
                document = documents.nextDoc()) {
            add(document);
        }
    }

    /** Adds everything that a query finds. */
    public final void addAll(IndexSearcher searcher, Query query) throws IOException {
        Weight weight = searcher.createWeight(searcher.rewrite(query), ScoreMode.COMPLETE_NO_SCORES, 1);
        for (LeafReaderContext leaf : searcher.getIndexReader().leaves()) {
            Scorer scorer = weight.scorer(leaf);
            if (scorer != null) {
                addAll(leaf, LiveDocuments.of(scorer.iterator(), leaf.reader().getLiveDocs()));
            }
        }
    }

    /** Gets ready to look up what the items of a part have. */
    public abstract void open(LeafReaderContext leaf) throws IOException;

    /** @param document greater than the one before, within the part that was opened last */
    public abstract void count(int document) throws IOException;
}
