package tidylantern.server.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;

/** People join a site by a link that works once; what they are there is changed, ended and taken back. */
class InvitationTest {
    private static final String PASSWORD = "a long one for tests";
    private static RunningService service;
    private static int sites;
    private Api running;
    private String key;
    private String site;

    @BeforeAll
    static void start(@TempDir Path data) {
        service = RunningService.on(data);
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    @BeforeEach
    void begin() {
        key = "site-" + ++sites;
        running = service.api().withSite(key);
        site = running.site();
    }

    private String invite(String role) {
        Api.Answer made = running.post(site + "/invitations", "{\"role\":\"%s\"}".formatted(role));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return made.json().path("token").asString();
    }

    private Api.Answer look(String token) {
        return Api.browser(service.address()).post("/api/owner/invitation", "{\"token\":\"%s\"}".formatted(token));
    }

    private static Api.Answer accept(Api browser, String token, String name) {
        return browser.post("/api/owner/invitation/accept", """
                {"token":"%s","name":"%s","password":"%s"}""".formatted(token, name, PASSWORD));
    }

    private static Api.Answer acceptSignedIn(Api browser, String token) {
        return browser.post("/api/owner/invitation/accept", "{\"token\":\"%s\"}".formatted(token));
    }

    private String roles() {
        return StreamSupport.stream(running.get(site + "/people").json().spliterator(), false)
                .filter(one -> !one.path("runsInstallation").asBoolean())
                .map(one -> one.path("name").asString() + " " + one.path("role").asString())
                .toList()
                .toString();
    }

    private JsonNode newestChange() {
        return running.get(site + "/changes").json().path(0);
    }

    @Test
    void aLinkIsForOnePerson() {
        String token = invite("editor");
        assertThat(look(token).json().path("siteName").asString()).isEqualTo(key);
        assertThat(look(token).json().path("role").asString()).isEqualTo("editor");
        Api ana = Api.browser(service.address());
        assertThat(accept(ana, token, "Ana " + key).json().path("site").asString())
                .isEqualTo(key);
        assertThat(ana.get(site).status()).as("signed in at once").isEqualTo(200);
        assertThat(ana.get("/api/owner/access").json().path("roles").path(key).asString())
                .isEqualTo("editor");
        assertThat(accept(Api.browser(service.address()), token, "Bert").status())
                .isEqualTo(404);
        assertThat(look(token).text()).contains("works no more");
        Api again = Api.browser(service.address());
        assertThat(again.signIn("Ana " + key, PASSWORD).status()).isEqualTo(200);
        assertThat(again.get(site).status()).isEqualTo(200);
        assertThat(newestChange().path("told").asString())
                .isEqualTo("“Ana %s” joined the site as editor".formatted(key));
    }

    @Test
    void whatWillNotDoLeavesTheLinkGood() {
        String token = invite("viewer");
        Api browser = Api.browser(service.address());
        assertThat(accept(browser, token, RunningService.OWNER).status())
                .as("somebody else's name")
                .isEqualTo(409);
        assertThat(browser.get("/api/owner/sites").status()).isEqualTo(401);
        assertThat(browser.post(
                                "/api/owner/invitation/accept",
                                "{\"token\":\"%s\",\"name\":\"Cleo\",\"password\":\"short\"}".formatted(token))
                        .json()
                        .path("field")
                        .asString())
                .isEqualTo("password");
        assertThat(acceptSignedIn(browser, token).status()).isEqualTo(400);
        assertThat(accept(browser, token, "Cleo " + key).status()).isEqualTo(200);
    }

    @Test
    void aLinkIsTakenBackAndRunsOut() {
        String one = invite("viewer");
        JsonNode waiting = running.get(site + "/invitations").json().path(0);
        assertThat(waiting.toString()).doesNotContain(one);
        assertThat(running.send(
                                "DELETE",
                                site + "/invitations/" + waiting.path("id").asLong(),
                                null,
                                Map.of())
                        .status())
                .isEqualTo(204);
        assertThat(look(one).status()).isEqualTo(404);
        String old = invite("viewer");
        service.part(JdbcClient.class)
                .sql("UPDATE invitation SET made = DATEADD('HOUR', -169, CURRENT_TIMESTAMP) WHERE site_key = :site")
                .param("site", key)
                .update();
        assertThat(look(old).status()).isEqualTo(404);
        assertThat(running.get(site + "/invitations").json()).isEmpty();
    }

    @Test
    void whoIsSignedInJoinsAnotherSiteAndIsNeverMadeLess() {
        Api dora = Api.browser(service.address());
        accept(dora, invite("editor"), "Dora " + key);
        assertThat(acceptSignedIn(dora, invite("viewer")).status()).isEqualTo(200);
        assertThat(roles()).isEqualTo("[Dora %s editor]".formatted(key));
        acceptSignedIn(dora, invite("owner"));
        assertThat(roles()).isEqualTo("[Dora %s owner]".formatted(key));
        String first = key;
        begin();
        assertThat(dora.get(site).status()).isEqualTo(404);
        acceptSignedIn(dora, invite("viewer"));
        assertThat(dora.get("/api/owner/sites").json())
                .extracting(one -> one.path("key").asString())
                .containsExactlyInAnyOrder(first, key);
        assertThat(acceptSignedIn(service.api(), invite("owner")).status())
                .as("a key is nobody")
                .isEqualTo(409);
    }

    @Test
    void aRoleIsChangedAndEndedAtOnceAndTakenBack() {
        Api edda = Api.browser(service.address());
        String name = "Edda-" + key;
        accept(edda, invite("editor"), name);
        String places = "[{\"name\":\"The quay\",\"latitude\":1,\"longitude\":2}]";
        assertThat(edda.put(site + "/places", places).status()).isEqualTo(200);
        running.put(site + "/people/" + name, "{\"role\":\"viewer\"}");
        assertThat(edda.put(site + "/places", "[]").status()).isEqualTo(403);
        assertThat(edda.get(site + "/places").status()).isEqualTo(200);
        running.send("DELETE", site + "/people/" + name, null, Map.of());
        assertThat(edda.get(site + "/places").status()).isEqualTo(404);
        assertThat(newestChange().path("told").asString())
                .isEqualTo("“%s”, viewer, taken off the site".formatted(name));
        running.post(site + "/changes/" + newestChange().path("id").asLong() + "/take-back", "");
        assertThat(roles()).isEqualTo("[%s viewer]".formatted(name));
        assertThat(running.put(site + "/people/" + RunningService.OWNER, "{\"role\":\"viewer\"}")
                        .status())
                .as("who runs the installation")
                .isEqualTo(409);
        assertThat(running.put(site + "/people/Nobody", "{\"role\":\"viewer\"}").status())
                .isEqualTo(404);
    }

    @Test
    void anEditorTakesBackWhatEditorsChangeAndNotMore() {
        Api edda = Api.browser(service.address());
        accept(edda, invite("editor"), "Edda " + key);
        running.put(site, "{\"name\":\"Renamed\",\"address\":\"https://isles.example\",\"origins\":[]}");
        long renamed = newestChange().path("id").asLong();
        running.put(site + "/places", "[{\"name\":\"The quay\",\"latitude\":1,\"longitude\":2}]");
        long named = newestChange().path("id").asLong();
        assertThat(edda.post(site + "/changes/" + renamed + "/take-back", "").status())
                .isEqualTo(403);
        assertThat(edda.post(site + "/changes/" + named + "/take-back", "").status())
                .isEqualTo(204);
        assertThat(running.get(site).json().path("name").asString()).isEqualTo("Renamed");
    }

    @Test
    void aSiteThatCameBackHasItsPeople() {
        Api olga = Api.browser(service.address());
        accept(olga, invite("owner"), "Olga " + key);
        assertThat(olga.send("DELETE", site + "?name=" + key, null, Map.of()).status())
                .isEqualTo(200);
        assertThat(olga.get("/api/owner/sites").json()).isEmpty();
        long deleted = running.get("/api/owner/deleted-sites")
                .json()
                .path(0)
                .path("id")
                .asLong();
        assertThat(running.post("/api/owner/deleted-sites/" + deleted + "/bring-back", "")
                        .status())
                .isEqualTo(204);
        assertThat(olga.get(site).status()).isEqualTo(200);
    }
}
