package tidylantern.core.query.order;

import java.io.IOException;
import java.util.Arrays;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.MultiDocValues;
import org.apache.lucene.index.NumericDocValues;
import org.apache.lucene.index.OrdinalMap;
import org.apache.lucene.index.SortedDocValues;
import org.apache.lucene.index.SortedNumericDocValues;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.Scorer;
import org.apache.lucene.util.IntroSelector;
import org.apache.lucene.util.LongValues;
import org.jspecify.annotations.Nullable;
import tidylantern.core.index.IndexFields;

/**
 * Any stretch of a query's documents in an order, at about the same cost wherever it lies: the documents are told apart
 * by selection, and only the stretch itself is put in order. A queue of the best, as searches use it, grows with the
 * distance from the top and compares texts anew with every part of the index.
 */
public final class OrderedDocuments {
    /** Numbers of texts over the whole index, which are costly to make; those of readers that are closed go. */
    private final Map<Numbered, OrdinalMap> numbers = new ConcurrentHashMap<>();

    private record Numbered(IndexReader.CacheKey reader, String field) {}

    /** What documents are ordered by. Those that have no value come last, whichever way. */
    public sealed interface By {
        /** The order of a text. */
        record Text(String field) implements By {}

        /** The order of the numbers as the index has them; of several the first in the order counts. */
        record Numeric(String field) implements By {}
    }

    /**
     * Documents of the whole index, by their numbers in it; equal ones by the references of their items.
     *
     * @param reversed from the highest down
     * @param from 0 for the first
     * @param to exclusive
     */
    public int[] stretch(IndexSearcher searcher, Query query, By by, boolean reversed, int from, int to)
            throws IOException {
        Found found = collect(searcher, query, by, reversed);
        int end = Math.min(to, found.size);
        if (from >= end) {
            return new int[0];
        }
        found.select(0, from);
        if (end < found.size) {
            found.select(from, end);
        }
        return found.inOrder(from, end);
    }

    /** Documents with their keys, all of which grow in the order that is wanted. */
    private static final class Found {
        private int[] documents = new int[1 << 10];
        private long[] keys = new long[1 << 10];
        private int[] references = new int[1 << 10];
        private int size;

        void add(int document, long key, int reference) {
            if (size == documents.length) {
                documents = Arrays.copyOf(documents, size * 2);
                keys = Arrays.copyOf(keys, size * 2);
                references = Arrays.copyOf(references, size * 2);
            }
            documents[size] = document;
            keys[size] = key;
            references[size++] = reference;
        }

        private void swapped(int a, int b) {
            int document = documents[a];
            documents[a] = documents[b];
            documents[b] = document;
            long key = keys[a];
            keys[a] = keys[b];
            keys[b] = key;
            int reference = references[a];
            references[a] = references[b];
            references[b] = reference;
        }

        private static int compared(long key, int reference, long otherKey, int otherReference) {
            int byKey = Long.compare(key, otherKey);
            return byKey != 0 ? byKey : Integer.compare(reference, otherReference);
        }

        /** Afterwards, of those from {@code first} on, all before the place are lower, and none behind it is. */
        void select(int first, int place) {
            new IntroSelector() {
                private long key;
                private int reference;

                @Override
                protected void swap(int a, int b) {
                    swapped(a, b);
                }

                @Override
                protected void setPivot(int place) {
                    key = keys[place];
                    reference = references[place];
                }

                @Override
                protected int comparePivot(int place) {
                    return compared(key, reference, keys[place], references[place]);
                }
            }.select(first, size, place);
        }

        int[] inOrder(int from, int to) {
            return IntStream.range(from, to)
                    .boxed()
                    .sorted((a, b) -> compared(keys[a], references[a], keys[b], references[b]))
                    .mapToInt(place -> documents[place])
                    .toArray();
        }
    }

    private Found collect(IndexSearcher searcher, Query query, By by, boolean reversed) throws IOException {
        IndexReader reader = searcher.getIndexReader();
        Found found = new Found();
        var weight = searcher.createWeight(searcher.rewrite(query), ScoreMode.COMPLETE_NO_SCORES, 1);
        for (LeafReaderContext leaf : reader.leaves()) {
            Scorer scorer = weight.scorer(leaf);
            if (scorer == null) {
                continue;
            }
            Keys keys =
                    switch (by) {
                        case By.Text text -> texts(reader, leaf, text.field());
                        case By.Numeric number -> numbers(leaf, number.field(), reversed);
                    };
            Keys references = texts(reader, leaf, IndexFields.REF);
            DocIdSetIterator documents = scorer.iterator();
            var live = leaf.reader().getLiveDocs();
            for (int document = documents.nextDoc();
                    document != DocIdSetIterator.NO_MORE_DOCS;
                    document = documents.nextDoc()) {
                if (live == null || live.get(document)) {
                    Long key = keys.of(document);
                    // From the highest down is from the lowest complement up; what has no value comes last either way.
                    found.add(
                            leaf.docBase + document,
                            key == null ? Long.MAX_VALUE : reversed ? ~key : key,
                            Math.toIntExact(java.util.Objects.requireNonNull(references.of(document))));
                }
            }
        }
        return found;
    }

    /** One number a document, which grows with what it is ordered by. */
    @FunctionalInterface
    private interface Keys {
        /** Called with ever higher documents; null where the document has no value. */
        @Nullable Long of(int document) throws IOException;
    }

    private Keys texts(IndexReader reader, LeafReaderContext leaf, String field) throws IOException {
        SortedDocValues values = DocValues.getSorted(leaf.reader(), field);
        OrdinalMap numbered = numbered(reader, field);
        LongValues everywhere = numbered == null ? LongValues.IDENTITY : numbered.getGlobalOrds(leaf.ord);
        return document -> values.advanceExact(document) ? everywhere.get(values.ordValue()) : null;
    }

    /** Null where one part is the whole, and its own numbers do. */
    private @Nullable OrdinalMap numbered(IndexReader reader, String field) throws IOException {
        IndexReader.CacheHelper life = reader.getReaderCacheHelper();
        if (reader.leaves().size() == 1 || life == null) {
            return null;
        }
        Numbered key = new Numbered(life.getKey(), field);
        OrdinalMap known = numbers.get(key);
        if (known == null
                && MultiDocValues.getSortedValues(reader, field) instanceof MultiDocValues.MultiSortedDocValues all) {
            known = all.mapping;
            numbers.put(key, known);
            life.addClosedListener(
                    closed -> numbers.keySet().removeIf(one -> one.reader().equals(closed)));
        }
        return known;
    }

    private static Keys numbers(LeafReaderContext leaf, String field, boolean last) throws IOException {
        NumericDocValues single = leaf.reader().getNumericDocValues(field);
        if (single != null) {
            return document -> single.advanceExact(document) ? single.longValue() : null;
        }
        SortedNumericDocValues values = DocValues.getSortedNumeric(leaf.reader(), field);
        return document -> {
            if (!values.advanceExact(document)) {
                return null;
            }
            long value = values.nextValue();
            for (int n = values.docValueCount(); last && n > 1; n--) {
                value = values.nextValue();
            }
            return value;
        };
    }
}
