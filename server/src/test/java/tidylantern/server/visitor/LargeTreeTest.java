package tidylantern.server.visitor;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
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
                lines.append("{\"id\":\"b%d\",\"title\":\"Berth %d\",\"harbour\":[\"Harbour %c/Berth %c%c\"]}\n"
                        .formatted(i, i, 'A' + i % 3, 'a' + i / 26, 'a' + i % 26));
            }
            api.push("posts", lines.toString());
            String search = api.publishedSearch("Berths");
            JsonNode proposal = api.get("/api/owner/searches/" + search + "/draft/filter-proposals")
                    .json()
                    .path(0);
            assertThat(proposal.path("says").path("values").asInt()).isEqualTo(453);
            assertThat(proposal.path("says").path("tree").asBoolean()).isTrue();

            Api.Answer draft = api.get("/api/owner/searches/" + search + "/draft");
            ObjectNode design = (ObjectNode) draft.json();
            design.set(
                    "filters",
                    new JsonMapper()
                            .readTree(
                                    "[{\"head\":{\"key\":\"harbour\",\"label\":\"Harbour\"},\"source\":{\"of\":\"category\",\"field\":\"harbour\"}}]"));
            Api.Answer kept = api.send(
                    "PUT",
                    "/api/owner/searches/" + search + "/draft",
                    design.toString(),
                    Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
            api.send("POST", "/api/owner/searches/" + search + "/publish", "", Map.of("If-Match", kept.header("ETag")));
            JsonNode values = api.get("/api/public/searches/" + search + "/results?q=berth")
                    .json()
                    .path("filters")
                    .path(0)
                    .path("values");
            assertThat(values).hasSize(3);
            assertThat(values.path(0).path("below").asInt()).isEqualTo(150);
            assertThat(values.path(0).path("children")).isEmpty();
            assertThat(api.get("/api/public/searches/" + search + "/filters/harbour/values?q=berth&below=harbour-a")
                            .json())
                    .hasSize(150);
        }
    }

    /** Everything, by the links from page to page. */
    private static List<String> walked(Api api, String path, String query) {
        List<String> all = new ArrayList<>();
        String next = "?" + query;
        while (next != null) {
            Api.Answer page = api.get(path + next);
            page.json()
                    .forEach(value -> all.add(value.path("label")
                            .asString(value.path("names").path(0).asString())));
            String link = page.header("Link");
            next = link.isEmpty() ? null : link.substring(1, link.indexOf('>'));
        }
        return all;
    }

    @Test
    void longListsOfValuesAreWalkedPageByPage(@TempDir Path data) {
        try (RunningService service = RunningService.on(data)) {
            Api api = service.api().withSite();
            StringBuilder lines = new StringBuilder();
            for (int i = 0; i < 1_203; i++) {
                lines.append(
                        "{\"id\":\"b%1$d\",\"title\":\"Berth %1$d\",\"harbour\":[\"Harbour/Berth %1$04d\"],\"boat\":[\"Boat %1$04d\"]}\n"
                                .formatted(i));
            }
            api.send(
                    "PUT",
                    "/api/owner/sites/isles/collections/posts",
                    "{\"label\":\"Posts\",\"language\":\"en\"}",
                    Map.of("Content-Type", "application/json"));
            api.send(
                    "PUT",
                    "/api/owner/sites/isles/collections/posts/fields/harbour",
                    "{\"kind\":\"category\",\"label\":\"Harbour\"}",
                    Map.of("Content-Type", "application/json"));
            api.send(
                    "PUT",
                    "/api/owner/sites/isles/collections/posts/fields/boat",
                    "{\"kind\":\"category\",\"label\":\"Boat\"}",
                    Map.of("Content-Type", "application/json"));
            api.push("posts", lines.toString());
            String search = api.publishedSearch("Berths");
            Api.Answer draft = api.get("/api/owner/searches/" + search + "/draft");
            ObjectNode design = (ObjectNode) draft.json();
            design.set(
                    "filters",
                    new JsonMapper()
                            .readTree(
                                    "[{\"head\":{\"key\":\"harbour\",\"label\":\"Harbour\"},\"source\":{\"of\":\"category\",\"field\":\"harbour\"}},{\"head\":{\"key\":\"boat\",\"label\":\"Boat\"},\"source\":{\"of\":\"category\",\"field\":\"boat\"}}]"));
            Api.Answer kept = api.send(
                    "PUT",
                    "/api/owner/searches/" + search + "/draft",
                    design.toString(),
                    Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
            api.send("POST", "/api/owner/searches/" + search + "/publish", "", Map.of("If-Match", kept.header("ETag")));
            String filters = "/api/public/searches/" + search + "/filters/";
            assertThat(walked(api, filters + "harbour/values", "q=berth&below=harbour"))
                    .hasSize(1_203)
                    .doesNotHaveDuplicates();
            assertThat(walked(api, filters + "boat/values", "named=boat"))
                    .hasSize(1_203)
                    .doesNotHaveDuplicates();
            assertThat(walked(api, "/api/owner/sites/isles/collections/posts/fields/boat/values", "q="))
                    .hasSize(1_203)
                    .doesNotHaveDuplicates();
            assertThat(api.get(filters + "boat/values?named=boat&page=99").json())
                    .isEmpty();
            JsonNode boats = api.get("/api/public/searches/" + search + "/results")
                    .json()
                    .path("filters")
                    .path(1);
            assertThat(boats.path("values").size() + boats.path("further").asInt())
                    .as("an answer says how many it leaves out")
                    .isEqualTo(1_203);
            assertThat(boats.path("values")).hasSize(500);
        }
    }
}
