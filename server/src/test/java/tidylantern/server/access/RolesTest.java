package tidylantern.server.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import tidylantern.server.Api;
import tidylantern.server.RunningService;

/** Each address of the workbench, asked by each role of its own site, of another's, and by nobody of any site. */
class RolesTest {
    private static final String PASSWORD = "a long one for tests";
    private static final Set<String> METHODS = Set.of("get", "post", "put", "delete");

    /** For owners of the site. */
    private static final Set<String> OWNERS = Set.of(
            "PUT /sites/{site}",
            "DELETE /sites/{site}",
            "PUT /sites/{site}/people/{name}",
            "DELETE /sites/{site}/people/{name}",
            "GET /sites/{site}/invitations",
            "POST /sites/{site}/invitations",
            "DELETE /sites/{site}/invitations/{id}",
            "DELETE /sites/{site}/collections/{collection}",
            "POST /sites/{site}/deleted/{id}/bring-back",
            "DELETE /searches/{key}",
            "DELETE /sources/{id}");

    /** For those who run the installation. */
    private static final Set<String> RUNNING = Set.of(
            "GET /access-keys",
            "POST /access-keys",
            "DELETE /access-keys/{id}",
            "GET /deleted-sites",
            "POST /deleted-sites/{id}/bring-back",
            "GET /installation",
            "GET /installation/copy",
            "POST /installation/restore",
            "POST /sample-site",
            "POST /set-ups",
            "POST /sites");

    /** For whoever is signed in, or about to be. */
    private static final Set<String> EVERYBODY = Set.of(
            "GET /access",
            "GET /session",
            "POST /session",
            "DELETE /session",
            "POST /first-start",
            "POST /invitation",
            "POST /invitation/accept",
            "PUT /password",
            "GET /sites",
            "GET /stop-words",
            "GET /design-rules",
            "POST /synonym-tables");

    private static RunningService service;
    private static Api running;
    /** What belongs to each of two sites, by what addresses call it. */
    private static Map<String, String> here;

    private static Map<String, String> there;
    private static Map<String, Api> people;

