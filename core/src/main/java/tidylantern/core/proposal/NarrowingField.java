package tidylantern.core.proposal;

import java.util.List;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Collection;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.design.Control;
import tidylantern.core.query.filter.CategoryCount;
import tidylantern.core.query.filter.FilterAnswer;

/**
 * A field that visitors could narrow by, with what the items that a search reaches say in it.
 *
 * @param collections that have it, of those that are searched
 * @param items in reach that have a value
 * @param values of categories, those above them included; none for other kinds
 * @param tree whether values lie below one another
 * @param currency of an amount, where the content says it; else empty
 * @param bounds of numbers and days; null for other kinds
 * @param yes how many items in reach say yes; 0 for other kinds
 */
public record NarrowingField(
        Field field,
        List<Collection> collections,
        int items,
        List<CategoryCount> values,
        boolean tree,
        String currency,
        FilterAnswer.@Nullable Bounds bounds,
        int yes) {
    /** Of fewer items nobody can say whether their values would recur. */
    private static final int FEWEST_TO_TELL = 10;

    private static final double ITEMS_A_VALUE = 1.5;

    public NarrowingField {
        collections = List.copyOf(collections);
        values = List.copyOf(values);
    }

    public FieldKey key() {
        return field.key();
    }

    public FieldKind kind() {
        return field.kind();
    }

    /** With which it may be handled, the usual one first. */
    public List<Control> controls() {
        return Control.fitting(kind());
    }

    /** With which it is handled best, as far as kind and name tell. */
    public Control control() {
        return kind() == FieldKind.CATEGORY && !tree && FieldWords.TAGS.name(field)
                ? Control.CHIPS
                : controls().getFirst();
    }

    /**
     * Whether most items have a value of their own, so that narrowing by it leads to one of them at most: a value
     * stands in less than {@value #ITEMS_A_VALUE} items on average.
     */
    public boolean nearlyUnique() {
        return !tree
                && items >= FEWEST_TO_TELL
                && values.stream().mapToInt(CategoryCount::count).sum() < ITEMS_A_VALUE * values.size();
    }
}
