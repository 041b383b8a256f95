package tidylantern.core.query.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.core.content.FieldKey;
import tidylantern.core.index.Folding;
import tidylantern.core.query.SearchFixture;

/** Words of an index that a mistyped one may stand for, in several parts, at hand and walked. */
class IndexWordsTest {
    private static final FieldKey TITLE = FieldKey.TITLE;
    private static final List<String> LETTERS = List.of("a", "b", "c", "d", "é", "ж", "𐐨");

    @TempDir
    Path folder;

    private static String word(Random random) {
        StringBuilder word = new StringBuilder();
        for (int i = 3 + random.nextInt(8); i > 0; i--) {
            word.append(LETTERS.get(random.nextInt(LETTERS.size())));
        }
        return Folding.fold(word.toString());
    }

    @Test
    void everyWordWithinReachIsMetWithTheNumberOfItemsThatHoldIt() throws IOException {
        Random random = new Random(7);
        Map<String, Integer> held = new TreeMap<>();
        List<String> some = new ArrayList<>();
        try (SearchFixture fixture = new SearchFixture(folder)) {
            for (int n = 0; n < 1_500; n++) {
                String word = n % 5 == 4 ? some.get(random.nextInt(some.size())) : word(random);
                some.add(word);
                held.merge(word, 1, Integer::sum);
                fixture.post("post-" + n, "title", word);
                if (n % 400 == 399) {
                    fixture.indexed();
                }
            }
            fixture.indexed();
            fixture.index().read(state -> {
                for (int round = 0; round < 300; round++) {
                    String typed = word(random);
                    int edits = 1 + random.nextInt(2);
                    boolean starts = random.nextBoolean();
                    boolean fixed = random.nextBoolean();
                    Map<String, Integer> expected = expected(held, typed, edits, fixed, starts);
                    assertThat(near(new IndexWords(state), typed, edits, fixed, starts))
                            .as("%s at hand", typed)
                            .isEqualTo(expected);
                    assertThat(near(new IndexWords(state, 0), typed, edits, fixed, starts))
                            .as("%s walked", typed)
                            .isEqualTo(expected);
                    assertThat(inside(new IndexWords(state), typed, edits))
                            .as("%s inside words at hand", typed)
                            .isEqualTo(inside(new IndexWords(state, 0), typed, edits));
                }
                return state;
            });
        }
    }

    private static String longWord(int letters) {
        return "ab".repeat(letters / 2) + "c".repeat(letters % 2);
    }

    /** Beyond what has room in the bits of a number, and up to it. */
    @Test
    void slipsInVeryLongWordsAreMet() throws IOException {
        try (SearchFixture fixture = new SearchFixture(folder)) {
            for (int letters = 58; letters <= 68; letters++) {
                fixture.post("post-" + letters, "title", longWord(letters));
            }
            fixture.indexed();
            fixture.index().read(state -> {
                for (int letters = 58; letters <= 68; letters++) {
                    String word = longWord(letters);
                    String typed = "ba" + word.substring(2);
                    assertThat(near(new IndexWords(state), typed, 1, false, false))
                            .as("%d letters", letters)
                            .isEqualTo(Map.of(word, 1));
                }
                return state;
            });
        }
    }

    /** Every word of all compared with the typed one. */
    private static Map<String, Integer> expected(
            Map<String, Integer> held, String typed, int edits, boolean fixed, boolean starts) {
        Map<String, Integer> near = new TreeMap<>(held);
        near.keySet()
                .removeIf(word -> Typos.strength(typed, word, edits, starts) == null
                        || (fixed && word.codePointAt(0) != typed.codePointAt(0)));
        return near;
    }

    private static Map<String, Integer> near(IndexWords words, String typed, int edits, boolean fixed, boolean starts)
            throws IOException {
        Map<String, Integer> met = new TreeMap<>();
        words.near(
                TITLE,
                typed,
                edits,
                fixed,
                starts,
                (word, documents) -> met.merge(word.utf8ToString(), documents, Integer::sum));
        met.keySet().removeIf(word -> Typos.strength(typed, word, edits, starts) == null);
        return met;
    }

    private static Map<String, Integer> inside(IndexWords words, String typed, int edits) throws IOException {
        Map<String, Integer> met = new TreeMap<>();
        words.nearInside(
                TITLE, typed, edits, (word, documents) -> met.merge(word.utf8ToString(), documents, Integer::sum));
        met.keySet().removeIf(word -> Typos.insideStrength(typed, word, edits, false) == null);
        return met;
    }
}
