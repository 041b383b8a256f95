package tidylantern.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The service as operators start it: its jar, in a process of its own. */
final class ServiceProcess extends AskedService {
    private static final Pattern USED = Pattern.compile("used (\\d+)K");

    private final Process process;
    private final int port;

    /**
     * Returns when the service says that it is ready.
     *
     * @param javaOptions such as a bound of its heap
     */
    ServiceProcess(Path data, String... javaOptions) throws IOException {
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        List<String> command = new ArrayList<>(List.of(
                java(),
                "--enable-native-access=ALL-UNNAMED",
                // As a property of the machine, so that a benchmark may say otherwise after it.
                "-Dtidy-lantern.kept-answers=0"));
        command.addAll(givingWay());
        command.addAll(List.of(javaOptions));
        command.addAll(List.of(
                "-jar",
                jar().toString(),
                "--server.port=" + port,
                "--tidy-lantern.data=" + data,
                "--tidy-lantern.access-key=" + KEY,
                "--tidy-lantern.answers-per-second=0"));
        process = new ProcessBuilder(command).redirectErrorStream(true).start();
        BufferedReader output = process.inputReader(StandardCharsets.UTF_8);
        StringBuilder said = new StringBuilder();
        for (String line = output.readLine(); line != null; line = output.readLine()) {
            said.append(line).append('\n');
            if (line.contains("Started TidyLantern")) {
                // No virtual one: who reads from a process holds a processor, and with two services nothing else ran.
                Thread.ofPlatform().daemon().start(() -> drain(output));
                return;
            }
        }
        throw new IllegalStateException("the service did not start: " + said);
    }

    static String java() {
        return ProcessHandle.current().info().command().orElseThrow();
    }

    static Path jar() throws IOException {
        // Not the one of its tests.
        try (DirectoryStream<Path> jars = Files.newDirectoryStream(Path.of("server/target"), "server-*[!s].jar")) {
            return jars.iterator().next();
        }
    }

    /** The option by which Java uses what a start for practice left, as the script of the archive finds it. */
    static String practised(Path data) throws IOException {
        return said(
                ". distribution/src/main/archive/quicker-start.sh; quicker_start \"$1\" \"$2\" \"$3\"; echo \"$QUICKER\"",
                java(),
                jar().toString(),
                data.toString());
    }

    /** The options by which pushes give way to visitors, as the scripts of the archive give them. */
    private static List<String> givingWay() throws IOException {
        return List.of(said(". distribution/src/main/archive/giving-way.sh; echo \"$GIVING_WAY\"")
                .split(" "));
    }

    /** What a line of the shell says. */
    private static String said(String line, String... arguments) throws IOException {
        List<String> command = new ArrayList<>(List.of("sh", "-c", line, "sh"));
        command.addAll(List.of(arguments));
        Process asked = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        String said = new String(asked.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
        if (said.isEmpty()) {
            throw new IllegalStateException("there is no option to start Java with: " + line);
        }
        return said;
    }

    /** A process whose output nobody reads stands still. */
    private static void drain(BufferedReader output) {
        try {
            output.transferTo(java.io.Writer.nullWriter());
        } catch (IOException ended) {
            // The process was stopped, and its output with it.
        }
    }

    /** Of its heap, right after what nobody needs was thrown away. */
    long heapBytes() throws IOException {
        jcmd("GC.run");
        Matcher used = USED.matcher(jcmd("GC.heap_info"));
        if (!used.find()) {
            throw new IllegalStateException("jcmd did not say how much of the heap is used");
        }
        return Long.parseLong(used.group(1)) * 1_024;
    }

    private String jcmd(String command) throws IOException {
        Process asked = new ProcessBuilder(
                        Path.of(java()).resolveSibling("jcmd").toString(), String.valueOf(pid()), command)
                .redirectErrorStream(true)
                .start();
        return new String(asked.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }

    long pid() {
        return process.pid();
    }

    @Override
    String address() {
        return "http://localhost:" + port;
    }

    @Override
    public void close() {
        process.destroy();
        process.onExit().join();
    }
}
