package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.Rectangle;
import org.openqa.selenium.SearchContext;
import org.openqa.selenium.WebElement;
import tidylantern.demo.Quillhaven;
import tools.jackson.databind.JsonNode;

/** Featured tiers and pins, set up from nothing and met by visitors, wide and on a phone. */
@Order(2)
@ExtendWith(SharedDemo.class)
class FeaturedTest {
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

    private static Set<String> withPlan(String plan) {
        return ISLES.items("makers").stream()
                .filter(item -> plan.equals(item.get("plan")))
                .map(item -> item.get("title").toString())
                .collect(Collectors.toSet());
    }

    private static List<String> stageTitles(java.util.function.Predicate<List<String>> such) {
        return browser.onStage("tidy-results", results -> {
            browser.untilTexts(results, ".card h3", such);
            return browser.texts(results, ".card h3");
        });
    }

    private static WebElement tier(String name) {
        return browser.see("li[aria-label='" + name + "']");
    }

    /** Unfolds a section of a tier's settings, if it is not open yet. */
    private static void part(String tier, String part) {
        WebElement section = browser.see(tier(tier), ".folding[aria-label='" + part + "'] > button");
        if ("false".equals(section.getAttribute("aria-expanded"))) {
            section.click();
        }
    }

    /** Adds the next tier, held by makers of a plan. */
    private static void addTier(String name, String plan) {
        browser.seeText("button", "Add a tier").click();
        part(name, "Who holds it");
        browser.see(tier(name), ".of").click();
        browser.seeText("[role=option]", "Makers").click();
        WebElement form = browser.see(tier(name), "form.rule");
        browser.see(form, "[aria-label='What the rule looks at']").click();
        browser.seeText("[role=option]", "Plan").click();
        browser.see(form, "[aria-label='Value']").click();
        browser.seeText("[role=option]", plan).click();
        browser.until("add", () -> form.findElements(By.cssSelector("button[type=submit]")).stream()
                        .filter(WebElement::isEnabled)
                        .findFirst()
                        .orElse(null))
                .click();
        browser.untilTexts(
                tier(name), "li > span", texts -> texts.stream().anyMatch(text -> text.startsWith("Makers · Plan: ")));
    }

    private static void publish(String key) {
        browser.until("kept", () -> browser.texts(browser.driver(), ".keeping").contains("Kept"));
        assertThat(world.api()
                        .send(
                                "POST",
                                "/api/owner/searches/" + key + "/publish",
                                "",
                                Map.of(
                                        "If-Match",
                                        world.api()
                                                .get("/api/owner/searches/" + key + "/draft")
                                                .header("ETag")))
                        .status())
                .isEqualTo(200);
    }

    private static JsonNode draft(String key) {
        return world.api().get("/api/owner/searches/" + key + "/draft").json();
    }

