package tidylantern.core.query.words;

import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import org.apache.lucene.index.MultiTerms;
import org.apache.lucene.index.Term;
import org.apache.lucene.index.TermStates;
import org.apache.lucene.index.Terms;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermQuery;
import org.jspecify.annotations.Nullable;

/**
 * Where words stand in one state of an index. Each is looked up once for an answer, in every part of the index: for
 * whether it is spelled right, how rare it is, and what holds it.
 */
public final class WordLookups {
    private final IndexSearcher searcher;
    private final Map<Term, TermStates> states = new HashMap<>();
    private final Map<String, @Nullable Terms> places = new HashMap<>();

    public WordLookups(IndexSearcher searcher) {
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
    public Query holding(Term term) throws IOException {
        return new TermQuery(term, states(term));
    }

    /** All words of a place in the index; null where it has none. */
    @Nullable Terms all(String place) throws IOException {
        if (!places.containsKey(place)) {
            places.put(place, MultiTerms.getTerms(searcher.getIndexReader(), place));
        }
        return places.get(place);
    }
}
