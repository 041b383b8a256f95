package tidylantern.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import jdk.jfr.consumer.RecordedEvent;
import jdk.jfr.consumer.RecordedFrame;
import jdk.jfr.consumer.RecordedStackTrace;
import jdk.jfr.consumer.RecordingFile;
import tidylantern.bench.peer.PeerCorpus;
import tidylantern.core.reference.WordNet;
import tidylantern.demo.DemoLoader;
import tidylantern.demo.Quillhaven;

/**
 * Where the time of an answer goes: samples of the service's threads (JDK Flight Recorder) while this process asks it,
 * one question after another, by the part of an answer that they were found at.
 */
final class ProfileBench {
    private static final int ROUNDS_TO_WARM = 4;
    private static final int ROUNDS = 8;

    /** A sample is of the first of these whose name one of its frames begins with. */
    private static final Map<String, List<String>> PARTS = new LinkedHashMap<>();

    static {
        PARTS.put("SQL", List.of("org.h2.", "org.springframework.jdbc."));
        PARTS.put("JSON", List.of("tools.jackson."));
        PARTS.put("help: see also", List.of("tidylantern.core.query.help.SeeAlso"));
        PARTS.put("help: did you mean", List.of("tidylantern.core.query.help.DidYouMean"));
        PARTS.put("help: completions", List.of("tidylantern.core.query.help.Completions"));
        PARTS.put("help: the rest", List.of("tidylantern.core.query.help."));
        PARTS.put("excerpts", List.of("tidylantern.core.query.Excerpts"));
        PARTS.put("cards read", List.of("tidylantern.core.query.HitCards"));
        PARTS.put(
                "whether words are spelled right",
                List.of(
                        "tidylantern.core.query.words.ReadQuery.spelledRight",
                        "tidylantern.core.query.words.ReadQuery$Reader.isSpelledRight"));
        PARTS.put("the query read", List.of("tidylantern.core.query.filter.NarrowedQuery"));
        PARTS.put("found, counted, ordered", List.of("tidylantern.core.query.SearchEngine.inTime"));
        PARTS.put("the engine's rest", List.of("tidylantern.core.query."));
        PARTS.put("written as an answer", List.of("tidylantern.server.answer."));
        PARTS.put(
                "the web server, and before it",
                List.of("tidylantern.server.", "org.apache.", "org.springframework.", "jakarta."));
    }

    private ProfileBench() {}

    static void run() throws Exception {
        Path folder = Files.createTempDirectory("tidy-lantern-bench");
        try (ServicePeer peer = new ServicePeer(folder, "-Xmx512m")) {
            ServiceProcess service = peer.service();
            service.takeDemo();
            List<String> demo = Quillhaven.expected().stream()
                    .map(Quillhaven.Expected::query)
                    .toList();
            List<WordNet.Entry> entries = WordNet.entries();
            peer.takeWithCategories(PeerCorpus.ofEntries(entries, entries.size()));
            ServicePeer.letSettle();
            profile(service, folder, "WordNet", peer.search(), WordNetQueries.of(entries));
            profile(service, folder, "the demo", DemoLoader.SEARCH, demo);
        }
    }

    private static void profile(ServiceProcess service, Path folder, String what, String search, List<String> queries)
            throws Exception {
        Timings timings = new Timings();
        Path recording = folder.resolve(search + ".jfr");
        for (int round = 0; round < ROUNDS_TO_WARM + ROUNDS; round++) {
            if (round == ROUNDS_TO_WARM) {
                timings.forget();
                jcmd(service, "JFR.start", "name=" + search, "settings=profile");
            }
            for (String query : queries) {
                timings.measure(what + ", results", () -> service.ask(search, "results", query));
            }
        }
        jcmd(service, "JFR.stop", "name=" + search, "filename=" + recording);
        int answers = ROUNDS * queries.size();
        timings.print(what + ", results");
        Map<String, Integer> samples = samples(recording);
        int all = samples.values().stream().mapToInt(Integer::intValue).sum();
        System.out.printf(Locale.ROOT, "%,d samples of %,d answers%n", all, answers);
        samples.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
                .forEach(part -> System.out.printf(
                        Locale.ROOT, "%-31s %5.1f %%%n", part.getKey(), 100.0 * part.getValue() / all));
    }

    private static Map<String, Integer> samples(Path recording) throws IOException {
        Map<String, Integer> samples = new LinkedHashMap<>();
        try (RecordingFile events = new RecordingFile(recording)) {
            while (events.hasMoreEvents()) {
                RecordedEvent event = events.readEvent();
                RecordedStackTrace stack = event.getStackTrace();
                if (event.getEventType().getName().equals("jdk.ExecutionSample") && stack != null) {
                    samples.merge(part(stack), 1, Integer::sum);
                }
            }
        }
        return samples;
    }

    private static String part(RecordedStackTrace stack) {
        List<String> frames = new ArrayList<>();
        for (RecordedFrame frame : stack.getFrames()) {
            frames.add(frame.getMethod().getType().getName() + "."
                    + frame.getMethod().getName());
        }
        return PARTS.entrySet().stream()
                .filter(part -> part.getValue().stream()
                        .anyMatch(begins -> frames.stream().anyMatch(frame -> frame.startsWith(begins))))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse("the JDK alone");
    }

    private static void jcmd(ServiceProcess service, String... command) throws Exception {
        List<String> whole = new ArrayList<>();
        whole.add(Path.of(System.getProperty("java.home"), "bin", "jcmd").toString());
        whole.add(String.valueOf(service.pid()));
        whole.addAll(List.of(command));
        Process run = new ProcessBuilder(whole).redirectErrorStream(true).start();
        String said = new String(run.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        if (run.waitFor() != 0) {
            throw new IllegalStateException(String.join(" ", whole) + ": " + said);
        }
    }
}
