package tidylantern.core.proposal;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Collection;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;
import tidylantern.core.content.SiteContent;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.query.listing.ItemFilter;
import tidylantern.core.query.listing.ItemListing;

/**
 * What some items of a collection look like: enough to tell shapes, too few to count with.
 *
 * @param items how many the collection has in all
 * @param some at most {@value #MOST} of them
 */
record CollectionSample(Collection collection, int items, List<Item> some) {
    /** Shares of so many are right to some per cent, and reading them takes milliseconds. */
    private static final int MOST = 300;

    static CollectionSample of(SiteIndex index, SiteContent content, Collection collection) {
        Set<FieldKey> columns = collection.fields().stream().map(Field::key).collect(Collectors.toSet());
        // By id, which says nothing about what an item is like; titles of one beginning are often of one kind.
        ItemListing.Page page = new ItemListing(index)
                .page(
                        content,
                        new ItemFilter(collection.key(), "", List.of(new ItemFilter.KeptOut(false))),
                        new ItemListing.ById(),
                        false,
                        1,
                        MOST,
                        columns);
        return new CollectionSample(
                collection,
                page.total(),
                page.rows().stream().map(row -> row.item()).toList());
    }

    /** The share of items for which something holds, 0 to 1. */
    double share(Predicate<Item> holds) {
        return some.isEmpty() ? 0 : (double) some.stream().filter(holds).count() / some.size();
    }

    /** The share of items that say anything in a field. */
    double saying(FieldKey field) {
        return share(item -> item.values().containsKey(field));
    }

    /** The share of items that say just one thing in a field, and that it is this. */
    double naming(FieldKey field, String name) {
        return share(item -> switch (item.values().get(field)) {
            case FieldValue.Categories categories ->
                categories.paths().getFirst().names().equals(List.of(name));
            case FieldValue.Text text -> text.text().equals(name);
            case null -> false;
            default -> false;
        });
    }

    /** The fields of some kinds. */
    List<Field> of(FieldKind... kinds) {
        return collection.fields().stream()
                .filter(field -> List.of(kinds).contains(field.kind()))
                .toList();
    }

    /** How many words the text of a field has, of those items that have any: as many in the middle; 0 for none. */
    int words(FieldKey field) {
        List<Integer> counts = some.stream()
                .map(item -> item.text(field))
                .filter(text -> !text.isBlank())
                .map(text -> text.strip().split("\\s+").length)
                .sorted()
                .toList();
        return counts.isEmpty() ? 0 : counts.get(counts.size() / 2);
    }

    /** The share of items that have a day in a field from today on. */
    double toCome(FieldKey field, LocalDate today) {
        return share(item -> item.values().get(field) instanceof FieldValue.Dates dates
                && !dates.days().getLast().isBefore(today));
    }

    /** The numbers or amounts of a field, ascending. */
    List<Double> numbers(FieldKey field) {
        return some.stream()
                .map(Item::values)
                .map(values -> number(values, field))
                .filter(Objects::nonNull)
                .sorted(Comparator.naturalOrder())
                .toList();
    }

    private static @Nullable Double number(Map<FieldKey, FieldValue> values, FieldKey field) {
        return switch (values.get(field)) {
            case FieldValue.Numeric numeric -> numeric.number().doubleValue();
            case FieldValue.Money money -> money.amount().doubleValue();
            case null -> null;
            default -> null;
        };
    }
}
