package tidylantern.core.content;

import static tidylantern.core.content.Require.require;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A named piece of an item.
 *
 * @param property the name under which the source brings it; mostly the key itself
 * @param label what owners and visitors read
 * @param unit that its numbers are in, as the owner writes it ({@code m²}, {@code min}); null where there is none
 * @param merged category values that the owner merged into others, each with all below it; empty for other kinds
 * @param guessed whether its kind was told from values alone: then it gives way to values that do not fit it
 */
public record Field(
        FieldKey key,
        FieldKind kind,
        String property,
        String label,
        @Nullable String unit,
        Map<CategoryPath, CategoryPath> merged,
        boolean guessed) {
    public Field {
        require(!label.isBlank(), "the field \"%s\" has no label", key);
        unit = unit == null || unit.isBlank() ? null : unit.strip();
        require(unit == null || unit.length() <= 20, "the unit \"%s\" is longer than 20 characters", unit);
        merged = Map.copyOf(merged);
    }

    /** Of a kind that somebody said. */
    public Field(
            FieldKey key,
            FieldKind kind,
            String property,
            String label,
            @Nullable String unit,
            Map<CategoryPath, CategoryPath> merged) {
        this(key, kind, property, label, unit, merged, false);
    }

    /** The same, as a guess. */
    public Field guess() {
        return ofKind(kind, true);
    }

    /** The same, of another kind. */
    public Field ofKind(FieldKind other, boolean byGuess) {
        return new Field(key, other, property, label, unit, merged, byGuess);
    }

    public Field(FieldKey key, FieldKind kind, String property, String label) {
        this(key, kind, property, label, null, Map.of());
    }

    /** {@code bookingCode} and {@code booking_code} read as "Booking code". */
    public static String labelFrom(String property) {
        if (property.equals(FieldKey.ADDRESS.value())) {
            return "Address";
        }
        String spaced = property.replaceAll("([a-z0-9])([A-Z])", "$1 $2")
                .replaceAll("[-_]+", " ")
                .strip()
                .toLowerCase(Locale.ROOT);
        return spaced.isEmpty() ? property : Character.toUpperCase(spaced.charAt(0)) + spaced.substring(1);
    }

    /** A value as it counts: under the one that it, or the nearest value above it, was merged into. */
    public CategoryPath counted(CategoryPath path) {
        if (merged.isEmpty()) {
            return path;
        }
        for (int levels = path.names().size(); levels > 0; levels--) {
            CategoryPath into = merged.get(new CategoryPath(path.names().subList(0, levels)));
            if (into != null) {
                List<String> names = new java.util.ArrayList<>(into.names());
                names.addAll(path.names().subList(levels, path.names().size()));
                return new CategoryPath(names);
            }
        }
        return path;
    }
}
