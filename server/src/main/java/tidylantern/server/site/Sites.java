package tidylantern.server.site;

import java.net.URI;
import java.time.ZoneId;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;
import tidylantern.core.content.Addresses;
import tidylantern.core.design.look.Look;
import tidylantern.server.history.Changeable;
import tidylantern.server.history.History;
import tidylantern.server.history.Told;
import tidylantern.server.key.KeyNames;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.key.SourceId;
import tidylantern.server.key.SyncId;
import tidylantern.server.platform.DatabaseReplaced;
import tidylantern.server.platform.Rearranged;
import tidylantern.server.platform.Refusal;
import tools.jackson.databind.json.JsonMapper;

/** The sites of this installation. */
@Component
public class Sites {
    private static final String USUAL_ZONE = "UTC";

    private static final Pattern BEGUN = Pattern.compile("[A-Za-z][A-Za-z0-9+.-]*:/");
    /** A host with a dot in it, as those of websites are. */
    private static final Pattern NAMED = Pattern.compile("[\\p{L}\\p{N}-]+(\\.[\\p{L}\\p{N}-]+)+(:\\d+)?(/.*)?");

    private final SiteStore store;
    private final ApplicationEventPublisher events;
    /** Asked with every request of a visitor's browser; forgotten whenever a site changes. */
    private final Map<SearchKey, Set<String>> originsBySearch = new ConcurrentHashMap<>();
    /** Asked with every answer, which so needs no database. */
    private final Map<SiteKey, Site> known = new ConcurrentHashMap<>();

    private final JsonMapper json;
    private final History history;
    private final TransactionTemplate transaction;
    private final SiteChanges changes = new SiteChanges();
    private final LookChanges looks = new LookChanges();

    Sites(
            SiteStore store,
            ApplicationEventPublisher events,
            JsonMapper json,
            History history,
            TransactionTemplate transaction) {
        this.store = store;
        this.events = events;
        this.json = json;
        this.history = history;
        this.transaction = transaction;
        history.learn(changes);
        history.learn(looks);
    }

    /**
     * @param address where the site's own pages begin, without a slash at the end
     * @param origins that may ask from a browser; the address's own is always among them
     * @param timeZone by whose days placements begin and end: an IANA name, such as {@code Atlantic/Faroe}
     * @param look what the elements of its searches wear
     * @param sample whether it was taken to try things with, so that its pages come from the service itself
     */
    public record Site(
            SiteKey key,
            String name,
            String address,
            List<String> origins,
            String timeZone,
            Look look,
            boolean sample) {
        /** The time zone, to reckon with. */
        public ZoneId zone() {
            return ZoneId.of(timeZone);
        }
    }

    /** A site's name, address or time zone changed. */
    public record Changed(SiteKey site) {}

    /** A site was added. Whatever keeps something for each site begins with it now. */
    public record Added(SiteKey site) {}

    @EventListener
    @Order(Ordered.HIGHEST_PRECEDENCE)
    void forgetAll(DatabaseReplaced replaced) {
        known.clear();
        originsBySearch.clear();
    }

    @EventListener
    @Order(Ordered.HIGHEST_PRECEDENCE)
    void forget(Rearranged rearranged) {
        known.remove(rearranged.site());
        originsBySearch.clear();
    }

    public List<Site> all() {
        return store.all().stream().map(this::whole).toList();
    }

    /** @throws Refusal if there is no such site */
    public Site get(SiteKey key) {
        // Read within the map's own lock: what is forgotten meanwhile cannot come back afterwards.
        Site site = known.computeIfAbsent(
                key, wanted -> store.find(wanted).map(this::whole).orElse(null));
        if (site == null) {
            throw Refusal.notFound("There is no site \"%s\".".formatted(key));
        }
        return site;
    }

    private Site whole(SiteStore.StoredSite site) {
        return new Site(
                site.key(),
                site.name(),
                site.address(),
                store.origins(site.key()),
                site.timeZone(),
                json.readValue(site.look(), Look.class),
                site.sample());
    }

    @Transactional
    public Site add(String name, String address) {
        return add(name, address, false);
    }

    /** @param sample whether its pages come from the service itself */
    @Transactional
    public Site add(String name, String address, boolean sample) {
        check(name, address, List.of());
        SiteKey key = new SiteKey(KeyNames.from(
                name, "site", taken -> store.find(new SiteKey(taken)).isPresent()));
        store.add(new SiteStore.StoredSite(key.value(), name.strip(), written(address), USUAL_ZONE, "{}", sample));
        store.addOrigin(key, origin(address));
        // Whatever is read of it meanwhile goes again if the whole is taken back.
        afterCompletion(() -> known.remove(key));
        events.publishEvent(new Added(key));
        return get(key);
    }

    /** @param timeZone null to leave as it is */
    public Site change(SiteKey key, String name, String address, List<String> origins, @Nullable String timeZone) {
        Site before = get(key);
        check(name, address, origins);
        String zone = timeZone == null ? before.timeZone() : checkedZone(timeZone);
        Set<String> allowed = new LinkedHashSet<>(Set.of(origin(address)));
        origins.forEach(origin -> allowed.add(origin(origin)));
        transaction.executeWithoutResult(status -> history.change(changes, key, key, () -> {
            store.change(key, name.strip(), written(address), zone);
            store.removeOrigins(key);
            allowed.forEach(origin -> store.addOrigin(key, origin));
        }));
        // Whoever asked before the commit would have the old ones known again, for good.
        afterCommit(() -> {
            originsBySearch.clear();
            known.remove(key);
            events.publishEvent(new Changed(key));
        });
        return store.find(key).map(this::whole).orElseThrow();
    }

