package tidylantern.server.design;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.DesignChange;
import tidylantern.core.design.DesignChanges;
import tidylantern.core.design.DesignChecks;
import tidylantern.core.design.Pin;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.look.WornLook;
import tidylantern.server.content.DesignsInUse;
import tidylantern.server.content.SiteContents;
import tidylantern.server.content.SiteIndexes;
import tidylantern.server.key.KeyNames;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.DatabaseReplaced;
import tidylantern.server.platform.Rearranged;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.Sites;

/** The searches: the draft of each, its live version, and what lies between the two. */
@Component
public class Searches implements DesignsInUse {
    private static final Logger LOG = LoggerFactory.getLogger(Searches.class);
    private static final int LONGEST_LINE = 300;

    private final SearchStore store;
    private final SiteContents contents;
    private final Sites sites;
    private final DesignJson json;
    private final Clock clock;
    private final TransactionTemplate transaction;
    private final FormerKeys former;
    private final ApplicationEventPublisher events;
    private final SiteIndexes indexes;
    /** Asked with every answer, which so needs no database; a published version never changes. */
    private final Map<SearchKey, Live> live = new ConcurrentHashMap<>();

    Searches(
            SearchStore store,
            SiteContents contents,
            Sites sites,
            DesignJson json,
            Clock clock,
            TransactionTemplate transaction,
            FormerKeys former,
            SiteIndexes indexes,
            ApplicationEventPublisher events) {
        this.indexes = indexes;
        this.events = events;
        this.former = former;
        this.store = store;
        this.contents = contents;
        this.sites = sites;
        this.json = json;
        this.clock = clock;
        this.transaction = transaction;
    }

    /** What visitors see. */
    public record Live(
            SearchKey search,
            SiteKey site,
            int version,
            SearchDesign design,
            OffsetDateTime published,
            String publishedBy) {}

    /** @param revision raised with every change */
    public record Draft(SearchKey search, SiteKey site, long revision, SearchDesign design) {}

    /** Another version of a search is live. */
    public record Published(SearchKey search) {}

    /** When and by whom the live version was published. */
    public record Publication(int version, OffsetDateTime published, String publishedBy) {}

    /**
     * A search at a glance.
     *
     * @param live null where nothing was published yet
     * @param remarks what is open in the draft
     * @param differences of the draft from the live version; empty where there is none
     * @param purpose what it is for, in its owner's words; null where nobody said
     * @param planned null where none is
     */
    public record Summary(
            SearchKey key,
            SiteKey site,
            String name,
            @Nullable String purpose,
            long revision,
            @Nullable Publication live,
            List<DesignChecks.Remark> remarks,
            List<DesignChange> differences,
            @Nullable PlannedPublication planned) {}

    /**
     * A publication at a time to come.
     *
     * @param by who planned it, and is its publisher then
     * @param failure why it could not be done when its time came; null before
     */
    public record PlannedPublication(
            OffsetDateTime due,
            String by,
            @Nullable String why,
            @Nullable String failure) {}

    @EventListener
    @Order(Ordered.HIGHEST_PRECEDENCE)
    void forgetAll(DatabaseReplaced replaced) {
        live.clear();
    }

    @EventListener
    @Order(Ordered.HIGHEST_PRECEDENCE)
    void forget(Rearranged rearranged) {
        live.clear();
    }

    List<Summary> ofSite(SiteKey site) {
        contents.of(site);
        return store.ofSite(site).stream().map(this::summary).toList();
    }

    /** @throws Refusal if there is no such search */
    public Summary summary(SearchKey key) {
        return summary(stored(key));
    }

    private Summary summary(SearchStore.StoredSearch search) {
        SearchDesign draft = json.read(search.draft(), contents.of(search.site()));
        Optional<Live> published = findLive(search.search());
        return new Summary(
                search.search(),
                search.site(),
                draft.name(),
                search.purpose(),
                search.draftRevision(),
                published
                        .map(version -> new Publication(version.version(), version.published(), version.publishedBy()))
                        .orElse(null),
                Stream.of(remarks(search.site(), draft), unreadable(search.site(), draft))
                        .flatMap(List::stream)
                        .toList(),
                published
                        .map(version -> DesignChanges.between(version.design(), draft))
                        .orElse(List.of()),
                store.planned(search.search())
                        .map(planned -> new PlannedPublication(
                                planned.due(), planned.plannedBy(), planned.reason(), planned.failure()))
                        .orElse(null));
    }

