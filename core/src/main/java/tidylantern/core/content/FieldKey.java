package tidylantern.core.content;

import static tidylantern.core.content.Require.require;

import java.util.Locale;
import java.util.regex.Pattern;

/** The name of a field in code, addresses and design documents; unique in a site. */
public record FieldKey(String value) implements Comparable<FieldKey> {
    private static final int LONGEST_HYPHENATED = 40;
    private static final Pattern FORM = Pattern.compile("[A-Za-z][A-Za-z0-9_-]{0,63}");

    /**
     * By these keys every collection says what an item is called, tells in short, tells in full, shows and links to.
     */
    public static final FieldKey TITLE = new FieldKey("title");

    public static final FieldKey SUMMARY = new FieldKey("summary");
    public static final FieldKey BODY = new FieldKey("body");
    public static final FieldKey IMAGE = new FieldKey("image");
    public static final FieldKey ADDRESS = new FieldKey("url");
    public static final FieldKey HEADINGS = new FieldKey("headings");
    /** Who wrote it, and the day on which it came out. */
    public static final FieldKey AUTHOR = new FieldKey("author");

    public static final FieldKey PUBLISHED = new FieldKey("published");

    private static final String COLLECTION_ITSELF = "@collection";
    /** No field that content could bring: to which collection an item belongs. */
    public static final FieldKey COLLECTION = new FieldKey(COLLECTION_ITSELF);

    public FieldKey {
        require(
                FORM.matcher(value).matches() || value.equals(COLLECTION_ITSELF),
                "\"%s\" cannot name a field: start with a letter, then up to 63 letters, digits, - or _",
                value);
    }

    /** Whether {@code name} may stand as a field's key. */
    public static boolean fits(String name) {
        return FORM.matcher(name).matches();
    }

    /**
     * As keys of parts and filters are written: {@code booking-code} for {@code bookingCode}; small letters, digits and
     * hyphens, 1 to 40, a letter first.
     */
    public String hyphenated() {
        String spaced = value.replaceAll("([a-z0-9])([A-Z])", "$1-$2")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
        return spaced.substring(0, Math.min(spaced.length(), LONGEST_HYPHENATED));
    }

    @Override
    public int compareTo(FieldKey other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}
