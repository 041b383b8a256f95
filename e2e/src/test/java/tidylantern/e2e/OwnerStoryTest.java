package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.SearchContext;
import org.openqa.selenium.WebElement;

/** From a decision to a visitor: an owner changes a weight, sees it on the stage, publishes, and finds it on the site. */
class OwnerStoryTest {
    private static final String QUERY = "lighthouse";

    private static List<String> titles(Browser browser, SearchContext results) {
        return browser.texts(results, ".card h3");
    }

    private static void ask(Browser browser, String words) {
        WebElement input = browser.see(browser.inside("tidy-search"), "input");
        browser.type(input, words);
        input.sendKeys(Keys.ENTER);
    }

    @Test
    void aChangedWeightReachesTheStageAtOnceAndVisitorsWhenPublished(@TempDir Path data) {
        try (DemoWorld world = new DemoWorld(data); Browser browser = Browser.wide()) {
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
            browser.untilTexts(browser.driver(), "output[aria-label='Weight of Title']", texts -> texts.equals(List.of("0")));
            browser.enterStage();
            SearchContext changed = browser.inside("tidy-results");
            browser.untilTexts(changed, ".card h3", texts -> !texts.isEmpty() && !texts.equals(before));
            List<String> after = titles(browser, changed);
            browser.leaveFrame();
            browser.seeText(".chip", "1 change not live");

            assertThat(world.api().results("island-search", QUERY).json().path("hits").get(0).path("title").asString()).as("visitors, before publishing").isEqualTo(before.getFirst());

            browser.seeText("button", "Look over and publish").click();
            browser.untilTexts(browser.driver(), "[role=dialog] tbody td", texts -> texts.equals(List.of("Weight of title", "5", "not there")));
            browser.seeText("[role=dialog] button", "Publish").click();
            browser.seeText("[role=dialog]", "It is live");
            browser.seeText("[role=dialog] button", "Close").click();
            browser.seeText(".chip", "Live as designed");

            browser.open(world.site() + "/");
            ask(browser, QUERY);
            browser.until("the site's own results page", () -> browser.address().startsWith(world.site() + "/search?q=" + QUERY));
            SearchContext published = browser.inside("tidy-results");
            browser.untilTexts(published, ".card h3", texts -> texts.equals(after));
            assertThat(browser.consoleErrors()).isEmpty();
        }
    }

    @Test
    void changesAreKeptAsTheyAreMadeAndCanBeUndoneAndRedone(@TempDir Path data) {
        try (DemoWorld world = new DemoWorld(data); Browser browser = Browser.wide()) {
            browser.signIn(world.service());
            browser.open(world.workbench("/searches/island-search/what-is-searched"));
            browser.seeText(".sum", "275 of 275");
            browser.driver().findElement(By.id("reach-homes")).sendKeys(Keys.SPACE);
            browser.seeText(".sum", "214 of 275");
            browser.until("kept by the service", () -> !world.api().get("/api/owner/searches/island-search/draft").text().contains("\"homes\""));
            browser.see(".stage");
            browser.see("h2").click();
            browser.chord(Keys.CONTROL, "z");
            browser.seeText(".sum", "275 of 275");
            browser.until("undone at the service", () -> world.api().get("/api/owner/searches/island-search/draft").text().contains("\"homes\""));
            browser.see("[aria-label=Redo]").click();
            browser.seeText(".sum", "214 of 275");
            browser.until("redone at the service", () -> !world.api().get("/api/owner/searches/island-search/draft").text().contains("\"homes\""));
        }
    }

    @Test
    void whyNamesTheFieldThatIsNotSearchedAndOneClickSearchesIt(@TempDir Path data) {
        try (DemoWorld world = new DemoWorld(data); Browser browser = Browser.wide()) {
            browser.signIn(world.service());
            browser.open(world.workbench("/searches/island-search/words"));
            browser.enterStage();
            ask(browser, "hammock");
            browser.untilTexts(browser.inside("tidy-results"), ".again", texts -> !texts.isEmpty());
            browser.leaveFrame();
            browser.seeText("button", "Why?").click();
            assertThat(browser.see("#why-words").getDomProperty("value")).as("what stands on the stage").isEqualTo("hammock");
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
            browser.untilTexts(browser.inside("tidy-results"), ".card h3", texts -> texts.equals(List.of("Orrel Ropewalk")));
            browser.leaveFrame();
            assertThat(world.api().results("island-search", "hammock").hits()).as("visitors, before publishing").isEmpty();

            browser.see("[aria-label='Leave out this item']").click();
            browser.seeText(".reason", "A rule leaves it out: this item.");
            browser.seeText("button", "Take the rule back").click();
            browser.seeText(".verdict", "Found at place 1");
        }
    }

