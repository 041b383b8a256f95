package tidylantern.core.query.filter;

import java.io.IOException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedDocValues;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.TermInSetQuery;
import org.apache.lucene.util.BytesRef;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.ItemRef;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.IndexState;
import tidylantern.core.query.compiled.DocumentCounting;
import tidylantern.core.query.compiled.KnownDocuments;

/**
 * The items that visitors chose most often, as documents of one state of an index.
 *
 * @param times by document; those of items that are gone are missing
 */
public record MostChosen(Map<Integer, Long> times) {
    /** Looked up once for a state of the index, as long as nothing more is counted. */
    public static MostChosen of(IndexState state, Popularity popularity) throws IOException {
        return popularity.times().isEmpty()
                ? new MostChosen(Map.of())
                : state.kept(
                        popularity, MostChosen.class, MostChosen.class, () -> lookedUp(state.searcher(), popularity));
    }

    private static MostChosen lookedUp(IndexSearcher searcher, Popularity popularity) throws IOException {
        Map<String, Long> byReference = new HashMap<>();
        popularity.times().forEach((ItemRef item, Long times) -> byReference.put(item.toString(), times));
        List<BytesRef> references =
                byReference.keySet().stream().map(BytesRef::new).toList();
        Map<Integer, Long> times = new HashMap<>();
        new DocumentCounting() {
            private @Nullable SortedDocValues names;
            private int base;

            @Override
            public void open(LeafReaderContext leaf) throws IOException {
                names = DocValues.getSorted(leaf.reader(), IndexFields.REF);
                base = leaf.docBase;
            }

            @Override
            public void count(int document) throws IOException {
                if (names != null && names.advanceExact(document)) {
                    String reference = names.lookupOrd(names.ordValue()).utf8ToString();
                    times.put(base + document, byReference.getOrDefault(reference, 0L));
                }
            }
        }.addAll(searcher, new TermInSetQuery(IndexFields.REF, references));
        return new MostChosen(Map.copyOf(times));
    }

    /** The documents themselves. */
    Query documents() {
        return new KnownDocuments(
                times.keySet().stream().mapToInt(Integer::intValue).toArray());
    }

    /** Those of what is found that were chosen. */
    public Query among(Query found) {
        return new BooleanQuery.Builder()
                .add(documents(), Occur.FILTER)
                .add(found, Occur.FILTER)
                .build();
    }

    /** The most chosen first; those chosen as often stay in their order. */
    public List<ScoreDoc> inOrder(ScoreDoc[] documents) {
        return Arrays.stream(documents)
                .sorted(Comparator.comparingLong((ScoreDoc one) -> times.getOrDefault(one.doc, 0L))
                        .reversed())
                .toList();
    }
}
