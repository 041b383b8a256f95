package tidylantern.bench;

import java.net.http.HttpClient;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import tidylantern.bench.peer.PeerCorpus;
import tidylantern.core.reference.WordNet;

/** Many visitors at once, on the same cores as the service: alone, and while their owner changes something. */
final class LoadBench {
    private static final List<Integer> VISITORS = List.of(1, 8, 32, 64);
    /** Of a site that its owner works on meanwhile. */
    private static final int USUAL = 8;

    private static final Duration TO_WARM = Duration.ofSeconds(20);
    private static final Duration EACH = Duration.ofSeconds(40);

    private LoadBench() {}

    private interface Visits {
        void go(ServicePeer peer, Crowd crowd, PeerCorpus corpus) throws Exception;
    }

    static void run() throws Exception {
        on((peer, crowd, corpus) -> {
            for (int visitors : VISITORS) {
                crowd.ask(visitors, EACH).print(visitors + " visitors");
            }
        });
    }

    /** The same for one number of visitors, by turns with nothing else to do and with each kind of change. */
    static void runChanges() throws Exception {
        on((peer, crowd, corpus) -> {
            crowd.ask(USUAL, EACH).print("nothing changes");
            during("one item pushed after the other", peer::pushOne, crowd, corpus);
            during("all items pushed, each with a word more", peer::pushAll, crowd, corpus);
            during("rules published every second", peer::publishRules, crowd, corpus);
            during("the index made anew, in another language", peer::changeLanguage, crowd, corpus);
            crowd.ask(USUAL, EACH).print("nothing changes");
        });
    }

    private static void on(Visits visits) throws Exception {
        PeerCorpus corpus =
                PeerCorpus.ofEntries(WordNet.entries(), WordNet.entries().size());
        Path folder = Files.createTempDirectory("tidy-lantern-bench");
        try (ServicePeer peer = new ServicePeer(
                        folder.resolve("service"),
                        ServicePeer.practised(),
                        "-Xmx512m",
                        "-Dtidy-lantern.proxies=127.0.0.1");
                HttpClient typing = client();
                HttpClient pages = client()) {
            peer.take(corpus);
            ServicePeer.letSettle();
            Crowd crowd = new Crowd(typing, pages, peer.service().address(), peer.search(), corpus.questions());
            crowd.ask(USUAL, TO_WARM);
            System.out.println(corpus.name());
            visits.go(peer, crowd, corpus);
        } finally {
            FileTrees.delete(folder);
        }
    }

    private static HttpClient client() {
        return HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
    }

    private interface Change {
        /** @param time how often it was made before */
        void make(PeerCorpus corpus, int time) throws Exception;
    }

    /** Changes one after the other until the visitors have gone; returns once nothing of it goes on. */
    private static void during(String what, Change change, Crowd crowd, PeerCorpus corpus) throws Exception {
        AtomicInteger changes = new AtomicInteger();
        AtomicBoolean over = new AtomicBoolean();
        // On a thread of its own: the common pool, which has one on two cores, hands out what the client is answered.
        try (ExecutorService owner = Executors.newVirtualThreadPerTaskExecutor()) {
            Future<?> changing = owner.submit(() -> {
                while (!over.get()) {
                    change.make(corpus, changes.getAndIncrement());
                }
                return over;
            });
            try {
                crowd.ask(USUAL, EACH).print(what);
            } finally {
                over.set(true);
            }
            System.out.printf(Locale.ROOT, "  begun %d times%n", changes.get());
            changing.get();
        }
        ServicePeer.letSettle();
    }
}
