package tidylantern.core.query;

import java.util.Map;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.ItemRef;
import tidylantern.core.design.Tier;
import tidylantern.core.query.order.Standing;

/**
 * One item found, with what its card shows.
 *
 * @param address where its page is; null where the site gives none
 * @param collectionLabel what visitors read for its collection
 * @param values of the fields that its card shows, as far as the item has them
 * @param score what its words gave; 0 in the starting list
 * @param tier that the item holds today; null for none
 * @param standing why it stands where it stands
 * @param metres along the great circle from the visitor's place; null where the item or the visitor has none
 */
public record Hit(
        ItemRef ref,
        String collectionLabel,
        @Nullable String address,
        MarkedText title,
        MarkedText excerpt,
        FieldValue.@Nullable Image image,
        Map<FieldKey, FieldValue> values,
        double score,
        @Nullable Double metres,
        @Nullable Tier tier,
        Standing standing) {}
