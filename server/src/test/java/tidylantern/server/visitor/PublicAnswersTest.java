package tidylantern.server.visitor;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;

/** What visitors' browsers ask and get, with and without script. */
class PublicAnswersTest {
    private static RunningService service;
    private static Api visitor;
    private static String search;

    @BeforeAll
    static void start(@TempDir Path data) {
        service = RunningService.on(data);
        Api owner = service.api().withSite();
        StringBuilder lines = new StringBuilder(
                "{\"id\":\"x\",\"title\":\"<script>alert(1)</script> lobster & chips\",\"body\":\"A \\\"quoted\\\" lobster <img src=x onerror=alert(2)>\",\"url\":\"/x\",\"image\":{\"url\":\"/x.svg\",\"alt\":\"A lobster\"}}\n");
        for (int i = 0; i < 24; i++) {
            lines.append(
                    "{\"id\":\"c%02d\",\"title\":\"Crab %d\",\"published\":\"2026-01-%02d\"}\n".formatted(i, i, i + 1));
        }
        owner.push("posts", lines.toString());
        search = owner.publishedSearch("Shore");
        visitor = new Api(service.address(), null);
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    @Test
    void resultsHaveTheShapeOfTheContract() {
        JsonNode results = visitor.results(search, "lobster").json();
        assertThat(results.propertyNames())
                .containsExactlyInAnyOrder(
                        "query",
                        "startingList",
                        "total",
                        "page",
                        "pages",
                        "perPage",
                        "tookMicros",
                        "hits",
                        "didYouMean",
                        "seeAlso",
                        "withoutOne",
                        "related",
                        "popular",
                        "filters",
                        "filterPlaces",
                        "orders",
                        "newestFirst",
                        "tiers",
                        "list",
                        "cards");
        JsonNode hit = results.path("hits").get(0);
        assertThat(hit.path("url").asString()).isEqualTo("https://isles.example/x");
        assertThat(hit.path("card"))
                .extracting(part ->
                        part.path("key").asString() + " " + part.path("as").asString())
                .as("of one collection alone no card says its name")
                .containsExactly("picture picture", "title text", "excerpt text");
        assertThat(hit.path("card").path(0).path("value").asString()).isEqualTo("https://isles.example/x.svg");
        assertThat(hit.path("card").path(1).path("text"))
                .extracting(
                        run -> run.path("text").asString() + run.path("marked").asBoolean())
                .containsExactly("<script>alert(1)</script> false", "lobstertrue", " & chipsfalse");
        assertThat(hit.propertyNames())
                .as("what an item has not is left out")
                .containsExactlyInAnyOrder("id", "collection", "url", "title", "score", "card");
        assertThat(hit.path("card").path(1).path("text"))
                .extracting(run -> String.join(" ", run.propertyNames()))
                .containsExactly("text", "text marked", "text");
        assertThat(visitor.get("/api/public/searches/" + search + "/live?q=lobster")
                        .json()
                        .path("groups")
                        .get(0)
                        .path("label")
                        .asString())
                .isEqualTo("Posts");
        JsonNode face = visitor.get("/api/public/searches/" + search).json();
        assertThat(face.path("resultsPage").asString()).isEqualTo("/s/" + search);
        assertThat(face.path("hostedPage").asBoolean()).isTrue();
    }

    @Test
    void waysOnAreOfferedWithAndWithoutScript() {
        assertThat(visitor.get("/api/public/searches/" + search + "/live?q=lob")
                        .json()
                        .path("completions")
                        .toString())
                .isEqualTo("[\"lobster\"]");
        assertThat(visitor.get("/api/public/searches/" + search + "/live?q=lobster%20zebra")
                        .json()
                        .path("didYouMean")
                        .asString())
                .isEqualTo("lobster");
        assertThat(visitor.results(search, "lobsetr").json().path("didYouMean").asString())
                .isEqualTo("lobster");
        assertThat(visitor.get("/s/" + search + "?q=lobsetr").text().replace("&#x3D;", "="))
                .contains("Did you mean <a href=\"/s/" + search + "?q=lobster\">lobster</a>?");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "page=99",
                "page=-1",
                "page=abc",
                "page=99999999999999999999",
                "page=",
                "page=2&page=3",
                "colour=blue",
                "q=%00%1F",
                "q=%F0%9F%99%82"
            })
    void anythingInAnAddressGetsAHarmlessAnswer(String parameters) {
        Api.Answer answer = visitor.get("/api/public/searches/" + search + "/results?" + parameters);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        assertThat(answer.json().path("page").asInt()).isBetween(1, 3);
    }

