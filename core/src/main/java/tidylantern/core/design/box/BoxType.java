package tidylantern.core.design.box;

import org.jspecify.annotations.Nullable;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.look.LookType;

/**
 * In which letters the words of a search box are written. Null, in each of them: as the look has it; of the weight:
 * 400.
 *
 * @param font families as in style sheets, the wanted one first
 * @param weight 300 to 800, in hundreds
 */
public record BoxType(@Nullable String font, @Nullable Integer weight) {
    public BoxType {
        font = LookType.families(font, "font");
        DesignFault.unless(
                !LookType.OF_PAGE.equals(font),
                "font",
                "the box has the look's letters by itself; leave the font out, or write families, such as %s",
                "Charter, Georgia, serif");
        LookType.checkWeight(weight, "weight");
    }

    /** All as the look has it. */
    public static BoxType asLook() {
        return new BoxType(null, null);
    }
}
