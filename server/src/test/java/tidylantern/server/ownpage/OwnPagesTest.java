package tidylantern.server.ownpage;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tidylantern.server.source.reading.WebSite;
import tools.jackson.databind.JsonNode;

/** What a page of the owner's own lets be done with it. */
class OwnPagesTest {
    private static void page(WebSite web, String path, String html, Map<String, String> headers) {
        web.answer(
                path,
                exchange -> WebSite.send(exchange, 200, "text/html", html.getBytes(StandardCharsets.UTF_8), headers));
    }

    /** RFC 7034 for X-Frame-Options; Content Security Policy Level 3, 6.4.2, which overrules it. */
    @Test
    void aPageSaysWhetherItMayBeFramedAndWhetherTheScriptIsThere(@TempDir Path data) throws Exception {
        String script = "<script type=module src='https://search.example/elements/tidy-lantern.js'></script>";
        try (WebSite web = new WebSite()) {
            page(web, "/plain", script, Map.of());
            page(web, "/closed", "<p>x", Map.of("X-Frame-Options", "SAMEORIGIN"));
            page(web, "/own", "<p>x", Map.of("Content-Security-Policy", "default-src 'self'; frame-ancestors 'self'"));
            page(
                    web,
                    "/open",
                    "<p>x",
                    Map.of("X-Frame-Options", "DENY", "Content-Security-Policy", "frame-ancestors *"));
            try (RunningService service = RunningService.on(data, List.of(web.host()))) {
                Api api = service.api().withSite();
                api.put(
                        "/api/owner/sites/isles",
                        "{\"name\":\"Isles\",\"address\":\"" + web.address() + "\",\"origins\":[]}");
                api.push("posts", "{\"id\":\"1\",\"title\":\"Crab\"}");
                String search = api.publishedSearch("Shore");

                assertThat(look(api, search, web.address() + "/plain")).isEqualTo("true true");
                assertThat(look(api, search, web.address() + "/closed")).isEqualTo("false false");
                assertThat(look(api, search, web.address() + "/own")).isEqualTo("false false");
                assertThat(look(api, search, web.address() + "/open")).isEqualTo("true false");
                assertThat(look(api, search, web.address() + "/missing")).contains("answers with status 404");
                assertThat(look(api, search, "http://169.254.169.254/")).contains("is no page of this site");
            }
        }
    }

    /** Each fault is planted; what it is called comes from the service that visitors would ask. */
    @Test
    void whatKeepsASearchFromWorkingOnAPageIsNamed(@TempDir Path data) throws Exception {
        try (WebSite web = new WebSite();
                RunningService service = RunningService.on(data, List.of(web.host()))) {
            Api api = service.api().withSite();
            api.put(
                    "/api/owner/sites/isles",
                    "{\"name\":\"Isles\",\"address\":\"" + web.address() + "\",\"origins\":[]}");
            api.push("posts", "{\"id\":\"1\",\"title\":\"Crab\"}");
            String search = api.publishedSearch("Shore");
            service.api().withSite("elsewhere").publishedSearch("Theirs");
            String script = "<script type=module src='" + service.address() + "/elements/tidy-lantern.js'></script>";
            String box = "<tidy-search search='shore'></tidy-search>";
            page(web, "/whole", script + box, Map.of());
            page(web, "/policy", script + box, Map.of("Content-Security-Policy", "default-src 'self'"));
            page(
                    web,
                    "/meta",
                    "<meta http-equiv='content-security-policy' content=\"connect-src 'none'\">" + script + box,
                    Map.of());
            page(web, "/bare", box, Map.of());
            page(web, "/template", script + "<template>" + box + "</template>", Map.of());
            page(web, "/comment", script + "<!-- " + box + " -->", Map.of());
            page(web, "/key", script + "<tidy-search search='shroe'></tidy-search>", Map.of());
            page(web, "/theirs", script + box + "<tidy-results search='theirs'></tidy-results>", Map.of());
            page(web, "/old", script + script.replace("/elements", "/v1/elements") + box, Map.of());

            assertThat(check(api, search, web.address() + "/whole")).isEqualTo("[tidy-search] ");
            assertThat(check(api, search, web.address() + "/policy")).isEqualTo("[tidy-search] policy policy");
            assertThat(check(api, search, web.address() + "/meta")).isEqualTo("[tidy-search] policy");
            assertThat(check(api, search, web.address() + "/bare")).isEqualTo("[tidy-search] no-script");
            assertThat(check(api, search, web.address() + "/template")).isEqualTo("[] inert");
            assertThat(check(api, search, web.address() + "/comment")).isEqualTo("[] no-tag");
            assertThat(check(api, search, web.address() + "/key")).isEqualTo("[] wrong-key no-tag");
            assertThat(check(api, search, web.address() + "/theirs")).isEqualTo("[tidy-search] other-site");
            assertThat(check(api, search, web.address() + "/old")).isEqualTo("[tidy-search] script-twice");
            assertThat(check(api, search, web.address() + "/missing")).contains("answers with status 404");
            assertThat(check(api, search, "isles")).contains("is no web address");
            api.put(
                    "/api/owner/sites/isles",
                    "{\"name\":\"Isles\",\"address\":\"https://isles.example\",\"origins\":[]}");
            assertThat(check(api, search, web.address() + "/whole")).isEqualTo("[tidy-search] origin");
        }
    }

    private static String check(Api api, String search, String address) {
        JsonNode answer = api.post("/api/owner/searches/" + search + "/page-check", "{\"address\":\"" + address + "\"}")
                .json();
        return answer.has("detail")
                ? answer.path("detail").asString()
                : answer.path("elements").valueStream().map(JsonNode::asString).toList() + " "
                        + answer.path("obstacles")
                                .valueStream()
                                .map(one -> one.path("trouble").asString())
                                .collect(Collectors.joining(" "));
    }

    private static String look(Api api, String search, String address) {
        JsonNode answer = api.post(
                        "/api/owner/searches/" + search + "/draft/own-page", "{\"address\":\"" + address + "\"}")
                .json();
        return answer.has("detail")
                ? answer.path("detail").asString()
                : answer.path("framed").asBoolean() + " "
                        + answer.path("script").asBoolean();
    }
}
