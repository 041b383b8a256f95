package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.SearchContext;
import org.openqa.selenium.WebElement;
import tidylantern.server.Api;
import tidylantern.server.Designs;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Visitors are spoken to in the language of the page, as the owner words it. */
@ExtendWith(SharedDemo.class)
class LanguagesTest {
    private static final JsonMapper JSON = new JsonMapper();
    private static final int VALUES = 40;
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

    @Test
    void onAGermanPageTheElementsSpeakGerman() {
        browser.open(world.site() + "/suche?q=harbour");
        SearchContext results = browser.inside("tidy-results");
        browser.untilTexts(results, ".heading", texts -> texts.equals(List.of("Ergebnisse für „harbour“")));
        assertThat(browser.texts(results, ".count")).containsExactly("32 Ergebnisse");
        assertThat(browser.texts(results, "legend")).contains("Insel", "Was");
        assertThat(browser.texts(results, ".heading-of")).contains("Handwerk", "Ausflüge");
        browser.mustBeAccessible("a German page");
        WebElement input = browser.see(browser.inside("tidy-search"), "input");
        browser.type(input, "zzzzz");
        browser.untilTexts(browser.inside("tidy-search"), ".panel", texts -> texts.toString()
                .contains("Nichts gefunden zu „zzzzz“"));
    }

    @Test
    void aPageThatChangesItsLanguageIsFollowed() {
        browser.open(world.site() + "/search?q=harbour");
        SearchContext results = browser.inside("tidy-results");
        browser.untilTexts(results, ".count", texts -> texts.equals(List.of("32 results")));
        browser.script("document.documentElement.lang = 'nl-BE'");
        browser.untilTexts(results, ".count", texts -> texts.equals(List.of("32 resultaten")));
    }

    @Test
    void aFixedLanguageIsSpokenWhateverThePageSays() {
        String key = world.newSearch("Always French", List.of("makers"));
        String draft = "/api/owner/searches/" + key + "/draft";
        Api.Answer now = world.api().get(draft);
        ObjectNode design = (ObjectNode) now.json();
        ((ObjectNode) Designs.part(design, "texts")).put("language", "fr");
        Api.Answer kept = world.api()
                .send(
                        "PUT",
                        draft,
                        design.toString(),
                        Map.of("Content-Type", "application/json", "If-Match", now.header("ETag")));
        world.api()
                .send("POST", "/api/owner/searches/" + key + "/publish", "", Map.of("If-Match", kept.header("ETag")));
        browser.open(world.site() + "/suche");
        browser.inside("tidy-results");
        browser.script(
                "const here = document.querySelector('tidy-results'); const other = here.cloneNode();"
                        + " other.setAttribute('search', arguments[0]); here.replaceWith(other)",
                key);
        browser.untilTexts(browser.inside("tidy-results"), ".count", texts -> texts.equals(List.of("50 résultats")));
        try (Browser plain = Browser.withoutScript()) {
            plain.open(world.service() + "/s/" + key);
            plain.seeText(".count", "50 résultats");
        }
    }

    @Test
    void anOwnerWordsATextAndVisitorsReadItWithAndWithoutScript() {
        String key = world.newSearch("Worded", List.of("makers"));
        browser.open(world.workbench("/searches/" + key + "/cards#texts"));
        browser.see("input[aria-label='Find a text']").sendKeys("results");
        browser.seeText(".wordings .name", "{count} results").click();
        browser.mustBeAccessible("texts of a search");
        word("For others", "{count} makers");
        browser.seeText(".own .name", "{count} makers");
        browser.onStage("tidy-results", results -> {
            browser.untilTexts(results, ".count", texts -> texts.equals(List.of("50 makers")));
            return null;
        });
        word("For others", "Makers");
        browser.seeText("[role=alert]", "lacks {count}");
        browser.seeText("button", "Take that again").click();
        browser.seeText(".wordings .name", "{count} results");
        word("For others", "{count} makers");
        browser.seeText(".own .name", "{count} makers");
        Api.Answer draft = browser.until("kept", () -> {
            Api.Answer now = world.api().get("/api/owner/searches/" + key + "/draft");
            return now.text().contains("{count} makers") ? now : null;
        });
        world.api()
                .send("POST", "/api/owner/searches/" + key + "/publish", "", Map.of("If-Match", draft.header("ETag")));
        // Several results, on one page.
        String query = Stream.of("clay", "wool", "paper", "bread", "rope", "boats")
                .filter(word -> {
                    int total =
                            world.api().results(key, word).json().path("total").asInt();
                    return total > 1 && total <= 10;
                })
                .findFirst()
                .orElseThrow();
        try (Browser plain = Browser.withoutScript()) {
            plain.open(world.service() + "/s/" + key + "?q=" + query);
            plain.seeText(".count", " makers");
        }
    }

    private static void word(String form, String wording) {
        WebElement field = browser.until(
                form, () -> browser.driver().findElements(By.cssSelector(".wordings .inside label")).stream()
                        .filter(one -> one.getText().equals(form))
                        .map(one -> browser.driver().findElement(By.id(String.valueOf(one.getAttribute("for")))))
                        .findFirst()
                        .orElse(null));
        field.sendKeys(Keys.chord(Keys.CONTROL, "a"), wording, Keys.TAB);
    }

