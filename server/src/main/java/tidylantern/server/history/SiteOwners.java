package tidylantern.server.history;

/** Tells whether whoever asks in this thread decides on a site itself, as its owners do. */
public interface SiteOwners {
    boolean isAskedByOwner(String site);
}
