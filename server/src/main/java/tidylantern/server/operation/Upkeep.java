package tidylantern.server.operation;

import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import tidylantern.server.platform.EveryHour;
import tidylantern.server.platform.Refusal;

/**
 * Every hour: whoever has something to tidy up does so, and the database file is made smaller where that is worth it.
 */
@Component
class Upkeep {
    private static final Logger LOG = LoggerFactory.getLogger(Upkeep.class);

    private final Copies copies;
    private final ApplicationEventPublisher events;

    Upkeep(Copies copies, ApplicationEventPublisher events) {
        this.copies = copies;
        this.events = events;
    }

    @Scheduled(initialDelayString = "1h", fixedDelayString = "1h")
    void hour() {
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
}
