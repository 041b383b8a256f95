package tidylantern.server.platform;

import org.jspecify.annotations.Nullable;

/** Parts of a body that have to be there. JSON leaves out what it likes; what is missing is refused by its name. */
public final class Given {
    private Given() {}

    /** @throws Refusal if it is missing */
    public static String text(String field, @Nullable String value) {
        return part(field, value);
    }

    /** @throws Refusal if it is missing */
    public static <T> T part(String field, @Nullable T value) {
        if (value == null) {
            throw Refusal.bad(field, "\"%s\" is missing. Give it.".formatted(field));
        }
        return value;
    }
}
