package tidylantern.core.query.order;

import java.io.IOException;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.Sort;
import org.apache.lucene.search.SortField;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.OrderKey;
import tidylantern.core.design.Tier;
import tidylantern.core.query.compiled.KnownDocuments;

/**
 * Which of the items found come first because their tier lifts them; product.md, 'Order'.
 *
 * @param tiers number of the tier of each document that is lifted, 0 for the highest
 * @param standings where each stands in its tier, less for an earlier place; none where the order has no such key
 */
public record LiftedItems(Map<Integer, Double> tiers, Map<Integer, Double> standings) {
    static final LiftedItems NOBODY = new LiftedItems(Map.of(), Map.of());
    /** More than there are turns in any tier. */
    private static final double PER_PLACE = 1L << 32;

    /** The order among those of one tier, of which some are lifted. */
    @FunctionalInterface
    interface Keys {
        List<SortField> fields(LiftedItems lifted) throws IOException;
    }

    /**
     * @param found what the query finds, filters and all
     * @param live whether it is for live results, of which a tier may lift another number
     * @param rest the fields of the order, for those of one tier
     */
    static LiftedItems of(
            IndexSearcher searcher,
            TierHolders holders,
            Query found,
            List<OrderKey> keys,
            LocalDate day,
            boolean live,
            Keys rest)
            throws IOException {
        if (keys.stream().noneMatch(key -> key.by() == OrderKey.By.TIER)) {
            return NOBODY;
        }
        // Before the tier it decides nothing, so nobody takes turns by it either.
        boolean places = keys.stream()
                .dropWhile(key -> key.by() != OrderKey.By.TIER)
                .anyMatch(key -> key.by() == OrderKey.By.PLACE_IN_TIER);
        Map<Integer, Double> tiers = new HashMap<>();
        Map<Integer, Double> standings = new HashMap<>();
        for (int tier = 0; tier < holders.tiers().size(); tier++) {
            Tier.Lift lift = holders.tiers().get(tier).lift();
            @Nullable Integer most = lift == null ? Integer.valueOf(0) : lift.most(live);
            int[] documents =
                    lift == null || (most != null && most == 0) ? new int[0] : holders.found(searcher, found, tier);
            if (documents.length == 0 || lift == null) {
                continue;
            }
            Map<Integer, Double> standing = places ? standings(documents, holders, lift.turns(), day) : Map.of();
            double number = tier;
            for (int document : most == null || documents.length <= most
                    ? documents
                    : first(searcher, found, documents, most, rest.fields(new LiftedItems(Map.of(), standing)))) {
                tiers.put(document, number);
                if (places) {
                    standings.put(document, standing.get(document));
                }
            }
        }
        return tiers.isEmpty() ? NOBODY : new LiftedItems(tiers, standings);
    }

    /**
     * By places, and among those of one place by turns, if they take any: the row of their references begins one
     * further every day.
     */
    private static Map<Integer, Double> standings(
            int[] byReference, TierHolders holders, Tier.Turns turns, LocalDate day) {
        Map<Integer, Integer> size = new HashMap<>();
        for (int document : byReference) {
            size.merge(holders.place(document), 1, Integer::sum);
        }
        Map<Integer, Integer> at = new HashMap<>();
        Map<Integer, Double> standings = new HashMap<>();
        for (int document : byReference) {
            int place = holders.place(document);
            int row = at.merge(place, 1, Integer::sum) - 1;
            long turn = turns == Tier.Turns.BY_DAY
                    ? Math.floorMod(row - day.toEpochDay(), (long) size.getOrDefault(place, 1))
                    : 0;
            standings.put(document, place * PER_PLACE + turn);
        }
        return standings;
    }

    private static int[] first(IndexSearcher searcher, Query found, int[] documents, int most, List<SortField> order)
            throws IOException {
        Query both = new BooleanQuery.Builder()
                .add(found, Occur.MUST)
                .add(new KnownDocuments(documents), Occur.FILTER)
                .build();
        return Arrays.stream(searcher.search(both, most, new Sort(order.toArray(SortField[]::new))).scoreDocs)
                .mapToInt((ScoreDoc one) -> one.doc)
                .toArray();
    }
}
