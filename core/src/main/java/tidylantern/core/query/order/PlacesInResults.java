package tidylantern.core.query.order;

import java.io.IOException;
import java.util.List;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.ReaderUtil;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.FieldDoc;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.Scorer;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.search.TopDocs;
import org.apache.lucene.search.TopFieldDocs;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.ItemRef;
import tidylantern.core.index.IndexFields;

/** Where one item stands among the results of a query, however far down. */
public final class PlacesInResults {
    private final IndexSearcher searcher;

    public PlacesInResults(IndexSearcher searcher) {
        this.searcher = searcher;
    }

    /** The item's document; -1 if there is no such item. */
    public int document(ItemRef ref) throws IOException {
        TopDocs found = searcher.search(new TermQuery(new Term(IndexFields.REF, ref.toString())), 1);
        return found.scoreDocs.length == 0 ? -1 : found.scoreDocs[0].doc;
    }

    /** What a query gives the document; null where it does not find it. */
    public @Nullable Float score(Query asked, int document) throws IOException {
        LeafReaderContext leaf = leafOf(document);
        Scorer scorer = searcher.createWeight(searcher.rewrite(asked), ScoreMode.COMPLETE, 1)
                .scorer(leaf);
        int there = document - leaf.docBase;
        return scorer != null && scorer.iterator().advance(there) == there ? scorer.score() : null;
    }

    /**
     * 1 for the first of the results; null where it is none of them.
     *
     * @param found what the query finds
     */
    public @Nullable Integer place(Query found, Ordering ordering, ItemRef ref) throws IOException {
        Query itself = new BooleanQuery.Builder()
                .add(found, Occur.MUST)
                .add(new TermQuery(new Term(IndexFields.REF, ref.toString())), Occur.FILTER)
                .build();
        TopFieldDocs own = searcher.search(itself, 1, ordering.sort());
        if (own.scoreDocs.length == 0) {
            return null;
        }
        for (int i = 0; i < ordering.pinned().size(); i++) {
            if (ordering.pinned().get(i).document() == own.scoreDocs[0].doc) {
                return ordering.before(
                                i, searcher.count(found) - ordering.pinned().size())
                        + i
                        + 1;
            }
        }
        return ordering.place(searcher.search(found, new ResultsBefore(ordering.sort(), (FieldDoc) own.scoreDocs[0])))
                + 1;
    }

    private LeafReaderContext leafOf(int document) {
        List<LeafReaderContext> leaves = searcher.getIndexReader().leaves();
        return leaves.get(ReaderUtil.subIndex(document, leaves));
    }
}
