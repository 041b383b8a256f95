package tidylantern.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tidylantern.bench.peer.Peer;
import tidylantern.bench.peer.PeerCorpus;
import tidylantern.core.reference.WordNet;

/**
 * What a site of ten thousand, of a hundred thousand and of a million items needs, in a heap of 512 MB: time to push
 * and to start, room on the disk and in the heap, and how long a visitor and an owner then wait.
 */
final class SizesBench {
    private static final List<Integer> SIZES = List.of(10_000, 100_000, 1_000_000);
    private static final String HEAP = "-Xmx512m";
    private static final int ROUNDS_TO_WARM = 4;
    private static final int ROUNDS = 2;
    private static final int PAGE_OF_TABLE = 25;
    private static final int TABLES = 12;
    private static final int CHANGES = 21;
    private static final double MB = 1e6;

    private SizesBench() {}

    static void run() throws Exception {
        List<WordNet.Entry> entries = WordNet.entries();
        for (int size : SIZES) {
            Path folder = Files.createTempDirectory("tidy-lantern-bench");
            try {
                measure(PeerCorpus.ofEntries(entries, size), folder);
            } finally {
                FileTrees.delete(folder);
            }
        }
    }

    private static void measure(PeerCorpus corpus, Path folder) throws Exception {
        String practised = ServicePeer.practised();
        System.out.println(corpus.name());
        String search;
        try (ServicePeer service = new ServicePeer(folder, HEAP, practised)) {
            long begun = System.nanoTime();
            service.take(corpus);
            print("pushed, searched and live after", seconds(begun), "s");
            ServicePeer.letSettle();
            print("heap in use, settled", service.heapBytes() / MB, "MB");
            search = service.search();
        }
        long begun = System.nanoTime();
        try (ServicePeer service = new ServicePeer(folder, HEAP, practised)) {
            print("started anew, ready after", seconds(begun), "s");
            service.goOnWith(search);
            print("database on disk", Files.size(folder.resolve("tidy-lantern.mv.db")) / MB, "MB");
            print("index on disk", Peer.bytesBelow(folder.resolve("index")) / MB, "MB");
            answers(service, corpus);
            table(service, corpus);
            print("heap in use after all this", service.heapBytes() / MB, "MB");
            change(service);
        }
        System.out.println();
    }

    /** Pages of results, the same under a filter, in another order, and as live results. */
    private static void answers(ServicePeer service, PeerCorpus corpus) throws Exception {
        Timings timings = new Timings();
        for (int round = 0; round < ROUNDS_TO_WARM + ROUNDS; round++) {
            if (round == ROUNDS_TO_WARM) {
                timings.forget();
            }
            for (PeerCorpus.Question question : corpus.questions()) {
                timings.measure("a page of results", () -> service.answer(question));
                timings.measure("the same under a filter", () -> service.answer(question, "&part=noun"));
                timings.measure("live results", () -> service.ask("live", question.typed()));
            }
        }
        timings.print("a page of results");
    }

    /** Pages of the owner's table of items. */
    private static void table(ServicePeer service, PeerCorpus corpus) throws Exception {
        int pages = Math.max(1, corpus.size() / PAGE_OF_TABLE);
        Map<String, String> asked = new LinkedHashMap<>();
        asked.put("table, the first page by title", "page=1");
        asked.put("table, one in the middle", "page=" + (pages / 2 + 1));
        asked.put("table, by number, the last", "sort=letters&page=" + pages);
        asked.put("table, part of a title", "q=wat");
        asked.put("table, of a category", "value=part:noun&sort=letters");
        Timings timings = new Timings();
        for (int round = 0; round < TABLES; round++) {
            if (round == TABLES / 2) {
                timings.forget();
            }
            for (Map.Entry<String, String> one : asked.entrySet()) {
                timings.measure(one.getKey(), () -> service.tablePage(one.getValue()));
            }
        }
        timings.print("table, the first page by title");
    }

    /** One item more after another, and how long the answer after each takes, which has it. */
    private static void change(ServicePeer service) throws Exception {
        Timings timings = new Timings();
        for (int n = 0; n < CHANGES; n++) {
            PeerCorpus.Text item =
                    new PeerCorpus.Text("one-more-" + n, "Quillhavenish", "It was not there.", "noun", "03", 13);
            String when = n == 0 ? "the first item more, pushed" : "one more, pushed and acknowledged";
            timings.measure(when, () -> {
                service.push(List.of(item));
                return 1;
            });
            timings.measure("the answer after it", () -> service.ask("results", item.title()));
        }
        timings.print("the answer after it");
    }

    private static double seconds(long begun) {
        return (System.nanoTime() - begun) / 1e9;
    }

    private static void print(String what, double number, String unit) {
        System.out.printf(Locale.ROOT, "%-34s %8.1f %s%n", what, number, unit);
    }
}
