package tidylantern.core.design;

import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;

/**
 * How visitors' words find items. Keys that a document leaves out take their usual value.
 *
 * @param weights which fields are searched, and how much each counts
 * @param needed how many of a query's words an item must hold, in any of its searched fields together
 * @param partOfWord whether a word must stand whole, may be the start of one, or stand inside one
 * @param stemming whether other forms of a word, by the collection's language, are found too
 * @param synonyms words that stand for one another, in the owner's order
 * @param stopWords words that do not count unless a query holds nothing else
 * @param operators whether visitors may use quotes, AND, OR, NOT, a minus and parentheses
 * @param help what helps visitors on
 * @param fewestLetters below this many letters and digits the starting list stands; 1 to 5
 */
public record Words(
        List<FieldWeight> weights,
        WordsNeeded needed,
        PartOfWord partOfWord,
        Typos typos,
        boolean stemming,
        int fewestLetters,
        Excerpt excerpt,
        List<Synonym> synonyms,
        List<String> stopWords,
        boolean operators,
        Help help) {
    public static final Limit FEWEST_LETTERS = new Limit(1, 5);
    public static final int MOST_SYNONYMS = 50_000;
    public static final int MOST_STOP_WORDS = 5_000;

    public Words {
        weights = List.copyOf(weights);
        DesignFault.ifTwice(weights.stream().map(FieldWeight::field).toList(), "weights", "the field");
        DesignFault.unless(
                fewestLetters >= FEWEST_LETTERS.least() && fewestLetters <= FEWEST_LETTERS.most(),
                "fewestLetters",
                "%d fewest letters are not possible; choose 1 to 5",
                fewestLetters);
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

    /** Without synonyms, stop words and operators, with the usual help. */
    public Words(
            List<FieldWeight> weights,
            WordsNeeded needed,
            PartOfWord partOfWord,
            Typos typos,
            boolean stemming,
            int fewestLetters,
            Excerpt excerpt) {
        this(
                weights,
                needed,
                partOfWord,
                typos,
                stemming,
                fewestLetters,
                excerpt,
                List.of(),
                List.of(),
                false,
                Help.usual());
    }

    public static Words standard() {
        return new Words(
                List.of(
                        new FieldWeight(FieldKey.TITLE, 5),
                        new FieldWeight(FieldKey.SUMMARY, 2),
                        new FieldWeight(FieldKey.BODY, 1)),
                WordsNeeded.ALL,
                PartOfWord.START,
                new Typos(true, true),
                true,
                2,
                new Excerpt(null, 6));
    }

    public Words withWeights(List<FieldWeight> changed) {
        return with(parts -> parts.weights = changed);
    }

    public Words withSynonyms(List<Synonym> changed) {
        return with(parts -> parts.synonyms = changed);
    }

    public Words withStopWords(List<String> changed) {
        return with(parts -> parts.stopWords = changed);
    }

    public Words withNeeded(WordsNeeded changed) {
        return with(parts -> parts.needed = changed);
    }

    public Words withTypos(Typos changed) {
        return with(parts -> parts.typos = changed);
    }

    public Words withStemming(boolean on) {
        return with(parts -> parts.stemming = on);
    }

    public Words withOperators(boolean allowed) {
        return with(parts -> parts.operators = allowed);
    }

    public Words withPartOfWord(PartOfWord changed) {
        return with(parts -> parts.partOfWord = changed);
    }

    public Words withHelp(Help changed) {
        return with(parts -> parts.help = changed);
    }

    public Words withExcerpt(Excerpt changed) {
        return with(parts -> parts.excerpt = changed);
    }

    private Words with(Consumer<Parts> change) {
        Parts parts = new Parts(this);
        change.accept(parts);
        return parts.put();
    }

    /** The parts of one on the way to another that differs in some of them. */
    private static final class Parts {
        private List<FieldWeight> weights;
        private WordsNeeded needed;
        private PartOfWord partOfWord;
        private Typos typos;
        private boolean stemming;
        private int fewestLetters;
        private Excerpt excerpt;
        private List<Synonym> synonyms;
        private List<String> stopWords;
        private boolean operators;
        private Help help;

        Parts(Words of) {
            weights = of.weights;
            needed = of.needed;
            partOfWord = of.partOfWord;
            typos = of.typos;
            stemming = of.stemming;
            fewestLetters = of.fewestLetters;
            excerpt = of.excerpt;
            synonyms = of.synonyms;
            stopWords = of.stopWords;
            operators = of.operators;
            help = of.help;
        }

        Words put() {
            return new Words(
                    weights,
                    needed,
                    partOfWord,
                    typos,
                    stemming,
                    fewestLetters,
                    excerpt,
                    synonyms,
                    stopWords,
                    operators,
                    help);
        }
    }

    /** The fields that are searched: those with a weight above 0. */
    public List<FieldWeight> searched() {
        return weights.stream().filter(weight -> weight.weight() > 0).toList();
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

        public Excerpt {
            DesignFault.unless(
                    words == null || (words >= WORDS.least() && words <= WORDS.most()),
                    "words",
                    "an excerpt of %d words is not possible; choose 5 to 100",
                    words);
            DesignFault.unless(
                    wordsBefore >= BEFORE.least()
                            && wordsBefore <= BEFORE.most()
                            && (words == null || wordsBefore < words),
                    "wordsBefore",
                    "%d words before the first match do not fit; choose 0 to 50, fewer than the excerpt has",
                    wordsBefore);
        }
    }
}
