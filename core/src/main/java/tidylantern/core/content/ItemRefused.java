package tidylantern.core.content;

import org.jspecify.annotations.Nullable;

/** An item cannot be taken as it stands. The message says what is wrong and what to do. */
public final class ItemRefused extends Exception {
    private final transient @Nullable String property;

    public ItemRefused(@Nullable String property, String reason) {
        super(reason);
        this.property = property;
    }

    /** The property at fault, or null where it is the item as a whole. */
    public @Nullable String property() {
        return property;
    }
}
