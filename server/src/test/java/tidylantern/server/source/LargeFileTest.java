package tidylantern.server.source;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedWriter;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A file of 200 MB comes in whole, and one that is broken near its end leaves nothing behind. */
@EnabledIfSystemProperty(named = "long", matches = ".*")
class LargeFileTest {
    private static final int ROWS = 20_000;
    private static final String TEXT =
            "Ropes are laid by hand in a shed of ninety metres, backwards, to the sound of the sea. ".repeat(118);
    private static final String MAPPING =
            "{\"idColumn\":\"id\",\"fields\":[{\"property\":\"title\",\"label\":\"Title\",\"kind\":\"text\",\"column\":\"title\"},{\"property\":\"body\",\"label\":\"Body\",\"kind\":\"text\",\"column\":\"text\"}]}";

    private static Path csv(Path folder, String name, String end) throws Exception {
        Path file = folder.resolve(name);
        try (BufferedWriter out = Files.newBufferedWriter(file)) {
            out.write("id,title,text\n");
            for (int row = 0; row < ROWS; row++) {
                out.write("p-%05d,Post %d,\"%s\"\n".formatted(row, row, TEXT));
            }
            out.write(end);
        }
        return file;
    }

    private static JsonNode run(RunningService service, Path file) throws Exception {
        Api api = service.api();
        HttpRequest upload = HttpRequest.newBuilder(URI.create(service.address() + "/api/owner/sites/isles/uploads"))
                .header("Authorization", "Bearer " + RunningService.ACCESS_KEY)
                .header("Content-Type", "application/octet-stream")
                .POST(HttpRequest.BodyPublishers.ofFile(file))
                .build();
        String token = new JsonMapper()
                .readTree(HttpClient.newHttpClient()
                        .send(upload, HttpResponse.BodyHandlers.ofString())
                        .body())
                .path("upload")
                .asString();
        long source = api.post(
                        "/api/owner/sites/isles/sources",
                        "{\"collection\":\"posts\",\"name\":\"Large\",\"settings\":{\"kind\":\"file\",\"upload\":\"%s\"},\"mapping\":%s,\"removesMissing\":true,\"schedule\":\"never\"}"
                                .formatted(token, MAPPING))
                .json()
                .path("id")
                .asLong();
        long sync = api.post("/api/owner/sources/" + source + "/syncs", "")
                .json()
                .path("id")
                .asLong();
        JsonNode now;
        do {
            now = api.get("/api/owner/syncs/" + sync).json();
        } while (now.path("state").asString().equals("running"));
        return now;
    }

    @Test
    void itIsTakenWholeOrNotAtAll(@TempDir Path folder) throws Exception {
        try (RunningService service = RunningService.on(folder.resolve("service"))) {
            service.api().withSite();
            Path broken = csv(folder, "broken.csv", "p-x,Broken,\"never closed\n" + "and on, and on\n".repeat(100_000));
            assertThat(Files.size(broken)).isGreaterThan(200_000_000L);
            JsonNode failed = run(service, broken);
            assertThat(failed.path("state").asString()).isEqualTo("failed");
            assertThat(failed.path("report").path("problem").asString())
                    .contains("Row %d".formatted(ROWS + 2))
                    .contains("quote");
            assertThat(service.api()
                            .get("/api/owner/sites/isles/collections/posts/items")
                            .json()
                            .path("total")
                            .asInt())
                    .isZero();
            JsonNode done = run(service, csv(folder, "whole.csv", ""));
            assertThat(done.path("state").asString()).as(done.toString()).isEqualTo("done");
            assertThat(done.path("report").path("added").asInt()).isEqualTo(ROWS);
        }
    }
}
