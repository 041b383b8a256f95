package tidylantern.core.query;

import java.io.IOException;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.WeakHashMap;
import org.apache.lucene.index.IndexReader;

/**
 * What was reckoned once for a state of an index and holds as long as anybody reads that state. What hangs on a
 * decision too (a reach, say) is kept for the last few of its forms alone: an owner who changes rules makes a new one
 * with every change.
 */
final class PerState {
    private static final int MOST_DECISIONS = 16;
    private static final Map<IndexReader, PerState> KNOWN = new WeakHashMap<>();

    private final Map<Object, Object> ofAll = new HashMap<>();
    private final Map<Object, Map<Object, Object>> ofDecisions = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Object, Map<Object, Object>> eldest) {
            return size() > MOST_DECISIONS;
        }
    };

    private PerState() {}

    @FunctionalInterface
    interface Reckoning<T> {
        T reckon() throws IOException;
    }

    /** @param key what is reckoned, and of what; a record of its own for each kind */
    static <T> T of(IndexReader reader, Object key, Class<T> type, Reckoning<T> reckoning) throws IOException {
        PerState state = of(reader);
        // Held by one who reckons, so that others wait for the result instead of doing the same; other states go on.
        synchronized (state) {
            return of(state.ofAll, key, type, reckoning);
        }
    }

    /** The same for what hangs on a decision, such as a reach. */
    static <T> T of(IndexReader reader, Object decision, Object key, Class<T> type, Reckoning<T> reckoning)
            throws IOException {
        PerState state = of(reader);
        synchronized (state) {
            return of(state.ofDecisions.computeIfAbsent(decision, any -> new HashMap<>()), key, type, reckoning);
        }
    }

    private static PerState of(IndexReader reader) {
        synchronized (KNOWN) {
            return KNOWN.computeIfAbsent(reader, any -> new PerState());
        }
    }

    private static <T> T of(Map<Object, Object> known, Object key, Class<T> type, Reckoning<T> reckoning)
            throws IOException {
        Object value = known.get(key);
        if (value == null) {
            value = reckoning.reckon();
            known.put(key, value);
        }
        return type.cast(value);
    }
}
