package tidylantern.core.design.filter;

import java.util.List;
import java.util.Map;
import tidylantern.core.content.FieldKey;

/**
 * Days of a field.
 *
 * @param labels what visitors read instead of the usual words for 'from today', by its value in addresses
 * @param counts whether the number of items stands beside a month, or beside 'from today'
 * @param hidesEmpty whether a month that would give nothing is left out, instead of greyed
 * @param cutAfter how many months show at first; 'more' shows the rest
 * @param start what is set as long as a visitor has set nothing
 */
public record DaySource(
        FieldKey field,
        DayControl control,
        Map<String, String> labels,
        boolean counts,
        boolean hidesEmpty,
        int cutAfter,
        List<String> start)
        implements FilterSource {
    public DaySource {
        labels = FilterText.labels(labels);
        ValueList.checkCut(cutAfter);
        start = FilterText.start(start);
    }

    /** A first and a last day. */
    public static DaySource usual(FieldKey field) {
        return of(field, DayControl.SPAN);
    }

    /** With everything else as usual. */
    public static DaySource of(FieldKey field, DayControl control) {
        return new DaySource(field, control, Map.of(), true, false, ValueList.USUAL_CUT, List.of());
    }

    @Override
    public List<FieldKey> fields() {
        return List.of(field);
    }
}
