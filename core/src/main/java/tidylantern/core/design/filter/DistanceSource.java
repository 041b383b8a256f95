package tidylantern.core.design.filter;

import java.util.List;
import tidylantern.core.content.FieldKey;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.Limit;

/**
 * How far from a place of the visitor's the place of an item lies.
 *
 * @param measured in what distances are told
 * @param radii how far visitors may look: ascending, more than 0
 * @param neutral what visitors read for any distance, at most 40 characters; empty for the usual words
 * @param counts whether the number of items stands beside a distance
 * @param start what is set as long as a visitor has set nothing; none, or one distance
 */
public record DistanceSource(
        FieldKey field, DistanceUnit measured, List<Double> radii, String neutral, boolean counts, List<String> start)
        implements FilterSource {
    public static final Limit RADII = new Limit(1, 20);

    public DistanceSource {
        radii = FilterText.steps("radii", radii, RADII);
        DesignFault.unless(
                radii.getFirst() > 0,
                "radii[0]",
                "a distance of %s is none; the least must be more than 0",
                radii.getFirst());
        neutral = FilterText.atMost(FilterText.LONGEST_NEUTRAL, "neutral", neutral);
        start = FilterText.start(start);
    }

    /** Some kilometres. */
    public static DistanceSource usual(FieldKey field) {
        return new DistanceSource(field, DistanceUnit.KM, List.of(1.0, 2.0, 5.0, 10.0, 25.0), "", true, List.of());
    }

    @Override
    public List<FieldKey> fields() {
        return List.of(field);
    }

    @Override
    public Control control() {
        return OnlyControl.DISTANCE;
    }

    @Override
    public String unit() {
        return measured.toString();
    }
}
