package tidylantern.bench;

import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import tidylantern.demo.DemoLoader;
import tidylantern.demo.Quillhaven;
import tools.jackson.databind.JsonNode;

/**
 * Live answers on the demo, letter by letter as visitors type: how long they are reckoned, and how long they take over
 * HTTP.
 */
final class DemoBench {
    private static final int ROUNDS = 6;

    private DemoBench() {}

    static void run() throws Exception {
        try (Service service = new Service(Files.createTempDirectory("tidy-lantern-bench"))) {
            service.takeDemo();
            List<String> typed = new ArrayList<>();
            for (Quillhaven.Expected expected : Quillhaven.expected()) {
                for (int letters = 2; letters <= expected.query().length(); letters++) {
                    typed.add(expected.query().substring(0, letters));
                }
            }
            List<Double> reckoned = new ArrayList<>();
            Timings timings = new Timings();
            for (int round = 0; round < ROUNDS; round++) {
                reckoned.clear();
                timings.forget();
                for (String query : typed) {
                    timings.measure("live, over HTTP", () -> service.ask(DemoLoader.SEARCH, "live", query));
                    timings.measure("results, over HTTP", () -> service.ask(DemoLoader.SEARCH, "results", query));
                    JsonNode live = service.get("/api/public/searches/" + DemoLoader.SEARCH + "/live?q="
                            + java.net.URLEncoder.encode(query, java.nio.charset.StandardCharsets.UTF_8));
                    reckoned.add(live.path("tookMicros").asLong() / 1e3);
                }
            }
            reckoned.sort(null);
            System.out.printf(
                    "%d queries, letter by letter; a live answer is reckoned in %.2f ms at the median, %.2f ms at p95%n",
                    typed.size(), reckoned.get(reckoned.size() / 2), reckoned.get(reckoned.size() * 95 / 100));
            timings.print("live, over HTTP");
        }
    }
}
