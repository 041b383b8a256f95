package tidylantern.server.content;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.scheduling.TaskScheduler;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.util.FileSystemUtils;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.Item;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.ItemRefused;
import tidylantern.core.content.OwnerMark;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.index.GivingWay;
import tidylantern.core.index.IndexState;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.place.Gazetteer;
import tidylantern.core.proposal.NarrowingField;
import tidylantern.core.proposal.NarrowingFields;
import tidylantern.core.proposal.SearchProposal;
import tidylantern.core.query.SearchEngine;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.filter.CategoryCount;
import tidylantern.core.query.listing.ItemFilter;
import tidylantern.core.query.listing.ItemListing;
import tidylantern.core.query.words.VisitorQuery;
import tidylantern.server.key.SiteKey;
import tidylantern.server.operation.Standby;
import tidylantern.server.platform.DatabaseReplaced;
import tidylantern.server.platform.DiskRoom;
import tidylantern.server.platform.Rearranged;
import tidylantern.server.platform.Refusal;
import tidylantern.server.platform.Settings;
import tidylantern.server.site.Sites;
import tools.jackson.databind.json.JsonMapper;

/**
 * The index and engine of each site. The database is the truth and the index follows it: after every push, and at start
 * from the last change that it has on disk, so a crash between the two costs nothing but a moment.
 */
