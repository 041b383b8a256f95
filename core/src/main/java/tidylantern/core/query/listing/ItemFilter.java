package tidylantern.core.query.listing;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.ItemRef;
import tidylantern.core.design.Reach;
import tidylantern.core.design.ReachRule;

/**
 * Which items an owner wants listed.
 *
 * @param collection null for all of the site
 * @param text a part of the title or the id, without regard to case and accents; empty for any
 * @param conditions all of which must hold
 */
public record ItemFilter(@Nullable CollectionKey collection, String text, List<Condition> conditions) {
    public ItemFilter {
        conditions = List.copyOf(conditions);
    }

    /** Something that holds of an item or not. */
    public sealed interface Condition {}

    /** @param value key of a category value, with all below it; {@code yes} or {@code no} for a yes/no field */
    public record Value(FieldKey field, String value) implements Condition {}

    /** Whether a field says anything. */
    public record Says(FieldKey field, boolean something) implements Condition {}

    public record KeptOut(boolean keptOut) implements Condition {}

    /** Hit by a rule of a reach. */
    public record HitBy(ReachRule rule, CollectionKey collection) implements Condition {}

    /** Whether a search with this reach can find it. */
    public record InReach(Reach reach, boolean found) implements Condition {}

    /** One of these. */
    public record OneOf(Set<ItemRef> items) implements Condition {
        public OneOf {
            items = Set.copyOf(items);
        }
    }
}