    @Test
    void twoTiersAreSoldLiftedMarkedAndLimitedAndLooksMoveNothing() {
        Set<String> beacons = withPlan("Beacon");
        Set<String> lanterns = withPlan("Lantern");
        String key = world.newSearch("Sold places", List.of("makers"));
        browser.open(world.workbench("/searches/" + key + "/order"));
        browser.seeText("[role=group] button", "Tiers").click();
        addTier("Beacon", "Beacon");
        addTier("Harbour light", "Lantern");
        browser.untilTexts(
                tier("Beacon"),
                ".name small",
                texts -> texts.equals(List.of("lifts 3 · " + beacons.size() + " items")));
        List<String> lifted = stageTitles(titles -> titles.size() == 10
                && beacons.containsAll(titles.subList(0, 3))
                && lanterns.containsAll(titles.subList(3, 6)));
        assertThat(browser.onStage("tidy-results", results -> browser.texts(results, ".standing"))
                        .subList(0, 4))
                .as("the stage says why each stands there")
                .containsExactly(
                        "Lifted: Beacon, its turn today",
                        "Lifted: Beacon, its turn today",
                        "Lifted: Beacon, its turn today",
                        "Lifted: Harbour light, its turn today");

        // Paid for, and the owner words what visitors read.
        tier("Harbour light")
                .findElement(By.xpath(".//label[contains(., 'It is paid for')]"))
                .click();
        WebElement says =
                browser.until("what they read", () -> tier("Harbour light")
                        .findElements(By.xpath(".//label[text()='They read']/following-sibling::input"))
                        .stream()
                        .findFirst()
                        .orElse(null));
        browser.type(says, "Supports the Isles");
        says.sendKeys(Keys.TAB);
        browser.onStage("tidy-results", results -> {
            browser.untilTexts(
                    results,
                    ".card .disclosure",
                    texts -> texts.stream()
                                    .filter(text -> text.contains("Supports the Isles"))
                                    .count()
                            >= 3);
            return null;
        });

        // Each ready look draws the tier unlike the others, and can be read.
        part("Harbour light", "How it looks");
        Set<List<String>> drawn = new HashSet<>();
        for (String look : List.of("Lamp", "Sea", "Quiet", "Night")) {
            browser.see(tier("Harbour light"), "[aria-label='Take the look " + look + "']")
                    .click();
            // Entered anew each time: with another look the stage may draw the element anew.
            drawn.add(browser.until(
                    "the look " + look,
                    () -> browser.onStage("tidy-results", results -> {
                        List<String> styles = drawnAs(results);
                        return styles == null || drawn.contains(styles) ? null : styles;
                    })));
            browser.until(
                    "contrasts of " + look,
                    () -> tier("Harbour light")
                                            .findElements(By.cssSelector(".contrast"))
                                            .isEmpty()
                                    || !tier("Harbour light")
                                            .findElements(By.cssSelector(".contrast.low"))
                                            .isEmpty()
                            ? null
                            : true);
        }
        assertThat(drawn).hasSize(4);

        // Looks: another ready look, a colour that cannot be read and the one offered in its place.
        part("Harbour light", "How it looks");
        browser.see(tier("Harbour light"), "[aria-label='Take the look Night']").click();
        browser.onStage(
                "tidy-results",
                results -> browser.until(
                        "a strong edge",
                        () -> results.findElements(By.cssSelector(".card.edge-strong"))
                                        .isEmpty()
                                ? null
                                : true));
        WebElement letters = browser.until("letters", () -> tier("Harbour light")
                .findElements(By.xpath(".//label[text()='Its letters']/following-sibling::input[not(@type='color')]"))
                .stream()
                .findFirst()
                .orElse(null));
        browser.type(letters, "#334455");
        letters.sendKeys(Keys.TAB);
        browser.untilTexts(tier("Harbour light"), ".contrast", texts -> texts.stream()
                .anyMatch(text -> text.contains("4.5 is needed")));
        browser.until(
                        "the nearest",
                        () -> tier("Harbour light").findElements(By.cssSelector(".contrast.low button")).stream()
                                .findFirst()
                                .orElse(null))
                .click();
        browser.until(
                "it passes",
                () -> tier("Harbour light")
                                .findElements(By.cssSelector(".contrast.low"))
                                .isEmpty()
                        ? true
                        : null);
        WebElement text =
                browser.until("ribbon", () -> tier("Harbour light")
                        .findElements(By.xpath(".//label[text()='What it says']/following-sibling::input"))
                        .stream()
                        .findFirst()
                        .orElse(null));
        browser.type(text, "A maker who has kept the harbour lights burning for 20 years");
        text.sendKeys(Keys.TAB);
        browser.onStage("tidy-results", results -> {
            browser.untilTexts(results, ".ribbon", texts -> texts.stream()
                    .anyMatch(one -> one.startsWith("A maker who has kept")));
            return null;
        });
        assertThat(stageTitles(titles -> titles.size() == 10))
                .as("looks move nothing")
                .isEqualTo(lifted);
        browser.mustBeAccessible("looks of a tier");
        part("Harbour light", "Who holds it");
        browser.mustBeAccessible("who holds a tier");
        publish(key);

        // A visitor, wide: one below the other, live results, then side by side.
        String page = world.service() + "/s/" + key;
        browser.open(page);
        SearchContext results = browser.inside("tidy-results");
        browser.untilTexts(results, ".card h3", titles -> titles.equals(lifted));
        assertThat(results.findElements(By.cssSelector(".standing")))
                .as("reasons are for owners")
                .isEmpty();
        assertThat(results.findElements(By.cssSelector("[part~='tier-harbour-light']")))
                .as("a site's own CSS reaches the tier")
                .isNotEmpty();
        browser.mustBeAccessible("featured results");
        SearchContext box = browser.inside("tidy-search");
        browser.see(box, "input").sendKeys("the");
        browser.untilTexts(
                box,
                ".row .title",
                names -> names.size() == 8
                        && beacons.contains(names.getFirst())
                        && lanterns.contains(names.get(1))
                        && !names.get(2).isEmpty());
        assertThat(browser.texts(box, ".row .disclosure").getFirst()).isEqualTo("Supports the Isles");
        browser.mustBeAccessible("featured live results");

        try (Browser phone = Browser.phone()) {
            phone.open(page);
            phone.untilTexts(phone.inside("tidy-results"), ".cards.list .card h3", titles -> titles.equals(lifted));
            phone.mustBeAccessible("featured results on a phone, one below the other");
        }

        browser.open(world.workbench("/searches/" + key + "/results-page"));
        browser.seeText("[role=group] button", "Side by side").click();
        browser.onStage(
                "tidy-results",
                found -> browser.until(
                        "a grid",
                        () -> found.findElements(By.cssSelector(".cards.grid")).isEmpty() ? null : true));
        assertThat(stageTitles(titles -> titles.size() == 10)).isEqualTo(lifted);
        publish(key);
        browser.open(page);
        SearchContext grid = browser.inside("tidy-results");
        browser.untilTexts(grid, ".cards.grid .card h3", titles -> titles.equals(lifted));
        List<WebElement> cards = grid.findElements(By.cssSelector(".card"));
        assertThat(cards.get(0).getRect().getY())
                .as("side by side")
                .isEqualTo(cards.get(1).getRect().getY());
        browser.mustBeAccessible("featured results side by side");

        try (Browser phone = Browser.phone()) {
            phone.open(page);
            SearchContext narrow = phone.inside("tidy-results");
            phone.untilTexts(narrow, ".card h3", titles -> titles.equals(lifted));
            for (WebElement card : narrow.findElements(By.cssSelector(".card.featured, .card[part~='featured']"))) {
                Rectangle around = card.getRect();
                Rectangle ribbon = card.findElement(By.cssSelector(".ribbon")).getRect();
                assertThat(ribbon.getX()).as("a long text is fitted").isGreaterThanOrEqualTo(around.getX());
                assertThat(ribbon.getX() + ribbon.getWidth()).isLessThanOrEqualTo(around.getX() + around.getWidth());
            }
            phone.mustBeAccessible("featured results on a phone");
            SearchContext small = phone.inside("tidy-search");
            phone.see(small, "input").sendKeys("the");
            phone.untilTexts(small, ".row .title", names -> names.size() == 8 && beacons.contains(names.getFirst()));
            phone.mustBeAccessible("featured live results on a phone");
            assertThat(phone.consoleErrors()).isEmpty();
        }
    }

