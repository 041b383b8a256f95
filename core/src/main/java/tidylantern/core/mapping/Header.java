package tidylantern.core.mapping;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Field;
import tidylantern.core.content.KindGuess;

/** What the name of a column says besides the name: a unit, a currency, that it holds money. */
final class Header {
    /** {@code size (KiB)}, {@code living area [m²]}. */
    private static final Pattern IN_BRACKETS = Pattern.compile("(.*\\S)\\s*[(\\[]([^()\\[\\]]{1,20})[)\\]]");
    /** {@code weight in lbs}, {@code Weight_in_lbs}, {@code speed in knots}. */
    private static final Pattern IN_UNIT = Pattern.compile("(?i)(.*[\\p{L}\\p{N}])[\\s_]+in[\\s_]+(\\S{1,12})");
    /** {@code Running Time min}, {@code elevation_ft}, {@code Gewicht kg}. */
    private static final Pattern UNIT_LAST = Pattern.compile("(.*[\\p{L}\\p{N}])[\\s_-]+([^\\s_-]{1,12})");

    /** Units that stand behind a name without saying that they are one: common practice. */
    private static final Set<String> UNITS = Set.of(
            "mm", "cm", "m", "km", "ft", "mi", "miles", "yd", "inch", "inches", "m²", "m2", "km²", "km2", "sqft", "sqm",
            "ha", "acres", "g", "kg", "lb", "lbs", "oz", "ml", "cl", "l", "litres", "liters", "min", "mins", "minutes",
            "h", "hr", "hrs", "hours", "sec", "secs", "seconds", "ms", "days", "weeks", "months", "km/h", "kmh", "mph",
            "knots", "kn", "kw", "kwh", "w", "v", "°c", "°f", "%", "percent", "pct", "px", "kb", "kib", "mb", "mib",
            "gb", "gib", "kcal", "kj", "hz", "khz", "mhz", "ghz", "hpa", "bar", "psi");

    private static final Pattern CODE = Pattern.compile("(?<![\\p{L}\\p{N}])[A-Z]{3}(?![\\p{L}\\p{N}])");
    private static final Pattern PEOPLES_WORDS = Pattern.compile("[\\p{L}\\p{N}].{0,78}[\\s(\\[].*");
    private static final Set<String> STANDARD =
            Set.of("title", "summary", "body", "headings", "url", "image", "published", "author");

    private final String column;

    Header(String column) {
        this.column = column;
    }

    /** In small letters and digits alone, without the vocabulary that an element of a feed belongs to. */
    String simple() {
        return withoutVocabulary(column).toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
    }

    List<String> words() {
        return KindGuess.wordsOf(withoutVocabulary(column));
    }

    /** Elements of a feed may belong to other vocabularies: {@code isles:island}. */
    static String withoutVocabulary(String column) {
        return column.replaceFirst("^[A-Za-z][A-Za-z0-9_-]*:(?=[A-Za-z])", "");
    }

    boolean saysMoney() {
        return KindGuess.namesMoney(withoutVocabulary(column)) || currency() != null;
    }

    /**
     * The currency that all amounts below it are in, by its sign, or its code where that is meant: in brackets, or with
     * a word for money. Many words in capitals are codes as well: TOP, ALL, CUP.
     */
    @Nullable String currency() {
        for (String sign : Loose.CURRENCY_SIGNS.keySet()) {
            if (column.contains(sign)) {
                return Loose.CURRENCY_SIGNS.get(sign);
            }
        }
        boolean isMoney = KindGuess.namesMoney(withoutVocabulary(column));
        Matcher code = CODE.matcher(column);
        while (code.find()) {
            boolean isBracketed = code.start() > 0 && "([".indexOf(column.charAt(code.start() - 1)) >= 0;
            if ((isMoney || isBracketed) && Loose.isCurrency(code.group())) {
                return code.group();
            }
        }
        return null;
    }

    /** A name and the unit that stands in it. */
    record Measure(String name, String unit) {}

    /** What is measured and in what; null where no unit can be told. */
    @Nullable Measure measure() {
        String header = column.strip();
        for (Pattern form : List.of(IN_BRACKETS, IN_UNIT)) {
            Matcher written = form.matcher(header);
            if (written.matches()) {
                return new Measure(written.group(1), written.group(2));
            }
        }
        Matcher last = UNIT_LAST.matcher(header);
        return last.matches() && UNITS.contains(last.group(2).toLowerCase(Locale.ROOT))
                ? new Measure(last.group(1), last.group(2))
                : null;
    }

    /** The header's own words, where it has some; a name made for machines is written as words. */
    String label(String property) {
        String header = column.strip();
        return PEOPLES_WORDS.matcher(header).matches() && !STANDARD.contains(property)
                ? capital(header)
                : Field.labelFrom(property);
    }

    /** The same for the name of something measured: {@code Weight_in_lbs} is its weight. */
    static String labelOf(Measure measure) {
        String name = measure.name().strip();
        return name.contains("_") ? Field.labelFrom(MappingGuess.property(name)) : capital(name);
    }

    private static String capital(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}
