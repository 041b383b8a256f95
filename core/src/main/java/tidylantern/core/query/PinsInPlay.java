package tidylantern.core.query;

import java.util.ArrayList;
import java.util.Map;
import java.util.Set;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.BoostQuery;
import org.apache.lucene.search.ConstantScoreQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermInSetQuery;
import org.apache.lucene.util.BytesRef;
import tidylantern.core.content.ItemRef;
import tidylantern.core.index.IndexFields;

/**
 * What the {@linkplain PinnedQueries pins} of a design say of one query.
 *
 * @param places of items, 1 for the first. Where several pins concern one item, the first holds; where they want one
 *     place, the later one takes the next that is free
 * @param takenOut items that are not found
 */
record PinsInPlay(Map<ItemRef, Integer> places, Set<ItemRef> takenOut) {
    static final PinsInPlay NONE = new PinsInPlay(Map.of(), Set.of());

    /** What is found with what is put at places, as far as it is in reach, and without what is taken out. */
    Query over(Query found, Query reach) {
        if (equals(NONE)) {
            return found;
        }
        Query put = new BooleanQuery.Builder()
                .add(reach, Occur.FILTER)
                .add(items(places.keySet()), Occur.FILTER)
                .build();
        return new BooleanQuery.Builder()
                .add(
                        new BooleanQuery.Builder()
                                .add(found, Occur.SHOULD)
                                .add(new BoostQuery(new ConstantScoreQuery(put), 0), Occur.SHOULD)
                                .build(),
                        Occur.MUST)
                .add(items(takenOut), Occur.MUST_NOT)
                .build();
    }

    static Query items(Set<ItemRef> items) {
        return new TermInSetQuery(
                IndexFields.REF,
                new ArrayList<>(items)
                        .stream().map(item -> new BytesRef(item.toString())).toList());
    }
}
