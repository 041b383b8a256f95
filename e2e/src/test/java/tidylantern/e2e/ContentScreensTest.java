package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import tidylantern.server.Api;
import tools.jackson.databind.JsonNode;

/** Content comes in, is looked over, mended and chosen from, as an owner does it. */
class ContentScreensTest {
    private static final String INNS = """
            id;name;price;since;town;rooms
            inn-1;The Crooked Mast;€ 80,50;1790-05-31;Inkwell;4 rooms
            inn-2;Widow's Rest;€ 64,00;1902-01-02;Inkwell;7 rooms
            inn-3;The Zandvort Arms;€ 120,00;2011-11-30;Pell Harbour;12 rooms
            inn-4;Lamplighter's;€ 55,00;1876-02-01;Pell Harbour;3 rooms
            """;

    private static void choose(Browser browser, String input, String option) {
        browser.see("#" + input).click();
        browser.seeText("[role=option]", option).click();
    }

    private static void untilDialogIsGone(Browser browser) {
        browser.until("the dialog is gone", () -> browser.driver()
                .findElements(By.cssSelector("[role=dialog]"))
                .isEmpty());
    }

    private static DemoWorld world;

    @BeforeAll
    static void start(@TempDir Path data) {
        world = new DemoWorld(data);
    }

    @AfterAll
    static void stop() {
        world.close();
    }

    /** "275 of 279": what a search reaches of all items there are, whatever the other tests brought in. */
    private static String sum(String search, int more) {
        int all = world.api()
                .get("/api/owner/sites/quillhaven-isles/collections")
                .json()
                .valueStream()
                .mapToInt(collection -> collection.path("items").asInt())
                .sum();
        return "%d of %d".formatted(inReach(search) + more, all);
    }

    private static int inReach(String search) {
        return world.api()
                .get("/api/owner/searches/" + search + "/draft/reach")
                .json()
                .path("inReach")
                .asInt();
    }

    @Test
    void aCsvFileGoesFromNothingToFoundItems(@TempDir Path data) throws IOException {
        Path file = Files.writeString(data.resolve("inns.csv"), INNS);
        try (Browser browser = Browser.wide()) {
            browser.signIn(world.service());
            browser.seeText("nav a", "Content").click();
            browser.seeText("button", "Bring content in").click();
            browser.seeText("h2", "Where is it?");
            browser.mustBeAccessible("bring content in");
            browser.driver().findElement(By.cssSelector("input[type=file]")).sendKeys(file.toString());
            browser.seeText("[role=status]", "4 records, 6 columns");
            // Told without a question: the delimiter, money with a decimal comma, a day, a number with its unit.
            browser.seeText("section", "semicolons");
            browser.untilTexts(
                    browser.driver(),
                    "tbody .p-select-label",
                    texts -> texts.containsAll(List.of("Money", "Date", "Number")));
            browser.seeText("td", "The Crooked Mast");
            browser.mustBeAccessible("what becomes of a file");
            assertThat(browser.see("#new-label").getDomProperty("value"))
                    .as("named after the file")
                    .isEqualTo("Inns");
            browser.seeText("button", "Bring in 4 items").click();
            browser.seeText("h1", "inns.csv");
            browser.seeText("main", "Done");
            browser.untilTexts(browser.driver(), ".counts dd", texts -> texts.contains("4"));
            browser.mustBeAccessible("the report of a run");
            assertThat(world.api()
                            .get("/api/owner/sites/quillhaven-isles/collections/inns/item?id=inn-1")
                            .text())
                    .contains("80.5")
                    .contains("1790-05-31");

            browser.open(world.workbench("/searches/island-search/what-is-searched"));
            String before = sum("island-search", 0);
            String after = sum("island-search", 4);
            browser.seeText(".sum", before);
            browser.driver().findElement(By.id("reach-inns")).sendKeys(Keys.SPACE);
            browser.seeText(".sum", after);
            browser.enterStage();
            WebElement box = browser.see(browser.inside("tidy-search"), "input");
            browser.type(box, "zandvort");
            box.sendKeys(Keys.ENTER);
            browser.untilTexts(
                    browser.inside("tidy-results"), ".card h3", texts -> texts.equals(List.of("The Zandvort Arms")));
            browser.leaveFrame();
            assertThat(browser.consoleErrors()).isEmpty();
        }
    }

