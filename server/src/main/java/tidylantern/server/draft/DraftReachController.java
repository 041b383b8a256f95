package tidylantern.server.draft;

import io.swagger.v3.oas.annotations.Operation;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;
import tidylantern.core.design.Reach;
import tidylantern.core.design.ReachRule;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.index.StopWordLists;
import tidylantern.core.query.listing.ItemFilter;
import tidylantern.core.query.listing.ItemListing;
import tidylantern.core.query.listing.ReachCounts;
import tidylantern.server.content.SiteContents;
import tidylantern.server.content.SiteIndexes;
import tidylantern.server.design.Searches;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;

/** What the reach of a search comes to: counts of its rules, the items they take, and which searches find an item. */
@RestController
@RequestMapping("/api/owner")
class DraftReachController {
    private static final int PER_PAGE = 20;
    private static final int MOST_OFFERED = 12;

    private final Searches searches;
    private final SiteIndexes indexes;
    private final SiteContents contents;

    DraftReachController(Searches searches, SiteIndexes indexes, SiteContents contents) {
        this.searches = searches;
        this.indexes = indexes;
        this.contents = contents;
    }

    record ReachedItem(ItemId id, String title, @Nullable String address, Instant changed, boolean keptOut) {}

    record ReachedPage(int total, int page, int pages, List<ReachedItem> items) {}

    /**
     * Whether one search can find an item.
     *
     * @param draft whether its draft can
     * @param live whether visitors' version can; null where none is published
     * @param why what keeps it from the draft; null where nothing does
     */
    record FoundBy(
            SearchKey key,
            String name,
            boolean draft,
            @Nullable Boolean live,
            @Nullable String why) {}

    @Operation(summary = "How many items the draft's reach comes to, and each of its rules.")
    @GetMapping("/searches/{key}/draft/reach")
    ReachCounts counts(@PathVariable SearchKey key) {
        Searches.Draft draft = searches.draft(key);
        return indexes.listing(draft.site()).counts(draft.design().reach());
    }

    @Operation(summary = "A ready list of words that say little by themselves; empty for a language that has none.")
    @GetMapping("/stop-words")
    List<String> stopWords(@RequestParam String language) {
        return StopWordLists.of(language);
    }

    record NamedItem(CollectionKey collection, ItemId id, String title) {}

    @Operation(summary = "Items of any collection with these words in title or id, to choose one from.")
    @GetMapping("/searches/{key}/draft/items")
    List<NamedItem> anyItems(@PathVariable SearchKey key, @RequestParam String q) {
        SiteKey site = searches.draft(key).site();
        return indexes
                .listing(site)
                .page(
                        contents.of(site),
                        new ItemFilter(null, q, List.of()),
                        new ItemListing.ByTitle(),
                        false,
                        1,
                        MOST_OFFERED,
                        Set.of())
                .rows()
                .stream()
                .map(row -> new NamedItem(
                        row.item().ref().collection(),
                        row.item().ref().id(),
                        row.item().title()))
                .toList();
    }

    /** @param items in the draft's reach that say anything in the field */
    record FieldCount(FieldKey field, int items) {}

    @Operation(summary = "In how many items that the draft reaches each field says anything.")
    @GetMapping("/searches/{key}/draft/fields")
    List<FieldCount> fields(@PathVariable SearchKey key) {
        Searches.Draft draft = searches.draft(key);
        Reach reach = draft.design().reach();
        ItemListing listing = indexes.listing(draft.site());
        return contents.of(draft.site()).collections().stream()
                .filter(collection -> reach.keys().contains(collection.key()))
                .flatMap(collection -> collection.fields().stream())
                .map(Field::key)
                .distinct()
                .map(field -> new FieldCount(
                        field,
                        listing.count(new ItemFilter(
                                null,
                                "",
                                List.of(new ItemFilter.InReach(reach, true), new ItemFilter.Says(field, true))))))
                .toList();
    }

