package tidylantern.core.design.box;

import org.jspecify.annotations.Nullable;
import tidylantern.core.design.DesignFault;

/**
 * The colours of a box in one of its states. Null, in each of them: as it is at rest, and at rest as the look has it.
 *
 * @param ground on which the words stand
 * @param ending of a gradient that begins with the ground; null for a plain one
 */
public record BoxColours(
        @Nullable Paint ground,
        @Nullable Paint ending,
        @Nullable Paint edge,
        @Nullable Paint text) {
    public BoxColours {
        DesignFault.unless(
                ending == null || ground != null,
                "ending",
                "a gradient that ends needs a colour to begin with: its ground");
    }

    /** All as it is at rest, or as the look has it. */
    public static BoxColours asLook() {
        return new BoxColours(null, null, null, null);
    }

    /** What holds in a state of which these are the colours at rest. */
    BoxColours over(BoxColours rest) {
        return new BoxColours(
                ground == null ? rest.ground : ground,
                ground == null ? rest.ending : ending,
                edge == null ? rest.edge : edge,
                text == null ? rest.text : text);
    }
}
