package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.SearchContext;
import org.openqa.selenium.WebElement;
import tidylantern.server.Api;
import tidylantern.server.Designs;
import tools.jackson.databind.node.ObjectNode;

/** A search on its owner's own pages: where it has arrived, which page shows its results, the draft for the owner. */
@Order(5)
@ExtendWith(SharedDemo.class)
class OwnSiteTest {
    private static DemoWorld world;
    private static Browser browser;

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

    private static SearchContext results() {
        return browser.inside("tidy-results");
    }

    private static String html(String title, String body) {
        return """
                <!doctype html><html lang="en"><head><meta charset="utf-8"><title>%s</title>
                <meta name="viewport" content="width=device-width"></head><body><main><h1>%s</h1>%s</main></body></html>""".formatted(title, title, body);
    }

    private static String script() {
        return "<script type=\"module\" src=\"" + world.service() + "/elements/tidy-lantern.js\"></script>";
    }

    /** From a new search to the site's own page, with what leads on where nothing is found. */
    @Test
    void aRecipePageIsChosenByItsNameAndLeadsOnWhereNothingIsFound() throws IOException {
        OwnerAtWork owner = OwnerAtWork.onNewSearch(world, browser, "Recipes", "kitchen");
        String key = owner.at("Filters")
                .filter("Course")
                .at("Results page")
                .choose("Before anything is typed", "One category")
                .press("Around the results")
                .turn("A box to search again")
                .choose("Popular categories", "Course")
                .publish();
        String tags = "<tidy-results search=\"%s\"></tidy-results>".formatted(key);
        try (OnePageSite site = new OnePageSite(html("Find a recipe", script() + tags))) {
            world.allow(site.address());
            browser.open(site.address() + "/recipes");
            browser.untilTexts(results(), ".card .title", titles -> !titles.isEmpty());
            browser.mustBeAccessible("a recipe page");
            browser.until(
                    "met",
                    () -> world.api()
                                    .get("/api/owner/searches/" + key + "/pages")
                                    .json()
                                    .size()
                            == 1);

            browser.open(world.workbench("/searches/" + key + "/go-live"));
            browser.seeText(".met a", "Find a recipe");
            browser.mustBeAccessible("where the search has arrived");
            browser.open(world.workbench("/searches/" + key + "/search-box#leads"));
            browser.seeText("label", "The results page");
            owner.choose("The results page", "Find a recipe · /recipes");
            browser.until("kept", () -> world.api()
                    .get("/api/owner/searches/" + key + "/draft")
                    .json()
                    .path("places")
                    .path("page")
                    .path("address")
                    .asString("")
                    .equals("/recipes"));

            browser.open(site.address() + "/recipes?q=honey+zzzz");
            browser.untilTexts(results(), "[part=related] .card .title", titles -> !titles.isEmpty());
            browser.untilTexts(results(), "[part=popular] a", links -> !links.isEmpty());
            browser.mustBeAccessible("nothing found on the recipe page");
            browser.see(results(), "[part=popular] a").click();
            browser.untilTexts(results(), ".chip", chips -> !chips.isEmpty());
            assertThat(browser.consoleErrors()).isEmpty();

            try (Browser phone = Browser.phone()) {
                phone.open(site.address() + "/recipes?q=honey+zzzz");
                SearchContext onPhone = phone.inside("tidy-results");
                phone.untilTexts(onPhone, "[part=popular] a", links -> !links.isEmpty());
                phone.mustBeAccessible("nothing found on a phone");
                phone.see(onPhone, "[part=popular] a").click();
                phone.untilTexts(onPhone, ".card .title", titles -> !titles.isEmpty());
                assertThat(phone.address()).contains("course=");
            }
        }
    }

