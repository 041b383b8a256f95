package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import tidylantern.server.Api;

/** An owner invites somebody, who joins, looks, edits, and is taken off. */
@Order(5)
@ExtendWith(SharedDemo.class)
class PeopleTest {
    private static final String SITE = "/api/owner/sites/shared-isles";
    private static final String PASSWORD = "a long one for tests";
    private static DemoWorld world;
    private static Browser owner;
    private static Browser other;

    @BeforeAll
    static void start(DemoWorld shared) {
        world = shared;
        Api api = world.api();
        api.post("/api/owner/sites", "{\"name\":\"Shared isles\",\"address\":\"https://shared.example\"}");
        api.put(SITE + "/collections/posts", "{\"label\":\"Posts\",\"language\":\"en\"}");
        api.send(
                "PUT",
                SITE + "/collections/posts/items",
                "{\"id\":\"a\",\"title\":\"The ferry\"}\n",
                Map.of("Content-Type", "application/jsonl"));
        api.post(SITE + "/searches", "{\"name\":\"Shared search\"}");
        owner = Browser.wide();
        owner.signIn(world.service());
        other = Browser.wide();
    }

    @AfterAll
    static void stop() {
        world.api().send("DELETE", SITE + "?name=Shared%20isles", null, Map.of());
        owner.close();
        other.close();
    }

    private static String people() {
        return world.api().get(SITE + "/people").text();
    }

    @Test
    void whoIsInvitedJoinsLooksEditsAndGoes() {
        owner.open(world.service() + "/workbench/shared-isles/settings");
        owner.seeText("button", "Make a link").click();
        String link = owner.see(".once code").getText();
        owner.mustBeAccessible("people of a site");
        other.open(link);
        other.seeText("h1", "Join Shared isles");
        other.seeText("p", "invites you to be an editor");
        other.mustBeAccessible("an invitation");
        other.see("#name").sendKeys("Edda Tern");
        other.see("#password").sendKeys(PASSWORD, Keys.ENTER);
        other.seeText("h1", "Searches");
        other.seeText("a", "New search");
        assertThat(people()).contains("Edda Tern");

        world.api().put(SITE + "/people/Edda%20Tern", "{\"role\":\"viewer\"}");
        other.open(world.service() + "/workbench/shared-isles/searches");
        other.seeText("p", "You look at this site.");
        other.seeText("h2", "Shared search");
        assertThat(other.until(
                        "no way to a new search",
                        () -> Boolean.TRUE.equals(
                                other.script("return document.querySelectorAll('a.p-button').length === 0"))))
                .isTrue();
        other.mustBeAccessible("a site that is looked at");
        other.open(world.service() + "/workbench/shared-isles/settings");
        other.seeText("h2", "People");
        assertThat(other.see("#site-name").isEnabled())
                .as("for owners of the site")
                .isFalse();

        owner.open(world.service() + "/workbench/shared-isles/settings");
        owner.see("[aria-label='Take Edda Tern off this site']").sendKeys(Keys.ENTER);
        owner.until("taken off", () -> !people().contains("Edda Tern"));
        other.open(world.service() + "/workbench/shared-isles/searches");
        other.seeText("h1", "There is no site");
        other.open(link);
        other.seeText("div", "This link works no more");
    }
}
