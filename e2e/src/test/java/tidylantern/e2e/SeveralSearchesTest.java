package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import tidylantern.server.Api;
import tidylantern.server.RunningService;

/** Two searches on one page of a site with a look of its own: neither disturbs the other, nor the page them. */
class SeveralSearchesTest {
    private static OnePageSite page(String service, String first, String second) throws IOException {
        String html = """
                <!doctype html><html lang="en"><head><meta charset="utf-8"><title>Two</title>
                <style>mark, h3, input, button, ol { display: none !important } * { color: red; font-size: 40px }</style>
                <script type="module" src="%1$s/elements/tidy-lantern.js"></script><script type="module" src="%1$s/elements/tidy-lantern.js?again"></script></head><body>
                <tidy-search id="a" search="%2$s"></tidy-search><tidy-results id="ra" search="%2$s"></tidy-results>
                <tidy-search id="b" search="%3$s"></tidy-search><tidy-results id="rb" search="%3$s"></tidy-results></body></html>""".formatted(service, first, second);
        return new OnePageSite(html);
    }

    @Test
    void eachHasItsOwnParametersAndNeitherLeaks(@TempDir Path data) throws Exception {
        try (RunningService service = RunningService.on(data);
                Browser browser = Browser.wide()) {
            Api api = service.api().withSite();
            api.push("posts", "{\"id\":\"1\",\"title\":\"Lobster pots\"}\n{\"id\":\"2\",\"title\":\"Crab pots\"}");
            String first = api.publishedSearch("First");
            String second = api.publishedSearch("Second");
            OnePageSite site = page(service.address(), first, second);
            try {
                String address = site.address();
                api.put(
                        "/api/owner/sites/isles",
                        "{\"name\":\"Isles\",\"address\":\"https://isles.example\",\"origins\":[\"" + address + "\"]}");
                browser.open(address + "/?q=lobster&" + second + ".q=crab");
                browser.untilTexts(browser.inside("#ra"), ".card h3", texts -> texts.equals(List.of("Lobster pots")));
                browser.untilTexts(browser.inside("#rb"), ".card h3", texts -> texts.equals(List.of("Crab pots")));
                assertThat(browser.see(browser.inside("#ra"), "mark").getCssValue("color"))
                        .as("the page's rules stay outside")
                        .isNotEqualTo("rgba(255, 0, 0, 1)");
                browser.type(browser.see(browser.inside("#b"), "input"), "pots");
                browser.see(browser.inside("#b"), "input").sendKeys(Keys.ENTER);
                browser.untilTexts(browser.inside("#rb"), ".card h3", texts -> texts.size() == 2);
                assertThat(browser.texts(browser.inside("#ra"), ".card h3")).containsExactly("Lobster pots");
                assertThat(browser.address()).isEqualTo(address + "/?q=lobster&" + second + ".q=pots");
                browser.driver().navigate().back();
                browser.untilTexts(browser.inside("#rb"), ".card h3", texts -> texts.equals(List.of("Crab pots")));
            } finally {
                site.close();
            }
        }
    }

    @Test
    void aPageThatIsNotListedIsTurnedAwayWithWords(@TempDir Path data) throws Exception {
        try (RunningService service = RunningService.on(data);
                Browser browser = Browser.wide()) {
            Api api = service.api().withSite();
            api.push("posts", "{\"id\":\"1\",\"title\":\"Lobster pots\"}");
            String search = api.publishedSearch("First");
            OnePageSite site = page(service.address(), search, search);
            try {
                browser.open(site.address() + "/?q=lobster");
                browser.untilTexts(browser.inside("#ra"), ".note", texts -> texts.stream()
                        .anyMatch(text -> text.contains("cannot be reached")));
            } finally {
                site.close();
            }
        }
    }
}
