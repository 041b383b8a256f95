package tidylantern.bench;

import java.io.BufferedWriter;
import java.io.IOException;
import java.net.http.HttpRequest;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import tidylantern.bench.peer.Peer;
import tidylantern.bench.peer.PeerCorpus;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Our service in a process of its own, as operators start it, asked over HTTP as a visitor's browser does. */
final class ServicePeer implements Peer {
    private static final JsonMapper JSON = new JsonMapper();
    private static final String SITE = "/api/owner/sites/texts";
    private static final String COLLECTION = SITE + "/collections/texts";
    private static final String JSON_TYPE = "application/json";
    /** By then a service has seen that nothing changes any more, and put the parts of its index together. */
    private static final Duration UNTIL_SETTLED = Duration.ofSeconds(20);

    private static final Duration BETWEEN_RULES = Duration.ofSeconds(1);
    private static final Duration BETWEEN_LOOKS = Duration.ofMillis(500);

    /** By the two categories. */
    private static final String CATEGORIES = """
            {"head": {"key": "part", "label": "Part"}, "source": {"of": "category", "field": "part"}},
            {"head": {"key": "file", "label": "File"}, "source": {"of": "category", "field": "file"}}""";

    private static final String FILTERS = """
            [%s,
            {"head": {"key": "letters", "label": "Letters"}, "source": {"of": "number", "field": "letters"}}]""".formatted(CATEGORIES);

    private final Path folder;
    private final String[] javaOptions;
    private ServiceProcess service;
    private String search = "";
    private int keptDrafts;

    /** @param javaOptions such as a bound of its heap */
    ServicePeer(Path folder, String... javaOptions) throws IOException {
        this.folder = folder;
        this.javaOptions = javaOptions;
        Files.createDirectories(folder);
        service = new ServiceProcess(folder, javaOptions);
    }

    /** The option by which Java uses what a start for practice left; it is made once for all benchmarks. */
    static String practised() throws IOException {
        return ServiceProcess.practised(Files.createDirectories(Path.of("target/bench-practice")));
    }

    /** As after an upgrade: what Java found out while items were pushed is forgotten. */
    void startAnew() throws IOException {
        service.close();
        service = new ServiceProcess(folder, javaOptions);
    }

    /** @param search that an earlier start published */
    void goOnWith(String search) {
        this.search = search;
    }

    ServiceProcess service() {
        return service;
    }

    /** Key of the live search. */
    String search() {
        return search;
    }

    @Override
    public void take(PeerCorpus corpus) throws IOException, InterruptedException {
        take(corpus, FILTERS);
    }

    /** Without the range, whose numbers bare Lucene does not count beside {@code wordnet}'s queries either. */
    void takeWithCategories(PeerCorpus corpus) throws IOException, InterruptedException {
        take(corpus, "[" + CATEGORIES + "]");
    }

    private void take(PeerCorpus corpus, String filters) throws IOException, InterruptedException {
        service.send(
                "POST",
                "/api/owner/sites",
                "{\"name\":\"Texts\",\"address\":\"https://texts.example\"}",
                JSON_TYPE,
                "");
        service.send("PUT", COLLECTION, "{\"label\":\"Texts\",\"language\":\"en\"}", JSON_TYPE, "");
        push(corpus);
        search = service.send("POST", SITE + "/searches", "{\"name\":\"Texts\"}", JSON_TYPE, "")
                .path("key")
                .asString();
        publish(filters);
    }

    /** All items in one request, by way of a file: a million lines are not held at once. */
    private void push(PeerCorpus corpus) throws IOException, InterruptedException {
        Path lines = Files.createTempFile("tidy-lantern-bench", ".jsonl");
        try {
            write(corpus, lines);
            service.send(
                    "PUT", COLLECTION + "/items", HttpRequest.BodyPublishers.ofFile(lines), "application/jsonl", "");
        } finally {
            Files.delete(lines);
        }
    }

    private void publish(String filters) throws IOException, InterruptedException {
        String draft = "/api/owner/searches/" + search + "/draft";
        ObjectNode design = (ObjectNode) service.get(draft);
        design.set("filters", JSON.readTree(filters));
        service.send("PUT", draft, design.toString(), JSON_TYPE, tag(++keptDrafts));
        service.send("POST", "/api/owner/searches/" + search + "/publish", "", JSON_TYPE, tag(keptDrafts + 1));
    }

    /** A draft's tag: it counts up from 1 by what is kept of the draft. */
    private static String tag(int version) {
        return "\"%d\"".formatted(version);
    }

