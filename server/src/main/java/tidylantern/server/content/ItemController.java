package tidylantern.server.content;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.content.Collection;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemReader;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.OwnerMark;
import tidylantern.core.index.IndexFields;
import tidylantern.core.query.filter.CategoryCount;
import tidylantern.core.query.listing.ItemFilter;
import tidylantern.core.query.listing.ItemListing;
import tidylantern.server.key.SiteKey;
import tidylantern.server.key.SourceId;
import tidylantern.server.platform.ListPages;
import tidylantern.server.platform.Refusal;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The items of a collection: the table of them, one of them, and what the owner adds to them by hand. */
@RestController
@RequestMapping("/api/owner/sites/{site}/collections/{collection}")
class ItemController {
    private static final int MOST_A_PAGE = 200;
    private static final int MOST_AT_ONCE = 5_000;
    private static final int VALUES_ON_A_PAGE = 500;
    private static final TypeReference<LinkedHashMap<String, @Nullable Object>> OBJECT = new TypeReference<>() {};

    private final SiteContents contents;
    private final ContentStore store;
    private final SiteIndexes indexes;
    private final OwnerMarks marks;
    private final JsonMapper json;

    ItemController(SiteContents contents, ContentStore store, SiteIndexes indexes, OwnerMarks marks, JsonMapper json) {
        this.contents = contents;
        this.store = store;
        this.indexes = indexes;
        this.marks = marks;
        this.json = json;
    }

    /**
     * @param address where the item's page is; null where the site gives none
     * @param values of the columns asked for, as text; nothing where the item does not say
     */
    record ItemRow(
            ItemId id,
            String title,
            @Nullable String address,
            Instant changed,
            boolean keptOut,
            Map<String, String> values) {}

    record ItemPage(int total, int page, int pages, List<ItemRow> items) {}

    /**
     * One field of an item.
     *
     * @param text what it says; null where it says nothing
     * @param addressed whether the text is an address
     * @param instead what its source says, where the owner wrote something in its place
     */
    record FieldSaid(
            FieldKey key,
            String label,
            FieldKind kind,
            String property,
            @Nullable String text,
            boolean addressed,
            @Nullable String instead) {}

    /**
     * @param unmapped properties that no field holds, or whose field cannot read them
     * @param notFound why no search finds it, where it could not be laid into the index; null where it could
     */
    record ItemWhole(
            ItemId id,
            String title,
            @Nullable String address,
            Instant changed,
            @Nullable SourceId source,
            OwnerMark mark,
            List<FieldSaid> fields,
            Map<String, @Nullable Object> unmapped,
            @Nullable String notFound) {}

    /**
     * What to do to several items at once.
     *
     * @param keptOut null to leave as it is
     * @param addKeywords null to add none
     */
    record Several(
            List<String> ids,
            @Nullable Boolean keptOut,
            @Nullable String addKeywords) {}

    record Done(int items) {}

    record Value(String value, List<String> names, int count) {}

