package tidylantern.core.design.box;

import java.util.Locale;
import java.util.Objects;
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
        Integer narrowUpTo,
        @Nullable Chooser chooser,
        Leads leads,
        BoxDress dress) {
    public static final Limit NARROW_UP_TO = new Limit(240, 1600);
    private static final int USUAL_NARROW = 560;

    // Null takes its default here, as it does where a document leaves a key out.
    public SearchBox {
        wide = Objects.requireNonNullElseGet(wide, BoxArrangement::usual);
        narrowUpTo = Objects.requireNonNullElse(narrowUpTo, USUAL_NARROW);
        NARROW_UP_TO.check("narrowUpTo", narrowUpTo);
        leads = Objects.requireNonNullElse(leads, Leads.NEAREST);
        dress = Objects.requireNonNullElseGet(dress, BoxDress::asLook);
    }

    /** Always open, dressed by the look. */
    // Null takes its default here, as it does where a document leaves a key out.
    @SuppressWarnings("NullAway")
    public static SearchBox usual() {
        return new SearchBox(null, null, null, null, null, null);
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
