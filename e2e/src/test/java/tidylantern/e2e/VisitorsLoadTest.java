package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.chromium.HasCdp;

/** What a page with the elements costs its visitors: what they load, and what moves before their eyes. */
@ExtendWith(SharedDemo.class)
class VisitorsLoadTest {
    /** Layout Instability, W3C: every move that nobody asked for. */
    private static final String NOTE_SHIFTS = """
            window.shifted = []
            new PerformanceObserver(list => {
              for (const one of list.getEntries())
                if (!one.hadRecentInput) shifted.push(`${one.value.toFixed(4)} by ${one.sources.map(source =>
                  `${source.node?.localName ?? 'in an element'} ${JSON.stringify(source.previousRect)}`)}`)
            }).observe({ type: 'layout-shift', buffered: true })""";

    private static DemoWorld world;
    private static Browser wide;
    private static Browser phone;

    @BeforeAll
    static void start(DemoWorld shared) {
        world = shared;
        wide = Browser.wide();
        phone = Browser.phone();
    }

    @AfterAll
    static void stop() {
        wide.close();
        phone.close();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "SITE/",
                "SITE/search?q=light",
                "SITE/search?q=zzqxw",
                "SITE/outings",
                "SITE/find-a-home",
                "SERVICE/s/island-search?q=light",
                "SERVICE/s/kitchen",
                "SERVICE/s/homes?q=sea"
            })
    void nothingJumpsAsAPageComes(String page) {
        String address = page.replace("SITE", world.site()).replace("SERVICE", world.service());
        for (Browser browser : List.of(wide, phone)) {
            String note = String.valueOf(((HasCdp) browser.driver())
                    .executeCdpCommand("Page.addScriptToEvaluateOnNewDocument", Map.of("source", NOTE_SHIFTS))
                    .get("identifier"));
            try {
                browser.open(address);
                browser.until("all is drawn", () -> Boolean.TRUE.equals(browser.script("""
                        const isNear = one => one.getBoundingClientRect().top < 2 * innerHeight
                        return [...document.querySelectorAll('tidy-search, tidy-results, tidy-filters')].filter(isNear)
                          .every(one => one.shadowRoot?.querySelector('.worn:not(.dressing)') &&
                          (one.localName !== 'tidy-results' || one.shadowRoot.querySelector('.found'))) &&
                          document.fonts.status === 'loaded'""")));
                // Moves are told with the frame after them.
                browser.script("return new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))");
                assertThat(browser.script("return shifted")).as(page).isEqualTo(List.of());
            } finally {
                ((HasCdp) browser.driver())
                        .executeCdpCommand("Page.removeScriptToEvaluateOnNewDocument", Map.of("identifier", note));
            }
        }
    }

    @Test
    void whatStandsFarBelowComesAsOneGetsThere() {
        phone.open(world.site() + "/");
        phone.until("the box is drawn", () -> Boolean.TRUE.equals(phone.script("""
                return document.querySelector('tidy-search').shadowRoot.querySelector('.worn:not(.dressing)') !== null""")));
        assertThat(phone.script("""
                return performance.getEntriesByType('resource').some(one => one.name.includes('TidyFilters'))""")).as("filters that are screens away").isEqualTo(false);
        phone.script("document.querySelector('tidy-filters').scrollIntoView({ behavior: 'instant' })");
        phone.see(phone.inside("tidy-filters"), ".group, .open");
        phone.open(world.site() + "/");
        phone.script("document.querySelector('tidy-filters').ask('', { island: ['oyle'] })");
        phone.until("asked by script it comes, too", () -> Boolean.TRUE.equals(phone.script("""
                return document.querySelector('tidy-filters').shadowRoot.querySelector('.group, .open') !== null""")));
    }

    /** What came of the elements' script, as gzip, in bytes. */
    private static long loaded(String address) throws IOException, InterruptedException {
        wide.open(address);
        wide.until("drawn", () -> Boolean.TRUE.equals(wide.script("""
                return [...document.querySelectorAll('tidy-search, tidy-results')].every(one =>
                  one.shadowRoot?.querySelector('.worn:not(.dressing)') &&
                  (one.localName !== 'tidy-results' || one.shadowRoot.querySelector('.found')))""")));
        List<?> parts = (List<?>) Objects.requireNonNull(wide.script("""
                return [...new Set(performance.getEntriesByType('resource').map(one => one.name))]
                  .filter(name => name.includes('/elements/'))"""));
        long bytes = 0;
        try (HttpClient client = HttpClient.newHttpClient()) {
            for (Object part : parts) {
                HttpRequest request = HttpRequest.newBuilder(URI.create(String.valueOf(part)))
                        .header("Accept-Encoding", "gzip")
                        .build();
                HttpResponse<byte[]> answer = client.send(request, HttpResponse.BodyHandlers.ofByteArray());
                assertThat(String.join(",", answer.headers().allValues("Vary")))
                        .as("a browser that has it from one site may not hand it to another")
                        .containsIgnoringCase("origin");
                bytes += answer.body().length;
            }
        }
        return bytes;
    }

    @Test
    void aBoxAloneLoadsLittleAndResultsNoMoreThanTheyNeed() throws Exception {
        assertThat(loaded(world.service() + "/s/nope"))
                .as("no element, no script")
                .isZero();
        String key = LiveSearch.of(world, "Light", List.of("kitchen"), Map.of("filters", """
                [{"head": {"key": "course", "label": "Course"}, "source": {"of": "category", "field": "course"}}]"""));
        try (OnePageSite site = OnePageSite.of("""
                <!doctype html><html lang="en"><head><meta charset="utf-8"><title>Box</title>
                <script type="module" src="%1$s/elements/tidy-lantern.js"></script></head><body>
                <tidy-search search="%2$s"></tidy-search></body></html>""".formatted(world.service(), key), Map.of())) {
            world.allow(site.address());
            assertThat(loaded(site.address() + "/")).isBetween(1_000L, 12_000L);
        }
        assertThat(loaded(world.service() + "/s/" + key))
                .as("results and a filter")
                .isBetween(1_000L, 50_000L);
    }

    /** What was asked of a search since the page came, as the addresses say it. */
    private static List<?> resultsAsked() {
        return (List<?>) Objects.requireNonNull(wide.script("""
                return performance.getEntriesByType('resource').map(one => new URL(one.name))
                  .filter(one => one.pathname.endsWith('/results')).map(one => one.search)"""));
    }

    @Test
    void boxFiltersAndResultsOfOnePageAskOnceForWhatTheyShow() throws Exception {
        String key = LiveSearch.of(world, "Asked once", List.of("kitchen"), Map.of("filters", """
                [{"head": {"key": "course", "label": "Course"}, "source": {"of": "category", "field": "course"},
                  "shown": {"page": "side", "box": true, "home": true}}]"""));
        try (OnePageSite site = OnePageSite.of("""
                <!doctype html><html lang="en"><head><meta charset="utf-8"><title>All three</title>
                <script type="module" src="%1$s/elements/tidy-lantern.js"></script></head><body>
                <tidy-search search="%2$s"></tidy-search><tidy-filters search="%2$s"></tidy-filters>
                <tidy-results search="%2$s"></tidy-results></body></html>""".formatted(world.service(), key), Map.of())) {
            world.allow(site.address());
            wide.open(site.address() + "/?page=2");
            wide.see(wide.inside("tidy-search"), "input[type=search]").click();
            for (String element : List.of("tidy-search", "tidy-filters", "tidy-results")) {
                wide.see(wide.inside(element), "fieldset label");
            }
            wide.see(wide.inside("tidy-results"), ".card");
            assertThat(resultsAsked()).as("all three drawn").isEqualTo(List.of("?q=&page=2"));
            wide.see(wide.inside("tidy-filters"), "fieldset label").click();
            wide.untilTexts(wide.inside("tidy-results"), ".set, .active button", texts -> !texts.isEmpty());
            wide.until("narrowed", () -> resultsAsked().size() > 1);
            wide.script("return new Promise(done => requestIdleCallback(done))");
            assertThat(resultsAsked()).as("narrowed by one").hasSize(2);
        }
    }
}
