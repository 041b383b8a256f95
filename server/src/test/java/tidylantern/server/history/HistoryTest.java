package tidylantern.server.history;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
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

/** What owners change by hand is listed, with who and when, and is taken back as it was. */
class HistoryTest {
    @TempDir
    private static Path data;

    private static RunningService service;
    private static int sites;
    private Api api;
    private String key;
    private String site;
    private String posts;

    @BeforeAll
    static void start() {
        service = RunningService.on(data);
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    /** A site for each test, without anything that happened to it. */
    @BeforeEach
    void fill() {
        key = "isles-" + ++sites;
        api = service.api().withSite(key);
        site = api.site();
        posts = site + "/collections/posts";
        api.push("posts", """
                {"id":"a","title":"The ferry","tags":["Boats"],"price":3.5}
                {"id":"b","title":"The pier","tags":["Boat"],"price":4}
                {"id":"c","title":"The inn","tags":["Rooms"],"price":50}
                """);
        service.part(JdbcClient.class)
                .sql("DELETE FROM owner_change WHERE site_key = :site")
                .param("site", key)
                .update();
    }

    private List<JsonNode> changes() {
        return StreamSupport.stream(api.get(site + "/changes").json().spliterator(), false)
                .toList();
    }

    private static String told(JsonNode change) {
        return change.path("told").asString();
    }

    private static String standing(JsonNode change) {
        return change.path("standing").asString();
    }

    private Api.Answer takeBack(JsonNode change) {
        return api.post(site + "/changes/" + change.path("id").asLong() + "/take-back", "");
    }

    /** All that owners say of the site, its content and its sources, as it is read over HTTP. */
    private List<String> state() {
        return Stream.of(
                        site,
                        site + "/collections",
                        site + "/placements",
                        site + "/places",
                        site + "/look",
                        posts + "/item?id=a",
                        posts + "/item?id=b",
                        posts + "/fields/tags/values",
                        posts + "/export.jsonl")
                .map(path -> api.get(path).text())
                .toList();
    }

    /** A change of each kind, by the words that tell of it. */
    private Map<String, Runnable> kinds() {
        // In an order of its own, so that a seed gives the same order in every run.
        return new TreeMap<>(Map.of(
                "The site – name",
                () -> ok(api.put(site, """
                        {"name":"Other isles","address":"https://other.example","origins":["https://two.example"],"timeZone":"Europe/Lisbon"}""")),
                "What the searches of the site wear",
                () -> ok(api.put(site + "/look", "{\"from\":\"ledger\"}")),
                "Names of places – names: “The old quay” added",
                () -> ok(api.put(site + "/places", """
                        [{"name":"The old quay","latitude":10.5,"longitude":-20.25}]""")),
                "The collection “Notices” – label",
                () -> ok(api.put(posts, "{\"label\":\"Notices\",\"language\":\"de\"}")),
                "The field “Cost” of",
                () -> ok(api.put(posts + "/fields/price", "{\"kind\":\"text\",\"label\":\"Cost\",\"unit\":null}")),
                "Values of",
                () -> ok(api.post(posts + "/fields/tags/merges", "{\"from\":[\"Boat\"],\"into\":[\"Boats\"]}")),
                "“The ferry”, “The pier” kept out of search",
                () -> ok(api.post(
                        posts + "/items/marks", "{\"ids\":[\"a\",\"b\"],\"keptOut\":true,\"addKeywords\":null}")),
                "“The inn” removed from",
                () -> ok(api.push("posts", "{\"id\":\"c\",\"_delete\":true}\n")),
                "“The ferry” placed in “gold”",
                () -> ok(api.put(site + "/placements", """
                        {"items":[{"collection":"posts","id":"a"}],"tier":"gold","place":2,"from":null,"until":null}"""))));
    }

    private static void ok(Api.Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    @Test
    void everyKindIsToldAndTakenBackAndThatToo() {
        kinds().forEach((told, change) -> {
            List<String> before = state();
            change.run();
            List<String> after = state();
            assertThat(after).as(told).isNotEqualTo(before);
            JsonNode made = changes().getFirst();
            assertThat(told(made)).startsWith(told);
            assertThat(made.path("by").asString()).isNotEmpty();
            assertThat(standing(made)).isEqualTo("stands");
            assertThat(takeBack(made).status()).as(told).isEqualTo(204);
            assertThat(state()).as("taken back: " + told).isEqualTo(before);
            List<JsonNode> both = changes();
            assertThat(standing(both.get(1))).as(told).isEqualTo("as-before");
            assertThat(takeBack(both.get(1)).status())
                    .as("once is enough: " + told)
                    .isEqualTo(409);
            assertThat(takeBack(both.get(0)).status()).isEqualTo(204);
            assertThat(state()).as("made again: " + told).isEqualTo(after);
            assertThat(takeBack(changes().getFirst()).status()).isEqualTo(204);
            assertThat(state()).isEqualTo(before);
        });
    }

    /** Any order of changes, taken back from the last to the first, ends where it began. */
    @Test
    void allIsTakenBackInTurn() {
        List<String> before = state();
        for (long seed = 1; seed <= 3; seed++) {
            List<Runnable> some = new ArrayList<>(kinds().values());
            Collections.shuffle(some, new Random(seed));
            some.forEach(Runnable::run);
            assertThat(state()).isNotEqualTo(before);
            List<JsonNode> made = changes().subList(0, some.size());
            made.forEach(change ->
                    assertThat(takeBack(change).status()).as(told(change)).isEqualTo(204));
            assertThat(state()).as("seed " + seed).isEqualTo(before);
        }
    }

    @Test
    void whatWasChangedAgainSinceStaysAndThatIsSaid() {
        ok(api.put(site + "/look", "{\"from\":\"ledger\"}"));
        ok(api.put(site + "/look", "{\"from\":\"harbour\"}"));
        JsonNode first = changes().get(1);
        assertThat(standing(first)).isEqualTo("changed-since");
        Api.Answer refused = takeBack(first);
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.text()).contains("later change");
        assertThat(takeBack(changes().getFirst()).status()).isEqualTo(204);
        assertThat(standing(changes().stream()
                        .filter(one -> one.path("id").equals(first.path("id")))
                        .findFirst()
                        .orElseThrow()))
                .as("it stands again")
                .isEqualTo("stands");
    }

    @Test
    void whatChangesNothingIsNoChange() {
        ok(api.put(site + "/look", "{\"from\":\"ledger\"}"));
        ok(api.put(site + "/look", "{\"from\":\"ledger\"}"));
        assertThat(changes()).hasSize(1);
    }

    @Test
    void aPlacementOfAnItemThatIsGoneSaysSo() {
        String placed =
                "{\"items\":[{\"collection\":\"posts\",\"id\":\"b\"}],\"tier\":\"gold\",\"place\":null,\"from\":null,\"until\":null}";
        ok(api.put(site + "/placements", placed));
        ok(api.send(
                "DELETE",
                site + "/placements",
                "{\"items\":[{\"collection\":\"posts\",\"id\":\"b\"}],\"tier\":\"gold\"}",
                Map.of("Content-Type", "application/json")));
        JsonNode removed = changes().getFirst();
        assertThat(told(removed)).isEqualTo("“The pier” taken out of “gold”");
        api.send(
                "PUT",
                posts + "/items?everything=true&removeMany=true",
                "{\"id\":\"a\",\"title\":\"The ferry\"}\n",
                Map.of("Content-Type", "application/jsonl"));
        Api.Answer refused = takeBack(removed);
        assertThat(refused.status()).isEqualTo(404);
        assertThat(refused.text()).contains("\\\"b\\\"");
        assertThat(api.get(site + "/placements").json()).isEmpty();
    }

    /** What is said of a source that reads an uploaded file. */
    private static String source(String upload, String name) {
        return """
                {"collection":"posts","name":"%s","settings":{"kind":"file","upload":"%s"},"removesMissing":false,
                 "schedule":"never","mapping":{"idColumn":"id","fields":[
                 {"property":"title","label":"Title","kind":"text","column":"title"}]}}""".formatted(name, upload);
    }

    /** @return its id */
    private long addSource(String upload) {
        Api.Answer made = api.post(site + "/sources", source(upload, "Lamps"));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return made.json().path("id").asLong();
    }

    @Test
    void aSourceIsAsItWasWithItsFile() {
        String first = upload("id,title\nx,The lamp\n");
        String second = upload("id,title\ny,The buoy\n");
        long id = addSource(first);
        String path = "/api/owner/sources/" + id;
        JsonNode made = api.get(path).json();
        assertThat(standing(changes().getFirst()))
                .as("what was added is deleted on its page")
                .isEqualTo("added");
        assertThat(takeBack(changes().getFirst()).status()).isEqualTo(409);
        ok(api.put(path, source(second, "Buoys")));
        assertThat(told(changes().getFirst()))
                .isEqualTo("The source “Buoys” – name: “Lamps” → “Buoys”; another file, or other settings, are read");
        assertThat(uploaded(first)).as("kept, since it may be taken back").isTrue();
        assertThat(takeBack(changes().getFirst()).status()).isEqualTo(204);
        assertThat(api.get(path).json().path("settings")).isEqualTo(made.path("settings"));
        assertThat(api.get(path).json().path("name").asString()).isEqualTo("Lamps");
    }

    @Test
    void aDeletedSourceComesBackWithItsRuns() {
        long id = addSource(upload("id,title\nx,The lamp\n"));
        String path = "/api/owner/sources/" + id;
        assertThat(api.post(path + "/syncs", "").status()).isEqualTo(202);
        while (api.get(path + "/syncs").json().path(0).path("state").asString().equals("running")) {
            Thread.onSpinWait();
        }
        String runs = api.get(path + "/syncs").text();
        String source = api.get(path).text();
        assertThat(api.send("DELETE", path, null, Map.of()).status()).isEqualTo(204);
        assertThat(api.get(path).status()).isEqualTo(404);
        assertThat(api.get(posts + "/item?id=x").status()).as("its items stay").isEqualTo(200);
        JsonNode deleted = changes().getFirst();
        assertThat(told(deleted)).isEqualTo("The source “Lamps” deleted");
        assertThat(takeBack(deleted).status()).isEqualTo(204);
        assertThat(api.get(path).text()).isEqualTo(source);
        assertThat(api.get(path + "/syncs").text()).isEqualTo(runs);
        assertThat(standing(changes().getFirst())).isEqualTo("as-before");
    }

    @Test
    void deletedCollectionsAndSearchesStandInTheSameList() {
        String search = api.publishedSearch(key);
        api.send("DELETE", posts + "?name=Posts", null, Map.of());
        api.send("DELETE", "/api/owner/searches/" + search + "?name=" + key, null, Map.of());
        List<JsonNode> made = changes();
        assertThat(made)
                .extracting(HistoryTest::told)
                .startsWith("The search “%s” deleted".formatted(key), "The collection “Posts” deleted");
        made.subList(0, 2)
                .forEach(change -> assertThat(takeBack(change).status()).isEqualTo(204));
        assertThat(api.get("/api/public/searches/" + search + "/results?q=ferry")
                        .hits())
                .containsExactly("a");
    }

    @Test
    void aChangeIsItsSitesOwnAndRestsThirtyDays() {
        ok(api.put(site + "/look", "{\"from\":\"ledger\"}"));
        JsonNode made = changes().getFirst();
        Api other = service.api().withSite(key + "-other");
        assertThat(other.post(other.site() + "/changes/" + made.path("id").asLong() + "/take-back", "")
                        .status())
                .isEqualTo(404);
        assertThat(api.get("/api/owner/sites/nowhere/changes").status()).isEqualTo(404);
        rested(29);
        assertThat(changes()).hasSize(1);
        rested(31);
        assertThat(takeBack(made).status()).as("until it is swept").isEqualTo(404);
        assertThat(changes()).isEmpty();
    }

    private void rested(int days) {
        service.part(JdbcClient.class)
                .sql(
                        "UPDATE owner_change SET changed = DATEADD('DAY', :days, CURRENT_TIMESTAMP) WHERE site_key = :site")
                .param("days", -days)
                .param("site", key)
                .update();
    }

    @Test
    void aLongListComesInPages() {
        for (int i = 0; i < 51; i++) {
            ok(api.put(site + "/places", "[{\"name\":\"Quay %d\",\"latitude\":1,\"longitude\":2}]".formatted(i)));
        }
        Api.Answer first = api.get(site + "/changes");
        assertThat(first.json()).hasSize(50);
        assertThat(first.header("Link")).contains("page=2");
        assertThat(api.get(site + "/changes?page=2").json()).hasSize(1);
    }

    private String upload(String csv) {
        return api.sendBytes(
                        "POST",
                        site + "/uploads",
                        csv.getBytes(StandardCharsets.UTF_8),
                        Map.of("Content-Type", "application/octet-stream"))
                .json()
                .path("upload")
                .asString();
    }

    private boolean uploaded(String upload) {
        return Files.exists(data.resolve("uploads").resolve(key).resolve(upload));
    }
}
