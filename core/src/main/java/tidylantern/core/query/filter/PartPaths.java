package tidylantern.core.query.filter;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedSetDocValues;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.MatchAllDocsQuery;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.ValueKey;
import tidylantern.core.design.filter.OfferedValues;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.IndexState;
import tidylantern.core.index.PartFigures;

/**
 * The paths of a category field in one part of an index, taken apart. A part never changes, so this is done once for
 * it, however many states have it.
 */
public final class PartPaths {
    private final List<Value> values = new ArrayList<>();
    private final List<Spelling> spellings = new ArrayList<>();
    private final Counted plain;
    /** By path: the spellings that it is written with, from the top. */
    private final int[][] spellingsOfPaths;

    /** @param above the number, within the part, of the value above; -1 at the top */
    record Value(String key, int above) {}

    /**
     * One way in which a value is written.
     *
     * @param value its number within the part
     * @param names from the top
     * @param former the key that it had before signs counted in keys
     */
    record Spelling(int value, List<String> names, String former) {}

    /** For which values each path counts. */
    static final class Counted {
        private final List<String> keys;
        private final int[][] ofPaths;

        private Counted(List<String> keys, int[][] ofPaths) {
            this.keys = keys;
            this.ofPaths = ofPaths;
        }

        /** Of the values, by their numbers here. */
        List<String> keys() {
            return keys;
        }

        /** By path: numbers of values, none twice. Not to be written to. */
        int[][] ofPaths() {
            return ofPaths;
        }
    }

    private PartPaths(LeafReaderContext part, FieldKey field) throws IOException {
        SortedSetDocValues paths = DocValues.getSortedSet(part.reader(), IndexFields.paths(field));
        int[][] ofPaths = new int[Math.toIntExact(paths.getValueCount())][];
        spellingsOfPaths = new int[ofPaths.length][];
        Tree tree = new Tree();
        for (int path = 0; path < ofPaths.length; path++) {
            List<Tree.Written> written =
                    tree.of(paths.lookupOrd(path).utf8ToString().split(String.valueOf(IndexFields.BETWEEN_NAMES)));
            ofPaths[path] = written.stream().mapToInt(one -> one.number).toArray();
            spellingsOfPaths[path] =
                    written.stream().mapToInt(one -> one.spelling).toArray();
        }
        tree.known.values().forEach(one -> spellings.add(one.asItIs()));
        plain = new Counted(values.stream().map(Value::key).toList(), ofPaths);
    }

    static PartPaths of(IndexState state, LeafReaderContext part, FieldKey field) throws IOException {
        return state.ofPart(part, new OfField(field), PartPaths.class, () -> new PartPaths(part, field));
    }

    private record OfField(FieldKey field) {}

    /** By spelling: how many documents that are not deleted write it so, it or something below it. */
    static int[] items(IndexState state, LeafReaderContext part, FieldKey field) throws IOException {
        Items items = new Items(state, field);
        return state.ofPart(part, MatchAllDocsQuery.INSTANCE, new ItemsOf(field), int[].class, items);
    }

    private record ItemsOf(FieldKey field) {}

    private record Items(IndexState state, FieldKey field) implements PartFigures<int[]> {
        @Override
        public int[] over(LeafReaderContext part, DocIdSetIterator documents) throws IOException {
            PartPaths known = of(state, part, field);
            SortedSetDocValues paths = DocValues.getSortedSet(part.reader(), IndexFields.paths(field));
            int[] items = new int[known.spellings.size()];
            while (documents.nextDoc() != DocIdSetIterator.NO_MORE_DOCS) {
                if (paths.advanceExact(documents.docID())) {
                    for (int left = paths.docValueCount(); left > 0; left--) {
                        for (int spelling : known.spellingsOfPaths[(int) paths.nextOrd()]) {
                            items[spelling]++;
                        }
                    }
                }
            }
            return items;
        }

