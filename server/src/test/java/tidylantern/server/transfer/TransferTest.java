package tidylantern.server.transfer;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What one installation saves, another reads back. */
class TransferTest {
    private static final JsonMapper JSON = new JsonMapper();
    private static final String POSTS = "/api/owner/sites/isles/collections/posts";

    /** A site with everything in it that a set-up can hold. */
    private static void furnish(Api api) {
        api.withSite();
        api.put(
                "/api/owner/sites/isles",
                "{\"name\":\"Isles\",\"address\":\"https://isles.example\",\"origins\":[\"https://www.isles.example\"],\"timeZone\":\"Atlantic/Faroe\"}");
        api.put(
                "/api/owner/sites/isles/look",
                "{\"from\":\"gazette\",\"light\":{\"accent\":\"#224466\"},\"type\":{\"size\":17}}");
        api.push(
                "posts",
                "{\"id\":\"a\",\"title\":\"Ropewalk\",\"tags\":[\"Boats/Ropes\"],\"size\":12}\n{\"id\":\"b\",\"title\":\"Bakery\",\"tags\":[\"Food\"]}\n");
        api.put(POSTS + "/fields/size", "{\"kind\":\"number\",\"label\":\"Length\",\"unit\":\"m\"}");
        api.post(POSTS + "/fields/tags/merges", "{\"from\":[\"Boats\",\"Ropes\"],\"into\":[\"Boats\",\"Rope\"]}");
        api.put(
                POSTS + "/item/mark?id=b",
                "{\"keptOut\":true,\"keywords\":\"bread\",\"title\":null,\"summary\":null,\"image\":null,\"imageAlternative\":null}");
        api.put(
                "/api/owner/sites/isles/placements",
                "{\"items\":[{\"collection\":\"posts\",\"id\":\"a\"}],\"tier\":\"gold\",\"place\":2,\"until\":\"2030-01-31\"}");
        api.put("/api/owner/sites/isles/places", "[{\"name\":\"Old Quay\",\"latitude\":50.5,\"longitude\":-5}]");
        api.post(
                "/api/owner/sites/isles/sources",
                "{\"collection\":\"posts\",\"name\":\"Feed\",\"settings\":{\"kind\":\"feed\",\"address\":\"https://isles.example/feed\"},\"mapping\":{\"idColumn\":\"id\",\"fields\":[{\"property\":\"title\",\"label\":\"Title\",\"kind\":\"text\",\"column\":\"title\"}]},\"removesMissing\":true,\"schedule\":\"daily\"}");
        String upload = api.send(
                        "POST",
                        "/api/owner/sites/isles/uploads",
                        "id,title\na,A\n",
                        Map.of("Content-Type", "application/octet-stream"))
                .json()
                .path("upload")
                .asString();
        api.post(
                "/api/owner/sites/isles/sources",
                "{\"collection\":\"posts\",\"name\":\"List\",\"settings\":{\"kind\":\"file\",\"upload\":\"" + upload
                        + "\"},\"mapping\":{\"idColumn\":\"id\",\"fields\":[{\"property\":\"title\",\"label\":\"Title\",\"kind\":\"text\",\"column\":\"title\"}]},\"removesMissing\":true,\"schedule\":\"never\"}");
        api.publishedSearch("Island search");
        Api.Answer draft = api.get("/api/owner/searches/island-search/draft");
        ObjectNode design = (ObjectNode) draft.json();
        ((ObjectNode) design.path("reach").path("collections").path(0))
                .set(
                        "leaveOut",
                        JSON.readTree("[{\"field\":\"tags\",\"value\":\"food\"},{\"address\":\"/drafts/*\"}]"));
        assertThat(api.send(
                                "PUT",
                                "/api/owner/searches/island-search/draft",
                                design.toString(),
                                Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")))
                        .status())
                .isEqualTo(200);
        assertThat(api.post(
                                "/api/owner/searches/island-search/trials",
                                "{\"query\":\"rope\",\"expects\":\"within\",\"collection\":\"posts\",\"item\":\"a\",\"number\":1}")
                        .status())
                .isEqualTo(201);
    }

    @Test
    void aSetUpMakesTheSameSiteElsewhere(@TempDir Path here, @TempDir Path there) {
        String saved;
        try (RunningService service = RunningService.on(here)) {
            furnish(service.api());
            Api.Answer file = service.api().get("/api/owner/sites/isles/set-up");
            assertThat(file.header("Content-Disposition")).contains("isles.set-up.json");
            saved = file.text();
        }
        assertThat(saved)
                .as("no items, accounts or keys")
                .doesNotContain("Ropewalk")
                .doesNotContain(RunningService.ACCESS_KEY);
        try (RunningService service = RunningService.on(there)) {
            Api api = service.api();
            Api.Answer made = api.post("/api/owner/set-ups", saved);
            assertThat(made.status()).as(made.text()).isEqualTo(201);
            assertThat(made.json().path("notes").toString())
                    .contains("Upload it there again")
                    .contains("Run the sources")
                    .contains("publish");
            ObjectNode again =
                    (ObjectNode) api.get("/api/owner/sites/isles/set-up").json();
            ObjectNode expected = (ObjectNode) JSON.readTree(saved);
            expected.putArray("leftOut");
            assertThat(again).isEqualTo(expected);
            assertThat(again.toString()).contains("Atlantic/Faroe", "2030-01-31", "Old Quay", "#224466");
            assertThat(api.results("island-search", "rope").status())
                    .as("nothing is published")
                    .isEqualTo(404);
            // The items follow by push, and meet what was decided about them.
            api.push(
                    "posts",
                    "{\"id\":\"a\",\"title\":\"Ropewalk\",\"tags\":[\"Boats/Ropes\"],\"size\":12}\n{\"id\":\"b\",\"title\":\"Bakery\"}\n");
            assertThat(api.get(POSTS + "/items?value=tags:boats/rope")
                            .json()
                            .path("total")
                            .asInt())
                    .isEqualTo(1);
            assertThat(api.get(POSTS + "/items?keptOut=true")
                            .json()
                            .path("total")
                            .asInt())
                    .isEqualTo(1);
        }
    }

    @Test
    void besideTheSiteItCameFromItGetsKeysOfItsOwn(@TempDir Path data) {
        try (RunningService service = RunningService.on(data)) {
            Api api = service.api();
            furnish(api);
            JsonNode made = api.post(
                            "/api/owner/set-ups",
                            api.get("/api/owner/sites/isles/set-up").text())
                    .json();
            assertThat(made.path("site").asString()).isEqualTo("isles-2");
            assertThat(made.path("searches").path(0).asString()).isEqualTo("island-search-2");
            assertThat(made.path("notes").toString()).contains("island-search is taken");
        }
    }

    @Test
    void aDesignMakesTheSameSearchElsewhere(@TempDir Path data) {
        try (RunningService service = RunningService.on(data)) {
            Api api = service.api();
            furnish(api);
            String design =
                    api.get("/api/owner/searches/island-search/design-file").text();
            Api.Answer made = api.post("/api/owner/sites/isles/designs", design);
            assertThat(made.status()).as(made.text()).isEqualTo(201);
            assertThat(made.json().path("live").isNull()).isTrue();
            assertThat(api.get("/api/owner/searches/island-search-2/draft").text())
                    .isEqualTo(design);
        }
    }

    @Test
    void whatIsNoSetUpIsRefusedWholeAndNamesTheKey(@TempDir Path data) {
        try (RunningService service = RunningService.on(data)) {
            Api api = service.api();
            furnish(api);
            assertThat(api.post("/api/owner/set-ups", "{\"items\":[]}")
                            .json()
                            .path("field")
                            .asString())
                    .isEqualTo("setUp");
            assertThat(api.post("/api/owner/set-ups", "{\"setUp\":99}")
                            .json()
                            .path("detail")
                            .asString())
                    .contains("version 99");
            assertThat(api.post("/api/owner/set-ups", "[]").status()).isEqualTo(400);
            ObjectNode saved =
                    (ObjectNode) api.get("/api/owner/sites/isles/set-up").json();
            ((ObjectNode) saved.path("searches").path(0).path("design")).put("colour", "red");
            assertThat(api.post("/api/owner/set-ups", saved.toString())
                            .json()
                            .path("field")
                            .asString())
                    .contains("colour");
            ObjectNode twoKinds =
                    (ObjectNode) api.get("/api/owner/sites/isles/set-up").json();
            twoKinds.withArray("collections")
                    .add(
                            JSON.readTree(
                                    "{\"key\":\"more\",\"label\":\"More\",\"language\":\"en\",\"fields\":[{\"key\":\"size\",\"kind\":\"date\",\"property\":\"size\",\"label\":\"Size\"}]}"));
            assertThat(api.post("/api/owner/set-ups", twoKinds.toString())
                            .json()
                            .path("detail")
                            .asString())
                    .contains("one kind in a site");
            ObjectNode badTrial =
                    (ObjectNode) api.get("/api/owner/sites/isles/set-up").json();
            ((ObjectNode) badTrial.path("searches").path(0).path("trials").path(0)).put("number", 0);
            assertThat(api.post("/api/owner/set-ups", badTrial.toString())
                            .json()
                            .path("field")
                            .asString())
                    .isEqualTo("trials[0].first");
            assertThat(api.get("/api/owner/sites").json())
                    .as("nothing was made")
                    .hasSize(1);
        }
    }
}
