package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tidylantern.demo.DemoLoader;
import tidylantern.demo.StandInSite.Sent;
import tools.jackson.databind.JsonNode;

/** Each fault that keeps a search from working on a page is planted on the website of the Isles, and is named. */
@Order(4)
class PlantedFaultsTest {
    private static final String SCRIPT = "<script type=\"module\" src=\"[^\"]*/elements/tidy-lantern.js\"></script>";
    private static final String BOX = "(?s)<tidy-search.*?</tidy-search>";

    @TempDir
    private static Path data;

    private static DemoWorld world;

    @BeforeAll
    static void start() {
        world = new DemoWorld(data);
        world.api().post("/api/owner/sites", "{\"name\":\"Elsewhere\",\"address\":\"https://elsewhere.example\"}");
        world.api().post("/api/owner/sites/elsewhere/searches", "{\"name\":\"Theirs\"}");
    }

    @AfterAll
    static void stop() {
        world.close();
    }

    /** @return the elements that are there, and what is wrong, in the words of the API */
    private static String looked(String path) {
        JsonNode answer = world.api()
                .post(
                        "/api/owner/searches/" + DemoLoader.SEARCH + "/page-check",
                        "{\"address\":\"" + world.site() + path + "\"}")
                .json();
        List<String> troubles = answer.path("obstacles")
                .valueStream()
                .map(one -> one.path("trouble").asString())
                .distinct()
                .toList();
        return answer.path("elements")
                        .valueStream()
                        .map(JsonNode::asString)
                        .distinct()
                        .toList() + " " + troubles;
    }

    private static Arguments fault(String name, String path, String named, UnaryOperator<Sent> how) {
        return Arguments.of(name, path, named, how);
    }

    private static UnaryOperator<Sent> page(UnaryOperator<String> how) {
        return sent -> new Sent(how.apply(sent.page()), sent.policy());
    }

    private static UnaryOperator<Sent> policy(String directive, String instead) {
        return sent -> new Sent(sent.page(), sent.policy().replaceAll(directive + "[^;]*", instead));
    }

    static List<Arguments> faults() {
        return List.of(
                fault("no script line", "/makers", "[no-script]", page(it -> it.replaceAll(SCRIPT, ""))),
                fault(
                        "the policy keeps the script out",
                        "/makers",
                        "[policy]",
                        policy("script-src", "script-src 'self'")),
                fault(
                        "the policy keeps it from asking",
                        "/makers",
                        "[policy]",
                        policy("connect-src", "connect-src 'self'")),
                fault(
                        "a slip in the key",
                        "/makers",
                        "[wrong-key, no-tag]",
                        page(it -> it.replace("search=\"island-search\"", "search=\"iland-search\""))),
                fault(
                        "the key of another site's",
                        "/makers",
                        "[other-site, no-tag]",
                        page(it -> it.replace("search=\"island-search\"", "search=\"theirs\""))),
                fault(
                        "a template that nothing fills in",
                        "/makers",
                        "[inert]",
                        page(it -> it.replaceAll(BOX, "<template>$0</template>"))),
                fault("two versions of the script", "/makers", "[script-twice]", page(it -> it.replaceAll(
                                SCRIPT, "$0$0")
                        .replaceFirst("/elements/", "/old/elements/"))),
                fault("no tag at all", "/makers", "[no-tag]", page(it -> it.replaceAll(BOX, ""))),
                fault(
                        "a results page without a list",
                        "/search",
                        "[no-list]",
                        page(it -> it.replaceAll("(?s)<tidy-results.*?</tidy-results>", ""))));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("faults")
    void aFaultIsNamedAndGoneOnceItIsMended(String name, String path, String named, UnaryOperator<Sent> how) {
        assertThat(looked(path)).as("before").endsWith("] []");
        world.alter(path, how);
        assertThat(looked(path)).as(name).endsWith(" " + named);
        world.alter(path, UnaryOperator.identity());
        assertThat(looked(path)).as("mended").endsWith("] []");
    }

    @Test
    void anOriginThatMayNotAskIsNamed() {
        String site = "/api/owner/sites/" + DemoLoader.SITE;
        world.api().put(site, "{\"name\":\"Quillhaven Isles\",\"address\":\"https://isles.example\",\"origins\":[]}");
        assertThat(looked("/makers")).contains("origin");
        world.api()
                .put(site, "{\"name\":\"Quillhaven Isles\",\"address\":\"%s\",\"origins\":[]}".formatted(world.site()));
        assertThat(looked("/makers")).endsWith("] []");
    }
}
