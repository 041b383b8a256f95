package tidylantern.core.query.compiled;

import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.card.Card;
import tidylantern.core.design.card.Place;
import tidylantern.core.design.filter.CategorySource;

/**
 * What the cards of one place show, and what is read of items for them.
 *
 * @param shown by collection, the fields that its card shows
 * @param lines by collection, how many lines of text stand on its card
 * @param prose fields that an excerpt is taken from, those of most weight first
 * @param fields that are read of every item
 * @param categories that are read too where ways on are made from what is found
 */
public record CardReading(
        Map<CollectionKey, Set<FieldKey>> shown,
        Map<CollectionKey, Integer> lines,
        List<FieldKey> prose,
        Set<FieldKey> fields,
        Set<FieldKey> categories) {
    static CardReading of(CompiledSearch search, Place place) {
        SearchDesign design = search.design();
        SiteContent content = search.content();
        Map<CollectionKey, Set<FieldKey>> shown = new HashMap<>();
        Map<CollectionKey, Integer> lines = new HashMap<>();
        for (CollectionKey collection : design.searched()) {
            Card card = design.card(place, collection);
            shown.put(collection, card.fields());
            lines.put(collection, card.excerptLines());
        }
        CategorySource tags = place == Place.WALL ? design.pictureTags() : null;
        if (tags != null) {
            shown.replaceAll((collection, fields) ->
                    Stream.concat(fields.stream(), Stream.of(tags.field())).collect(Collectors.toSet()));
        }
        List<FieldKey> prose = design.words().searched().stream()
                .sorted(Comparator.comparingDouble(FieldWeight::weight)
                        .reversed()
                        .thenComparing(FieldWeight::field))
                .map(FieldWeight::field)
                .filter(field -> content.kind(field) == FieldKind.TEXT)
                .toList();
        Set<FieldKey> fields = new HashSet<>(List.of(FieldKey.TITLE, FieldKey.IMAGE, FieldKey.ADDRESS));
        if (lines.values().stream().anyMatch(some -> some > 0)) {
            fields.addAll(prose);
            fields.addAll(List.of(FieldKey.HEADINGS, FieldKey.SUMMARY, FieldKey.BODY));
        }
        shown.values().forEach(fields::addAll);
        return new CardReading(shown, lines, prose, fields, categories(content));
    }

    private static Set<FieldKey> categories(SiteContent content) {
        return content.collections().stream()
                .flatMap(collection -> collection.fields().stream())
                .filter(field -> field.kind() == FieldKind.CATEGORY)
                .map(Field::key)
                .collect(Collectors.toSet());
    }

    /** @param places that a distance is told to; null for none */
    public Set<FieldKey> read(boolean waysOn, @Nullable FieldKey places) {
        Set<FieldKey> read = new HashSet<>(fields);
        if (waysOn) {
            read.addAll(categories);
        }
        if (places != null) {
            read.add(places);
        }
        return read;
    }
}
