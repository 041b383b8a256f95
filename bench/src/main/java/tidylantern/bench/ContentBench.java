package tidylantern.bench;

import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.analysis.en.EnglishAnalyzer;
import org.apache.lucene.analysis.miscellaneous.PerFieldAnalyzerWrapper;
import org.apache.lucene.analysis.standard.StandardAnalyzer;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.Field;
import org.apache.lucene.document.StringField;
import org.apache.lucene.document.TextField;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.store.FSDirectory;
import tidylantern.core.reference.WordNet;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * 100,000 items of 1 kB: by push into a service with a heap of 512 MB, with visitors asking meanwhile, against plain
 * JDBC batches and a bare Lucene index; then the items table over them.
 */
final class ContentBench {
    private static final int ITEMS = 100_000;
    private static final int BYTES = 1_000;
    private static final int BATCH = 1_000;
    private static final int ROUNDS = 12;
    private static final JsonMapper JSON = new JsonMapper();
    private static final String COLLECTION = "/api/owner/sites/big/collections/items";
    private static final HttpClient CLIENT =
            HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();

    private ContentBench() {}

    static void run() throws Exception {
        Path folder = Files.createTempDirectory("tidy-lantern-bench");
        Path lines = folder.resolve("items.jsonl");
        List<WordNet.Entry> entries = WordNet.entries();
        try (BufferedWriter out = Files.newBufferedWriter(lines)) {
            for (int n = 0; n < ITEMS; n++) {
                out.write(JSON.writeValueAsString(item(n, entries)));
                out.newLine();
            }
        }
        System.out.printf(Locale.ROOT, "%,d items, %d bytes each at the mean%n", ITEMS, Files.size(lines) / ITEMS);
        StolenTime begun = StolenTime.now();
        double floorBefore = floor(folder.resolve("before"), lines);
        try (ServiceProcess process =
                new ServiceProcess(folder.resolve("service"), "-Xmx512m", ServicePeer.practised())) {
            String service = process.address();
            double pushed = push(service, lines);
            // Before and after, since a shared host is not as fast in one minute as in the next.
            double floorAfter = floor(folder.resolve("after"), lines);
            double floor = (floorBefore + floorAfter) / 2;
            System.out.printf(
                    Locale.ROOT,
                    "plain JDBC batches and bare Lucene: %6.1f s   x 1.00 (%.1f before, %.1f after)%n",
                    floor,
                    floorBefore,
                    floorAfter);
            System.out.printf(
                    Locale.ROOT, "push over HTTP, heap of 512 MB:     %6.1f s   x %.2f%n", pushed, pushed / floor);
            System.out.printf(
                    Locale.ROOT,
                    "of the time %.0f %% was stolen%n",
                    100 * StolenTime.now().shareSince(begun));
            double again = seconds(() -> send(
                    service,
                    "PUT",
                    COLLECTION + "/items",
                    HttpRequest.BodyPublishers.ofFile(lines),
                    "application/jsonl"));
            System.out.printf(
                    Locale.ROOT, "the same again, nothing changed:    %6.1f s   x %.2f%n", again, again / floor);
            table(service);
        }
    }

    private static Map<String, Object> item(int n, List<WordNet.Entry> entries) {
        WordNet.Entry entry = entries.get(n % entries.size());
        Map<String, Object> item = new LinkedHashMap<>();
        item.put("id", "item-%06d".formatted(n));
        item.put(
                "title",
                String.join(", ", entry.words())
                        .substring(
                                0, Math.min(60, String.join(", ", entry.words()).length())));
        item.put("url", "/items/" + n);
        item.put("author", "Author " + n % 97);
        item.put("tags", List.of("Part %d/Group %d/Tag %d".formatted(n % 7, n % 49, n % 343), "Colour " + n % 11));
        item.put("price", n * 37 % 10_000);
        item.put("published", "20%02d-%02d-%02d".formatted(n % 25, n % 12 + 1, n % 28 + 1));
        StringBuilder body = new StringBuilder();
        for (int k = 1; body.length() < BYTES - 200; k++) {
            body.append(entries.get((n + k * 7_919) % entries.size()).gloss()).append(". ");
        }
        item.put("body", body.substring(0, BYTES - 200));
        return item;
    }

    @FunctionalInterface
    private interface Work {
        void run() throws Exception;
    }

    private static double seconds(Work work) throws Exception {
        long begun = System.nanoTime();
        work.run();
        return (System.nanoTime() - begun) / 1e9;
    }

    /** What nobody could leave out: each line parsed, kept in a table, and added to an index with words and stems. */
    private static double floor(Path folder, Path lines) throws Exception {
        Files.createDirectories(folder);
        return seconds(() -> {
            Analyzer byField = new PerFieldAnalyzerWrapper(
                    new StandardAnalyzer(),
                    Map.of("title.stem", new EnglishAnalyzer(), "body.stem", new EnglishAnalyzer()));
            try (Connection db = DriverManager.getConnection("jdbc:h2:" + folder.resolve("floor"));
                    FSDirectory directory = FSDirectory.open(folder.resolve("floor-index"));
                    IndexWriter writer = new IndexWriter(directory, new IndexWriterConfig(byField));
                    BufferedReader read = Files.newBufferedReader(lines)) {
                db.createStatement()
                        .execute("CREATE TABLE item (id VARCHAR(200) PRIMARY KEY, properties CHARACTER LARGE OBJECT)");
                db.setAutoCommit(false);
                List<String> batch = new ArrayList<>();
                for (String line = read.readLine(); line != null; line = read.readLine()) {
                    batch.add(line);
                    if (batch.size() == BATCH) {
                        put(db, writer, batch);
                        batch.clear();
                    }
                }
                put(db, writer, batch);
                writer.commit();
            }
        });
    }

