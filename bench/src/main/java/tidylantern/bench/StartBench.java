package tidylantern.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Comparator;
import tidylantern.demo.DemoLoader;

/** From starting the jar to a ready service with the demo in it: the first time, again, and again without its index. */
final class StartBench {
    private StartBench() {}

    static void run() throws Exception {
        Path data = Files.createTempDirectory("tidy-lantern-bench");
        int port;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        long begun = System.nanoTime();
        Process process = start(data, port);
        new DemoLoader("http://localhost:" + port, Service.KEY).load("https://isles.example", LocalDate.now());
        System.out.printf("empty, then the demo pushed:     %.1f s%n", (System.nanoTime() - begun) / 1e9);
        stop(process);
        System.out.printf("with the demo in it:             %.1f s%n", seconds(data, port));
        try (var files = Files.walk(data.resolve("index"))) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(file);
            }
        }
        System.out.printf("with the demo, index made anew:  %.1f s%n", seconds(data, port));
    }

    private static double seconds(Path data, int port) throws Exception {
        long begun = System.nanoTime();
        Process process = start(data, port);
        double seconds = (System.nanoTime() - begun) / 1e9;
        stop(process);
        return seconds;
    }

    private static void stop(Process process) throws InterruptedException {
        process.destroy();
        process.waitFor();
    }

    /** A process whose output nobody reads stands still. */
    private static void drain(BufferedReader output) {
        try {
            output.transferTo(java.io.Writer.nullWriter());
        } catch (IOException ended) {
            // The process was stopped, and its output with it.
        }
    }

    /** Returns when the service says that it is ready. */
    private static Process start(Path data, int port) throws IOException {
        try (DirectoryStream<Path> jars = Files.newDirectoryStream(Path.of("server/target"), "server-*-exec.jar")) {
            Process process = new ProcessBuilder(ProcessHandle.current().info().command().orElseThrow(), "--enable-native-access=ALL-UNNAMED", "-jar", jars.iterator().next().toString(),
                    "--server.port=" + port, "--tidy-lantern.data=" + data, "--tidy-lantern.access-key=" + Service.KEY).redirectErrorStream(true).start();
            BufferedReader output = process.inputReader(StandardCharsets.UTF_8);
            StringBuilder said = new StringBuilder();
            for (String line = output.readLine(); line != null; line = output.readLine()) {
                said.append(line).append('\n');
                if (line.contains("Started TidyLantern")) {
                    Thread.ofVirtual().start(() -> drain(output));
                    return process;
                }
            }
            throw new IllegalStateException("the service did not start: " + said);
        }
    }
}
