package tidylantern.server.visitor;

import static org.assertj.core.api.Assertions.assertThat;

import com.rometools.rome.feed.synd.SyndEntry;
import com.rometools.rome.feed.synd.SyndFeed;
import com.rometools.rome.io.SyndFeedInput;
import java.io.StringReader;
import java.nio.file.Path;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.StreamSupport;
import javax.xml.parsers.DocumentBuilderFactory;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.w3c.dom.Element;
import org.xml.sax.InputSource;
import tidylantern.server.Api;
import tidylantern.server.Designs;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The box, live results and the results page as answers, the style sheet and the page without script have them. */
class PlacesOverHttpTest {
    private static RunningService service;
    private static Api api;

    @BeforeAll
    static void start(@TempDir Path data) {
        service = RunningService.on(data);
        api = service.api().withSite();
        api.put(api.site() + "/collections/trips", "{\"label\":\"Trips <b>\",\"language\":\"en\"}");
        StringBuilder posts = new StringBuilder();
        for (int i = 0; i < 25; i++) {
            posts.append("{\"id\":\"p%02d\",\"title\":\"Boat %d\",\"url\":\"/p%d\"}\n".formatted(i, i, i));
        }
        posts.append("{\"id\":\"odd\",\"title\":\"Odd </script><b>boat\",\"url\":\"/odd\"}\n");
        api.push("posts", posts.toString());
        api.push("trips", "{\"id\":\"t\",\"title\":\"Boat trip\",\"url\":\"/t\"}");
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    private static Api.Answer keep(String search, Consumer<ObjectNode> change) {
        Api.Answer now = api.get("/api/owner/searches/" + search + "/draft");
        ObjectNode design = (ObjectNode) now.json();
        change.accept(design);
        return api.send(
                "PUT",
                "/api/owner/searches/" + search + "/draft",
                design.toString(),
                Map.of("Content-Type", "application/json", "If-Match", now.header("ETag")));
    }

    private static Api.Answer keep(String search, String part, String value) {
        return keep(
                search, design -> Designs.set(design, part, JsonMapper.shared().readTree(value)));
    }

    private static void publish(String search, Api.Answer kept) {
        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
        api.send("POST", "/api/owner/searches/" + search + "/publish", "", Map.of("If-Match", kept.header("ETag")));
    }

    private static JsonNode face(String search) {
        return api.get("/api/public/searches/" + search).json();
    }

    @Test
    void aDocumentWithoutPlacesReadsAsEverythingAsUsual() {
        String search = api.publishedSearch("Old");
        publish(search, keep(search, design -> {
            Designs.around(design, "box").remove("box");
            Designs.around(design, "live").remove("live");
            Designs.set(design, "page", JsonMapper.shared().readTree("{\"address\": \"/find\", \"perPage\": 5}"));
        }));

        JsonNode face = face(search);

        assertThat(face.path("box").path("wide").path("opening").asString()).isEqualTo("always");
        assertThat(face.path("box").path("wide").path("sign").asString()).startsWith("M");
        assertThat(face.path("box").path("chooses").asBoolean()).isFalse();
        assertThat(face.path("live").path("most").asInt()).isEqualTo(8);
        assertThat(face.path("inAddress").asBoolean()).isTrue();
        assertThat(face.path("resultsPage").asString()).isEqualTo("https://isles.example/find");
        JsonNode list = api.results(search, "boat").json().path("list");
        assertThat(list.path("layout").path("arranged").asString()).isEqualTo("list");
        assertThat(list.path("paging").asString()).isEqualTo("numbers");
    }

    @Test
    void whatTheBoxWearsIsInTheStyleSheetInBothShades() {
        String search = api.publishedSearch("Dressed");
        publish(search, keep(search, "box", """
                {"dress": {"sizes": {"height": 60, "edge": 0, "width": 480}, "angle": 120,
                  "type": {"font": "Charter, serif", "weight": 600},
                  "rest": {"ground": "#0e5f63", "ending": "accent", "text": "#0e5f63"},
                  "focused": {"edge": "#ff0000"}, "over": {"ground": "mark", "spacing": 40}}}"""));

        String css = api.get("/api/public/searches/" + search + "/look.css").text();

        assertThat(css)
                .contains(
                        "--box-width: 480px; --box-height: 60px;",
                        "--box-edges: 0px;",
                        "--box-font: Charter, serif; --box-weight: 600;",
                        "--over-spacing: 40px;",
                        ".worn:is(.light, .visitor) .box { --box-paint: linear-gradient(120deg, #0e5f63, ",
                        ".worn.dark .box { --box-paint:",
                        ".box:focus-within {",
                        "--over-ground: #");
        Api.Answer whole = api.get("/s/" + search + "/page.css");
        assertThat(whole.text()).as("the hosted page wears it, and its cards").contains(css, "li.card", ".card-body");
        assertThat(api.send("GET", "/s/" + search + "/page.css", null, Map.of("If-None-Match", whole.header("ETag")))
                        .status())
                .isEqualTo(304);
        assertThat(css).as("words as dark as their ground give way").doesNotContain("--text: #0e5f63");
    }

    @Test
    void aChooserStandsInAnswersTheFaceAndThePageWithoutScript() {
        String search = api.publishedSearch("Chooser");
        publish(search, keep(search, "box", "{\"chooser\": {\"field\": \"@collection\"}}"));

        assertThat(face(search).path("box").path("chooses").asBoolean()).isTrue();
        JsonNode all = api.results(search, "boat").json();
        JsonNode narrowed = api.get("/api/public/searches/" + search + "/results?q=boat&in=trips")
                .json();
        assertThat(all.path("total").asInt()).isEqualTo(27);
        assertThat(narrowed.path("total").asInt()).isEqualTo(1);
        assertThat(api.get("/api/public/searches/" + search + "/live?q=boat&in=trips")
                        .json()
                        .path("total")
                        .asInt())
                .isEqualTo(1);
        String page = api.get("/s/" + search + "?q=boat&in=trips").text();
        assertThat(page)
                .contains("<select name=\"in\"", "<option value=\"trips\" selected>Trips &lt;b&gt;</option>")
                .contains("1 result")
                .doesNotContain("Trips <b>");
    }

    @Test
    void liveResultsStandInOneListWhereTheOwnerSaysSo() {
        String search = api.publishedSearch("One list");
        publish(search, keep(search, "live", "{\"grouped\": false, \"most\": 12}"));

        JsonNode live =
                api.get("/api/public/searches/" + search + "/live?q=boat").json();

        assertThat(live.path("groups")).hasSize(1);
        assertThat(live.path("groups").path(0).path("collection").isNull()).isTrue();
        assertThat(live.path("groups").path(0).path("hits")).hasSize(12);
        assertThat(live.path("groups").path(0).path("total").asInt()).isEqualTo(27);
    }

    @Test
    void aListEndsAfterAsManyAsTheOwnerSays() {
        String search = api.publishedSearch("Capped");
        publish(search, keep(search, "page", "{\"perPage\": 10, \"most\": 12, \"paging\": \"more\"}"));

        JsonNode second = api.get("/api/public/searches/" + search + "/results?q=boat&page=2")
                .json();

        assertThat(second.path("pages").asInt()).isEqualTo(2);
        assertThat(second.path("hits")).hasSize(2);
        assertThat(second.path("total").asInt()).isEqualTo(27);
        assertThat(second.path("list").path("paging").asString()).isEqualTo("more");
    }

    @Test
    void whereNothingStartsThePageWithoutScriptHasNoList() {
        String search = api.publishedSearch("Nothing first");
        publish(search, keep(search, "page", "{\"start\": {\"with\": \"nothing\"}}"));

        assertThat(api.get("/s/" + search).text()).doesNotContain("Boat 1", "27 results");
        assertThat(api.get("/s/" + search + "?q=boat").text()).contains("27 results");
    }

    @Test
    void aPageOnWhichNothingIsFoundLeadsOnWithoutScriptToo() {
        String search = api.publishedSearch("Ways on");
        publish(search, keep(search, "box", "{\"chooser\": {\"field\": \"@collection\"}}"));
        publish(search, keep(search, "page", "{\"shows\": {\"nothing\": {\"sign\": \"lamp\"}}}"));

        JsonNode results = api.get("/api/public/searches/" + search + "/results?q=odd&in=trips")
                .json();

        assertThat(results.path("withoutOne").path(0).path("filter").asString()).isEqualTo("in");
        assertThat(results.path("withoutOne").path(0).path("total").asInt()).isEqualTo(1);
        assertThat(results.path("list").path("nothingSign").asString()).startsWith("M");
        assertThat(api.get("/s/" + search + "?q=odd&in=trips").text())
                .contains("<a href=\"/s/" + search + "?q&#x3D;odd\">Without Trips &lt;b&gt;</a> (1)");

        publish(search, keep(search, "page", """
                {"shows": {"nothing": {"withoutOne": false, "everything": false}}}"""));
        assertThat(api.get("/s/" + search + "?q=odd&in=trips").text()).doesNotContain("Without", "Look at everything");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "box  | {\"dress\": {\"sizes\": {\"height\": 5}}}        | places.box.dress.sizes.height",
                "box  | {\"dress\": {\"rest\": {\"ground\": \"sea\"}}}     | places.box.dress.rest.ground",
                "box  | {\"dress\": {\"rest\": {\"ending\": \"#fff\"}}}    | places.box.dress.rest.ending",
                "box  | {\"wide\": {\"button\": {\"size\": 400}}}        | places.box.wide.button.size",
                "box  | {\"wide\": {\"opening\": \"sideways\"}}          | places.box.wide.opening",
                "box  | {\"chooser\": {}}                            | places.box.chooser.field",
                "box  | {\"colour\": \"#fff\"}                         | places.box.colour",
                "live | {\"most\": 31}                               | places.live.most",
                "live | {\"form\": {\"width\": 319}}                   | places.live.form.width",
                "live | {\"asking\": {\"pause\": 2001}}                | places.live.asking.pause",
                "page | {\"most\": 0}                                | places.page.most",
                "page | {\"address\": \"javascript:alert(1)\"}         | places.page.address"
            })
    void whatCannotHoldIsRefusedByItsPath(String part, String value, String path) {
        String search = api.publishedSearch("Refused");

        Api.Answer refused = keep(search, part, value);

        assertThat(refused.status()).isBetween(400, 422);
        assertThat(refused.json().path("field").asString()).isEqualTo(path);
    }

