package tidylantern.server.answer;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldValue;
import tidylantern.core.design.card.Format;
import tidylantern.core.design.card.ValuePart;
import tidylantern.core.query.MarkedText;
import tidylantern.server.text.Numbers;

/**
 * Writes fields' values in the language of an answer, by the data of CLDR that the JDK ships, wherever the service runs
 * and for every renderer.
 *
 * @param today where the site is; decides which day is the next one
 */
public record ValueTexts(AnswerTexts texts, LocalDate today) {
    private static final int MINUTES_OF_HOUR = 60;
    private static final String SIGN = "★";
    private static final String NO_SIGN = "☆";
    private static final int NEXT_DAYS = 3;
    private static final int LONGEST = 200;
    private static final BigDecimal MOST_MINUTES = BigDecimal.valueOf(1_000_000);
    private static final Pattern HOST = Pattern.compile("^https?://(?:www\\.)?([^/?#:]+)", Pattern.CASE_INSENSITIVE);
    private static final Format.Days NEXT_DAY = new Format.Days(Format.Days.Which.NEXT, Format.Days.Told.USUAL);
    private static final Format.Names LAST_NAMES = new Format.Names(false, false, 3);

    /** @return null where there is nothing to tell, such as a no */
    public @Nullable CardValue write(ValuePart part, FieldValue value, Field field, String siteAddress) {
        Format format = part.format().fits(field.kind()) ? part.format() : new Format.Usual();
        return switch (value) {
            case FieldValue.Text text -> beside(part, firstLine(text.text()), null);
            case FieldValue.Categories categories -> names(part, categories.paths(), field, format);
            case FieldValue.Numeric numeric -> number(part, numeric.number(), field, format);
            case FieldValue.Money money ->
                beside(
                        part,
                        Numbers.in(texts.language())
                                .amount(
                                        money.amount(),
                                        money.currency(),
                                        format instanceof Format.Amount amount && amount.whole()),
                        money.amount().toPlainString());
            case FieldValue.Dates dates -> {
                List<LocalDate> told = told(dates.days(), format);
                yield beside(part, days(told, format), told.getFirst().toString());
            }
            case FieldValue.Place place -> place.name() == null ? null : beside(part, place.name(), null);
            case FieldValue.YesNo answer -> answer.yes() ? beside(part, field.label(), null) : null;
            case FieldValue.Image image -> null;
            case FieldValue.Link link -> link(part, Answering.absolute(link.address(), siteAddress));
            case FieldValue.Codes codes -> beside(part, firstLine(String.join(", ", codes.codes())), null);
        };
    }

    private static CardValue beside(ValuePart part, String text, @Nullable String value) {
        return new CardValue(part.key(), CardValue.As.TEXT, CardValue.plain(part.beside(text)), value);
    }

    /** As much of it as a card has room for. */
    private static String firstLine(String text) {
        int end = text.indexOf('\n');
        String line = end < 0 ? text : text.substring(0, end);
        return line.codePointCount(0, line.length()) <= LONGEST
                ? line
                : line.substring(0, line.offsetByCodePoints(0, LONGEST)) + "…";
    }

    private static CardValue link(ValuePart part, String address) {
        // Whatever stands behind the host may be written in any way that browsers forgive.
        Matcher host = HOST.matcher(address);
        String said = host.find() ? host.group(1) : firstLine(address);
        return new CardValue(part.key(), CardValue.As.LINK, CardValue.plain(part.beside(said)), address);
    }

    private static CardValue names(ValuePart part, List<CategoryPath> paths, Field field, Format format) {
        Format.Names how = format instanceof Format.Names names ? names : LAST_NAMES;
        List<String> names = paths.stream()
                .map(field::counted)
                .map(path -> how.path()
                        ? String.join(" › ", path.names())
                        : path.names().getLast())
                .distinct()
                .limit(how.most())
                .toList();
        if (how.chips()) {
            List<MarkedText.Run> runs =
                    names.stream().map(name -> new MarkedText.Run(name, false)).toList();
            return new CardValue(part.key(), CardValue.As.CHIPS, runs, null);
        }
        return beside(part, String.join(", ", names), null);
    }

