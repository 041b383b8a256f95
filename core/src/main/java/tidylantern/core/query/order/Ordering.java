package tidylantern.core.query.order;

import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.apache.lucene.document.LatLonDocValuesField;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedNumericDocValues;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.DoubleValues;
import org.apache.lucene.search.FieldComparator;
import org.apache.lucene.search.FieldDoc;
import org.apache.lucene.search.FieldExistsQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Pruning;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.Sort;
import org.apache.lucene.search.SortField;
import org.apache.lucene.search.SortedNumericSelector;
import org.apache.lucene.search.SortedNumericSortField;
import org.apache.lucene.util.BytesRef;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.Placement;
import tidylantern.core.design.OrderKey;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Tier;
import tidylantern.core.index.IndexFields;
import tidylantern.core.place.Position;
import tidylantern.core.query.compiled.KnownDocuments;
import tidylantern.core.query.filter.NarrowedQuery;
import tidylantern.core.query.words.PinsInPlay;

/**
 * The order of a query's results, as the design and the visitor's choice have it: what the sort says, with the pinned
 * ones last; those then stand at their places. The last key is always the item's reference.
 *
 * @param keys what each field of the sort is for; null for that of pins and the reference
 * @param pinned by their places
 */
public record Ordering(
        IndexSearcher searcher,
        Sort sort,
        List<@Nullable OrderKey> keys,
        List<Pinned> pinned,
        TierHolders holders,
        LiftedItems lifted) {
    private static final SortField BY_REFERENCE = new SortField(IndexFields.REF, SortField.Type.STRING);

    /** @param at 0 for the first place */
    record Pinned(int document, int at) {}

    /** In which order the results of a query stand. */
    public static Ordering of(NarrowedQuery asked) throws IOException {
        return of(asked, asked.found(), false);
    }

    /** The same for live results, of which a tier may lift another number to the top. */
    public static Ordering live(NarrowedQuery asked) throws IOException {
        return of(asked, asked.found(), true);
    }

    /** In which order the results stand while nothing is set in any filter. */
    public static Ordering ofAll(NarrowedQuery asked) throws IOException {
        return of(asked, asked.read().lucene(), false);
    }

    /**
     * @param found what the query finds, filters and all
     * @param live whether it is for live results
     */
    private static Ordering of(NarrowedQuery asked, Query found, boolean live) throws IOException {
        SearchDesign design = asked.design();
        IndexSearcher searcher = asked.searcher();
        List<OrderKey> keys =
                design.order().keys(asked.read().startingList(), asked.query().order());
        TierHolders holders = TierHolders.of(
                asked.state(), asked.search().tiers(), asked.query().today());
        LiftedItems lifted = LiftedItems.of(
                searcher, holders, found, keys, asked.query().today(), live, among -> fields(asked, keys, among)
                        .fields());
        Fields fields = fields(asked, keys, lifted);
        List<Pinned> pinned = pinned(asked, found);
        if (!pinned.isEmpty()) {
            fields.fields()
                    .addFirst(new NumberByDocument(
                                    pinned.stream().collect(Collectors.toMap(Pinned::document, one -> 1.0)),
                                    0,
                                    searcher.getIndexReader().maxDoc())
                            .getSortField(false));
            fields.keys().addFirst(null);
        }
        return new Ordering(
                searcher, new Sort(fields.fields().toArray(SortField[]::new)), fields.keys(), pinned, holders, lifted);
    }

    /**
     * Whether what a query finds begins with the newest, as far as no pin and no tier decides, and any of it has a day.
     */
    public boolean newestFirst(Query found) throws IOException {
        OrderKey first = keys.stream()
                .filter(Objects::nonNull)
                .filter(key -> key.by() != OrderKey.By.TIER && key.by() != OrderKey.By.PLACE_IN_TIER)
                .findFirst()
                .orElse(null);
        if (first == null || first.by() != OrderKey.By.NEWEST) {
            return false;
        }
        FieldKey field = Objects.requireNonNullElse(first.field(), FieldKey.PUBLISHED);
        Query dated = new BooleanQuery.Builder()
                .add(found, Occur.FILTER)
                .add(new FieldExistsQuery(IndexFields.numbers(field)), Occur.FILTER)
                .build();
        return searcher.search(dated, 1).scoreDocs.length > 0;
    }

    private record Fields(List<SortField> fields, List<@Nullable OrderKey> keys) {}

    private static Fields fields(NarrowedQuery asked, List<OrderKey> keys, LiftedItems lifted) {
        Fields fields = new Fields(new ArrayList<>(), new ArrayList<>());
        boolean tiered = false;
        for (OrderKey key : keys) {
            tiered |= key.by() == OrderKey.By.TIER;
            if (key.by() == OrderKey.By.PLACE_IN_TIER && !tiered) {
                // It compares items of one tier alone, and until the tiers are told apart that is no order of all.
                continue;
            }
            OrderKey holding = key.by() == OrderKey.By.DISTANCE && key.without() != null && measured(asked, key) == null
                    ? key.without()
                    : key;
            SortField field = asked.read().startingList() && holding.by() == OrderKey.By.RELEVANCE
                    ? null
                    : field(asked, holding, lifted);
            if (field != null) {
                fields.fields().add(field);
                fields.keys().add(holding);
            }
        }
        fields.fields().add(BY_REFERENCE);
        fields.keys().add(null);
        return fields;
    }

    /** What a distance is measured from, in which field; null where one of them is unknown. */
    private static @Nullable SortField measured(NarrowedQuery asked, OrderKey key) {
        FieldKey places = key.field() == null
                ? asked.search().placeFields().stream().findFirst().orElse(null)
                : key.field();
        Position from = key.field() == null || key.fits(asked.content().kind(key.field()))
                ? asked.located().position()
                : null;
        return from == null || places == null
                ? null
                : LatLonDocValuesField.newDistanceSort(IndexFields.place(places), from.latitude(), from.longitude());
    }

    /**
     * Null where the key says nothing: its field is of another kind by now, nobody knows where the visitor is, or
     * nothing is lifted.
     */
    private static @Nullable SortField field(NarrowedQuery asked, OrderKey key, LiftedItems lifted) {
        FieldKey field = Objects.requireNonNullElse(key.field(), FieldKey.PUBLISHED);
        if (key.field() != null && !key.fits(asked.content().kind(key.field()))) {
            return null;
        }
        return switch (key.by()) {
            case TIER -> lifted.tiers().isEmpty() ? null : stand(asked, lifted.tiers());
            case PLACE_IN_TIER -> lifted.standings().isEmpty() ? null : stand(asked, lifted.standings());
            case RELEVANCE -> SortField.FIELD_SCORE;
            case DISTANCE -> measured(asked, key);
            case NEWEST ->
                new SortedNumericSortField(
                        IndexFields.numbers(field),
                        SortField.Type.LONG,
                        true,
                        SortedNumericSelector.Type.MAX,
                        Long.MIN_VALUE);
            case NEXT_DAY ->
                new NextDay(IndexFields.numbers(field), asked.query().today()).getSortField(false);
            case NUMBER ->
                new SortedNumericSortField(
                        IndexFields.numbers(field),
                        SortField.Type.DOUBLE,
                        key.down(),
                        key.down() ? SortedNumericSelector.Type.MAX : SortedNumericSelector.Type.MIN,
                        key.down() ? Double.NEGATIVE_INFINITY : Double.POSITIVE_INFINITY);
            case TITLE -> new SortField(IndexFields.TITLE_ORDER, SortField.Type.STRING, key.down());
        };
    }

    private static SortField stand(NarrowedQuery asked, Map<Integer, Double> values) {
        return new NumberByDocument(
                        values,
                        Double.POSITIVE_INFINITY,
                        asked.searcher().getIndexReader().maxDoc())
                .getSortField(false);
    }

    /** The item of a result of the sort. */
    public static ItemRef reference(ScoreDoc result) {
        Object[] fields = ((FieldDoc) result).fields;
        return ItemRef.parse(((BytesRef) fields[fields.length - 1]).utf8ToString());
    }

    /**
     * Those that a pin puts at a place and that are found. An order that a visitor chose has no places of the owner's
     * in it.
     */
    private static List<Pinned> pinned(NarrowedQuery asked, Query found) throws IOException {
        Map<ItemRef, Integer> places = asked.read().pins().places();
        if (places.isEmpty() || asked.design().order().chosen(asked.query().order())) {
            return List.of();
        }
        Query both = new BooleanQuery.Builder()
                .add(found, Occur.FILTER)
                .add(PinsInPlay.items(places.keySet()), Occur.FILTER)
                .build();
        return Arrays.stream(asked.searcher().search(both, places.size(), new Sort(BY_REFERENCE)).scoreDocs)
                .map(one -> new Pinned(one.doc, Objects.requireNonNull(places.get(reference(one))) - 1))
                .sorted(Comparator.comparingInt(Pinned::at))
                .toList();
    }

    /** The place, 0 for the first, of the result that is so many-th among those that are not pinned. */
    int place(int amongOthers) {
        int place = amongOthers;
        for (Pinned one : pinned) {
            place += one.at() <= place ? 1 : 0;
        }
        return place;
    }

    /** How many results that are not pinned stand before one of the pinned. */
    int before(int numberOfPinned, int others) {
        return Math.min(pinned.get(numberOfPinned).at() - numberOfPinned, others);
    }

    /** Whether its tier lifts it before all that are not. */
    public boolean isLifted(int document) {
        return lifted.tiers().containsKey(document);
    }

    /** Whether a pin gives it its place. */
    public boolean isPinned(int document) {
        return pinned.stream().anyMatch(one -> one.document() == document);
    }

    /**
     * Results in their order, from the first.
     *
     * @param sorted the first of them by the sort, as many as are wanted or all
     * @param total how many there are
     */
    public List<ScoreDoc> merged(ScoreDoc[] sorted, int total, Query found) throws IOException {
        if (pinned.isEmpty()) {
            return List.of(sorted);
        }
        List<ScoreDoc> merged = new ArrayList<>(
                Arrays.stream(sorted).filter(one -> !isPinned(one.doc)).toList());
        List<ScoreDoc> put = pinnedResults(found);
        for (int i = 0; i < put.size(); i++) {
            int place = before(i, total - put.size()) + i;
            if (place <= merged.size()) {
                merged.add(place, put.get(i));
            }
        }
        return merged.subList(0, Math.min(merged.size(), sorted.length));
    }

    /** The pinned ones with what they were ordered by, by their places. */
    List<ScoreDoc> pinnedResults(Query found) throws IOException {
        Query both = new BooleanQuery.Builder()
                .add(found, Occur.MUST)
                .add(
                        new KnownDocuments(
                                pinned.stream().mapToInt(Pinned::document).toArray()),
                        Occur.FILTER)
                .build();
        ScoreDoc[] put = searcher.search(both, pinned.size(), sort).scoreDocs;
        List<Integer> documents = pinned.stream().map(Pinned::document).toList();
        Arrays.sort(put, Comparator.comparingInt(one -> documents.indexOf(one.doc)));
        return List.of(put);
    }

    /** @param neighbour the result from which it is told apart; null where there is none */
    public Standing standing(FieldDoc result, @Nullable FieldDoc neighbour, boolean takesTurns) {
        Integer pinnedAt = pinned.stream()
                .filter(one -> one.document() == result.doc)
                .findFirst()
                .map(one -> one.at() + 1)
                .orElse(null);
        Tier tier = holders.of(result.doc);
        boolean isLifted = isLifted(result.doc);
        int place = holders.place(result.doc);
        int parting = pinnedAt != null || neighbour == null ? -1 : parting(result, neighbour);
        return new Standing(
                pinnedAt,
                tier == null ? null : tier.key(),
                tier == null ? null : tier.name(),
                isLifted,
                tier == null || place > Placement.LAST_PLACE ? null : (Integer) place,
                takesTurns && isLifted,
                parting < 0 ? null : keys.get(parting));
    }

    /** Whether those of a tier that have no place of their own, or the same one, take turns in this order. */
    public boolean takesTurns(int document) {
        Tier tier = holders.of(document);
        return tier != null
                && tier.lift() != null
                && tier.lift().turns() == Tier.Turns.BY_DAY
                && lifted.standings().containsKey(document);
    }

    /** The first field in which two results differ; -1 if they do in none. */
    private int parting(FieldDoc a, FieldDoc b) {
        for (int i = 0; i < sort.getSort().length; i++) {
            if (compare(a, b, i) != 0) {
                return i;
            }
        }
        return -1;
    }

    /** At which place of the sort values the score stands; -1 where words decide nothing. */
    public int scoreAt() {
        return List.of(sort.getSort()).indexOf(SortField.FIELD_SCORE);
    }

    /** Compares what two results were ordered by. */
    int compare(FieldDoc a, FieldDoc b) {
        int parting = parting(a, b);
        return parting < 0 ? 0 : compare(a, b, parting);
    }

    private int compare(FieldDoc a, FieldDoc b, int i) {
        SortField field = sort.getSort()[i];
        @SuppressWarnings("unchecked")
        FieldComparator<Object> comparator = (FieldComparator<Object>) field.getComparator(1, Pruning.NONE);
        return comparator.compareValues(a.fields[i], b.fields[i]) * (field.getReverse() ? -1 : 1);
    }

    /** The first day from today on; infinitely late for an item that has none. */
    private static final class NextDay extends DocumentNumbers {
        private final String days;
        private final LocalDate today;

        NextDay(String days, LocalDate today) {
            this.days = days;
            this.today = today;
        }

        @Override
        public DoubleValues getValues(LeafReaderContext leaf, @Nullable DoubleValues scores) throws IOException {
            SortedNumericDocValues values = DocValues.getSortedNumeric(leaf.reader(), days);
            return new DoubleValues() {
                private double next;

                @Override
                public double doubleValue() {
                    return next;
                }

                @Override
                public boolean advanceExact(int document) throws IOException {
                    next = Double.POSITIVE_INFINITY;
                    if (values.advanceExact(document)) {
                        // Ascending.
                        for (int left = values.docValueCount(); left > 0 && next == Double.POSITIVE_INFINITY; left--) {
                            long day = values.nextValue();
                            next = day >= today.toEpochDay() ? day : next;
                        }
                    }
                    return true;
                }
            };
        }

        @Override
        public boolean equals(Object other) {
            return other instanceof NextDay one && one.days.equals(days) && one.today.equals(today);
        }

        @Override
        public int hashCode() {
            return Objects.hash(days, today);
        }

        @Override
        public String toString() {
            return "first of " + days + " from " + today;
        }
    }
}
