package tidylantern.server.content;

import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.index.GivingWay;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;

/**
 * Corrections that read items anew, each as a run of its own: whoever asks for one waits for a moment, in which most
 * are over, and watches the rest. One at a time for a collection.
 */
@Component
class Corrections implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(Corrections.class);
    private static final long MILLIS_TO_WAIT = 2_000;
    private static final int SECONDS_TO_STOP = 20;
    /** Before the indexes, into which they write, are closed. */
    private static final int PHASE = 10;

    private final ExecutorService threads = Executors.newCachedThreadPool(GivingWay.threads("correction-"));
    private final Map<Of, Run> runs = new ConcurrentHashMap<>();
    private final long millisToWait;
    private volatile boolean running;

    @Autowired
    Corrections() {
        this(MILLIS_TO_WAIT);
    }

    /** @param millisToWait for what is over soon */
    Corrections(long millisToWait) {
        this.millisToWait = millisToWait;
    }

    private record Of(SiteKey site, CollectionKey collection) {}

    /** What a correction does. */
    @FunctionalInterface
    interface Work {
        void go(Run run);
    }

    /** Somebody stopped it; nothing was changed. */
    private static final class Stopped extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Stopped() {
            super("stopped", null, false, false);
        }
    }

    /** How far a correction is. */
    static final class Run {
        private final @Nullable FieldKey field;
        private final AtomicInteger read = new AtomicInteger();
        private final AtomicInteger of = new AtomicInteger();
        private volatile boolean stop;
        private volatile boolean kept;
        private volatile @Nullable String problem;

        Run(@Nullable FieldKey field) {
            this.field = field;
        }

        /** @param items that will be looked at, beside those said before */
        void looksAt(int items) {
            of.addAndGet(items);
        }

        /** @throws RuntimeException if somebody wants it stopped; nothing may have been changed until now */
        void looked(int items) {
            read.addAndGet(items);
            if (stop) {
                throw new Stopped();
            }
        }

        /** From now on it cannot be stopped: what is left is for the index. */
        void isKept() {
            kept = true;
        }
    }

    /**
     * A correction that goes on, or that went wrong when nobody waited for it any more.
     *
     * @param field that it corrects; null for the collection itself
     * @param read items that it has looked at, of all that it looks at
     * @param indexing whether it is kept, and searches follow
     * @param problem why nothing was changed; null while it goes on
     */
    record Correction(
            @Nullable FieldKey field,
            int read,
            int of,
            boolean indexing,
            @Nullable String problem) {}

    /** What goes on in a collection, or went wrong there; null where there is no such thing. */
    @Nullable Correction of(SiteKey site, CollectionKey collection) {
        Run run = runs.get(new Of(site, collection));
        return run == null ? null : new Correction(run.field, run.read.get(), run.of.get(), run.kept, run.problem);
    }

    /**
     * Does a correction, and comes back when it is over or after two seconds.
     *
     * @throws Refusal if it is refused by then, or another one goes on
     */
    void run(SiteKey site, CollectionKey collection, @Nullable FieldKey field, Work work) {
        Of of = new Of(site, collection);
        Run run = new Run(field);
        runs.compute(of, (key, before) -> {
            if (before != null && before.problem == null) {
                throw Refusal.conflict("Another correction of this collection goes on. Wait for its end, or stop it.");
            }
            return run;
        });
        // With its end noted: whoever comes back may begin the next one at once.
        CompletableFuture<Void> end = CompletableFuture.runAsync(() -> work.go(run), threads)
                .whenComplete((nothing, failure) -> ended(of, run, failure));
        try {
            end.get(millisToWait, TimeUnit.MILLISECONDS);
        } catch (TimeoutException goesOn) {
            LOG.info("A correction in {}/{} goes on in the background", site, collection);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        } catch (ExecutionException failure) {
            runs.remove(of, run);
            throw told(failure.getCause());
        }
    }

    private static RuntimeException told(@Nullable Throwable cause) {
        if (cause instanceof Stopped) {
            return Refusal.conflict("Somebody stopped the correction. Nothing was changed.");
        }
        return cause instanceof RuntimeException failure ? failure : new IllegalStateException(cause);
    }

    private void ended(Of of, Run run, @Nullable Throwable failure) {
        Throwable cause =
                failure instanceof CompletionException && failure.getCause() != null ? failure.getCause() : failure;
        if (cause == null || cause instanceof Stopped) {
            runs.remove(of, run);
        } else if (cause instanceof Refusal || cause instanceof IllegalArgumentException) {
            run.problem = String.valueOf(cause.getMessage());
        } else {
            LOG.error("A correction in {}/{} failed", of.site(), of.collection(), cause);
            run.problem = "The service could not do this; its log has the reason. Nothing was changed. Try again.";
        }
    }

    /** Ends what goes on, as long as nothing was changed, or forgets what went wrong. */
    void stop(SiteKey site, CollectionKey collection) {
        Of of = new Of(site, collection);
        Run run = runs.get(of);
        if (run == null) {
            return;
        }
        if (run.problem != null) {
            runs.remove(of, run);
        } else if (run.kept) {
            throw Refusal.conflict(
                    "The correction is kept already, and searches follow it. Correct the field again to take it back.");
        } else {
            run.stop = true;
        }
    }

    @Override
    public void start() {
        running = true;
    }

    @Override
    public void stop() {
        running = false;
        runs.values().forEach(run -> run.stop = true);
        threads.shutdown();
        try {
            if (!threads.awaitTermination(SECONDS_TO_STOP, TimeUnit.SECONDS)) {
                LOG.warn("A correction goes on while the service stops; the next start ends it");
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    @Override
    public int getPhase() {
        return PHASE;
    }
}
