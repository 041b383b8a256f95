package tidylantern.core.query;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedSetDocValues;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.Scorer;
import org.apache.lucene.search.Weight;
import org.apache.lucene.util.Bits;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.index.IndexFields;
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
            return index.read(searcher -> count(searcher, field, ItemListing.query(filter)));
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the index", failure);
        }
    }

    private static List<Counted> count(IndexSearcher searcher, FieldKey field, Query query) throws IOException {
        return counting(searcher, field, query, CategoryNumbers.Reading.PLAIN).counted();
    }

    /** Counts the items that a query finds. */
    static Tally counting(IndexSearcher searcher, FieldKey field, Query query, CategoryNumbers.Reading reading)
            throws IOException {
        Tally counting = new Tally(searcher.getIndexReader(), field, reading);
        each(searcher, query, counting);
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
                counting.enter(leaf);
                for (int document = documents.nextDoc();
                        document != DocIdSetIterator.NO_MORE_DOCS;
                        document = documents.nextDoc()) {
                    if (live == null || live.get(document)) {
                        counting.add(document);
                    }
                }
            }
        }
    }

    /** Adds up the values of one item after the other. */
    static final class Tally extends Counting {
        private final FieldKey field;
        private final CategoryNumbers numbers;
        private final int[] counts;
        private final int[] lastSeen;
        private int seen;
        private final int[][][] ofAllPaths;
        private int[][] ofPaths = {};
        private @Nullable SortedSetDocValues values;

        Tally(IndexReader reader, FieldKey field, CategoryNumbers.Reading reading) throws IOException {
            this.field = field;
            numbers = CategoryNumbers.of(reader, field);
            ofAllPaths = numbers.ofPaths(reader, field, reading);
            counts = new int[numbers.size()];
            lastSeen = new int[numbers.size()];
        }

        @Override
        void open(LeafReaderContext leaf) throws IOException {
            ofPaths = ofAllPaths[leaf.ord];
            values = ofPaths.length == 0 ? null : DocValues.getSortedSet(leaf.reader(), IndexFields.paths(field));
        }

        @Override
        void count(int document) throws IOException {
            if (values == null || !values.advanceExact(document)) {
                return;
            }
            int paths = values.docValueCount();
            if (paths == 1) {
                for (int number : ofPaths[(int) values.nextOrd()]) {
                    counts[number]++;
                }
                return;
            }
            seen++;
            for (; paths > 0; paths--) {
                for (int number : ofPaths[(int) values.nextOrd()]) {
                    if (lastSeen[number] != seen) {
                        lastSeen[number] = seen;
                        counts[number]++;
                    }
                }
            }
        }

        CategoryNumbers numbers() {
            return numbers;
        }

        /** By number. */
        int[] counts() {
            return counts;
        }

        /** The values that an item has; a tree's branches one after the other, by name. */
        List<Counted> counted() {
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