    @Operation(
            summary =
                    "The items of a collection that the draft reaches, does not reach, or that one of its rules hits.")
    @GetMapping("/searches/{key}/draft/reach/{collection}/items")
    ReachedPage items(
            @PathVariable SearchKey key,
            @PathVariable String collection,
            @RequestParam String which,
            @RequestParam(defaultValue = "0") int rule,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "1") int page) {
        Searches.Draft draft = searches.draft(key);
        CollectionKey known = contents.collection(draft.site(), collection).key();
        Reach reach = draft.design().reach();
        ItemFilter.Condition condition =
                switch (which) {
                    case "found" -> new ItemFilter.InReach(reach, true);
                    case "not-found" -> new ItemFilter.InReach(reach, false);
                    case "only" ->
                        new ItemFilter.HitBy(rule(searched(reach, known).only(), rule), known);
                    case "leave-out" ->
                        new ItemFilter.HitBy(rule(searched(reach, known).leaveOut(), rule), known);
                    default ->
                        throw Refusal.bad(
                                "which", "Ask for found, not-found, only or leave-out, not \"%s\".".formatted(which));
                };
        ItemListing.Page found = indexes.listing(draft.site())
                .page(
                        contents.of(draft.site()),
                        new ItemFilter(known, q, List.of(condition)),
                        new ItemListing.ByTitle(),
                        false,
                        page,
                        PER_PAGE,
                        Set.of());
        return new ReachedPage(
                found.total(),
                found.page(),
                found.pages(),
                found.rows().stream()
                        .map(row -> new ReachedItem(
                                row.item().ref().id(),
                                row.item().title(),
                                row.item().address(),
                                Instant.ofEpochMilli(row.changed()),
                                row.keptOut()))
                        .toList());
    }

    private static Reach.Searched searched(Reach reach, CollectionKey collection) {
        return reach.collections().stream()
                .filter(one -> one.collection().equals(collection))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("The draft does not search \"%s\".".formatted(collection)));
    }

    private static ReachRule rule(List<ReachRule> rules, int number) {
        if (number < 0 || number >= rules.size()) {
            throw Refusal.notFound(
                    "There is no rule %d; the draft has %d of them here.".formatted(number, rules.size()));
        }
        return rules.get(number);
    }

    @Operation(summary = "Which searches of the site can find an item, and what keeps it from the others.")
    @GetMapping("/sites/{site}/collections/{collection}/item/searches")
    List<FoundBy> foundBy(@PathVariable SiteKey site, @PathVariable String collection, @RequestParam String id) {
        CollectionKey known = contents.collection(site, collection).key();
        ItemRef item = new ItemRef(known, new ItemId(id));
        List<FoundBy> found = new ArrayList<>();
        for (Searches.Draft draft : searches.drafts(site)) {
            SearchDesign live =
                    searches.findLive(draft.search()).map(Searches.Live::design).orElse(null);
            boolean inDraft = reaches(site, draft.design().reach(), item);
            found.add(new FoundBy(
                    draft.search(),
                    draft.design().name(),
                    inDraft,
                    live == null ? null : reaches(site, live.reach(), item),
                    inDraft ? null : why(site, draft.design().reach(), item)));
        }
        return found;
    }

    private boolean reaches(SiteKey site, Reach reach, ItemRef item) {
        return holds(site, item, new ItemFilter.InReach(reach, true));
    }

    private boolean holds(SiteKey site, ItemRef item, ItemFilter.Condition condition) {
        return indexes.listing(site)
                        .count(new ItemFilter(
                                item.collection(), "", List.of(new ItemFilter.OneOf(Set.of(item)), condition)))
                > 0;
    }

    private String why(SiteKey site, Reach reach, ItemRef item) {
        if (holds(site, item, new ItemFilter.KeptOut(true))) {
            return "You keep it out of search.";
        }
        Reach.Searched searched = reach.collections().stream()
                .filter(one -> one.collection().equals(item.collection()))
                .findFirst()
                .orElse(null);
        if (searched == null) {
            return "Its collection is not searched.";
        }
        for (ReachRule rule : searched.leaveOut()) {
            if (holds(site, item, new ItemFilter.HitBy(rule, item.collection()))) {
                return "It is left out: %s.".formatted(rule);
            }
        }
        return "None of the “only” rules lets it in.";
    }
}
