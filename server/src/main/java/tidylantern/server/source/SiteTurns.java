package tidylantern.server.source;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tidylantern.server.key.SiteKey;

/**
 * Threads for runs of sources, which mostly wait for other machines. However many runs a site begins, it has a few at a
 * time, and those of the others do not wait for it.
 */
final class SiteTurns {
    private static final Logger LOG = LoggerFactory.getLogger(SiteTurns.class);

    private final int mostOfOneSite;
    private final List<Waiting> queue = new ArrayList<>();
    private final Map<SiteKey, Integer> running = new HashMap<>();
    private final List<Thread> threads = new ArrayList<>();
    private boolean stopped;

    private record Waiting(SiteKey site, Runnable run) {}

    SiteTurns(int threads, int mostOfOneSite) {
        this.mostOfOneSite = mostOfOneSite;
        for (int n = 0; n < threads; n++) {
            this.threads.add(Thread.ofPlatform().name("sync-" + n).daemon().start(this::work));
        }
    }

    /** @param run tells by itself how it ended */
    synchronized void add(SiteKey site, Runnable run) {
        queue.add(new Waiting(site, run));
        notifyAll();
    }

    private void work() {
        for (Waiting next = next(); next != null; next = next()) {
            try {
                next.run().run();
            } catch (RuntimeException failure) {
                LOG.error("A run of {} could not even be ended", next.site(), failure);
            } finally {
                done(next.site());
            }
        }
    }

    private synchronized @Nullable Waiting next() {
        try {
            while (!stopped) {
                for (Waiting waiting : queue) {
                    if (running.getOrDefault(waiting.site(), 0) < mostOfOneSite) {
                        queue.remove(waiting);
                        running.merge(waiting.site(), 1, Integer::sum);
                        return waiting;
                    }
                }
                wait();
            }
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        }
        return null;
    }

    private synchronized void done(SiteKey site) {
        running.computeIfPresent(site, (key, has) -> has > 1 ? has - 1 : null);
        notifyAll();
    }

    /**
     * Begins no more runs, and waits for those under way.
     *
     * @return whether all ended within that time
     */
    boolean stop(long millis) throws InterruptedException {
        synchronized (this) {
            stopped = true;
            queue.clear();
            notifyAll();
        }
        long end = System.nanoTime() + millis * 1_000_000;
        for (Thread thread : threads) {
            thread.join(Math.max(1, (end - System.nanoTime()) / 1_000_000));
        }
        return threads.stream().noneMatch(Thread::isAlive);
    }
}
