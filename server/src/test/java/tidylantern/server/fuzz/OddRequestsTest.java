package tidylantern.server.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.server.Api;
import tidylantern.server.RunningService;

/** Requests that once broke something, and those that no client of ours can send. */
class OddRequestsTest {
    @TempDir
    private static Path data;

    private static RunningService service;
    private static Api api;
    private static String search;

    @BeforeAll
    static void start() {
        service = RunningService.on(data);
        api = service.api().withSite();
        api.push("posts", "{\"id\":\"1\",\"title\":\"Lobster\",\"where\":{\"lat\":1,\"lon\":2}}");
        search = api.publishedSearch("Shore");
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    /** What comes back for bytes as they are. */
    private static String raw(String request) throws IOException {
        URI at = URI.create(service.address());
        try (Socket socket = new Socket(at.getHost(), at.getPort())) {
            socket.setSoTimeout(20_000);
            socket.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
            socket.getOutputStream().flush();
            ByteArrayOutputStream answer = new ByteArrayOutputStream();
            socket.getInputStream().transferTo(answer);
            return answer.toString(StandardCharsets.UTF_8);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "place=,",
                "place=%2C",
                "near=,",
                "near=%2C%2C",
                "%00=1",
                "q=%00",
                "page=%00",
                "q=%zz",
                "q=%ff",
                "=1",
                "&&&",
                "order=,",
                "within=,",
                "q=%F0%9F"
            })
    void visitorsParametersOfAnyKindAreAnsweredOrRefused(String query) throws IOException {
        for (String path : new String[] {
            "/api/public/searches/" + search + "/results",
            "/api/public/searches/" + search + "/live",
            "/s/" + search,
            "/api/public/searches/" + search
        }) {
            String answer =
                    raw("GET %s?%s HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n\r\n".formatted(path, query));
            assertThat(answer.lines().findFirst().orElse(""))
                    .as(path + "?" + query)
                    .containsPattern("HTTP/1.1 (200|400) ");
            mustNotTell(answer);
        }
    }

    /** What comes after the body has arrived is a dispatch of its own kind, in which nobody could say it any more. */
    @ParameterizedTest
    @ValueSource(strings = {"%00=1", "q=%zz", "q=%ff", "=1", "a=b&=1"})
    void anUnreadableAddressIsRefusedBeforeABodyIsReceived(String query) throws IOException {
        String answer = raw(
                "POST /api/owner/sites/isles/searches?%s HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\nContent-Type: application/json\r\nContent-Length: 2\r\n\r\n{}"
                        .formatted(query));
        assertThat(answer.lines().findFirst().orElse("")).as(query).containsPattern("HTTP/1.1 (400|401|403) ");
        assertThat(answer).contains("application/problem+json");
        mustNotTell(answer);
    }

    @Test
    void aKeyThatCannotBeIsNoFailureOfTheService() {
        assertThat(api.send(
                                "PUT",
                                "/api/owner/sites/isles/collections/posts/fields/((((",
                                "{\"kind\":\"text\",\"label\":\"Odd\"}",
                                Map.of("Content-Type", "application/json"))
                        .status())
                .isEqualTo(400);
    }

    private static void mustNotTell(String answer) {
        assertThat(answer)
                .doesNotContain("Exception")
                .doesNotContain("org.springframework")
                .doesNotContain("org.apache")
                .doesNotContain("java.")
                .doesNotContain("Apache Tomcat");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "GET /error HTTP/1.1 | 404",
                "GET /nowhere HTTP/1.1 | 404",
                "GET /api/public/nowhere HTTP/1.1 | 404",
                "GET /%2e%2e/x HTTP/1.1 | 400",
                "GET /a//b HTTP/1.1 | 400",
                "BREW /api/owner/sites HTTP/1.1 | 400",
                "GET /api/owner/session;x=y HTTP/1.1 | 400",
                "TRACE / HTTP/1.1 | 405",
                "nonsense | 400",
                "GET / HTTP/9.9 | 505",
                "DELETE /api/public/searches/x/results HTTP/1.1 | 405"
            })
    void whatIsNoRequestOfOursIsRefusedWithoutAWordOfHowItIsMade(String line, int status) throws IOException {
        String answer = raw(line.strip() + "\r\nHost: localhost\r\nConnection: close\r\n\r\n");
        assertThat(answer.lines().findFirst().orElse("")).as(line).contains(" " + status + " ");
        mustNotTell(answer);
    }

    @Test
    void aMissingPartIsNamed() {
        for (String[] body : new String[][] {
            {"/api/owner/sites", "{\"name\":\"x\"}", "address"},
            {"/api/owner/access-keys", "{}", "name"},
            {"/api/owner/sites/isles/searches", "{}", "name"},
            {"/api/owner/sites/isles/collections/posts/items/marks", "{\"ids\":[null]}", "ids[0]"},
            {"/api/owner/sites/isles/page-outlines", "{}", "settings"},
            {"/api/owner/searches/" + search + "/trials", "{\"query\":\"x\"}", "expects"}
        }) {
            Api.Answer answer = api.post(body[0], body[1]);
            assertThat(answer.status()).as(answer.text()).isEqualTo(400);
            assertThat(answer.json().path("field").asString()).as(body[0]).isEqualTo(body[2]);
        }
    }
}
