package tidylantern.core.index;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.FieldValue;

/**
 * A field's value as one string beside the index, so that an answer needs no database. The first letter tells the kind;
 * parts are parted by control characters, which {@link tidylantern.core.content.ItemReader} never lets through.
 */
final class StoredValue {
    private static final String PART = "\u001f";
    private static final String LEVEL = "\u001e";

    private StoredValue() {}

    static String write(FieldValue value) {
        return switch (value) {
            case FieldValue.Text text -> "T" + text.text();
            case FieldValue.Categories categories ->
                "C"
                        + categories.paths().stream()
                                .map(path -> String.join(LEVEL, path.names()))
                                .collect(Collectors.joining(PART));
            case FieldValue.Numeric numeric -> "N" + numeric.number();
            case FieldValue.Money money -> "M" + money.amount() + PART + orEmpty(money.currency());
            case FieldValue.Dates dates ->
                "D" + dates.days().stream().map(LocalDate::toString).collect(Collectors.joining(PART));
            case FieldValue.Place place ->
                "P" + place.latitude() + PART + place.longitude() + PART + orEmpty(place.name());
            case FieldValue.YesNo yesNo -> yesNo.yes() ? "Y1" : "Y0";
            case FieldValue.Image image -> "I" + image.address() + PART + orEmpty(image.alternative());
            case FieldValue.Link link -> "L" + link.address();
            case FieldValue.Codes codes -> "X" + String.join(PART, codes.codes());
        };
    }

    static FieldValue read(String stored) {
        String rest = stored.substring(1);
        String[] parts = rest.split(PART, -1);
        return switch (stored.charAt(0)) {
            case 'T' -> new FieldValue.Text(rest);
            case 'C' ->
                new FieldValue.Categories(Arrays.stream(parts)
                        .map(path -> new CategoryPath(List.of(path.split(LEVEL))))
                        .toList());
            case 'N' -> new FieldValue.Numeric(new BigDecimal(rest));
            case 'M' -> new FieldValue.Money(new BigDecimal(parts[0]), orNull(parts[1]));
            case 'D' ->
                new FieldValue.Dates(Arrays.stream(parts).map(LocalDate::parse).toList());
            case 'P' ->
                new FieldValue.Place(Double.parseDouble(parts[0]), Double.parseDouble(parts[1]), orNull(parts[2]));
            case 'Y' -> new FieldValue.YesNo(rest.equals("1"));
            case 'I' -> new FieldValue.Image(parts[0], orNull(parts[1]));
            case 'L' -> new FieldValue.Link(rest);
            case 'X' -> new FieldValue.Codes(Arrays.asList(parts));
            default -> throw new IllegalStateException("the index holds a value of no known kind: " + stored.charAt(0));
        };
    }

    private static String orEmpty(@Nullable String text) {
        return text == null ? "" : text;
    }

    private static @Nullable String orNull(String text) {
        return text.isEmpty() ? null : text;
    }
}
