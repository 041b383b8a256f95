package tidylantern.core.design;

import java.util.List;
import java.util.Locale;
import java.util.Objects;
import tidylantern.core.content.FieldKey;

/**
 * How visitors' words find items. Keys that a document leaves out take their usual value.
 *
 * @param weights which fields are searched, and how much each counts
 * @param needed how many of a query's words an item must hold, in any of its searched fields together
 * @param partOfWord whether a word must stand whole or may be the start of one
 * @param stemming whether other forms of a word, by the collection's language, are found too
 * @param fewestLetters below this many letters and digits the starting list stands; 1 to 5
 */
public record Words(List<FieldWeight> weights, WordsNeeded needed, PartOfWord partOfWord, Typos typos, Boolean stemming,
        Integer fewestLetters, Excerpt excerpt) {

    public Words {
        weights = weights == null ? List.of() : List.copyOf(weights);
        DesignFault.ifTwice(weights.stream().map(FieldWeight::field).toList(), "weights", "the field");
        needed = Objects.requireNonNullElse(needed, WordsNeeded.ALL);
        partOfWord = Objects.requireNonNullElse(partOfWord, PartOfWord.START);
        typos = Objects.requireNonNullElseGet(typos, () -> new Typos(null, null));
        stemming = Objects.requireNonNullElse(stemming, true);
        fewestLetters = Objects.requireNonNullElse(fewestLetters, 2);
        DesignFault.unless(fewestLetters >= 1 && fewestLetters <= 5, "fewestLetters", "%d fewest letters are not possible; choose 1 to 5", fewestLetters);
        excerpt = Objects.requireNonNullElseGet(excerpt, () -> new Excerpt(null, null));
    }

    public static Words standard() {
        return new Words(List.of(new FieldWeight(FieldKey.TITLE, 5), new FieldWeight(FieldKey.SUMMARY, 2), new FieldWeight(FieldKey.BODY, 1)),
                WordsNeeded.ALL, PartOfWord.START, new Typos(null, null), true, 2, new Excerpt(null, null));
    }

    public Words withWeights(List<FieldWeight> changed) {
        return new Words(changed, needed, partOfWord, typos, stemming, fewestLetters, excerpt);
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
        WHOLE, START;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * @param allowed whether slips of the keyboard are forgiven, as {@link #editsIn} says
     * @param firstLetterFixed whether the first letter must be right all the same
     */
    public record Typos(Boolean allowed, Boolean firstLetterFixed) {
        public Typos {
            allowed = Objects.requireNonNullElse(allowed, true);
            firstLetterFixed = Objects.requireNonNullElse(firstLetterFixed, true);
        }

        /** How many edits a word may be off: none up to 3 letters, one in 4 to 7, two from 8 on; none with a digit in it. */
        public int editsIn(String word) {
            int letters = word.codePointCount(0, word.length());
            if (!allowed || letters <= 3 || word.codePoints().anyMatch(Character::isDigit)) {
                return 0;
            }
            return letters <= 7 ? 1 : 2;
        }
    }

    /**
     * @param words how many words an excerpt holds, 5 to 100
     * @param wordsBefore how many of them stand before the first match, 0 to 50
     */
    public record Excerpt(Integer words, Integer wordsBefore) {
        public Excerpt {
            words = Objects.requireNonNullElse(words, 30);
            wordsBefore = Objects.requireNonNullElse(wordsBefore, 6);
            DesignFault.unless(words >= 5 && words <= 100, "words", "an excerpt of %d words is not possible; choose 5 to 100", words);
            DesignFault.unless(wordsBefore >= 0 && wordsBefore <= 50 && wordsBefore < words, "wordsBefore",
                    "%d words before the first match do not fit; choose 0 to 50, fewer than the excerpt's %d", wordsBefore, words);
        }
    }
}
