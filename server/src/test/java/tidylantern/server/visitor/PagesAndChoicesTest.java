package tidylantern.server.visitor;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.server.Api;
import tidylantern.server.Designs;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What elements tell of themselves, and links to a draft. */
class PagesAndChoicesTest {
    private static final String PAGE = """
            {"address": "https://isles.example/trips?who=me#x", "title": " Trips ", "elements": ["results", "box"],
             "unknown": 2, "unknownLinks": ["/a", "/b\\n"]}""";

    private static Api.Answer tell(Api api, String search, String what, String told) {
        return api.send(
                "POST",
                "/api/public/searches/" + search + "/" + what,
                told,
                Map.of("Content-Type", "text/plain;charset=UTF-8"));
    }

    private static Api withBoats(RunningService service) {
        Api api = service.api().withSite();
        api.push("posts", """
                {"id":"a","title":"Boat a","url":"/a"}
                {"id":"b","title":"Boat b","url":"/b"}
                {"id":"c","title":"Boat c","url":"/c"}""");
        return api;
    }

    private static void start(Api api, String search, String with, boolean publish) {
        String path = "/api/owner/searches/" + search;
        Api.Answer draft = api.get(path + "/draft");
        ObjectNode design = (ObjectNode) draft.json();
        ((ObjectNode) Designs.part(design, "page").path("start")).put("with", with);
        Api.Answer kept = api.send(
                "PUT",
                path + "/draft",
                design.toString(),
                Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
        if (publish) {
            api.send("POST", path + "/publish", "", Map.of("If-Match", kept.header("ETag")));
        }
    }

    @Test
    void ownersSeeOnWhichPagesASearchStandsAndWhatItsListDidNotKnow(@TempDir Path data) {
        String search;
        try (RunningService service = RunningService.on(data)) {
            Api api = withBoats(service);
            search = api.publishedSearch("Shore");
            assertThat(tell(api, search, "pages", PAGE).status()).isEqualTo(204);
            assertThat(tell(api, search, "pages", PAGE).status()).isEqualTo(204);
        }
        try (RunningService service = RunningService.on(data)) {
            JsonNode pages = service.api()
                    .get("/api/owner/searches/" + search + "/pages")
                    .json();
            assertThat(pages).hasSize(1);
            JsonNode page = pages.path(0).path("page");
            assertThat(page.path("address").asString())
                    .as("without what a visitor asked")
                    .isEqualTo("https://isles.example/trips");
            assertThat(page.path("title").asString()).isEqualTo("Trips");
            assertThat(page.path("elements"))
                    .extracting(JsonNode::asString)
                    .containsExactlyInAnyOrder("box", "results");
            assertThat(page.path("unknown").path("count").asInt()).isEqualTo(2);
            assertThat(page.path("unknown").path("links"))
                    .extracting(JsonNode::asString)
                    .containsExactly("/a", "/b ");
        }
    }

    @Test
    void aPageKeepsInWhichWindowsItWasMetAndSinceWhenAcrossAStart(@TempDir Path data) {
        String told =
                "{\"address\":\"https://isles.example/\",\"elements\":[\"box\"],\"width\":\"%s\",\"script\":\"%s\"}";
        String search;
        String first;
        try (RunningService service = RunningService.on(data)) {
            Api api = withBoats(service);
            search = api.publishedSearch("Shore");
            tell(api, search, "pages", told.formatted("narrow", "1.0.0"));
            JsonNode page =
                    api.get("/api/owner/searches/" + search + "/pages").json().path(0);
            first = page.path("first").asString();
            assertThat(page.path("seen").asString()).isEqualTo(first);
        }
        try (RunningService service = RunningService.on(data)) {
            tell(service.api(), search, "pages", told.formatted("wide", "1.1.0"));

            JsonNode page = service.api()
                    .get("/api/owner/searches/" + search + "/pages")
                    .json()
                    .path(0);
            assertThat(page.path("page").path("widths"))
                    .extracting(JsonNode::asString)
                    .containsExactlyInAnyOrder("narrow", "wide");
            assertThat(page.path("page").path("script").asString()).isEqualTo("1.1.0");
            assertThat(page.path("first").asString()).isEqualTo(first);
            assertThat(page.path("seen").asString()).isNotEqualTo(first);
        }
    }

    @ParameterizedTest(name = "{0}: {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "pages | {\"address\":\"https://elsewhere.example/\",\"elements\":[\"box\"]} | none of the site's own origins",
                "pages | {\"address\":\"https://isles example\",\"elements\":[\"box\"]} | no web address",
                "pages | {\"address\":\"https://isles.example/\",\"elements\":[\"lamp\"]} | lamp",
                "pages | {\"elements\":[]} | none of the site's own origins",
                "pages | no json | JSON",
                "chosen | {\"collection\":\"posts\",\"id\":\"zzz\"} | finds no item",
                "chosen | {\"collection\":\"others\",\"id\":\"a\"} | finds no item",
                "chosen | {} | Say which item"
            })
    void whatIsToldAndCannotBeIsRefusedWithTheReason(String what, String told, String reason, @TempDir Path data) {
        try (RunningService service = RunningService.on(data)) {
            Api api = withBoats(service);
            String search = api.publishedSearch("Shore");
            Api.Answer answer = tell(api, search, what, told);
            assertThat(answer.status()).as(answer.text()).isBetween(400, 404);
            assertThat(answer.text()).contains(reason);
        }
    }

    @Test
    void whatVisitorsChoseComesFirstWhereTheOwnerWantsThatAndOutlivesARestart(@TempDir Path data) {
        String search;
        try (RunningService service = RunningService.on(data)) {
            Api api = withBoats(service);
            search = api.publishedSearch("Shore");
            start(api, search, "popular", true);
            assertThat(api.results(search, "").json().path("list").path("start").asString())
                    .as("as long as nothing was chosen")
                    .isEqualTo("everything");
            for (String id : new String[] {"c", "a", "c"}) {
                assertThat(tell(api, search, "chosen", "{\"collection\":\"posts\",\"id\":\"" + id + "\"}")
                                .status())
                        .isEqualTo(204);
            }
        }
        try (RunningService service = RunningService.on(data)) {
            Api.Answer answer = service.api().results(search, "");
            assertThat(answer.hits()).containsExactly("c", "a");
            assertThat(answer.json().path("list").path("start").asString()).isEqualTo("popular");
            assertThat(service.api().get("/s/" + search).text()).contains("What others chose most");
            assertThat(service.api().results(search, "boat").hits()).hasSize(3);
        }
    }

    @Test
    void whoeverHasTheLinkSeesTheDraftUntilItEnds(@TempDir Path data) {
        try (RunningService service = RunningService.on(data)) {
            Api api = withBoats(service);
            String search = api.publishedSearch("Shore");
            start(api, search, "nothing", false);
            String links = "/api/owner/searches/" + search + "/draft/links";
            String token = api.post(links, "").json().path("token").asString();
            Api anybody = new Api(service.address(), null);
            String results = "/api/public/searches/" + search + "/results";

            assertThat(anybody.get(results + "?tidy-draft=" + token).hits()).isEmpty();
            assertThat(anybody.get(results).hits()).hasSize(3);
            assertThat(anybody.get("/api/public/searches/" + search + "?tidy-draft=" + token)
                            .status())
                    .isEqualTo(200);
            Api.Answer guessed = anybody.get(results + "?tidy-draft=" + "x".repeat(32));
            assertThat(guessed.status()).isEqualTo(410);
            assertThat(guessed.text()).contains("This link to the draft has ended");
            String other = api.publishedSearch("Other");
            assertThat(anybody.get("/api/public/searches/" + other + "/results?tidy-draft=" + token)
                            .status())
                    .as("it is a link to one search")
                    .isEqualTo(410);
            assertThat(anybody.send("POST", links, "", Map.of()).status()).isIn(401, 403);

            api.send("DELETE", links, null, Map.of());
            assertThat(anybody.get(results + "?tidy-draft=" + token).status()).isEqualTo(410);
        }
    }
}
