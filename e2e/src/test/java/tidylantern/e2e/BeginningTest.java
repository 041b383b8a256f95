package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import tidylantern.demo.DemoLoader;
import tidylantern.demo.StandInSite;
import tidylantern.server.RunningService;
import tidylantern.server.account.Accounts;

/**
 * An installation that nobody owned before: from its first start to visitors on a page, by what stands on the screen.
 */
class BeginningTest {
    private static final int ENTRIES = 1_108;
    private static final int MOST_CLICKS = 14;

    /** An owner whose presses are counted. */
    private static final class Owner implements AutoCloseable {
        private final Browser browser = Browser.wide();
        private int clicks;

        void press(String css, String text) {
            browser.seeText(css, text).click();
            clicks++;
        }

        @Override
        public void close() {
            browser.close();
        }
    }

    private static RunningService empty(Path data) {
        return RunningService.empty(data, List.of("localhost"));
    }

    /** @param address as people write one */
    private static void firstStart(RunningService service, Browser browser, String name, String address) {
        browser.open(service.address());
        browser.see("#token").sendKeys(service.part(Accounts.class).firstStartToken());
        browser.see("#site-name").sendKeys(name);
        browser.see("#site-address").sendKeys(address);
        browser.see("#name").sendKeys("Perpetua");
        browser.see("#password").sendKeys("short");
        browser.see("button[type=submit]").click();
        browser.seeText("[role=alert]", "10 to 72 characters");
        browser.mustBeAccessible("first start");
        browser.type(browser.see("#password"), "long enough by far");
        browser.see("button[type=submit]").click();
        browser.seeText("h2", "Bring in what your site has");
    }

    /** A directory as somebody's spreadsheet has it. */
    private static String directory() {
        List<String> trades = List.of("Bakery", "Ropewalk", "Boatyard", "Printer", "Dairy", "Weaver", "Joiner");
        List<String> towns = List.of("Inkwell", "Saltmarket", "Candle Cove", "Pell Harbour");
        List<String> about = List.of("by hand", "open on Sundays", "with a shop", "courses");
        return "Name;Web site;Trade;Good for;In short;In full;Size (m²);Town;Since;Stars\n"
                + IntStream.range(0, ENTRIES)
                        .mapToObj(n -> "%s %d;https://makers.example/%d/;%s;\"%s\";%s;\"%s\";%d;%s;%d;%s"
                                .formatted(
                                        trades.get(n % 7) + " of the house number",
                                        n,
                                        n,
                                        trades.get(n % 7),
                                        n % 3 == 0
                                                ? about.get(n % 4) + ", " + about.get((n + 1) % 4)
                                                : about.get(n % 4),
                                        "Something short about number " + n,
                                        "A long text that tells who works there, since when, and what of it can be seen by those who come. "
                                                .repeat(3),
                                        20 + n % 90,
                                        towns.get(n % 4),
                                        1900 + n % 120,
                                        1 + n % 5))
                        .collect(Collectors.joining("\n"));
    }

    /** The page that the search is to stand on has a policy of its own. */
    private static OnePageSite site(RunningService service) {
        return OnePageSite.of(
                """
                <!doctype html><html lang="en"><head><meta charset="utf-8"><title>Makers of the Isles</title>
                <meta name="viewport" content="width=device-width">
                <script type="module" src="%1$s/elements/tidy-lantern.js"></script></head><body><main><h1>Ours</h1>
                <tidy-search search="makers"></tidy-search><tidy-results search="makers"></tidy-results></main></body></html>""".formatted(service.address()),
                Map.of(
                        "Content-Security-Policy",
                        "default-src 'none'; script-src %1$s; connect-src %1$s; img-src 'self' %1$s"
                                .formatted(service.address())));
    }

