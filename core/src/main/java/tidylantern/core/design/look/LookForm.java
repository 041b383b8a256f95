package tidylantern.core.design.look;

import org.jspecify.annotations.Nullable;
import tidylantern.core.design.DesignFault;

/**
 * The form of a look. Null, in each of them: as the look has it that this one stands on.
 *
 * @param corners how round things are, 0 to {@value #ROUNDEST} px; what is low and wide is round at its ends then
 * @param motion whether anything moves as one points at it; for who asks for less motion nothing does
 */
public record LookForm(
        @Nullable CardForm cards,
        @Nullable BoxForm box,
        @Nullable Integer corners,
        @Nullable Density density,
        @Nullable Shadow shadow,
        @Nullable Boolean motion) {
    public static final int ROUNDEST = 24;

    public LookForm {
        DesignFault.unless(
                corners == null || (corners >= 0 && corners <= ROUNDEST),
                "corners",
                "corners of %s px are none; choose 0 to %d",
                corners,
                ROUNDEST);
    }

    /** All as the look below has it. */
    public static LookForm asBelow() {
        return new LookForm(null, null, null, null, null, null);
    }
}
