package tidylantern.server.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;

/** A search gets another key over HTTP, and everything that knows it by the one before goes on. */
class SearchKeysTest {
    private static final Map<String, String> JSON = Map.of("Content-Type", "application/json");
    private static RunningService service;
    private static Api api;

    @BeforeAll
    static void start(@TempDir Path data) {
        service = RunningService.on(data);
        api = service.api().withSite();
        api.push("posts", "{\"id\":\"rope\",\"title\":\"Rope walk\"}\n{\"id\":\"net\",\"title\":\"Nets\"}\n");
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    private static Api.Answer rename(String key, String another, String purpose) {
        return api.send(
                "PUT",
                "/api/owner/searches/" + key + "/about",
                "{\"key\":\"%s\",\"purpose\":\"%s\"}".formatted(another, purpose),
                JSON);
    }

    @Test
    void theKeyOfBeforeGoesOnWorkingEverywhere() {
        String key = api.publishedSearch("Ropes");
        api.send("POST", "/api/public/searches/" + key + "/chosen", "{\"collection\":\"posts\",\"id\":\"rope\"}", JSON);

        Api.Answer renamed = rename(key, "rope-search", "For the header of every page");

        assertThat(renamed.status()).isEqualTo(200);
        assertThat(renamed.json().path("key").asString()).isEqualTo("rope-search");
        assertThat(renamed.json().path("purpose").asString()).isEqualTo("For the header of every page");
        for (String either : new String[] {key, "rope-search"}) {
            assertThat(api.get("/api/public/searches/" + either + "/results?q=rope")
                            .hits())
                    .as(either)
                    .containsExactly("rope");
            assertThat(api.get("/s/" + either + "?q=rope").text()).contains("Rope walk");
            assertThat(api.get("/api/owner/searches/" + either + "/versions").json())
                    .hasSize(1);
        }
        assertThat(api.get("/api/owner/searches/rope-search/former-keys").json().toString())
                .isEqualTo("[\"%s\"]".formatted(key));
    }

    /** Bodies are received first, and their requests go on from there. */
    @Test
    void whatIsSentWithTheKeyOfBeforeArrives() {
        String key = api.publishedSearch("Sent");
        rename(key, "sent-now", "");
        String chosen = "{\"collection\":\"posts\",\"id\":\"rope\"}";

        assertThat(api.send("POST", "/api/public/searches/" + key + "/chosen", chosen, JSON)
                        .status())
                .isEqualTo(204);
        Api.Answer draft = api.get("/api/owner/searches/" + key + "/draft");
        assertThat(api.send(
                                "PUT",
                                "/api/owner/searches/" + key + "/draft",
                                draft.text(),
                                Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")))
                        .status())
                .isEqualTo(200);
    }

    @Test
    void originsAreHeldToTheSearchThatTheKeyOfBeforeLeadsTo() {
        String key = api.publishedSearch("Origins");
        rename(key, "origin-search", "");

        String path = "/api/public/searches/" + key + "/results?q=rope";
        assertThat(api.send("GET", path, null, Map.of("Origin", "https://isles.example"))
                        .header("Access-Control-Allow-Origin"))
                .isEqualTo("https://isles.example");
        assertThat(api.send("GET", path, null, Map.of("Origin", "https://elsewhere.example"))
                        .status())
                .isEqualTo(403);
    }

    @Test
    void aKeyIsOneSearchsOwnUntilItIsEnded() {
        String key = api.publishedSearch("Held");
        String other = api.publishedSearch("Other");
        rename(key, "held-now", "");

        assertThat(rename(other, "held-now", "").text()).contains("There is a search with the key \\\"held-now\\\"");
        assertThat(rename(other, key, "").text()).contains("still leads to the search \\\"held-now\\\"");
        assertThat(api.publishedSearch("Held")).isEqualTo("held-2");
        assertThat(rename("held-now", "No key", "").text()).contains("A key begins with a letter");
        assertThat(rename("held-now", "a".repeat(41), "").status()).isEqualTo(400);
        assertThat(rename("held-now", "held-then", "x".repeat(301)).text()).contains("purpose");
        assertThat(rename("held-now", other, "For ropes").status()).isEqualTo(409);
        assertThat(api.get("/api/owner/searches/held-now")
                        .json()
                        .path("purpose")
                        .isNull())
                .as("a key that is refused leaves all as it was")
                .isTrue();

        assertThat(api.send("DELETE", "/api/owner/searches/held-now/former-keys/" + key, null, Map.of())
                        .status())
                .isEqualTo(204);
        assertThat(api.get("/api/public/searches/" + key + "/results?q=rope").status())
                .isEqualTo(404);
        assertThat(rename(other, key, "").status()).isEqualTo(200);
    }

    @Test
    void backAndForthLeavesBothKeysWorking() {
        String key = api.publishedSearch("Tide");
        rename(key, "ebb", "");
        rename("ebb", key, "");

        assertThat(api.get("/api/owner/searches/" + key + "/former-keys").json().toString())
                .isEqualTo("[\"ebb\"]");
        assertThat(api.get("/api/public/searches/ebb/results?q=rope").hits()).containsExactly("rope");
    }

    @Test
    void whatWasDeletedComesBackWithItsKeysOfBefore() {
        String key = api.publishedSearch("Gone");
        rename(key, "gone-for-now", "");
        api.send("DELETE", "/api/owner/searches/gone-for-now?name=Gone", null, Map.of());
        assertThat(api.get("/api/public/searches/" + key + "/results?q=rope").status())
                .isEqualTo(404);

        long id = api.get(api.site() + "/deleted").json().get(0).path("id").asLong();
        api.send("POST", api.site() + "/deleted/" + id + "/bring-back", null, Map.of());

        assertThat(api.get("/api/public/searches/" + key + "/results?q=rope").hits())
                .containsExactly("rope");
    }
}
