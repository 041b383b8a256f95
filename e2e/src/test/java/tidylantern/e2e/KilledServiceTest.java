package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;

/** The real jar in a process of its own, killed without warning (kill -9) while it takes items. */
class KilledServiceTest {
    private static final int KILLS = System.getProperty("long") == null ? 1 : 15;

    private static Process start(Path data, int port) throws IOException {
        try (DirectoryStream<Path> jars = Files.newDirectoryStream(Path.of("../server/target"), "server-*[!s].jar")) {
            Path jar = jars.iterator().next();
            return new ProcessBuilder(
                            ProcessHandle.current().info().command().orElseThrow(),
                            "--enable-native-access=ALL-UNNAMED",
                            "-XX:+UseSerialGC",
                            "-XX:TieredStopAtLevel=1",
                            "-jar",
                            jar.toString(),
                            "--server.port=" + port,
                            "--tidy-lantern.data=" + data,
                            "--tidy-lantern.owner=" + RunningService.OWNER,
                            "--tidy-lantern.password=" + RunningService.PASSWORD,
                            "--tidy-lantern.access-key=" + RunningService.ACCESS_KEY)
                    .redirectErrorStream(true)
                    .start();
        }
    }

    /** A process whose output nobody reads stands still. */
    private static void drain(BufferedReader output) {
        try {
            output.transferTo(java.io.Writer.nullWriter());
        } catch (IOException ended) {
            // The process was killed, as it should be, and its output with it.
        }
    }

    /** Waits for the line with which the service says that it is ready, and goes on reading what it says. */
    private static Api ready(Process process, int port) throws IOException {
        BufferedReader output = process.inputReader(StandardCharsets.UTF_8);
        StringBuilder said = new StringBuilder();
        for (String line = output.readLine(); line != null; line = output.readLine()) {
            said.append(line).append('\n');
            if (line.contains("Started TidyLantern")) {
                Thread.ofVirtual().start(() -> drain(output));
                return new Api("http://localhost:" + port, RunningService.ACCESS_KEY);
            }
        }
        throw new IllegalStateException("the service did not start: " + said);
    }

    @Test
    void whatWasAcknowledgedSurvivesAndNothingIsHalfWritten(@TempDir Path data) throws Exception {
        int port;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        Random random = new Random(9);
        Set<Integer> acknowledged = new HashSet<>();
        int next = 0;
        Process process = start(data, port);
        try {
            Api api = ready(process, port).withSite();
            api.push("posts", "{\"id\":\"first\",\"title\":\"lantern\"}");
            String search = api.publishedSearch("Shore");
            for (int kill = 0; kill < KILLS; kill++) {
                Process running = process;
                int pushesBefore = 1 + random.nextInt(6);
                CompletableFuture<Void> killed = new CompletableFuture<>();
                for (int push = 0; ; push++) {
                    if (push == pushesBefore) {
                        // While the next pushes are on their way, at a moment that nobody chose.
                        killed = CompletableFuture.runAsync(
                                running::destroyForcibly,
                                CompletableFuture.delayedExecutor(random.nextInt(60), TimeUnit.MILLISECONDS));
                    }
                    int batch = next++;
                    try {
                        if (api.push("posts", batch(batch)).status() == 200) {
                            acknowledged.add(batch);
                        }
                    } catch (UncheckedIOException cutOff) {
                        break;
                    }
                }
                killed.join();
                process.waitFor();
                process = start(data, port);
                api = ready(process, port);
                Set<Integer> there = new HashSet<>();
                for (int b = 0; b < next; b++) {
                    int total = api.results(search, "batch" + b + "x")
                            .json()
                            .path("total")
                            .asInt();
                    assertThat(total)
                            .as("batch %d is there whole or not at all", b)
                            .isIn(0, 20);
                    if (total == 20) {
                        there.add(b);
                    }
                }
                assertThat(there)
                        .as("everything acknowledged before kill %d", kill + 1)
                        .containsAll(acknowledged);
                acknowledged = there;
                assertThat(api.results(search, "lantern").hits()).containsExactly("first");
            }
        } finally {
            process.destroyForcibly().waitFor();
        }
    }

    private static String batch(int number) {
        List<String> lines = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            lines.add("{\"id\":\"%d-%d\",\"title\":\"batch%dx item %d\"}".formatted(number, i, number, i));
        }
        return String.join("\n", lines);
    }
}
