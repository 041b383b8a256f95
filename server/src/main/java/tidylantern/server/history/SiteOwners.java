package tidylantern.server.history;

import tidylantern.server.key.SiteKey;

/** Tells whether whoever asks in this thread decides on a site itself, as its owners do. */
public interface SiteOwners {
    boolean isAskedByOwner(SiteKey site);
}
