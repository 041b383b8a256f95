package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.SearchContext;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.PointerInput;
import org.openqa.selenium.support.ui.Select;
import tidylantern.demo.Quillhaven;
import tools.jackson.databind.JsonNode;

/** What an owner decides about filters beyond their kind and control, as it shows on the stage beside. */
@ExtendWith(SharedDemo.class)
class FilterDecisionsTest {
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

    private static String opened(String name, List<String> collections, String... filters) {
        String key = world.newSearch(name, collections);
        browser.open(world.workbench("/searches/" + key + "/filters"));
        for (String label : filters) {
            browser.see("[aria-label='Add " + label + "']").click();
            browser.seeText(".filters .name", label);
        }
        return key;
    }

    private static JsonNode design(String key) {
        return world.api().get("/api/owner/searches/" + key + "/draft").json();
    }

    private static void choose(String label, String option) {
        WebElement field =
                browser.until(label, () -> browser.driver().findElements(By.cssSelector(".settings .choice")).stream()
                        .filter(one -> one.getText().startsWith(label))
                        .findFirst()
                        .orElse(null));
        field.findElement(By.cssSelector(".p-select")).click();
        browser.seeText("[role=option]", option).click();
    }

    /** What is on the stage, looked at from within its frame. */
    private static void stageShows(String css, List<String> texts) {
        browser.onStage("tidy-results", results -> {
            browser.untilTexts(results, css, shown -> shown.equals(texts));
            return null;
        });
    }

    @Test
    void joinedTakenApartAndPutTogetherAgain() {
        String key = opened("Joined", List.of("homes"), "Garden", "Sea view", "Offer");
        stageShows(".filter legend", List.of("Garden", "Sea view", "Offer"));
        browser.seeText(".filters .name", "Garden").click();
        choose("In one filter with", "Sea view");
        stageShows(".filter legend", List.of("Garden", "Offer"));
        stageShows(".filter:first-of-type .value label", List.of("Garden", "Sea view"));
        browser.seeText(".settings button", "In one list").click();
        browser.seeText(".settings button", "All must hold").click();
        long both = ISLES.items("homes").stream()
                .filter(item -> Boolean.TRUE.equals(item.get("garden")) && Boolean.TRUE.equals(item.get("seaView")))
                .count();
        browser.until("kept", () -> design(key)
                .path("filters")
                .path(0)
                .path("source")
                .path("several")
                .asString()
                .equals("all"));
        browser.onStage("tidy-results", results -> {
            for (String label : List.of("Garden", "Sea view")) {
                browser.until(label, () -> results.findElements(By.cssSelector(".filter .value")).stream()
                                .filter(one -> one.getText().startsWith(label))
                                .findFirst()
                                .orElse(null))
                        .findElement(By.cssSelector("input"))
                        .click();
                browser.untilTexts(results, ".chip", texts -> texts.contains(label));
            }
            browser.untilTexts(results, ".count", texts -> texts.equals(List.of(both + " results")));
            return null;
        });
        JsonNode joint = design(key).path("filters").path(0);
        browser.seeText(".settings button", "Take apart").click();
        browser.seeText(".group", "Apart from Garden");
        browser.mustBeAccessible("filters taken apart");
        stageShows(".filter legend", List.of("Garden", "Sea view", "Offer"));
        browser.seeText(".group button", "Put together").click();
        stageShows(".filter legend", List.of("Garden", "Offer"));
        browser.until(
                "nothing is lost", () -> design(key).path("filters").path(0).equals(joint));
    }

