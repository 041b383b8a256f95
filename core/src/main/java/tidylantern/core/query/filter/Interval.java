package tidylantern.core.query.filter;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * From one number to another, both included; days are counted since 1970. Written {@code from..to}, where either end
 * may be missing.
 */
public record Interval(double from, double to) {
    private static final Pattern NUMBER = Pattern.compile("-?\\d{1,15}(\\.\\d{1,15})?");
    private static final String BETWEEN = "..";
    private static final String TODAY = "today";

    boolean holds(double value) {
        return from <= value && value <= to;
    }

    /** What one end says; NaN where it says nothing that there is. */
    @FunctionalInterface
    private interface End {
        double read(String text, boolean last);
    }

    /** Null where the text is no interval, or one that goes down. A single number stands for itself. */
    static @Nullable Interval ofNumbers(String text) {
        return of(text, (end, last) -> NUMBER.matcher(end).matches() ? Double.parseDouble(end) : Double.NaN);
    }

    /** Of days ({@code 2026-05-14}), whole months ({@code 2026-05}) and {@code today}. */
    static @Nullable Interval ofDays(String text, LocalDate today) {
        return of(text, (end, last) -> {
            try {
                if (end.equals(TODAY)) {
                    return today.toEpochDay();
                }
                if (end.length() == 7) {
                    YearMonth month = YearMonth.parse(end);
                    return (last ? month.atEndOfMonth() : month.atDay(1)).toEpochDay();
                }
                return LocalDate.parse(end).toEpochDay();
            } catch (DateTimeException noSuchDay) {
                return Double.NaN;
            }
        });
    }

    private static @Nullable Interval of(String text, End end) {
        int between = text.indexOf(BETWEEN);
        String first = (between < 0 ? text : text.substring(0, between)).strip();
        String last = (between < 0 ? text : text.substring(between + BETWEEN.length())).strip();
        if (first.isEmpty() && last.isEmpty()) {
            return null;
        }
        double from = first.isEmpty() ? Double.NEGATIVE_INFINITY : end.read(first, false);
        double to = last.isEmpty() ? Double.POSITIVE_INFINITY : end.read(last, true);
        return from <= to ? new Interval(from, to) : null;
    }
}
