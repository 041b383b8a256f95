package tidylantern.core.design.filter;

import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKind;

/** What visitors handle a filter with; each source has its own, and nobody else's. */
public sealed interface Control permits CategoryControl, NumberControl, DayControl, YesNoControl, OnlyControl {
    /** Those that fit a field of this kind, the usual one first; none for kinds that nobody narrows by. */
    static List<Control> fitting(@Nullable FieldKind kind) {
        return switch (kind) {
            case CATEGORY -> List.of(CategoryControl.values());
            case NUMBER, MONEY -> List.of(NumberControl.values());
            case DATE -> List.of(DayControl.values());
            case YES_NO -> List.of(YesNoControl.values());
            case TEXT, CODE -> List.of(OnlyControl.BOX);
            case PLACE -> List.of(OnlyControl.DISTANCE);
            case IMAGE, LINK -> List.of();
            case null -> List.of();
        };
    }

    /** All there are. */
    static List<Control> all() {
        return Stream.of(
                        CategoryControl.values(),
                        NumberControl.values(),
                        DayControl.values(),
                        YesNoControl.values(),
                        OnlyControl.values())
                .<Control>flatMap(Stream::of)
                .toList();
    }

    /** Whether at most one value holds at a time. */
    default boolean onlyOne() {
        return this == CategoryControl.ONE_OF || this == CategoryControl.MENU;
    }

    /** As it is written: in small letters, with hyphens. */
    @Override
    String toString();
}