    @Test
    void aStartIsWhatTheStageShowsAndClearAllGoesBackToIt() {
        String key = opened("Starting", List.of("homes"), "Offer");
        browser.onStage("tidy-results", results -> {
            browser.until("To let", () -> results.findElements(By.cssSelector(".filter .value")).stream()
                            .filter(one -> one.getText().startsWith("To let"))
                            .findFirst()
                            .orElse(null))
                    .findElement(By.cssSelector("input"))
                    .click();
            browser.untilTexts(results, ".chip", texts -> texts.equals(List.of("To let")));
            return null;
        });
        browser.seeText(".filters .name", "Offer").click();
        choose("Starts with", "What is set on the stage");
        browser.until("kept", () -> design(key)
                .path("filters")
                .path(0)
                .path("source")
                .path("start")
                .path(0)
                .asString()
                .equals("to-let"));
        String version =
                world.api().get("/api/owner/searches/" + key + "/draft").header("ETag");
        world.api().send("POST", "/api/owner/searches/" + key + "/publish", "", Map.of("If-Match", version));
        browser.open(world.service() + "/s/" + key);
        SearchContext results = browser.inside("tidy-results");
        browser.untilTexts(results, ".chip", texts -> texts.equals(List.of("To let")));
        assertThat(results.findElements(By.cssSelector(".active .again")))
                .as("nothing to clear at the start")
                .isEmpty();
        browser.see(results, ".chip").click();
        browser.until("an empty parameter", () -> browser.address().endsWith("?offer="));
        browser.untilTexts(
                results,
                ".count",
                texts -> texts.equals(List.of(ISLES.items("homes").size() + " results")));
        browser.driver().navigate().refresh();
        SearchContext again = browser.inside("tidy-results");
        browser.untilTexts(
                again,
                ".count",
                texts -> texts.equals(List.of(ISLES.items("homes").size() + " results")));
        browser.see(again, ".active .again").click();
        browser.untilTexts(again, ".chip", texts -> texts.equals(List.of("To let")));
        assertThat(browser.address()).doesNotContain("offer");
    }

    @Test
    void aPlaceIsSwitchedOffAndOnAndTheChoiceWaitsForItsButton() {
        String key = opened("Places", List.of("homes"), "Offer", "Garden");
        browser.see("[aria-label='All filters: Beside the search box']").click();
        browser.onStage("tidy-search", box -> {
            browser.untilTexts(box, ".filter legend", texts -> texts.size() == 2);
            return null;
        });
        browser.see("label[for='place-page']").click();
        browser.onStage(
                "tidy-results",
                results -> browser.until("no filters", () -> results.findElements(By.cssSelector(".filter"))
                        .isEmpty()));
        browser.see("label[for='place-page']").click();
        stageShows(".filter legend", List.of("Garden", "Offer").reversed());
        assertThat(design(key)
                        .path("filters")
                        .path(0)
                        .path("shown")
                        .path("page")
                        .asString())
                .as("each keeps what it says")
                .isEqualTo("side");
        browser.seeText("[aria-label='Results page: when a choice holds'] button", "By a button")
                .click();
        browser.seeText("[aria-label='Results page: how they open'] button", "Over the page")
                .click();
        browser.until("kept", () -> design(key)
                .path("filterPlaces")
                .path("page")
                .path("opened")
                .asString()
                .equals("over"));
        int gardens = (int) ISLES.items("homes").stream()
                .filter(item -> Boolean.TRUE.equals(item.get("garden")))
                .count();
        browser.onStage("tidy-results", results -> {
            browser.see(results, ".chip.open").click();
            browser.see(results, ".sheet [part~='filter-garden'] input").click();
            browser.untilTexts(results, ".sheet .done", texts -> texts.equals(List.of("Show " + gardens + " results")));
            assertThat(browser.texts(results, ".count"))
                    .as("not before the button")
                    .containsExactly(ISLES.items("homes").size() + " results");
            return null;
        });
        browser.mustBeAccessible("filters over the page");
        browser.onStage("tidy-results", results -> {
            browser.see(results, ".sheet .done").click();
            browser.untilTexts(results, ".count", texts -> texts.equals(List.of(gardens + " results")));
            return null;
        });
    }

    @Test
    void allLabelsStandInOneTableWithAWayBack() {
        String key = opened("Labels", List.of("homes"), "Offer", "Garden");
        browser.seeText("button", "All labels").click();
        // The table is drawn anew when the fields' own names arrive.
        browser.until("typed", () -> {
            WebElement label = browser.see("input[aria-label='Visitors read for Garden']");
            browser.type(label, "With a garden");
            return "With a garden".equals(label.getAttribute("value"));
        });
        browser.press(Keys.TAB);
        stageShows(".filter legend", List.of("Offer", "With a garden"));
        browser.mustBeAccessible("all labels");
        browser.see("[aria-label='Back to Garden']").click();
        stageShows(".filter legend", List.of("Offer", "Garden"));
        assertThat(design(key)
                        .path("filters")
                        .path(1)
                        .path("head")
                        .path("label")
                        .asString())
                .isEqualTo("Garden");
    }

