package tidylantern.server.content;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.ItemId;
import tidylantern.core.mapping.Mapping;
import tidylantern.server.platform.JsonProblems;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Reads lines that came in, each of which says one item; what will not do is refused with its reason. */
final class LineParser {
    private static final TypeReference<LinkedHashMap<String, @Nullable Object>> OBJECT = new TypeReference<>() {};

    private final JsonMapper json;
    private final IntakeNotes notes;
    private final NamedIds named;

    LineParser(JsonMapper json, NamedIds named, IntakeNotes notes) {
        this.json = json;
        this.named = named;
        this.notes = notes;
    }

    /** Null where it was refused, or says that the item is as it was. */
    @Nullable IncomingItem parse(JsonLines.Line line) {
        String text = line.text();
        if (text == null) {
            notes.refuse(line.number(), null, null, null, String.valueOf(line.fault()));
            return null;
        }
        if (!text.stripLeading().startsWith("{")) {
            notes.refuse(
                    line.number(),
                    null,
                    null,
                    null,
                    "a line is one JSON object, in braces, not %s"
                            .formatted(
                                    text.stripLeading().startsWith("[")
                                            ? "a list"
                                            : "\"" + IntakeNotes.shortened(text.strip()) + "\""));
            return null;
        }
        Map<String, @Nullable Object> properties;
        try {
            properties = json.readValue(text, OBJECT);
        } catch (JacksonException wrong) {
            notes.refuse(line.number(), null, null, null, "this is no JSON: " + JsonProblems.where(wrong));
            return null;
        }
        String at = properties.remove(ItemIntake.AT) instanceof String place ? place : null;
        boolean delete = Boolean.TRUE.equals(properties.remove(ItemIntake.DELETE));
        boolean same = Boolean.TRUE.equals(properties.remove(ItemIntake.SAME));
        Object given = properties.remove(Mapping.ID);
        if (!(given instanceof String || given instanceof Integer || given instanceof Long)
                || given.toString().isBlank()) {
            notes.refuse(
                    line.number(),
                    at,
                    null,
                    Mapping.ID,
                    "the item has no id; give each a text or whole number of its own under \"id\"");
            return null;
        }
        ItemId id;
        try {
            id = new ItemId(given.toString());
        } catch (IllegalArgumentException wrong) {
            notes.refuse(line.number(), at, null, Mapping.ID, String.valueOf(wrong.getMessage()));
            return null;
        }
        Integer earlier = named.putIfAbsent(id.value(), line.number());
        if (earlier != null) {
            notes.refuse(
                    line.number(),
                    at,
                    id.value(),
                    Mapping.ID,
                    at == null
                            ? "line %d has the id \"%s\" already; give each item one of its own".formatted(earlier, id)
                            : "the id \"%s\" came before; give each item one of its own, or choose another column for it"
                                    .formatted(id));
            return null;
        }
        if (same) {
            notes.isAsItWas();
            return null;
        }
        return new IncomingItem(line.number(), at, id, delete, properties);
    }
}
