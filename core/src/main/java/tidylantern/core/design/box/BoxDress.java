package tidylantern.core.design.box;

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
        int angle,
        BoxColours rest,
        BoxColours pointed,
        BoxColours focused,
        OverPage over) {
    public static final Limit ANGLE = new Limit(0, 359);
    private static final int USUAL_ANGLE = 90;

    public BoxDress {
        ANGLE.check("angle", angle);
    }

    /** All as the look has it. */
    public static BoxDress asLook() {
        return new BoxDress(
                BoxSizes.asLook(),
                BoxType.asLook(),
                USUAL_ANGLE,
                BoxColours.asLook(),
                BoxColours.asLook(),
                BoxColours.asLook(),
                OverPage.usual());
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
    public record OverPage(@Nullable Paint ground, int spacing) {
        public static final Limit SPACING = new Limit(0, 120);
        private static final int USUAL_SPACING = 24;

        public OverPage {
            SPACING.check("spacing", spacing);
        }

        public static OverPage usual() {
            return new OverPage(null, USUAL_SPACING);
        }
    }
}
