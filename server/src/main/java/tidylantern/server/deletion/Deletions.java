package tidylantern.server.deletion;

import java.nio.file.Path;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Component;
import tidylantern.core.content.CollectionKey;
import tidylantern.server.content.SiteContents;
import tidylantern.server.content.SiteWriter;
import tidylantern.server.design.Searches;
import tidylantern.server.history.Changeable;
import tidylantern.server.history.History;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.key.SourceId;
import tidylantern.server.platform.EveryHour;
import tidylantern.server.platform.Refusal;
import tidylantern.server.platform.Settings;
import tidylantern.server.site.Sites;
import tidylantern.server.source.Sources;

/** Deletes what its owner names, keeps it for 30 days, and brings it back until then. */
@Component
class Deletions {
    private static final Logger LOG = LoggerFactory.getLogger(Deletions.class);
    /** The state of what is not deleted. */
    private static final String THERE = "there";

    private final DeletionStore store;
    private final Sites sites;
    private final SiteContents contents;
    private final SiteWriter writer;
    private final Searches searches;
    private final Sources sources;
    private final History history;
    private final DeletionChanges changes = new DeletionChanges();
    private final Clock clock;
    private final Path folder;

    Deletions(
            DeletionStore store,
            Sites sites,
            SiteContents contents,
            SiteWriter writer,
            Searches searches,
            Sources sources,
            History history,
            Clock clock,
            Settings settings) {
        this.store = store;
        this.sites = sites;
        this.contents = contents;
        this.writer = writer;
        this.searches = searches;
        this.sources = sources;
        this.history = history;
        history.learn(changes);
        this.clock = clock;
        this.folder = settings.data();
    }

    /** What can be deleted. */
    enum Kind {
        SITE,
        COLLECTION,
        SOURCE,
        SEARCH;

        static Kind of(String stored) {
            return valueOf(stored.toUpperCase(Locale.ROOT));
        }

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** @param until when it goes for good */
    record Deletion(
            long id,
            Kind kind,
            SiteKey site,
            String key,
            String name,
            OffsetDateTime deleted,
            String by,
            OffsetDateTime until) {}

    /** @param name of the site, to be sure; with any other nothing is deleted */
    Deletion deleteSite(SiteKey site, String name, String by) {
        mustBe(name, sites.get(site).name());
        return delete(Kind.SITE, site, site.value(), name, by);
    }

    /** @param label of the collection, to be sure */
    Deletion deleteCollection(SiteKey site, String collection, String label, String by) {
        mustBe(label, contents.collection(site, collection).label());
        return delete(Kind.COLLECTION, site, collection, label, by);
    }

    /** The items that it brought stay. */
    Deletion deleteSource(SourceId id, String by) {
        Sources.Source source = sources.get(id);
        return delete(
                Kind.SOURCE, source.site(), String.valueOf(id), source.given().name(), by);
    }

    /** @param name of the search, to be sure */
    Deletion deleteSearch(SearchKey search, String name, String by) {
        Searches.Draft draft = searches.draft(search);
        mustBe(name, draft.design().name());
        return delete(Kind.SEARCH, draft.site(), search.value(), name, by);
    }

    private static void mustBe(String given, String name) {
        if (!given.strip().equals(name.strip())) {
            throw Refusal.bad("name", "It is called “%s”. Give just that name to delete it.".formatted(name));
        }
    }

    private Deletion delete(Kind kind, SiteKey site, String key, String name, String by) {
        long number = writer.rearrange(site, () -> {
            if (kind == Kind.COLLECTION) {
                // Counted, so that an index that cannot follow now does so later.
                contents.countChange(site);
            }
            long made = store.delete(kind, site, key, name.strip(), OffsetDateTime.now(clock), by, folder);
            if (kind != Kind.SITE) {
                history.note(changes, site, new Deleted(made, kind, name.strip()), THERE, null, by);
            }
            return made;
        });
        LOG.info("The {} {} was deleted by {}; it rests for {} days", kind, key, by, History.REST.toDays());
        return store.find(number).map(Deletions::shown).orElseThrow();
    }

    private static Deletion shown(DeletionStore.StoredDeletion one) {
        return new Deletion(
                one.deletedId(),
                Kind.of(one.kind()),
                one.site(),
                one.ownKey(),
                one.name(),
                one.deleted(),
                one.deletedBy(),
                one.deleted().plus(History.REST));
    }

    /** @param site null for sites themselves */
    List<Deletion> resting(@Nullable SiteKey site) {
        if (site != null) {
            sites.get(site);
        }
        forgetOld();
        return store.all().stream()
                .map(Deletions::shown)
                .filter(one -> site == null
                        ? one.kind() == Kind.SITE
                        : one.kind() != Kind.SITE && one.site().equals(site))
                .toList();
    }

    /**
     * Puts it back as it was.
     *
     * @param site to which it must belong; null for a site itself
     * @throws Refusal if nothing of that number rests, or its key was taken meanwhile
     */
    void bringBack(@Nullable SiteKey site, long id) {
        Deletion one = resting(site).stream()
                .filter(resting -> resting.id() == id)
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("Nothing of that number was deleted here in the last 30 days."));
        writer.rearrange(one.site(), () -> {
            putBack(one);
            return one;
        });
    }

    private void putBack(Deletion one) {
        if (store.taken(store.find(one.id()).orElseThrow())) {
            throw Refusal.conflict("There is another %s with the key \"%s\" by now. Delete that one first."
                    .formatted(one.kind(), one.key()));
        }
        try {
            store.bringBack(one.id());
        } catch (DuplicateKeyException taken) {
            // Keys of searches are their own in the whole installation.
            throw Refusal.conflict(
                    "A search of another site has the key that one of this site's searches had. Delete that search first.");
        }
        if (one.kind() == Kind.COLLECTION) {
            contents.countAsChanged(one.site(), new CollectionKey(one.key()));
        }
    }

    @EventListener
    void tidyUp(EveryHour hour) {
        forgetOld();
    }

    private void forgetOld() {
        int gone = store.forgetBefore(OffsetDateTime.now(clock).minus(History.REST));
        if (gone > 0) {
            LOG.info("{} deleted sites, collections, sources or searches went for good", gone);
        }
    }

    /** @param id under which it rests */
    private record Deleted(long id, Kind kind, String name) {}

    private final class DeletionChanges extends Changeable<Deleted, String> {
        DeletionChanges() {
            super("deletion", Deleted.class, String.class);
        }

        @Override
        protected boolean ownersOnly() {
            return true;
        }

        @Override
        protected @Nullable String now(SiteKey site, Deleted deleted) {
            return store.find(deleted.id()).isPresent() ? null : THERE;
        }

        @Override
        protected void putBack(SiteKey site, Deleted deleted, String state) {
            bringBack(site, deleted.id());
        }

        @Override
        protected String told(SiteKey site, Deleted deleted, @Nullable String before, @Nullable String after) {
            return "The %s “%s” deleted".formatted(deleted.kind(), deleted.name());
        }
    }
}
