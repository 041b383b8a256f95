package tidylantern.server.draft;

import io.swagger.v3.oas.annotations.Operation;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.content.Collection;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterHead;
import tidylantern.core.design.filter.JointSource;
import tidylantern.core.design.filter.OnlyControl;
import tidylantern.core.proposal.NarrowingField;
import tidylantern.core.query.filter.CategoryCount;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.core.query.listing.ItemFilter;
import tidylantern.server.content.SiteContents;
import tidylantern.server.content.SiteIndexes;
import tidylantern.server.design.Searches;
import tidylantern.server.key.SearchKey;
import tidylantern.server.platform.Refusal;

/** What the filters of a draft can be made of, and what they come to beside the items of its site. */
@RestController
@RequestMapping("/api/owner")
class DraftFiltersController {
    private final Searches searches;
    private final SiteIndexes indexes;
    private final SiteContents contents;
    private final DraftFacts facts;

    DraftFiltersController(Searches searches, SiteIndexes indexes, SiteContents contents, DraftFacts facts) {
        this.searches = searches;
        this.indexes = indexes;
        this.contents = contents;
        this.facts = facts;
    }

    @Operation(summary = "What each of the draft's filters does today: values on offer, items, and what is left out.")
    @GetMapping("/searches/{key}/draft/filter-figures")
    List<DraftFacts.FilterToday> figures(@PathVariable SearchKey key) {
        return facts.filtersToday(searches.draft(key));
    }

    /**
     * A field that visitors could narrow by.
     *
     * @param label of the field, as the content has it
     * @param collections that have it, by their labels
     * @param says what the items in the draft's reach say in it
     * @param filter that fits it; its name in addresses is that of the field, and may be taken by another filter
     */
    record FilterProposal(
            FieldKey field, FieldKind kind, String label, List<String> collections, FieldSays says, Filter filter) {}

    /**
     * What the items in reach say in a field.
     *
     * @param items that have a value
     * @param values how many category values they have, those above them included; 0 for other kinds
     * @param tree whether values lie below one another
     * @param nearlyUnique whether most items have a value of their own, so that narrowing by it leads to one of them at
     *     most
     * @param least number or day among these items; null for other kinds
     * @param greatest of them
     */
    record FieldSays(
            int items,
            int values,
            boolean tree,
            boolean nearlyUnique,
            @Nullable String least,
            @Nullable String greatest) {}

    @Operation(
            summary =
                    "Fields of the draft's collections that visitors could narrow by, those that most items have first.")
    @GetMapping("/searches/{key}/draft/filter-proposals")
    List<FilterProposal> proposals(@PathVariable SearchKey key) {
        Searches.Draft draft = searches.draft(key);
        // Boxes for words last: they take typing, and few sites need one.
        return indexes.narrowing(draft.site(), draft.design()).stream()
                .map(DraftFiltersController::proposal)
                .sorted(Comparator.comparing(
                                (FilterProposal proposal) -> proposal.says().nearlyUnique())
                        .thenComparing(proposal -> proposal.filter().source().control() == OnlyControl.BOX)
                        .thenComparing(Comparator.comparingInt((FilterProposal proposal) ->
                                        proposal.says().items())
                                .reversed())
                        .thenComparing(FilterProposal::label))
                .toList();
    }

    private static FilterProposal proposal(NarrowingField field) {
        FilterAnswer.Bounds bounds = field.bounds();
        return new FilterProposal(
                field.key(),
                field.kind(),
                field.field().label(),
                field.collections().stream().map(Collection::label).toList(),
                new FieldSays(
                        field.items(),
                        field.values().size(),
                        field.tree(),
                        field.nearlyUnique(),
                        bounds == null ? null : bounds.min(),
                        bounds == null ? null : bounds.max()),
                field.filter());
    }

    /**
     * Two filters to be joined.
     *
     * @param filter what it is handled with, and how its values stand, holds for both; a joint one takes the other in
     * @param key of the joint one
     */
    record Joining(Filter filter, Filter other, String key) {}

    @Operation(summary = "The joint filter of two of a draft's, as it would be; the draft stays as it is.")
    @PostMapping("/searches/{key}/draft/joined-filter")
    Filter joined(@PathVariable SearchKey key, @RequestBody Joining joining) {
        searches.draft(key);
        Filter filter = joining.filter();
        return new Filter(
                new FilterHead(joining.key(), filter.label(), filter.head().help()),
                filter.shown(),
                JointSource.joining(filter, joining.other()));
    }

    @Operation(
            summary = "The values of a category field among the items that the draft reaches, with those above them.")
    @GetMapping("/searches/{key}/draft/filter-values")
    List<CategoryCount> values(@PathVariable SearchKey key, @RequestParam String field) {
        Searches.Draft draft = searches.draft(key);
        if (!FieldKey.fits(field) || contents.of(draft.site()).kind(new FieldKey(field)) != FieldKind.CATEGORY) {
            throw Refusal.notFound("No collection has a field \"%s\" of kind category.".formatted(field));
        }
        return indexes.values(
                draft.site(),
                new FieldKey(field),
                new ItemFilter(
                        null, "", List.of(new ItemFilter.InReach(draft.design().reach(), true))));
    }
}
