package tidylantern.server.visitor;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;

/** Speaks HTTP by hand, since Java's client lets nobody set Origin. */
class CrossOriginTest {
    private static String ask(String service, String path, String origin) throws IOException {
        URI uri = URI.create(service);
        try (Socket socket = new Socket(uri.getHost(), uri.getPort())) {
            socket.getOutputStream()
                    .write(("GET " + path + " HTTP/1.1\r\nHost: " + uri.getAuthority() + "\r\nOrigin: " + origin
                                    + "\r\nConnection: close\r\n\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            InputStream in = socket.getInputStream();
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @Test
    void onlyTheSitesOriginsMayAsk(@TempDir Path data) throws IOException {
        try (RunningService service = RunningService.on(data)) {
            Api api = service.api().withSite();
            api.push("posts", "{\"id\":\"1\",\"title\":\"Crab\"}");
            String search = api.publishedSearch("Shore");
            String path = "/api/public/searches/" + search + "/results?q=crab";
            assertThat(ask(service.address(), path, "https://isles.example"))
                    .startsWith("HTTP/1.1 200")
                    .contains("Access-Control-Allow-Origin: https://isles.example")
                    .as("elements may read that a list goes on, and when they may ask again")
                    .contains("Access-Control-Expose-Headers: Link, Retry-After");
            assertThat(ask(service.address(), path, "https://elsewhere.example"))
                    .startsWith("HTTP/1.1 403");
            assertThat(api.get("/api/owner/sites/isles/refused-origins").json())
                    .as("told to the owner")
                    .extracting(one -> one.path("origin").asString() + " "
                            + one.path("times").asInt())
                    .containsExactly("https://elsewhere.example 1");
            api.put(
                    "/api/owner/sites/isles",
                    "{\"name\":\"Isles\",\"address\":\"https://isles.example\",\"origins\":[\"https://elsewhere.example/\"]}");
            assertThat(ask(service.address(), path, "https://elsewhere.example"))
                    .as("once it is listed")
                    .startsWith("HTTP/1.1 200");
            assertThat(api.get("/api/owner/sites/isles/refused-origins").json()).isEmpty();
            assertThat(ask(service.address(), "/elements/tidy-lantern.js", "https://anywhere.example"))
                    .startsWith("HTTP/1.1 200")
                    .contains("Access-Control-Allow-Origin: *");
        }
    }
}
