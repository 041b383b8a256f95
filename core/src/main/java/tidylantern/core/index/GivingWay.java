package tidylantern.core.index;

import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.Future;
import java.util.concurrent.FutureTask;
import java.util.concurrent.ThreadFactory;
import org.jspecify.annotations.Nullable;

/**
 * Work that visitors' answers go before wherever both want a processor: content that is taken in, laid into the index,
 * put together. It is done on threads of the lowest priority, which costs nothing while nobody asks. On Linux Java
 * heeds priorities only where it is started so ({@code -XX:ThreadPriorityPolicy=1}); without, both have the same share.
 */
// Nothing but speed hangs on the priority.
@SuppressWarnings("ThreadPriorityCheck")
public final class GivingWay {
    /** Of a thread that gives way. */
    public static final int PRIORITY = Thread.MIN_PRIORITY;

    private static final ForkJoinPool POOL = new ForkJoinPool(
            Runtime.getRuntime().availableProcessors(),
            pool -> having(ForkJoinPool.defaultForkJoinWorkerThreadFactory.newThread(pool)),
            null,
            false);

    private GivingWay() {}

    /** Has a thread give way; for those that libraries make. */
    public static <T extends Thread> T having(T thread) {
        thread.setPriority(PRIORITY);
        return thread;
    }

    /** Makes daemon threads that give way. */
    public static ThreadFactory threads(String prefix) {
        return Thread.ofPlatform().name(prefix, 1).daemon().priority(PRIORITY).factory();
    }

    /**
     * Does something on a thread that gives way, and waits for it.
     *
     * @throws RuntimeException what the work throws
     */
    public static <T> T alone(Callable<T> work) {
        FutureTask<T> task = new FutureTask<>(work);
        Thread.ofPlatform().name("giving-way").priority(PRIORITY).start(task);
        return done(task);
    }

    /**
     * Does something whose parallel streams use all processors, and waits for it.
     *
     * @throws RuntimeException what the work throws
     */
    public static <T> T onAllProcessors(Callable<T> work) {
        return done(POOL.submit(work));
    }

    /** Whoever waits is not let go before: the work would go on without its caller's locks. */
    private static <T> T done(Future<T> task) {
        boolean interrupted = false;
        try {
            while (true) {
                try {
                    return task.get();
                } catch (InterruptedException hurried) {
                    interrupted = true;
                }
            }
        } catch (ExecutionException failure) {
            throw thrown(failure.getCause());
        } finally {
            if (interrupted) {
                Thread.currentThread().interrupt();
            }
        }
    }

    private static RuntimeException thrown(@Nullable Throwable cause) {
        if (cause instanceof Error error) {
            throw error;
        }
        return cause instanceof RuntimeException reason ? reason : new IllegalStateException(cause);
    }
}