    /** What is open in a design beside the content of its site. */
    public List<DesignChecks.Remark> remarks(SiteKey site, SearchDesign design) {
        return Stream.concat(DesignChecks.of(design, contents.of(site)).stream(), gone(site, design))
                .toList();
    }

    /** What of a design, worn on its site, some visitor cannot read or see. */
    public List<DesignChecks.Remark> unreadable(SiteKey site, SearchDesign design) {
        WornLook worn = WornLook.of(design.look(), sites.get(site).look());
        return Stream.concat(
                        DesignChecks.of(worn).stream(),
                        DesignChecks.of(design.box().dress(), worn).stream())
                .toList();
    }

    /** Items that a pin names and that are gone. */
    private Stream<DesignChecks.Remark> gone(SiteKey site, SearchDesign draft) {
        return draft.pins().stream().flatMap(pin -> Stream.concat(
                        pin.put().stream().map(Pin.Put::item), pin.takeOut().stream())
                .filter(item -> !contents.has(site, item.collection(), item.id().value()))
                .map(item -> new DesignChecks.Remark(
                        DesignChecks.Step.ORDER,
                        "The pin for \"%s\" names the item \"%s\", and that is gone. Take it out of the pin, or bring the item back."
                                .formatted(pin.queries().getFirst(), item),
                        false)));
    }

    /**
     * A new search with a design; nothing is published.
     *
     * @param wanted what its key is made of; where that is taken, one like it
     */
    @Transactional
    public Draft add(SiteKey site, String wanted, SearchDesign design) {
        contents.of(site);
        SearchKey key = new SearchKey(KeyNames.from(wanted, "search", taken -> isTaken(new SearchKey(taken))));
        store.add(key, site, json.write(design));
        return draft(key);
    }

    private boolean isTaken(SearchKey key) {
        return store.find(key).isPresent() || former.has(key);
    }

    /**
     * Changes the key of a search and says what it is for. Tags that carry the key of before go on working.
     *
     * @param another the same to leave it
     * @param purpose null or blank for nothing
     * @throws Refusal if it is no key, or another search has it or had it; then nothing is changed
     */
    Summary changeAbout(SearchKey key, SearchKey another, @Nullable String purpose) {
        if (!KeyNames.isKey(another.value())) {
            throw Refusal.bad(
                    "key",
                    "A key begins with a letter and has small letters a to z, digits and hyphens, 40 at most."
                            + " \"%s\" does not.".formatted(another));
        }
        String said = said("purpose", purpose);
        transaction.executeWithoutResult(status -> {
            stored(key);
            store.changePurpose(key, said);
            if (!another.equals(key)) {
                changeKey(key, another);
            }
        });
        if (!another.equals(key)) {
            events.publishEvent(new Rearranged(stored(another).site()));
        }
        return summary(another);
    }

    private void changeKey(SearchKey key, SearchKey another) {
        if (store.find(another).isPresent()) {
            throw Refusal.conflict("There is a search with the key \"%s\" already.".formatted(another));
        }
        former.mayBeTaken(another, key);
        store.changeKey(key, another);
        former.put(key, another);
    }

    /** By key. */
    public List<Draft> drafts(SiteKey site) {
        SiteContent content = contents.of(site);
        return store.ofSite(site).stream()
                .map(search ->
                        new Draft(search.search(), site, search.draftRevision(), json.read(search.draft(), content)))
                .toList();
    }

    /** What designs for a site are held against. */
    public SiteContent contentOfSite(SiteKey site) {
        return contents.of(site);
    }

    /** @throws Refusal if there is no such search */
    SiteContent contentOf(SearchKey key) {
        return contents.of(stored(key).site());
    }

    /** @throws Refusal if there is no such search */
    public Draft draft(SearchKey key) {
        SearchStore.StoredSearch search = stored(key);
        return new Draft(
                key, search.site(), search.draftRevision(), json.read(search.draft(), contents.of(search.site())));
    }

