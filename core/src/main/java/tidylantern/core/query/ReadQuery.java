package tidylantern.core.query;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.CollectionTerminatedException;
import org.apache.lucene.search.CollectorManager;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.SimpleCollector;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Words;
import tidylantern.core.index.Folding;
import tidylantern.core.index.WordForms;

/** A query as the engine runs it: the items in reach, and of those the ones that hold enough of the words. */
final class ReadQuery {
    /** A word that stands in this many items in reach is taken to be spelled right. */
    private static final int SPELLED_RIGHT_FROM = 3;
    /** Codes of up to this many pieces are found when spaces part them. */
    private static final int MOST_PIECES_OF_CODE = 4;

    private final Query lucene;
    private final List<WordMatch> matches;

    private ReadQuery(Query lucene, List<WordMatch> matches) {
        this.lucene = lucene;
        this.matches = matches;
    }

    Query lucene() {
        return lucene;
    }

    /** None for the starting list. */
    List<WordMatch> matches() {
        return matches;
    }

    boolean startingList() {
        return matches.isEmpty();
    }

    /** Below the fewest letters, and where nothing but punctuation was typed, the starting list stands. */
    static ReadQuery read(VisitorQuery query, SearchDesign design, SiteContent content, IndexSearcher searcher) throws IOException {
        Query reach = ReachQuery.of(design.reach());
        List<WordMatch> matches = query.letters() < design.words().fewestLetters() ? List.of() : matches(query.text(), design, content);
        if (matches.isEmpty()) {
            return new ReadQuery(reach, matches);
        }
        BooleanQuery.Builder found = new BooleanQuery.Builder();
        found.add(reach, BooleanClause.Occur.FILTER);
        for (WordMatch match : matches) {
            Query asTyped = match.query(searcher.getIndexReader(), content);
            if (match.bends() && !spelledRight(asTyped, reach, searcher)) {
                match.allowTypos();
                asTyped = match.query(searcher.getIndexReader(), content);
            }
            found.add(asTyped, BooleanClause.Occur.SHOULD);
        }
        found.setMinimumNumberShouldMatch(design.words().needed().of(matches.size()));
        return new ReadQuery(found.build(), matches);
    }

    private static List<WordMatch> matches(String text, SearchDesign design, SiteContent content) {
        Set<String> languages = content.languages(design.searched());
        String[] chunks = text.strip().split("\\s+");
        Map<String, WordForms.Word> words = new LinkedHashMap<>();
        Map<String, Set<String>> codes = new LinkedHashMap<>();
        String whole = chunks.length <= MOST_PIECES_OF_CODE ? Folding.code(text) : "";
        for (String chunk : chunks) {
            for (WordForms.Word word : WordForms.wordsOf(chunk, languages)) {
                if (words.size() >= VisitorQuery.MOST_WORDS && !words.containsKey(word.folded())) {
                    continue;
                }
                words.putIfAbsent(word.folded(), word);
                Set<String> ofWord = codes.computeIfAbsent(word.folded(), key -> new LinkedHashSet<>());
                ofWord.add(Folding.code(chunk));
                if (!whole.isEmpty()) {
                    ofWord.add(whole);
                }
            }
        }
        List<WordMatch> matches = new ArrayList<>();
        int left = words.size();
        for (WordForms.Word word : words.values()) {
            left--;
            matches.add(new WordMatch(word, codes.getOrDefault(word.folded(), Set.of()), design.words(), left == 0));
        }
        return matches;
    }

    private static boolean spelledRight(Query word, Query reach, IndexSearcher searcher) throws IOException {
        BooleanQuery inReach = new BooleanQuery.Builder()
                .add(word, BooleanClause.Occur.FILTER).add(reach, BooleanClause.Occur.FILTER).build();
        return searcher.search(inReach, new AtLeast(SPELLED_RIGHT_FROM));
    }

    /** Tells whether so many items are found, and looks no further. */
    private record AtLeast(int wanted) implements CollectorManager<AtLeast.Counter, Boolean> {
        @Override
        public Counter newCollector() {
            return new Counter(wanted);
        }

        @Override
        public Boolean reduce(Collection<Counter> counters) {
            return counters.stream().mapToInt(counter -> counter.found).sum() >= wanted;
        }

        static final class Counter extends SimpleCollector {
            private final int wanted;
            private int found;

            Counter(int wanted) {
                this.wanted = wanted;
            }

            @Override
            protected void doSetNextReader(LeafReaderContext leaf) {
                if (found >= wanted) {
                    throw new CollectionTerminatedException();
                }
            }

            @Override
            public void collect(int document) {
                if (++found >= wanted) {
                    throw new CollectionTerminatedException();
                }
            }

            @Override
            public ScoreMode scoreMode() {
                return ScoreMode.COMPLETE_NO_SCORES;
            }
        }
    }
}
