package tidylantern.core.query.help;

import java.io.IOException;
import java.util.List;
import java.util.Set;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.PostingsEnum;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.ConjunctionUtils;
import org.apache.lucene.search.ConstantScoreQuery;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.ScorerSupplier;
import org.apache.lucene.search.Weight;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.Item;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.LiveDocuments;

/**
 * Which of the items that a query finds hold a word. The query is made ready once, however many words are tried: on a
 * small site that takes longer than looking for one.
 */
final class WordHolders {
    private final IndexSearcher searcher;
    private final Weight among;

    /** @param among finds the items that count */
    WordHolders(IndexSearcher searcher, Query among) throws IOException {
        this.searcher = searcher;
        this.among =
                searcher.createWeight(searcher.rewrite(new ConstantScoreQuery(among)), ScoreMode.COMPLETE_NO_SCORES, 1);
    }

    /** The first in the order of the index that holds a word just so in one of these fields, with those; or null. */
    @Nullable Item first(String folded, Set<FieldKey> fields) throws IOException {
        for (LeafReaderContext part : searcher.getLeafContexts()) {
            int first = DocIdSetIterator.NO_MORE_DOCS;
            for (FieldKey field : fields) {
                first = Math.min(first, first(part, new Term(IndexFields.words(field), folded)));
            }
            if (first != DocIdSetIterator.NO_MORE_DOCS) {
                return IndexFields.item(searcher.storedFields(), part.docBase + first, fields);
            }
        }
        return null;
    }

    private int first(LeafReaderContext part, Term word) throws IOException {
        PostingsEnum holding = part.reader().postings(word, PostingsEnum.NONE);
        ScorerSupplier found = holding == null ? null : among.scorerSupplier(part);
        if (holding == null || found == null) {
            return DocIdSetIterator.NO_MORE_DOCS;
        }
        DocIdSetIterator both = ConjunctionUtils.intersectIterators(
                List.of(holding, found.get(holding.cost()).iterator()));
        return LiveDocuments.of(both, part.reader().getLiveDocs()).nextDoc();
    }
}
