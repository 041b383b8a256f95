package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.InstanceOfAssertFactories.LIST;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.SearchContext;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;

/** Where and how visitors meet a search: the box, live results and the results page, as an owner decided on them. */
@ExtendWith(SharedDemo.class)
class PlacesTest {
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

    private static String live(String name, List<String> collections, Map<String, String> parts) {
        return LiveSearch.of(world, name, collections, parts);
    }

    private static String page(String key) {
        return world.service() + "/s/" + key;
    }

    private static SearchContext box() {
        return browser.inside("tidy-search");
    }

    private static SearchContext results() {
        return browser.inside("tidy-results");
    }

    private static void untilCards(int count) {
        browser.untilTexts(results(), ".card .title", titles -> titles.size() == count);
    }

    private static String focused() {
        return String.valueOf(browser.script("""
                let at = document.activeElement
                while (at?.shadowRoot?.activeElement) at = at.shadowRoot.activeElement
                return at?.getAttribute('part') ?? at?.tagName"""));
    }

    private static String count() {
        return browser.see(results(), ".count").getText();
    }

    /** With keys alone; WAI-ARIA Authoring Practices, dialog (modal). */
    @Test
    void aBoxOpensFromASignOverThePageAndTheFocusComesBack() {
        OwnerAtWork owner = OwnerAtWork.onNewSearch(world, browser, "From a sign", "homes");
        String key = owner.at("Search box").key();
        browser.tabTo("From a sign");
        browser.press(Keys.ENTER);
        browser.see(".ready button[aria-pressed=true] .sign-only");
        browser.until("kept", () -> world.api()
                .get("/api/owner/searches/" + key + "/draft")
                .json()
                .path("places")
                .path("box")
                .path("wide")
                .path("opening")
                .asString()
                .equals("over"));
        owner.publish();
        browser.open(page(key));
        WebElement opener = browser.see(box(), ".opener");
        assertThat(opener.getDomAttribute("aria-haspopup")).isEqualTo("dialog");
        browser.mustBeAccessible("a sign that opens the box");

        for (int pressed = 0; pressed < 20 && !focused().equals("opener"); pressed++) {
            browser.press(Keys.TAB);
        }
        assertThat(focused()).isEqualTo("opener");
        browser.press(Keys.ENTER);
        browser.see(box(), "dialog.over-page[open] input");
        assertThat(focused()).isEqualTo("input");
        assertThat(browser.texts(box(), "dialog .box-heading")).containsExactly("What are you looking for?");
        browser.press("harbour");
        browser.untilTexts(box(), "dialog .row .title", titles -> !titles.isEmpty());
        browser.mustBeAccessible("the box over the page");
        for (int pressed = 0; pressed < 12; pressed++) {
            browser.press(Keys.TAB);
            assertThat(browser.script("""
                    const box = document.querySelector('tidy-search').shadowRoot
                    return document.activeElement === document.body || box.querySelector('dialog').contains(box.activeElement)"""))
                    .as("the page waits, whatever is tabbed to")
                    .isEqualTo(true);
        }
        browser.see(box(), "dialog input").sendKeys(Keys.ESCAPE);
        browser.until("closed", () -> box().findElements(By.cssSelector("dialog[open]"))
                .isEmpty());
        browser.until("the focus is back", () -> focused().equals("opener"));

        browser.press(Keys.ENTER);
        browser.type(browser.see(box(), "dialog input"), "garden");
        browser.press(Keys.ENTER);
        browser.untilTexts(results(), ".heading", texts -> texts.contains("Results for “garden”"));
        assertThat(box().findElements(By.cssSelector("dialog[open]"))).isEmpty();

        try (Browser phone = Browser.phone()) {
            phone.open(page(key));
            phone.see(phone.inside("tidy-search"), ".opener").click();
            phone.see(phone.inside("tidy-search"), "dialog input").sendKeys("sea");
            phone.untilTexts(phone.inside("tidy-search"), "dialog .row .title", titles -> !titles.isEmpty());
            phone.mustBeAccessible("the box over the page, on a phone");
        }
    }

