package tidylantern.core.design;

import tidylantern.core.content.FieldKey;

/**
 * How much a field counts.
 *
 * @param weight 0 to 10; a field with weight 0 is not searched
 */
public record FieldWeight(FieldKey field, double weight) {
    public static final double MOST = 10;

    public FieldWeight {
        DesignFault.unless(field != null, "field", "name the field that has this weight");
        DesignFault.unless(
                weight >= 0 && weight <= MOST,
                "weight",
                "the weight %s of \"%s\" is outside 0 to %.0f",
                weight,
                field,
                MOST);
    }
}
