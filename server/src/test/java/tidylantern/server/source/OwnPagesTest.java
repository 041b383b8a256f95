package tidylantern.server.source;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
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
