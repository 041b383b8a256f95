package tidylantern.core.mapping;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.Month;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Currency;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Numbers;
import tidylantern.core.content.Require;
import tidylantern.core.mapping.Mapping.DateForm;

/**
 * Reads the texts in which sources write numbers, days and answers. Each method throws IllegalArgumentException with
 * the way out.
 */
final class Loose {
    /** In the languages that elements speak, and as programs write it. */
    static final Set<String> YES =
            Set.of("true", "yes", "y", "1", "x", "on", "ja", "j", "wahr", "oui", "o", "vrai", "sí", "si", "s", "waar");

    static final Set<String> NO =
            Set.of("false", "no", "n", "0", "off", "-", "nein", "falsch", "non", "faux", "falso", "nee", "onwaar");
    /** What programs write where there is no value of any kind: common practice. */
    private static final Set<String> NO_VALUE = Set.of("\\N", "NULL", "null", "#N/A", "N/A", "n/a", "NaN");

    /** What files write where there is no number, day, place or address: common practice. */
    private static final Set<String> NOTHING =
            Set.of("\\n", "n/a", "na", "n.a.", "null", "nil", "none", "nan", "-", "--", "–", "—", "?", "#n/a", "k.a.");

    private static final Pattern NUMBER = Pattern.compile("[-+−]?\\d[\\d.,'’\\u00a0\\u202f ]*");
    /** {@code 1.5e-05}, {@code .5}: as programs write them, which know no decimal comma. */
    private static final Pattern SCIENTIFIC =
            Pattern.compile("[-+]?(\\d+(\\.\\d*)?|\\.\\d+)[eE][-+]?\\d{1,3}|[-+]?\\.\\d+");

    private static final Pattern YEAR_FIRST = Pattern.compile("(\\d{4})[-/.](\\d{1,2})[-/.](\\d{1,2})([T ].*)?");
    private static final Pattern YEAR_LAST = Pattern.compile("(\\d{1,2})[-/. ]+(\\d{1,2})[-/. ]+(\\d{4})([T ].*)?");
    /** {@code 31 May 2026}, {@code Sun, 31. Mai 2026 08:00}, {@code 31 de mayo de 2026}. */
    private static final Pattern DAY_AND_NAME = Pattern.compile(
            "(?:\\p{L}+\\.?,?\\s+)?(\\d{1,2})(?:\\.|st|nd|rd|th|er)?[\\s-]+(?:de\\s+)?(\\p{L}+)\\.?,?[\\s-]+(?:de\\s+)?(\\d{4})([ T,].*)?");
    /** {@code May 31, 2026}, {@code Sunday, May 31st 2026}. */
    private static final Pattern NAME_AND_DAY =
            Pattern.compile("(?:\\p{L}+\\.?,\\s+)?(\\p{L}+)\\.?\\s+(\\d{1,2})(?:st|nd|rd|th)?,?\\s+(\\d{4})([ T,].*)?");

    private static final Map<String, Integer> MONTHS = months();
    private static final Pattern ONE_NUMBER = Pattern.compile("\\d{8,13}");
    private static final int SECONDS_DIGITS = 10;
    /** {@code 1 h 20}, {@code 2 hours}, {@code 1h 20min}, {@code 45 min}. */
    private static final Pattern SPOKEN_DURATION = Pattern.compile(
            "(?i)(?:(\\d+)\\s*(?:h|hr|hrs|hours?|std|stunden?|heures?|horas?|uur|uren)\\.?)?\\s*(?:(\\d+)\\s*(?:m|min|mins|minutes?|minuten|minutos?)?\\.?)?");

    static final Map<String, String> CURRENCY_SIGNS =
            Map.of("€", "EUR", "£", "GBP", "$", "USD", "¥", "JPY", "₹", "INR");

    private static final Set<String> CURRENCIES = Currency.getAvailableCurrencies().stream()
            .map(Currency::getCurrencyCode)
            .collect(Collectors.toSet());

    /** {@code Wick Amory <wick@isles.example>} */
    static final Pattern NAME_AND_MAIL =
            Pattern.compile("\\s*\"?([^<>@\"]*[^<>@\"\\s])\"?\\s*<[^<>@\\s]+@[^<>@\\s]+>\\s*");

    private Loose() {}

    static boolean empty(@Nullable Object loose) {
        return loose == null
                || (loose instanceof String text && (text.isBlank() || NO_VALUE.contains(text.strip())))
                || (loose instanceof List<?> list && list.stream().allMatch(Loose::empty));
    }

    /** Whether a text says no more than that there is no value; in a category or a text it may be one. */
    static boolean saysNothing(Object loose) {
        return loose instanceof String text && NOTHING.contains(text.strip().toLowerCase(Locale.ROOT));
    }

