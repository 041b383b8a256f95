package tidylantern.server.insight;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;
import tidylantern.server.key.SearchKey;
import tidylantern.server.operation.ChangeGate;

/**
 * How often visitors do something with a search: a text that says what, and a number, and nothing about who did it.
 * Counted in memory and written down every few seconds, since nobody is promised a count.
 */
abstract class VisitorCounts implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(VisitorCounts.class);
    private static final int MOST_UNWRITTEN = 10_000;
    private static final int MOST_KEPT = 20_000;

    private final CountStore store;
    private final TransactionTemplate transaction;
    private final ChangeGate gate;
    private final String what;
    private Map<Done, Long> unwritten = new HashMap<>();
    private volatile boolean running;

    /** @param what is counted, for logs */
    VisitorCounts(String what, CountStore store, TransactionTemplate transaction, ChangeGate gate) {
        this.what = what;
        this.gate = gate;
        this.store = store;
        this.transaction = transaction;
    }

    private record Done(SearchKey search, String text) {}

    final void add(SearchKey search, String text) {
        Done done = new Done(search, text);
        synchronized (this) {
            // Machines that do something else each time fill no memory.
            if (unwritten.size() < MOST_UNWRITTEN || unwritten.containsKey(done)) {
                unwritten.merge(done, 1L, Long::sum);
            }
        }
    }

    /** What was done most often, the most frequent first. */
    final List<CountStore.Counted> mostFrequent(SearchKey search, int most) {
        write();
        return store.frequent(search, most);
    }

    /** The same as far as it was written down. */
    final List<CountStore.Counted> stored(SearchKey search, int most) {
        return store.frequent(search, most);
    }

    /** Called once more of a search was written down. */
    void onWritten(SearchKey search) {}

    private void write() {
        if (gate.objection() != null) {
            // Nobody is promised a count; they go on being counted in memory, up to a number.
            return;
        }
        Map<SearchKey, Map<String, Long>> bySearch = new HashMap<>();
        synchronized (this) {
            unwritten.forEach((done, times) -> bySearch.computeIfAbsent(done.search(), search -> new HashMap<>())
                    .put(done.text(), times));
            unwritten = new HashMap<>();
        }
        bySearch.forEach((search, times) -> {
            transaction.executeWithoutResult(status -> {
                store.add(search, times);
                store.keep(search, MOST_KEPT);
            });
            onWritten(search);
        });
    }

    @Scheduled(initialDelayString = "5s", fixedDelayString = "5s")
    final void writeQuietly() {
        try {
            write();
        } catch (DataAccessException | TransactionException failure) {
            // The next time comes soon, and visitors are not to notice.
            LOG.warn("Counts of {} were not written", what, failure);
        }
    }

    @Override
    public final void start() {
        running = true;
    }

    @Override
    public final void stop() {
        running = false;
        writeQuietly();
    }

    @Override
    public final boolean isRunning() {
        return running;
    }
}
