package tidylantern.server.source.reading;

import java.net.URI;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jsoup.nodes.Document;
import org.jspecify.annotations.Nullable;
import tidylantern.server.platform.Digests;
import tools.jackson.databind.json.JsonMapper;

/**
 * Reads the pages of a website one after the other, with a pause between two: those of a sitemap, or those that links
 * lead to. Stays on the site and within what its robots.txt allows.
 */
public final class CrawlReader {
    private static final WebFetcher.Limits PAGE = new WebFetcher.Limits(5_000_000, Duration.ofSeconds(30), true);
    private static final int MOST_FAILURES_IN_A_ROW = 10;
    /** So many pages are compared with one another before the first of them is told. */
    private static final int COMPARED_FIRST = 12;

    private static final long MOST_BYTES_HELD = 4_000_000;

    private final SourceSettings.Crawl settings;
    private final WebFetcher fetcher;
    private final PageReader pages;
    /** Reads pages without comparing them with others. */
    private final PageReader byThemselves;

    private final Furniture furniture;
    private final Memory memory;

    public CrawlReader(SourceSettings.Crawl settings, WebFetcher fetcher, JsonMapper json, Memory memory) {
        this.settings = settings;
        this.fetcher = fetcher;
        this.furniture = new Furniture(memory.furniture());
        this.pages = new PageReader(settings, json, furniture);
        this.byThemselves = new PageReader(settings, json);
        this.memory = memory;
    }

    /** What the last crawl knew of a page. */
    public record Remembered(
            WebFetcher.Known known, @Nullable String itemId, List<String> links) {}

    /** Remembers pages from one crawl to the next. */
    public interface Memory {
        /** Remembers nothing, as for a preview. */
        Memory NONE = new Memory() {
            @Override
            public @Nullable Remembered of(URI page) {
                return null;
            }

            @Override
            public void put(URI page, WebFetcher.Fetched answer, List<URI> links) {}

            @Override
            public void same(URI page) {}

            @Override
            public Set<Long> furniture() {
                return Set.of();
            }

            @Override
            public void putFurniture(Set<Long> recurring) {}
        };

        @Nullable Remembered of(URI page);

        /** Called before the page's record is told. */
        void put(URI page, WebFetcher.Fetched answer, List<URI> links);

        /** The page is as it is remembered. */
        void same(URI page);

        /** What {@link Furniture#recurring recurred} on the pages of the last crawl. */
        Set<Long> furniture();

        void putFurniture(Set<Long> recurring);
    }

    /** A page that was read, and is told once others were read to compare it with. */
    private record PageRead(
            URI page, WebFetcher.Fetched answer, Document document, URI canonical, List<URI> links, boolean wanted) {}

    public void read(Reading reading) throws SourceProblem {
        URI start = URI.create(settings.address());
        Robots robots = Robots.of(start, fetcher);
        Walk walk = new Walk(reading, start, robots);
        if (settings.way() == SourceSettings.Way.SITEMAP) {
            walk.left.addAll(new Sitemaps(fetcher)
                    .pages(start, SourceSettings.Crawl.MOST_PAGES, reading).stream()
                            .filter(this::wanted)
                            .toList());
            if (walk.left.isEmpty()) {
                throw new SourceProblem("The sitemap names no page%s. Check the address."
                        .formatted(settings.prefix() == null ? "" : " that begins with " + settings.prefix()));
            }
        } else {
            URI first = SiteAddresses.tidy(start.toString());
            walk.left.add(first == null ? start : first);
        }
        walk.seen.addAll(walk.left);
        walk.go();
    }

    private boolean wanted(URI address) {
        return settings.prefix() == null || address.toString().startsWith(settings.prefix());
    }

    private final class Walk {
        private final Reading reading;
        private final URI start;
        private final Robots robots;
        private final Deque<URI> left = new ArrayDeque<>();
        private final Set<URI> seen = new HashSet<>();
        private final Set<URI> told = new LinkedHashSet<>();
        /** {@link #digest Digests} of what pages of folders say, as far as it was read in this crawl. */
        private final Map<URI, String> ofFolders = new HashMap<>();

