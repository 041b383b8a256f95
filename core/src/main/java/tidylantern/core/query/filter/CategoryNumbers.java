package tidylantern.core.query.filter;

import java.io.IOException;
import java.text.CollationKey;
import java.text.Collator;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.Query;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.index.IndexState;
import tidylantern.core.index.PartFigures;

/**
 * Numbers the values of a category field, those above them included, over the whole of an index, so that counting is
 * adding up in an array. Put together for each state of the index from what is known of its {@link PartPaths parts}.
 */
public final class CategoryNumbers {
    private final IndexState state;
    private final FieldKey field;
    private final Map<String, Integer> numbers = new HashMap<>();
    private final List<String> keys = new ArrayList<>();
    private final List<List<String>> names;
    /** By former key, where it is none of today's: the values that had it. */
    private final Map<String, List<Integer>> former = new HashMap<>();
    /** By number: the numbers of the values right below; the last entry: those at the top. */
    private final int[][] below;

    private CategoryNumbers(IndexState state, FieldKey field) throws IOException {
        this.state = state;
        this.field = field;
        Spellings spellings = new Spellings();
        List<List<Integer>> children = new ArrayList<>();
        List<Integer> top = new ArrayList<>();
        for (LeafReaderContext leaf : state.parts()) {
            PartPaths part = PartPaths.of(state, leaf, field);
            int[] items = part.items(state, leaf, field);
            boolean[] living = new boolean[part.values().size()];
            for (int i = 0; i < items.length; i++) {
                living[part.spellings().get(i).value()] |= items[i] > 0;
            }
            int[] numberOf = new int[living.length];
            for (int i = 0; i < living.length; i++) {
                // What none but deleted documents have is no value any more. What has one has those above it, too.
                if (living[i]) {
                    PartPaths.Value value = part.values().get(i);
                    numberOf[i] = numbers.computeIfAbsent(value.key(), key -> {
                        keys.add(key);
                        children.add(new ArrayList<>());
                        (value.above() < 0 ? top : children.get(numberOf[value.above()])).add(keys.size() - 1);
                        return keys.size() - 1;
                    });
                }
            }
            for (int i = 0; i < items.length; i++) {
                if (items[i] > 0) {
                    PartPaths.Spelling one = part.spellings().get(i);
                    spellings.add(numberOf[one.value()], one, items[i]);
                }
            }
        }
        children.add(top);
        below = children.stream()
                .map(some -> some.stream().mapToInt(Integer::intValue).toArray())
                .toArray(int[][]::new);
        names = spellings.mostFrequent(keys.size());
        spellings.former.forEach((key, having) -> {
            if (!numbers.containsKey(key)) {
                former.put(key, having.stream().distinct().toList());
            }
        });
    }

    /** How the values are written, in all parts together. */
    private static final class Spellings {
        private final Map<Integer, Map<List<String>, Integer>> items = new HashMap<>();
        private final Map<String, List<Integer>> former = new HashMap<>();

        void add(int number, PartPaths.Spelling one, int having) {
            items.computeIfAbsent(number, any -> new HashMap<>()).merge(one.names(), having, Integer::sum);
            former.computeIfAbsent(one.former(), any -> new ArrayList<>()).add(number);
        }

        /** Each value by the spelling that most items have. */
        List<List<String>> mostFrequent(int values) {
            Comparator<Map.Entry<List<String>, Integer>> better = Map.Entry.<List<String>, Integer>comparingByValue()
                    .thenComparing(one -> String.join("/", one.getKey()), Comparator.reverseOrder());
            return IntStream.range(0, values)
                    .mapToObj(number -> items.getOrDefault(number, Map.of()).entrySet().stream()
                            .max(better)
                            .orElseThrow()
                            .getKey())
                    .toList();
        }
    }

    /**
     * The keys of today that a key of a design or an address stands for: itself, or those of the values that had it
     * before; none for one unheard of.
     */
    List<String> today(String key) {
        return numbers.containsKey(key)
                ? List.of(key)
                : former.getOrDefault(key, List.of()).stream().map(keys::get).toList();
    }

    public static CategoryNumbers of(IndexState state, FieldKey field) throws IOException {
        return state.kept(new OfField(field), CategoryNumbers.class, () -> new CategoryNumbers(state, field));
    }

    private record OfField(FieldKey field) {}

    /**
     * How an item's values are counted.
     *
     * @param merged which values count as others
     * @param themselves whether a value counts for the items that name it itself alone, and not for those below it
     */
    public record Reading(Map<String, String> merged, boolean themselves) {
        public static final Reading PLAIN = new Reading(Map.of(), false);
    }

    /** The values for which the paths of a field count, in every part of the index. */
    static final class Paths {
        private final List<PartPaths.Counted> parts = new ArrayList<>();
        private final List<int[]> numbers = new ArrayList<>();

