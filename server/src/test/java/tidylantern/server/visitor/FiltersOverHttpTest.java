package tidylantern.server.visitor;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Filters as visitors' browsers ask for them, with and without script, and as owners set them up. */
class FiltersOverHttpTest {
    private static RunningService service;
    private static Api api;
    private static String search;

    @BeforeAll
    static void start(@TempDir Path data) {
        service = RunningService.on(data);
        api = service.api().withSite();
        StringBuilder lines = new StringBuilder();
        for (int i = 0; i < 30; i++) {
            lines.append("{\"id\":\"b%02d\",\"title\":\"Boat %d\",\"where\":[\"North/%s\"],\"kind\":\"%s\"}\n".formatted(i, i, i % 3 == 0 ? "Cove <b>" : "Bay", i % 2 == 0 ? "Gig" : "Skiff"));
        }
        api.push("posts", lines.toString());
        search = api.publishedSearch("Shore");
        Api.Answer kept = filters("[{\"key\":\"where\",\"label\":\"Where\",\"field\":\"where\"},{\"key\":\"kind\",\"label\":\"Kind\",\"field\":\"kind\",\"order\":\"count\"}]");
        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
        api.send("POST", "/api/owner/searches/" + search + "/publish", "", Map.of("If-Match", kept.header("ETag")));
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    private static Api.Answer filters(String filters) {
        Api.Answer draft = api.get("/api/owner/searches/" + search + "/draft");
        ObjectNode design = (ObjectNode) draft.json();
        design.set("filters", new JsonMapper().readTree(filters));
        return api.send("PUT", "/api/owner/searches/" + search + "/draft", design.toString(), Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
    }

    private static JsonNode results(String parameters) {
        return api.get("/api/public/searches/" + search + "/results?" + parameters).json();
    }

    private static List<String> values(JsonNode results, int filter) {
        return StreamSupport.stream(results.path("filters").path(filter).path("values").spliterator(), false).map(value -> value.path("value").asString() + " " + value.path("count").asInt() + (value.path("selected").asBoolean() ? " ticked" : "")).toList();
    }

    @Test
    void aParameterAFilterNarrowsAndItsAlternativesStayOnOffer() {
        JsonNode all = results("q=boat");
        assertThat(all.path("total").asInt()).isEqualTo(30);
        assertThat(all.path("filters").path(0).path("values").path(0).path("children").path(0).path("value").asString()).isEqualTo("north/bay");
        JsonNode ticked = results("q=boat&kind=gig&where=north/bay");
        assertThat(ticked.path("total").asInt()).isEqualTo(10);
        assertThat(values(ticked, 1)).containsExactly("gig 10 ticked", "skiff 10");
        assertThat(results("kind=gig&kind=skiff").path("total").asInt()).isEqualTo(30);
        assertThat(api.get("/api/public/searches/" + search).json().path("filters").toString()).isEqualTo("[\"where\",\"kind\"]");
    }

    @ParameterizedTest
    @ValueSource(strings = {"kind=nope", "kind=", "colour=red", "kind=%3Cb%3E", "where=north%2F", "kind=nope&kind=", "KIND=gig", "where=north/bay/below"})
    void whatIsUnknownInAnAddressIsPassedOver(String parameters) {
        assertThat(results("q=boat&" + parameters).path("total").asInt()).isEqualTo(30);
        assertThat(results("q=boat&where=north/bay&" + parameters.replace("where=", "other=")).path("total").asInt()).as("and the rest is kept").isEqualTo(20);
    }

    @Test
    void theHostedPageNarrowsWithoutScriptAndKeepsWhatIsTicked() {
        String page = api.get("/s/" + search + "?q=boat&kind=gig").text().replace("&#x3D;", "=");
        assertThat(page).contains("15 results, page 1 of 2").contains("name=\"kind\" value=\"gig\" checked").contains("Cove &lt;b&gt;").contains("/s/" + search + "?q=boat&amp;page=2&amp;kind=gig").contains("Clear all");
        assertThat(api.get("/s/" + search + "?q=boat").text()).doesNotContain("Clear all");
    }

    @Test
    void filtersAreProposedFromTheContent() {
        JsonNode proposals = api.get("/api/owner/searches/" + search + "/draft/filter-proposals").json();
        assertThat(StreamSupport.stream(proposals.spliterator(), false).map(one -> one.path("field").asString() + " " + one.path("items").asInt() + " " + one.path("values").asInt() + " " + one.path("tree").asBoolean()).toList())
                .containsExactlyInAnyOrder("where 30 3 true", "kind 30 2 false");
        assertThat(api.get("/api/owner/searches/" + search + "/draft/filter-values?field=where").json()).hasSize(3);
        assertThat(api.get("/api/owner/searches/" + search + "/draft/filter-values?field=title").status()).isEqualTo(404);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"[{\"key\":\"q\",\"label\":\"Q\",\"field\":\"kind\"}] | filters[0].key", "[{\"key\":\"k\",\"label\":\"\",\"field\":\"kind\"}] | filters[0].label",
            "[{\"key\":\"k\",\"label\":\"K\",\"field\":\"kind\"},{\"key\":\"k\",\"label\":\"L\",\"field\":\"where\"}] | filters[1]", "[{\"key\":\"k\",\"label\":\"K\",\"field\":\"kind\",\"cutAfter\":0}] | filters[0].cutAfter",
            "[{\"key\":\"k\",\"label\":\"K\",\"field\":\"kind\",\"colour\":\"red\"}] | filters[0].colour"})
    void whatIsNoFilterIsRefusedNamingTheKey(String filters, String field) {
        Api.Answer refused = filters(filters);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.json().path("field").asString()).isEqualTo(field);
    }
}
