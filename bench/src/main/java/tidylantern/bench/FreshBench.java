package tidylantern.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import tidylantern.bench.peer.PeerCorpus;
import tidylantern.core.reference.WordNet;

/**
 * From the acknowledgement of an item, which is on disk by then, until visitors find it, among WordNet's entries.
 * Beside it, what one answer takes that finds nothing new.
 */
final class FreshBench {
    private static final int TO_WARM = 40;
    private static final int ITEMS = 200;

    private FreshBench() {}

    static void run() throws Exception {
        PeerCorpus corpus =
                PeerCorpus.ofEntries(WordNet.entries(), WordNet.entries().size());
        Path folder = Files.createTempDirectory("tidy-lantern-bench");
        Timings timings = new Timings();
        try (ServicePeer peer = new ServicePeer(folder.resolve("service"), "-Xmx512m")) {
            peer.take(corpus);
            ServicePeer.letSettle();
            int askedInAll = 0;
            for (int n = -TO_WARM; n < ITEMS; n++) {
                if (n == 0) {
                    timings.forget();
                    askedInAll = 0;
                }
                String name = "fresh" + letters(n + TO_WARM);
                timings.measure("the question before it is there", () -> found(peer, name));
                PeerCorpus.Text text = new PeerCorpus.Text(name, name, "An item that was not there.", "noun", "03", 5);
                timings.measure("pushed and acknowledged", () -> {
                    peer.push(List.of(text));
                    return 1;
                });
                askedInAll += timings.measure("acknowledged until found", () -> {
                    int asked = 1;
                    while (found(peer, name) == 0) {
                        asked++;
                    }
                    return asked;
                });
            }
            System.out.printf(
                    Locale.ROOT,
                    "%s, then %d items one by one; asked %d times until all were found%n",
                    corpus.name(),
                    ITEMS,
                    askedInAll);
            timings.print("the question before it is there");
        } finally {
            FileTrees.delete(folder);
        }
    }

    private static int found(ServicePeer peer, String name) throws Exception {
        return peer.ask("results", name);
    }

    /** A word of its own for each number, so long that none is a slip of another. */
    private static String letters(int number) {
        String letters = Integer.toString(number + 26 * 26, 26)
                .chars()
                .mapToObj(digit -> String.valueOf((char) ('a' + Character.digit(digit, 26))))
                .reduce("", String::concat);
        return letters.repeat(4);
    }
}
