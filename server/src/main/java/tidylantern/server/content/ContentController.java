package tidylantern.server.content;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.design.DesignChecks;
import tidylantern.core.health.Finding;
import tidylantern.server.key.SiteKey;

/** A site's collections and their fields, what is wrong with them, and how their items go out. */
@RestController
@RequestMapping("/api/owner/sites/{site}")
class ContentController {
    private final SiteContents contents;
    private final ItemExport export;
    private final FieldCorrection correction;
    private final Corrections corrections;
    private final HealthChecks health;

    ContentController(
            SiteContents contents,
            ItemExport export,
            FieldCorrection correction,
            Corrections corrections,
            HealthChecks health) {
        this.contents = contents;
        this.export = export;
        this.correction = correction;
        this.corrections = corrections;
        this.health = health;
    }

    /** @param searchable whether words can be looked for in it */
    record FieldShape(
            FieldKey key,
            FieldKind kind,
            String property,
            String label,
            @Nullable String unit,
            boolean searchable,
            List<Finding.Merge> merged) {}

    /** @param correction that goes on, or went wrong in the background; null where there is none */
    record CollectionShape(
            CollectionKey key,
            String label,
            String language,
            int items,
            List<FieldShape> fields,
            Corrections.@Nullable Correction correction) {}

    record CollectionGiven(String label, String language) {}

    record FieldGiven(
            FieldKind kind, String label, @Nullable String unit) {}

    record Parted(CategoryPath from) {}

    @GetMapping("/collections")
    List<CollectionShape> all(@PathVariable SiteKey site) {
        Map<String, Integer> counts = contents.counts(site);
        return contents.of(site).collections().stream()
                .map(collection -> shape(site, collection, counts))
                .toList();
    }

    private CollectionShape shape(SiteKey site, Collection collection, Map<String, Integer> counts) {
        return new CollectionShape(
                collection.key(),
                collection.label(),
                collection.language(),
                counts.getOrDefault(collection.key().value(), 0),
                collection.fields().stream()
                        .map(field -> new FieldShape(
                                field.key(),
                                field.kind(),
                                field.property(),
                                field.label(),
                                field.unit(),
                                DesignChecks.searchable(field.kind()),
                                field.merged().entrySet().stream()
                                        .map(merge -> new Finding.Merge(merge.getKey(), merge.getValue()))
                                        .sorted(Comparator.comparing(
                                                merge -> merge.from().toString()))
                                        .toList()))
                        .toList(),
                corrections.of(site, collection.key()));
    }

    private CollectionShape shape(SiteKey site, String collection) {
        return shape(site, contents.collection(site, collection), contents.counts(site));
    }

    @PutMapping("/collections/{collection}")
    CollectionShape put(
            @PathVariable SiteKey site, @PathVariable String collection, @RequestBody CollectionGiven given) {
        contents.of(site);
        correction.putCollection(site, collection, given.label(), given.language());
        return shape(site, collection);
    }

    @Operation(
            summary =
                    "Corrects a field's kind, label or unit. What takes longer than two seconds goes on as the collection's correction.")
    @PutMapping("/collections/{collection}/fields/{field}")
    CollectionShape correct(
            @PathVariable SiteKey site,
            @PathVariable String collection,
            @PathVariable String field,
            @RequestBody FieldGiven given) {
        correction.correct(site, collection, field, given.kind(), given.label(), given.unit());
        return shape(site, collection);
    }

    @Operation(summary = "Stops the correction that goes on in a collection, or forgets what went wrong.")
    @DeleteMapping("/collections/{collection}/correction")
    CollectionShape stopCorrection(@PathVariable SiteKey site, @PathVariable String collection) {
        corrections.stop(site, contents.collection(site, collection).key());
        return shape(site, collection);
    }

    @Operation(summary = "Lets one category value count under another, now and whenever items bring it again.")
    @PostMapping("/collections/{collection}/fields/{field}/merges")
    CollectionShape merge(
            @PathVariable SiteKey site,
            @PathVariable String collection,
            @PathVariable String field,
            @RequestBody Finding.Merge given) {
        correction.merge(site, collection, field, given.from(), given.into());
        return shape(site, collection);
    }

    @Operation(summary = "Takes a merge back.")
    @DeleteMapping("/collections/{collection}/fields/{field}/merges")
    CollectionShape part(
            @PathVariable SiteKey site,
            @PathVariable String collection,
            @PathVariable String field,
            @RequestBody Parted given) {
        correction.part(site, collection, field, given.from());
        return shape(site, collection);
    }

    @Operation(summary = "All items as JSON Lines, in the form that a push takes.")
    @GetMapping("/collections/{collection}/export.jsonl")
    void jsonLines(
            @PathVariable SiteKey site,
            @PathVariable String collection,
            @Parameter(hidden = true) HttpServletResponse response)
            throws IOException {
        Collection known = contents.collection(site, collection);
        begin(response, "application/jsonl", collection + ".jsonl");
        export.jsonLines(site, known, response.getOutputStream());
    }

    @Operation(summary = "All items as CSV, a column a field.")
    @GetMapping("/collections/{collection}/export.csv")
    void csv(
            @PathVariable SiteKey site,
            @PathVariable String collection,
            @Parameter(hidden = true) HttpServletResponse response)
            throws IOException {
        Collection known = contents.collection(site, collection);
        begin(response, "text/csv;charset=UTF-8", collection + ".csv");
        export.csv(site, known, response.getOutputStream());
    }

    private static void begin(HttpServletResponse response, String type, String file) {
        response.setContentType(type);
        response.setHeader(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + file + "\"");
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
    }

    @Operation(summary = "What is wrong with the content, worst first.")
    @GetMapping("/health")
    List<Finding> health(@PathVariable SiteKey site) {
        return health.of(site);
    }
}
