package tidylantern.server.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Designs that were saved by earlier versions of this product: the set-up of the Isles' demo site with its searches, as
 * each version wrote it.
 */
class OlderDesignsTest {
    private static final JsonMapper JSON = new JsonMapper();
    /** Parts whose names had to change, or that stand for what a filter of another kind of field does not have. */
    private static final Set<String> CALLED_OTHERWISE = Set.of("start", "chosen", "all", "unit", "withoutResults");

    private RunningService service;

    @BeforeEach
    void start(@TempDir Path data) {
        service = RunningService.on(data);
    }

    @AfterEach
    void stop() {
        service.close();
    }

    private static JsonNode saved(String version) throws IOException {
        try (var in = Objects.requireNonNull(
                OlderDesignsTest.class.getResourceAsStream("/designs/isles-%s.json".formatted(version)))) {
            return JSON.readTree(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        }
    }

    /** What this version makes of the searches of a set-up, by their keys. */
    private Map<String, JsonNode> brought(JsonNode setUp) {
        Api api = service.api();
        Api.Answer made = api.post("/api/owner/set-ups", setUp.toString());
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        Map<String, JsonNode> designs = new LinkedHashMap<>();
        for (JsonNode search : setUp.path("searches")) {
            String key = search.path("key").asString();
            designs.put(key, api.get("/api/owner/searches/" + key + "/draft").json());
        }
        return designs;
    }

    @ParameterizedTest
    @ValueSource(strings = {"v2", "v3"})
    void theSearchesOfTheIslesAreWhatTheyAreToday(String version) throws IOException {
        Map<String, JsonNode> today = new LinkedHashMap<>();
        saved("v3")
                .path("searches")
                .forEach(search -> today.put(search.path("key").asString(), search.path("design")));
        assertThat(brought(saved(version))).hasSize(5).isEqualTo(today);
    }

    /** In those days the Isles decided otherwise, so what was decided is held against what is there now. */
    @ParameterizedTest
    @ValueSource(strings = {"v1", "v2"})
    void everyFilterKeepsWhatWasDecided(String version) throws IOException {
        JsonNode setUp = saved(version);
        Map<String, JsonNode> now = brought(setUp);
        for (JsonNode search : setUp.path("searches")) {
            JsonNode filters = Objects.requireNonNull(now.get(search.path("key").asString()))
                    .path("filters");
            JsonNode before = search.path("design").path("filters");
            assertThat(filters).hasSameSizeAs(before);
            for (int i = 0; i < before.size(); i++) {
                keeps(before.path(i), filters.path(i));
            }
        }
    }

    private static void keeps(JsonNode before, JsonNode now) {
        Map<String, JsonNode> was = named(before);
        Map<String, JsonNode> is = named(now);
        was.keySet().retainAll(is.keySet());
        was.keySet().removeAll(CALLED_OTHERWISE);
        if (before.path("control").isNull()) {
            // The usual one of its field's kind held, and is written down now.
            was.remove("control");
        }
        assertThat(was).containsKeys("key", "label", "help", "page", "folded");
        assertThat(is).as("%s of %s", now, before).containsAllEntriesOf(was);
        JsonNode parts = before.path("joined").path("parts");
        for (int i = 0; i < parts.size(); i++) {
            keeps(parts.path(i), now.path("source").path("parts").path(i));
        }
    }

    /** All that is decided in a filter by its name, wherever it stands; of a joint one without its parts. */
    private static Map<String, JsonNode> named(JsonNode filter) {
        Map<String, JsonNode> named = new LinkedHashMap<>();
        filter.propertyStream().forEach(part -> {
            boolean isWithin = Set.of("head", "shown", "source", "offered", "looks", "list", "values", "joined")
                    .contains(part.getKey());
            if (isWithin) {
                named.putAll(named(part.getValue()));
            } else if (!part.getKey().equals("parts")) {
                named.put(part.getKey(), part.getValue());
            }
        });
        return named;
    }

    /** The kind of a field decides what an older filter was that named no control. */
    @Test
    void aFilterWithoutAControlBecomesWhatItsFieldIs() throws IOException {
        ObjectNode setUp = (ObjectNode) saved("v2");
        ObjectNode homes = (ObjectNode) setUp.path("searches").path(0).path("design");
        homes.set("filters", JSON.readTree("""
                [{"key": "price", "label": "Price", "field": "price", "bands": [10], "unit": "EUR", "radii": [3]},
                 {"key": "by-place", "label": "Near", "field": "place", "unit": "mi", "radii": [3], "neutral": "Anywhere"},
                 {"key": "garden", "label": "Garden", "field": "garden", "start": {"chosen": ["yes"]}},
                 {"key": "said", "label": "Said", "field": "reviews", "control": null},
                 {"key": "gone", "label": "Gone", "field": "nobodyHasIt", "after": "price", "start": {"all": true}}]"""));
        JsonNode filters = Objects.requireNonNull(brought(setUp)
                        .get(setUp.path("searches").path(0).path("key").asString()))
                .path("filters");
        assertThat(filters.valueStream()
                        .map(filter -> filter.path("source").path("of").asString()))
                .containsExactly("number", "distance", "yes-no", "word", "category");
        assertThat(filters.path(0).path("source").path("bands").toString()).isEqualTo("[10.0]");
        assertThat(filters.path(0).path("source").path("unit").asString()).isEqualTo("EUR");
        assertThat(filters.path(1).path("source").path("measured").asString()).isEqualTo("mi");
        assertThat(filters.path(1).path("source").path("neutral").asString()).isEqualTo("Anywhere");
        assertThat(filters.path(2).path("source").path("start").toString()).isEqualTo("[\"yes\"]");
        assertThat(filters.path(4).path("shown").path("after").asString()).isEqualTo("price");
        assertThat(filters.path(4).path("source").path("allAtStart").asBoolean())
                .isTrue();
    }

    /** What is wrong is named where the current version has it, and what nobody knows is not passed over. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"key\":\"k\",\"label\":\"K\",\"field\":\"offer\",\"cutAfter\":0} | source.list.cutAfter",
                "{\"key\":\"k\",\"label\":\"K\",\"field\":\"offer\",\"colour\":1} | colour",
                "{\"key\":\"k\",\"label\":\"K\",\"field\":\"offer\",\"values\":{\"colour\":1}} | values",
                "{\"key\":\"k\",\"label\":\"K\",\"field\":\"price\",\"start\":{\"colour\":1}} | start",
                "{\"key\":\"k\",\"label\":\"K\",\"joined\":{\"parts\":[],\"headings\":true}} | source.parts",
                "{\"key\":\"k\",\"label\":\"K\"} | source.field",
                "{\"key\":\"k\",\"field\":\"offer\"} | head.label"
            })
    void whatIsWrongInAnOlderFilterIsNamed(String line) throws IOException {
        String[] cells = line.split(" \\| ");
        ObjectNode setUp = (ObjectNode) saved("v2");
        ((ObjectNode) setUp.path("searches").path(0).path("design"))
                .putArray("filters")
                .add(JSON.readTree(cells[0]));
        Api.Answer refused = service.api().post("/api/owner/set-ups", setUp.toString());
        assertThat(refused.status()).as(refused.text()).isEqualTo(400);
        assertThat(refused.json().path("field").asString()).endsWith("filters[0]." + cells[1]);
    }
}
