package tidylantern.core.readiness;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * Something in a search that its owner should see to, or leave as it is.
 *
 * @param id the same for as long as it is the same point, so that it can be left
 * @param text in the owner's words: what it is, what it does to visitors, what to do
 * @param place where it can be seen to
 * @param of what it is about there: a filter's or tier's key, a source's number; null for the place as a whole
 */
public record OpenPoint(
        String id,
        Weight weight,
        String text,
        Place place,
        @Nullable String of) {
    /** How bad a point is, the worst first. */
    public enum Weight {
        /** Nothing can be published while it stands. */
        STOPS,
        /** Visitors meet something that does not work. */
        FAILS,
        /** It works less well than it could. */
        WEAKENS;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** Where an owner sees to it: a step of the search, its trials, or somewhere outside of it. */
    public enum Place {
        REACH,
        WORDS,
        FILTERS,
        ORDER,
        CARDS,
        BOX,
        LIVE,
        PAGE,
        GO_LIVE,
        TRIALS,
        ITEMS,
        SOURCE,
        SITE;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }
}
