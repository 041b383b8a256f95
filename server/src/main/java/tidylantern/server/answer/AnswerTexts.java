package tidylantern.server.answer;

import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.time.format.FormatStyle;
import java.time.format.TextStyle;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.filter.Control;
import tidylantern.core.design.filter.DayControl;
import tidylantern.core.design.filter.DistanceSource;
import tidylantern.core.design.filter.DistanceUnit;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.NumberControl;
import tidylantern.core.design.filter.OnlyControl;
import tidylantern.core.design.text.DesignLabels;
import tidylantern.core.design.text.VisitorTexts;
import tidylantern.core.design.text.VisitorTexts.Spoken;
import tidylantern.core.index.IndexFields;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.server.text.Numbers;
import tidylantern.server.text.Texts;

/**
 * What an answer says in words. It is written here once, for every renderer: numbers, days and distances as the
 * language that is asked for writes them, wherever the service runs.
 *
 * @param texts in the language of the answer, as the owner words them
 * @param own what the design has to say in this language
 * @param unit in which distances are told
 */
public record AnswerTexts(Spoken spoken, Texts texts, VisitorTexts own, DistanceUnit unit) {
    private static final double LEAST = 0.1;
    private static final int FAR = 10;
    private static final int LONGEST_HEADER = 200;

    /**
     * Distances are told in the unit of the filter by distance.
     *
     * @param asked languages as the header Accept-Language names them; null for none. Of what is searched in several
     *     languages the first by its code counts.
     */
    public static AnswerTexts of(SiteContent content, SearchDesign design, @Nullable String asked) {
        Locale searched = Locale.forLanguageTag(content.language(design.searched()));
        DistanceUnit unit = design.filtersInUse().stream()
                        .map(Filter::source)
                        .anyMatch(source ->
                                source instanceof DistanceSource distance && distance.measured() == DistanceUnit.MI)
                ? DistanceUnit.MI
                : DistanceUnit.KM;
        Spoken spoken = design.texts().spoken(tags(asked), searched);
        Texts texts = Texts.in(spoken.texts()).reworded(design.texts().reworded(spoken.texts()));
        return new AnswerTexts(spoken, texts, design.texts(), unit);
    }

    /** What no header of this kind is asks for nothing. */
    static List<Locale> tags(@Nullable String asked) {
        if (asked == null || asked.length() > LONGEST_HEADER) {
            return List.of();
        }
        try {
            return Locale.LanguageRange.parse(asked).stream()
                    .filter(range -> range.getWeight() > 0 && !range.getRange().contains("*"))
                    .map(range -> Locale.forLanguageTag(range.getRange()))
                    .toList();
        } catch (IllegalArgumentException unread) {
            return List.of();
        }
    }

    /** Whose rules names are ordered by: one of those that visitors can read, or of what is searched. */
    String order() {
        return spoken.formats().getLanguage();
    }

    /** That numbers, days and money are written by. */
    public Locale language() {
        return spoken.formats();
    }

    /** A label of the owner's, in the language of the answer where it is worded in that. */
    String worded(String label, String usual) {
        return own.worded(spoken.texts(), label, usual);
    }

    public String say(String key) {
        return texts.say(key);
    }

    public String say(String key, Map<String, ?> values) {
        return texts.say(key, values, language());
    }

    public String count(int results) {
        return say("count", Map.of("count", results));
    }

    public String number(double number) {
        return Numbers.in(language()).write(number);
    }

    /** "1.2 km away": a tenth where it is not far, and "under 0.1 km away" below that. */
    String away(double km) {
        double far = km * DistanceUnit.KM.metres() / unit.metres();
        String distance = Numbers.in(language()).write(Math.max(far, LEAST), far < FAR ? 1 : 0) + " " + unit;
        return say("away", Map.of("distance", far < LEAST ? say("under", Map.of("distance", distance)) : distance));
    }

    /** What stands for none of a filter's values, in the owner's words or in the usual ones. */
    String neutral(FilterAnswer answer) {
        Filter filter = answer.filter();
        String neutral = filter.source().neutral();
        return !neutral.isEmpty()
                ? worded(DesignLabels.neutralOf(filter.key()), neutral)
                : say(answer.control() == OnlyControl.DISTANCE ? "anyDistance" : "any");
    }

    /** A value on offer as visitors read it: its name or, where it has none, what it says by itself. */
    String label(FilterAnswer.Offered value, Control control, String unit) {
        if (!value.label().isEmpty()) {
            return value.label();
        }
        String said = value.value();
        return switch (control) {
            case NumberControl.BANDS -> band(said, unit.isEmpty() ? "" : " " + unit);
            case DayControl.FROM_TODAY -> say("fromToday");
            case DayControl.MONTHS -> monthOrDays(said);
            case OnlyControl.DISTANCE -> number(Double.parseDouble(said)) + " " + unit;
            // What is left without a name are the answers of a yes/no field.
            default -> say(said.equals(IndexFields.YES) ? "yes" : "no");
        };
    }

    /** @param band as addresses have it: {@code 20..40}, where either end may be missing */
    private String band(String band, String unit) {
        Ends ends = Ends.of(band);
        if (ends.from() == null) {
            return say("bandUpTo", Map.of("to", written(ends.to()) + unit));
        }
        return ends.to() == null
                ? say("bandFrom", Map.of("from", written(ends.from()) + unit))
                : say("bandBetween", Map.of("from", written(ends.from()), "to", written(ends.to()) + unit));
    }

    private String written(@Nullable String digits) {
        return digits == null ? "" : number(Double.parseDouble(digits));
    }

    /** @param said a month ({@code 2026-05}), or the days of an older address */
    private String monthOrDays(String said) {
        try {
            YearMonth month = YearMonth.parse(said);
            return month.getMonth().getDisplayName(TextStyle.FULL_STANDALONE, language()) + " " + month.getYear();
        } catch (DateTimeParseException days) {
            Ends ends = Ends.of(said);
            if (ends.from() == null) {
                return say("setTo", Map.of("to", day(ends.to())));
            }
            return ends.to() == null
                    ? say("setFrom", Map.of("from", day(ends.from())))
                    : say("setBetween", Map.of("from", day(ends.from()), "to", day(ends.to())));
        }
    }

    private String day(@Nullable String day) {
        return day == null
                ? ""
                : DateTimeFormatter.ofLocalizedDate(FormatStyle.MEDIUM)
                        .withLocale(language())
                        .format(LocalDate.parse(day));
    }

    /** Both ends of what addresses have as {@code from..to}; null for one that is open. */
    private record Ends(@Nullable String from, @Nullable String to) {
        static Ends of(String interval) {
            int between = interval.indexOf("..");
            String from = interval.substring(0, between);
            String to = interval.substring(between + 2);
            return new Ends(from.isEmpty() ? null : from, to.isEmpty() ? null : to);
        }
    }
}
