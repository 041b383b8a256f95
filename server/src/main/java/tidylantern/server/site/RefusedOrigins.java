package tidylantern.server.site;

import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;

/**
 * Origins whose pages asked a site's searches and were turned away: mostly the owner's own site under another address.
 * Kept in memory, the last few of each site, since anybody can send any.
 */
@Component
public class RefusedOrigins {
    private static final int MOST_OF_A_SITE = 20;
    private static final int MOST_SITES = 1_000;
    private static final Pattern ORIGIN = Pattern.compile("https?://[a-z0-9.\\-\\[\\]:]{1,150}");

    private final Sites sites;
    private final Clock clock;
    private final Map<SiteKey, Map<String, RefusedOrigin>> bySite = new LinkedHashMap<>();

    RefusedOrigins(Sites sites, Clock clock) {
        this.sites = sites;
        this.clock = clock;
    }

    /**
     * @param times it was turned away since the service started
     * @param last when it was so last
     */
    public record RefusedOrigin(String origin, int times, Instant last) {}

    /** Notes that a page of this origin asked a search, unless it may. */
    public void noteUnlessAllowed(SearchKey search, String origin, Set<String> allowed) {
        if (allowed.isEmpty()
                || allowed.contains(origin)
                || !ORIGIN.matcher(origin).matches()) {
            return;
        }
        SiteKey site = sites.ofSearch(search);
        if (site == null) {
            return;
        }
        synchronized (this) {
            if (bySite.size() >= MOST_SITES && !bySite.containsKey(site)) {
                bySite.clear();
            }
            Map<String, RefusedOrigin> here = bySite.computeIfAbsent(site, key -> new LinkedHashMap<>());
            RefusedOrigin before = here.remove(origin);
            here.put(origin, new RefusedOrigin(origin, before == null ? 1 : before.times() + 1, clock.instant()));
            if (here.size() > MOST_OF_A_SITE) {
                here.remove(here.keySet().iterator().next());
            }
        }
    }

    /** Those that would still be turned away, the last one first. */
    public List<RefusedOrigin> of(Sites.Site site) {
        synchronized (this) {
            return bySite.getOrDefault(site.key(), Map.of()).values().stream()
                    .filter(refused -> !site.origins().contains(refused.origin()))
                    .sorted(Comparator.comparing(RefusedOrigin::last).reversed())
                    .toList();
        }
    }
}
