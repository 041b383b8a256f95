package tidylantern.core.index;

import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.LeafReaderContext;

/** What was reckoned of the parts of one index, for as long as any state has them. */
final class IndexParts {
    private final Map<IndexReader.CacheKey, Kept> byPart = new ConcurrentHashMap<>();
    private final Kept ofAll = new Kept();

    Kept of(LeafReaderContext part) {
        IndexReader.CacheHelper core = Objects.requireNonNull(
                part.reader().getCoreCacheHelper(), "a reader of a segment is known by its core");
        return byPart.computeIfAbsent(core.getKey(), key -> {
            core.addClosedListener(byPart::remove);
            return new Kept();
        });
    }

    /** What belongs to no part. */
    Kept ofAll() {
        return ofAll;
    }

    /** How many parts something is kept of. */
    int size() {
        return byPart.size();
    }
}
