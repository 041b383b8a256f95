package tidylantern.core.query;

import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.ReaderUtil;
import org.apache.lucene.index.SortedDocValues;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermInSetQuery;
import org.apache.lucene.util.BytesRef;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Placement;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Tier;
import tidylantern.core.index.IndexFields;

/**
 * Which items hold which featured tier on a day, by placements and by what they say; an item that holds several has the
 * highest. Reckoned once for a state of the index, and as long as neither the tiers nor the placements nor the day
 * change.
 */
final class TierHolders {
    private static final TierHolders NOBODY = new TierHolders(List.of(), new byte[0][], new int[0][], Map.of());

    private final List<Tier> tiers;
    /** By part of the index and document: 0 for no tier, else its number from 1 on. */
    private final byte[][] tierOf;

    private final int[][] byTier;
    private final List<Documents> holding;
    private final Map<Integer, Integer> places;

    private TierHolders(List<Tier> tiers, byte[][] tierOf, int[][] byTier, Map<Integer, Integer> places) {
        this.tiers = tiers;
        this.tierOf = tierOf;
        this.byTier = byTier;
        this.holding = Arrays.stream(byTier).map(Documents::new).toList();
        this.places = places;
    }

    private record On(List<Tier> tiers, List<Placement> placements, LocalDate day) {}

    static TierHolders of(IndexSearcher searcher, SearchDesign design, SiteContent content, LocalDate day)
            throws IOException {
        if (design.tiers().isEmpty()) {
            return NOBODY;
        }
        List<Tier> tiers = design.tiersByRank();
        List<Placement> placements = content.placements().stream()
                .filter(placement -> placement.holdsOn(day)
                        && tiers.stream().anyMatch(tier -> tier.key().equals(placement.tier())))
                .toList();
        On on = new On(tiers, placements, day);
        return PerState.of(
                searcher.getIndexReader(),
                on,
                TierHolders.class,
                TierHolders.class,
                () -> reckoned(searcher, on, content));
    }

    private static TierHolders reckoned(IndexSearcher searcher, On on, SiteContent content) throws IOException {
        List<LeafReaderContext> leaves = searcher.getIndexReader().leaves();
        byte[][] tierOf =
                leaves.stream().map(leaf -> new byte[leaf.reader().maxDoc()]).toArray(byte[][]::new);
        Map<Integer, Integer> places = new HashMap<>();
        Map<Integer, String> references = new HashMap<>();
        // The highest last, so that it is the one that stays.
        for (int number = on.tiers().size(); number >= 1; number--) {
            Tier tier = on.tiers().get(number - 1);
            Map<String, Placement> byHand = new HashMap<>();
            on.placements().stream()
                    .filter(placement -> placement.tier().equals(tier.key()))
                    .forEach(placement -> byHand.put(placement.item().toString(), placement));
            Query holding = holding(tier, byHand.keySet(), content);
            CategoryCounts.each(searcher, holding, new Holding((byte) number, byHand, tierOf, places, references));
        }
        return new TierHolders(
                on.tiers(), tierOf, byTier(leaves, on.tiers().size(), tierOf, references), Map.copyOf(places));
    }

    /** Those placed by hand and those that a rule of the tier names. */
    private static Query holding(Tier tier, Set<String> byHand, SiteContent content) {
        BooleanQuery.Builder holding = new BooleanQuery.Builder();
        List<BytesRef> references = byHand.stream().map(BytesRef::new).toList();
        holding.add(new TermInSetQuery(IndexFields.REF, references), Occur.SHOULD);
        for (Tier.Holders holders : tier.holders()) {
            List<CollectionKey> collections = holders.collection() != null
                    ? List.of(holders.collection())
                    : content.collections().stream().map(one -> one.key()).toList();
            collections.forEach(collection -> holding.add(ReachQuery.rule(holders.rule(), collection), Occur.SHOULD));
        }
        return holding.build();
    }

