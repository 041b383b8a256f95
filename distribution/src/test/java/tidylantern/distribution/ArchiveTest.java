package tidylantern.distribution;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.CookieManager;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The archive as somebody takes it along: unpacked in an empty folder, started, asked. */
class ArchiveTest {
    private static final String KEY = "tl_an-access-key-for-this-test-alone";

    @TempDir
    private static Path folder;

    private static Path unpacked;

    @BeforeAll
    static void unpack() throws Exception {
        Process tar = new ProcessBuilder("tar", "xzf", System.getProperty("archive"), "-C", folder.toString())
                .inheritIO()
                .start();
        assertThat(tar.waitFor()).isZero();
        unpacked = folder.resolve("tidy-lantern-" + System.getProperty("version"));
    }

    private static Process start(int port, Map<String, String> settings) throws IOException {
        ProcessBuilder service =
                new ProcessBuilder(unpacked.resolve("start").toString(), "--port", String.valueOf(port));
        service.environment().put("JAVA_HOME", System.getProperty("java.home"));
        service.environment().putAll(settings);
        return service.redirectErrorStream(true).start();
    }

    /** Waits until it says so; fails where it ends before. */
    private static String untilReady(Process service) throws IOException {
        BufferedReader said =
                new BufferedReader(new InputStreamReader(service.getInputStream(), StandardCharsets.UTF_8));
        StringBuilder all = new StringBuilder();
        for (String line = said.readLine(); line != null; line = said.readLine()) {
            all.append(line).append('\n');
            if (line.contains(" is ready")) {
                return all.toString();
            }
        }
        throw new AssertionError("It ended before it was ready:\n" + all);
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    @Test
    void itStartsAndAnswersAQuery() throws Exception {
        int port = freePort();
        Process service = start(
                port,
                Map.of(
                        "TIDY_LANTERN_OWNER", "mo",
                        "TIDY_LANTERN_PASSWORD", "lantern-keeper",
                        "TIDY_LANTERN_ACCESS_KEY", KEY,
                        "TIDY_LANTERN_QUICKER_START", "no"));
        try {
            assertThat(untilReady(service)).contains("Tidy Lantern " + System.getProperty("version") + " is ready");
            Asking asking = new Asking("http://localhost:" + port);
            asking.send(
                    "POST",
                    "/api/owner/sites",
                    "application/json",
                    "{\"name\":\"isles\",\"address\":\"https://isles.example\"}");
            asking.send(
                    "PUT",
                    "/api/owner/sites/isles/collections/posts",
                    "application/json",
                    "{\"label\":\"Posts\",\"language\":\"en\"}");
            asking.send(
                    "PUT",
                    "/api/owner/sites/isles/collections/posts/items",
                    "application/jsonl",
                    "{\"id\":\"rope\",\"title\":\"Rope walk\"}\n{\"id\":\"net\",\"title\":\"Nets\"}\n");
            asking.send("POST", "/api/owner/sites/isles/searches", "application/json", "{\"name\":\"Shore\"}");
            HttpResponse<String> draft = asking.send("GET", "/api/owner/searches/shore/draft", "application/json", "");
            asking.publish(draft.headers().firstValue("ETag").orElseThrow());

            assertThat(asking.send("GET", "/api/public/searches/shore/results?q=rope", "application/json", "")
                            .body())
                    .contains("\"total\":1", "Rope walk");
            assertThat(asking.send("GET", "/elements/tidy-lantern.js", "application/json", "")
                            .statusCode())
                    .isEqualTo(200);
            assertThat(asking.send("GET", "/api/owner/installation", "application/json", "")
                            .body())
                    .contains("\"version\":\"" + System.getProperty("version") + "\"");
            assertThat(unpacked.resolve("data")).isDirectory();
            if (Files.isDirectory(Path.of("/proc/self/task"))) {
                assertThat(nicenessOfThreads(service, "again-"))
                        .as("what gives way to visitors")
                        .containsOnly(10);
                assertThat(nicenessOfThreads(service, "http-nio"))
                        .as("visitors")
                        .containsOnly(0);
            }
        } finally {
            service.destroy();
            assertThat(service.waitFor(60, TimeUnit.SECONDS)).isTrue();
        }
    }

    /** By proc(5): of each thread whose name begins so. */
    private static List<Integer> nicenessOfThreads(Process service, String name) throws IOException {
        try (Stream<Path> threads = Files.list(Path.of("/proc/" + service.pid() + "/task"))) {
            List<Integer> niceness = new ArrayList<>();
            for (Path thread : (Iterable<Path>) threads::iterator) {
                String stat = Files.readString(thread.resolve("stat"));
                if (stat.substring(stat.indexOf('(') + 1).startsWith(name)) {
                    String[] afterName =
                            stat.substring(stat.lastIndexOf(')') + 2).split(" ");
                    niceness.add(Integer.valueOf(afterName[19 - 3]));
                }
            }
            return niceness;
        }
    }

    /** An owner's script, with an access key. */
    private record Asking(String service, HttpClient client) {
        Asking(String service) {
            this(
                    service,
                    HttpClient.newBuilder().cookieHandler(new CookieManager()).build());
        }

        private HttpResponse<String> send(String method, String path, String type, String body) throws Exception {
            return send(HttpRequest.newBuilder(URI.create(service + path))
                    .header("Content-Type", type)
                    .method(method, HttpRequest.BodyPublishers.ofString(body)));
        }

        private void publish(String tag) throws Exception {
            send(HttpRequest.newBuilder(URI.create(service + "/api/owner/searches/shore/publish"))
                    .header("If-Match", tag)
                    .POST(HttpRequest.BodyPublishers.noBody()));
        }

        private HttpResponse<String> send(HttpRequest.Builder request) throws Exception {
            HttpResponse<String> answer = client.send(
                    request.header("Authorization", "Bearer " + KEY).build(), HttpResponse.BodyHandlers.ofString());
            assertThat(answer.statusCode()).as(answer.body()).isBetween(200, 299);
            return answer;
        }
    }

    /** Practised once; then it starts with what that left, as long as version and Java are the same. */
    @Test
    void onePracticeMakesLaterStartsQuicker() throws Exception {
        Path data = folder.resolve("practised");
        Map<String, String> settings = Map.of("TIDY_LANTERN_DATA", data.toString());
        assertThat(startedAndStopped(settings)).contains("Starting once for practice");
        assertThat(data.resolve("quicker-start/classes")).isNotEmptyFile();
        assertThat(data.resolve("quicker-start/practice")).doesNotExist();
        assertThat(startedAndStopped(settings)).doesNotContain("practice", "warning");
        Map<String, String> otherwise = new HashMap<>(settings);
        otherwise.put("JAVA_OPTIONS", "-Xmx300m");
        assertThat(startedAndStopped(otherwise)).contains("Starting once for practice");
    }

    @Test
    void nobodyHasToPractise() throws Exception {
        Path data = folder.resolve("unpractised");
        assertThat(startedAndStopped(Map.of("TIDY_LANTERN_DATA", data.toString(), "TIDY_LANTERN_QUICKER_START", "no")))
                .doesNotContain("practice");
        assertThat(data.resolve("quicker-start")).doesNotExist();
    }

    /** What it said until it was ready. */
    private static String startedAndStopped(Map<String, String> settings) throws Exception {
        Process service = start(freePort(), settings);
        try {
            return untilReady(service);
        } finally {
            service.destroy();
            assertThat(service.waitFor(60, TimeUnit.SECONDS)).isTrue();
        }
    }

    @Test
    void withoutAJavaThatIsNewEnoughItSaysWhichItNeeds() throws Exception {
        Process none = start(freePort(), Map.of("JAVA_HOME", folder.toString()));
        assertThat(new String(none.getInputStream().readAllBytes(), StandardCharsets.UTF_8))
                .contains("Java 21 or later is needed", "JAVA_HOME");
        assertThat(none.waitFor()).isNotZero();
    }

    @Test
    void theNoticeNamesEverythingThatShips() throws IOException {
        String notice = Files.readString(unpacked.resolve("NOTICE.txt"));
        try (Stream<Path> libraries = Files.list(unpacked.resolve("lib"))) {
            List<String> others = libraries
                    .map(library -> library.getFileName().toString())
                    .filter(name -> !name.matches("(core|web|demo)-[\\d.].*"))
                    .map(name -> name.replaceFirst("-[\\d.].*", ""))
                    .toList();
            assertThat(others)
                    .hasSizeGreaterThan(30)
                    .allSatisfy(name -> assertThat(notice).as(name).contains(":" + name + ":"));
        }
        assertThat(notice)
                .contains("## vue-router - ", "## primevue - ", "@fontsource-variable/figtree", "SIL OPEN FONT LICENSE")
                .contains("== Place names", "== Signs", "== Common passwords");
    }

    @Test
    void theChangeListSaysWhatIsNewForWhom() throws IOException {
        assertThat(Files.readString(unpacked.resolve("CHANGES.md")))
                .contains("## " + System.getProperty("version").replace("-SNAPSHOT", ""))
                .contains("For owners", "For scripts", "For sites");
        assertThat(unpacked.resolve("examples/tidy-lantern.service")).isRegularFile();
        assertThat(unpacked.resolve("examples/Containerfile")).isRegularFile();
        assertThat(unpacked.resolve("examples/nginx.conf")).isRegularFile();
    }
}
