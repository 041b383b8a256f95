package tidylantern.core.mapping;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.KindGuess;
import tidylantern.core.mapping.Mapping.DateForm;
import tidylantern.core.mapping.Mapping.MappedField;

/**
 * What one column holds, by its name and all of its values. A kind whose values have to be read, such as a number, is
 * guessed only if every value can be: an item with one that cannot is refused.
 */
final class ColumnGuess {
    /** Read as they are, whatever stands in them. */
    private static final Set<String> PROSE = Set.of("title", "summary", "body", "headings");

    private static final Set<String> DAY_WORDS =
            Set.of("time", "date", "day", "updated", "created", "published", "modified", "timestamp", "at", "on");
    private static final Set<String> ANSWER_WORDS = Set.of("is", "has", "can", "allows", "accepts");
    private static final Pattern WITH_UNIT = Pattern.compile("[-+]?\\d[\\d.,]*\\s*([\\p{L}%°²³/]{1,10})");
    private static final Pattern MONEY = Pattern.compile(
            "[€£$¥₹]\\s*\\d[\\d.,\\s]*|\\d[\\d.,\\s]*\\s*[€£$¥₹]|([A-Z]{3})\\s*\\d[\\d.,\\s]*|\\d[\\d.,\\s]*\\s*([A-Z]{3})");
    private static final Pattern DECIMAL_COMMA = Pattern.compile("[-+]?(\\d{1,3}(\\.\\d{3})*|\\d+),\\d{1,2}(\\D.*)?");
    private static final Pattern POINT = Pattern.compile("-?\\d{1,2}\\.\\d+\\s*[,;]\\s*-?\\d{1,3}\\.\\d+");
    private static final Pattern ISO_DURATION = Pattern.compile("P(?=.)(\\d+D)?(T(\\d+H)?(\\d+M)?(\\d+S)?)?");
    private static final Pattern DECIMAL_POINT = Pattern.compile("\\d\\.\\d{1,2}(\\D|$)");
    private static final Pattern SIGN_BEFORE = Pattern.compile("^[^\\d+-]+");
    private static final Pattern NUMBERS_APART = Pattern.compile("\\d[^\\d]*[-/. ,][^\\d]*\\d");
    private static final Pattern DIGITS = Pattern.compile("\\d+");
    private static final Pattern COMPACT_DAY = Pattern.compile("(19|20)\\d{2}(0[1-9]|1[0-2])([0-2]\\d|3[01])");
    private static final int LONGEST_DAY = 60;
    private static final int MOST_ANSWERS = 4;
    private static final Pattern NUMBER = Pattern.compile("[-+−]?(\\d[\\d,.]*|\\.\\d+)([eE][-+]?\\d+)?");

    private final Header header;
    private final List<Object> values;
    private final MappedField plain;
    /** What the values say, those of lists one by one. */
    private final List<String> texts;
    /** The same without what only says that there is nothing. */
    private final List<String> said;
    /** Each once: what holds of these holds of all. */
    private final Set<String> different;

    private final boolean lists;

    private ColumnGuess(MappedField plain, List<Object> values) {
        this.plain = plain;
        this.values = values.stream().filter(value -> !Loose.empty(value)).toList();
        header = new Header(plain.column());
        texts = texts(this.values);
        said = texts.stream().filter(text -> !Loose.saysNothing(text)).toList();
        different = new LinkedHashSet<>(said);
        lists = this.values.stream().anyMatch(List.class::isInstance);
    }

    /**
     * @param property under which items keep it
     * @param label what it is called
     * @param values what the records say, nothing for empty ones
     */
    static MappedField of(String property, String label, String column, List<Object> values) {
        return new ColumnGuess(new MappedField(property, label, FieldKind.TEXT, column), values).guess();
    }

    static List<String> texts(List<Object> values) {
        return values.stream()
                .flatMap(value -> Loose.parts(value, null).stream())
                .filter(String.class::isInstance)
                .map(value -> ((String) value).strip())
                .toList();
    }

    private MappedField guess() {
        if (PROSE.contains(plain.property())) {
            return plain;
        }
        if (!said.isEmpty() && areAllTexts()) {
            MappedField read = read();
            return read != null ? read : Objects.requireNonNullElseGet(address(), this::words);
        }
        if (!values.isEmpty() && values.stream().allMatch(ColumnGuess::isPoint)) {
            return as(FieldKind.PLACE);
        }
        FieldKind kind = KindGuess.of(plain.property(), values);
        return kind == FieldKind.NUMBER || kind == FieldKind.MONEY ? numbers(kind) : as(kind);
    }

