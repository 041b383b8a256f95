package tidylantern.core.query.compiled;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tidylantern.core.design.Pin;
import tidylantern.core.index.WordForms;

/**
 * The pins of a design with their queries taken apart. A pin's query is met by the same words in the same order,
 * whatever their case, accents and punctuation, by other forms of them, without regard to stop words, and with the
 * slips that the search forgives.
 */
public final class PinnedQueries {
    public static final PinnedQueries NONE = new PinnedQueries(List.of());

    private final List<Pinned> pins;

    /** @param queries the words of each, none without any */
    public record Pinned(Pin pin, List<List<WordForms.Word>> queries) {}

    private PinnedQueries(List<Pinned> pins) {
        this.pins = pins;
    }

    static PinnedQueries of(List<Pin> pins, Vocabulary vocabulary, Set<String> languages) {
        return new PinnedQueries(pins.stream()
                .map(pin -> new Pinned(
                        pin,
                        pin.queries().stream()
                                .map(query -> words(query, vocabulary, languages))
                                .filter(words -> !words.isEmpty())
                                .toList()))
                .toList());
    }

    /** As a query's words are read: each once, and stop words only where there is nothing else. */
    private static List<WordForms.Word> words(String query, Vocabulary vocabulary, Set<String> languages) {
        List<WordForms.Word> all = WordForms.allWordsOf(query, languages);
        boolean onlyStopWords = all.stream().allMatch(vocabulary::stops);
        Set<String> seen = new HashSet<>();
        return all.stream()
                .filter(word -> (onlyStopWords || !vocabulary.stops(word)) && seen.add(word.folded()))
                .toList();
    }

    public List<Pinned> pins() {
        return pins;
    }
}
