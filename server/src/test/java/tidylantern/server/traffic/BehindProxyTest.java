package tidylantern.server.traffic;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;

/** A proxy that is named says whether a request came by TLS and from whom; nobody else does. */
class BehindProxyTest {
    private static final Map<String, String> BY_TLS =
            Map.of("X-Forwarded-Proto", "https", "X-Forwarded-For", "192.0.2.7");

    @Test
    void aNamedProxyIsBelieved(@TempDir Path data) {
        try (RunningService service = RunningService.with(
                data, "--tidy-lantern.proxies=127.0.0.1,0:0:0:0:0:0:0:1", "--tidy-lantern.answers-per-second=1")) {
            Api browser = new Api(service.address(), null);
            Api.Answer session = browser.send("GET", "/api/owner/session", null, BY_TLS);
            assertThat(session.header("Set-Cookie")).contains("; Secure");
            assertThat(session.header("Strict-Transport-Security")).contains("max-age=");
            assertThat(browser.send("GET", "/", null, BY_TLS).header("Location"))
                    .satisfiesAnyOf(to -> assertThat(to).startsWith("https://"), to -> assertThat(to)
                            .startsWith("/"));
            Api api = service.api().withSite();
            api.push("posts", "{\"id\":\"1\",\"title\":\"A\"}");
            String results = "/api/public/searches/" + api.publishedSearch("S") + "/results";
            int last = 200;
            for (int n = 0; n < 30 && last == 200; n++) {
                last = browser.send("GET", results, null, BY_TLS).status();
            }
            assertThat(last).as("one visitor has asked enough").isEqualTo(429);
            assertThat(browser.send("GET", results, null, Map.of("X-Forwarded-For", "192.0.2.8"))
                            .status())
                    .as("another visitor behind the same proxy")
                    .isEqualTo(200);
        }
    }

    @Test
    void aStrangerWithAHeaderIsNot(@TempDir Path data) {
        try (RunningService service = RunningService.on(data)) {
            Api.Answer session = new Api(service.address(), null).send("GET", "/api/owner/session", null, BY_TLS);
            assertThat(session.header("Set-Cookie")).doesNotContain("Secure");
            assertThat(session.header("Strict-Transport-Security")).isEmpty();
        }
    }
}
