package tidylantern.core.query;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tidylantern.core.design.Synonym;
import tidylantern.core.design.Words;
import tidylantern.core.index.WordForms;

/**
 * A design's synonyms and stop words, taken apart into words once instead of with every query. Kept for the last few
 * designs: comparing lists, even long ones, is far cheaper than taking them apart, and a draft is another object each time.
 */
final class Vocabulary {
    private static final int KEPT = 16;
    private static final Deque<Kept> LAST = new ArrayDeque<>();

    private final Set<String> stopWords = new HashSet<>();
    /** What a phrase begins with, and the phrases that begin so. */
    private final Map<String, List<Entry>> byFirstWord = new HashMap<>();

    private record Kept(Words words, Set<String> languages, Vocabulary vocabulary) {}

    private record Entry(List<WordForms.Word> typed, List<Phrase> found) {}

    private Vocabulary(Words words, Set<String> languages) {
        words.stopWords().forEach(stop -> WordForms.wordsOf(stop, languages).forEach(word -> stopWords.add(word.folded())));
        for (Synonym synonym : words.synonyms()) {
            List<Phrase> phrases = synonym.words().stream().map(phrase -> new Phrase(WordForms.allWordsOf(phrase, languages), words.stemming())).filter(phrase -> !phrase.words().isEmpty()).toList();
            if (synonym.from() != null) {
                add(WordForms.allWordsOf(synonym.from(), languages), phrases);
            } else {
                for (Phrase phrase : phrases) {
                    add(phrase.words(), phrases.stream().filter(other -> other != phrase).toList());
                }
            }
        }
    }

    private void add(List<WordForms.Word> typed, List<Phrase> found) {
        if (!typed.isEmpty() && !found.isEmpty()) {
            byFirstWord.computeIfAbsent(typed.getFirst().folded(), first -> new ArrayList<>()).add(new Entry(typed, found));
        }
    }

    static Vocabulary of(Words words, Set<String> languages) {
        synchronized (LAST) {
            for (Kept kept : LAST) {
                if (same(kept.words(), words) && kept.languages().equals(languages)) {
                    return kept.vocabulary();
                }
            }
        }
        Vocabulary made = new Vocabulary(words, languages);
        synchronized (LAST) {
            LAST.addFirst(new Kept(words, languages, made));
            if (LAST.size() > KEPT) {
                LAST.removeLast();
            }
        }
        return made;
    }

    private static boolean same(Words a, Words b) {
        return a == b || (a.stemming().equals(b.stemming()) && a.stopWords().equals(b.stopWords()) && a.synonyms().equals(b.synonyms()));
    }

    boolean stops(WordForms.Word word) {
        return stopWords.contains(word.folded());
    }

    /**
     * What may stand in the place of each word of a query, because it or a phrase to which it belongs has synonyms.
     *
     * @param typed as typed, in order
     * @return one list a word
     */
    List<List<Phrase>> synonyms(List<WordForms.Word> typed) {
        List<List<Phrase>> found = new ArrayList<>();
        typed.forEach(word -> found.add(new ArrayList<>()));
        for (int at = 0; at < typed.size(); at++) {
            for (Entry entry : byFirstWord.getOrDefault(typed.get(at).folded(), List.of())) {
                if (standsAt(typed, at, entry.typed())) {
                    for (int i = at; i < at + entry.typed().size(); i++) {
                        found.get(i).addAll(entry.found());
                    }
                }
            }
        }
        return found;
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
