package tidylantern.server.operation;

import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import tidylantern.server.platform.EveryHour;
import tidylantern.server.platform.Refusal;
import tidylantern.server.platform.Repeating;

/**
 * Every hour: whoever has something to tidy up does so, and the database file is made smaller where that is worth it.
 */
@Component
class Upkeep implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(Upkeep.class);

    private final Copies copies;
    private final ApplicationEventPublisher events;
    private final ScheduledExecutorService thread = Executors.newSingleThreadScheduledExecutor(
            Thread.ofPlatform().name("upkeep").daemon().factory());
    private volatile boolean running;

    Upkeep(Copies copies, ApplicationEventPublisher events) {
        this.copies = copies;
        this.events = events;
    }

    @Override
    public void start() {
        running = true;
        Repeating.every(Duration.ofHours(1), thread, "What is done every hour", this::hourQuietly);
    }

    private void hourQuietly() {
        try {
            events.publishEvent(new EveryHour());
        } catch (RuntimeException failure) {
            LOG.warn("Something could not be tidied up; the next hour comes", failure);
        }
        compactQuietly();
    }

    private void compactQuietly() {
        try {
            copies.compact();
        } catch (Refusal busy) {
            LOG.info("The database file was not made smaller, since it was in use; the next hour comes");
        } catch (IOException | RuntimeException failure) {
            LOG.warn("The database file could not be made smaller", failure);
        }
    }

    @Override
    public void stop() {
        running = false;
        thread.shutdownNow();
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}
