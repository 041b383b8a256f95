package tidylantern.core.query;

import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.apache.lucene.document.LatLonDocValuesField;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedNumericDocValues;
import org.apache.lucene.search.DoubleValues;
import org.apache.lucene.search.DoubleValuesSource;
import org.apache.lucene.search.FieldComparator;
import org.apache.lucene.search.FieldDoc;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Pruning;
import org.apache.lucene.search.Sort;
import org.apache.lucene.search.SortField;
import org.apache.lucene.search.SortedNumericSelector;
import org.apache.lucene.search.SortedNumericSortField;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.OrderKey;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.index.IndexFields;

/** The order of a query's results, as the design and the visitor's choice have it. The last key is always the item's reference. */
record Ordering(Sort sort) {
    private static final SortField BY_REFERENCE = new SortField(IndexFields.REF, SortField.Type.STRING);

    static Ordering of(ReadQuery read, VisitorQuery query, SearchDesign design, SiteContent content, IndexSearcher searcher) throws IOException {
        List<SortField> fields = new ArrayList<>();
        for (OrderKey key : design.order().keys(read.startingList(), query.order())) {
            SortField field = field(key, query, design, content, searcher);
            if (field != null && !(read.startingList() && key.by() == OrderKey.By.RELEVANCE)) {
                fields.add(field);
            }
        }
        fields.add(BY_REFERENCE);
        return new Ordering(new Sort(fields.toArray(SortField[]::new)));
    }

    /** Null where the key says nothing: its field is of another kind by now, or nobody knows where the visitor is. */
    private static @Nullable SortField field(OrderKey key, VisitorQuery query, SearchDesign design, SiteContent content, IndexSearcher searcher) throws IOException {
        FieldKey field = Objects.requireNonNullElse(key.field(), FieldKey.PUBLISHED);
        if (key.field() != null && !key.fits(content.kind(key.field()))) {
            return null;
        }
        return switch (key.by()) {
            case RELEVANCE -> SortField.FIELD_SCORE;
            case DISTANCE -> {
                Whereabouts.Position from = position(query, design, content, searcher, key.field());
                FieldKey places = key.field() == null ? placeField(design, content) : key.field();
                yield from != null && places != null ? LatLonDocValuesField.newDistanceSort(IndexFields.place(places), from.latitude(), from.longitude())
                        : key.without() == null ? null : field(key.without(), query, design, content, searcher);
            }
            case NEWEST -> new SortedNumericSortField(IndexFields.numbers(field), SortField.Type.LONG, true, SortedNumericSelector.Type.MAX, Long.MIN_VALUE);
            case NEXT_DAY -> new NextDay(IndexFields.numbers(field), query.today()).getSortField(false);
            case NUMBER -> new SortedNumericSortField(IndexFields.numbers(field), SortField.Type.DOUBLE, key.down(), key.down() ? SortedNumericSelector.Type.MAX : SortedNumericSelector.Type.MIN,
                    key.down() ? Double.NEGATIVE_INFINITY : Double.POSITIVE_INFINITY);
            case TITLE -> new SortField(IndexFields.TITLE_ORDER, SortField.Type.STRING, key.down());
        };
    }

    /** The first field of places among those searched; null if there is none. */
    static @Nullable FieldKey placeField(SearchDesign design, SiteContent content) {
        return content.collections().stream().filter(collection -> design.searched().contains(collection.key())).flatMap(collection -> collection.fields().stream())
                .filter(field -> field.kind() == FieldKind.PLACE).map(Field::key).findFirst().orElse(null);
    }

    /** Where the visitor is, or the middle of the place they name; null where nobody knows. */
    static Whereabouts.@Nullable Position position(VisitorQuery query, SearchDesign design, SiteContent content, IndexSearcher searcher, @Nullable FieldKey places) throws IOException {
        FieldKey field = places == null ? placeField(design, content) : places;
        if (query.whereabouts().position() != null || query.whereabouts().name().isEmpty() || field == null) {
            return query.whereabouts().position();
        }
        PlaceNames.Named named = PlaceNames.of(searcher, design.reach(), field).meant(query.whereabouts().name());
        return named == null ? null : named.middle();
    }

    /** At which place of the sort values the score stands; -1 where words decide nothing. */
    int scoreAt() {
        return List.of(sort.getSort()).indexOf(SortField.FIELD_SCORE);
    }

    /** Compares what two results were ordered by. */
    int compare(FieldDoc a, FieldDoc b) {
        SortField[] fields = sort.getSort();
        for (int i = 0; i < fields.length; i++) {
            @SuppressWarnings("unchecked")
            FieldComparator<Object> comparator = (FieldComparator<Object>) fields[i].getComparator(1, Pruning.NONE);
            int compared = comparator.compareValues(a.fields[i], b.fields[i]) * (fields[i].getReverse() ? -1 : 1);
            if (compared != 0) {
                return compared;
            }
        }
        return 0;
    }

    /** The first day from today on; infinitely late for an item that has none. */
    private static final class NextDay extends DoubleValuesSource {
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
        public boolean needsScores() {
            return false;
        }

        @Override
        public DoubleValuesSource rewrite(IndexSearcher reader) {
            return this;
        }

        @Override
        public boolean isCacheable(LeafReaderContext leaf) {
            return false;
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
