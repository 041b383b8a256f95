package tidylantern.core.content;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.function.BiConsumer;
import org.jspecify.annotations.Nullable;

/**
 * Turns the loose values of a source (strings, numbers, booleans, lists and maps of these, as JSON has them) into the
 * typed values of an item, field by field. Refuses what does not fit, naming property, value and way out.
 */
public final class ItemReader {
    private final Collection collection;
    private final Map<String, Field> byProperty;

    public ItemReader(Collection collection) {
        this.collection = collection;
        this.byProperty = collection.byProperty();
    }

    /**
     * @param properties what the source says; properties that the collection has no field for are passed over
     * @throws ItemRefused if a value does not fit its field's kind
     */
    public Item read(ItemId id, Map<String, @Nullable Object> properties) throws ItemRefused {
        Map<FieldKey, FieldValue> values = new LinkedHashMap<>();
        for (Map.Entry<String, @Nullable Object> entry : properties.entrySet()) {
            Field field = byProperty.get(entry.getKey());
            if (field == null) {
                continue;
            }
            FieldValue value = value(field, entry.getValue());
            if (value != null) {
                values.put(field.key(), value);
            }
        }
        return new Item(new ItemRef(collection.key(), id), values);
    }

    /** Like {@link #read}, passing over what does not fit; {@code unfit} is told the property and the reason. */
    public Item readable(ItemId id, Map<String, @Nullable Object> properties, BiConsumer<String, String> unfit) {
        Map<FieldKey, FieldValue> values = new LinkedHashMap<>();
        properties.forEach((property, loose) -> {
            try {
                values.putAll(
                        read(id, Collections.singletonMap(property, loose)).values());
            } catch (ItemRefused refused) {
                unfit.accept(property, String.valueOf(refused.getMessage()));
            }
        });
        return new Item(new ItemRef(collection.key(), id), values);
    }

    private @Nullable FieldValue value(Field field, @Nullable Object loose) throws ItemRefused {
        if (loose == null
                || (loose instanceof String text && text.isBlank())
                || (loose instanceof List<?> list && list.isEmpty())) {
            return null;
        }
        try {
            return switch (field.kind()) {
                case TEXT -> text(field, loose);
                case CATEGORY ->
                    new FieldValue.Categories(
                            paths(loose).stream().map(field::counted).toList());
                case NUMBER -> new FieldValue.Numeric(number(loose));
                case MONEY -> money(loose);
                case DATE -> dates(loose);
                case PLACE -> place(loose);
                case YES_NO -> new FieldValue.YesNo(yesNo(loose));
                case IMAGE -> image(loose);
                case LINK -> new FieldValue.Link(string(loose));
                case CODE -> new FieldValue.Codes(strings(loose));
            };
        } catch (IllegalArgumentException | DateTimeException wrong) {
            throw new ItemRefused(
                    field.property(),
                    "\"%s\" is a field of kind %s: %s".formatted(field.property(), field.kind(), wrong.getMessage()));
        }
    }

    private static FieldValue text(Field field, Object loose) {
        FieldValue.Text text = new FieldValue.Text(String.join("\n", strings(loose)));
        if (field.key().equals(FieldKey.AUTHOR)) {
            // Names of authors are values that rules and filters choose by, whatever the field's kind.
            text.text()
                    .lines()
                    .forEach(name -> Require.shortEnough(name, CategoryPath.MOST_BYTES, "the name of an author"));
        }
        return text;
    }

    /**
     * A path is a text with slashes between its names, or, where names hold slashes of their own, a list of its names
     * in a list of paths.
     */
    private static List<CategoryPath> paths(Object loose) {
        List<CategoryPath> paths = new ArrayList<>();
        for (Object part : loose instanceof List<?> list ? list : List.of(loose)) {
            if (part instanceof List<?> names) {
                paths.add(new CategoryPath(strings(names)));
            } else if (part != null) {
                paths.add(CategoryPath.parse(string(part)));
            }
        }
        return paths;
    }

