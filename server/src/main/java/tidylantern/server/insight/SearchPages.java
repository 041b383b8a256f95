package tidylantern.server.insight;

import java.net.URI;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tidylantern.server.operation.ChangeGate;
import tidylantern.server.platform.DatabaseReplaced;

/**
 * The pages on which elements of a search were met: where its box, its results, its filters or a list of the site's own
 * stand. Told by the elements themselves, once in a visit, with nothing about the visitor: so an owner sees where the
 * search has arrived, and chooses its results page among those that carry its list.
 */
@Component
public class SearchPages {
    private static final int MOST_OF_A_SEARCH = 100;
    private static final int MOST_KNOWN = 1_000;
    /** What is met again is written down so often. */
    private static final Duration MET_AGAIN = Duration.ofHours(6);

    private final SearchPageStore store;
    private final TransactionTemplate transaction;
    private final ChangeGate gate;
    private final Clock clock;
    /** What was written down, and when. */
    private final Map<Where, Written> written = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Where, Written> eldest) {
            return size() > MOST_KNOWN;
        }
    };

    SearchPages(SearchPageStore store, TransactionTemplate transaction, ChangeGate gate, Clock clock) {
        this.store = store;
        this.transaction = transaction;
        this.gate = gate;
        this.clock = clock;
    }

    /** An element of a search. */
    public enum Element {
        BOX,
        RESULTS,
        FILTERS,
        LIST;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** Entries of a site's own list that are no items: how many, and where the first of them lead. */
    public record UnknownLinks(int count, List<String> links) {
        public static final UnknownLinks NONE = new UnknownLinks(0, List.of());
    }

    /**
     * A page with elements of a search.
     *
     * @param address without query and fragment
     */
    public record MetPage(String address, String title, Set<Element> elements, UnknownLinks unknown) {
        public MetPage {
            elements = elements.isEmpty() ? Set.of() : Set.copyOf(EnumSet.copyOf(elements));
        }
    }

    /** @param seen when it was last written down that it was met */
    public record SeenPage(MetPage page, Instant seen) {}

    private record Where(String search, String address) {}

    private record Written(MetPage page, Instant at) {}

    /** @param page of an origin that may ask the search */
    public void note(String search, MetPage page) {
        Where where = new Where(search, page.address());
        Instant now = clock.instant();
        synchronized (written) {
            Written before = written.get(where);
            if (before != null
                    && before.page().equals(page)
                    && before.at().plus(MET_AGAIN).isAfter(now)) {
                return;
            }
            if (gate.objection() != null) {
                // Nobody is promised that it is noted; the next visit tells it again.
                return;
            }
        }
        transaction.executeWithoutResult(status -> {
            store.put(search, page, now);
            store.keep(search, MOST_OF_A_SEARCH);
        });
        synchronized (written) {
            written.put(where, new Written(page, now));
        }
    }

    @EventListener
    void forgetAll(DatabaseReplaced replaced) {
        synchronized (written) {
            written.clear();
        }
    }

    /** The one met last comes first. */
    public List<SeenPage> of(String search) {
        return store.of(search);
    }

    /** An address as it is noted. */
    public static String withoutQuery(URI address) {
        return address.getScheme() + "://" + address.getRawAuthority()
                + (address.getRawPath() == null || address.getRawPath().isEmpty() ? "/" : address.getRawPath());
    }
}
