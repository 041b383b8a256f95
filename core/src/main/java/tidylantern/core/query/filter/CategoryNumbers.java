package tidylantern.core.query.filter;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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
    private final ValueNumbers all;
    private final ValueNumbers.Snapshot values;
    /** By number: whether any item has the value. */
    private final boolean[] living;

    private final int howManyLive;
    /** By number, of each value the spelling that most items have; null for those that none has. */
    private final List<@Nullable List<String>> names;

    private final ValueNumbers.Below below;

    private CategoryNumbers(IndexState state, FieldKey field, ValueNumbers all) throws IOException {
        this.state = state;
        this.field = field;
        this.all = all;
        List<ValueNumbers.OfPart> parts = new ArrayList<>();
        for (LeafReaderContext leaf : state.parts()) {
            parts.add(all.of(state, leaf));
        }
        values = all.snapshot();
        living = new boolean[values.size()];
        Map<Integer, int[]> several = new HashMap<>();
        for (LeafReaderContext leaf : state.parts()) {
            count(PartPaths.of(state, leaf, field), parts.get(leaf.ord), PartPaths.items(state, leaf, field), several);
        }
        names = names(several);
        below = values.below(living);
        howManyLive = (int) names.stream().filter(Objects::nonNull).count();
    }

    /** @param several of values that are written in several ways, how many items have each */
    private void count(PartPaths part, ValueNumbers.OfPart numbers, int[] items, Map<Integer, int[]> several) {
        for (int i = 0; i < items.length; i++) {
            if (items[i] == 0) {
                continue;
            }
            int number = numbers.values()[part.spellings().get(i).value()];
            living[number] = true;
            int ways = values.spellings(number).size();
            if (ways > 1) {
                several.computeIfAbsent(number, any -> new int[ways])[numbers.spelling(i)] += items[i];
            }
        }
    }

    private List<@Nullable List<String>> names(Map<Integer, int[]> several) {
        List<@Nullable List<String>> made = new ArrayList<>(living.length);
        for (int number = 0; number < living.length; number++) {
            List<List<String>> spellings = values.spellings(number);
            int[] items = several.get(number);
            made.add(!living[number] ? null : items == null ? spellings.getFirst() : mostFrequent(spellings, items));
        }
        return made;
    }

    /** Of as many, the first by its letters. */
    private static List<String> mostFrequent(List<List<String>> spellings, int[] items) {
        return IntStream.range(0, items.length)
                .boxed()
                .max(Comparator.<Integer>comparingInt(at -> items[at])
                        .thenComparing(at -> String.join("/", spellings.get(at)), Comparator.reverseOrder()))
                .map(spellings::get)
                .orElseThrow();
    }

    /**
     * The keys of today that a key of a design or an address stands for: itself, or those of the values that had it
     * before; none for one unheard of.
     */
    List<String> today(String key) {
        return has(key)
                ? List.of(key)
                : all.former(key).stream()
                        .filter(number -> number < living.length && living[number])
                        .map(values::key)
                        .toList();
    }

    /** Of the values that items have in a state of the index. */
    public static CategoryNumbers of(IndexState state, FieldKey field) throws IOException {
        return state.kept(new OfField(field), CategoryNumbers.class, () -> {
            CategoryNumbers made = new CategoryNumbers(state, field, ValueNumbers.of(state, field));
            ValueNumbers anew = ValueNumbers.renewed(state, field, made.howManyLive);
            return anew == made.all ? made : new CategoryNumbers(state, field, anew);
        });
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

        /** What the part's own numbers are in the whole index. Not to be written to. */
        int[] numbers(LeafReaderContext part) {
            return numbers.get(part.ord);
        }
    }

    Paths paths(Reading reading) throws IOException {
        return state.kept(reading, new PathsOf(field), Paths.class, () -> {
            Paths paths = new Paths();
            for (LeafReaderContext part : state.parts()) {
                PartPaths.Counted counted = PartPaths.counted(state, part, field, reading);
                paths.parts.add(counted);
                paths.numbers.add(
                        reading.equals(Reading.PLAIN)
                                ? all.of(state, part).values()
                                : state.ofPart(
                                        part,
                                        reading,
                                        new NumbersOf(all),
                                        int[].class,
                                        () -> all.numbers(counted.keys())));
            }
            return paths;
        });
    }

    private record PathsOf(FieldKey field) {}

    private record NumbersOf(ValueNumbers numbers) {}

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
            return PartFigures.difference(all, gone);
        }
    }

    static Stream<String> withThoseAbove(String value) {
        return Stream.iterate(value, one -> !one.isEmpty(), one -> one.substring(0, Math.max(0, one.lastIndexOf('/'))));
    }

    /** The values right below a value; those at the top for -1. */
    int[] below(int number) {
        return below.of(number);
    }

    /** -1 for a value that no item has. */
    public int number(String key) {
        int number = all.number(key);
        return number >= 0 && number < living.length && living[number] ? number : -1;
    }

    /**
     * By number: the place of the value's name among all of the field, by the rules of a language; the same name has
     * the same place. Not to be written to.
     */
    int[] placesByName(String language) throws IOException {
        return state.kept(new ByName(field, language), int[].class, () -> all.order(language)
                .places(names.stream()
                        .<@Nullable String>map(one -> one == null ? null : one.getLast())
                        .toList()));
    }

    private record ByName(FieldKey field, String language) {}

    boolean has(String key) {
        return number(key) >= 0;
    }

    /** The numbers of values are 0 to one less; of some no item has any. */
    int size() {
        return living.length;
    }

    /** How many values items have. */
    int howMany() {
        return howManyLive;
    }

    /** The numbers of the values that items have. */
    IntStream numbers() {
        return IntStream.range(0, living.length).filter(number -> living[number]);
    }

    String key(int number) {
        return values.key(number);
    }

    /** From the top; where a value is written in several ways, the most frequent. Of one that any item has. */
    List<String> names(int number) {
        return Objects.requireNonNull(names.get(number));
    }
}