    /** Control characters say nothing to a reader and upset terminals, feeds and markers; line breaks and tabs stay. */
    static String clean(String text) {
        return CodePoints.any(text, ItemReader::unwanted)
                ? text.codePoints()
                        .filter(c -> !unwanted(c))
                        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                        .toString()
                : text;
    }

    private static boolean unwanted(int c) {
        return (Character.isISOControl(c) && c != '\n' && c != '\t') || (c >= 0xD800 && c <= 0xDFFF);
    }

    /** Texts, {@linkplain #clean cleaned}. */
    private static List<String> strings(Object loose) {
        List<String> strings = new ArrayList<>();
        for (Object part : loose instanceof List<?> list ? list : List.of(loose)) {
            if (part != null) {
                strings.add(string(part));
            }
        }
        return strings;
    }

    private static String string(Object loose) {
        return switch (loose) {
            case String text -> clean(text);
            case Number number -> number.toString();
            case Boolean yes -> yes.toString();
            default -> throw new IllegalArgumentException("write a text, not " + Require.shown(loose));
        };
    }

    private static BigDecimal number(Object loose) {
        try {
            return Numbers.read(string(loose));
        } catch (NumberFormatException notANumber) {
            throw new IllegalArgumentException("write a number such as 12.5, not " + Require.shown(loose));
        }
    }

    private static FieldValue money(Object loose) {
        if (loose instanceof Map<?, ?> map) {
            Object amount = map.get("amount");
            Require.require(amount != null, "an object needs \"amount\", not %s", Require.shown(loose));
            Object currency = map.get("currency");
            return new FieldValue.Money(
                    number(Objects.requireNonNull(amount)),
                    currency == null ? null : string(currency).toUpperCase(Locale.ROOT));
        }
        if (loose instanceof String text && text.strip().matches("-?[0-9.]+\\s+[A-Za-z]{3}")) {
            String[] parts = text.strip().split("\\s+");
            return new FieldValue.Money(number(parts[0]), parts[1].toUpperCase(Locale.ROOT));
        }
        return new FieldValue.Money(number(loose), null);
    }

    private static FieldValue dates(Object loose) {
        List<LocalDate> days = new ArrayList<>();
        for (String text : strings(loose)) {
            days.add(day(text.strip()));
        }
        return new FieldValue.Dates(days);
    }

    private static LocalDate day(String text) {
        try {
            return text.length() > 10 ? OffsetDateTime.parse(text).toLocalDate() : LocalDate.parse(text);
        } catch (DateTimeException notADay) {
            throw new IllegalArgumentException(
                    "write a day such as 2026-05-31 (or 2026-05-31T18:00:00Z), not " + Require.shown(text));
        }
    }

    private static FieldValue place(Object loose) {
        if (loose instanceof Map<?, ?> map && map.get("lat") != null && map.get("lon") != null) {
            Object name = map.get("name");
            return new FieldValue.Place(
                    number(Objects.requireNonNull(map.get("lat"))).doubleValue(),
                    number(Objects.requireNonNull(map.get("lon"))).doubleValue(),
                    name == null ? null : string(name));
        }
        String[] parts = loose instanceof String text ? text.split(",") : new String[0];
        Require.require(
                parts.length == 2, "write {\"lat\": …, \"lon\": …} or \"lat, lon\", not %s", Require.shown(loose));
        return new FieldValue.Place(
                number(parts[0]).doubleValue(), number(parts[1]).doubleValue(), null);
    }

    private static boolean yesNo(Object loose) {
        if (loose instanceof Boolean yes) {
            return yes;
        }
        return switch (string(loose).strip().toLowerCase(Locale.ROOT)) {
            case "true", "yes", "1" -> true;
            case "false", "no", "0" -> false;
            default -> throw new IllegalArgumentException("write true or false, not " + Require.shown(loose));
        };
    }

    private static FieldValue image(Object loose) {
        if (loose instanceof Map<?, ?> map) {
            Object address = map.get("url");
            Require.require(address != null, "an object needs \"url\", not %s", Require.shown(loose));
            Object alternative = map.get("alt");
            return new FieldValue.Image(
                    string(Objects.requireNonNull(address)), alternative == null ? null : string(alternative));
        }
        return new FieldValue.Image(string(loose), null);
    }
}