    private static void put(Connection db, IndexWriter writer, List<String> lines) throws SQLException, IOException {
        try (PreparedStatement insert = db.prepareStatement("INSERT INTO item (id, properties) VALUES (?, ?)")) {
            for (String line : lines) {
                JsonNode item = JSON.readTree(line);
                String id = item.path("id").asString();
                insert.setString(1, id);
                insert.setString(2, line);
                insert.addBatch();
                Document document = new Document();
                document.add(new StringField("id", id, Field.Store.YES));
                for (String field : List.of("title", "body")) {
                    document.add(new TextField(field, item.path(field).asString(), Field.Store.YES));
                    document.add(new TextField(field + ".stem", item.path(field).asString(), Field.Store.NO));
                }
                writer.addDocument(document);
            }
            insert.executeBatch();
        }
        db.commit();
    }

    private static double push(String service, Path lines) throws Exception {
        send(
                service,
                "POST",
                "/api/owner/sites",
                HttpRequest.BodyPublishers.ofString("{\"name\":\"Big\",\"address\":\"https://big.example\"}"),
                "application/json");
        send(
                service,
                "PUT",
                COLLECTION,
                HttpRequest.BodyPublishers.ofString("{\"label\":\"Items\",\"language\":\"en\"}"),
                "application/json");
        send(
                service,
                "PUT",
                COLLECTION + "/items",
                HttpRequest.BodyPublishers.ofString("{\"id\":\"first\",\"title\":\"The first\"}\n"),
                "application/jsonl");
        send(
                service,
                "POST",
                "/api/owner/sites/big/searches",
                HttpRequest.BodyPublishers.ofString("{\"name\":\"Big\"}"),
                "application/json");
        send(
                service,
                "POST",
                "/api/owner/searches/big/publish",
                HttpRequest.BodyPublishers.noBody(),
                "application/json");
        Timings meanwhile = new Timings();
        AtomicBoolean over = new AtomicBoolean();
        Thread visitor = Thread.ofPlatform().start(() -> {
            try {
                while (!over.get()) {
                    meanwhile.measure("a visitor's answer meanwhile", () -> send(
                                    service,
                                    "GET",
                                    "/api/public/searches/big/results?q=water",
                                    HttpRequest.BodyPublishers.noBody(),
                                    "application/json")
                            .path("total")
                            .asInt());
                    Thread.sleep(100);
                }
            } catch (Exception failure) {
                throw new IllegalStateException("a visitor was not answered during the push", failure);
            }
        });
        double pushed = seconds(() -> send(
                service, "PUT", COLLECTION + "/items", HttpRequest.BodyPublishers.ofFile(lines), "application/jsonl"));
        over.set(true);
        visitor.join();
        meanwhile.print("a visitor's answer meanwhile");
        return pushed;
    }

    private static void table(String service) throws Exception {
        Map<String, String> asked = new LinkedHashMap<>();
        asked.put("first page by title", "page=1");
        asked.put("a page in the middle", "page=2000");
        asked.put("the last page, reversed", "page=4000&reversed=true");
        asked.put("by price", "sort=price&page=100");
        asked.put("by date, newest first", "sort=published&reversed=true");
        asked.put("by change", "sort=changed&reversed=true");
        asked.put("part of a title", "q=wat");
        asked.put("by a category with all below", "value=tags:part-3&sort=price");
        asked.put("without a field", "without=image&page=50");
        asked.put("two filters, by category", "value=tags:colour-4&value=tags:part-1&sort=tags");
        Timings timings = new Timings();
        for (int round = 0; round < ROUNDS + 3; round++) {
            if (round == 3) {
                timings.forget();
            }
            for (Map.Entry<String, String> one : asked.entrySet()) {
                timings.measure(one.getKey(), () -> send(
                                service,
                                "GET",
                                COLLECTION + "/items?columns=author,tags,price&" + one.getValue(),
                                HttpRequest.BodyPublishers.noBody(),
                                "application/json")
                        .path("total")
                        .asInt());
            }
        }
        timings.print("first page by title");
    }

    private static JsonNode send(
            String service, String method, String path, HttpRequest.BodyPublisher body, String type)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(service + path))
                .header("Authorization", "Bearer " + Service.KEY)
                .header("Content-Type", type)
                .method(method, body);
        if (path.endsWith("/publish")) {
            request.header("If-Match", "\"1\"");
        }
        HttpResponse<String> response =
                CLIENT.send(request.build(), HttpResponse.BodyHandlers.ofString(StandardCharsets.UTF_8));
        if (response.statusCode() >= 300) {
            throw new IllegalStateException(
                    method + " " + path + " gave " + response.statusCode() + ": " + response.body());
        }
        return JSON.readTree(response.body());
    }
}