    @Test
    void aBoxTakesThePlaceOfASignOrHangsBelowIt() {
        String key = live("In place", List.of("makers"), Map.of("box", """
                {"wide": {"opening": "in-place"}, "narrow": {"opening": "below"}, "narrowUpTo": 500}"""));
        browser.open(page(key));
        browser.see(box(), ".opener").click();
        browser.see(box(), ".box input");
        assertThat(focused()).isEqualTo("input");
        assertThat(box().findElements(By.cssSelector(".opener"))).isEmpty();
        browser.press("rope");
        browser.untilTexts(box(), ".row .title", titles -> !titles.isEmpty());
        browser.press(Keys.ESCAPE, Keys.ESCAPE, Keys.ESCAPE);
        browser.see(box(), ".opener");
        assertThat(focused()).isEqualTo("opener");

        try (Browser phone = Browser.phone()) {
            phone.open(page(key));
            WebElement opener = phone.see(phone.inside("tidy-search"), ".opener");
            assertThat(opener.getDomAttribute("aria-expanded")).isEqualTo("false");
            opener.click();
            WebElement awake = phone.see(phone.inside("tidy-search"), ".opener[aria-expanded=true]");
            phone.see(phone.inside("tidy-search"), ".opens-below > .asked input")
                    .sendKeys("rope");
            phone.untilTexts(phone.inside("tidy-search"), ".row .title", titles -> !titles.isEmpty());
            phone.mustBeAccessible("a box below its sign");
            phone.see("h1").click();
            phone.until("closed by turning away", () -> awake.getDomAttribute("aria-expanded")
                    .equals("false"));
        }
    }

    @Test
    void liveResultsStandInTwoColumnsWithTheRestBehindALine() {
        String key = live("Two columns", List.of("homes"), Map.of("live", """
                {"grouped": false, "most": 10, "first": 4, "form": {"columns": 2, "gap": 8, "width": 700}}"""));
        browser.open(page(key));
        WebElement input = browser.see(box(), "input");
        input.sendKeys("the");
        browser.untilTexts(box(), ".row .title", titles -> titles.size() == 4);
        List<WebElement> rows = box().findElements(By.cssSelector(".row"));
        assertThat(rows.get(0).getLocation().getY())
                .isEqualTo(rows.get(1).getLocation().getY());
        assertThat(rows.get(2).getLocation().getY())
                .isGreaterThan(rows.get(0).getLocation().getY());
        assertThat(box().findElement(By.cssSelector(".panel")).getSize().getWidth())
                .isEqualTo(700);
        assertThat(box().findElements(By.cssSelector(".group-label"))).isEmpty();
        browser.mustBeAccessible("live results in two columns");
        List<String> first = browser.texts(box(), ".row .title");
        assertThat(browser.texts(box(), ".more-rows")).containsExactly("Show 6 more");

        input.sendKeys(Keys.ARROW_UP, Keys.ARROW_UP);
        assertThat(box().findElement(By.id(input.getDomAttribute("aria-activedescendant")))
                        .getText())
                .isEqualTo("Show 6 more");
        input.sendKeys(Keys.ENTER);
        browser.untilTexts(
                box(),
                ".row .title",
                titles -> titles.size() == 10 && titles.subList(0, 4).equals(first));
        assertThat(box().findElement(By.id(input.getDomAttribute("aria-activedescendant")))
                        .getDomAttribute("class"))
                .as("one reads on at the first that came")
                .contains("row");
        try (Browser phone = Browser.phone()) {
            phone.open(page(key));
            phone.see(phone.inside("tidy-search"), "input").sendKeys("the");
            phone.untilTexts(phone.inside("tidy-search"), ".row .title", titles -> titles.size() == 4);
            WebElement panel = phone.see(phone.inside("tidy-search"), ".panel");
            assertThat(panel.getSize().getWidth()).isBetween(320, 390);
            assertThat(panel.getLocation().getX()).isNotNegative();
        }
    }

