package tidylantern.bench;

import java.util.LinkedHashMap;
import java.util.Map;

/** Runs one benchmark by its name, or all of them. */
public final class Bench {
    /** Of what "peers" does, in under three minutes; among all of them the long form is enough. */
    private static final String SHORT = "peers-short";

    private Bench() {}

    @FunctionalInterface
    interface Benchmark {
        void run() throws Exception;
    }

    public static void main(String[] arguments) throws Exception {
        Map<String, Benchmark> all = new LinkedHashMap<>();
        all.put("wordnet", WordNetBench::run);
        all.put("filters", FilterBench::run);
        all.put("order", OrderBench::run);
        all.put("effort", EffortBench::run);
        all.put("profile", ProfileBench::run);
        all.put("again", AgainBench::run);
        all.put("demo", DemoBench::run);
        all.put("trials", TrialsBench::run);
        all.put("draw", DrawBench::run);
        all.put("start", StartBench::run);
        all.put("content", ContentBench::run);
        all.put("peers", PeersBench::run);
        all.put("load", LoadBench::run);
        all.put("load-changes", LoadBench::runChanges);
        all.put("sizes", SizesBench::run);
        all.put("small-heap", SmallHeapBench::run);
        all.put("fresh", FreshBench::run);
        all.put(SHORT, PeersBench::runShort);
        String name = arguments.length == 0 ? "all" : arguments[0];
        if (!name.equals("all") && !all.containsKey(name)) {
            System.err.println("There is no benchmark \"" + name + "\"; there are " + all.keySet());
            System.exit(2);
        }
        for (Map.Entry<String, Benchmark> one : all.entrySet()) {
            if ((name.equals("all") && !one.getKey().equals(SHORT)) || name.equals(one.getKey())) {
                System.out.println("== " + one.getKey());
                one.getValue().run();
            }
        }
        System.exit(0);
    }
}