    @Test
    void pagesOfTheSiteGoFromNothingToFoundItems() {
        try (Browser browser = Browser.wide()) {
            browser.signIn(world.service());
            browser.open(world.workbench("/sources/new"));
            browser.seeText("label", "Pages of the site").click();
            browser.type(browser.see("#prefix"), "/outings/");
            browser.type(browser.see("#pause"), "0");
            browser.seeText("button", "Look at the first pages").click();
            browser.seeText("[role=status]", "The first 5 pages");
            browser.seeText("button", "Point at parts").click();
            browser.seeText("[role=dialog] h3", "What is taken");
            browser.seeText(".blocks button", "Blisters, porridge").click();
            browser.mustBeAccessible("pointing at parts of a page");
            browser.see("[aria-label='Name of the field']").sendKeys("voices", Keys.ENTER);
            browser.seeText(".chips", "voices");
            browser.seeText("[role=dialog] button", "Read pages like this").click();
            untilDialogIsGone(browser);
            browser.seeText("button", "Show all").click();
            browser.seeText("td", "voices");
            choose(browser, "into", "A new collection");
            browser.type(browser.see("#new-label"), "Days out");
            browser.seeText("button", "Bring it all in").click();
            browser.seeText("h1", "Pages of localhost");
            browser.untilTexts(browser.driver(), ".counts dd", texts -> texts.contains("44"));
            Api.Answer item =
                    world.api().get("/api/owner/sites/quillhaven-isles/collections/days-out/item?id=outings-001");
            assertThat(item.text())
                    .contains("Blisters, porridge, glory.")
                    .contains("You need not have held an oar before")
                    .doesNotContain("Skip to the content");

            world.api().post("/api/owner/sites/quillhaven-isles/searches", "{\"name\":\"Days out\"}");
            browser.open(world.workbench("/searches/days-out/what-is-searched"));
            browser.enterStage();
            WebElement box = browser.see(browser.inside("tidy-search"), "input");
            browser.type(box, "rowing dawn");
            box.sendKeys(Keys.ENTER);
            browser.untilTexts(
                    browser.inside("tidy-results"),
                    ".card h3",
                    texts -> texts.stream()
                                    .filter("Pell Harbour Rowing Club: dawn rows"::equals)
                                    .count()
                            == 2);
        }
    }

    @Test
    void eachCollectionOfTheDemoHasASourceWhoseRunChangesNothing() {
        Api api = world.api();
        JsonNode sources = api.get("/api/owner/sites/quillhaven-isles/sources").json();
        assertThat(sources.valueStream()
                        .map(source -> source.path("collection").asString())
                        .toList())
                .containsExactlyInAnyOrder("journal", "makers", "kitchen", "outings", "homes", "pictures");
        for (int time = 1; time <= 2; time++) {
            for (JsonNode source : sources) {
                long sync = api.post("/api/owner/sources/" + source.path("id").asLong() + "/syncs", "")
                        .json()
                        .path("id")
                        .asLong();
                JsonNode now;
                do {
                    now = api.get("/api/owner/syncs/" + sync).json();
                } while (now.path("state").asString().equals("running"));
                JsonNode report = now.path("report");
                String name = source.path("name").asString() + ", time " + time;
                assertThat(now.path("state").asString()).as(name).isEqualTo("done");
                assertThat(report.path("unchanged").asInt())
                        .as(name)
                        .isPositive()
                        .isEqualTo(report.path("read").asInt());
                assertThat(report.path("added").asInt()
                                + report.path("changed").asInt()
                                + report.path("removed").asInt()
                                + report.path("refused").asInt())
                        .as(name + ": " + report)
                        .isZero();
            }
        }
    }

    @Test
    void rulesSayWhatIsSearchedAndTellWhatTheyTake() {
        try (Browser browser = Browser.wide()) {
            browser.signIn(world.service());
            String key =
                    world.newSearch("Ruled", List.of("journal", "makers", "kitchen", "outings", "homes", "pictures"));
            String without = sum(
                    key,
                    -world.api()
                            .get(
                                    "/api/owner/sites/quillhaven-isles/collections/journal/items?value=island:great-quill&keptOut=false")
                            .json()
                            .path("total")
                            .asInt());
            browser.open(world.workbench("/searches/" + key + "/what-is-searched"));
            browser.see("[aria-label='Add a rule for Journal']").click();
            browser.see("input[aria-label=Value]").click();
            browser.seeText("[role=option]", "Great Quill › Inkwell");
            browser.mustBeAccessible("a rule being made");
            browser.seeText("[role=option]", "Great Quill").click();
            browser.seeText("form button", "Add").click();
            browser.seeText(".rules", "Island: Great Quill");
            browser.seeText(".sum", without);
            browser.seeText(".path", without + " items");
            browser.see("[title='List the items that this rule takes']").click();
            browser.seeText("[role=dialog]", "13 items");
            browser.mustBeAccessible("the items of a rule");
            browser.press(Keys.ESCAPE);
            untilDialogIsGone(browser);

            // The same with the keyboard: an address pattern that lets in only so much.
            WebElement add = browser.see("[aria-label='Add a rule for Kitchen']");
            add.sendKeys(Keys.ENTER);
            browser.seeText("[role=group] button, .p-selectbutton *", "Let in only")
                    .click();
            browser.see("[aria-label='What the rule looks at']").sendKeys("Address", Keys.ENTER);
            browser.see("[aria-label='Pattern of addresses']").sendKeys("/kitchen/b*", Keys.ENTER);
            browser.seeText(".rules", "Address: /kitchen/b*");
            browser.until(
                    "the count of the rule",
                    () -> browser.driver().findElements(By.cssSelector(".only .count-button")).stream()
                            .anyMatch(count -> count.getText().matches("[1-9]\\d*")));
            browser.see("[aria-label='Take away the rule Leave out Island: Great Quill']")
                    .click();
            browser.until("kept by the service", () -> {
                String draft =
                        world.api().get("/api/owner/searches/" + key + "/draft").text();
                return draft.contains("/kitchen/b*") && !draft.contains("great-quill");
            });
        }
    }

