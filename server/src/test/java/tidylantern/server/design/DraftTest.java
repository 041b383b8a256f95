package tidylantern.server.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.server.Api;
import tidylantern.server.Designs;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

class DraftTest {
    private static RunningService service;
    private static Api api;
    private String search;

    @BeforeAll
    static void start(@TempDir Path data) {
        service = RunningService.on(data);
        api = service.api().withSite();
        api.push(
                "posts",
                "{\"id\":\"t\",\"title\":\"ferry\",\"body\":\"something else entirely\"}\n{\"id\":\"b\",\"title\":\"something else\",\"body\":\"ferry entirely\"}");
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    @BeforeEach
    void search() {
        search = api.publishedSearch("Draft test");
    }

    private String path(String rest) {
        return "/api/owner/searches/" + search + rest;
    }

    private Api.Answer put(String document, String tag) {
        return api.send("PUT", path("/draft"), document, Map.of("Content-Type", "application/json", "If-Match", tag));
    }

    private static String withWeights(String document, double title, double body) {
        ObjectNode design = (ObjectNode) new JsonMapper().readTree(document);
        ((ObjectNode) design.path("words"))
                .putArray("weights")
                .add(design.objectNode().put("field", "title").put("weight", title))
                .add(design.objectNode().put("field", "body").put("weight", body));
        return design.toString();
    }

    @Test
    void aChangeOfWeightShowsInTheDraftAtOnceAndReachesVisitorsWhenPublished() {
        Api.Answer draft = api.get(path("/draft"));
        Api.Answer changed = put(withWeights(draft.text(), 1, 9), draft.header("ETag"));
        assertThat(changed.status()).as(changed.text()).isEqualTo(200);
        assertThat(api.get(path("/draft/results?q=ferry")).hits()).containsExactly("b", "t");
        assertThat(api.get(path("/live-version/results?q=ferry")).hits()).containsExactly("t", "b");
        assertThat(api.results(search, "ferry").hits()).as("visitors").containsExactly("t", "b");
        assertThat(api.get(path("")).json().path("differences"))
                .extracting(d -> d.path("path").toString() + d.path("before") + d.path("after"))
                .containsExactly(
                        "[\"words\",\"weights\",\"title\",\"weight\"]5.01.0",
                        "[\"words\",\"weights\",\"body\",\"weight\"]1.09.0");

        Api.Answer published = api.send("POST", path("/publish"), "", Map.of("If-Match", changed.header("ETag")));
        assertThat(published.json().path("live").path("version").asInt()).isEqualTo(2);
        assertThat(api.results(search, "ferry").hits()).containsExactly("b", "t");
    }

    @Test
    void nobodysChangeIsOverwrittenUnseen() {
        Api.Answer draft = api.get(path("/draft"));
        assertThat(put(withWeights(draft.text(), 3, 1), draft.header("ETag")).status())
                .isEqualTo(200);
        Api.Answer late = put(withWeights(draft.text(), 4, 1), draft.header("ETag"));
        assertThat(late.status()).isEqualTo(412);
        assertThat(late.json().path("detail").asString()).contains("changed elsewhere");
        assertThat(api.put(path("/draft"), draft.text()).status())
                .as("without If-Match")
                .isEqualTo(428);
        assertThat(api.send("POST", path("/publish"), "", Map.of("If-Match", draft.header("ETag")))
                        .status())
                .as("publishing what was not seen")
                .isEqualTo(412);
    }

    @ParameterizedTest(name = "{0} -> {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"version\":1,\"name\":\"x\",\"words\":{\"weights\":[{\"field\":\"title\",\"weight\":5},{\"field\":\"body\",\"weight\":11}]}} | words.weights[1].weight | outside 0 to 10",
                "{\"version\":1,\"name\":\"x\",\"words\":{\"weights\":[{\"field\":\"title\",\"weight\":5},{\"field\":\"title\",\"weight\":1}]}} | words.weights[1] | stands twice",
                "{\"version\":1,\"name\":\"x\",\"words\":{\"weights\":[{\"field\":\"1st\",\"weight\":5}]}} | words.weights[0].field | cannot name a field",
                "{\"version\":1,\"name\":\"x\",\"words\":{\"colour\":1}} | words.colour | no key",
                "{\"version\":1,\"name\":\"x\",\"words\":{\"needed\":\"some\"}} | words.matching.needed | some",
                "{\"version\":1,\"name\":\"x\",\"words\":{\"excerpt\":{\"words\":3}}} | words.excerpt.words | choose 5 to 100",
                "{\"version\":1,\"name\":\"x\",\"cards\":[{\"place\":\"list\",\"body\":{\"part\":\"group\",\"key\":\"card\",\"parts\":[{\"part\":\"excerpt\",\"key\":\"text\"}]}}]} | appearance.cards[0].body.parts | needs a title",
                "{\"version\":1,\"name\":\"x\",\"cards\":[{\"place\":\"list\",\"body\":{\"key\":\"card\",\"parts\":[{\"part\":\"clock\",\"key\":\"text\"}]}}]} | appearance.cards[0].body.parts[0] | clock",
                "{\"version\":1,\"name\":\"x\",\"cards\":[{\"place\":\"list\",\"body\":{\"key\":\"card\",\"parts\":[{\"part\":\"title\",\"key\":\"title\",\"level\":1}]}}]} | appearance.cards[0].body.parts[0].level | heading of level 1",
                "{\"version\":1,\"name\":\"x\",\"cards\":[{\"place\":\"shelf\",\"body\":{\"key\":\"card\",\"parts\":[{\"part\":\"title\",\"key\":\"title\"}]}}]} | appearance.cards[0].place | shelf",
                "{\"version\":1,\"name\":\"x\",\"page\":{\"address\":\"javascript:alert(1)\"}} | places.page.address | no web address",
                "{\"version\":1,\"name\":\"\"} | name | 1 to 80 characters",
                "{\"version\":4,\"name\":\"x\"} | version | not one this product reads",
                "{\"version\":3,\"name\":\"x\",\"appearance\":{\"cards\":[{\"place\":\"list\"}]}} | appearance.cards[0].body | has no usual value",
                "{\"version\":3,\"name\":\"x\",\"ranking\":{\"order\":{\"withWords\":[{\"down\":true}]}}} | ranking.order.withWords[0].by | has no usual value",
                "{\"version\":3} | name | has no usual value",
                "{\"name\":\"x\"} | version | says no version"
            })
    void whatCannotHoldIsRefusedWithThePathOfItsKey(String document, String key, String reason) {
        Api.Answer answer = put(document, api.get(path("/draft")).header("ETag"));
        assertThat(answer.status()).as(answer.text()).isEqualTo(400);
        assertThat(answer.json().path("field").asString()).as(answer.text()).isEqualTo(key);
        assertThat(answer.json().path("detail").asString()).contains(reason);
    }

