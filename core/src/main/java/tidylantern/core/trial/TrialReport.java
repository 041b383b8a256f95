package tidylantern.core.trial;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.ItemRef;

/**
 * What became of some trials.
 *
 * @param outcomes one a trial, in their order
 * @param live null where nothing was published yet
 */
public record TrialReport(
        List<Outcome> outcomes, Figures draft, @Nullable Figures live) {
    public TrialReport {
        outcomes = List.copyOf(outcomes);
    }

    /**
     * @param title of the expected item; null where none is expected, or where it is gone
     * @param live null where nothing was published yet
     * @param moves what differs between the first results of the live version and those of the draft, by the draft's
     *     order, what is lost last
     */
    public record Outcome(
            Trial trial,
            @Nullable String title,
            Side draft,
            @Nullable Side live,
            List<Move> moves) {
        public Outcome {
            moves = List.copyOf(moves);
        }
    }

    /**
     * A trial under one design.
     *
     * @param place of the expected item, 1 for the first; null where it is not found or none is expected
     * @param total how many items are found
     * @param didYouMean what visitors are asked; null where nothing is, or where no trial of the query expects it
     */
    public record Side(
            boolean holds,
            @Nullable Integer place,
            int total,
            @Nullable String didYouMean) {}

    /** What the draft does to an item of the first results. */
    public enum Change {
        /** The live version does not find it. */
        FOUND,
        /** The draft does not find it. */
        LOST,
        UP,
        DOWN;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * @param before its place in the live version; null where that does not find it
     * @param after its place in the draft; null where that does not find it
     */
    public record Move(
            ItemRef item,
            String title,
            Change change,
            @Nullable Integer before,
            @Nullable Integer after) {}

    /**
     * @param trials how many there are
     * @param hold how many of them hold
     * @param meanReciprocalRank over the queries of which an item is expected, 0 to 1; null where there is none
     * @param ndcgAt10 the mean over the same queries, 0 to 1; an item expected first gains 3, within the first three 2,
     *     others 1
     */
    public record Figures(
            int trials,
            int hold,
            @Nullable Double meanReciprocalRank,
            @Nullable Double ndcgAt10) {}
}