    private boolean areAllTexts() {
        return values.stream()
                .flatMap(value -> Loose.parts(value, null).stream())
                .allMatch(String.class::isInstance);
    }

    private static boolean isPoint(Object value) {
        return value instanceof List<?> both
                && both.size() == 2
                && both.get(0) instanceof Number latitude
                && both.get(1) instanceof Number longitude
                && Math.abs(latitude.doubleValue()) <= 90
                && Math.abs(longitude.doubleValue()) <= 180;
    }

    /** Numbers that the source gives as such. */
    private MappedField numbers(FieldKind kind) {
        List<String> written = values.stream()
                .flatMap(value -> Loose.parts(value, null).stream())
                .map(Loose::text)
                .toList();
        if (!written.stream().allMatch(text -> isRead(() -> Loose.number(text, null, false)))) {
            // Such as the number of a parcel: nobody reckons with it, and it may be too long for that.
            return as(FieldKind.CODE);
        }
        if (header.words().stream().anyMatch(DAY_WORDS::contains)
                && written.stream().allMatch(text -> text.matches("\\d{12,13}|\\d{9,10}"))) {
            return as(FieldKind.DATE);
        }
        if (ANSWER_WORDS.contains(header.words().isEmpty() ? "" : header.words().getFirst())
                && written.stream().allMatch(text -> text.equals("0") || text.equals("1"))) {
            return as(FieldKind.YES_NO);
        }
        return kind == FieldKind.MONEY || header.saysMoney() ? money(false) : measured(null);
    }

    /** The kinds whose values have to be read; null where not all can be. */
    private @Nullable MappedField read() {
        MappedField days = days();
        if (days != null) {
            return days;
        }
        if (all(text -> ISO_DURATION.matcher(text).matches())) {
            return as(FieldKind.NUMBER).withUnit("min");
        }
        if (all(text -> POINT.matcher(text).matches())) {
            return as(FieldKind.PLACE);
        }
        if (!lists && areAnswers()) {
            return as(FieldKind.YES_NO);
        }
        boolean comma = decimalComma();
        if (all(text -> isMoney(text) || isNumber(text))
                && different.stream().anyMatch(ColumnGuess::isMoney)
                && all(text -> isRead(() -> Loose.amount(text, comma)))) {
            return money(comma);
        }
        if (all(ColumnGuess::isNumber) && all(text -> isRead(() -> Loose.number(text, null, comma)))) {
            return numbersAsTexts(comma);
        }
        if (all(Loose::isSpokenDuration)
                && different.stream()
                        .anyMatch(text -> text.toLowerCase(Locale.ROOT).contains("h"))
                && all(text -> isRead(() -> Loose.number(text, "min", false)))) {
            return as(FieldKind.NUMBER).withUnit("min");
        }
        String unit = unit();
        return unit != null && !KindGuess.areCodes(said) && all(text -> isRead(() -> Loose.number(text, unit, comma)))
                ? measured(unit).withDecimalComma(comma)
                : null;
    }

    /** Whether a value can be read as it would be. */
    private static boolean isRead(Supplier<?> reading) {
        try {
            return Objects.nonNull(reading.get());
        } catch (IllegalArgumentException otherwise) {
            return false;
        }
    }

    private @Nullable MappedField days() {
        DateForm form = dateForm(different);
        if (form != null) {
            return as(FieldKind.DATE).withDates(form);
        }
        for (String sign : List.of(";", "|", "\n", ",")) {
            if (different.stream().noneMatch(text -> text.contains(sign))
                    || !mayBeDay(different.iterator().next())) {
                continue;
            }
            Set<String> pieces = different.stream()
                    .flatMap(text -> SeveralValues.pieces(text, sign).stream())
                    .collect(Collectors.toCollection(LinkedHashSet::new));
            DateForm each = dateForm(pieces);
            if (each != null) {
                return as(FieldKind.DATE).withDates(each).splitAt(sign);
            }
        }
        return null;
    }

    /** The form in which all texts are days, or null. Day first where both would do: most of the world writes it so. */
    private static @Nullable DateForm dateForm(Set<String> texts) {
        if (texts.isEmpty() || !texts.stream().allMatch(ColumnGuess::mayBeDay)) {
            return null;
        }
        for (DateForm form : DateForm.values()) {
            if (texts.stream().allMatch(text -> isRead(() -> Loose.day(text, form)))) {
                return form;
            }
        }
        return null;
    }

