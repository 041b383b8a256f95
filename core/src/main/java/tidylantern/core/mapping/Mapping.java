package tidylantern.core.mapping;

import static tidylantern.core.mapping.MappingFault.unless;

import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;

/**
 * Which columns of a source's records become which fields.
 *
 * @param idColumn the column that tells one item from the others
 * @param fields in the owner's order; no property twice
 */
public record Mapping(String idColumn, List<MappedField> fields) {
    public static final int MOST_FIELDS = 200;
    /** Under this name an item's id travels, so no field has it. */
    public static final String ID = "id";

    public Mapping {
        unless(
                idColumn != null && !idColumn.isBlank(),
                "idColumn",
                "name the column that tells one item from the others");
        fields = List.copyOf(Objects.requireNonNullElse(fields, List.of()));
        unless(!fields.isEmpty(), "fields", "map at least one column to a field");
        unless(
                fields.size() <= MOST_FIELDS,
                "fields",
                "%d fields are too many; %d are the most",
                fields.size(),
                MOST_FIELDS);
        Set<String> properties = new HashSet<>();
        for (int i = 0; i < fields.size(); i++) {
            unless(
                    properties.add(fields.get(i).property()),
                    "fields[%d].property".formatted(i),
                    "\"%s\" is brought by two columns; give one of them another name",
                    fields.get(i).property());
        }
    }

    /**
     * One field and where its values come from.
     *
     * @param property the name under which items keep it
     * @param column that holds the values; of a place, the point or its latitude
     * @param longitude of a place that comes in two columns: the other one
     * @param placeName of a place: the column with its name
     * @param alternative of an image: the column with its alternative text
     * @param currency of money: the column with the currency's code, or the code itself where all have the same
     * @param separator between several values in one text: {@code ;}
     * @param levels between the levels of a category's tree in one text: {@code >}; null for a flat category
     * @param unit of a number
     * @param dates in which order a day is written
     * @param decimalComma whether numbers are written as in 1.234,50; no where it is not given
     */
    public record MappedField(
            String property,
            String label,
            FieldKind kind,
            String column,
            @Nullable String longitude,
            @Nullable String placeName,
            @Nullable String alternative,
            @Nullable String currency,
            @Nullable String separator,
            @Nullable String levels,
            @Nullable String unit,
            DateForm dates,
            @Nullable Boolean decimalComma) {
        public MappedField {
            unless(
                    property != null && FieldKey.fits(property),
                    "property",
                    "\"%s\" cannot name a field: start with a letter, then up to 63 letters, digits, - or _",
                    property);
            unless(!property.equals(ID), "property", "\"id\" is what items are known by; give the field another name");
            unless(
                    label != null && !label.isBlank() && label.strip().length() <= 80,
                    "label",
                    "give the field \"%s\" a label of 1 to 80 characters",
                    property);
            label = label.strip();
            unless(kind != null, "kind", "say which kind of value \"%s\" holds", property);
            unless(column != null && !column.isEmpty(), "column", "say which column \"%s\" comes from", property);
            longitude = kind == FieldKind.PLACE ? given(longitude) : null;
            placeName = kind == FieldKind.PLACE ? given(placeName) : null;
            alternative = kind == FieldKind.IMAGE ? given(alternative) : null;
            currency = kind == FieldKind.MONEY ? given(currency) : null;
            separator = separator == null || separator.isEmpty() ? null : separator;
            levels = kind != FieldKind.CATEGORY || levels == null || levels.isEmpty() ? null : levels;
            unit = kind == FieldKind.NUMBER ? given(unit) : null;
            dates = Objects.requireNonNullElse(dates, DateForm.YEAR_FIRST);
            decimalComma = Objects.requireNonNullElse(decimalComma, false);
        }

        /** A field that is read as it comes. */
        public MappedField(String property, String label, FieldKind kind, String column) {
            this(property, label, kind, column, null, null, null, null, null, null, null, DateForm.YEAR_FIRST, false);
        }

        /** Never null: no where it was not given. */
        @Override
        public Boolean decimalComma() {
            return Objects.requireNonNull(decimalComma);
        }

        private static @Nullable String given(@Nullable String text) {
            return text == null || text.isBlank() ? null : text.strip();
        }

        public MappedField splitAt(@Nullable String separator) {
            return with(parts -> parts.separator = separator);
        }

        public MappedField withLevels(@Nullable String levels) {
            return with(parts -> parts.levels = levels);
        }

        public MappedField withLabel(String changed) {
            return with(parts -> parts.label = changed);
        }

        public MappedField withUnit(@Nullable String unit) {
            return with(parts -> parts.unit = unit);
        }

        public MappedField withDates(DateForm dates) {
            return with(parts -> parts.dates = dates);
        }

        public MappedField withDecimalComma(boolean comma) {
            return with(parts -> parts.decimalComma = comma);
        }

        public MappedField withPlace(@Nullable String longitude, @Nullable String placeName) {
            return with(parts -> {
                parts.longitude = longitude;
                parts.placeName = placeName;
            });
        }

        /** @param currency the code that all amounts are in, or the column that says it */
        public MappedField withCurrency(@Nullable String currency) {
            return with(parts -> parts.currency = currency);
        }

        public MappedField withAlternative(@Nullable String alternative) {
            return with(parts -> parts.alternative = alternative);
        }

        private MappedField with(Consumer<Parts> change) {
            Parts parts = new Parts(this);
            change.accept(parts);
            return parts.put();
        }

        /** The parts of one on the way to another that differs in some of them. */
        private static final class Parts {
            private String property;
            private String label;
            private FieldKind kind;
            private String column;
            private @Nullable String longitude;
            private @Nullable String placeName;
            private @Nullable String alternative;
            private @Nullable String currency;
            private @Nullable String separator;
            private @Nullable String levels;
            private @Nullable String unit;
            private DateForm dates;
            private @Nullable Boolean decimalComma;

            Parts(MappedField of) {
                property = of.property;
                label = of.label;
                kind = of.kind;
                column = of.column;
                longitude = of.longitude;
                placeName = of.placeName;
                alternative = of.alternative;
                currency = of.currency;
                separator = of.separator;
                levels = of.levels;
                unit = of.unit;
                dates = of.dates;
                decimalComma = of.decimalComma;
            }

            MappedField put() {
                return new MappedField(
                        property,
                        label,
                        kind,
                        column,
                        longitude,
                        placeName,
                        alternative,
                        currency,
                        separator,
                        levels,
                        unit,
                        dates,
                        decimalComma);
            }
        }
    }

    /** In which order a source writes a day. A time after it is passed over. */
    public enum DateForm {
        /** {@code 2026-05-31}, {@code 2026/5/31} */
        YEAR_FIRST,
        /** {@code 31.5.2026}, {@code 31/05/2026} */
        DAY_FIRST,
        /** {@code 5/31/2026} */
        MONTH_FIRST;

        @Override
        public String toString() {
            return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
        }
    }
}
