package tidylantern.core.query;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.lucene.geo.GeoEncodingUtils;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedDocValues;
import org.apache.lucene.index.SortedNumericDocValues;
import org.apache.lucene.search.IndexSearcher;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.design.Reach;
import tidylantern.core.index.IndexFields;
import tidylantern.core.place.Position;

/**
 * The names of the places that items in reach have in a field. A name stands for the middle of all items that have it, so that
 * visitors can look around a place without giving their own away.
 */
final class PlaceNames {
    static final int MOST_OFFERED = 300;

    private final List<Named> all;
    private final List<String> offered;
    private final int items;

    /** @param items how many have the name */
    record Named(String name, int items, Position middle) {}

    private PlaceNames(Tally tally) {
        items = tally.items;
        List<Named> named = new ArrayList<>();
        tally.sums.forEach((name, sum) -> named.add(new Named(name, (int) sum[3], middle(sum))));
        named.sort(Comparator.comparingInt(Named::items).reversed().thenComparing(Named::name));
        all = List.copyOf(named);
        offered = all.stream().limit(MOST_OFFERED).map(Named::name).sorted().toList();
    }

    static PlaceNames of(IndexSearcher searcher, Reach reach, FieldKey field) throws IOException {
        return PerState.of(searcher.getIndexReader(), reach, new OfField(field), PlaceNames.class, () -> {
            Tally tally = new Tally(field);
            CategoryCounts.each(searcher, ReachQuery.of(reach), tally);
            return new PlaceNames(tally);
        });
    }

    private record OfField(FieldKey field) {}

    /** The middle of points on a sphere is the direction of the sum of their directions, which holds across the date line too. */
    private static Position middle(double[] sum) {
        return new Position(Math.toDegrees(Math.atan2(sum[2], Math.hypot(sum[0], sum[1]))), Math.toDegrees(Math.atan2(sum[1], sum[0])));
    }

    /** All of them, those that most items have first. */
    List<Named> all() {
        return all;
    }

    /** Those that most items have, by name. */
    List<String> offered() {
        return offered;
    }

    /** How many items have a place at all. */
    int items() {
        return items;
    }

    private static final class Tally extends Counting {
        private final FieldKey field;
        /** Of each name: the sum of the directions, in three parts, and the number of items. */
        private final Map<String, double[]> sums = new HashMap<>();
        private int items;
        private @Nullable SortedNumericDocValues positions;
        private @Nullable SortedDocValues names;

        Tally(FieldKey field) {
            this.field = field;
        }

        @Override
        void open(LeafReaderContext leaf) throws IOException {
            positions = DocValues.getSortedNumeric(leaf.reader(), IndexFields.place(field));
            names = DocValues.getSorted(leaf.reader(), IndexFields.placeName(field));
        }

        @Override
        void count(int document) throws IOException {
            if (positions == null || names == null || !positions.advanceExact(document)) {
                return;
            }
            items++;
            if (names.advanceExact(document)) {
                long packed = positions.nextValue();
                double latitude = Math.toRadians(GeoEncodingUtils.decodeLatitude((int) (packed >> 32)));
                double longitude = Math.toRadians(GeoEncodingUtils.decodeLongitude((int) packed));
                double[] sum = sums.computeIfAbsent(names.lookupOrd(names.ordValue()).utf8ToString(), name -> new double[4]);
                sum[0] += Math.cos(latitude) * Math.cos(longitude);
                sum[1] += Math.cos(latitude) * Math.sin(longitude);
                sum[2] += Math.sin(latitude);
                sum[3]++;
            }
        }
    }
}
