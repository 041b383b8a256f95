package tidylantern.core.content;

import static tidylantern.core.content.Require.require;

import java.util.Arrays;
import java.util.Locale;

/** What kind of value a field holds; a field's key has one kind in a site. */
public enum FieldKind {
    /** Prose or a name; searched word by word. */
    TEXT,
    /** One or several {@link CategoryPath}s. */
    CATEGORY,
    NUMBER,
    /** An amount, with its currency where it is known. */
    MONEY,
    /** One or several days. */
    DATE,
    /** A point on the globe, perhaps named. */
    PLACE,
    YES_NO,
    /** A picture's address and its alternative text. */
    IMAGE,
    /** An address. */
    LINK,
    /** A product or booking code; matches whole, without regard to case and punctuation. */
    CODE;

    /** As it stands in documents and addresses: {@code yes-no}. */
    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** @throws IllegalArgumentException if there is no such kind; it names those there are */
    public static FieldKind of(String name) {
        for (FieldKind kind : values()) {
            if (kind.toString().equals(name)) {
                return kind;
            }
        }
        require(false, "there is no kind \"%s\"; choose one of %s", name, Arrays.toString(values()));
        throw new AssertionError("require has thrown");
    }
}