    @Test
    void withLiveResultsOffThePageGoesOnRefreshingAsOneTypes() {
        String key = live("Refreshing", List.of("kitchen"), Map.of("live", """
                {"where": "nowhere", "inList": true, "asking": {"pause": 60}}"""));
        browser.open(page(key) + "?q=honey");
        browser.untilTexts(results(), ".heading", texts -> texts.contains("Results for “honey”"));
        String honey = count();
        WebElement input = browser.see(box(), "input");
        assertThat(input.getDomAttribute("role")).as("there is no list to come").isNull();
        browser.type(input, "soup");
        browser.untilTexts(results(), ".heading", texts -> texts.contains("Results for “soup”"));
        assertThat(box().findElements(By.cssSelector(".panel"))).isEmpty();
        assertThat(browser.address()).endsWith("?q=soup");
        input.sendKeys(Keys.BACK_SPACE, Keys.BACK_SPACE, Keys.BACK_SPACE);
        browser.untilTexts(
                results(),
                ".heading",
                texts -> texts.contains("Everything, newest first") || texts.contains("Everything"));
        assertThat(input.getDomProperty("value")).as("what is typed stays").isEqualTo("s");
        browser.driver().navigate().back();
        browser.untilTexts(results(), ".heading", texts -> texts.contains("Results for “honey”"));
        browser.until("one step back is before the typing", () -> count().equals(honey));
    }

    @Test
    void backReturnsToTheSameWhereTheAddressSaysNothing() {
        String key = live(
                "Silent",
                List.of("homes"),
                Map.of(
                        "page", "{\"told\": {\"inAddress\": false}}",
                        "filters",
                                "[{\"head\": {\"key\": \"garden\", \"label\": \"Garden\"}, \"source\": {\"of\": \"yes-no\", \"field\": \"garden\"}}]"));
        browser.open(page(key));
        WebElement input = browser.see(box(), "input");
        browser.untilTexts(results(), ".count", texts -> !texts.isEmpty());
        input.sendKeys("harbour", Keys.ENTER);
        browser.untilTexts(results(), ".heading", texts -> texts.contains("Results for “harbour”"));
        String harbour = count();
        browser.see(results(), "[part~='filter-garden'] input").click();
        browser.untilTexts(results(), ".chip", chips -> chips.contains("Garden: Yes"));
        browser.until("fewer", () -> !count().equals(harbour));
        String narrowed = count();
        assertThat(browser.address()).isEqualTo(page(key));

        browser.driver().navigate().refresh();
        browser.untilTexts(results(), ".chip", chips -> chips.contains("Garden: Yes"));
        assertThat(count()).isEqualTo(narrowed);
        browser.driver().navigate().back();
        browser.until("without the filter", () -> count().equals(harbour));
        assertThat(browser.see(box(), "input").getDomProperty("value")).isEqualTo("harbour");
        browser.driver().navigate().forward();
        browser.until("with it again", () -> count().equals(narrowed));

        browser.open(page(key) + "?q=loft");
        browser.untilTexts(results(), ".heading", texts -> texts.contains("Results for “loft”"));
    }

    @Test
    void aListThatGrowsLeadsBackToTheSamePlace() {
        String key = live("Growing", List.of("homes"), Map.of("page", "{\"paging\": \"more\", \"perPage\": 10}"));
        browser.open(page(key) + "?q=the");
        untilCards(10);
        browser.see(results(), ".more-results button").click();
        untilCards(20);
        List<String> titles = browser.texts(results(), ".card .title");
        assertThat(titles).doesNotHaveDuplicates();
        assertThat(browser.script(
                        "return document.querySelector('tidy-results').shadowRoot.activeElement.textContent.trim()"))
                .as("one reads on at the first that came")
                .isEqualTo(titles.get(10));
        assertThat(browser.address()).endsWith("page=2");
        browser.mustBeAccessible("a list that has grown");
        WebElement link =
                results().findElements(By.cssSelector(".card .title a")).get(15);
        browser.script("arguments[0].scrollIntoView({block: 'center', behavior: 'instant'})", link);
        long place = ((Number) browser.script("return Math.round(scrollY)")).longValue();
        assertThat(place).isPositive();
        browser.script("arguments[0].click()", link);
        browser.until("the item's page", () -> browser.address().startsWith(world.site()));
        browser.driver().navigate().back();
        untilCards(20);
        assertThat(browser.texts(results(), ".card .title")).isEqualTo(titles);
        browser.until(
                "the same place",
                () -> Math.abs(((Number) browser.script("return Math.round(scrollY)")).longValue() - place) < 40);
    }

