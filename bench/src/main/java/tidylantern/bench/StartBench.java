package tidylantern.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import tidylantern.demo.DemoLoader;
import tidylantern.demo.Quillhaven;

/**
 * From starting the service to a ready one with the demo in it: without and with what a start for practice left, side
 * by side; how long the first answers then take beside later ones; and without its index.
 */
final class StartBench {
    private static final int STARTS = 3;
    private static final int FIRST = 1_000;
    private static final int LATER = 4_000;

    private StartBench() {}

    static void run() throws Exception {
        Path data = Files.createTempDirectory("tidy-lantern-bench");
        long begun = System.nanoTime();
        try (ServiceProcess process = new ServiceProcess(data)) {
            process.takeDemo();
            print("empty, then the demo pushed", (System.nanoTime() - begun) / 1e9, "s");
        }
        begun = System.nanoTime();
        String quicker = ServiceProcess.practised(data);
        print("the start for practice", (System.nanoTime() - begun) / 1e9, "s");
        List<Double> plain = new ArrayList<>();
        List<Double> practised = new ArrayList<>();
        for (int start = 0; start < STARTS; start++) {
            plain.add(seconds(data));
            practised.add(seconds(data, quicker));
        }
        plain.sort(null);
        practised.sort(null);
        print("with the demo in it", plain.get(STARTS / 2), "s");
        print("the same, practised", practised.get(STARTS / 2), "s");
        print("the one beside the other", practised.get(STARTS / 2) / plain.get(STARTS / 2), "times");
        firstAnswers("first answers beside later ones", data);
        firstAnswers("the same, practised", data, quicker);
        try (var files = Files.walk(data.resolve("index"))) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(file);
            }
        }
        print("with the demo, index made anew", seconds(data), "s");
    }

    private static void print(String what, double number, String unit) {
        System.out.printf(Locale.ROOT, "%-34s %6.2f %s%n", what, number, unit);
    }

    private static double seconds(Path data, String... options) throws Exception {
        long begun = System.nanoTime();
        try (ServiceProcess process = new ServiceProcess(data, options)) {
            process.address();
            return (System.nanoTime() - begun) / 1e9;
        }
    }

    private static void firstAnswers(String what, Path data, String... options) throws Exception {
        List<String> typed =
                Quillhaven.expected().stream().map(Quillhaven.Expected::query).toList();
        Timings timings = new Timings();
        try (ServiceProcess service = new ServiceProcess(data, options)) {
            for (int answer = 0; answer < FIRST + LATER + FIRST; answer++) {
                String when = answer < FIRST ? "first" : answer < FIRST + LATER ? "between" : "later";
                String query = typed.get(answer % typed.size());
                timings.measure(when, () -> service.ask(DemoLoader.SEARCH, "results", query));
            }
        }
        print(what, timings.percentile("first", .5) / timings.percentile("later", .5), "times");
    }
}
