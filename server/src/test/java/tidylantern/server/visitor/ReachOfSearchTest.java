package tidylantern.server.visitor;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
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
    @TempDir
    private Path data;

    private RunningService service;
    private Api api;

    @BeforeEach
    void start() {
        service = RunningService.on(data);
        api = service.api().withSite();
        api.push("posts", """
                {"id":"a","title":"Ferry one","tags":["Travel/Ferry"],"author":"Ann Dow","url":"/journal/a"}
                {"id":"b","title":"Ferry two","tags":["Travel/Ferry/Winter"],"author":"Bo Kay","url":"/journal/drafts/b"}
                {"id":"c","title":"Ferry three","tags":["Travel"],"author":"Ann Dow","url":"/journal/c"}
                {"id":"d","title":"Ferry four","tags":["Food"],"author":"Cy Lee","url":"/kitchen/d"}
                """);
        api.publishedSearch("Ferry");
    }

    @AfterEach
    void stop() {
        service.close();
    }

    private static final String DRAFT = "/api/owner/searches/ferry/draft";

    /** @param only and {@code leaveOut} as JSON lists of rules */
    private void rules(String only, String leaveOut) {
        Api.Answer draft = api.get(DRAFT);
        ObjectNode design = (ObjectNode) draft.json();
        ((ObjectNode) design.path("reach").path("collections").path(0)).set("only", new JsonMapper().readTree(only));
        ((ObjectNode) design.path("reach").path("collections").path(0))
                .set("leaveOut", new JsonMapper().readTree(leaveOut));
        Api.Answer changed = api.send(
                "PUT",
                DRAFT,
                design.toString(),
                Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
        assertThat(changed.status()).as(changed.text()).isEqualTo(200);
    }

    private List<String> items(String which) {
        JsonNode page = api.get(DRAFT + "/reach/posts/items?which=" + which).json();
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
        JsonNode counts = api.get(DRAFT + "/reach").json();
        assertThat(counts.path("inReach").asInt()).isEqualTo(1);
        JsonNode posts = counts.path("collections").path(0);
        assertThat(posts.path("only").toString()).as("with all below").isEqualTo("[3]");
        assertThat(posts.path("leaveOut").toString()).isEqualTo("[1,1,1]");
        assertThat(items("found")).containsExactly("a");
        assertThat(items("not-found")).containsExactly("b", "c", "d");
        assertThat(items("only&rule=0")).containsExactly("a", "b", "c");
        assertThat(items("leave-out&rule=1")).containsExactly("b");
        assertThat(api.get(DRAFT + "/reach/posts/items?which=only&rule=7").status())
                .isEqualTo(404);
        assertThat(api.get(DRAFT + "/reach/posts/items?which=some")
                        .json()
                        .path("field")
                        .asString())
                .isEqualTo("which");
    }

    @Test
    void leavingOutWinsAndVisitorsMeetItOnceItIsPublished() {
        rules("[{\"author\":\"ann-dow\"}]", "[{\"item\":\"c\"}]");
        assertThat(api.results("ferry", "ferry").hits()).as("the live version").hasSize(4);
        JsonNode search = api.get("/api/owner/searches/ferry").json();
        assertThat(search.path("differences")).isNotEmpty();
        api.send(
                "POST",
                "/api/owner/searches/ferry/publish",
                "",
                Map.of("If-Match", api.get(DRAFT).header("ETag")));
        assertThat(api.results("ferry", "ferry").hits()).containsExactly("a");
        assertThat(api.get("/api/owner/sites/isles/collections/posts/item/searches?id=c")
                        .json()
                        .path(0)
                        .path("why")
                        .asString())
                .startsWith("It is left out");
        assertThat(api.get("/api/owner/sites/isles/collections/posts/item/searches?id=d")
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
        String names = api.get("/api/owner/sites/isles/collections/posts/fields/author/values?q=dow")
                .text();
        assertThat(names)
                .contains("\"value\":\"ann-dow\"")
                .contains("\"names\":[\"Ann Dow\"]")
                .contains("\"count\":2")
                .doesNotContain("Bo Kay");
    }

    @Test
    void aRuleThatSaysNothingOrTooMuchIsRefused() {
        Api.Answer draft = api.get(DRAFT);
        for (String rule : List.of(
                "{}", "{\"author\":\"x\",\"item\":\"y\"}", "{\"field\":\"tags\"}", "{\"address\":\"no pattern\"}")) {
            ObjectNode design = (ObjectNode) draft.json();
            ((ObjectNode) design.path("reach").path("collections").path(0))
                    .set("only", new JsonMapper().readTree("[" + rule + "]"));
            Api.Answer refused = api.send(
                    "PUT",
                    DRAFT,
                    design.toString(),
                    Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
            assertThat(refused.status()).as(rule).isEqualTo(400);
            assertThat(refused.json().path("field").asString()).startsWith("reach.collections[0].only[0]");
        }
    }
}
