package tidylantern.server.content.intake;

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
        Map<String, @Nullable Object> properties = properties(line);
        if (properties == null) {
            return null;
        }
        String at = properties.remove(ItemIntake.AT) instanceof String place ? place : null;
        boolean delete = Boolean.TRUE.equals(properties.remove(ItemIntake.DELETE));
        boolean same = Boolean.TRUE.equals(properties.remove(ItemIntake.SAME));
        ItemId id = id(line.number(), at, properties.remove(Mapping.ID));
        if (id == null || cameBefore(line.number(), at, id)) {
            return null;
        }
        if (same) {
            notes.isAsItWas();
            return null;
        }
        return new IncomingItem(line.number(), at, id, delete, properties);
    }

    /** What a line says of its item; null where it was refused. */
    private @Nullable Map<String, @Nullable Object> properties(JsonLines.Line line) {
        String text = line.text();
        if (text == null) {
            notes.refuse(line.number(), null, null, null, String.valueOf(line.fault()));
            return null;
        }
        if (!text.stripLeading().startsWith("{")) {
            boolean isList = text.stripLeading().startsWith("[");
            String instead = isList ? "a list" : "\"" + IntakeNotes.shortened(text.strip()) + "\"";
            String reason = "a line is one JSON object, in braces, not %s".formatted(instead);
            notes.refuse(line.number(), null, null, null, reason);
            return null;
        }
        try {
            return json.readValue(text, OBJECT);
        } catch (JacksonException wrong) {
            notes.refuse(line.number(), null, null, null, "this is no JSON: " + JsonProblems.where(wrong));
            return null;
        }
    }

    /**
     * Of the item; null where it was refused.
     *
     * @param at where the item stands in what it comes from, where that is known
     */
    private @Nullable ItemId id(int line, @Nullable String at, @Nullable Object given) {
        if (!(given instanceof String || given instanceof Integer || given instanceof Long)
                || given.toString().isBlank()) {
            String reason = "the item has no id; give each a text or whole number of its own under \"id\"";
            notes.refuse(line, at, null, Mapping.ID, reason);
            return null;
        }
        try {
            return new ItemId(given.toString());
        } catch (IllegalArgumentException wrong) {
            notes.refuse(line, at, null, Mapping.ID, String.valueOf(wrong.getMessage()));
            return null;
        }
    }

    /** Whether an earlier line was of the same item; then this one was refused. */
    private boolean cameBefore(int line, @Nullable String at, ItemId id) {
        Integer earlier = named.putIfAbsent(id.value(), line);
        if (earlier == null) {
            return false;
        }
        String reason = at == null
                ? "line %d has the id \"%s\" already; give each item one of its own".formatted(earlier, id)
                : "the id \"%s\" came before; give each item one of its own, or choose another column for it"
                        .formatted(id);
        notes.refuse(line, at, id.value(), Mapping.ID, reason);
        return true;
    }
}