    @Test
    void whatIsWrongIsMendedInOneOrTwoClicks() {
        try (Browser browser = Browser.wide()) {
            JsonNode items = world.api()
                    .get("/api/owner/sites/quillhaven-isles/collections/makers/export.jsonl")
                    .text()
                    .lines()
                    .findFirst()
                    .map(line -> new tools.jackson.databind.json.JsonMapper().readTree(line))
                    .orElseThrow();
            String spelled = items.path("trade").asString().replaceFirst("^Boats", "Boat-s");
            world.api()
                    .sendBytes(
                            "PUT",
                            "/api/owner/sites/quillhaven-isles/collections/makers/items?partial=true",
                            ("{\"id\":\"makers-001\",\"trade\":\"" + spelled + "\"}\n").getBytes(),
                            java.util.Map.of("Content-Type", "application/jsonl"));
            browser.signIn(world.service());
            browser.open(world.workbench("/content"));
            browser.seeText("a", "See what is wrong").click();
            browser.seeText("h2", "One value, two spellings");
            browser.seeText("button", "Make it “Boats”").click();
            browser.seeText("[role=status]", "counts as “Boats” from now on");
            browser.until("the finding is gone", () -> browser.driver().findElements(By.cssSelector("h2")).stream()
                    .noneMatch(heading -> heading.getText().equals("One value, two spellings")));
            WebElement keepOut =
                    browser.see("button[aria-label='Keep out of search: Journal, 1 item without a title']");
            keepOut.click();
            browser.seeText("[role=dialog] button", "Keep out of search").click();
            browser.seeText("[role=status]", "1 item of Journal kept out of search");
            assertThat(world.api()
                            .get("/api/owner/sites/quillhaven-isles/collections/journal/items?keptOut=true")
                            .json()
                            .path("total")
                            .asInt())
                    .isEqualTo(1);
            // As its source has it again, for whoever looks at it next.
            world.api()
                    .sendBytes(
                            "PUT",
                            "/api/owner/sites/quillhaven-isles/collections/makers/items?partial=true",
                            ("{\"id\":\"makers-001\",\"trade\":\""
                                            + items.path("trade").asString() + "\"}\n")
                                    .getBytes(),
                            java.util.Map.of("Content-Type", "application/jsonl"));
        }
    }

    @Test
    void anOwnersWordsForAnItemOutliveTheNextRunOfItsSource() {
        try (Browser browser = Browser.wide()) {
            browser.signIn(world.service());
            browser.open(world.workbench("/content/makers"));
            browser.see("input[type=search]").sendKeys("ropewalk");
            browser.seeText("tbody a", "Orrel Ropewalk").click();
            browser.seeText("h1", "Orrel Ropewalk");
            browser.see("#keywords").sendKeys("hawserwork");
            browser.see("#own-title").sendKeys("Orrel's rope shed");
            browser.seeText("form button", "Keep").click();
            browser.seeText("[role=status]", "Kept");
            browser.seeText("h1", "Orrel's rope shed");
            browser.open(world.workbench("/sources/2"));
            browser.seeText("button", "Run it now").click();
            browser.seeText("main", "Done");
            assertThat(world.api()
                            .results("island-search", "hawserwork")
                            .json()
                            .path("hits")
                            .path(0)
                            .path("title")
                            .asString())
                    .isEqualTo("Orrel's rope shed");

            int before = inReach("island-search");
            browser.open(world.workbench("/content/makers"));
            browser.seeText("[role=status]", "50 items");
            browser.driver()
                    .findElement(By.cssSelector("[aria-label='Choose all of this page']"))
                    .sendKeys(Keys.SPACE);
            browser.seeText("[role=region]", "15 items chosen");
            browser.mustBeAccessible("several items chosen");
            browser.seeText("[role=region] button", "Keep out of search").click();
            browser.seeText("[role=status]", "15 items kept out of search");
            assertThat(inReach("island-search")).isEqualTo(before - 15);
        }
    }
}
