package tidylantern.core.query.order;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.apache.lucene.search.FieldDoc;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.TopFieldDocs;

/** The first results of every collection in the order of the whole, pinned ones at their places among the others. */
public final class LiveGroups {
    private LiveGroups() {}

    /** @param results of one collection, the first of them */
    public record Group(String collection, int total, List<ScoreDoc> results) {}

    private record Placed(ScoreDoc result, double place) {}

    /**
     * The collection with the best result first.
     *
     * @param found by collection, by the sort of the ordering: {@code most} of each
     */
    public static List<Group> inOrder(
            Map<String, TopFieldDocs> found, Ordering ordering, IndexSearcher searcher, Query query, int most)
            throws IOException {
        Map<Integer, Double> placesOfPinned = new HashMap<>();
        Map<String, List<ScoreDoc>> pinned = new HashMap<>();
        Map<Integer, Double> placesOfFirst = new HashMap<>();
        if (!ordering.pinned().isEmpty()) {
            int last = ordering.pinned().getLast().at() + 1;
            for (ScoreDoc one : ordering.pinnedResults(query)) {
                pinned.computeIfAbsent(Ordering.reference(one).collection().value(), key -> new ArrayList<>())
                        .add(one);
            }
            ScoreDoc[] first = searcher.search(query, last, ordering.sort()).scoreDocs;
            int others = searcher.count(query) - ordering.pinned().size();
            for (int i = 0; i < ordering.pinned().size(); i++) {
                // Between the last result that stands before it and the next; pinned ones side by side keep their
                // order.
                placesOfPinned.put(ordering.pinned().get(i).document(), ordering.before(i, others) - 0.5 + i / 1_000.0);
            }
            for (int i = 0; i < first.length; i++) {
                placesOfFirst.put(first[i].doc, (double) i);
            }
        }
        Comparator<Placed> order = Comparator.comparingDouble(Placed::place)
                .thenComparing(placed -> (FieldDoc) placed.result(), ordering::compare);
        List<Group> groups = new ArrayList<>();
        Map<Group, Placed> best = new HashMap<>();
        found.forEach((collection, top) -> {
            List<Placed> placed = new ArrayList<>();
            for (ScoreDoc one : Stream.concat(
                            Arrays.stream(top.scoreDocs).filter(other -> !ordering.isPinned(other.doc)),
                            pinned.getOrDefault(collection, List.of()).stream())
                    .toList()) {
                placed.add(new Placed(
                        one,
                        placesOfPinned.getOrDefault(
                                one.doc, placesOfFirst.getOrDefault(one.doc, Double.POSITIVE_INFINITY))));
            }
            placed.sort(order);
            Group group = new Group(
                    collection,
                    Math.toIntExact(top.totalHits.value()),
                    placed.stream().limit(most).map(Placed::result).toList());
            groups.add(group);
            best.put(group, placed.getFirst());
        });
        groups.sort(Comparator.comparing(best::get, order));
        return groups;
    }
}
