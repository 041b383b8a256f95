package tidylantern.server.insight;

import java.net.URI;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tidylantern.server.key.SearchKey;
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
     * @param widths of the windows in which it was met
     * @param script version of the elements' script on it; null where that does not tell it
     */
    public record MetPage(
            String address,
            String title,
            Set<Element> elements,
            UnknownLinks unknown,
            Set<Width> widths,
            @Nullable String script) {
        public MetPage {
            elements = elements.isEmpty() ? Set.of() : Set.copyOf(EnumSet.copyOf(elements));
            widths = widths.isEmpty() ? Set.of() : Set.copyOf(EnumSet.copyOf(widths));
        }

        /** Met in the windows of both. */
        MetPage alsoIn(Set<Width> others) {
            Set<Width> all = new HashSet<>(widths);
            all.addAll(others);
            return new MetPage(address, title, elements, unknown, all, script);
        }
    }

    /** How wide a window is, as far as it tells anything of a design: its number would tell of its visitor. */
    public enum Width {
        /** As of a phone. */
        NARROW,
        WIDE;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * @param first when it was first met
     * @param seen when it was last written down that it was met
     */
    public record SeenPage(MetPage page, Instant first, Instant seen) {}

    private record Where(SearchKey search, String address) {}

    private record Written(MetPage page, Instant at) {}

    /** @param told of an origin that may ask the search */
    public void note(SearchKey search, MetPage told) {
        Where where = new Where(search, told.address());
        Instant now = clock.instant();
        MetPage page;
        synchronized (written) {
            Written before = written.get(where);
            page = before == null ? told : told.alsoIn(before.page().widths());
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
        // What was met before a start of the service stands in the database alone.
        MetPage met = Objects.requireNonNull(transaction.execute(status -> {
            MetPage all = page.alsoIn(store.widths(search, page.address()));
            store.put(search, all, now);
            store.keep(search, MOST_OF_A_SEARCH);
            return all;
        }));
        synchronized (written) {
            written.put(where, new Written(met, now));
        }
    }

    @EventListener
    void forgetAll(DatabaseReplaced replaced) {
        synchronized (written) {
            written.clear();
        }
    }

    /** The one met last comes first. */
    public List<SeenPage> of(SearchKey search) {
        return store.of(search);
    }

    /** An address as it is noted. */
    public static String withoutQuery(URI address) {
        return address.getScheme() + "://" + address.getRawAuthority()
                + (address.getRawPath() == null || address.getRawPath().isEmpty() ? "/" : address.getRawPath());
    }
}
