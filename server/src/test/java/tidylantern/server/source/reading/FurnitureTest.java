package tidylantern.server.source.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;

/** What stands on many pages alike is no text of any. */
class FurnitureTest {
    private static final String LICENCE = "You may copy all of this as long as you say where you have it from.";
    private static final String BANNER = "The ferry is late today, and so are all who came to meet it at the pier.";

    private static Element page(int n, String more) {
        return Jsoup.parseBodyFragment(
                        ("<main><div class=steps><a href=/p%1$d>Prev</a> <a href=/n%1$d>Next</a> Chapter %1$d</div><h1>Boats %1$d</h1><p>What there is to know of boat number %1$d, which is a lot.</p>"
                                        + "<h2>Returns</h2><p>Returns</p><p>The boat itself, with number %1$d painted on it in white.</p>%2$s<p>%3$s</p></main>")
                                .formatted(n, more, LICENCE))
                .selectFirst("main");
    }

    private static Furniture having(Set<Long> known, int pages) {
        Furniture furniture = new Furniture(known);
        for (int n = 0; n < pages; n++) {
            furniture.learn(page(n, ""));
        }
        return furniture;
    }

    private static List<String> gone(Furniture furniture, Element page) {
        return furniture.in(page, Set.of()).stream().map(Element::text).sorted().collect(Collectors.toList());
    }

    @Test
    void rowsOfLinksAndSentencesThatRecurGoAndLabelsBetweenTextsStay() {
        assertThat(gone(having(Set.of(), 8), page(3, ""))).containsExactly("Prev Next Chapter 3", LICENCE);
    }

    @Test
    void onTwoPagesNothingRecurs() {
        assertThat(gone(having(Set.of(), 2), page(1, ""))).isEmpty();
    }

    @Test
    void whatIsKnownHoldsWhereOnePageIsReadAgain() {
        Furniture again = having(having(Set.of(), 20).recurring(), 1);
        assertThat(gone(again, page(0, ""))).contains(LICENCE);
        assertThat(again.recurring())
                .as("and is handed on")
                .containsAll(having(Set.of(), 20).recurring());
    }

    @Test
    void whatStandsOnOnePageOfManyIsKnownNoMore() {
        Furniture once = new Furniture(Set.of());
        for (int n = 0; n < 20; n++) {
            once.learn(page(n, "<p>" + BANNER + "</p>"));
        }
        Furniture later = new Furniture(once.recurring());
        later.learn(page(0, "<p>" + BANNER + "</p>"));
        for (int n = 1; n < 20; n++) {
            later.learn(page(n, ""));
        }
        assertThat(gone(new Furniture(later.recurring()), page(0, "<p>" + BANNER + "</p>")))
                .contains(LICENCE)
                .doesNotContain(BANNER);
    }
}
