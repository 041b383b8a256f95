package tidylantern.core.content;

import static tidylantern.core.content.Require.require;

import java.util.Locale;

/**
 * A named piece of an item.
 *
 * @param property the name under which the source brings it; mostly the key itself
 * @param label what owners and visitors read
 */
public record Field(FieldKey key, FieldKind kind, String property, String label) {
    public Field {
        require(!label.isBlank(), "the field \"%s\" has no label", key);
    }

    /** {@code bookingCode} and {@code booking_code} read as "Booking code". */
    public static String labelFrom(String property) {
        if (property.equals(FieldKey.ADDRESS.value())) {
            return "Address";
        }
        String spaced = property.replaceAll("([a-z0-9])([A-Z])", "$1 $2").replaceAll("[-_]+", " ").strip().toLowerCase(Locale.ROOT);
        return spaced.isEmpty() ? property : Character.toUpperCase(spaced.charAt(0)) + spaced.substring(1);
    }
}
