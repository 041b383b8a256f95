package tidylantern.core.query.filter;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.lucene.index.LeafReaderContext;
import tidylantern.core.content.FieldKey;
import tidylantern.core.index.IndexState;

/**
 * The values that a category field ever had in an index, each with a number for good: so what a new state adds is
 * looked up, and nothing else. Threads may share it.
 */
final class ValueNumbers {
    /** Beyond this many that no item has any more, numbering begins anew; our own figure. */
    private static final int MOST_DEAD = 10_000;

    private final FieldKey field;
    private final Map<String, Integer> numbers = new ConcurrentHashMap<>();
    private final Map<String, Set<Integer>> former = new ConcurrentHashMap<>();
    private final Map<String, NameOrder> orders = new ConcurrentHashMap<>();
    private final List<Value> values = new ArrayList<>();

    /** @param above number of the value above; -1 at the top */
    private record Value(String key, int above, List<List<String>> spellings) {}

    private ValueNumbers(FieldKey field) {
        this.field = field;
    }

    /** The one that counts now. */
    private static final class Current {
        private ValueNumbers numbers;

        Current(FieldKey field) {
            numbers = new ValueNumbers(field);
        }

        synchronized ValueNumbers get() {
            return numbers;
        }

        /** @param living how many of the values items have */
        synchronized ValueNumbers renewed(int living) {
            if (numbers.size() > 2 * living + MOST_DEAD) {
                numbers = new ValueNumbers(numbers.field);
            }
            return numbers;
        }
    }

    private record OfField(FieldKey field) {}

    private static Current current(IndexState state, FieldKey field) throws IOException {
        return state.lasting(new OfField(field), Current.class, () -> new Current(field));
    }

    static ValueNumbers of(IndexState state, FieldKey field) throws IOException {
        return current(state, field).get();
    }

    /**
     * The one that counts from now on: another one where most of the values are none any more.
     *
     * @param living how many of the values items have
     */
    static ValueNumbers renewed(IndexState state, FieldKey field, int living) throws IOException {
        return current(state, field).renewed(living);
    }

    /** What a part's own numbers of values and of spellings are here. */
    static final class OfPart {
        private final int[] values;
        private final int[] spellings;

        private OfPart(int[] values, int[] spellings) {
            this.values = values;
            this.spellings = spellings;
        }

        /** By the part's own numbers. Not to be written to. */
        int[] values() {
            return values;
        }

        /** By the part's spellings: the how many-th of its value each is. */
        int spelling(int ofPart) {
            return spellings[ofPart];
        }
    }

    private record InPart(ValueNumbers numbers) {}

    OfPart of(IndexState state, LeafReaderContext part) throws IOException {
        return state.ofPart(part, new InPart(this), OfPart.class, () -> take(PartPaths.of(state, part, field)));
    }

    private synchronized OfPart take(PartPaths part) {
        int[] own = new int[part.values().size()];
        for (int i = 0; i < own.length; i++) {
            PartPaths.Value value = part.values().get(i);
            Integer known = numbers.get(value.key());
            if (known == null) {
                known = values.size();
                values.add(new Value(value.key(), value.above() < 0 ? -1 : own[value.above()], new ArrayList<>(1)));
                numbers.put(value.key(), known);
            }
            own[i] = known;
        }
        int[] spellings = new int[part.spellings().size()];
        for (int i = 0; i < spellings.length; i++) {
            PartPaths.Spelling one = part.spellings().get(i);
            int number = own[one.value()];
            List<List<String>> written = values.get(number).spellings();
            int at = written.indexOf(one.names());
            if (at < 0) {
                at = written.size();
                written.add(one.names());
                former.computeIfAbsent(one.former(), key -> ConcurrentHashMap.newKeySet())
                        .add(number);
            }
            spellings[i] = at;
        }
        return new OfPart(own, spellings);
    }

    private synchronized int size() {
        return values.size();
    }

    /** The values there were when it was asked for; later ones follow. */
    static final class Snapshot {
        private final String[] keys;
        private final int[] above;
        private final List<List<List<String>>> spellings;

        private Snapshot(List<Value> values) {
            keys = new String[values.size()];
            above = new int[keys.length];
            spellings = new ArrayList<>(keys.length);
            for (int i = 0; i < keys.length; i++) {
                Value value = values.get(i);
                keys[i] = value.key();
                above[i] = value.above();
                spellings.add(List.copyOf(value.spellings()));
            }
        }

        int size() {
            return keys.length;
        }

        String key(int number) {
            return keys[number];
        }

        /** The ways in which a value was ever written, in the order in which they came. */
        List<List<String>> spellings(int number) {
            return spellings.get(number);
        }

        /**
         * The numbers right below each value, and behind all of them those at the top; of some values alone.
         *
         * @param living of which values
         */
        Below below(boolean[] living) {
            return new Below(above, living);
        }
    }

    synchronized Snapshot snapshot() {
        return new Snapshot(values);
    }

    /** What lies right below each value: all in one row, and where each begins in it. */
    static final class Below {
        private final int[] from;
        private final int[] row;

        private Below(int[] above, boolean[] living) {
            int top = above.length;
            from = new int[top + 2];
            for (int i = 0; i < top; i++) {
                if (living[i]) {
                    from[(above[i] < 0 ? top : above[i]) + 1]++;
                }
            }
            for (int i = 1; i < from.length; i++) {
                from[i] += from[i - 1];
            }
            row = new int[from[top + 1]];
            int[] next = from.clone();
            for (int i = 0; i < top; i++) {
                if (living[i]) {
                    row[next[above[i] < 0 ? top : above[i]]++] = i;
                }
            }
        }

        /** @param number -1 for those at the top */
        int[] of(int number) {
            int at = number < 0 ? from.length - 2 : number;
            return Arrays.copyOfRange(row, from[at], from[at + 1]);
        }
    }

    /** -1 for a value that no item ever had. */
    int number(String key) {
        return numbers.getOrDefault(key, -1);
    }

    /** The values that ever had a key before signs counted in keys. */
    Set<Integer> former(String key) {
        return former.getOrDefault(key, Set.of());
    }

    /** The order of the values' names by the rules of a language. */
    NameOrder order(String language) {
        return orders.computeIfAbsent(language, NameOrder::new);
    }

    /** What the keys of a part are here, wherever they come from; -1 for one that no item ever had. */
    int[] numbers(List<String> keys) {
        return keys.stream().mapToInt(this::number).toArray();
    }
}
