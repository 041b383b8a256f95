package tidylantern.server.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Versions over HTTP: kept with who, when and why, compared, gone back to. */
class VersionsTest {
    private static RunningService service;
    private static Api api;
    private String search;

    @BeforeAll
    static void start(@TempDir Path data) {
        service = RunningService.on(data);
        api = service.api().withSite();
        api.push(
                "posts",
                "{\"id\":\"rope\",\"title\":\"Rope walk\",\"body\":\"hemp\"}\n{\"id\":\"net\",\"title\":\"Nets\",\"body\":\"rope and tar\"}\n");
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    @BeforeEach
    void aSearchOfItsOwn() {
        search = "/api/owner/searches/" + api.publishedSearch("Shore");
    }

    /** Changes the draft so that bodies are not searched any more; its new tag. */
    private String searchTitlesOnly() {
        Api.Answer draft = api.get(search + "/draft");
        ObjectNode design = (ObjectNode) draft.json();
        ((ObjectNode) design.path("words"))
                .putArray("weights")
                .addObject()
                .put("field", "title")
                .put("weight", 5);
        return api.send(
                        "PUT",
                        search + "/draft",
                        design.toString(),
                        Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")))
                .header("ETag");
    }

    private Api.Answer publish(String tag, String given) {
        return api.send(
                "POST", search + "/publish", given, Map.of("Content-Type", "application/json", "If-Match", tag));
    }

    private List<String> versions() {
        return StreamSupport.stream(api.get(search + "/versions").json().spliterator(), false)
                .map(one -> "%d %s %s%s"
                        .formatted(
                                one.path("version").asInt(),
                                one.path("publishedBy").asString(),
                                one.path("why").asString("-"),
                                one.path("live").asBoolean() ? " live" : ""))
                .toList();
    }

    private int found(String query) {
        return api.results(search.substring(search.lastIndexOf('/') + 1), query)
                .json()
                .path("total")
                .asInt();
    }

    @Test
    void everyPublicationIsKeptWithWhoAndWhy() {
        assertThat(publish(searchTitlesOnly(), "{\"why\":\" Bodies hold too much \"}")
                        .status())
                .isEqualTo(200);
        assertThat(versions())
                .containsExactly("2 %s Bodies hold too much live".formatted(by()), "1 %s -".formatted(by()));
        assertThat(api.get(search + "/versions")
                        .json()
                        .path(0)
                        .path("published")
                        .asString())
                .isNotEmpty();
    }

    private String by() {
        return api.get(search).json().path("live").path("publishedBy").asString();
    }

    @Test
    void goingBackIsAPublicationOfItsOwnAndLeavesTheDraft() {
        publish(searchTitlesOnly(), "");
        assertThat(found("rope")).isEqualTo(1);
        Api.Answer back = api.post(search + "/versions/1/publish", "");
        assertThat(back.status()).as(back.text()).isEqualTo(200);
        assertThat(found("rope")).isEqualTo(2);
        assertThat(versions().getFirst()).isEqualTo("3 %s Back to version 1 live".formatted(by()));
        assertThat(back.json().path("differences")).as("the draft is as it was").isNotEmpty();
        assertThat(api.get(search + "/versions/1").json().path("words").path("weights"))
                .isEqualTo(api.get(search + "/versions/3").json().path("words").path("weights"));
    }

    @Test
    void aVersionThatThereIsNotIsNamed() {
        for (String path : List.of("/versions/7", "/comparison?before=7&after=draft")) {
            Api.Answer missing = api.get(search + path);
            assertThat(missing.status()).isEqualTo(404);
            assertThat(missing.json().path("detail").asString()).isEqualTo("This search has no version 7.");
        }
        assertThat(api.post(search + "/versions/7/publish", "").status()).isEqualTo(404);
        assertThat(api.get(search + "/comparison?before=first&after=draft").status())
                .isEqualTo(400);
    }

    @Test
    void aReasonHasALength() {
        Api.Answer refused = publish(searchTitlesOnly(), "{\"why\":\"" + "x".repeat(301) + "\"}");
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.json().path("field").asString()).isEqualTo("why");
        assertThat(versions()).hasSize(1);
    }

    /** What is gone is told before anybody goes back, and keeps nobody from it. */
    @Test
    void aVersionWhoseCollectionIsGoneSaysSo() {
        Api other = service.api().withSite("gone");
        other.put(other.site() + "/collections/notes", "{\"label\":\"Notes\",\"language\":\"en\"}");
        other.push("posts", "{\"id\":\"a\",\"title\":\"A\"}");
        String lost = "/api/owner/searches/" + other.publishedSearch("Lost");
        other.send("DELETE", other.site() + "/collections/posts?name=Posts", null, Map.of());
        assertThat(other.get(lost + "/comparison?before=draft&after=1")
                        .json()
                        .path("remarks")
                        .toString())
                .contains("posts");
        assertThat(other.post(lost + "/versions/1/publish", "").status()).isEqualTo(200);
    }

    @Test
    void twoAreComparedInWordsByTrialsAndByWhatVisitorsAsk() {
        api.post(search + "/trials", "{\"query\":\"rope\",\"expects\":\"at-least\",\"number\":2}");
        searchTitlesOnly();
        JsonNode compared = api.get(search + "/comparison?before=1&after=draft").json();
        assertThat(compared.path("changes")).isNotEmpty();
        assertThat(compared.path("trialsBefore").path("hold").asInt()).isEqualTo(1);
        assertThat(compared.path("trialsAfter").path("hold").asInt()).isZero();
        assertThat(compared.path("queries").asInt()).isEqualTo(1);
        assertThat(compared.path("lost").asInt()).isEqualTo(1);
        JsonNode changed = compared.path("changed").path(0);
        assertThat(changed.path("query").asString()).isEqualTo("rope");
        assertThat(changed.path("before").asInt()).isEqualTo(2);
        assertThat(changed.path("after").asInt()).isEqualTo(1);
        assertThat(changed.path("moves").path(0).path("title").asString()).isEqualTo("Nets");
        assertThat(changed.path("moves").path(0).path("change").asString()).isEqualTo("lost");
        JsonNode same = api.get(search + "/comparison?before=1&after=1").json();
        assertThat(same.path("changes")).isEmpty();
        assertThat(same.path("changed")).isEmpty();
    }

    /** Each gets a number of its own, and none is lost. */
    @Test
    void manyWhoPublishAtOnceDoNotOverwriteOneAnother() throws Exception {
        try (var people = Executors.newFixedThreadPool(6)) {
            List<Callable<Integer>> publications = IntStream.range(0, 12)
                    .mapToObj(n ->
                            (Callable<Integer>) () -> api.post(search + "/versions/1/publish", "{\"why\":\"at once\"}")
                                    .status())
                    .toList();
            assertThat(people.invokeAll(publications).stream()
                            .map(VersionsTest::outcome)
                            .collect(Collectors.toSet()))
                    .containsExactly(200);
        }
        assertThat(versions())
                .hasSize(13)
                .filteredOn(one -> one.endsWith("live"))
                .hasSize(1);
    }

    private static Integer outcome(java.util.concurrent.Future<Integer> done) {
        try {
            return done.get();
        } catch (Exception failed) {
            throw new IllegalStateException(failed);
        }
    }
}