    @Test
    void fromAFileToResultsOnThePageInFewPresses(@TempDir Path folder) throws Exception {
        Path file = Files.writeString(folder.resolve("makers.csv"), directory());
        try (RunningService service = empty(folder.resolve("data"));
                OnePageSite site = site(service);
                Owner owner = new Owner()) {
            firstStart(service, owner.browser, "Makers", site.address());
            owner.press(".ways a", "A file");
            owner.browser
                    .until(
                            "the field for a file",
                            () -> owner.browser.driver().findElements(By.cssSelector("input[type=file]")).stream()
                                    .findFirst()
                                    .orElse(null))
                    .sendKeys(file.toString());
            owner.press("button", "Bring in 1,108 items");
            owner.press("a", "Make the first search");
            owner.browser.seeText("h3", "Filters");
            owner.browser.mustBeAccessible("a first search");
            owner.browser.see("#search-name").sendKeys("Makers", Keys.ENTER);
            owner.browser.seeText(".decisions h2", "What is searched");
            owner.press("button", "Look over and publish");
            owner.press("[role=dialog] button", "Publish");
            owner.browser.seeText("[role=dialog]", "It is live");
            assertThat(owner.clicks + 1).as("presses, choosing the file too").isLessThanOrEqualTo(MOST_CLICKS);

            for (boolean isPhone : new boolean[] {false, true}) {
                try (Browser visitor = isPhone ? Browser.phone() : Browser.wide()) {
                    visitor.open(site.address());
                    visitor.untilTexts(visitor.inside("tidy-results"), ".count", counts -> counts.stream()
                            .anyMatch(count -> count.startsWith("1,108")));
                    if (!isPhone) {
                        assertThat(visitor.texts(visitor.inside("tidy-results"), ".filter legend"))
                                .contains("Trade", "Good for", "Stars")
                                .doesNotContain("Web site", "Name", "In short");
                    }
                    visitor.see(visitor.inside("tidy-search"), "input").sendKeys("boatyrd");
                    visitor.untilTexts(
                            visitor.inside("tidy-search"),
                            ".row .title",
                            titles -> !titles.isEmpty() && titles.getFirst().startsWith("Boatyard"));
                    assertThat(visitor.consoleErrors()).isEmpty();
                }
            }
            thereAndBack(owner.browser, site.address());
        }
    }

    /** A version that was a mistake, and the way back to the one before. */
    private static void thereAndBack(Browser browser, String site) {
        browser.seeText("[role=dialog] button", "Close").click();
        OwnerAtWork.here(browser)
                .at("Results page")
                .number("Results at a time", 5)
                .publish("Fewer at a time");
        assertThat(cards(site)).isEqualTo(5);
        OwnerAtWork.here(browser).at("Go live");
        browser.see(".check button").click();
        browser.seeText(".said", "It has arrived: the box, the list of results.");
        browser.seeText("[aria-label=Versions] li", "Fewer at a time");
        browser.mustBeAccessible("versions");
        browser.see("button[aria-label='Compare version 1']").click();
        browser.seeText("[role=dialog] td", "Results a page");
        browser.mustBeAccessible("two versions compared");
        browser.seeText("[role=dialog] button", "Show it to visitors again").click();
        browser.seeText("[aria-label=Versions] li", "Back to version 1");
        assertThat(cards(site)).isEqualTo(10);
    }

    /** How many cards a visitor who comes now sees. */
    private static int cards(String site) {
        try (Browser visitor = Browser.wide()) {
            visitor.open(site);
            visitor.untilTexts(visitor.inside("tidy-results"), ".card .title", titles -> !titles.isEmpty());
            return visitor.texts(visitor.inside("tidy-results"), ".card .title").size();
        }
    }

    /** RFC 4287, section 1.1: its brief example, from memory of its text. */
    private static final String FEED = """
            <?xml version="1.0" encoding="utf-8"?>
            <feed xmlns="http://www.w3.org/2005/Atom"><title>Example Feed</title><link href="http://example.org/"/>
            <updated>2003-12-13T18:30:02Z</updated><author><name>John Doe</name></author>
            <id>urn:uuid:60a76c80-d399-11d9-b93C-0003939e0af6</id>
            <entry><title>Atom-Powered Robots Run Amok</title><link href="http://example.org/2003/12/13/atom03"/>
            <id>urn:uuid:1225c695-cfb8-4ebb-aaaa-80da344efa6a</id><updated>2003-12-13T18:30:02Z</updated>
            <summary>Some text.</summary></entry></feed>""";

