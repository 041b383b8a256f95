package tidylantern.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** Times by contestant, and the table that compares them. */
final class Timings {
    private final Map<String, List<Long>> nanos = new LinkedHashMap<>();

    @FunctionalInterface
    interface Work {
        int run() throws Exception;
    }

    /** Does the work once and keeps how long it took. */
    int measure(String contestant, Work work) throws Exception {
        long begun = System.nanoTime();
        int found = work.run();
        add(contestant, System.nanoTime() - begun);
        return found;
    }

    void add(String contestant, long took) {
        nanos.computeIfAbsent(contestant, name -> new ArrayList<>()).add(took);
    }

    /** In the order in which they came. */
    Set<String> contestants() {
        return nanos.keySet();
    }

    int count(String contestant) {
        return nanos.getOrDefault(contestant, List.of()).size();
    }

    void forget() {
        nanos.clear();
    }

    /** The value at p (N + 1), between its neighbours (NIST/SEMATECH e-Handbook, 7.2.6.2); milliseconds. */
    double percentile(String contestant, double p) {
        List<Long> sorted =
                nanos.getOrDefault(contestant, List.of()).stream().sorted().toList();
        double place = Math.clamp(p * (sorted.size() + 1), 1, sorted.size());
        int below = (int) place;
        long low = sorted.get(below - 1);
        long high = sorted.get(Math.min(below, sorted.size() - 1));
        return (low + (place - below) * (high - low)) / 1e6;
    }

    /** A line a contestant: median, p95, and how many times the floor's they are. */
    void print(String floor) {
        System.out.printf(
                Locale.ROOT,
                "%-34s %10s %10s %9s %9s %8s%n",
                "",
                "median ms",
                "p95 ms",
                "x median",
                "x p95",
                "answers");
        for (Map.Entry<String, List<Long>> one : nanos.entrySet()) {
            double median = percentile(one.getKey(), .5);
            double high = percentile(one.getKey(), .95);
            System.out.printf(
                    Locale.ROOT,
                    "%-34s %10.3f %10.3f %9.2f %9.2f %8d%n",
                    one.getKey(),
                    median,
                    high,
                    median / percentile(floor, .5),
                    high / percentile(floor, .95),
                    one.getValue().size());
        }
    }
}
