package tidylantern.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;

/** Who comes in, with what, and what ends it. */
class OwnersAndKeysTest {
    private static final String SESSION = "/api/owner/session";

    @TempDir
    private Path data;

    private RunningService service;
    private Api owner;

    @BeforeEach
    void start() {
        service = RunningService.on(data);
        owner = service.api().withSite();
    }

    @AfterEach
    void stop() {
        service.close();
    }

    /** A browser with the token that its changes need. */
    private Api browser() {
        Api browser = new Api(service.address(), null);
        browser.get(SESSION);
        return browser;
    }

    private static Api.Answer send(Api browser, String method, String path, String body) {
        return browser.send(
                method,
                path,
                body,
                Map.of("X-XSRF-TOKEN", browser.cookie("XSRF-TOKEN"), "Content-Type", "application/json"));
    }

    private static int signIn(Api browser, String password) {
        return send(
                        browser,
                        "POST",
                        SESSION,
                        "{\"name\":\"%s\",\"password\":\"%s\"}".formatted(RunningService.OWNER, password))
                .status();
    }

    @Test
    void hundredsOfTriesAtOnceAreCountedBeforeTheyAreLookedAt() {
        List<Api> browsers = IntStream.range(0, 40).mapToObj(n -> browser()).toList();
        try (ExecutorService many = Executors.newVirtualThreadPerTaskExecutor()) {
            List<CompletableFuture<Integer>> tries = IntStream.range(0, 150)
                    .mapToObj(n -> CompletableFuture.supplyAsync(
                            () -> signIn(browsers.get(n % 40), "wrong password " + n), many))
                    .toList();
            List<Integer> statuses = tries.stream().map(CompletableFuture::join).toList();
            assertThat(statuses)
                    .filteredOn(status -> status == 401)
                    .as("passwords that were looked at")
                    .hasSizeLessThanOrEqualTo(10);
            assertThat(statuses).allMatch(status -> status == 401 || status == 429);
        }
        assertThat(signIn(browser(), RunningService.PASSWORD))
                .as("an unknown browser waits, even with the right one")
                .isEqualTo(429);
    }

    @Test
    void aStrangersTriesLockNobodyOutWhoIsInOrComesFromAKnownBrowser() {
        Api known = browser();
        assertThat(signIn(known, RunningService.PASSWORD)).isEqualTo(200);
        Api stranger = browser();
        IntStream.range(0, 30).forEach(n -> signIn(stranger, "a guess of a stranger"));
        assertThat(signIn(stranger, RunningService.PASSWORD)).isEqualTo(429);
        assertThat(known.get("/api/owner/sites").status())
                .as("who is signed in goes on")
                .isEqualTo(200);
        send(known, "DELETE", SESSION, null);
        known.get(SESSION);
        assertThat(signIn(known, RunningService.PASSWORD)).isEqualTo(200);
        send(known, "DELETE", SESSION, null);
        known.get(SESSION);
        assertThat(IntStream.range(0, 12)
                        .map(n -> signIn(known, "wrong from here too"))
                        .filter(status -> status == 429)
                        .count())
                .as("a known browser has a limit of its own")
                .isPositive();
    }

    @Test
    void aNewPasswordAsksForTheOldOneAndEndsAllOtherSessions() {
        Api here = browser();
        Api elsewhere = browser();
        assertThat(signIn(here, RunningService.PASSWORD)).isEqualTo(200);
        assertThat(signIn(elsewhere, RunningService.PASSWORD)).isEqualTo(200);
        String change = "{\"old\":\"%s\",\"password\":\"%s\"}";
        assertThat(send(here, "PUT", "/api/owner/password", change.formatted("not it", "another long one"))
                        .json()
                        .path("field")
                        .asString())
                .isEqualTo("old");
        assertThat(send(here, "PUT", "/api/owner/password", change.formatted(RunningService.PASSWORD, "short"))
                        .json()
                        .path("field")
                        .asString())
                .isEqualTo("password");
        assertThat(send(here, "PUT", "/api/owner/password", change.formatted(RunningService.PASSWORD, "1Q2w3e4r5t"))
                        .json()
                        .path("detail")
                        .asString())
                .as("long enough, and known to everybody")
                .contains("Many people");
        assertThat(send(
                                here,
                                "PUT",
                                "/api/owner/password",
                                change.formatted(RunningService.PASSWORD, "another long one"))
                        .status())
                .isEqualTo(200);
        assertThat(here.get("/api/owner/sites").status()).isEqualTo(200);
        assertThat(elsewhere.get("/api/owner/sites").status()).isEqualTo(401);
        assertThat(signIn(browser(), RunningService.PASSWORD)).isEqualTo(401);
        assertThat(signIn(browser(), "another long one")).isEqualTo(200);
        assertThat(owner.put("/api/owner/password", change.formatted("another long one", "a key has no password"))
                        .status())
                .isEqualTo(409);
    }

    private String key(String rights, String site) {
        return owner.post(
                        "/api/owner/access-keys",
                        "{\"name\":\"k\",\"rights\":\"%s\",\"site\":%s}"
                                .formatted(rights, site == null ? "null" : "\"" + site + "\""))
                .json()
                .path("key")
                .asString();
    }