        @Override
        public int[] without(int[] all, int[] gone) {
            return PartFigures.difference(all, gone);
        }
    }

    /**
     * All ways in which the paths are written, as a tree of names: each name is looked at once below its parent, and
     * made a key once, however many paths go through it.
     */
    private final class Tree {
        private final Map<String, String> keyOfName = new HashMap<>();
        private final Map<String, String> formerOfName = new HashMap<>();
        private final Map<String, Integer> numbers = new HashMap<>();
        private final Map<Below, Written> known = new LinkedHashMap<>();

        /** A name below another spelling; null for one at the top. */
        private record Below(@Nullable Written parent, String name) {}

        /** The same only as itself. */
        private final class Written {
            private final @Nullable Written parent;
            private final String name;
            private final int number;
            private final int spelling;

            Written(@Nullable Written parent, String name) {
                this.parent = parent;
                this.name = name;
                spelling = known.size();
                String own = keyOfName.computeIfAbsent(name, ValueKey::of);
                number = numbers.computeIfAbsent(
                        parent == null ? own : values.get(parent.number).key() + "/" + own, key -> {
                            values.add(new Value(key, parent == null ? -1 : parent.number));
                            return values.size() - 1;
                        });
            }

            Spelling asItIs() {
                List<String> names = new ArrayList<>();
                for (Written one = this; one != null; one = one.parent) {
                    names.addFirst(one.name);
                }
                return new Spelling(
                        number,
                        List.copyOf(names),
                        names.stream()
                                .map(one -> formerOfName.computeIfAbsent(one, ValueKey::former))
                                .collect(Collectors.joining("/")));
            }
        }

        /** A path as it is written, from the top. */
        List<Written> of(String[] path) {
            List<Written> written = new ArrayList<>();
            Written at = null;
            for (String name : path) {
                Below below = new Below(at, name);
                Written next = known.get(below);
                if (next == null) {
                    next = new Written(at, name);
                    known.put(below, next);
                }
                written.add(next);
                at = next;
            }
            return written;
        }
    }

    /** By their numbers; what lies below a value comes after it. */
    List<Value> values() {
        return values;
    }

    List<Spelling> spellings() {
        return spellings;
    }

    /** For which values each path counts, where values are read in some way. */
    static Counted counted(IndexState state, LeafReaderContext part, FieldKey field, CategoryNumbers.Reading reading)
            throws IOException {
        PartPaths paths = of(state, part, field);
        return reading.equals(CategoryNumbers.Reading.PLAIN)
                ? paths.plain
                : state.ofPart(part, reading, new OfField(field), Counted.class, () -> paths.read(reading));
    }

    private Counted read(CategoryNumbers.Reading reading) {
        Map<String, Integer> numbers = new LinkedHashMap<>();
        values.forEach(value -> numbers.put(value.key(), numbers.size()));
        int[][] ofPaths = Arrays.stream(plain.ofPaths())
                .map(path -> read(path, reading, numbers))
                .toArray(int[][]::new);
        return new Counted(List.copyOf(numbers.keySet()), ofPaths);
    }

    /** @param numbers of the values by their keys; what others count as may be nowhere in this part, and is added */
    private int[] read(int[] path, CategoryNumbers.Reading reading, Map<String, Integer> numbers) {
        return IntStream.of(path)
                .skip(reading.themselves() ? path.length - 1 : 0)
                .flatMap(number -> {
                    String key = values.get(number).key();
                    String target = OfferedValues.standsFor(key, reading.merged());
                    if (target.equals(key)) {
                        return IntStream.of(number);
                    }
                    return (reading.themselves()
                                    ? java.util.stream.Stream.of(target)
                                    : CategoryNumbers.withThoseAbove(target))
                            .mapToInt(one ->
                                    Objects.requireNonNull(numbers.computeIfAbsent(one, added -> numbers.size())));
                })
                .distinct()
                .toArray();
    }
}