    @Test
    void valuesAreMergedAndLeftOutAndTheListSaysHowMany() {
        opened("Values", List.of("kitchen"), "Course");
        browser.seeText(".filters .name", "Course").click();
        browser.see("[aria-label='Let Bread count as another value']").click();
        browser.see(".target").click();
        browser.seeText("[role=option]", "Baking").click();
        long together = ISLES.items("kitchen").stream()
                .filter(item -> List.of("Baking", "Bread")
                        .contains(String.valueOf(item.get("course")).split("/")[0]))
                .count();
        browser.onStage("tidy-results", results -> {
            browser.untilTexts(
                    results,
                    ".filter .value",
                    texts -> texts.stream().anyMatch(text -> text.equals("Baking\n" + together))
                            && texts.stream().noneMatch(text -> text.startsWith("Bread\n")));
            return null;
        });
        browser.seeText(".values li label", "Pudding").click();
        long puddings = ISLES.items("kitchen").stream()
                .filter(item -> "Pudding".equals(item.get("course")))
                .count();
        browser.seeText(".filters .name", "1 value left out, in " + puddings + " items");
    }

    @Test
    void whatTheOwnerPointsAtIsLitOnTheStage() {
        opened("Lit", List.of("homes"), "Offer", "Garden");
        browser.seeText(".filters .name", "Garden").click();
        stageShows(".filter.lit legend", List.of("Garden"));
        browser.point(browser.seeText(".filters .name", "Offer"));
        stageShows(".filter.lit legend", List.of("Offer"));
    }

    @ParameterizedTest
    @EnumSource(names = {"MOUSE", "TOUCH"})
    void aFilterIsDraggedToAnotherPlace(PointerInput.Kind pointer) {
        String key = opened("Dragged by " + pointer, List.of("homes"), "Offer", "Garden", "Price");
        browser.drag(
                pointer,
                browser.driver().findElements(By.cssSelector(".grip")).get(2),
                browser.driver().findElements(By.cssSelector(".filters > li")).get(0));
        stageShows(".filter legend", List.of("Price", "Offer", "Garden"));
        browser.until("kept", () -> design(key)
                .path("filters")
                .path(0)
                .path("head")
                .path("key")
                .asString()
                .equals("price"));
    }

    @Test
    void aFilterIsMovedByKeysWhichStayAtItsButton() {
        opened("By keys", List.of("homes"), "Offer", "Garden", "Price");
        browser.script("document.querySelector(\"[aria-label='Move Price up']\").focus()");
        browser.press(Keys.ENTER);
        stageShows(".filter legend", List.of("Offer", "Price", "Garden"));
        assertThat(focused()).isEqualTo("Move Price up");
        browser.press(Keys.ENTER);
        stageShows(".filter legend", List.of("Price", "Offer", "Garden"));
        assertThat(focused()).as("at the top only the other one goes on").isEqualTo("Move Price down");
        browser.seeText("[role=status]", "Price is number 1 of 3");
        assertThat(browser.texts(browser.driver(), ".filters .name b")).containsExactly("Price", "Offer", "Garden");
    }

    private static String focused() {
        return String.valueOf(browser.script("return document.activeElement.getAttribute('aria-label')"));
    }

    @Test
    void filtersAloneOnTheHomePageLeadToTheResults() {
        browser.open(world.site() + "/");
        SearchContext alone = browser.inside("tidy-filters");
        new Select(browser.see(alone, "[part~='filter-activity'] select")).selectByValue("wildlife");
        browser.see(alone, "[part~='filter-children'] input").click();
        long found = ISLES.items("outings").stream()
                .filter(item -> String.valueOf(item.get("activity")).startsWith("Wildlife")
                        && Boolean.TRUE.equals(item.get("childrenWelcome")))
                .count();
        browser.untilTexts(
                alone,
                ".done",
                texts -> texts.equals(List.of(found == 1 ? "Show 1 result" : "Show " + found + " results")));
        browser.mustBeAccessible("filters alone on a page");
        browser.see(alone, ".done").click();
        browser.until(
                "the results page",
                () -> browser.address().contains("/s/outings?")
                        && browser.address().contains("activity=wildlife")
                        && browser.address().contains("children=yes"));
        browser.untilTexts(
                browser.inside("tidy-results"),
                ".chip",
                texts -> texts.equals(List.of("Wildlife", "Children welcome: Yes")));
        browser.driver().navigate().back();
        browser.inside("tidy-filters");
        assertThat(browser.address())
                .as("the home page's own address was left alone")
                .isEqualTo(world.site() + "/");
    }

