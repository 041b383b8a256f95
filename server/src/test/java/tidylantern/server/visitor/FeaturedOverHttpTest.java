package tidylantern.server.visitor;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.server.Api;
import tidylantern.server.Designs;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Featured tiers, placements and pins as owners set them up and visitors' browsers get them. */
class FeaturedOverHttpTest {
    private static final JsonMapper JSON = new JsonMapper();
    private static final String TIER =
            "{\"key\":\"gold\",\"name\":\"Gold\",\"rank\":1,\"lift\":{\"most\":2,\"mostLive\":1},\"disclosure\":\"Paid <place>\",\"looks\":{\"edge\":\"clear\",\"ribbon\":{\"text\":\"Gold <b>\"}}}";
    private static final String KEYS = "[{\"by\":\"tier\"},{\"by\":\"place-in-tier\"},{\"by\":\"title\"}]";
    private static RunningService service;
    private static Api api;

    @BeforeAll
    static void start(@TempDir Path data) {
        service = RunningService.on(data);
        api = service.api().withSite();
        StringBuilder lines = new StringBuilder();
        for (char id = 'a'; id <= 'f'; id++) {
            lines.append("{\"id\":\"%s\",\"title\":\"Boat %s\",\"plan\":\"%s\"}\n"
                    .formatted(id, id, id == 'f' ? "gold" : "free"));
        }
        api.push("posts", lines.toString());
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    /** A published search of its own, with the tier and orders that lift. */
    private static String search(String name) {
        String key = api.publishedSearch(name);
        assertThat(change(key, design -> {
                            Designs.set(design, "tiers", JSON.readTree("[" + TIER + "]"));
                            Designs.set(
                                    design,
                                    "order",
                                    JSON.readTree("{\"withWords\":" + KEYS + ",\"withoutWords\":" + KEYS + "}"));
                        })
                        .status())
                .isEqualTo(200);
        publish(key);
        return key;
    }

    private static Api.Answer change(String key, Consumer<ObjectNode> change) {
        Api.Answer draft = api.get("/api/owner/searches/" + key + "/draft");
        ObjectNode design = (ObjectNode) draft.json();
        change.accept(design);
        return api.send(
                "PUT",
                "/api/owner/searches/" + key + "/draft",
                design.toString(),
                Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
    }

    private static void publish(String key) {
        assertThat(api.send(
                                "POST",
                                "/api/owner/searches/" + key + "/publish",
                                "",
                                Map.of(
                                        "If-Match",
                                        api.get("/api/owner/searches/" + key + "/draft")
                                                .header("ETag")))
                        .status())
                .isEqualTo(200);
    }

    private static Api.Answer place(String tier, String id, String more) {
        return api.put(
                "/api/owner/sites/isles/placements",
                "{\"items\":[{\"collection\":\"posts\",\"id\":\"%s\"}],\"tier\":\"%s\"%s}".formatted(id, tier, more));
    }

    private static Api.Answer unplace(String tier, String id) {
        return api.send(
                "DELETE",
                "/api/owner/sites/isles/placements",
                "{\"items\":[{\"collection\":\"posts\",\"id\":\"%s\"}],\"tier\":\"%s\"}".formatted(id, tier),
                Map.of("Content-Type", "application/json"));
    }

    private static List<String> ids(JsonNode hits) {
        return StreamSupport.stream(hits.spliterator(), false)
                .map(hit -> hit.path("id").asString())
                .toList();
    }

    private static JsonNode results(String key) {
        return api.results(key, "boat").json();
    }

    @Test
    void placementsHoldAtOnceForVisitorsAndAreTakenBack() {
        String key = search("At once");
        assertThat(ids(results(key).path("hits"))).startsWith("a", "b");
        assertThat(place("gold", "e", ",\"place\":1").status()).isEqualTo(200);
        Api.Answer placed = place("gold", "d", "");
        assertThat(placed.json().findValuesAsString("state")).containsOnly("holds");
        JsonNode found = results(key);
        assertThat(ids(found.path("hits"))).containsExactly("e", "d", "a", "b", "c", "f");
        assertThat(found.path("hits").path(0).path("tier").asString()).isEqualTo("gold");
        assertThat(found.path("hits").path(0).has("standing"))
                .as("reasons are for owners")
                .isFalse();
        assertThat(found.path("tiers").path(0).path("looks").path("edge").asString())
                .isEqualTo("clear");
        JsonNode draft = api.get("/api/owner/searches/" + key + "/draft/results?q=boat")
                .json()
                .path("hits")
                .path(0)
                .path("standing");
        assertThat(draft.path("lifted").asBoolean()).isTrue();
        assertThat(draft.path("placeInTier").asInt()).isEqualTo(1);
        JsonNode live = api.get("/api/public/searches/" + key + "/live?q=boat").json();
        assertThat(ids(live.path("groups").path(0).path("hits")))
                .as("live results lift one")
                .containsExactly("e", "a", "b", "c", "d", "f");
        assertThat(live.path("tiers").path(0).path("disclosure").asString()).isEqualTo("Paid <place>");
        String page = api.get("/s/" + key + "?q=boat").text();
        assertThat(page).contains("Gold &lt;b&gt;", "Paid &lt;place&gt;").doesNotContain("Gold <b>");
        JsonNode why = api.get("/api/owner/searches/" + key + "/draft/why?q=boat&collection=posts&id=d")
                .json();
        assertThat(why.path("place").asInt()).isEqualTo(2);
        assertThat(why.path("standing").path("tierName").asString()).isEqualTo("Gold");
        assertThat(unplace("gold", "e").status()).isEqualTo(200);
        assertThat(unplace("gold", "d").json()).isEmpty();
        assertThat(ids(results(key).path("hits"))).startsWith("a", "b");
    }

    @Test
    void aPlacementBeginsAndEndsByTheSitesOwnDays() {
        String key = search("Days");
        api.put(
                "/api/owner/sites/isles",
                "{\"name\":\"Isles\",\"address\":\"https://isles.example\",\"origins\":[],\"timeZone\":\"Pacific/Kiritimati\"}");
        // The two zones are 26 hours apart, so whenever this runs they have different days.
        LocalDate there = LocalDate.now(ZoneId.of("Pacific/Kiritimati"));
        assertThat(place("gold", "c", ",\"from\":\"%s\",\"until\":\"%s\"".formatted(there, there))
                        .json()
                        .path(0)
                        .path("state")
                        .asString())
                .isEqualTo("holds");
        assertThat(ids(results(key).path("hits"))).startsWith("c");
        api.put(
                "/api/owner/sites/isles",
                "{\"name\":\"Isles\",\"address\":\"https://isles.example\",\"origins\":[],\"timeZone\":\"Etc/GMT+12\"}");
        assertThat(api.get("/api/owner/sites/isles/placements")
                        .json()
                        .path(0)
                        .path("state")
                        .asString())
                .isEqualTo("begins-later");
        assertThat(ids(results(key).path("hits"))).startsWith("a");
        assertThat(place("gold", "c", ",\"until\":\"%s\"".formatted(there.minusDays(3)))
                        .json()
                        .path(0)
                        .path("state")
                        .asString())
                .isEqualTo("ended");
        unplace("gold", "c");
        assertThat(api.put(
                                "/api/owner/sites/isles",
                                "{\"name\":\"Isles\",\"address\":\"https://isles.example\",\"origins\":[],\"timeZone\":\"Mars/Base\"}")
                        .json()
                        .path("field")
                        .asString())
                .isEqualTo("timeZone");
        assertThat(api.get("/api/owner/sites/isles").json().path("timeZone").asString())
                .as("left as it was")
                .isEqualTo("Etc/GMT+12");
    }

    @Test
    void turnsChangeAtMidnightOfTheSitesOwnZone() {
        String key = search("Turns");
        change(key, design -> ((ObjectNode) Designs.part(design, "tiers").path(0))
                .put("key", "turning")
                .set("lift", JSON.readTree("{\"most\":1,\"turns\":\"by-day\"}")));
        publish(key);
        for (String id : List.of("c", "d", "e")) {
            place("turning", id, "");
        }
        // One day or two apart, which among three is never the same turn.
        String first = null;
        for (String zone : List.of("Pacific/Kiritimati", "Etc/GMT+12")) {
            api.put(
                    "/api/owner/sites/isles",
                    "{\"name\":\"Isles\",\"address\":\"https://isles.example\",\"origins\":[],\"timeZone\":\"%s\"}"
                            .formatted(zone));
            String now = ids(results(key).path("hits")).getFirst();
            assertThat(List.of("c", "d", "e")).contains(now);
            assertThat(now).isNotEqualTo(first);
            first = now;
        }
        for (String id : List.of("c", "d", "e")) {
            unplace("turning", id);
        }
    }

    @Test
    void whatCannotHoldIsRefusedAndNothingIsPlaced() {
        assertThat(place("gold", "nobody", "").status()).isEqualTo(404);
        assertThat(place("gold", "nobody", "").json().path("detail").asString()).contains("nobody");
        assertThat(place("gold", "a", ",\"place\":0").json().path("detail").asString())
                .contains("choose 1 to 1000");
        assertThat(place("gold", "a", ",\"from\":\"2026-05-02\",\"until\":\"2026-05-01\"")
                        .json()
                        .path("detail")
                        .asString())
                .contains("before it begins");
        assertThat(place("", "a", "").status()).isEqualTo(400);
        assertThat(place("gold", "a", ",\"from\":\"soon\"").json().path("field").asString())
                .isEqualTo("from");
        assertThat(api.put("/api/owner/sites/isles/placements", "{\"items\":[],\"tier\":\"gold\"}")
                        .json()
                        .path("field")
                        .asString())
                .isEqualTo("items");
        assertThat(api.put(
                                "/api/owner/sites/isles/placements",
                                "{\"items\":[{\"collection\":\"posts\",\"id\":\"a\"},{\"collection\":\"posts\",\"id\":\"gone\"}],\"tier\":\"gold\"}")
                        .status())
                .isEqualTo(404);
        assertThat(api.get("/api/owner/sites/isles/placements").json()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "ranking.tiers[0].looks.edgeColor | amber | no colour",
                "ranking.tiers[0].looks.ribbon.ground | #12 | no colour",
                "ranking.tiers[0].key | Gold! | small letters",
                "ranking.tiers[0].rank | -1 | 1 for the highest"
            })
    void aDesignNamesTheKeyAtFault(String path, String value, String reason) {
        String key = search("Faults");
        Api.Answer refused = change(key, design -> {
            String[] parts = path.split("\\.");
            ObjectNode at = (ObjectNode) Designs.part(design, "tiers").path(0);
            for (int i = 2; i < parts.length - 1; i++) {
                at = (ObjectNode) at.path(parts[i]);
            }
            String last = parts[parts.length - 1];
            at.set(last, value.matches("-?\\d+") ? JSON.readTree(value) : JSON.readTree("\"" + value + "\""));
        });
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.json().path("field").asString()).isEqualTo(path);
        assertThat(refused.json().path("detail").asString()).contains(reason);
    }

    @Test
    void pinsAnswerAndOneToAGoneItemIsReported() {
        String key = search("Pinned");
        Api.Answer kept = change(
                key,
                design -> Designs.set(
                        design,
                        "pins",
                        JSON.readTree(
                                "[{\"queries\":[\"boats\"],\"put\":[{\"item\":{\"collection\":\"posts\",\"id\":\"c\"},\"at\":1},{\"item\":{\"collection\":\"posts\",\"id\":\"gone\"},\"at\":2}],\"takeOut\":[{\"collection\":\"posts\",\"id\":\"a\"}]}]")));
        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
        assertThat(ids(api.get("/api/owner/searches/" + key + "/draft/results?q=boat")
                        .json()
                        .path("hits")))
                .startsWith("c", "b")
                .doesNotContain("a");
        assertThat(ids(results(key).path("hits")))
                .as("a pin is published with the design")
                .startsWith("a");
        JsonNode summary = api.get("/api/owner/searches/" + key).json();
        assertThat(summary.path("remarks").findValuesAsString("text"))
                .anyMatch(text -> text.contains("posts/gone") && text.contains("gone. Take it out"));
        assertThat(summary.path("differences").findValues("path").toString()).contains("[\"ranking\",\"pins\",\"");
        JsonNode named =
                api.get("/api/owner/searches/" + key + "/draft/featured").json().path("pinned");
        assertThat(named).hasSize(3);
        assertThat(named.path(1).path("title").isNull()).isTrue();
        publish(key);
        assertThat(ids(results(key).path("hits"))).startsWith("c", "b");
        assertThat(change(key, design -> ((ObjectNode) Designs.part(design, "pins")
                                        .path(0)
                                        .path("put")
                                        .path(1))
                                .put("at", 1))
                        .json()
                        .path("field")
                        .asString())
                .isEqualTo("ranking.pins[0].put[1]");
    }

    @Test
    void figuresSayWhoHoldsATierHowItReadsAndHowMuchOfAPageIsFeatured() {
        String key = search("Figures");
        change(key, design -> ((ObjectNode) Designs.part(design, "tiers").path(0))
                .set(
                        "holders",
                        JSON.readTree(
                                "[{\"collection\":\"posts\",\"rule\":{\"field\":\"plan\",\"value\":\"gold\"}}]")));
        api.put("/api/owner/sites/isles/collections/posts/fields/plan", "{\"kind\":\"category\",\"label\":\"Plan\"}");
        JsonNode tier = api.get("/api/owner/searches/" + key + "/draft/featured")
                .json()
                .path("tiers")
                .path(0);
        assertThat(tier.path("holders").asInt()).isEqualTo(1);
        assertThat(tier.path("contrasts").path(0).path("part").asString()).isEqualTo("ribbon");
        assertThat(tier.path("contrasts").path(0).path("ratio").asDouble()).isGreaterThan(4.5);
        api.post(
                "/api/owner/searches/" + key + "/trials",
                "{\"query\":\"boat\",\"expects\":\"within\",\"collection\":\"posts\",\"item\":\"a\",\"number\":3}");
        api.results(key, "Boat  F");
        api.results(key, "boat f");
        api.results(key, "boat e");
        api.get("/api/public/searches/" + key + "/results?q=boat+e&plan=gold");
        api.get("/api/public/searches/" + key + "/results?q=boat+e&page=9");
        JsonNode shares =
                api.get("/api/owner/searches/" + key + "/draft/featured-share").json();
        assertThat(shares.findValuesAsString("query"))
                .as("the starting list, trials, and what visitors ask, the most frequent first")
                .containsExactly("", "boat", "boat f", "boat e");
        assertThat(shares.path(1).path("onPage").asInt()).isEqualTo(6);
        assertThat(shares.path(1).path("featured").asInt()).isEqualTo(1);
        assertThat(shares.path(1).path("lifted").asInt()).isEqualTo(1);
    }

    @Test
    void ownNamesOfPlacesHoldAtOnceAndWrongOnesAreRefused() {
        String places = "/api/owner/sites/isles/places";
        assertThat(api.put(places, "[{\"name\":\"Old Quay\",\"latitude\":50.5,\"longitude\":-5}]")
                        .json()
                        .path(0)
                        .path("name")
                        .asString())
                .isEqualTo("Old Quay");
        assertThat(api.put(
                                places,
                                "[{\"name\":\"A\",\"latitude\":1,\"longitude\":1},{\"name\":\"á\",\"latitude\":2,\"longitude\":2}]")
                        .json()
                        .path("detail")
                        .asString())
                .contains("stands twice");
        assertThat(api.put(places, "[{\"name\":\"Pole\",\"latitude\":91,\"longitude\":1}]")
                        .json()
                        .path("detail")
                        .asString())
                .contains("no place on the Earth");
        assertThat(api.put(places, "[{\"name\":\"Nowhere\"}]")
                        .json()
                        .path("detail")
                        .asString())
                .contains("Nowhere");
        assertThat(api.get(places).json()).hasSize(1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"springfield", "SPRINGFEILD"})
    void aTownOfTheWorldIsKnownAndItsNamesakesAreOffered(String typed) {
        api.push(
                "posts",
                "{\"id\":\"placed\",\"title\":\"Boathouse\",\"at\":{\"lat\":50,\"lon\":-5,\"name\":\"Cove\"}}\n");
        String key = search("Towns");
        change(
                key,
                design -> design.set(
                        "filters",
                        JSON.readTree(
                                "[{\"head\":{\"key\":\"near\",\"label\":\"Near\"},\"source\":{\"of\":\"distance\",\"field\":\"at\"}}]"
                                        .replace("\"near\"", "\"how-far\""))));
        JsonNode around = api.get("/api/owner/searches/" + key + "/draft/results?place=" + typed)
                .json()
                .path("filters")
                .path(0)
                .path("around");
        assertThat(around.path("name").asString()).startsWith("Springfield, ").endsWith("United States");
        assertThat(around.path("namesakes")).hasSize(4);
        assertThat(around.path("attribution").asString()).contains("GeoNames");
        String other = around.path("namesakes").path(0).asString();
        JsonNode chosen = api.get("/api/owner/searches/" + key + "/draft/results?place="
                        + java.net.URLEncoder.encode(other, java.nio.charset.StandardCharsets.UTF_8))
                .json()
                .path("filters")
                .path(0)
                .path("around");
        assertThat(chosen.path("name").asString()).isEqualTo(other);
        assertThat(chosen.path("namesakes")).isEmpty();
    }

    @Test
    void placementsStayThroughARestartAndWhileTheirItemIsGone(@TempDir Path data) {
        try (RunningService first = RunningService.on(data)) {
            Api here = first.api().withSite();
            here.push("posts", "{\"id\":\"a\",\"title\":\"Boat\"}\n{\"id\":\"b\",\"title\":\"Oar\"}\n");
            here.put(
                    "/api/owner/sites/isles/placements",
                    "{\"items\":[{\"collection\":\"posts\",\"id\":\"b\"}],\"tier\":\"gold\",\"place\":2}");
            assertThat(here.push("posts", "{\"id\":\"b\",\"_delete\":true}\n")
                            .json()
                            .path("removed")
                            .asInt())
                    .isEqualTo(1);
        }
        try (RunningService again = RunningService.on(data)) {
            JsonNode placed =
                    again.api().get("/api/owner/sites/isles/placements").json();
            assertThat(placed.path(0).path("place").asInt()).isEqualTo(2);
            assertThat(placed.path(0).path("title").isNull())
                    .as("its item is gone")
                    .isTrue();
        }
    }
}
