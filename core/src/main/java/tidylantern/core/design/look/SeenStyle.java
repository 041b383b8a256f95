package tidylantern.core.design.look;

import java.util.Map;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.Colour;

/**
 * What was seen of the style of a site's page; null where nothing was.
 *
 * @param around behind everything
 * @param card behind what stands on a ground of its own
 * @param accent of buttons, or of links
 * @param font families, as style sheets have them
 * @param size of usual text, in px
 * @param titleWeight of headings, in hundreds
 * @param corners of buttons and cards, in px
 */
public record SeenStyle(
        @Nullable Colour around,
        @Nullable Colour card,
        @Nullable Colour text,
        @Nullable Colour accent,
        @Nullable String font,
        @Nullable String titleFont,
        @Nullable Integer size,
        @Nullable Integer titleWeight,
        @Nullable Integer corners) {
    private static final Colour WHITE = new Colour(255, 255, 255);
    private static final Colour BLACK = new Colour(0, 0, 0);
    /** How much of the ground is in quiet text, in edges, in hairlines; our own figures, from looking. */
    private static final double IN_QUIET = 0.3;

    private static final double IN_EDGES = 0.45;
    private static final double IN_LINES = 0.84;
    /** Where black and white are told from a ground equally well: (L + 0.05)² = 1.05 × 0.05. */
    private static final double DARK = 0.179;

    /** Whether anything was seen that a look could take. */
    public boolean isEmpty() {
        return equals(new SeenStyle(null, null, null, null, null, null, null, null, null));
    }

    /**
     * A look that goes with the page: its colours, where they can be read, else the nearest that can; its type and its
     * corners. The other shade, which the page does not have, stays that of the ready look.
     *
     * @param from what holds where nothing was seen
     */
    public Look look(ReadyLook from) {
        Colour ground = around == null ? WHITE : around;
        Shade shade = ground.luminance() < DARK ? Shade.DARK : Shade.LIGHT;
        Colour written = text != null ? text : shade == Shade.LIGHT ? BLACK : WHITE;
        Palette palette = new Palette(from.look().colours(shade))
                .with(ColourToken.AROUND, ground)
                .with(ColourToken.GROUND, card == null ? ground : card)
                .with(ColourToken.TEXT, written)
                .with(ColourToken.QUIET, written.mixed(ground, IN_QUIET))
                .with(ColourToken.EDGE, written.mixed(ground, IN_EDGES))
                .with(ColourToken.LINE, written.mixed(ground, IN_LINES));
        if (accent != null) {
            palette = palette.with(ColourToken.ACCENT, accent).with(ColourToken.FOCUS, accent);
        }
        return new Look(
                from,
                Scheme.PAGE,
                shade == Shade.LIGHT ? readable(palette).colours() : Map.of(),
                shade == Shade.DARK ? readable(palette).colours() : Map.of(),
                type(),
                new LookForm(null, null, clamped(corners, 0, LookForm.ROUNDEST), null, null, null));
    }

    private LookType type() {
        Integer weight = titleWeight == null ? null : 100 * Math.clamp(Math.round(titleWeight / 100f), 3, 8);
        return new LookType(font, titleFont, clamped(size, LookType.SMALLEST, LookType.LARGEST), weight, null);
    }

    private static @Nullable Integer clamped(@Nullable Integer seen, int least, int most) {
        return seen == null ? null : Math.clamp(seen, least, most);
    }

    /** One after the other, each with what stands by then: what gives way first is what matters least. */
    private static Palette readable(Palette palette) {
        Palette mended = palette;
        for (ColourToken token : new ColourToken[] {
            ColourToken.TEXT,
            ColourToken.ACCENT,
            ColourToken.QUIET,
            ColourToken.ACCENT_TEXT,
            ColourToken.MARK,
            ColourToken.EDGE,
            ColourToken.FOCUS
        }) {
            Colour nearest = mended.asFront(token);
            if (nearest != null) {
                mended = mended.with(token, nearest);
            }
        }
        return mended;
    }
}
