package tidylantern.server.content;

import java.util.List;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.OwnerMark;
import tidylantern.server.platform.Refusal;

/** What owners add to items by hand. */
@Component
class OwnerMarks {
    private final ContentStore store;
    private final SiteIndexes indexes;
    private final TransactionTemplate transaction;

    OwnerMarks(ContentStore store, SiteIndexes indexes, TransactionTemplate transaction) {
        this.store = store;
        this.indexes = indexes;
        this.transaction = transaction;
    }

    OwnerMark of(String site, ItemRef item) {
        String id = item.id().value();
        return store.marks(site, item.collection().value(), id, id).getOrDefault(id, OwnerMark.NONE);
    }

    /**
     * Changes the marks of items, all or none.
     *
     * @throws Refusal naming the first item that is not there
     */
    void change(String site, List<ItemRef> items, UnaryOperator<OwnerMark> change) {
        synchronized (indexes.turn(site)) {
            transaction.executeWithoutResult(status -> {
                long number = store.nextChange(site);
                for (ItemRef item : items) {
                    if (store.item(site, item.collection(), item.id().value()).isEmpty()) {
                        throw Refusal.notFound(
                                "There is no item \"%s\" in \"%s\".".formatted(item.id(), item.collection()));
                    }
                    store.putMark(site, item, change.apply(of(site, item)));
                    store.touch(site, item, number);
                }
            });
            store.force();
            indexes.followOrLater(site);
        }
    }
}
