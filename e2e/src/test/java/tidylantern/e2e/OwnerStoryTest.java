package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.SearchContext;
import org.openqa.selenium.WebElement;

/**
 * From a decision to a visitor: an owner changes a weight, sees it on the stage, publishes, and finds it on the site.
 */
@Order(1)
class OwnerStoryTest {
    private static final String QUERY = "lighthouse";
    private static DemoWorld world;

    @BeforeAll
    static void start(@TempDir Path data) {
        world = new DemoWorld(data);
    }

    @AfterAll
    static void stop() {
        world.close();
    }

    /** Each story begins with the demo's search as it was made. */
    @AfterEach
    void restore() {
        world.restoreSearch();
    }

    private static List<String> titles(Browser browser, SearchContext results) {
        return browser.texts(results, ".card h3");
    }

    private static void ask(Browser browser, String words) {
        WebElement input = browser.see(browser.inside("tidy-search"), "input");
        browser.type(input, words);
        input.sendKeys(Keys.ENTER);
    }

    @Test
    void aChangedWeightReachesTheStageAtOnceAndVisitorsWhenPublished() {
        try (Browser browser = Browser.wide()) {
            browser.open(world.site() + "/search?q=" + QUERY);
            SearchContext visitors = browser.inside("tidy-results");
            browser.untilTexts(visitors, ".card h3", texts -> !texts.isEmpty());
            List<String> before = titles(browser, visitors);

            browser.signIn(world.service());
            browser.seeText("a", "Island search").click();
            browser.seeText("nav.path a", "Words").click();
            browser.enterStage();
            ask(browser, QUERY);
            SearchContext stage = browser.inside("tidy-results");
            browser.untilTexts(stage, ".card h3", texts -> texts.equals(before));
            browser.leaveFrame();

            // Title down to 0 with the keyboard: its words no longer lift an item.
            WebElement title = browser.see("[role=slider][aria-labelledby=weight-title]");
            title.sendKeys(Keys.HOME);
            browser.untilTexts(
                    browser.driver(), "output[aria-label='Weight of Title']", texts -> texts.equals(List.of("0")));
            browser.enterStage();
            SearchContext changed = browser.inside("tidy-results");
            browser.untilTexts(changed, ".card h3", texts -> !texts.isEmpty() && !texts.equals(before));
            List<String> after = titles(browser, changed);
            browser.leaveFrame();
            browser.seeText(".chip", "1 change not live");

            assertThat(world.api()
                            .results("island-search", QUERY)
                            .json()
                            .path("hits")
                            .get(0)
                            .path("title")
                            .asString())
                    .as("visitors, before publishing")
                    .isEqualTo(before.getFirst());

            browser.seeText("button", "Look over and publish").click();
            browser.untilTexts(
                    browser.driver(),
                    "[role=dialog] tbody td",
                    texts -> texts.equals(List.of("Weight of Title", "5", "0")));
            browser.seeText("[role=dialog] button", "Publish").click();
            browser.seeText("[role=dialog]", "It is live");
            browser.seeText("[role=dialog] button", "Close").click();
            browser.seeText(".chip", "Live as designed");

            browser.open(world.site() + "/");
            ask(browser, QUERY);
            browser.until("the site's own results page", () -> browser.address()
                    .startsWith(world.site() + "/search?q=" + QUERY));
            SearchContext published = browser.inside("tidy-results");
            browser.untilTexts(published, ".card h3", texts -> texts.equals(after));
            assertThat(browser.consoleErrors()).isEmpty();
        }
    }

    @Test
    void changesAreKeptAsTheyAreMadeAndCanBeUndoneAndRedone() {
        try (Browser browser = Browser.wide()) {
            browser.signIn(world.service());
            browser.open(world.workbench("/searches/island-search/what-is-searched"));
            browser.seeText(".sum", "275 of 275");
            browser.driver().findElement(By.id("reach-homes")).sendKeys(Keys.SPACE);
            browser.seeText(".sum", "214 of 275");
            browser.until("kept by the service", () -> !world.api()
                    .get("/api/owner/searches/island-search/draft")
                    .json()
                    .path("reach")
                    .toString()
                    .contains("\"homes\""));
            browser.see(".stage");
            browser.see("h2").click();
            browser.chord(Keys.CONTROL, "z");
            browser.seeText(".sum", "275 of 275");
            browser.until("undone at the service", () -> world.api()
                    .get("/api/owner/searches/island-search/draft")
                    .json()
                    .path("reach")
                    .toString()
                    .contains("\"homes\""));
            browser.see("[aria-label=Redo]").click();
            browser.seeText(".sum", "214 of 275");
            browser.until("redone at the service", () -> !world.api()
                    .get("/api/owner/searches/island-search/draft")
                    .json()
                    .path("reach")
                    .toString()
                    .contains("\"homes\""));
        }
    }

