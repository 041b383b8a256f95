package tidylantern.core.query.place;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import org.apache.lucene.geo.GeoEncodingUtils;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedDocValues;
import org.apache.lucene.index.SortedNumericDocValues;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.Query;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.IndexState;
import tidylantern.core.index.PartFigures;
import tidylantern.core.place.FarApart;
import tidylantern.core.place.Position;
import tidylantern.core.query.compiled.DocumentCounting;

/**
 * The names of the places that items in reach have in a field. A name stands for the middle of the items that have it,
 * so that visitors can look around a place without giving their own away; where they lie {@linkplain FarApart far
 * apart}, for several places.
 */
public final class PlaceNames {
    static final int MOST_OFFERED = 300;
    private static final int MOST_CELLS = 300;

    private final NavigableMap<String, List<Named>> byName = new TreeMap<>();
    private final List<String> offered;
    private final int items;

    /**
     * One place.
     *
     * @param name as most of the items write it
     * @param items how many have the name there
     */
    record Named(String name, int items, Position middle) {}

    private PlaceNames(Cells found) {
        items = found.items();
        Map<String, List<Cell>> cells = new HashMap<>();
        found.bySpot().forEach((spot, cell) -> cells.computeIfAbsent(
                        IndexFields.folded(spot.name()), folded -> new ArrayList<>())
                .add(cell));
        cells.forEach((folded, of) -> byName.put(folded, named(of)));
        offered = byName.values().stream()
                .sorted(Comparator.comparingInt((List<Named> one) ->
                                one.stream().mapToInt(Named::items).sum())
                        .reversed()
                        .thenComparing(one -> one.getFirst().name()))
                .limit(MOST_OFFERED)
                .map(one -> one.getFirst().name())
                .sorted()
                .toList();
    }

    /** Of what is called alike, one for each place; that of most items first. */
    private static List<Named> named(List<Cell> cells) {
        Map<String, Integer> spellings = new TreeMap<>();
        cells.forEach(cell -> spellings.merge(cell.name, cell.items, Integer::sum));
        String name = spellings.entrySet().stream()
                .max(Map.Entry.<String, Integer>comparingByValue()
                        .thenComparing(Map.Entry.comparingByKey(Comparator.reverseOrder())))
                .orElseThrow()
                .getKey();
        // What is in so many places is no name of one; and none of a stranger's values may make everybody wait.
        List<List<Cell>> groups = cells.size() > MOST_CELLS ? List.of(cells) : FarApart.groups(cells, Cell::middle);
        return groups.stream()
                .map(group -> {
                    Cell all = new Cell(name);
                    group.forEach(one -> all.add(one, 1));
                    return new Named(name, all.items, all.middle());
                })
                .sorted(Comparator.comparingInt(Named::items).reversed())
                .toList();
    }

    /** @param reach as it is asked of this state */
    public static PlaceNames of(IndexState state, Query reach, FieldKey field) throws IOException {
        InPart key = new InPart(field);
        return state.kept(reach, key, PlaceNames.class, () -> {
            Cells all = Cells.NONE;
            for (LeafReaderContext part : state.parts()) {
                all = all.with(state.ofPart(part, reach, key, Cells.class, key), 1);
            }
            return new PlaceNames(all);
        });
    }

    private record InPart(FieldKey field) implements PartFigures<Cells> {
        @Override
        public Cells over(LeafReaderContext part, DocIdSetIterator documents) throws IOException {
            Tally tally = new Tally(field);
            tally.addAll(part, documents);
            return new Cells(tally.cells, tally.items);
        }

        @Override
        public Cells without(Cells all, Cells gone) {
            return all.with(gone, -1);
        }
    }

    /** @param items how many have a place at all */
    private record Cells(Map<Spot, Cell> bySpot, int items) {
        static final Cells NONE = new Cells(Map.of(), 0);

        /** @param times 1 to add the others, -1 to take them away */
        Cells with(Cells others, int times) {
            Map<Spot, Cell> both = new HashMap<>(bySpot);
            others.bySpot.forEach((spot, cell) -> {
                Cell sum = new Cell(spot.name());
                Cell before = both.get(spot);
                if (before != null) {
                    sum.add(before, 1);
                }
                sum.add(cell, times);
                if (sum.items == 0) {
                    both.remove(spot);
                } else {
                    both.put(spot, sum);
                }
            });
            return new Cells(both, items + times * others.items);
        }
    }

    /** The places of each name, that of most items first; by the {@linkplain IndexFields#folded folded} names. */
    NavigableMap<String, List<Named>> byName() {
        return byName;
    }

    /** Those that most items have, by name. */
    public List<String> offered() {
        return offered;
    }

    /** How many items have a place at all. */
    public int items() {
        return items;
    }

    /** A name in a square of a quarter of a degree: near enough to be one place, and few enough to be compared. */
    private record Spot(String name, int row, int column) {}

    /** Items of one name close together. */
    private static final class Cell {
        /** In whole parts, so that what is taken away leaves just what was there; room for four million items. */
        private static final double PARTS = 1L << 40;

        private final String name;
        private int items;
        /** The sum of the directions. */
        private long x;

        private long y;
        private long z;

        Cell(String name) {
            this.name = name;
        }

        void add(double latitude, double longitude) {
            double north = Math.toRadians(latitude);
            double east = Math.toRadians(longitude);
            x += Math.round(PARTS * Math.cos(north) * Math.cos(east));
            y += Math.round(PARTS * Math.cos(north) * Math.sin(east));
            z += Math.round(PARTS * Math.sin(north));
            items++;
        }

        /** @param times 1 to add the others, -1 to take them away */
        void add(Cell other, int times) {
            x += times * other.x;
            y += times * other.y;
            z += times * other.z;
            items += times * other.items;
        }

        /**
         * The middle of points on a sphere is the direction of the sum of their directions, which holds across the date
         * line too.
         */
        Position middle() {
            double east = (double) x;
            double across = (double) y;
            return new Position(
                    Math.toDegrees(Math.atan2((double) z, Math.hypot(east, across))),
                    Math.toDegrees(Math.atan2(across, east)));
        }
    }

    private static final class Tally extends DocumentCounting {
        private static final double SQUARES_A_DEGREE = 4;
        private final FieldKey field;
        private final Map<Spot, Cell> cells = new HashMap<>();
        private int items;
        private @Nullable SortedNumericDocValues positions;
        private @Nullable SortedDocValues names;

        Tally(FieldKey field) {
            this.field = field;
        }

        @Override
        public void open(LeafReaderContext leaf) throws IOException {
            positions = DocValues.getSortedNumeric(leaf.reader(), IndexFields.place(field));
            names = DocValues.getSorted(leaf.reader(), IndexFields.placeName(field));
        }

        @Override
        public void count(int document) throws IOException {
            if (positions == null || names == null || !positions.advanceExact(document)) {
                return;
            }
            items++;
            if (names.advanceExact(document)) {
                long packed = positions.nextValue();
                double latitude = GeoEncodingUtils.decodeLatitude((int) (packed >> 32));
                double longitude = GeoEncodingUtils.decodeLongitude((int) packed);
                String name = names.lookupOrd(names.ordValue()).utf8ToString();
                Spot spot = new Spot(name, (int) Math.floor(latitude * SQUARES_A_DEGREE), (int)
                        Math.floor(longitude * SQUARES_A_DEGREE));
                cells.computeIfAbsent(spot, key -> new Cell(name)).add(latitude, longitude);
            }
        }
    }
}