    /** Whether these three letters are a currency's code, of ISO 4217 as the Java platform has it. */
    static boolean isCurrency(String code) {
        return CURRENCIES.contains(code);
    }

    private static Map<String, Integer> months() {
        Map<String, Integer> months = new HashMap<>();
        for (String language : List.of("en", "de", "fr", "es", "nl")) {
            for (Month month : Month.values()) {
                for (TextStyle style : List.of(TextStyle.FULL, TextStyle.SHORT)) {
                    String name = month.getDisplayName(style, Locale.of(language));
                    months.put(name.toLowerCase(Locale.ROOT).replace(".", ""), month.getValue());
                }
            }
        }
        return months;
    }

    /** The values of a list, or the pieces of a text, or the one thing there is; empty ones left out. */
    static List<Object> parts(@Nullable Object loose, @Nullable String separator) {
        List<Object> parts = new ArrayList<>();
        for (Object part : loose instanceof List<?> list ? list : loose == null ? List.of() : List.of(loose)) {
            if (part instanceof String text && separator != null) {
                for (String piece : text.split(Pattern.quote(separator))) {
                    if (!piece.isBlank()) {
                        parts.add(piece.strip());
                    }
                }
            } else if (!empty(part)) {
                parts.add(part);
            }
        }
        return parts;
    }

    static String text(@Nullable Object loose) {
        if (loose instanceof Map<?, ?> || loose instanceof List<?>) {
            throw new IllegalArgumentException("one text is wanted, not " + Require.shown(loose));
        }
        if (loose instanceof String text) {
            // Of who is named together with where to write to, the name: the other is for nobody to find.
            Matcher named = NAME_AND_MAIL.matcher(text);
            return named.matches() ? named.group(1) : text;
        }
        return loose instanceof BigDecimal number ? Numbers.written(number) : String.valueOf(loose);
    }

    /**
     * {@code 1,234.50}, {@code 1 234}, {@code 64 m²} where the unit is m²; a duration as of ISO 8601 where the unit is
     * one of time.
     */
    static BigDecimal number(@Nullable Object loose, @Nullable String unit, boolean decimalComma) {
        if (loose instanceof Number number) {
            return Numbers.read(number.toString());
        }
        String text = text(loose).strip();
        if (unit != null
                && !text.isEmpty()
                && isSpokenDuration(text)
                && text.toLowerCase(Locale.ROOT).contains("h")) {
            return duration("PT" + spoken(text).toSeconds() + "S", unit);
        }
        if (text.startsWith("P") && unit != null && text.chars().anyMatch(Character::isDigit)) {
            return duration(text, unit);
        }
        if (unit != null && text.toLowerCase(Locale.ROOT).endsWith(unit.toLowerCase(Locale.ROOT))) {
            text = text.substring(0, text.length() - unit.length()).strip();
        }
        if (SCIENTIFIC.matcher(text).matches()) {
            return Numbers.read(text);
        }
        Matcher whole = NUMBER.matcher(text);
        if (!whole.matches()) {
            Matcher first = NUMBER.matcher(text);
            String way = unit != null && first.lookingAt()
                    ? "it is not in %s".formatted(unit)
                    : first.lookingAt() ? "say which unit the field is in" : "write a number such as 12.5";
            throw new IllegalArgumentException("%s: %s".formatted(Require.shown(loose), way));
        }
        String digits =
                text.replaceAll("['’\\u00a0\\u202f ]", "").replace('−', '-').replaceFirst("^\\+", "");
        digits = decimalComma ? digits.replace(".", "").replace(',', '.') : digits.replace(",", "");
        try {
            return Numbers.read(digits);
        } catch (NumberFormatException wrong) {
            throw new IllegalArgumentException(
                    "%s is no number; if it has a decimal comma, say so".formatted(Require.shown(loose)));
        }
    }

    static boolean isSpokenDuration(String text) {
        return text.matches("\\d.*\\p{L}.*|\\d+\\s*[hH].*")
                && SPOKEN_DURATION.matcher(text.strip()).matches();
    }

    private static Duration spoken(String text) {
        Matcher parts = SPOKEN_DURATION.matcher(text.strip());
        if (!parts.matches()) {
            throw new IllegalArgumentException(Require.shown(text) + " is no duration such as 1 h 20");
        }
        return Duration.ofHours(parts.group(1) == null ? 0 : Long.parseLong(parts.group(1)))
                .plusMinutes(parts.group(2) == null ? 0 : Long.parseLong(parts.group(2)));
    }

