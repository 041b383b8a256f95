package tidylantern.core.design.filter;

import java.util.List;
import java.util.Map;
import tidylantern.core.content.FieldKey;

/**
 * The answers of a yes/no field; an item without one is neither.
 *
 * @param labels what visitors read instead of 'yes' and 'no', by {@code yes} and {@code no}
 * @param counts whether the number of items stands beside an answer
 * @param start what is set as long as a visitor has set nothing
 */
public record YesNoSource(
        FieldKey field, YesNoControl control, Map<String, String> labels, boolean counts, List<String> start)
        implements FilterSource {
    public YesNoSource {
        labels = FilterText.labels(labels);
        start = FilterText.start(start);
    }

    /** Only those with a yes. */
    public static YesNoSource usual(FieldKey field) {
        return new YesNoSource(field, YesNoControl.SWITCH, Map.of(), true, List.of());
    }

    @Override
    public List<FieldKey> fields() {
        return List.of(field);
    }
}
