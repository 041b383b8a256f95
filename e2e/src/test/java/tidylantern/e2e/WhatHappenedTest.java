package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import tidylantern.server.Api;

/** An owner takes back what was changed and deleted, from one list. */
@Order(5)
@ExtendWith(SharedDemo.class)
class WhatHappenedTest {
    private static final String SITE = "/api/owner/sites/changing-isles";
    private static DemoWorld world;
    private static Browser browser;

    @BeforeAll
    static void start(DemoWorld shared) {
        world = shared;
        browser = Browser.wide();
        browser.signIn(world.service());
        Api api = world.api();
        api.post("/api/owner/sites", "{\"name\":\"Changing isles\",\"address\":\"https://changing.example\"}");
        api.put(SITE + "/collections/posts", "{\"label\":\"Posts\",\"language\":\"en\"}");
        api.send(
                "PUT",
                SITE + "/collections/posts/items",
                "{\"id\":\"a\",\"title\":\"The ferry\"}\n",
                Map.of("Content-Type", "application/jsonl"));
    }

    @AfterAll
    static void stop() {
        world.api().send("DELETE", SITE + "?name=Changing%20isles", null, Map.of());
        browser.close();
    }

    private static String nameOfSite() {
        return world.api().get(SITE).json().path("name").asString();
    }

    @Test
    void aChangedNameIsTakenBackByMouseAndMadeAgainByKeyboard() {
        browser.open(world.service() + "/workbench/changing-isles/settings");
        WebElement name = browser.see("#site-name");
        name.sendKeys(Keys.chord(Keys.CONTROL, "a"), "Other isles");
        browser.seeText("button", "Keep").click();
        browser.until("kept", () -> nameOfSite().equals("Other isles"));
        browser.seeText("a", "What happened").click();
        browser.seeText("li p", "The site – name: “Changing isles” → “Other isles”");
        browser.mustBeAccessible("what happened");
        browser.seeText("li button", "Take back").click();
        browser.seeText("[role=status]", "Taken back: The site");
        browser.until("as before", () -> nameOfSite().equals("Changing isles"));
        browser.seeText("li", "It is as it was before that.");
        // The taking back stands on top, and is a change as any other.
        WebElement again = browser.see("li:first-child button");
        again.sendKeys(Keys.ENTER);
        browser.until("made again", () -> nameOfSite().equals("Other isles"));
        browser.seeText("li p", "“Other isles” → “Changing isles”");
        world.api().put(SITE, "{\"name\":\"Changing isles\",\"address\":\"https://changing.example\",\"origins\":[]}");
    }

    @Test
    void aDeletedCollectionComesBackFromTheSameList() {
        world.api().send("DELETE", SITE + "/collections/posts?name=Posts", null, Map.of());
        browser.open(world.service() + "/workbench/changing-isles/history");
        browser.seeText("li:first-child p", "The collection “Posts” deleted");
        browser.seeText("li:first-child button", "Take back").click();
        browser.seeText("[role=status]", "Taken back: The collection “Posts” deleted");
        assertThat(world.api().get(SITE + "/collections/posts/export.jsonl").text())
                .contains("The ferry");
    }
}
