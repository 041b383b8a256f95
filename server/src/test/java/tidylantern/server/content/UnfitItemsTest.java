package tidylantern.server.content;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;

/** One item, or one site, that cannot be searched keeps nothing else from going on. */
class UnfitItemsTest {
    private static final String TOO_LONG = "x".repeat(40_000);
    private static final String SITE = "/api/owner/sites/isles";

    @Test
    void valuesTooLongToBeChosenByAreRefusedByLineAndProperty(@TempDir Path data) {
        try (RunningService service = RunningService.on(data)) {
            Api api = service.api().withSite();
            api.push("posts", """
                    {"id":"1","title":"Lobster","topic":["shore"],"code":"QH-1","author":"Ana Bell","price":3}
                    {"id":"2","title":"Crab","topic":["shore"],"code":"QH-2","author":"Ana Bell","price":4}
                    {"id":"3","title":"Whelk","topic":["quay"],"code":"QH-3","author":"Jo Fenn","price":5}
                    {"id":"4","title":"Prawn","topic":["quay"],"code":"QH-4","author":"Jo Fenn","price":6}""");
            JsonNode refusals =
                    api.push("posts", """
                    {"id":"5","title":"Good before","topic":["shore"]}
                    {"id":"6","topic":["%1$s"]}
                    {"id":"7","code":"%1$s"}
                    {"id":"8","author":"%1$s"}
                    {"id":"9","topic":[["shore","%1$s"]]}
                    {"id":"10","price":1e-999999999}
                    {"id":"11","title":"Good after","topic":["quay"]}""".formatted(TOO_LONG)).json().path("refusals");
            assertThat(refusals)
                    .extracting(refusal -> refusal.path("line").asInt() + " "
                            + refusal.path("property").asString())
                    .containsExactly("2 topic", "3 code", "4 author", "5 topic", "6 price");
            assertThat(refusals)
                    .extracting(refusal -> refusal.path("reason").asString().length())
                    .allSatisfy(length -> assertThat(length).isLessThan(300));
            assertThat(api.results(api.publishedSearch("S"), "good").hits()).containsExactlyInAnyOrder("5", "11");
        }
        try (RunningService again = RunningService.on(data)) {
            assertThat(again.api().get(SITE + "/health").status()).isEqualTo(200);
        }
    }

    @Test
    void aTextTooLongToBeACodeKeepsItsKind(@TempDir Path data) {
        try (RunningService service = RunningService.on(data)) {
            Api api = service.api().withSite();
            api.push("posts", "{\"id\":\"1\",\"note\":\"" + TOO_LONG + "\"}\n{\"id\":\"2\",\"note\":\"short\"}");
            for (String kind : List.of("code", "category")) {
                Api.Answer refused = api.put(
                        SITE + "/collections/posts/fields/note", "{\"kind\":\"" + kind + "\",\"label\":\"Note\"}");
                assertThat(refused.status()).isEqualTo(409);
                assertThat(refused.json().path("detail").asString())
                        .contains("1 items do not fit the kind " + kind)
                        .hasSizeLessThan(400);
            }
            api.push("posts", "{\"id\":\"3\",\"title\":\"Lobster\"}");
            assertThat(api.results(api.publishedSearch("S"), "lobster").hits()).containsExactly("3");
        }
    }

    @Test
    void whatAnEarlierVersionLetInIsPassedOverAndNamedAndCorrectedByTheNextPush(@TempDir Path data) throws IOException {
        String search;
        try (RunningService service = RunningService.on(data)) {
            Api api = service.api().withSite();
            api.push(
                    "posts",
                    "{\"id\":\"1\",\"title\":\"Lobster\",\"code\":\"QH-1\"}\n{\"id\":\"2\",\"title\":\"Crab\",\"code\":\"QH-2\"}\n{\"id\":\"3\",\"title\":\"Whelk\",\"code\":\"QH-3\"}");
            search = api.publishedSearch("S");
            // Such values came in before there was a limit.
            service.part(JdbcClient.class)
                    .sql("UPDATE item SET properties = :properties WHERE item_id = '2'")
                    .param("properties", "{\"title\":\"Crab\",\"code\":\"" + TOO_LONG + "\"}")
                    .update();
        }
        deleteAll(data.resolve("index"));
        for (int start = 0; start < 2; start++) {
            try (RunningService again = RunningService.on(data)) {
                Api api = again.api();
                assertThat(api.results(search, "").hits()).containsExactlyInAnyOrder("1", "3");
                JsonNode worst = api.get(SITE + "/health").json().get(0);
                assertThat(worst.path("kind").asString()).isEqualTo("cannot-be-found");
                assertThat(worst.path("some"))
                        .extracting(item -> item.path("id").asString())
                        .containsExactly("2");
                assertThat(worst.path("what").asString()).contains("40,000 bytes");
                JsonNode item = api.get(SITE + "/collections/posts/item?id=2").json();
                assertThat(item.path("notFound").asString()).contains("code");
                assertThat(item.path("title").asString()).isEqualTo("Crab");
                assertThat(item.path("unmapped").has("code"))
                        .as("what it says is still to be seen")
                        .isTrue();
            }
        }
        try (RunningService again = RunningService.on(data)) {
            Api api = again.api();
            api.push("posts", "{\"id\":\"2\",\"title\":\"Crab\",\"code\":\"QH-2\"}");
            assertThat(api.results(search, "crab").hits()).containsExactly("2");
            assertThat(api.get(SITE + "/health").json())
                    .extracting(finding -> finding.path("kind").asString())
                    .doesNotContain("cannot-be-found");
        }
    }

    @Test
    void aSiteWhoseIndexCannotBeOpenedKeepsNoOtherFromAnswering(@TempDir Path data) throws IOException {
        String search;
        String other;
        try (RunningService service = RunningService.on(data)) {
            Api api = service.api().withSite();
            api.push("posts", "{\"id\":\"1\",\"title\":\"Lobster\"}");
            search = api.publishedSearch("S");
            api.post("/api/owner/sites", "{\"name\":\"Other\",\"address\":\"https://other.example\"}");
            api.put("/api/owner/sites/other/collections/posts", "{\"label\":\"Posts\",\"language\":\"en\"}");
            api.send(
                    "PUT",
                    "/api/owner/sites/other/collections/posts/items",
                    "{\"id\":\"1\",\"title\":\"Crab\"}",
                    java.util.Map.of("Content-Type", "application/jsonl"));
            JsonNode made = api.post("/api/owner/sites/other/searches", "{\"name\":\"Other\"}")
                    .json();
            other = made.path("key").asString();
            api.send(
                    "POST",
                    "/api/owner/searches/" + other + "/publish",
                    "",
                    java.util.Map.of("If-Match", "\"" + made.path("revision").asLong() + "\""));
        }
        Path index = data.resolve("index").resolve("isles");
        deleteAll(index);
        Files.writeString(index, "a file where a folder should be");
        try (RunningService again = RunningService.on(data)) {
            assertThat(again.api().results(other, "crab").hits()).containsExactly("1");
            Api.Answer refused = again.api().results(search, "lobster");
            assertThat(refused.status()).isEqualTo(503);
            assertThat(refused.json().path("detail").asString()).contains("cannot be asked just now");
        }
    }

    private static void deleteAll(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(file);
            }
        }
    }
}
