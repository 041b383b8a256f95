package tidylantern.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import tidylantern.demo.DemoLoader;

/** From starting the jar to a ready service with the demo in it: the first time, again, and again without its index. */
final class StartBench {
    private StartBench() {}

    static void run() throws Exception {
        Path data = Files.createTempDirectory("tidy-lantern-bench");
        long begun = System.nanoTime();
        try (ServiceProcess process = new ServiceProcess(data)) {
            new DemoLoader(process.address(), Service.KEY)
                    .load("https://isles.example", LocalDate.now(ZoneId.systemDefault()));
            System.out.printf("empty, then the demo pushed:     %.1f s%n", (System.nanoTime() - begun) / 1e9);
        }
        System.out.printf("with the demo in it:             %.1f s%n", seconds(data));
        try (var files = Files.walk(data.resolve("index"))) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(file);
            }
        }
        System.out.printf("with the demo, index made anew:  %.1f s%n", seconds(data));
    }

    private static double seconds(Path data) throws Exception {
        long begun = System.nanoTime();
        try (ServiceProcess process = new ServiceProcess(data)) {
            process.address();
            return (System.nanoTime() - begun) / 1e9;
        }
    }
}
