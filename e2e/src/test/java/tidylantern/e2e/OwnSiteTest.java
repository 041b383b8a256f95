package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.SearchContext;
import tidylantern.server.Api;
import tools.jackson.databind.node.ObjectNode;

/** A search on its owner's own pages: where it has arrived, which page shows its results, the draft for the owner. */
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
        String key = LiveSearch.of(
                world,
                "Recipes",
                List.of("kitchen"),
                Map.of(
                        "filters",
                        "[{\"key\": \"course\", \"label\": \"Course\", \"field\": \"course\"}]",
                        "page",
                        """
                        {"start": {"with": "category", "filter": "course", "value": "soup"},
                         "shows": {"box": true, "popular": {"filter": "course"}}}"""));
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
            choose("The results page", "Find a recipe · /recipes");
            browser.until("kept", () -> world.api()
                    .get("/api/owner/searches/" + key + "/draft")
                    .json()
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
        }
    }

    private static void choose(String label, String option) {
        browser.script("""
                const label = [...document.querySelectorAll('label')].find(one => one.textContent.trim() === arguments[0])
                document.getElementById(label.htmlFor).click()""", label);
        browser.seeText("[role=option]", option).click();
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
        ((ObjectNode) design.path("page").path("start")).put("with", "nothing");
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
}
