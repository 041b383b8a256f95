package tidylantern.server.visitor;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInfo;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tidylantern.server.insight.AskedQueries;
import tidylantern.server.key.SearchKey;
import tools.jackson.databind.node.ObjectNode;

/** An answer is given again while nothing that it is made of changes, and not once something does. */
class KeptAnswersTest {
    @TempDir
    private static Path data;

    private static RunningService service;

    private Api api;
    private String search;
    private String results;

    @BeforeAll
    static void start() {
        service = RunningService.on(data);
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    /** A site of its own for each. */
    @BeforeEach
    void push(TestInfo test) {
        api = service.api()
                .withSite(test.getTestMethod().orElseThrow().getName().toLowerCase(Locale.ROOT));
        api.push("posts", "{\"id\":\"1\",\"title\":\"Crab\",\"url\":\"/crab\"}");
        search = api.publishedSearch("Shore");
        results = "/api/public/searches/" + search + "/results?q=crab";
    }

    /** Another for each answer that was reckoned. */
    private static String tag(Api.Answer answer) {
        assertThat(answer.status()).isEqualTo(200);
        assertThat(answer.header("ETag")).startsWith("W/");
        return answer.header("ETag");
    }

    /** Asks before and after, and sees that the second answer was reckoned anew. */
    private Api.Answer anewAfter(Runnable change) {
        String before = tag(api.get(results));
        change.run();
        Api.Answer after = api.get(results);
        assertThat(tag(after)).isNotEqualTo(before);
        return after;
    }

    @Test
    void whoAsksTheSameIsGivenTheSame() {
        Api.Answer first = api.get(results);
        Api.Answer second = api.get(results);
        assertThat(tag(second)).isEqualTo(tag(first));
        assertThat(second.text()).as("with the time it took then").isEqualTo(first.text());
        assertThat(first.header("Content-Type")).isEqualTo("application/json");
        assertThat(tag(api.get(results + "&page=2"))).isNotEqualTo(tag(first));
        assertThat(tag(api.send("GET", results, null, Map.of("Accept-Language", "de"))))
                .isNotEqualTo(tag(first));
        String live = results.replace("/results", "/live");
        assertThat(tag(api.get(live))).isEqualTo(tag(api.get(live))).isNotEqualTo(tag(first));
    }

    @Test
    void whoHasItAlreadyIsToldSo() {
        Api.Answer again = api.send("GET", results, null, Map.of("If-None-Match", tag(api.get(results))));
        assertThat(again.status()).isEqualTo(304);
        assertThat(again.text()).isEmpty();
    }

    private HttpResponse<byte[]> accepting(String encodings) throws Exception {
        try (HttpClient client = HttpClient.newHttpClient()) {
            return client.send(
                    HttpRequest.newBuilder(URI.create(service.address() + results))
                            .header("Accept-Encoding", encodings)
                            .build(),
                    HttpResponse.BodyHandlers.ofByteArray());
        }
    }

    @Test
    void itIsPackedForWhoTakesItPacked() throws Exception {
        api.push(
                "posts",
                IntStream.range(0, 20)
                        .mapToObj(n -> "{\"id\":\"%d\",\"title\":\"Crab %d of Øster Bay\"}".formatted(n, n))
                        .collect(Collectors.joining("\n")));
        HttpResponse<byte[]> plain = accepting("br, gzip;q=0");
        assertThat(plain.headers().firstValue("Content-Encoding")).isEmpty();
        assertThat(plain.headers().allValues("Vary").toString()).containsIgnoringCase("Accept-Encoding");
        for (int times = 0; times < 2; times++) {
            HttpResponse<byte[]> packed = accepting("gzip, deflate, br");
            assertThat(packed.headers().allValues("Content-Encoding")).containsExactly("gzip");
            assertThat(packed.body().length).isLessThan(plain.body().length / 2);
            assertThat(new GZIPInputStream(new ByteArrayInputStream(packed.body())).readAllBytes())
                    .isEqualTo(plain.body());
        }
    }

    @Test
    void contentThatChangesIsAnsweredAtOnce() {
        Api.Answer more = anewAfter(() -> api.push("posts", "{\"id\":\"2\",\"title\":\"Crab pots\"}"));
        assertThat(more.json().path("total").asInt()).isEqualTo(2);
        anewAfter(() -> api.push("posts", "{\"id\":\"2\",\"title\":\"Crab traps\"}"));
    }

    @Test
    void aPublicationIsAnsweredAtOnce() {
        Api.Answer fewer = anewAfter(() -> {
            ObjectNode design = (ObjectNode) api.get(owner() + "/draft").json();
            ((ObjectNode) design.path("places").path("page")).put("perPage", 5);
            assertThat(api.send("PUT", owner() + "/draft", design.toString(), json("\"1\""))
                            .status())
                    .isEqualTo(200);
            assertThat(api.get(results).json().path("perPage").asInt())
                    .as("a draft changes nothing")
                    .isNotEqualTo(5);
            assertThat(api.send("POST", owner() + "/publish", "", json("\"2\"")).status())
                    .isEqualTo(200);
        });
        assertThat(fewer.json().path("perPage").asInt()).isEqualTo(5);
    }

    @Test
    void aSiteThatMovesIsAnsweredAtOnce() {
        Api.Answer moved = anewAfter(
                () -> api.put(api.site(), "{\"name\":\"Isles\",\"address\":\"https://moved.example\",\"origins\":[]}"));
        assertThat(moved.json().path("hits").get(0).path("url").asString()).isEqualTo("https://moved.example/crab");
    }

    @Test
    void everyAskingCounts() {
        api.get(results.replace("crab", "anchor"));
        api.get(results);
        api.get(results);
        assertThat(service.part(AskedQueries.class).frequent(new SearchKey(search), 2))
                .containsExactly("crab", "anchor");
    }

    private String owner() {
        return "/api/owner/searches/" + search;
    }

    private static Map<String, String> json(String ifMatch) {
        return Map.of("Content-Type", "application/json", "If-Match", ifMatch);
    }

    @Test
    void withoutRoomEachIsReckonedAnew(@TempDir Path other) {
        try (RunningService without = RunningService.with(other, "--tidy-lantern.kept-answers=0")) {
            Api asking = without.api().withSite();
            asking.push("posts", "{\"id\":\"1\",\"title\":\"Crab\"}");
            String address = "/api/public/searches/" + asking.publishedSearch("Shore") + "/results?q=crab";
            Api.Answer answer = asking.get(address);
            assertThat(answer.json().path("total").asInt()).isEqualTo(1);
            assertThat(answer.header("ETag")).isEmpty();
        }
    }
}
