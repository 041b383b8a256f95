package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Comparator;
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
import tidylantern.demo.Quillhaven;
import tools.jackson.databind.JsonNode;

/**
 * The order of results, set up by an owner and chosen by visitors; what must come first is reckoned from the demo's
 * items.
 */
@ExtendWith(SharedDemo.class)
class OrderStepTest {
    private static final Quillhaven ISLES = new Quillhaven(LocalDate.now());
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

    private static double number(Map<String, Object> item, String field) {
        return new BigDecimal(item.get(field).toString()).doubleValue();
    }

    /** The first titles of the homes in an order; ties by the id, as everywhere. */
    private static List<String> first(int most, Comparator<Map<String, Object>> order) {
        return ISLES.items("homes").stream()
                .sorted(order.thenComparing(item -> item.get("id").toString()))
                .limit(most)
                .map(item -> item.get("title").toString())
                .toList();
    }

    private static void stageShows(List<String> titles) {
        browser.onStage("tidy-results", results -> {
            browser.untilTexts(
                    results,
                    ".card h3",
                    shown -> shown.size() >= titles.size()
                            && shown.subList(0, titles.size()).equals(titles));
            return null;
        });
    }

    private static void then(String list, String option) {
        WebElement add = browser.until("then by", () -> browser.driver().findElements(By.cssSelector(".add")).stream()
                .filter(one -> one.findElement(By.xpath("preceding-sibling::ol"))
                        .getAttribute("aria-label")
                        .equals(list))
                .findFirst()
                .orElse(null));
        add.click();
        browser.seeText("[role=option]", option).click();
    }

    @Test
    void keysAreAddedReversedAndMovedAndVisitorsChoose() {
        String key = world.newSearch("Ordered", List.of("homes"));
        browser.open(world.workbench("/searches/" + key + "/order"));
        then("Order without words", "Bedrooms, greatest first");
        browser.see("[aria-label='Move Bedrooms, greatest first up']").click();
        browser.see("[aria-label='Order without words'] [aria-label='Take Newest out']")
                .click();
        then("Order without words", "Price, least first");
        Comparator<Map<String, Object>> rooms = Comparator.comparingDouble(
                        (Map<String, Object> item) -> number(item, "bedrooms"))
                .reversed();
        stageShows(first(5, rooms.thenComparing(item -> number(item, "price"))));
        browser.see("[aria-label='Reverse Price, least first']").click();
        stageShows(first(
                5,
                rooms.thenComparing(Comparator.comparingDouble((Map<String, Object> item) -> number(item, "price"))
                        .reversed())));
        browser.seeText("button", "Add an order to choose").click();
        WebElement label = browser.see("[aria-label='What visitors read for Newest']");
        browser.type(label, "Cheapest first");
        label.sendKeys(Keys.TAB);
        then("Cheapest first", "Price, least first");
        browser.see("[aria-label='Cheapest first'] [aria-label='Take Newest out']")
                .click();
        browser.mustBeAccessible("the order being set up");
        browser.until("kept", () -> draft(key)
                .path("ranking")
                .path("order")
                .path("choices")
                .path(0)
                .path("by")
                .path(0)
                .path("by")
                .asString()
                .equals("number"));
        world.api()
                .send(
                        "POST",
                        "/api/owner/searches/" + key + "/publish",
                        "",
                        Map.of(
                                "If-Match",
                                world.api()
                                        .get("/api/owner/searches/" + key + "/draft")
                                        .header("ETag")));

        browser.open(world.service() + "/s/" + key);
        SearchContext results = browser.inside("tidy-results");
        assertThat(browser.see(results, ".heading").getText())
                .as("no longer the newest first")
                .isEqualTo("Everything");
        new Select(browser.see(results, ".ordered select")).selectByVisibleText("Cheapest first");
        List<String> cheapest = first(10, Comparator.comparingDouble(item -> number(item, "price")));
        browser.untilTexts(results, ".card h3", shown -> shown.equals(cheapest));
        assertThat(browser.address()).contains("order=");
        browser.mustBeAccessible("results in a chosen order");
        browser.driver().navigate().refresh();
        browser.untilTexts(browser.inside("tidy-results"), ".card h3", shown -> shown.equals(cheapest));
        browser.driver().navigate().back();
        browser.untilTexts(
                browser.inside("tidy-results"), ".card h3", shown -> shown.size() == 10 && !shown.equals(cheapest));
    }

    @Test
    void theNearestMakerToATypedHarbourComesFirstOnAPhone() {
        try (Browser phone = Browser.phone()) {
            phone.open(world.service() + "/s/makers");
            SearchContext results = phone.inside("tidy-results");
            phone.see(results, ".chip.open").click();
            phone.see(results, ".sheet [part~='filter-distance'] input").sendKeys("otterwikc", Keys.ENTER);
            phone.untilTexts(
                    results,
                    ".card .in-column > .dots:last-child",
                    texts -> !texts.isEmpty() && texts.getFirst().endsWith(" km away"));
            assertThat(phone.address()).contains("place=otterwikc");
            List<String> ways = phone.texts(results, ".card .in-column > .dots:last-child");
            assertThat(ways.subList(0, 3))
                    .as("those who paid for it come first, and visitors read so")
                    .allMatch(text -> text.contains("Paid placement"));
            assertThat(ways.get(3)).as("then the nearest").endsWith("under 0.1 km away");
            new Select(phone.see(results, ".ordered select")).selectByVisibleText("Closest");
            phone.untilTexts(
                    results,
                    ".card .in-column > .dots:last-child",
                    texts -> !texts.isEmpty() && texts.getFirst().endsWith("under 0.1 km away"));
            List<String> there = ISLES.items("makers").stream()
                    .filter(item ->
                            item.get("place") instanceof Map<?, ?> place && "Otterwick".equals(place.get("name")))
                    .map(item -> item.get("title").toString())
                    .toList();
            assertThat(phone.texts(results, ".card h3").subList(0, there.size()))
                    .containsExactlyInAnyOrderElementsOf(there);
            phone.mustBeAccessible("distances on cards");
            assertThat(phone.consoleErrors()).isEmpty();
        }
    }

    private static JsonNode draft(String key) {
        return world.api().get("/api/owner/searches/" + key + "/draft").json();
    }
}