    @Operation(summary = "A page of the collection's items, sorted and filtered by any field.")
    @GetMapping("/items")
    ItemPage items(
            @PathVariable SiteKey site,
            @PathVariable String collection,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "1") int page,
            @RequestParam(defaultValue = "25") int perPage,
            @Parameter(description = "title, id, changed, or a field's key") @RequestParam(defaultValue = "title")
                    String sort,
            @RequestParam(defaultValue = "false") boolean reversed,
            @RequestParam(defaultValue = "") List<String> columns,
            @Parameter(description = "A field's key, a colon, and a category value's key, or yes or no")
                    @RequestParam(defaultValue = "")
                    List<String> value,
            @Parameter(description = "Keys of fields that say something") @RequestParam(defaultValue = "")
                    List<String> with,
            @Parameter(description = "Keys of fields that say nothing") @RequestParam(defaultValue = "")
                    List<String> without,
            @RequestParam(required = false) @Nullable Boolean keptOut,
            @Parameter(description = "Only these items") @RequestParam(required = false) @Nullable List<String> id) {
        Collection known = contents.collection(site, collection);
        if (perPage < 1 || perPage > MOST_A_PAGE) {
            throw Refusal.bad(
                    "perPage", "%d items a page are not possible; choose 1 to %d.".formatted(perPage, MOST_A_PAGE));
        }
        List<ItemFilter.Condition> conditions = new ArrayList<>();
        for (String one : value) {
            int colon = one.indexOf(':');
            if (colon < 1) {
                throw Refusal.bad(
                        "value", "\"%s\" is no filter; write a field's key, a colon and a value.".formatted(one));
            }
            conditions.add(new ItemFilter.Value(
                    contents.field(site, collection, one.substring(0, colon)).key(), one.substring(colon + 1)));
        }
        with.forEach(field -> conditions.add(
                new ItemFilter.Says(contents.field(site, collection, field).key(), true)));
        without.forEach(field -> conditions.add(new ItemFilter.Says(key(field), false)));
        if (keptOut != null) {
            conditions.add(new ItemFilter.KeptOut(keptOut));
        }
        if (id != null) {
            conditions.add(
                    new ItemFilter.OneOf(id.stream().map(one -> ref(known, one)).collect(Collectors.toSet())));
        }
        List<FieldKey> shown = columns.stream()
                .filter(column -> !column.isBlank())
                .map(column -> contents.field(site, collection, column).key())
                .toList();
        ItemListing.Key by =
                switch (sort) {
                    case "title" -> new ItemListing.ByTitle();
                    case "id" -> new ItemListing.ById();
                    case "changed" -> new ItemListing.ByChange();
                    default ->
                        new ItemListing.ByField(
                                contents.field(site, collection, sort).key());
                };
        ItemListing.Page found = indexes.listing(site)
                .page(
                        contents.of(site),
                        new ItemFilter(known.key(), q, conditions),
                        by,
                        reversed,
                        page,
                        perPage,
                        new HashSet<>(shown));
        return new ItemPage(
                found.total(),
                found.page(),
                found.pages(),
                found.rows().stream().map(row -> row(row, shown)).toList());
    }

    private static FieldKey key(String name) {
        if (!FieldKey.fits(name)) {
            throw Refusal.bad("without", "\"%s\" is no key of a field.".formatted(name));
        }
        return new FieldKey(name);
    }

    static ItemRow row(IndexFields.Row row, List<FieldKey> columns) {
        return new ItemRow(
                row.item().ref().id(),
                row.item().title(),
                row.item().address(),
                Instant.ofEpochMilli(row.changed()),
                row.keptOut(),
                ShownValue.row(row.item(), columns));
    }

    @Operation(summary = "One item with everything it says, and what its owner added.")
    @GetMapping("/item")
    ItemWhole item(@PathVariable SiteKey site, @PathVariable String collection, @RequestParam String id) {
        Collection known = contents.collection(site, collection);
        ItemRef ref = ref(known, id);
        ContentStore.StoredItem stored = store.item(site, known.key(), id)
                .orElseThrow(() -> Refusal.notFound(
                        "There is no item \"%s\" in %s. Its source may have removed it.".formatted(id, known.label())));
        OwnerMark mark = marks.of(site, ref);
        Map<String, @Nullable Object> properties = Objects.requireNonNull(json.readValue(stored.properties(), OBJECT));
        Set<String> unfit = new HashSet<>();
        Item said = new ItemReader(known).readable(ref.id(), properties, (property, reason) -> unfit.add(property));
        Item shown = mark.over(said);
        List<FieldSaid> fields = new ArrayList<>();
        for (Field field : known.fields()) {
            FieldValue value = shown.values().get(field.key());
            FieldValue source = said.values().get(field.key());
            fields.add(new FieldSaid(
                    field.key(),
                    field.label(),
                    field.kind(),
                    field.property(),
                    value == null ? null : ShownValue.of(value),
                    field.kind() == FieldKind.LINK,
                    Objects.equals(value, source) ? null : source == null ? "" : ShownValue.of(source)));
            if (!unfit.contains(field.property())) {
                properties.remove(field.property());
            }
        }
        return new ItemWhole(
                ref.id(),
                shown.title(),
                shown.address(),
                stored.changed().toInstant(),
                stored.source(),
                mark,
                fields,
                properties,
                indexes.passedOver(site).get(ref));
    }

    private static ItemRef ref(Collection collection, String id) {
        return new ItemRef(collection.key(), new ItemId(id));
    }

    @Operation(summary = "Puts what the owner adds to an item in place of what it was.")
    @PutMapping("/item/mark")
    ItemWhole mark(
            @PathVariable SiteKey site,
            @PathVariable String collection,
            @RequestParam String id,
            @RequestBody OwnerMark given) {
        marks.change(site, contents.collection(site, collection).key(), List.of(new ItemId(id)), before -> given);
        return item(site, collection, id);
    }

    @Operation(summary = "Keeps several items out of search, lets them in again, or gives them keywords.")
    @PostMapping("/items/marks")
    Done several(@PathVariable SiteKey site, @PathVariable String collection, @RequestBody Several given) {
        Collection known = contents.collection(site, collection);
        if (given.ids().isEmpty() || given.ids().size() > MOST_AT_ONCE) {
            throw Refusal.bad(
                    "ids",
                    "Name 1 to %,d items, not %,d."
                            .formatted(MOST_AT_ONCE, given.ids().size()));
        }
        marks.change(
                site,
                known.key(),
                given.ids().stream().distinct().map(ItemId::new).toList(),
                before -> {
                    String keywords = given.addKeywords() == null
                                    || given.addKeywords().isBlank()
                            ? before.keywords()
                            : (before.keywords() + " " + given.addKeywords().strip()).strip();
                    boolean out = given.keptOut() == null ? before.keptOut() : given.keptOut();
                    return new OwnerMark(
                            out, keywords, before.title(), before.summary(), before.image(), before.imageAlternative());
                });
        return new Done(given.ids().size());
    }

    @Operation(
            summary =
                    "The values of a category field, or the names of authors, with the number of items that have each or something below it; 500 a page, and a Link header leads to the next.")
    @GetMapping("/fields/{field}/values")
    ResponseEntity<List<Value>> values(
            @PathVariable SiteKey site,
            @PathVariable String collection,
            @PathVariable String field,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "1") String page) {
        Collection known = contents.collection(site, collection);
        FieldKey key = contents.field(site, collection, field).key();
        String wanted = q.strip().toLowerCase(Locale.ROOT);
        List<CategoryCount> counted = indexes.values(site, key, new ItemFilter(known.key(), "", List.of()));
        List<Value> values = counted.stream()
                .filter(one ->
                        String.join(" ", one.names()).toLowerCase(Locale.ROOT).contains(wanted))
                .map(one -> new Value(one.value(), one.names(), one.count()))
                .toList();
        return ListPages.answer(ResponseEntity.ok(), values, VALUES_ON_A_PAGE, page);
    }
}
