package tidylantern.core.query.order;

import org.jspecify.annotations.Nullable;
import tidylantern.core.design.OrderKey;

/**
 * Why an item stands where it stands.
 *
 * @param pinnedAt the place that a pin gives it; null where none does
 * @param tier key of the tier that it holds; null where it holds none
 * @param tierName what the owner calls it; null where it holds none
 * @param lifted whether the tier lifts it in this answer
 * @param placeInTier given by hand; null where none is
 * @param takesTurns whether it stands so today because it takes turns with others of the tier
 * @param by the first key in which it differs from the result before it (the first result, and the first behind the
 *     lifted ones: from the one after it); null where only the id does, or a pin decides
 */
public record Standing(
        @Nullable Integer pinnedAt,
        @Nullable String tier,
        @Nullable String tierName,
        boolean lifted,
        @Nullable Integer placeInTier,
        boolean takesTurns,
        @Nullable OrderKey by) {}