    @Test
    void whatIsChosenInTheBoxNarrowsLiveResultsAndThePageAlike() {
        String key = live("Chosen", List.of("homes", "makers", "kitchen"), Map.of("box", """
                {"chooser": {"field": "@collection"}, "wide": {"button": {"shows": "both"}}}"""));
        browser.open(page(key));
        Select chooser = new Select(browser.see(box(), ".chooser select"));
        assertThat(chooser.getOptions()).extracting(WebElement::getText).contains("Everything", "Homes", "Makers");
        browser.mustBeAccessible("a box with a choice in it");
        chooser.selectByVisibleText("Makers");
        browser.untilTexts(results(), ".chip", chips -> chips.contains("Makers"));
        assertThat(browser.address()).endsWith("?in=makers");
        assertThat(focused()).as("one goes on where one chose").isEqualTo("chooser");
        browser.see(box(), "input").sendKeys("the");
        browser.untilTexts(
                box(),
                ".group-label",
                labels -> labels.size() == 1 && labels.getFirst().startsWith("Makers"));
        String all = browser.texts(box(), ".all").getFirst();
        browser.see(box(), ".submit").click();
        browser.untilTexts(results(), ".heading", texts -> texts.contains("Results for “the”"));
        assertThat(all).startsWith("See all " + count());
        browser.driver().navigate().refresh();
        browser.until("the choice is kept", () -> new Select(browser.see(box(), ".chooser select"))
                .getFirstSelectedOption()
                .getText()
                .equals("Makers"));
    }

    @Test
    void whatAVisitorLookedForStaysInTheirBrowserUntilTheyHaveItForgotten() {
        String key = live("Recent", List.of("homes"), Map.of("live", "{\"above\": {\"recent\": true}}"));
        browser.open(page(key));
        browser.see(box(), "input").sendKeys("harbour", Keys.ENTER);
        browser.untilTexts(results(), ".heading", texts -> texts.contains("Results for “harbour”"));
        browser.open(page(key) + "?");
        browser.see(box(), "input").click();
        browser.untilTexts(box(), ".query", texts -> texts.equals(List.of("harbour")));
        browser.mustBeAccessible("what was looked for before");
        browser.see(box(), "input").sendKeys(Keys.ARROW_DOWN, Keys.ENTER);
        browser.untilTexts(box(), ".row .title", titles -> !titles.isEmpty());
        browser.see(box(), ".clear").click();
        browser.untilTexts(box(), ".query", texts -> texts.equals(List.of("harbour")));
        browser.see(box(), ".panel .again").click();
        browser.until(
                "forgotten", () -> box().findElements(By.cssSelector(".query")).isEmpty());
        assertThat(browser.script("return Object.keys(localStorage).filter(key => key.includes('recent'))"))
                .asInstanceOf(LIST)
                .isEmpty();
    }

    @Test
    void aPagesOwnScriptHearsWhatIsAskedFoundAndChosen() {
        String key = live("Events", List.of("homes"), Map.of());
        browser.open(page(key));
        browser.untilTexts(results(), ".count", texts -> !texts.isEmpty());
        browser.script("""
                window.heard = []
                for (const name of ['tidy-query', 'tidy-results', 'tidy-choose'])
                  document.addEventListener(name, event => {
                    window.heard.push([name, JSON.parse(JSON.stringify(event.detail))])
                    if (name === 'tidy-choose') event.preventDefault()
                  })""");
        browser.see(box(), "input").sendKeys("harbour", Keys.ENTER);
        browser.untilTexts(results(), ".heading", texts -> texts.contains("Results for “harbour”"));
        WebElement first = browser.see(results(), ".card .title a");
        String there = first.getDomProperty("href");
        browser.script("arguments[0].click()", first);
        assertThat(browser.script("return heard.map(one => one[0]).join()"))
                .asString()
                .contains("tidy-query", "tidy-results")
                .endsWith("tidy-choose");
        assertThat(browser.script("return heard.find(one => one[0] === 'tidy-query')[1].query"))
                .isEqualTo("harbour");
        assertThat(browser.script("return heard.find(one => one[0] === 'tidy-results')[1].answer.total + ' results'"))
                .isEqualTo(count());
        assertThat(browser.script("return heard.at(-1)[1].from + ' ' + heard.at(-1)[1].address"))
                .isEqualTo("list " + there);
        assertThat(browser.address())
                .as("the page kept the link from being followed")
                .contains("/s/" + key);
    }