    @Test
    void whyNamesTheFieldThatIsNotSearchedAndOneClickSearchesIt() {
        try (Browser browser = Browser.wide()) {
            browser.signIn(world.service());
            browser.open(world.workbench("/searches/island-search/words"));
            browser.enterStage();
            ask(browser, "hammock");
            browser.untilTexts(browser.inside("tidy-results"), ".again", texts -> !texts.isEmpty());
            browser.leaveFrame();
            browser.seeText("button", "Why?").click();
            assertThat(browser.see("#why-words").getDomProperty("value"))
                    .as("what stands on the stage")
                    .isEqualTo("hammock");
            browser.see("#why-item").sendKeys("ropewalk");
            browser.seeText("[role=option]", "Orrel Ropewalk").click();
            browser.seeText(".reason", "“hammock” stands in Reviews, which is not searched.");
            browser.seeText(".reason li", "then place 1 · 1 result instead of 0");
            browser.mustBeAccessible("why an item is not found");
            browser.seeText("button", "Search Reviews").click();
            browser.seeText(".verdict", "Found at place 1");
            browser.seeText(".word", "the word itself: hammock");
            browser.mustBeAccessible("why an item is found");
            browser.enterStage();
            browser.untilTexts(
                    browser.inside("tidy-results"), ".card h3", texts -> texts.equals(List.of("Orrel Ropewalk")));
            browser.leaveFrame();
            assertThat(world.api().results("island-search", "hammock").hits())
                    .as("visitors, before publishing")
                    .isEmpty();

            // What was won is kept as a trial, so that a later change that would lose it is caught before publishing.
            browser.seeText("button", "Keep as a trial").click();
            browser.seeText(".trial", "A trial of this is kept.");
            browser.see(".why [aria-label=Close]").click();
            browser.seeText(".strip .sum", "13 of 13 hold");
            browser.seeText("nav.path a", "Words").click();
            browser.see("[role=slider][aria-labelledby=weight-reviews]").sendKeys(Keys.HOME);
            browser.seeText(".strip .sum", "12 of 13 hold");
            browser.seeText(".strip .fails", "hammock");
            browser.seeText("button", "Look over and publish").click();
            browser.seeText("[role=dialog] .remark", "“hammock”: “Orrel Ropewalk” comes first, but nothing found");
            browser.mustBeAccessible("publishing with a failing trial");
            browser.seeText("[role=dialog] button", "Publish all the same");
            browser.seeText("[role=dialog] button", "Not yet").click();
            browser.until("the dialog is gone", () -> browser.driver()
                    .findElements(By.cssSelector("[role=dialog]"))
                    .isEmpty());
            browser.see("[role=slider][aria-labelledby=weight-reviews]").sendKeys(Keys.ARROW_RIGHT);
            browser.seeText(".strip .sum", "13 of 13 hold");
            browser.seeText("button", "Look over and publish").click();
            browser.seeText("[role=dialog] button", "Publish").click();
            browser.seeText("[role=dialog]", "It is live");
            assertThat(world.api().results("island-search", "hammock").hits())
                    .as("visitors, after publishing")
                    .containsExactly("makers-001");
        }
    }

    @Test
    void aHitThatShouldNotBeThereIsLeftOutAndLetInAgain() {
        try (Browser browser = Browser.wide()) {
            browser.signIn(world.service());
            browser.open(world.workbench("/searches/island-search/words"));
            browser.seeText("button", "Why?").click();
            browser.see("#why-words").sendKeys("ropewalk");
            browser.see("#why-item").sendKeys("ropewalk");
            browser.seeText("[role=option]", "Orrel Ropewalk").click();
            browser.seeText(".verdict", "Found at place 1");
            browser.see("[aria-label='Leave out this item']").click();
            browser.seeText(".reason", "A rule leaves it out: this item.");
            browser.seeText("button", "Take the rule back").click();
            browser.seeText(".verdict", "Found at place 1");
        }
    }

