package tidylantern.core.query.order;

import java.io.IOException;
import java.util.Collection;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.CollectorManager;
import org.apache.lucene.search.FieldComparator;
import org.apache.lucene.search.FieldDoc;
import org.apache.lucene.search.LeafCollector;
import org.apache.lucene.search.LeafFieldComparator;
import org.apache.lucene.search.Pruning;
import org.apache.lucene.search.Scorable;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.Sort;
import org.apache.lucene.search.SortField;

/** Counts the results that stand before one of them, whatever they are ordered by. */
public final class ResultsBefore implements CollectorManager<ResultsBefore.Count, Integer> {
    private final Sort order;
    private final FieldDoc one;

    ResultsBefore(Sort order, FieldDoc one) {
        this.order = order;
        this.one = one;
    }

    @Override
    public Count newCollector() {
        return new Count();
    }

    @Override
    public Integer reduce(Collection<Count> counts) {
        return counts.stream().mapToInt(count -> count.before).sum();
    }

    final class Count implements org.apache.lucene.search.Collector {
        private final FieldComparator<?>[] comparators;
        private int before;

        private Count() {
            SortField[] fields = order.getSort();
            comparators = new FieldComparator<?>[fields.length];
            for (int i = 0; i < fields.length; i++) {
                // None may be passed over, as a search for the first few might do.
                comparators[i] = fields[i].getComparator(1, Pruning.NONE);
                setTop(comparators[i], one.fields[i]);
            }
        }

        @SuppressWarnings("unchecked")
        private <T> void setTop(FieldComparator<T> comparator, Object value) {
            comparator.setTopValue((T) value);
        }

        @Override
        public ScoreMode scoreMode() {
            return order.needsScores() ? ScoreMode.COMPLETE : ScoreMode.COMPLETE_NO_SCORES;
        }

        @Override
        public LeafCollector getLeafCollector(LeafReaderContext leaf) throws IOException {
            LeafFieldComparator[] here = new LeafFieldComparator[comparators.length];
            for (int i = 0; i < here.length; i++) {
                here[i] = comparators[i].getLeafComparator(leaf);
            }
            return new LeafCollector() {
                @Override
                public void setScorer(Scorable scorer) throws IOException {
                    for (LeafFieldComparator comparator : here) {
                        comparator.setScorer(scorer);
                    }
                }

                @Override
                public void collect(int document) throws IOException {
                    for (int i = 0; i < here.length; i++) {
                        int compared = here[i].compareTop(document) * (order.getSort()[i].getReverse() ? -1 : 1);
                        if (compared != 0) {
                            before += compared > 0 ? 1 : 0;
                            return;
                        }
                    }
                }
            };
        }
    }
}
