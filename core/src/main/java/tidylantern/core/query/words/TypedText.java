package tidylantern.core.query.words;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tidylantern.core.index.Folding;
import tidylantern.core.index.WordForms;

/** A query as it was typed, with its words where they stand, so that other queries can be made of it. */
public record TypedText(String text, List<Spot> words) {
    /** One word: as it is compared, and where it stands in the text, in UTF-16 units. */
    public record Spot(String folded, int start, int end) {}

    /** Takes a text apart, as words are told apart in these languages. */
    public static TypedText of(String text, Set<String> languages) {
        List<Spot> words = new ArrayList<>();
        WordForms.each(text, (lower, start, end) -> {
            words.add(new Spot(folded(lower, languages), start, end));
            return words.size() < VisitorQuery.MOST_WORDS;
        });
        return new TypedText(text, words);
    }

    /** A word from {@link WordForms#each} as it is compared. */
    public static String folded(String lower, Set<String> languages) {
        String word = lower;
        for (String language : languages) {
            word = WordForms.withoutElision(word, language);
        }
        return Folding.fold(word);
    }

    /** Whether its last letter is of a word, which may be half typed. */
    public boolean endsWithAWord() {
        return !words.isEmpty() && words.getLast().end() == text.length();
    }

    /** With some words written otherwise, wherever they stand; an empty text takes the word away. */
    public String with(Map<String, String> others) {
        StringBuilder made = new StringBuilder();
        int at = 0;
        for (Spot word : words) {
            made.append(text, at, word.start())
                    .append(others.getOrDefault(word.folded(), text.substring(word.start(), word.end())));
            at = word.end();
        }
        return made.append(text, at, text.length()).toString().strip().replaceAll("\\s+", " ");
    }

    /** With a run of words written otherwise. */
    public String with(int from, int count, String other) {
        return text.substring(0, words.get(from).start())
                + other
                + text.substring(words.get(from + count - 1).end());
    }

    /** Whether another query has the same words in the same order. */
    public boolean sameWords(TypedText other) {
        return words.stream()
                .map(Spot::folded)
                .toList()
                .equals(other.words.stream().map(Spot::folded).toList());
    }
}
