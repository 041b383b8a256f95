package tidylantern.server.content;

import java.util.LinkedHashMap;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Collection;
import tidylantern.core.content.Item;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemReader;
import tidylantern.core.content.ItemRefused;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Reads stored items by the fields that their collection has. */
final class StoredItemReader {
    private static final TypeReference<LinkedHashMap<String, @Nullable Object>> OBJECT = new TypeReference<>() {};

    private final ItemReader reader;
    private final JsonMapper json;

    StoredItemReader(Collection collection, JsonMapper json) {
        this.reader = new ItemReader(collection);
        this.json = json;
    }

    /** @throws ItemRefused if a value does not fit its field, as it may once a field's kind was changed */
    Item read(ContentStore.StoredItem item) throws ItemRefused {
        return reader.read(new ItemId(item.itemId()), json.readValue(item.properties(), OBJECT));
    }
}
