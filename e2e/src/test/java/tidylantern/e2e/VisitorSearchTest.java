package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.SearchContext;
import org.openqa.selenium.WebElement;

/** What visitors of the Isles' website meet: the box, live results, the results page, with and without script. */
class VisitorSearchTest {
    private static DemoWorld world;
    private Browser browser;

    @BeforeAll
    static void start(@TempDir Path data) {
        world = new DemoWorld(data);
    }

    @AfterAll
    static void stop() {
        world.close();
    }

    @BeforeEach
    void openBrowser() {
        browser = Browser.wide();
    }

    @AfterEach
    void closeBrowser() {
        browser.close();
    }

    private SearchContext box() {
        return browser.inside("tidy-search");
    }

    private WebElement input() {
        return browser.see(box(), "input");
    }

    private WebElement typed(String words) {
        WebElement input = input();
        browser.type(input, words);
        browser.see(box(), "[role=listbox][aria-busy=false] .row");
        return input;
    }

    private String active() {
        String id = input().getDomAttribute("aria-activedescendant");
        return id == null ? "" : box().findElement(By.id(id)).getText();
    }

    @Test
    void theBoxIsAComboboxAsThePatternSays() {
        // WAI-ARIA Authoring Practices, Combobox with a listbox popup: the keys of its table.
        browser.open(world.site() + "/");
        WebElement input = typed("harb");
        assertThat(input.getDomAttribute("role")).isEqualTo("combobox");
        assertThat(input.getDomAttribute("aria-expanded")).isEqualTo("true");
        assertThat(box().findElement(By.id(input.getDomAttribute("aria-controls")))
                        .getDomAttribute("role"))
                .isEqualTo("listbox");
        assertThat(active()).isEmpty();
        List<String> rows = browser.texts(box(), ".row .title");
        input.sendKeys(Keys.ARROW_DOWN);
        assertThat(active()).as("a word to go on with comes first").isEqualTo("harbour");
        input.sendKeys(Keys.ARROW_DOWN);
        assertThat(active()).contains(rows.get(0));
        input.sendKeys(Keys.ARROW_DOWN);
        assertThat(active()).contains(rows.get(1));
        input.sendKeys(Keys.ARROW_UP, Keys.ARROW_UP, Keys.ARROW_UP);
        assertThat(active()).as("past the first row lies the typed text").isEmpty();
        input.sendKeys(Keys.ARROW_UP);
        assertThat(active()).as("and past that the last row").startsWith("See all");
        input.sendKeys("o");
        browser.until("typing drops the active row", () -> active().isEmpty());
        input.sendKeys(Keys.HOME, "x", Keys.END, "y");
        assertThat(input.getDomProperty("value"))
                .as("Home and End are the caret's")
                .isEqualTo("xharboy");
        browser.type(input, "harb");
        browser.untilTexts(box(), ".row .title", texts -> texts.equals(rows));
        input.sendKeys(Keys.ESCAPE);
        assertThat(input.getDomAttribute("aria-expanded")).isEqualTo("false");
        assertThat(input.getDomProperty("value"))
                .as("the first Escape keeps the text")
                .isEqualTo("harb");
        input.sendKeys(Keys.ESCAPE);
        browser.until("the second clears it", () -> "".equals(input().getDomProperty("value")));
    }

    @Test
    void countsAreAnnouncedAndEnterOpensTheActiveRow() {
        browser.open(world.site() + "/");
        WebElement input = typed("honey cake");
        String announced = (String) ((org.openqa.selenium.JavascriptExecutor) browser.driver())
                .executeScript(
                        "return arguments[0].shadowRoot.querySelector('[role=status]').textContent",
                        browser.see("tidy-search"));
        assertThat(announced).matches("\\d+ results?");
        browser.until("no completion of a whole word", () -> box().findElements(By.cssSelector(".query"))
                .isEmpty());
        input.sendKeys(Keys.ARROW_DOWN, Keys.ENTER);
        browser.until("the item's page", () -> browser.address().equals(world.site() + "/kitchen/farrow-honey-cake"));
    }

