package tidylantern.server.account;

import java.util.Locale;

/** What an access key may do. */
public enum KeyRights {
    /** Send, change and remove items, and what belongs to them. */
    CONTENT,
    /** Read answers of draft and live version, and nothing else. */
    ANSWERS,
    /** Whatever an owner may. */
    ALL;

    /** @param stored as {@link #toString} writes it */
    static KeyRights of(String stored) {
        return valueOf(stored.toUpperCase(Locale.ROOT));
    }

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** What it may do, as a sentence goes on after "may". */
    public String said() {
        return switch (this) {
            case CONTENT -> "send content";
            case ANSWERS -> "read answers";
            case ALL -> "do everything";
        };
    }
}
