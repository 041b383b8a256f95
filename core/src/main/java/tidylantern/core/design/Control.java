package tidylantern.core.design;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKind;

/** What visitors handle a filter with. */
public enum Control {
    /** Values to tick, those of a tree below one another. */
    LIST,
    /** Values of which one holds, or none. */
    ONE_OF,
    /** The same, folded into one line. */
    MENU,
    /** Values side by side, to be switched on and off. */
    CHIPS,
    /** The same with a colour or a picture for each. */
    PICTURES,
    /** Two bounds, drawn or typed. */
    RANGE,
    /** Steps of a number, each with how many items lie in it. */
    BANDS,
    /** A lower bound. */
    AT_LEAST,
    /** An upper bound. */
    AT_MOST,
    /** A first and a last day. */
    SPAN,
    /** The months in which there is something. */
    MONTHS,
    /** Only what is today or later. */
    FROM_TODAY,
    /** Only those with a yes. */
    SWITCH,
    /** Yes and no, each to tick. */
    TICKS,
    /** Words that must stand in the field. */
    BOX,
    /** How far from a place of the visitor's. */
    DISTANCE;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** Those that fit a field of this kind, the usual one first; none for kinds that nobody narrows by. */
    public static List<Control> fitting(@Nullable FieldKind kind) {
        return switch (kind) {
            case CATEGORY -> List.of(LIST, ONE_OF, MENU, CHIPS, PICTURES);
            case NUMBER, MONEY -> List.of(RANGE, BANDS, AT_LEAST, AT_MOST);
            case DATE -> List.of(SPAN, MONTHS, FROM_TODAY);
            case YES_NO -> List.of(SWITCH, TICKS);
            case TEXT, CODE -> List.of(BOX);
            case PLACE -> List.of(DISTANCE);
            case IMAGE, LINK -> List.of();
            case null -> List.of();
        };
    }

    /** Whether values of such a field can stand in one list with those of others. */
    public static boolean joinable(@Nullable FieldKind kind) {
        return kind == FieldKind.CATEGORY || kind == FieldKind.YES_NO;
    }

    /** Whether at most one value holds at a time. */
    public boolean onlyOne() {
        return this == ONE_OF || this == MENU;
    }
}
