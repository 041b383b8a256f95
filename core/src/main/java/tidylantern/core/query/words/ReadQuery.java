package tidylantern.core.query.words;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.MatchAllDocsQuery;
import org.apache.lucene.search.Query;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.Words;
import tidylantern.core.index.Folding;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.IndexState;
import tidylantern.core.index.WordForms;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.compiled.FoundAtLeast;
import tidylantern.core.query.compiled.ItemsInReach;
import tidylantern.core.query.compiled.Phrase;
import tidylantern.core.query.compiled.PinnedQueries;
import tidylantern.core.query.compiled.Vocabulary;

/** A query as the engine runs it: the items in reach, and of those the ones that hold enough of the words. */
public final class ReadQuery {
    private static final int FEWEST_SUBMITTED = 1;
    /** A word that stands in this many items in reach is taken to be spelled right. */
    private static final int SPELLED_RIGHT_FROM = 3;
    /** Codes of up to this many pieces are found when spaces part them. */
    private static final int MOST_PIECES_OF_CODE = 4;
    /** So many neighbouring words may be written as one: 'local date time', 'java util concurrent atomic'. */
    private static final int MOST_TOGETHER = 4;
    /** What a word of a text met is told by one bit each. */
    private static final int MOST_MATCHES = 60;

    private final Query reach;
    private final Query lucene;
    private final Query asked;
    private final List<Match> matches;
    private final List<Part> parts;
    private final PinsInPlay pins;

    private ReadQuery(Query reach, Query lucene, Query asked, List<Match> matches, List<Part> parts) {
        this(reach, lucene, asked, matches, parts, PinsInPlay.NONE);
    }

    private ReadQuery(Query reach, Query lucene, Query asked, List<Match> matches, List<Part> parts, PinsInPlay pins) {
        this.reach = reach;
        this.lucene = lucene;
        this.asked = asked;
        this.matches = matches;
        this.parts = parts;
        this.pins = pins;
    }

    /** A word of a query without operators, and what finds the items that hold it. */
    public record Part(WordMatch match, Query query) {}

    /** What a query with operators asks for, in reach or not; of other queries see {@link #parts}. */
    public Query asked() {
        return asked;
    }

    /** The words; none for the starting list and for a query with operators. */
    public List<Part> parts() {
        return parts;
    }

    /** The items that may be found at all. */
    public Query reach() {
        return reach;
    }

    /** What is found: by the words, and by pins. */
    public Query lucene() {
        return lucene;
    }

    /** What pins say of it; nothing of a query with operators. */
    public PinsInPlay pins() {
        return pins;
    }

    /** What an item may meet of the query; none for the starting list. */
    public List<Match> matches() {
        return matches;
    }

    /** Whether nothing, or too little, was asked for. */
    public boolean startingList() {
        return matches.isEmpty();
    }

    /**
     * Below the fewest letters, while somebody types, and where nothing but punctuation was typed, the starting list
     * stands. A query that was submitted is always asked.
     *
     * @param typing whether it may still be half typed
     */
    public static ReadQuery read(
            VisitorQuery query, CompiledSearch search, IndexState state, Effort effort, boolean typing)
            throws IOException {
        Words words = search.design().words();
        return query.letters() < (typing ? words.fewestLetters() : FEWEST_SUBMITTED)
                ? everything(search)
                : new Reader(search, words, search.prose(), state.searcher(), outOfReach(search, state), effort)
                        .read(query, search.pins());
    }

    /** Reads a query as a search would that is asked this once, so that nothing is counted and kept for it. */
    public static ReadQuery readOnce(VisitorQuery query, CompiledSearch search, IndexState state) throws IOException {
        IndexSearcher searcher = state.searcher();
        int any = searcher.getIndexReader().maxDoc();
        return query.letters() < FEWEST_SUBMITTED
                ? everything(search)
                : new Reader(search, search.design().words(), search.prose(), searcher, any, new Effort(state))
                        .read(query, search.pins());
    }

