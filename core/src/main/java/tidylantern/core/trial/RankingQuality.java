package tidylantern.core.trial;

import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Figures of how well a ranking puts wanted items first. A place is 1 for the first result and null for an item that is
 * not found.
 */
public final class RankingQuality {
    private RankingQuality() {}

    /**
     * One over the place of the first wanted item; 0 if none is found (Voorhees, TREC-8 Question Answering Track,
     * 1999).
     */
    public static double reciprocalRank(List<@Nullable Integer> places) {
        return places.stream().filter(Objects::nonNull).mapToInt(place -> place).min().stream()
                .mapToDouble(best -> 1.0 / best)
                .findFirst()
                .orElse(0);
    }

    /** The share of the wanted items that are among the first {@code depth}, 0 to 1. */
    public static double recall(List<@Nullable Integer> places, int depth) {
        return places.isEmpty()
                ? 0
                : (double) places.stream()
                                .filter(place -> place != null && place <= depth)
                                .count()
                        / places.size();
    }

    /**
     * Discounted cumulative gain: the gains in the order of the ranking, each over log2(place + 1) (after Järvelin and
     * Kekäläinen, ACM TOIS 20(4), 2002, in the form that discounts from the second place on).
     *
     * @param gains of the first, second, ... result; 0 for one that is not wanted
     */
    public static double discountedGain(List<Integer> gains) {
        return IntStream.range(0, gains.size())
                .mapToDouble(at -> gains.get(at) * Math.log(2) / Math.log(at + 2))
                .sum();
    }

    /**
     * The discounted gain as a share of the best there could be, 0 to 1: with the wanted items first, those that gain
     * most before the others.
     *
     * @param wanted the gain of each wanted item, with its place
     */
    public static double normalisedGain(List<Wanted> wanted, int depth) {
        Integer[] gains = new Integer[depth];
        java.util.Arrays.fill(gains, 0);
        for (Wanted one : wanted) {
            if (one.place() != null && one.place() <= depth) {
                gains[one.place() - 1] = one.gain();
            }
        }
        double ideal = discountedGain(wanted.stream()
                .map(Wanted::gain)
                .sorted(java.util.Comparator.reverseOrder())
                .limit(depth)
                .toList());
        return ideal == 0 ? 0 : discountedGain(List.of(gains)) / ideal;
    }

    /** @param gain how much it is wanted, above 0 */
    public record Wanted(int gain, @Nullable Integer place) {}
}
