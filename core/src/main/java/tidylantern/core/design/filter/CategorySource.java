package tidylantern.core.design.filter;

import java.util.List;
import tidylantern.core.content.FieldKey;

/**
 * The values of a category field. Of {@link FieldKey#COLLECTION} they are the collections, one of which can be chosen.
 *
 * @param field whose values are on offer
 * @param several what several ticks mean together
 * @param offered which values are on offer
 * @param looks what visitors read and see for a value
 * @param list how the values stand
 * @param neutral what visitors read for none of a list or menu of which one holds, at most 40 characters; empty for the
 *     usual words
 * @param start what is set as long as a visitor has set nothing; not looked at with {@code allAtStart}
 * @param allAtStart whether every value on offer is set then
 */
public record CategorySource(
        FieldKey field,
        CategoryControl control,
        Several several,
        OfferedValues offered,
        ValueLooks looks,
        ValueList list,
        String neutral,
        List<String> start,
        boolean allAtStart)
        implements FilterSource {
    public CategorySource {
        neutral = FilterText.atMost(FilterText.LONGEST_NEUTRAL, "neutral", neutral);
        start = FilterText.start(start);
    }

    /** All values as a tree, to tick, one of several enough. */
    public static CategorySource usual(FieldKey field) {
        return of(field, CategoryControl.LIST, OfferedValues.all(true), ValueList.usual());
    }

    /** With everything else as usual. */
    public static CategorySource of(FieldKey field, CategoryControl control, OfferedValues offered, ValueList list) {
        return new CategorySource(field, control, Several.ANY, offered, ValueLooks.plain(), list, "", List.of(), false);
    }

    @Override
    public List<FieldKey> fields() {
        return List.of(field);
    }

    @Override
    public boolean startsEmpty() {
        return start.isEmpty() && !allAtStart;
    }

    @Override
    public int cutAfter() {
        return list.cutAfter();
    }

    @Override
    public int searchFrom() {
        return list.searchFrom();
    }

    @Override
    public boolean counts() {
        return list.counts();
    }
}
