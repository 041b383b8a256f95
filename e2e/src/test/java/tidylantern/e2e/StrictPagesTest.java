package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.openqa.selenium.SearchContext;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chromium.HasCdp;

/** Pages that are strict, within others, or led by a script of their own, and a service that has too much to do. */
@ExtendWith(SharedDemo.class)
class StrictPagesTest {
    private static DemoWorld world;
    private static String key;
    private static Browser browser;

    @BeforeAll
    static void start(DemoWorld shared) {
        world = shared;
        key = LiveSearch.of(
                world,
                "Strict pages",
                List.of("kitchen"),
                Map.of(
                        "filters",
                        "[{\"head\": {\"key\": \"course\", \"label\": \"Course\"}, \"source\": {\"of\": \"category\", \"field\": \"course\"}}]"));
        browser = Browser.wide();
    }

    @AfterAll
    static void stop() {
        browser.close();
    }

    private static String html(String body) {
        return """
                <!doctype html><html lang="en"><head><meta charset="utf-8"><title>Strict</title>
                <meta name="viewport" content="width=device-width">
                <script type="module" src="%1$s/elements/tidy-lantern.js"></script></head><body>
                <tidy-search search="%2$s"></tidy-search><tidy-results search="%2$s"></tidy-results>%3$s
                </body></html>""".formatted(world.service(), key, body);
    }

    private static SearchContext results() {
        return browser.inside("tidy-results");
    }

    private static void untilFoundFor(String words) {
        browser.untilTexts(results(), ".heading", texts -> texts.contains("Results for “" + words + "”"));
    }

    private static void searchAsVisitorsDo(String words) {
        WebElement input = browser.see(browser.inside("tidy-search"), "input");
        browser.type(input, words);
        browser.untilTexts(browser.inside("tidy-search"), ".row .title", titles -> !titles.isEmpty());
        browser.see(browser.inside("tidy-search"), "input").sendKeys(Keys.ENTER);
        untilFoundFor(words);
    }

    /** Content Security Policy 3 without any inline style or script, and Trusted Types enforced without any policy. */
    @Test
    void aStrictPolicyIsKeptWithoutAWord() {
        try (OnePageSite site = OnePageSite.of(
                html(""),
                Map.of(
                        "Content-Security-Policy",
                        "default-src 'none'; script-src %1$s; connect-src %1$s; img-src *; ".formatted(world.service())
                                + "require-trusted-types-for 'script'; trusted-types 'none'"))) {
            world.allow(site.address());
            browser.open(site.address() + "/?q=honey");
            untilFoundFor("honey");
            assertThat(browser.script("""
                            const worn = document.querySelector('tidy-search').shadowRoot.querySelector('.worn')
                            return getComputedStyle(worn).getPropertyValue('--accent') +
                              getComputedStyle(worn.querySelector('.box')).display"""))
                    .as("it wears its look, and has its form")
                    .asString()
                    .matches("#[0-9a-f]{6}flex");
            searchAsVisitorsDo("soup");
            assertThat(browser.consoleErrors()).as("nothing was refused").isEmpty();
        }
    }

    @Test
    void whereNothingCanBeKeptItSearchesAllTheSame() {
        String refuse = """
                for (const name of ['localStorage', 'sessionStorage'])
                  Object.defineProperty(window, name, { get() { throw new DOMException('refused', 'SecurityError') } })
                Object.defineProperty(Document.prototype, 'cookie', { get() { throw new DOMException('refused', 'SecurityError') } })""";
        try (OnePageSite site = OnePageSite.of(
                html("").replace("<script type", "<script>" + refuse + "</script><script type"), Map.of())) {
            world.allow(site.address());
            browser.open(site.address() + "/?q=honey");
            untilFoundFor("honey");
            searchAsVisitorsDo("soup");
            assertThat(browser.consoleErrors()).isEmpty();
            // The browser is handed on with what it keeps.
            browser.open(world.service() + "/s/" + key);
        }
    }

