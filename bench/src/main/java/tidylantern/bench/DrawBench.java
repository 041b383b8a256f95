package tidylantern.bench;

import java.io.File;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.support.ui.WebDriverWait;
import tidylantern.demo.DemoLoader;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * How long script works in Chromium from an answer that has come to twenty other cards in the page: reading it and
 * drawing them, with the filters beside them and without. The clock runs from when the answer's text is there to when
 * the page was told of its changes, which is before anything else can run.
 */
final class DrawBench {
    private static final int CARDS = 20;
    private static final int ROUNDS = 6;
    /** Most find more than twenty items, and mostly others than the one before. */
    private static final List<String> QUERIES =
            List.of("harbour", "boat", "sea", "old", "north", "house", "stone", "day");

    private DrawBench() {}

    static void run() throws Exception {
        try (Service service = new Service(Files.createTempDirectory("tidy-lantern-bench"))) {
            service.takeDemo();
            ChromeDriver browser = browser();
            try {
                twentyOnAPage(service, true);
                measure(browser, service.address(), "and the numbers of three filters");
                twentyOnAPage(service, false);
                measure(browser, service.address(), "alone");
            } finally {
                browser.quit();
            }
        }
    }

    private static void twentyOnAPage(Service service, boolean filters) throws Exception {
        String search = "/api/owner/searches/" + DemoLoader.SEARCH;
        JsonNode summary = service.get(search);
        ObjectNode design = (ObjectNode) service.get(search + "/draft");
        ((ObjectNode) design.required("places").required("page")).put("perPage", CARDS);
        if (!filters) {
            design.putArray("filters");
        }
        long revision = summary.path("revision").asLong();
        service.send("PUT", search + "/draft", design.toString(), "application/json", "\"%d\"".formatted(revision));
        service.send("POST", search + "/publish", "", "application/json", "\"%d\"".formatted(revision + 1));
    }

    private static ChromeDriver browser() {
        ChromeOptions options = new ChromeOptions();
        options.setBinary("/usr/bin/chromium");
        options.addArguments("--headless", "--no-sandbox", "--disable-gpu", "--window-size=1280,900");
        ChromeDriverService driver = new ChromeDriverService.Builder()
                .usingDriverExecutable(new File("/usr/bin/chromedriver"))
                .usingAnyFreePort()
                .build();
        return new ChromeDriver(driver, options);
    }

    /** @param what is drawn along with the cards */
    private static void measure(ChromeDriver browser, String service, String what) {
        browser.get(service + "/s/" + DemoLoader.SEARCH);
        await(browser, "return document.querySelector('tidy-results')?.shadowRoot?.querySelector('.card') != null");
        browser.executeScript("""
                const text = Response.prototype.text
                Response.prototype.text = async function () {
                  const read = await text.call(this)
                  if (this.url.includes('/results')) window.began = performance.now()
                  return read
                }
                new MutationObserver(() => {
                  if (window.began === undefined) return
                  window.took = performance.now() - window.began
                  window.began = undefined
                }).observe(document.querySelector('tidy-results').shadowRoot, { childList: true, subtree: true })
                """);
        List<Double> millis = new ArrayList<>();
        for (int round = 0; round <= ROUNDS; round++) {
            for (String query : QUERIES) {
                double took = drawn(browser, query);
                if (round > 0 && took >= 0) {
                    millis.add(took);
                }
            }
        }
        millis.sort(null);
        System.out.printf(
                "%d cards drawn anew %s, %d times: %.1f ms of script at the median, %.1f ms at p95%n",
                CARDS, what, millis.size(), millis.get(millis.size() / 2), millis.get(millis.size() * 95 / 100));
    }

    /** Has the elements ask as they do on Back; below 0 where that drew fewer cards. */
    private static double drawn(ChromeDriver browser, String query) {
        browser.executeScript(
                "window.took = undefined; history.pushState(null, '', '?q=' + arguments[0]);"
                        + " dispatchEvent(new PopStateEvent('popstate'))",
                URLEncoder.encode(query, StandardCharsets.UTF_8));
        await(browser, "return window.took !== undefined");
        Number cards = (Number) Objects.requireNonNull(browser.executeScript(
                "return document.querySelector('tidy-results').shadowRoot.querySelectorAll('.card').length"));
        if (cards.intValue() != CARDS) {
            return -1;
        }
        return ((Number) Objects.requireNonNull(browser.executeScript("return window.took"))).doubleValue();
    }

    private static void await(ChromeDriver browser, String script) {
        new WebDriverWait(browser, Duration.ofSeconds(20), Duration.ofMillis(40))
                .until(page -> Boolean.TRUE.equals(browser.executeScript(script)));
    }
}
