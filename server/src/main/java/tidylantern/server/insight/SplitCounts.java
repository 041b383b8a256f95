package tidylantern.server.insight;

import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tidylantern.server.key.SearchKey;
import tidylantern.server.operation.ChangeGate;

/** What visitors did on each side of a split, so that its owner can hold the two sides against one another. */
@Component
public class SplitCounts extends VisitorCounts {
    SplitCounts(SplitCountStore store, TransactionTemplate transaction, ChangeGate gate) {
        super("splits", store, transaction, gate);
    }

    /** Which design a visitor meets while a search is split. */
    public enum Side {
        DRAFT,
        LIVE
    }

    /** What a visitor does. */
    public enum Done {
        ASKED,
        FOUND_NOTHING,
        CHOSE
    }

    /**
     * What visitors of one side did.
     *
     * @param asked how often words were asked for, each question once however often it was gone on with
     * @param foundNothing how often nothing was found then
     * @param chose how often a result was chosen
     */
    public record SideCounts(long asked, long foundNothing, long chose) {}

    /** @param split its number, since a search can be split again */
    public void count(SearchKey search, long split, Side side, Done done) {
        add(search, text(split, side, done));
    }

    /** What visitors of each side did. */
    public record BothSides(SideCounts draft, SideCounts live) {}

    /** @param split its number */
    public BothSides of(SearchKey search, long split) {
        List<CountStore.Counted> counted = mostFrequent(search, Integer.MAX_VALUE);
        return new BothSides(of(counted, split, Side.DRAFT), of(counted, split, Side.LIVE));
    }

    private static SideCounts of(List<CountStore.Counted> counted, long split, Side side) {
        return new SideCounts(
                times(counted, text(split, side, Done.ASKED)),
                times(counted, text(split, side, Done.FOUND_NOTHING)),
                times(counted, text(split, side, Done.CHOSE)));
    }

    private static long times(List<CountStore.Counted> counted, String text) {
        return counted.stream()
                .filter(one -> one.text().equals(text))
                .mapToLong(CountStore.Counted::times)
                .sum();
    }

    private static String text(long split, Side side, Done done) {
        return "%d %s %s".formatted(split, side, done).toLowerCase(Locale.ROOT);
    }
}