    @Test
    void aPlacementByHandHoldsAtOnceForVisitors() {
        String key = world.newSearch("By hand", List.of("homes"));
        browser.open(world.workbench("/searches/" + key + "/order"));
        browser.seeText("[role=group] button", "Tiers").click();
        browser.seeText("button", "Add a tier").click();
        part("Beacon", "Who holds it");
        publish(key);
        String page = world.service() + "/s/" + key;
        String third;
        try (Browser visitor = Browser.wide()) {
            visitor.open(page);
            SearchContext results = visitor.inside("tidy-results");
            visitor.untilTexts(results, ".card h3", titles -> titles.size() == 10);
            third = visitor.texts(results, ".card h3").get(2);
            WebElement picker = browser.see(tier("Beacon"), "[aria-label='Items to place in the tier']");
            picker.sendKeys(third);
            browser.seeText("[role=option]", third).click();
            browser.until(
                            "place it",
                            () -> tier("Beacon").findElements(By.cssSelector(".add button[type=submit]")).stream()
                                    .findFirst()
                                    .orElse(null))
                    .click();
            browser.untilTexts(tier("Beacon"), ".placements .head b", titles -> titles.equals(List.of(third)));
            browser.untilTexts(tier("Beacon"), ".name small", texts -> texts.equals(List.of("lifts 3 · 1 item")));
            visitor.driver().navigate().refresh();
            visitor.untilTexts(
                    visitor.inside("tidy-results"),
                    ".card h3",
                    titles -> titles.size() == 10 && titles.getFirst().equals(third));
            // Until yesterday: it is over at once.
            browser.script(
                    "arguments[0].value = arguments[1]; arguments[0].dispatchEvent(new Event('change'))",
                    browser.see(tier("Beacon"), "[aria-label='Last day of " + third + "']"),
                    LocalDate.now().minusDays(2).toString());
            browser.untilTexts(
                    tier("Beacon"),
                    ".state",
                    texts -> texts.size() == 1 && texts.getFirst().startsWith("ended"));
            visitor.driver().navigate().refresh();
            visitor.untilTexts(
                    visitor.inside("tidy-results"),
                    ".card h3",
                    titles -> titles.size() == 10 && titles.get(2).equals(third));
        }
        // The item's own page knows of it too.
        String id = ISLES.items("homes").stream()
                .filter(item -> third.equals(item.get("title")))
                .findFirst()
                .orElseThrow()
                .get("id")
                .toString();
        browser.open(world.workbench("/content/homes/item?id=" + id));
        browser.seeText("section[aria-labelledby=placed] small", "ended");
        browser.mustBeAccessible("an item that is featured by hand");
        browser.see("[aria-label='Take out of the tier beacon']").click();
        browser.until(
                "taken out",
                () -> browser.driver()
                                .findElements(By.cssSelector("section[aria-labelledby=placed]"))
                                .isEmpty()
                        ? true
                        : null);
        assertThat(world.api()
                        .get("/api/owner/sites/quillhaven-isles/placements")
                        .json()
                        .findValuesAsString("tier"))
                .doesNotContain("beacon");
    }

