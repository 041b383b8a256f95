package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What checkers of others say of the hosted page: the Nu HTML checker (npm {@code vnu-jar} 26.9.27) of its every state,
 * npm {@code jsonld} 9.0.0 of what it tells machines, npm {@code lighthouse} 12.8.2 of the whole.
 */
@Tag("long")
@ExtendWith(SharedDemo.class)
class HostedPageAuditTest {
    private static DemoWorld world;
    private static String page;

    @TempDir
    private static Path folder;

    @BeforeAll
    static void start(DemoWorld shared) throws Exception {
        world = shared;
        String key = LiveSearch.of(
                world,
                "Audited",
                List.of("kitchen"),
                Map.of(
                        "filters",
                        "[{\"head\": {\"key\": \"course\", \"label\": \"Course\"}, \"source\": {\"of\": \"category\", \"field\": \"course\"}}]",
                        "page",
                        """
                        {"shows": {"popular": {"filter": "course", "most": 5, "below": true}}}"""));
        page = world.service() + "/s/" + key;
        run("npm", "install", "--no-audit", "--no-fund", "vnu-jar@26.9.27", "jsonld@9.0.0", "lighthouse@12.8.2");
        Files.copy(Path.of("src/test/resources/audit/audit.mjs"), folder.resolve("audit.mjs"));
    }

    /** What a program writes. */
    private static String run(String... command) throws Exception {
        Path out = Files.createTempFile(folder, "run", ".out");
        Process process = new ProcessBuilder(command)
                .directory(folder.toFile())
                .redirectErrorStream(true)
                .redirectOutput(out.toFile())
                .start();
        assertThat(process.waitFor(5, TimeUnit.MINUTES))
                .as(String.join(" ", command))
                .isTrue();
        return Files.readString(out);
    }

    @Test
    void everyStateOfThePageIsValidHtml() throws Exception {
        List<String> command = new ArrayList<>(List.of(
                "java", "-jar", "node_modules/vnu-jar/build/dist/vnu.jar", "--exit-zero-always", "--format", "json"));
        String island = world.service() + "/s/island-search";
        List<String> states = List.of(
                page,
                page + "?q=honey",
                page + "?q=zzqxw",
                page + "?q=honey+zzqxw",
                page + "?q=honey&course=soup",
                island + "?q=light&page=2",
                island + "?q=harbr",
                world.service() + "/s/homes?q=sea",
                world.service() + "/s/outings",
                world.service() + "/s/nope");
        for (String state : states) {
            Path saved = folder.resolve("state-" + states.indexOf(state) + ".html");
            Files.writeString(saved, fetched(state));
            command.add(saved.getFileName().toString());
        }
        JsonNode said = JsonMapper.shared().readTree(run(command.toArray(String[]::new)));
        assertThat(said.path("messages").valueStream())
                .extracting(one ->
                        one.path("url").asString() + " " + one.path("lastLine").asInt() + ": "
                                + one.path("message").asString())
                .isEmpty();
        assertThat(said.path("version").asString())
                .as("it was the checker that spoke")
                .isNotEmpty();
    }

    private static String fetched(String address) throws IOException, InterruptedException {
        try (HttpClient client = HttpClient.newHttpClient()) {
            return client.send(
                            HttpRequest.newBuilder(URI.create(address)).build(), HttpResponse.BodyHandlers.ofString())
                    .body();
        }
    }

    /** Its speed depends on the machine, and is measured; see docs/measurements.md. */
    @Test
    void thePageIsAccessibleListedAndWellMadeAndNothingOnItJumps() throws Exception {
        String written = run("node", "audit.mjs", page);
        JsonNode said = JsonMapper.shared()
                .readTree(Arrays.stream(written.split("\n"))
                        .filter(line -> line.startsWith("{"))
                        .findFirst()
                        .orElseThrow(() -> new AssertionError(written)));
        assertThat(said.path("scores").path("accessibility").asInt()).isEqualTo(100);
        assertThat(said.path("scores").path("best-practices").asInt()).isEqualTo(100);
        assertThat(said.path("scores").path("seo").asInt()).isEqualTo(100);
        assertThat(said.path("shift").asDouble()).isZero();
        assertThat(said.path("types").valueStream())
                .extracting(JsonNode::asString)
                .containsExactly("https://schema.org/WebSite", "https://schema.org/ItemList");
    }
}
