package tidylantern.server.content;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Item;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.ItemRefused;
import tidylantern.core.content.OwnerMark;
import tidylantern.core.health.Finding;
import tidylantern.core.health.HealthCheck;
import tidylantern.server.key.SiteKey;
import tools.jackson.databind.json.JsonMapper;

/** Looks over a site's content; once a change, since it reads every item. */
@Component
public class HealthChecks {
    private static final int BATCH = 500;
    private final ContentStore store;
    private final SiteContents contents;
    private final SiteIndexes indexes;
    private final Clock clock;
    private final JsonMapper json;
    private final Map<SiteKey, Looked> known = new ConcurrentHashMap<>();

    HealthChecks(ContentStore store, SiteContents contents, SiteIndexes indexes, Clock clock, JsonMapper json) {
        this.store = store;
        this.contents = contents;
        this.indexes = indexes;
        this.clock = clock;
        this.json = json;
    }

    private record Looked(long change, LocalDate day, Map<ItemRef, String> passedOver, List<Finding> findings) {}

    /** Worst first, over all collections. */
    public List<Finding> of(SiteKey site) {
        List<Collection> collections = contents.of(site).collections();
        long change = store.lastChange(site);
        LocalDate today = LocalDate.now(clock);
        Map<ItemRef, String> passedOver = indexes.passedOver(site);
        return known.compute(
                        site,
                        (key, before) -> before != null
                                        && before.change() == change
                                        && before.day().equals(today)
                                        && before.passedOver().equals(passedOver)
                                ? before
                                : new Looked(
                                        change,
                                        today,
                                        passedOver,
                                        Stream.concat(
                                                        cannotBeFound(passedOver),
                                                        collections.stream()
                                                                .flatMap(collection ->
                                                                        look(site, collection, today).stream()))
                                                .sorted(Comparator.comparing(Finding::kind)
                                                        .thenComparing(Finding::items, Comparator.reverseOrder()))
                                                .toList()))
                .findings();
    }

    /** One finding a collection and reason. */
    private static Stream<Finding> cannotBeFound(Map<ItemRef, String> passedOver) {
        Map<CollectionKey, Map<String, List<ItemRef>>> byReason =
                new TreeMap<>(Comparator.comparing(CollectionKey::value));
        passedOver.keySet().stream()
                .sorted(Comparator.comparing(ItemRef::toString))
                .forEach(item -> byReason.computeIfAbsent(item.collection(), key -> new TreeMap<>())
                        .computeIfAbsent(String.valueOf(passedOver.get(item)), reason -> new ArrayList<>())
                        .add(item));
        return byReason.entrySet().stream().flatMap(of -> of.getValue().entrySet().stream()
                .map(one -> Finding.cannotBeFound(of.getKey(), one.getKey(), one.getValue())));
    }

    private List<Finding> look(SiteKey site, Collection collection, LocalDate today) {
        HealthCheck check = new HealthCheck(collection, today);
        StoredItemReader reader = new StoredItemReader(collection, json);
        List<ContentStore.StoredItem> items = new ArrayList<>(store.itemsAfter(site, collection.key(), "", BATCH));
        while (!items.isEmpty()) {
            Map<String, OwnerMark> marks = store.marks(
                    site,
                    collection.key().value(),
                    items.getFirst().itemId(),
                    items.getLast().itemId());
            for (ContentStore.StoredItem item : items) {
                OwnerMark mark = marks.getOrDefault(item.itemId(), OwnerMark.NONE);
                Item read = mark.keptOut() ? null : read(reader, item);
                if (read != null) {
                    check.accept(mark.over(read));
                }
            }
            items = store.itemsAfter(site, collection.key(), items.getLast().itemId(), BATCH);
        }
        return check.findings();
    }

    /** Null for an item that no longer fits its fields: the index has passed it over, and it is told as such. */
    private static @Nullable Item read(StoredItemReader reader, ContentStore.StoredItem item) {
        try {
            return reader.read(item);
        } catch (ItemRefused broken) {
            return null;
        }
    }
}