@Component
public class SiteIndexes implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(SiteIndexes.class);
    private static final int BATCH = 500;
    private static final String BETWEEN_COMMITS = "5s";
    /**
     * What is compiled is compiled for all sites, so they spend so long on it together: whoever waits for a start gains
     * less by more of it than they lose.
     */
    private static final Duration MOST_COMPILING = Duration.ofMillis(1_500);

    private static final Duration BEFORE_GAZETTEER = Duration.ofSeconds(20);
    /** Of a batch of items that cannot be indexed, so many are named in the log. */
    private static final int MOST_LOGGED = 20;

    private final ContentStore store;
    private final SiteContents contents;
    private final Sites sites;
    private final Settings settings;
    private final JsonMapper json;
    private final ObjectProvider<DesignsInUse> designs;
    private final Standby standby;
    private final DiskRoom room;
    private final Gazetteer gazetteer;
    private final Clock clock;
    private final CompiledSearches compiled;
    private final TaskScheduler scheduler;
    private final Map<SiteKey, SiteIndex> indexes = new ConcurrentHashMap<>();
    private final Map<SiteKey, SearchEngine> engines = new ConcurrentHashMap<>();
    private final Map<SiteKey, ItemListing> listings = new ConcurrentHashMap<>();
    /** Spent so far on having code compiled; nanoseconds. */
    private final AtomicLong compiling = new AtomicLong();

    private final Set<SiteKey> warmed = ConcurrentHashMap.newKeySet();
    /** Sites that could not be brought up to date when the service started. */
    private final Set<SiteKey> behind = ConcurrentHashMap.newKeySet();

    private final QuietIndexes quiet = new QuietIndexes();
    private final Map<SiteKey, Object> turns = new ConcurrentHashMap<>();
    private volatile boolean running;

    SiteIndexes(
            ContentStore store,
            SiteContents contents,
            Sites sites,
            Settings settings,
            JsonMapper json,
            ObjectProvider<DesignsInUse> designs,
            Standby standby,
            DiskRoom room,
            Gazetteer gazetteer,
            Clock clock,
            CompiledSearches compiled,
            TaskScheduler scheduler) {
        this.scheduler = scheduler;
        this.store = store;
        this.contents = contents;
        this.sites = sites;
        this.settings = settings;
        this.json = json;
        this.designs = designs;
        this.standby = standby;
        this.room = room;
        this.gazetteer = gazetteer;
        this.clock = clock;
        this.compiled = compiled;
    }

    /**
     * Before the web server, which starts last of all: whoever can ask gets an answer from all that was ever
     * acknowledged.
     */
    @Override
    public int getPhase() {
        return 0;
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** Brings every index up to date and the engine up to speed. */
    @Override
    public void start() {
        running = true;
        for (Sites.Site site : sites.all()) {
            begin(site.key());
        }
        // Once the start is over, which waits for nothing; the first visitor who names a town would wait for it.
        var unused = scheduler.schedule(
                gazetteer::size, scheduler.getClock().instant().plus(BEFORE_GAZETTEER));
    }

    /** One site's trouble is its own: the service starts, other sites answer, and this one is tried again and again. */
    private void begin(SiteKey site) {
        try {
            synchronized (turn(site)) {
                follow(site);
            }
            warm(site);
        } catch (RuntimeException failure) {
            behind.add(site);
            LOG.error(
                    "The site {} cannot be brought up to date; it will be tried again every {}. Its items are safe in the database.",
                    site,
                    BETWEEN_COMMITS,
                    failure);
        }
    }

    @EventListener
    void begin(Sites.Added added) {
        of(added.site());
    }

    /** Every index is made anew; until that is done, visitors are answered from what it was. */
    @EventListener
    void beginAnew(DatabaseReplaced replaced) {
        Set<SiteKey> here = sites.all().stream().map(Sites.Site::key).collect(Collectors.toSet());
        for (SiteKey site : here) {
            synchronized (turn(site)) {
                try {
                    of(site).beginAnew();
                } catch (IOException failure) {
                    throw new UncheckedIOException("The index of \"%s\" cannot be written.".formatted(site), failure);
                }
                followOrLater(site);
            }
        }
        for (SiteKey gone : Set.copyOf(indexes.keySet())) {
            if (!here.contains(gone)) {
                close(gone);
            }
        }
    }

    /** The caller has the site's {@link #turn}. */
    @EventListener
    @Order(Ordered.LOWEST_PRECEDENCE)
    void follow(Rearranged rearranged) {
        SiteKey site = rearranged.site();
        if (sites.all().stream().anyMatch(one -> one.key().equals(site))) {
            followOrLater(site);
            return;
        }
        close(site);
        warmed.remove(site);
        behind.remove(site);
        quiet.forget(site);
        try {
            FileSystemUtils.deleteRecursively(folder(site));
        } catch (IOException failure) {
            throw new UncheckedIOException("removing the index of \"%s\"".formatted(site), failure);
        }
    }

    private void close(SiteKey site) {
        SiteIndex index = indexes.remove(site);
        engines.remove(site);
        listings.remove(site);
        try {
            if (index != null) {
                index.close();
            }
        } catch (IOException failure) {
            LOG.error(
                    "The index of {} could not be closed; the next start reads from the database what it lacks",
                    site,
                    failure);
        }
    }

    /**
     * What a writer of a site's content holds from its first change until the index has followed, so that the numbers
     * of changes are committed in their order.
     */
    Object turn(SiteKey site) {
        return turns.computeIfAbsent(site, key -> new Object());
    }

    private SiteIndex of(SiteKey site) {
        return indexes.computeIfAbsent(site, key -> {
            try {
                return opened(key);
            } catch (IOException failure) {
                LOG.error(
                        "The index of {} cannot be opened under {}; the folder must be writable",
                        key,
                        settings.data(),
                        failure);
                throw new Refusal(
                        HttpStatus.SERVICE_UNAVAILABLE,
                        null,
                        "The searches of this site cannot be asked just now. The service's log has the reason.");
            }
        });
    }

    private SiteIndex opened(SiteKey site) throws IOException {
        SiteIndex index = SiteIndex.open(folder(site));
        index.beforeShown(next -> prepare(site, next));
        return index;
    }

    /** On the thread of whoever changed something, so that no visitor waits for what a new state needs. */
    private void prepare(SiteKey site, IndexState next) {
        prepare(site, () -> inUse(site).forEach(design -> engine(site).prepare(next, compiled.of(site, design))));
    }

    /** The same for new content: live searches are compiled for it before anybody asks them. */
    void prepare(SiteKey site, SiteContent next) {
        prepare(site, () -> inUse(site).forEach(design -> engine(site).prepare(compiled.of(next, design))));
    }

    /** Makes a search ready that is about to be asked for the first time. */
    public void prepare(SiteKey site, SearchDesign design) {
        prepare(site, () -> engine(site).prepare(compiled.of(site, design)));
    }

    private List<SearchDesign> inUse(SiteKey site) {
        return designs.stream()
                .flatMap(keeper -> keeper.designsInUse(site).stream())
                .toList();
    }

    private static void prepare(SiteKey site, Runnable preparing) {
        try {
            preparing.run();
        } catch (RuntimeException failure) {
            // Nothing but speed depends on it; whoever asks first reckons what is missing.
            LOG.warn("The searches of {} could not be made ready for what changed", site, failure);
        }
    }

    /** Items that no search finds since they could not be laid into the index, and why. */
    public Map<ItemRef, String> passedOver(SiteKey site) {
        return of(site).passedOver();
    }

    /** Lists a site's items as the index has them. */
    public ItemListing listing(SiteKey site) {
        return listings.computeIfAbsent(site, key -> new ItemListing(of(key)));
    }

    /** Counts the items that a filter lets through by the values of a category field. */
    public List<CategoryCount> values(SiteKey site, FieldKey field, ItemFilter filter) {
        return listing(site).values(field, filter);
    }

    /** The fields that visitors of a search could narrow by, in the order of the collections' fields. */
    public List<NarrowingField> narrowing(SiteKey site, SearchDesign design) {
        SiteContent content = contents.of(site);
        return NarrowingFields.of(of(site), content, design, engine(site).today(content));
    }

    /** A search that fits what the site holds. */
    public SearchProposal proposal(SiteKey site, SearchProposal.Wanted wanted, LocalDate today) {
        return SearchProposal.of(of(site), contents.of(site), wanted, today);
    }

    public SearchEngine engine(SiteKey site) {
        return engines.computeIfAbsent(site, key -> new SearchEngine(of(key), gazetteer, clock));
    }

    /** Like {@link #follow}, for changes that are kept already: a failure is logged, and mended a few seconds later. */
    void followOrLater(SiteKey site) {
        try {
            follow(site);
        } catch (RuntimeException failure) {
            LOG.error("The index of {} could not follow; it will be tried again", site, failure);
            return;
        }
        if (warmed.add(site)) {
            var unused = scheduler.schedule(
                    () -> warmQuietly(site), scheduler.getClock().instant());
        }
    }

    /** A site whose first items came after the start. Nobody waits for this, and nothing but speed depends on it. */
    private void warmQuietly(SiteKey site) {
        try {
            warm(site);
        } catch (RuntimeException failure) {
            LOG.warn("The engine of {} could not be warmed", site, failure);
        }
    }

    /** Reads what changed since the index last looked. The caller has its {@link #turn}. */
    void follow(SiteKey site) {
        SiteIndex index = of(site);
        SiteContent content = contents.of(site);
        Map<CollectionKey, StoredItemReader> readers = new LinkedHashMap<>();
        content.collections().forEach(c -> readers.put(c.key(), new StoredItemReader(c, json)));
        long until = store.lastChange(site);
        try {
            if (index.lastChange() > until && !standby.active()) {
                LOG.warn(
                        "The index of {} is ahead of its database, which must have been put back to an earlier state; it is made anew",
                        site);
                index.clear();
            }
            if (!standby.active()) {
                index.keepOnly(readers.keySet());
            }
            long seen = index.lastChange();
            index.remove(store.removedAfter(site, seen));
            ContentStore.Place place = new ContentStore.Place(seen, "\uffff", "");
            List<ContentStore.StoredItem> items = store.changedAfter(site, place, BATCH);
            while (!items.isEmpty()) {
                add(
                        index,
                        content,
                        readers,
                        items,
                        store.marks(
                                site,
                                items.getFirst().collectionKey(),
                                items.getFirst().itemId(),
                                items.getLast().itemId()));
                ContentStore.StoredItem last = items.getLast();
                place = new ContentStore.Place(last.changeNumber(), last.collectionKey(), last.itemId());
                items = store.changedAfter(site, place, BATCH);
            }
            if (until > seen) {
                index.apply(List.of(), List.of(), until);
            }
        } catch (IOException failure) {
            throw new UncheckedIOException(
                    "The index of \"%s\" cannot be written. The items are safe in the database.".formatted(site),
                    failure);
        }
    }

    private void add(
            SiteIndex index,
            SiteContent content,
            Map<CollectionKey, StoredItemReader> readers,
            List<ContentStore.StoredItem> items,
            Map<String, OwnerMark> marks)
            throws IOException {
        Map<ItemRef, String> unreadable = new ConcurrentHashMap<>();
        List<SiteIndex.Changed> readable = GivingWay.onAllProcessors(() -> items.parallelStream()
                .flatMap(item -> {
                    try {
                        return Stream.of(
                                changed(content, readers, item, marks.getOrDefault(item.itemId(), OwnerMark.NONE)));
                    } catch (ItemRefused | RuntimeException broken) {
                        unreadable.put(item.ref(), String.valueOf(broken.getMessage()));
                        return Stream.empty();
                    }
                })
                .toList());
        for (Map.Entry<ItemRef, String> one : unreadable.entrySet()) {
            index.passOver(one.getKey(), one.getValue());
        }
        unreadable.putAll(index.add(readable));
        unreadable.entrySet().stream()
                .limit(MOST_LOGGED)
                .forEach(
                        one -> LOG.warn("The item {} cannot be found by any search: {}", one.getKey(), one.getValue()));
        if (unreadable.size() > MOST_LOGGED) {
            LOG.warn("… and {} more; Health names them", unreadable.size() - MOST_LOGGED);
        }
    }

    private SiteIndex.Changed changed(
            SiteContent content,
            Map<CollectionKey, StoredItemReader> readers,
            ContentStore.StoredItem item,
            OwnerMark mark)
            throws ItemRefused {
        CollectionKey key = new CollectionKey(item.collectionKey());
        Collection collection = content.collection(key);
        StoredItemReader reader = readers.get(key);
        if (collection == null || reader == null) {
            throw new IllegalStateException("the item %s/%s is of no collection".formatted(key, item.itemId()));
        }
        Item read = reader.read(item);
        return new SiteIndex.Changed(
                mark.over(read), collection.language(), mark, item.changed().toInstant());
    }

    /**
     * Makes ready what answers need of a site's index, and has the machine compile the code of answers with words of
     * the site's own, so that the first visitor waits no longer than others.
     */
    private void warm(SiteKey site) {
        SiteContent content = contents.of(site);
        if (!store.hasItems(site)) {
            return;
        }
        warmed.add(site);
        try {
            of(site).read(now -> {
                prepare(site, now);
                return site;
            });
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the index", failure);
        }
        CompiledSearch search = CompiledSearch.of(content, SearchDesign.firstFor("warming", content));
        List<String> titles = content.collections().stream()
                .flatMap(c -> store.itemsAfter(site, c.key(), "", 20).stream())
                .map(ContentStore.StoredItem::title)
                .toList();
        SearchEngine engine = engine(site);
        long begun = System.nanoTime();
        for (String title : titles) {
            long spent = System.nanoTime() - begun;
            if (compiling.addAndGet(spent) > MOST_COMPILING.toNanos()) {
                return;
            }
            begun += spent;
            String word = title.substring(0, Math.min(title.length(), 12));
            engine.live(search, VisitorQuery.plain(word, engine.today(content)));
            engine.answer(search, VisitorQuery.plain(word + "x", engine.today(content)));
        }
    }

    @Scheduled(initialDelayString = BETWEEN_COMMITS, fixedDelayString = BETWEEN_COMMITS)
    void commitAll() {
        if (!running || room.low()) {
            // An index that fails to write is broken; what it has not written yet, the database has.
            return;
        }
        Stream.concat(indexes.keySet().stream(), behind.stream()).distinct().forEach(this::tend);
    }

    /** Brings one index up to date and onto the disk. */
    private void tend(SiteKey site) {
        try {
            SiteIndex index;
            synchronized (turn(site)) {
                if (!of(site).writable()) {
                    reopen(site);
                }
                index = of(site);
                long lastChange = store.lastChange(site);
                contents.readAgainIfStale(site);
                if (index.lastChange() < lastChange) {
                    follow(site);
                }
            }
            index.commit();
            behind.remove(site);
            settleWhenQuiet(site, index);
        } catch (IOException | RuntimeException failure) {
            // The items are safe in the database; the next round, or the next start, catches up.
            LOG.error("The index of {} could not be brought up to date and onto the disk", site, failure);
        }
    }

    private void settleWhenQuiet(SiteKey site, SiteIndex index) {
        long now = index.lastChange();
        if (quiet.becomesQuiet(site, now)) {
            var unused = scheduler.schedule(
                    () -> settle(site, index, now), scheduler.getClock().instant());
        }
    }

    /** Nobody waits for this, and nothing but speed depends on it. */
    private void settle(SiteKey site, SiteIndex index, long lastChange) {
        try {
            index.settle();
            synchronized (turn(site)) {
                // Whoever changed something meanwhile shows it, and one that is made anew is not shown before it is.
                if (index.lastChange() == lastChange) {
                    index.showSettled();
                }
            }
        } catch (IOException | RuntimeException failure) {
            if (running) {
                LOG.warn("The parts of the index of {} could not be put together", site, failure);
            }
        }
    }

    /** After the disk failed an index: what is on the disk is opened anew, and answers whoever asks from then on. */
    private void reopen(SiteKey site) throws IOException {
        SiteIndex broken = of(site);
        SiteIndex anew = opened(site);
        indexes.put(site, anew);
        engines.remove(site);
        listings.remove(site);
        broken.close();
        LOG.warn("The index of {} was opened anew", site);
    }

    private Path folder(SiteKey site) {
        return settings.data().resolve("index").resolve(site.value());
    }

    @Override
    public void stop() {
        running = false;
        Set.copyOf(indexes.keySet()).forEach(this::close);
    }
}