    /** Reads words that must be met in other ways than those of the search, and which no pin is for. */
    public static ReadQuery read(
            VisitorQuery query, CompiledSearch search, Words words, IndexState state, Effort effort)
            throws IOException {
        if (query.letters() < FEWEST_SUBMITTED) {
            return everything(search);
        }
        List<FieldKey> prose = words.searched().stream()
                .map(FieldWeight::field)
                .filter(field -> search.content().kind(field) != FieldKind.CODE)
                .toList();
        return new Reader(search, words, prose, state.searcher(), outOfReach(search, state), effort)
                .read(query, PinnedQueries.NONE);
    }

    /** How many of the index's documents are none of the items in reach, or are deleted. */
    private static int outOfReach(CompiledSearch search, IndexState state) throws IOException {
        return state.searcher().getIndexReader().maxDoc() - ItemsInReach.of(state, search.reachIn(state));
    }

    private static ReadQuery everything(CompiledSearch search) {
        Query reach = search.reach();
        return new ReadQuery(reach, reach, reach, List.of(), List.of());
    }

    /** Reads one query. */
    private static final class Reader {
        private final Words matching;
        private final SiteContent content;
        private final List<FieldKey> prose;
        private final IndexSearcher searcher;
        private final int outOfReach;
        private final Query reach;
        private final Effort effort;
        private final Set<String> languages;
        private final Vocabulary vocabulary;
        private final List<Match> matches = new ArrayList<>();
        private final List<Part> parts = new ArrayList<>();

        /**
         * @param words how words are met
         * @param prose the fields in which they are, but for codes
         * @param outOfReach so many documents of the index may be none of the items in reach
         */
        Reader(
                CompiledSearch search,
                Words words,
                List<FieldKey> prose,
                IndexSearcher searcher,
                int outOfReach,
                Effort effort) {
            this.effort = effort;
            this.matching = words;
            this.content = search.content();
            this.prose = prose;
            this.searcher = searcher;
            this.outOfReach = outOfReach;
            this.reach = search.reach();
            this.languages = search.languages();
            this.vocabulary = search.vocabulary();
        }

        ReadQuery read(VisitorQuery query, PinnedQueries pinned) throws IOException {
            String text = query.text();
            Operators.Node operators = matching.operators() ? Operators.read(text) : null;
            Query found = operators == null ? null : query(operators);
            BooleanQuery.Builder all = new BooleanQuery.Builder().add(reach, BooleanClause.Occur.FILTER);
            if (found != null) {
                return new ReadQuery(
                        reach, all.add(found, BooleanClause.Occur.MUST).build(), found, matches, List.of());
            }
            matches.clear();
            // One flat query: Lucene skips what cannot reach the top there, and not in one that stands inside another.
            for (WordMatch match : wordMatches(text, true)) {
                Part part = new Part(match, query(match));
                parts.add(part);
                matches.add(match);
                all.add(part.query(), BooleanClause.Occur.SHOULD);
            }
            if (parts.isEmpty()) {
                return new ReadQuery(reach, reach, reach, List.of(), List.of());
            }
            Query lucene = all.setMinimumNumberShouldMatch(matching.needed().of(parts.size()))
                    .build();
            PinsInPlay pins =
                    PinsInPlay.of(pinned, parts.stream().map(Part::match).toList(), query.today());
            return new ReadQuery(reach, pins.over(lucene, reach), lucene, matches, parts, pins);
        }

        /** Written otherwise, and then with typos, only if hardly anything in reach holds the word as typed. */
        private Query query(WordMatch match) throws IOException {
            Query withSigns = match.withItsSigns();
            if (withSigns != null && FoundAtLeast.found(searcher, inReach(withSigns, reach), 1)) {
                match.countSigns();
            }
            Query found = match.query(content);
            // Most words that are right stand somewhere just as typed, and that is quickly seen.
            if (!(match.bends() || match.comesApart())
                    || isSpelledRight(match)
                    || spelledRight(found, reach, searcher)) {
                return found;
            }
            if (match.comesApart()) {
                match.allowApart();
                found = match.query(content);
                if (!match.bends() || spelledRight(found, reach, searcher)) {
                    return found;
                }
            }
            match.allowTypos();
            return match.query(content);
        }

        /** Whether enough items in reach hold it as typed; mostly told by how many documents hold it anywhere. */
        private boolean isSpelledRight(WordMatch match) throws IOException {
            long inAnyField = 0;
            for (Term term : match.itself()) {
                int documents = effort.lookups().documents(term);
                if (documents - outOfReach >= SPELLED_RIGHT_FROM) {
                    return true;
                }
                inAnyField += documents;
            }
            return inAnyField >= SPELLED_RIGHT_FROM && spelledRight(anyOf(match.itself()), reach, searcher);
        }