    @Test
    void aTypoStillFindsAndNothingFoundSaysSo() {
        browser.open(world.site() + "/");
        typed("porpose");
        assertThat(browser.texts(box(), ".row .title").getFirst()).startsWith("Porpoise watch");
        assertThat(browser.texts(box(), ".row .title mark").getFirst()).isEqualTo("Porpoise");
        browser.type(input(), "zzqxw");
        browser.untilTexts(box(), ".panel p", texts -> texts.contains("Nothing found for “zzqxw”"));
    }

    @Test
    void wordsAreCompletedAndEveryWayOnLeadsSomewhere() {
        browser.open(world.site() + "/search");
        WebElement input = typed("lighth");
        browser.untilTexts(box(), ".query", texts -> texts.contains("lighthouse"));
        input.sendKeys(Keys.ARROW_DOWN, Keys.ENTER);
        browser.until("the word is completed", () -> "lighthouse".equals(input().getDomProperty("value")));
        assertThat(input.getDomAttribute("aria-expanded"))
                .as("one can go on typing")
                .isEqualTo("true");

        browser.type(input(), "lighthuose zzqxw");
        browser.untilTexts(box(), ".query", texts -> texts.equals(List.of("lighthouse")));
        input().sendKeys(Keys.ENTER);
        SearchContext results = browser.inside("tidy-results");
        browser.untilTexts(results, ".meant a", texts -> texts.equals(List.of("lighthouse")));
        browser.see(results, ".meant a").click();
        browser.untilTexts(results, ".heading", texts -> texts.equals(List.of("Results for “lighthouse”")));
        assertThat(input().getDomProperty("value")).as("the box shows it too").isEqualTo("lighthouse");
        browser.untilTexts(results, ".see-also a", texts -> !texts.isEmpty());
        WebElement other = browser.see(results, ".see-also a");
        String query = other.getText();
        other.click();
        browser.untilTexts(results, ".heading", texts -> texts.equals(List.of("Results for “" + query + "”")));
        assertThat(results.findElements(By.cssSelector(".card"))).isNotEmpty();
        browser.mustBeAccessible("ways on from a query");
    }

    private static int number(String text) {
        return Integer.parseInt(text.replaceAll("\\D", ""));
    }

    @Test
    void theNumberBesideAValueIsWhatAClickGives() {
        browser.open(world.site() + "/search?q=harbour&utm=x");
        SearchContext results = browser.inside("tidy-results");
        browser.untilTexts(results, ".filter legend", texts -> texts.contains("Island"));
        for (String name : List.of("Great Quill", "North Isle")) {
            WebElement value = results.findElements(By.cssSelector(".value")).stream()
                    .filter(one -> one.getText().startsWith(name))
                    .findFirst()
                    .orElseThrow();
            int expected = number(value.findElement(By.cssSelector(".number")).getText());
            value.findElement(By.cssSelector("input")).click();
            browser.untilTexts(results, ".chip", texts -> texts.equals(List.of(name)));
            browser.untilTexts(results, ".count", texts -> texts.size() == 1 && number(texts.getFirst()) == expected);
            browser.see(results, ".chip").click();
            browser.until("nothing is ticked", () -> results.findElements(By.cssSelector(".chip"))
                    .isEmpty());
        }
        assertThat(browser.address()).contains("utm=x").doesNotContain("island=");
        results.findElements(By.cssSelector(".value")).stream()
                .filter(one -> one.getText().startsWith("North Isle"))
                .findFirst()
                .orElseThrow()
                .findElement(By.cssSelector("input"))
                .click();
        browser.untilTexts(results, ".chip", texts -> texts.equals(List.of("North Isle")));
        assertThat(browser.address()).contains("island=north-isle").contains("utm=x");
        browser.mustBeAccessible("results with a filter set");
        browser.driver().navigate().refresh();
        SearchContext again = browser.inside("tidy-results");
        browser.untilTexts(again, ".chip", texts -> texts.equals(List.of("North Isle")));
        browser.driver().navigate().back();
        browser.until("Back takes the tick off", () -> browser.inside("tidy-results")
                .findElements(By.cssSelector(".chip"))
                .isEmpty());
    }

