package tidylantern.core.query.filter;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedNumericDocValues;
import org.apache.lucene.util.NumericUtils;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.index.IndexFields;
import tidylantern.core.query.compiled.DocumentCounting;

/**
 * Counts items by the numbers or days of a field: how many have one, how many have one in each of some buckets that
 * follow one another, and how many in each of some intervals, which may overlap. An item counts at most once in each.
 */
public final class NumberCounting extends DocumentCounting {
    private final FieldKey field;
    private final boolean days;
    private final double[] starts;
    private final List<Interval> intervals;
    private final int[] inBuckets;
    private final int[] inIntervals;
    private int items;
    private double least = Double.POSITIVE_INFINITY;
    private double greatest = Double.NEGATIVE_INFINITY;
    private boolean whole = true;
    private @Nullable SortedNumericDocValues numbers;

    /**
     * @param days whether they are days since 1970
     * @param starts where each bucket begins, ascending; each ends before the next, the last never
     */
    NumberCounting(FieldKey field, boolean days, double[] starts, List<Interval> intervals) {
        this.field = field;
        this.days = days;
        this.starts = starts;
        this.intervals = intervals;
        inBuckets = new int[starts.length];
        inIntervals = new int[intervals.size()];
    }

    @Override
    public void open(LeafReaderContext leaf) throws IOException {
        numbers = DocValues.getSortedNumeric(leaf.reader(), IndexFields.numbers(field));
    }

    @Override
    public void count(int document) throws IOException {
        if (numbers == null || !numbers.advanceExact(document)) {
            return;
        }
        items++;
        int lastBucket = -1;
        long lastIntervals = 0;
        // Ascending, so that those of one bucket follow one another.
        for (int left = numbers.docValueCount(); left > 0; left--) {
            double number = number(numbers.nextValue(), days);
            least = Math.min(least, number);
            greatest = Math.max(greatest, number);
            whole &= number == Math.rint(number);
            if (starts.length > 0) {
                int at = Arrays.binarySearch(starts, number);
                int bucket = at >= 0 ? at : -at - 2;
                if (bucket >= 0 && bucket != lastBucket) {
                    inBuckets[bucket]++;
                    lastBucket = bucket;
                }
            }
            for (int i = 0; i < intervals.size(); i++) {
                if ((lastIntervals & 1L << i) == 0 && intervals.get(i).holds(number)) {
                    inIntervals[i]++;
                    lastIntervals |= 1L << i;
                }
            }
        }
    }

    /** A number as doc values hold it. */
    static double number(long value, boolean days) {
        return days ? value : NumericUtils.sortableLongToDouble(value);
    }

    int items() {
        return items;
    }

    /** By bucket. */
    int[] inBuckets() {
        return inBuckets;
    }

    /** By interval. */
    int[] inIntervals() {
        return inIntervals;
    }

    /** @param whole whether none has anything behind the point */
    public record Extent(double least, double greatest, boolean whole) {
        /** Of no numbers. */
        static final Extent NONE = new Extent(Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, true);

        public boolean empty() {
            return least > greatest;
        }

        Extent and(Extent other) {
            return new Extent(Math.min(least, other.least), Math.max(greatest, other.greatest), whole && other.whole);
        }
    }

    Extent extent() {
        return new Extent(least, greatest, whole);
    }
}
