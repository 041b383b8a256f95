package tidylantern.server.site;

import org.jspecify.annotations.Nullable;

/** Tells what whoever asks in this thread is at a site. */
public interface SiteRoles {
    /** Null where they have no part in it. */
    @Nullable Role here(String site);
}
