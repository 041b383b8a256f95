package tidylantern.core.query;

import java.io.IOException;
import java.util.HashSet;
import java.util.Set;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedDocValues;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.index.IndexFields;
import tidylantern.core.query.compiled.DocumentCounting;

/** The collections that the items seen are of. */
public final class CollectionsAmong extends DocumentCounting {
    private final Set<CollectionKey> keys = new HashSet<>();
    private final Set<Integer> seen = new HashSet<>();
    private @Nullable SortedDocValues collections;

    @Override
    public void open(LeafReaderContext leaf) throws IOException {
        collections = DocValues.getSorted(leaf.reader(), IndexFields.COLLECTION);
        seen.clear();
    }

    @Override
    public void count(int document) throws IOException {
        // A name is looked up once for each part of the index.
        if (collections != null && collections.advanceExact(document) && seen.add(collections.ordValue())) {
            keys.add(new CollectionKey(
                    collections.lookupOrd(collections.ordValue()).utf8ToString()));
        }
    }

    Set<CollectionKey> keys() {
        return keys;
    }
}
