package tidylantern.core.query.filter;

import java.io.IOException;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.lucene.document.LatLonDocValuesField;
import org.apache.lucene.document.LatLonPoint;
import org.apache.lucene.geo.GeoEncodingUtils;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedNumericDocValues;
import org.apache.lucene.search.IndexOrDocValuesQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.util.SloppyMath;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.OwnPlace;
import tidylantern.core.design.filter.DistanceSource;
import tidylantern.core.design.filter.DistanceUnit;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.index.IndexFields;
import tidylantern.core.place.Gazetteer;
import tidylantern.core.place.Position;
import tidylantern.core.query.compiled.DocumentCounting;
import tidylantern.core.query.compiled.FilterPlan;
import tidylantern.core.query.place.PlaceNames;
import tidylantern.core.query.place.VisitorPlace;

/**
 * What lies within a distance of a place, along the great circle over a sphere of R = 6371.0088 km (IUGG mean radius).
 * Bounds are inclusive; an item without a place drops out once a distance is set. Without a place of the visitor's
 * nothing is set.
 */
public final class DistanceFilter implements QueryFilter {
    private static final Pattern DISTANCE = Pattern.compile("\\d{1,15}(\\.\\d{1,15})?");
    /** The half of the Earth's girth, beyond which nothing lies. */
    private static final double FARTHEST = 20_037_508;

    private final Filter filter;
    private final DistanceSource source;
    private final PlaceNames names;
    private final List<String> own;
    private final VisitorPlace located;
    private final @Nullable Position around;
    /** In the unit; null where nothing is set. */
    private final @Nullable Double radius;

    private final double[] offered;
    private final Within counting;

    DistanceFilter(FilterPlan plan, DistanceSource source, List<String> given, QueryFilter.Setting in)
            throws IOException {
        filter = plan.filter();
        this.source = source;
        names = PlaceNames.of(in.state(), in.search().reachIn(in.state()), source.field());
        own = in.search().content().ownPlaces().stream().map(OwnPlace::name).toList();
        located = in.located();
        Double within = in.query().whereabouts().within();
        around = located.position();
        Double wanted = given.stream()
                .filter(one -> DISTANCE.matcher(one).matches())
                .map(Double::valueOf)
                .findFirst()
                .orElse(
                        plan.first() && within != null
                                ? within
                                        * DistanceUnit.KM.metres()
                                        / source.measured().metres()
                                : null);
        radius = around == null ? null : wanted;
        DoubleStream ofOwner = source.radii().stream().mapToDouble(Double::doubleValue);
        // What an older address has set stays in sight, so that it can be changed.
        offered = around == null
                ? new double[0]
                : (radius == null ? ofOwner : DoubleStream.concat(ofOwner, DoubleStream.of(radius)))
                        .distinct()
                        .sorted()
                        .toArray();
        counting = new Within(around);
    }

    @Override
    public Filter filter() {
        return filter;
    }

    @Override
    public List<String> values() {
        return radius == null ? List.of() : List.of(digits(radius));
    }

    @Override
    public List<String> said() {
        return radius == null ? List.of() : List.of(digits(radius) + " " + source.unit());
    }

    private static String digits(double number) {
        return BigDecimal.valueOf(number).stripTrailingZeros().toPlainString();
    }

    private double inMetres(double distance) {
        return Math.min(distance * source.measured().metres(), FARTHEST);
    }

    @Override
    public @Nullable Query passed() {
        if (radius == null || around == null) {
            return null;
        }
        String place = IndexFields.place(source.field());
        return new IndexOrDocValuesQuery(
                LatLonPoint.newDistanceQuery(place, around.latitude(), around.longitude(), inMetres(radius)),
                LatLonDocValuesField.newSlowDistanceQuery(
                        place, around.latitude(), around.longitude(), inMetres(radius)));
    }

    @Override
    public DocumentTest passing(LeafReaderContext leaf) throws IOException {
        Within asking = new Within(around);
        asking.open(leaf);
        double most = radius == null ? 0 : inMetres(radius);
        return document -> asking.distance(document) <= most;
    }

    @Override
    public DocumentCounting counting() {
        return counting;
    }

    @Override
    public FilterAnswer answer() {
        List<FilterAnswer.Offered> values = IntStream.range(0, offered.length)
                .mapToObj(i -> FilterAnswer.Offered.of(
                        digits(offered[i]), "", counting.within[i], radius != null && radius == offered[i]))
                .toList();
        return new FilterAnswer(
                filter,
                values,
                null,
                "",
                new FilterAnswer.Around(
                        around != null,
                        located.name(),
                        located.unknown(),
                        names.items(),
                        Stream.concat(names.offered().stream(), own.stream())
                                .distinct()
                                .sorted()
                                .toList(),
                        located.namesakes(),
                        located.ofWorld() ? Gazetteer.ATTRIBUTION : ""));
    }

    /** How many items lie within each distance on offer. */
    private final class Within extends DocumentCounting {
        private final @Nullable Position from;
        private final double[] bounds =
                Arrays.stream(offered).map(DistanceFilter.this::inMetres).toArray();
        private final int[] within = new int[bounds.length];
        private @Nullable SortedNumericDocValues positions;

        Within(@Nullable Position from) {
            this.from = from;
        }

        @Override
        public void open(LeafReaderContext leaf) throws IOException {
            positions = DocValues.getSortedNumeric(leaf.reader(), IndexFields.place(source.field()));
        }

        @Override
        public void count(int document) throws IOException {
            double distance = distance(document);
            for (int i = bounds.length - 1; i >= 0 && distance <= bounds[i]; i--) {
                within[i]++;
            }
        }

        /** In metres; infinite for an item without a place. */
        double distance(int document) throws IOException {
            if (from == null || positions == null || !positions.advanceExact(document)) {
                return Double.POSITIVE_INFINITY;
            }
            long packed = positions.nextValue();
            return SloppyMath.haversinMeters(
                    from.latitude(),
                    from.longitude(),
                    GeoEncodingUtils.decodeLatitude((int) (packed >> 32)),
                    GeoEncodingUtils.decodeLongitude((int) packed));
        }
    }
}
