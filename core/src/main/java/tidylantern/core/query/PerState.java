package tidylantern.core.query;

import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.WeakHashMap;
import org.apache.lucene.index.IndexReader;

/** What was reckoned once for a state of an index and holds as long as anybody reads that state. */
final class PerState {
    private static final int MOST = 400;
    private static final Map<IndexReader, Map<Object, Object>> KNOWN = new WeakHashMap<>();

    private PerState() {}

    @FunctionalInterface
    interface Reckoning<T> {
        T reckon() throws IOException;
    }

    /** @param key what is reckoned, and of what; a record of its own for each kind */
    static <T> T of(IndexReader reader, Object key, Class<T> type, Reckoning<T> reckoning) throws IOException {
        Map<Object, Object> ofReader;
        synchronized (KNOWN) {
            ofReader = KNOWN.computeIfAbsent(reader, state -> new LinkedHashMap<>(16, 0.75f, true) {
                private static final long serialVersionUID = 1L;

                @Override
                protected boolean removeEldestEntry(Map.Entry<Object, Object> eldest) {
                    return size() > MOST;
                }
            });
        }
        // Held by one who reckons, so that others wait for the result instead of doing the same; other states go on.
        synchronized (ofReader) {
            Object known = ofReader.get(key);
            if (known == null) {
                known = reckoning.reckon();
                ofReader.put(key, known);
            }
            return type.cast(known);
        }
    }
}