    @Test
    void trialsAreKeptFromTheStageByHandAndFromATable(@TempDir Path data) throws Exception {
        try (Browser browser = Browser.wide()) {
            browser.signIn(world.service());
            browser.open(world.workbench("/searches/island-search/words"));
            browser.seeText(".strip .sum", "12 of 12 hold");
            browser.enterStage();
            ask(browser, "stargazing");
            browser.untilTexts(browser.inside("tidy-results"), ".card h3", texts -> !texts.isEmpty());
            browser.leaveFrame();
            browser.seeText(".strip .keep", "keep “stargazing”").click();
            browser.seeText(".strip .sum", "13 of 13 hold");
            browser.seeText(".strip a", "Trials").click();
            browser.seeText(".outcomes", "stargazing");
            browser.mustBeAccessible("trials");

            browser.seeText("button", "New trial").click();
            browser.see("#trial-query").sendKeys("lamp cottage");
            browser.see("#trial-item").sendKeys("Lamp Cott");
            browser.seeText("[role=option]", "Lamp Cottage").click();
            browser.until("the list is closed", () -> browser.driver()
                    .findElements(By.cssSelector("[role=option]"))
                    .isEmpty());
            browser.mustBeAccessible("a new trial");
            browser.seeText("form button", "Keep").click();
            browser.seeText(".outcomes", "“Lamp Cottage” within the first 3");
            browser.see("[aria-label='Take away the trial regatta']").click();
            browser.until(
                    "it is gone", () -> !browser.see(".outcomes").getText().contains("regatta"));

            Path table = java.nio.file.Files.writeString(
                    data.resolve("trials.csv"), "query,item,rank\nviolin,makers-019,3\nbees,nowhere,1\n");
            browser.driver().findElement(By.cssSelector("input[type=file]")).sendKeys(table.toString());
            browser.seeText("[role=alert]", "Row 3: There is no item \"nowhere\"");
            java.nio.file.Files.writeString(table, "query,item,rank\nviolin,makers-019,3\nbees,outings-020,5\n");
            browser.driver().findElement(By.cssSelector("input[type=file]")).sendKeys(table.toString());
            browser.seeText(".files", "2 trials added.");
            browser.seeText(".strip .sum", "15 of 15 hold");
            browser.seeText(".outcomes .query", "violin").click();
            browser.enterStage();
            browser.untilTexts(
                    browser.inside("tidy-results"), ".heading", texts -> texts.equals(List.of("Results for “violin”")));
            browser.leaveFrame();
        }
    }

    @Test
    void aFilterIsAddedFromTheContentAndItsNumbersHoldWhenClicked() {
        try (Browser browser = Browser.wide()) {
            browser.signIn(world.service());
            browser.open(world.workbench("/searches/island-search/filters"));
            browser.see("[aria-label='Add Course']").click();
            browser.seeText(".filters .name", "Course").isDisplayed();
            browser.see(".filters li:last-child .name").click();
            browser.mustBeAccessible("a filter being set up");
            browser.see("[aria-label='Move Course up']").click();
            browser.seeText(".filters li:nth-child(3)", "Course");
            browser.seeText(".values li", "Main")
                    .findElement(By.cssSelector("input"))
                    .click();
            browser.seeText(".filters .name", "left out, in 13 items");
            browser.until("kept by the service", () -> world.api()
                    .get("/api/owner/searches/island-search/draft")
                    .text()
                    .contains("\"except\":[\"main"));
            browser.seeText("button", "Look over and publish").click();
            browser.seeText("[role=dialog] tbody", "Filter Course");
            browser.seeText("[role=dialog] button", "Publish").click();
            browser.seeText("[role=dialog]", "It is live");

            browser.open(world.site() + "/search?q=soup");
            SearchContext results = browser.inside("tidy-results");
            browser.untilTexts(results, ".filter legend", texts -> texts.containsAll(List.of("Island", "Course")));
            assertThat(browser.texts(results, ".filter label"))
                    .as("taken off the list")
                    .doesNotContain("Main");
            assertThat(browser.consoleErrors()).isEmpty();
        }
    }

