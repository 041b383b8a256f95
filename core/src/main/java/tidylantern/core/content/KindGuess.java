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
    private static final Pattern CODE =
            Pattern.compile("[A-Za-z]{1,6}[-/.]?[0-9][A-Za-z0-9/.-]*|[A-Z0-9]+(-[A-Z0-9]+)+");
    private static final Pattern IMAGE_FILE = Pattern.compile("(?i).+\\.(png|jpe?g|gif|webp|avif|svg)([?#].*)?");
    /** With a scheme, or beginning as people write the addresses of websites and of people. */
    private static final Pattern WEB_ADDRESS = Pattern.compile(
            "(?i)([a-z][a-z0-9+.-]*:)?//\\S+|www\\.\\S+|mailto:\\S+|[a-z0-9-]+(\\.[a-z0-9-]+)*\\.[a-z]{2,10}/\\S*|\\S+@[a-z0-9-]+(\\.[a-z0-9-]+)+");

    private static final int LONGEST_ADDRESS = 2_000;
    private static final Set<String> PROSE_NAMES =
            Set.of("title", "summary", "body", "headings", "name", "description", "text", "reviews");
    private static final Set<String> IMAGE_NAMES = Set.of("image", "picture", "photo", "thumbnail");
    private static final Set<String> MONEY_NAMES = Set.of("price", "cost", "rent", "fee", "deposit", "fare");

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
            return MONEY_NAMES.stream().anyMatch(name::endsWith) ? FieldKind.MONEY : FieldKind.NUMBER;
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

    /** Whether a text is an address of the web, a slash in which parts no levels of a tree. */
    public static boolean isWebAddress(String text) {
        return text.length() <= LONGEST_ADDRESS
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
        if (all(texts, text -> text.startsWith("/") || text.startsWith("http://") || text.startsWith("https://"))) {
            boolean pictures = IMAGE_NAMES.contains(name)
                    || all(texts, text -> IMAGE_FILE.matcher(text).matches());
            return pictures ? FieldKind.IMAGE : FieldKind.LINK;
        }
        if (all(texts, text -> CODE.matcher(text).matches() && text.chars().anyMatch(Character::isDigit))) {
            return FieldKind.CODE;
        }
        if (texts.stream().filter(KindGuess::isWebAddress).count() * 2 > texts.size()) {
            return FieldKind.TEXT;
        }
        boolean paths = all(texts, text -> text.indexOf('/') > 0 || text.contains(CategoryPath.LEVELS));
        // A path may be long; it is its names that are brief.
        boolean brief =
                all(texts, text -> Stream.of(text.split(text.contains(CategoryPath.LEVELS) ? CategoryPath.LEVELS : "/"))
                        .allMatch(KindGuess::isBrief));
        Set<String> distinct = new HashSet<>(texts);
        boolean recurring = texts.size() >= 4 && distinct.size() * 2 <= texts.size();
        return brief && (lists || recurring || paths) ? FieldKind.CATEGORY : FieldKind.TEXT;
    }

    private static boolean isBrief(String name) {
        return name.length() <= 60 && name.strip().split("\\s+").length <= 6 && !name.endsWith(".");
    }

    private static boolean has(@Nullable Object object, String key) {
        return object instanceof Map<?, ?> map && map.get(key) != null;
    }

    private static <T> boolean all(List<T> values, Predicate<? super T> test) {
        return values.stream().allMatch(test);
    }
}
