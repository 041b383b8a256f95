package tidylantern.core.design.look;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.Colour;
import tidylantern.core.design.TierLooks;

/**
 * The colours of a card that holds a featured tier, in one shade of a look. The tier's ground is the owner's; what is
 * written on it gives way, so that it can be read, and the edge, so that it can be seen.
 *
 * @param ground null for that of all cards
 */
public record TierDress(
        @Nullable Colour ground, Colour text, Colour quiet, Colour accent, Colour hover, Colour mark, Colour edge) {
    public static TierDress of(TierLooks looks, Palette palette) {
        Colour own = Colour.read(looks.ground(), "ground");
        Colour ground = Objects.requireNonNullElse(own, palette.get(ColourToken.GROUND));
        Colour accent = LookChecks.legible(palette.get(ColourToken.ACCENT), ground);
        Colour hover = own == null ? palette.get(ColourToken.HOVER) : Palette.pointedAt(own, accent);
        Colour text = both(palette.get(ColourToken.TEXT), ground, hover);
        return new TierDress(
                own,
                text,
                both(palette.get(ColourToken.QUIET), ground, hover),
                both(palette.get(ColourToken.ACCENT), ground, hover),
                hover,
                LookChecks.legible(palette.get(ColourToken.MARK), text),
                seen(Objects.requireNonNull(Colour.read(looks.edgeColor(), "edgeColor")), ground, palette));
    }

    private static Colour both(Colour colour, Colour ground, Colour hover) {
        Colour nearest =
                colour.nearest(one -> one.contrast(ground) >= Colour.TEXT && one.contrast(hover) >= Colour.TEXT);
        return nearest == null ? LookChecks.legible(colour, ground) : nearest;
    }

    /** Told from what is around the card and from the card; from what is around it, where nothing is from both. */
    private static Colour seen(Colour edge, Colour ground, Palette palette) {
        Colour around = palette.get(ColourToken.AROUND);
        Colour nearest =
                edge.nearest(one -> one.contrast(around) >= Colour.NOT_TEXT && one.contrast(ground) >= Colour.NOT_TEXT);
        return nearest != null ? nearest : Objects.requireNonNullElse(edge.nearest(Colour.NOT_TEXT, around), edge);
    }
}
