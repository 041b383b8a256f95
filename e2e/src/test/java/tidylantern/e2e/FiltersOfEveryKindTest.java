package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Predicate;
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

/**
 * The filters that a home listing, a recipe collection, a trip programme and a directory need, each made from a new
 * search with the mouse, then used by a visitor. What must be found is reckoned from the demo's items by a loop.
 */
@ExtendWith(SharedDemo.class)
class FiltersOfEveryKindTest {
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

    /** A new search over one collection, opened at its filters. */
    private static String search(String name, String collection) {
        String key = world.newSearch(name, List.of(collection));
        browser.open(world.workbench("/searches/" + key + "/filters"));
        return key;
    }

    private static void add(String... labels) {
        for (String label : labels) {
            browser.see("[aria-label='Add " + label + "']").click();
            browser.seeText(".filters .name", label);
        }
    }

    /** Opens a filter's settings and chooses what it is handled with. */
    private static void handle(String label, String control) {
        browser.seeText(".filters .name", label).click();
        browser.see(".chosen").click();
        browser.seeText("[role=option]", control).click();
        browser.seeText(".filters .name", label + "\n" + control).click();
    }

    /** Publishes once the draft holds so many filters, and opens the hosted page. */
    private static SearchContext published(String key, int filters) {
        return published(key, filters, filters);
    }

    /** @param shown how many of the filters visitors see at first */
    private static SearchContext published(String key, int filters, int shown) {
        String draft = "/api/owner/searches/" + key + "/draft";
        browser.until(
                "kept by the service",
                () -> world.api().get(draft).json().path("filters").size() == filters
                        && browser.driver()
                                        .findElements(By.xpath("//*[text()='Kept']"))
                                        .size()
                                == 1);
        assertThat(world.api()
                        .send(
                                "POST",
                                "/api/owner/searches/" + key + "/publish",
                                "",
                                Map.of("If-Match", world.api().get(draft).header("ETag")))
                        .status())
                .isEqualTo(200);
        browser.open(world.service() + "/s/" + key);
        SearchContext results = browser.inside("tidy-results");
        browser.untilTexts(results, ".filter legend", texts -> texts.size() == shown);
        return results;
    }

    private static WebElement filter(SearchContext results, String label) {
        return browser.until(label, () -> results.findElements(By.cssSelector(".filter")).stream()
                .filter(one ->
                        one.findElement(By.cssSelector("legend")).getText().equals(label))
                .findFirst()
                .orElse(null));
    }

    /** Ticks a value and gives the number that stood beside it. */
    private static int tick(SearchContext results, String label, String value) {
        WebElement row = filter(results, label).findElements(By.cssSelector(".value, .tag")).stream()
                .filter(one -> one.getText().startsWith(value))
                .findFirst()
                .orElseThrow();
        int count = Integer.parseInt(row.findElement(By.cssSelector(".number")).getText());
        (row.getTagName().equals("button") ? row : row.findElement(By.cssSelector("input"))).click();
        return count;
    }

    private static void bound(SearchContext results, String label, String end, String typed) {
        WebElement input = filter(results, label)
                .findElement(By.cssSelector("input[aria-label='" + label + ", " + end + "']:not([type=range])"));
        input.sendKeys(Keys.chord(Keys.CONTROL, "a"), typed, Keys.ENTER);
    }

    private static void mustFind(SearchContext results, long expected) {
        assertThat(expected).as("a check that could not fail").isPositive();
        browser.untilTexts(
                results,
                ".count",
                texts -> texts.size() == 1
                        && texts.getFirst().equals(expected == 1 ? "1 result" : expected + " results"));
    }

    private static long reckoned(String collection, List<Predicate<Map<String, Object>>> conditions) {
        return ISLES.items(collection).stream()
                .filter(item -> conditions.stream().allMatch(condition -> condition.test(item)))
                .count();
    }

    private static Predicate<Map<String, Object>> between(String field, double from, double to) {
        return item -> item.get(field) != null
                && new BigDecimal(item.get(field).toString()).doubleValue() >= from
                && new BigDecimal(item.get(field).toString()).doubleValue() <= to;
    }

    private static Predicate<Map<String, Object>> is(String field, Object value) {
        return item -> value.equals(item.get(field));
    }

