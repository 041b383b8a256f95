package tidylantern.server.operation;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;

/** A database that is not what it was is said to be so, and nobody begins anew without a word. */
class LostDatabaseTest {
    @TempDir
    private Path data;

    private Path file() {
        return data.resolve("tidy-lantern.mv.db");
    }

    /** Fills an installation and ends it. */
    private String filled() {
        try (RunningService service = RunningService.on(data)) {
            Api api = service.api().withSite();
            api.push(
                    "posts",
                    IntStream.range(0, 200)
                            .mapToObj(
                                    n -> "{\"id\":\"%d\",\"title\":\"Lobster %d\",\"kind\":[\"shell\"],\"body\":\"%s\"}"
                                            .formatted(n, n, "word ".repeat(200)))
                            .collect(Collectors.joining("\n")));
            return api.publishedSearch("Shore");
        }
    }

    private void answersVisitorsAndChangesNothing(RunningService service, String search, String missing) {
        Api api = service.api();
        assertThat(api.results(search, "lobster").json().path("total").asInt()).isEqualTo(200);
        assertThat(api.get("/s/" + search + "?q=lobster").status()).isEqualTo(200);
        Api.Answer push = api.push("posts", "{\"id\":\"new\",\"title\":\"New\"}");
        assertThat(push.status()).isEqualTo(503);
        assertThat(push.header("Retry-After")).as("asking again helps nothing").isEmpty();
        assertThat(push.json().path("detail").asString()).contains(missing).contains("bring a copy back");
        assertThat(api.post(
                                "/api/owner/first-start",
                                "{\"name\":\"thief\",\"password\":\"thief's password\",\"siteName\":\"T\",\"siteAddress\":\"https://t.example\"}")
                        .status())
                .as("nobody takes it over")
                .isEqualTo(503);
        assertThat(api.get("/api/owner/installation")
                        .json()
                        .path("missing")
                        .get(0)
                        .asString())
                .contains(missing);
        assertThat(new Api(service.address(), null)
                        .post("/api/owner/session", "{\"name\":\"keeper\",\"password\":\"wrong\"}")
                        .status())
                .isNotEqualTo(200);
    }

    @Test
    void oneThatIsGoneOrEmptied() throws IOException {
        String search = filled();
        Files.move(file(), data.resolve("saved"));
        for (boolean empty : new boolean[] {false, true}) {
            if (empty) {
                Files.write(file(), new byte[0]);
            }
            try (RunningService service = RunningService.on(data)) {
                answersVisitorsAndChangesNothing(service, search, empty ? "is empty" : "is gone");
            }
            assertThat(Files.exists(file())).as("nothing is put in its place").isEqualTo(empty);
        }
        Files.delete(file());
        Files.move(data.resolve("saved"), file());
        try (RunningService again = RunningService.on(data)) {
            assertThat(again.api()
                            .push("posts", "{\"id\":\"new\",\"title\":\"New lobster\"}")
                            .status())
                    .isEqualTo(200);
            assertThat(again.api()
                            .results(search, "lobster")
                            .json()
                            .path("total")
                            .asInt())
                    .isEqualTo(201);
        }
    }

    @Test
    void oneThatWasCutIsOlderOrCannotBeRead() throws IOException {
        String search = filled();
        for (double part : new double[] {.9, .5, .1}) {
            try (RandomAccessFile cut = new RandomAccessFile(file().toFile(), "rw")) {
                cut.setLength((long) (cut.length() * part));
            }
            try (RunningService service = RunningService.on(data)) {
                answersVisitorsAndChangesNothing(service, search, "");
            }
        }
    }

    @Test
    void oneFromAnEarlierDayIsTakenOnceTheLossIsAccepted() throws IOException {
        String search = filled();
        Files.copy(file(), data.resolve("earlier"));
        try (RunningService service = RunningService.on(data)) {
            service.api().push("posts", "{\"id\":\"later\",\"title\":\"Later\"}");
        }
        Files.delete(file());
        Files.move(data.resolve("earlier"), file());
        try (RunningService service = RunningService.on(data)) {
            answersVisitorsAndChangesNothing(
                    service, search, "200 items of change 1, where there were 201 items of change 2");
        }
        try (RunningService accepted = RunningService.with(data, "--tidy-lantern.accept-loss=true")) {
            assertThat(accepted.api().get("/api/owner/installation").json().path("missing"))
                    .isEmpty();
            assertThat(accepted.api().results(search, "later").hits())
                    .as("the index follows the database")
                    .isEmpty();
            assertThat(accepted.api()
                            .push("posts", "{\"id\":\"new\",\"title\":\"New\"}")
                            .status())
                    .isEqualTo(200);
        }
        try (RunningService again = RunningService.on(data)) {
            assertThat(again.api().results(search, "new").hits()).containsExactly("new");
        }
    }

    @Test
    void nobodyElseOnTheMachineCanReadIt() throws IOException {
        filled();
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file())))
                .isEqualTo("rw-------");
        assertThat(PosixFilePermissions.toString(
                        Files.getPosixFilePermissions(data.resolve("index").resolve("last-known.json"))))
                .isEqualTo("rw-------");
    }
}
