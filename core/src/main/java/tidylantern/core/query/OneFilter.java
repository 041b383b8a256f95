package tidylantern.core.query;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.Filter;
import tidylantern.core.design.SearchDesign;

/**
 * One filter of a design in one query: what the visitor set, whom that lets through, what there is to count and to
 * offer.
 */
interface OneFilter {
    Filter filter();

    /** What is set, as the address has it, without what the design or the content does not have; none if nothing is. */
    List<String> values();

    /** The same as visitors read it. */
    default List<String> said() {
        return values();
    }

    /** Passed by the items that fit what is set; null if nothing is. */
    @Nullable Query passed();

    /**
     * The same as {@link #passed}, asked of one item after the other: what an item has in the field is looked up, which
     * for the results of one query costs far less than going through all that pass.
     */
    Passing passing(LeafReaderContext leaf) throws IOException;

    /** Whether what is set here is kept in for the filter's own counts, as it is where all of several must hold. */
    default boolean keepsOwn() {
        return false;
    }

    /** Counts what {@link #answer} will offer; the same one every time. */
    Counting counting() throws IOException;

    /** After everything has been counted. */
    FilterAnswer answer() throws IOException;

    /**
     * Counts the items that this filter lets through too, where {@link #answer} wants to know them as well; the same
     * one every time.
     */
    default @Nullable Counting countingFound() throws IOException {
        return null;
    }

    /**
     * Some values that the answer does not hold: those right below one, or with letters in their names where that is
     * empty.
     */
    default List<FilterAnswer.Offered> more(String below, String named) throws IOException {
        return List.of();
    }

    /** The same filter with one category value set and nothing else; null where there is no such value. */
    default @Nullable OneFilter withOnly(String value) throws IOException {
        return null;
    }

    /** The category values on offer, of a tree those at the top, each with how many items in reach have it. */
    default List<FilterAnswer.Offered> inReach() throws IOException {
        return List.of();
    }

    /** How often items of each category value were chosen, by the values' keys. */
    default Map<String, Long> timesChosen(Chosen chosen) throws IOException {
        return Map.of();
    }

    /** How many category values are on offer, those of all levels. */
    default int onOffer() throws IOException {
        return 0;
    }

    /** Whether nearly every category value on offer stands in one item in reach alone. */
    default boolean nearlyUnique() throws IOException {
        return false;
    }

    /** What of the field's values is not on offer. */
    default FilterFigures.LeftOut leftOut() throws IOException {
        return FilterFigures.LeftOut.NOTHING;
    }

    /** @param given parameters of the filter's name; null where there are none, which is its start */
    static OneFilter of(
            Filter filter,
            @Nullable List<String> given,
            IndexSearcher searcher,
            SiteContent content,
            SearchDesign design,
            VisitorQuery query,
            Located located,
            Effort effort)
            throws IOException {
        if (filter.joined() != null) {
            return new JointFilter(filter, filter.joined(), given, searcher, content, design, query, effort);
        }
        if (filter.field().equals(FieldKey.COLLECTION)) {
            return new CollectionFilter(filter, given == null ? List.of() : given, content, design);
        }
        FieldKind kind = content.kind(filter.field());
        if (given == null && filter.start().all() && kind == FieldKind.CATEGORY) {
            return CategoryFilter.ofAll(filter, searcher, query.orderedBy(content, design.searched()), design);
        }
        return ofValues(
                filter,
                given == null ? filter.start().chosen() : given,
                searcher,
                content,
                design,
                query,
                located,
                effort);
    }

    private static OneFilter ofValues(
            Filter filter,
            List<String> given,
            IndexSearcher searcher,
            SiteContent content,
            SearchDesign design,
            VisitorQuery query,
            Located located,
            Effort effort)
            throws IOException {
        return switch (content.kind(filter.field())) {
            case NUMBER, MONEY -> NumberFilter.ofNumbers(filter, given, searcher, design);
            case DATE -> NumberFilter.ofDays(filter, given, searcher, design, query.today());
            case YES_NO -> new YesNoFilter(filter, given);
            case TEXT, CODE -> new TextFilter(filter, given, searcher, content, design, effort);
            // A field of another kind, or of none any more, has no values.
            case PLACE ->
                new DistanceFilter(
                        filter,
                        given,
                        isFirstOfPlaces(filter, content, design),
                        searcher,
                        content,
                        design,
                        query.whereabouts().within(),
                        located);
            case CATEGORY, IMAGE, LINK ->
                new CategoryFilter(filter, given, searcher, query.orderedBy(content, design.searched()), design);
            case null ->
                new CategoryFilter(filter, given, searcher, query.orderedBy(content, design.searched()), design);
        };
    }

    /** The parameter 'within' of the public contract means the first filter by distance. */
    private static boolean isFirstOfPlaces(Filter filter, SiteContent content, SearchDesign design) {
        return design.filtersInUse().stream()
                .filter(one -> content.kind(one.field()) == FieldKind.PLACE)
                .findFirst()
                .filter(filter::equals)
                .isPresent();
    }
}
