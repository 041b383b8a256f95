package tidylantern.bench.peer;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.reference.WordNet;

/**
 * What all peers hold and are asked: WordNet's glosses as they are, repeated under other ids, or put together into
 * texts as long as a page, and one list of questions.
 *
 * @param name of the table
 * @param size how many texts
 * @param text the n-th of them, from 0; made anew each time, so that a million take no room
 * @param questions the same for every peer
 */
public record PeerCorpus(String name, int size, IntFunction<Text> text, List<Question> questions) {
    private static final int QUESTIONS = 200;
    private static final int WORDS_OF_A_PAGE = 400;
    /** No two pages begin at the same gloss before this many were made. */
    private static final int GLOSSES_BETWEEN_PAGES = 7_919;

    /**
     * @param part of speech
     * @param file WordNet's own division
     * @param letters of its first name
     */
    public record Text(String id, String title, String body, String part, String file, int letters) {}

    /** Between how many letters a text's first name has to have; both ends count. */
    public record Letters(int from, int to) {}

    /** @param words that are all needed, the last one as a start */
    public record Question(List<String> words, @Nullable Letters letters) {
        public String typed() {
            return String.join(" ", words);
        }
    }

    /** As many of WordNet's entries as are wanted, again from the first where there are no more. */
    public static PeerCorpus ofEntries(List<WordNet.Entry> entries, int size) {
        IntFunction<Text> text = n -> {
            WordNet.Entry entry = entries.get(n % entries.size());
            return text(entry.id() + "-" + n / entries.size(), entry, entry.gloss());
        };
        return new PeerCorpus("%,d entries".formatted(size), size, text, questions(entries));
    }

    /** Texts as long as a page, each of glosses that no other has in that order. */
    public static PeerCorpus ofPages(List<WordNet.Entry> entries, int size) {
        IntFunction<Text> text = n -> {
            StringBuilder body = new StringBuilder();
            int words = 0;
            for (int k = 0; words < WORDS_OF_A_PAGE; k++) {
                String gloss = entries.get((int) ((n * (long) GLOSSES_BETWEEN_PAGES + k) % entries.size()))
                        .gloss();
                body.append(gloss).append(". ");
                words += gloss.split(" ").length;
            }
            return text("page-" + n, entries.get(n % entries.size()), body.toString());
        };
        return new PeerCorpus("%,d pages of %d words".formatted(size, WORDS_OF_A_PAGE), size, text, questions(entries));
    }

    private static Text text(String id, WordNet.Entry entry, String body) {
        return new Text(
                id,
                String.join(", ", entry.words()),
                body,
                entry.part(),
                entry.file(),
                entry.words().getFirst().length());
    }

    public Stream<Text> texts() {
        return IntStream.range(0, size).mapToObj(text);
    }

    /**
     * Of ten: three words, four pairs of words from a gloss, two words half typed, one mistyped. A third has a range,
     * which falls on each kind alike.
     */
    private static List<Question> questions(List<WordNet.Entry> entries) {
        List<Question> questions = new ArrayList<>();
        int step = entries.size() / QUESTIONS;
        for (int n = 0; n < QUESTIONS; n++) {
            WordNet.Entry entry = entryFrom(entries, n * step);
            String word = entry.words().getFirst().toLowerCase(java.util.Locale.ROOT);
            List<String> words =
                    switch (n % 10) {
                        case 0, 1, 2 -> List.of(word);
                        case 3, 4, 5, 6 -> wordsOf(entry.gloss());
                        case 7, 8 -> List.of(word.substring(0, word.length() * 2 / 3));
                        default -> List.of(mistyped(word));
                    };
            questions.add(new Question(words, n % 3 == 0 ? new Letters(4, 9) : null));
        }
        return questions;
    }

    /** The first from there on whose name is one word of letters, and whose gloss has two. */
    private static WordNet.Entry entryFrom(List<WordNet.Entry> entries, int place) {
        return IntStream.iterate(place, n -> (n + 1) % entries.size())
                .mapToObj(entries::get)
                .filter(entry -> entry.words().getFirst().matches("[A-Za-z]{6,}")
                        && wordsOf(entry.gloss()).size() == 2)
                .findFirst()
                .orElseThrow();
    }

    private static List<String> wordsOf(String gloss) {
        return Arrays.stream(gloss.toLowerCase(java.util.Locale.ROOT).split("[^a-z]+"))
                .filter(word -> word.length() >= 5)
                .limit(2)
                .toList();
    }

    /** With two neighbours swapped. */
    private static String mistyped(String word) {
        return word.substring(0, 3) + word.charAt(4) + word.charAt(3) + word.substring(5);
    }
}