    @Test
    void whatAPlaceCanBeMadeOfIsTold() {
        String search = api.publishedSearch("Choices");

        JsonNode choices =
                api.get("/api/owner/searches/" + search + "/draft/places").json();

        assertThat(StreamSupport.stream(choices.path("boxes").spliterator(), false)
                        .map(one -> one.path("ready").asString()))
                .contains("plain", "greeting", "sign-only");
        assertThat(choices.path("choosers").path(0).path("field").asString()).isEqualTo("@collection");
        for (JsonNode ready : choices.path("boxes")) {
            assertThat(keep(search, "box", ready.path("box").toString()).status())
                    .as(ready.path("ready").asString())
                    .isEqualTo(200);
        }
    }

    @Test
    void searchEnginesMayListThePageItselfAndNoQueryOfIt() {
        String search = api.publishedSearch("Listed");

        assertThat(api.get("/s/" + search).text())
                .contains("<meta name=\"description\" content=\"Search isles: 27 entries, by words")
                .contains("/s/" + search + "\">", "<link rel=\"canonical\"")
                .doesNotContain("noindex");
        assertThat(api.get("/s/" + search + "?q=").text()).doesNotContain("noindex");
        assertThat(api.get("/s/" + search + "?q=boat").text())
                .contains("noindex")
                .doesNotContain("canonical");
        assertThat(api.get("/s/" + search + "?page=2").text()).contains("noindex");

        publish(search, keep(search, "page", "{\"told\": {\"listed\": false}}"));
        assertThat(api.get("/s/" + search).text()).contains("noindex");
        publish(search, keep(search, "page", "{\"address\": \"/find\"}"));
        assertThat(api.get("/s/" + search).text())
                .as("where a page of the site's own is the results page")
                .contains("noindex");
    }