    @BeforeAll
    static void start(@TempDir Path data) {
        service = RunningService.on(data);
        running = service.api();
        here = siteWith("here");
        there = siteWith("there");
        people = Map.of(
                "owner", invited("here", "owner", "Olga"),
                "editor", invited("here", "editor", "Edda"),
                "viewer", invited("here", "viewer", "Vito"));
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    private static Map<String, String> siteWith(String key) {
        Api api = service.api().withSite(key);
        api.push("posts", "{\"id\":\"a\",\"title\":\"The ferry\",\"tags\":[\"Boats\"]}\n");
        String search = api.publishedSearch(key);
        String upload = api.sendBytes(
                        "POST",
                        api.site() + "/uploads",
                        "id,title\na,The ferry\n".getBytes(StandardCharsets.UTF_8),
                        Map.of("Content-Type", "application/octet-stream"))
                .json()
                .path("upload")
                .asString();
        String source = api.post(api.site() + "/sources", """
                        {"collection":"posts","name":"File","settings":{"kind":"file","upload":"%s"},"removesMissing":false,
                         "schedule":"never","mapping":{"idColumn":"id","fields":[
                         {"property":"title","label":"Title","kind":"text","column":"title"}]}}""".formatted(upload))
                .json()
                .path("id")
                .asString();
        String sync = api.post("/api/owner/sources/" + source + "/syncs", "")
                .json()
                .path("id")
                .asString();
        return Map.of("site", key, "search", search, "source", source, "sync", sync);
    }

    private static Api invited(String site, String role, String name) {
        String token = running.post("/api/owner/sites/" + site + "/invitations", "{\"role\":\"%s\"}".formatted(role))
                .json()
                .path("token")
                .asString();
        Api browser = Api.browser(service.address());
        Api.Answer joined = browser.post("/api/owner/invitation/accept", """
                {"token":"%s","name":"%s","password":"%s"}""".formatted(token, name, PASSWORD));
        assertThat(joined.status()).as(joined.text()).isEqualTo(200);
        return browser;
    }

    private record Endpoint(String method, String path) {
        String needs() {
            String said = method + " " + path;
            return OWNERS.contains(said)
                    ? "owner"
                    : RUNNING.contains(said)
                            ? "running"
                            : EVERYBODY.contains(said) ? "everybody" : method.equals("GET") ? "viewer" : "editor";
        }

        boolean letsIn(String role) {
            List<String> roles = List.of("viewer", "editor", "owner", "running");
            return needs().equals("everybody") || roles.indexOf(role) >= roles.indexOf(needs());
        }

        /** The address with what belongs to a site. */
        String of(Map<String, String> site) {
            String named = path.startsWith("/searches/")
                    ? path.replace("{key}", String.valueOf(site.get("search")))
                    : path.startsWith("/sources/")
                            ? path.replace("{id}", String.valueOf(site.get("source")))
                            : path.startsWith("/syncs/")
                                    ? path.replace("{id}", String.valueOf(site.get("sync")))
                                    : path.replace("{site}", String.valueOf(site.get("site")));
            return named.replace("{collection}", "posts")
                    .replace("{which}", "draft")
                    .replace("{field}", "tags")
                    .replace("{filter}", "tags")
                    .replace("{name}", "Nobody")
                    .replaceAll("\\{\\w+}", "1");
        }
    }

    private static List<Endpoint> endpoints() {
        List<Endpoint> endpoints = new ArrayList<>();
        running.get("/v3/api-docs").json().path("paths").properties().forEach(path -> {
            if (path.getKey().startsWith("/api/owner/")) {
                path.getValue().properties().stream()
                        .filter(one -> METHODS.contains(one.getKey()))
                        .forEach(one -> endpoints.add(new Endpoint(
                                one.getKey().toUpperCase(Locale.ROOT),
                                path.getKey().substring("/api/owner".length()))));
            }
        });
        return endpoints;
    }

    private static Api.Answer ask(Api who, Endpoint endpoint, Map<String, String> site) {
        String address = "/api/owner" + endpoint.of(site);
        return endpoint.method().equals("GET")
                ? who.get(address)
                : who.send(endpoint.method(), address, "{}", Map.of("Content-Type", "application/json"));
    }

    @Test
    void whatIsSaidHereIsWhatThereIs() {
        Set<String> all = endpoints().stream()
                .map(one -> one.method() + " " + one.path())
                .collect(Collectors.toCollection(TreeSet::new));
        assertThat(all).hasSizeGreaterThan(100);
        assertThat(all)
                .containsAll(Stream.of(OWNERS, RUNNING, EVERYBODY)
                        .flatMap(Set::stream)
                        .toList());
    }

    @Test
    void aRoleThatIsNotEnoughIsRefusedBeforeAnythingIsDone() {
        for (Endpoint endpoint : endpoints()) {
            people.forEach((role, who) -> {
                if (!endpoint.letsIn(role)) {
                    Api.Answer answer = ask(who, endpoint, here);
                    assertThat(answer.status())
                            .as("%s asks %s: %s", role, endpoint, answer.text())
                            .isEqualTo(403);
                }
            });
        }
        assertThat(running.get("/api/owner/sites/here").json().path("name").asString())
                .isEqualTo("here");
    }

    @Test
    void whatOthersHaveIsNotThere() {
        for (Endpoint endpoint : endpoints()) {
            if (Set.of("everybody", "running").contains(endpoint.needs())) {
                continue;
            }
            people.forEach((role, who) -> {
                Api.Answer answer = ask(who, endpoint, there);
                assertThat(answer.status())
                        .as("%s of another site asks %s: %s", role, endpoint, answer.text())
                        .isEqualTo(404);
                assertThat(answer.text()).contains("at any site that you belong to");
            });
        }
        assertThat(running.get("/api/owner/sites/there").status()).isEqualTo(200);
    }

    @Test
    void aRoleThatIsEnoughIsLetThrough() {
        Access access = service.part(Access.class);
        Map<String, String> names = Map.of("owner", "Olga", "editor", "Edda", "viewer", "Vito");
        for (Endpoint endpoint : endpoints()) {
            names.forEach((role, name) -> assertThat(access.objection(
                                    UsernamePasswordAuthenticationToken.authenticated(name, null, List.of()),
                                    endpoint.method(),
                                    endpoint.of(here).substring(1))
                            == null)
                    .as("%s asks %s", role, endpoint)
                    .isEqualTo(endpoint.letsIn(role)));
            if (endpoint.method().equals("GET") && endpoint.needs().equals("viewer")) {
                assertThat(ask(people.get("viewer"), endpoint, here).status())
                        .as(endpoint.toString())
                        .isNotIn(401, 403);
            }
        }
    }

    @Test
    void anAddressThatIsWrittenOtherwiseAsksTheSame() {
        for (String path : List.of(
                "/api/owner/sites/here/%63ollections/posts?name=Posts",
                "/api/owner/sites/%68ere/collections/posts?name=Posts",
                "/api/owner/%73ites/here/collections/posts?name=Posts",
                "/api/%6Fwner/sites/here/collections/posts?name=Posts",
                "/api/owner/sites/here/collections/posts/?name=Posts",
                "/api/owner//sites/here/collections/posts?name=Posts",
                "/api/owner/sites/here/collections;a=b/posts?name=Posts",
                "/api/owner/sites/here/collections%2Fposts?name=Posts",
                "/api/owner/sites/there/../here/collections/posts?name=Posts")) {
            assertThat(people.get("editor").send("DELETE", path, null, Map.of()).status())
                    .as(path)
                    .isIn(400, 403, 404);
        }
        assertThat(running.get("/api/owner/sites/here/collections").json()).hasSize(1);
    }

    @Test
    void editorsChangeAndPublishAndViewersReadOfIt() {
        Api editor = people.get("editor");
        Api viewer = people.get("viewer");
        String search = here.get("search");
        assertThat(editor.send(
                                "PUT",
                                "/api/owner/sites/here/collections/posts/items",
                                "{\"id\":\"b\",\"title\":\"The pier\"}\n",
                                Map.of("Content-Type", "application/jsonl"))
                        .status())
                .isEqualTo(200);
        String tag = editor.get("/api/owner/searches/" + search + "/draft").header("ETag");
        assertThat(editor.send("POST", "/api/owner/searches/" + search + "/publish", "", Map.of("If-Match", tag))
                        .status())
                .isEqualTo(200);
        assertThat(viewer.get("/api/owner/searches/" + search + "/draft/results?q=pier")
                        .hits())
                .containsExactly("b");
        assertThat(viewer.get("/api/owner/sites").json()).hasSize(1);
        assertThat(running.get("/api/owner/sites").json().size()).isGreaterThanOrEqualTo(2);
    }
}