    /** Documents of each tier, by their items' references. */
    private static int[][] byTier(
            List<LeafReaderContext> leaves, int tiers, byte[][] tierOf, Map<Integer, String> references) {
        List<List<Integer>> held = new ArrayList<>();
        for (int tier = 0; tier < tiers; tier++) {
            held.add(new ArrayList<>());
        }
        references.keySet().forEach(document -> {
            LeafReaderContext leaf = leaves.get(ReaderUtil.subIndex(document, leaves));
            held.get(tierOf[leaf.ord][document - leaf.docBase] - 1).add(document);
        });
        return held.stream()
                .map(documents -> documents.stream()
                        .sorted(Comparator.comparing(references::get))
                        .mapToInt(Integer::intValue)
                        .toArray())
                .toArray(int[][]::new);
    }

    /** Notes who holds one tier. */
    private static final class Holding extends Counting {
        private final byte tier;
        private final Map<String, Placement> byHand;
        private final byte[][] tierOf;
        private final Map<Integer, Integer> places;
        private final Map<Integer, String> references;
        private @Nullable SortedDocValues names;
        private byte @Nullable [] here;
        private int base;

        Holding(
                byte tier,
                Map<String, Placement> byHand,
                byte[][] tierOf,
                Map<Integer, Integer> places,
                Map<Integer, String> references) {
            this.tier = tier;
            this.byHand = byHand;
            this.tierOf = tierOf;
            this.places = places;
            this.references = references;
        }

        @Override
        void open(LeafReaderContext leaf) throws IOException {
            names = DocValues.getSorted(leaf.reader(), IndexFields.REF);
            here = tierOf[leaf.ord];
            base = leaf.docBase;
        }

        @Override
        void count(int document) throws IOException {
            if (here == null || names == null || !names.advanceExact(document)) {
                return;
            }
            here[document] = tier;
            String reference = names.lookupOrd(names.ordValue()).utf8ToString();
            references.put(base + document, reference);
            Placement placement = byHand.get(reference);
            places.remove(base + document);
            if (placement != null && placement.place() != null) {
                places.put(base + document, placement.place());
            }
        }
    }

    /** The highest first. */
    List<Tier> tiers() {
        return tiers;
    }

    /** The tier that an item holds; null for none. */
    @Nullable Tier of(IndexSearcher searcher, int document) {
        if (tiers.isEmpty()) {
            return null;
        }
        List<LeafReaderContext> leaves = searcher.getIndexReader().leaves();
        LeafReaderContext leaf = leaves.get(ReaderUtil.subIndex(document, leaves));
        int number = tierOf[leaf.ord][document - leaf.docBase];
        return number == 0 ? null : tiers.get(number - 1);
    }

    /** All documents that hold a tier, by their items' references. */
    int[] documents(int tier) {
        return byTier[tier];
    }

    /** The place in the tier that was given by hand; one after all those for the others. */
    int place(int document) {
        return places.getOrDefault(document, Placement.LAST_PLACE + 1);
    }

    /** Those of what is found that hold any tier. */
    Query among(Query found) {
        BooleanQuery.Builder any = new BooleanQuery.Builder();
        holding.forEach(documents -> any.add(documents, Occur.SHOULD));
        return new BooleanQuery.Builder()
                .add(any.build(), Occur.FILTER)
                .add(found, Occur.FILTER)
                .build();
    }

    /** Those of a tier's documents that a query finds, by their items' references. */
    int[] found(IndexSearcher searcher, Query found, int tier) throws IOException {
        int[] all = documents(tier);
        if (all.length == 0) {
            return all;
        }
        Set<Integer> passing = new HashSet<>();
        Query both = new BooleanQuery.Builder()
                .add(holding.get(tier), Occur.FILTER)
                .add(found, Occur.FILTER)
                .build();
        CategoryCounts.each(searcher, both, new Counting() {
            private int base;

            @Override
            void open(LeafReaderContext leaf) {
                base = leaf.docBase;
            }

            @Override
            void count(int document) {
                passing.add(base + document);
            }
        });
        return Arrays.stream(all).filter(passing::contains).toArray();
    }
}
