package tidylantern.core.query.filter;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.Query;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.DaySource;
import tidylantern.core.design.filter.DistanceSource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterSource;
import tidylantern.core.design.filter.JointSource;
import tidylantern.core.design.filter.NumberSource;
import tidylantern.core.design.filter.WordSource;
import tidylantern.core.design.filter.YesNoSource;
import tidylantern.core.index.IndexState;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.compiled.DocumentCounting;
import tidylantern.core.query.compiled.FilterPlan;
import tidylantern.core.query.place.VisitorPlace;
import tidylantern.core.query.words.Effort;
import tidylantern.core.query.words.VisitorQuery;

/**
 * One filter of a design in one query: what the visitor set, whom that lets through, what there is to count and to
 * offer.
 */
public interface QueryFilter {
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
    DocumentTest passing(LeafReaderContext leaf) throws IOException;

    /** Whether what is set here is kept in for the filter's own counts, as it is where all of several must hold. */
    default boolean keepsOwn() {
        return false;
    }

    /** Counts what {@link #answer} will offer; the same one every time. */
    DocumentCounting counting() throws IOException;

    /** After everything has been counted. */
    FilterAnswer answer() throws IOException;

    /**
     * Reckons what {@link #answer} needs beside counts, and what is kept for as long as the state of the index lasts.
     */
    default void prepare() throws IOException {}

    /**
     * Counts the items that this filter lets through too, where {@link #answer} wants to know them as well; the same
     * one every time.
     */
    default @Nullable DocumentCounting countingFound() throws IOException {
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
    default @Nullable QueryFilter withOnly(String value) throws IOException {
        return null;
    }

    /** The category values on offer, of a tree those at the top, each with how many items in reach have it. */
    default List<FilterAnswer.Offered> inReach() throws IOException {
        return List.of();
    }

    /** How often items of each category value were chosen, by the values' keys. */
    default Map<String, Long> timesChosen(MostChosen chosen) throws IOException {
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

    /**
     * What a filter is set in.
     *
     * @param effort of the answer
     */
    record Setting(CompiledSearch search, IndexState state, VisitorQuery query, VisitorPlace located, Effort effort) {
        /** Whose rules names are ordered by. */
        String language() {
            return query.orderedBy(search.content(), search.design().searched());
        }

        /** The same where nobody is anywhere. */
        Setting nowhere() {
            return new Setting(search, state, query, VisitorPlace.NOWHERE, effort);
        }
    }

    /** @param given parameters of the filter's name; null where there are none, which is its start */
    static QueryFilter of(FilterPlan plan, @Nullable List<String> given, Setting in) throws IOException {
        FilterSource source = plan.filter().source();
        List<String> set = given == null ? source.start() : given;
        return switch (source) {
            case JointSource joint -> new JointFilter(plan, joint, given, in);
            case CategorySource categories -> ofCategories(plan, categories, given, in);
            case NumberSource numbers -> NumberFilter.ofNumbers(plan.filter(), numbers, set, in);
            case DaySource days -> NumberFilter.ofDays(plan.filter(), days, set, in);
            case YesNoSource yesNo -> new YesNoFilter(plan.filter(), yesNo, set);
            case WordSource ignored -> new TextFilter(plan, set, in);
            case DistanceSource distance -> new DistanceFilter(plan, distance, set, in);
        };
    }

    private static QueryFilter ofCategories(
            FilterPlan plan, CategorySource source, @Nullable List<String> given, Setting in) throws IOException {
        List<String> set = given == null ? source.start() : given;
        if (source.field().equals(FieldKey.COLLECTION)) {
            return new CollectionFilter(plan.filter(), set, in.search());
        }
        return given == null && source.allAtStart()
                ? CategoryFilter.ofAll(plan, source, in)
                : new CategoryFilter(plan, source, set, in);
    }
}
