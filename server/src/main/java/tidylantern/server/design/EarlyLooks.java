package tidylantern.server.design;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toList;
import static java.util.stream.Collectors.toMap;
import static java.util.stream.Collectors.toUnmodifiableMap;

import java.net.URI;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tidylantern.core.content.Addresses;
import tidylantern.core.design.DesignChecks;
import tidylantern.core.design.SearchDesign;
import tidylantern.server.content.SiteContents;
import tidylantern.server.insight.SplitCounts;
import tidylantern.server.insight.SplitCounts.Side;
import tidylantern.server.insight.SplitCounts.SideCounts;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.DatabaseReplaced;
import tidylantern.server.platform.KnownAsAWhole;
import tidylantern.server.platform.Rearranged;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.Sites;

/**
 * Who sees the draft of a search before it is published: whoever has a link to it, whoever opens a test page, and a
 * share of visitors for a while. Asked with every answer, so what is decided is kept in memory.
 */
@Component
public class EarlyLooks {
    /** What visitors' elements send on a test page whose address, and not only its origin, was named. */
    private static final String ON_TEST_PAGE = "~here";

    private static final Pattern SIDE = Pattern.compile("~(\\d{1,18})([dl])");
    private static final int MOST_TEST_PAGES = 20;
    private static final int LONGEST_ADDRESS = 500;
    private static final Duration LONGEST_SPLIT = Duration.ofDays(90);

    private final EarlyLookStore store;
    private final DraftLinks links;
    private final Searches searches;
    private final SiteContents contents;
    private final Sites sites;
    private final DesignJson json;
    private final SplitCounts counts;
    private final TransactionTemplate transaction;
    private final Clock clock;
    /** By search, of those for which anything was decided. */
    private final KnownAsAWhole<Map<SearchKey, Decided>> decided = new KnownAsAWhole<>(this::read);

    EarlyLooks(
            EarlyLookStore store,
            DraftLinks links,
            Searches searches,
            SiteContents contents,
            Sites sites,
            DesignJson json,
            SplitCounts counts,
            TransactionTemplate transaction,
            Clock clock) {
        this.store = store;
        this.links = links;
        this.searches = searches;
        this.contents = contents;
        this.sites = sites;
        this.json = json;
        this.counts = counts;
        this.transaction = transaction;
        this.clock = clock;
    }

    /** A design for a share of visitors. */
    private record Running(long number, int percent, Instant ends, SearchDesign design) {}

    private record Decided(List<URI> testPages, @Nullable Running split) {
        static final Decided NOTHING = new Decided(List.of(), null);
    }

    /**
     * The search that somebody meets.
     *
     * @param side where it is split and the visitor takes part; null otherwise
     * @param early whether it is the draft, for people who look at it before visitors do: nothing of theirs is counted
     * @param offer what the visitor's elements are told of; null for nothing
     */
    public record Meeting(
            SiteKey site,
            SearchKey search,
            SearchDesign design,
            @Nullable Drawn side,
            boolean early,
            @Nullable String offer) {}

    /** @param split its number */
    public record Drawn(long split, Side side) {}

    /**
     * @param token that came with the question; empty for none
     * @param origin of the page that asks; null where that is not known
     * @throws Refusal if there is no live search, or a link has ended
     */
    public Meeting meet(SearchKey search, String token, @Nullable String origin) {
        Decided here = decided.get().getOrDefault(search, Decided.NOTHING);
        List<String> paths = here.testPages().stream()
                .filter(page -> Addresses.origin(page).equals(origin))
                .map(page -> page.getRawPath() == null ? "" : page.getRawPath())
                .toList();
        if (paths.contains("") || (token.equals(ON_TEST_PAGE) && !paths.isEmpty())) {
            return draft(search, "here");
        }
        if (token.startsWith("~") || token.isEmpty()) {
            return live(search, token, paths, here.split());
        }
        if (!links.isGood(search, token)) {
            throw new Refusal(
                    HttpStatus.GONE,
                    null,
                    "This link to the draft has ended. Make another in the workbench, or open the page without it.");
        }
        return draft(search, null);
    }

