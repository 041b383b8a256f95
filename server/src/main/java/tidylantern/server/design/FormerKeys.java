package tidylantern.server.design;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SearchKey;
import tidylantern.server.platform.DatabaseReplaced;
import tidylantern.server.platform.KnownAsAWhole;
import tidylantern.server.platform.Rearranged;
import tidylantern.server.platform.Refusal;

/** Keys that searches had before. Each leads to its search, until its owner ends it or another search takes it. */
@Component
class FormerKeys {
    private final FormerKeyStore store;
    /** By former key. */
    private final KnownAsAWhole<Map<SearchKey, SearchKey>> known = new KnownAsAWhole<>(this::read);

    FormerKeys(FormerKeyStore store) {
        this.store = store;
    }

    /** The key that a search has now; the given one where that is nobody's former key. */
    SearchKey now(SearchKey key) {
        return known.get().getOrDefault(key, key);
    }

    boolean has(SearchKey key) {
        return known.get().containsKey(key);
    }

    /** The former keys of a search, by letter. */
    List<SearchKey> of(SearchKey search) {
        return known.get().entrySet().stream()
                .filter(one -> one.getValue().equals(search))
                .map(Map.Entry::getKey)
                .sorted()
                .toList();
    }

    private Map<SearchKey, SearchKey> read() {
        return store.all().stream()
                .collect(Collectors.toUnmodifiableMap(FormerKeyStore.Former::former, FormerKeyStore.Former::search));
    }

    /** @throws Refusal if a key still leads to another search than this one */
    void mayBeTaken(SearchKey key, SearchKey by) {
        SearchKey holder = now(key);
        if (!holder.equals(key) && !holder.equals(by)) {
            throw Refusal.conflict(
                    "The key \"%s\" still leads to the search \"%s\", which had it before. End it there first."
                            .formatted(key, holder));
        }
    }

    /** @param search that had the key before, under the key that it has now; which is a former one no more */
    void put(SearchKey former, SearchKey search) {
        store.remove(search);
        store.remove(former);
        store.add(former, search);
    }

    /** @throws Refusal if it is no former key of this search */
    void end(SearchKey search, SearchKey former) {
        if (!of(search).contains(former)) {
            throw Refusal.notFound("This search never had the key \"%s\".".formatted(former));
        }
        store.remove(former);
        forget();
    }

    /** Once what is known was changed, and that is committed. */
    void forget() {
        known.forget();
    }

    @EventListener
    @Order(Ordered.HIGHEST_PRECEDENCE)
    void forgetAll(DatabaseReplaced replaced) {
        forget();
    }

    @EventListener
    @Order(Ordered.HIGHEST_PRECEDENCE)
    void forget(Rearranged rearranged) {
        forget();
    }
}
