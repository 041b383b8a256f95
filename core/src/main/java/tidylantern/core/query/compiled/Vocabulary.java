package tidylantern.core.query.compiled;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ObjIntConsumer;
import tidylantern.core.design.Synonym;
import tidylantern.core.design.Words;
import tidylantern.core.index.StopWordLists;
import tidylantern.core.index.WordForms;

/** A design's synonyms and stop words, taken apart into words once instead of with every query. */
public final class Vocabulary {
    private final Set<String> stopWords = new HashSet<>();
    private final Set<String> commonWords = new HashSet<>();
    /** What a phrase begins with, and the phrases that begin so. */
    private final Map<String, List<Entry>> byFirstWord = new HashMap<>();

    private record Entry(Synonym synonym, List<WordForms.Word> typed, List<Other> others) {}

    /** @param written as the owner writes it */
    private record Other(Phrase phrase, String written) {}

    /**
     * A run of words of a query that others may stand for.
     *
     * @param from the place of its first word
     * @param words how many there are
     * @param synonym the owner's entry
     * @param written the others, as the owner writes them
     */
    public record Replaceable(int from, int words, Synonym synonym, List<String> written) {}

    Vocabulary(Words words, Set<String> languages) {
        languages.forEach(language -> commonWords.addAll(StopWordLists.foldedOf(language)));
        words.stopWords()
                .forEach(stop -> WordForms.wordsOf(stop, languages).forEach(word -> stopWords.add(word.folded())));
        for (Synonym synonym : words.synonyms()) {
            List<Other> others = synonym.words().stream()
                    .map(written ->
                            new Other(new Phrase(WordForms.allWordsOf(written, languages), words.stemming()), written))
                    .filter(other -> !other.phrase().words().isEmpty())
                    .toList();
            if (synonym.from() != null) {
                add(synonym, WordForms.allWordsOf(synonym.from(), languages), others);
            } else {
                for (Other one : others) {
                    add(
                            synonym,
                            one.phrase().words(),
                            others.stream().filter(other -> other != one).toList());
                }
            }
        }
    }

    private void add(Synonym synonym, List<WordForms.Word> typed, List<Other> others) {
        if (!typed.isEmpty() && !others.isEmpty()) {
            byFirstWord
                    .computeIfAbsent(typed.getFirst().folded(), first -> new ArrayList<>())
                    .add(new Entry(synonym, typed, others));
        }
    }

    /** Whether both are taken apart into the same. */
    static boolean same(Words a, Words b) {
        return a == b
                || (a.stemming() == b.stemming()
                        && a.stopWords().equals(b.stopWords())
                        && a.synonyms().equals(b.synonyms()));
    }

    /** Words that say little by themselves in the languages at hand, whether the owner stops them or not; folded. */
    public Set<String> commonWords() {
        return commonWords;
    }

    /** Whether a word is left out of queries. */
    public boolean stops(WordForms.Word word) {
        return stopWords.contains(word.folded());
    }

    /**
     * What may stand in the place of each word of a query, because it or a phrase to which it belongs has synonyms.
     *
     * @param typed as typed, in order
     * @return one list a word
     */
    public List<List<Phrase>> synonyms(List<WordForms.Word> typed) {
        List<List<Phrase>> found = new ArrayList<>();
        typed.forEach(word -> found.add(new ArrayList<>()));
        eachEntryIn(typed, (entry, at) -> {
            for (int i = at; i < at + entry.typed().size(); i++) {
                found.get(i).addAll(entry.others().stream().map(Other::phrase).toList());
            }
        });
        return found;
    }

    /** The runs of a query's words that have synonyms, in their order. */
    public List<Replaceable> replaceable(List<WordForms.Word> typed) {
        List<Replaceable> found = new ArrayList<>();
        eachEntryIn(
                typed,
                (entry, at) -> found.add(new Replaceable(
                        at,
                        entry.typed().size(),
                        entry.synonym(),
                        entry.others().stream().map(Other::written).toList())));
        return found;
    }

    private void eachEntryIn(List<WordForms.Word> typed, ObjIntConsumer<Entry> use) {
        for (int at = 0; at < typed.size(); at++) {
            for (Entry entry : byFirstWord.getOrDefault(typed.get(at).folded(), List.of())) {
                if (standsAt(typed, at, entry.typed())) {
                    use.accept(entry, at);
                }
            }
        }
    }

    private static boolean standsAt(List<WordForms.Word> typed, int at, List<WordForms.Word> phrase) {
        if (at + phrase.size() > typed.size()) {
            return false;
        }
        for (int i = 0; i < phrase.size(); i++) {
            if (!typed.get(at + i).folded().equals(phrase.get(i).folded())) {
                return false;
            }
        }
        return true;
    }
}
