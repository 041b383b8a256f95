package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.apache.lucene.util.automaton.CharacterRunAutomaton;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.core.query.words.Strength;
import tidylantern.core.query.words.Typos;

class TyposTest {
    private static boolean within(String typed, String word, int edits, boolean firstLetterFixed) {
        return new CharacterRunAutomaton(Typos.within(typed, edits, firstLetterFixed)).run(word);
    }

    /**
     * Optimal string alignment by its recurrence (Damerau 1964; Wagner and Fischer 1974 without the swap): our own
     * second reckoning.
     */
    static int distance(String a, String b) {
        int[][] d = new int[a.length() + 1][b.length() + 1];
        for (int i = 0; i <= a.length(); i++) {
            for (int j = 0; j <= b.length(); j++) {
                if (i == 0 || j == 0) {
                    d[i][j] = i + j;
                    continue;
                }
                d[i][j] = Math.min(
                        Math.min(d[i - 1][j], d[i][j - 1]) + 1,
                        d[i - 1][j - 1] + (a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1));
                if (i > 1 && j > 1 && a.charAt(i - 1) == b.charAt(j - 2) && a.charAt(i - 2) == b.charAt(j - 1)) {
                    d[i][j] = Math.min(d[i][j], d[i - 2][j - 2] + 1);
                }
            }
        }
        return d[a.length()][b.length()];
    }

    @ParameterizedTest
    @CsvSource({
        // From memory, recomputed: Wagner & Fischer 1974 as taught (Jurafsky & Martin, Speech and Language Processing).
        "kitten, sitting, 3", "saturday, sunday, 3", "intention, execution, 5",
        // From memory, recomputed: Damerau 1964; 'ca / abc' tells optimal string alignment (3) from the unrestricted
        // distance (2).
        "ca, ac, 1", "ca, abc, 3", "martha, marhta, 1"
    })
    void publishedDistances(String a, String b, int distance) {
        assertThat(distance(a, b)).isEqualTo(distance);
        for (int edits = 1; edits <= 2; edits++) {
            assertThat(within(a, b, edits, false))
                    .as("%s within %d of %s", b, edits, a)
                    .isEqualTo(distance <= edits);
        }
    }

    @Test
    void theFirstLetterMustBeRightUnlessTheOwnerSaysOtherwise() {
        assertThat(within("harbour", "harbor", 1, true)).isTrue();
        assertThat(within("harbour", "barbour", 1, true)).isFalse();
        assertThat(within("harbour", "barbour", 1, false)).isTrue();
    }

    @Test
    void automataAgreeWithTheRecurrenceOnRandomWords() {
        Random random = new Random(41);
        for (int round = 0; round < 4_000; round++) {
            String typed = word(random);
            String other = random.nextBoolean() ? word(random) : bent(random, typed);
            int edits = 1 + random.nextInt(2);
            assertThat(within(typed, other, edits, false))
                    .as("%s / %s within %d", typed, other, edits)
                    .isEqualTo(distance(typed, other) <= edits);
            boolean startsSo = false;
            for (int end = 0; end <= other.length(); end++) {
                startsSo |= distance(typed, other.substring(0, end)) <= edits;
            }
            boolean starts = random.nextBoolean();
            int nearest = distance(typed, other);
            for (int end = 0; starts && end <= other.length(); end++) {
                nearest = Math.min(nearest, distance(typed, other.substring(0, end)));
            }
            assertThat(Typos.strength(typed, other, edits, starts))
                    .as("%s for %s", typed, other)
                    .isEqualTo(expected(distance(typed, other), nearest, edits));
            assertThat(new CharacterRunAutomaton(Typos.startingWith(Typos.within(typed, edits, false))).run(other))
                    .as("%s begins within %d of %s", other, edits, typed)
                    .isEqualTo(startsSo);
        }
    }

    private static Strength expected(int whole, int nearest, int edits) {
        if (nearest > edits) {
            return null;
        }
        if (whole <= 1) {
            return Strength.TYPO;
        }
        return nearest <= 1 ? Strength.TYPO_START : whole <= 2 ? Strength.FAR_TYPO : Strength.FAR_TYPO_START;
    }

    private static String word(Random random) {
        StringBuilder word = new StringBuilder();
        for (int i = 3 + random.nextInt(7); i > 0; i--) {
            word.append((char) ('a' + random.nextInt(4)));
        }
        return word.toString();
    }

    private static String bent(Random random, String word) {
        int at = random.nextInt(word.length());
        return switch (random.nextInt(3)) {
            case 0 -> word.substring(0, at) + word.substring(at + 1);
            case 1 -> word.substring(0, at) + 'b' + word.substring(at);
            default ->
                at + 1 < word.length()
                        ? word.substring(0, at) + word.charAt(at + 1) + word.charAt(at) + word.substring(at + 2)
                        : word + "cd";
        };
    }
}
