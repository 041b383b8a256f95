package tidylantern.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import tidylantern.demo.DemoLoader;
import tidylantern.demo.Quillhaven;

/** The demo in a heap of 256 MB: taken in, asked again and again, and how much of the heap that needs. */
final class SmallHeapBench {
    private static final int ROUNDS = 8;

    private SmallHeapBench() {}

    static void run() throws Exception {
        Path data = Files.createTempDirectory("tidy-lantern-bench");
        try (ServiceProcess service = new ServiceProcess(data, "-Xmx256m")) {
            service.takeDemo();
            Timings timings = new Timings();
            for (int round = 0; round < ROUNDS; round++) {
                for (Quillhaven.Expected expected : Quillhaven.expected()) {
                    timings.measure("results", () -> service.ask(DemoLoader.SEARCH, "results", expected.query()));
                    timings.measure("live", () -> service.ask(DemoLoader.SEARCH, "live", expected.query()));
                }
            }
            timings.print("results");
            System.out.printf(Locale.ROOT, "of the heap in use: %.0f MB%n", service.heapBytes() / 1e6);
        } finally {
            FileTrees.delete(data);
        }
    }
}
