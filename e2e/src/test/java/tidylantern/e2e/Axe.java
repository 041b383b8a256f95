package tidylantern.e2e;

import com.deque.html.axecore.selenium.AxeBuilder;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import org.openqa.selenium.chrome.ChromeDriver;

/**
 * What axe-core finds against WCAG 2.2 A and AA in what is on screen. It is put into a page once, however often it is
 * asked there, and tells what is wrong and nothing else: its Selenium builder puts its half a megabyte of script in
 * each time and fetches all it has looked at, which took longer than looking.
 */
final class Axe {
    private static final List<String> WCAG_A_AND_AA =
            List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22a", "wcag22aa");

    /**
     * What one sees is a part of what one hears: WCAG 2.5.3, which axe counts among its experiments. PrimeVue names an
     * option of a list that completes by its label alone, whatever else stands in it.
     */
    private static final String HEARD_AS_SEEN = "label-content-name-mismatch";

    private static final String OPTION = "p-autocomplete-option";

    private static final String SCRIPT = script();

    /**
     * What stands in the stage's frame is looked at as a page of its own, so frames are left out. What passes needs no
     * selectors, which are most of the work.
     */
    private static final String LOOK = """
            const [tags, heardAsSeen, option, done] = arguments
            const told = rule =>
              `${rule.id}: ${rule.help} at ` + rule.nodes.slice(0, 3).map(node => `${node.target} ${node.html}`).join(', ')
            axe
              .run(document, {
                runOnly: { type: 'tag', values: tags },
                rules: { [heardAsSeen]: { enabled: true } },
                resultTypes: ['violations'],
                iframes: false,
              })
              .then(({ violations }) => violations
                .filter(rule => rule.id !== heardAsSeen || !rule.nodes.every(node => node.html.includes(option)))
                .map(told))
              .then(done, failure => done([`axe could not look: ${failure}`]))
            """;

    private Axe() {}

    private static String script() {
        try (InputStream script = AxeBuilder.class.getResourceAsStream("/axe.min.js")) {
            return new String(Objects.requireNonNull(script).readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException unread) {
            throw new UncheckedIOException(unread);
        }
    }

    /** Each rule that something on the page violates, with the first three places. */
    static List<String> violations(ChromeDriver driver) {
        if (!Boolean.TRUE.equals(driver.executeScript("return 'axe' in window"))) {
            driver.executeScript(SCRIPT);
        }
        Object found = driver.executeAsyncScript(LOOK, WCAG_A_AND_AA, HEARD_AS_SEEN, OPTION);
        return ((List<?>) Objects.requireNonNull(found))
                .stream().map(String::valueOf).toList();
    }
}
