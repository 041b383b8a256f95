package tidylantern.core.proposal;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import tidylantern.core.content.Collection;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.filter.Control;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterSource;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.query.SearchEngine;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.core.query.listing.ItemFilter;
import tidylantern.core.query.listing.ItemListing;
import tidylantern.core.query.words.VisitorQuery;

/** Finds the fields that visitors of a search could narrow by, and reckons what each would show. */
public final class NarrowingFields {
    /** Titles and long texts are what words search; a box for one of them would only repeat the search. */
    private static final Set<FieldKey> NEVER =
            Set.of(FieldKey.TITLE, FieldKey.SUMMARY, FieldKey.BODY, FieldKey.HEADINGS);

    private final SiteIndex index;
    private final SiteContent content;
    private final SearchDesign design;
    private final List<Collection> searched;

    private final LocalDate today;

    private NarrowingFields(SiteIndex index, SiteContent content, SearchDesign design, LocalDate today) {
        this.today = today;
        this.index = index;
        this.content = content;
        this.design = design;
        searched = content.collections().stream()
                .filter(collection -> design.searched().contains(collection.key()))
                .toList();
    }

    /** Those of a design's reach that any item has a value in, in the order of the collections' fields. */
    public static List<NarrowingField> of(SiteIndex index, SiteContent content, SearchDesign design, LocalDate today) {
        return new NarrowingFields(index, content, design, today).found();
    }

    private List<NarrowingField> found() {
        List<Field> fields = searched.stream()
                .flatMap(collection -> collection.fields().stream())
                .filter(field -> !Control.fitting(field.kind()).isEmpty() && !NEVER.contains(field.key()))
                .collect(Collectors.toMap(Field::key, field -> field, (first, again) -> first, LinkedHashMap::new))
                .values()
                .stream()
                .toList();
        List<NarrowingField> found = new ArrayList<>();
        for (int from = 0; from < fields.size(); from += SearchDesign.MOST_FILTERS) {
            List<Field> some = fields.subList(from, Math.min(from + SearchDesign.MOST_FILTERS, fields.size()));
            List<FilterAnswer> answers = answers(some);
            for (int i = 0; i < some.size(); i++) {
                ItemFilter having = having(some.get(i));
                int items = new ItemListing(index).count(having);
                if (items > 0) {
                    found.add(one(some.get(i), answers.get(i), having, items));
                }
            }
        }
        return found;
    }

    /** What each would show by itself, asked of the engine that answers visitors. */
    private List<FilterAnswer> answers(List<Field> fields) {
        List<Filter> filters = new ArrayList<>();
        for (Field field : fields) {
            filters.add(Filter.of("f" + filters.size(), field.label(), usual(field)));
        }
        return new SearchEngine(index)
                .answer(CompiledSearch.of(content, design.withFilters(filters)), VisitorQuery.plain("", today))
                .filters();
    }

    /** Nobody narrows by what has none. */
    private static FilterSource usual(Field field) {
        return Objects.requireNonNull(FilterSource.usual(field.key(), field.kind()));
    }

    private ItemFilter having(Field field) {
        return new ItemFilter(
                null,
                "",
                List.of(new ItemFilter.InReach(design.reach(), true), new ItemFilter.Says(field.key(), true)));
    }

    private NarrowingField one(Field field, FilterAnswer answer, ItemFilter having, int items) {
        return new NarrowingField(
                field,
                searched.stream()
                        .filter(collection -> collection.field(field.key()) != null)
                        .toList(),
                items,
                field.kind() == FieldKind.CATEGORY ? new ItemListing(index).values(field.key(), having) : List.of(),
                answer.values().stream().anyMatch(value -> value.below() > 0),
                field.kind() == FieldKind.MONEY ? currency(having, field.key()) : "",
                answer.bounds(),
                field.kind() == FieldKind.YES_NO
                        ? answer.values().stream()
                                .mapToInt(FilterAnswer.Offered::count)
                                .findFirst()
                                .orElse(0)
                        : 0);
    }

    /** The currency of an item that has an amount, as it is written; empty where it does not say. */
    private String currency(ItemFilter having, FieldKey field) {
        return new ItemListing(index)
                .page(content, having, new ItemListing.ByTitle(), false, 1, 1, Set.of(field)).rows().stream()
                        .map(row -> row.item().values().get(field))
                        .map(value -> value instanceof FieldValue.Money money && money.currency() != null
                                ? money.currency()
                                : "")
                        .findFirst()
                        .orElse("");
    }
}
