package tidylantern.server.visitor;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.core.design.Sign;
import tidylantern.server.Api;
import tidylantern.server.Designs;
import tidylantern.server.RunningService;
import tidylantern.server.answer.Signs;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Cards as answers, the search's style sheet and the page without script have them. */
class CardsOverHttpTest {
    private static final String TITLE = "{\"part\": \"title\", \"key\": \"title\"}";
    private static final String PICTURE =
            "{\"part\": \"picture\", \"key\": \"picture\", \"standIn\": \"sign\", \"corners\": \"large\"}";
    private static RunningService service;
    private static Api api;
    private static String search;

    @BeforeAll
    static void start(@TempDir Path data) {
        service = RunningService.on(data);
        api = service.api().withSite();
        api.push("posts", """
                {"id": "a", "title": "Ark", "body": "Two of each.", "url": "/a", "image": {"url": "/a.svg", "alt": "An ark"}}
                {"id": "b", "title": "Byre", "body": "Cows.", "url": "/b"}
                """);
        search = api.publishedSearch("Cards");
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    private static String draft() {
        return "/api/owner/searches/" + search + "/draft";
    }

    private static Api.Answer keep(String parts, String frame, String sign) {
        Api.Answer now = api.get(draft());
        ObjectNode design = (ObjectNode) now.json();
        Designs.set(design, "cards", JsonMapper.shared().readTree("""
                        [{"place": "list", "frame": %s, "body":
                          {"part": "group", "key": "card", "direction": "row", "parts": [%s]}}]""".formatted(frame, parts)));
        ((ObjectNode) design.path("reach").path("collections").path(0)).put("sign", sign);
        return api.send(
                "PUT",
                draft(),
                design.toString(),
                Map.of("Content-Type", "application/json", "If-Match", now.header("ETag")));
    }

    private static void publish() {
        api.send(
                "POST",
                "/api/owner/searches/" + search + "/publish",
                "",
                Map.of("If-Match", api.get(draft()).header("ETag")));
    }

    @Test
    void aFrameReachesTheStyleSheetAndBothRenderersByItsClass() {
        assertThat(keep(PICTURE + ", " + TITLE, """
                                {"ground": "card", "edges": ["below"], "corners": 12, "spacing": "large", "shadow": "deep",
                                 "pointed": "edge", "focused": "title"}""", "house").status()).isEqualTo(200);
        publish();
        JsonNode results = api.results(search, "").json();
        assertThat(results.path("cards").path(0).path("frame").asString()).isEqualTo("frame-list");
        assertThat(api.get("/api/public/searches/" + search + "/look.css").text())
                .contains(
                        ".frame-list { --card-ground: var(--ground); --card-above: 0px; --card-below: 1px;"
                                + " --card-start: 0px; --card-end: 0px; --card-pad: 22px; --card-inset: 22px; --tile-pad: 22px;"
                                + " --card-corners: 12px;",
                        "--card-lift: var(--card-shadow); --card-pointed-edge: var(--edge);",
                        "--card-ring: 0px; --title-ring: 2px;");
        assertThat(api.get("/s/" + search).text())
                .contains("<li class=\"card frame-list\">", "corners-large", "<svg viewBox=\"0 0 24 24\"><path d=\"M");
    }

    @Test
    void aGroupHasAWidthAndMayNotGiveWay() {
        assertThat(keep(
                                "{\"part\": \"group\", \"key\": \"side\", \"width\": \"third\", \"shrinks\": false, \"parts\": [%s]}, %s"
                                        .formatted(PICTURE, TITLE),
                                "null",
                                "page")
                        .status())
                .isEqualTo(200);
        publish();
        JsonNode side = api.results(search, "")
                .json()
                .path("cards")
                .path(0)
                .path("body")
                .path("parts")
                .path(0);
        assertThat(side.path("width").asString()).isEqualTo("third");
        assertThat(side.path("shrinks").asBoolean()).isFalse();
        assertThat(api.get("/s/" + search).text()).contains("in-column gap-usual at-start takes-third keeps\"");
    }

    @Test
    void whereAnItemHasNoPictureTheSignOfItsCollectionStands() {
        keep(PICTURE + ", " + TITLE, "null", "house");
        publish();
        JsonNode hits = api.results(search, "").json().path("hits");
        for (JsonNode hit : hits) {
            JsonNode shown = hit.path("card").path(0);
            boolean pictured = hit.path("id").asString().equals("a");
            assertThat(shown.path("as").asString()).isEqualTo(pictured ? "picture" : "sign");
            assertThat(shown.path("value").asString())
                    .isEqualTo(pictured ? "https://isles.example/a.svg" : Signs.pathOf(Sign.HOUSE));
        }
        assertThat(api.results(search, "")
                        .json()
                        .path("cards")
                        .path(0)
                        .path("frame")
                        .isNull())
                .as("all of it is the look's")
                .isTrue();
    }

    @Test
    void anOwnerSeesOneItemAfterTheOtherInEveryPlace() {
        keep(PICTURE + ", " + TITLE, "null", "house");
        JsonNode second = api.get(draft() + "/specimen?collection=posts&at=2").json();
        assertThat(second.path("at").asInt()).isEqualTo(2);
        assertThat(second.path("total").asInt()).isEqualTo(2);
        assertThat(second.path("placed").valueStream().map(one -> one.path("place")
                        .asString()))
                .containsExactly("list", "grid", "wall", "live");
        assertThat(second.path("placed")
                        .valueStream()
                        .map(one -> one.path("hit").path("id").asString())
                        .collect(Collectors.toSet()))
                .as("the same in all")
                .hasSize(1);
        assertThat(api.get(draft() + "/specimen?collection=none")
                        .json()
                        .path("collection")
                        .asString())
                .as("one that is searched")
                .isEqualTo("posts");
    }

    @Test
    void aCardShowsFortyPartsAndOneMoreIsRefused() {
        assertThat(keep(many(38), "null", "page").status()).isEqualTo(200);
        Api.Answer refused = keep(many(39), "null", "page");
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.text()).contains("cards[0].body.parts", "41 parts are too many for a card; 40 are the most");
    }

    private static String many(int more) {
        return TITLE
                + IntStream.range(0, more)
                        .mapToObj(n -> ", {\"part\": \"button\", \"key\": \"b%d\", \"text\": \"Go\"}".formatted(n))
                        .collect(Collectors.joining());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"corners\": 99}              | page   | appearance.cards[0].frame.corners | corners of 99 px are none",
                "{\"edges\": [\"end\", \"end\"]} | page   | appearance.cards[0].frame.edges   | twice",
                "{\"edges\": [\"left\"]}        | page   | appearance.cards[0].frame.edges   | left",
                "{\"ground\": \"#ff0000\"}      | page   | appearance.cards[0].frame.ground  | #ff0000",
                "null                           | castle | reach.collections[0].sign | castle"
            })
    void whatNoCardCanBeIsRefusedByItsName(String frame, String sign, String field, String said) {
        Api.Answer refused = keep(TITLE, frame, sign);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.text()).contains(field, said);
    }
}
