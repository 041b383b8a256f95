package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInfo;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.JavascriptExecutor;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;

/** A draft is kept where it belongs, or the owner knows that it is not. */
@ExtendWith(SharedDemo.class)
class DraftKeepingTest {
    /** In place of the browser's own way to the service, for the requests that keep a draft. */
    private static final String INSTEAD = """
            window.own ??= window.fetch
            window.fetch = (url, init) => init?.method === 'PUT' && String(url).endsWith('/draft') ? (%s)(url, init) : window.own(url, init)
            """;

    private static final String UNREACHABLE = "() => Promise.reject(new TypeError('no way'))";

    /** The service does it, and its answer ends too early. */
    private static final String CUT_OFF = """
            (url, init) => window.own(url, init).then(() => new Response(new ReadableStream({
              start: controller => controller.error(new TypeError('cut off'))
            })))""";

    private DemoWorld world;
    private Browser browser;
    private String named;
    private String first;
    private String second;

    @BeforeEach
    void open(DemoWorld shared, TestInfo test) {
        world = shared;
        named = test.getTestMethod().orElseThrow().getName();
        first = world.newSearch("First " + named, List.of("journal"));
        second = world.newSearch("Second " + named, List.of("journal"));
        browser = Browser.wide();
        browser.signIn(world.service());
        browser.open(world.workbench("/searches/" + second + "/words"));
        browser.seeText("h1", "Second " + named);
    }

    @AfterEach
    void close() {
        browser.close();
    }

    private void run(String script) {
        ((JavascriptExecutor) browser.driver()).executeScript(script);
    }

    private boolean operators(String search) {
        return world.api()
                .get("/api/owner/searches/" + search + "/draft")
                .json()
                .path("words")
                .path("matching")
                .path("operators")
                .asBoolean();
    }

    private void allowOperators() {
        browser.see("label[for=operators]").click();
    }

    /** Without loading the workbench anew. */
    private void goTo(String search) {
        new Actions(browser.driver())
                .keyDown(Keys.CONTROL)
                .sendKeys("k")
                .keyUp(Keys.CONTROL)
                .perform();
        browser.see("[role=dialog] input").sendKeys(search, " words", Keys.ENTER);
        browser.seeText("h1", search);
    }

    @Test
    void aChangeStaysWithItsSearchWhoeverGoesOnToAnother() {
        goTo("First " + named);
        browser.see("label[for=operators]");
        // Both at once, so that the change has not been sent when the other search is asked for.
        run("document.getElementById('operators').click(); history.back()");
        browser.seeText("h1", "Second " + named);
        browser.until("kept in the first", () -> operators(first));
        assertThat(operators(second)).as("the other one").isFalse();
        allowOperators();
        browser.until("kept in the second", () -> operators(second));
    }

    @Test
    void whatIsNotKeptIsNotPublishedAndCanBeTriedAgain() {
        run(INSTEAD.formatted(UNREACHABLE));
        allowOperators();
        browser.seeText("[role=alert]", "cannot be reached");
        browser.seeText("button", "Look over and publish").click();
        browser.seeText("[role=alert]", "published once it is kept");
        assertThat(browser.driver().findElements(By.cssSelector("[role=dialog]")))
                .isEmpty();
        run("window.fetch = window.own");
        browser.seeText("button", "Try again").click();
        browser.seeText("[role=status]", "Kept");
        assertThat(operators(second)).isTrue();
    }

    @Test
    void anAnswerCutOffInItsBodyIsToldAndWhatTheServiceHasIsTakenForKept() {
        run(INSTEAD.formatted(CUT_OFF));
        allowOperators();
        browser.seeText("[role=alert]", "cannot be reached");
        assertThat(operators(second)).as("it was done").isTrue();
        run("window.fetch = window.own");
        browser.seeText("button", "Try again").click();
        browser.seeText("[role=status]", "Kept");
    }
}
