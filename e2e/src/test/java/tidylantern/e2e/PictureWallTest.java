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

/** A wall of pictures: each opens large, one leads to the next, and what stands below it narrows the wall. */
@ExtendWith(SharedDemo.class)
class PictureWallTest {
    private static DemoWorld world;
    private static String page;

    @BeforeAll
    static void start(DemoWorld shared) {
        world = shared;
        String key = LiveSearch.of(
                world,
                "Wall of pictures",
                List.of("pictures"),
                Map.of(
                        "filters",
                        "[{\"head\": {\"key\": \"motif\", \"label\": \"Motif\"}, \"source\": {\"of\": \"category\", \"field\": \"tags\"}}]",
                        "page",
                        """
                        {"perPage": 12, "layout": {"arranged": "wall", "viewer": true, "tags": "motif"},
                         "shows": {"popular": {"filter": "motif", "most": 5, "below": true}}}"""));
        page = world.service() + "/s/" + key;
    }

    @AfterAll
    static void stop() {
        page = "";
    }

    private static SearchContext wall(Browser browser) {
        return browser.inside("tidy-results");
    }

    private static String place(Browser browser) {
        return browser.see(wall(browser), ".viewed-place").getText();
    }

    private static String titleOf(Browser browser, int card) {
        return browser.texts(wall(browser), ".card .title").get(card);
    }

    /** WAI-ARIA Authoring Practices, dialog (modal): with keys alone. */
    @Test
    void withKeysOneLooksFromPictureToPictureAndIsBackWhereOneWas() {
        try (Browser browser = Browser.wide()) {
            browser.open(page);
            browser.untilTexts(wall(browser), ".card .title", titles -> titles.size() == 12);
            browser.mustBeAccessible("a wall of pictures");
            browser.script("document.querySelector('tidy-results').shadowRoot.querySelectorAll('.card a')[2].focus()");
            browser.press(Keys.ENTER);
            WebElement picture = browser.see(wall(browser), "dialog.viewer[open] img");
            assertThat(picture.getDomAttribute("alt")).as("what it shows").isNotBlank();
            assertThat(place(browser)).isEqualTo("3 of 32");
            browser.mustBeAccessible("a picture, large");
            browser.press(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT);
            assertThat(place(browser)).isEqualTo("5 of 32");
            browser.press(Keys.HOME, Keys.ARROW_LEFT);
            assertThat(place(browser)).as("there is none before the first").isEqualTo("1 of 32");
            browser.press(Keys.ARROW_RIGHT);
            String last = titleOf(browser, 1);
            assertThat(browser.see(wall(browser), ".viewed-title").getText()).isEqualTo(last);
            for (int pressed = 0; pressed < 12; pressed++) {
                browser.press(Keys.TAB);
                assertThat(browser.script("""
                        const at = document.activeElement
                        return at === document.body || at.shadowRoot?.activeElement?.closest('dialog') !== null"""))
                        .as("the focus stays within, or goes to the browser")
                        .isEqualTo(true);
            }
            browser.press(Keys.ESCAPE);
            browser.until("closed", () -> !isOpen(browser));
            assertThat(browser.script(
                            "return document.querySelector('tidy-results').shadowRoot.activeElement.textContent"))
                    .as("at the one that was looked at last")
                    .isEqualTo(last);
            assertThat(browser.consoleErrors()).isEmpty();
        }
    }

    @Test
    void onAPhoneAFingerTurnsAndATagNarrows() {
        try (Browser phone = Browser.phone()) {
            phone.open(page);
            phone.untilTexts(wall(phone), ".card .title", titles -> titles.size() == 12);
            phone.see(wall(phone), ".card").click();
            phone.see(wall(phone), "dialog.viewer[open] img");
            assertThat(place(phone)).isEqualTo("1 of 32");
            phone.mustBeAccessible("a picture on a phone");
            swipe(phone, 300, 80);
            assertThat(place(phone)).isEqualTo("2 of 32");
            swipe(phone, 80, 300);
            assertThat(place(phone)).isEqualTo("1 of 32");
            swipe(phone, 200, 190);
            assertThat(place(phone)).as("a tap turns nothing").isEqualTo("1 of 32");
            WebElement tag = phone.see(wall(phone), ".viewed-tags button");
            String motif = tag.getText();
            tag.click();
            phone.until("narrowed", () -> phone.address().contains("motif="));
            phone.untilTexts(wall(phone), ".chip", chips -> chips.stream().anyMatch(chip -> chip.contains(motif)));
            phone.driver().navigate().back();
            phone.untilTexts(wall(phone), ".card .title", titles -> titles.size() == 12);
            assertThat(isOpen(phone)).as("the picture was left before").isFalse();
        }
    }

