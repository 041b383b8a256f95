package tidylantern.server.ownpage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.jsoup.Jsoup;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.core.design.Colour;
import tidylantern.core.design.DesignChecks;
import tidylantern.core.design.look.ColourToken;
import tidylantern.core.design.look.Look;
import tidylantern.core.design.look.Palette;
import tidylantern.core.design.look.ReadyLook;
import tidylantern.core.design.look.SeenStyle;
import tidylantern.core.design.look.Shade;
import tidylantern.core.design.look.WornLook;

class StyledPageTest {
    private static final String BODY =
            "<body><main><h2>Head</h2><p>Text <a href='/x'>link</a></p><button class='go'>Go</button>"
                    + "<article class='card'>Card</article></main></body>";

    private static SeenStyle seen(String css) {
        return new StyledPage(Jsoup.parse(BODY), PageStyles.rules(css)).seen();
    }

    @Test
    void aPageIsSeenAsItsCascadeHasIt() {
        SeenStyle seen = seen("""
                :root { --deep: #173e52; --soft: var(--nothing, #fbfcfb) }
                body { margin: 0; font: 17px/1.6 Figtree, system-ui, sans-serif; color: #22333b; background: var(--soft) }
                h2 { font-family: Newsreader, Georgia, serif; font-weight: 600 }
                a { color: red }
                main a { color: var(--deep) }
                a:hover { color: lime }
                button { background: rgb(32 83 107); border-radius: 0.5rem }
                .card { background: white }
                @media print { body { color: black } }
                @media (prefers-color-scheme: dark) { body { background: black } }
                @font-face { font-family: Figtree; src: url(x.woff2) }
                this is { no css
                """);
        assertThat(seen)
                .isEqualTo(new SeenStyle(
                        Colour.of("#fbfcfb"),
                        Colour.of("#ffffff"),
                        Colour.of("#22333b"),
                        Colour.of("#20536b"),
                        "Figtree,system-ui,sans-serif",
                        "Newsreader,Georgia,serif",
                        17,
                        600,
                        8));
    }

    @Test
    void importanceAndSpecificityDecideBeforeOrder() {
        SeenStyle seen = seen("""
                body { color: #111111 !important }
                main .go { background: #0000ff }
                button.go { background: #00ff00 }
                #none, button { background: #ff0000 }
                body { color: #222222 }
                """);
        assertThat(seen.text()).isEqualTo(Colour.of("#111111"));
        assertThat(seen.accent()).isEqualTo(Colour.of("#00ff00"));
    }

    // The values of CSS Color Module Level 4, its examples and its table of named colours.
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "#0f0                     | #00ff00",
                "#00ff0080                | #00ff00",
                "#00ff0033                | -",
                "darkslategray            | #2f4f4f",
                "rgb(51 170 51 / .4)      | -",
                "rgb(20%, 40%, 60%)       | #336699",
                "hsl(120deg 75% 25%)      | #107010",
                "hsla(120, 100%, 50%, 1)  | #00ff00",
                "transparent              | -",
                "oklch(40% 0.268 34)      | -",
                "solid                    | -"
            })
    void coloursAreReadAsStyleSheetsWriteThem(String written, @Nullable String read) {
        assertThat(CssColours.read(written)).isEqualTo(read == null ? null : Colour.of(read));
    }

    /** Whatever a page's colours are, what is proposed can be read. */
    @ParameterizedTest
    @CsvSource({
        "#ffffff, #ffffff, #999999, #ffcc00",
        "#101418, #181c22, #c8ccd0, #3a6ea5",
        "#f4efe6, #f4efe6, #2a2119, #b5651d",
        "#0a4b8c, #0a4b8c, #ffffff, #ffdd55",
        "#808080, #909090, #ffffff, #00ff00"
    })
    void whatIsTakenFromAPageCanBeRead(String around, String card, String text, String accent) {
        SeenStyle seen = new SeenStyle(
                Colour.of(around), Colour.of(card), Colour.of(text), Colour.of(accent), null, null, 40, 250, 60);

        Look look = seen.look(ReadyLook.HARBOUR);

        assertThat(DesignChecks.of(WornLook.of(look, Look.asBelow()))).isEmpty();
        Palette palette = WornLook.of(look, Look.asBelow()).palette(look.light().isEmpty() ? Shade.DARK : Shade.LIGHT);
        assertThat(palette.get(ColourToken.AROUND)).isEqualTo(Colour.of(around));
        assertThat(List.of(
                        look.type().size(),
                        look.type().titleWeight(),
                        look.form().corners()))
                .containsExactly(22, 300, 24);
    }
}
