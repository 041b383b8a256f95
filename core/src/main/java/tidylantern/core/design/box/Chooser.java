package tidylantern.core.design.box;

import java.util.Objects;
import tidylantern.core.content.FieldKey;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.filter.CategoryControl;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterHead;
import tidylantern.core.design.filter.FilterShown;
import tidylantern.core.design.filter.OfferedValues;
import tidylantern.core.design.filter.ValueList;

/**
 * What can be chosen in the box beside the words: a collection, or a category with all below it. It narrows live
 * results, the page and all numbers, as a filter does, and stands in the address.
 *
 * @param field whose values can be chosen; {@link FieldKey#COLLECTION} for the collections
 */
public record Chooser(FieldKey field) {
    /** Its name in the address. */
    public static final String KEY = "in";

    public Chooser {
        DesignFault.unless(field != null, "field", "say what can be chosen in the box");
        Objects.requireNonNull(field);
    }

    /** A choice of the collections. */
    public static Chooser ofCollections() {
        return new Chooser(FieldKey.COLLECTION);
    }

    /** The filter that narrows by what is chosen. It stands nowhere but in the box. */
    public Filter filter() {
        return new Filter(
                new FilterHead(KEY, KEY, ""),
                FilterShown.nowhere(),
                CategorySource.of(field, CategoryControl.MENU, OfferedValues.all(true), ValueList.usual()));
    }
}
