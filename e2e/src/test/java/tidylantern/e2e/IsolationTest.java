package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.SearchContext;

/** Nothing of a page's style changes the elements, and nothing of theirs the page. */
@ExtendWith(SharedDemo.class)
class IsolationTest {
    /** What is drawn, element by element, and where: sizes and places are those of the box around. */
    private static final String DRAWN = """
            const drawn = host => {
              const from = host.getBoundingClientRect()
              return [...host.shadowRoot.querySelectorAll('*')].map(one => {
                const style = getComputedStyle(one), box = one.getBoundingClientRect()
                const place = [box.x - from.x, box.y - from.y, box.width, box.height].map(n => n.toFixed(1))
                return [one.localName, ...place, style.color, style.backgroundColor, style.font, style.letterSpacing,
                  style.textTransform, style.textAlign, style.cursor].join(' ')
              })
            }
            return [...document.querySelectorAll('tidy-search, tidy-results')].flatMap(drawn)
            """;

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

    private static void open() {
        browser.open(world.site() + "/search?q=harbour");
        drawn();
        browser.script("""
                document.querySelectorAll('link[rel=stylesheet], style').forEach(one => one.remove())
                const main = document.createElement('main')
                main.append(...['tidy-search', 'tidy-results'].map(name => document.querySelector(name).cloneNode()))
                main.style.cssText = 'display: block !important; width: 900px !important; font: 15px/1.4 serif !important'
                document.body.replaceChildren(main)
                """);
        drawn();
    }

    private static Object drawn() {
        SearchContext results = browser.inside("tidy-results");
        browser.untilTexts(results, ".card .title", texts -> !texts.isEmpty());
        browser.see(browser.inside("tidy-search"), ".worn.light");
        browser.until(
                "pictures",
                () -> Boolean.TRUE.equals(browser.script(
                        "return [...document.querySelector('tidy-results').shadowRoot.querySelectorAll('img')]"
                                + ".every(one => one.complete || one.getBoundingClientRect().top > innerHeight)")));
        return browser.script(DRAWN);
    }

    /** The type comes from the page where the look says so, and so it stays what the page's main part has. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "body * { all: unset; display: block }",
                "html { font-size: 62.5% }",
                "body { line-height: 3; letter-spacing: 4px; word-spacing: 1em; text-transform: uppercase; text-indent: 40px;"
                        + " text-align: right; white-space: pre; cursor: crosshair; font-style: italic; text-shadow: 0 0 4px red }",
                "div, span, a, button, input, p, h2, h3, li, ol, label, select { margin: 9px !important; padding: 9px !important;"
                        + " color: red !important; font: 30px/2 cursive !important; border: 5px solid !important; display: inline !important }",
                "* { box-sizing: content-box !important; outline: 3px solid lime !important }",
                "tidy-search, tidy-results { color: red; font-weight: 900; list-style: square; text-decoration: overline;"
                        + " visibility: visible; -webkit-text-fill-color: red; writing-mode: vertical-rl }",
                "img { display: none !important } svg { width: 300px !important } ol { columns: 3 !important }"
            })
    void aPagesStyleStopsAtTheElements(String css) {
        open();
        Object before = drawn();
        browser.script(
                "const style = document.createElement('style'); style.textContent = arguments[0];"
                        + " document.head.append(style)",
                css);
        assertThat(drawn()).isEqualTo(before);
    }

    @Test
    void theElementsLeaveThePageAsItIs() {
        browser.open(world.site() + "/");
        Object with = drawnPage();
        try (Browser plain = Browser.withoutScript()) {
            plain.open(world.site() + "/");
            assertThat(plain.script(PAGE)).isEqualTo(with);
        }
        assertThat(browser.script("return document.adoptedStyleSheets.length")).isEqualTo(0L);
    }

    private static final String PAGE = """
            return [...document.querySelectorAll('body *')]
              .filter(one => !one.closest('tidy-search, tidy-results, tidy-filters, script'))
              .map(one => [one.localName, getComputedStyle(one).font, getComputedStyle(one).color,
                getComputedStyle(one).backgroundColor, getComputedStyle(one).display].join(' '))
            """;

    private static Object drawnPage() {
        browser.see(browser.inside("tidy-search"), ".worn");
        return browser.script(PAGE);
    }

    /** WCAG 2.2, 1.4.10: at 400 % of 1280 px nothing is scrolled in two directions. */
    @Test
    void atFourHundredPercentNothingGoesBeyondTheEdge() {
        try (Browser phone = Browser.phone()) {
            phone.open(world.site() + "/search?q=harbour");
            SearchContext results = phone.inside("tidy-results");
            phone.untilTexts(results, ".card .title", texts -> !texts.isEmpty());
            phone.script("document.documentElement.style.width = '320px'; document.body.style.width = '320px'");
            assertThat(phone.script("""
                    return [...document.querySelector('tidy-results').shadowRoot.querySelectorAll('*')]
                      .filter(one => one.getClientRects().length > 0 && !one.closest('.unseen, svg'))
                      .filter(one => one.getBoundingClientRect().right > 321)
                      .map(one => one.outerHTML.slice(0, 80))
                    """)).isEqualTo(java.util.List.of());
        }
    }

    /** WCAG 2.2, 1.4.12: with lines, letters, words and paragraphs apart as far as it names, nothing is cut off. */
    @Test
    void textMayBeSpacedOut() {
        browser.open(world.site() + "/search?q=harbour");
        drawn();
        assertThat(browser.script("""
                const inside = document.querySelector('tidy-results').shadowRoot
                const spaced = new CSSStyleSheet()
                spaced.replaceSync(`* { line-height: 1.5 !important; letter-spacing: 0.12em !important;
                  word-spacing: 0.16em !important } p { margin-bottom: 2em !important }`)
                inside.adoptedStyleSheets = [...inside.adoptedStyleSheets, spaced]
                // What is short by the owner's own lines may be; nothing else, and nothing sideways.
                return [...inside.querySelectorAll('.worn *')]
                  .filter(one => one.getClientRects().length > 0 && !one.closest('.unseen, svg, select, .ribbon'))
                  .filter(one => getComputedStyle(one).overflow === 'hidden' || one.matches('button, a, label'))
                  .filter(one => one.scrollWidth > one.clientWidth + 1 && getComputedStyle(one).display !== 'inline')
                  .map(one => one.outerHTML.slice(0, 100))
                """)).isEqualTo(java.util.List.of());
    }
}
