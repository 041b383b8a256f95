package tidylantern.core.query;

import java.io.IOException;
import java.util.List;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.search.Query;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.SiteContent;
import tidylantern.core.index.Stemming;

/** A part of a query that an item may hold, and what it met in a text. */
sealed interface Match permits WordMatch, PhraseMatch {
    /** Finds the items that hold it, in any of the searched fields, with what it gives each. */
    Query query(IndexReader reader, SiteContent content) throws IOException;

    /**
     * What to mark of a text's word because it is met by itself.
     *
     * @param lower the text's word from {@link tidylantern.core.index.WordForms#each}
     * @param length its length in the text
     */
    @Nullable Mark mark(String lower, int length, Stemming stemming);

    /** Phrases of several words that mark all of them where they stand together. */
    List<Phrase> phrases();

    /** UTF-16 units of a word in a text: from, and how many. */
    record Mark(int from, int length) {}
}
