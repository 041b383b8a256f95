package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.openqa.selenium.Keys;
import org.openqa.selenium.SearchContext;

/** axe-core on every place where visitors meet a search, by every width at which it stands. */
@Tag("long")
@ExtendWith(SharedDemo.class)
class PlacesByWidthTest {
    private static DemoWorld world;

    @BeforeAll
    static void start(DemoWorld shared) {
        world = shared;
    }

    static Stream<String> openings() {
        return Stream.of("always", "in-place", "below", "over");
    }

    static Stream<String> arrangements() {
        return Stream.of("list", "grid", "wall");
    }

    @ParameterizedTest
    @MethodSource("openings")
    void aBoxAndItsLiveResults(String opening) {
        for (String where : List.of("below", "over", "nowhere")) {
            String key = LiveSearch.of(
                    world,
                    "Box " + opening + " " + where,
                    List.of("homes", "makers"),
                    Map.of(
                            "box",
                            """
                            {"wide": {"opening": "%1$s", "heading": true, "label": true},
                             "narrow": {"opening": "%1$s", "heading": true, "label": true},
                             "narrowUpTo": 600, "chooser": {"field": "island"}}""".formatted(opening),
                            "filters",
                            "[{\"head\": {\"key\": \"island\", \"label\": \"Island\"}, \"source\": {\"of\": \"category\", \"field\": \"island\"}}]",
                            "live",
                            "{\"where\": \"%s\", \"inList\": %s}".formatted(where, where.equals("nowhere"))));
            for (Browser browser : List.of(Browser.wide(), Browser.phone())) {
                try (browser) {
                    browser.open(world.service() + "/s/" + key);
                    browser.untilTexts(browser.inside("tidy-results"), ".card .title", titles -> !titles.isEmpty());
                    String what = "a box %s, live results %s".formatted(opening, where);
                    browser.mustBeAccessible(what + ", at rest");
                    SearchContext box = browser.inside("tidy-search");
                    if (!opening.equals("always")) {
                        browser.see(box, ".opener").click();
                    }
                    browser.until("one may type", () -> Boolean.TRUE.equals(browser.script("""
                            const input = [...document.querySelector('tidy-search').shadowRoot
                              .querySelectorAll('input[type=search], input[role=combobox], .box input')]
                              .find(one => one.checkVisibility())
                            input?.focus()
                            return input !== undefined""")));
                    browser.press("harb");
                    if (where.equals("nowhere")) {
                        browser.untilTexts(
                                browser.inside("tidy-results"),
                                ".heading",
                                texts -> texts.contains("Results for “harb”"));
                    } else {
                        browser.untilTexts(box, ".row .title", titles -> !titles.isEmpty());
                        browser.press(Keys.ARROW_DOWN);
                    }
                    browser.mustBeAccessible(what + ", typed into");
                    assertThat(browser.consoleErrors()).as(what).isEmpty();
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("arrangements")
    void aPageOfResults(String arranged) {
        for (String paging : List.of("numbers", "more")) {
            String key = LiveSearch.of(
                    world,
                    "Page " + arranged + " " + paging,
                    List.of("homes", "pictures"),
                    Map.of("filters", """
                            [{"head": {"key": "island", "label": "Island"}, "source": {"of": "category", "field": "island"}},
                             {"head": {"key": "price", "label": "Price"}, "source": {"of": "number", "field": "price"}}]""", "page", """
                            {"paging": "%s", "perPage": 10,
                             "shows": {"box": true, "copyLink": true, "time": true, "popular": {"filter": "island"}},
                             "layout": {"arranged": "%s"}}""".formatted(paging, arranged)));
            for (Browser browser : List.of(Browser.wide(), Browser.phone())) {
                try (browser) {
                    for (String asked :
                            List.of("", "?q=harbour", "?q=harbour&island=oyle", "?q=zzqxw", "?q=harbour+zzqxw")) {
                        browser.open(world.service() + "/s/" + key + asked);
                        browser.untilTexts(browser.inside("tidy-results"), ".heading", texts -> !texts.isEmpty());
                        browser.mustBeAccessible("%s by %s, %s".formatted(arranged, paging, asked));
                    }
                    assertThat(browser.consoleErrors()).as(arranged).isEmpty();
                }
            }
        }
    }
}
