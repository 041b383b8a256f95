package tidylantern.server.source;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;

/** Files as people have them: without a header, with one column, with hundreds, nearly empty, with a name twice. */
class UnusualFilesTest {
    private static RunningService service;
    private static int sites;
    private Api api;

    @BeforeAll
    static void start(@TempDir Path data) {
        service = RunningService.on(data);
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    @BeforeEach
    void aSiteOfItsOwn() {
        api = service.api().withSite("files-" + ++sites);
    }

    private JsonNode preview(String csv) {
        String upload = api.sendBytes(
                        "POST",
                        api.site() + "/uploads",
                        csv.getBytes(StandardCharsets.UTF_8),
                        Map.of("Content-Type", "application/octet-stream"))
                .json()
                .path("upload")
                .asString();
        return api.post(
                        api.site() + "/source-previews",
                        "{\"settings\":{\"kind\":\"file\",\"upload\":\"%s\"},\"collection\":\"posts\",\"fresh\":true}"
                                .formatted(upload))
                .json();
    }

    /** What a proposed search finds of a file that was brought in as it was guessed. */
    private List<String> found(String csv, String query) {
        api.bringIn("posts", csv.getBytes(StandardCharsets.UTF_8));
        String search = api.proposedSearch("Files " + sites);
        return api.get("/api/public/searches/" + search + "/results?q=" + query).hits();
    }

    @Test
    void withoutAHeaderTheFirstRowIsARecord() {
        String csv = IntStream.range(0, 12)
                .mapToObj(n ->
                        "%d,Boat number %d,%s,2026-0%d-01\n".formatted(n, n, n % 2 == 0 ? "red" : "blue", 1 + n % 9))
                .collect(Collectors.joining());

        JsonNode preview = preview(csv);

        assertThat(preview.path("form").path("header").asBoolean()).isFalse();
        assertThat(preview.path("records").asInt()).isEqualTo(12);
        assertThat(found(csv, "boat")).hasSize(10);
    }

    @Test
    void oneColumnIsTheTitle() {
        String csv = "name\nRope walk\nNet loft\nSail loft\n";

        assertThat(preview(csv).path("columns")).hasSize(1);
        assertThat(found(csv, "loft")).hasSize(2);
    }

    @Test
    void fourHundredColumnsAreRead() {
        String header = IntStream.range(0, 400).mapToObj(n -> "column " + n).collect(Collectors.joining(","));
        String csv = "id,title," + header + "\n"
                + IntStream.range(0, 30)
                        .mapToObj(row -> row + ",Boat " + row + ","
                                + IntStream.range(0, 400)
                                        .mapToObj(n -> "v" + (n + row) % 7)
                                        .collect(Collectors.joining(",")))
                        .collect(Collectors.joining("\n"));

        JsonNode preview = preview(csv);

        assertThat(preview.path("columns")).hasSize(402);
        assertThat(found(csv, "boat")).hasSize(10);
    }

    @Test
    void allCellsEmptyButOne() {
        String csv = "id,title,notes\n1,,\n2,Anchor,\n3,,\n";

        assertThat(preview(csv).path("records").asInt()).isEqualTo(3);
        assertThat(found(csv, "anchor")).containsExactly("2");
    }

    @Test
    void aNameTwiceIsTwoColumns() {
        String csv = "id,title,note,note\n1,Anchor,of iron,of bronze\n2,Rope,of hemp,of sisal\n";

        JsonNode preview = preview(csv);

        assertThat(preview.path("columns")).hasSize(4);
        assertThat(found(csv, "bronze")).containsExactly("1");
    }
}
