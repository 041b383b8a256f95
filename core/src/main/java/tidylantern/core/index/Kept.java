package tidylantern.core.index;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/**
 * What was reckoned once, by its key. What hangs on a decision too (a reach, say) is kept for the last few of its forms
 * alone: an owner who changes rules makes a new one with every change.
 */
final class Kept {
    private static final int MOST_DECISIONS = 16;

    private final Map<Object, Once> ofAll = new ConcurrentHashMap<>();
    private final Cache<Object, Map<Object, Once>> ofDecisions = Caffeine.newBuilder()
            .maximumSize(MOST_DECISIONS)
            // Forgetting is quickly done, and needs no thread of its own.
            .executor(Runnable::run)
            .build();

    <T> T of(Object key, Class<T> type, IndexState.Reckoning<T> reckoning) throws IOException {
        return type.cast(ofAll.computeIfAbsent(key, any -> new Once()).value(reckoning));
    }

    /** The same for what hangs on a decision. */
    <T> T of(Object decision, Object key, Class<T> type, IndexState.Reckoning<T> reckoning) throws IOException {
        return type.cast(ofDecisions
                .get(decision, any -> new ConcurrentHashMap<>())
                .computeIfAbsent(key, any -> new Once())
                .value(reckoning));
    }

    /** Reckons when it is asked for the first time; others wait for the result instead of doing the same. */
    private static final class Once {
        private volatile @Nullable Object value;

        Object value(IndexState.Reckoning<?> reckoning) throws IOException {
            Object known = value;
            if (known != null) {
                return known;
            }
            synchronized (this) {
                Object made = value;
                if (made == null) {
                    made = reckoning.reckon();
                    value = made;
                }
                return made;
            }
        }
    }
}
