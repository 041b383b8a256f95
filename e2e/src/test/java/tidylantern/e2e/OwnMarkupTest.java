package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.WebElement;
import tidylantern.server.Api;

/** A page draws cards with its own markup, by a template in the element. */
@ExtendWith(SharedDemo.class)
class OwnMarkupTest {
    private static DemoWorld world;
    private static Browser browser;

    @BeforeAll
    static void start(DemoWorld shared) {
        world = shared;
        browser = Browser.wide();
    }

    @AfterAll
    static void stop() {
        browser.close();
    }

    @Test
    void theSitesOwnCardShowsWhatIsFoundAndIsItsPagesToDress() {
        browser.open(world.site() + "/find-a-home?q=harbour");
        browser.untilTexts(browser.driver(), "tidy-results article h3 a", titles -> titles.size() > 2);
        assertThat(browser.texts(browser.driver(), "tidy-results article mark"))
                .allMatch(word -> word.toLowerCase(java.util.Locale.ROOT).startsWith("harbour"))
                .isNotEmpty();
        assertThat(browser.driver().findElements(org.openqa.selenium.By.cssSelector("tidy-results article h3 a")))
                .allMatch(link -> String.valueOf(link.getAttribute("href")).startsWith(world.site() + "/homes/"));
        WebElement card = browser.see("tidy-results article");
        assertThat(card.getCssValue("border-radius")).as("the page's own style").isEqualTo("12px");
        browser.mustBeAccessible("a page's own cards");
        // Filters, order and paging stay those of the element.
        int before = browser.texts(browser.driver(), "tidy-results article").size();
        browser.see(browser.inside("tidy-results"), "input[type=checkbox]:enabled")
                .click();
        browser.untilTexts(browser.driver(), "tidy-results article", cards -> cards.size() < before);
    }

    private static void template(String element, String markup) {
        browser.open(world.site() + "/search?q=harbour");
        browser.untilTexts(browser.inside("tidy-results"), ".card .title", titles -> !titles.isEmpty());
        browser.consoleErrors();
        browser.script("""
                const element = document.querySelector(arguments[0]).cloneNode()
                const template = document.createElement('template')
                template.innerHTML = arguments[1]
                element.append(template)
                document.querySelector(arguments[0]).replaceWith(element)
                """, element, markup);
    }

    @Test
    void nothingInATemplateRunsAndTheConsoleSaysWhatWasLeftOut() {
        template("tidy-results", """
                <div class="mine" onclick="window.ran = 'attribute'">
                  <script>window.ran = 'script'</script>
                  <img src="x" onerror="window.ran = 'picture'">
                  <a data-tidy="title" href="javascript:window.ran = 'address'"></a>
                  <form action="/elsewhere"><input name="q"></form>
                  <iframe srcdoc="<script>parent.ran = 'frame'</script>"></iframe>
                  <svg onload="window.ran = 'drawing'"><script>window.ran = 'script in a drawing'</script></svg>
                  <b data-tidy="no-such-field">never</b>
                  <i data-tidy-if="no-such-field">nor this</i>
                </div>
                """);
        browser.untilTexts(browser.driver(), ".mine a", titles -> titles.size() == 10);
        browser.see(".mine").click();
        assertThat(browser.script("return window.ran ?? null")).isNull();
        assertThat(browser.script("return document.querySelectorAll('.mine :is(script, form, input, iframe)').length"))
                .isEqualTo(0L);
        assertThat(browser.script(
                        "return [...document.querySelectorAll('.mine, .mine *')].flatMap(one => one.getAttributeNames())"
                                + ".filter(name => name.startsWith('on'))"))
                .isEqualTo(List.of());
        assertThat(browser.texts(browser.driver(), ".mine b, .mine i")).isEmpty();
        assertThat(browser.warnings())
                .anyMatch(line -> line.contains("script>")
                        && line.contains("form>")
                        && line.contains("onclick")
                        && line.contains("href"));
    }

    @Test
    void whatContentHoldsIsTextInATemplateToo() {
        Api api = world.api().withSite("markup");
        api.push("posts", "{\"id\": \"x\", \"title\": \"<img src=x onerror='window.ran = 1'> <b>lobster</b>\"}");
        String search = api.publishedSearch("Markup");
        browser.open(world.service() + "/s/" + search + "?q=lobster");
        browser.untilTexts(browser.inside("tidy-results"), ".card .title", titles -> !titles.isEmpty());
        browser.script("""
                const element = document.querySelector('tidy-results').cloneNode()
                const template = document.createElement('template')
                template.innerHTML = '<p class="mine" data-tidy="title"></p>'
                element.append(template)
                document.querySelector('tidy-results').replaceWith(element)
                """);
        browser.untilTexts(
                browser.driver(),
                ".mine",
                titles -> titles.equals(List.of("<img src=x onerror='window.ran = 1'> <b>lobster</b>")));
        assertThat(browser.script("return [...document.querySelectorAll('.mine *')].map(one => one.localName)"))
                .isEqualTo(List.of("mark"));
        assertThat(browser.script("return window.ran ?? null")).isNull();
    }

    @Test
    void liveResultsTakeATemplateAndStayOptionsOfAList() {
        template(
                "tidy-search",
                "<span class=\"mine\"><a data-tidy=\"title\"></a> <em data-tidy=\"collection\"></em></span>");
        WebElement input = browser.see(browser.inside("tidy-search"), "input");
        browser.type(input, "harb");
        browser.untilTexts(browser.driver(), ".mine", rows -> !rows.isEmpty());
        assertThat(browser.script("return document.querySelectorAll('.mine a').length"))
                .as("an option leads as a whole")
                .isEqualTo(0L);
        browser.mustBeAccessible("live results in a page's own markup");
    }
}
