package tidylantern.core.query.order;

import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.DoubleValuesSource;
import org.apache.lucene.search.IndexSearcher;

/** Numbers by which documents are ordered, whatever the words of a query are; each is made for one query. */
public abstract class DocumentNumbers extends DoubleValuesSource {
    @Override
    public final boolean needsScores() {
        return false;
    }

    @Override
    public final DoubleValuesSource rewrite(IndexSearcher reader) {
        return this;
    }

    @Override
    public final boolean isCacheable(LeafReaderContext leaf) {
        return false;
    }
}
