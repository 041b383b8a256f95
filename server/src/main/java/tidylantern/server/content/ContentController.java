package tidylantern.server.content;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemId;
import tidylantern.core.design.DesignChecks;
import tidylantern.server.platform.Refusal;

/** A site's collections, their fields and their items. */
@RestController
@RequestMapping("/api/owner/sites/{site}/collections")
class ContentController {
    private static final int MOST_A_PAGE = 200;

    private final SiteContents contents;
    private final ContentStore store;
    private final ItemPush push;
    private final FieldCorrection correction;

    ContentController(SiteContents contents, ContentStore store, ItemPush push, FieldCorrection correction) {
        this.contents = contents;
        this.store = store;
        this.push = push;
        this.correction = correction;
    }

    /** @param searchable whether words can be looked for in it */
    record FieldShape(FieldKey key, FieldKind kind, String property, String label, boolean searchable) {}

    record CollectionShape(CollectionKey key, String label, String language, int items, List<FieldShape> fields) {}

    record CollectionGiven(String label, String language) {}

    record FieldGiven(FieldKind kind, String label) {}

    /** @param address where the item's page is; null where the site gives none */
    record ItemRow(ItemId id, String title, @Nullable String address, OffsetDateTime changed) {}

    record ItemPage(int total, int page, int pages, List<ItemRow> items) {}

    @GetMapping
    List<CollectionShape> all(@PathVariable String site) {
        Map<String, Integer> counts = contents.counts(site);
        return contents.of(site).collections().stream().map(collection -> shape(collection, counts)).toList();
    }

    private static CollectionShape shape(Collection collection, Map<String, Integer> counts) {
        return new CollectionShape(collection.key(), collection.label(), collection.language(), counts.getOrDefault(collection.key().value(), 0),
                collection.fields().stream().map(field -> new FieldShape(field.key(), field.kind(), field.property(), field.label(),
                        DesignChecks.searchable(field.kind()))).toList());
    }

    @PutMapping("/{collection}")
    CollectionShape put(@PathVariable String site, @PathVariable String collection, @RequestBody CollectionGiven given) {
        contents.of(site);
        correction.putCollection(site, collection, given.label(), given.language());
        return shape(contents.collection(site, collection), contents.counts(site));
    }

    @PutMapping("/{collection}/fields/{field}")
    CollectionShape correct(@PathVariable String site, @PathVariable String collection, @PathVariable String field, @RequestBody FieldGiven given) {
        correction.correct(site, collection, field, given.kind(), given.label());
        return shape(contents.collection(site, collection), contents.counts(site));
    }

    @GetMapping("/{collection}/items")
    ItemPage items(@PathVariable String site, @PathVariable String collection, @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "1") int page, @RequestParam(defaultValue = "25") int perPage) {
        CollectionKey key = contents.collection(site, collection).key();
        if (perPage < 1 || perPage > MOST_A_PAGE) {
            throw Refusal.bad("perPage", "%d items a page are not possible; choose 1 to %d.".formatted(perPage, MOST_A_PAGE));
        }
        String words = q.strip().toLowerCase(Locale.ROOT);
        int total = store.count(site, key, words);
        int pages = Math.max(1, Math.ceilDiv(total, perPage));
        int shown = Math.clamp(page, 1, pages);
        return new ItemPage(total, shown, pages, store.page(site, key, words, (shown - 1) * perPage, perPage).stream()
                .map(item -> new ItemRow(new ItemId(item.itemId()), item.title(), item.address(), item.changed())).toList());
    }

    @Operation(summary = "Takes items as JSON Lines, one a line, known by their id; an item that is there already is replaced.")
    @PutMapping(path = "/{collection}/items", consumes = {"application/jsonl", "application/x-ndjson", MediaType.APPLICATION_JSON_VALUE, MediaType.TEXT_PLAIN_VALUE})
    ItemPush.Report push(@PathVariable String site, @PathVariable String collection, @Parameter(hidden = true) HttpServletRequest request) throws IOException {
        return push.push(site, collection, request.getInputStream());
    }
}
