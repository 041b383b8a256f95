package tidylantern.server.content;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What a script writes for each kind, what becomes of a guess, and that an export is what a push takes. */
class KindsThroughPushTest {
    private static final JsonMapper JSON = new JsonMapper();
    private static final String SITE = "/api/owner/sites/isles";

    @TempDir
    private static Path data;

    private static RunningService service;
    private static Api api;

    @BeforeAll
    static void start() {
        service = RunningService.on(data);
        api = service.api().withSite();
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    private static void collection(String key) {
        api.put(SITE + "/collections/" + key, "{\"label\":\"%s\",\"language\":\"en\"}".formatted(key));
    }

    private static String kind(String collection, String field) {
        JsonNode collections = api.get(SITE + "/collections").json();
        return StreamSupport.stream(collections.spliterator(), false)
                .filter(one -> one.path("key").asString().equals(collection))
                .flatMap(one -> StreamSupport.stream(one.path("fields").spliterator(), false))
                .filter(one -> one.path("key").asString().equals(field))
                .map(one -> one.path("kind").asString())
                .findFirst()
                .orElse("none");
    }

    @Test
    void treesComeInEveryFormThatTheGuideNames() {
        collection("trees");
        String deep =
                "entity/physical entity/object, physical object/whole, unit/living thing, animate thing/organism, being";
        Api.Answer report = api.push("trees", """
                {"id":"1","nested":[["Food","Coffee & tea"]],"arrow":["Food > Coffee & tea"],"slash":"Food/Coffee & tea","deep":"%1$s"}
                {"id":"2","nested":[["Food","Bread"],["Craft"]],"arrow":["Food > Bread","Craft"],"slash":"Food/Bread","deep":"%1$s"}""".formatted(deep));
        assertThat(report.json().path("refused").asInt()).as(report.text()).isZero();
        for (String field : List.of("nested", "arrow", "slash", "deep")) {
            assertThat(kind("trees", field)).as(field).isEqualTo("category");
        }
        for (String field : List.of("nested", "arrow", "slash")) {
            JsonNode values = api.get(SITE + "/collections/trees/fields/" + field + "/values")
                    .json();
            assertThat(values)
                    .extracting(value -> value.path("value").asString())
                    .as(field)
                    .contains("food", "food/coffee-~26.-tea", "food/bread");
        }
    }

    @Test
    void aGuessGivesWayToWhatComesAndWhatAnOwnerSaidRefusesIt() {
        collection("guesses");
        api.push(
                "guesses",
                "{\"id\":\"1\",\"site\":\"https://a.example/\",\"size\":3}\n{\"id\":\"2\",\"site\":\"https://b.example/\",\"size\":4}");
        assertThat(kind("guesses", "site")).isEqualTo("link");
        JsonNode report = api.push(
                        "guesses",
                        "{\"id\":\"3\",\"site\":\"ftp://c.example/x\",\"size\":5}\n{\"id\":\"4\",\"site\":\"https://d.example/\",\"size\":\"on request\"}")
                .json();
        assertThat(report.path("added").asInt()).as(report.toString()).isEqualTo(2);
        assertThat(report.path("gaveWay"))
                .extracting(one -> one.path("key").asString() + " "
                        + one.path("from").asString() + " " + one.path("to").asString())
                .containsExactly("site link text", "size number text");
        assertThat(report.path("gaveWay").get(0).path("reason").asString()).contains("ftp://c.example/x");
        assertThat(kind("guesses", "site")).isEqualTo("text");
        assertThat(api.get(SITE + "/collections/guesses/items")
                        .json()
                        .path("total")
                        .asInt())
                .isEqualTo(4);

        api.put(SITE + "/collections/guesses/fields/price", "{\"kind\":\"number\",\"label\":\"Price\"}");
        assertThat(kind("guesses", "price")).as("before anything is pushed").isEqualTo("number");
        JsonNode refused = api.push("guesses", "{\"id\":\"5\",\"price\":7}\n{\"id\":\"6\",\"price\":\"on request\"}")
                .json();
        assertThat(refused.path("refused").asInt()).isEqualTo(1);
        assertThat(refused.path("refusals").get(0).path("property").asString()).isEqualTo("price");
        assertThat(refused.path("gaveWay")).isEmpty();
    }

    /**
     * Random values of every kind, pushed, exported, and pushed into a collection that knows the kinds: the same comes
     * out.
     */
    @Test
    void anExportIsWhatAPushTakesForEveryKind() {
        Map<String, String> kinds = new LinkedHashMap<>(Map.of(
                "words",
                "text",
                "tree",
                "category",
                "count",
                "number",
                "cost",
                "money",
                "days",
                "date",
                "spot",
                "place",
                "open",
                "yes-no",
                "pic",
                "image",
                "page",
                "link",
                "sku",
                "code"));
        for (String collection : List.of("from", "into")) {
            collection(collection);
            kinds.forEach((field, kind) -> assertThat(api.put(
                                    SITE + "/collections/" + collection + "/fields/" + field,
                                    "{\"kind\":\"%s\",\"label\":\"%s\"}".formatted(kind, field))
                            .status())
                    .isEqualTo(200));
        }
        Random random = new Random(11);
        List<String> lines = new ArrayList<>();
        for (int n = 0; n < 400; n++) {
            Map<String, Object> item = new LinkedHashMap<>(Map.of("id", "i" + n));
            for (Map.Entry<String, String> field : kinds.entrySet()) {
                if (random.nextInt(4) > 0) {
                    item.put(field.getKey(), value(field.getValue(), random));
                }
            }
            lines.add(JSON.writeValueAsString(item));
        }
        JsonNode report = api.push("from", String.join("\n", lines)).json();
        assertThat(report.path("added").asInt())
                .as(report.path("refusals").toString())
                .isEqualTo(400);
        String exported = api.get(SITE + "/collections/from/export.jsonl").text();
        assertThat(api.push("into", exported).json().path("added").asInt()).isEqualTo(400);
        assertThat(api.get(SITE + "/collections/into/export.jsonl").text()).isEqualTo(exported);
        assertThat(api.push("from", exported).json().path("unchanged").asInt())
                .as("what was exported is there already")
                .isEqualTo(400);
        for (String id : List.of("i0", "i7", "i42", "i399")) {
            assertThat(api.get(SITE + "/collections/into/item?id=" + id).json().path("fields"))
                    .extracting(
                            one -> one.path("key").asString() + one.path("text").asString())
                    .containsExactlyInAnyOrderElementsOf(StreamSupport.stream(
                                    api.get(SITE + "/collections/from/item?id=" + id)
                                            .json()
                                            .path("fields")
                                            .spliterator(),
                                    false)
                            .map(one -> one.path("key").asString()
                                    + one.path("text").asString())
                            .collect(Collectors.toList()));
        }
    }

    private static Object value(String kind, Random random) {
        String word = List.of(
                        "Lobster",
                        "C++",
                        "a/b",
                        "Crème, brûlée",
                        "“quoted” \"twice\"",
                        "tab\there",
                        "漢字 🏮",
                        "=SUM(A1)",
                        "x; y")
                .get(random.nextInt(9));
        return switch (kind) {
            case "text" -> random.nextBoolean() ? word : List.of(word, "second line\nthird");
            case "category" ->
                random.nextBoolean()
                        ? List.of(List.of("Top", word), List.of("Other"))
                        : List.of(word.replace("/", " "), "Flat");
            case "number" ->
                random.nextBoolean() ? (Object) (random.nextInt(2_000) - 1_000) : (Object) (random.nextInt(1_000) / 8d);
            case "money" ->
                random.nextBoolean()
                        ? Map.of("amount", random.nextInt(500), "currency", "EUR")
                        : (Object) (random.nextInt(900) / 4d);
            case "date" ->
                random.nextBoolean()
                        ? "2026-05-%02d".formatted(1 + random.nextInt(28))
                        : List.of("2026-01-01", "2027-12-%02d".formatted(1 + random.nextInt(28)));
            case "place" ->
                random.nextBoolean()
                        ? Map.of("lat", random.nextInt(90), "lon", -random.nextInt(180), "name", word)
                        : "%d, %d".formatted(random.nextInt(90), random.nextInt(180));
            case "yes-no" -> random.nextBoolean();
            case "image" ->
                random.nextBoolean()
                        ? "/img/%d.png".formatted(random.nextInt(99))
                        : Map.of("url", "https://isles.example/x.png", "alt", word);
            case "link" -> "https://isles.example/%d?a=b&c=%%20d".formatted(random.nextInt(99));
            default -> random.nextBoolean() ? "QH-%d/L".formatted(random.nextInt(999)) : List.of("A1", "B-2");
        };
    }
}
