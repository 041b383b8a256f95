package tidylantern.server.draft;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.Designs;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The limits that the workbench's forms are told are just those that a design is refused beyond. */
class DesignRulesTest {
    private static final JsonMapper JSON = new JsonMapper();
    /** Parts of a design that a new search has none of. */
    private static final String MORE = """
            {"filters": [
              {"head": {"key": "kind", "label": "Kind"}, "source": {"of": "category", "field": "kind", "control": "menu"}},
              {"head": {"key": "size", "label": "Size"}, "source": {"of": "number", "field": "size"}}],
             "tiers": [{"key": "gold", "name": "Gold", "rank": 1, "disclosure": "Paid", "lift": {"most": 3, "mostLive": 1},
               "looks": {"corners": 4, "ribbon": {"text": "Gold"}}}],
             "pins": [{"queries": ["boat"], "put": [{"item": {"collection": "posts", "id": "a"}, "at": 1}]}],
             "order": {"label": "Usual", "choices": [{"key": "title", "label": "Title", "by": [{"by": "title"}]}]},
             "cards": [{"place": "list", "frame": {"corners": 4}, "body": {"key": "card", "parts": [
               {"part": "title", "key": "title"}, {"part": "excerpt", "key": "text"},
               {"part": "value", "key": "size", "field": "size"}, {"part": "button", "key": "more", "text": "More"}]}}],
             "texts": {"labels": [{"language": "de", "label": "filters.kind.label", "wording": "Art"}]}}""";

    private static RunningService service;
    private static Api api;
    private static String search;

    @BeforeAll
    static void start(@TempDir Path data) {
        service = RunningService.on(data);
        api = service.api().withSite();
        api.push("posts", "{\"id\":\"a\",\"title\":\"Boat\",\"kind\":\"Gig\",\"size\":3}\n");
        search = api.publishedSearch("Ruled");
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    /** A part of a design, and where it stands in it. */
    private record Found(ObjectNode in, String key, String path) {}

    private static ObjectNode design() {
        ObjectNode design =
                (ObjectNode) api.get("/api/owner/searches/" + search + "/draft").json();
        JSON.readTree(MORE).propertyStream().forEach(part -> Designs.set(design, part.getKey(), part.getValue()));
        // What is left out is laid under it as it is read.
        Api.Answer kept = put(design);
        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
        return (ObjectNode) kept.json();
    }

    private static Api.Answer put(ObjectNode design) {
        String address = "/api/owner/searches/" + search + "/draft";
        return api.send(
                "PUT",
                address,
                design.toString(),
                Map.of(
                        "Content-Type",
                        "application/json",
                        "If-Match",
                        api.get(address).header("ETag")));
    }

    /** In lists the first entry that has it; a part of a card by its kind. */
    private static @Nullable Found find(JsonNode in, List<String> path, String at) {
        String key = path.getFirst();
        if (in.isArray()) {
            for (int i = 0; i < in.size(); i++) {
                Found found = find(in.path(i), path, at + "[" + i + "]");
                if (found != null) {
                    return found;
                }
            }
            return null;
        }
        List<String> rest = path.subList(1, path.size());
        if (in.has("body") && !in.has(key)) {
            for (int i = 0; i < in.path("body").path("parts").size(); i++) {
                JsonNode part = in.path("body").path("parts").path(i);
                if (part.path("part").asString().equals(key)) {
                    return find(part, rest, at + ".body.parts[" + i + "]");
                }
            }
        }
        if (!in.has(key)) {
            return null;
        }
        String here = at.isEmpty() ? key : at + "." + key;
        return rest.isEmpty() ? new Found((ObjectNode) in, key, here) : find(in.path(key), rest, here);
    }

    private static void refuses(String path, int beyond) {
        ObjectNode design = design();
        Found found = find(design, List.of(path.split("\\.")), "");
        assertThat(found).as("where %s stands", path).isNotNull();
        if (found.in().path(found.key()).isString()) {
            found.in().put(found.key(), "x".repeat(beyond));
        } else {
            found.in().put(found.key(), beyond);
        }
        Api.Answer refused = put(design);
        assertThat(refused.status()).as("%s of %d", path, beyond).isEqualTo(400);
        assertThat(refused.json().path("field").asString()).isEqualTo(found.path());
    }

    @TestFactory
    List<DynamicTest> nothingGoesBeyondALimitThatIsTold() {
        List<DynamicTest> tests = new ArrayList<>();
        api.get("/api/owner/design-rules")
                .json()
                .path("limits")
                .propertyStream()
                .forEach(told -> {
                    Found found = find(design(), List.of(told.getKey().split("\\.")), "");
                    if (found == null || found.in().path(found.key()).isContainer()) {
                        // How many of a list, and texts by their keys; other tests hold these.
                        return;
                    }
                    int least = told.getValue().path("least").asInt();
                    int most = told.getValue().path("most").asInt();
                    boolean isText = found.in().path(found.key()).isString();
                    tests.add(DynamicTest.dynamicTest(
                            told.getKey() + " above " + most, () -> refuses(told.getKey(), most + 1)));
                    if (!isText || least > 0) {
                        tests.add(DynamicTest.dynamicTest(
                                told.getKey() + " below " + least, () -> refuses(told.getKey(), least - 1)));
                    }
                });
        assertThat(tests).hasSizeGreaterThan(70);
        return tests;
    }
}