    @Test
    void anOwnersSynonymsAndStopWordsHoldAtOnce(@TempDir Path data) {
        try (DemoWorld world = new DemoWorld(data); Browser browser = Browser.wide()) {
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
            browser.untilTexts(browser.inside("tidy-results"), ".card mark", texts -> texts.stream().anyMatch(text -> text.toLowerCase(java.util.Locale.ROOT).startsWith("lighthouse")));
            browser.leaveFrame();
            browser.seeText("button", "Take the list for English").click();
            browser.seeText("[aria-label='Stop words']", "the");
            browser.mustBeAccessible("synonyms and stop words");
            browser.until("kept by the service", () -> world.api().get("/api/owner/searches/island-search/draft").text().contains("\"the\""));
            assertThat(world.api().get("/api/owner/searches/island-search/draft/synonyms.csv").text().strip()).isEqualTo("=,zzqxw,lighthouse");
        }
    }

    @Test
    void twoPeopleNeverOverwriteOneAnotherUnseen(@TempDir Path data) {
        try (DemoWorld world = new DemoWorld(data); Browser browser = Browser.wide()) {
            browser.signIn(world.service());
            browser.open(world.workbench("/searches/island-search/what-is-searched"));
            browser.seeText(".sum", "275 of 275");
            var draft = world.api().get("/api/owner/searches/island-search/draft");
            world.api().send("PUT", "/api/owner/searches/island-search/draft", draft.text().replace("\"perPage\":10", "\"perPage\":20"),
                    java.util.Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
            browser.driver().findElement(By.id("reach-homes")).sendKeys(Keys.SPACE);
            browser.seeText("[role=alert]", "changed elsewhere");
            browser.seeText("button", "Read the draft again").click();
            browser.seeText(".sum", "275 of 275");
            assertThat(world.api().get("/api/owner/searches/island-search/draft").text()).contains("\"perPage\":20").contains("\"homes\"");
        }
    }

    @Test
    void keysLeadEverywhere(@TempDir Path data) {
        try (DemoWorld world = new DemoWorld(data); Browser browser = Browser.wide()) {
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
            browser.until("the list of keys is gone", () -> browser.driver().findElements(By.cssSelector("[role=dialog]")).isEmpty());
            browser.press("/");
            browser.press("puffin");
            browser.enterStage();
            browser.untilTexts(browser.inside("tidy-search"), ".row .name", texts -> texts.stream().anyMatch(text -> text.contains("Puffin")));
            browser.leaveFrame();
            browser.see(".decisions h2").click();
            browser.chord(Keys.CONTROL, "k");
            browser.until("the focus is in the field", () -> "combobox".equals(browser.driver().switchTo().activeElement().getDomAttribute("role")));
            browser.press("content homes");
            browser.seeText("[role=option]", "Content: Homes");
            browser.press(Keys.ENTER);
            browser.seeText("h1", "Homes");
            browser.see("input[type=search]").sendKeys("lamp");
            browser.untilTexts(browser.driver(), "tbody .title", texts -> texts.equals(List.of("Lamp Cottage")));
        }
    }

    @Test
    void anEmptyInstallationIsSetUpInTheBrowser(@TempDir Path data) {
        try (var service = tidylantern.server.RunningService.empty(data); Browser browser = Browser.wide()) {
            browser.open(service.address());
            browser.see("#site-name").sendKeys("Cove");
            browser.type(browser.see("#site-address"), "https://cove.example");
            browser.see("#name").sendKeys("Perpetua");
            browser.see("#password").sendKeys("short");
            browser.see("button[type=submit]").click();
            browser.seeText("[role=alert]", "10 to 72 characters");
            browser.mustBeAccessible("first start");
            browser.type(browser.see("#password"), "long enough by far");
            browser.see("button[type=submit]").click();
            browser.seeText("h2", "Make the first search");
            browser.mustBeAccessible("searches, none yet");
            browser.seeText("nav a", "Content").click();
            browser.seeText("h2", "Bring in what your site has");
            browser.mustBeAccessible("content, none yet");
        }
    }
}