    @Test
    void brokenJsonAndLooseEndsAreRefused() {
        String tag = api.get(path("/draft")).header("ETag");
        for (String document : new String[] {
            "{\"version\":1",
            "[]",
            "null",
            "{\"version\":1,\"name\":\"x\"} {}",
            "{\"version\":1,\"name\":\"x\",\"name\":\"y\"}",
            ""
        }) {
            assertThat(put(document, tag).status()).as(document).isEqualTo(400);
        }
        assertThat(api.get(path("/draft")).header("ETag"))
                .as("nothing was changed")
                .isEqualTo(tag);
    }

    @Test
    void aDesignThatFindsNothingIsKeptButNotPublished() {
        Api.Answer draft = api.get(path("/draft"));
        ObjectNode design = (ObjectNode) draft.json();
        ((ObjectNode) design.path("reach")).putArray("collections");
        Api.Answer kept = put(design.toString(), draft.header("ETag"));
        assertThat(kept.status()).isEqualTo(200);
        Api.Answer refused = api.send("POST", path("/publish"), "", Map.of("If-Match", kept.header("ETag")));
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.json().path("detail").asString()).contains("No collection is searched");
    }

    @Test
    void aDocumentOfTheFirstVersionIsReadAsItWasMeant() throws IOException {
        String first;
        try (var in = Objects.requireNonNull(getClass().getResourceAsStream("/search-design-v1.json"))) {
            first = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
        Api.Answer kept = put(first, api.get(path("/draft")).header("ETag"));
        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
        ObjectNode expected = (ObjectNode) new JsonMapper().readTree(first);
        // Rules of reach came later, and a document without any means none.
        expected.path("reach").path("collections").forEach(searched -> {
            ((ObjectNode) searched).putArray("only");
            ((ObjectNode) searched).putArray("leaveOut");
        });
        // So did the owner's own words.
        ((ObjectNode) expected.path("words")).putArray("synonyms");
        ((ObjectNode) expected.path("words")).putArray("stopWords");
        ObjectNode words = (ObjectNode) expected.path("words");
        ObjectNode matching = words.putObject("matching").put("operators", false);
        List.of("needed", "partOfWord", "typos", "stemming", "fewestLetters")
                .forEach(key -> matching.set(key, words.remove(key)));
        // Help that came later is offered unless the owner says otherwise.
        ((ObjectNode) expected.path("words"))
                .putObject("help")
                .put("completions", true)
                .put("didYouMean", true)
                .put("seeAlso", true)
                .putArray("owners");
        expected.putArray("filters");
        // Filters stand everywhere, in view, and hold at once, until the owner says otherwise.
        for (String place : List.of("page", "box", "home")) {
            expected.withObject("filterPlaces")
                    .putObject(place)
                    .put("shown", true)
                    .put("atOnce", true)
                    .put("opened", "in-view");
        }
        // The order is the usual one.
        ObjectNode order = expected.putObject("ranking").putObject("order").put("label", "");
        order.putArray("choices");
        order.putArray("withWords")
                .addObject()
                .put("by", "relevance")
                .put("down", false)
                .putNull("field")
                .putNull("without");
        order.putArray("withoutWords")
                .addObject()
                .put("by", "newest")
                .put("down", false)
                .putNull("field")
                .putNull("without");
        // Nothing is featured or pinned, and results stand one below the other.
        order.put("mostFeatured", 40);
        Designs.around(expected, "tiers").putArray("tiers");
        Designs.around(expected, "pins").putArray("pins");
        Designs.around(expected, "cards").putArray("cards");
        // It wears what its site does.
        ObjectNode look = Designs.around(expected, "look").putObject("look");
        look.putNull("from").putNull("scheme");
        look.putObject("light");
        look.putObject("dark");
        ObjectNode type = look.putObject("type");
        List.of("font", "titleFont", "size", "titleWeight", "textOfPage").forEach(type::putNull);
        ObjectNode form = look.putObject("form");
        List.of("cards", "box", "corners", "density", "shadow", "motion").forEach(form::putNull);
        // It speaks as the page does.
        ObjectNode texts = Designs.around(expected, "texts").putObject("texts");
        texts.putNull("language").putNull("fallback");
        texts.putArray("reworded");
        texts.putArray("labels");
        // Its box is always open and dressed by the look, live results stand below it, and the list has everything.
        Designs.set(expected, "box", JsonMapper.shared().readTree("""
                {"wide": {"opening": "always", "heading": false, "label": false, "placeholder": false,
                   "button": {"shows": "sign", "side": "end", "sign": "magnifier", "size": 20}, "clear": "inside"},
                 "narrow": null, "narrowUpTo": 560, "chooser": null, "leads": "nearest",
                 "dress": {
                   "sizes": {"width": null, "height": null, "inside": null, "around": null, "corners": null, "edge": null,
                     "text": null},
                   "type": {"font": null, "weight": null},
                   "angle": 90,
                   "rest": {"ground": null, "ending": null, "edge": null, "text": null},
                   "pointed": {"ground": null, "ending": null, "edge": null, "text": null},
                   "focused": {"ground": null, "ending": null, "edge": null, "text": null},
                   "over": {"ground": null, "spacing": 24}}}"""));
        Designs.set(expected, "live", JsonMapper.shared().readTree("""
                {"where": "below", "inList": false, "asking": {"from": null, "pause": 120, "onEnter": false},
                 "grouped": true, "most": 8, "first": null,
                 "form": {"columns": 1, "gap": 0, "width": null, "height": null},
                 "above": {"completions": true, "didYouMean": true, "recent": false, "all": true}, "opens": "here"}"""));
        ObjectNode page = (ObjectNode) expected.remove("page");
        Designs.set(expected, "page", page);
        page.setAll((ObjectNode) JsonMapper.shared().readTree("""
                {"layout": {"arranged": "list", "columns": null, "viewer": false, "tags": null}, "paging": "numbers", "most": null,
                 "shows": {"heading": true, "count": true, "time": false, "order": true, "set": true, "copyLink": false,
                   "box": false, "popular": null,
                   "nothing": {"sign": null, "withoutOne": true, "related": true, "everything": true}},
                 "start": {"with": "everything", "filter": null, "value": null}, "told": {"inAddress": true, "listed": true}}"""));
        expected.put("version", 3);
        // A collection has no sign of its own.
        expected.path("reach").path("collections").forEach(searched -> ((ObjectNode) searched).putNull("sign"));
        assertThat(kept.json()).isEqualTo(expected);
    }

    @Test
    void whatTheFirstVersionSaysOfAPageStandsWhereThisOneHasIt() {
        Api.Answer kept = put("""
                {"version": 1, "name": "x", "page": {"arranged": "wall", "columns": 3, "start": "featured"}}""", api.get(path("/draft")).header("ETag"));

        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
        JsonNode page = Designs.part(kept.json(), "page");
        assertThat(page.path("layout").path("arranged").asString()).isEqualTo("wall");
        assertThat(page.path("layout").path("columns").asInt()).isEqualTo(3);
        assertThat(page.path("start").path("with").asString()).isEqualTo("featured");
        assertThat(kept.json().path("version").asInt()).isEqualTo(3);
    }

    @Test
    void anUnknownSearchIsTold() {
        assertThat(api.get("/api/owner/searches/nope/draft").status()).isEqualTo(404);
        assertThat(api.get(path("/sketch/results")).json().path("detail").asString())
                .contains("\"draft\", \"live-version\" or \"version-3\"");
    }

    private String withLook(String look) {
        ObjectNode design = (ObjectNode) api.get(path("/draft")).json();
        Designs.set(design, "look", new JsonMapper().readTree(look));
        return design.toString();
    }

    private Api.Answer putLook(String look) {
        return put(withLook(look), api.get(path("/draft")).header("ETag"));
    }

    private String sheet(String which) {
        return api.get(
                        which.isEmpty()
                                ? "/api/public/searches/" + search + "/look.css"
                                : path("/" + which + "/look.css"))
                .text();
    }

    @Test
    void aLookIsServedAsAStyleSheetAndReachesVisitorsWhenPublished() {
        assertThat(putLook("{\"light\":{\"accent\":\"#123\"},\"type\":{\"font\":\"Charter, serif\"}}")
                        .status())
                .isEqualTo(200);
        assertThat(sheet("draft"))
                .contains("--accent: var(--tidy-accent, #112233);", "--font: var(--tidy-font, Charter, serif);");
        assertThat(sheet("")).doesNotContain("#112233");
        api.send(
                "POST",
                path("/publish"),
                "",
                Map.of("If-Match", api.get(path("/draft")).header("ETag")));
        assertThat(sheet("")).isEqualTo(sheet("draft"));
    }

    @Test
    void aLookThatABrowserHasIsNotSentAgain() {
        String address = "/api/public/searches/" + search + "/look.css";
        Api.Answer first = api.get(address);
        assertThat(first.header("Content-Type")).startsWith("text/css");
        Api.Answer again = api.send("GET", address, null, Map.of("If-None-Match", first.header("ETag")));
        assertThat(again.status()).isEqualTo(304);
        assertThat(again.text()).isEmpty();
    }

    @Test
    void theSitesLookReachesTheVisitorsOfAllItsSearchesAtOnceAndTryingOneDoesNot() {
        Api other = service.api().withSite("dressed");
        other.push("posts", "{\"id\":\"t\",\"title\":\"ferry\"}");
        String key = other.publishedSearch("Dressed");
        String address = "/api/public/searches/" + key + "/look.css";
        String before = other.get(address).text();

        Api.Answer tried = other.post(other.site() + "/look/tried", "{\"from\":\"ledger\"}");
        assertThat(tried.json().path("worn").path("form").path("density").asString())
                .isEqualTo("dense");
        assertThat(other.get(address).text()).isEqualTo(before);

        assertThat(other.put(other.site() + "/look", "{\"from\":\"ledger\"}").status())
                .isEqualTo(200);
        assertThat(other.get(address).text()).isNotEqualTo(before).contains("--card-above: 1px;", "monospace");
        assertThat(other.get("/api/owner/searches/" + key + "/draft/look")
                        .json()
                        .path("site")
                        .path("form")
                        .path("cards")
                        .asString())
                .isEqualTo("ruled");
    }

    @Test
    void textsAreSpokenInTheLanguageThatIsAskedForAndWordedByTheOwner() {
        ObjectNode design = (ObjectNode) api.get(path("/draft")).json();
        Designs.set(design, "texts", new JsonMapper().readTree("""
                {"reworded": [{"language": "de", "text": "count",
                  "forms": {"one": "Ein Schiff", "other": "{count} Schiffe"}}]}"""));
        Api.Answer kept = put(design.toString(), api.get(path("/draft")).header("ETag"));
        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
        Api.Answer german = api.send("GET", path("/draft/texts"), null, Map.of("Accept-Language", "de-AT"));
        assertThat(german.json().path("language").asString()).isEqualTo("de-AT");
        assertThat(german.json().path("texts").path("count").path("other").asString())
                .isEqualTo("{count} Schiffe");
        assertThat(german.json().path("texts").path("close").path("other").asString())
                .isEqualTo("Schließen");
        Api.Answer others = api.send("GET", path("/draft/texts"), null, Map.of("Accept-Language", "*"));
        assertThat(others.json().path("texts").path("close").path("other").asString())
                .isEqualTo("Close");
        assertThat(api.get("/api/public/searches/" + search + "/texts").header("Vary"))
                .containsIgnoringCase("Accept-Language");
    }

    @Test
    void aWordingThatLacksAPlaceholderIsRefusedByName() {
        ObjectNode design = (ObjectNode) api.get(path("/draft")).json();
        Designs.set(design, "texts", new JsonMapper().readTree("""
                {"reworded": [{"language": "en", "text": "resultsFor", "forms": {"other": "Here you are"}}]}"""));
        Api.Answer refused = put(design.toString(), api.get(path("/draft")).header("ETag"));
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.json().path("field").asString()).isEqualTo("appearance.texts.reworded[0].forms.other");
        assertThat(refused.json().path("detail").asString()).contains("lacks {query}");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"light\":{\"accent\":\"blue\"}}             | appearance.look.light.accent  | is no colour",
                "{\"dark\":{\"shine\":\"#112233\"}}            | appearance.look.dark          | ",
                "{\"from\":\"nightfall\"}                        | appearance.look.from          | ",
                "{\"type\":{\"font\":\"x; } * { color: red\"}} | appearance.look.type.font     | no list of font families",
                "{\"type\":{\"size\":90}}                        | appearance.look.type.size     | choose 12 to 22",
                "{\"form\":{\"corners\":-1}}                     | appearance.look.form.corners  | choose 0 to 24"
            })
    void whatIsNoLookIsRefusedByName(String look, String field, @org.jspecify.annotations.Nullable String reason) {
        Api.Answer refused = putLook(look);
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.json().path("field").asString()).startsWith(field);
        if (reason != null) {
            assertThat(refused.json().path("detail").asString()).contains(reason);
        }
    }
}
