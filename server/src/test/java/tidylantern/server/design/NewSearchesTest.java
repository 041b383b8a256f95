package tidylantern.server.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;

/** How a search begins: proposed, copied, with nothing decided; over HTTP. */
class NewSearchesTest {
    private static RunningService service;
    private static Api api;

    @BeforeAll
    static void start(@TempDir Path data) {
        service = RunningService.on(data);
        service.api().withSite("elsewhere");
        api = service.api().withSite();
        api.push(
                "posts",
                IntStream.range(0, 20)
                        .mapToObj(
                                n -> "{\"id\":\"p%d\",\"title\":\"Post %d\",\"subject\":[\"subject %d\"],\"length\":%d}"
                                        .formatted(n, n, n % 4, 100 + n))
                        .collect(Collectors.joining("\n")));
        api.put(api.site() + "/collections/notes", "{\"label\":\"Notes\",\"language\":\"en\"}");
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    private static String added(String wanted) {
        Api.Answer made = api.post(api.site() + "/searches", wanted);
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return made.json().path("key").asString();
    }

    private static JsonNode draft(String key) {
        return api.get("/api/owner/searches/" + key + "/draft").json();
    }

    private static String filters(JsonNode design) {
        return StreamSupport.stream(design.path("filters").spliterator(), false)
                .map(filter -> filter.path("head").path("key").asString())
                .collect(Collectors.joining(" "));
    }

    @Test
    void whatIsProposedIsListedAndMade() {
        JsonNode proposal = api.get(api.site() + "/search-proposal").json();
        assertThat(proposal.path("kinds")).hasSize(7);
        assertThat(proposal.path("collections").path(0).path("items").asInt()).isEqualTo(20);
        assertThat(proposal.path("collections").path(1).path("on").asBoolean())
                .as("an empty collection")
                .isFalse();
        assertThat(proposal.path("parts"))
                .isNotEmpty()
                .allMatch(part -> !part.path("why").asString().isEmpty());
        JsonNode design = draft(added("{\"name\":\"Proposed\",\"proposal\":{}}"));
        assertThat(design.path("name").asString()).isEqualTo("Proposed");
        assertThat(filters(design)).isEqualTo("subject length");
        assertThat(design.path("reach").path("collections")).hasSize(1);
    }

    @Test
    void whatIsLeftAwayIsNotMade() {
        String left =
                "{\"name\":\"Less\",\"proposal\":{\"kind\":\"blog\",\"collections\":[\"posts\"],\"without\":[\"filter-length\"]}}";
        assertThat(filters(draft(added(left)))).isEqualTo("subject");
        JsonNode proposal = api.get(api.site() + "/search-proposal?kind=blog&without=filter-length")
                .json();
        assertThat(proposal.path("kind").asString()).isEqualTo("blog");
        assertThat(StreamSupport.stream(proposal.path("parts").spliterator(), false)
                        .filter(part -> !part.path("on").asBoolean())
                        .map(part -> part.path("key").asString()))
                .containsExactly("filter-length");
    }

    @Test
    void noCollectionsIsNotAllOfThem() {
        assertThat(api.get(api.site() + "/search-proposal?collection=").json().path("collections"))
                .hasSize(2)
                .noneMatch(one -> one.path("on").asBoolean());
    }

    @Test
    void aCopyHasTheDraftOfTheOtherUnderItsOwnName() {
        String first = added("{\"name\":\"First\",\"proposal\":{}}");
        String copy = added("{\"name\":\"Second\",\"copyOf\":\"" + first + "\"}");
        JsonNode design = draft(copy);
        assertThat(design.path("name").asString()).isEqualTo("Second");
        assertThat(design.path("filters")).isEqualTo(draft(first).path("filters"));
    }

    @Test
    void aSearchOfAnotherSiteIsNotCopied() {
        String mine = added("{\"name\":\"Mine\"}");
        Api.Answer refused =
                api.post("/api/owner/sites/elsewhere/searches", "{\"name\":\"Theirs\",\"copyOf\":\"" + mine + "\"}");
        assertThat(refused.status()).isEqualTo(404);
        assertThat(refused.text()).contains("no search \\\"mine\\\" to copy");
    }

    @Test
    void aKindThatThereIsNotIsRefusedWithThoseThatAre() {
        Api.Answer refused = api.get(api.site() + "/search-proposal?kind=shop");
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.json().path("detail").asString()).contains("\"shop\"", "recipes");
        assertThat(api.get(api.site() + "/search-proposal?collection=nothing").status())
                .isEqualTo(404);
    }

    @Test
    void aSiteWithoutContentIsProposedNothingToDecide() {
        JsonNode proposal =
                api.get("/api/owner/sites/elsewhere/search-proposal").json();
        assertThat(proposal.path("parts"))
                .noneMatch(part -> part.path("step").asString().equals("filters"));
        assertThat(api.post("/api/owner/sites/elsewhere/searches", "{\"name\":\"Bare\",\"proposal\":{}}")
                        .status())
                .isEqualTo(201);
    }
}
