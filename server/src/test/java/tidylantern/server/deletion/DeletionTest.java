package tidylantern.server.deletion;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;

/** What is deleted goes at once, rests 30 days, and comes back as it was. */
class DeletionTest {
    private static final Map<String, String> JSON = Map.of("Content-Type", "application/json");

    @TempDir
    private static Path data;

    private static RunningService service;
    private static int sites;
    private Api api;
    private String key;
    private String site;
    private String search;

    @BeforeAll
    static void start() {
        service = RunningService.on(data);
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    /** A site with a search for each test. */
    @BeforeEach
    void fill() {
        key = "isles-" + ++sites;
        api = service.api().withSite(key);
        site = api.site();
        api.push(
                "posts",
                "{\"id\":\"a\",\"title\":\"The ferry\",\"tags\":[[\"Boats\",\"Ferries\"]],\"price\":3.5,\"day\":\"2026-05-01\"}\n{\"id\":\"b\",\"title\":\"The pier\"}\n");
        api.put(site + "/collections/notes", "{\"label\":\"Notes\",\"language\":\"en\"}");
        api.push("notes", "{\"id\":\"n\",\"title\":\"A ferry note\"}\n");
        search = api.publishedSearch(key);
    }

    private List<String> found(String query) {
        return api.get("/api/public/searches/" + search + "/results?q=" + query).hits();
    }

    private JsonNode resting(String path) {
        return api.get(path).json();
    }

    /** The id under which this test's site rests, once. */
    private long restingSite() {
        List<Long> ids = StreamSupport.stream(
                        resting("/api/owner/deleted-sites").spliterator(), false)
                .filter(one -> one.path("key").asString().equals(key))
                .map(one -> one.path("id").asLong())
                .toList();
        assertThat(ids).hasSize(1);
        return ids.get(0);
    }

    @Test
    void aCollectionGoesAndComesBack() {
        String before = api.get(site + "/collections/posts/export.jsonl").text();
        assertThat(found("ferry")).containsExactlyInAnyOrder("a", "n");
        assertThat(api.send("DELETE", site + "/collections/posts?name=posts", null, Map.of())
                        .status())
                .as("its label is Posts")
                .isEqualTo(400);
        assertThat(found("ferry")).hasSize(2);
        assertThat(api.send("DELETE", site + "/collections/posts?name=Posts", null, Map.of())
                        .status())
                .isEqualTo(200);
        assertThat(found("ferry")).containsExactly("n");
        assertThat(api.get(site + "/collections").json()).hasSize(1);
        JsonNode rests = resting(site + "/deleted");
        assertThat(rests).hasSize(1);
        assertThat(rests.path(0).path("kind").asString()).isEqualTo("collection");
        assertThat(api.send(
                                "POST",
                                site + "/deleted/" + rests.path(0).path("id").asLong() + "/bring-back",
                                "",
                                Map.of())
                        .status())
                .isEqualTo(204);
        assertThat(found("ferry")).containsExactlyInAnyOrder("a", "n");
        assertThat(api.get(site + "/collections/posts/export.jsonl").text()).isEqualTo(before);
        assertThat(resting(site + "/deleted")).isEmpty();
    }

    @Test
    void whatTookItsPlaceIsNotOverwritten() {
        api.send("DELETE", site + "/collections/notes?name=Notes", null, Map.of());
        api.put(site + "/collections/notes", "{\"label\":\"Notes\",\"language\":\"en\"}");
        api.push("notes", "{\"id\":\"other\",\"title\":\"Another ferry\"}\n");
        long id = resting(site + "/deleted").path(0).path("id").asLong();
        Api.Answer refused = api.send("POST", site + "/deleted/" + id + "/bring-back", "", Map.of());
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.text()).contains("notes");
        assertThat(found("ferry")).containsExactlyInAnyOrder("a", "other");
        assertThat(resting(site + "/deleted")).hasSize(1);
    }