    @Test
    void onAPhoneFiltersOpenAsASheetThatSaysHowManyResultsThereAre() {
        try (Browser phone = Browser.phone()) {
            phone.open(world.site() + "/search?q=harbour");
            SearchContext results = phone.inside("tidy-results");
            phone.see(results, ".chip.open").click();
            // The sheet's script comes once it is asked for.
            WebElement value = phone.until(
                    "the sheet's values", () -> results.findElements(By.cssSelector(".sheet .value")).stream()
                            .filter(one -> one.getText().startsWith("North Isle"))
                            .findFirst()
                            .orElse(null));
            int expected = number(value.findElement(By.cssSelector(".number")).getText());
            value.findElement(By.cssSelector("input")).click();
            phone.untilTexts(results, ".done", texts -> texts.equals(List.of("Show " + expected + " results")));
            phone.mustBeAccessible("filters as a sheet");
            phone.see(results, ".done").click();
            phone.untilTexts(results, ".count", texts -> texts.size() == 1 && number(texts.getFirst()) == expected);
            phone.until("the sheet is closed", () -> results.findElements(By.cssSelector(".sheet[open]"))
                    .isEmpty());
        }
    }

    @Test
    void boxAndResultsFindEachOtherAndTheAddressKeepsTheirState() {
        browser.open(world.site() + "/search?utm=x");
        SearchContext results = browser.inside("tidy-results");
        browser.untilTexts(results, ".heading", texts -> texts.equals(List.of("Everything, newest first")));
        input().sendKeys("rowing", Keys.ENTER);
        browser.untilTexts(results, ".heading", texts -> texts.equals(List.of("Results for “rowing”")));
        assertThat(browser.address())
                .as("what is not ours is left alone")
                .isEqualTo(world.site() + "/search?utm=x&q=rowing");
        assertThat(browser.texts(results, ".card mark")).isNotEmpty();
        browser.type(input(), "harbour");
        input().sendKeys(Keys.ENTER);
        browser.untilTexts(results, ".heading", texts -> texts.equals(List.of("Results for “harbour”")));
        List<String> first = browser.texts(results, ".card h3");
        browser.see(results, ".pages a[aria-label='Page 2']").click();
        browser.until("page 2 in the address", () -> browser.address().endsWith("q=harbour&page=2"));
        browser.untilTexts(results, ".card h3", texts -> !texts.isEmpty() && !texts.equals(first));
        List<String> second = browser.texts(results, ".card h3");
        assertThat(second).doesNotContainAnyElementsOf(first);

        browser.driver().navigate().back();
        browser.untilTexts(results, ".card h3", texts -> texts.equals(first));
        browser.driver().navigate().back();
        browser.untilTexts(results, ".heading", texts -> texts.equals(List.of("Results for “rowing”")));
        assertThat(input().getDomProperty("value")).isEqualTo("rowing");
        browser.driver().navigate().forward();
        browser.driver().navigate().forward();
        browser.untilTexts(results, ".card h3", texts -> texts.equals(second));

        browser.driver().navigate().refresh();
        SearchContext again = browser.inside("tidy-results");
        browser.untilTexts(again, ".card h3", texts -> texts.equals(second));
        browser.see(again, ".card h3 a").click();
        browser.until("a result leads to its item", () -> !browser.address().contains("/search"));
        browser.driver().navigate().back();
        browser.untilTexts(browser.inside("tidy-results"), ".card h3", texts -> texts.equals(second));
    }

    @Test
    void nothingFoundHasAWayOn() {
        browser.open(world.site() + "/search?q=zzqxw&page=7");
        SearchContext results = browser.inside("tidy-results");
        browser.untilTexts(results, ".heading", texts -> texts.equals(List.of("Nothing found for “zzqxw”")));
        browser.see(results, ".again").click();
        browser.untilTexts(results, ".heading", texts -> texts.equals(List.of("Everything, newest first")));
        assertThat(browser.address()).isEqualTo(world.site() + "/search");
    }