    private CardValue number(ValuePart part, BigDecimal number, Field field, Format format) {
        String plain = number.toPlainString();
        if (format instanceof Format.Quantity how && how.style() == Format.Quantity.Style.SIGNS) {
            return signs(part, number, how.outOf());
        }
        if (format instanceof Format.Quantity how && how.style() == Format.Quantity.Style.DURATION) {
            return beside(part, duration(number), plain);
        }
        boolean digits = format instanceof Format.Quantity how && how.style() == Format.Quantity.Style.DIGITS;
        return beside(
                part, (digits ? plain : number(number)) + (field.unit() == null ? "" : "\u00a0" + field.unit()), plain);
    }

    private String number(BigDecimal number) {
        return Numbers.in(texts.language()).value(number);
    }

    /** "1 h 20", "45 min", "2 h"; what is no time of a clock is told in minutes. */
    private String duration(BigDecimal number) {
        if (number.signum() < 0 || number.compareTo(MOST_MINUTES) > 0) {
            return texts.say("minutes", Map.of("minutes", number(number)));
        }
        int minutes = number.setScale(0, RoundingMode.HALF_UP).intValueExact();
        int hours = minutes / MINUTES_OF_HOUR;
        int left = minutes % MINUTES_OF_HOUR;
        if (hours == 0) {
            return texts.say("minutes", Map.of("minutes", left));
        }
        return left == 0
                ? texts.say("hours", Map.of("hours", hours))
                : texts.say("hoursAndMinutes", Map.of("hours", hours, "minutes", "%02d".formatted(left)));
    }

    private CardValue signs(ValuePart part, BigDecimal number, int outOf) {
        int full = number.max(BigDecimal.ZERO)
                .min(BigDecimal.valueOf(outOf))
                .setScale(0, RoundingMode.HALF_UP)
                .intValueExact();
        String heard = texts.say("outOf", Map.of("number", number(number), "best", outOf));
        return new CardValue(
                part.key(),
                CardValue.As.SIGNS,
                CardValue.plain(part.beside(heard)),
                SIGN.repeat(full) + NO_SIGN.repeat(outOf - full));
    }

    /** Those of the days that a format tells; never none. */
    private List<LocalDate> told(List<LocalDate> days, Format format) {
        Format.Days how = format instanceof Format.Days given ? given : NEXT_DAY;
        List<LocalDate> ahead =
                days.stream().filter(day -> !day.isBefore(today)).toList();
        List<LocalDate> open = ahead.isEmpty() ? List.of(days.getLast()) : ahead;
        return switch (how.which()) {
            case NEXT -> List.of(open.getFirst());
            case NEXT_THREE -> open.subList(0, Math.min(NEXT_DAYS, open.size()));
            case FIRST_AND_LAST -> days.size() == 1 ? days : List.of(days.getFirst(), days.getLast());
        };
    }

    private String days(List<LocalDate> days, Format format) {
        Format.Days how = format instanceof Format.Days given ? given : NEXT_DAY;
        List<String> written = new ArrayList<>();
        days.forEach(day -> written.add(day(day, how.told())));
        return how.which() == Format.Days.Which.FIRST_AND_LAST && days.size() == 2
                ? texts.say("setBetween", Map.of("from", written.get(0), "to", written.get(1)))
                : written.stream().collect(Collectors.joining(", "));
    }

    private String day(LocalDate day, Format.Days.Told told) {
        return switch (told) {
            case USUAL ->
                DateTimeFormatter.ofLocalizedDate(FormatStyle.MEDIUM)
                        .withLocale(texts.language())
                        .format(day);
            case WITHOUT_YEAR ->
                DateTimeFormatter.ofLocalizedPattern("MMMd")
                        .withLocale(texts.language())
                        .format(day);
            case RELATIVE -> relative(day);
        };
    }

    private String relative(LocalDate day) {
        long days = ChronoUnit.DAYS.between(today, day);
        if (Math.abs(days) <= 1) {
            return texts.say(days == 0 ? "today" : days > 0 ? "tomorrow" : "yesterday");
        }
        return days > 0 ? texts.say("inDays", Map.of("count", days)) : texts.say("daysAgo", Map.of("count", -days));
    }
}
