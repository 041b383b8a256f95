package tidylantern.e2e;

import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.SearchContext;
import tidylantern.server.Api;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Of a value with more below it than come at once, a visitor gets at the last as at the first. */
@ExtendWith(SharedDemo.class)
class LargeBranchTest {
    private static final Map<String, String> JSON = Map.of("Content-Type", "application/json");
    private static final int BERTHS = 602;

    @Test
    void allThatLiesBelowAValueCanBeReached(DemoWorld world) {
        String key = searchOfBerths(world.api());
        try (Browser browser = Browser.wide()) {
            browser.open(world.service() + "/s/" + key);
            SearchContext results = browser.inside("tidy-results");
            browser.see(results, ".turn").click();
            browser.untilTexts(results, "button.more", texts -> texts.contains("492 more"));
            browser.see(results, "button.more").click();
            browser.untilTexts(results, "button.more", texts -> texts.contains("More below The quay"));
            browser.see(results, "button.more").click();
            browser.until(
                    "all of them",
                    () -> results.findElements(By.cssSelector(".values .values li"))
                                            .size()
                                    == BERTHS
                            ? true
                            : null);
            browser.untilTexts(
                    results, "button.more", texts -> texts.stream().noneMatch(text -> text.contains("below")));
        } finally {
            world.api().send("DELETE", "/api/owner/sites/berths?name=Berths", "", Map.of());
        }
    }

    private static String searchOfBerths(Api api) {
        api.send("POST", "/api/owner/sites", "{\"name\":\"Berths\",\"address\":\"https://berths.example\"}", JSON);
        String collection = "/api/owner/sites/berths/collections/berths";
        api.send("PUT", collection, "{\"label\":\"Berths\",\"language\":\"en\"}", JSON);
        api.send("PUT", collection + "/fields/quay", "{\"kind\":\"category\",\"label\":\"Quay\"}", JSON);
        String items = IntStream.range(0, BERTHS)
                .mapToObj(n -> "{\"id\":\"b%d\",\"title\":\"Berth %d\",\"quay\":[[\"The quay\",\"Berth %04d\"]]}"
                        .formatted(n, n, n))
                .collect(Collectors.joining("\n"));
        api.send("PUT", collection + "/items", items, Map.of("Content-Type", "application/jsonl"));
        String key = api.send("POST", "/api/owner/sites/berths/searches", "{\"name\":\"Berths\"}", JSON)
                .json()
                .path("key")
                .asString();
        String search = "/api/owner/searches/" + key;
        Api.Answer draft = api.get(search + "/draft");
        ObjectNode design = (ObjectNode) draft.json();
        design.set(
                "filters",
                new JsonMapper()
                        .readTree(
                                "[{\"head\":{\"key\":\"quay\",\"label\":\"Quay\"},\"source\":{\"of\":\"category\",\"field\":\"quay\"}}]"));
        Api.Answer kept = api.send(
                "PUT",
                search + "/draft",
                design.toString(),
                Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
        api.send("POST", search + "/publish", "", Map.of("If-Match", kept.header("ETag")));
        return key;
    }
}
