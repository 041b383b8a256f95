package tidylantern.server.visitor;

import org.springframework.stereotype.Component;
import tidylantern.server.design.EarlyLooks;
import tidylantern.server.insight.SplitCounts;
import tidylantern.server.insight.SplitCounts.Done;

/** Counts what visitors do by the side of a split that they meet. */
@Component
class SplitSides {
    private final SplitCounts counts;

    SplitSides(SplitCounts counts) {
        this.counts = counts;
    }

    /** @param foundNothing whether nothing was found by the words that were asked for */
    void asked(EarlyLooks.Meeting met, boolean foundNothing) {
        count(met, Done.ASKED);
        if (foundNothing) {
            count(met, Done.FOUND_NOTHING);
        }
    }

    void chose(EarlyLooks.Meeting met) {
        count(met, Done.CHOSE);
    }

    private void count(EarlyLooks.Meeting met, Done done) {
        if (met.side() != null) {
            counts.count(met.search(), met.side().split(), met.side().side(), done);
        }
    }
}
