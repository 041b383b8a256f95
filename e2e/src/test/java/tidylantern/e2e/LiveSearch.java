package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import tidylantern.server.Api;
import tidylantern.server.Designs;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Searches of the shared demo that a test makes for itself. */
final class LiveSearch {
    private LiveSearch() {}

    /**
     * A search that is live with these parts of its design.
     *
     * @return its key
     */
    static String of(DemoWorld world, String name, List<String> collections, Map<String, String> parts) {
        String key = world.newSearch(name, collections);
        Api.Answer draft = world.api().get("/api/owner/searches/" + key + "/draft");
        ObjectNode design = (ObjectNode) draft.json();
        parts.forEach(
                (part, value) -> Designs.set(design, part, JsonMapper.shared().readTree(value)));
        Api.Answer kept = world.api()
                .send(
                        "PUT",
                        "/api/owner/searches/" + key + "/draft",
                        design.toString(),
                        Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
        publish(world, key);
        return key;
    }

    /** Publishes a draft as it is. */
    static void publish(DemoWorld world, String key) {
        String tag = world.api().get("/api/owner/searches/" + key + "/draft").header("ETag");
        Api.Answer published =
                world.api().send("POST", "/api/owner/searches/" + key + "/publish", "", Map.of("If-Match", tag));
        assertThat(published.status()).as(published.text()).isBetween(200, 204);
    }
}