    /** Has the elements of all the site's searches wear something else; visitors see it at once. */
    public Site changeLook(SiteKey key, Look look) {
        get(key);
        transaction.executeWithoutResult(
                status -> history.change(looks, key, key, () -> store.changeLook(key, json.writeValueAsString(look))));
        afterCommit(() -> known.remove(key));
        return store.find(key).map(this::whole).orElseThrow();
    }

    /** The site that a search belongs to; null if there is no such search. */
    public @Nullable SiteKey ofSearch(SearchKey search) {
        return store.siteOfSearch(search).orElse(null);
    }

    /** The site that a source belongs to; null if there is no such source. */
    public @Nullable SiteKey ofSource(SourceId source) {
        return store.siteOfSource(source).orElse(null);
    }

    /** The site that a run of a source belongs to; null if there is no such run. */
    public @Nullable SiteKey ofSync(SyncId sync) {
        return store.siteOfSync(sync).orElse(null);
    }

    /** Which origins may ask a search from a browser; none for a search that is not there. */
    public Set<String> originsOfSearch(SearchKey search) {
        Set<String> known = originsBySearch.get(search);
        if (known == null) {
            known = Set.copyOf(store.originsOfSearch(search));
            if (!known.isEmpty()) {
                originsBySearch.put(search, known);
            }
        }
        return known;
    }

    /** @throws Refusal naming the field at fault */
    public static void check(String name, String address, List<String> origins) {
        if (name.isBlank() || name.strip().length() > 80) {
            throw Refusal.bad("name", "Give the site a name of 1 to 80 characters.");
        }
        if (!whole(written(address))) {
            throw Refusal.bad(
                    "address",
                    "\"%s\" is no web address; write one such as https://www.your-site.example."
                            .formatted(address.strip()));
        }
        for (int i = 0; i < origins.size(); i++) {
            if (!whole(written(origins.get(i)))) {
                throw Refusal.bad(
                        "origins[%d]".formatted(i),
                        "\"%s\" is no origin; write one such as https://www.your-site.example."
                                .formatted(origins.get(i)));
            }
        }
    }

    /** An address as people write it: https is understood, and slashes at its end say nothing. */
    private static String written(String address) {
        String tidy = address.strip().replaceAll("/+$", "");
        return !BEGUN.matcher(tidy).lookingAt() && NAMED.matcher(tidy).matches() ? "https://" + tidy : tidy;
    }

    private static boolean whole(String address) {
        if (!(address.startsWith("https://") || address.startsWith("http://"))
                || address.length() > 300
                || !Addresses.safe(address)) {
            return false;
        }
        URI uri = URI.create(address);
        return uri.getHost() != null && uri.getRawUserInfo() == null;
    }

    private static String checkedZone(String timeZone) {
        if (!ZoneId.getAvailableZoneIds().contains(timeZone.strip())) {
            throw Refusal.bad(
                    "timeZone",
                    "\"%s\" is no time zone; write one such as Europe/Lisbon or UTC.".formatted(timeZone.strip()));
        }
        return timeZone.strip();
    }

    private static void afterCompletion(Runnable then) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                then.run();
            }
        });
    }

    /** Once all that goes on is committed; at once where nothing does. */
    private static void afterCommit(Runnable then) {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            then.run();
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                then.run();
            }
        });
    }

    private static String origin(String address) {
        return Addresses.origin(URI.create(written(address)));
    }

    /** What an owner says of a site. */
    private record Said(String name, String address, String timeZone, List<String> origins) {}

    private final class SiteChanges extends Changeable<SiteKey, Said> {
        SiteChanges() {
            super("site", SiteKey.class, Said.class);
        }

        @Override
        protected boolean ownersOnly() {
            return true;
        }

        @Override
        protected @Nullable Said now(SiteKey site, SiteKey subject) {
            return store.find(site)
                    .map(one -> new Said(one.name(), one.address(), one.timeZone(), store.origins(site)))
                    .orElse(null);
        }

        @Override
        protected void putBack(SiteKey site, SiteKey subject, Said said) {
            change(site, said.name(), said.address(), said.origins(), said.timeZone());
        }

        @Override
        protected String told(SiteKey site, SiteKey subject, @Nullable Said before, @Nullable Said after) {
            Said old = Objects.requireNonNull(before);
            Said now = Objects.requireNonNull(after);
            return new Told("The site")
                    .became("name", old.name(), now.name())
                    .became("address", old.address(), now.address())
                    .became("time zone", old.timeZone(), now.timeZone())
                    .changed("origins that may ask", old.origins(), now.origins())
                    .toString();
        }
    }

    private final class LookChanges extends Changeable<SiteKey, Look> {
        LookChanges() {
            super("look", SiteKey.class, Look.class);
        }

        @Override
        protected @Nullable Look now(SiteKey site, SiteKey subject) {
            return store.find(site)
                    .map(one -> json.readValue(one.look(), Look.class))
                    .orElse(null);
        }

        @Override
        protected void putBack(SiteKey site, SiteKey subject, Look look) {
            changeLook(site, look);
        }

        @Override
        protected String told(SiteKey site, SiteKey subject, @Nullable Look before, @Nullable Look after) {
            return "What the searches of the site wear";
        }
    }
}
