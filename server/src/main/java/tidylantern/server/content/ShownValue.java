package tidylantern.server.content;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;

/** A field's value as text, for tables and item pages. */
final class ShownValue {
    private static final int LONGEST_IN_TABLE = 160;

    private ShownValue() {}

    static String of(FieldValue value) {
        return switch (value) {
            case FieldValue.Text text -> text.text();
            case FieldValue.Categories categories ->
                categories.paths().stream().map(ShownValue::of).collect(Collectors.joining(", "));
            case FieldValue.Numeric number -> number.number().toPlainString();
            case FieldValue.Money money ->
                money.amount().toPlainString() + (money.currency() == null ? "" : " " + money.currency());
            case FieldValue.Dates dates ->
                dates.days().stream().map(LocalDate::toString).collect(Collectors.joining(", "));
            case FieldValue.Place place ->
                (place.name() == null ? "" : place.name() + " · ") + place.latitude() + ", " + place.longitude();
            case FieldValue.YesNo answer -> answer.yes() ? "yes" : "no";
            case FieldValue.Image image ->
                image.alternative() == null ? image.address() : image.alternative() + " · " + image.address();
            case FieldValue.Link link -> link.address();
            case FieldValue.Codes codes -> String.join(", ", codes.codes());
        };
    }

    private static String of(CategoryPath path) {
        return String.join(" › ", path.names());
    }

    /** By the fields' keys, cut to what fits a table. */
    static Map<String, String> row(Item item, List<FieldKey> columns) {
        Map<String, String> row = new LinkedHashMap<>();
        for (FieldKey column : columns) {
            FieldValue value = item.values().get(column);
            if (value != null) {
                String text = of(value);
                row.put(
                        column.value(),
                        text.length() <= LONGEST_IN_TABLE ? text : text.substring(0, LONGEST_IN_TABLE) + "…");
            }
        }
        return row;
    }
}
