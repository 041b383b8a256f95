package tidylantern.core.query.filter;

import java.io.IOException;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.Query;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.index.IndexState;
import tidylantern.core.index.PartFigures;

/** The numbers or days that the items in reach have in a field; put together from what is known of each part. */
public final class NumbersInReach {
    private NumbersInReach() {}

    /** Between which they lie. */
    public static NumberCounting.Extent extent(IndexState state, Query reach, FieldKey field, boolean days)
            throws IOException {
        Between key = new Between(field, days);
        return state.kept(reach, key, NumberCounting.Extent.class, () -> {
            NumberCounting.Extent all = NumberCounting.Extent.NONE;
            for (LeafReaderContext part : state.parts()) {
                all = all.and(state.ofPart(part, reach, key, NumberCounting.Extent.class, key));
            }
            return all;
        });
    }

    private record Between(FieldKey field, boolean days) implements PartFigures<NumberCounting.Extent> {
        @Override
        public NumberCounting.Extent over(LeafReaderContext part, DocIdSetIterator documents) throws IOException {
            NumberCounting counting = new NumberCounting(field, days, new double[0], List.of());
            counting.addAll(part, documents);
            return counting.extent();
        }

        @Override
        public NumberCounting.@Nullable Extent without(NumberCounting.Extent all, NumberCounting.Extent gone) {
            boolean endsStay = gone.least() > all.least() && gone.greatest() < all.greatest();
            // Where only some are whole, those with something behind the point may have been the ones that went.
            return gone.empty() || (endsStay && (all.whole() || gone.whole())) ? all : null;
        }
    }

    /**
     * How many items have a day in each bucket.
     *
     * @param starts where each bucket begins, ascending; each ends before the next, the last never
     * @return not to be written to
     */
    static int[] inBuckets(IndexState state, Query reach, FieldKey field, double[] starts) throws IOException {
        InBuckets key = new InBuckets(
                field,
                IntStream.range(0, starts.length).mapToObj(i -> starts[i]).toList());
        return state.kept(reach, key, int[].class, () -> {
            int[] all = new int[starts.length];
            for (LeafReaderContext part : state.parts()) {
                int[] counts = state.ofPart(part, reach, key, int[].class, key);
                for (int i = 0; i < counts.length; i++) {
                    all[i] += counts[i];
                }
            }
            return all;
        });
    }

    private record InBuckets(FieldKey field, List<Double> starts) implements PartFigures<int[]> {
        @Override
        public int[] over(LeafReaderContext part, DocIdSetIterator documents) throws IOException {
            NumberCounting counting = new NumberCounting(
                    field,
                    true,
                    starts.stream().mapToDouble(Double::doubleValue).toArray(),
                    List.of());
            counting.addAll(part, documents);
            return counting.inBuckets();
        }

        @Override
        public int[] without(int[] all, int[] gone) {
            return PartFigures.difference(all, gone);
        }
    }
}