        /** By path: which of a part's {@link #numbers} it counts for. Not to be written to. */
        public int[][] of(LeafReaderContext part) {
            return parts.get(part.ord).ofPaths();
        }

        /** What the part's own numbers are in the whole index; -1 for a value of none but deleted items. */
        int[] numbers(LeafReaderContext part) {
            return numbers.get(part.ord);
        }
    }

    Paths paths(Reading reading) throws IOException {
        return state.kept(reading, new PathsOf(field), Paths.class, () -> {
            Paths all = new Paths();
            for (LeafReaderContext part : state.parts()) {
                PartPaths.Counted counted = PartPaths.counted(state, part, field, reading);
                all.parts.add(counted);
                all.numbers.add(counted.keys().stream().mapToInt(this::number).toArray());
            }
            return all;
        });
    }

    private record PathsOf(FieldKey field) {}

    /**
     * By number, how many items that a query finds have the value; not to be written to.
     *
     * @param reach that all answers of a search keep within, since what it comes to is kept
     */
    public int[] inReach(Query reach, Reading reading) throws IOException {
        InReach key = new InReach(field, reading);
        return state.kept(reach, key, int[].class, () -> {
            Paths paths = paths(reading);
            int[] all = new int[size()];
            for (LeafReaderContext part : state.parts()) {
                int[] counts = state.ofPart(part, reach, key, int[].class, new InPart(field, paths));
                int[] numbersOfPart = paths.numbers(part);
                for (int i = 0; i < counts.length; i++) {
                    if (counts[i] > 0) {
                        all[numbersOfPart[i]] += counts[i];
                    }
                }
            }
            return all;
        });
    }

    private record InReach(FieldKey field, Reading reading) {}

    /** How many documents of a part have each value, by the part's own numbers. */
    private record InPart(FieldKey field, Paths paths) implements PartFigures<int[]> {
        @Override
        public int[] over(LeafReaderContext part, DocIdSetIterator documents) throws IOException {
            CategoryTally tally = CategoryTally.inPart(field, paths, part);
            tally.addAll(part, documents);
            return tally.counts();
        }

        @Override
        public int[] without(int[] all, int[] gone) {
            return IntStream.range(0, all.length).map(i -> all[i] - gone[i]).toArray();
        }
    }

    static Stream<String> withThoseAbove(String value) {
        return Stream.iterate(value, one -> !one.isEmpty(), one -> one.substring(0, Math.max(0, one.lastIndexOf('/'))));
    }

    /** The values right below a value; those at the top for -1. Not to be written to. */
    int[] below(int number) {
        return below[number < 0 ? below.length - 1 : number];
    }

    /** -1 for a value that no item has. */
    int number(String key) {
        return numbers.getOrDefault(key, -1);
    }

    /**
     * By number: the place of the value's name among all of the field, by the rules of a language; the same name has
     * the same place. Not to be written to.
     */
    int[] placesByName(String language) throws IOException {
        ByName key = new ByName(field, language);
        return state.kept(key, int[].class, () -> state.lasting(key, NameOrder.class, () -> new NameOrder(language))
                .places(names));
    }

    private record ByName(FieldKey field, String language) {}

    /** The order of a field's names, from one state to the next: names seldom change, and comparing them is dear. */
    private static final class NameOrder {
        private final Collator collator;
        private Map<String, CollationKey> sortable = Map.of();
        private @Nullable List<List<String>> names;
        private int[] places = {};

        NameOrder(String language) {
            collator = Collator.getInstance(Locale.forLanguageTag(language));
        }

        synchronized int[] places(List<List<String>> now) {
            if (!now.equals(names)) {
                Map<String, CollationKey> known = sortable;
                Map<String, CollationKey> next = new HashMap<>();
                CollationKey[] keys = now.stream()
                        .map(name -> next.computeIfAbsent(name.getLast(), last -> {
                            CollationKey before = known.get(last);
                            return before == null ? collator.getCollationKey(last) : before;
                        }))
                        .toArray(CollationKey[]::new);
                places = places(keys);
                sortable = next;
                names = now;
            }
            return places;
        }

        private static int[] places(CollationKey[] keys) {
            Integer[] order = IntStream.range(0, keys.length)
                    .boxed()
                    .sorted(Comparator.comparing(number -> keys[number]))
                    .toArray(Integer[]::new);
            int[] places = new int[order.length];
            for (int at = 1; at < order.length; at++) {
                places[order[at]] =
                        places[order[at - 1]] + (keys[order[at]].compareTo(keys[order[at - 1]]) == 0 ? 0 : 1);
            }
            return places;
        }
    }

    boolean has(String key) {
        return numbers.containsKey(key);
    }

    /** How many values there are; their numbers are 0 to one less. */
    int size() {
        return keys.size();
    }

    String key(int number) {
        return keys.get(number);
    }

    /** From the top; where a value is written in several ways, the most frequent. */
    List<String> names(int number) {
        return names.get(number);
    }
}
