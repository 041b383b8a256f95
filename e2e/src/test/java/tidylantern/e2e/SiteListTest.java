package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.Keys;
import org.openqa.selenium.SearchContext;
import tidylantern.server.Api;
import tidylantern.server.RunningService;

/** A list that the site draws itself, narrowed in place; product.md, 'Places'. */
@ExtendWith(SharedDemo.class)
class SiteListTest {
    private static List<String> shown(Browser browser, String css) {
        return ((List<?>) browser.script("""
                return [...document.querySelectorAll(arguments[0])]
                  .filter(one => one.getClientRects().length > 0).map(one => one.textContent.trim())""", css))
                .stream().map(String::valueOf).toList();
    }

    private static void untilShown(Browser browser, String css, List<String> texts) {
        browser.until("shown: " + texts, () -> shown(browser, css).equals(texts));
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void theOutingsOfTheIslesAreNarrowedWhereTheyStand(boolean isPhone, DemoWorld world) {
        try (Browser browser = isPhone ? Browser.phone() : Browser.wide()) {
            browser.open(world.site() + "/outings");
            String titles = "tidy-list article h2";
            List<String> all = shown(browser, titles);
            assertThat(all).hasSizeGreaterThan(20);
            SearchContext box = browser.inside(".narrowing tidy-search");
            browser.see(box, "input").sendKeys("rowing", Keys.ENTER);
            browser.until("fewer", () -> shown(browser, titles).size() < all.size());
            List<String> rowing = shown(browser, titles);
            assertThat(rowing).isNotEmpty().first().asString().containsIgnoringCase("row");
            assertThat(all).containsAll(rowing);
            browser.untilTexts(browser.inside("tidy-list"), "[role=status]", texts -> texts.getFirst()
                    .startsWith(Integer.toString(rowing.size())));
            assertThat(browser.address()).isEqualTo(world.site() + "/outings?outings.q=rowing");
            browser.mustBeAccessible("a list of the site's own, narrowed");

            browser.driver().navigate().back();
            untilShown(browser, titles, all);
            browser.driver().navigate().forward();
            untilShown(browser, titles, rowing);
            browser.driver().navigate().refresh();
            untilShown(browser, titles, rowing);
            browser.type(browser.see(browser.inside(".narrowing tidy-search"), "input"), "zzqxw");
            browser.press(Keys.ENTER);
            browser.untilTexts(browser.inside("tidy-list"), "[role=status]", texts -> texts.getFirst()
                    .equals("Nothing found for “zzqxw”"));
            assertThat(browser.consoleErrors()).isEmpty();
        }
    }

    @Test
    void entriesAreKnownByWhereTheirLinksLeadHoweverTheyAreWritten(@TempDir Path data) throws Exception {
        try (RunningService service = RunningService.on(data);
                Browser browser = Browser.wide()) {
            Api api = service.api().withSite();
            api.push("posts", """
                    {"id":"1","title":"Pot for lobster","url":"/pots/lobster","published":"2026-01-05"}
                    {"id":"2","title":"Pot for crab","url":"/pots/crab/","published":"2026-01-04"}
                    {"id":"3","title":"Pot for whelk","url":"/view?id=2","published":"2026-01-03"}
                    {"id":"4","title":"Net for prawn","url":"/view?id=1","published":"2026-01-02"}
                    {"id":"5","title":"Pot for café","url":"/café","published":"2026-01-01"}
                    """);
            String search = api.publishedSearch("List");
            OnePageSite site = new OnePageSite("""
                    <!doctype html><html lang="en"><head><meta charset="utf-8"><title>List</title>
                    <style>li { display: block !important }</style>
                    <script type="module" src="%1$s/elements/tidy-lantern.js"></script></head><body>
                    <tidy-search search="%2$s"></tidy-search>
                    <tidy-list search="%2$s" ordered><ul>
                    <li><a href="pots/crab">Crab</a></li>
                    <li style="display: flex"><a href="/pots/lobster/?from=list#top">Lobster</a></li>
                    <li><a href="/view?id=2">Whelk</a></li>
                    <li><a href="/view?id=1">Prawn</a></li>
                    <li><a href="/caf%%C3%%A9">Café</a></li>
                    <li><a href="/nowhere">Stranger</a></li>
                    <li><span hidden>no link</span>Bare</li>
                    </ul></tidy-list></body></html>""".formatted(service.address(), search));
            try {
                String address = site.address();
                api.put(
                        "/api/owner/sites/isles",
                        "{\"name\":\"Isles\",\"address\":\"%s\",\"origins\":[\"%s\"]}".formatted(address, address));
                List<String> all = List.of("Crab", "Lobster", "Whelk", "Prawn", "Café", "Stranger", "no linkBare");
                browser.open(address);
                SearchContext box = browser.inside("tidy-search");
                browser.see(box, "input").sendKeys("net", Keys.ENTER);
                untilShown(browser, "li", List.of("Prawn", "Stranger", "no linkBare"));
                assertThat(browser.warnings())
                        .as("the owner is told what the search does not know")
                        .anyMatch(line -> line.contains("does not know 2 of 7 entries") && line.contains("Stranger"));

                browser.type(browser.see(box, "input"), "lobster whelk");
                browser.press(Keys.ENTER);
                untilShown(browser, "li", List.of("Stranger", "no linkBare"));
                browser.type(browser.see(box, "input"), "pot");
                browser.press(Keys.ENTER);
                browser.until(
                        "the order of the search", () -> shown(browser, "li").size() == 6);
                List<String> inOrder = shown(browser, "li");
                List<String> answered = api.get("/api/public/searches/" + search + "/addresses?q=pot")
                        .json()
                        .path("addresses")
                        .valueStream()
                        .map(one ->
                                one.asString().replaceFirst(".*/(pots/)?", "").replace("/", ""))
                        .toList();
                assertThat(inOrder.subList(0, 4).stream()
                                .map(String::toLowerCase)
                                .toList())
                        .isEqualTo(answered.stream()
                                .map(one -> one.isEmpty() ? "crab" : one.startsWith("view") ? "whelk" : one)
                                .toList());

                browser.script("""
                        const li = document.createElement('li')
                        li.innerHTML = '<a href="/pots/lobster">Lobster again</a>'
                        document.querySelector('ul').prepend(li)
                        const other = document.createElement('li')
                        other.innerHTML = '<a href="/view?id=1">Prawn again</a>'
                        document.querySelector('ul').append(other)
                        const hidden = [...document.querySelectorAll('li')].find(one => one.textContent === 'Prawn')
                        document.querySelector('ul').append(hidden.cloneNode(true))""");
                browser.until(
                        "what is added later is taken in",
                        () -> shown(browser, "li").contains("Lobster again")
                                && !shown(browser, "li").contains("Prawn again"));
                browser.see(box, ".clear").click();
                browser.press(Keys.ENTER);
                browser.until("all of them again", () -> shown(browser, "li").size() == 10);
                assertThat(shown(browser, "li")).containsSubsequence(all);
                assertThat(browser.script("return document.querySelector('li[style*=flex]').textContent"))
                        .as("what an entry says of itself")
                        .isEqualTo("Lobster");

                browser.script("document.querySelector('tidy-list').setAttribute('unknown', 'go')");
                browser.type(browser.see(box, "input"), "net");
                browser.press(Keys.ENTER);
                untilShown(browser, "li", List.of("Prawn", "Prawn again", "Prawn"));
                browser.script("""
                        const list = document.querySelector('tidy-list'), ul = list.querySelector('ul')
                        list.replaceWith(ul)""");
                browser.until(
                        "without the element the list is the site's",
                        () -> shown(browser, "li").size() == 10);
            } finally {
                site.close();
            }
        }
    }
}
