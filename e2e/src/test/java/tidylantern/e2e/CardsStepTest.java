package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
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
import org.openqa.selenium.interactions.PointerInput;
import tidylantern.server.Api;
import tidylantern.server.Designs;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A card is composed, and stands alike on the stage, on a page with the elements and on the one without script. */
@ExtendWith(SharedDemo.class)
class CardsStepTest {
    private static final String PRICE = ".card [part~='value-price']";
    /** The parts of the card that is composed from nothing, as they are read. */
    private static final List<String> COMPOSED = List.of("picture", "title", "price", "bedrooms");
    /** In which an item's card is drawn on the stage. */
    private static final List<String> WAYS = List.of("list", "phone", "live", "grid", "wall");

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

    /** The cards of a new search for homes. */
    private static String opened(String name) {
        String key = world.newSearch(name, List.of("homes"));
        browser.open(world.workbench("/searches/" + key + "/cards"));
        browser.seeText(".outline .name", "Title");
        return key;
    }

    private static String draft(String key) {
        return "/api/owner/searches/" + key + "/draft";
    }

    private static void publish(String key) {
        world.api()
                .send(
                        "POST",
                        "/api/owner/searches/" + key + "/publish",
                        "",
                        Map.of("If-Match", world.api().get(draft(key)).header("ETag")));
    }

    private static JsonNode cards(String key) {
        return world.api().get(draft(key)).json().path("appearance").path("cards");
    }

    /** The classes of all that stands on the first card, by which the one style sheet draws it. */
    private static Object looks(Browser on, String root) {
        return on.script("return [...%s.querySelector('.card').querySelectorAll('.card-body, .card-body [class]')]"
                        .formatted(root)
                + ".map(one => [...one.classList].sort().join(' ')).filter(Boolean)");
    }

    /** Leaves the one card for the results that visitors get. */
    private static void toTheResults() {
        browser.seeText(".stage button", "Results").click();
    }

    /** The parts of the item on the stage, where its card is drawn in one way. */
    private static List<String> specimen(String way, Predicate<List<String>> such) {
        return browser.onStage("tidy-specimens", specimens -> {
            return browser.until("as " + way, () -> {
                List<String> parts = partsOf(specimens, way);
                return such.test(parts) ? parts : null;
            });
        });
    }

    @SuppressWarnings("unchecked")
    private static List<String> partsOf(SearchContext specimens, String way) {
        return (List<String>) browser.script(
                "return [...arguments[0].querySelectorAll('.as-' + arguments[1] + ' .card-body [data-part]')].map(one => one.dataset.part)",
                specimens,
                way);
    }

    /** On the stage, within its frame. */
    private static List<String> stage(String css, Predicate<List<String>> such) {
        return browser.onStage("tidy-results", results -> {
            browser.untilTexts(results, css, such);
            return browser.texts(results, css);
        });
    }

    private static void setText(String label, String text) {
        WebElement box = browser.until(
                        label, () -> browser.driver().findElements(By.cssSelector(".settings .choice")).stream()
                                .filter(one -> one.getText().startsWith(label))
                                .findFirst()
                                .orElse(null))
                .findElement(By.cssSelector("input"));
        box.clear();
        box.sendKeys(text, Keys.TAB);
    }

    @Test
    void aReadyCardIsTakenChangedWithTheMouseAndMetByVisitors() {
        String key = opened("Cards by mouse");
        browser.seeText(".folding > button", "Begin from a ready card").click();
        browser.seeText(".offers button", "A home or a room").click();
        toTheResults();
        stage(PRICE, prices -> prices.size() == 10);
        browser.seeText(".outline .name", "Price").click();
        setText("Behind it", "a week");
        stage(PRICE, prices -> prices.size() == 10 && prices.stream().allMatch(price -> price.endsWith(" a week")));
        browser.mustBeAccessible("a part of a card");
        WebElement price =
                browser.until("the row", () -> browser.driver().findElements(By.cssSelector(".outline > .row")).stream()
                        .filter(row -> "Price".equals(row.getAttribute("aria-label")))
                        .findFirst()
                        .orElse(null));
        browser.seeText(".outline .name", "Price").click();
        WebElement title = browser.see(".outline > [aria-label='Title']");
        browser.drag(PointerInput.Kind.MOUSE, price.findElement(By.cssSelector(".grip")), title);
        browser.until(
                "kept",
                () -> cards(key).toString().indexOf("\"price\"")
                        < cards(key).toString().indexOf("\"title\""));
        List<String> onStage = stage(PRICE, prices -> prices.size() == 10);
        publish(key);
        Object drawn;
        try (Browser visitor = Browser.wide()) {
            visitor.open(world.service() + "/s/" + key);
            SearchContext results = visitor.inside("tidy-results");
            visitor.untilTexts(results, PRICE, prices -> prices.equals(onStage));
            assertThat(visitor.texts(results, ".card .title")).hasSize(10);
            visitor.mustBeAccessible("composed cards");
            drawn = looks(visitor, "document.querySelector('tidy-results').shadowRoot");
        }
        try (Browser plain = Browser.withoutScript()) {
            plain.open(world.service() + "/s/" + key);
            plain.untilTexts(plain.driver(), "li.card .value", texts -> texts.containsAll(onStage));
            assertThat(looks(plain, "document")).as("both renderers").isEqualTo(drawn);
        }
    }

