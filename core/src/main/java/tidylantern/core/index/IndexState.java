package tidylantern.core.index;

import java.io.IOException;
import java.util.List;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;

/**
 * One state of an index, which stays as it is however much is written meanwhile, and what was reckoned of it.
 *
 * <p>An index is made of parts (Lucene's segments). A change adds a part and deletes documents in others, so what is
 * reckoned of a part is kept for all states that have it, and a change costs what it changed.
 */
public final class IndexState {
    private final IndexSearcher searcher;
    private final IndexParts parts;
    private final Kept kept = new Kept();

    IndexState(IndexSearcher searcher, IndexParts parts) {
        this.searcher = searcher;
        this.parts = parts;
    }

    /** Something that is worth keeping. */
    @FunctionalInterface
    public interface Reckoning<T> {
        T reckon() throws IOException;
    }

    public IndexSearcher searcher() {
        return searcher;
    }

    public List<LeafReaderContext> parts() {
        return searcher.getIndexReader().leaves();
    }

    /** @param key what is reckoned, and of what; a record of its own for each kind */
    public <T> T kept(Object key, Class<T> type, Reckoning<T> reckoning) throws IOException {
        return kept.of(key, type, reckoning);
    }

    /** The same for what hangs on a decision, such as a reach. */
    public <T> T kept(Object decision, Object key, Class<T> type, Reckoning<T> reckoning) throws IOException {
        return kept.of(decision, key, type, reckoning);
    }

    /** What holds for a part in whatever state it is, whichever of its documents are deleted by then. */
    public <T> T ofPart(LeafReaderContext part, Object key, Class<T> type, Reckoning<T> reckoning) throws IOException {
        return parts.of(part).of(key, type, reckoning);
    }

    /** The same for what hangs on a decision. */
    public <T> T ofPart(LeafReaderContext part, Object decision, Object key, Class<T> type, Reckoning<T> reckoning)
            throws IOException {
        return parts.of(part).of(decision, key, type, reckoning);
    }

    /**
     * Figures of the documents of a part that a query finds and that are not deleted. They follow deletions: only what
     * was deleted since they were asked for last is looked at again.
     *
     * @param passing as it is {@linkplain IndexSearcher#rewrite rewritten} for this state
     * @param key what the figures are of
     */
    public <F> F ofPart(LeafReaderContext part, Query passing, Object key, Class<F> type, PartFigures<F> figures)
            throws IOException {
        return type.cast(parts.of(part)
                .of(passing, key, FollowedFigures.class, FollowedFigures::new)
                .of(part, searcher, passing, figures));
    }

    /** What lasts over the states of an index, such as what the next state may use again. */
    public <T> T lasting(Object key, Class<T> type, Reckoning<T> reckoning) throws IOException {
        return parts.ofAll().of(key, type, reckoning);
    }
}
