package tidylantern.server.source;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.readiness.SourceState;
import tidylantern.server.key.SiteKey;
import tidylantern.server.source.reading.SourceSettings;

/** How the sources of a site stand, for those who look whether its searches are in order. */
@Component
public class SourceStates {
    private final Sources sources;
    private final Syncs syncs;
    private final Clock clock;

    SourceStates(Sources sources, Syncs syncs, Clock clock) {
        this.sources = sources;
        this.syncs = syncs;
        this.clock = clock;
    }

    /** @param collections whose sources are looked at */
    public List<SourceState> of(SiteKey site, Collection<CollectionKey> collections) {
        return sources.ofSite(site).stream()
                .filter(source -> collections.contains(source.given().collection()))
                .map(this::state)
                .toList();
    }

    private SourceState state(Sources.Source source) {
        Syncs.Sync last = syncs.last(source.id());
        OffsetDateTime now = OffsetDateTime.now(clock);
        boolean isUpload = source.given().settings() instanceof SourceSettings.File file && file.upload() != null;
        return new SourceState(
                source.id().value(),
                source.given().name(),
                last == null ? null : problem(last),
                last == null ? null : Duration.between(last.begun(), now),
                between(source.given().schedule(), now),
                !isUpload);
    }

    private static @Nullable String problem(Syncs.Sync last) {
        boolean isOpen = last.state() == Syncs.State.FAILED || last.state() == Syncs.State.ASKING;
        return isOpen ? last.report().problem() : null;
    }

    private static @Nullable Duration between(Sources.Schedule schedule, OffsetDateTime now) {
        OffsetDateTime next = schedule.after(now);
        return next == null ? null : Duration.between(now, next);
    }
}