    @Test
    void aPinPutsAnItemFirstAndWhySaysSo() {
        String key = world.newSearch("Pinned", List.of("journal"));
        browser.open(world.workbench("/searches/" + key + "/order"));
        browser.seeText("[role=group] button", "Pins").click();
        browser.see("[placeholder='ferry, ferry times']").sendKeys("harbour");
        String pinned = ISLES.items("journal").get(7).get("title").toString();
        browser.see("[aria-label='Items of the pin']").sendKeys(pinned);
        browser.seeText("[role=option]", pinned).click();
        browser.mustBeAccessible("a pin being made");
        browser.see("form.add button[type=submit]").click();
        List<String> first =
                stageTitles(titles -> !titles.isEmpty() && titles.getFirst().equals(pinned));
        assertThat(browser.onStage("tidy-results", results -> browser.texts(results, ".standing"))
                        .getFirst())
                .isEqualTo("Pinned at 1");
        // Another one is taken out of the same query.
        String out = first.get(1);
        browser.seeText("form.add [role=group] button", "Take out").click();
        browser.see("[placeholder='ferry, ferry times']").sendKeys("harbour");
        browser.see("[aria-label='Items of the pin']").sendKeys(out);
        browser.seeText("[role=option]", out).click();
        browser.see("form.add button[type=submit]").click();
        stageTitles(titles -> !titles.isEmpty() && titles.getFirst().equals(pinned) && !titles.contains(out));
        browser.until(
                "kept",
                () -> draft(key)
                                        .path("ranking")
                                        .path("pins")
                                        .path(0)
                                        .path("takeOut")
                                        .size()
                                == 1
                        ? true
                        : null);
        browser.seeText("button", "Why?").click();
        browser.see("#why-item").sendKeys(out);
        browser.seeText("[role=option]", out).click();
        browser.seeText(".reason p", "A pin takes it out of this query.");
        browser.seeText(".reason button", "Let it in again").click();
        browser.seeText(".verdict", "Found at place");
        browser.press(Keys.ESCAPE);
        browser.seeText("[role=group] button", "How much").click();
        browser.seeText(".remark", "The starting list is not over it");
        browser.mustBeAccessible("how much is featured");
    }

    @Test
    void aNameOfTheOwnersIsAPlaceThatVisitorsMayWrite() {
        browser.open(world.workbench("/searches"));
        browser.seeText("nav a", "Site").click();
        browser.see("[placeholder='Old harbour']").sendKeys("Smugglers' steps");
        browser.see("[placeholder='47.2078, -32.7351']").sendKeys("47.2078, -32.7351");
        browser.until(
                        "add",
                        () -> browser.driver().findElements(By.cssSelector("form.new button[type=submit]")).stream()
                                .filter(WebElement::isEnabled)
                                .findFirst()
                                .orElse(null))
                .click();
        browser.untilTexts(browser.driver(), ".two li b", names -> names.contains("Smugglers' steps"));
        browser.mustBeAccessible("names of places");
        browser.open(world.service() + "/s/makers?order=closest");
        SearchContext results = browser.inside("tidy-results");
        WebElement place = browser.see(results, "[part~='filter-how-far'] input, [part~='filter-distance'] input");
        browser.type(place, "smuglers' steps");
        place.sendKeys(Keys.ENTER);
        // The ropewalk is a few hundred metres away; the letter that is missing is forgiven.
        browser.untilTexts(
                results,
                ".card .distance",
                texts -> !texts.isEmpty() && texts.getFirst().contains("km away"));
        String nearest = ISLES.items("makers").stream()
                .min(java.util.Comparator.comparingDouble(item -> far((Map<?, ?>) item.get("place"))))
                .orElseThrow()
                .get("title")
                .toString();
        assertThat(browser.texts(results, ".card h3").getFirst()).isEqualTo(nearest);
    }

    /** On a small patch of the Earth a map's plane will do. */
    private static double far(Map<?, ?> place) {
        double north = ((Number) place.get("lat")).doubleValue() - 47.2078;
        double east = (((Number) place.get("lon")).doubleValue() + 32.7351) * Math.cos(Math.toRadians(47.2));
        return Math.hypot(north, east);
    }

    /** What tells the first card of the tier from others; null where there is none yet. */
    private static @Nullable List<String> drawnAs(SearchContext results) {
        return results.findElements(By.cssSelector(".card[part~='tier-harbour-light']")).stream()
                .findFirst()
                .map(card -> {
                    WebElement ribbon = card.findElement(By.cssSelector(".ribbon"));
                    return List.of(
                            card.getCssValue("border-top-color"),
                            card.getCssValue("border-top-width"),
                            card.getCssValue("background-color"),
                            ribbon.getCssValue("background-color"),
                            ribbon.getCssValue("font-size"));
                })
                .orElse(null);
    }
}