    /** A page of a framework's making: elements come, move, go and come back; its own script asks and listens. */
    @Test
    void aPageBuiltByScriptLoadsThePackageAndAsks(@TempDir Path folder) throws Exception {
        String key = LiveSearch.of(world, "By script", List.of("makers"), Map.of());
        String html = html("By script", """
                <div id="a"></div><div id="b"></div><script type="module">
                import { loadTidyLantern } from '/package.js'
                await loadTidyLantern('%s')
                window.told = []
                for (const name of ['tidy-query', 'tidy-results', 'tidy-choose'])
                  document.addEventListener(name, event => told.push(`${name} ${event.detail.query ?? ''}`.trim()))
                window.list = Object.assign(document.createElement('tidy-results'), { search: '%s' })
                document.querySelector('#a').append(list)
                window.box = Object.assign(document.createElement('tidy-search'), { search: '%s' })
                </script>""".formatted(world.service(), key, key));
        try (OnePageSite site = new OnePageSite(html)) {
            site.serve("/package.js", "text/javascript", Files.readString(installed(folder)));
            world.allow(site.address());
            browser.open(site.address() + "/");
            browser.untilTexts(results(), ".card .title", titles -> titles.size() == 10);

            browser.script("return list.ask('rope')");
            browser.untilTexts(results(), ".heading", texts -> texts.contains("Results for “rope”"));
            Object total = browser.script("return list.answer.total");
            assertThat(total).isInstanceOf(Long.class);
            assertThat(browser.texts(results(), ".count").getFirst()).startsWith(total + " result");
            assertThat(browser.script("return told"))
                    .asInstanceOf(org.assertj.core.api.InstanceOfAssertFactories.LIST)
                    .contains("tidy-query rope", "tidy-results");

            browser.script("document.querySelector('#b').append(list)");
            assertThat(browser.texts(results(), ".heading")).as("moved").containsExactly("Results for “rope”");
            browser.script("document.querySelector('#a').append(box)");
            SearchContext box = browser.inside("tidy-search");
            browser.until(
                    "a box that came later joins",
                    () -> browser.see(box, "input").getDomProperty("value").equals("rope"));
            browser.script("return box.ask('oak')");
            browser.untilTexts(results(), ".heading", texts -> texts.contains("Results for “oak”"));
            browser.script("list.remove()");
            browser.driver().navigate().back();
            browser.script("document.querySelector('#a').append(list)");
            browser.untilTexts(results(), ".heading", texts -> texts.contains("Results for “rope”"));
            assertThat(browser.consoleErrors()).isEmpty();
        }
    }

    /** The package as the build packed it, put into a project by npm. */
    private static Path installed(Path folder) throws Exception {
        try (Stream<Path> built = Files.list(Path.of("../web/dist"))) {
            Path packed = built.filter(one -> one.toString().endsWith(".tgz"))
                    .findFirst()
                    .orElseThrow();
            Process npm = new ProcessBuilder(
                            "npm",
                            "install",
                            "--offline",
                            "--no-audit",
                            "--no-fund",
                            packed.toRealPath().toString())
                    .directory(folder.toFile())
                    .redirectErrorStream(true)
                    .redirectOutput(folder.resolve("npm.log").toFile())
                    .start();
            assertThat(npm.waitFor(60, TimeUnit.SECONDS)).isTrue();
            assertThat(npm.exitValue())
                    .as(Files.readString(folder.resolve("npm.log")))
                    .isZero();
        }
        return folder.resolve("node_modules/tidy-lantern-elements/index.js");
    }

