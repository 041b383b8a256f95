package tidylantern.core.query;

import java.text.Collator;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tidylantern.core.design.Filter;

/** Makes of the counts of a category field what a filter shows. */
final class FilterValues {
    /** More than these nobody reads; the first in the design's order are shown, and whatever is ticked. */
    static final int MOST_SHOWN = 500;

    private static final Pattern NUMBER = Pattern.compile("\\d{1,15}([.,]\\d{1,15})?");

    private final Filter filter;
    private final CategoryNumbers numbers;
    private final int[] counts;
    private final Set<String> ticked;
    private final Comparator<FilterAnswer.Offered> order;

    /**
     * @param counts by the numbers of the values
     * @param language whose rules names are ordered by
     */
    FilterValues(Filter filter, CategoryNumbers numbers, int[] counts, List<String> ticked, String language) {
        this.filter = filter;
        this.numbers = numbers;
        this.counts = counts;
        this.ticked = new HashSet<>(ticked);
        Comparator<FilterAnswer.Offered> byName = Comparator.comparing(FilterAnswer.Offered::label, Collator.getInstance(Locale.forLanguageTag(language)));
        Comparator<FilterAnswer.Offered> ties = byName.thenComparing(FilterAnswer.Offered::value);
        order = switch (filter.order()) {
            case NAME -> ties;
            case NAME_DOWN -> ties.reversed();
            case NUMBER -> Comparator.comparingDouble((FilterAnswer.Offered value) -> firstNumber(value.label())).thenComparing(ties);
            case COUNT -> Comparator.comparingInt(FilterAnswer.Offered::count).reversed().thenComparing(ties);
        };
    }

    /** @param inReach by number, how many items that can be found at all have the value: what none has is not on offer */
    List<FilterAnswer.Offered> offered(int[] inReach) {
        if (filter.picked() != null) {
            return filter.picked().stream().map(numbers::number).filter(number -> number >= 0 && inReach[number] > 0).map(number -> value(number, label(number), List.of())).filter(this::isShown).toList();
        }

        Map<String, List<Integer>> below = new LinkedHashMap<>();
        List<Integer> all = new ArrayList<>();
        for (int number = 0; number < inReach.length; number++) {
            if (inReach[number] > 0 && !filter.excepts(numbers.key(number))) {
                all.add(number);
                below.computeIfAbsent(above(numbers.key(number)), key -> new ArrayList<>()).add(number);
            }
        }
        if (filter.tree()) {
            return level("", below);
        }
        Map<String, Integer> sameLabel = new HashMap<>();
        all.forEach(number -> sameLabel.merge(numbers.names(number).getLast(), 1, Integer::sum));
        return shown(all.stream().map(number -> {
            List<String> names = numbers.names(number);
            // The same name under two parents is two values, so each says where it stands.
            boolean ambiguous = names.size() > 1 && sameLabel.getOrDefault(names.getLast(), 0) > 1;
            return value(number, ambiguous && !filter.labels().containsKey(numbers.key(number)) ? names.getLast() + " (" + names.get(names.size() - 2) + ")" : label(number), List.of());
        }).toList());
    }

    private List<FilterAnswer.Offered> level(String parent, Map<String, List<Integer>> below) {
        return shown(below.getOrDefault(parent, List.of()).stream().map(number -> value(number, label(number), level(numbers.key(number), below))).toList());
    }

    private FilterAnswer.Offered value(int number, String label, List<FilterAnswer.Offered> children) {
        return new FilterAnswer.Offered(numbers.key(number), label, counts[number], ticked.contains(numbers.key(number)), children);
    }

    private List<FilterAnswer.Offered> shown(List<FilterAnswer.Offered> values) {
        List<FilterAnswer.Offered> sorted = values.stream().filter(this::isShown).sorted(order).toList();
        return sorted.size() <= MOST_SHOWN ? sorted
                : java.util.stream.IntStream.range(0, sorted.size()).filter(i -> i < MOST_SHOWN || needed(sorted.get(i))).mapToObj(sorted::get).toList();
    }

    private boolean isShown(FilterAnswer.Offered value) {
        return value.count() > 0 || filter.withoutResults() == Filter.WithoutResults.DIM || needed(value);
    }

    /** What visitors read: the owner's label, or the value's own name. */
    private String label(int number) {
        return filter.labels().getOrDefault(numbers.key(number), numbers.names(number).getLast());
    }

    private static double firstNumber(String label) {
        Matcher number = NUMBER.matcher(label);
        return number.find() ? Double.parseDouble(number.group().replace(',', '.')) : Double.POSITIVE_INFINITY;
    }

    /** What is ticked stays in sight, so that it can be taken off. */
    private static boolean needed(FilterAnswer.Offered value) {
        return value.selected() || value.children().stream().anyMatch(FilterValues::needed);
    }

    private static String above(String key) {
        int slash = key.lastIndexOf('/');
        return slash < 0 ? "" : key.substring(0, slash);
    }
}
