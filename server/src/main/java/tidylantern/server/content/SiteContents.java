package tidylantern.server.content;

import java.util.IllformedLocaleException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.annotation.Transactional;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.SiteContent;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.DatabaseReplaced;
import tidylantern.server.platform.Rearranged;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.Sites;

/** The collections of each site and their fields; kept at hand, since every answer asks for them. */
@Component
public class SiteContents {
    private static final Logger LOG = LoggerFactory.getLogger(SiteContents.class);

    private final ContentStore store;
    private final CollectionStore collectionStore;
    private final PlacementStore placements;
    private final OwnPlaceStore places;
    private final Sites sites;
    private final Map<SiteKey, SiteContent> known = new ConcurrentHashMap<>();
    private final Map<SiteKey, SiteContent> last = new ConcurrentHashMap<>();
    /** Sites of which {@link #known} holds what was read last, since the database could not be read. */
    private final Set<SiteKey> stale = ConcurrentHashMap.newKeySet();

    SiteContents(
            ContentStore store,
            CollectionStore collectionStore,
            PlacementStore placements,
            OwnPlaceStore places,
            Sites sites) {
        this.store = store;
        this.collectionStore = collectionStore;
        this.placements = placements;
        this.places = places;
        this.sites = sites;
    }

    /** @throws Refusal if there is no such site */
    public SiteContent of(SiteKey site) {
        // Read within the map's own lock: what is forgotten meanwhile cannot come back afterwards.
        return known.computeIfAbsent(site, key -> {
            sites.get(key);
            return readOrLast(key);
        });
    }

    /** The same object for as long as it says the same, so that what was compiled for it holds. */
    private SiteContent kept(SiteKey site, SiteContent content) {
        return Objects.requireNonNull(last.compute(site, (key, before) -> content.equals(before) ? before : content));
    }

    /** While the database cannot be read, answers go on from what was read of it last. */
    private SiteContent readOrLast(SiteKey site) {
        try {
            return kept(site, read(site));
        } catch (DataAccessException | TransactionException unreadable) {
            SiteContent before = last.get(site);
            if (before == null) {
                throw unreadable;
            }
            LOG.warn("The collections of {} cannot be read; those read last are used until they can", site, unreadable);
            stale.add(site);
            return before;
        }
    }

    /** Once the database can be read again: what was taken from memory meanwhile may have changed. */
    void readAgainIfStale(SiteKey site) {
        if (stale.remove(site)) {
            known.remove(site);
        }
    }

    private SiteContent read(SiteKey site) {
        Map<String, List<Field>> fields = collectionStore.fields(site);
        return new SiteContent(
                collectionStore.collections(site).stream()
                        .map(c -> new Collection(
                                new CollectionKey(c.collectionKey()),
                                c.label(),
                                c.language(),
                                fields.getOrDefault(c.collectionKey(), List.of())))
                        .toList(),
                placements.ofSite(site).stream()
                        .map(PlacementStore.StoredPlacement::placement)
                        .toList(),
                sites.get(site).zone(),
                places.ofSite(site));
    }

    @EventListener
    @Order(Ordered.HIGHEST_PRECEDENCE)
    void forgetAll(DatabaseReplaced replaced) {
        known.clear();
        last.clear();
        stale.clear();
    }

    @EventListener
    void read(Sites.Changed changed) {
        forget(changed.site());
    }

    @EventListener
    @Order(Ordered.HIGHEST_PRECEDENCE + 1)
    void forget(Rearranged rearranged) {
        forget(rearranged.site());
        last.remove(rearranged.site());
    }

    /** Has the index look again, for what no item tells. */
    public void countChange(SiteKey site) {
        store.nextChange(site);
    }

    /** Has the index read all items of a collection anew. */
    public void countAsChanged(SiteKey site, CollectionKey collection) {
        countAsChanged(site, collection, store.nextChange(site));
    }

    /** The same with a change that is under way. */
    public void countAsChanged(SiteKey site, CollectionKey collection, long change) {
        store.touch(site, collection, change);
    }

