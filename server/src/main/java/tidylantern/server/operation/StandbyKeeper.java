package tidylantern.server.operation;

import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import tidylantern.server.platform.DiskRoom;
import tidylantern.server.platform.Rearranged;

/** Keeps what is known of the database beside the indexes, some seconds after each change. */
@Component
class StandbyKeeper implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(StandbyKeeper.class);

    private final Standby standby;
    private final ChangeGate gate;
    private final DiskRoom room;
    private final DatabaseStore database;
    private int kept = -1;
    private volatile boolean running;

    StandbyKeeper(Standby standby, ChangeGate gate, DiskRoom room, DatabaseStore database) {
        this.standby = standby;
        this.gate = gate;
        this.room = room;
        this.database = database;
    }

    @Override
    public void start() {
        running = true;
    }

    @Scheduled(initialDelayString = "5s", fixedDelayString = "5s")
    void keepQuietly() {
        try {
            keep();
        } catch (IOException | RuntimeException failure) {
            LOG.warn("What is known of the database could not be kept; it will be tried again", failure);
        }
    }

    /** At once, or a service that is killed in these seconds would miss the site that was deleted. */
    @EventListener
    synchronized void keepNow(Rearranged rearranged) {
        kept = -1;
        keepQuietly();
    }

    /** Keeps it now, if anything changed since it was last kept and there is room. */
    synchronized void keep() throws IOException {
        int changes = gate.changes();
        if (changes == kept || standby.active() || room.low()) {
            return;
        }
        standby.write(database.known());
        kept = changes;
    }

    @Override
    public void stop() {
        running = false;
        keepQuietly();
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}
