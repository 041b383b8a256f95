package tidylantern.core.design;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;

/**
 * How visitors' words find items.
 *
 * @param weights which fields are searched, and how much each counts
 * @param matching how a word is met
 * @param excerpt how much text stands under a title
 * @param synonyms words that stand for one another, in the owner's order
 * @param stopWords words that do not count unless a query holds nothing else
 * @param help what helps visitors on
 */
public record Words(
        List<FieldWeight> weights,
        Matching matching,
        Excerpt excerpt,
        List<Synonym> synonyms,
        List<String> stopWords,
        Help help) {
    public static final int MOST_SYNONYMS = 50_000;
    public static final int MOST_STOP_WORDS = 5_000;

    public Words {
        weights = List.copyOf(weights);
        DesignFault.ifTwice(weights.stream().map(FieldWeight::field).toList(), "weights", "the field");
        synonyms = List.copyOf(synonyms);
        DesignFault.unless(
                synonyms.size() <= MOST_SYNONYMS,
                "synonyms",
                "%d entries are too many; %d are the most",
                synonyms.size(),
                MOST_SYNONYMS);
        DesignFault.ifTwice(synonyms, "synonyms", "the entry");
        stopWords = stopWords.stream()
                .map(String::strip)
                .filter(word -> !word.isEmpty())
                .distinct()
                .toList();
        DesignFault.unless(
                stopWords.size() <= MOST_STOP_WORDS,
                "stopWords",
                "%d stop words are too many; %d are the most",
                stopWords.size(),
                MOST_STOP_WORDS);
        for (String word : stopWords) {
            DesignFault.unless(
                    !word.contains(" ") && word.length() <= 50,
                    "stopWords",
                    "\"%s\" is no single word; stop words are words of one piece",
                    word);
        }
    }

    /** Titles before summaries before texts, with everything else as usual. */
    public static Words standard() {
        return new Words(
                List.of(
                        new FieldWeight(FieldKey.TITLE, 5),
                        new FieldWeight(FieldKey.SUMMARY, 2),
                        new FieldWeight(FieldKey.BODY, 1)),
                Matching.usual(),
                Excerpt.usual(),
                List.of(),
                List.of(),
                Help.usual());
    }

    public WordsNeeded needed() {
        return matching.needed();
    }

    public PartOfWord partOfWord() {
        return matching.partOfWord();
    }

    public Typos typos() {
        return matching.typos();
    }

    public boolean stemming() {
        return matching.stemming();
    }

    public int fewestLetters() {
        return matching.fewestLetters();
    }

    public boolean operators() {
        return matching.operators();
    }

    public Words withWeights(List<FieldWeight> changed) {
        return new Words(changed, matching, excerpt, synonyms, stopWords, help);
    }

    private Words withMatching(Matching changed) {
        return new Words(weights, changed, excerpt, synonyms, stopWords, help);
    }

    public Words withSynonyms(List<Synonym> changed) {
        return new Words(weights, matching, excerpt, changed, stopWords, help);
    }

    public Words withStopWords(List<String> changed) {
        return new Words(weights, matching, excerpt, synonyms, changed, help);
    }

    public Words withHelp(Help changed) {
        return new Words(weights, matching, excerpt, synonyms, stopWords, changed);
    }

    public Words withNeeded(WordsNeeded changed) {
        return withMatching(new Matching(changed, partOfWord(), typos(), stemming(), fewestLetters(), operators()));
    }

    public Words withPartOfWord(PartOfWord changed) {
        return withMatching(new Matching(needed(), changed, typos(), stemming(), fewestLetters(), operators()));
    }

    public Words withTypos(Typos changed) {
        return withMatching(new Matching(needed(), partOfWord(), changed, stemming(), fewestLetters(), operators()));
    }

    public Words withStemming(boolean on) {
        return withMatching(new Matching(needed(), partOfWord(), typos(), on, fewestLetters(), operators()));
    }

    public Words withOperators(boolean allowed) {
        return withMatching(new Matching(needed(), partOfWord(), typos(), stemming(), fewestLetters(), allowed));
    }

    /** The fields that are searched: those with a weight above 0. */
    public List<FieldWeight> searched() {
        return weights.stream().filter(weight -> weight.weight() > 0).toList();
    }

    /**
     * How a word of a query is met.
     *
     * @param needed how many of a query's words an item must hold, in any of its searched fields together
     * @param partOfWord whether a word must stand whole, may be the start of one, or stand inside one
     * @param stemming whether other forms of a word, by the collection's language, are found too
     * @param fewestLetters below this many letters and digits the starting list stands; 1 to 5
     * @param operators whether visitors may use quotes, AND, OR, NOT, a minus and parentheses
     */
    public record Matching(
            WordsNeeded needed,
            PartOfWord partOfWord,
            Typos typos,
            boolean stemming,
            int fewestLetters,
            boolean operators) {
        public static final Limit FEWEST_LETTERS = new Limit(1, 5);
        private static final int USUAL_FEWEST = 2;

        public Matching {
            DesignFault.unless(
                    FEWEST_LETTERS.includes(fewestLetters),
                    "fewestLetters",
                    "%d fewest letters are not possible; choose %s",
                    fewestLetters,
                    FEWEST_LETTERS);
        }

        /** Every word, by its start, with slips and other forms of it. */
        public static Matching usual() {
            return new Matching(WordsNeeded.ALL, PartOfWord.START, Typos.usual(), true, USUAL_FEWEST, false);
        }
    }

    public enum WordsNeeded {
        /** Every word. */
        ALL,
        /** All of one or two; of more, three quarters, rounded down. */
        MOST,
        /** One is enough; more come first. */
        ANY;

        /** How many of {@code words} different words an item must hold; at least one where there is one. */
        public int of(int words) {
            return switch (this) {
                case ALL -> words;
                case MOST -> words <= 2 ? words : words * 3 / 4;
                case ANY -> Math.min(words, 1);
            };
        }

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    public enum PartOfWord {
        WHOLE,
        START,
        /** Anywhere in a word, from three letters on. */
        INSIDE;

        /** Whether the beginning of a word is enough. */
        public boolean starts() {
            return this != WHOLE;
        }

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * @param allowed whether slips of the keyboard are forgiven, as {@link #editsIn} says
     * @param firstLetterFixed whether the first letter must be right all the same
     */
    public record Typos(boolean allowed, boolean firstLetterFixed) {
        /** Forgiven, but for the first letter. */
        public static Typos usual() {
            return new Typos(true, true);
        }

        /**
         * How many edits a word may be off: none up to 3 letters, one in 4 to 7, two from 8 on; none with a digit in
         * it.
         */
        public int editsIn(String word) {
            int letters = word.codePointCount(0, word.length());
            if (!allowed || letters <= 3 || word.codePoints().anyMatch(Character::isDigit)) {
                return 0;
            }
            return letters <= 7 ? 1 : 2;
        }
    }

    /**
     * @param words how many words an excerpt holds, 5 to 100; null for as many as its card has lines for
     * @param wordsBefore how many of them stand before the first match, 0 to 50
     */
    public record Excerpt(@Nullable Integer words, int wordsBefore) {
        public static final Limit WORDS = new Limit(5, 100);
        public static final Limit BEFORE = new Limit(0, 50);
        private static final int USUAL_BEFORE = 6;

        public Excerpt {
            DesignFault.unless(
                    words == null || WORDS.includes(words),
                    "words",
                    "an excerpt of %d words is not possible; choose %s",
                    words,
                    WORDS);
            DesignFault.unless(
                    BEFORE.includes(wordsBefore) && (words == null || wordsBefore < words),
                    "wordsBefore",
                    "%d words before the first match do not fit; choose %s, fewer than the excerpt has",
                    wordsBefore,
                    BEFORE);
        }

        /** As long as the card has lines for. */
        public static Excerpt usual() {
            return new Excerpt(null, USUAL_BEFORE);
        }
    }
}
