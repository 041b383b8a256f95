package tidylantern.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import tidylantern.core.trial.RankingQuality.Wanted;

/** Figures against published worked examples; values from memory of the sources named, recomputed by hand. */
class RankingQualityTest {
    private static List<@Nullable Integer> places(@Nullable Integer... places) {
        return Arrays.asList(places);
    }

    @Test
    void discountedGainAsInTheCommonWorkedExample() {
        // Gains 3 2 3 0 1 2 over log2(place + 1): 6.861; of its own six gains the ideal is 7.141, the ratio 0.961.
        List<Integer> gains = List.of(3, 2, 3, 0, 1, 2);
        assertThat(RankingQuality.discountedGain(gains)).isCloseTo(6.861, within(0.0005));
        assertThat(RankingQuality.discountedGain(List.of(3, 3, 2, 2, 1, 0))).isCloseTo(7.141, within(0.0005));
        List<Wanted> wanted =
                List.of(new Wanted(3, 1), new Wanted(2, 2), new Wanted(3, 3), new Wanted(1, 5), new Wanted(2, 6));
        assertThat(RankingQuality.normalisedGain(wanted, 10)).isCloseTo(0.961, within(0.0005));
    }

    @Test
    void gainsOfTheirOwnRanksAddUpAsInThePaper() {
        // Järvelin and Kekäläinen 2002 leave the first two ranks undiscounted and divide by log2(rank) from there on:
        // of
        // gains 3 2 3 0 0 1 2 2 3 0 the running sums are 3, 5, 6.89, 6.89, 6.89, 7.28, 7.99, 8.66, 9.61, 9.61. Ours
        // divides
        // by log2(rank + 1), so the gain at rank r of theirs is ours at r - 1 from the third on.
        int[] gains = {3, 2, 3, 0, 0, 1, 2, 2, 3, 0};
        double[] sums = {3, 5, 6.89, 6.89, 6.89, 7.28, 7.99, 8.66, 9.61, 9.61};
        for (int upTo = 2; upTo <= gains.length; upTo++) {
            List<Integer> later = Arrays.stream(gains, 1, upTo).boxed().toList();
            assertThat(gains[0] + RankingQuality.discountedGain(later)).isCloseTo(sums[upTo - 1], within(0.006));
        }
    }

    @Test
    void theIdealHasWantedItemsFirstThoseThatGainMostBeforeTheOthers() {
        assertThat(RankingQuality.normalisedGain(List.of(new Wanted(3, 1), new Wanted(1, 2)), 10))
                .isEqualTo(1);
        assertThat(RankingQuality.normalisedGain(List.of(new Wanted(3, 2), new Wanted(1, 1)), 10))
                .isLessThan(1)
                .isGreaterThan(0.5);
        assertThat(RankingQuality.normalisedGain(List.of(new Wanted(3, null), new Wanted(1, 11)), 10))
                .isZero();
        assertThat(RankingQuality.normalisedGain(List.of(), 10)).isZero();
    }

    @Test
    void reciprocalRankAndRecallAsDefined() {
        // TREC-8's question answering track (Voorhees 1999): an answer first at rank 1, 2 or 3 scores 1, 1/2 or 1/3,
        // none 0;
        // three queries with ranks 3, 2 and 1 have a mean of 11/18, the example that textbooks use.
        assertThat((RankingQuality.reciprocalRank(places(3))
                                + RankingQuality.reciprocalRank(places(2))
                                + RankingQuality.reciprocalRank(places(1)))
                        / 3)
                .isCloseTo(11 / 18.0, within(1e-12));
        assertThat(RankingQuality.reciprocalRank(places(null, 5, 4))).isEqualTo(0.25);
        assertThat(RankingQuality.reciprocalRank(places((Integer) null))).isZero();
        assertThat(RankingQuality.recall(places(1, 10, 11, null), 10)).isEqualTo(0.5);
        assertThat(RankingQuality.recall(places(), 10)).isZero();
    }
}