    /**
     * @param from the revision that the change was made from
     * @throws Refusal with status 412 if somebody else changed the draft since
     */
    @Transactional
    Draft changeDraft(SearchKey key, long from, SearchDesign design) {
        stored(key);
        if (!store.changeDraft(key, from, json.write(design))) {
            throw new Refusal(
                    HttpStatus.PRECONDITION_FAILED,
                    null,
                    "The draft was changed elsewhere since you read it. Read it again, then repeat your change.");
        }
        return draft(key);
    }

    /**
     * A design that was published once.
     *
     * @param why in its publisher's words; null where nobody said
     * @param live whether visitors see it
     */
    public record Version(
            int version,
            OffsetDateTime published,
            String publishedBy,
            @Nullable String why,
            boolean live) {}

    /**
     * Every version, the newest first.
     *
     * @throws Refusal if there is no such search
     */
    List<Version> versions(SearchKey key) {
        Integer live = stored(key).liveVersion();
        return store.versions(key).stream()
                .map(head -> new Version(
                        head.version(),
                        head.published(),
                        head.publishedBy(),
                        head.reason(),
                        live != null && live == head.version()))
                .toList();
    }

    /** @throws Refusal if there is no such version, or nothing of it can be read any more */
    public SearchDesign version(SearchKey key, int version) {
        return json.read(storedVersion(key, version).design(), contentOf(key));
    }

    private SearchStore.StoredVersion storedVersion(SearchKey key, int version) {
        stored(key);
        return store.version(key, version)
                .orElseThrow(() -> Refusal.notFound("This search has no version %d.".formatted(version)));
    }

    /**
     * Makes the draft what visitors see.
     *
     * @param revision of the draft that the owner looked at
     * @param why in the owner's words; null for nothing
     * @throws Refusal if the draft is another by now, or a remark stops it
     */
    Summary publish(SearchKey key, long revision, String by, @Nullable String why) {
        return publish(key, by, why, search -> {
            store.removePlan(key);
            return atRevision(search, revision);
        });
    }

    private static String atRevision(SearchStore.StoredSearch search, long revision) {
        if (search.draftRevision() != revision) {
            throw new Refusal(
                    HttpStatus.PRECONDITION_FAILED,
                    null,
                    "The draft was changed elsewhere since you looked it over. Look again, then publish.");
        }
        return search.draft();
    }

    /**
     * Makes a version what visitors see once more: as a version of its own, so that nothing of what was is lost. The
     * draft stays as it is.
     *
     * @throws Refusal if there is no such version, or the site's content is another by now and stops it
     */
    Summary publishAgain(SearchKey key, int version, String by, @Nullable String why) {
        return publish(key, by, why == null ? "Back to version %d".formatted(version) : why, search -> storedVersion(
                        key, version)
                .design());
    }

    /**
     * Has the draft, as it is now, become what visitors see at a time to come; in place of what was planned before.
     *
     * @param revision of the draft that the owner looked at
     * @throws Refusal if that time is past or more than a year away, the draft is another by now, or a remark stops it
     */
    Summary plan(SearchKey key, long revision, OffsetDateTime due, String by, @Nullable String why) {
        OffsetDateTime now = OffsetDateTime.now(clock);
        if (!due.isAfter(now) || due.isAfter(now.plusYears(1))) {
            throw Refusal.bad("due", "Plan a publication for a time to come, within a year. %s is not.".formatted(due));
        }
        String said = said("why", why);
        transaction.executeWithoutResult(status -> {
            SearchStore.StoredSearch search = store.findToChange(key).orElseThrow(() -> noSuchSearch(key));
            requirePublishable(json.read(atRevision(search, revision), contents.of(search.site())), search.site());
            store.plan(key, new SearchStore.StoredPlan(key.value(), search.draft(), due, by, said, null));
        });
        return summary(key);
    }

    /** Takes back what was planned, if anything was. */
    Summary planNothing(SearchKey key) {
        stored(key);
        store.removePlan(key);
        return summary(key);
    }

    /** Publishes what was planned for a time up to now. What is stopped says why, and is not tried again. */
    void publishDue(OffsetDateTime now) {
        for (SearchStore.StoredPlan plan : store.due(now)) {
            try {
                publish(plan);
            } catch (RuntimeException failure) {
                // The others go on, and this one is tried again.
                LOG.error("The planned publication of {} failed", plan.search(), failure);
            }
        }
    }

