package tidylantern.core.query.words;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.apache.lucene.index.Term;
import org.apache.lucene.index.Terms;
import org.apache.lucene.search.TermInSetQuery;
import org.apache.lucene.util.BytesRef;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.index.Folding;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.Stemming;
import tidylantern.core.index.WordForms;
import tidylantern.core.index.WordPieces;
import tidylantern.core.query.compiled.Phrase;

/**
 * A word of a query as items may write it otherwise: as one with its neighbours ('air mail' as 'airmail'), as two side
 * by side ('airmail' as 'air mail'), or by its pieces ({@code LocalDateTime}). Which of these are tried hangs on how
 * rare the words are as they were typed; that is for {@link ReadQuery} to say.
 */
public final class WrittenOtherwise {
    /** A longer word is none of two. */
    private static final int LONGEST = 40;

    private final WordForms.Word word;
    private final Set<String> languages;
    private final boolean stems;
    private final List<JoinedWords> together;
    private final Set<String> commonWords;
    /** The ways to write it as words side by side; null until it may be met so. */
    private @Nullable List<Phrase> apart;
    /** What the index may hold of it written apart; filled as ways are made, for the marks in texts. */
    private final Set<Phrase> held = new LinkedHashSet<>();

    /**
     * @param stems whether other forms count
     * @param together rows of the query's words to which it belongs, each as one word
     * @param commonWords folded words that are no part of another: of the letters of 'away', 'a way' is not meant
     */
    WrittenOtherwise(
            WordForms.Word word,
            Set<String> languages,
            boolean stems,
            List<JoinedWords> together,
            Set<String> commonWords) {
        this.word = word;
        this.languages = languages;
        this.stems = stems;
        this.together = List.copyOf(together);
        this.commonWords = commonWords;
    }

    /** A word that is met as it is typed alone. */
    static WrittenOtherwise never(WordForms.Word word) {
        return new WrittenOtherwise(word, Set.of(), false, List.of(), Set.of());
    }

    /**
     * Neighbouring words of a query as one.
     *
     * @param wholeQuery whether they are all there is
     * @param open whether the last of them may be half typed
     */
    record JoinedWords(WordForms.Word word, boolean wholeQuery, boolean open) {
        /** The forms that stand for it in the index. */
        private Set<String> forms(boolean stems) {
            Set<String> forms = new LinkedHashSet<>(List.of(word.folded(), WordForms.piece(word.folded())));
            if (stems) {
                forms.addAll(word.stems());
            }
            return forms;
        }

        /** Whether anything in one of these fields is written so. */
        boolean held(WordLookups lookups, Collection<FieldKey> fields, boolean stems) throws IOException {
            for (FieldKey field : fields) {
                if (documents(lookups, IndexFields.words(field), forms(stems)) > 0
                        || (open && lookups.anyBegins(new Term(IndexFields.words(field), word.folded())))) {
                    return true;
                }
            }
            return false;
        }
    }

    /** Whether there is another way to write this word by itself. Numbers are never taken apart. */
    boolean comesApart() {
        int letters = word.folded().codePointCount(0, word.folded().length());
        return letters >= 2 && letters <= LONGEST && word.folded().chars().anyMatch(Character::isLetter);
    }

    /** From now on it may be met written apart, too. */
    void allowApart() {
        if (apart == null) {
            apart = phrasesOf();
        }
    }

    /** Adds the ways in which a field may hold the word otherwise. */
    void addWays(List<Match.Way> ways, FieldKey field, WordLookups lookups, Terms terms, boolean wholeQuery)
            throws IOException {
        String place = IndexFields.words(field);
        for (JoinedWords one : together) {
            addTogether(ways, one, field, lookups, terms);
        }
        if (apart == null) {
            return;
        }
        for (Phrase phrase : apart) {
            int documents = documentsAtMost(lookups, place, phrase);
            if (documents > 0) {
                held.add(phrase);
                float rarity = WordMatch.rarity(terms, documents);
                ways.add(WordMatch.constant(phrase.query(place), Strength.APART, rarity));
                Term name = new Term(
                        IndexFields.wholeNames(field),
                        String.join(
                                " ",
                                phrase.words().stream()
                                        .map(WordForms.Word::folded)
                                        .toList()));
                if (wholeQuery && lookups.documents(name) > 0) {
                    ways.add(WordMatch.constant(lookups.holding(name), Strength.NAME_OTHERWISE, rarity));
                }
            }
        }
        Term piece = new Term(place, WordForms.piece(word.folded()));
        int documents = lookups.documents(piece);
        if (documents > 0) {
            ways.add(WordMatch.constant(lookups.holding(piece), Strength.PIECE, WordMatch.rarity(terms, documents)));
        }
    }