    @Test
    void anOwnersSynonymsAndStopWordsHoldAtOnce() {
        try (Browser browser = Browser.wide()) {
            browser.signIn(world.service());
            browser.open(world.workbench("/searches/island-search/words"));
            browser.enterStage();
            ask(browser, "zzqxw");
            browser.untilTexts(browser.inside("tidy-results"), ".again", texts -> !texts.isEmpty());
            browser.leaveFrame();
            WebElement words = browser.see("[aria-label='Words that mean the same']");
            words.sendKeys("zzqxw, lighthouse", Keys.ENTER);
            browser.seeText("[aria-label=Synonyms]", "zzqxw = lighthouse");
            browser.enterStage();
            browser.untilTexts(browser.inside("tidy-results"), ".card mark", texts -> texts.stream()
                    .anyMatch(text -> text.toLowerCase(java.util.Locale.ROOT).startsWith("lighthouse")));
            browser.leaveFrame();
            browser.seeText("button", "Take the list for English").click();
            browser.seeText("[aria-label='Stop words']", "the");
            browser.mustBeAccessible("synonyms and stop words");
            browser.until("kept by the service", () -> world.api()
                    .get("/api/owner/searches/island-search/draft")
                    .text()
                    .contains("\"the\""));
            assertThat(world.api()
                            .get("/api/owner/searches/island-search/draft/synonyms.csv")
                            .text()
                            .strip())
                    .isEqualTo("=,zzqxw,lighthouse");
        }
    }

    @Test
    void twoPeopleNeverOverwriteOneAnotherUnseen() {
        try (Browser browser = Browser.wide()) {
            browser.signIn(world.service());
            browser.open(world.workbench("/searches/island-search/what-is-searched"));
            browser.seeText(".sum", "275 of 275");
            var draft = world.api().get("/api/owner/searches/island-search/draft");
            world.api()
                    .send(
                            "PUT",
                            "/api/owner/searches/island-search/draft",
                            draft.text().replace("\"perPage\":10", "\"perPage\":20"),
                            java.util.Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
            browser.driver().findElement(By.id("reach-homes")).sendKeys(Keys.SPACE);
            browser.seeText("[role=alert]", "changed elsewhere");
            browser.seeText("button", "Read the draft again").click();
            browser.seeText(".sum", "275 of 275");
            assertThat(world.api()
                            .get("/api/owner/searches/island-search/draft")
                            .text())
                    .contains("\"perPage\":20")
                    .contains("\"homes\"");
        }
    }

    @Test
    void keysLeadEverywhere() {
        try (Browser browser = Browser.wide()) {
            browser.signIn(world.service());
            browser.open(world.workbench("/searches/island-search/what-is-searched"));
            browser.seeText("h2", "What is searched");
            browser.press("]");
            browser.seeText(".decisions h2", "Words");
            browser.press("[");
            browser.seeText(".decisions h2", "What is searched");
            browser.press("?");
            browser.seeText("[role=dialog]", "Keys");
            browser.press(Keys.ESCAPE);
            browser.until("the list of keys is gone", () -> browser.driver()
                    .findElements(By.cssSelector("[role=dialog]"))
                    .isEmpty());
            browser.press("/");
            browser.press("puffin");
            browser.enterStage();
            browser.untilTexts(browser.inside("tidy-search"), ".row .title", texts -> texts.stream()
                    .anyMatch(text -> text.contains("Puffin")));
            browser.leaveFrame();
            browser.see(".decisions h2").click();
            browser.chord(Keys.CONTROL, "k");
            browser.until("the focus is in the field", () -> "combobox"
                    .equals(browser.driver().switchTo().activeElement().getDomAttribute("role")));
            browser.press("content homes");
            browser.seeText("[role=option]", "Content: Homes");
            browser.press(Keys.ENTER);
            browser.seeText("h1", "Homes");
            browser.see("input[type=search]").sendKeys("lamp");
            browser.untilTexts(browser.driver(), "tbody .title", texts -> texts.equals(List.of("Lamp Cottage")));
        }
    }
}