    private void publish(SearchStore.StoredPlan plan) {
        SearchKey key = plan.search();
        try {
            publish(key, plan.plannedBy(), plan.reason(), search -> {
                // In the same transaction, so that it is published once whatever comes between.
                store.removePlan(key);
                return plan.design();
            });
            LOG.info("The planned publication of {} is live", key);
        } catch (Refusal stopped) {
            String why = String.valueOf(stopped.getMessage());
            LOG.warn("The planned publication of {} was not possible: {}", key, why);
            store.failPlan(key, why);
        }
    }

    private Summary publish(
            SearchKey key, String by, @Nullable String why, Function<SearchStore.StoredSearch, String> design) {
        String said = said("why", why);
        transaction.executeWithoutResult(status -> addVersion(key, by, said, design));
        show(key);
        events.publishEvent(new Published(key));
        return summary(key);
    }

    /** Once it is committed. Visitors have the version before until this one is ready. */
    private void show(SearchKey key) {
        Live published = readLive(key);
        if (published != null) {
            indexes.prepare(published.site(), published.design());
        }
        // Another may have been published meanwhile, so what is live is looked up within the map's own lock.
        live.compute(key, (search, before) -> {
            Live now = readLive(search);
            return published != null && now != null && now.version() == published.version() ? published : now;
        });
    }

    /** A line in the owner's words; null for nothing. */
    static @Nullable String said(String field, @Nullable String words) {
        String said = words == null || words.isBlank() ? null : words.strip();
        if (said != null && said.length() > LONGEST_LINE) {
            throw Refusal.bad(field, "Say it in at most %d letters.".formatted(LONGEST_LINE));
        }
        return said;
    }

    private void addVersion(
            SearchKey key, String by, @Nullable String why, Function<SearchStore.StoredSearch, String> design) {
        SearchStore.StoredSearch search = store.findToChange(key).orElseThrow(() -> noSuchSearch(key));
        SearchDesign published = json.read(design.apply(search), contents.of(search.site()));
        requirePublishable(published, search.site());
        int before = search.liveVersion() == null ? 0 : search.liveVersion();
        store.addVersion(
                key,
                new SearchStore.StoredVersion(before + 1, json.write(published), OffsetDateTime.now(clock), by, why));
    }

    private void requirePublishable(SearchDesign design, SiteKey site) {
        DesignChecks.firstStop(design, contents.of(site)).ifPresent(stop -> {
            throw Refusal.conflict("This cannot be published: " + stop.text());
        });
    }

    /** @throws Refusal if there is no such search, or none of its versions was published */
    public Live live(SearchKey key) {
        return findLive(key)
                .orElseThrow(() -> Refusal.notFound(
                        "There is no live search \"%s\". Check the key in the tag, and whether the search was published."
                                .formatted(key)));
    }

    /** What visitors see of a search; none where nothing was published. */
    public Optional<Live> findLive(SearchKey key) {
        Live known = live.get(key);
        // Read within the map's own lock: what is forgotten meanwhile cannot come back afterwards.
        return Optional.ofNullable(known == null ? live.computeIfAbsent(key, this::readLive) : known);
    }

    private @Nullable Live readLive(SearchKey key) {
        return store.liveVersion(key)
                .map(live -> {
                    SearchStore.StoredVersion stored = store.version(key, live.liveVersion())
                            .orElseThrow(() -> new IllegalStateException(
                                    "version %d of %s is gone".formatted(live.liveVersion(), key)));
                    return new Live(
                            key,
                            live.site(),
                            live.liveVersion(),
                            json.read(stored.design(), contents.of(live.site())),
                            stored.published(),
                            stored.publishedBy());
                })
                .orElse(null);
    }

    @Override
    public List<SearchDesign> designsInUse(SiteKey site) {
        return store.ofSite(site).stream()
                .flatMap(search -> findLive(search.search()).stream())
                .map(Live::design)
                .toList();
    }

    private SearchStore.StoredSearch stored(SearchKey key) {
        return store.find(key).orElseThrow(() -> noSuchSearch(key));
    }

    private static Refusal noSuchSearch(SearchKey key) {
        return Refusal.notFound("There is no search \"%s\".".formatted(key));
    }
}