    private void addTogether(List<Match.Way> ways, JoinedWords one, FieldKey field, WordLookups lookups, Terms terms)
            throws IOException {
        String place = IndexFields.words(field);
        Set<String> forms = one.forms(stems);
        long documents = documents(lookups, place, forms);
        if (documents > 0) {
            ways.add(WordMatch.constant(
                    new TermInSetQuery(place, forms.stream().map(BytesRef::new).toList()),
                    Strength.TOGETHER,
                    WordMatch.rarity(terms, documents)));
        }
        Term name = new Term(IndexFields.wholeNames(field), one.word().folded());
        if (one.wholeQuery() && lookups.documents(name) > 0) {
            ways.add(WordMatch.constant(
                    lookups.holding(name), Strength.NAME_OTHERWISE, WordMatch.rarity(terms, lookups.documents(name))));
        }
        Match.Way start =
                one.open() ? WordMatch.start(one.word().folded(), place, lookups, terms, Strength.TOGETHER) : null;
        if (start != null) {
            ways.add(start);
        }
    }

    /**
     * Every way to write it as two words side by side; a word of several pieces is parted between these, and into all
     * of them.
     */
    private List<Phrase> phrasesOf() {
        List<Phrase> phrases = new ArrayList<>();
        if (word.pieces().isEmpty()) {
            if (word.folded().chars().allMatch(Character::isLetter)) {
                for (int at = word.folded().offsetByCodePoints(0, 1);
                        at < word.folded().length();
                        at = word.folded().offsetByCodePoints(at, 1)) {
                    add(
                            phrases,
                            List.of(
                                    word.folded().substring(0, at),
                                    word.folded().substring(at)));
                }
            }
            return phrases;
        }
        add(phrases, word.pieces());
        for (int at = 1; at < word.pieces().size() && word.pieces().size() > 2; at++) {
            add(
                    phrases,
                    List.of(
                            String.join("", word.pieces().subList(0, at)),
                            String.join(
                                    "", word.pieces().subList(at, word.pieces().size()))));
        }
        return phrases;
    }

    private void add(List<Phrase> phrases, List<String> parts) {
        boolean letterOfNoWord = parts.stream().anyMatch(part -> part.length() == 1 && commonWords.contains(part));
        if (letterOfNoWord || commonWords.containsAll(parts)) {
            return;
        }
        List<WordForms.Word> words = new ArrayList<>();
        for (String part : parts) {
            List<WordForms.Word> read = WordForms.allWordsOf(part, languages);
            if (read.size() != 1 || !read.getFirst().folded().equals(part)) {
                return;
            }
            // Only the last bends with the number and the case: 'airmails' is 'air mails', never 'airs mail'.
            words.add(words.size() == parts.size() - 1 ? read.getFirst() : WordForms.Word.alone(part));
        }
        phrases.add(new Phrase(words, stems));
    }

    /** At least as many as hold the phrase: those that hold its rarest word. */
    private static int documentsAtMost(WordLookups lookups, String place, Phrase phrase) throws IOException {
        long fewest = Integer.MAX_VALUE;
        for (WordForms.Word one : phrase.words()) {
            fewest = Math.min(fewest, documents(lookups, place, phrase.forms(one)));
            if (fewest == 0) {
                return 0;
            }
        }
        return (int) fewest;
    }

    private static long documents(WordLookups lookups, String place, Set<String> forms) throws IOException {
        long documents = 0;
        for (String form : forms) {
            documents += lookups.documents(new Term(place, form));
        }
        return documents;
    }

    /** What to mark of a word of a text. */
    Match.@Nullable Mark mark(Match.Seen seen, Stemming stemming) {
        for (JoinedWords one : together) {
            String folded = Folding.fold(seen.lower());
            if (folded.equals(one.word().folded())
                    || (one.open() && folded.startsWith(one.word().folded()))
                    || (stems && Phrase.sameStem(one.word(), seen.lower(), stemming))) {
                return seen.whole();
            }
            Match.Mark piece = piece(seen, one.word().folded());
            if (piece != null) {
                return piece;
            }
        }
        return apart == null ? null : piece(seen, word.folded());
    }

    private static Match.@Nullable Mark piece(Match.Seen seen, String folded) {
        WordPieces.Piece piece = WordPieces.find(seen.written(), folded);
        return piece == null ? null : new Match.Mark(piece.from(), piece.to() - piece.from());
    }

    /** The words side by side that texts may hold, to be marked together. */
    Set<Phrase> phrases() {
        return held;
    }
}