    /**
     * Reads what was just committed. Whoever asks meanwhile still has what was there before; where it cannot be read
     * now, whoever asks next tries again.
     *
     * @param beforeShown what is to be done with it first
     */
    void renew(SiteKey site, Consumer<SiteContent> beforeShown) {
        try {
            beforeShown.accept(kept(site, read(site)));
            // Read once more within the map's own lock, since others forget it too: what they changed meanwhile counts.
            known.compute(site, (key, before) -> kept(key, read(key)));
        } catch (DataAccessException | TransactionException unreadable) {
            LOG.warn("What was changed in the collections of {} cannot be read yet", site, unreadable);
            forget(site);
        }
    }

    /** What is written next is read from the database; to be called once a change is committed, or was taken back. */
    void forget(SiteKey site) {
        known.remove(site);
    }

    /** @throws Refusal if the site has no such collection; it names those there are */
    public Collection collection(SiteKey site, String key) {
        SiteContent content = of(site);
        return content.collections().stream()
                .filter(c -> c.key().value().equals(key))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound(
                        "The site \"%s\" has no collection \"%s\". It has %s; make another with PUT /api/owner/sites/%s/collections/%s."
                                .formatted(
                                        site,
                                        key,
                                        content.collections().stream()
                                                .map(c -> c.key().value())
                                                .toList(),
                                        site,
                                        key)));
    }

    /** Whether there is such an item. */
    public boolean has(SiteKey site, CollectionKey collection, String item) {
        return store.has(site, collection, item);
    }

    /**
     * The item that somebody means.
     *
     * @param written {@code collection/id}, or the id alone
     * @return null if there is none, or if several collections have one with that id
     */
    public @Nullable ItemRef item(SiteKey site, String written) {
        List<CollectionKey> collections =
                of(site).collections().stream().map(Collection::key).toList();
        for (CollectionKey collection : collections) {
            String start = collection.value() + "/";
            if (written.startsWith(start) && has(site, collection, written.substring(start.length()))) {
                return ItemRef.parse(written);
            }
        }
        List<CollectionKey> having = written.isEmpty()
                ? List.of()
                : collections.stream()
                        .filter(collection -> has(site, collection, written))
                        .toList();
        return having.size() == 1 ? new ItemRef(having.getFirst(), new ItemId(written)) : null;
    }

    public Map<String, Integer> counts(SiteKey site) {
        return store.counts(site);
    }

    /**
     * Makes a collection, or changes the label and language of one that is there.
     *
     * @return whether the language changed, so that its items have other stems
     */
    @Transactional
    boolean put(SiteKey site, String key, String label, String language) {
        CollectionKey checked = new CollectionKey(key);
        if (label.isBlank() || label.strip().length() > 80) {
            throw Refusal.bad("label", "Give the collection a label of 1 to 80 characters.");
        }
        String tag = languageTag(language);
        Collection before = read(site).collection(checked);
        var collection = new CollectionStore.StoredCollection(key, label.strip(), tag);
        if (before == null) {
            collectionStore.addCollection(site, collection);
            return false;
        }
        collectionStore.changeCollection(site, collection);
        return !before.language().equals(tag);
    }

    private static String languageTag(String language) {
        try {
            String tag = new Locale.Builder()
                    .setLanguageTag(language.strip())
                    .build()
                    .toLanguageTag();
            if (!tag.equals("und")) {
                return tag;
            }
        } catch (IllformedLocaleException wrong) {
            throw Refusal.bad(
                    "language", "\"%s\" is no language tag; write one such as en or pt-BR.".formatted(language));
        }
        throw Refusal.bad("language", "Say which language the texts are in, with a tag such as en or pt-BR.");
    }

    /** @throws Refusal if the collection has no such field */
    Field field(SiteKey site, String collection, String key) {
        Field field = FieldKey.fits(key) ? collection(site, collection).field(new FieldKey(key)) : null;
        if (field == null) {
            throw Refusal.notFound("The collection \"%s\" has no field \"%s\".".formatted(collection, key));
        }
        return field;
    }
}
