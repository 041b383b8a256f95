package tidylantern.core.query.compiled;

import java.util.Arrays;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.ConstantScoreScorerSupplier;
import org.apache.lucene.search.ConstantScoreWeight;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.QueryVisitor;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.ScorerSupplier;
import org.apache.lucene.search.Weight;
import org.apache.lucene.util.BitSetIterator;
import org.apache.lucene.util.FixedBitSet;
import org.jspecify.annotations.Nullable;

/** Finds some documents of one state of an index, which are known already. */
public final class KnownDocuments extends Query {
    private final int[] sorted;

    /** @param documents by their numbers in the whole index */
    public KnownDocuments(int[] documents) {
        sorted = documents.clone();
        Arrays.sort(sorted);
    }

    @Override
    public Weight createWeight(IndexSearcher searcher, ScoreMode mode, float boost) {
        return new ConstantScoreWeight(this, boost) {
            @Override
            public @Nullable ScorerSupplier scorerSupplier(LeafReaderContext leaf) {
                int from = place(leaf.docBase);
                int to = place(leaf.docBase + leaf.reader().maxDoc());
                if (from == to) {
                    return null;
                }
                FixedBitSet here = new FixedBitSet(leaf.reader().maxDoc());
                for (int i = from; i < to; i++) {
                    here.set(sorted[i] - leaf.docBase);
                }
                DocIdSetIterator documents = new BitSetIterator(here, to - from);
                return ConstantScoreScorerSupplier.fromIterator(
                        documents, score(), mode, leaf.reader().maxDoc());
            }

            @Override
            public boolean isCacheable(LeafReaderContext leaf) {
                return false;
            }
        };
    }

    /** The place of the first document from {@code document} on. */
    private int place(int document) {
        int found = Arrays.binarySearch(sorted, document);
        return found < 0 ? -found - 1 : found;
    }

    @Override
    public void visit(QueryVisitor visitor) {
        visitor.visitLeaf(this);
    }

    @Override
    public String toString(String field) {
        return sorted.length + " documents";
    }

    @Override
    public boolean equals(Object other) {
        return sameClassAs(other) && Arrays.equals(sorted, ((KnownDocuments) other).sorted);
    }

    @Override
    public int hashCode() {
        return 31 * classHash() + Arrays.hashCode(sorted);
    }
}
