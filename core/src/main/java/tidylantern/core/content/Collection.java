package tidylantern.core.content;

import static tidylantern.core.content.Require.require;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A kind of content on the site: posts, makers, recipes.
 *
 * @param language BCP 47 tag of the language its texts are in; decides the stems
 * @param fields in the order in which they were first seen; no key and no property twice
 */
public record Collection(CollectionKey key, String label, String language, List<Field> fields) {
    public Collection {
        fields = List.copyOf(fields);
        require(
                fields.stream().map(Field::key).distinct().count() == fields.size(),
                "the collection \"%s\" has a field twice",
                key);
        require(
                fields.stream().map(Field::property).distinct().count() == fields.size(),
                "the collection \"%s\" maps a property twice",
                key);
    }

    public @Nullable Field field(FieldKey key) {
        return fields.stream()
                .filter(field -> field.key().equals(key))
                .findFirst()
                .orElse(null);
    }

    /** The fields by the property that brings them. */
    public Map<String, Field> byProperty() {
        Map<String, Field> byProperty = new LinkedHashMap<>();
        fields.forEach(field -> byProperty.put(field.property(), field));
        return byProperty;
    }
}
