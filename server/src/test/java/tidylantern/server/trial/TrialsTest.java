package tidylantern.server.trial;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Trials over HTTP: kept, changed, read from a table, run on draft and live version. */
class TrialsTest {
    private static RunningService service;
    private static Api api;
    private String search;
    private String trials;

    @BeforeAll
    static void start(@TempDir Path data) {
        service = RunningService.on(data);
        api = service.api().withSite();
        api.put("/api/owner/sites/isles/collections/notes", "{\"label\":\"Notes\",\"language\":\"en\"}");
        api.push(
                "posts",
                "{\"id\":\"rope/walk\",\"title\":\"Rope walk\",\"body\":\"hemp and tar\"}\n{\"id\":\"b\",\"title\":\"Bakery\",\"body\":\"bread, and a rope for the cat\"}\n");
        api.push("notes", "{\"id\":\"b\",\"title\":\"Knots\"}\n{\"id\":\"k\",\"title\":\"More knots\"}\n");
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    @BeforeEach
    void aSearchOfItsOwn() {
        search = api.publishedSearch("Shore");
        trials = "/api/owner/searches/" + search + "/trials";
    }

    private Api.Answer table(String csv) {
        return api.send("POST", trials + ".csv", csv, Map.of("Content-Type", "text/csv"));
    }

    private static String within(String item, int first) {
        return "{\"query\":\"rope\",\"expects\":\"within\",\"collection\":\"posts\",\"item\":\"" + item
                + "\",\"number\":" + first + "}";
    }

    private void weighTitleNothing() {
        Api.Answer draft = api.get("/api/owner/searches/" + search + "/draft");
        ObjectNode design = (ObjectNode) draft.json();
        ((ObjectNode) design.path("words"))
                .putArray("weights")
                .addObject()
                .put("field", "body")
                .put("weight", 1);
        api.send(
                "PUT",
                "/api/owner/searches/" + search + "/draft",
                design.toString(),
                Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
    }

    @Test
    void aTrialThatADraftWouldLoseFailsThereAndStillHoldsLive() {
        long id = api.post(trials, within("rope/walk", 1)).json().path("id").asLong();
        JsonNode before = api.get(trials).json();
        assertThat(before.path("draft").path("hold").asInt()).isEqualTo(1);
        assertThat(before.path("outcomes").path(0).path("title").asString()).isEqualTo("Rope walk");
        weighTitleNothing();
        JsonNode after = api.get(trials).json();
        JsonNode outcome = after.path("outcomes").path(0);
        assertThat(outcome.path("id").asLong()).isEqualTo(id);
        assertThat(outcome.path("draft").path("holds").asBoolean()).isFalse();
        assertThat(outcome.path("draft").path("place").isNull()).isTrue();
        assertThat(outcome.path("live").path("holds").asBoolean()).isTrue();
        assertThat(outcome.path("moves").toString()).contains("\"lost\"").contains("Rope walk");
        assertThat(after.path("draft").path("hold").asInt()).isZero();
        assertThat(after.path("live").path("meanReciprocalRank").asDouble()).isEqualTo(1);
    }

    @Test
    void trialsAreChangedAndTakenAway() {
        long id = api.post(trials, within("b", 1)).json().path("id").asLong();
        assertThat(api.put(trials + "/" + id, within("b", 5)).status()).isEqualTo(200);
        assertThat(api.get(trials)
                        .json()
                        .path("outcomes")
                        .path(0)
                        .path("trial")
                        .path("number")
                        .asInt())
                .isEqualTo(5);
        assertThat(api.send("DELETE", trials + "/" + id, null, Map.of()).status())
                .isEqualTo(204);
        assertThat(api.get(trials).json().path("outcomes")).isEmpty();
        assertThat(api.send("DELETE", trials + "/" + id, null, Map.of())
                        .json()
                        .path("detail")
                        .asString())
                .contains("no trial " + id);
        assertThat(api.put(trials + "/" + id, within("b", 5)).status()).isEqualTo(404);
        assertThat(api.get("/api/owner/searches/nope/trials").status()).isEqualTo(404);
    }

    @Test
    void aTableComesInAndGoesOutAsItWas() {
        assertThat(table("query,item,rank\r\nrope,posts/rope/walk,1\r\nrope,rope/walk,3\r\n\"knots, more\",k,\r\n")
                        .json()
                        .path("added")
                        .asInt())
                .isEqualTo(3);
        api.post(trials, "{\"query\":\"zebra\",\"expects\":\"at-most\",\"number\":0}");
        api.post(trials, "{\"query\":\"rope\",\"expects\":\"at-least\",\"number\":2}");
        api.post(trials, "{\"query\":\"roep\",\"expects\":\"suggests\",\"suggestion\":\"rope\"}");
        String out = api.get(trials + ".csv").text();
        assertThat(out)
                .isEqualTo(
                        "query,item,rank,at least,at most,suggests\r\nrope,posts/rope/walk,1,,,\r\nrope,posts/rope/walk,3,,,\r\n\"knots, more\",notes/k,1,,,\r\nzebra,,,,0,\r\nrope,,,2,,\r\nroep,,,,,rope\r\n");
        assertThat(table(out).json().path("added").asInt())
                .as("all are kept already")
                .isZero();
        assertThat(table("rope,notes/k,2").json().path("added").asInt())
                .as("without a first row of names")
                .isEqualTo(1);
        JsonNode ran = api.get(trials).json();
        assertThat(ran.path("outcomes")).hasSize(7);
        assertThat(ran.path("draft").path("hold").asInt()).isEqualTo(6);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "rope,nope,1 | Row 2: There is no item \"nope\"",
                "rope,b,1 | Row 2: There is no item \"b\"",
                "rope,k,first | Row 2: \"first\" is no number",
                "rope,k,0 | Row 2: An item can be expected",
                ",k,1 | Row 2: Say what a visitor types",
                "rope,, | Row 2: Say what is expected of \"rope\"",
                "\"rope | This is no CSV"
            })
    void aTableWithAWrongRowIsRefusedWholeAndNamesIt(String row, String message) {
        assertThat(table("rope,k,1\n" + row + "\n").json().path("detail").asString())
                .contains(message);
        assertThat(api.get(trials).json().path("outcomes")).as("all or none").isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"query\":\"rope\",\"expects\":\"within\",\"number\":1} | item",
                "{\"query\":\"rope\",\"expects\":\"at-least\"} | number",
                "{\"query\":\" \",\"expects\":\"at-most\",\"number\":0} | query",
                "{\"query\":\"rope\",\"expects\":\"suggests\"} | suggestion",
                "{\"query\":\"rope\"} | expects",
                "{\"query\":\"rope\",\"expects\":\"magic\"} | expects",
                "{\"query\":\"rope\",\"expects\":\"at-most\",\"number\":-1} | number"
            })
    void whatIsNoTrialIsRefusedNamingTheKey(String trial, String field) {
        Api.Answer refused = api.post(trials, trial);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.json().path("field").asString()).isEqualTo(field);
    }

    @Test
    void thereIsRoomForSoManyAndNoMore() {
        StringBuilder many = new StringBuilder("query,item,rank\n");
        for (int i = 0; i < Trials.MOST; i++) {
            many.append("word").append(i).append(",k,1\n");
        }
        assertThat(table(many.toString()).json().path("added").asInt()).isEqualTo(Trials.MOST);
        assertThat(api.post(trials, within("b", 1)).json().path("detail").asString())
                .contains("room for 500 trials");
    }

    @Test
    void trialsOutliveARestart(@TempDir Path data) {
        try (RunningService first = RunningService.on(data)) {
            first.api().withSite().push("posts", "{\"id\":\"a\",\"title\":\"Rope\"}\n");
            first.api().publishedSearch("Shore");
            first.api().post("/api/owner/searches/shore/trials", within("a", 1));
        }
        try (RunningService again = RunningService.on(data)) {
            assertThat(again.api()
                            .get("/api/owner/searches/shore/trials")
                            .json()
                            .path("draft")
                            .path("hold")
                            .asInt())
                    .isEqualTo(1);
        }
    }
}