    private Meeting draft(SearchKey search, @Nullable String offer) {
        Searches.Draft now = searches.draft(search);
        return new Meeting(now.site(), search, now.design(), null, true, offer);
    }

    private Meeting live(SearchKey search, String token, List<String> paths, @Nullable Running decided) {
        Searches.Live live = searches.live(search);
        Running split = decided != null && decided.ends().isAfter(clock.instant()) ? decided : null;
        Drawn drawn = split == null ? null : drawn(token, split.number());
        SearchDesign design =
                split != null && drawn != null && drawn.side() == Side.DRAFT ? split.design() : live.design();
        return new Meeting(live.site(), search, design, drawn, false, offer(token, paths, split, drawn));
    }

    private static @Nullable String offer(
            String token, List<String> paths, @Nullable Running split, @Nullable Drawn drawn) {
        List<String> offers = new ArrayList<>();
        if (!paths.isEmpty()) {
            offers.add("at " + String.join(" ", paths));
        }
        if (split != null && drawn == null) {
            offers.add("split %d %d".formatted(split.number(), split.percent()));
        } else if (drawn == null && !token.isEmpty()) {
            offers.add("over");
        }
        return offers.isEmpty() ? null : String.join("; ", offers);
    }

    /** The side that a browser drew; null where it drew none of this split. */
    private static @Nullable Drawn drawn(String token, long split) {
        Matcher side = SIDE.matcher(token);
        return side.matches() && Long.parseLong(side.group(1)) == split
                ? new Drawn(split, side.group(2).equals("d") ? Side.DRAFT : Side.LIVE)
                : null;
    }

    private Map<SearchKey, Decided> read() {
        Map<SearchKey, List<URI>> testPages = store.testPages().stream()
                .collect(groupingBy(
                        EarlyLookStore.StoredTestPage::search, mapping(page -> URI.create(page.address()), toList())));
        Map<SearchKey, Running> splits = store.running(OffsetDateTime.now(clock)).stream()
                .collect(toMap(EarlyLookStore.StoredSplit::search, this::running));
        return Stream.concat(testPages.keySet().stream(), splits.keySet().stream())
                .distinct()
                .collect(toUnmodifiableMap(
                        search -> search,
                        search -> new Decided(testPages.getOrDefault(search, List.of()), splits.get(search))));
    }

    private Running running(EarlyLookStore.StoredSplit split) {
        return new Running(
                split.splitId(),
                split.percent(),
                split.ends().toInstant(),
                json.read(split.design(), searches.contentOf(split.search())));
    }

    /** Where the draft of a search stands in place of its live version, by letter. */
    public List<String> testPages(SearchKey search) {
        searches.draft(search);
        return store.testPages(search);
    }

    /**
     * @param addresses of pages, or origins alone for all of their pages
     * @throws Refusal if one is no web address, or of an origin that may not ask the search
     */
    public List<String> putTestPages(SearchKey search, List<String> addresses) {
        searches.draft(search);
        if (addresses.size() > MOST_TEST_PAGES) {
            throw Refusal.bad("addresses", "Name at most %d test pages.".formatted(MOST_TEST_PAGES));
        }
        List<String> tidy = addresses.stream()
                .map(address -> tidy(search, address.strip()))
                .distinct()
                .toList();
        transaction.executeWithoutResult(status -> store.putTestPages(search, tidy));
        decided.forget();
        return store.testPages(search);
    }

    private String tidy(SearchKey search, String address) {
        URI uri = webAddress(address);
        String origin = Addresses.origin(uri);
        if (!sites.originsOfSearch(search).contains(origin)) {
            throw Refusal.bad(
                    "addresses",
                    ("Pages of %s may not ask this search, so the draft could not stand there."
                                    + " Allow that origin under Site first.")
                            .formatted(origin));
        }
        return origin + (uri.getRawPath() == null ? "" : uri.getRawPath());
    }

