package tidylantern.server.insight;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tidylantern.core.content.ItemRef;
import tidylantern.server.key.SearchKey;
import tidylantern.server.operation.ChangeGate;
import tidylantern.server.platform.DatabaseReplaced;

/** How often visitors choose each item among the results of a search. */
@Component
public class ChosenResults extends VisitorCounts {
    /** What is popular is among these. */
    private static final int MOST_POPULAR = 200;

    /** Asked with answers, which so need no database; forgotten whenever more was written down. */
    private final Map<SearchKey, Map<ItemRef, Long>> known = new ConcurrentHashMap<>();

    ChosenResults(ChosenItemStore store, TransactionTemplate transaction, ChangeGate gate) {
        super("choices", store, transaction, gate);
    }

    /** @param item that is there */
    public void count(SearchKey search, ItemRef item) {
        add(search, item.toString());
    }

    /** How often items were chosen, of those chosen most often, as far as it was written down. */
    public Map<ItemRef, Long> mostChosen(SearchKey search) {
        return known.computeIfAbsent(search, key -> stored(key, MOST_POPULAR).stream()
                .collect(Collectors.toUnmodifiableMap(one -> ItemRef.parse(one.text()), CountStore.Counted::times)));
    }

    @Override
    void onWritten(SearchKey search) {
        known.remove(search);
    }

    @EventListener
    void forgetAll(DatabaseReplaced replaced) {
        known.clear();
    }
}
