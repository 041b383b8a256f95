package tidylantern.core.query;

import java.io.IOException;
import java.text.CollationKey;
import java.text.Collator;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedSetDocValues;
import org.apache.lucene.search.IndexSearcher;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.ValueKey;
import tidylantern.core.design.Filter;
import tidylantern.core.design.Reach;
import tidylantern.core.index.IndexFields;

/**
 * Numbers the values of a category field, those above them included, over the whole of an index, so that counting is
 * adding up in an array. Reckoned once for each state of the index: taking the paths of a large tree apart with every
 * answer would cost far more than the counting.
 */
final class CategoryNumbers {
    private final Map<String, Integer> numbers = new HashMap<>();
    private final List<String> keys = new ArrayList<>();
    private final List<List<String>> names = new ArrayList<>();
    /** By former key, where it is none of today's: the values that had it. */
    private final Map<String, List<Integer>> former = new HashMap<>();
    /** By number: the numbers of the values right below; the last entry: those at the top. */
    private final int[][] below;
    /** Of each part of the index, of each path in it: the numbers of the path's values, from the top. */
    private final int[][][] ofPaths;

    private CategoryNumbers(IndexReader reader, FieldKey field) throws IOException {
        Spellings spellings = new Spellings();
        ofPaths = new int[reader.leaves().size()][][];
        for (LeafReaderContext leaf : reader.leaves()) {
            SortedSetDocValues values = DocValues.getSortedSet(leaf.reader(), IndexFields.paths(field));
            int[] items = items(values);
            int[][] above = new int[items.length][];
            for (int path = 0; path < items.length; path++) {
                above[path] = spellings.numbersOf(
                        values.lookupOrd(path).utf8ToString().split(String.valueOf(IndexFields.BETWEEN_NAMES)),
                        items[path]);
            }
            ofPaths[leaf.ord] = above;
        }
        below = spellings.below();
        spellings.nameAll();
    }

    /**
     * All ways in which the paths are written, as a tree of names: each name is looked at once below its parent, and
     * made a key once, however many paths go through it.
     */
    private final class Spellings {
        private final Map<String, String> keyOfName = new HashMap<>();
        private final Map<Below, Spelling> known = new HashMap<>();
        private final List<List<Integer>> children = new ArrayList<>();
        private final List<Integer> top = new ArrayList<>();

        /** A name below another spelling; null for one at the top. */
        private record Below(@Nullable Spelling parent, String name) {}

        /** One way to write a value; the same only as itself. */
        private static final class Spelling {
            private final @Nullable Spelling parent;
            private final String name;
            private final int number;
            private int items;

            Spelling(@Nullable Spelling parent, String name, int number) {
                this.parent = parent;
                this.name = name;
                this.number = number;
            }

            List<String> names() {
                List<String> names = new ArrayList<>();
                for (Spelling one = this; one != null; one = one.parent) {
                    names.addFirst(one.name);
                }
                return List.copyOf(names);
            }
        }

        int[] numbersOf(String[] path, int items) {
            int[] above = new int[path.length];
            Spelling at = null;
            for (int level = 0; level < path.length; level++) {
                Spelling parent = at;
                at = known.computeIfAbsent(
                        new Below(parent, path[level]),
                        below -> new Spelling(parent, below.name(), number(parent, below.name())));
                at.items += items;
                above[level] = at.number;
            }
            return above;
        }

        private int number(@Nullable Spelling parent, String name) {
            String own = keyOfName.computeIfAbsent(name, ValueKey::of);
            return numbers.computeIfAbsent(parent == null ? own : keys.get(parent.number) + "/" + own, key -> {
                keys.add(key);
                children.add(new ArrayList<>());
                (parent == null ? top : children.get(parent.number)).add(keys.size() - 1);
                return keys.size() - 1;
            });
        }

        int[][] below() {
            List<List<Integer>> all = new ArrayList<>(children);
            all.add(top);
            return all.stream()
                    .map(numbers -> numbers.stream().mapToInt(Integer::intValue).toArray())
                    .toArray(int[][]::new);
        }

