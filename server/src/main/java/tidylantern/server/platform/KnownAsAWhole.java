package tidylantern.server.platform;

import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Something small that is asked with every request: read as a whole when first asked, and again once forgotten. */
public final class KnownAsAWhole<T> {
    private final Supplier<T> read;
    private volatile @Nullable T known;

    /** @param read gives it as it is committed */
    public KnownAsAWhole(Supplier<T> read) {
        this.read = read;
    }

    public T get() {
        T now = known;
        return now == null ? readOnce() : now;
    }

    private synchronized T readOnce() {
        T now = known;
        if (now == null) {
            now = read.get();
            known = now;
        }
        return now;
    }

    /**
     * Once it was changed, and that is committed. Waits for a reading that goes on, which may be of what was before.
     */
    public synchronized void forget() {
        known = null;
    }
}
