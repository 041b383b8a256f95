package tidylantern.server.content;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.OwnerMark;
import tidylantern.server.history.Changeable;
import tidylantern.server.history.History;
import tidylantern.server.history.Told;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;
import tidylantern.server.platform.SomeNames;

/** What owners add to items by hand. */
@Component
class OwnerMarks {
    private final ContentStore store;
    private final SiteWriter writer;
    private final History history;
    private final MarkChanges changes = new MarkChanges();

    OwnerMarks(ContentStore store, SiteWriter writer, History history) {
        this.store = store;
        this.writer = writer;
        this.history = history;
        history.learn(changes);
    }

    OwnerMark of(SiteKey site, ItemRef item) {
        String id = item.id().value();
        return store.marks(site, item.collection().value(), id, id).getOrDefault(id, OwnerMark.NONE);
    }

    /**
     * Changes the marks of items, all or none.
     *
     * @param items of one collection
     * @throws Refusal naming the first item that is not there
     */
    void change(SiteKey site, CollectionKey collection, List<ItemId> items, UnaryOperator<OwnerMark> change) {
        change(site, new Marked(collection, items), (item, before) -> change.apply(before));
    }

    private void change(SiteKey site, Marked marked, BiFunction<ItemId, OwnerMark, OwnerMark> change) {
        writer.change(
                site,
                () -> history.change(changes, site, marked, () -> {
                    long number = store.nextChange(site);
                    for (ItemId id : marked.items()) {
                        ItemRef item = new ItemRef(marked.collection(), id);
                        if (store.item(site, item.collection(), id.value()).isEmpty()) {
                            throw Refusal.notFound(
                                    "There is no item \"%s\" in \"%s\".".formatted(id, item.collection()));
                        }
                        store.putMark(site, item, change.apply(id, of(site, item)));
                        store.touch(site, item, number);
                    }
                }));
    }

    private record Marked(CollectionKey collection, List<ItemId> items) {}

    /** What an owner adds to items, by their ids. */
    private record Marks(Map<String, OwnerMark> marks) {}

    private final class MarkChanges extends Changeable<Marked, Marks> {
        MarkChanges() {
            super("mark", Marked.class, Marks.class);
        }

        @Override
        protected Marks now(SiteKey site, Marked marked) {
            Map<String, OwnerMark> marks = new LinkedHashMap<>();
            marked.items().forEach(id -> marks.put(id.value(), of(site, new ItemRef(marked.collection(), id))));
            return new Marks(marks);
        }

        @Override
        protected void putBack(SiteKey site, Marked marked, Marks state) {
            Map<String, OwnerMark> before = state.marks();
            change(site, marked, (id, mark) -> before.getOrDefault(id.value(), OwnerMark.NONE));
        }

        @Override
        protected String told(SiteKey site, Marked marked, @Nullable Marks before, @Nullable Marks after) {
            Map<String, OwnerMark> old = Objects.requireNonNull(before).marks();
            Map<String, OwnerMark> now = Objects.requireNonNull(after).marks();
            List<String> changed = now.keySet().stream()
                    .filter(id -> !Objects.equals(now.get(id), old.get(id)))
                    .toList();
            String titles = SomeNames.of(changed.stream()
                    .map(id -> store.titleOf(site, new ItemRef(marked.collection(), new ItemId(id))))
                    .toList());
            OwnerMark was = old.getOrDefault(changed.getFirst(), OwnerMark.NONE);
            OwnerMark is = now.getOrDefault(changed.getFirst(), OwnerMark.NONE);
            if (was.keptOut() != is.keptOut()) {
                return titles + (is.keptOut() ? " kept out of search" : " let into search again");
            }
            return new Told("What you add to " + titles)
                    .became("keywords", was.keywords(), is.keywords())
                    .became("title", was.title(), is.title())
                    .became("summary", was.summary(), is.summary())
                    .became("picture", was.image(), is.image())
                    .became("what the picture shows", was.imageAlternative(), is.imageAlternative())
                    .toString();
        }
    }
}
