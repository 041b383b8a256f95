package tidylantern.server.history;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.EveryHour;
import tidylantern.server.platform.Refusal;
import tools.jackson.databind.json.JsonMapper;

/**
 * What owners changed by hand in the last 30 days. A change is taken back by putting the state before it back, which is
 * a change too; so nothing that happened is ever struck out.
 */
@Component
public class History {
    private static final Logger LOG = LoggerFactory.getLogger(History.class);
    /** So long a change can be taken back. */
    public static final Duration REST = Duration.ofDays(30);

    private static final int LONGEST_TOLD = 500;

    private final HistoryStore store;
    private final JsonMapper json;
    private final Clock clock;
    private final ObjectProvider<SiteOwners> owners;
    private final Map<String, Changeable<?, ?>> kinds = new ConcurrentHashMap<>();

    History(HistoryStore store, JsonMapper json, Clock clock, ObjectProvider<SiteOwners> owners) {
        this.owners = owners;
        this.store = store;
        this.json = json;
        this.clock = clock;
    }

    /** How what a change left is now. */
    public enum ChangeStanding {
        /** As the change left it, so that it can be taken back. */
        STANDS,
        /** As it was before the change. */
        AS_BEFORE,
        /** Neither: it was changed again since. */
        CHANGED_SINCE,
        /** As the change left it; what was added is deleted in its own place. */
        ADDED;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    /**
     * A change.
     *
     * @param kind of what was changed
     * @param told what became of it, in a sentence
     * @param until when it goes from the list and cannot be taken back any more
     */
    public record OwnerChange(
            long id,
            String kind,
            String told,
            OffsetDateTime changed,
            String by,
            ChangeStanding standing,
            OffsetDateTime until) {}

    /** Has changes of a kind be taken back; called as the service starts. */
    public void learn(Changeable<?, ?> kind) {
        kinds.put(kind.kind(), kind);
    }

    /** Who changes something in this thread, as changes name them. */
    public static String actor() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        return who == null ? "the service" : who.getName();
    }

    /** Makes a change and notes it; to be called within its transaction. */
    public <W, S> void change(Changeable<W, S> of, SiteKey site, W subject, Runnable change) {
        S before = of.now(site, subject);
        change.run();
        note(of, site, subject, before, of.now(site, subject), actor());
    }

    /** Notes a change, within its transaction; nothing where both states are one. */
    public <W, S> void note(
            Changeable<W, S> of, SiteKey site, W subject, @Nullable S before, @Nullable S after, String by) {
        if (Objects.equals(before, after)) {
            return;
        }
        store.add(
                site,
                new HistoryStore.StoredChange(
                        0,
                        of.kind(),
                        json.writeValueAsString(subject),
                        written(before),
                        written(after),
                        brief(of.told(site, subject, before, after)),
                        OffsetDateTime.now(clock),
                        by));
    }

    private @Nullable String written(@Nullable Object state) {
        return state == null ? null : json.writeValueAsString(state);
    }

    private static String brief(String told) {
        return told.length() <= LONGEST_TOLD ? told : told.substring(0, LONGEST_TOLD - 1) + "…";
    }

    /**
     * The numbers of a site's changes, the newest first.
     *
     * @throws Refusal if there is no such site
     */
    List<Long> numbers(SiteKey site) {
        if (!store.hasSite(site)) {
            throw Refusal.notFound("There is no site \"%s\".".formatted(site));
        }
        forgetOld();
        return store.numbers(site);
    }

    /** @throws Refusal if the site has no such change any more */
    OwnerChange get(SiteKey site, long number) {
        HistoryStore.StoredChange stored = stored(site, number);
        return new OwnerChange(
                stored.changeId(),
                stored.kind(),
                stored.told(),
                stored.changed(),
                stored.changedBy(),
                standing(kind(stored), site, stored),
                stored.changed().plus(REST));
    }

    private HistoryStore.StoredChange stored(SiteKey site, long number) {
        return store.find(site, number)
                .orElseThrow(() -> Refusal.notFound(
                        "No change of the number %d was made here in the last 30 days.".formatted(number)));
    }

    private Changeable<?, ?> kind(HistoryStore.StoredChange stored) {
        Changeable<?, ?> kind = kinds.get(stored.kind());
        if (kind == null) {
            throw new IllegalStateException("nobody knows changes of the kind " + stored.kind());
        }
        return kind;
    }

    /**
     * Has all be as it was before a change.
     *
     * @throws Refusal if it was changed again since, cannot be so any more, or is not theirs who ask
     */
    void takeBack(SiteKey site, long number) {
        forgetOld();
        HistoryStore.StoredChange stored = stored(site, number);
        Changeable<?, ?> kind = kind(stored);
        if (kind.ownersOnly() && !owners.getObject().isAskedByOwner(site)) {
            throw new Refusal(
                    HttpStatus.FORBIDDEN,
                    null,
                    "Only owners of the site change this, and take it back. Ask one of them.");
        }
        String obstacle =
                switch (standing(kind, site, stored)) {
                    case STANDS -> null;
                    case AS_BEFORE -> "This is as it was before that change already.";
                    case CHANGED_SINCE -> "This was changed again since. Take the later change back first.";
                    case ADDED -> "What was added is deleted in its own place.";
                };
        if (obstacle != null) {
            throw Refusal.conflict(obstacle);
        }
        putBack(kind, site, stored);
        LOG.info("The change {} of {} was taken back by {}: {}", number, site, actor(), stored.told());
    }

    private <W, S> ChangeStanding standing(Changeable<W, S> of, SiteKey site, HistoryStore.StoredChange stored) {
        S before = read(of, stored.stateBefore());
        S after = read(of, stored.stateAfter());
        S now = of.now(site, json.readValue(stored.subject(), of.subject()));
        if (Objects.equals(now, after)) {
            return before == null ? ChangeStanding.ADDED : ChangeStanding.STANDS;
        }
        return Objects.equals(now, before) ? ChangeStanding.AS_BEFORE : ChangeStanding.CHANGED_SINCE;
    }

    private <S> @Nullable S read(Changeable<?, S> of, @Nullable String state) {
        return state == null ? null : json.readValue(state, of.state());
    }

    private <W, S> void putBack(Changeable<W, S> of, SiteKey site, HistoryStore.StoredChange stored) {
        of.putBack(
                site,
                json.readValue(stored.subject(), of.subject()),
                Objects.requireNonNull(read(of, stored.stateBefore())));
    }

    @EventListener
    void tidyUp(EveryHour hour) {
        forgetOld();
    }

    private void forgetOld() {
        store.forgetBefore(OffsetDateTime.now(clock).minus(REST));
    }
}
