package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.Consumer;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.SearchContext;
import org.openqa.selenium.WebElement;

/** From a new search in the workbench to visitors of a page of the site's own, wide and on a phone. */
@ExtendWith(SharedDemo.class)
class SearchStoriesTest {
    private static DemoWorld world;
    private static Browser browser;

    @BeforeAll
    static void start(DemoWorld shared) {
        world = shared;
        browser = Browser.wide();
        browser.signIn(world.service());
    }

    @AfterAll
    static void stop() {
        browser.close();
    }

    private static OwnerAtWork owner(String name, String collection) {
        return OwnerAtWork.onNewSearch(world, browser, name, collection);
    }

    /** Has both kinds of visitors look at a page of the site's own that holds a box and results of a search. */
    private static void visit(String key, Consumer<Visit> look) throws Exception {
        String page = """
                <!doctype html><html lang="en"><head><meta charset="utf-8"><title>Ours</title>
                <meta name="viewport" content="width=device-width">
                <script type="module" src="%1$s/elements/tidy-lantern.js"></script></head><body><main><h1>Ours</h1>
                <tidy-search search="%2$s"></tidy-search><tidy-results search="%2$s"></tidy-results></main></body></html>""".formatted(world.service(), key);
        try (OnePageSite site = new OnePageSite(page)) {
            world.allow(site.address());
            for (boolean isPhone : new boolean[] {false, true}) {
                try (Browser visitor = isPhone ? Browser.phone() : Browser.wide()) {
                    visitor.open(site.address() + "/");
                    look.accept(new Visit(visitor, isPhone));
                    assertThat(visitor.consoleErrors()).isEmpty();
                }
            }
        }
    }

    private record Visit(Browser browser, boolean isPhone) {
        SearchContext box() {
            return browser.inside("tidy-search");
        }

        SearchContext results() {
            return browser.inside("tidy-results");
        }

        String width() {
            return isPhone ? " on a phone" : ", wide";
        }
    }

    /** Name, collection, one decision less, publish: nothing else is typed or designed. */
    @Test
    void aProposedSearchIsGoodEnoughToPublishAsItIs() throws Exception {
        String key = OwnerAtWork.onProposal(world, browser, "Recipes", "kitchen", "“Serves”")
                .publish();
        visit(key, visit -> {
            Browser visitor = visit.browser();
            visitor.untilTexts(visit.results(), ".card .title", titles -> titles.size() == 10);
            assertThat(visitor.texts(visit.results(), ".card"))
                    .allMatch(card -> card.contains(" min") || card.contains(" h"), "how long it takes");
            if (!visit.isPhone()) {
                assertThat(visitor.texts(visit.results(), ".filter legend"))
                        .contains("Course", "Minutes")
                        .doesNotContain("Serves");
            }
            visitor.see(visit.box(), "input").sendKeys("haddok");
            visitor.untilTexts(
                    visit.box(),
                    ".row .title",
                    titles -> !titles.isEmpty() && titles.getFirst().startsWith("Smoked haddock soup"));
            visitor.mustBeAccessible("a proposed search" + visit.width());
        });
    }

    @Test
    void aPropertyListShowsPriceAndPictureInTwoColumnsAsOneTypes() throws Exception {
        String key = owner("Stays", "homes")
                .at("Filters")
                .filter("Price")
                .at("Live results")
                .press("In one list")
                .number("Results at most", 6)
                .number("Columns, where there is room", 2)
                .at("Cards & look")
                .press("Live results")
                .press("Add a part")
                .add("Price")
                .publish();
        visit(key, visit -> {
            visit.browser().see(visit.box(), "input").sendKeys("the");
            visit.browser().untilTexts(visit.box(), ".row .title", titles -> titles.size() == 6);
            visit.browser().see(visit.box(), ".row img");
            assertThat(visit.browser().texts(visit.box(), ".row")).allMatch(row -> row.contains("€"), "a price");
            List<WebElement> rows = visit.box().findElements(By.cssSelector(".row"));
            boolean isBeside = rows.get(0).getLocation().getY()
                    == rows.get(1).getLocation().getY();
            assertThat(isBeside).as("two columns" + visit.width()).isEqualTo(!visit.isPhone());
            visit.browser().mustBeAccessible("prices and pictures" + visit.width());
        });
    }

    /** With keys alone, once the search is live. */
    @Test
    void aWallOfPicturesWithTagsAndAViewer() throws Exception {
        String key = owner("Motifs", "pictures")
                .at("Filters")
                .filter("Tags")
                .at("Results page")
                .press("Wall of pictures")
                .turn("Pictures open large")
                .choose("Tags below them", "Tags")
                .publish();
        visit(key, visit -> {
            Browser visitor = visit.browser();
            visitor.untilTexts(visit.results(), ".card .title", titles -> titles.size() == 10);
            visitor.script("document.querySelector('tidy-results').shadowRoot.querySelector('.card a').focus()");
            visitor.until("it opens large", () -> {
                visitor.press(Keys.ENTER);
                return !visit.results()
                        .findElements(By.cssSelector("dialog.viewer[open] img"))
                        .isEmpty();
            });
            visitor.press(Keys.ARROW_RIGHT);
            visitor.mustBeAccessible("a picture" + visit.width());
            WebElement tag = visitor.see(visit.results(), ".viewed-tags button");
            String motif = tag.getText();
            tag.sendKeys(Keys.ENTER);
            visitor.untilTexts(
                    visit.results(), ".chip", chips -> chips.stream().anyMatch(chip -> chip.contains(motif)));
        });
    }

    @Test
    void aPageGoesOnRefreshingWhileNothingHangsBelowTheBox() throws Exception {
        String key = owner("Quiet", "kitchen")
                .at("Live results")
                .press("Nowhere")
                .turn("The list on a page follows what is typed")
                .publish();
        visit(key, visit -> {
            visit.browser().untilTexts(visit.results(), ".count", counts -> !counts.isEmpty());
            visit.browser().see(visit.box(), "input").sendKeys("soup");
            visit.browser().untilTexts(visit.results(), ".heading", texts -> texts.contains("Results for “soup”"));
            assertThat(visit.box().findElements(By.cssSelector(".panel"))).isEmpty();
            visit.browser().mustBeAccessible("a list that follows" + visit.width());
        });
    }
}