    /** Types and properties of schema.org, from memory of its pages on WebSite, SearchAction, ItemList and ListItem. */
    private static final Map<String, Set<String>> SCHEMA_ORG = Map.of(
            "WebSite", Set.of("name", "url", "potentialAction"),
            "SearchAction", Set.of("target", "query-input"),
            "EntryPoint", Set.of("urlTemplate"),
            "ItemList", Set.of("numberOfItems", "itemListElement"),
            "ListItem", Set.of("position", "name", "url"));

    private static void mustBeOfSchemaOrg(JsonNode node) {
        if (node.isObject()) {
            Set<String> known = SCHEMA_ORG.get(node.path("@type").asString());
            assertThat(known).as("%s", node).isNotNull();
            node.properties().forEach(property -> {
                if (!property.getKey().startsWith("@")) {
                    assertThat(known).contains(property.getKey());
                }
                if (!property.getValue().isString() && !property.getValue().isNumber()) {
                    mustBeOfSchemaOrg(property.getValue());
                }
            });
        } else {
            node.forEach(PlacesOverHttpTest::mustBeOfSchemaOrg);
        }
    }

    @Test
    void thePageSaysInTheWordsOfSchemaOrgWhatItIsAndHolds() {
        String search = api.publishedSearch("Data");
        String page = api.get("/s/" + search + "?q=odd+boat").text();
        Matcher script = Pattern.compile("<script type=\"application/ld\\+json\">(.*?)</script>", Pattern.DOTALL)
                .matcher(page);
        assertThat(script.find()).isTrue();

        JsonNode data = JsonMapper.shared().readTree(script.group(1));

        mustBeOfSchemaOrg(data);
        assertThat(data).allMatch(one -> one.path("@context").asString().equals("https://schema.org"));
        assertThat(data.path(0)
                        .path("potentialAction")
                        .path("target")
                        .path("urlTemplate")
                        .asString())
                .endsWith("/s/" + search + "?q={search_term_string}");
        JsonNode first = data.path(1).path("itemListElement").path(0);
        assertThat(first.path("name").asString()).isEqualTo("Odd </script><b>boat");
        assertThat(first.path("url").asString()).isEqualTo("https://isles.example/odd");
        assertThat(first.path("position").asInt()).isEqualTo(1);
    }