        private final List<PageRead> held = new ArrayList<>();
        private long bytesHeld;
        private boolean compared;
        private int read;
        private int forbidden;
        private int failedInARow;

        Walk(Reading reading, URI start, Robots robots) {
            this.reading = reading;
            this.start = start;
            this.robots = robots;
            compared = !memory.furniture().isEmpty();
        }

        void go() throws SourceProblem {
            long pause = Math.max(settings.pauseMillis(), robots.pause());
            while (!left.isEmpty() && !reading.enough()) {
                if (read >= settings.mostPages()) {
                    reading.incomplete("The crawl ended after %,d pages, as you set it; %,d more were known."
                            .formatted(read, left.size()));
                    break;
                }
                URI page = left.removeFirst();
                if (!robots.allows(page)) {
                    forbidden++;
                    continue;
                }
                if (read > 0) {
                    rest(pause);
                }
                read++;
                visit(page);
                reading.progress(read, read + left.size());
            }
            tellHeld();
            memory.putFurniture(furniture.recurring());
            if (forbidden > 0) {
                reading.note("%d pages are not to be read, says the site's robots.txt.".formatted(forbidden));
            }
            if (read == 0 && forbidden > 0) {
                throw new SourceProblem("The site's robots.txt allows none of these pages to be read.");
            }
        }

        private void visit(URI page) throws SourceProblem {
            // What may be a page that was read already is read whole, to be compared with it.
            boolean perhapsRead = toldPerhaps(page) != null
                    || held.stream()
                            .anyMatch(one -> SiteAddresses.samePagePerhaps(page).contains(one.canonical()));
            Remembered before = perhapsRead ? null : memory.of(page);
            WebFetcher.Fetched answer;
            try {
                answer = fetcher.fetch(
                        SiteAddresses.signedIn(start, page),
                        before == null ? WebFetcher.Known.NOTHING : before.known(),
                        PAGE);
            } catch (SourceProblem failure) {
                failed(page, String.valueOf(failure.getMessage()));
                return;
            }
            if (answer.notModified() && before != null) {
                failedInARow = 0;
                if (before.itemId() != null) {
                    reading.asBefore(page.toString(), before.itemId());
                    told.add(page);
                }
                memory.same(page);
                follow(before.links().stream().map(SiteAddresses::tidy).toList());
                return;
            }
            if (answer.gone()) {
                reading.gone(page.toString(), "there is no such page (status %d)".formatted(answer.status()));
                return;
            }
            if (!answer.ok()) {
                failed(page, "it answers with status %d".formatted(answer.status()));
                return;
            }
            failedInARow = 0;
            if (!answer.type().isEmpty()
                    && !answer.type().equals("text/html")
                    && !answer.type().equals("application/xhtml+xml")) {
                return;
            }
            take(page, answer);
        }

        private void take(URI page, WebFetcher.Fetched answer) throws SourceProblem {
            URI end = SiteAddresses.tidy(answer.address().toString());
            Document document = PageReader.parse(answer);
            URI canonical = PageReader.canonical(document, end == null ? page : end);
            List<URI> links = settings.way() == SourceSettings.Way.LINKS && !PageReader.noFollow(document)
                    ? PageReader.links(document, answer.address())
                    : List.of();
            List<URI> inside = links.stream()
                    .filter(link -> SiteAddresses.sameSite(start, link))
                    .distinct()
                    .toList();
            follow(inside);
            pages.learn(document);
            PageRead one = new PageRead(
                    page, answer, document, canonical, inside, !PageReader.noIndex(document) && wanted(canonical));
            if (compared) {
                tell(one);
                return;
            }
            held.add(one);
            bytesHeld += answer.body().length;
            if (held.size() >= Math.min(COMPARED_FIRST, reading.wanted()) || bytesHeld >= MOST_BYTES_HELD) {
                tellHeld();
            }
        }

