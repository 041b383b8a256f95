package tidylantern.server.source;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.OffsetDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.mapping.Mapping;
import tidylantern.server.content.SiteContents;
import tidylantern.server.key.SiteKey;
import tidylantern.server.key.SourceId;
import tidylantern.server.key.SyncId;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.Sites;
import tidylantern.server.source.reading.Refusals;
import tidylantern.server.source.reading.SourceSettings;

/** Sources: a preview of what is there, how it is mapped, and the runs that bring it in. */
@RestController
@RequestMapping("/api/owner")
class SourceController {
    private final Sources sources;
    private final Syncs syncs;
    private final SourcePreviews previews;
    private final PageOutlines outlines;
    private final Uploads uploads;
    private final SiteSurveys surveys;
    private final SiteContents contents;
    private final Sites sites;

    SourceController(
            Sources sources,
            Syncs syncs,
            SourcePreviews previews,
            PageOutlines outlines,
            Uploads uploads,
            SiteSurveys surveys,
            SiteContents contents,
            Sites sites) {
        this.sources = sources;
        this.syncs = syncs;
        this.previews = previews;
        this.outlines = outlines;
        this.uploads = uploads;
        this.surveys = surveys;
        this.contents = contents;
        this.sites = sites;
    }

    /** @param last the newest run; null where there was none */
    record SourceShape(
            SourceId id,
            SiteKey site,
            CollectionKey collection,
            String name,
            SourceSettings settings,
            Mapping mapping,
            boolean removesMissing,
            Sources.Schedule schedule,
            @Nullable OffsetDateTime nextRun,
            Syncs.@Nullable Sync last) {}

    /**
     * @param mapping null to have one guessed
     * @param collection that the items would go to; null for a new one
     * @param fresh whether to read the source again though it was read a moment ago
     */
    record PreviewGiven(
            SourceSettings settings,
            @Nullable Mapping mapping,
            @Nullable String collection,
            boolean fresh) {}

    record OutlineGiven(SourceSettings settings, String address) {}

    private SourceShape shape(Sources.Source source) {
        Sources.SourceGiven given = source.given();
        return new SourceShape(
                source.id(),
                source.site(),
                given.collection(),
                given.name(),
                given.settings(),
                given.mapping(),
                given.removesMissing(),
                given.schedule(),
                source.nextRun(),
                syncs.last(source.id()));
    }

    @Operation(summary = "Keeps a file, the body, for a source to read.")
    @PostMapping(path = "/sites/{site}/uploads", consumes = "application/octet-stream")
    @ResponseStatus(HttpStatus.CREATED)
    Uploads.Upload upload(@PathVariable SiteKey site, @Parameter(hidden = true) HttpServletRequest request)
            throws IOException {
        contents.of(site);
        return uploads.keep(site, request.getInputStream());
    }

    @Operation(summary = "What the site's own pages tell of it, and where its content could be read from.")
    @GetMapping("/sites/{site}/survey")
    SiteSurveys.Survey survey(@PathVariable SiteKey site) {
        return surveys.of(sites.get(site).address());
    }

    @Operation(summary = "Shows the first records of a source and what would become of them. Nothing is taken.")
    @PostMapping("/sites/{site}/source-previews")
    SourcePreviews.Preview preview(@PathVariable SiteKey site, @RequestBody PreviewGiven given) {
        contents.of(site);
        Refusals.unless(given.settings() != null, "settings", "Say where the items are.");
        return previews.of(site, given.settings(), given.mapping(), given.collection(), given.fresh());
    }

    @Operation(summary = "Shows a page of a crawl as a list of its parts, to point at.")
    @PostMapping("/sites/{site}/page-outlines")
    PageOutlines.Outline outline(@PathVariable SiteKey site, @RequestBody OutlineGiven given) {
        contents.of(site);
        if (!(given.settings() instanceof SourceSettings.Crawl crawl)) {
            throw Refusal.bad("settings", "Only pages of a crawl have parts to point at.");
        }
        return outlines.of(site, crawl, given.address());
    }

    @GetMapping("/sites/{site}/sources")
    List<SourceShape> ofSite(@PathVariable SiteKey site) {
        return sources.ofSite(site).stream().map(this::shape).toList();
    }

    @PostMapping("/sites/{site}/sources")
    @ResponseStatus(HttpStatus.CREATED)
    SourceShape add(@PathVariable SiteKey site, @RequestBody Sources.SourceGiven given) {
        return shape(sources.add(site, given));
    }

    @GetMapping("/sources/{id}")
    SourceShape get(@PathVariable SourceId id) {
        return shape(sources.get(id));
    }

    @PutMapping("/sources/{id}")
    SourceShape change(@PathVariable SourceId id, @RequestBody Sources.SourceGiven given) {
        return shape(sources.change(id, given));
    }

    @GetMapping("/sources/{id}/syncs")
    List<Syncs.Sync> syncs(@PathVariable SourceId id) {
        return syncs.of(id);
    }

    @Operation(summary = "Runs a source now.")
    @PostMapping("/sources/{id}/syncs")
    @ResponseStatus(HttpStatus.ACCEPTED)
    Syncs.Sync begin(@PathVariable SourceId id, Authentication who) {
        return syncs.begin(id, who.getName());
    }

    @GetMapping("/syncs/{id}")
    Syncs.Sync sync(@PathVariable SyncId id) {
        return syncs.get(id);
    }

    @Operation(summary = "Stops a run, or says no to one that asks.")
    @PostMapping("/syncs/{id}/stop")
    Syncs.Sync stop(@PathVariable SyncId id) {
        return syncs.stop(id);
    }

    @Operation(summary = "Says yes to a run that asks whether it may remove many items.")
    @PostMapping("/syncs/{id}/go-on")
    Syncs.Sync goOn(@PathVariable SyncId id, Authentication who) {
        return syncs.goOn(id, who.getName());
    }
}
