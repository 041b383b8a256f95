package tidylantern.core.proposal;

import java.util.List;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Collection;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.design.box.Chooser;
import tidylantern.core.design.filter.CategoryControl;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.Control;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterHead;
import tidylantern.core.design.filter.FilterShown;
import tidylantern.core.design.filter.FilterSource;
import tidylantern.core.design.filter.NumberSource;
import tidylantern.core.design.filter.OfferedValues;
import tidylantern.core.design.filter.ValueList;
import tidylantern.core.design.filter.ValueOrder;
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

    /** A filter over it, called as the field is in addresses. */
    public Filter filter() {
        return new Filter(FilterHead.labelled(keyInAddresses(), field.label()), FilterShown.usual(), source());
    }

    /** As the field is called there; another name where that is one of the search's own. */
    String keyInAddresses() {
        String plain = kind() == FieldKind.PLACE ? "distance" : field.key().hyphenated();
        String key = plain.isEmpty()
                ? "filter"
                : FilterHead.TAKEN.contains(plain) || plain.equals(Chooser.KEY) ? "by-" + plain : plain;
        return key.substring(0, Math.min(key.length(), FilterHead.LONGEST_KEY));
    }

    /** Where a filter over it takes its values from, as far as kind, name and unit tell what is best. */
    public FilterSource source() {
        FilterSource usual = FilterSource.usual(key(), kind());
        return switch (usual) {
            case CategorySource ignored ->
                CategorySource.of(
                        key(),
                        isOfTags() ? CategoryControl.CHIPS : CategoryControl.LIST,
                        OfferedValues.all(tree),
                        ValueList.by(isOfTags() ? ValueOrder.COUNT : ValueOrder.NAME));
            case NumberSource numbers -> NumberSource.of(key(), numbers.control(), unit(), List.of());
            case null -> throw new IllegalStateException("nobody narrows by " + kind());
            default -> usual;
        };
    }

    /** Whether its values are tags, none of which lies below another. */
    boolean isOfTags() {
        return kind() == FieldKind.CATEGORY && !tree && FieldWords.TAGS.name(field);
    }

    /** What stands behind its numbers, where the content says it and there is room for it; else empty. */
    String unit() {
        String said = kind() == FieldKind.MONEY ? currency : field.unit();
        return said == null || said.length() > NumberSource.LONGEST_UNIT ? "" : said;
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
