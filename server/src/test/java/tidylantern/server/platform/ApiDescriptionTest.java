package tidylantern.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * The front end's types are made from {@code web/openapi.json} when it is built; this holds that file against what the
 * service says. To renew it after a change of the API: {@code mvn -pl server -am test -Dtest=ApiDescriptionTest
 * -Dsurefire.failIfNoSpecifiedTests=false -Dopenapi.renew}
 */
class ApiDescriptionTest {
    private static final Path KEPT = Path.of("../web/openapi.json");

    @Test
    void theKeptDescriptionIsWhatTheServiceSays(@TempDir Path data) throws IOException {
        try (RunningService service = RunningService.on(data)) {
            JsonNode said = new Api(service.address(), null).get("/v3/api-docs").json();
            JsonMapper json = JsonMapper.builder()
                    .enable(SerializationFeature.INDENT_OUTPUT)
                    .build();
            if (System.getProperty("openapi.renew") != null) {
                Files.writeString(KEPT, json.writeValueAsString(said) + "\n");
            }
            assertThat(said)
                    .as("web/openapi.json is stale; the class comment says how to renew it")
                    .isEqualTo(json.readTree(Files.readString(KEPT)));
            assertThat(said.path("paths").propertyNames())
                    .contains(
                            "/api/public/searches/{key}/results",
                            "/api/public/searches/{key}/live",
                            "/api/owner/searches/{key}/draft",
                            "/api/owner/sites/{site}/collections/{collection}/items");
        }
    }
}
