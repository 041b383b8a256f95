package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.SearchContext;
import tidylantern.server.Api;
import tidylantern.server.Designs;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A draft on the site's own pages before it is published: on test pages, and for a share of visitors. */
@Order(5)
@ExtendWith(SharedDemo.class)
class EarlyLooksTest {
    private static final Map<String, String> JSON = Map.of("Content-Type", "application/json");
    private static DemoWorld world;
    private static Browser browser;
    private String owner;
    private String tags;

    @BeforeAll
    static void start(DemoWorld shared) {
        world = shared;
        browser = Browser.wide();
        browser.signIn(world.service());
    }

    @AfterAll
    static void stop() {
        browser.close();
    }

    /** Live it begins with a list, as a draft with nothing. */
    @BeforeEach
    void aSearchWithADraft() {
        String key = LiveSearch.of(world, "Looked at early", List.of("homes"), Map.of());
        owner = "/api/owner/searches/" + key;
        tags = "<tidy-search search=\"%1$s\"></tidy-search><tidy-results search=\"%1$s\"></tidy-results>"
                .formatted(key);
        Api.Answer draft = world.api().get(owner + "/draft");
        ObjectNode design = (ObjectNode) draft.json();
        ((ObjectNode) Designs.part(design, "page").path("start")).put("with", "nothing");
        world.api()
                .send(
                        "PUT",
                        owner + "/draft",
                        design.toString(),
                        Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
    }

    /** @param coin what every coin of the page's browser shows, from 0 to 1 */
    private String page(double coin) {
        return """
                <!doctype html><html lang="en"><head><meta charset="utf-8"><title>Homes</title>
                <meta name="viewport" content="width=device-width"><script>Math.random = () => %s</script>
                <script type="module" src="%s/elements/tidy-lantern.js"></script></head>
                <body><main><h1>Homes</h1>%s</main></body></html>""".formatted(coin, world.service(), tags);
    }

    private static SearchContext results(Browser visitor) {
        return visitor.inside("tidy-results");
    }

    private static void seesTheLiveVersion(Browser visitor) {
        visitor.untilTexts(results(visitor), ".card .title", titles -> !titles.isEmpty());
    }

    private static void seesTheDraft(Browser visitor) {
        visitor.until(
                "a list that begins with nothing",
                () -> results(visitor).findElements(By.cssSelector(".card")).isEmpty());
    }

    private String goLive() {
        return world.workbench(owner.substring(owner.indexOf("/searches/")) + "/go-live");
    }

    private JsonNode split() {
        return world.api().get(owner + "/split").json().path("split");
    }

    @Test
    void aTestPageShowsTheDraftAndSaysSoAndOtherPagesDoNot() throws IOException {
        try (OnePageSite site = new OnePageSite(page(0.5))) {
            world.allow(site.address());
            browser.open(goLive());
            browser.type(browser.see("#test-page"), site.address() + "/try");
            browser.press(Keys.ENTER);
            browser.seeText("ul[aria-label='Test pages'] a", site.address() + "/try");
            browser.mustBeAccessible("ways to show a draft before");

            browser.open(site.address() + "/try");
            assertThat(browser.texts(browser.inside("[data-tidy-draft]"), "p"))
                    .containsExactly("This is a test page: it shows your draft.");
            seesTheDraft(browser);
            browser.mustBeAccessible("a test page");
            browser.open(site.address() + "/");
            seesTheLiveVersion(browser);
            assertThat(browser.driver().findElements(By.cssSelector("[data-tidy-draft]")))
                    .isEmpty();

            world.api().send("PUT", owner + "/test-pages", "{\"addresses\":[\"%s\"]}".formatted(site.address()), JSON);
            browser.open(site.address() + "/");
            browser.inside("[data-tidy-draft]");
            seesTheDraft(browser);
        }
    }

    /** What is open is named, leads to its place, and can be left. */
    @Test
    void goLiveBeginsWithWhatIsOpen() {
        ObjectNode design = (ObjectNode) world.api().get(owner + "/draft").json();
        Designs.around(design, "tiers")
                .putArray("tiers")
                .addObject()
                .put("key", "gold")
                .put("name", "Gold")
                .putObject("looks")
                .putObject("ribbon")
                .put("text", "Gold");
        world.api()
                .send(
                        "PUT",
                        owner + "/draft",
                        design.toString(),
                        Map.of(
                                "Content-Type",
                                "application/json",
                                "If-Match",
                                world.api().get(owner + "/draft").header("ETag")));
        browser.open(goLive());
        // Weights of fields that homes do not have come first.
        browser.seeText("button", "more").click();
        browser.seeText("section[aria-label='This could be better'] p", "Nothing holds the tier \"Gold\" today");
        browser.mustBeAccessible("what is open in a search");
        browser.seeText("li:has(a[href$='/order#tiers']) a", "See to it").click();
        browser.until("the step of featured tiers", () -> browser.address().endsWith("/order#tiers"));
        browser.open(goLive());
        browser.seeText("button", "more").click();
        browser.seeText("li:has(a[href$='/order#tiers']) button", "Leave it so").click();
        browser.seeText("summary", "left as").click();
        browser.seeText("ul[aria-label='Left as it is'] button", "Look at it again");
    }

    @Test
    void eachBrowserDrawsItsSideOnceAndBothAreCounted() throws IOException {
        try (OnePageSite ofTheDraft = new OnePageSite(page(0.5));
                OnePageSite ofLive = new OnePageSite(page(0.7));
                Browser visitor = Browser.phone()) {
            world.allow(ofTheDraft.address());
            world.allow(ofLive.address());
            world.api()
                    .send(
                            "PUT",
                            owner + "/split",
                            "{\"percent\":60,\"ends\":\"%s\"}"
                                    .formatted(
                                            OffsetDateTime.now(ZoneOffset.UTC).plusDays(2)),
                            JSON);

            visitor.open(ofTheDraft.address() + "/");
            seesTheDraft(visitor);
            assertThat(visitor.driver().findElements(By.cssSelector("[data-tidy-draft]")))
                    .as("a visitor is told nothing")
                    .isEmpty();
            visitor.open(ofTheDraft.address() + "/again");
            seesTheDraft(visitor);
            visitor.see(visitor.inside("tidy-search"), "input").sendKeys("harbour", Keys.ENTER);
            seesTheLiveVersion(visitor);
            visitor.open(ofLive.address() + "/");
            seesTheLiveVersion(visitor);
            visitor.see(visitor.inside("tidy-search"), "input").sendKeys("zzqx", Keys.ENTER);
            visitor.until(
                    "the question of the live side",
                    () -> split().path("live").path("asked").asInt() > 0);

            assertThat(split().path("draft").toString()).isEqualTo("{\"asked\":1,\"foundNothing\":0,\"chose\":0}");
            assertThat(split().path("live").toString()).isEqualTo("{\"asked\":1,\"foundNothing\":1,\"chose\":0}");

            world.api().send("DELETE", owner + "/split", null, Map.of());
            visitor.open(ofTheDraft.address() + "/");
            seesTheLiveVersion(visitor);
        }
    }
}
