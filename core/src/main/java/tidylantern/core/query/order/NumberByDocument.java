package tidylantern.core.query.order;

import java.util.Map;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.DoubleValues;
import org.apache.lucene.util.FixedBitSet;
import org.jspecify.annotations.Nullable;

/** A number for some documents of one state of an index, and another one for all the rest. */
public final class NumberByDocument extends DocumentNumbers {
    private final Map<Integer, Double> values;
    private final double others;
    /** Most documents have none, and that is quickly seen. */
    private final FixedBitSet having;

    /** @param size how many documents there are */
    NumberByDocument(Map<Integer, Double> values, double others, int size) {
        this.values = values;
        this.others = others;
        having = new FixedBitSet(Math.max(1, size));
        values.keySet().forEach(having::set);
    }

    @Override
    public DoubleValues getValues(LeafReaderContext leaf, @Nullable DoubleValues scores) {
        return new DoubleValues() {
            private int at;

            @Override
            public double doubleValue() {
                return having.get(at) ? values.getOrDefault(at, others) : others;
            }

            @Override
            public boolean advanceExact(int document) {
                at = leaf.docBase + document;
                return true;
            }
        };
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof NumberByDocument one && one.values.equals(values) && one.others == others;
    }

    @Override
    public int hashCode() {
        return values.hashCode();
    }

    @Override
    public String toString() {
        return "of " + values.size() + " documents";
    }
}
