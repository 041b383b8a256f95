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
import tidylantern.server.Designs;
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
            lines.append(
                    "{\"id\":\"b%02d\",\"title\":\"Boat %d\",\"where\":[\"North/%s\"],\"kind\":\"%s\",\"oars\":%d,\"dry\":%b,\"sails\":\"2027-%02d-05\",\"at\":{\"lat\":%s,\"lon\":-5,\"name\":\"%s\"}}\n"
                            .formatted(
                                    i,
                                    i,
                                    i % 3 == 0 ? "Cove <b>" : "Bay",
                                    i % 2 == 0 ? "Gig" : "Skiff",
                                    i,
                                    i % 5 == 0,
                                    1 + i % 12,
                                    50 + i / 100.0,
                                    i < 10 ? "Cove" : "Bay <b>"));
        }
        api.push("posts", lines.toString());
        search = api.publishedSearch("Shore");
        Api.Answer kept = filters(
                search,
                "[{\"head\":{\"key\":\"where\",\"label\":\"Where\"},\"source\":{\"of\":\"category\",\"field\":\"where\"}},{\"head\":{\"key\":\"kind\",\"label\":\"Kind\"},\"source\":{\"of\":\"category\",\"field\":\"kind\",\"list\":{\"order\":\"count\"}}}]");
        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
        api.send("POST", "/api/owner/searches/" + search + "/publish", "", Map.of("If-Match", kept.header("ETag")));
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    private static Api.Answer filters(String search, String filters) {
        Api.Answer draft = api.get("/api/owner/searches/" + search + "/draft");
        ObjectNode design = (ObjectNode) draft.json();
        design.set("filters", new JsonMapper().readTree(filters));
        return api.send(
                "PUT",
                "/api/owner/searches/" + search + "/draft",
                design.toString(),
                Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
    }

    private static JsonNode results(String parameters) {
        return api.get("/api/public/searches/" + search + "/results?" + parameters)
                .json();
    }

    private static List<String> values(JsonNode results, int filter) {
        return StreamSupport.stream(
                        results.path("filters").path(filter).path("values").spliterator(), false)
                .map(value -> value.path("value").asString() + " "
                        + value.path("count").asInt() + (value.path("selected").asBoolean() ? " ticked" : ""))
                .toList();
    }

    @Test
    void ofAValueIsToldWhatItHas() {
        JsonNode ticked = results("q=boat&kind=gig").path("filters");
        JsonNode branch = ticked.path(0).path("values").path(0);
        assertThat(branch.propertyNames()).containsExactlyInAnyOrder("value", "label", "count", "below", "children");
        assertThat(branch.path("children").path(0).propertyNames())
                .containsExactlyInAnyOrder("value", "label", "count");
        assertThat(ticked.path(1).path("values").path(0).propertyNames())
                .containsExactlyInAnyOrder("value", "label", "count", "selected");
        assertThat(results("q=nothing+at+all").path("filters").path(1).path("values"))
                .as("a number stays where it is 0")
                .isNotEmpty()
                .allMatch(value -> value.has("count"));
    }

    @Test
    void aParameterAFilterNarrowsAndItsAlternativesStayOnOffer() {
        JsonNode all = results("q=boat");
        assertThat(all.path("total").asInt()).isEqualTo(30);
        assertThat(all.path("filters")
                        .path(0)
                        .path("values")
                        .path(0)
                        .path("children")
                        .path(0)
                        .path("value")
                        .asString())
                .isEqualTo("north/bay");
        JsonNode ticked = results("q=boat&kind=gig&where=north/bay");
        assertThat(ticked.path("total").asInt()).isEqualTo(10);
        assertThat(values(ticked, 1)).containsExactly("gig 10 ticked", "skiff 10");
        assertThat(results("kind=gig&kind=skiff").path("total").asInt()).isEqualTo(30);
        assertThat(api.get("/api/public/searches/" + search)
                        .json()
                        .path("filters")
                        .toString())
                .isEqualTo("[\"where\",\"kind\"]");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "kind=nope",
                "kind=",
                "colour=red",
                "kind=%3Cb%3E",
                "where=north%2F",
                "kind=nope&kind=",
                "KIND=gig",
                "where=north/bay/below"
            })
    void whatIsUnknownInAnAddressIsPassedOver(String parameters) {
        assertThat(results("q=boat&" + parameters).path("total").asInt()).isEqualTo(30);
        assertThat(results("q=boat&where=north/bay&" + parameters.replace("where=", "other="))
                        .path("total")
                        .asInt())
                .as("and the rest is kept")
                .isEqualTo(20);
    }

    @Test
    void theHostedPageNarrowsWithoutScriptAndKeepsWhatIsTicked() {
        String page = api.get("/s/" + search + "?q=boat&kind=gig").text().replace("&#x3D;", "=");
        assertThat(page)
                .contains("15 results, page 1 of 2")
                .contains("name=\"kind\" value=\"gig\" checked")
                .contains("Cove &lt;b&gt;")
                .contains("/s/" + search + "?q=boat&amp;page=2&amp;kind=gig")
                .contains("Clear all");
        assertThat(api.get("/s/" + search + "?q=boat").text()).doesNotContain("Clear all");
    }

    @Test
    void valuesOfAFilterAreAskedForByTheOneAboveOrByName() {
        String values = "/api/public/searches/" + search + "/filters/where/values?kind=gig&";
        assertThat(api.get(values + "below=north").json().toString())
                .contains("\"label\":\"Bay\",\"count\":10", "\"label\":\"Cove <b>\",\"count\":5");
        assertThat(api.get(values + "named=COVE").json()).hasSize(1);
        assertThat(api.get(values + "below=south").json()).isEmpty();
        assertThat(api.get(values.replace("where", "nope") + "named=cove").json())
                .isEmpty();
        assertThat(api.get("/api/owner/searches/" + search + "/draft/filters/where/values?named=bay")
                        .json())
                .hasSize(1);
    }

    /** Published once with a filter of every other kind. */
    private static String decks() {
        String decks = api.publishedSearch("Decks");
        Api.Answer kept = filters(
                decks,
                "[{\"head\":{\"key\":\"oars\",\"label\":\"Oars\"},\"source\":{\"of\":\"number\",\"field\":\"oars\"}},{\"head\":{\"key\":\"dry\",\"label\":\"Dry\"},\"source\":{\"of\":\"yes-no\",\"field\":\"dry\"}},{\"head\":{\"key\":\"sails\",\"label\":\"Sails\"},\"source\":{\"of\":\"day\",\"field\":\"sails\",\"control\":\"months\"}},"
                        + "{\"head\":{\"key\":\"kind\",\"label\":\"Kind\"},\"source\":{\"of\":\"category\",\"field\":\"kind\",\"control\":\"one-of\",\"neutral\":\"Any boat\"}},{\"head\":{\"key\":\"called\",\"label\":\"Called\"},\"source\":{\"of\":\"word\",\"field\":\"title\"}}]");
        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
        assertThat(api.send(
                                "POST",
                                "/api/owner/searches/" + decks + "/publish",
                                "",
                                Map.of("If-Match", kept.header("ETag")))
                        .status())
                .isEqualTo(200);
        return decks;
    }

    @Test
    void boundsMonthsAnswersAndWordsAreParametersToo() {
        String results = "/api/public/searches/" + decks() + "/results?";
        JsonNode answer = api.get(results + "oars=10..19&dry=yes&kind=gig&kind=skiff&called=boat")
                .json();
        assertThat(answer.path("total").asInt())
                .as("10 alone: dry are 10 and 15, gigs the even ones, and one kind holds")
                .isEqualTo(1);
        JsonNode bounds = answer.path("filters").path(0).path("bounds");
        assertThat(List.of(
                        bounds.path("min").asString(),
                        bounds.path("max").asString(),
                        bounds.path("from").asString(),
                        bounds.path("to").asString()))
                .containsExactly("0", "29", "10", "19");
        assertThat(bounds.path("count").asInt())
                .as("0, 10 and 20 without the bounds")
                .isEqualTo(3);
        assertThat(api.get(results + "sails=2027-02").json().path("total").asInt())
                .isEqualTo(3);
        for (String wrong : List.of(
                "oars=19..10",
                "oars=a..b",
                "oars=..",
                "dry=perhaps",
                "sails=2027-02-30..",
                "sails=2027-13",
                "kind=",
                "called=%21",
                "oars=%3Cb%3E..",
                "oars=" + "9".repeat(400) + "..")) {
            assertThat(api.get(results + wrong).json().path("total").asInt())
                    .as(wrong)
                    .isEqualTo(30);
            assertThat(api.get(results + wrong + "&q=boat&sails=2027-02")
                            .json()
                            .path("total")
                            .asInt())
                    .as("the rest of %s is kept", wrong)
                    .isEqualTo(3);
        }
        String page = api.get(results.replace("/api/public/searches/", "/s/").replace("/results", "")
                        + "oars=10..19&kind=gig")
                .text()
                .replace("&#x3D;", "=");
        assertThat(page)
                .as("without script")
                .contains("name=\"oars\" value=\"10..19\" placeholder=\"0..29\"")
                .contains("type=\"radio\" name=\"kind\" value=\"gig\" checked")
                .contains("5 results")
                .contains("name=\"kind\" value=\"\"> Any boat");
    }

    @Test
    void distancesStartsAndJointFiltersAreParametersToo() {
        String quays = api.publishedSearch("Quays");
        Api.Answer kept = filters(
                quays,
                "[{\"head\":{\"key\":\"near-me\",\"label\":\"Near\"},\"source\":{\"of\":\"distance\",\"field\":\"at\",\"radii\":[2,5]}},"
                        + "{\"head\":{\"key\":\"what\",\"label\":\"What\"},\"source\":{\"of\":\"joint\",\"parts\":[{\"head\":{\"key\":\"kind\",\"label\":\"Kind\"},\"source\":{\"of\":\"category\",\"field\":\"kind\",\"looks\":{\"pictures\":{\"gig\":\"/gig.svg\"}}}},{\"head\":{\"key\":\"dry\",\"label\":\"Dry\"},\"source\":{\"of\":\"yes-no\",\"field\":\"dry\"}}],\"start\":[\"kind:gig\"]}}]");
        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
        assertThat(api.send(
                                "POST",
                                "/api/owner/searches/" + quays + "/publish",
                                "",
                                Map.of("If-Match", kept.header("ETag")))
                        .status())
                .isEqualTo(200);
        String address = "/api/public/searches/" + quays;
        JsonNode begun = api.get(address + "/results?q=boat").json();
        assertThat(begun.path("total").asInt()).as("the start").isEqualTo(15);
        assertThat(begun.path("filters").path(1).path("start").toString()).isEqualTo("[\"kind:gig\"]");
        assertThat(begun.path("filters")
                        .path(1)
                        .path("values")
                        .path(0)
                        .path("picture")
                        .asString())
                .as("of the site, wherever it is shown")
                .endsWith("isles.example/gig.svg");
        assertThat(api.get(address + "/results?q=boat&what=")
                        .json()
                        .path("total")
                        .asInt())
                .as("nothing, although the start is something")
                .isEqualTo(30);
        assertThat(api.get(address + "/results?q=boat&what=dry:yes")
                        .json()
                        .path("total")
                        .asInt())
                .isEqualTo(6);
        assertThat(api.get(address + "/live?q=boat&what=dry:yes")
                        .json()
                        .path("total")
                        .asInt())
                .as("the short list follows")
                .isEqualTo(6);
        JsonNode around =
                api.get(address + "/results?what=&place=cove&near-me=2").json();
        assertThat(around.path("total").asInt())
                .as("Cove's middle is 50.045; a hundredth of a degree is 1.11 km")
                .isEqualTo(4);
        assertThat(around.path("filters").path(0).path("around").path("names").toString())
                .isEqualTo("[\"Bay <b>\",\"Cove\"]");
        assertThat(api.get(address + "/results?what=&near=50,-5&within=2")
                        .json()
                        .path("total")
                        .asInt())
                .as("as the contract says it")
                .isEqualTo(2);
        for (String wrong : List.of(
                "near=a,b", "near=91,0", "place=Nowhere", "near=50,-5&near-me=-1", "within=2", "near=50,-5&within=x")) {
            assertThat(api.get(address + "/results?what=dry:yes&" + wrong)
                            .json()
                            .path("total")
                            .asInt())
                    .as("%s says nothing, and the rest is kept", wrong)
                    .isEqualTo(6);
        }
        String page = api.get("/s/" + quays + "?q=boat&place=cove&near-me=5&what=")
                .text()
                .replace("&#x3D;", "=");
        assertThat(page)
                .as("without script")
                .contains(
                        "name=\"place\" value=\"Cove\"",
                        "type=\"radio\" name=\"near-me\" value=\"5\" checked",
                        "<input type=\"hidden\" name=\"what\" value=\"\">",
                        ">Kind</b>",
                        "8 results");
        JsonNode figures = api.get("/api/owner/searches/" + quays + "/draft/filter-figures")
                .json();
        assertThat(figures.path(1).path("figures").path("values").asInt())
                .as("gig, skiff and the yes of dry")
                .isEqualTo(3);
        assertThat(api.get(address).json().path("filterPlaces").path("box").toString())
                .isEqualTo("{\"shown\":true,\"atOnce\":true,\"opened\":\"in-view\"}");
    }

    @Test
    void visitorsChooseAnOrderWithAndWithoutScript() {
        String piers = api.publishedSearch("Piers");
        Api.Answer draft = api.get("/api/owner/searches/" + piers + "/draft");
        ObjectNode design = (ObjectNode) draft.json();
        Designs.set(
                design,
                "order",
                new JsonMapper()
                        .readTree(
                                "{\"withoutWords\":[{\"by\":\"distance\",\"without\":{\"by\":\"number\",\"field\":\"oars\",\"down\":true}}],\"choices\":[{\"key\":\"few\",\"label\":\"Fewest oars\",\"by\":[{\"by\":\"number\",\"field\":\"oars\"}]}],\"label\":\"Closest\"}"));
        Api.Answer kept = api.send(
                "PUT",
                "/api/owner/searches/" + piers + "/draft",
                design.toString(),
                Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
        assertThat(api.get("/api/owner/searches/" + piers)
                        .json()
                        .path("differences")
                        .toString())
                .contains("[\"ranking\",\"order\",\"withoutWords\"]", "[\"ranking\",\"order\",\"choices\",\"few\"]");
        api.send("POST", "/api/owner/searches/" + piers + "/publish", "", Map.of("If-Match", kept.header("ETag")));
        String address = "/api/public/searches/" + piers + "/results";
        assertThat(api.get(address).json().path("hits").path(0).path("id").asString())
                .as("without a place")
                .isEqualTo("b29");
        JsonNode near = api.get(address + "?near=50.1,-5").json();
        assertThat(near.path("hits").path(0).path("id").asString()).isEqualTo("b10");
        assertThat(near.path("hits").path(1).path("distanceKm").asDouble()).isBetween(1.11, 1.12);
        JsonNode chosen = api.get(address + "?near=50.1,-5&order=few").json();
        assertThat(chosen.path("hits").path(0).path("id").asString()).isEqualTo("b00");
        assertThat(chosen.path("orders").toString())
                .isEqualTo(
                        "[{\"key\":\"\",\"label\":\"Closest\",\"selected\":false},{\"key\":\"few\",\"label\":\"Fewest oars\",\"selected\":true}]");
        assertThat(api.get(address + "?order=no-such&near=50.1,-5")
                        .json()
                        .path("hits")
                        .path(0)
                        .path("id")
                        .asString())
                .isEqualTo("b10");
        String page = api.get("/s/" + piers + "?order=few&near=50.1,-5").text().replace("&#x3D;", "=");
        assertThat(page)
                .contains("<option value=\"few\" selected>Fewest oars", "page=2&amp;near=50.1%2C-5&amp;order=few")
                .doesNotContain("Clear all");
        Designs.set(design, "order", new JsonMapper().readTree("{\"withWords\":[{\"by\":\"number\"}]}"));
        Api.Answer refused = api.send(
                "PUT",
                "/api/owner/searches/" + piers + "/draft",
                design.toString(),
                Map.of("Content-Type", "application/json", "If-Match", kept.header("ETag")));
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.json().path("field").asString()).isEqualTo("ranking.order.withWords[0].field");
    }

    @Test
    void filtersAreProposedFromTheContent() {
        JsonNode proposals = api.get("/api/owner/searches/" + search + "/draft/filter-proposals")
                .json();
        assertThat(StreamSupport.stream(proposals.spliterator(), false)
                        .map(one -> one.path("field").asString() + " "
                                + one.path("says").path("items").asInt() + " "
                                + one.path("says").path("values").asInt() + " "
                                + one.path("says").path("tree").asBoolean())
                        .toList())
                .containsExactlyInAnyOrder(
                        "where 30 3 true",
                        "kind 30 2 false",
                        "oars 30 0 false",
                        "dry 30 0 false",
                        "sails 30 0 false",
                        "at 30 0 false");
        JsonNode oars = StreamSupport.stream(proposals.spliterator(), false)
                .filter(one -> one.path("field").asString().equals("oars"))
                .findFirst()
                .orElseThrow();
        assertThat(List.of(
                        oars.path("filter").path("source").path("control").asString(),
                        oars.path("says").path("least").asString(),
                        oars.path("says").path("greatest").asString()))
                .containsExactly("range", "0", "29");
        JsonNode all = api.get("/api/owner/design-rules").json();
        JsonNode rules = all.path("filters");
        assertThat(rules.path("controls").path("number").toString())
                .isEqualTo("[\"range\",\"bands\",\"at-least\",\"at-most\"]");
        assertThat(rules.path("controls").path("image")).isEmpty();
        assertThat(rules.path("joinable").toString()).isEqualTo("[\"category\",\"yes-no\"]");
        assertThat(all.path("limits").path("filters.source.parts").toString()).isEqualTo("{\"least\":2,\"most\":12}");
        assertThat(api.get("/api/owner/searches/" + search + "/draft/filter-values?field=where")
                        .json())
                .hasSize(3);
        assertThat(api.get("/api/owner/searches/" + search + "/draft/filter-values?field=title")
                        .status())
                .isEqualTo(404);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "[{\"head\":{\"key\":\"q\",\"label\":\"Q\"},\"source\":{\"of\":\"category\",\"field\":\"kind\"}}] | filters[0].head.key",
                "[{\"head\":{\"key\":\"k\",\"label\":\"\"},\"source\":{\"of\":\"category\",\"field\":\"kind\"}}] | filters[0].head.label",
                "[{\"head\":{\"key\":\"k\",\"label\":\"K\"},\"source\":{\"of\":\"category\",\"field\":\"kind\"}},{\"head\":{\"key\":\"k\",\"label\":\"L\"},\"source\":{\"of\":\"category\",\"field\":\"where\"}}] | filters[1]",
                "[{\"head\":{\"key\":\"k\",\"label\":\"K\"},\"source\":{\"of\":\"category\",\"field\":\"kind\",\"list\":{\"cutAfter\":0}}}] | filters[0].source.list.cutAfter",
                "[{\"head\":{\"key\":\"k\",\"label\":\"K\"},\"source\":{\"of\":\"category\",\"field\":\"kind\"},\"colour\":\"red\"}] | filters[0].colour",
                "[{\"head\":{\"key\":\"k\",\"label\":\"K\"},\"source\":{\"of\":\"category\"}}] | filters[0].source.field",
                "[{\"head\":{\"key\":\"k\",\"label\":\"K\"},\"source\":{\"field\":\"kind\"}}] | filters[0].source",
                "[{\"head\":{\"key\":\"k\",\"label\":\"K\"}}] | filters[0].source",
                "[{\"head\":{\"key\":\"k\",\"label\":\"K\"},\"source\":{\"of\":\"category\",\"field\":\"kind\",\"control\":\"range\"}}] | filters[0].source.control",
                "[{\"head\":{\"key\":\"k\",\"label\":\"K\"},\"source\":{\"of\":\"day\",\"field\":\"sails\",\"bands\":[1]}}] | filters[0].source.bands"
            })
    void whatIsNoFilterIsRefusedNamingTheKey(String filters, String field) {
        Api.Answer refused = filters(search, filters);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.json().path("field").asString()).isEqualTo(field);
    }
}
