package tidylantern.server.site;

import org.jspecify.annotations.Nullable;
import tidylantern.server.key.SiteKey;

/** Tells what whoever asks in this thread is at a site. */
public interface SiteRoles {
    /** Null where they have no part in it. */
    @Nullable Role here(SiteKey site);
}
