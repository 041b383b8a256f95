package tidylantern.server.source;

import java.time.Clock;
import java.time.Duration;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.EveryHour;
import tidylantern.server.platform.Rearranged;
import tidylantern.server.source.reading.SourceSettings;
import tools.jackson.databind.json.JsonMapper;

/**
 * Deletes uploaded files that no source reads any more: those that were looked at and never brought in, and those of
 * sources that were deleted or read another file, once that cannot be taken back.
 */
@Component
class AbandonedUploads {
    /** A day longer than what is deleted rests. */
    private static final Duration KEPT = Duration.ofDays(31);

    private final SourceStore sources;
    private final Uploads uploads;
    private final JsonMapper json;
    private final Clock clock;

    AbandonedUploads(SourceStore sources, Uploads uploads, JsonMapper json, Clock clock) {
        this.sources = sources;
        this.uploads = uploads;
        this.json = json;
        this.clock = clock;
    }

    /** From now on the time of those counts whose sources are gone. */
    @EventListener
    void begin(Rearranged rearranged) {
        begin(rearranged.site());
    }

    /** From now on the time of those counts that no source of a site reads any more. */
    void begin(SiteKey site) {
        uploads.touchUnless(site, inUse(), clock.instant());
    }

    @EventListener
    void sweep(EveryHour hour) {
        uploads.deleteUnless(inUse(), clock.instant().minus(KEPT));
    }

    private Set<String> inUse() {
        return sources.settings().stream()
                .map(settings -> json.readValue(settings, SourceSettings.class))
                .flatMap(settings ->
                        settings instanceof SourceSettings.File file ? Stream.ofNullable(file.upload()) : Stream.of())
                .collect(Collectors.toSet());
    }
}