    /** A site that has a feed of others and ten pages of others, and a page with a policy for the search. */
    private static OnePageSite siteWithAFeedAndPages(RunningService service) throws IOException {
        OnePageSite site = OnePageSite.of(
                """
                <!doctype html><html lang="en"><head><meta charset="utf-8"><title>World</title>
                <meta name="viewport" content="width=device-width">
                <link rel="alternate" type="application/atom+xml" title="Robots" href="/feed.atom">
                <script type="module" src="%1$s/elements/tidy-lantern.js"></script></head><body><main><h1>World</h1>
                <tidy-search search="world"></tidy-search><tidy-results search="world"></tidy-results></main></body></html>""".formatted(service.address()),
                Map.of(
                        "Content-Security-Policy",
                        "default-src 'none'; script-src %1$s; connect-src %1$s; img-src 'self' %1$s"
                                .formatted(service.address())));
        StringBuilder addresses = new StringBuilder();
        try (Stream<Path> pages = Files.list(Path.of("src/test/resources/others/libffi"))) {
            for (Path page : pages.toList()) {
                String path = "/manual/" + page.getFileName();
                site.serve(path, "text/html; charset=utf-8", Files.readString(page));
                addresses.append("<url><loc>%s%s</loc></url>".formatted(site.address(), path));
            }
        }
        return site.serve("/feed.atom", "application/atom+xml", FEED)
                .serve("/robots.txt", "text/plain", "Sitemap: " + site.address() + "/sitemap.xml\n")
                .serve(
                        "/sitemap.xml",
                        "application/xml",
                        "<?xml version=\"1.0\"?><urlset xmlns=\"http://www.sitemaps.org/schemas/sitemap/0.9\">%s</urlset>"
                                .formatted(addresses));
    }

    /** A table (npm {@code countries-list}), a feed and the pages of a site, in one search; and back one version. */
    @Test
    void aTableAFeedAndASiteOfOthersBecomeOneSearch(@TempDir Path data) throws Exception {
        try (RunningService service = empty(data);
                OnePageSite site = siteWithAFeedAndPages(service);
                Owner owner = new Owner()) {
            Browser browser = owner.browser;
            firstStart(service, browser, "World", site.address());
            browser.seeText("[aria-label='Found on your site'] li", "10 pages");
            owner.press(".ways a", "A file");
            browser.until(
                            "the field for a file",
                            () -> browser.driver().findElements(By.cssSelector("input[type=file]")).stream()
                                    .findFirst()
                                    .orElse(null))
                    .sendKeys(Path.of("../server/src/test/resources/tables/countries-list.csv")
                            .toAbsolutePath()
                            .normalize()
                            .toString());
            owner.press("button", "Bring in 160 items");
            browser.seeText("a", "Make the first search");
            for (String found : List.of("A feed", "10 pages")) {
                browser.open(service.address() + "/workbench/world/sources/new");
                browser.see("[aria-label='Found on your site'] a[aria-label*='%s']".formatted(found))
                        .click();
                browser.seeText("[role=status]", found.equals("A feed") ? "1 record" : " pages");
                owner.press("button", "Bring ");
                browser.see(".state.done");
            }
            browser.open(service.address() + "/workbench/world/searches/new");
            browser.seeText("h3", "Filters");
            browser.see("#search-name").sendKeys("World", Keys.ENTER);
            browser.seeText(".decisions h2", "What is searched");
            owner.press("button", "Look over and publish");
            owner.press("[role=dialog] button", "Publish");
            browser.seeText("[role=dialog]", "It is live");
            finds(
                    site.address(),
                    Map.of(
                            "mozambque",
                            "Mozambique",
                            "robots",
                            "Atom-Powered Robots Run Amok",
                            "closure",
                            "The Closure API"));
            thereAndBack(browser, site.address());
        }
    }

    /** @param wanted by what a visitor types, how begins what comes first */
    private static void finds(String site, Map<String, String> wanted) {
        try (Browser visitor = Browser.phone()) {
            visitor.open(site);
            wanted.forEach((words, title) -> {
                visitor.type(visitor.see(visitor.inside("tidy-search"), "input"), words);
                visitor.untilTexts(visitor.inside("tidy-search"), ".row .title", titles -> titles.stream()
                        .anyMatch(one -> one.startsWith(title)));
            });
            assertThat(visitor.consoleErrors()).isEmpty();
        }
    }

