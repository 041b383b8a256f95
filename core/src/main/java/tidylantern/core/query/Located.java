package tidylantern.core.query;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.apache.lucene.search.IndexSearcher;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.OwnPlace;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.index.IndexFields;
import tidylantern.core.place.Gazetteer;
import tidylantern.core.place.Position;
import tidylantern.core.place.Slip;

/**
 * Where a visitor is, or looks for things around. A name is looked for first among those of the site's items and the owner's own,
 * then among the world's; as it is written, as the beginning of one, with a slip.
 *
 * @param position null where nobody knows
 * @param name of the place meant; empty where a position was given, or nothing
 * @param unknown the name that no place has; empty where there is none such
 * @param namesakes labels of other places of the name, each of which means just one place
 * @param ofWorld whether the name is one of the gazetteer's
 */
record Located(@Nullable Position position, String name, String unknown, List<String> namesakes, boolean ofWorld) {
    static final Located NOWHERE = new Located(null, "", "", List.of(), false);
    private static final int MOST_NAMESAKES = 4;
    private static final int SHORTEST_BEGINNING = 4;

    static Located of(IndexSearcher searcher, SearchDesign design, SiteContent content, Gazetteer gazetteer, Whereabouts whereabouts) throws IOException {
        String typed = whereabouts.name();
        if (whereabouts.position() != null) {
            return new Located(whereabouts.position(), "", "", List.of(), false);
        }
        String folded = IndexFields.folded(typed);
        if (folded.isEmpty()) {
            return NOWHERE;
        }
        Map<String, Site> ours = new TreeMap<>();
        for (FieldKey field : placeFields(design, content)) {
            PlaceNames.of(searcher, design.reach(), field).all().forEach(named -> ours.putIfAbsent(IndexFields.folded(named.name()), new Site(named.name(), named.middle(), named.items())));
        }
        for (OwnPlace own : content.ownPlaces()) {
            ours.put(IndexFields.folded(own.name()), new Site(own.name(), new Position(own.latitude(), own.longitude()), Integer.MAX_VALUE));
        }
        Site exact = ours.get(folded);
        if (exact == null) {
            exact = best(ours.entrySet().stream().filter(one -> one.getKey().startsWith(folded)).map(Map.Entry::getValue).toList());
        }
        if (exact != null) {
            return new Located(exact.middle(), exact.name(), "", List.of(), false);
        }
        List<Gazetteer.Found> world = gazetteer.named(typed);
        if (world.isEmpty()) {
            Site near = best(ours.entrySet().stream().filter(one -> Slip.between(folded, one.getKey())).map(Map.Entry::getValue).toList());
            if (near != null) {
                return new Located(near.middle(), near.name(), "", List.of(), false);
            }
            world = gazetteer.nearlyNamed(typed);
        }
        if (world.isEmpty() && folded.length() >= SHORTEST_BEGINNING) {
            world = gazetteer.beginning(typed, MOST_NAMESAKES + 1);
        }
        return world.isEmpty() ? new Located(null, "", typed, List.of(), false)
                : new Located(world.getFirst().position(), world.getFirst().label(), "", world.stream().skip(1).limit(MOST_NAMESAKES).map(Gazetteer.Found::label).toList(), true);
    }

    /** @param items how many have the name */
    private record Site(String name, Position middle, int items) {}

    private static @Nullable Site best(List<Site> places) {
        return places.stream().max(Comparator.comparingInt(Site::items).thenComparing(Site::name, Comparator.reverseOrder())).orElse(null);
    }

    /** The fields of places among those searched, in the order of the content. */
    static List<FieldKey> placeFields(SearchDesign design, SiteContent content) {
        List<FieldKey> fields = new ArrayList<>();
        content.collections().stream().filter(collection -> design.searched().contains(collection.key())).flatMap(collection -> collection.fields().stream())
                .filter(field -> field.kind() == FieldKind.PLACE).map(Field::key).filter(key -> !fields.contains(key)).forEach(fields::add);
        return fields;
    }
}
