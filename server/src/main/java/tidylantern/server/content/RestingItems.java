package tidylantern.server.content;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Objects;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.ItemRefused;
import tidylantern.server.history.Changeable;
import tidylantern.server.history.History;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.EveryHour;
import tidylantern.server.platform.Refusal;
import tidylantern.server.platform.SomeNames;
import tools.jackson.databind.json.JsonMapper;

/** Items that a push or a run removed: they rest 30 days, in which the history puts them back. */
@Component
public class RestingItems {
    private static final int BATCH = 500;

    private final RestingItemStore store;
    private final ContentStore items;
    private final SiteContents contents;
    private final SiteWriter writer;
    private final History history;
    private final JsonMapper json;
    private final Clock clock;
    private final RemovalChanges changes = new RemovalChanges();

    RestingItems(
            RestingItemStore store,
            ContentStore items,
            SiteContents contents,
            SiteWriter writer,
            History history,
            JsonMapper json,
            Clock clock) {
        this.store = store;
        this.items = items;
        this.contents = contents;
        this.writer = writer;
        this.history = history;
        this.json = json;
        this.clock = clock;
        history.learn(changes);
    }

    /** @param change the site's number of the change that removed them */
    public record Removal(CollectionKey collection, long change) {}

    /** Whether some of what was removed are gone; the others came back since. */
    private record Gone(boolean gone) {}

    /** Removes items, which rest from now on; within the transaction of their change. */
    public void remove(SiteKey site, Removal removal, List<String> ids) {
        remove(site, removal, ids, removal.change());
    }

    private void remove(SiteKey site, Removal removal, List<String> ids, long change) {
        store.lay(site, removal.collection(), removal.change(), ids, OffsetDateTime.now(clock));
        items.remove(site, removal.collection(), ids, change);
    }

    /** Tells of a removal once it has all its items, in the same transaction. */
    public void note(SiteKey site, Removal removal, String by) {
        history.note(changes, site, removal, new Gone(false), new Gone(true), by);
    }

    private void change(SiteKey site, Removal removal, boolean removed) {
        writer.change(
                site,
                () -> history.change(changes, site, removal, () -> {
                    long number = items.nextChange(site);
                    if (removed) {
                        eachBatch(site, removal, false, some -> remove(site, removal, idsOf(some), number));
                    } else {
                        bringBack(site, removal, number);
                    }
                    store.restAnew(site, removal.collection(), removal.change(), OffsetDateTime.now(clock));
                }));
    }

    private void bringBack(SiteKey site, Removal removal, long number) {
        Collection collection = contents.collection(site, removal.collection().value());
        StoredItemReader reader = new StoredItemReader(collection, json);
        OffsetDateTime now = OffsetDateTime.now(clock);
        eachBatch(site, removal, true, some -> {
            some.forEach(item -> mustFit(item, reader));
            items.add(site, some.stream().map(item -> item.changed(number, now)).toList());
            items.notRemoved(site, removal.collection(), idsOf(some));
        });
    }

    /** The kind of a field may have been changed while they rested. */
    private static void mustFit(ContentStore.StoredItem item, StoredItemReader reader) {
        try {
            reader.read(item);
        } catch (ItemRefused unfit) {
            throw Refusal.conflict("“%s” does not fit any more: %s. Correct that field first."
                    .formatted(item.title(), unfit.getMessage()));
        }
    }

    /** @param gone whether those that are gone, or those that are there again */
    private void eachBatch(SiteKey site, Removal removal, boolean gone, Consumer<List<ContentStore.StoredItem>> work) {
        String last = "";
        for (List<ContentStore.StoredItem> some = after(site, removal, gone, last);
                !some.isEmpty();
                some = after(site, removal, gone, last)) {
            work.accept(some);
            last = some.getLast().itemId();
        }
    }

    private List<ContentStore.StoredItem> after(SiteKey site, Removal removal, boolean gone, String last) {
        return store.after(site, removal.collection(), removal.change(), gone, last, BATCH);
    }

    private static List<String> idsOf(List<ContentStore.StoredItem> some) {
        return some.stream().map(ContentStore.StoredItem::itemId).toList();
    }

    @EventListener
    void tidyUp(EveryHour hour) {
        store.forgetBefore(OffsetDateTime.now(clock).minus(History.REST));
    }

    private final class RemovalChanges extends Changeable<Removal, Gone> {
        RemovalChanges() {
            super("removal", Removal.class, Gone.class);
        }

        @Override
        protected @Nullable Gone now(SiteKey site, Removal removal) {
            RestingItemStore.Rest rest = store.of(site, removal.collection(), removal.change());
            return rest.items() == 0 ? null : new Gone(rest.thereAgain() < rest.items());
        }

        @Override
        protected void putBack(SiteKey site, Removal removal, Gone state) {
            change(site, removal, state.gone());
        }

        @Override
        protected String told(SiteKey site, Removal removal, @Nullable Gone before, @Nullable Gone after) {
            boolean gone = Objects.requireNonNull(after).gone();
            String titles = SomeNames.of(
                    store.after(site, removal.collection(), removal.change(), gone, "", SomeNames.NAMED).stream()
                            .map(ContentStore.StoredItem::title)
                            .toList(),
                    store.of(site, removal.collection(), removal.change()).items());
            return "%s %s “%s”"
                    .formatted(
                            titles,
                            gone ? "removed from" : "put back into",
                            contents.collection(site, removal.collection().value())
                                    .label());
        }
    }
}
