package tidylantern.server.content;

import java.util.Objects;
import java.util.function.Supplier;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tidylantern.server.key.SiteKey;
import tidylantern.server.operation.ChangeGate;
import tidylantern.server.platform.Rearranged;

/**
 * The one way by which a site's content is written: in the site's turn, in one transaction, on the disk itself before
 * anybody is told, read anew where it is kept at hand once live searches are ready for it, and followed by the index.
 * One writer of a site at a time, so that the numbers of its changes are committed in their order.
 */
@Component
public class SiteWriter {
    private final ContentStore store;
    private final SiteContents contents;
    private final SiteIndexes indexes;
    private final TransactionTemplate transaction;
    private final ChangeGate gate;
    private final ApplicationEventPublisher events;

    SiteWriter(
            ContentStore store,
            SiteContents contents,
            SiteIndexes indexes,
            TransactionTemplate transaction,
            ChangeGate gate,
            ApplicationEventPublisher events) {
        this.store = store;
        this.contents = contents;
        this.indexes = indexes;
        this.transaction = transaction;
        this.gate = gate;
        this.events = events;
    }

    /**
     * Writes content.
     *
     * @param work done within a transaction; what it throws takes all of it back
     * @return what the work returned
     */
    public <T> T change(SiteKey site, Supplier<T> work) {
        return change(site, work, () -> {});
    }

    /** Writes content, without anything to return. */
    public void change(SiteKey site, Runnable work) {
        change(site, work, () -> {});
    }

    /** @param whenKept told once it is on the disk itself, while the index has yet to follow */
    public void change(SiteKey site, Runnable work, Runnable whenKept) {
        change(
                site,
                () -> {
                    work.run();
                    return true;
                },
                whenKept);
    }

    private <T> T change(SiteKey site, Supplier<T> work, Runnable whenKept) {
        synchronized (indexes.turn(site)) {
            T done = null;
            try {
                done = committed(work);
            } finally {
                if (done == null) {
                    // What the work read of its own writes is not so, now that it was taken back.
                    contents.forget(site);
                }
            }
            try {
                store.force();
                whenKept.run();
            } finally {
                // It is committed, whatever the disk says: what follows from it follows.
                gate.changed();
                contents.renew(site, next -> indexes.prepare(site, next));
                indexes.followOrLater(site);
            }
            return done;
        }
    }

    private <T> T committed(Supplier<T> work) {
        return Objects.requireNonNull(transaction.execute(status -> work.get()));
    }

    /**
     * Deletes what belongs to a site, or brings it back; all who keep something of it at hand look again.
     *
     * @param work as in {@link #change(SiteKey, Supplier)}; it may delete the site itself
     */
    public <T> T rearrange(SiteKey site, Supplier<T> work) {
        synchronized (indexes.turn(site)) {
            T done = committed(work);
            try {
                store.force();
            } finally {
                events.publishEvent(new Rearranged(site));
            }
            return done;
        }
    }
}
