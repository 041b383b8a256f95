package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.SearchContext;
import org.openqa.selenium.WebElement;
import tidylantern.core.design.look.ReadyLook;
import tidylantern.server.Api;
import tidylantern.server.Designs;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What a search wears, on whatever page it stands, and how an owner decides that. */
@ExtendWith(SharedDemo.class)
@Order(3)
class LooksTest {
    private static final JsonMapper JSON = new JsonMapper();
    private static final String TIERS = """
            [{"key": "gold", "name": "Gold", "rank": 1, "disclosure": "Paid placement",
              "lift": {"turns": "none"}, "holders": [{"rule": {"field": "offer", "value": "to-let"}}],
              "looks": {"ground": "#fff8ea", "edge": "clear", "edgeColor": "#8a5200",
                        "ribbon": {"text": "Our pick", "color": "#ffffff", "ground": "#8a5200"}}}]""";
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

    private static String draft(String key) {
        return "/api/owner/searches/" + key + "/draft";
    }

    private static void change(String key, java.util.function.Consumer<ObjectNode> how) {
        Api.Answer now = world.api().get(draft(key));
        ObjectNode design = (ObjectNode) now.json();
        how.accept(design);
        Map<String, String> headers = new HashMap<>(Map.of("Content-Type", "application/json"));
        headers.put("If-Match", now.header("ETag"));
        world.api().send("PUT", draft(key), design.toString(), headers);
    }

    private static void publish(String key) {
        world.api()
                .send(
                        "POST",
                        "/api/owner/searches/" + key + "/publish",
                        "",
                        Map.of("If-Match", world.api().get(draft(key)).header("ETag")));
    }

    /** A search of every collection, each with the first ready card of its own, and with a tier. */
    private static String whole(String name, String arranged) {
        List<String> collections = List.of("homes", "outings", "kitchen", "makers", "journal", "pictures");
        String key = world.newSearch(name, collections);
        JsonNode choices = world.api().get(draft(key) + "/cards").json();
        change(key, design -> {
            ArrayNode cards = Designs.around(design, "cards").putArray("cards");
            for (JsonNode material : choices.path("collections")) {
                ObjectNode card = cards.addObject();
                card.put("place", arranged);
                card.set("collection", material.path("collection"));
                card.set("body", material.path("ready").path(0).path("body"));
            }
            ((ObjectNode) Designs.part(design, "page").path("layout")).put("arranged", arranged);
            ((ObjectNode) Designs.part(design, "page")).put("perPage", 12);
            Designs.set(design, "tiers", JSON.readTree(TIERS));
        });
        return key;
    }

    private static void wear(String key, String look) {
        change(key, design -> Designs.set(design, "look", JSON.readTree(look)));
    }

    private static void ground(String shade) {
        browser.script("document.documentElement.dataset.ground = arguments[0]", shade);
        browser.until(
                "dressed",
                () -> Boolean.TRUE.equals(browser.script(
                        "return [...document.querySelectorAll('tidy-search, tidy-results, tidy-specimens')].every(one => one.shadowRoot.querySelector('.worn.'"
                                + " + arguments[0]))",
                        shade)));
    }

    /** Their colours are checked in core, all of them; here the usual one and the barest. */
    @ParameterizedTest
    @EnumSource(names = {"HARBOUR", "INK"})
    void aReadyLookHoldsOnEveryReadyCardLightAndDark(ReadyLook look) {
        holds(look);
    }

    @Tag("long")
    @ParameterizedTest
    @EnumSource(
            names = {"HARBOUR", "INK"},
            mode = EnumSource.Mode.EXCLUDE)
    void everyOtherReadyLookDoesSoToo(ReadyLook look) {
        holds(look);
    }

    private static void holds(ReadyLook look) {
        String arranged = look.ordinal() % 2 == 0 ? "list" : "grid";
        String key = whole("Wears " + look, arranged);
        wear(key, "{\"from\": \"%s\"}".formatted(look));
        browser.open(world.service() + "/workbench/stage.html?q=harbour#search=" + key + "&place=results&site=Isles");
        SearchContext results = browser.inside("tidy-results");
        browser.untilTexts(results, ".card .title", texts -> texts.size() == 12);
        assertThat(browser.texts(results, ".ribbon")).contains("Our pick");
        for (String shade : List.of("light", "dark")) {
            ground(shade);
            browser.mustBeAccessible(look + " as " + arranged + ", " + shade);
        }
        browser.type(browser.see(browser.inside("tidy-search"), "input"), "harb");
        browser.untilTexts(browser.inside("tidy-search"), ".row .title", texts -> !texts.isEmpty());
        browser.mustBeAccessible(look + ", live results, dark");

        browser.open(world.service() + "/workbench/stage.html#search=" + key + "&place=cards&site=Isles");
        browser.until(
                "specimens",
                () -> browser.script("const one = document.querySelector('tidy-specimens');"
                        + " return one && Object.assign(one, { wanted: { collection: 'makers', place: 'wall' } })"));
        browser.untilTexts(browser.inside("tidy-specimens"), ".card .title, .row .title", texts -> texts.size() == 5);
        for (String shade : List.of("light", "dark")) {
            ground(shade);
            browser.mustBeAccessible(look + " in every place, " + shade);
        }
    }

