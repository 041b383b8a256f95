package tidylantern.core.design.filter;

import java.util.List;
import java.util.Map;
import tidylantern.core.content.FieldKey;
import tidylantern.core.design.Limit;

/**
 * Numbers or amounts of a field.
 *
 * @param unit what stands behind them, at most {@value #LONGEST_UNIT} characters; may be empty
 * @param bands between which numbers the steps lie, ascending; none for steps that fit what there is
 * @param labels what visitors read for a step instead of its ends, by its value in addresses
 * @param counts whether the number of items stands beside a step
 * @param hidesEmpty whether a step that would give nothing is left out, instead of greyed
 * @param cutAfter how many steps show at first; 'more' shows the rest
 * @param start what is set as long as a visitor has set nothing
 */
public record NumberSource(
        FieldKey field,
        NumberControl control,
        String unit,
        List<Double> bands,
        Map<String, String> labels,
        boolean counts,
        boolean hidesEmpty,
        int cutAfter,
        List<String> start)
        implements FilterSource {
    public static final Limit BANDS = new Limit(0, 50);
    public static final int LONGEST_UNIT = 12;

    public NumberSource {
        unit = FilterText.atMost(LONGEST_UNIT, "unit", unit);
        bands = FilterText.steps("bands", bands, BANDS);
        labels = FilterText.labels(labels);
        ValueList.checkCut(cutAfter);
        start = FilterText.start(start);
    }

    /** Two bounds. */
    public static NumberSource usual(FieldKey field) {
        return of(field, NumberControl.RANGE, "", List.of());
    }

    /** With everything else as usual. */
    public static NumberSource of(FieldKey field, NumberControl control, String unit, List<Double> bands) {
        return new NumberSource(field, control, unit, bands, Map.of(), true, false, ValueList.USUAL_CUT, List.of());
    }

    @Override
    public List<FieldKey> fields() {
        return List.of(field);
    }
}
