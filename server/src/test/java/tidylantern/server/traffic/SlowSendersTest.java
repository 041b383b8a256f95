package tidylantern.server.traffic;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;

/** Whoever sends slowly, too much or what nobody wants keeps no visitor waiting. */
class SlowSendersTest {
    private static final String ITEMS = "/api/owner/sites/isles/collections/posts/items";

    @TempDir
    private static Path data;

    private static RunningService service;
    private static Api api;
    private static String search;

    @BeforeAll
    static void start() {
        service = RunningService.on(data);
        api = service.api().withSite();
        api.push("posts", "{\"id\":\"1\",\"title\":\"Lobster\"}");
        search = api.publishedSearch("Shore");
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    /** Opens a connection and sends the head of a request with the beginning of a body that never ends. */
    private static Socket begun(String method, String path, String headers) throws IOException {
        return begun(method, path, headers, 100_000);
    }

    private static Socket begun(String method, String path, String headers, int length) throws IOException {
        URI at = URI.create(service.address());
        Socket socket = new Socket(at.getHost(), at.getPort());
        socket.setSoTimeout(10_000);
        socket.getOutputStream()
                .write(
                        "%s %s HTTP/1.1\r\nHost: localhost\r\nContent-Length: %d\r\nContent-Type: application/json\r\n%s\r\n{"
                                .formatted(method, path, length, headers)
                                .getBytes(StandardCharsets.US_ASCII));
        socket.getOutputStream().flush();
        return socket;
    }

    private static void closeAll(List<Socket> sockets) throws IOException {
        for (Socket socket : sockets) {
            socket.close();
        }
    }

    /** The status line, once there is one; an empty text if the connection was closed without. */
    private static String statusLine(Socket socket) throws IOException {
        InputStream in = socket.getInputStream();
        StringBuilder line = new StringBuilder();
        for (int c = in.read(); c >= 0 && c != '\r'; c = in.read()) {
            line.append((char) c);
        }
        return line.toString();
    }

    @Test
    void hundredsOfBodiesThatDoNotArriveKeepNoVisitorWaiting() throws IOException {
        List<Socket> sockets = new ArrayList<>();
        String key = "Authorization: Bearer " + RunningService.ACCESS_KEY + "\r\n";
        try {
            for (int i = 0; i < 65; i++) {
                sockets.add(begun("GET", "/api/public/searches/" + search + "/results?q=lobster", ""));
                sockets.add(begun("POST", "/api/owner/session", ""));
                sockets.add(begun("PUT", ITEMS, key));
                sockets.add(begun("PUT", "/api/owner/searches/" + search + "/draft", ""));
            }
            assertThat(api.results(search, "lobster").hits()).containsExactly("1");
            assertThat(api.get("/s/" + search).status()).isEqualTo(200);
        } finally {
            closeAll(sockets);
        }
    }

    @Test
    void whoeverIsRefusedWhileStillSendingReadsWhy() {
        String large = "{\"id\":\"1\",\"title\":\"" + "x".repeat(900_000) + "\"}\n";
        for (int n = 0; n < 20; n++) {
            assertThat(new Api(service.address(), "tl_nobodys")
                            .push("posts", large.repeat(20))
                            .status())
                    .isEqualTo(401);
            assertThat(api.put("/api/owner/searches/" + search + "/draft", large.repeat(20))
                            .status())
                    .isEqualTo(413);
            assertThat(api.sendChunked(
                                    "PUT",
                                    "/api/owner/searches/" + search + "/draft",
                                    large.repeat(20),
                                    Map.of("Content-Type", "application/json"))
                            .status())
                    .isEqualTo(413);
        }
    }

    @Test
    void aBodyThatNobodyWantsIsRefusedAtOnceAndItsConnectionClosed() throws IOException {
        for (String[] unwanted : new String[][] {
            {"GET", "/api/public/searches/" + search + "/results", "400"},
            {"GET", "/s/" + search, "400"},
            {"PATCH", "/api/owner/sites", "400"}
        }) {
            try (Socket socket = begun(unwanted[0], unwanted[1], "Authorization: Bearer tl_nobodys\r\n", 900_000)) {
                assertThat(statusLine(socket)).as(String.join(" ", unwanted)).contains(" " + unwanted[2] + " ");
                assertThat(restEnds(socket)).isTrue();
            }
        }
    }

    private static boolean restEnds(Socket socket) throws IOException {
        try {
            while (socket.getInputStream().read() >= 0) {
                // The answer's body.
            }
            return true;
        } catch (SocketTimeoutException stillOpen) {
            return false;
        } catch (IOException reset) {
            return true;
        }
    }

    @Test
    void noClientHasMoreThanItsShareOfBodiesUnderWay() throws IOException {
        List<Socket> sockets = new ArrayList<>();
        String key = "Authorization: Bearer " + RunningService.ACCESS_KEY + "\r\n";
        try {
            for (int i = 0; i < 40; i++) {
                sockets.add(begun("PUT", ITEMS, key));
            }
            List<String> answered = new ArrayList<>();
            for (Socket socket : sockets) {
                // Which of them come too late is nobody's choice; the others hear nothing as long as they are waited
                // for.
                socket.setSoTimeout(100);
                try {
                    answered.add(statusLine(socket));
                } catch (SocketTimeoutException waitedFor) {
                    continue;
                }
            }
            assertThat(answered).hasSizeGreaterThanOrEqualTo(15).allSatisfy(line -> assertThat(line)
                    .contains(" 429 "));
        } finally {
            closeAll(sockets);
        }
        assertThat(Stream.generate(() -> api.push("posts", "{\"id\":\"again\",\"title\":\"After them\"}")
                                .status())
                        .limit(500)
                        .filter(status -> status == 200)
                        .findFirst())
                .as("the share comes back")
                .isPresent();
    }

    @Test
    void bodiesHaveALimitForEachEndpointDeclaredOrNot() {
        String large = "{\"name\":\"" + "x".repeat(300_000) + "\"}";
        assertThat(api.post("/api/owner/sites", large).status()).isEqualTo(413);
        assertThat(api.put("/api/owner/searches/" + search + "/draft", "x".repeat(4_100_000))
                        .status())
                .isEqualTo(413);
        Api.Answer answer =
                api.sendChunked("POST", "/api/owner/sites", large, Map.of("Content-Type", "application/json"));
        assertThat(answer.status()).isEqualTo(413);
        assertThat(answer.json().path("detail").asString()).contains("200 kB");
        assertThat(answer.header("Content-Type")).isEqualTo("application/problem+json;charset=UTF-8");
    }

    @Test
    void aPackedPushIsUnpackedWithinItsLimitsAndOtherEncodingsAreRefused() throws IOException {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (GZIPOutputStream gzip = new GZIPOutputStream(packed)) {
            gzip.write("{\"id\":\"packed\",\"title\":\"Packed whelk\"}".getBytes(StandardCharsets.UTF_8));
        }
        Map<String, String> asGzip = Map.of("Content-Type", "application/jsonl", "Content-Encoding", "gzip");
        assertThat(api.sendBytes("PUT", ITEMS, packed.toByteArray(), asGzip)
                        .json()
                        .path("added")
                        .asInt())
                .isEqualTo(1);
        assertThat(api.results(search, "whelk").hits()).containsExactly("packed");
        Api.Answer cut = api.sendBytes(
                "PUT",
                ITEMS + "?everything=true&removeMany=true",
                java.util.Arrays.copyOf(packed.toByteArray(), packed.size() / 2),
                asGzip);
        assertThat(cut.status()).as(cut.text()).isEqualTo(400);
        assertThat(api.sendBytes(
                                "PUT",
                                ITEMS + "?everything=true&removeMany=true",
                                "plain".getBytes(StandardCharsets.UTF_8),
                                asGzip)
                        .status())
                .isEqualTo(400);
        assertThat(api.results(search, "lobster").hits()).containsExactly("1");
        for (String other : List.of("br", "deflate", "gzip, gzip")) {
            Api.Answer refused = api.sendBytes(
                    "PUT",
                    ITEMS + "?everything=true",
                    packed.toByteArray(),
                    Map.of("Content-Type", "application/jsonl", "Content-Encoding", other));
            assertThat(refused.status()).isEqualTo(415);
            assertThat(refused.json().path("field").asString()).isEqualTo("Content-Encoding");
        }
        assertThat(api.sendBytes(
                                "POST",
                                "/api/owner/sites",
                                packed.toByteArray(),
                                Map.of("Content-Type", "application/json", "Content-Encoding", "gzip"))
                        .status())
                .isEqualTo(415);
    }

    @Test
    void formsAreNotRead() {
        assertThat(api.send(
                                "POST",
                                "/api/owner/sites",
                                "name=x",
                                Map.of("Content-Type", "application/x-www-form-urlencoded"))
                        .status())
                .isEqualTo(415);
        assertThat(api.send(
                                "POST",
                                "/api/owner/session",
                                "name=x",
                                Map.of("Content-Type", "multipart/form-data; boundary=x"))
                        .status())
                .isEqualTo(415);
    }

    @Test
    void nothingThatArrivedIsLeftBehind() throws IOException {
        api.push("posts", "{\"id\":\"left\",\"title\":\"" + "x".repeat(100_000) + "\"}");
        api.push("posts", "not json");
        try (Stream<Path> files = Files.list(data.resolve("arriving"))) {
            assertThat(files).isEmpty();
        }
        assertThat(Files.getPosixFilePermissions(data.resolve("arriving"))).hasSize(3);
    }
}
