package tidylantern.server.site;

import java.util.Locale;

/** What somebody is at a site; each may do what those after it may, too. */
public enum Role {
    /** Decides on the site itself: who belongs to it, what it is called and allows, what is deleted as a whole. */
    OWNER,
    /** Changes content, sources and searches, and publishes. */
    EDITOR,
    /** Looks at everything and changes nothing. */
    VIEWER;

    /** @param stored as {@link #toString} writes it */
    public static Role of(String stored) {
        return valueOf(stored.toUpperCase(Locale.ROOT));
    }

    /** Whether it is enough where another is asked for. */
    public boolean covers(Role asked) {
        return compareTo(asked) <= 0;
    }

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT);
    }
}
