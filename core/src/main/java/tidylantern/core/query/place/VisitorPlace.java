package tidylantern.core.query.place;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Objects;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.OwnPlace;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.IndexState;
import tidylantern.core.place.Gazetteer;
import tidylantern.core.place.Position;
import tidylantern.core.place.Slip;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.words.Whereabouts;

/**
 * Where a visitor is, or looks for things around. A name is looked for first among those of the site's items and the
 * owner's own, then among the world's; as it is written, as the beginning of one, with a slip. Where items far apart
 * have one name, it means where most of them are, and the others are offered.
 *
 * @param position null where nobody knows
 * @param name of the place meant; empty where a position was given, or nothing
 * @param unknown the name that no place has; empty where there is none such
 * @param namesakes labels of other places of the name, each of which means just one place
 * @param ofWorld whether the name is one of the gazetteer's
 */
public record VisitorPlace(
        @Nullable Position position, String name, String unknown, List<String> namesakes, boolean ofWorld) {
    public static final VisitorPlace NOWHERE = new VisitorPlace(null, "", "", List.of(), false);
    private static final int MOST_NAMESAKES = 4;
    private static final int MOST_TOLD_APART = 50;
    private static final int SHORTEST_BEGINNING = 4;

    /** What somebody says of where they are, looked up among items, the owner's own names and the world's. */
    public static VisitorPlace of(IndexState state, CompiledSearch search, Gazetteer gazetteer, Whereabouts whereabouts)
            throws IOException {
        String typed = whereabouts.name();
        if (whereabouts.position() != null) {
            return new VisitorPlace(whereabouts.position(), "", "", List.of(), false);
        }
        String folded = IndexFields.folded(typed);
        if (folded.isEmpty()) {
            return NOWHERE;
        }
        Ours ours = new Ours(gazetteer);
        for (FieldKey field : search.placeFields()) {
            ours.fields.add(PlaceNames.of(state, search.reachIn(state), field).byName());
        }
        search.content().ownPlaces().forEach(own -> ours.owners.put(IndexFields.folded(own.name()), own));
        VisitorPlace here = ours.named(folded);
        if (here == null) {
            here = ours.beginning(folded);
        }
        if (here != null) {
            return here;
        }
        List<Gazetteer.Found> world = gazetteer.named(typed);
        if (world.isEmpty()) {
            VisitorPlace near = ours.nearly(folded);
            if (near != null) {
                return near;
            }
            world = gazetteer.nearlyNamed(typed);
        }
        if (world.isEmpty() && folded.length() >= SHORTEST_BEGINNING) {
            world = gazetteer.beginning(typed, MOST_NAMESAKES + 1);
        }
        return world.isEmpty()
                ? new VisitorPlace(null, "", typed, List.of(), false)
                : new VisitorPlace(
                        world.getFirst().position(),
                        world.getFirst().label(),
                        "",
                        world.stream()
                                .skip(1)
                                .limit(MOST_NAMESAKES)
                                .map(Gazetteer.Found::label)
                                .toList(),
                        true);
    }

    /** The places of the site's items and the owner's own. Names are folded. */
    private static final class Ours {
        private final List<NavigableMap<String, List<PlaceNames.Named>>> fields = new ArrayList<>();
        private final NavigableMap<String, OwnPlace> owners = new TreeMap<>();
        private final Gazetteer gazetteer;

        Ours(Gazetteer gazetteer) {
            this.gazetteer = gazetteer;
        }

        /** The place called so; what follows a comma may tell which of several. */
        @Nullable VisitorPlace named(String folded) {
            VisitorPlace whole = called(folded, null);
            int comma = folded.indexOf(',');
            return whole != null || comma < 0
                    ? whole
                    : called(folded.substring(0, comma).strip(), folded);
        }

        /** The name that most items have of those that begin so; the owner's own before all. */
        @Nullable VisitorPlace beginning(String start) {
            return called(
                    fields.stream()
                            .flatMap(field -> field.subMap(start, start + Character.MAX_VALUE).entrySet().stream()),
                    owners.subMap(start, start + Character.MAX_VALUE).keySet().stream());
        }

        /** The same of those that are a slip away. */
        @Nullable VisitorPlace nearly(String folded) {
            String letter = folded.substring(0, folded.offsetByCodePoints(0, 1));
            return called(
                    fields.stream()
                            .flatMap(field -> field.subMap(letter, letter + Character.MAX_VALUE).entrySet().stream())
                            .filter(one -> Slip.between(folded, one.getKey())),
                    owners.keySet().stream().filter(own -> Slip.between(folded, own)));
        }

        private @Nullable VisitorPlace called(
                Stream<Map.Entry<String, List<PlaceNames.Named>>> names, Stream<String> own) {
            String first = own.findFirst().orElse(null);
            if (first != null) {
                return called(first, null);
            }
            return names.max(Comparator.comparingInt(
                                    (Map.Entry<String, List<PlaceNames.Named>> one) -> one.getValue().stream()
                                            .mapToInt(PlaceNames.Named::items)
                                            .sum())
                            .thenComparing(Map.Entry::getKey, Comparator.reverseOrder()))
                    .map(one -> called(one.getKey(), null))
                    .orElse(null);
        }

        /** @param label of one place of several that are called so; null for the largest */
        private @Nullable VisitorPlace called(String name, @Nullable String label) {
            OwnPlace own = owners.get(name);
            if (own != null && label == null) {
                return new VisitorPlace(
                        new Position(own.latitude(), own.longitude()), own.name(), "", List.of(), false);
            }
            List<PlaceNames.Named> places = fields.stream()
                    .map(field -> field.get(name))
                    .filter(Objects::nonNull)
                    .findFirst()
                    .orElse(List.of());
            if (places.size() == 1 && label == null) {
                return new VisitorPlace(
                        places.getFirst().middle(), places.getFirst().name(), "", List.of(), false);
            }
            List<Gazetteer.Found> told = toldApart(places);
            Gazetteer.Found meant = told.stream()
                    .filter(one ->
                            label == null || IndexFields.folded(one.label()).equals(label))
                    .findFirst()
                    .orElse(null);
            return meant == null
                    ? null
                    : new VisitorPlace(
                            meant.position(),
                            meant.label(),
                            "",
                            told.stream()
                                    .filter(other -> other != meant)
                                    .limit(MOST_NAMESAKES)
                                    .map(Gazetteer.Found::label)
                                    .toList(),
                            true);
        }

        /**
         * Places of one name with labels that tell them apart; that of most items first, of as many that where most
         * people live.
         */
        private List<Gazetteer.Found> toldApart(List<PlaceNames.Named> places) {
            Map<Gazetteer.Found, Integer> items = new LinkedHashMap<>();
            places.stream()
                    .limit(MOST_TOLD_APART)
                    .forEach(place -> items.put(gazetteer.told(place.name(), place.middle()), place.items()));
            Map<String, Long> times = items.keySet().stream()
                    .collect(Collectors.groupingBy(Gazetteer.Found::label, Collectors.counting()));
            return items.entrySet().stream()
                    .sorted(Map.Entry.<Gazetteer.Found, Integer>comparingByValue()
                            .reversed()
                            .thenComparing(one -> one.getKey().people(), Comparator.reverseOrder()))
                    .map(Map.Entry::getKey)
                    .map(one -> times.getOrDefault(one.label(), 0L) > 1
                            ? new Gazetteer.Found(
                                    one.name(),
                                    one.label() + ", " + Gazetteer.said(one.position()),
                                    one.position(),
                                    one.people())
                            : one)
                    .toList();
        }
    }
}
