package tidylantern.server.insight;

import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;
import tidylantern.server.operation.ChangeGate;
import tidylantern.server.platform.Repeating;

/**
 * How often visitors ask each query of a search: the words and a number, and nothing about who asked. Counted in memory
 * and written down every few seconds, since nobody is promised a count.
 */
@Component
public class AskedQueries implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(AskedQueries.class);
    private static final int LONGEST = 200;
    private static final int MOST_UNWRITTEN = 10_000;
    private static final int MOST_KEPT = 20_000;
    private static final Duration BETWEEN_WRITES = Duration.ofSeconds(5);

    private final AskedQueryStore store;
    private final TransactionTemplate transaction;
    private final ChangeGate gate;
    private final ScheduledExecutorService writes = Executors.newSingleThreadScheduledExecutor(
            Thread.ofPlatform().name("asked-queries").daemon().factory());
    private Map<Asked, Long> unwritten = new HashMap<>();
    private volatile boolean running;

    AskedQueries(AskedQueryStore store, TransactionTemplate transaction, ChangeGate gate) {
        this.gate = gate;
        this.store = store;
        this.transaction = transaction;
    }

    private record Asked(String search, String query) {}

    /** @param query as it was read; nothing is counted for an empty one */
    public void count(String search, String query) {
        String tidy = query.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        if (tidy.isEmpty() || tidy.length() > LONGEST) {
            return;
        }
        Asked asked = new Asked(search, tidy);
        synchronized (this) {
            // Machines that ask something else each time fill no memory.
            if (unwritten.size() < MOST_UNWRITTEN || unwritten.containsKey(asked)) {
                unwritten.merge(asked, 1L, Long::sum);
            }
        }
    }

    /** The queries that visitors ask most often, the most frequent first. */
    public List<String> frequent(String search, int most) {
        write();
        return store.frequent(search, most);
    }

    private void write() {
        if (gate.objection() != null) {
            // Nobody is promised a count; they go on being counted in memory, up to a number.
            return;
        }
        Map<String, Map<String, Long>> bySearch = new HashMap<>();
        synchronized (this) {
            unwritten.forEach((asked, times) -> bySearch.computeIfAbsent(asked.search(), search -> new HashMap<>())
                    .put(asked.query(), times));
            unwritten = new HashMap<>();
        }
        bySearch.forEach((search, times) -> transaction.executeWithoutResult(status -> {
            store.add(search, times);
            store.keep(search, MOST_KEPT);
        }));
    }

    private void writeQuietly() {
        try {
            write();
        } catch (DataAccessException | TransactionException failure) {
            // The next time comes soon, and visitors are not to notice.
            LOG.warn("Counts of queries were not written", failure);
        }
    }

    @Override
    public void start() {
        running = true;
        Repeating.every(BETWEEN_WRITES, writes, "Writing counts of queries", this::writeQuietly);
    }

    @Override
    public void stop() {
        running = false;
        writes.shutdown();
        writeQuietly();
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}