    @Test
    void aHomeListing() {
        String key = search("Homes by hand", "homes");
        add("Offer", "Price", "Bedrooms", "Garden");
        handle("Bedrooms", "A lower bound");
        browser.seeText(".filters .name", "Offer").click();
        browser.seeText("[aria-label='Which values are on the list'] button", "Hand-picked")
                .click();
        browser.seeText(".warning", "Nothing is picked yet");
        browser.seeText(".values ul li", "To let")
                .findElement(By.cssSelector("input"))
                .click();
        browser.seeText(".picked li", "To let");
        browser.seeText(".values ul li", "For sale")
                .findElement(By.cssSelector("input"))
                .click();
        browser.see("[aria-label='What visitors read for To let']").click();
        browser.see(".values input[type=text][aria-label^='What visitors read']")
                .sendKeys(Keys.chord(Keys.CONTROL, "a"), "Renting", Keys.ENTER);
        browser.seeText(".picked li", "Renting");
        browser.mustBeAccessible("values picked by hand");
        browser.seeText(".filters .name", "Offer").click();
        SearchContext results = published(key, 4);
        int toLet = tick(results, "Offer", "Renting");
        mustFind(results, toLet);
        assertThat((long) toLet).isEqualTo(reckoned("homes", List.of(is("offer", "To let"))));
        bound(results, "Price", "from", "400");
        bound(results, "Price", "to", "700");
        mustFind(results, reckoned("homes", List.of(is("offer", "To let"), between("price", 400, 700))));
        bound(results, "Bedrooms", "from", "2");
        mustFind(
                results,
                reckoned(
                        "homes",
                        List.of(is("offer", "To let"), between("price", 400, 700), between("bedrooms", 2, 99))));
        assertThat(browser.address()).contains("price=400..700", "bedrooms=2..");
        browser.untilTexts(
                results,
                ".chip",
                chips -> chips.containsAll(List.of("Renting", "Price: 400 to 700 EUR", "Bedrooms: from 2")));
        browser.mustBeAccessible("bounds and a switch");
        filter(results, "Price")
                .findElement(By.cssSelector("input[type=range]:last-of-type"))
                .sendKeys(Keys.END);
        browser.until(
                "the drawn end goes where no bound is", () -> browser.address().matches(".*price=400\\.\\.(&.*)?"));
        browser.driver().navigate().back();
        browser.until("Back brings the bound again", () -> browser.address().contains("price=400..700"));
        browser.seeText("h1", "Homes by hand");
        browser.see(results, ".active .again").click();
        mustFind(results, ISLES.items("homes").size());
        tick(results, "Garden", "Yes");
        mustFind(results, reckoned("homes", List.of(is("garden", true))));
    }

    @Test
    void aRecipeCollection() {
        String key = search("Recipes by hand", "kitchen");
        add("Course", "Tags", "Minutes");
        handle("Course", "One of a menu");
        handle("Minutes", "Steps");
        browser.seeText(".filters .name", "Tags").click();
        browser.seeText(".folding > button", "Where and when").click();
        browser.seeText(".folding .choice", "When")
                .findElement(By.cssSelector(".chosen"))
                .click();
        browser.seeText("[role=option]", "Once Course is set").click();
        browser.seeText(".filters .name", "Tags").click();
        SearchContext results = published(key, 3, 2);
        new Select(filter(results, "Course").findElement(By.cssSelector("select"))).selectByValue("soup");
        mustFind(results, reckoned("kitchen", List.of(is("course", "Soup"))));
        int warming = tick(results, "Tags", "warming");
        mustFind(results, warming);
        assertThat((long) warming)
                .isEqualTo(reckoned("kitchen", List.of(is("course", "Soup"), item -> ((List<?>) item.get("tags"))
                        .contains("warming"))));
        browser.see(results, ".active .again").click();
        mustFind(results, ISLES.items("kitchen").size());
        int quick = tick(results, "Minutes", "up to 50");
        mustFind(results, quick);
        assertThat((long) quick).isEqualTo(reckoned("kitchen", List.of(between("minutes", 0, 50))));
        browser.mustBeAccessible("a menu, chips and steps");
    }

