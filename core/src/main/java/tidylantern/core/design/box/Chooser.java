package tidylantern.core.design.box;

import java.util.List;
import java.util.Objects;
import tidylantern.core.content.FieldKey;
import tidylantern.core.design.Control;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.Filter;

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
        return Filter.of(KEY, KEY, field)
                .withControl(Control.MENU)
                .withShown(new Filter.Shown(Filter.OnPage.NOWHERE, false, false, false, List.of()));
    }
}
