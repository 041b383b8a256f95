package tidylantern.server.content.intake;

import java.util.Map;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.ItemId;

/**
 * An item as a line says it.
 *
 * @param line 1 for the first that came
 * @param at where it stands at its source; null where that is the line
 * @param delete whether it is to go
 */
record IncomingItem(
        int line, @Nullable String at, ItemId id, boolean delete, Map<String, @Nullable Object> properties) {}