    /** Grounds of a page, and what stands on them: the shade, and whether the element brings a ground of its own. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "background: #fff                                   | light | false",
                "background: #101820                                | dark  | false",
                "background: oklch(20% 0.02 250)                    | dark  | false",
                "background: #777                                   | light | true",
                "background: linear-gradient(#fff, #234)            | light | true",
                "background: #000; --over: rgb(255 255 255 / 96%)   | light | false"
            })
    void anElementKnowsTheGroundItStandsOn(String css, String shade, boolean brings) {
        standsOn(css);
        SearchContext results = browser.inside("tidy-results");
        WebElement worn = browser.see(results, ".worn." + shade);
        assertThat(worn.getAttribute("class").contains("own-ground")).isEqualTo(brings);
        browser.mustBeAccessible(css);
    }

    private static void standsOn(String css) {
        browser.open(world.site() + "/search?q=harbour");
        browser.untilTexts(browser.inside("tidy-results"), ".card .title", texts -> !texts.isEmpty());
        browser.script("""
                const results = document.querySelector('tidy-results').cloneNode()
                // The demo's site has colours of its own for the elements, which count whatever the ground is.
                document.querySelectorAll('link[rel=stylesheet], style').forEach(one => one.remove())
                document.body.style.cssText = arguments[0]
                const main = document.createElement('main')
                main.style.background = 'var(--over)'
                main.append(results)
                document.body.replaceChildren(main)
                """, css);
        browser.untilTexts(browser.inside("tidy-results"), ".card .title", texts -> !texts.isEmpty());
    }

    @Test
    void anElementFollowsAPageThatTurnsDark() {
        standsOn("background: #fff");
        browser.see(browser.inside("tidy-results"), ".worn.light");
        browser.script("document.body.style.background = '#101820'");
        browser.see(browser.inside("tidy-results"), ".worn.dark");
        browser.mustBeAccessible("a page that turned dark");
    }

    @Test
    void textTakesThePagesColourWhereThatCanBeRead() {
        String key = world.newSearch("Text of the page", List.of("makers"));
        wear(key, "{\"type\": {\"textOfPage\": true}}");
        browser.open(world.service() + "/workbench/stage.html#search=" + key + "&place=results&site=Isles");
        for (String text : List.of("rgb(74, 32, 16)", "rgb(170, 170, 170)")) {
            boolean isRead = text.equals("rgb(74, 32, 16)");
            browser.script("document.body.style.color = arguments[0]", text);
            browser.until(
                    isRead ? "the page's" : "the look's",
                    () -> isRead
                            == browser.see(browser.inside("tidy-results"), ".card .title")
                                    .getCssValue("color")
                                    .replace("rgba", "rgb")
                                    .replace(", 1)", ")")
                                    .equals(text));
        }
        browser.mustBeAccessible("text in the page's own colour");
    }

    @Test
    void aLookThatIsAlwaysLightBringsItsGroundToADarkPage() {
        String key = world.newSearch("Always light", List.of("makers"));
        wear(key, "{\"scheme\": \"light\"}");
        browser.open(world.service() + "/workbench/stage.html#search=" + key + "&place=results&site=Isles");
        browser.untilTexts(browser.inside("tidy-results"), ".card .title", texts -> !texts.isEmpty());
        browser.script("document.documentElement.dataset.ground = 'dark'");
        browser.see(browser.inside("tidy-results"), ".worn.light.own-ground");
        browser.mustBeAccessible("a light look on a dark page");
    }

    @Test
    void anOwnerPicksALookMendsAColourAndVisitorsMeetItWithAndWithoutScript() {
        String key = world.newSearch("Looks", List.of("makers"));
        browser.open(world.workbench("/searches/" + key + "/cards"));
        browser.seeText("[role=group] button", "Look").click();
        browser.mustBeAccessible("a search's look");
        browser.see("label[title^='Dense ruled rows']").click();
        assertThat(onStage("border-top-width")).isEqualTo("1px");
        assertThat(onStage("border-left-width")).isEqualTo("0px");
        WebElement quiet = browser.until(
                        "the field", () -> browser.driver().findElements(By.cssSelector(".colour")).stream()
                                .filter(one -> one.getText().startsWith("Second lines"))
                                .findFirst()
                                .orElse(null))
                .findElement(By.cssSelector("input:not([type=color])"));
        quiet.sendKeys(Keys.chord(Keys.CONTROL, "a"), "#b8bec2", Keys.TAB);
        browser.seeText(".contrast.low", "4.5 is needed");
        browser.mustBeAccessible("a colour that cannot be read");
        assertThat(world.api()
                        .get("/api/owner/searches/" + key)
                        .json()
                        .path("remarks")
                        .toString())
                .contains("Second lines");
        browser.seeText(".contrast button", "Take #").click();
        browser.seeText(".holds", "Every text passes 4.5 : 1");
        String mended = world.api()
                .get(draft(key))
                .json()
                .path("appearance")
                .path("look")
                .path("light")
                .path("quiet")
                .asString();
        publish(key);
        try (Browser visitor = Browser.wide()) {
            visitor.open(world.service() + "/s/" + key);
            SearchContext results = visitor.inside("tidy-results");
            visitor.untilTexts(results, ".card .title", texts -> !texts.isEmpty());
            assertThat(hex(visitor.see(results, ".count").getCssValue("color"))).isEqualTo(mended);
            visitor.mustBeAccessible("a look of its own");
        }
        try (Browser plain = Browser.withoutScript()) {
            plain.open(world.service() + "/s/" + key);
            assertThat(hex(plain.see(".count").getCssValue("color"))).isEqualTo(mended);
            assertThat(plain.see("li.card").getCssValue("border-left-width")).isEqualTo("0px");
        }
        browser.openWithoutElements(world.service() + "/s/" + key);
        browser.see("li.card");
        browser.mustBeAccessible("a look without script");
    }

    @Test
    void aLookIsTakenFromAPageOfTheSite() {
        String key = world.newSearch("Like the page", List.of("makers"));
        browser.open(world.workbench("/searches/" + key + "/cards#look"));
        WebElement page = browser.see("#like-page");
        browser.until("the site's address", () -> world.site().concat("/").equals(page.getAttribute("value")));
        browser.seeText(".like button", "Look at it").click();
        browser.seeText(".like [role=status]", "Taken from the page");
        JsonNode look = browser.until("kept", () -> {
            JsonNode kept =
                    world.api().get(draft(key)).json().path("appearance").path("look");
            return kept.path("light").has("around") ? kept : null;
        });
        assertThat(look.path("light").path("around").asString()).isEqualTo("#fbfcfb");
        assertThat(look.path("light").path("text").asString()).isEqualTo("#22333b");
        assertThat(look.path("type").path("titleFont").asString()).startsWith("Newsreader");
        browser.seeText(".holds", "Every text passes 4.5 : 1");
        page.clear();
        page.sendKeys("https://elsewhere.example/", Keys.ENTER);
        browser.seeText(".like [role=alert]", "is no page of this site");
    }

    /** In a site of its own: all its searches wear it at once. */
    @Test
    void theSitesLookIsTriedThenKeptAndMetByVisitorsAtOnce() {
        Api api = world.api().withSite("clothes");
        api.push("posts", "{\"id\": \"x\", \"title\": \"Ropewalk\"}");
        String key = api.publishedSearch("Clothes");
        browser.open(world.service() + "/workbench/clothes/settings");
        browser.see("label[title^='Dense ruled rows']").click();
        browser.until("tried", () -> browser.seeText(".slip button", "Keep and show visitors")
                .isEnabled());
        assertThat(api.get(api.site() + "/look").json().path("own").path("from").isNull())
                .isTrue();
        browser.seeText(".slip button", "Keep and show visitors").click();
        browser.seeText(".slip [role=status]", "Visitors see it now");
        assertThat(api.get("/api/public/searches/" + key + "/look.css").text()).contains("--box-edges: 0 0 2px;");
        browser.mustBeAccessible("a site's look");
    }

    private static String onStage(String property) {
        return browser.onStage("tidy-results", results -> {
            browser.untilTexts(results, ".card .title", texts -> !texts.isEmpty());
            return browser.until(property, () -> browser.see(results, ".card").getCssValue(property));
        });
    }

    /** {@code rgba(1, 2, 3, 1)} as {@code #010203}. */
    private static String hex(String colour) {
        int[] parts = java.util.regex.Pattern.compile("\\d+")
                .matcher(colour)
                .results()
                .limit(3)
                .mapToInt(one -> Integer.parseInt(one.group()))
                .toArray();
        return "#%02x%02x%02x".formatted(parts[0], parts[1], parts[2]);
    }
}
