package tidylantern.server.source.reading;

import tidylantern.server.platform.Refusal;

/** The one way in which settings refuse to exist in a wrong state. */
public final class Refusals {
    private Refusals() {}

    public static void unless(boolean holds, String field, String message, Object... values) {
        if (!holds) {
            throw Refusal.bad(field, message.formatted(values));
        }
    }
}