    @Test
    void withinAFrameItSearchesAndWhereThatHasNoOriginItSaysSo() {
        try (OnePageSite site = OnePageSite.of("""
                <!doctype html><html lang="en"><head><title>Frames</title></head><body>
                <iframe id="shut" title="Shut" sandbox="allow-scripts" src="/inner" width="800" height="500"></iframe>
                <iframe id="open" title="Open" src="/inner?q=honey" width="800" height="500"></iframe>
                </body></html>""", Map.of())) {
            site.serve("/inner", "text/html; charset=utf-8", html(""));
            world.allow(site.address());
            browser.open(site.address() + "/");
            browser.driver().switchTo().frame(browser.see("#open"));
            untilFoundFor("honey");
            searchAsVisitorsDo("soup");
            browser.leaveFrame();
            browser.driver().switchTo().frame(browser.see("#shut"));
            browser.untilTexts(
                    results(), ".note", texts -> texts.stream().anyMatch(text -> text.contains("cannot be reached")));
            browser.leaveFrame();
        }
    }

    @Test
    void aPagesOwnRouterAndTheSearchLeaveEachOthersStepsAlone() {
        try (OnePageSite site = OnePageSite.of(html(""), Map.of())) {
            world.allow(site.address());
            browser.open(site.address() + "/?q=honey");
            untilFoundFor("honey");
            browser.script("history.pushState({ mine: 1 }, '', '/?q=honey&tab=2')");
            searchAsVisitorsDo("soup");
            assertThat(browser.address()).contains("tab=2").contains("q=soup");
            assertThat(browser.script("return history.state.mine")).isEqualTo(1L);
            browser.driver().navigate().back();
            untilFoundFor("honey");
            assertThat(browser.script("return history.state.mine")).isEqualTo(1L);
            browser.script("history.pushState({}, '', '/?q=soup'); dispatchEvent(new PopStateEvent('popstate'))");
            untilFoundFor("soup");
            assertThat(browser.consoleErrors()).isEmpty();
        }
    }

    /** RFC 9110, 15.6.4 and 10.2.3. */
    @Test
    void aServiceThatHasTooMuchToDoIsAskedAgainOnceItWantsToBe() throws Exception {
        try (BusyService busy = new BusyService(world.service(), 2);
                OnePageSite site = OnePageSite.of(html("").replace(world.service(), busy.address()), Map.of())) {
            world.allow(site.address());
            browser.open(site.address() + "/?q=honey");
            untilFoundFor("honey");
            assertThat(busy.refused()).as("it was turned away first").isEqualTo(2);
        }
    }

    /** 1.4.10 and beyond: the narrowest screen, and the widest one meets. */
    @Test
    void theNarrowestAndTheWidestScreenHoldAllOfIt() {
        try (OnePageSite site = OnePageSite.of(html(""), Map.of());
                Browser other = Browser.phone()) {
            world.allow(site.address());
            for (int width : new int[] {320, 2560}) {
                ((HasCdp) other.driver())
                        .executeCdpCommand(
                                "Emulation.setDeviceMetricsOverride",
                                Map.of("width", width, "height", 844, "deviceScaleFactor", 1, "mobile", width < 500));
                other.open(site.address() + "/?q=honey");
                other.untilTexts(other.inside("tidy-results"), ".heading", texts -> !texts.isEmpty());
                other.type(other.see(other.inside("tidy-search"), "input"), "soup");
                other.untilTexts(other.inside("tidy-search"), ".row .title", titles -> !titles.isEmpty());
                WebElement panel = other.see(other.inside("tidy-search"), ".panel");
                assertThat(panel.getRect().getX()).isNotNegative();
                assertThat(panel.getRect().getX() + panel.getRect().getWidth()).isLessThanOrEqualTo(width);
                assertThat(other.script("return document.documentElement.scrollWidth"))
                        .as("%d px wide", width)
                        .isEqualTo((long) width);
                other.mustBeAccessible(width + " px wide");
            }
        }
    }
}
