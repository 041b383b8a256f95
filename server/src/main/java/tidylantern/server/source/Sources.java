package tidylantern.server.source;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.mapping.Mapping;
import tidylantern.server.content.SiteContents;
import tidylantern.server.platform.Refusal;
import tools.jackson.databind.json.JsonMapper;

/** The sources of each site. */
@Component
public class Sources {
    private final SourceStore store;
    private final SiteContents contents;
    private final Uploads uploads;
    private final Clock clock;
    private final SourceSecrets secrets;
    private final JsonMapper json;

    Sources(
            SourceStore store,
            SiteContents contents,
            Uploads uploads,
            Clock clock,
            SourceSecrets secrets,
            JsonMapper json) {
        this.store = store;
        this.contents = contents;
        this.uploads = uploads;
        this.clock = clock;
        this.secrets = secrets;
        this.json = json;
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
            long id,
            String site,
            SourceGiven given,
            @Nullable OffsetDateTime nextRun) {}

    public List<Source> ofSite(String site) {
        contents.of(site);
        return store.ofSite(site).stream().map(this::read).toList();
    }

    /** @throws Refusal if there is no such source */
    public Source get(long id) {
        return store.find(id)
                .map(this::read)
                .orElseThrow(() -> Refusal.notFound("There is no source %d.".formatted(id)));
    }

    List<Source> due() {
        return store.due(OffsetDateTime.now(clock)).stream().map(this::read).toList();
    }

    @Transactional
    public Source add(String site, SourceGiven given) {
        contents.collection(site, given.collection().value());
        return get(store.add(written(0, site, given, null)));
    }

    /** The collection stays as it is: items do not move. */
    @Transactional
    public Source change(long id, SourceGiven given) {
        Source before = get(id);
        if (!before.given().collection().equals(given.collection())) {
            throw Refusal.bad(
                    "collection",
                    "The items of this source are in \"%s\". Make another source for \"%s\"."
                            .formatted(before.given().collection(), given.collection()));
        }
        store.change(written(id, before.site(), given, store.find(id).orElseThrow()));
        forgetUpload(before, given.settings());
        return get(id);
    }

    /** The items stay. */
    @Transactional
    public void delete(long id) {
        Source source = get(id);
        store.delete(id);
        forgetUpload(source, null);
    }

    void ranNow(Source source) {
        store.nextRun(source.id(), source.given().schedule().after(OffsetDateTime.now(clock)));
    }

    private void forgetUpload(Source before, @Nullable SourceSettings after) {
        if (before.given().settings() instanceof SourceSettings.File old
                && old.upload() != null
                && !(after instanceof SourceSettings.File now && old.upload().equals(now.upload()))) {
            uploads.delete(before.site(), old.upload());
        }
    }

    private SourceStore.StoredSource written(
            long id, String site, SourceGiven given, SourceStore.@Nullable StoredSource before) {
        return new SourceStore.StoredSource(
                id,
                site,
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
                Schedule.valueOf(stored.schedule().toUpperCase(Locale.ROOT)));
        return new Source(stored.sourceId(), stored.siteKey(), given, stored.nextRun());
    }
}