        private Query anyOf(List<Term> terms) throws IOException {
            BooleanQuery.Builder any = new BooleanQuery.Builder();
            for (Term term : terms) {
                any.add(effort.lookups().holding(term), BooleanClause.Occur.SHOULD);
            }
            return any.build();
        }

        /**
         * Null where a part holds no word, so that it is no query. What is asked not to be there is not marked either.
         */
        private @Nullable Query query(Operators.Node node) throws IOException {
            return switch (node) {
                case Operators.Node.Words words -> {
                    BooleanQuery.Builder all = new BooleanQuery.Builder();
                    List<WordMatch> found = wordMatches(words.text(), false);
                    for (WordMatch match : found) {
                        all.add(query(match), BooleanClause.Occur.MUST);
                    }
                    mark(found);
                    yield found.isEmpty() ? null : all.build();
                }
                case Operators.Node.Quoted quoted -> {
                    List<WordForms.Word> words = WordForms.allWordsOf(quoted.text(), languages);
                    PhraseMatch phrase = new PhraseMatch(new Phrase(words, false), matching);
                    mark(List.of(phrase));
                    yield words.isEmpty() ? null : phrase.query(content);
                }
                case Operators.Node.Not not -> {
                    List<Match> before = List.copyOf(matches);
                    Query part = query(not.part());
                    if (part == null) {
                        yield null;
                    }
                    if (before.isEmpty()) {
                        // Something must be there to tell a query from the starting list.
                        matches.subList(1, matches.size()).clear();
                    } else {
                        matches.clear();
                        matches.addAll(before);
                    }
                    yield new BooleanQuery.Builder()
                            .add(MatchAllDocsQuery.INSTANCE, BooleanClause.Occur.FILTER)
                            .add(part, BooleanClause.Occur.MUST_NOT)
                            .build();
                }
                case Operators.Node.And and -> several(and.parts(), BooleanClause.Occur.MUST);
                case Operators.Node.Or or -> several(or.parts(), BooleanClause.Occur.SHOULD);
            };
        }

        private @Nullable Query several(List<Operators.Node> parts, BooleanClause.Occur occur) throws IOException {
            BooleanQuery.Builder all = new BooleanQuery.Builder();
            for (Operators.Node part : parts) {
                Query query = query(part);
                if (query == null) {
                    return null;
                }
                all.add(query, occur);
            }
            return all.build();
        }

        private void mark(List<? extends Match> more) {
            more.stream().limit(Math.max(0, MOST_MATCHES - matches.size())).forEach(matches::add);
        }

        /** @param last whether the last word may still be half typed */
        private List<WordMatch> wordMatches(String text, boolean last) throws IOException {
            List<WordForms.Word> typed = new ArrayList<>();
            Map<String, Set<String>> codes = codes(text, typed);
            List<List<Phrase>> synonyms = vocabulary.synonyms(typed);
            List<List<WrittenOtherwise.JoinedWords>> together = together(typed, last);
            boolean onlyStopWords = typed.stream().allMatch(vocabulary::stops);
            Map<String, WordForms.Word> words = new LinkedHashMap<>();
            Map<String, List<Phrase>> alternatives = new HashMap<>();
            Map<String, List<WrittenOtherwise.JoinedWords>> joined = new HashMap<>();
            for (int i = 0; i < typed.size(); i++) {
                WordForms.Word word = typed.get(i);
                if ((onlyStopWords || !vocabulary.stops(word))
                        && (words.size() < VisitorQuery.MOST_WORDS || words.containsKey(word.folded()))) {
                    words.putIfAbsent(word.folded(), word);
                    alternatives
                            .computeIfAbsent(word.folded(), key -> new ArrayList<>())
                            .addAll(synonyms.get(i));
                    joined.computeIfAbsent(word.folded(), key -> new ArrayList<>())
                            .addAll(together.get(i));
                }
            }
            List<WordMatch> found = new ArrayList<>();
            // Operators part a query into several, none of which is the whole.
            String wholeName = last
                    ? WordForms.wholeName(
                            typed.stream().map(WordForms.Word::folded).toList())
                    : null;
            int left = words.size();
            for (WordForms.Word word : words.values()) {
                left--;
                WrittenOtherwise otherwise = new WrittenOtherwise(
                        word,
                        languages,
                        matching.stemming(),
                        joined.getOrDefault(word.folded(), List.of()).stream()
                                .distinct()
                                .toList(),
                        vocabulary.commonWords());
                found.add(new WordMatch(
                        word,
                        codes.getOrDefault(word.folded(), Set.of()),
                        matching,
                        last && left == 0,
                        wholeName,
                        alternatives.getOrDefault(word.folded(), List.of()).stream()
                                .distinct()
                                .toList(),
                        otherwise,
                        effort));
            }
            return found;
        }