    @Test
    void aKeyMayDoWhatItIsForAndOnItsSiteAlone() {
        String search = owner.publishedSearch("Shore");
        owner.post("/api/owner/sites", "{\"name\":\"Other\",\"address\":\"https://other.example\"}");
        owner.put("/api/owner/sites/other/collections/posts", "{\"label\":\"Posts\",\"language\":\"en\"}");
        String items = "/api/owner/sites/%s/collections/posts/items";
        String results = "/api/owner/searches/" + search + "/draft/results?q=a";

        Api content = new Api(service.address(), key("content", "isles"));
        assertThat(content.push("posts", "{\"id\":\"1\",\"title\":\"A\"}").status())
                .isEqualTo(200);
        assertThat(content.get("/api/owner/sites/isles/collections").status()).isEqualTo(200);
        assertThat(content.send(
                                "PUT",
                                items.formatted("other"),
                                "{\"id\":\"1\"}",
                                Map.of("Content-Type", "application/jsonl"))
                        .status())
                .isEqualTo(403);
        Api.Answer refused = content.get(results);
        assertThat(refused.status()).isEqualTo(403);
        assertThat(refused.json().path("detail").asString())
                .isEqualTo("This key may send content on the site \"isles\", and not this.");
        assertThat(content.post("/api/owner/access-keys", "{\"name\":\"more\"}").status())
                .isEqualTo(403);
        assertThat(content.get("/api/owner/installation/copy").status()).isEqualTo(403);

        Api answers = new Api(service.address(), key("answers", null));
        assertThat(answers.get(results).status()).isEqualTo(200);
        assertThat(answers.get("/api/owner/searches/" + search + "/draft").status())
                .isEqualTo(403);
        assertThat(answers.push("posts", "{\"id\":\"2\"}").status()).isEqualTo(403);

        Api all = new Api(service.address(), key("all", "isles"));
        assertThat(all.get("/api/owner/searches/" + search + "/draft").status()).isEqualTo(200);
        assertThat(all.put("/api/owner/sites/other/collections/posts", "{\"label\":\"X\",\"language\":\"en\"}")
                        .status())
                .isEqualTo(403);
        assertThat(all.get("/api/owner/installation").status())
                .as("which is about all sites")
                .isEqualTo(403);
        assertThat(all.get("/api/owner/sites/isl%65s/collections").status()).isIn(200, 400, 403);
        assertThat(all.get("/api/owner/sites/oth%65r/collections").status())
                .as("however it is written")
                .isIn(400, 403);
        assertThat(owner.post("/api/owner/access-keys", "{\"name\":\"k\",\"site\":\"nowhere\"}")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void aKeyTellsWhenItWasUsedLastAndEndsAtOnce() {
        Api script = new Api(service.address(), key("content", null));
        assertThat(owner.get("/api/owner/access-keys")
                        .json()
                        .get(0)
                        .path("lastUsed")
                        .isNull())
                .isTrue();
        assertThat(script.get("/api/owner/sites").status()).isEqualTo(200);
        var listed = owner.get("/api/owner/access-keys").json().get(0);
        assertThat(listed.path("lastUsed").isNull()).isFalse();
        owner.send("DELETE", "/api/owner/access-keys/" + listed.path("id").asLong(), null, Map.of());
        assertThat(script.get("/api/owner/sites").status()).isEqualTo(401);
    }

    @Test
    void theOperatorsKeyOfBeforeOpensNothingOnceAnotherIsSet() {
        service.close();
        service = RunningService.with(data, "--tidy-lantern.access-key=tl_another_key_of_the_tests");
        assertThat(new Api(service.address(), RunningService.ACCESS_KEY)
                        .get("/api/owner/sites")
                        .status())
                .isEqualTo(401);
        assertThat(new Api(service.address(), "tl_another_key_of_the_tests")
                        .get("/api/owner/sites")
                        .status())
                .isEqualTo(200);
        assertThatThrownBy(() -> RunningService.with(data.resolve("short-key"), "--tidy-lantern.access-key=short"))
                .rootCause()
                .hasMessageContaining("a key that nobody guesses has 20 or more");
    }

    @Test
    void theDatabaseAllowsOneFirstOwnerHoweverManyAskAtOnce(@TempDir Path other) {
        try (RunningService empty = RunningService.empty(other);
                ExecutorService many = Executors.newVirtualThreadPerTaskExecutor()) {
            String token = String.valueOf(empty.part(Accounts.class).firstStartToken());
            List<CompletableFuture<Integer>> asked = IntStream.range(0, 8)
                    .mapToObj(n -> CompletableFuture.supplyAsync(
                            () -> {
                                Api browser = new Api(empty.address(), null);
                                browser.get(SESSION);
                                return send(
                                                browser,
                                                "POST",
                                                "/api/owner/first-start",
                                                "{\"token\":\"%s\",\"name\":\"Owner %d\",\"password\":\"long enough by far\",\"siteName\":\"Cove\",\"siteAddress\":\"https://cove.example\"}"
                                                        .formatted(token, n))
                                        .status();
                            },
                            many))
                    .toList();
            assertThat(asked.stream().map(CompletableFuture::join).toList())
                    .containsOnlyOnce(200)
                    .allMatch(status -> status == 200 || status == 409);
        }
    }
}
