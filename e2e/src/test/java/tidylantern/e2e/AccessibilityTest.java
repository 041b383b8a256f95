package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;

/** axe-core finds no violation of WCAG 2.2 A or AA on any screen, in the states that people meet. */
@Order(4)
@ExtendWith(SharedDemo.class)
class AccessibilityTest {
    private static DemoWorld world;

    @BeforeAll
    static void start(DemoWorld shared) {
        world = shared;
    }

    /** Else nothing that these tests say would be known. */
    @Test
    void whatIsWrongIsFoundInTheShadowOfAnElementToo() {
        try (Browser browser = Browser.wide()) {
            browser.open(world.service() + "/s/homes");
            browser.untilTexts(browser.inside("tidy-results"), ".card .title", titles -> !titles.isEmpty());
            browser.mustBeAccessible("as it is");
            browser.script("document.querySelector('tidy-results').shadowRoot.querySelector('.card-body')"
                    + ".append(Object.assign(document.createElement('img'), { src: '/lantern.svg' }))");
            assertThatThrownBy(() -> browser.mustBeAccessible("a picture without a text"))
                    .isInstanceOf(AssertionError.class)
                    .hasMessageContaining("image-alt");
        }
    }

    @Test
    void theWorkbench() {
        try (Browser browser = Browser.wide()) {
            browser.open(world.service() + "/workbench/");
            browser.see("#name");
            browser.mustBeAccessible("sign in");
            browser.see("#name").sendKeys("mo");
            browser.see("#password").sendKeys("not the password");
            browser.see("button[type=submit]").click();
            browser.seeText("[role=alert]", "do not go together");
            browser.mustBeAccessible("sign in, refused");
            browser.signIn(world.service());
            browser.open(world.workbench("/searches"));
            browser.seeText("h2", "Island search");
            browser.mustBeAccessible("searches");
            browser.seeText("a", "New search").click();
            browser.seeText("h3", "Cards & look");
            browser.mustBeAccessible("new search");
            browser.open(world.workbench("/searches"));
            browser.see("button[aria-label='Delete Island search']").click();
            browser.see("#delete-name").sendKeys("Island");
            browser.until("half a name deletes nothing", () -> !browser.seeText("[role=dialog] button", "Delete it")
                    .isEnabled());
            browser.mustBeAccessible("delete a search");
            browser.press(Keys.ESCAPE);
            browser.open(world.workbench("/content"));
            browser.seeText("h2", "Homes");
            browser.mustBeAccessible("content");
            browser.open(world.workbench("/content/homes"));
            browser.seeText("tbody", "Bell Lane");
            browser.mustBeAccessible("a collection's items");
            browser.seeText("[role=group] button", "Fields").click();
            browser.seeText("code", "bedrooms");
            browser.mustBeAccessible("a collection's fields");
            browser.open(world.workbench("/content/homes/item?id=homes-001"));
            browser.seeText("h2", "What you add");
            browser.seeText("aside", "can find it");
            browser.mustBeAccessible("an item");
            browser.open(world.workbench("/health"));
            browser.seeText("h2", "No summary");
            browser.see("button[aria-label^='Show the items']").click();
            browser.see(".items a");
            browser.mustBeAccessible("health");
            browser.open(world.workbench("/settings"));
            browser.seeText("h2", "Access keys");
            browser.seeText("li", "operator");
            browser.mustBeAccessible("site");
            for (String step : new String[] {
                "what-is-searched",
                "words",
                "filters",
                "order",
                "cards",
                "search-box",
                "live-results",
                "results-page",
                "go-live"
            }) {
                browser.open(world.workbench("/searches/island-search/" + step));
                browser.see(".decisions h2");
                browser.seeText(".stage button", "Results").click();
                browser.enterStage();
                browser.untilTexts(browser.inside("tidy-results"), ".card h3", texts -> !texts.isEmpty());
                browser.leaveFrame();
                browser.mustBeAccessible("the step " + step + " with its stage");
            }
            browser.open(world.service() + "/workbench/stage.html#search=island-search&place=results&site=Isles");
            browser.untilTexts(browser.inside("tidy-results"), ".card h3", texts -> !texts.isEmpty());
            browser.mustBeAccessible("the stage by itself");
            browser.open(world.workbench("/searches/island-search/go-live"));
            browser.seeText("button", "Look over and publish").click();
            browser.see("[role=dialog]");
            browser.seeText("[role=dialog]", "nothing to publish");
            browser.mustBeAccessible("look over and publish");
            browser.press(Keys.ESCAPE);
            browser.until("the dialog is gone", () -> browser.driver()
                    .findElements(org.openqa.selenium.By.cssSelector("[role=dialog]"))
                    .isEmpty());
            browser.chord(Keys.CONTROL, "k");
            browser.see("[role=dialog] [role=option]");
            browser.mustBeAccessible("go to");
        }
    }

    @Test
    void whatVisitorsMeet() {
        try (Browser browser = Browser.wide()) {
            browser.open(world.site() + "/");
            browser.see(browser.inside("tidy-search"), "input").sendKeys("harb");
            browser.untilTexts(browser.inside("tidy-search"), ".row .title", texts -> !texts.isEmpty());
            browser.press(Keys.ARROW_DOWN);
            browser.mustBeAccessible("the site's home with live results");
            browser.open(world.site() + "/search?q=harbour");
            browser.untilTexts(browser.inside("tidy-results"), ".card h3", texts -> !texts.isEmpty());
            browser.mustBeAccessible("the results page");
            browser.open(world.site() + "/search?q=zzqxw");
            browser.untilTexts(browser.inside("tidy-results"), ".again", texts -> !texts.isEmpty());
            browser.mustBeAccessible("nothing found");
            browser.open(world.service() + "/s/island-search?q=harbour");
            browser.untilTexts(browser.inside("tidy-results"), ".card h3", texts -> !texts.isEmpty());
            browser.mustBeAccessible("the hosted page");
            browser.open(world.service() + "/s/nope");
            browser.mustBeAccessible("no such search");
            browser.open(world.site() + "/homes/lamp-cottage");
            browser.mustBeAccessible("an item of the demo site");
        }
    }

    @Test
    void onAPhone() {
        try (Browser browser = Browser.phone()) {
            browser.open(world.site() + "/search?q=harbour");
            browser.untilTexts(browser.inside("tidy-results"), ".card h3", texts -> !texts.isEmpty());
            browser.mustBeAccessible("the results page on a phone");
            browser.type(browser.see(browser.inside("tidy-search"), "input"), "ferry");
            browser.untilTexts(browser.inside("tidy-search"), ".row .title", texts -> !texts.isEmpty());
            browser.mustBeAccessible("live results on a phone");
        }
    }
}
