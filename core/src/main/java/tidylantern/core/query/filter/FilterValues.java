package tidylantern.core.query.filter;

import java.text.Collator;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.OfferedValues;
import tidylantern.core.design.filter.ValueList;
import tidylantern.core.design.filter.ValueLooks;
import tidylantern.core.index.IndexFields;

/** Makes of the counts of a category field what a filter shows. */
public final class FilterValues {
    /**
     * More than these nobody reads at once; an answer has the first of each level in the design's order, and whatever
     * is ticked.
     */
    static final int MOST_SHOWN = 500;
    /** Trees of up to so many values go out whole; of larger ones the branches are asked for when they are opened. */
    static final int MOST_WHOLE = 400;

    private static final Pattern NUMBER = Pattern.compile("\\d{1,15}([.,]\\d{1,15})?");

    private final OfferedValues rules;
    private final ValueLooks looks;
    private final ValueList list;
    private final CategoryNumbers numbers;
    private final int[] counts;
    private final int[] found;
    private final int[] inReach;
    private final Set<String> ticked;
    /** The ticked ones and those above them. */
    private final Set<Integer> open = new HashSet<>();

    private final Comparator<FilterAnswer.Offered> order;

    /**
     * @param counts by the numbers of the values
     * @param found the same, of the items that are found
     * @param inReach by number, how many items that can be found at all have the value
     * @param placesByName of the values' own names, by number
     * @param language whose rules names are ordered by
     */
    FilterValues(
            CategorySource source,
            CategoryNumbers numbers,
            int[] counts,
            int[] found,
            int[] inReach,
            int[] placesByName,
            List<String> ticked,
            String language) {
        rules = source.offered();
        looks = source.looks();
        list = source.list();
        this.numbers = numbers;
        this.counts = counts;
        this.found = found;
        this.inReach = inReach;
        this.ticked = new HashSet<>(ticked);
        for (String value : ticked) {
            for (int end = value.length(); end > 0; end = value.lastIndexOf('/', end - 1)) {
                open.add(numbers.number(value.substring(0, end)));
            }
        }
        // Comparing by a language's rules is slow, so the content's own names are put in order once; the owner's labels
        // are few.
        Comparator<FilterAnswer.Offered> byName = looks.labels().isEmpty()
                ? Comparator.comparingInt(value -> placesByName[numbers.number(value.value())])
                : Comparator.comparing(
                        FilterAnswer.Offered::label, Collator.getInstance(Locale.forLanguageTag(language)));
        Comparator<FilterAnswer.Offered> ties = byName.thenComparing(FilterAnswer.Offered::value);
        order = switch (list.order()) {
            case NAME -> ties;
            case NAME_DOWN -> ties.reversed();
            case NUMBER ->
                Comparator.comparingDouble((FilterAnswer.Offered value) -> firstNumber(value.label()))
                        .thenComparing(ties);
            case COUNT ->
                Comparator.comparingInt(FilterAnswer.Offered::count).reversed().thenComparing(ties);
        };
    }

    /**
     * All of them where they are few; of many those at the top, and what lies right below a ticked one and the ones
     * above it.
     */
    Offer offered() {
        if (rules.picked() != null) {
            return new Offer(picked(), 0);
        }
        List<FilterAnswer.Offered> all = rules.tree() ? level(-1) : flat(numbers -> numbers);
        List<FilterAnswer.Offered> shown = cut(all);
        return new Offer(shown, all.size() - shown.size());
    }

    /** @param further how many more there are on the first level */
    record Offer(List<FilterAnswer.Offered> values, int further) {}

    private List<FilterAnswer.Offered> picked() {
        return Objects.requireNonNull(rules.picked()).stream()
                .map(numbers::number)
                .filter(number -> number >= 0 && inReach[number] > 0)
                .map(number -> value(number, label(number), 0, List.of()))
                .filter(this::isShown)
                .toList();
    }

    /** What lies right below a value, all of it; nothing where there is no such value. */
    List<FilterAnswer.Offered> below(String value) {
        int number = numbers.number(value);
        return number < 0 || !rules.tree() || rules.picked() != null ? List.of() : level(number);
    }

