package tidylantern.server.content;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;

/** The database is the truth and the index follows it, whatever became of the index meanwhile. */
class RestartTest {
    @Test
    void contentDesignsAndAnswersAreThereAgain(@TempDir Path data) {
        String search;
        try (RunningService service = RunningService.on(data)) {
            Api api = service.api().withSite();
            api.push("posts", "{\"id\":\"1\",\"title\":\"Lobster\"}");
            search = api.publishedSearch("Shore");
        }
        try (RunningService again = RunningService.on(data)) {
            assertThat(again.api().results(search, "lobster").hits()).containsExactly("1");
            assertThat(again.api()
                            .get("/api/owner/searches/" + search)
                            .json()
                            .path("live")
                            .path("version")
                            .asInt())
                    .isEqualTo(1);
        }
    }

    @Test
    void aMissingOrDamagedIndexIsMadeAnew(@TempDir Path data) throws IOException {
        String search;
        try (RunningService service = RunningService.on(data)) {
            Api api = service.api().withSite();
            api.push("posts", "{\"id\":\"1\",\"title\":\"Lobster\"}\n{\"id\":\"2\",\"title\":\"Crab\"}");
            search = api.publishedSearch("Shore");
        }
        Path index = data.resolve("index");
        try (var files = Files.walk(index)) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(file);
            }
        }
        try (RunningService again = RunningService.on(data)) {
            assertThat(again.api().results(search, "lobster").hits())
                    .as("missing")
                    .containsExactly("1");
        }
        try (var files = Files.walk(index)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                Files.write(file, new byte[] {1, 2, 3});
            }
        }
        try (RunningService again = RunningService.on(data)) {
            assertThat(again.api().results(search, "crab").hits()).as("damaged").containsExactly("2");
        }
    }
}
