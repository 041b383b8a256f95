package tidylantern.server.platform;

import java.time.Duration;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Work that is done again and again. A schedule of Java's ends for good, and silently, with the first failure; one of
 * these writes it to the log and goes on.
 */
public final class Repeating {
    private static final Logger LOG = LoggerFactory.getLogger(Repeating.class);

    private Repeating() {}

    /**
     * @param what is done, as a failure is told: {@code "Looking for sources whose time has come"}
     * @param pause before the first time, and from the end of one time to the next
     * @param schedule with which it ends
     */
    public static void every(Duration pause, ScheduledExecutorService schedule, String what, Runnable work) {
        var unused = schedule.scheduleWithFixedDelay(
                () -> quietly(what, work), pause.toMillis(), pause.toMillis(), TimeUnit.MILLISECONDS);
    }

    private static void quietly(String what, Runnable work) {
        try {
            work.run();
        } catch (RuntimeException failure) {
            LOG.warn("{} failed; it will be tried again", what, failure);
        }
    }
}
