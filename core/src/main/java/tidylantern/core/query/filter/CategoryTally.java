package tidylantern.core.query.filter;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedSetDocValues;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.index.IndexFields;
import tidylantern.core.query.compiled.DocumentCounting;

/**
 * Counts items by the values of a category field. An item counts once under each of its values and once under each
 * value above them, however many of its values lie there (product.md, 'Filters').
 */
public final class CategoryTally extends DocumentCounting {
    private final FieldKey field;
    private final CategoryNumbers.Paths paths;
    /** What to count a part's own numbers under, where that is not what they are in the whole index. */
    private final int @Nullable [] under;

    private final int[] counts;
    private final int[] lastSeen;
    private int seen;
    private int[][] ofPaths = {};
    private int[] numbers = {};
    private @Nullable SortedSetDocValues values;

    private CategoryTally(FieldKey field, CategoryNumbers.Paths paths, int @Nullable [] under, int size) {
        this.field = field;
        this.paths = paths;
        this.under = under;
        counts = new int[size];
        lastSeen = new int[size];
    }

    /** Counts by the numbers of the whole index. */
    public static CategoryTally of(CategoryNumbers numbers, FieldKey field, CategoryNumbers.Reading reading)
            throws IOException {
        return new CategoryTally(field, numbers.paths(reading), null, numbers.size());
    }

    /** Counts in one part alone, by its own numbers. */
    static CategoryTally inPart(FieldKey field, CategoryNumbers.Paths paths, LeafReaderContext part) {
        int size = paths.numbers(part).length;
        return new CategoryTally(field, paths, IntStream.range(0, size).toArray(), size);
    }

    @Override
    public void open(LeafReaderContext leaf) throws IOException {
        ofPaths = paths.of(leaf);
        numbers = under == null ? paths.numbers(leaf) : under;
        values = ofPaths.length == 0 ? null : DocValues.getSortedSet(leaf.reader(), IndexFields.paths(field));
    }

    @Override
    public void count(int document) throws IOException {
        if (values == null || !values.advanceExact(document)) {
            return;
        }
        int left = values.docValueCount();
        if (left == 1) {
            for (int own : ofPaths[(int) values.nextOrd()]) {
                counts[numbers[own]]++;
            }
            return;
        }
        seen++;
        for (; left > 0; left--) {
            for (int own : ofPaths[(int) values.nextOrd()]) {
                int number = numbers[own];
                if (lastSeen[number] != seen) {
                    lastSeen[number] = seen;
                    counts[number]++;
                }
            }
        }
    }

    /** By number. */
    int[] counts() {
        return counts;
    }

    /** The values that an item has; a tree's branches one after the other, by name. */
    public List<CategoryCount> counted(CategoryNumbers numbers) {
        List<CategoryCount> counted = new ArrayList<>();
        for (int number = 0; number < counts.length; number++) {
            if (counts[number] > 0) {
                counted.add(new CategoryCount(numbers.key(number), numbers.names(number), counts[number]));
            }
        }
        counted.sort(Comparator.comparing(CategoryCount::value, CategoryTally::inTreeOrder));
        return counted;
    }

    /** By the names of the path one after the other, so that what lies below a value follows it at once. */
    private static int inTreeOrder(String a, String b) {
        return Arrays.compare(a.split("/"), b.split("/"));
    }
}
