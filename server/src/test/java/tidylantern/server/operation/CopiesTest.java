package tidylantern.server.operation;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import tidylantern.server.Api;
import tidylantern.server.RunningService;

/** A copy of a running service can be made, and brought back into one, while visitors are answered. */
class CopiesTest {
    private static final String RESTORE = "/api/owner/installation/restore";

    @TempDir
    private Path data;

    private RunningService service;
    private Api api;
    private String search;

    @BeforeEach
    void start() {
        service = RunningService.on(data);
        api = service.api().withSite();
        api.push("posts", "{\"id\":\"1\",\"title\":\"Lobster\"}\n{\"id\":\"2\",\"title\":\"Crab\"}");
        search = api.publishedSearch("Shore");
    }

    @AfterEach
    void stop() {
        service.close();
    }

    private Api.Answer restore(byte[] copy) {
        return api.sendBytes("POST", RESTORE, copy, Map.of("Content-Type", "application/zip"));
    }

    @Test
    void aCopyBroughtBackIsWhatWasThereWhenItWasMade() {
        byte[] copy = api.bytes("/api/owner/installation/copy");
        api.push("posts", "{\"id\":\"1\",\"_delete\":true}\n{\"id\":\"3\",\"title\":\"Whelk\"}");
        api.post("/api/owner/sites", "{\"name\":\"Later\",\"address\":\"https://later.example\"}");
        AtomicBoolean end = new AtomicBoolean();
        CompletableFuture<Boolean> visitor = CompletableFuture.supplyAsync(() -> {
            Api asking = new Api(service.address(), null);
            boolean always = true;
            while (!end.get()) {
                always &= asking.results(search, "crab").hits().equals(java.util.List.of("2"));
            }
            return always;
        });
        assertThat(restore(copy).status()).isEqualTo(204);
        end.set(true);
        assertThat(visitor.join()).as("a visitor was answered all the while").isTrue();
        assertThat(api.results(search, "lobster").hits()).containsExactly("1");
        assertThat(api.results(search, "whelk").hits()).isEmpty();
        assertThat(api.get("/api/owner/sites").json())
                .extracting(site -> site.path("key").asString())
                .containsExactly("isles");
        assertThat(api.push("posts", "{\"id\":\"4\",\"title\":\"Prawn\"}").status())
                .isEqualTo(200);
        assertThat(api.results(search, "prawn").hits()).containsExactly("4");
        service.close();
        service = RunningService.on(data);
        api = service.api();
        assertThat(api.results(search, "prawn").hits()).containsExactly("4");
        assertThat(api.get("/api/owner/installation").json().path("missing")).isEmpty();
    }

    @Test
    void aCopyGoesIntoAnotherInstallation(@TempDir Path other) {
        byte[] copy = api.bytes("/api/owner/installation/copy");
        try (RunningService empty = RunningService.on(other)) {
            assertThat(empty.api()
                            .sendBytes("POST", RESTORE, copy, Map.of("Content-Type", "application/zip"))
                            .status())
                    .isEqualTo(204);
            Api.Answer answer = empty.api().results(search, "crab");
            assertThat(answer.hits()).as(answer.text()).containsExactly("2");
        }
    }

    @Test
    void whatIsNoCopyIsRefusedAndChangesNothing() throws IOException {
        byte[] copy = api.bytes("/api/owner/installation/copy");
        assertThat(restore("no zip".getBytes()).status()).isEqualTo(400);
        assertThat(restore(java.util.Arrays.copyOf(copy, copy.length / 2)).status())
                .isEqualTo(400);
        assertThat(new Api(service.address(), null)
                        .sendBytes("POST", RESTORE, copy, Map.of("Content-Type", "application/zip"))
                        .status())
                .as("without a key")
                .isIn(401, 403);
        assertThat(api.results(search, "lobster").hits()).containsExactly("1");
        assertThat(api.push("posts", "{\"id\":\"5\",\"title\":\"Still taken\"}").status())
                .isEqualTo(200);
        assertThat(Files.exists(data.resolve("tidy-lantern-arriving.mv.db"))).isFalse();
    }

    @Test
    void aDatabaseThatShutItselfIsOpenedAgain() {
        for (int round = 0; round < 3; round++) {
            // What H2 does by itself when it cannot write.
            try {
                service.part(JdbcClient.class).sql("SHUTDOWN IMMEDIATELY").update();
            } catch (org.springframework.dao.DataAccessException gone) {
                assertThat(gone).isNotNull();
            }
            assertThat(api.results(search, "lobster").hits())
                    .as("visitors do not notice")
                    .containsExactly("1");
            int answer = IntStream.range(0, 20)
                    .map(n -> api.push("posts", "{\"id\":\"again\",\"title\":\"Again\"}")
                            .status())
                    .filter(status -> status == 200)
                    .findFirst()
                    .orElse(0);
            assertThat(answer).isEqualTo(200);
        }
    }

    @Test
    void whatWasRemovedGivesItsRoomBack() throws IOException {
        String text = "word ".repeat(20_000);
        api.push(
                "posts",
                IntStream.range(0, 80)
                        .mapToObj(n -> "{\"id\":\"large-%d\",\"body\":\"%d %s\"}".formatted(n, n, text))
                        .collect(Collectors.joining("\n")));
        api.push(
                "posts",
                IntStream.range(0, 80)
                        .mapToObj(n -> "{\"id\":\"large-%d\",\"_delete\":true}".formatted(n))
                        .collect(Collectors.joining("\n")));
        // They rest for 30 days.
        service.part(JdbcClient.class).sql("DELETE FROM resting_item").update();
        long before =
                api.get("/api/owner/installation").json().path("databaseBytes").asLong();
        service.part(Copies.class).compact(1);
        assertThat(api.get("/api/owner/installation")
                        .json()
                        .path("databaseBytes")
                        .asLong())
                .isLessThan(before / 4);
        assertThat(api.push("posts", "{\"id\":\"6\",\"title\":\"After it\"}").status())
                .isEqualTo(200);
        assertThat(api.results(search, "after").hits()).containsExactly("6");
    }
}
