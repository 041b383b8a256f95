package tidylantern.core.design.box;

import java.util.Locale;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.Limit;

/**
 * The box that visitors type into.
 *
 * @param wide what it is on wide screens
 * @param narrow on narrow ones; null for the same
 * @param narrowUpTo the width of the page up to which it counts as narrow, 240 to 1600 px
 * @param chooser what can be chosen in the box beside the words; null for nothing
 * @param leads where Enter and the button lead
 * @param dress what it wears
 */
public record SearchBox(
        BoxArrangement wide,
        @Nullable BoxArrangement narrow,
        int narrowUpTo,
        @Nullable Chooser chooser,
        Leads leads,
        BoxDress dress) {
    public static final Limit NARROW_UP_TO = new Limit(240, 1600);
    private static final int USUAL_NARROW = 560;

    public SearchBox {
        NARROW_UP_TO.check("narrowUpTo", narrowUpTo);
    }

    /** Always open, dressed by the look. */
    public static SearchBox usual() {
        return new SearchBox(BoxArrangement.usual(), null, USUAL_NARROW, null, Leads.NEAREST, BoxDress.asLook());
    }

    /** With something to choose in it. */
    public SearchBox withChooser(@Nullable Chooser changed) {
        return new SearchBox(wide, narrow, narrowUpTo, changed, leads, dress);
    }

    /** Where Enter and the button lead. */
    public enum Leads {
        /** The list on the same page where it has one, else the results page. */
        NEAREST,
        /** The results page, whatever stands on the same page. */
        PAGE,
        /** The first result itself; the results page where nothing is found. */
        FIRST;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