    @Test
    void anAddressThatIsNoUtf8IsRefusedWithAReason() {
        Api.Answer answer = visitor.get("/api/public/searches/" + search + "/results?q=%FF");
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().path("detail").asString()).contains("UTF-8");
    }

    @Test
    void aQueryOfTenThousandCharactersIsAnswered() {
        assertThat(visitor.results(search, "x".repeat(7_900))
                        .json()
                        .path("total")
                        .asInt())
                .isZero();
        int status = visitor.results(search, "x".repeat(10_000)).status();
        assertThat(Set.of(200, 400, 414, 431))
                .as("answered, or refused by the server's limit on addresses")
                .contains(status);
    }

    @Test
    void problemsAreAsRfc9457Says() {
        // RFC 9457, sections 3 and 3.1: media type application/problem+json; type absent means "about:blank", whose
        // title
        // should be the status phrase; status repeats the code; detail explains; instance names the occurrence.
        Api.Answer answer = visitor.results("nope", "x");
        assertThat(answer.status()).isEqualTo(404);
        assertThat(answer.header("Content-Type")).startsWith("application/problem+json");
        JsonNode problem = answer.json();
        assertThat(problem.path("status").asInt()).isEqualTo(404);
        assertThat(problem.path("title").asString()).isEqualTo("Not Found");
        assertThat(problem.path("detail").asString()).contains("no live search \"nope\"");
        assertThat(problem.path("instance").asString()).isEqualTo("/api/public/searches/nope/results");
        Api.Answer method = visitor.send("DELETE", "/api/public/searches/" + search + "/results", null, Map.of());
        assertThat(method.status()).isEqualTo(405);
        assertThat(method.header("Content-Type")).startsWith("application/problem+json");
    }

    @Test
    void answersAreTakenForWhatTheySayTheyAre() {
        for (String path : List.of(
                "/api/public/searches/" + search + "/results?q=crab",
                "/s/" + search,
                "/elements/tidy-lantern.js",
                "/api/owner/session")) {
            Api.Answer answer = visitor.get(path);
            assertThat(answer.header("X-Content-Type-Options")).as(path).isEqualTo("nosniff");
            assertThat(answer.header("Content-Security-Policy")).as(path).contains("object-src 'none'");
        }
    }

    @Test
    void visitorsGetNoCookies() {
        Api.Answer answer = visitor.results(search, "crab");
        assertThat(answer.header("Set-Cookie")).isEmpty();
        assertThat(visitor.get("/s/" + search + "?q=crab").header("Set-Cookie")).isEmpty();
    }

    @Test
    void theHostedPageIsWholeWithoutScript() {
        Api.Answer page = visitor.get("/s/" + search + "?q=lobster");
        assertThat(page.status()).isEqualTo(200);
        assertThat(page.header("Content-Type")).startsWith("text/html");
        assertThat(page.text())
                .contains("&lt;script&gt;alert(1)&lt;/script&gt; <mark>lobster</mark> &amp; chips")
                .doesNotContain("<script>alert")
                .doesNotContain("<img src=x")
                .contains("href=\"https://isles.example/x\"")
                .contains("value=\"lobster\"")
                .contains("1 result");
        Api.Answer second = visitor.get("/s/" + search + "?q=crab&page=2");
        assertThat(second.text().replace("&#x3D;", "="))
                .contains("24 results, page 2 of 3")
                .contains("aria-current=\"page\">2<")
                .contains("/s/" + search + "?q=crab&amp;page=3");
        assertThat(visitor.get("/s/" + search + "?q=%3Cbzz%3E%22").text())
                .contains("Nothing found for “&lt;bzz&gt;&quot;”")
                .contains("value=\"&lt;bzz&gt;&quot;\"");
        Api.Answer gone = visitor.get("/s/nope");
        assertThat(gone.status()).isEqualTo(404);
        assertThat(gone.text()).contains("No such search");
    }

    @Test
    void theElementsAreServedToEveryOrigin() {
        Api.Answer script = visitor.get("/elements/tidy-lantern.js");
        assertThat(script.status()).isEqualTo(200);
        assertThat(script.header("Content-Type")).startsWith("text/javascript");
        assertThat(script.header("Cache-Control")).contains("no-cache");
    }
}
