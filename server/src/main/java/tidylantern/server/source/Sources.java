package tidylantern.server.source;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.mapping.Mapping;
import tidylantern.server.content.SiteContents;
import tidylantern.server.history.Changeable;
import tidylantern.server.history.History;
import tidylantern.server.history.Told;
import tidylantern.server.key.SiteKey;
import tidylantern.server.key.SourceId;
import tidylantern.server.platform.Refusal;
import tidylantern.server.source.reading.Refusals;
import tidylantern.server.source.reading.SourceSettings;
import tools.jackson.databind.json.JsonMapper;

/** The sources of each site. */
@Component
public class Sources {
    private final SourceStore store;
    private final SiteContents contents;
    private final Clock clock;
    private final SourceSecrets secrets;
    private final JsonMapper json;
    private final AbandonedUploads abandoned;
    private final History history;
    private final TransactionTemplate transaction;
    private final SourceChanges changes = new SourceChanges();

    Sources(
            SourceStore store,
            SiteContents contents,
            Clock clock,
            SourceSecrets secrets,
            JsonMapper json,
            AbandonedUploads abandoned,
            History history,
            TransactionTemplate transaction) {
        this.store = store;
        this.contents = contents;
        this.clock = clock;
        this.secrets = secrets;
        this.json = json;
        this.abandoned = abandoned;
        this.history = history;
        this.transaction = transaction;
        history.learn(changes);
    }

    /** How often a source runs by itself. */
    public enum Schedule {
        NEVER,
        HOURLY,
        DAILY,
        WEEKLY;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }

        @Nullable OffsetDateTime after(OffsetDateTime now) {
            return switch (this) {
                case NEVER -> null;
                case HOURLY -> now.plusHours(1);
                case DAILY -> now.plusDays(1);
                case WEEKLY -> now.plusWeeks(1);
            };
        }
    }

    /**
     * What an owner says about a source.
     *
     * @param removesMissing whether items that it no longer names are removed
     */
    public record SourceGiven(
            CollectionKey collection,
            String name,
            SourceSettings settings,
            Mapping mapping,
            boolean removesMissing,
            Schedule schedule) {
        public SourceGiven {
            Refusals.unless(collection != null, "collection", "Say which collection the items go to.");
            Refusals.unless(
                    name != null && !name.isBlank() && name.strip().length() <= 80,
                    "name",
                    "Give the source a name of 1 to 80 characters.");
            name = name.strip();
            Refusals.unless(settings != null, "settings", "Say where the items are.");
            Refusals.unless(mapping != null, "mapping", "Say which columns become which fields.");
            schedule = Objects.requireNonNullElse(schedule, Schedule.NEVER);
            Refusals.unless(
                    schedule == Schedule.NEVER
                            || !(settings instanceof SourceSettings.File file)
                            || file.upload() == null,
                    "schedule",
                    "An uploaded file does not change by itself. Give the address of one to have it read again.");
        }
    }

    /** @param nextRun null for one that runs by hand alone */
    public record Source(
            SourceId id,
            SiteKey site,
            SourceGiven given,
            @Nullable OffsetDateTime nextRun) {}

    public List<Source> ofSite(SiteKey site) {
        contents.of(site);
        return store.ofSite(site).stream().map(this::read).toList();
    }

    /** @throws Refusal if there is no such source */
    public Source get(SourceId id) {
        return store.find(id)
                .map(this::read)
                .orElseThrow(() -> Refusal.notFound("There is no source %s.".formatted(id)));
    }

    List<Source> due() {
        return store.due(OffsetDateTime.now(clock)).stream().map(this::read).toList();
    }

    @Transactional
    public Source add(SiteKey site, SourceGiven given) {
        contents.collection(site, given.collection().value());
        SourceId id = store.add(written(0, site, given, null));
        history.note(changes, site, id, null, changes.now(site, id), History.actor());
        return get(id);
    }

    /** The collection stays as it is: items do not move. A file that it read before is kept as long as the change. */
    @Transactional
    public Source change(SourceId id, SourceGiven given) {
        Source before = get(id);
        if (!before.given().collection().equals(given.collection())) {
            throw Refusal.bad(
                    "collection",
                    "The items of this source are in \"%s\". Make another source for \"%s\"."
                            .formatted(before.given().collection(), given.collection()));
        }
        SourceStore.StoredSource written =
                written(id.value(), before.site(), given, store.find(id).orElseThrow());
        put(written);
        return get(id);
    }

    private void put(SourceStore.StoredSource source) {
        history.change(changes, source.site(), source.source(), () -> store.change(source));
        abandoned.begin(source.site());
    }

    void ranNow(Source source) {
        store.nextRun(source.id(), source.given().schedule().after(OffsetDateTime.now(clock)));
    }

    private SourceStore.StoredSource written(
            long id, SiteKey site, SourceGiven given, SourceStore.@Nullable StoredSource before) {
        return new SourceStore.StoredSource(
                id,
                site.value(),
                given.collection().value(),
                given.name(),
                json.writerFor(SourceSettings.class).writeValueAsString(SourceSecrets.hidden(given.settings())),
                json.writeValueAsString(given.mapping()),
                given.removesMissing(),
                given.schedule().toString(),
                given.schedule().after(OffsetDateTime.now(clock)),
                secrets.kept(given.settings(), before));
    }

    private Source read(SourceStore.StoredSource stored) {
        SourceGiven given = new SourceGiven(
                new CollectionKey(stored.collectionKey()),
                stored.name(),
                SourceSecrets.hidden(json.readValue(stored.settings(), SourceSettings.class)),
                json.readValue(stored.mapping(), Mapping.class),
                stored.removesMissing(),
                schedule(stored.schedule()));
        return new Source(stored.source(), stored.site(), given, stored.nextRun());
    }

    private static Schedule schedule(String stored) {
        return Schedule.valueOf(stored.toUpperCase(Locale.ROOT));
    }

    /** What an owner says about a source, as it is stored. */
    private record Said(
            String name, String settings, String mapping, boolean removesMissing, String schedule, String secrets) {}

    private final class SourceChanges extends Changeable<SourceId, Said> {
        SourceChanges() {
            super("source", SourceId.class, Said.class);
        }

        @Override
        protected @Nullable Said now(SiteKey site, SourceId id) {
            return store.find(id)
                    .map(one -> new Said(
                            one.name(),
                            one.settings(),
                            one.mapping(),
                            one.removesMissing(),
                            one.schedule(),
                            one.secrets()))
                    .orElse(null);
        }

        @Override
        protected void putBack(SiteKey site, SourceId id, Said said) {
            SourceStore.StoredSource now = store.find(id).orElseThrow();
            SourceStore.StoredSource before = new SourceStore.StoredSource(
                    id.value(),
                    site.value(),
                    now.collectionKey(),
                    said.name(),
                    said.settings(),
                    said.mapping(),
                    said.removesMissing(),
                    said.schedule(),
                    schedule(said.schedule()).after(OffsetDateTime.now(clock)),
                    said.secrets());
            transaction.executeWithoutResult(status -> put(before));
        }

        @Override
        protected String told(SiteKey site, SourceId id, @Nullable Said before, @Nullable Said after) {
            Said now = Objects.requireNonNull(after);
            if (before == null) {
                return "The source “%s” added".formatted(now.name());
            }
            // Addresses stay untold as they are stored: without what is secret of them.
            return new Told("The source “%s”".formatted(now.name()))
                    .became("name", before.name(), now.name())
                    .became("address", addressOf(before), addressOf(now))
                    .became("runs by itself", before.schedule(), now.schedule())
                    .became("removes what is missing", yes(before.removesMissing()), yes(now.removesMissing()))
                    .and(
                            !before.settings().equals(now.settings())
                                    && Objects.equals(addressOf(before), addressOf(now)),
                            "another file, or other settings, are read")
                    .and(!before.mapping().equals(now.mapping()), "other columns become its fields")
                    .toString();
        }

        private @Nullable String addressOf(Said said) {
            return SourceSecrets.hidden(json.readValue(said.settings(), SourceSettings.class))
                    .address();
        }

        private static String yes(boolean so) {
            return so ? "yes" : "no";
        }
    }
}
