package tidylantern.core.index;

import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.FilteredDocIdSetIterator;
import org.apache.lucene.util.Bits;
import org.jspecify.annotations.Nullable;

/** Documents that are not deleted. What finds documents of a part does not look at that by itself. */
public final class LiveDocuments {
    private LiveDocuments() {}

    /** @param live of the part; null where none is deleted */
    public static DocIdSetIterator of(DocIdSetIterator found, @Nullable Bits live) {
        return live == null
                ? found
                : new FilteredDocIdSetIterator(found) {
                    @Override
                    protected boolean match(int document) {
                        return live.get(document);
                    }
                };
    }
}
