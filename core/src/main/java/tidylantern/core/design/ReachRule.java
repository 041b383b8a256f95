package tidylantern.core.design;

import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ValueKey;

/**
 * Picks items of one collection: by a category value with all below it ({@code field} and {@code value}), by an author,
 * by one item, or by a pattern of addresses. Just one of these is given. Items that arrive later fall under it by
 * themselves.
 *
 * @param field of kind category
 * @param value the key of a {@link CategoryPath}: {@code north-isle/pell-harbour}
 * @param author the key of a name in the field {@code author}: {@code ferry-office}
 * @param item an item's id
 * @param address an address or one from the site's root, with {@code *} for any run of characters:
 *     {@code /journal/drafts/*}
 */
public record ReachRule(
        @Nullable FieldKey field,
        @Nullable String value,
        @Nullable String author,
        @Nullable ItemId item,
        @Nullable String address) {
    private static final int LONGEST = 500;

    public ReachRule {
        long given =
                Stream.of(field, author, item, address).filter(Objects::nonNull).count();
        DesignFault.unless(
                given == 1, "field", "a rule names one of: a field with its value, an author, an item, an address");
        DesignFault.unless(
                (field == null) == (value == null), "value", "a rule by category names the field and the value");
        value = field == null ? null : key(Objects.requireNonNull(value), "value");
        author = author == null ? null : key(author, "author");
        address = address == null ? null : address.strip();
        DesignFault.unless(
                address == null
                        || ((address.startsWith("/") || address.startsWith("*") || address.startsWith("http"))
                                && address.length() <= LONGEST
                                && !address.contains(" ")),
                "address",
                "\"%s\" is no pattern of addresses; write one such as /journal/drafts/* or https://your-site.example/drafts/*",
                address);
    }

    public static ReachRule category(FieldKey field, String value) {
        return new ReachRule(field, value, null, null, null);
    }

    public static ReachRule author(String author) {
        return new ReachRule(null, null, author, null, null);
    }

    public static ReachRule item(ItemId item) {
        return new ReachRule(null, null, null, item, null);
    }

    public static ReachRule address(String pattern) {
        return new ReachRule(null, null, null, null, pattern);
    }

    private static String key(String text, String name) {
        DesignFault.unless(
                !text.isBlank() && text.length() <= LONGEST && text.chars().noneMatch(Character::isISOControl),
                name,
                "\"%s\" is no value; give 1 to %d characters",
                text,
                LONGEST);
        try {
            // Written as the site writes it, it means the same.
            return ValueKey.fits(text) ? text : CategoryPath.parse(text).key();
        } catch (IllegalArgumentException empty) {
            throw new DesignFault(name, String.valueOf(empty.getMessage()));
        }
    }

    /** What the rule looks at; 'only' rules that look at the same are alternatives. */
    public String looksAt() {
        return field != null ? "field " + field : author != null ? "author" : item != null ? "item" : "address";
    }

    /** As an owner would say it. */
    @Override
    public String toString() {
        return field != null
                ? field + " " + value
                : author != null ? "author " + author : item != null ? "item " + item : "address " + address;
    }
}