    /**
     * 200 values: numbers, amounts of money and days, as the service writes them on cards by the CLDR of the JDK and of
     * ICU4J, and as a browser's Intl does by its own.
     */
    @ParameterizedTest
    @ValueSource(strings = {"en", "de", "fr", "es", "nl"})
    void valuesAreWrittenAsTheBrowserWritesThem(String language) {
        String search = valuesSearch();
        JsonNode hits = world.api()
                .send("GET", "/api/public/searches/" + search + "/results", null, Map.of("Accept-Language", language))
                .json()
                .path("hits");
        assertThat(hits).hasSize(VALUES);
        List<String> served = new ArrayList<>();
        List<List<Object>> raw = new ArrayList<>();
        for (JsonNode hit : hits) {
            for (JsonNode part : hit.path("card")) {
                String key = part.path("key").asString();
                if (!key.equals("title")) {
                    served.add(part.path("text").path(0).path("text").asString());
                    raw.add(List.of(key, part.path("value").asString()));
                }
            }
        }
        assertThat(served).hasSize(VALUES);
        browser.open(world.site() + "/search");
        Object written = browser.script("""
                const [language, values] = arguments
                const money = (amount, currency) => new Intl.NumberFormat(language, {
                  style: 'currency', currency, ...(Number.isInteger(amount) ? { maximumFractionDigits: 0 } : {}),
                }).format(amount)
                return values.map(([key, value]) =>
                  key === 'day' ? new Intl.DateTimeFormat(language, { dateStyle: 'medium', timeZone: 'UTC' }).format(new Date(value))
                  : key === 'price' ? money(Number(value), 'EUR')
                  : new Intl.NumberFormat(language, { maximumFractionDigits: 6 }).format(Number(value)))
                """, language, raw);
        assertThat(served).isEqualTo(written);
    }

    private static synchronized String valuesSearch() {
        String key = "values";
        if (world.api().get("/api/owner/searches/" + key).status() == 200) {
            return key;
        }
        Api api = world.api().withSite("values");
        Random random = new Random(200);
        StringBuilder lines = new StringBuilder();
        for (int i = 0; i < VALUES; i++) {
            BigDecimal number = BigDecimal.valueOf(random.nextLong(2_000_000_000L), random.nextInt(6));
            String value =
                    switch (i % 3) {
                        case 0 -> "\"size\": " + number.toPlainString();
                        case 1 ->
                            "\"price\": {\"amount\": %s, \"currency\": \"EUR\"}"
                                    .formatted(BigDecimal.valueOf(random.nextLong(90_000_000L), 2)
                                            .stripTrailingZeros()
                                            .toPlainString());
                        default ->
                            "\"day\": \"%s\"".formatted(LocalDate.of(1990, 1, 1).plusDays(random.nextInt(20_000)));
                    };
            lines.append("{\"id\": \"v%d\", \"title\": \"Value %d\", %s}\n".formatted(i, i, value));
        }
        api.push("posts", lines.toString());
        String search = api.publishedSearch(key);
        Api.Answer draft = api.get("/api/owner/searches/" + search + "/draft");
        ObjectNode design = (ObjectNode) draft.json();
        ((ObjectNode) Designs.part(design, "page")).put("perPage", VALUES);
        Designs.set(design, "cards", JSON.readTree("""
                [{"place": "list", "collection": null, "body": {"part": "group", "key": "card", "parts": [
                  {"part": "title", "key": "title"},
                  {"part": "value", "key": "size", "field": "size"},
                  {"part": "value", "key": "price", "field": "price"},
                  {"part": "value", "key": "day", "field": "day", "format": {"format": "days", "which": "next", "told": "usual"}}]}}]
                """));
        Map<String, String> headers = new HashMap<>(Map.of("Content-Type", "application/json"));
        headers.put("If-Match", draft.header("ETag"));
        Api.Answer kept = api.send("PUT", "/api/owner/searches/" + search + "/draft", design.toString(), headers);
        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
        api.send("POST", "/api/owner/searches/" + search + "/publish", "", Map.of("If-Match", kept.header("ETag")));
        return search;
    }

    /** What begins at the left begins at the right then, and nothing goes beyond an edge. */
    @Test
    void pagesThatAreReadFromTheRightHold() {
        for (Browser one : List.of(browser, Browser.phone())) {
            one.open(world.site() + "/search?q=harbour");
            one.script("document.documentElement.dir = 'rtl'");
            SearchContext results = one.inside("tidy-results");
            one.untilTexts(results, ".card .title", texts -> !texts.isEmpty());
            assertThat(one.script("""
                    const inside = document.querySelector('tidy-results').shadowRoot
                    const card = inside.querySelector('.card'), box = card.getBoundingClientRect()
                    const picture = card.querySelector('.picture'), title = card.querySelector('.title')
                    const search = document.querySelector('tidy-search').shadowRoot
                    const submit = search.querySelector('.submit').getBoundingClientRect()
                    const beyond = [...inside.querySelectorAll('.worn *')]
                      .filter(one => one.getClientRects().length > 0 && !one.closest('.unseen, svg'))
                      .map(one => one.getBoundingClientRect())
                      .filter(one => one.left < -1 || one.right > innerWidth + 1)
                    return [
                      getComputedStyle(title).direction,
                      !picture || picture.getBoundingClientRect().left > title.getBoundingClientRect().left,
                      submit.left < search.querySelector('input').getBoundingClientRect().left,
                      beyond.length,
                      document.documentElement.scrollWidth <= innerWidth,
                    ]""")).isEqualTo(List.of("rtl", true, true, 0L, true));
            one.mustBeAccessible("from the right");
            if (one != browser) {
                one.close();
            }
        }
    }
}
