package tidylantern.core.query;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedSetDocValues;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.Scorer;
import org.apache.lucene.search.Weight;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.FieldKey;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.SiteIndex;

/**
 * Counts items by the values of a category field. An item counts once under each of its values and once under each value
 * above them, however many of its values lie there (product.md, 'Filters').
 */
public final class CategoryCounts {
    private CategoryCounts() {}

    /**
     * @param value key of the path
     * @param names from the top; where a value is written in several ways, the most frequent
     * @param count of distinct items
     */
    public record Counted(String value, List<String> names, int count) {}

    /** Every value that an item of the filter has, and those above them; a tree's branches one after the other, by name. */
    public static List<Counted> of(SiteIndex index, FieldKey field, ItemFilter filter) {
        try {
            return index.read(searcher -> count(searcher, field, ItemListing.query(filter)));
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the index", failure);
        }
    }

    private static List<Counted> count(IndexSearcher searcher, FieldKey field, Query query) throws IOException {
        Map<String, Integer> numbers = new HashMap<>();
        List<String> keys = new ArrayList<>();
        List<Map<List<String>, Integer>> spellings = new ArrayList<>();
        int[] counts = new int[64];
        int[] lastSeen = new int[64];
        Weight weight = searcher.createWeight(searcher.rewrite(query), ScoreMode.COMPLETE_NO_SCORES, 1);
        int seen = 0;
        for (LeafReaderContext leaf : searcher.getIndexReader().leaves()) {
            SortedSetDocValues values = DocValues.getSortedSet(leaf.reader(), IndexFields.paths(field));
            Scorer scorer = weight.scorer(leaf);
            if (scorer == null || values.getValueCount() == 0) {
                continue;
            }
            int[][] above = new int[Math.toIntExact(values.getValueCount())][];
            CategoryPath[] paths = new CategoryPath[above.length];
            for (int ord = 0; ord < above.length; ord++) {
                paths[ord] = new CategoryPath(List.of(values.lookupOrd(ord).utf8ToString().split(String.valueOf(IndexFields.BETWEEN_NAMES))));
                above[ord] = paths[ord].fromTheTop().stream().mapToInt(path -> numbers.computeIfAbsent(path.key(), key -> {
                    keys.add(key);
                    spellings.add(new LinkedHashMap<>());
                    return keys.size() - 1;
                })).toArray();
            }
            if (keys.size() > counts.length) {
                counts = Arrays.copyOf(counts, keys.size() * 2);
                lastSeen = Arrays.copyOf(lastSeen, keys.size() * 2);
            }
            int[] perOrd = new int[above.length];
            DocIdSetIterator documents = scorer.iterator();
            for (int document = documents.nextDoc(); document != DocIdSetIterator.NO_MORE_DOCS; document = documents.nextDoc()) {
                if (!values.advanceExact(document)) {
                    continue;
                }
                seen++;
                for (int n = values.docValueCount(); n > 0; n--) {
                    int ord = (int) values.nextOrd();
                    perOrd[ord]++;
                    for (int number : above[ord]) {
                        if (lastSeen[number] != seen) {
                            lastSeen[number] = seen;
                            counts[number]++;
                        }
                    }
                }
            }
            for (int ord = 0; ord < perOrd.length; ord++) {
                for (int level = 0; level < above[ord].length && perOrd[ord] > 0; level++) {
                    spellings.get(above[ord][level]).merge(paths[ord].names().subList(0, level + 1), perOrd[ord], Integer::sum);
                }
            }
        }
        List<Counted> counted = new ArrayList<>();
        for (int i = 0; i < keys.size(); i++) {
            if (counts[i] > 0) {
                List<String> names = spellings.get(i).entrySet().stream().max(Map.Entry.<List<String>, Integer>comparingByValue()
                        .thenComparing(entry -> String.join("/", entry.getKey()), Comparator.reverseOrder())).orElseThrow().getKey();
                counted.add(new Counted(keys.get(i), names, counts[i]));
            }
        }
        counted.sort(Comparator.comparing(Counted::value, CategoryCounts::inTreeOrder));
        return counted;
    }

    /** By the names of the path one after the other, so that what lies below a value follows it at once. */
    private static int inTreeOrder(String a, String b) {
        return Arrays.compare(a.split("/"), b.split("/"));
    }
}
