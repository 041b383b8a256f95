package tidylantern.bench;

import java.nio.file.Files;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tidylantern.demo.DemoLoader;
import tidylantern.demo.Quillhaven;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Live answers on the demo, letter by letter as visitors type: how long they are reckoned, and how long they take over HTTP. */
final class DemoBench {
    private static final int ROUNDS = 6;
    private static final int TRIALS = 100;
    private static final int CHANGES = 24;

    private DemoBench() {}

    /** A hundred trials on draft and live version, run after every change of a weight, as the workbench does. */
    private static void trials(Service service) throws Exception {
        String search = "/api/owner/searches/" + DemoLoader.SEARCH;
        List<Quillhaven.Expected> expected = Quillhaven.expected();
        for (int i = service.send("GET", search + "/trials", null, "application/json", "").path("outcomes").size(); i < TRIALS; i++) {
            Quillhaven.Expected one = expected.get(i % expected.size());
            String query = i < expected.size() ? one.query() : one.query().split(" ")[0] + " " + expected.get((i * 7) % expected.size()).query();
            service.send("POST", search + "/trials", "{\"query\":\"%s\",\"expects\":\"at-least\",\"number\":1}".formatted(query), "application/json", "");
        }
        List<Double> took = new ArrayList<>();
        ObjectNode design = (ObjectNode) service.send("GET", search + "/draft", null, "application/json", "");
        for (int change = 0; change < CHANGES; change++) {
            ((ObjectNode) design.path("words").path("weights").path(0)).put("weight", 1 + change % 9);
            service.send("PUT", search + "/draft", design.toString(), "application/json", "\"" + (2 + change) + "\"");
            took.add(service.send("GET", search + "/trials", null, "application/json", "").path("tookMicros").asLong() / 1e3);
        }
        System.out.printf(Locale.ROOT, "%d trials after a change: the first time %.0f ms; of the last %d, %.0f ms at the median, %.0f ms at most%n", TRIALS, took.getFirst(), CHANGES / 2,
                took.subList(CHANGES / 2, CHANGES).stream().sorted().toList().get(CHANGES / 4), took.subList(CHANGES / 2, CHANGES).stream().mapToDouble(one -> one).max().orElse(0));
    }

    static void run() throws Exception {
        try (Service service = new Service(Files.createTempDirectory("tidy-lantern-bench"))) {
            new DemoLoader(service.address(), Service.KEY).load("https://isles.example", LocalDate.now());
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
                    JsonNode live = service.send("GET", "/api/public/searches/" + DemoLoader.SEARCH + "/live?q=" + java.net.URLEncoder.encode(query, java.nio.charset.StandardCharsets.UTF_8), null, "application/json", "");
                    reckoned.add(live.path("tookMicros").asLong() / 1e3);
                }
            }
            reckoned.sort(null);
            System.out.printf("%d queries, letter by letter; a live answer is reckoned in %.2f ms at the median, %.2f ms at p95%n", typed.size(),
                    reckoned.get(reckoned.size() / 2), reckoned.get(reckoned.size() * 95 / 100));
            timings.print("live, over HTTP");
            trials(service);
        }
    }
}
