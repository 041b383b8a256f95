package tidylantern.server.answer;

import java.time.LocalDate;
import tidylantern.core.query.SearchEngine;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.filter.Popularity;
import tidylantern.server.site.Sites;

/**
 * All that an answer of a search is made of beside the question: while it stays the same, so does the answer.
 *
 * @param search the design and the site's content; each version of either is compiled anew
 * @param engine another once an index was opened anew
 * @param state of the index
 * @param site its address and what its searches wear
 * @param day by which placements begin and end, and days are named
 * @param popularity what visitors chose, where the page shows that
 */
record AnswerStanding(
        CompiledSearch search, SearchEngine engine, long state, Sites.Site site, LocalDate day, Popularity popularity) {
    /** By what the parts are, not what they say: comparing a design with its like takes longer than it spares. */
    boolean isSame(AnswerStanding other) {
        return search == other.search
                && engine == other.engine
                && state == other.state
                && site.equals(other.site)
                && day.equals(other.day)
                && popularity.equals(other.popularity);
    }
}
