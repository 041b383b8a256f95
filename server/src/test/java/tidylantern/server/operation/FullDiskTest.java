package tidylantern.server.operation;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;

/** A disk without room changes nothing for visitors. The reserve is set above any disk, as a full one would be. */
class FullDiskTest {
    private static final String FULL = "--tidy-lantern.reserve=1000000000MB";

    @Test
    void visitorsAreAnsweredAndChangesRefusedUntilThereIsRoom(@TempDir Path data) {
        String search;
        try (RunningService service = RunningService.on(data)) {
            Api api = service.api().withSite();
            api.push("posts", "{\"id\":\"1\",\"title\":\"Lobster\"}");
            search = api.publishedSearch("Shore");
        }
        try (RunningService full = RunningService.with(data, FULL)) {
            Api api = full.api();
            assertThat(api.results(search, "lobster").hits()).containsExactly("1");
            assertThat(api.get("/s/" + search).status()).isEqualTo(200);
            for (Api.Answer refused : new Api.Answer[] {
                api.push("posts", "{\"id\":\"2\",\"title\":\"Crab\"}"),
                api.push("posts", "{\"id\":\"2\",\"title\":\"" + "x".repeat(300_000) + "\"}"),
                api.put("/api/owner/sites/isles/collections/posts", "{\"label\":\"Other\",\"language\":\"en\"}"),
                api.post("/api/owner/access-keys", "{\"name\":\"x\"}")
            }) {
                assertThat(refused.status()).as(refused.text()).isEqualTo(507);
                assertThat(refused.json().path("detail").asString())
                        .contains("in reserve")
                        .contains("Visitors are answered");
            }
            Api owner = new Api(full.address(), null);
            owner.get("/api/owner/session");
            assertThat(owner.send(
                                    "POST",
                                    "/api/owner/session",
                                    "{\"name\":\"%s\",\"password\":\"%s\"}"
                                            .formatted(RunningService.OWNER, RunningService.PASSWORD),
                                    java.util.Map.of(
                                            "Content-Type",
                                            "application/json",
                                            "X-XSRF-TOKEN",
                                            owner.cookie("XSRF-TOKEN")))
                            .status())
                    .as("owners come in and look")
                    .isEqualTo(200);
            JsonNode installation = api.get("/api/owner/installation").json();
            assertThat(installation.path("full").asBoolean()).isTrue();
            assertThat(installation.path("freeBytes").asLong()).isPositive();
        }
        try (RunningService room = RunningService.on(data)) {
            assertThat(room.api()
                            .push("posts", "{\"id\":\"2\",\"title\":\"Crab\"}")
                            .status())
                    .isEqualTo(200);
            assertThat(room.api().results(search, "crab").hits()).containsExactly("2");
        }
    }
}
