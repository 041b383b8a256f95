package tidylantern.server.design;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import tidylantern.server.operation.ChangeGate;
import tidylantern.server.platform.Repeating;

/** Looks every few seconds whether a planned publication is due; what came due while the service was down is, too. */
@Component
class PlannedPublications implements SmartLifecycle {
    private static final Duration BETWEEN_LOOKS = Duration.ofSeconds(5);

    private final Searches searches;
    private final ChangeGate gate;
    private final Clock clock;
    private final ScheduledExecutorService schedule = Executors.newSingleThreadScheduledExecutor(
            Thread.ofPlatform().name("planned-publications").daemon().factory());
    private volatile boolean running;

    PlannedPublications(Searches searches, ChangeGate gate, Clock clock) {
        this.clock = clock;
        this.searches = searches;
        this.gate = gate;
    }

    @Override
    public void start() {
        running = true;
        Repeating.every(BETWEEN_LOOKS, schedule, "Publishing what is due", this::publishDue);
    }

    private void publishDue() {
        // While nothing may be changed it stays due.
        if (gate.objection() == null) {
            searches.publishDue(OffsetDateTime.now(clock));
        }
    }

    @Override
    public void stop() {
        running = false;
        schedule.shutdown();
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}