    @Test
    void filtersBesideTheBoxGoAlongWithTheWordsToTheResults() {
        String key = opened("Beside", List.of("homes"), "Garden");
        browser.see("[aria-label='All filters: Beside the search box']").click();
        browser.seeText("[aria-label='Beside the search box: how they open'] button", "Over the page")
                .click();
        browser.until("kept", () -> design(key)
                .path("filterPlaces")
                .path("box")
                .path("opened")
                .asString()
                .equals("over"));
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
        browser.open(world.service() + "/workbench/stage.html#search=" + key + "&place=header");
        SearchContext box = browser.inside("tidy-search");
        browser.see(box, ".chip.open").click();
        browser.see(box, ".sheet [part~='filter-garden'] input").click();
        long gardens = ISLES.items("homes").stream()
                .filter(item -> Boolean.TRUE.equals(item.get("garden")))
                .count();
        browser.untilTexts(box, ".sheet .done", texts -> texts.equals(List.of("Show " + gardens + " results")));
        browser.see(box, ".sheet .done").click();
        browser.until("the results page", () -> browser.address().endsWith("/s/" + key + "?garden=yes"));
        browser.untilTexts(
                browser.inside("tidy-results"), ".count", texts -> texts.equals(List.of(gardens + " results")));
    }

    @Test
    void filtersUnfoldWhereTheyStandAndAllMayBeTickedAtFirst() {
        String key = opened("Unfolding", List.of("homes", "makers"), "Trade", "Offer");
        browser.seeText("[aria-label='Results page: how they open'] button", "Unfolding")
                .click();
        browser.seeText(".filters .name", "Offer").click();
        choose("Starts with", "All ticked");
        browser.seeText(".folding > button", "Where and when").click();
        browser.seeText(".some label", "Homes").click();
        browser.seeText(".filters .name", "Offer").click();
        browser.until("kept", () -> design(key)
                .path("filters")
                .path(1)
                .path("shown")
                .path("collections")
                .path(0)
                .asString()
                .equals("homes"));
        browser.onStage("tidy-results", results -> {
            browser.untilTexts(
                    results,
                    ".count",
                    texts -> texts.equals(
                            List.of(ISLES.items("homes").stream()
                                            .filter(item -> item.containsKey("offer"))
                                            .count() + " results")));
            assertThat(results.findElements(By.cssSelector(".filter"))).isEmpty();
            browser.see(results, ".chip.open").click();
            browser.untilTexts(results, ".group .filter legend", texts -> texts.equals(List.of("Offer")));
            for (String offer : List.of("For sale", "To let")) {
                browser.until(offer, () -> results.findElements(By.cssSelector(".filter .value")).stream()
                                .filter(one -> one.getText().startsWith(offer))
                                .findFirst()
                                .orElse(null))
                        .findElement(By.cssSelector("input"))
                        .click();
                browser.untilTexts(results, ".chip:not(.open)", texts -> !texts.contains(offer));
            }
            browser.untilTexts(
                    results,
                    ".count",
                    texts -> texts.equals(List.of(
                            ISLES.items("homes").size() + ISLES.items("makers").size() + " results")));
            browser.untilTexts(results, ".group .filter legend", texts -> texts.equals(List.of("Trade", "Offer")));
            return null;
        });
    }

    @Test
    void aDistanceSaidAsTheContractSaysItOutlivesAnotherChoiceAndThePageAsksOnce() {
        browser.open(world.service() + "/s/makers?place=otterwick&within=5");
        SearchContext results = browser.inside("tidy-results");
        browser.untilTexts(results, ".chip", texts -> texts.equals(List.of("Within 5 km of Otterwick")));
        assertThat(
                        browser.script(
                                "return performance.getEntriesByType('resource').filter(one => one.name.includes('/results')).length"))
                .as("requests of results")
                .isEqualTo(1L);
        browser.see(results, "[part~='filter-visitors'] input").click();
        browser.untilTexts(
                results, ".chip", texts -> texts.equals(List.of("Within 5 km of Otterwick", "Visitors: Come in")));
        browser.see(results, "[aria-label='Take off Visitors: Come in']").click();
        browser.untilTexts(results, ".chip", texts -> texts.equals(List.of("Within 5 km of Otterwick")));
        assertThat(browser.address()).contains("distance=5").doesNotContain("within");
    }
}