    private static URI webAddress(String address) {
        Refusal wrong = Refusal.bad(
                "addresses",
                "\"%s\" is no address of a page, as https://test.example/search, nor an origin, as https://test.example."
                        .formatted(address));
        try {
            URI uri = URI.create(address);
            boolean isWeb = "http".equals(uri.getScheme()) || "https".equals(uri.getScheme());
            if (!isWeb || uri.getHost() == null || uri.getRawUserInfo() != null || address.length() > LONGEST_ADDRESS) {
                throw wrong;
            }
            return uri;
        } catch (IllegalArgumentException none) {
            throw wrong;
        }
    }

    /**
     * A design that a share of visitors meets, or met.
     *
     * @param percent of the visitors
     * @param running whether it is not over
     */
    public record Split(
            int percent,
            OffsetDateTime begun,
            String begunBy,
            OffsetDateTime ends,
            boolean running,
            SideCounts draft,
            SideCounts live) {}

    /** The one that runs, or the last one; null for none. */
    public @Nullable Split split(SearchKey search) {
        searches.draft(search);
        return store.split(search).map(this::shown).orElse(null);
    }

    private Split shown(EarlyLookStore.StoredSplit split) {
        SplitCounts.BothSides counted = counts.of(split.search(), split.splitId());
        return new Split(
                split.percent(),
                split.begun(),
                split.begunBy(),
                split.ends(),
                split.ends().toInstant().isAfter(clock.instant()),
                counted.draft(),
                counted.live());
    }

    /**
     * Shows the draft as it is now to a share of visitors. Later changes of the draft do not reach them, so that what
     * is counted is of one design.
     *
     * @param percent of the visitors, from 1 to 99
     * @throws Refusal if nothing is live beside which it could stand, or a remark stops its publication
     */
    public Split begin(SearchKey search, int percent, OffsetDateTime ends, String by) {
        if (percent < 1 || percent > 99) {
            throw Refusal.bad(
                    "percent",
                    "A share is from 1 to 99 percent, so that there are two sides. For everybody, publish the draft; for"
                            + " nobody, end the share.");
        }
        Instant now = clock.instant();
        if (!ends.toInstant().isAfter(now) || ends.toInstant().isAfter(now.plus(LONGEST_SPLIT))) {
            throw Refusal.bad(
                    "ends",
                    "A share of visitors ends within %d days, and not in the past.".formatted(LONGEST_SPLIT.toDays()));
        }
        Searches.Live live = searches.live(search);
        Searches.Draft draft = searches.draft(search);
        if (draft.design().equals(live.design())) {
            throw Refusal.conflict("The draft is what visitors see already, so there are no two sides.");
        }
        DesignChecks.firstStop(draft.design(), contents.of(draft.site())).ifPresent(stop -> {
            throw Refusal.conflict("This cannot be shown to visitors: " + stop.text());
        });
        transaction.executeWithoutResult(status -> store.begin(new EarlyLookStore.StoredSplit(
                0, search.value(), json.write(draft.design()), percent, OffsetDateTime.now(clock), by, ends)));
        decided.forget();
        return Objects.requireNonNull(split(search));
    }

    /** Ends it now; what was counted is kept. */
    public void end(SearchKey search) {
        transaction.executeWithoutResult(status -> store.end(search, OffsetDateTime.now(clock)));
        decided.forget();
    }

    @EventListener
    void endWith(Searches.Published published) {
        // From here on one of its two sides is another.
        end(published.search());
    }

    @EventListener
    @Order(Ordered.HIGHEST_PRECEDENCE)
    void forgetAll(DatabaseReplaced replaced) {
        decided.forget();
    }

    @EventListener
    @Order(Ordered.HIGHEST_PRECEDENCE)
    void forget(Rearranged rearranged) {
        decided.forget();
    }
}
