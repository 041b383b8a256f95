package tidylantern.core.query.words;

import java.io.IOException;
import java.util.List;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.BoostQuery;
import org.apache.lucene.search.DisjunctionMaxQuery;
import org.apache.lucene.search.Query;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.SiteContent;
import tidylantern.core.index.Stemming;
import tidylantern.core.query.compiled.Phrase;

/** A part of a query that an item may hold, and what it met in a text. */
public sealed interface Match permits WordMatch, PhraseMatch {
    /** Finds the items that hold it, in any of the searched fields, with what it gives each. */
    default Query query(SiteContent content) throws IOException {
        return together(inFields(content));
    }

    /** What to mark of a text's word because it is met by itself. */
    @Nullable Mark mark(Seen seen, Stemming stemming);

    /** As it was typed, without case and accents. */
    String typed();

    /** As it is looked for, to be read: with its signs where these count. */
    default String said() {
        return typed();
    }

    /** Whether slips are forgiven in it. */
    boolean forgivesTypos();

    /**
     * Whether it would be looked for written otherwise, or with slips, had the answer not spent on other words what it
     * may spend.
     */
    default boolean cut() {
        return false;
    }

    /** The ways in which each searched field may meet it; of each field the best counts. */
    List<InField> inFields(SiteContent content) throws IOException;

    /** @param ways none where the field cannot hold it */
    record InField(FieldKey field, double weight, List<Way> ways) {}

    /** @param query gives what this way is worth, before the field's weight */
    record Way(Strength way, Query query) {}

    /** The best way in each field, times its weight, all fields together. */
    static Query together(List<InField> fields) {
        BooleanQuery.Builder all = new BooleanQuery.Builder();
        for (InField in : fields) {
            if (!in.ways().isEmpty()) {
                List<Query> ways = in.ways().stream().map(Way::query).toList();
                all.add(
                        new BoostQuery(ways.size() == 1 ? ways.getFirst() : new DisjunctionMaxQuery(ways, 0), (float)
                                in.weight()),
                        BooleanClause.Occur.SHOULD);
            }
        }
        return all.build();
    }

    /** Phrases of several words that mark all of them where they stand together. */
    List<Phrase> phrases();

    /**
     * A word of a text, from {@link tidylantern.core.index.WordForms#each}.
     *
     * @param start where it begins in the text, in UTF-16 units
     * @param end where it ends, exclusive
     * @param lower in small letters
     */
    record Seen(String text, int start, int end, String lower) {
        /** As it stands in the text. */
        String written() {
            return text.substring(start, end);
        }

        int length() {
            return end - start;
        }

        Mark whole() {
            return new Mark(0, length());
        }
    }

    /** UTF-16 units of a word in a text: from (below 0 for signs before it), and how many. */
    record Mark(int from, int length) {}
}