    @Test
    void nothingOfAnItemIsRunOrInsertedAsHtml() {
        world.api()
                .send(
                        "PUT",
                        "/api/owner/sites/quillhaven-isles/collections/journal/items",
                        "{\"id\":\"evil\",\"title\":\"<img src=x onerror=\\\"document.title='owned'\\\">marrowfat\",\"body\":\"<script>document.title='owned'</script> marrowfat\",\"url\":\"/evil\"}",
                        java.util.Map.of("Content-Type", "application/jsonl"));
        browser.open(world.site() + "/search?q=onerror");
        SearchContext results = browser.inside("tidy-results");
        browser.untilTexts(
                results,
                ".card h3",
                texts -> texts.size() == 1 && texts.getFirst().startsWith("<img src=x onerror"));
        browser.type(input(), "onerror");
        browser.untilTexts(box(), ".row .title", texts -> texts.size() == 1);
        browser.open(world.service() + "/s/island-search?q=onerror");
        browser.see("tidy-results");
        assertThat(browser.driver().getTitle()).isNotEqualTo("owned");
        assertThat(browser.driver().findElements(By.cssSelector("img[src=x]"))).isEmpty();
    }

    @Test
    void anUnknownPageOrHugeQueryIsHarmless() {
        browser.open(world.site() + "/search?q=harbour&page=999999");
        SearchContext results = browser.inside("tidy-results");
        browser.untilTexts(results, ".pages .here", texts -> texts.equals(List.of("4")));
        browser.open(world.site() + "/search?q=" + "x".repeat(7_000));
        browser.untilTexts(
                browser.inside("tidy-results"),
                ".heading",
                texts -> texts.size() == 1 && texts.getFirst().startsWith("Nothing found"));
    }

    @Test
    void aServiceThatCannotBeReachedIsToldAndComesBack() {
        browser.open(world.site() + "/search?q=harbour");
        SearchContext results = browser.inside("tidy-results");
        browser.untilTexts(results, ".card h3", texts -> !texts.isEmpty());
        ((org.openqa.selenium.chromium.HasCdp) browser.driver())
                .executeCdpCommand("Network.enable", java.util.Map.of());
        ((org.openqa.selenium.chromium.HasCdp) browser.driver())
                .executeCdpCommand("Network.setBlockedURLs", java.util.Map.of("urls", List.of("*/api/public/*")));
        browser.type(input(), "rowing");
        input().sendKeys(Keys.ENTER);
        browser.untilTexts(
                results, ".note", texts -> texts.stream().anyMatch(text -> text.contains("cannot be reached")));
        assertThat(browser.texts(results, ".card h3"))
                .as("what was there stays")
                .isNotEmpty();
        ((org.openqa.selenium.chromium.HasCdp) browser.driver())
                .executeCdpCommand("Network.setBlockedURLs", java.util.Map.of("urls", List.of()));
        browser.see(results, ".again").click();
        browser.untilTexts(results, ".heading", texts -> texts.equals(List.of("Results for “rowing”")));
    }

    @Test
    void theHostedPageWorksWithoutScript() {
        try (Browser plain = Browser.withoutScript()) {
            plain.open(world.service() + "/s/island-search");
            plain.see("#q").sendKeys("harbour", Keys.ENTER);
            plain.seeText("h2", "Results for “harbour”");
            List<String> first = plain.texts(plain.driver(), "li h3");
            assertThat(first).hasSize(10);
            plain.seeText("nav a", "2").click();
            plain.seeText(".count", "page 2 of 4");
            assertThat(plain.texts(plain.driver(), "li h3")).hasSize(10).doesNotContainAnyElementsOf(first);
            plain.see("li h3 a").click();
            plain.until("the item on its own site", () -> plain.address().startsWith(world.site()));
        }
    }