    @Test
    void ownersSeeTheirDraftOnTheirOwnPageAndVisitorsDoNot() {
        String key = LiveSearch.of(world, "Seen by owners", List.of("homes"), Map.of());
        String path = "/api/owner/searches/" + key + "/draft";
        Api.Answer draft = world.api().get(path);
        ObjectNode design = (ObjectNode) draft.json();
        ((ObjectNode) Designs.part(design, "page").path("start")).put("with", "nothing");
        world.api()
                .send(
                        "PUT",
                        path,
                        design.toString(),
                        Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
        String token =
                world.api().post(path + "/links", "").json().path("token").asString();
        String tags = "<tidy-search search=\"%1$s\"></tidy-search><tidy-results search=\"%1$s\"></tidy-results>";
        try (OnePageSite site = new OnePageSite(html("Homes", script() + tags.formatted(key)));
                Browser visitor = Browser.phone()) {
            world.allow(site.address());
            visitor.open(site.address() + "/");
            visitor.untilTexts(visitor.inside("tidy-results"), ".card .title", titles -> !titles.isEmpty());

            browser.open(site.address() + "/#tidy-draft=" + key + "." + token);
            SearchContext notice = browser.inside("[data-tidy-draft]");
            assertThat(browser.texts(notice, "p").getFirst()).startsWith("This page shows your draft.");
            assertThat(browser.address())
                    .as("the link is in no address that is passed on")
                    .doesNotContain("tidy-draft");
            browser.mustBeAccessible("a draft on the owner's page");
            browser.see(browser.inside("tidy-search"), "input").sendKeys("harbour", Keys.ENTER);
            browser.untilTexts(results(), ".card .title", titles -> !titles.isEmpty());
            browser.open(site.address() + "/other");
            browser.inside("[data-tidy-draft]");
            assertThat(results().findElements(By.cssSelector(".card")))
                    .as("the draft begins with nothing")
                    .isEmpty();
            browser.see(browser.inside("[data-tidy-draft]"), "button").click();
            browser.until("the page without the draft", () -> browser.driver()
                    .findElements(By.cssSelector("[data-tidy-draft]"))
                    .isEmpty());
            browser.untilTexts(results(), ".card .title", titles -> !titles.isEmpty());
        } catch (IOException failure) {
            throw new java.io.UncheckedIOException(failure);
        }
    }

    /**
     * Two searches of one site, each with its results page; a box in the header leads to the one that its tag names.
     */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void aSiteHasAResultsPageForEachSearch(boolean isPhone) {
        String recipes = LiveSearch.of(
                world,
                "Recipes of two",
                List.of("kitchen"),
                Map.of(
                        "box", """
                {"wide": {"opening": "over", "heading": true}}""",
                        "live", """
                {"where": "nowhere", "inList": true, "asking": {"pause": 60}}"""));
        String homes = LiveSearch.of(
                world,
                "Homes of two",
                List.of("homes"),
                Map.of(
                        "filters",
                                "[{\"head\": {\"key\": \"kind\", \"label\": \"Kind\"}, \"shown\": {\"home\": true}, \"source\": {\"of\": \"category\", \"field\": \"offer\"}}]",
                        "live", """
                {"grouped": false, "most": 6, "form": {"columns": 2, "gap": 8, "width": 640}}""",
                        // As the demo's search of homes has them, with price and picture.
                        "cards",
                                world.api()
                                        .get("/api/owner/searches/homes/draft")
                                        .json()
                                        .path("appearance")
                                        .path("cards")
                                        .toString()));
        String pair = "<tidy-search search=\"%1$s\"></tidy-search><tidy-results search=\"%1$s\"></tidy-results>";
        String home = """
                <header><tidy-search search="%s" results-page="/recipes"></tidy-search></header>
                <aside><tidy-filters search="%s" results-page="/stays"></tidy-filters></aside>""".formatted(recipes, homes);
        try (OnePageSite site = OnePageSite.of(html("Home", script() + home), Map.of());
                Browser visitor = isPhone ? Browser.phone() : Browser.wide()) {
            site.serve("/recipes", "text/html; charset=utf-8", html("Recipes", script() + pair.formatted(recipes)));
            site.serve("/stays", "text/html; charset=utf-8", html("Stays", script() + pair.formatted(homes)));
            world.allow(site.address());

            visitor.open(site.address() + "/");
            WebElement opener = visitor.see(visitor.inside("tidy-search"), ".opener");
            if (isPhone) {
                opener.click();
            } else {
                visitor.press(Keys.TAB);
                assertThat(visitor.script("return document.activeElement.shadowRoot.activeElement.className"))
                        .isEqualTo("opener");
                visitor.press(Keys.ENTER);
            }
            visitor.see(visitor.inside("tidy-search"), "dialog[open] input");
            visitor.mustBeAccessible("a box over the page");
            visitor.press("honey", Keys.ENTER);
            visitor.until("at the results page", () -> visitor.address().equals(site.address() + "/recipes?q=honey"));
            untilHeading(visitor, "Results for “honey”");
            visitor.see(visitor.inside("tidy-search"), ".opener").click();
            visitor.type(visitor.see(visitor.inside("tidy-search"), "dialog[open] input"), "soup");
            untilHeading(visitor, "Results for “soup”");
            assertThat(visitor.inside("tidy-search").findElements(By.cssSelector(".row")))
                    .isEmpty();

            visitor.open(site.address() + "/");
            visitor.see(visitor.inside("tidy-filters"), "input[type=checkbox]:enabled")
                    .click();
            visitor.see(visitor.inside("tidy-filters"), ".done").click();
            visitor.until("the other page", () -> visitor.address().startsWith(site.address() + "/stays?kind="));
            visitor.untilTexts(visitor.inside("tidy-results"), ".card .title", titles -> !titles.isEmpty());
            visitor.see(visitor.inside("tidy-search"), "input").sendKeys("the");
            visitor.untilTexts(
                    visitor.inside("tidy-search"),
                    ".row",
                    rows -> rows.size() > 1 && rows.stream().allMatch(row -> row.contains("€")));
            visitor.see(visitor.inside("tidy-search"), ".row img");
            visitor.mustBeAccessible("homes with price and picture in two columns");
            assertThat(visitor.consoleErrors()).isEmpty();
        }
    }

    private static void untilHeading(Browser visitor, String heading) {
        visitor.untilTexts(visitor.inside("tidy-results"), ".heading", texts -> texts.contains(heading));
    }

    /** An application of Vue, as npm has it: its data lead the elements, which come and go with them. */
    @Test
    void aFrameworksOwnPageUsesTheElementsAsItsOwn() throws IOException {
        String makers = LiveSearch.of(world, "Makers in a framework", List.of("makers"), Map.of());
        String kitchen = LiveSearch.of(world, "Kitchen in a framework", List.of("kitchen"), Map.of());
        String app = """
                <div id="app"></div>%s<script type="module">
                import { createApp } from '/vue.js'
                const app = createApp({
                  data: () => ({ key: '%s', shown: true, heard: [] }),
                  methods: { hear(event) { this.heard.push(event.detail.search) } },
                  template: `<button @click="shown = !shown">Show</button><button @click="key = '%s'">Other</button>
                    <tidy-search :search="key"></tidy-search>
                    <tidy-results v-if="shown" :search="key" @tidy-results="hear"></tidy-results>`,
                })
                app.config.compilerOptions.isCustomElement = tag => tag.startsWith('tidy-')
                window.view = app.mount('#app')
                </script>""".formatted(script(), makers, kitchen);
        try (OnePageSite site = OnePageSite.of(html("An app", app), Map.of())) {
            site.serve(
                    "/vue.js",
                    "text/javascript",
                    Files.readString(Path.of("../web/node_modules/vue/dist/vue.esm-browser.prod.js")));
            world.allow(site.address());
            browser.open(site.address() + "/?q=rope");
            untilHeading(browser, "Results for “rope”");
            browser.seeText("button", "Show").click();
            browser.until("gone", () -> browser.driver()
                    .findElements(By.cssSelector("tidy-results"))
                    .isEmpty());
            browser.seeText("button", "Show").click();
            untilHeading(browser, "Results for “rope”");
            browser.seeText("button", "Other").click();
            browser.until("another search", () -> browser.script("return [...view.heard]")
                    .equals(List.of(makers, makers, kitchen)));
            assertThat(browser.see("tidy-results").getDomProperty("search")).isEqualTo(kitchen);
            assertThat(browser.consoleErrors()).isEmpty();
        }
    }

    @Test
    void aPageThatLetsItselfNotBeFramedOpensInATabAndABookmarkPutsABoxIn() {
        try (OnePageSite site = OnePageSite.of(
                html("Shut", script() + "<tidy-search search=\"not-framed\"></tidy-search>"),
                Map.of("X-Frame-Options", "DENY"))) {
            site.serve("/bare", "text/html; charset=utf-8", html("Bare", "<p>Nothing of ours yet.</p>"));
            Api api = world.api().withSite("shut");
            api.put(
                    "/api/owner/sites/shut",
                    "{\"name\": \"Shut\", \"address\": \"%1$s\", \"origins\": [\"%1$s\"]}".formatted(site.address()));
            api.push("posts", "{\"id\": \"1\", \"title\": \"Fish soup\"}");
            String key = api.publishedSearch("Not framed");
            assertThat(key).isEqualTo("not-framed");
            browser.open(world.service() + "/workbench/shut/searches/" + key + "/search-box");
            browser.seeText("button", "Your page").click();
            WebElement page = browser.see("input[placeholder='A page of your site']");
            browser.until("its address", () -> !String.valueOf(page.getDomProperty("value"))
                    .isEmpty());
            browser.type(page, site.address() + "/");
            browser.press(Keys.TAB);
            browser.seeText("p", "This page does not let itself be shown within another one.");
            browser.mustBeAccessible("a page that is not framed");
            browser.type(page, site.address() + "/bare");
            browser.press(Keys.TAB);
            browser.seeText("p", "The script of the elements is not in this page yet");
            String bookmark = browser.see("a.bookmark").getDomAttribute("href");

            browser.open(site.address() + "/bare");
            browser.script(URLDecoder.decode(
                    bookmark.substring("javascript:".length()).replace("+", "%2B"), StandardCharsets.UTF_8));
            browser.see(browser.inside("tidy-search"), "input").sendKeys("soup");
            browser.untilTexts(browser.inside("tidy-search"), ".row .title", titles -> !titles.isEmpty());
            browser.inside("[data-tidy-draft]");
            browser.open(site.address() + "/");
            browser.inside("[data-tidy-draft]");

            assertThat(api.send("DELETE", "/api/owner/searches/" + key + "/draft/links", null, Map.of())
                            .status())
                    .isEqualTo(204);
            browser.open(site.address() + "/");
            browser.see(browser.inside("tidy-search"), "input");
            assertThat(browser.driver().findElements(By.cssSelector("[data-tidy-draft]")))
                    .as("what visitors see")
                    .isEmpty();
        }
    }
}
