package tidylantern.core.query;

import java.io.IOException;
import java.util.stream.IntStream;
import org.apache.lucene.document.LatLonPoint;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.Query;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.design.OrderKey;
import tidylantern.core.index.IndexFields;
import tidylantern.core.place.Position;

/** Finds the nearest of very many places by an index of points instead of measuring the way to every one. */
final class Nearest {
    private static final double FIRST_METRES = 2_000;
    private static final double WIDER = 4;
    /** Half the Earth's girth: beyond it lies nothing. */
    private static final double FARTHEST = 20_037_508;

    private Nearest() {}

    /**
     * What of the results has to be looked at for the first of them, where distance puts them in order; null where another key
     * does, or where so few have a place that all have to be looked at.
     *
     * @param wanted how many of the first are needed
     */
    static @Nullable Query among(Asked asked, Ordering ordering, Query found, int wanted) throws IOException {
        OrderKey first = ordering.keys().stream().filter(key -> key != null && key.by() != OrderKey.By.TIER && key.by() != OrderKey.By.PLACE_IN_TIER).findFirst().orElse(null);
        Position here = asked.located().position();
        if (first == null || first.by() != OrderKey.By.DISTANCE || here == null) {
            return null;
        }
        FieldKey places = first.field() != null ? first.field() : Located.placeFields(asked.design(), asked.content()).getFirst();
        for (double metres = FIRST_METRES; metres < FARTHEST; metres *= WIDER) {
            Query within = LatLonPoint.newDistanceQuery(IndexFields.place(places), here.latitude(), here.longitude(), metres);
            if (AtLeast.found(asked.searcher(), new BooleanQuery.Builder().add(within, Occur.FILTER).add(found, Occur.FILTER).build(), wanted)) {
                // All others are farther away. What comes first for another reason is looked at wherever it is.
                int[] others = IntStream.concat(ordering.lifted().tiers().keySet().stream().mapToInt(Integer::intValue), ordering.pinned().stream().mapToInt(Ordering.Pinned::document)).toArray();
                Query either = new BooleanQuery.Builder().add(within, Occur.SHOULD).add(new Documents(others), Occur.SHOULD).build();
                return new BooleanQuery.Builder().add(found, Occur.MUST).add(either, Occur.FILTER).build();
            }
        }
        return null;
    }
}
