package tidylantern.core.content;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Guesses a new field's kind from its name and the first values seen. A guess the owner can correct: where values
 * disagree it is {@link FieldKind#TEXT}, which takes anything that can be read.
 */
public final class KindGuess {
    private static final Pattern DAY = Pattern.compile("\\d{4}-\\d{2}-\\d{2}([T ].*)?");
    private static final Pattern CODE = Pattern.compile("#?[A-Za-z0-9][A-Za-z0-9./_+:~-]{0,63}");
    /** Counts, times of day, from one number to another. */
    private static final Pattern NO_CODE = Pattern.compile("[1-9]\\d*|\\d{1,2}(:\\d{2}){1,2}|\\d{1,4}-\\d{1,4}");

    private static final Pattern CAPITALS = Pattern.compile("[A-Z0-9][A-Z0-9./-]{0,11}");
    /** A colour, a sum of a file. */
    private static final Pattern HEX = Pattern.compile("#[0-9A-Fa-f]{3,8}|[0-9A-Fa-f]{16,64}");

    private static final Pattern TINY = Pattern.compile("[A-Za-z0-9]{1,3}");
    private static final Pattern SHORT = Pattern.compile("[A-Za-z0-9]{1,4}");
    private static final int LEAST_RECURRING = 4;
    /** Of fewer, words of four letters or in capitals cannot be told from codes. */
    private static final int LEAST_CODES = 10;

    private static final int MANY = 40;
    /** One in so many is a slip. */
    private static final int FEW = 33;

    private static final Pattern IMAGE_FILE = Pattern.compile("(?i).+\\.(png|jpe?g|gif|webp|avif|svg)([?#].*)?");
    /** With a scheme, or beginning as people write the addresses of websites and of people. */
    private static final Pattern WEB_ADDRESS = Pattern.compile(
            "(?i)([a-z][a-z0-9+.-]*:)?//\\S+|www\\.\\S+|mailto:\\S+|[a-z0-9-]+(\\.[a-z0-9-]+)*\\.[a-z]{2,10}/\\S*|\\S+@[a-z0-9-]+(\\.[a-z0-9-]+)+");

    private static final int LONGEST_ADDRESS = 2_000;
    private static final Set<String> PROSE_NAMES =
            Set.of("title", "summary", "body", "headings", "name", "description", "text", "reviews");
    private static final Set<String> IMAGE_NAMES =
            Set.of("image", "picture", "photo", "thumbnail", "imageurl", "logo", "icon");
    /** Words for money in the languages that elements speak: common practice. */
    private static final Set<String> MONEY = Set.of(
            "price",
            "prices",
            "cost",
            "costs",
            "rent",
            "fee",
            "fees",
            "deposit",
            "fare",
            "budget",
            "gross",
            "salary",
            "wage",
            "revenue",
            "turnover",
            "amount",
            "preis",
            "kosten",
            "miete",
            "gebühr",
            "kaution",
            "betrag",
            "gehalt",
            "umsatz",
            "prix",
            "coût",
            "loyer",
            "tarif",
            "caution",
            "salaire",
            "montant",
            "precio",
            "coste",
            "alquiler",
            "tarifa",
            "importe",
            "salario",
            "prijs",
            "huur",
            "borg",
            "bedrag",
            "salaris");

    private KindGuess() {}

    /**
     * @param property the name under which the source brings the values
     * @param samples values as JSON has them, nulls left out; may be empty
     */
    public static FieldKind of(String property, List<?> samples) {
        List<Object> singles = new ArrayList<>();
        boolean lists = false;
        for (Object sample : samples) {
            if (sample instanceof List<?> list) {
                lists = true;
                list.stream().filter(java.util.Objects::nonNull).forEach(singles::add);
            } else {
                singles.add(sample);
            }
        }
        String name = property.toLowerCase(Locale.ROOT);
        if (PROSE_NAMES.contains(name)) {
            return FieldKind.TEXT;
        }
        if (name.equals(FieldKey.ADDRESS.value())) {
            return FieldKind.LINK;
        }
        if (singles.isEmpty()) {
            return FieldKind.TEXT;
        }
        if (singles.stream().anyMatch(List.class::isInstance)) {
            // A list of names in a list of values is how a path of a tree is written out.
            return all(
                            singles,
                            single -> single instanceof String
                                    || (single instanceof List<?> names && all(names, String.class::isInstance)))
                    ? FieldKind.CATEGORY
                    : FieldKind.TEXT;
        }
        if (all(singles, Boolean.class::isInstance)) {
            return FieldKind.YES_NO;
        }
        if (all(singles, Number.class::isInstance)) {
            return namesMoney(property) ? FieldKind.MONEY : FieldKind.NUMBER;
        }
        if (all(singles, Map.class::isInstance)) {
            return ofObjects(singles);
        }
        if (all(singles, single -> single instanceof Number || has(single, "amount"))) {
            return FieldKind.MONEY;
        }
        return all(singles, String.class::isInstance)
                ? ofStrings(
                        name,
                        singles.stream()
                                .map(s -> ((String) s).strip())
                                .filter(s -> !s.isEmpty())
                                .toList(),
                        lists)
                : FieldKind.TEXT;
    }

    /** In small letters: {@code US_Gross}, {@code unitPrice} and {@code unit price (EUR)} have two words and more. */
    public static List<String> wordsOf(String name) {
        return Stream.of(name.replaceAll("(?<=\\p{Ll})(?=\\p{Lu})", " ").split("[^\\p{L}\\p{N}]+"))
                .filter(word -> !word.isEmpty())
                .map(word -> word.toLowerCase(Locale.ROOT))
                .toList();
    }

    /** Whether what is called so is an amount of money. */
    public static boolean namesMoney(String name) {
        return wordsOf(name).stream().anyMatch(MONEY::contains);
    }

    /** Whether a text is an address of the web, a slash in which parts no levels of a tree. */
    public static boolean isWebAddress(String text) {
        // Most texts have none of these, which is found out far sooner.
        return (text.indexOf('/') >= 0 || text.indexOf('@') > 0 || text.indexOf('.') > 0)
                && text.length() <= LONGEST_ADDRESS
                && WEB_ADDRESS.matcher(text.strip()).matches();
    }

    private static FieldKind ofObjects(List<Object> objects) {
        if (all(objects, o -> has(o, "lat") && has(o, "lon"))) {
            return FieldKind.PLACE;
        }
        if (all(objects, o -> has(o, "amount"))) {
            return FieldKind.MONEY;
        }
        return all(objects, o -> has(o, "url")) ? FieldKind.IMAGE : FieldKind.TEXT;
    }

    private static FieldKind ofStrings(String name, List<String> texts, boolean lists) {
        if (texts.isEmpty()) {
            return FieldKind.TEXT;
        }
        if (all(texts, text -> DAY.matcher(text).matches())) {
            return FieldKind.DATE;
        }
        if (all(texts, KindGuess::isPicture)) {
            return FieldKind.IMAGE;
        }
        if (all(texts, text -> isLink(text) && Addresses.safe(text))) {
            return IMAGE_NAMES.contains(name) ? FieldKind.IMAGE : FieldKind.LINK;
        }
        boolean recurring = recur(texts);
        // Short words of a list are tags.
        if (!recurring && (lists ? areNumbered(texts) : areCodes(texts))) {
            return FieldKind.CODE;
        }
        if (texts.stream().filter(KindGuess::isWebAddress).count() * 2 > texts.size()) {
            return FieldKind.TEXT;
        }
        String levels = all(texts, text -> text.contains(CategoryPath.LEVELS)) ? CategoryPath.LEVELS : "/";
        boolean paths = all(texts, text -> text.indexOf(levels) > 0) && doParentsRecur(texts, levels);
        // A path may be long; it is its names that are brief.
        boolean brief = all(texts, text -> Stream.of(text.split(levels)).allMatch(KindGuess::isBrief));
        return brief && (lists || recurring || paths) ? FieldKind.CATEGORY : FieldKind.TEXT;
    }

    /** Whether values come again, as those of a category do and names do not. */
    public static boolean recur(List<String> texts) {
        int distinct = new HashSet<>(texts).size();
        // Of many cells fewer have to say the same: places or makers of a long list are still worth narrowing by.
        return texts.size() >= LEAST_RECURRING
                && (distinct * 2 <= texts.size() || (texts.size() >= MANY && distinct * 4 <= texts.size() * 3));
    }

    /**
     * Whether these are no words but codes: each with a digit in it, none longer than three letters, or many of
     * capitals and digits, or of four letters at most.
     */
    public static boolean areCodes(List<String> texts) {
        return areNumbered(texts)
                || (texts.size() >= LEAST_RECURRING
                        && most(texts, text -> TINY.matcher(text).matches()))
                || (texts.size() >= LEAST_CODES
                        && (most(texts, text -> CAPITALS.matcher(text).matches())
                                || most(texts, text -> SHORT.matcher(text).matches())));
    }

    private static boolean areNumbered(List<String> texts) {
        boolean digits = most(
                texts,
                text -> text.chars().anyMatch(Character::isDigit)
                        && CODE.matcher(text).matches());
        return (digits && !most(texts, text -> NO_CODE.matcher(text).matches()))
                || all(texts, text -> HEX.matcher(text).matches());
    }

    /** Whether it holds of all but very few: a code need not be read, so one slip does not matter. */
    private static boolean most(List<String> texts, Predicate<String> such) {
        int others = texts.size() / FEW;
        for (String text : texts) {
            if (!such.test(text) && --others < 0) {
                return false;
            }
        }
        return true;
    }

    /**
     * Whether several of these paths begin alike: with as many parents as values, there is no tree.
     *
     * @param sign between their levels; values without it are no paths, and do not count
     */
    public static boolean doParentsRecur(List<String> values, String sign) {
        Set<String> different = new HashSet<>(values);
        different.removeIf(value -> !value.contains(sign));
        Set<String> parents = new HashSet<>();
        different.forEach(path -> parents.add(path.substring(0, path.lastIndexOf(sign))));
        return different.size() < LEAST_RECURRING
                || parents.size() * 3 <= different.size() * 2
                || different.size() * 2 <= values.size();
    }

    /** With what a browser needs to follow it; who writes less has it made whole first. */
    private static boolean isLink(String text) {
        return text.startsWith("/") || text.startsWith("http://") || text.startsWith("https://");
    }

    private static boolean isPicture(String text) {
        return isLink(text) && Addresses.safe(text) && IMAGE_FILE.matcher(text).matches();
    }

    /** A name of a few words; what ends as a sentence does is one, unless it is as short as {@code Bros.} */
    public static boolean isBrief(String name) {
        int words = name.strip().split("\\s+").length;
        return name.length() <= 60 && words <= 6 && (!name.endsWith(".") || words <= 3);
    }

    private static boolean has(@Nullable Object object, String key) {
        return object instanceof Map<?, ?> map && map.get(key) != null;
    }

    private static <T> boolean all(List<T> values, Predicate<? super T> test) {
        return values.stream().allMatch(test);
    }
}
