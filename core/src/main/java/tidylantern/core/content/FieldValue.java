package tidylantern.core.content;

import static tidylantern.core.content.Require.require;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What one field of one item says; one shape a {@link FieldKind}. */
public sealed interface FieldValue {
    FieldKind kind();

    /** Prose; several texts of one field (reviews, say) stand on lines of their own. */
    record Text(String text) implements FieldValue {
        @Override
        public FieldKind kind() {
            return FieldKind.TEXT;
        }
    }

    /** Never empty; in the site's order, none twice. */
    record Categories(List<CategoryPath> paths) implements FieldValue {
        public Categories {
            paths = paths.stream().distinct().toList();
            require(!paths.isEmpty(), "a category field without a value is left out, not kept empty");
        }

        @Override
        public FieldKind kind() {
            return FieldKind.CATEGORY;
        }
    }

    record Numeric(BigDecimal number) implements FieldValue {
        public Numeric {
            Numbers.checked(number);
        }

        @Override
        public FieldKind kind() {
            return FieldKind.NUMBER;
        }
    }

    /** @param currency ISO 4217 code, or null where the site does not say */
    record Money(BigDecimal amount, @Nullable String currency) implements FieldValue {
        public Money {
            Numbers.checked(amount);
            require(
                    currency == null || currency.matches("[A-Z]{3}"),
                    "\"%s\" is no currency code; write three capitals such as EUR",
                    currency);
        }

        @Override
        public FieldKind kind() {
            return FieldKind.MONEY;
        }
    }

    /** Never empty; earliest first, none twice. */
    record Dates(List<LocalDate> days) implements FieldValue {
        private static final int LAST_YEAR = 9999;

        public Dates {
            days = days.stream().distinct().sorted().toList();
            days.forEach(day -> require(
                    day.getYear() >= 1 && day.getYear() <= LAST_YEAR,
                    "the year %d is outside 1 to %d",
                    day.getYear(),
                    LAST_YEAR));
            require(!days.isEmpty(), "a date field without a day is left out, not kept empty");
        }

        @Override
        public FieldKind kind() {
            return FieldKind.DATE;
        }
    }

    /** Degrees, WGS 84: latitude -90 to 90, longitude -180 to 180. */
    record Place(
            double latitude, double longitude, @Nullable String name) implements FieldValue {
        public Place {
            require(
                    latitude >= -90 && latitude <= 90,
                    "latitude %s is outside -90 to 90; perhaps the two numbers are swapped",
                    latitude);
            require(longitude >= -180 && longitude <= 180, "longitude %s is outside -180 to 180", longitude);
        }

        @Override
        public FieldKind kind() {
            return FieldKind.PLACE;
        }
    }

    record YesNo(boolean yes) implements FieldValue {
        @Override
        public FieldKind kind() {
            return FieldKind.YES_NO;
        }
    }

    /** @param alternative what the picture shows, or null where nobody says */
    record Image(String address, @Nullable String alternative) implements FieldValue {
        public Image {
            Addresses.require(address);
        }

        @Override
        public FieldKind kind() {
            return FieldKind.IMAGE;
        }
    }

    record Link(String address) implements FieldValue {
        public Link {
            Addresses.require(address);
        }

        @Override
        public FieldKind kind() {
            return FieldKind.LINK;
        }
    }

    /** Never empty; as the site writes them, none twice. */
    record Codes(List<String> codes) implements FieldValue {
        /** Bytes in UTF-8; a longer code is a text. */
        public static final int MOST_BYTES = 500;

        public Codes {
            codes = codes.stream()
                    .map(String::strip)
                    .filter(code -> !code.isEmpty())
                    .distinct()
                    .toList();
            codes.forEach(code -> Require.shortEnough(code, MOST_BYTES, "a code"));
            require(!codes.isEmpty(), "a code field without a code is left out, not kept empty");
        }

        @Override
        public FieldKind kind() {
            return FieldKind.CODE;
        }
    }
}
