package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The website of the Isles leads through its searches, to where visitors meet them and to where they were decided. */
@Order(5)
@ExtendWith(SharedDemo.class)
class HowItWasMadeTest {
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

    private static List<String> links(String css) {
        return ((List<?>) Objects.requireNonNull(browser.script(
                        "return [...document.querySelectorAll(arguments[0])].map(one => one.href + ' ' + one.textContent)",
                        css)))
                .stream().map(String::valueOf).toList();
    }

    @Test
    void everyLineLeadsToItsPlace() {
        browser.open(world.site() + "/");
        browser.seeText(".hero a", "See how the searches of this site were made")
                .click();
        browser.seeText("h1", "How it was made");
        browser.mustBeAccessible("how it was made");
        assertThat(browser.texts(browser.driver(), ".made h2"))
                .containsExactly("Island search", "Homes", "Kitchen", "Outings", "Makers");
        List<String> pages = links(".made li > p a");
        List<String> steps = links(".made dt a");
        assertThat(steps).hasSizeGreaterThan(15);
        for (String page : pages) {
            browser.open(page.substring(0, page.indexOf(' ')));
            browser.until(page, () -> Objects.requireNonNull(
                            browser.script("return document.querySelector('tidy-results, tidy-list') !== null"))
                    .equals(true));
        }
        for (String step : steps) {
            int space = step.indexOf(' ');
            browser.open(step.substring(0, space));
            browser.seeText("nav [aria-current]", step.substring(space + 1));
        }
    }
}