        /** Each value by the spelling that most items have. */
        void nameAll() {
            Spelling[] best = new Spelling[keys.size()];
            for (Spelling one : known.values()) {
                Spelling other = best[one.number];
                if (other == null
                        || one.items > other.items
                        || (one.items == other.items
                                && String.join("/", one.names()).compareTo(String.join("/", other.names())) < 0)) {
                    best[one.number] = one;
                }
            }
            for (Spelling one : best) {
                names.add(one.names());
            }
            Map<String, String> formerOfName = new HashMap<>();
            String[] formerKeys = new String[keys.size()];
            for (Spelling one : known.values()) {
                formerKeys[one.number] = one.names().stream()
                        .map(name -> formerOfName.computeIfAbsent(name, ValueKey::former))
                        .collect(Collectors.joining("/"));
            }
            for (int number = 0; number < formerKeys.length; number++) {
                if (!numbers.containsKey(formerKeys[number])) {
                    former.computeIfAbsent(formerKeys[number], key -> new ArrayList<>())
                            .add(number);
                }
            }
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

    private static int[] items(SortedSetDocValues values) throws IOException {
        int[] items = new int[Math.toIntExact(values.getValueCount())];
        while (values.nextDoc() != SortedSetDocValues.NO_MORE_DOCS) {
            for (int n = values.docValueCount(); n > 0; n--) {
                items[(int) values.nextOrd()]++;
            }
        }
        return items;
    }

    static CategoryNumbers of(IndexReader reader, FieldKey field) throws IOException {
        return PerState.of(reader, new OfField(field), CategoryNumbers.class, () -> new CategoryNumbers(reader, field));
    }

    private record OfField(FieldKey field) {}

    /**
     * How an item's values are counted.
     *
     * @param merged which values count as others
     * @param themselves whether a value counts for the items that name it itself alone, and not for those below it
     */
    record Reading(Map<String, String> merged, boolean themselves) {
        static final Reading PLAIN = new Reading(Map.of(), false);
    }

    /** By number, how many items in reach have the value; not to be written to. */
    int[] inReach(IndexSearcher searcher, FieldKey field, Reach reach, Reading reading) throws IOException {
        return PerState.of(
                searcher.getIndexReader(),
                reach,
                new InReach(field, reading),
                int[].class,
                () -> CategoryCounts.counting(searcher, field, ReachQuery.of(reach), reading)
                        .counts());
    }

    private record InReach(FieldKey field, Reading reading) {}

    /**
     * Of each part of the index, of each path in it: the numbers of the values that an item of that path counts for,
     * none twice.
     */
    int[][][] ofPaths(IndexReader reader, FieldKey field, Reading reading) throws IOException {
        return reading.equals(Reading.PLAIN)
                ? ofPaths
                : PerState.of(reader, new Read(field, reading), int[][][].class, () -> read(reading));
    }

    private record Read(FieldKey field, Reading reading) {}

    // The other rules take their defaults.
    @SuppressWarnings("NullAway")
    private int[][][] read(Reading reading) {
        // Once for all paths: making the rules compares each merged value with others.
        Filter.ValueRules rules = new Filter.ValueRules(true, reading.merged(), 0, null, null);
        return Arrays.stream(ofPaths)
                .map(part -> Arrays.stream(part)
                        .map(path -> read(path, reading, rules))
                        .toArray(int[][]::new))
                .toArray(int[][][]::new);
    }

    private int[] read(int[] path, Reading reading, Filter.ValueRules rules) {
        return IntStream.of(path)
                .skip(reading.themselves() ? path.length - 1 : 0)
                .flatMap(number -> {
                    String target = rules.standsFor(key(number));
                    return target.equals(key(number))
                            ? IntStream.of(number)
                            : reading.themselves()
                                    ? IntStream.of(number(target))
                                    : withThoseAbove(target).mapToInt(this::number);
                })
                .distinct()
                .toArray();
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
    int[] placesByName(IndexReader reader, FieldKey field, String language) throws IOException {
        return PerState.of(reader, new ByName(field, language), int[].class, () -> {
            Collator collator = Collator.getInstance(Locale.forLanguageTag(language));
            CollationKey[] sortable = names.stream()
                    .map(name -> collator.getCollationKey(name.getLast()))
                    .toArray(CollationKey[]::new);
            Integer[] order = IntStream.range(0, sortable.length)
                    .boxed()
                    .sorted(Comparator.comparing(number -> sortable[number]))
                    .toArray(Integer[]::new);
            int[] places = new int[order.length];
            for (int at = 1; at < order.length; at++) {
                places[order[at]] =
                        places[order[at - 1]] + (sortable[order[at]].compareTo(sortable[order[at - 1]]) == 0 ? 0 : 1);
            }
            return places;
        });
    }

    private record ByName(FieldKey field, String language) {}

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
