package tidylantern.server.content;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import tidylantern.server.RunningService;

/** What is at hand of a site while its database cannot be read, and afterwards. */
class SiteContentsTest {
    @Test
    void whatWasReadLastIsUsedUntilTheDatabaseCanBeReadAgain(@TempDir Path data) {
        try (RunningService service = RunningService.on(data)) {
            service.api().withSite().push("posts", "{\"id\":\"1\",\"title\":\"Lobster\"}");
            SiteContents contents = service.part(SiteContents.class);
            JdbcClient database = service.part(JdbcClient.class);
            String before = label(contents);
            database.sql("UPDATE collection SET label = 'Stories'").update();
            database.sql("ALTER TABLE field RENAME TO field_elsewhere").update();
            contents.forget("isles");
            assertThat(label(contents))
                    .as("nothing can be read")
                    .isEqualTo(before)
                    .isNotEqualTo("Stories");
            database.sql("ALTER TABLE field_elsewhere RENAME TO field").update();
            contents.readAgainIfStale("isles");
            assertThat(label(contents)).as("it can be read again").isEqualTo("Stories");
        }
    }

    private static String label(SiteContents contents) {
        return contents.of("isles").collections().getFirst().label();
    }
}
