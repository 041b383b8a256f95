package tidylantern.core.query.words;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
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
import tidylantern.core.design.Pin;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.WordForms;
import tidylantern.core.query.compiled.PinnedQueries;

/**
 * What the {@linkplain PinnedQueries pins} of a design say of one query.
 *
 * @param places of items, 1 for the first. Where several pins concern one item, the first holds; where they want one
 *     place, the later one takes the next that is free
 * @param takenOut items that are not found
 */
public record PinsInPlay(Map<ItemRef, Integer> places, Set<ItemRef> takenOut) {
    static final PinsInPlay NONE = new PinsInPlay(Map.of(), Set.of());

    /** @param typed the words of the query, in their order */
    static PinsInPlay of(PinnedQueries pinned, List<WordMatch> typed, LocalDate day) {
        Map<ItemRef, Integer> places = new HashMap<>();
        Set<ItemRef> out = new HashSet<>();
        for (PinnedQueries.Pinned one : pinned.pins()) {
            if (!one.pin().holdsOn(day) || one.queries().stream().noneMatch(query -> meets(typed, query))) {
                continue;
            }
            one.pin().takeOut().stream()
                    .filter(item -> !places.containsKey(item))
                    .forEach(out::add);
            for (Pin.Put put : one.pin().put()) {
                if (!out.contains(put.item()) && !places.containsKey(put.item())) {
                    int at = put.at();
                    while (places.containsValue(at)) {
                        at++;
                    }
                    places.put(put.item(), at);
                }
            }
        }
        return places.isEmpty() && out.isEmpty() ? NONE : new PinsInPlay(Map.copyOf(places), Set.copyOf(out));
    }

    private static boolean meets(List<WordMatch> typed, List<WordForms.Word> words) {
        if (typed.size() != words.size()) {
            return false;
        }
        for (int i = 0; i < words.size(); i++) {
            if (!typed.get(i).means(words.get(i))) {
                return false;
            }
        }
        return true;
    }

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

    /** Finds just these items. */
    public static Query items(Set<ItemRef> items) {
        return new TermInSetQuery(
                IndexFields.REF,
                new ArrayList<>(items)
                        .stream().map(item -> new BytesRef(item.toString())).toList());
    }
}
