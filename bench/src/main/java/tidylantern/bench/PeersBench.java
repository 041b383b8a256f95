package tidylantern.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tidylantern.bench.peer.LucenePeer;
import tidylantern.bench.peer.Peer;
import tidylantern.bench.peer.PeerCorpus;
import tidylantern.bench.peer.PostgresPeer;
import tidylantern.bench.peer.SqlitePeer;
import tidylantern.core.reference.WordNet;

/**
 * The core and the whole answer over HTTP beside what people could use instead: bare Lucene, SQLite's and PostgreSQL's
 * text search. One corpus, one list of questions, the same work, in one run by turns: each answers all questions of a
 * round before the next does, as it would for its visitors, and not with the processor's caches full of another's work.
 * None is warmed more than another, and none keeps answers. Ours forgive typos and offer further queries as well, which
 * no other does.
 */
final class PeersBench {
    private static final int ROUNDS_TO_WARM = 8;
    private static final int ROUNDS = 4;
    private static final int SMALL = 10_000;
    private static final int MILLION = 1_000_000;
    private static final int PAGES = 20_000;
    private static final String HEAP = "-Xmx512m";
    private static final String LUCENE = "bare Lucene";
    private static final String SQLITE = "SQLite FTS5";
    private static final String POSTGRES = "PostgreSQL";
    private static final String CORE = "core, all help";
    private static final String HTTP = "HTTP, all help";

    private PeersBench() {}

    /** At ten thousand entries alone; without the practice, which takes a minute the first time of a version. */
    static void runShort() throws Exception {
        compare(PeerCorpus.ofEntries(WordNet.entries(), SMALL), HEAP);
    }

    static void run() throws Exception {
        List<WordNet.Entry> entries = WordNet.entries();
        compare(PeerCorpus.ofEntries(entries, SMALL));
        Timings all = compare(PeerCorpus.ofEntries(entries, entries.size()));
        Timings million = compare(PeerCorpus.ofEntries(entries, MILLION));
        growth(all, entries.size(), million, MILLION);
        compare(PeerCorpus.ofPages(entries, PAGES));
    }

    private static Timings compare(PeerCorpus corpus) throws Exception {
        return compare(corpus, HEAP, ServicePeer.practised());
    }

    private static Timings compare(PeerCorpus corpus, String... javaOptions) throws Exception {
        Path folder = Files.createTempDirectory("tidy-lantern-bench");
        Map<String, Peer> peers = new LinkedHashMap<>();
        Timings timings = new Timings();
        try {
            peers.put(LUCENE, new LucenePeer(folder.resolve("lucene")));
            peers.put(SQLITE, new SqlitePeer(folder.resolve("sqlite")));
            peers.put(POSTGRES, new PostgresPeer(folder.resolve("postgres")));
            peers.put(CORE, new CorePeer(folder.resolve("core")));
            ServicePeer service = new ServicePeer(folder.resolve("service"), javaOptions);
            peers.put(HTTP, service);
            System.out.printf(
                    "%s, %d questions%n", corpus.name(), corpus.questions().size());
            for (Map.Entry<String, Peer> peer : peers.entrySet()) {
                take(peer.getKey(), peer.getValue(), corpus);
            }
            ServicePeer.letSettle();
            service.startAnew();
            ask(peers, corpus, timings);
            timings.print(LUCENE);
            System.out.printf(
                    Locale.ROOT,
                    "on disk of our service: %.0f MB; its heap after all questions: %.0f MB%n%n",
                    service.diskBytes() / 1e6,
                    service.heapBytes() / 1e6);
        } finally {
            for (Peer peer : peers.values()) {
                peer.close();
            }
            FileTrees.delete(folder);
        }
        return timings;
    }

    private static void take(String name, Peer peer, PeerCorpus corpus) throws Exception {
        long begun = System.nanoTime();
        peer.take(corpus);
        double seconds = (System.nanoTime() - begun) / 1e9;
        System.out.printf(
                Locale.ROOT,
                "%-16s taken in %7.1f s, %,8.0f a second, %,6.0f MB on disk%n",
                name,
                seconds,
                corpus.size() / seconds,
                peer.diskBytes() / 1e6);
    }

    private static void ask(Map<String, Peer> peers, PeerCorpus corpus, Timings timings) throws Exception {
        Map<String, Long> found = new LinkedHashMap<>();
        for (int round = 0; round < ROUNDS_TO_WARM + ROUNDS; round++) {
            if (round == ROUNDS_TO_WARM) {
                timings.forget();
                found.clear();
            }
            for (Map.Entry<String, Peer> peer : peers.entrySet()) {
                for (PeerCorpus.Question question : corpus.questions()) {
                    int total =
                            timings.measure(peer.getKey(), () -> peer.getValue().answer(question));
                    found.merge(peer.getKey(), (long) total, Long::sum);
                }
            }
        }
        // They stem words each in its own way, and ours finds the mistyped ones, so these differ.
        System.out.println("found in all: " + found);
    }

    /** How p95 grows with the corpus: the exponent of a power through two sizes. */
    private static void growth(Timings small, int fewer, Timings large, int more) {
        for (String peer : List.of(LUCENE, SQLITE, POSTGRES, CORE, HTTP)) {
            System.out.printf(
                    Locale.ROOT,
                    "%-16s p95 grows by the power %.2f from %,d to %,d%n",
                    peer,
                    Math.log(large.percentile(peer, .95) / small.percentile(peer, .95))
                            / Math.log((double) more / fewer),
                    fewer,
                    more);
        }
        System.out.println();
    }
}
