package tidylantern.server.content;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import tidylantern.server.key.SiteKey;

/** Tells when an index has become quiet: looked at again and again, once after each last change of a row of them. */
final class QuietIndexes {
    /** The last change that each index had when it was looked at before, and whether it was told to be quiet since. */
    private final Map<SiteKey, Seen> seen = new ConcurrentHashMap<>();

    private record Seen(long lastChange, boolean told) {}

    /** @return whether nothing changed since it was looked at before, and that was not told yet */
    boolean becomesQuiet(SiteKey site, long lastChange) {
        Seen before = seen.get(site);
        if (before == null || before.lastChange() != lastChange) {
            seen.put(site, new Seen(lastChange, false));
            return false;
        }
        seen.put(site, new Seen(lastChange, true));
        return !before.told();
    }

    void forget(SiteKey site) {
        seen.remove(site);
    }
}
