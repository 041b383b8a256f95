package tidylantern.server.content;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tidylantern.server.platform.EveryHour;
import tools.jackson.databind.JsonNode;

/** What a push removed rests 30 days, and comes back as it was. */
class RestingItemsTest {
    /** More than one batch of the way back. */
    private static final int MANY = 1_203;

    @TempDir
    private static Path data;

    private static RunningService service;
    private static int sites;
    private Api api;
    private String posts;
    private String search;

    @BeforeAll
    static void start() {
        service = RunningService.on(data);
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    @BeforeEach
    void fill() {
        String key = "rest-" + ++sites;
        api = service.api().withSite(key);
        posts = api.site() + "/collections/posts";
        api.push(
                "posts",
                IntStream.range(0, MANY).mapToObj(RestingItemsTest::post).collect(Collectors.joining()));
        search = api.publishedSearch(key);
    }

    private static String post(int n) {
        return "{\"id\":\"p-%04d\",\"title\":\"Post %d\",\"price\":%d}\n".formatted(n, n, n);
    }

    private JsonNode keepOnly(String lines) {
        Api.Answer pushed = api.send(
                "PUT",
                posts + "/items?everything=true&removeMany=true",
                lines,
                Map.of("Content-Type", "application/jsonl"));
        assertThat(pushed.status()).as(pushed.text()).isEqualTo(200);
        return newest();
    }

    private JsonNode newest() {
        return api.get(api.site() + "/changes").json().path(0);
    }

    private Api.Answer takeBack(JsonNode change) {
        return api.post(api.site() + "/changes/" + change.path("id").asLong() + "/take-back", "");
    }

    private String all() {
        return api.get(posts + "/export.jsonl").text();
    }

    private int found() {
        return api.results(search, "post").json().path("total").asInt();
    }

    @Test
    void whatAPushRemovedComesBackAndIsFound() {
        String before = all();
        JsonNode removed = keepOnly(post(7));
        assertThat(removed.path("told").asString())
                .isEqualTo("“Post 0”, “Post 1”, “Post 2” and 1,199 more removed from “Posts”");
        assertThat(found()).isEqualTo(1);
        assertThat(takeBack(removed).status()).isEqualTo(204);
        assertThat(all()).isEqualTo(before);
        assertThat(found()).isEqualTo(MANY);
        assertThat(newest().path("told").asString())
                .isEqualTo("“Post 0”, “Post 1”, “Post 2” and 1,199 more put back into “Posts”");
    }

    @Test
    void whatCameBackByItselfStaysAsItCame() {
        JsonNode removed = keepOnly(post(7));
        api.push("posts", "{\"id\":\"p-0003\",\"title\":\"Post three anew\"}\n");
        assertThat(takeBack(removed).status()).isEqualTo(204);
        assertThat(api.get(posts + "/item?id=p-0003").text()).contains("Post three anew");
        assertThat(found()).isEqualTo(MANY);
        String before = all();
        assertThat(takeBack(newest()).status()).as("removed again").isEqualTo(204);
        assertThat(found()).isEqualTo(1);
        assertThat(takeBack(newest()).status()).isEqualTo(204);
        assertThat(all()).as("as they were when they went the second time").isEqualTo(before);
    }

    @Test
    void whatDoesNotFitItsFieldAnyMoreIsNamedAndNothingComesBack() {
        api.push("posts", "{\"id\":\"odd\",\"title\":\"The odd one\",\"price\":4,\"code\":\"x-4\"}\n");
        api.put(posts + "/fields/code", "{\"kind\":\"text\",\"label\":\"Code\",\"unit\":null}");
        JsonNode removed = keepOnly(post(7));
        api.put(posts + "/fields/code", "{\"kind\":\"number\",\"label\":\"Code\",\"unit\":null}");
        Api.Answer refused = takeBack(removed);
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.text())
                .contains("“The odd one” does not fit any more")
                .contains("code");
        assertThat(found()).isEqualTo(1);
    }

    @Test
    void itsDaysBeginAnewWithEachTurn() {
        JsonNode removed = keepOnly(post(7));
        rested(29);
        assertThat(takeBack(removed).status()).isEqualTo(204);
        JsonNode putBack = newest();
        service.part(RestingItems.class).tidyUp(new EveryHour());
        assertThat(newest()).isEqualTo(putBack);
        assertThat(putBack.path("standing").asString()).isEqualTo("stands");
        rested(31);
        service.part(RestingItems.class).tidyUp(new EveryHour());
        assertThat(newest().path("standing").asString()).isEqualTo("changed-since");
        assertThat(found()).isEqualTo(MANY);
    }

    private void rested(int days) {
        service.part(JdbcClient.class)
                .sql(
                        "UPDATE resting_item SET rests_from = DATEADD('DAY', :days, CURRENT_TIMESTAMP) WHERE site_key LIKE 'rest-%'")
                .param("days", -days)
                .update();
    }

    @Test
    void aCollectionThatCameBackPutsBackWhatItHadRemoved() {
        String before = all();
        JsonNode removed = keepOnly(post(7));
        api.send("DELETE", posts + "?name=Posts", null, Map.of());
        JsonNode deleted = newest();
        assertThat(takeBack(removed).status()).as("there is no such collection").isEqualTo(409);
        assertThat(takeBack(deleted).status()).isEqualTo(204);
        assertThat(takeBack(removed).status()).isEqualTo(204);
        assertThat(all()).isEqualTo(before);
    }
}