    @Test
    void theSitesBoxWorksWithoutScriptToo() {
        try (Browser plain = Browser.withoutScript()) {
            plain.open(world.site() + "/");
            plain.see("tidy-search input").sendKeys("puffin", Keys.ENTER);
            plain.seeText("h2", "Results for “puffin”");
            assertThat(plain.address()).isEqualTo(world.service() + "/s/island-search?q=puffin");
        }
    }

    /** As a browser fills in a field, or a tool of one's own: without a key and without the focus. */
    @Test
    void whatIsFilledInCountsAsTyped() {
        browser.open(world.site() + "/search");
        browser.untilTexts(browser.inside("tidy-results"), ".count", counts -> !counts.isEmpty());
        browser.script("""
                const input = document.querySelector('tidy-search').shadowRoot.querySelector('input')
                input.value = 'harbour'
                for (const name of ['input', 'change']) input.dispatchEvent(new Event(name, { bubbles: true }))""");
        browser.until("awake", () -> "combobox".equals(input().getDomAttribute("role")));
        assertThat(input().getDomProperty("value")).isEqualTo("harbour");
        input().sendKeys(Keys.ENTER);
        browser.untilTexts(
                browser.inside("tidy-results"), ".heading", texts -> texts.contains("Results for “harbour”"));
    }

    /** A screen reader's virtual cursor presses what it is at by a click alone: no pointer moves, no key is pressed. */
    @Test
    void aVirtualCursorPressesWhatItIsAt() {
        browser.open(world.site() + "/search");
        browser.untilTexts(browser.inside("tidy-results"), ".count", counts -> !counts.isEmpty());
        browser.script("""
                const box = document.querySelector('tidy-search').shadowRoot
                box.querySelector('input').value = 'harbour'
                box.querySelector('input').dispatchEvent(new Event('input', { bubbles: true }))
                box.querySelector('[part~=submit]').click()""");
        browser.untilTexts(
                browser.inside("tidy-results"), ".heading", texts -> texts.contains("Results for “harbour”"));
        browser.script("""
                document.querySelector('tidy-results').shadowRoot.querySelector('.filter input:not(:disabled)').click()""");
        browser.untilTexts(browser.inside("tidy-results"), ".chip", chips -> chips.size() == 1);
        browser.script(
                "document.querySelector('tidy-results').shadowRoot.querySelector('.active button.chip').click()");
        browser.untilTexts(browser.inside("tidy-results"), ".chip", List::isEmpty);
        typed("ferry");
        String title = browser.texts(box(), ".row .title").getFirst();
        browser.script("document.querySelector('tidy-search').shadowRoot.querySelector('.row').click()");
        browser.until("its page", () -> browser.driver().getTitle().contains(title));
    }

    @Test
    void onAPhoneTargetsAreLargeEnoughAndNothingOverflows() {
        try (Browser phone = Browser.phone()) {
            phone.open(world.site() + "/search?q=harbour");
            SearchContext results = phone.inside("tidy-results");
            phone.untilTexts(results, ".card h3", texts -> !texts.isEmpty());
            Object overflow = ((org.openqa.selenium.JavascriptExecutor) phone.driver())
                    .executeScript(
                            "return document.documentElement.scrollWidth - document.documentElement.clientWidth");
            assertThat(((Number) overflow).intValue()).isZero();
            for (WebElement target : results.findElements(By.cssSelector(".pages a"))) {
                assertThat(Math.min(
                                target.getSize().getHeight(), target.getSize().getWidth()))
                        .isGreaterThanOrEqualTo(44);
            }
            WebElement input = phone.see(phone.inside("tidy-search"), "input");
            phone.type(input, "ferry");
            phone.untilTexts(phone.inside("tidy-search"), ".row .title", texts -> !texts.isEmpty());
            WebElement panel = phone.see(phone.inside("tidy-search"), ".panel");
            assertThat(panel.getRect().getX()).isGreaterThanOrEqualTo(0);
            assertThat(panel.getRect().getX() + panel.getRect().getWidth()).isLessThanOrEqualTo(390);
        }
    }
}
