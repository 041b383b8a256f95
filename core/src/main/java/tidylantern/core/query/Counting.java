package tidylantern.core.query;

import java.io.IOException;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.DocIdSetIterator;
import org.jspecify.annotations.Nullable;

/** Adds up what one item after the other has in a field. */
abstract class Counting {
    private @Nullable LeafReaderContext entered;

    /** The items that follow are of this part of the index. */
    final void enter(LeafReaderContext leaf) {
        entered = leaf;
    }

    /** @param document greater than the one before, within the part */
    final void add(int document) throws IOException {
        if (entered != null) {
            // Not before anything is found there: most parts of an index hold none of the results of most queries.
            open(entered);
            entered = null;
        }
        count(document);
    }

    /** Adds documents of one part, in their order. */
    final void addAll(LeafReaderContext leaf, DocIdSetIterator documents) throws IOException {
        enter(leaf);
        for (int document = documents.nextDoc();
                document != DocIdSetIterator.NO_MORE_DOCS;
                document = documents.nextDoc()) {
            add(document);
        }
    }

    /** Gets ready to look up what the items of a part have. */
    abstract void open(LeafReaderContext leaf) throws IOException;

    /** @param document greater than the one before, within the part that was opened last */
    abstract void count(int document) throws IOException;
}
