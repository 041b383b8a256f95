package tidylantern.core.content;

import static tidylantern.core.content.Require.require;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * That an item holds a featured tier, given by hand. It belongs to the item's id, so it stays through every sync.
 *
 * @param tier key of the tier, in whichever searches of the site have one
 * @param place among the items of the tier, 1 for the first, at most {@value #LAST_PLACE}; null for any, after those
 *     that have one
 * @param from its first day; null if it holds already
 * @param until its last day; null if it holds for good
 */
public record Placement(
        ItemRef item,
        String tier,
        @Nullable Integer place,
        @Nullable LocalDate from,
        @Nullable LocalDate until) {
    public static final int LAST_PLACE = 1_000;

    public Placement {
        tier = tier == null ? "" : tier.strip();
        require(!tier.isEmpty() && tier.length() <= 40, "name the tier that \"%s\" holds", item);
        require(
                place == null || (place >= 1 && place <= LAST_PLACE),
                "place %s of \"%s\" is none; choose 1 to %d",
                place,
                item,
                LAST_PLACE);
        require(
                from == null || until == null || !until.isBefore(from),
                "the placement of \"%s\" ends on %s, before it begins on %s",
                item,
                until,
                from);
    }

    /** Whether it holds on a day; both its first and its last are in. */
    public boolean holdsOn(LocalDate day) {
        return (from == null || !day.isBefore(from)) && (until == null || !day.isAfter(until));
    }
}
