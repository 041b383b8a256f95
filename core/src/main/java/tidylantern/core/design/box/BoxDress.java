package tidylantern.core.design.box;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.Limit;

/**
 * What a search box wears that the look does not say, or says otherwise. Null, in each of the sizes and of the type: as
 * the look has it.
 *
 * @param sizes how large it is, in px
 * @param type in which letters its words are written
 * @param angle to which a gradient runs, in degrees as CSS counts them: 90 from left to right, 180 from top to bottom
 * @param rest while nobody does anything with it
 * @param pointed at
 * @param focused while somebody types
 * @param over what stands around it where it opens over the page
 */
public record BoxDress(
        BoxSizes sizes,
        BoxType type,
        Integer angle,
        BoxColours rest,
        BoxColours pointed,
        BoxColours focused,
        OverPage over) {
    public static final Limit ANGLE = new Limit(0, 359);
    private static final int USUAL_ANGLE = 90;

    // Null takes its default here, as it does where a document leaves a key out.
    @SuppressWarnings("NullAway")
    public BoxDress {
        sizes = Objects.requireNonNullElseGet(sizes, BoxSizes::asLook);
        type = Objects.requireNonNullElseGet(type, BoxType::asLook);
        angle = Objects.requireNonNullElse(angle, USUAL_ANGLE);
        ANGLE.check("angle", angle);
        rest = Objects.requireNonNullElseGet(rest, BoxColours::asLook);
        pointed = Objects.requireNonNullElseGet(pointed, BoxColours::asLook);
        focused = Objects.requireNonNullElseGet(focused, BoxColours::asLook);
        over = Objects.requireNonNullElseGet(over, OverPage::usual);
    }

    /** All as the look has it. */
    // Null takes its default here, as it does where a document leaves a key out.
    @SuppressWarnings("NullAway")
    public static BoxDress asLook() {
        return new BoxDress(null, null, null, null, null, null, null);
    }

    /** The states in which a box is drawn. */
    public enum State {
        REST,
        POINTED,
        FOCUSED
    }

    /** What holds in a state, with what it leaves to the one at rest. */
    public BoxColours colours(State state) {
        return switch (state) {
            case REST -> rest;
            case POINTED -> pointed.over(rest);
            case FOCUSED -> focused.over(rest);
        };
    }

    /**
     * What stands around a box over the page.
     *
     * @param ground of the sheet that it stands on; null for the look's around everything
     * @param spacing between the sheet's edge and the box, 0 to 120 px
     */
    public record OverPage(@Nullable Paint ground, Integer spacing) {
        public static final Limit SPACING = new Limit(0, 120);
        private static final int USUAL_SPACING = 24;

        public OverPage {
            spacing = Objects.requireNonNullElse(spacing, USUAL_SPACING);
            SPACING.check("spacing", spacing);
        }

        // Null takes its default here, as it does where a document leaves a key out.
        @SuppressWarnings("NullAway")
        static OverPage usual() {
            return new OverPage(null, null);
        }
    }
}