    @Test
    void aTripProgramme() {
        String key = search("Trips by hand", "outings");
        add("Departures", "Children welcome", "Reviews");
        handle("Departures", "Months");
        SearchContext results = published(key, 3);
        YearMonth month = YearMonth.now().plusMonths(1);
        Predicate<Map<String, Object>> inMonth = item -> item.get("departures") instanceof List<?> days
                && days.stream().anyMatch(day -> day.toString().startsWith(month.toString()));
        int leaving = tick(
                results,
                "Departures",
                month.getMonth().getDisplayName(TextStyle.FULL, Locale.ENGLISH) + " " + month.getYear());
        assertThat((long) leaving)
                .as("an item with several days counts once")
                .isEqualTo(reckoned("outings", List.of(inMonth)));
        mustFind(results, leaving);
        assertThat(browser.address()).contains("departures=" + month);
        tick(results, "Children welcome", "Yes");
        mustFind(results, reckoned("outings", List.of(is("childrenWelcome", true), inMonth)));
        filter(results, "Reviews").findElement(By.cssSelector("input")).sendKeys("zzqxw", Keys.ENTER);
        browser.untilTexts(results, ".chip", texts -> texts.contains("Reviews: zzqxw"));
        browser.until("nothing has the word", () -> results.findElements(By.cssSelector(".card"))
                .isEmpty());
    }

    /** Within 5 km of the middle of all makers there; on so small a piece of the globe the middle is the mean. */
    private static boolean isNearOtterwick(Map<String, Object> item) {
        List<double[]> there = ISLES.items("makers").stream()
                .filter(one -> place(one).get("name").equals("Otterwick"))
                .map(FiltersOfEveryKindTest::position)
                .toList();
        double latitude = Math.toRadians(
                there.stream().mapToDouble(one -> one[0]).average().orElseThrow());
        double longitude = Math.toRadians(
                there.stream().mapToDouble(one -> one[1]).average().orElseThrow());
        double[] here = position(item);
        double a = Math.toRadians(here[0]);
        return 6371.0088
                        * Math.acos(Math.min(
                                1,
                                Math.sin(a) * Math.sin(latitude)
                                        + Math.cos(a)
                                                * Math.cos(latitude)
                                                * Math.cos(Math.toRadians(here[1]) - longitude)))
                <= 5;
    }

    private static double[] position(Map<String, Object> item) {
        return new double[] {
            ((Number) place(item).get("lat")).doubleValue(),
            ((Number) place(item).get("lon")).doubleValue()
        };
    }

    private static Map<?, ?> place(Map<String, Object> item) {
        return (Map<?, ?>) item.get("place");
    }

    @Test
    void aDirectoryOnAPhone() {
        String key = search("Makers by hand", "makers");
        add("Trade", "Visitors welcome", "Rating", "Place");
        handle("Visitors welcome", "Yes and no");
        published(key, 4);
        try (Browser phone = Browser.phone()) {
            phone.open(world.service() + "/s/" + key);
            SearchContext results = phone.inside("tidy-results");
            phone.see(results, ".chip.open").click();
            WebElement no = phone.until("No", () -> results.findElements(By.cssSelector(".sheet .value")).stream()
                    .filter(one -> one.getText().startsWith("No"))
                    .findFirst()
                    .orElse(null));
            int expected =
                    Integer.parseInt(no.findElement(By.cssSelector(".number")).getText());
            assertThat((long) expected).isEqualTo(reckoned("makers", List.of(is("visitorsWelcome", false))));
            no.findElement(By.cssSelector("input")).click();
            phone.untilTexts(results, ".done", texts -> texts.equals(List.of("Show " + expected + " results")));
            WebElement place = phone.see(results, ".sheet [part~='filter-distance'] input");
            place.sendKeys("otterw", Keys.ENTER);
            Select distance = phone.until(
                    "distances",
                    () -> new Select(results.findElement(By.cssSelector(".sheet [part~='filter-distance'] select"))));
            String five = distance.getOptions().stream()
                    .map(WebElement::getText)
                    .filter(text -> text.startsWith("5 km"))
                    .findFirst()
                    .orElseThrow();
            long near =
                    reckoned("makers", List.of(is("visitorsWelcome", false), FiltersOfEveryKindTest::isNearOtterwick));
            assertThat(five).isEqualTo("5 km (" + near + ")");
            assertThat(place.getAttribute("value")).as("the whole name").isEqualTo("Otterwick");
            phone.mustBeAccessible("every kind of filter in a sheet");
            assertThat(phone.consoleErrors()).isEmpty();
        }
    }
}
