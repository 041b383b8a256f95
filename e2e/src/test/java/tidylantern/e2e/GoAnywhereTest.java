package tidylantern.e2e;

import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;

/** *Go to* takes whoever knows where to go there, however slowly the list of places comes. */
@ExtendWith(SharedDemo.class)
class GoAnywhereTest {
    private static final String NAME = "Slow to come";

    /** In place of the browser's own way to the service: the site's searches come when they are let, or not at all. */
    private static final String HOLD_SEARCHES = """
            window.own ??= window.fetch
            window.fetch = (url, init) => String(url).endsWith('/searches')
              ? new Promise((come, fail) => { window.letCome = () => window.own(url, init).then(come); window.letFail = () => fail(new TypeError('no way')) })
              : window.own(url, init)
            """;

    private Browser browser;

    @BeforeEach
    void open(DemoWorld world) {
        world.newSearch(NAME, List.of("journal"));
        browser = Browser.wide();
        browser.signIn(world.service());
        browser.open(world.workbench("/history"));
        browser.seeText("h1", "What happened");
        browser.script(HOLD_SEARCHES);
        browser.chord(Keys.CONTROL, "k");
        browser.until("the focus is in the field", () -> "combobox"
                .equals(browser.driver().switchTo().activeElement().getDomAttribute("role")));
        browser.press(NAME + " words", Keys.ENTER);
        browser.seeText("[role=dialog]", "being fetched");
    }

    @AfterEach
    void close() {
        browser.close();
    }

    @Test
    void enterBeforeThePlacesHaveComeCountsOnceTheyHave() {
        browser.script("window.letCome()");
        browser.seeText("h1", NAME);
    }

    @Test
    void whatCannotBeFetchedIsToldAndCanBeTriedAgain() {
        browser.script("window.letFail()");
        browser.seeText("[role=dialog] [role=alert]", "cannot be reached");
        browser.script("window.fetch = window.own");
        browser.seeText("[role=dialog] button", "Try again").click();
        browser.seeText("h1", NAME);
    }
}
