package tidylantern.core.query.order;

import java.io.IOException;
import java.util.Arrays;
import java.util.HashSet;
import java.util.Set;
import java.util.stream.IntStream;
import org.apache.lucene.document.LatLonPoint;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.FieldDoc;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.design.OrderKey;
import tidylantern.core.index.IndexFields;
import tidylantern.core.place.Position;
import tidylantern.core.query.compiled.KnownDocuments;
import tidylantern.core.query.filter.NarrowedQuery;

/** Finds the nearest of very many places by an index of points instead of measuring the way to every one. */
public final class Nearest {
    /** Some that are near may be out of reach. */
    private static final int SPARE = 16;

    private static final int MORE = 4;
    private static final int MOST = 1 << 14;

    private Nearest() {}

    /**
     * What of the results has to be looked at for the first of them, where nothing was typed and distance puts them in
     * order; null where words find less than everything, where another key puts them in order, or where so few have a
     * place that all have to be looked at.
     *
     * @param wanted how many of the first are needed
     */
    public static @Nullable Query among(NarrowedQuery asked, Ordering ordering, Query found, int wanted)
            throws IOException {
        OrderKey first = ordering.keys().stream()
                .filter(key -> key != null && key.by() != OrderKey.By.TIER && key.by() != OrderKey.By.PLACE_IN_TIER)
                .findFirst()
                .orElse(null);
        Position here = asked.located().position();
        if (!asked.read().startingList() || first == null || first.by() != OrderKey.By.DISTANCE || here == null) {
            return null;
        }
        FieldKey places = first.field() != null
                ? first.field()
                : asked.search().placeFields().getFirst();
        for (int most = wanted + SPARE; most <= MOST; most *= MORE) {
            ScoreDoc[] near = LatLonPoint.nearest(
                            asked.searcher(), IndexFields.place(places), here.latitude(), here.longitude(), most)
                    .scoreDocs;
            if (near.length < most) {
                return null;
            }
            int[] documents = Arrays.stream(near).mapToInt(one -> one.doc).toArray();
            Set<Integer> passing = new HashSet<>();
            Query both = new BooleanQuery.Builder()
                    .add(new KnownDocuments(documents), Occur.FILTER)
                    .add(found, Occur.FILTER)
                    .build();
            for (ScoreDoc one : asked.searcher().search(both, most).scoreDocs) {
                passing.add(one.doc);
            }
            ScoreDoc last = Arrays.stream(near)
                    .filter(one -> passing.contains(one.doc))
                    .skip(wanted - 1L)
                    .findFirst()
                    .orElse(null);
            // Others may lie just as far as the last of them, so something farther must be there to know that all of
            // those are.
            if (last != null && metres(last) < metres(near[near.length - 1])) {
                // What comes first for another reason is looked at wherever it is.
                IntStream others = IntStream.concat(
                        ordering.lifted().tiers().keySet().stream().mapToInt(Integer::intValue),
                        ordering.pinned().stream().mapToInt(Ordering.Pinned::document));
                return new BooleanQuery.Builder()
                        .add(found, Occur.MUST)
                        .add(
                                new KnownDocuments(IntStream.concat(Arrays.stream(documents), others)
                                        .distinct()
                                        .toArray()),
                                Occur.FILTER)
                        .build();
            }
        }
        return null;
    }

    private static double metres(ScoreDoc near) {
        return (Double) ((FieldDoc) near).fields[0];
    }
}
