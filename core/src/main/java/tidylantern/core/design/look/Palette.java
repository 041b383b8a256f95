package tidylantern.core.design.look;

import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.Colour;

/**
 * All the colours of a look in one shade.
 *
 * @param colours one for each token; {@link ColourToken#HOVER} may be left out
 */
public record Palette(Map<ColourToken, Colour> colours) {
    /** How much of the accent is in what lies behind the thing pointed at; our own figure, from looking. */
    private static final double BREATH = 0.09;

    /**
     * Two colours that meet.
     *
     * @param wanted contrast: 4.5 for text (WCAG 2.2, 1.4.3), 3 for what must be seen (1.4.11)
     */
    public record Pair(ColourToken front, ColourToken behind, double wanted) {}

    /** Every two of the tokens that meet somewhere in the elements, the page without script, or on a card. */
    public static final List<Pair> PAIRS = Stream.of(
                    on(ColourToken.TEXT, Colour.TEXT, ColourToken.AROUND, ColourToken.GROUND, ColourToken.HOVER),
                    on(ColourToken.TEXT, Colour.TEXT, ColourToken.MARK),
                    on(ColourToken.QUIET, Colour.TEXT, ColourToken.AROUND, ColourToken.GROUND, ColourToken.HOVER),
                    on(ColourToken.ACCENT, Colour.TEXT, ColourToken.AROUND, ColourToken.GROUND, ColourToken.HOVER),
                    on(ColourToken.ACCENT_TEXT, Colour.TEXT, ColourToken.ACCENT),
                    on(ColourToken.EDGE, Colour.NOT_TEXT, ColourToken.AROUND, ColourToken.GROUND),
                    on(ColourToken.FOCUS, Colour.NOT_TEXT, ColourToken.AROUND, ColourToken.GROUND))
            .flatMap(pairs -> pairs)
            .toList();

    private static Stream<Pair> on(ColourToken front, double wanted, ColourToken... behind) {
        return Stream.of(behind).map(one -> new Pair(front, one, wanted));
    }

    public Palette {
        Map<ColourToken, Colour> copy = new EnumMap<>(ColourToken.class);
        copy.putAll(colours);
        colours = Collections.unmodifiableMap(copy);
    }

    public Colour get(ColourToken token) {
        Colour own = colours.get(token);
        if (own == null && token == ColourToken.HOVER) {
            return pointedAt(get(ColourToken.GROUND), get(ColourToken.ACCENT));
        }
        return Objects.requireNonNull(own, "a palette has a colour for " + token);
    }

    /** What lies behind a thing on a ground while somebody points at it. */
    static Colour pointedAt(Colour ground, Colour accent) {
        return ground.mixed(accent, BREATH);
    }

    Palette with(ColourToken token, Colour colour) {
        Map<ColourToken, Colour> changed = new EnumMap<>(ColourToken.class);
        changed.putAll(colours);
        changed.put(token, colour);
        return new Palette(changed);
    }

    public double ratio(Pair pair) {
        return get(pair.front()).contrast(get(pair.behind()));
    }

    /** Those that do not reach what they need. */
    public List<Pair> failing() {
        return PAIRS.stream().filter(pair -> ratio(pair) < pair.wanted()).toList();
    }

    /** What a token's colour reaches at the least against all that it meets, as a share of what is wanted there. */
    double share(ColourToken token) {
        return PAIRS.stream()
                .filter(pair -> pair.front() == token || pair.behind() == token)
                .mapToDouble(pair -> ratio(pair) / pair.wanted())
                .min()
                .orElse(1);
    }

    /**
     * The colour nearest to a token's own with which every pair passes that the token is in.
     *
     * @return itself where all do; null where no colour between black and white on its way does, since what it meets is
     *     too different
     */
    public @Nullable Colour nearest(ColourToken token) {
        return get(token).nearest(colour -> with(token, colour).share(token) >= 1);
    }

    /** The same for what is written with a token alone, or, of a ground, what is written on it. */
    @Nullable Colour asFront(ColourToken token) {
        boolean isGround = token == ColourToken.MARK;
        return get(token).nearest(colour -> with(token, colour).failing().stream()
                .noneMatch(pair -> isGround ? pair.behind() == token : pair.front() == token));
    }
}
