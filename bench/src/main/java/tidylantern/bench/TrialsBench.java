package tidylantern.bench;

import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tidylantern.demo.DemoLoader;
import tidylantern.demo.Quillhaven;
import tools.jackson.databind.node.ObjectNode;

/**
 * A hundred trials of the demo on draft and live version, run after every change of a weight, as the workbench does.
 */
final class TrialsBench {
    private static final int TRIALS = 100;
    private static final int CHANGES = 24;

    private TrialsBench() {}

    static void run() throws Exception {
        try (Service service = new Service(Files.createTempDirectory("tidy-lantern-bench"))) {
            service.takeDemo();
            measure(service);
        }
    }

    private static void measure(Service service) throws Exception {
        String search = "/api/owner/searches/" + DemoLoader.SEARCH;
        List<Quillhaven.Expected> expected = Quillhaven.expected();
        for (int i = service.get(search + "/trials").path("outcomes").size(); i < TRIALS; i++) {
            Quillhaven.Expected one = expected.get(i % expected.size());
            String query = i < expected.size()
                    ? one.query()
                    : one.query().split(" ")[0] + " "
                            + expected.get((i * 7) % expected.size()).query();
            service.send(
                    "POST",
                    search + "/trials",
                    "{\"query\":\"%s\",\"expects\":\"at-least\",\"number\":1}".formatted(query),
                    "application/json",
                    "");
        }
        List<Double> took = new ArrayList<>();
        ObjectNode design = (ObjectNode) service.get(search + "/draft");
        for (int change = 0; change < CHANGES; change++) {
            ((ObjectNode) design.required("words").required("weights").required(0)).put("weight", 1 + change % 9);
            service.send("PUT", search + "/draft", design.toString(), "application/json", "\"" + (2 + change) + "\"");
            took.add(service.get(search + "/trials").path("tookMicros").asLong() / 1e3);
        }
        System.out.printf(
                Locale.ROOT,
                "%d trials after a change: the first time %.0f ms; of the last %d, %.0f ms at the median, %.0f ms at most%n",
                TRIALS,
                took.getFirst(),
                CHANGES / 2,
                took.subList(CHANGES / 2, CHANGES).stream().sorted().toList().get(CHANGES / 4),
                took.subList(CHANGES / 2, CHANGES).stream()
                        .mapToDouble(one -> one)
                        .max()
                        .orElse(0));
    }
}
