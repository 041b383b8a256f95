package tidylantern.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import tidylantern.bench.peer.BareLuceneService;

/** {@link BareLuceneService}, started with the options of our own service. */
final class BareLuceneProcess extends AskedService {
    private final Process process;
    private final String address;

    /**
     * @param index a folder that a {@code BareLucene} wrote
     * @param javaOptions such as a bound of its heap
     */
    BareLuceneProcess(Path index, String... javaOptions) throws IOException {
        ProcessBuilder builder = new ProcessBuilder(ServiceProcess.java(), "--enable-native-access=ALL-UNNAMED");
        builder.command().addAll(List.of(javaOptions));
        builder.command()
                .addAll(List.of(
                        "-cp",
                        System.getProperty("java.class.path"),
                        BareLuceneService.class.getName(),
                        index.toString()));
        process = builder.redirectError(ProcessBuilder.Redirect.INHERIT).start();
        BufferedReader output = process.inputReader(StandardCharsets.UTF_8);
        String said = output.readLine();
        if (said == null || !said.startsWith(BareLuceneService.READY)) {
            process.destroy();
            throw new IllegalStateException("bare Lucene did not start: " + said);
        }
        address = "http://localhost:" + said.substring(BareLuceneService.READY.length());
    }

    int ask(String query) throws IOException {
        return ask("bare", "results", query);
    }

    @Override
    String address() {
        return address;
    }

    @Override
    public void close() {
        process.destroy();
        process.onExit().join();
    }
}
