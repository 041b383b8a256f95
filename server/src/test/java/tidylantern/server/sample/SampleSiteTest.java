package tidylantern.server.sample;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;

/** The sample site is taken at once, with pages that work, and thrown away as any other site. */
class SampleSiteTest {
    private static final Pattern LINK = Pattern.compile("(?:href|src)=\"(/[^\"?#]*)");

    @Test
    void itIsTakenWithALiveSearchAndPagesAndThrownAway(@TempDir Path data) {
        try (RunningService service = RunningService.on(data)) {
            Api api = service.api();
            assertThat(api.get("/sample/").status()).as("before it is taken").isEqualTo(404);
            Api.Answer taken = api.post("/api/owner/sample-site", "");
            assertThat(taken.status()).as(taken.text()).isEqualTo(201);
            JsonNode site = taken.json();
            assertThat(site.path("sample").asBoolean()).isTrue();
            assertThat(site.path("address").asString()).isEqualTo(service.address() + "/sample");
            assertThat(api.post("/api/owner/sample-site", "").status())
                    .as("twice")
                    .isEqualTo(409);

            JsonNode results = api.get("/api/public/searches/sample-search/results?q=lighthuose")
                    .json();
            assertThat(results.path("total").asInt()).isPositive();
            String first = results.path("hits").path(0).path("url").asString();
            assertThat(first).startsWith(service.address() + "/sample/");
            Api.Answer page = api.get(first.substring(service.address().length()));
            assertThat(page.status()).isEqualTo(200);
            assertThat(page.text()).contains("tidy-search search=\"sample-search\"");

            everyLinkLeadsSomewhere(api, "/sample");
            everyLinkLeadsSomewhere(api, "/sample/search");
            everyLinkLeadsSomewhere(api, "/sample/outings");
            assertThat(api.get("/sample/nowhere").status()).isEqualTo(404);

            String key = site.path("key").asString();
            String name = site.path("name").asString().replace(" ", "%20");
            assertThat(api.send("DELETE", "/api/owner/sites/" + key + "?name=" + name, null, Map.of())
                            .status())
                    .isEqualTo(200);
            assertThat(api.get("/sample/").status()).as("thrown away").isEqualTo(404);
            assertThat(api.post("/api/owner/sample-site", "").status())
                    .as("and taken anew")
                    .isEqualTo(201);
        }
    }

    private static void everyLinkLeadsSomewhere(Api api, String path) {
        Api.Answer page = api.get(path);
        assertThat(page.status()).as(path).isEqualTo(200);
        Matcher links = LINK.matcher(page.text());
        int found = 0;
        while (links.find()) {
            found++;
            // The script comes of the front end, which is not built for every test.
            if (!links.group(1).startsWith("/elements/")) {
                assertThat(api.get(links.group(1)).status())
                        .as(path + " → " + links.group(1))
                        .isEqualTo(200);
            }
        }
        assertThat(found).isGreaterThan(5);
    }
}
