package tidylantern.core.query;

import java.io.IOException;
import java.util.List;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.ReaderUtil;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.Scorer;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.search.TopDocs;
import org.apache.lucene.search.Weight;
import org.apache.lucene.util.Bits;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.ItemRef;
import tidylantern.core.index.IndexFields;

/** Where one item stands among the results of a query, however far down. */
final class Places {
    private final IndexSearcher searcher;

    Places(IndexSearcher searcher) {
        this.searcher = searcher;
    }

    /** The item's document; -1 if there is no such item. */
    int document(ItemRef ref) throws IOException {
        TopDocs found = searcher.search(new TermQuery(new Term(IndexFields.REF, ref.toString())), 1);
        return found.scoreDocs.length == 0 ? -1 : found.scoreDocs[0].doc;
    }

    /** What a query gives the document; null where it does not find it. */
    @Nullable Float score(Query asked, int document) throws IOException {
        LeafReaderContext leaf = leafOf(document);
        Scorer scorer = searcher.createWeight(searcher.rewrite(asked), ScoreMode.COMPLETE, 1).scorer(leaf);
        int there = document - leaf.docBase;
        return scorer != null && scorer.iterator().advance(there) == there ? scorer.score() : null;
    }

    /**
     * 1 for the first of the results; null where it is none of them.
     *
     * @param found what the query finds; what is scored is its words, and the starting list is by day
     */
    @Nullable Integer place(Query found, boolean startingList, int document, ItemRef ref) throws IOException {
        Float own = score(found, document);
        if (own == null) {
            return null;
        }
        int before = 0;
        long ownDay = newest(document);
        String ownRef = ref.toString();
        Weight weight = searcher.createWeight(searcher.rewrite(found), startingList ? ScoreMode.COMPLETE_NO_SCORES : ScoreMode.COMPLETE, 1);
        for (LeafReaderContext leaf : searcher.getIndexReader().leaves()) {
            Scorer scorer = weight.scorer(leaf);
            if (scorer == null) {
                continue;
            }
            var references = DocValues.getSorted(leaf.reader(), IndexFields.REF);
            var days = DocValues.getNumeric(leaf.reader(), IndexFields.NEWEST);
            Bits live = leaf.reader().getLiveDocs();
            DocIdSetIterator documents = scorer.iterator();
            for (int other = documents.nextDoc(); other != DocIdSetIterator.NO_MORE_DOCS; other = documents.nextDoc()) {
                if (live != null && !live.get(other)) {
                    continue;
                }
                int order = startingList ? Long.compare(days.advanceExact(other) ? days.longValue() : Long.MIN_VALUE, ownDay) : Float.compare(scorer.score(), own);
                if (order > 0 || (order == 0 && references.advanceExact(other) && references.lookupOrd(references.ordValue()).utf8ToString().compareTo(ownRef) < 0)) {
                    before++;
                }
            }
        }
        return before + 1;
    }

    private LeafReaderContext leafOf(int document) {
        List<LeafReaderContext> leaves = searcher.getIndexReader().leaves();
        return leaves.get(ReaderUtil.subIndex(document, leaves));
    }

    private long newest(int document) throws IOException {
        LeafReaderContext leaf = leafOf(document);
        var days = DocValues.getNumeric(leaf.reader(), IndexFields.NEWEST);
        return days.advanceExact(document - leaf.docBase) ? days.longValue() : Long.MIN_VALUE;
    }
}