        /**
         * The codes that each word may be a part of, by the folded word: of what stands between blanks, and of all that
         * was typed, where that is short.
         *
         * @param typed takes the words
         */
        private Map<String, Set<String>> codes(String text, List<WordForms.Word> typed) {
            String[] chunks = text.strip().split("\\s+");
            Map<String, Set<String>> codes = new HashMap<>();
            String whole = chunks.length <= MOST_PIECES_OF_CODE ? Folding.code(text) : "";
            for (String chunk : chunks) {
                for (WordForms.Word word : WordForms.allWordsOf(chunk, languages)) {
                    typed.add(word);
                    Set<String> ofWord = codes.computeIfAbsent(word.folded(), key -> new LinkedHashSet<>());
                    ofWord.add(Folding.code(chunk));
                    if (!whole.isEmpty()) {
                        ofWord.add(whole);
                    }
                }
            }
            return codes;
        }

        /**
         * For each word the rows of neighbours to which it belongs and that items write as one word, where hardly any
         * item holds them side by side as typed.
         */
        private List<List<WrittenOtherwise.JoinedWords>> together(List<WordForms.Word> typed, boolean last)
                throws IOException {
            List<List<WrittenOtherwise.JoinedWords>> found = new ArrayList<>();
            typed.forEach(word -> found.add(new ArrayList<>()));
            for (int from = 0; from < Math.min(typed.size(), VisitorQuery.MOST_WORDS); from++) {
                for (int to = from + 2; to <= Math.min(typed.size(), from + MOST_TOGETHER); to++) {
                    WrittenOtherwise.JoinedWords one = together(typed, from, to, last);
                    if (one != null) {
                        found.subList(from, to).forEach(of -> of.add(one));
                    }
                }
            }
            return found;
        }

        private WrittenOtherwise.@Nullable JoinedWords together(
                List<WordForms.Word> typed, int from, int to, boolean last) throws IOException {
            List<WordForms.Word> row = typed.subList(from, to);
            List<WordForms.Word> word = WordForms.allWordsOf(
                    row.stream().map(WordForms.Word::folded).collect(Collectors.joining()), languages);
            if (word.size() != 1) {
                // Scripts that write no blanks have their words side by side already.
                return null;
            }
            boolean open = last && to == typed.size() && matching.partOfWord().starts();
            WrittenOtherwise.JoinedWords one =
                    new WrittenOtherwise.JoinedWords(word.getFirst(), row.size() == typed.size(), open);
            if (!one.held(effort.lookups(), prose, matching.stemming())
                    || !effort.mayPutTogether(one.word().folded())) {
                return null;
            }
            Phrase asTyped = new Phrase(row, matching.stemming());
            BooleanQuery.Builder anywhere = new BooleanQuery.Builder();
            prose.forEach(field -> anywhere.add(asTyped.query(IndexFields.words(field)), BooleanClause.Occur.SHOULD));
            return spelledRight(anywhere.build(), reach, searcher) ? null : one;
        }
    }

    /** Whether so many items in reach have it that it is taken to be spelled right. */
    public static boolean spelledRight(Query word, Query reach, IndexSearcher searcher) throws IOException {
        return FoundAtLeast.found(searcher, inReach(word, reach), SPELLED_RIGHT_FROM);
    }

    private static Query inReach(Query found, Query reach) {
        return new BooleanQuery.Builder()
                .add(found, BooleanClause.Occur.FILTER)
                .add(reach, BooleanClause.Occur.FILTER)
                .build();
    }
}
