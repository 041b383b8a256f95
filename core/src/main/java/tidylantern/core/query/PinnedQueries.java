package tidylantern.core.query;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tidylantern.core.content.ItemRef;
import tidylantern.core.design.Pin;
import tidylantern.core.index.WordForms;

/**
 * The pins of a design with their queries taken apart. A pin's query is met by the same words in the same order,
 * whatever their case, accents and punctuation, by other forms of them, without regard to stop words, and with the
 * slips that the search forgives.
 */
final class PinnedQueries {
    static final PinnedQueries NONE = new PinnedQueries(List.of());

    private final List<Pinned> pins;

    private record Pinned(Pin pin, List<List<WordForms.Word>> queries) {}

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

    /** What they say of a query. */
    PinsInPlay inPlay(List<WordMatch> typed, LocalDate day) {
        Map<ItemRef, Integer> places = new HashMap<>();
        Set<ItemRef> out = new HashSet<>();
        for (Pinned one : pins) {
            if (!one.pin().holdsOn(day) || one.queries().stream().noneMatch(query -> meets(typed, query))) {
                continue;
            }
            one.pin().takeOut().stream()
                    .filter(item -> !places.containsKey(item))
                    .forEach(out::add);
            for (Pin.Put put : one.pin().put()) {
                if (!out.contains(put.item()) && !places.containsKey(put.item())) {
                    int at = put.at();
                    while (places.containsValue(at)) {
                        at++;
                    }
                    places.put(put.item(), at);
                }
            }
        }
        return places.isEmpty() && out.isEmpty()
                ? PinsInPlay.NONE
                : new PinsInPlay(Map.copyOf(places), Set.copyOf(out));
    }

    private static boolean meets(List<WordMatch> typed, List<WordForms.Word> words) {
        if (typed.size() != words.size()) {
            return false;
        }
        for (int i = 0; i < words.size(); i++) {
            if (!typed.get(i).means(words.get(i))) {
                return false;
            }
        }
        return true;
    }
}
