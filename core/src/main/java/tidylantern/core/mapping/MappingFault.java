package tidylantern.core.mapping;

import org.jspecify.annotations.Nullable;

/** A mapping says something that cannot hold. */
public final class MappingFault extends IllegalArgumentException {
    private final String key;

    /** @param key the key at fault, as a path from the part that refused */
    public MappingFault(String key, String reason) {
        super(reason);
        this.key = key;
    }

    public String key() {
        return key;
    }

    static void unless(boolean holds, String key, String message, @Nullable Object... values) {
        if (!holds) {
            throw new MappingFault(key, message.formatted(values));
        }
    }
}
