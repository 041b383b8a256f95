package tidylantern.core.query.filter;

import java.io.IOException;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.ConstantScoreScorer;
import org.apache.lucene.search.ConstantScoreWeight;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.QueryVisitor;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.Scorer;
import org.apache.lucene.search.ScorerSupplier;
import org.apache.lucene.search.TwoPhaseIterator;
import org.apache.lucene.search.Weight;

/** As a query, what a filter lets through that no list of the index holds; it asks item by item. */
public final class FilterQuery extends Query {
    private final QueryFilter filter;

    FilterQuery(QueryFilter filter) {
        this.filter = filter;
    }

    @Override
    public Weight createWeight(IndexSearcher searcher, ScoreMode scoreMode, float boost) {
        return new ConstantScoreWeight(this, boost) {
            @Override
            public ScorerSupplier scorerSupplier(LeafReaderContext leaf) throws IOException {
                DocumentTest passing = filter.passing(leaf);
                DocIdSetIterator all = DocIdSetIterator.all(leaf.reader().maxDoc());
                Scorer scorer = new ConstantScoreScorer(score(), scoreMode, new TwoPhaseIterator(all) {
                    @Override
                    public boolean matches() throws IOException {
                        return passing.passes(approximation.docID());
                    }

                    @Override
                    public float matchCost() {
                        return 10;
                    }
                });
                return new DefaultScorerSupplier(scorer);
            }

            @Override
            public boolean isCacheable(LeafReaderContext leaf) {
                return false;
            }
        };
    }

    @Override
    public void visit(QueryVisitor visitor) {
        visitor.visitLeaf(this);
    }

    @Override
    public String toString(String field) {
        return "passed by " + filter.filter().key();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof FilterQuery one && one.filter == filter;
    }

    @Override
    public int hashCode() {
        return System.identityHashCode(filter);
    }
}
