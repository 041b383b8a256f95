package tidylantern.core.design.filter;

import java.util.List;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;

/** Where a filter's values come from: decides what it is handled with, and what that can be set to. */
public sealed interface FilterSource
        permits CategorySource, NumberSource, DaySource, YesNoSource, WordSource, DistanceSource, JointSource {
    /** The fields it draws on, each once. */
    List<FieldKey> fields();

    /** What visitors handle it with. */
    Control control();

    /** What is set as long as a visitor has set nothing, as addresses have it. */
    List<String> start();

    /** Whether nothing is set as long as a visitor has set nothing. */
    default boolean startsEmpty() {
        return start().isEmpty();
    }

    /** What several ticks mean together. */
    default Several several() {
        return Several.ANY;
    }

    /** How many values show at first. */
    default int cutAfter() {
        return ValueList.USUAL_CUT;
    }

    /** From how many values on a list is searched by name. */
    default int searchFrom() {
        return ValueList.USUAL_SEARCH_FROM;
    }

    /** Whether the number of items stands beside a value. */
    default boolean counts() {
        return false;
    }

    /** What visitors read for none of the values, where one holds at most; empty for the usual words. */
    default String neutral() {
        return "";
    }

    /** What stands behind numbers; empty for nothing. */
    default String unit() {
        return "";
    }

    /** What is usual for a field of this kind; null where nobody narrows by the kind. */
    static @Nullable FilterSource usual(FieldKey field, @Nullable FieldKind kind) {
        return switch (kind) {
            case CATEGORY -> CategorySource.usual(field);
            case NUMBER, MONEY -> NumberSource.usual(field);
            case DATE -> DaySource.usual(field);
            case YES_NO -> YesNoSource.usual(field);
            case TEXT, CODE -> WordSource.usual(field);
            case PLACE -> DistanceSource.usual(field);
            case IMAGE, LINK -> null;
            case null -> null;
        };
    }

    /** Whether a source of one field can draw on a field of this kind. */
    static boolean fits(FilterSource source, @Nullable FieldKind kind) {
        return Control.fitting(kind).contains(source.control());
    }

    /** Whether values of such a field can stand in one list with those of others. */
    static boolean canBeJoined(@Nullable FieldKind kind) {
        return kind == FieldKind.CATEGORY || kind == FieldKind.YES_NO;
    }
}