    /** OpenSearch 1.1 Draft 6: the elements that a description needs, and how long they may be. */
    @Test
    void browsersCanSearchTheSite() throws Exception {
        String search = api.publishedSearch("A search with a long name & more");
        Api.Answer answer = api.get("/s/" + search + "/opensearch.xml");
        assertThat(answer.header("Content-Type")).startsWith("application/opensearchdescription+xml");

        DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
        factory.setNamespaceAware(true);
        Element description = factory.newDocumentBuilder()
                .parse(new InputSource(new StringReader(answer.text())))
                .getDocumentElement();

        String namespace = "http://a9.com/-/spec/opensearch/1.1/";
        assertThat(description.getNamespaceURI()).isEqualTo(namespace);
        assertThat(description.getLocalName()).isEqualTo("OpenSearchDescription");
        assertThat(text(description, "ShortName")).hasSizeBetween(1, 16).isEqualTo("A search with a ");
        assertThat(text(description, "LongName")).hasSizeLessThanOrEqualTo(80);
        assertThat(text(description, "Description")).isNotEmpty().hasSizeLessThanOrEqualTo(1024);
        Element url =
                (Element) description.getElementsByTagNameNS(namespace, "Url").item(0);
        assertThat(url.getAttribute("type")).isEqualTo("text/html");
        String template = url.getAttribute("template");
        assertThat(template).contains("{searchTerms}");
        String asked = template.replaceFirst("https?://[^/]+", "")
                .replace("{searchTerms}", "boat")
                .replace("{startPage?}", "2");
        assertThat(api.get(asked).text()).contains("Results for “boat”", "page 2 of");
        assertThat(api.get("/s/" + search).text()).contains("/s/" + search + "/opensearch.xml");
    }

    /** RFC 4287: what a feed and an entry must have; read by rome's own parser. */
    @Test
    void resultsAreAFeedToo() throws Exception {
        String search = api.publishedSearch("Feed");
        Api.Answer answer = api.get("/s/" + search + "/results.atom?q=boat&page=2");
        assertThat(answer.header("Content-Type")).startsWith("application/atom+xml");

        SyndFeed feed = new SyndFeedInput().build(new StringReader(answer.text()));

        assertThat(feed.getFeedType()).isEqualTo("atom_1.0");
        assertThat(feed.getTitle()).startsWith("Results for “boat” – ");
        assertThat(feed.getUri()).endsWith("/s/" + search + "/results.atom?q=boat&page=2");
        assertThat(feed.getLinks())
                .extracting(link -> link.getRel() + " " + link.getHref().replaceFirst("https?://[^/]+", ""))
                .containsExactlyInAnyOrder(
                        "alternate /s/" + search + "?q=boat&page=2",
                        "self /s/" + search + "/results.atom?q=boat&page=2");
        assertThat(feed.getEntries())
                .extracting(SyndEntry::getUri)
                .hasSize(10)
                .doesNotHaveDuplicates()
                .allMatch(id -> id.startsWith("https://isles.example/"));
        assertThat(feed.getEntries())
                .allMatch(entry -> entry.getUpdatedDate() != null
                        && !entry.getTitle().isEmpty()
                        && entry.getLink().startsWith("https://isles.example/"));
        assertThat(answer.text()).doesNotContain("<b>");
        assertThat(Jsoup.parse(api.get("/s/" + search + "?q=a%26b%20%23c").text())
                        .select("link[type=application/atom+xml]")
                        .attr("href"))
                .as("what was asked stays in one piece")
                .isEqualTo("/s/" + search + "/results.atom?q=a%26b+%23c");
        assertThat(api.get("/s/" + search + "/opensearch.xml").text()).contains("application/atom+xml");
    }

    /** XML 1.0, production 2: what no document can hold. */
    @Test
    void aFeedHoldsWhateverATitleHolds(@TempDir Path data) throws Exception {
        try (RunningService own = RunningService.on(data)) {
            Api odd = own.api().withSite();
            odd.push("posts", "{\"id\":\"x\",\"title\":\"Bell \\uFFFF\\u0007 buoy\"}");
            String search = odd.publishedSearch("Odd");

            Api.Answer answer = odd.get("/s/" + search + "/results.atom?q=buoy");

            SyndFeed feed = new SyndFeedInput().build(new StringReader(answer.text()));
            assertThat(feed.getEntries())
                    .extracting(SyndEntry::getTitle)
                    .singleElement()
                    .asString()
                    .matches("Bell +buoy");
        }
    }

    private static String text(Element description, String name) {
        return description
                .getElementsByTagNameNS(description.getNamespaceURI(), name)
                .item(0)
                .getTextContent();
    }
}
