package tidylantern.core.query.order;

import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.stream.IntStream;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.ReaderUtil;
import org.apache.lucene.index.SortedDocValues;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.Scorer;
import org.apache.lucene.util.Bits;
import org.apache.lucene.util.BytesRef;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Placement;
import tidylantern.core.design.Tier;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.IndexState;
import tidylantern.core.query.compiled.DocumentCounting;
import tidylantern.core.query.compiled.KnownDocuments;
import tidylantern.core.query.compiled.TierRules;

/**
 * Which items hold which featured tier on a day, by placements and by what they say; an item that holds several has the
 * highest. Reckoned once for a part of the index, as long as neither the tiers nor the placements nor the day change.
 */
public final class TierHolders {
    private static final TierHolders NOBODY = new TierHolders(List.of(), List.of(), List.of(), new int[0][]);

    private final List<Tier> tiers;
    private final List<LeafReaderContext> leaves;
    private final List<InPart> parts;
    private final int[][] byTier;
    private final List<KnownDocuments> holding;

    private TierHolders(List<Tier> tiers, List<LeafReaderContext> leaves, List<InPart> parts, int[][] byTier) {
        this.tiers = tiers;
        this.leaves = leaves;
        this.parts = parts;
        this.byTier = byTier;
        this.holding = Arrays.stream(byTier).map(KnownDocuments::new).toList();
    }

    /** Who holds which tier on a day; nobody where there are no tiers. */
    public static TierHolders of(IndexState state, TierRules rules, LocalDate day) throws IOException {
        return rules.tiers().isEmpty()
                ? NOBODY
                : state.kept(rules, day, TierHolders.class, () -> reckoned(state, rules.ofDay(day, state)));
    }

    private static TierHolders reckoned(IndexState state, TierRules.OfDay on) throws IOException {
        List<InPart> parts = new ArrayList<>();
        for (LeafReaderContext part : state.parts()) {
            parts.add(state.ofPart(part, on, InPart.class, InPart.class, () -> InPart.of(part, state.searcher(), on)));
        }
        int[][] byTier = new int[on.tiers().size()][];
        for (int tier = 0; tier < byTier.length; tier++) {
            byTier[tier] = byReference(state.parts(), parts, tier);
        }
        return new TierHolders(on.tiers(), state.parts(), parts, byTier);
    }

    /** The documents of a tier in all parts, by their items' references: what each part has in order, put together. */
    private static int[] byReference(List<LeafReaderContext> leaves, List<InPart> parts, int tier) throws IOException {
        PriorityQueue<Next> queue = new PriorityQueue<>();
        for (int i = 0; i < leaves.size(); i++) {
            Next first = new Next(leaves.get(i), parts.get(i).byTier.get(tier));
            if (first.found()) {
                queue.add(first);
            }
        }
        IntStream.Builder documents = IntStream.builder();
        for (Next next = queue.poll(); next != null; next = queue.poll()) {
            documents.add(next.document());
            if (next.found()) {
                queue.add(next);
            }
        }
        return documents.build().toArray();
    }

    /** Goes through the documents of one part that are not deleted. */
    private static final class Next implements Comparable<Next> {
        private final LeafReaderContext part;
        private final Holders holders;
        private final SortedDocValues references;
        private int at = -1;
        private BytesRef reference = new BytesRef();

        Next(LeafReaderContext part, Holders holders) throws IOException {
            this.part = part;
            this.holders = holders;
            references = DocValues.getSorted(part.reader(), IndexFields.REF);
        }

        /** Goes on to the next; false at the end. */
        boolean found() throws IOException {
            Bits live = part.reader().getLiveDocs();
            int[] documents = holders.documents;
            at++;
            while (at < documents.length && live != null && !live.get(documents[at])) {
                at++;
            }
            if (at == documents.length) {
                return false;
            }
            reference = BytesRef.deepCopyOf(references.lookupOrd(holders.references[at]));
            return true;
        }

        int document() {
            return part.docBase + holders.documents[at];
        }

        @Override
        public int compareTo(Next other) {
            return reference.compareTo(other.reference);
        }
    }

    /** Who holds which tier in one part of the index, whether deleted by now or not. */
    private static final class InPart {
        /** By document: 0 for no tier, else its number from 1 on; empty where none holds any. */
        private final byte[] tierOf;

        private final List<Holders> byTier;
        /** Given by hand, by document. */
        private final Map<Integer, Integer> places;

        private InPart(byte[] tierOf, List<Holders> byTier, Map<Integer, Integer> places) {
            this.tierOf = tierOf;
            this.byTier = byTier;
            this.places = places;
        }