    @Test
    void whatTheSitesOwnPagesHaveIsFoundAndOffered(@TempDir Path data) throws Exception {
        try (RunningService service = empty(data);
                StandInSite site = new StandInSite(0, service.address(), DemoLoader.SEARCH, LocalDate.now());
                Owner owner = new Owner()) {
            firstStart(service, owner.browser, "Isles", site.address());
            owner.browser.seeText("[aria-label='Found on your site'] li", "marked up as Recipe");
            owner.browser.mustBeAccessible("found on the site");
            owner.press("button", "Call it so");
            owner.browser.seeText("header, nav", "Quillhaven Isles");
            owner.press("button", "Wear my site’s colours");
            owner.browser.seeText("[role=status]", "Your searches wear your site’s colours");
            owner.browser
                    .see("a[aria-label='Look at Journal, A feed · 44 entries']")
                    .click();
            owner.browser.seeText("[role=status]", "44 records");
            assertThat(owner.browser.see("#new-label").getDomProperty("value")).isEqualTo("Journal");
            owner.press("button", "Bring in 44 items");
            owner.press("a", "Make the first search");
            owner.browser.seeText(".proposed b", "Journal: a post");
            owner.browser.open(service.address() + "/workbench/isles/sources/new");
            owner.browser.seeText("[aria-label='Found on your site'] li", "Kitchen");
            assertThat(owner.browser.texts(owner.browser.driver(), "[aria-label='Found on your site'] li"))
                    .as("what is set up is not offered again")
                    .noneMatch(line -> line.contains("A feed"));
        }
    }

    /** Who has no site at hand looks around in a sample, and throws it away by one press. */
    @Test
    void theSampleSiteIsTakenInsteadAndThrownAway(@TempDir Path data) {
        try (RunningService service = empty(data);
                Owner owner = new Owner();
                Browser visitor = Browser.wide()) {
            Browser browser = owner.browser;
            browser.open(service.address());
            browser.see("#token").sendKeys(service.part(Accounts.class).firstStartToken());
            owner.press("label", "Only look around");
            browser.see("#name").sendKeys("Perpetua");
            browser.see("#password").sendKeys("long enough by far");
            browser.mustBeAccessible("first start with a sample");
            browser.see("button[type=submit]").click();
            browser.seeText("li", "Sample search");
            browser.seeText("aside", "This is the sample site");
            browser.mustBeAccessible("the sample site");

            visitor.open(service.address() + "/sample/");
            visitor.see(visitor.inside("tidy-search"), "input").sendKeys("lighthuose");
            visitor.untilTexts(visitor.inside("tidy-search"), ".row .title", titles -> titles.stream()
                    .anyMatch(title -> title.contains("ighthouse")));
            visitor.open(service.address() + "/sample/search?q=soup");
            visitor.see(visitor.inside("tidy-results"), ".card .title").click();
            visitor.until("an item's page", () -> visitor.address().contains("/sample/kitchen/"));
            assertThat(visitor.consoleErrors()).isEmpty();

            owner.press("aside button", "Throw it away");
            browser.seeText("h1, h2", "No site yet");
            visitor.open(service.address() + "/sample/");
            visitor.until("it is gone", () -> visitor.driver()
                    .findElements(By.cssSelector("tidy-search"))
                    .isEmpty());
            owner.press("button", "Take the sample site");
            browser.seeText("li", "Sample search");
        }
    }

    @Test
    void anAddressThatTellsNothingKeepsNobodyFromBeginning(@TempDir Path data) {
        try (RunningService service = empty(data);
                Owner owner = new Owner()) {
            firstStart(service, owner.browser, "Cove", "cove.invalid");
            owner.browser.seeText(".remark", "There is no host \"cove.invalid\"");
            owner.browser.mustBeAccessible("content, none yet");
            owner.press("nav a", "Searches");
            owner.browser.seeText("h2", "Make the first search");
            owner.browser.mustBeAccessible("searches, none yet");
            owner.press(".empty a", "New search");
            owner.browser.seeText(".proposed p", "your site holds no content");
            owner.press("nav a", "Site");
            owner.press("button", "Delete this site");
            owner.browser.see("#delete-name").sendKeys("Cove");
            owner.press("[role=dialog] button", "Delete it");
            owner.browser.seeText("h1, h2", "No site yet");
            owner.browser.mustBeAccessible("no site any more");
            owner.browser.see("button[aria-label='Bring back Cove']").click();
            owner.browser.seeText("h2", "Bring in what your site has");
        }
    }
}