        private void tellHeld() throws SourceProblem {
            compared = true;
            for (PageRead one : held) {
                tell(one);
            }
            held.clear();
        }

        private void tell(PageRead one) throws SourceProblem {
            if (toldAlready(one.canonical(), one.document())) {
                return;
            }
            memory.put(one.page(), one.answer(), one.links());
            if (one.wanted() && told.add(one.canonical())) {
                reading.record(one.canonical().toString(), pages.columns(one.document(), one.canonical()));
            }
        }

        /**
         * The page told in this crawl that this one may be by another address: {@code /x/} and {@code /x/index.html}.
         */
        private @Nullable URI toldPerhaps(URI page) {
            return settings.way() != SourceSettings.Way.LINKS
                    ? null
                    : SiteAddresses.samePagePerhaps(page).stream()
                            .filter(told::contains)
                            .findFirst()
                            .orElse(null);
        }

        /**
         * Whether the page says what its folder's page says that was told. It is then no item, and is not remembered,
         * so that it is compared again.
         */
        private boolean toldAlready(URI page, Document document) {
            if (settings.way() != SourceSettings.Way.LINKS
                    || SiteAddresses.samePagePerhaps(page).isEmpty()) {
                return false;
            }
            String content = digest(page, document);
            URI other = toldPerhaps(page);
            if (other != null && content.equals(ofFolders.computeIfAbsent(other, this::contentOf))) {
                return true;
            }
            ofFolders.put(page, content);
            return false;
        }

        /** Of a page that is as it was in the last crawl, which nobody has read in this one. */
        private String contentOf(URI page) {
            try {
                WebFetcher.Fetched answer =
                        fetcher.fetch(SiteAddresses.signedIn(start, page), WebFetcher.Known.NOTHING, PAGE);
                if (answer.ok()) {
                    return digest(page, PageReader.parse(answer));
                }
            } catch (SourceProblem unreadable) {
                reading.note(
                        "%s cannot be compared with its folder's page: %s".formatted(page, unreadable.getMessage()));
            }
            return "";
        }

        /** SHA-256 of all that is read of a page but its address, whatever other pages share with it. */
        private String digest(URI page, Document document) {
            Map<String, @Nullable Object> content = new TreeMap<>(byThemselves.columns(document, page));
            content.remove("address");
            return Digests.sha256(content.toString());
        }

        /** A failing page says nothing about its item, which therefore stays. */
        private void failed(URI page, String why) throws SourceProblem {
            reading.refuse(page.toString(), why);
            if (read == 1 && left.isEmpty()) {
                throw new SourceProblem("%s: %s".formatted(page, why));
            }
            if (++failedInARow >= MOST_FAILURES_IN_A_ROW) {
                throw new SourceProblem("%d pages in a row could not be read, the last being %s: %s. Try again later."
                        .formatted(failedInARow, page, why));
            }
        }

        private void follow(List<? extends @Nullable URI> links) {
            for (URI link : links) {
                // Pages outside the prefix are not gone through either, but for the one that the crawl begins at.
                if (link != null
                        && settings.way() == SourceSettings.Way.LINKS
                        && wanted(link)
                        && !probablyNoPage(link)
                        && seen.size() < SourceSettings.Crawl.MOST_PAGES * 2
                        && seen.add(link)) {
                    left.add(link);
                }
            }
        }

        private static boolean probablyNoPage(URI link) {
            return link.getPath() != null
                    && link.getPath()
                            .matches(
                                    "(?i).*\\.(png|jpe?g|gif|webp|avif|svg|ico|pdf|zip|gz|tar|mp[34]|webm|css|js|json|xml|csv|woff2?|geojson|atom|rss)");
        }

        private void rest(long millis) throws SourceProblem {
            for (long left = millis; left > 0 && !reading.enough(); left -= 200) {
                try {
                    Thread.sleep(Math.min(left, 200));
                } catch (InterruptedException stopped) {
                    Thread.currentThread().interrupt();
                    throw new SourceProblem("The service was stopped while it read the site.");
                }
            }
        }
    }
}