    private static void write(PeerCorpus corpus, Path lines) throws IOException {
        try (BufferedWriter out = Files.newBufferedWriter(lines);
                Stream<PeerCorpus.Text> texts = corpus.texts()) {
            for (PeerCorpus.Text text : (Iterable<PeerCorpus.Text>) texts::iterator) {
                out.write(line(text));
                out.newLine();
            }
        }
    }

    /** An item as it is pushed. */
    static String line(PeerCorpus.Text text) {
        // As lists, by which the service knows categories.
        Map<String, Object> item = Map.of(
                "id", text.id(),
                "title", text.title(),
                "body", text.body(),
                "url", "/texts/" + text.id(),
                "part", List.of(text.part()),
                "file", List.of(text.file()),
                "letters", text.letters());
        return JSON.writeValueAsString(item);
    }

    /** One item more, under an id that none has. */
    void pushOne(PeerCorpus corpus, int time) throws IOException, InterruptedException {
        PeerCorpus.Text text = corpus.text().apply(time);
        push(List.of(new PeerCorpus.Text(
                "more-" + time, text.title(), text.body(), text.part(), text.file(), text.letters())));
    }

    /** All items in one request, each with a word more than before. */
    void pushAll(PeerCorpus corpus, int time) throws IOException, InterruptedException {
        push(new PeerCorpus(
                corpus.name(),
                corpus.size(),
                n -> {
                    PeerCorpus.Text text = corpus.text().apply(n);
                    return new PeerCorpus.Text(
                            text.id(),
                            text.title(),
                            text.body() + " again" + time,
                            text.part(),
                            text.file(),
                            text.letters());
                },
                corpus.questions()));
    }

    /** Another name of a filter, live a second after the last. */
    void publishRules(PeerCorpus corpus, int time) throws IOException, InterruptedException {
        Thread.sleep(BETWEEN_RULES);
        publish(FILTERS.replace("\"Part\"", "\"Part %d\"".formatted(time)));
    }

    /** Reads all items of the collection anew, in English and in German by turns, and waits until that is done. */
    void changeLanguage(PeerCorpus corpus, int time) throws IOException, InterruptedException {
        String language = time % 2 == 0 ? "de" : "en";
        service.send("PUT", COLLECTION, "{\"label\":\"Texts\",\"language\":\"%s\"}".formatted(language), JSON_TYPE, "");
        JsonNode correction = correction();
        while (!correction.isMissingNode() && !correction.isNull()) {
            if (correction.hasNonNull("problem")) {
                throw new IllegalStateException("the language was not changed: " + correction);
            }
            Thread.sleep(BETWEEN_LOOKS);
            correction = correction();
        }
    }

    /** What goes on in the collection, or went wrong there. */
    private JsonNode correction() throws IOException, InterruptedException {
        return service.get(SITE + "/collections").path(0).path("correction");
    }

    /** Waits until the service has put the parts of its index together, which it does once nothing changes. */
    static void letSettle() throws InterruptedException {
        Thread.sleep(UNTIL_SETTLED);
    }

    void push(List<PeerCorpus.Text> texts) throws IOException, InterruptedException {
        StringBuilder lines = new StringBuilder();
        texts.forEach(text -> lines.append(line(text)).append('\n'));
        service.send("PUT", COLLECTION + "/items", lines.toString(), "application/jsonl", "");
    }

    @Override
    public int answer(PeerCorpus.Question question) throws IOException {
        return answer(question, "");
    }

    /** Asks the live search; how many items are found. */
    int ask(String what, String query) throws IOException {
        return service.ask(search, what, query);
    }

    /** @param further parameters as they stand in the address */
    int answer(PeerCorpus.Question question, String further) throws IOException {
        PeerCorpus.Letters letters = question.letters();
        String range = letters == null ? "" : "&letters=" + letters.from() + ".." + letters.to();
        return service.ask(search, "results", question.typed(), range + further);
    }

    /** A page of the owner's table; how many items it is of. */
    int tablePage(String wanted) throws IOException, InterruptedException {
        return service.get(COLLECTION + "/items?columns=part,letters&" + wanted)
                .path("total")
                .asInt();
    }

    @Override
    public long diskBytes() throws IOException {
        return Peer.bytesBelow(folder);
    }

    long heapBytes() throws IOException {
        return service.heapBytes();
    }

    @Override
    public void close() {
        service.close();
    }
}