    @Test
    void aPartIsAddedAndMovedByKeysAlone() {
        String key = opened("Cards by keys");
        browser.script(
                "[...document.querySelectorAll('.folding > button')].find(one => one.textContent.includes('Add a part')).focus()");
        browser.press(Keys.ENTER);
        browser.seeText(".offers button", "Price");
        browser.script(
                "[...document.querySelectorAll('.offers button')].find(one => one.textContent.includes('Price')).focus()");
        browser.press(Keys.ENTER);
        specimen("list", parts -> parts.contains("price"));
        browser.script("document.querySelector(\"[aria-label='Move Price up']\").focus()");
        browser.press(Keys.ENTER);
        browser.until("moved", () -> browser.driver().findElements(By.cssSelector("[role=status]")).stream()
                .anyMatch(one -> one.getText().startsWith("Price is number")));
        assertThat(String.valueOf(browser.script("return document.activeElement.getAttribute('aria-label')")))
                .isEqualTo("Move Price up");
        browser.until("kept", () -> cards(key).size() == 1);
    }

    @Test
    void liveResultsFollowTheListUntilTheyAreChanged() {
        String key = opened("Live cards");
        browser.seeText(".folding > button", "Begin from a ready card").click();
        browser.seeText(".offers button", "A home or a room").click();
        browser.until("kept", () -> cards(key).size() == 1);
        assertThat(world.api().get(draft(key) + "/live?q=house").text()).contains("\"key\":\"price\"");
        assertThat(browser.see("[aria-label='Take Below one another away']").isEnabled())
                .as("with the title in it")
                .isFalse();

        browser.seeText(".which button", "Live results").click();
        browser.see("[aria-label='Take Price away']").click();
        browser.until("a card of their own", () -> cards(key).size() == 2);
        assertThat(cards(key).path(1).path("place").asString()).isEqualTo("live");
        browser.seeText(".said button", "Follow again").click();
        browser.until("one card", () -> cards(key).size() == 1);
        browser.see("[aria-label='Undo']").click();
        browser.until("both again", () -> cards(key).size() == 2);
        browser.mustBeAccessible("cards of live results");
    }

    @Test
    void aPartIsPickedWhereItIsDrawn() {
        opened("Cards by pointing");
        toTheResults();
        browser.onStage("tidy-results", results -> {
            browser.untilTexts(results, ".card .title", titles -> titles.size() == 10);
            browser.see(results, ".card [data-part='excerpt']").click();
            return null;
        });
        browser.seeText(".outline [aria-expanded='true']", "Text under the title");
        String outlined = browser.onStage(
                "tidy-results",
                results -> browser.until("marked", () -> {
                    String style =
                            browser.see(results, ".card [data-part='excerpt']").getCssValue("outline-style");
                    return style.equals("solid") ? style : null;
                }));
        assertThat(outlined).isEqualTo("solid");
        browser.seeText("[role=group] button", "Look").click();
        browser.onStage(
                "tidy-results",
                results -> browser.until("unmarked", () -> browser.see(results, ".card [data-part='excerpt']")
                        .getCssValue("outline-style")
                        .equals("none")));
    }

    /** What visitors get of it: on the page with the elements and on the one without script, drawn alike. */
    private static Object metByVisitors(String key) {
        publish(key);
        try (Browser visitor = Browser.wide();
                Browser plain = Browser.withoutScript()) {
            visitor.open(world.service() + "/s/" + key);
            visitor.untilTexts(visitor.inside("tidy-results"), PRICE, prices -> prices.size() == 10);
            Object drawn = looks(visitor, "document.querySelector('tidy-results').shadowRoot");
            plain.open(world.service() + "/s/" + key);
            plain.untilTexts(plain.driver(), "li.card .value", texts -> texts.size() == 20);
            assertThat(looks(plain, "document")).as("both renderers").isEqualTo(drawn);
            assertThat(visitor.consoleErrors()).isEmpty();
            visitor.open(world.site() + "/search");
            visitor.inside("tidy-results");
            visitor.script(
                    "const here = document.querySelector('tidy-results'); const other = here.cloneNode();"
                            + " other.setAttribute('search', arguments[0]); here.replaceWith(other)",
                    key);
            visitor.untilTexts(visitor.inside("tidy-results"), PRICE, prices -> prices.size() == 10);
            assertThat(looks(visitor, "document.querySelector('tidy-results').shadowRoot"))
                    .as("on the site")
                    .isEqualTo(drawn);
            return drawn;
        }
    }

