package tidylantern.core.query.order;

import java.io.IOException;
import java.util.List;
import java.util.Objects;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.results.StartingList;
import tidylantern.core.query.compiled.FoundAtLeast;
import tidylantern.core.query.filter.MostChosen;
import tidylantern.core.query.filter.NarrowedQuery;
import tidylantern.core.query.filter.QueryFilter;

/**
 * Which of everything in reach stands there before anything is typed or set; everything where the owner wants that, or
 * where what they want has nothing in it.
 *
 * @param with which they are
 * @param label of the category that they are of; empty for others
 * @param among finds them; null for everything, and for nothing
 */
public record StartingItems(
        StartingList.With with, String label, @Nullable Query among) {
    static final StartingItems ALL = new StartingItems(StartingList.With.EVERYTHING, "", null);

    /** Everything, once anything is typed or set. */
    public static StartingItems of(NarrowedQuery asked, Ordering ordering, MostChosen chosen) throws IOException {
        if (asked.query().letters() > 0 || asked.narrowing().isSet()) {
            return ALL;
        }
        Query everything = asked.read().lucene();
        StartingList start = asked.design().page().start();
        StartingItems wanted =
                switch (start.with()) {
                    case EVERYTHING -> ALL;
                    case NOTHING -> new StartingItems(start.with(), "", null);
                    case FEATURED ->
                        new StartingItems(start.with(), "", ordering.holders().among(everything));
                    case POPULAR -> new StartingItems(start.with(), "", chosen.among(everything));
                    case CATEGORY -> ofCategory(asked, start);
                };
        return wanted.among == null || FoundAtLeast.found(asked.searcher(), wanted.among, 1) ? wanted : ALL;
    }

    private static StartingItems ofCategory(NarrowedQuery asked, StartingList start) throws IOException {
        QueryFilter filter = asked.narrowing().filter(start.filter());
        QueryFilter set = filter == null ? null : filter.withOnly(Objects.requireNonNull(start.value()));
        Query passed = set == null ? null : set.passed();
        if (set == null || passed == null) {
            return ALL;
        }
        Query among = new BooleanQuery.Builder()
                .add(asked.read().lucene(), Occur.MUST)
                .add(passed, Occur.FILTER)
                .build();
        return new StartingItems(start.with(), String.join(", ", set.said()), among);
    }

    /** In the order in which they stand there. */
    public List<ScoreDoc> inOrder(ScoreDoc[] sorted, int total, Ordering ordering, MostChosen chosen)
            throws IOException {
        return switch (with) {
            case POPULAR -> chosen.inOrder(sorted);
            case CATEGORY -> ordering.merged(sorted, total, Objects.requireNonNull(among));
            default -> List.of(sorted);
        };
    }
}