    /** The demo's results page, with the site's own script on it. */
    @Test
    void theDemosPageHearsWhatItsVisitorsLookForAndAsksItself() {
        browser.open(world.site() + "/search");
        browser.untilTexts(results(), ".count", texts -> !texts.isEmpty());
        browser.script("sessionStorage.removeItem('quillhaven-heard')");
        browser.open(world.site() + "/search");
        browser.untilTexts(results(), ".count", texts -> !texts.isEmpty());
        browser.seeText(".asked-often a", "lighthouse").click();
        browser.untilTexts(results(), ".heading", texts -> texts.contains("Results for “lighthouse”"));
        String found = count().replaceAll("\\D", "");
        browser.see(results(), ".card .title a").click();
        browser.until("an item's page", () -> !browser.address().contains("/search"));
        String opened = browser.address();
        browser.driver().navigate().back();
        browser.untilTexts(results(), ".count", texts -> !texts.isEmpty());
        browser.see(".heard summary").click();
        browser.until("all that was heard, the latest first", () -> browser.texts(browser.driver(), ".heard li")
                .containsAll(List.of(
                        "Opened " + opened + " from the list",
                        found + " found for “lighthouse”",
                        "Asked for “lighthouse”")));
        browser.mustBeAccessible("what the page heard");
        assertThat(browser.consoleErrors()).isEmpty();
    }

    @Test
    void beforeAnythingIsTypedThereMayBeNothing() {
        String key = live("Nothing first", List.of("homes"), Map.of("page", """
                {"start": {"with": "nothing"}, "shows": {"time": true, "copyLink": true}}"""));
        browser.open(page(key));
        browser.see(box(), "input").sendKeys("harbour");
        browser.untilTexts(box(), ".row .title", titles -> !titles.isEmpty());
        assertThat(results().findElements(By.cssSelector(".card, .heading"))).isEmpty();
        browser.press(Keys.ENTER);
        browser.untilTexts(results(), ".heading", texts -> texts.contains("Results for “harbour”"));
        assertThat(count()).matches("\\d+ results · \\d+ ms");
        browser.see(results(), ".copy-link button");
        browser.mustBeAccessible("everything around the results");
    }

    @Test
    void whereNothingIsFoundThereAreWaysOn() {
        String key = live(
                "Ways on",
                List.of("homes"),
                Map.of(
                        "page", "{\"shows\": {\"nothing\": {\"sign\": \"lamp\"}}}",
                        "filters", """
                        [{"head": {"key": "garden", "label": "Garden"}, "source": {"of": "yes-no", "field": "garden"}},
                         {"head": {"key": "bedrooms", "label": "Bedrooms"}, "source": {"of": "number", "field": "bedrooms"}}]"""));
        browser.open(page(key) + "?q=harbour&garden=yes&bedrooms=40..");
        browser.untilTexts(results(), ".heading", texts -> texts.contains("Nothing found for “harbour”"));
        browser.see(results(), "svg.nothing-sign");
        browser.mustBeAccessible("nothing found");
        String way = browser.texts(results(), ".ways li").getFirst();
        assertThat(way).startsWith("Without Bedrooms: from 40");
        browser.see(results(), ".ways button").click();
        browser.untilTexts(results(), ".count", texts -> texts.size() == 1 && way.endsWith(texts.getFirst()));
        assertThat(browser.texts(results(), ".chip")).contains("Garden: Yes").hasSize(1);
    }

    @Test
    void enterShowsLiveResultsFirstWhereTheOwnerWantsThatAndAsksWhereThereAreNone() {
        String key = live("On Enter", List.of("homes"), Map.of("live", "{\"asking\": {\"onEnter\": true}}"));
        browser.open(page(key));
        browser.untilTexts(results(), ".count", texts -> !texts.isEmpty());
        WebElement input = browser.see(box(), "input");
        input.sendKeys("harbour", Keys.ENTER);
        browser.untilTexts(box(), ".row .title", titles -> !titles.isEmpty());
        assertThat(browser.address()).isEqualTo(page(key));
        input.sendKeys(Keys.ENTER);
        browser.untilTexts(results(), ".heading", texts -> texts.contains("Results for “harbour”"));

        String off = live(
                "On Enter, off",
                List.of("homes"),
                Map.of("live", "{\"where\": \"nowhere\", \"asking\": {\"onEnter\": true}}"));
        browser.open(page(off));
        browser.see(box(), "input").sendKeys("harbour", Keys.ENTER);
        browser.untilTexts(results(), ".heading", texts -> texts.contains("Results for “harbour”"));
    }
}
