package tidylantern.core.design.look;

import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BinaryOperator;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.Colour;

/** Whether everything that a look's colours write can be read. */
public final class LookChecks {
    private LookChecks() {}

    /**
     * Two colours of a look that meet.
     *
     * @param ratio by WCAG 2.2, 1 to 21
     * @param nearest the colour nearest to the front's with which it passes on all that it meets; null where it passes,
     *     and where there is none
     * @param nearestBehind the same of the colour behind
     */
    public record PairContrast(
            Shade shade,
            ColourToken front,
            ColourToken behind,
            double ratio,
            double wanted,
            @Nullable Colour nearest,
            @Nullable Colour nearestBehind) {
        public boolean passes() {
            return ratio >= wanted;
        }
    }

    /** Every two that meet, in both shades. */
    public static List<PairContrast> contrasts(WornLook look) {
        return Arrays.stream(Shade.values())
                .flatMap(shade -> {
                    Palette palette = look.palette(shade);
                    return Palette.PAIRS.stream().map(pair -> contrast(shade, palette, pair));
                })
                .toList();
    }

    private static PairContrast contrast(Shade shade, Palette palette, Palette.Pair pair) {
        double ratio = palette.ratio(pair);
        boolean passes = ratio >= pair.wanted();
        return new PairContrast(
                shade,
                pair.front(),
                pair.behind(),
                ratio,
                pair.wanted(),
                passes ? null : palette.nearest(pair.front()),
                passes ? null : palette.nearest(pair.behind()));
    }

    /** Of the colours that some visitor can meet, each that fails, on what it fails worst. */
    public static List<PairContrast> failing(WornLook look) {
        Map<List<Object>, PairContrast> worst = new LinkedHashMap<>();
        contrasts(look).stream()
                .filter(contrast -> !contrast.passes() && worn(look.scheme()).contains(contrast.shade()))
                .forEach(contrast -> worst.merge(
                        List.of(contrast.shade(), contrast.front()),
                        contrast,
                        BinaryOperator.minBy(Comparator.comparingDouble(one -> one.ratio() / one.wanted()))));
        return List.copyOf(worst.values());
    }

    /** The shades that some visitor can meet. */
    public static List<Shade> worn(Scheme scheme) {
        return switch (scheme) {
            case LIGHT -> List.of(Shade.LIGHT);
            case DARK -> List.of(Shade.DARK);
            case VISITOR, PAGE -> List.of(Shade.values());
        };
    }

    /** What can be read on a ground that is not the look's: the colour itself, or the nearest that passes. */
    static Colour legible(Colour colour, Colour ground) {
        Colour nearest = colour.nearest(Colour.TEXT, ground);
        return nearest == null ? colour : nearest;
    }
}
