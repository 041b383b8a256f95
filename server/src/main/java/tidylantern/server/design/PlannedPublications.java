package tidylantern.server.design;

import java.time.Clock;
import java.time.OffsetDateTime;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import tidylantern.server.operation.ChangeGate;

/** Looks every few seconds whether a planned publication is due; what came due while the service was down is, too. */
@Component
class PlannedPublications {
    private final Searches searches;
    private final ChangeGate gate;
    private final Clock clock;

    PlannedPublications(Searches searches, ChangeGate gate, Clock clock) {
        this.clock = clock;
        this.searches = searches;
        this.gate = gate;
    }

    @Scheduled(initialDelayString = "5s", fixedDelayString = "5s")
    void publishDue() {
        // While nothing may be changed it stays due.
        if (gate.objection() == null) {
            searches.publishDue(OffsetDateTime.now(clock));
        }
    }
}