    @Test
    void aSearchGoesAndComesBackWithItsVersionsAndTrials() {
        api.send(
                "POST",
                "/api/owner/searches/" + search + "/trials",
                "{\"query\":\"ferry\",\"expects\":\"at-least\",\"number\":1}",
                JSON);
        assertThat(api.send("DELETE", "/api/owner/searches/" + search + "?name=" + key, null, Map.of())
                        .status())
                .isEqualTo(200);
        assertThat(api.get("/api/public/searches/" + search + "/results?q=ferry")
                        .status())
                .isEqualTo(404);
        assertThat(api.get(site + "/searches").json()).isEmpty();
        api.send(
                "POST",
                site + "/deleted/"
                        + resting(site + "/deleted").path(0).path("id").asLong() + "/bring-back",
                "",
                Map.of());
        assertThat(found("ferry")).hasSize(2);
        assertThat(api.get("/api/owner/searches/" + search + "/trials").text()).contains("ferry");
    }

    @Test
    void aSiteGoesWithEverythingAndComesBack() {
        String before = api.get(site + "/collections/posts/export.jsonl").text();
        assertThat(api.send("DELETE", site, null, Map.of()).status())
                .as("without its name")
                .isEqualTo(400);
        String name = api.get(site).json().path("name").asString();
        assertThat(api.send("DELETE", site + "?name=" + name.replace(" ", "%20"), null, Map.of())
                        .status())
                .isEqualTo(200);
        assertThat(api.get(site).status()).isEqualTo(404);
        assertThat(api.get("/api/public/searches/" + search + "/results?q=ferry")
                        .status())
                .isEqualTo(404);
        assertThat(data.resolve("index/" + key)).doesNotExist();
        assertThat(api.send("POST", "/api/owner/deleted-sites/" + restingSite() + "/bring-back", "", Map.of())
                        .status())
                .isEqualTo(204);
        assertThat(found("ferry")).containsExactlyInAnyOrder("a", "n");
        assertThat(api.get(site + "/collections/posts/export.jsonl").text()).isEqualTo(before);
    }

    @Test
    void aSitesSearchWhoseKeyWasTakenMeanwhileIsTold() {
        String name = api.get(site).json().path("name").asString();
        api.send("DELETE", site + "?name=" + name.replace(" ", "%20"), "", Map.of());
        api.post("/api/owner/sites", "{\"name\":\"Other\",\"address\":\"https://other.example\"}");
        assertThat(api.post("/api/owner/sites/other/searches", "{\"name\":\"" + key + "\"}")
                        .json()
                        .path("key")
                        .asString())
                .isEqualTo(search);
        long id = restingSite();
        Api.Answer refused = api.send("POST", "/api/owner/deleted-sites/" + id + "/bring-back", "", Map.of());
        assertThat(refused.status()).as(refused.text()).isEqualTo(409);
        assertThat(api.get(site).status()).as("all or nothing").isEqualTo(404);
        api.send("DELETE", "/api/owner/searches/" + search + "?name=" + key, "", Map.of());
        assertThat(api.send("POST", "/api/owner/deleted-sites/" + id + "/bring-back", "", Map.of())
                        .status())
                .isEqualTo(204);
        assertThat(found("ferry")).hasSize(2);
    }

    @Test
    void afterThirtyDaysItIsGoneForGood() {
        api.send("DELETE", site + "/collections/notes?name=Notes", "", Map.of());
        long id = resting(site + "/deleted").path(0).path("id").asLong();
        rested(29);
        assertThat(resting(site + "/deleted")).hasSize(1);
        rested(31);
        assertThat(api.send("POST", site + "/deleted/" + id + "/bring-back", "", Map.of())
                        .status())
                .isEqualTo(404);
        assertThat(resting(site + "/deleted")).isEmpty();
    }

    private void rested(int days) {
        service.part(JdbcClient.class)
                .sql("UPDATE deleted SET deleted = DATEADD('DAY', :days, CURRENT_TIMESTAMP)")
                .param("days", -days)
                .update();
    }
}
