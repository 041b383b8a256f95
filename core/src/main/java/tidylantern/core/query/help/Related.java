package tidylantern.core.query.help;

import java.io.IOException;
import java.util.List;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import tidylantern.core.query.filter.NarrowedQuery;
import tidylantern.core.query.order.Ordering;
import tidylantern.core.query.words.TypedText;

/**
 * Items that some of the words find, where all of them together find nothing: by the order of the search, so that what
 * more and rarer words find comes first where it goes by them.
 */
public final class Related {
    static final int MOST = 4;
    /** Words beyond these are tried no more: each is a search of its own. */
    private static final int MOST_WORDS = 6;

    private Related() {}

    /** The first of them by the order of the search; none where no word finds any. */
    public static List<ScoreDoc> of(NarrowedQuery asked, Ordering ordering) throws IOException {
        List<TypedText.Spot> words = asked.typed().words();
        if (words.size() < 2) {
            return List.of();
        }
        BooleanQuery.Builder any = new BooleanQuery.Builder();
        for (TypedText.Spot word : words.subList(0, Math.min(MOST_WORDS, words.size()))) {
            String text = asked.typed().text().substring(word.start(), word.end());
            NarrowedQuery alone = asked.with(text);
            if (!alone.read().startingList()) {
                any.add(alone.read().lucene(), Occur.SHOULD);
            }
        }
        Query some = any.build();
        List<ScoreDoc> narrowed = first(
                asked,
                ordering,
                new BooleanQuery.Builder()
                        .add(some, Occur.MUST)
                        .add(asked.narrowing().all(), Occur.FILTER)
                        .build());
        return narrowed.isEmpty() && asked.narrowing().isSet() ? first(asked, ordering, some) : narrowed;
    }

    private static List<ScoreDoc> first(NarrowedQuery asked, Ordering ordering, Query query) throws IOException {
        return List.of(asked.searcher().search(query, MOST, ordering.sort()).scoreDocs);
    }
}