    private static BigDecimal duration(String text, String unit) {
        long seconds;
        try {
            seconds = Duration.parse(text).toSeconds();
        } catch (DateTimeException wrong) {
            throw new IllegalArgumentException(Require.shown(text) + " is no duration such as PT1H30M");
        }
        long per =
                switch (unit.toLowerCase(Locale.ROOT).replaceAll("s$", "")) {
                    case "min", "minute" -> 60;
                    case "h", "hour", "hr" -> 3_600;
                    case "d", "day" -> 86_400;
                    case "", "sec", "second" -> 1;
                    default ->
                        throw new IllegalArgumentException(
                                "%s is a duration, and the unit \"%s\" is none of time; choose min, hours or days"
                                        .formatted(Require.shown(text), unit));
                };
        BigDecimal exact = new BigDecimal(seconds)
                .divide(new BigDecimal(per), 2, RoundingMode.HALF_UP)
                .stripTrailingZeros();
        return exact.setScale(Math.max(0, exact.scale()));
    }

    /** An amount and, where the text says it, its currency. */
    record Amount(BigDecimal amount, @Nullable String currency) {}

    static Amount amount(Object loose, boolean decimalComma) {
        if (loose instanceof Number) {
            return new Amount(number(loose, null, false), null);
        }
        String text = text(loose).strip();
        String currency = null;
        for (Map.Entry<String, String> sign : CURRENCY_SIGNS.entrySet()) {
            if (text.contains(sign.getKey())) {
                currency = sign.getValue();
                text = text.replace(sign.getKey(), "").strip();
            }
        }
        Matcher code = Pattern.compile("\\b[A-Z]{3}\\b").matcher(text);
        if (currency == null && code.find()) {
            currency = code.group();
            text = code.replaceFirst("").strip();
        }
        return new Amount(number(text.replaceFirst("[.,][-–—]+$", ""), null, decimalComma), currency);
    }

    static LocalDate day(Object loose, DateForm form) {
        String text = text(loose).strip();
        LocalDate named = namedDay(text);
        if (named != null) {
            return named;
        }
        Matcher yearFirst = YEAR_FIRST.matcher(text);
        try {
            if (yearFirst.matches()) {
                return LocalDate.of(part(yearFirst, 1), part(yearFirst, 2), part(yearFirst, 3));
            }
            Matcher yearLast = YEAR_LAST.matcher(text);
            if (yearLast.matches() && form != DateForm.YEAR_FIRST) {
                boolean dayFirst = form == DateForm.DAY_FIRST;
                return LocalDate.of(
                        part(yearLast, 3), part(yearLast, dayFirst ? 2 : 1), part(yearLast, dayFirst ? 1 : 2));
            }
        } catch (DateTimeException noSuchDay) {
            throw new IllegalArgumentException(
                    Require.shown(loose) + " is no day of the calendar; perhaps day and month are the other way round");
        }
        throw new IllegalArgumentException(Require.shown(loose) + " is no day such as "
                + switch (form) {
                    case YEAR_FIRST -> "2026-05-31; if day or month come first, say so";
                    case DAY_FIRST -> "31.5.2026";
                    case MONTH_FIRST -> "5/31/2026";
                });
    }

    /**
     * A day whose month has a name, or that is one number: 20260531, or since 1970 in seconds or thousandths of them.
     */
    private static @Nullable LocalDate namedDay(String text) {
        try {
            Matcher dayFirst = DAY_AND_NAME.matcher(text);
            Integer month = dayFirst.matches() ? MONTHS.get(monthName(dayFirst.group(2))) : null;
            if (month != null) {
                return LocalDate.of(part(dayFirst, 3), month, part(dayFirst, 1));
            }
            Matcher nameFirst = NAME_AND_DAY.matcher(text);
            month = nameFirst.matches() ? MONTHS.get(monthName(nameFirst.group(1))) : null;
            if (month != null) {
                return LocalDate.of(part(nameFirst, 3), month, part(nameFirst, 2));
            }
            if (!ONE_NUMBER.matcher(text).matches()) {
                return null;
            }
            if (text.length() == 8) {
                return LocalDate.parse(text, DateTimeFormatter.BASIC_ISO_DATE);
            }
        } catch (DateTimeException noSuchDay) {
            throw new IllegalArgumentException(Require.shown(text) + " is no day of the calendar", noSuchDay);
        }
        long since = Long.parseLong(text);
        return Instant.ofEpochMilli(text.length() <= SECONDS_DIGITS ? since * 1_000 : since)
                .atZone(ZoneOffset.UTC)
                .toLocalDate();
    }

    private static String monthName(String written) {
        return written.toLowerCase(Locale.ROOT);
    }

    private static int part(Matcher day, int group) {
        return Integer.parseInt(day.group(group));
    }

    static boolean yesNo(Object loose) {
        if (loose instanceof Boolean answer) {
            return answer;
        }
        String text = text(loose).strip().toLowerCase(Locale.ROOT);
        if (YES.contains(text) || NO.contains(text)) {
            return YES.contains(text);
        }
        throw new IllegalArgumentException(Require.shown(loose) + " is neither yes nor no");
    }
}
