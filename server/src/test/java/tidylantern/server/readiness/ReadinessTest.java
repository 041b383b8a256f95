package tidylantern.server.readiness;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.Designs;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What is open in a search over HTTP: every fault planted in turn and named, in the order of what it does. */
class ReadinessTest {
    private static final Map<String, String> JSON = Map.of("Content-Type", "application/json");
    private static RunningService service;
    private static int sites;
    private Api api;
    private String owner;
    private String key;

    @BeforeAll
    static void start(@TempDir Path data) {
        service = RunningService.on(data);
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    /** A site and a search of its own for each test, with nothing open. */
    @BeforeEach
    void aSearchInOrder() {
        api = service.api().withSite("ready-" + ++sites);
        api.push(
                "posts",
                IntStream.range(0, 24)
                        .mapToObj(n ->
                                "{\"id\":\"p%1$d\",\"title\":\"Rope number %1$d\",\"code\":[[\"only-%1$d\"]],\"sort\":[[\"%2$s\"]]}\n"
                                        .formatted(n, n % 2 == 0 ? "hemp" : "wire"))
                        .collect(Collectors.joining()));
        key = api.publishedSearch("Ropes " + sites);
        owner = "/api/owner/searches/" + key;
        assertThat(open()).isEmpty();
    }

    private void decide(String part, String value) {
        Api.Answer draft = api.get(owner + "/draft");
        ObjectNode design = (ObjectNode) draft.json();
        Designs.set(design, part, JsonMapper.shared().readTree(value));
        Api.Answer kept = api.send(
                "PUT",
                owner + "/draft",
                design.toString(),
                Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
    }

    private JsonNode points() {
        return api.get(owner + "/open-points").json();
    }

    /** As {@code weight place: text}, without those that are left. */
    private List<String> open() {
        return StreamSupport.stream(points().spliterator(), false)
                .filter(one -> one.path("by").isNull())
                .map(one -> one.path("point"))
                .map(point -> point.path("weight").asString() + " "
                        + point.path("place").asString() + ": "
                        + point.path("text").asString())
                .toList();
    }

    @Test
    void filtersThatNobodySeesOrThatLeadToOneItem() {
        decide("filters", """
                [{"head":{"key":"sort","label":"Sort"},"shown":{"page":"nowhere"},"source":{"of":"category","field":"sort"}},
                 {"head":{"key":"code","label":"Code"},"source":{"of":"category","field":"code"}},
                 {"head":{"key":"wire","label":"Wires"},"source":{"of":"category","field":"sort","offered":{"picked":[]}}}]""");

        assertThat(open())
                .satisfiesExactly(
                        hidden -> assertThat(hidden).startsWith("weakens filters: The filter \"Sort\" is shown in no"),
                        unique -> assertThat(unique).contains("Of the filter \"Code\", nearly every value"),
                        empty -> assertThat(empty).contains("The filter \"Wires\" has no value on offer"));
    }

    @Test
    void aFailingTrialIsWorseWhereItHoldsLive() {
        api.send("POST", owner + "/trials", "{\"query\":\"rope\",\"expects\":\"at-least\",\"number\":20}", JSON);
        api.send("POST", owner + "/trials", "{\"query\":\"anchor\",\"expects\":\"at-least\",\"number\":1}", JSON);
        assertThat(open()).containsExactly("weakens trials: The trial \"anchor\" fails with this draft.");

        decide("words", "{\"weights\":[{\"field\":\"code\",\"weight\":1}]}");

        assertThat(open())
                .containsExactly(
                        "fails trials: The trial \"rope\" fails, and it holds live.",
                        "weakens trials: The trial \"anchor\" fails with this draft.");
    }

    @Test
    void coloursThatCannotBeRead() {
        decide("look", "{\"light\":{\"text\":\"#dddddd\",\"ground\":\"#ffffff\"}}");

        assertThat(open()).isNotEmpty().allSatisfy(point -> assertThat(point)
                .startsWith("fails cards: In the look's light colours"));
    }

    @Test
    void originsThatWereRefused() {
        api.send(
                "GET", "/api/public/searches/" + key + "/results", null, Map.of("Origin", "https://www.isles.example"));

        assertThat(open()).singleElement().asString().startsWith("fails site: A page of https://www.isles.example");
    }

    @Test
    void itemsWithoutATitle() {
        api.push("posts", "{\"id\":\"bare\",\"sort\":[[\"hemp\"]]}\n");

        assertThat(open()).singleElement().asString().startsWith("weakens items: Posts: 1 item without a title");
    }

    @Test
    void labelsWithoutAWordingInALanguageInUse() {
        decide(
                "filters",
                "[{\"head\":{\"key\":\"sort\",\"label\":\"Sort\"},\"source\":{\"of\":\"category\",\"field\":\"sort\"}},{\"head\":{\"key\":\"sort-2\",\"label\":\"Made of\"},\"source\":{\"of\":\"category\",\"field\":\"sort\"}}]");
        decide("texts", "{\"labels\":[{\"label\":\"filters.sort.label\",\"language\":\"de\",\"wording\":\"Art\"}]}");

        assertThat(open())
                .singleElement()
                .asString()
                .isEqualTo("weakens cards: In Deutsch visitors read these labels as they are: Made of.");
    }

    @Test
    void synonymsThatFindNothing() {
        ObjectNode words = (ObjectNode) api.get(owner + "/draft").json().path("words");
        words.putArray("synonyms")
                .add(JsonMapper.shared().readTree("{\"words\":[\"quagga\",\"zebroid\"]}"))
                .add(JsonMapper.shared().readTree("{\"words\":[\"cord\",\"rope\"]}"));
        decide("words", words.toString());

        assertThat(open())
                .singleElement()
                .asString()
                .startsWith("weakens words: The synonyms")
                .contains("quagga");
    }

    @Test
    void aTierThatNothingHolds() {
        decide("tiers", "[{\"key\":\"gold\",\"name\":\"Gold\",\"looks\":{\"ribbon\":{\"text\":\"Gold\"}}}]");

        assertThat(open())
                .containsExactly(
                        "weakens order: Nothing holds the tier \"Gold\" today, so nothing is highlighted by it.");
    }

    @Test
    void aSourceThatFailsAndOneThatNeverRan() {
        String source =
                "{\"collection\":\"posts\",\"name\":\"%s\",\"settings\":{\"kind\":\"feed\",\"address\":\"http://127.0.0.1:1/feed\"},\"mapping\":{\"idColumn\":\"id\",\"fields\":[{\"property\":\"title\",\"label\":\"Title\",\"kind\":\"text\",\"column\":\"title\"}]},\"removesMissing\":false,\"schedule\":\"never\"}";
        String broken = api.post(api.site() + "/sources", source.formatted("Broken"))
                .json()
                .path("id")
                .toString();
        String sync = api.post("/api/owner/sources/" + broken + "/syncs", "")
                .json()
                .path("id")
                .toString();
        while (api.get("/api/owner/syncs/" + sync)
                .json()
                .path("state")
                .asString()
                .equals("running")) {
            Thread.onSpinWait();
        }
        api.post(api.site() + "/sources", source.formatted("New"));

        assertThat(open())
                .satisfiesExactly(
                        failed -> assertThat(failed)
                                .startsWith("fails source: The source \"Broken\" did not run through: "),
                        never -> assertThat(never)
                                .isEqualTo("weakens source: The source \"New\" never ran. Run it once, or remove it."));
    }

    @Test
    void aFieldThatVanished() {
        decide("words", "{\"weights\":[{\"field\":\"title\",\"weight\":5},{\"field\":\"gone\",\"weight\":1}]}");

        assertThat(open())
                .containsExactly("weakens words: No collection has the field \"gone\". Take its weight away.");
    }

    @Test
    void aBoxThatLeadsToNoList() {
        Api.Answer draft = api.get(owner + "/draft");
        ObjectNode page = (ObjectNode) Designs.part(draft.json(), "page");
        decide("page", page.put("address", "/search").toString());
        String met = "{\"address\":\"https://isles.example%s\",\"title\":\"T\",\"elements\":[\"%s\"]}";
        assertThat(open()).as("nothing was met yet").isEmpty();
        api.send("POST", "/api/public/searches/" + key + "/pages", met.formatted("/", "box"), JSON);
        assertThat(open())
                .singleElement()
                .asString()
                .startsWith("fails box: The box leads to https://isles.example/search");

        api.send("POST", "/api/public/searches/" + key + "/pages", met.formatted("/search", "results"), JSON);

        assertThat(open()).isEmpty();
    }

    @Test
    void whatStopsAPublicationComesFirstAndCannotBeLeft() {
        decide("tiers", "[{\"key\":\"gold\",\"name\":\"Gold\",\"looks\":{\"ribbon\":{\"text\":\"Gold\"}}}]");
        decide("words", "{\"weights\":[]}");
        assertThat(open().getFirst()).startsWith("stops words: No field is searched");

        Api.Answer refused = leave(points().get(0).path("point").path("id").asString(), true);

        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.text()).contains("cannot be left as it is");
    }

    private Api.Answer leave(String id, boolean leave) {
        ObjectNode given = JsonMapper.shared().createObjectNode().put("id", id).put("leave", leave);
        return api.send("PUT", owner + "/open-points/left", given.toString(), JSON);
    }

    @Test
    void aPointIsLeftAsItIsAndTakenUpAgain() {
        decide(
                "tiers",
                "[{\"key\":\"gold\",\"name\":\"Gold\",\"looks\":{\"ribbon\":{\"text\":\"Gold\"}}},{\"key\":\"blue\",\"name\":\"Blue\",\"looks\":{\"ribbon\":{\"text\":\"Blue\"}}}]");
        String id = points().get(0).path("point").path("id").asString();
        assertThat(id).isEqualTo("tier:gold");

        JsonNode after = leave(id, true).json();

        assertThat(after.get(0).path("point").path("id").asString()).isEqualTo("tier:blue");
        assertThat(after.get(1).path("by").asString()).isNotEmpty();
        assertThat(leave("tier:gold", false).json().get(0).path("by").isNull()).isTrue();
        assertThat(open()).hasSize(2);
        assertThat(leave("tier:green", true).status()).isEqualTo(404);
    }
}