    @Test
    void aCardIsComposedFromNothingButItsTitleByMouseAndFingerOnTheStage() {
        String key = opened("From nothing, by mouse");
        browser.seeText(".folding > button", "Begin from a ready card").click();
        browser.seeText(".offers button", "Nothing but the title").click();
        specimen("list", List.of("title")::equals);
        browser.seeText(".folding > button", "Add a part").click();
        for (String part : List.of("Picture", "Bedrooms", "Price")) {
            browser.seeText(".offers button", part).click();
        }
        specimen("list", List.of("title", "picture", "bedrooms", "price")::equals);
        drag(PointerInput.Kind.MOUSE, "picture", "title");
        specimen("list", List.of("picture", "title", "bedrooms", "price")::equals);
        drag(PointerInput.Kind.TOUCH, "price", "bedrooms");
        for (String way : WAYS) {
            assertThat(specimen(way, COMPOSED::equals)).as(way).isEqualTo(COMPOSED);
        }
        browser.seeText(".outline [aria-expanded='true']", "Price");
        browser.mustBeAccessible("a card on the stage");
        browser.until(
                "kept",
                () -> cards(key).toString().indexOf("\"price\"")
                        < cards(key).toString().indexOf("\"bedrooms\""));
        browser.see("[aria-label='Undo']").click();
        specimen("live", List.of("picture", "title", "bedrooms", "price")::equals);
        browser.see("[aria-label='Redo']").click();
        specimen("live", COMPOSED::equals);
        browser.until(
                "kept again",
                () -> cards(key).toString().indexOf("\"price\"")
                        < cards(key).toString().indexOf("\"bedrooms\""));
        Object drawn = metByVisitors(key);

        String other = opened("From nothing, by keys");
        composeByKeys(other);
        assertThat(cards(other)).as("by keys alone").isEqualTo(cards(key));
        assertThat(metByVisitors(other)).isEqualTo(drawn);
    }

    private static void drag(PointerInput.Kind pointer, String part, String onto) {
        browser.onStage("tidy-specimens", specimens -> {
            browser.dragOnto(
                    pointer,
                    browser.see(specimens, ".as-list [data-part='%s']".formatted(part)),
                    browser.see(specimens, ".as-list [data-part='%s']".formatted(onto)));
            return null;
        });
    }

    private static void composeByKeys(String key) {
        press("Begin from a ready card");
        press("Nothing but the title");
        specimen("list", List.of("title")::equals);
        browser.script("document.activeElement.blur()");
        press("Add a part");
        press("Add Picture");
        browser.script("document.activeElement.blur()");
        press("Add Bedrooms");
        browser.script("document.activeElement.blur()");
        press("Add Price");
        specimen("list", List.of("title", "picture", "bedrooms", "price")::equals);
        browser.script("document.activeElement.blur()");
        press("Move Picture up");
        specimen("list", List.of("picture", "title", "bedrooms", "price")::equals);
        press("Move Price up");
        specimen("list", COMPOSED::equals);
        browser.until(
                "kept",
                () -> cards(key).toString().indexOf("\"price\"")
                        < cards(key).toString().indexOf("\"bedrooms\""));
    }

    private static void press(String name) {
        browser.tabTo(name);
        browser.press(Keys.ENTER);
    }

    /** The pictures of homes are 4 to 3 in the list; those of the journal stand behind their texts. */
    @Test
    void aWallHasOneShapeOfTileWhateverItsCardsWereMadeFor() {
        String key = world.newSearch("Wall", List.of("homes", "journal"));
        Api.Answer now = world.api().get(draft(key));
        ObjectNode design = (ObjectNode) now.json();
        ((ObjectNode) Designs.part(design, "page").path("layout")).put("arranged", "wall");
        ArrayNode cards = Designs.around(design, "cards").putArray("cards");
        for (JsonNode material : world.api().get(draft(key) + "/cards").json().path("collections")) {
            ObjectNode card = cards.addObject().put("place", "list");
            card.set("collection", material.path("collection"));
            card.set("body", material.path("ready").path(0).path("body"));
        }
        world.api()
                .send(
                        "PUT",
                        draft(key),
                        design.toString(),
                        Map.of("Content-Type", "application/json", "If-Match", now.header("ETag")));
        publish(key);
        try (Browser visitor = Browser.wide()) {
            visitor.open(world.service() + "/s/" + key + "?q=harbour");
            SearchContext results = visitor.inside("tidy-results");
            visitor.untilTexts(results, ".wall .card .title", titles -> titles.size() > 2);
            assertThat((List<?>) visitor.script(
                            "return [...arguments[0].querySelectorAll('.card:has(.picture)')].map(card => {"
                                    + " const tile = card.getBoundingClientRect(), box = card.querySelector('.picture').getBoundingClientRect();"
                                    + " return Math.abs(box.width - box.height) < 1 && box.top - tile.top < 3 })",
                            results))
                    .as("square, and on top")
                    .isNotEmpty()
                    .allMatch(Boolean.TRUE::equals);
            visitor.mustBeAccessible("a wall of pictures");
        }
    }
}
