package tidylantern.server.draft;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Which items a search can find, by the rules of its first step. */
class ReachOfSearchTest {
    private static RunningService service;
    private static int sites;
    private Api api;
    private String search;
    private String draft;

    @BeforeAll
    static void start(@TempDir Path data) {
        service = RunningService.on(data);
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    /** A site with a search for each test. */
    @BeforeEach
    void fill() {
        api = service.api().withSite("isles-" + ++sites);
        api.push("posts", """
                {"id":"a","title":"Ferry one","tags":["Travel/Ferry"],"author":"Ann Dow","url":"/journal/a"}
                {"id":"b","title":"Ferry two","tags":["Travel/Ferry/Winter"],"author":"Bo Kay","url":"/journal/drafts/b"}
                {"id":"c","title":"Ferry three","tags":["Travel"],"author":"Ann Dow","url":"/journal/c"}
                {"id":"d","title":"Ferry four","tags":["Food"],"author":"Cy Lee","url":"/kitchen/d"}
                """);
        search = api.publishedSearch("Ferry");
        draft = "/api/owner/searches/" + search + "/draft";
    }

    /** @param only and {@code leaveOut} as JSON lists of rules */
    private void rules(String only, String leaveOut) {
        Api.Answer kept = api.get(draft);
        ObjectNode design = (ObjectNode) kept.json();
        ((ObjectNode) design.path("reach").path("collections").path(0)).set("only", new JsonMapper().readTree(only));
        ((ObjectNode) design.path("reach").path("collections").path(0))
                .set("leaveOut", new JsonMapper().readTree(leaveOut));
        Api.Answer changed = api.send(
                "PUT",
                draft,
                design.toString(),
                Map.of("Content-Type", "application/json", "If-Match", kept.header("ETag")));
        assertThat(changed.status()).as(changed.text()).isEqualTo(200);
    }

    private List<String> items(String which) {
        JsonNode page = api.get(draft + "/reach/posts/items?which=" + which).json();
        return StreamSupport.stream(page.path("items").spliterator(), false)
                .map(item -> item.path("id").asString())
                .sorted()
                .toList();
    }

    @Test
    void eachRuleTellsHowManyItemsItTakesAndWhich() {
        rules(
                "[{\"field\":\"tags\",\"value\":\"travel\"}]",
                "[{\"author\":\"bo-kay\"},{\"address\":\"/journal/drafts/*\"},{\"item\":\"c\"}]");
        JsonNode counts = api.get(draft + "/reach").json();
        assertThat(counts.path("inReach").asInt()).isEqualTo(1);
        JsonNode posts = counts.path("collections").path(0);
        assertThat(posts.path("only").toString()).as("with all below").isEqualTo("[3]");
        assertThat(posts.path("leaveOut").toString()).isEqualTo("[1,1,1]");
        assertThat(items("found")).containsExactly("a");
        assertThat(items("not-found")).containsExactly("b", "c", "d");
        assertThat(items("only&rule=0")).containsExactly("a", "b", "c");
        assertThat(items("leave-out&rule=1")).containsExactly("b");
        assertThat(api.get(draft + "/reach/posts/items?which=only&rule=7").status())
                .isEqualTo(404);
        assertThat(api.get(draft + "/reach/posts/items?which=some")
                        .json()
                        .path("field")
                        .asString())
                .isEqualTo("which");
    }

    @Test
    void leavingOutWinsAndVisitorsMeetItOnceItIsPublished() {
        rules("[{\"author\":\"ann-dow\"}]", "[{\"item\":\"c\"}]");
        assertThat(api.results(search, "ferry").hits()).as("the live version").hasSize(4);
        assertThat(api.get("/api/owner/searches/" + search).json().path("differences"))
                .isNotEmpty();
        api.send(
                "POST",
                "/api/owner/searches/" + search + "/publish",
                "",
                Map.of("If-Match", api.get(draft).header("ETag")));
        assertThat(api.results(search, "ferry").hits()).containsExactly("a");
        assertThat(api.get(api.site() + "/collections/posts/item/searches?id=c")
                        .json()
                        .path(0)
                        .path("why")
                        .asString())
                .startsWith("It is left out");
        assertThat(api.get(api.site() + "/collections/posts/item/searches?id=d")
                        .json()
                        .path(0)
                        .path("why")
                        .asString())
                .isEqualTo("None of the “only” rules lets it in.");
    }

    @Test
    void itemsThatArriveLaterFollowTheRulesByThemselves() {
        rules("[{\"field\":\"tags\",\"value\":\"travel/ferry\"}]", "[]");
        api.push(
                "posts",
                "{\"id\":\"e\",\"title\":\"Ferry five\",\"tags\":[\"Travel/Ferry/Summer\"]}\n{\"id\":\"f\",\"title\":\"Ferry six\",\"tags\":[\"Food\"]}\n");
        assertThat(items("found")).containsExactly("a", "b", "e");
    }

    @Test
    void theNamesOfAuthorsAreOfferedWithTheirCounts() {
        String names = api.get(api.site() + "/collections/posts/fields/author/values?q=dow")
                .text();
        assertThat(names)
                .contains("\"value\":\"ann-dow\"")
                .contains("\"names\":[\"Ann Dow\"]")
                .contains("\"count\":2")
                .doesNotContain("Bo Kay");
    }

    @Test
    void aRuleThatSaysNothingOrTooMuchIsRefused() {
        Api.Answer kept = api.get(draft);
        for (String rule : List.of(
                "{}", "{\"author\":\"x\",\"item\":\"y\"}", "{\"field\":\"tags\"}", "{\"address\":\"no pattern\"}")) {
            ObjectNode design = (ObjectNode) kept.json();
            ((ObjectNode) design.path("reach").path("collections").path(0))
                    .set("only", new JsonMapper().readTree("[" + rule + "]"));
            Api.Answer refused = api.send(
                    "PUT",
                    draft,
                    design.toString(),
                    Map.of("Content-Type", "application/json", "If-Match", kept.header("ETag")));
            assertThat(refused.status()).as(rule).isEqualTo(400);
            assertThat(refused.json().path("field").asString()).startsWith("reach.collections[0].only[0]");
        }
    }
}