    private static boolean isOpen(Browser browser) {
        return !wall(browser)
                .findElements(org.openqa.selenium.By.cssSelector("dialog.viewer"))
                .isEmpty();
    }

    private static void look(Browser browser, String place) {
        browser.until(place, () -> place(browser).equals(place));
    }

    @Test
    void backClosesAPictureAndForwardOrAReloadOpenItAgain() {
        try (Browser browser = Browser.wide()) {
            browser.open(page + "?q=boat");
            browser.open(page);
            browser.untilTexts(wall(browser), ".card .title", titles -> titles.size() == 12);
            browser.see(wall(browser), ".card").click();
            look(browser, "1 of 32");
            browser.press(Keys.ARROW_RIGHT);
            look(browser, "2 of 32");
            browser.driver().navigate().back();
            browser.until("closed", () -> !isOpen(browser));
            assertThat(browser.address()).as("still on the wall").isEqualTo(page);
            browser.driver().navigate().forward();
            look(browser, "2 of 32");
            browser.driver().navigate().refresh();
            look(browser, "2 of 32");
            browser.press(Keys.ESCAPE);
            browser.until("closed", () -> !isOpen(browser));
            browser.driver().navigate().back();
            browser.until("a picture is no second step", () -> browser.address().endsWith("?q=boat"));
        }
    }

    @Test
    void oneLooksOnThroughThePicturesOfTheNextPageAndBack() {
        try (Browser browser = Browser.wide()) {
            browser.open(page);
            browser.untilTexts(wall(browser), ".card .title", titles -> titles.size() == 12);
            browser.see(wall(browser), ".card").click();
            look(browser, "1 of 32");
            browser.press(Keys.END);
            look(browser, "12 of 32");
            String last = browser.see(wall(browser), ".viewed-title").getText();
            browser.press(Keys.ARROW_RIGHT);
            look(browser, "13 of 32");
            assertThat(browser.address()).contains("page=2");
            browser.press(Keys.ARROW_LEFT);
            look(browser, "12 of 32");
            assertThat(browser.see(wall(browser), ".viewed-title").getText()).isEqualTo(last);
            browser.press(Keys.ARROW_RIGHT);
            look(browser, "13 of 32");
            String first = browser.see(wall(browser), ".viewed-title").getText();
            browser.press(Keys.ESCAPE);
            browser.until("closed", () -> !isOpen(browser));
            assertThat(titleOf(browser, 0))
                    .as("the page that was looked at last")
                    .isEqualTo(first);
            assertThat(browser.script(
                            "return document.querySelector('tidy-results').shadowRoot.activeElement.textContent"))
                    .isEqualTo(first);
            assertThat(browser.consoleErrors()).isEmpty();
        }
    }

    /** As a finger goes over the picture; the driver's own touch would scroll. */
    private static void swipe(Browser browser, int from, int to) {
        browser.script("""
                const at = document.querySelector('tidy-results').shadowRoot.querySelector('.viewed')
                const tell = (name, x) => at.dispatchEvent(
                  new PointerEvent(name, { pointerType: 'touch', isPrimary: true, clientX: x, bubbles: true }))
                tell('pointerdown', arguments[0])
                tell('pointerup', arguments[1])""", from, to);
    }

    @Test
    void popularCategoriesLeadOnWithAndWithoutScript() {
        try (Browser browser = Browser.wide();
                Browser plain = Browser.withoutScript()) {
            browser.open(page + "?q=boat");
            browser.untilTexts(wall(browser), "[part=popular] a", links -> links.size() == 5);
            String first = browser.texts(wall(browser), "[part=popular] a").getFirst();
            browser.see(wall(browser), "[part=popular] a").click();
            browser.untilTexts(wall(browser), ".count", count -> count.getFirst()
                    .equals(first.replaceAll(".*\\D(\\d+)$", "$1") + " results"));
            assertThat(browser.address()).doesNotContain("q=");
            plain.open(page + "?q=zzzz");
            plain.seeText("nav[aria-labelledby=popular] a", first.replaceAll("\\s*\\d+$", ""))
                    .click();
            plain.until("narrowed", () -> plain.address().contains("motif="));
        }
    }
}