        static InPart of(LeafReaderContext part, IndexSearcher searcher, TierRules.OfDay on) throws IOException {
            byte[] tierOf = new byte[part.reader().maxDoc()];
            Map<Integer, Integer> places = new HashMap<>();
            Map<Integer, Integer> ordinals = new HashMap<>();
            // The highest last, so that it is the one that stays.
            for (int number = on.tiers().size(); number >= 1; number--) {
                Tier tier = on.tiers().get(number - 1);
                Map<String, Placement> byHand = new HashMap<>();
                on.placements().stream()
                        .filter(placement -> placement.tier().equals(tier.key()))
                        .forEach(placement -> byHand.put(placement.item().toString(), placement));
                Scorer found = searcher.createWeight(on.holding().get(number - 1), ScoreMode.COMPLETE_NO_SCORES, 1)
                        .scorer(part);
                if (found != null) {
                    new Holding((byte) number, byHand, tierOf, places, ordinals).addAll(part, found.iterator());
                }
            }
            List<Holders> byTier = IntStream.rangeClosed(1, on.tiers().size())
                    .mapToObj(number -> Holders.of(ordinals.entrySet().stream()
                            .filter(one -> tierOf[one.getKey()] == number)
                            .sorted(Map.Entry.comparingByValue())
                            .toList()))
                    .toList();
            return new InPart(ordinals.isEmpty() ? new byte[0] : tierOf, byTier, Map.copyOf(places));
        }
    }

    /** Who holds one tier in one part, by their items' references. */
    private static final class Holders {
        private final int[] documents;
        /** Numbers of the references within the part. */
        private final int[] references;

        private Holders(int[] documents, int[] references) {
            this.documents = documents;
            this.references = references;
        }

        static Holders of(List<Map.Entry<Integer, Integer>> inOrder) {
            return new Holders(
                    inOrder.stream().mapToInt(Map.Entry::getKey).toArray(),
                    inOrder.stream().mapToInt(Map.Entry::getValue).toArray());
        }
    }

    /** Notes who holds one tier. */
    private static final class Holding extends DocumentCounting {
        private final byte tier;
        private final Map<String, Placement> byHand;
        private final byte[] tierOf;
        private final Map<Integer, Integer> places;
        private final Map<Integer, Integer> ordinals;
        private @Nullable SortedDocValues references;

        /** @param ordinals of the references, by document */
        Holding(
                byte tier,
                Map<String, Placement> byHand,
                byte[] tierOf,
                Map<Integer, Integer> places,
                Map<Integer, Integer> ordinals) {
            this.tier = tier;
            this.byHand = byHand;
            this.tierOf = tierOf;
            this.places = places;
            this.ordinals = ordinals;
        }

        @Override
        public void open(LeafReaderContext part) throws IOException {
            references = DocValues.getSorted(part.reader(), IndexFields.REF);
        }

        @Override
        public void count(int document) throws IOException {
            if (references == null || !references.advanceExact(document)) {
                return;
            }
            tierOf[document] = tier;
            ordinals.put(document, references.ordValue());
            Placement placement = byHand.isEmpty()
                    ? null
                    : byHand.get(references.lookupOrd(references.ordValue()).utf8ToString());
            places.remove(document);
            if (placement != null && placement.place() != null) {
                places.put(document, placement.place());
            }
        }
    }

    /** The highest first. */
    public List<Tier> tiers() {
        return tiers;
    }

    /** The tier that an item holds; null for none. */
    public @Nullable Tier of(int document) {
        if (tiers.isEmpty()) {
            return null;
        }
        LeafReaderContext leaf = leaves.get(ReaderUtil.subIndex(document, leaves));
        byte[] tierOf = parts.get(leaf.ord).tierOf;
        int number = tierOf.length == 0 ? 0 : tierOf[document - leaf.docBase];
        return number == 0 ? null : tiers.get(number - 1);
    }

    /** All documents that hold a tier, by their items' references. */
    int[] documents(int tier) {
        return byTier[tier];
    }

    /** The place in the tier that was given by hand; one after all those for the others. */
    int place(int document) {
        if (tiers.isEmpty()) {
            return Placement.LAST_PLACE + 1;
        }
        LeafReaderContext leaf = leaves.get(ReaderUtil.subIndex(document, leaves));
        return parts.get(leaf.ord).places.getOrDefault(document - leaf.docBase, Placement.LAST_PLACE + 1);
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
    public int[] found(IndexSearcher searcher, Query found, int tier) throws IOException {
        int[] all = documents(tier);
        if (all.length == 0) {
            return all;
        }
        Set<Integer> passing = new HashSet<>();
        Query both = new BooleanQuery.Builder()
                .add(holding.get(tier), Occur.FILTER)
                .add(found, Occur.FILTER)
                .build();
        new DocumentCounting() {
            private int base;

            @Override
            public void open(LeafReaderContext leaf) {
                base = leaf.docBase;
            }

            @Override
            public void count(int document) {
                passing.add(base + document);
            }
        }.addAll(searcher, both);
        return Arrays.stream(all).filter(passing::contains).toArray();
    }
}