    /** What is longer than a day with its time, or has not two numbers apart, is none: that is found out far sooner. */
    static boolean mayBeDay(String text) {
        return text.length() <= LONGEST_DAY && (NUMBERS_APART.matcher(text).find() || isCompactDay(text));
    }

    private static boolean isCompactDay(String text) {
        return COMPACT_DAY.matcher(text).matches();
    }

    /** Ones and noughts alone are numbers, unless the column is called as a question is. */
    private boolean areAnswers() {
        List<String> answers = texts.stream()
                .map(text -> text.toLowerCase(Locale.ROOT))
                .distinct()
                .limit(MOST_ANSWERS + 1)
                .toList();
        return answers.size() <= MOST_ANSWERS
                && answers.stream()
                        .allMatch(
                                text -> Loose.YES.contains(text) || Loose.NO.contains(text) || Loose.saysNothing(text))
                && (answers.stream().anyMatch(text -> !text.matches("[01x–-]|o|s|j")) || answers.contains("x"));
    }

    private boolean decimalComma() {
        return all(text -> text.chars().anyMatch(Character::isDigit))
                && different.stream().anyMatch(text -> DECIMAL_COMMA
                        .matcher(SIGN_BEFORE.matcher(text).replaceFirst(""))
                        .matches())
                && different.stream()
                        .noneMatch(text -> DECIMAL_POINT.matcher(text).find());
    }

    private static boolean isMoney(String text) {
        Matcher money = MONEY.matcher(text);
        if (!money.matches()) {
            return false;
        }
        String code = money.group(1) != null ? money.group(1) : money.group(2);
        return code == null || Loose.isCurrency(code);
    }

    static boolean isNumber(String text) {
        return NUMBER.matcher(text).matches();
    }

    private MappedField numbersAsTexts(boolean comma) {
        // A house number or a postcode begins with a nought; a measure never does.
        if (different.stream()
                .anyMatch(text -> text.length() > 1
                        && text.startsWith("0")
                        && DIGITS.matcher(text).matches())) {
            return as(KindGuess.recur(said) ? FieldKind.CATEGORY : FieldKind.CODE);
        }
        return header.saysMoney() ? money(comma) : measured(null).withDecimalComma(comma);
    }

    private MappedField money(boolean comma) {
        return as(FieldKind.MONEY).withCurrency(header.currency()).withDecimalComma(comma);
    }

    /** @param written the unit that stands behind every value; else the header may say one */
    private MappedField measured(@Nullable String written) {
        MappedField number = as(FieldKind.NUMBER).withUnit(written);
        Header.Measure measure = header.measure();
        return measure == null || written != null
                ? number
                : number.withUnit(measure.unit()).withLabel(Header.labelOf(measure));
    }

    /** The one unit that every value is written with; null if there is none or another. */
    private @Nullable String unit() {
        Set<String> units = new LinkedHashSet<>();
        for (String text : different) {
            Matcher matcher = WITH_UNIT.matcher(text);
            if (!matcher.matches()) {
                return null;
            }
            units.add(matcher.group(1));
        }
        return units.size() == 1 ? units.iterator().next() : null;
    }

    /** A picture's address or another; null where there are other texts, too. */
    private @Nullable MappedField address() {
        FieldKind kind = KindGuess.of(
                plain.property(), different.stream().map(Mapper::whole).toList());
        return kind == FieldKind.LINK || kind == FieldKind.IMAGE ? as(kind) : null;
    }

    /** A text, a code, or a category: perhaps several values at once, perhaps as paths of a tree. */
    private MappedField words() {
        if (!lists && said.size() > 1 && !KindGuess.recur(said) && KindGuess.areCodes(said)) {
            return as(FieldKind.CODE);
        }
        String separator = lists ? null : SeveralValues.sign(header.simple(), texts);
        List<String> pieces = texts.stream()
                .flatMap(text -> Loose.parts(text, separator).stream())
                .map(String.class::cast)
                .toList();
        String levels = SeveralValues.levels(pieces);
        FieldKind kind = separator != null || levels != null
                ? FieldKind.CATEGORY
                : KindGuess.of(plain.property(), lists ? List.of(pieces) : List.copyOf(pieces));
        // Bars with spaces around them part sentences too; other separators stand within them.
        String sign = kind == FieldKind.CATEGORY ? separator : SeveralValues.areBarred(texts) ? "|" : null;
        return as(kind).splitAt(sign).withLevels(levels);
    }

    private boolean all(Predicate<String> such) {
        return different.stream().allMatch(such);
    }

    private MappedField as(FieldKind kind) {
        return new MappedField(plain.property(), plain.label(), kind, plain.column());
    }
}