    /** All values with some letters in the name, wherever they stand, in one list. */
    List<FilterAnswer.Offered> named(String letters) {
        String wanted = IndexFields.folded(letters.strip());
        if (rules.picked() != null) {
            return picked().stream()
                    .filter(value -> IndexFields.folded(value.label()).contains(wanted))
                    .toList();
        }
        return flat(
                all -> all.filter(number -> IndexFields.folded(label(number)).contains(wanted)));
    }

    private List<FilterAnswer.Offered> flat(UnaryOperator<IntStream> some) {
        Map<String, Integer> sameLabel = new HashMap<>();
        int[] all = IntStream.range(0, inReach.length).filter(this::isOnOffer).toArray();
        IntStream.of(all)
                .forEach(number -> sameLabel.merge(numbers.names(number).getLast(), 1, Integer::sum));
        return shown(some.apply(IntStream.of(all))
                .mapToObj(number -> {
                    List<String> names = numbers.names(number);
                    // The same name under two parents is two values, so each says where it stands.
                    boolean ambiguous = names.size() > 1 && sameLabel.getOrDefault(names.getLast(), 0) > 1;
                    return value(
                            number,
                            ambiguous && !looks.labels().containsKey(numbers.key(number))
                                    ? names.getLast() + " (" + names.get(names.size() - 2) + ")"
                                    : label(number),
                            0,
                            List.of());
                })
                .toList());
    }

    /** What none in reach has is not on offer. */
    private boolean isOnOffer(int number) {
        return inReach[number] > 0 && rules.offers(numbers.key(number));
    }

    private List<FilterAnswer.Offered> level(int parent) {
        return shown(IntStream.of(numbers.below(parent))
                .filter(this::isOnOffer)
                .mapToObj(number -> {
                    int below = (int) IntStream.of(numbers.below(number))
                            .filter(this::isOnOffer)
                            .count();
                    return value(
                            number,
                            label(number),
                            below,
                            below > 0 && (numbers.howMany() <= MOST_WHOLE || open.contains(number))
                                    ? cut(level(number))
                                    : List.of());
                })
                .toList());
    }

    private FilterAnswer.Offered value(int number, String label, int below, List<FilterAnswer.Offered> children) {
        return new FilterAnswer.Offered(
                numbers.key(number),
                label,
                counts[number],
                ticked.contains(numbers.key(number)),
                below,
                children,
                looks.pictures().getOrDefault(numbers.key(number), ""),
                "");
    }

    private List<FilterAnswer.Offered> shown(List<FilterAnswer.Offered> values) {
        return values.stream().filter(this::isShown).sorted(order).toList();
    }

    private static List<FilterAnswer.Offered> cut(List<FilterAnswer.Offered> sorted) {
        return sorted.size() <= MOST_SHOWN
                ? sorted
                : IntStream.range(0, sorted.size())
                        .filter(i -> i < MOST_SHOWN || needed(sorted.get(i)))
                        .mapToObj(sorted::get)
                        .toList();
    }

    private boolean isShown(FilterAnswer.Offered value) {
        return needed(value)
                || switch (list.withoutResults()) {
                    case DIM -> true;
                    case HIDE -> value.count() > 0;
                    case FOUND -> found[numbers.number(value.value())] > 0;
                };
    }

    /** What visitors read: the owner's label, or the value's own name. */
    private String label(int number) {
        return looks.labels()
                .getOrDefault(numbers.key(number), numbers.names(number).getLast());
    }

    static double firstNumber(String label) {
        Matcher number = NUMBER.matcher(label);
        return number.find() ? Double.parseDouble(number.group().replace(',', '.')) : Double.POSITIVE_INFINITY;
    }

    /** What is ticked stays in sight, so that it can be taken off. */
    private static boolean needed(FilterAnswer.Offered value) {
        return value.selected() || value.children().stream().anyMatch(FilterValues::needed);
    }
}
