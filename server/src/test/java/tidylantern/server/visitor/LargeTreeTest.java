package tidylantern.server.visitor;

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

/** A tree too large to go out whole is proposed as the tree it is, and its branches come when they are asked for. */
class LargeTreeTest {
    @Test
    void aLargeTreeIsProposedAsOneAndOpensBranchByBranch(@TempDir Path data) {
        try (RunningService service = RunningService.on(data)) {
            Api api = service.api().withSite();
            StringBuilder lines = new StringBuilder();
            for (int i = 0; i < 450; i++) {
                lines.append("{\"id\":\"b%d\",\"title\":\"Berth %d\",\"harbour\":[\"Harbour %c/Berth %c%c\"]}\n".formatted(i, i, 'A' + i % 3, 'a' + i / 26, 'a' + i % 26));
            }
            api.push("posts", lines.toString());
            String search = api.publishedSearch("Berths");
            JsonNode proposal = api.get("/api/owner/searches/" + search + "/draft/filter-proposals").json().path(0);
            assertThat(proposal.path("values").asInt()).isEqualTo(453);
            assertThat(proposal.path("tree").asBoolean()).isTrue();

            Api.Answer draft = api.get("/api/owner/searches/" + search + "/draft");
            ObjectNode design = (ObjectNode) draft.json();
            design.set("filters", new JsonMapper().readTree("[{\"key\":\"harbour\",\"label\":\"Harbour\",\"field\":\"harbour\"}]"));
            Api.Answer kept = api.send("PUT", "/api/owner/searches/" + search + "/draft", design.toString(), Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
            api.send("POST", "/api/owner/searches/" + search + "/publish", "", Map.of("If-Match", kept.header("ETag")));
            JsonNode values = api.get("/api/public/searches/" + search + "/results?q=berth").json().path("filters").path(0).path("values");
            assertThat(values).hasSize(3);
            assertThat(values.path(0).path("below").asInt()).isEqualTo(150);
            assertThat(values.path(0).path("children")).isEmpty();
            assertThat(api.get("/api/public/searches/" + search + "/filters/harbour/values?q=berth&below=harbour-a").json()).hasSize(150);
        }
    }
}
