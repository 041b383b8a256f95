package tidylantern.core.design;

import java.util.Locale;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;

/**
 * One thing that results are ordered by; equals go on to the next. An item that says nothing in the field comes after
 * all that do, whichever way the order runs.
 *
 * @param by what decides
 * @param field whose days or numbers count; null for tiers, relevance and title, for the place that items have, and for
 *     the day of publication where the newest come first
 * @param down whether the greatest number, or the last title, comes first; the others have one direction
 * @param without what decides instead where nobody knows a place of the visitor's; for distance alone, null for nothing
 */
public record OrderKey(
        By by,
        @Nullable FieldKey field,
        boolean down,
        @Nullable OrderKey without) {
    public OrderKey {
        DesignFault.unless(
                field != null || (by != By.NUMBER && by != By.NEXT_DAY),
                "field",
                "say whose %s the results are ordered by",
                by == By.NUMBER ? "numbers" : "days");
        DesignFault.unless(!down || by == By.NUMBER || by == By.TITLE, "down", "an order by %s has one direction", by);
        DesignFault.unless(
                without == null || by == By.DISTANCE, "without", "only a distance may be unknown, not %s", by);
        DesignFault.unless(
                without == null || (without.by() != By.TIER && without.by() != By.PLACE_IN_TIER),
                "without",
                "a tier stands in the order by itself, not in place of a distance");
        DesignFault.unless(
                without == null || without.by() != By.DISTANCE,
                "without",
                "where there is no place, another distance is unknown too");
    }

    public static OrderKey of(By by) {
        return new OrderKey(by, null, false, null);
    }

    public static OrderKey of(By by, FieldKey field) {
        return new OrderKey(by, field, false, null);
    }

    /** Whether a field of this kind can be ordered by so. */
    public boolean fits(@Nullable FieldKind kind) {
        return switch (by) {
            case TIER, PLACE_IN_TIER, RELEVANCE, TITLE -> true;
            case DISTANCE -> kind == FieldKind.PLACE;
            case NEWEST, NEXT_DAY -> kind == FieldKind.DATE;
            case NUMBER -> kind == FieldKind.NUMBER || kind == FieldKind.MONEY;
        };
    }

    @Override
    public String toString() {
        String said =
                switch (by) {
                    case TIER -> "tier";
                    case PLACE_IN_TIER -> "place in the tier";
                    case RELEVANCE -> "relevance";
                    case DISTANCE -> "distance";
                    case NEWEST -> field == null ? "newest" : "newest by " + field;
                    case NEXT_DAY -> "next day of " + field;
                    case NUMBER -> field + (down ? ", greatest first" : ", least first");
                    case TITLE -> down ? "title, last first" : "title";
                };
        return without == null ? said : said + " (without a place: " + without + ")";
    }

    /** What decides. */
    public enum By {
        /** Items of the tiers that lift come first, by the tiers' ranks. */
        TIER,
        /**
         * Among lifted items of one tier, the place given by hand, then whose turn it is; nothing where it stands
         * before the tier.
         */
        PLACE_IN_TIER,
        /** How well an item meets the words; without words all are equal. */
        RELEVANCE,
        /** The nearest to the visitor's place first, along the great circle. */
        DISTANCE,
        /** The last day of a field, the latest first. */
        NEWEST,
        /** The first day from today on, the soonest first; items whose days are all past come after them. */
        NEXT_DAY,
        NUMBER,
        /** By the rules of the language of the item's collection; numbers in titles count as numbers. */
        TITLE;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }
}
