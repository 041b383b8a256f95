package tidylantern.core.design.box;

import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.Colour;
import tidylantern.core.design.look.ColourToken;
import tidylantern.core.design.look.Palette;

/**
 * The colours of a search box in one of its states and one shade of a look. The ground is the owner's; what is written
 * on it gives way, so that it can be read, and the edge, so that it can be seen.
 *
 * @param ground null for that of the look
 * @param ending of a gradient that begins with the ground; null for a plain one
 * @param text of the words typed
 * @param quiet of what stands there while nothing is typed, and of the cross
 * @param accent of the sign, or the word, on the button
 */
public record BoxPainting(
        @Nullable Colour ground, @Nullable Colour ending, Colour edge, Colour text, Colour quiet, Colour accent) {
    /** In this state. */
    public static BoxPainting of(BoxDress dress, BoxDress.State state, Palette palette) {
        BoxColours colours = dress.colours(state);
        Colour ground = in(colours.ground(), palette);
        Colour ending = in(colours.ending(), palette);
        Colour first = Objects.requireNonNullElse(ground, palette.get(ColourToken.GROUND));
        List<Colour> behind = ending == null ? List.of(first) : List.of(first, ending);
        Colour text = Objects.requireNonNullElse(in(colours.text(), palette), palette.get(ColourToken.TEXT));
        Colour edge = Objects.requireNonNullElse(
                in(colours.edge(), palette),
                palette.get(state == BoxDress.State.FOCUSED ? ColourToken.FOCUS : ColourToken.EDGE));
        return new BoxPainting(
                ground,
                ending,
                told(edge, List.of(palette.get(ColourToken.AROUND)), Colour.NOT_TEXT),
                told(text, behind, Colour.TEXT),
                told(palette.get(ColourToken.QUIET), behind, Colour.TEXT),
                told(palette.get(ColourToken.ACCENT), behind, Colour.TEXT));
    }

    private static @Nullable Colour in(@Nullable Paint paint, Palette palette) {
        return paint == null ? null : paint.in(palette);
    }

    /** The nearest colour that is told from all of these; from the first, where none is from all. */
    private static Colour told(Colour colour, List<Colour> behind, double wanted) {
        Colour nearest = colour.nearest(one -> behind.stream().allMatch(ground -> one.contrast(ground) >= wanted));
        return nearest != null
                ? nearest
                : Objects.requireNonNullElse(colour.nearest(wanted, behind.getFirst()), colour);
    }

    /** Whether words can be read on both ends of a gradient. */
    public boolean isReadable() {
        return Stream.of(ground, ending)
                .filter(Objects::nonNull)
                .allMatch(one -> text.contrast(Objects.requireNonNull(one)) >= Colour.TEXT);
    }
}
