package tidylantern.core.query;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedSetDocValues;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.FilteredDocIdSetIterator;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.Scorer;
import org.apache.lucene.search.Weight;
import org.apache.lucene.util.Bits;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.IndexState;
import tidylantern.core.index.SiteIndex;

/**
 * Counts items by the values of a category field. An item counts once under each of its values and once under each
 * value above them, however many of its values lie there (product.md, 'Filters').
 */
public final class CategoryCounts {
    private CategoryCounts() {}

    /**
     * @param value key of the path
     * @param names from the top; where a value is written in several ways, the most frequent
     * @param count of distinct items
     */
    public record Counted(String value, List<String> names, int count) {}

    /**
     * Every value that an item of the filter has, and those above them; a tree's branches one after the other, by name.
     */
    public static List<Counted> of(SiteIndex index, FieldKey field, ItemFilter filter) {
        try {
            return index.read(state ->
                    counting(state, field, ItemListing.query(filter)).counted(CategoryNumbers.of(state, field)));
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the index", failure);
        }
    }

    private static Tally counting(IndexState state, FieldKey field, Query query) throws IOException {
        Tally counting = Tally.of(CategoryNumbers.of(state, field), field, CategoryNumbers.Reading.PLAIN);
        each(state.searcher(), query, counting);
        return counting;
    }

    /** Shows every item that a query finds. */
    static void each(IndexSearcher searcher, Query query, Counting counting) throws IOException {
        Weight weight = searcher.createWeight(searcher.rewrite(query), ScoreMode.COMPLETE_NO_SCORES, 1);
        for (LeafReaderContext leaf : searcher.getIndexReader().leaves()) {
            Scorer scorer = weight.scorer(leaf);
            if (scorer != null) {
                Bits live = leaf.reader().getLiveDocs();
                DocIdSetIterator documents = scorer.iterator();
                counting.addAll(
                        leaf,
                        live == null
                                ? documents
                                : new FilteredDocIdSetIterator(documents) {
                                    @Override
                                    protected boolean match(int document) {
                                        return live.get(document);
                                    }
                                });
            }
        }
    }

    /** Adds up the values of one item after the other. */
    static final class Tally extends Counting {
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

        private Tally(FieldKey field, CategoryNumbers.Paths paths, int @Nullable [] under, int size) {
            this.field = field;
            this.paths = paths;
            this.under = under;
            counts = new int[size];
            lastSeen = new int[size];
        }

        /** Counts by the numbers of the whole index. */
        static Tally of(CategoryNumbers numbers, FieldKey field, CategoryNumbers.Reading reading) throws IOException {
            return new Tally(field, numbers.paths(reading), null, numbers.size());
        }

        /** Counts in one part alone, by its own numbers. */
        static Tally inPart(FieldKey field, CategoryNumbers.Paths paths, LeafReaderContext part) {
            int size = paths.numbers(part).length;
            return new Tally(field, paths, IntStream.range(0, size).toArray(), size);
        }

        @Override
        void open(LeafReaderContext leaf) throws IOException {
            ofPaths = paths.of(leaf);
            numbers = under == null ? paths.numbers(leaf) : under;
            values = ofPaths.length == 0 ? null : DocValues.getSortedSet(leaf.reader(), IndexFields.paths(field));
        }

        @Override
        void count(int document) throws IOException {
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
        List<Counted> counted(CategoryNumbers numbers) {
            List<Counted> counted = new ArrayList<>();
            for (int number = 0; number < counts.length; number++) {
                if (counts[number] > 0) {
                    counted.add(new Counted(numbers.key(number), numbers.names(number), counts[number]));
                }
            }
            counted.sort(Comparator.comparing(Counted::value, CategoryCounts::inTreeOrder));
            return counted;
        }
    }

    /** By the names of the path one after the other, so that what lies below a value follows it at once. */
    private static int inTreeOrder(String a, String b) {
        return Arrays.compare(a.split("/"), b.split("/"));
    }
}
