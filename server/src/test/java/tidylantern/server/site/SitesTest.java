package tidylantern.server.site;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.transaction.support.TransactionTemplate;
import tidylantern.core.design.look.Look;
import tidylantern.core.design.look.ReadyLook;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;

/** What is kept at hand of sites is what was committed last. */
class SitesTest {
    private static final SiteKey ISLES = new SiteKey("isles");

    @TempDir
    private static Path data;

    private static RunningService service;
    private static SearchKey search;

    @BeforeAll
    static void start() {
        service = RunningService.on(data);
        Api api = service.api().withSite();
        api.push("posts", "{\"id\":\"1\",\"title\":\"Crab\"}");
        search = new SearchKey(api.publishedSearch("Shore"));
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    /** A visitor who asks between a change and its commit has what was before, and nobody keeps that afterwards. */
    @Test
    void whoAsksBeforeACommitKeepsNothingOld() {
        Sites sites = service.part(Sites.class);
        service.part(TransactionTemplate.class).executeWithoutResult(open -> {
            sites.change(ISLES, "Isles", "https://isles.example", List.of("https://two.example"), null);
            sites.changeLook(ISLES, Look.of(ReadyLook.LEDGER));
            // Another thread, which sees nothing of what is not committed.
            CompletableFuture.runAsync(() -> {
                        assertThat(sites.originsOfSearch(search)).doesNotContain("https://two.example");
                        assertThat(sites.get(ISLES).look().from()).isNotEqualTo(ReadyLook.LEDGER);
                    })
                    .join();
        });
        assertThat(sites.originsOfSearch(search)).isEqualTo(Set.of("https://isles.example", "https://two.example"));
        assertThat(sites.get(ISLES).look().from()).isEqualTo(ReadyLook.LEDGER);
    }
}
