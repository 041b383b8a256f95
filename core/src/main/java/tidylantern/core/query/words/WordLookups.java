package tidylantern.core.query.words;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.lucene.index.MultiTerms;
import org.apache.lucene.index.Term;
import org.apache.lucene.index.TermStates;
import org.apache.lucene.index.Terms;
import org.apache.lucene.index.TermsEnum;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.util.BytesRef;
import org.apache.lucene.util.StringHelper;
import org.jspecify.annotations.Nullable;

/**
 * Where words stand in one state of an index. Each is looked up once for an answer, in every part of the index: for
 * whether it is spelled right, how rare it is, and what holds it.
 */
public final class WordLookups {
    /** So many words that begin alike are asked for one by one. */
    static final int FEW = 16;

    private final IndexSearcher searcher;
    private final Map<Term, TermStates> states = new HashMap<>();
    private final Map<Term, Beginning> beginnings = new HashMap<>();
    private final Map<String, @Nullable Terms> places = new HashMap<>();

    WordLookups(IndexSearcher searcher) {
        this.searcher = searcher;
    }

    private TermStates states(Term term) throws IOException {
        TermStates known = states.get(term);
        if (known == null) {
            known = TermStates.build(searcher, term, true);
            states.put(term, known);
        }
        return known;
    }

    /** How many documents hold it, deleted ones too until their part is written anew. */
    public int documents(Term term) throws IOException {
        return states(term).docFreq();
    }

    /** Finds the documents that hold it. */
    Query holding(Term term) throws IOException {
        return new TermQuery(term, states(term));
    }

    /** All words of a place in the index; null where it has none. */
    @Nullable Terms all(String place) throws IOException {
        if (!places.containsKey(place)) {
            places.put(place, MultiTerms.getTerms(searcher.getIndexReader(), place));
        }
        return places.get(place);
    }

    /**
     * The words of a place that begin so.
     *
     * @param few the first of them in the order of the index, at most one more than {@link #FEW}
     * @param documents the sum over the words, which is at least how many hold one; where both are many, not all of
     *     them are added up
     */
    record Beginning(List<BytesRef> few, long documents) {}

    /** @param start as a word of its place */
    Beginning beginning(Term start) throws IOException {
        Beginning known = beginnings.get(start);
        if (known == null) {
            known = walked(start);
            beginnings.put(start, known);
        }
        return known;
    }

    private Beginning walked(Term start) throws IOException {
        Terms terms = all(start.field());
        if (terms == null) {
            return new Beginning(List.of(), 0);
        }
        List<BytesRef> few = new ArrayList<>();
        long documents = 0;
        long enough = terms.getDocCount();
        TermsEnum found = terms.iterator();
        if (found.seekCeil(start.bytes()) != TermsEnum.SeekStatus.END) {
            for (BytesRef term = found.term();
                    term != null
                            && StringHelper.startsWith(term, start.bytes())
                            && (documents < enough || few.size() <= FEW);
                    term = found.next()) {
                documents += found.docFreq();
                if (few.size() <= FEW) {
                    few.add(BytesRef.deepCopyOf(term));
                }
            }
        }
        return new Beginning(few, documents);
    }

    /** Whether any word of its place begins so. */
    boolean anyBegins(Term start) throws IOException {
        Terms terms = all(start.field());
        TermsEnum found = terms == null ? TermsEnum.EMPTY : terms.iterator();
        return found.seekCeil(start.bytes()) != TermsEnum.SeekStatus.END
                && StringHelper.startsWith(found.term(), start.bytes());
    }
}
