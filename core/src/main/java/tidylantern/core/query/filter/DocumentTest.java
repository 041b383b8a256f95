package tidylantern.core.query.filter;

import java.io.IOException;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.Scorer;
import org.apache.lucene.search.ScorerSupplier;
import org.apache.lucene.search.TwoPhaseIterator;
import org.apache.lucene.search.Weight;

/** Asks whether one item after the other fits what is set in a filter. */
public interface DocumentTest {
    /** @param document greater than the one before, within the part of the index */
    boolean passes(int document) throws IOException;

    /** Asks a query. */
    static DocumentTest of(Weight weight, LeafReaderContext leaf) throws IOException {
        ScorerSupplier supplier = weight.scorerSupplier(leaf);
        // As if hardly anything were asked: what can look at one document then does, and gathers nothing first.
        Scorer scorer = supplier == null ? null : supplier.get(1);
        if (scorer == null) {
            return document -> false;
        }
        TwoPhaseIterator sure = scorer.twoPhaseIterator();
        DocIdSetIterator near = sure == null ? scorer.iterator() : sure.approximation();
        return document -> (near.docID() < document ? near.advance(document) : near.docID()) == document
                && (sure == null || sure.matches());
    }
}
