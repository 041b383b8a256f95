package tidylantern.core.query;

import java.util.List;
import org.apache.lucene.search.ScoreDoc;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.query.words.VisitorQuery;

/**
 * What stands on the page that was asked for, or on the last.
 *
 * @param total how many are found, which may be more than can be looked through
 */
public record PageOfResults(List<ScoreDoc> results, int total, int page, int pages) {
    static final PageOfResults EMPTY = new PageOfResults(List.of(), 0, 1, 1);

    /** @param first of the results, in their order */
    static PageOfResults of(List<ScoreDoc> first, int total, VisitorQuery query, SearchDesign design) {
        int perPage = design.page().perPage();
        int reachable = design.page().reachable(total);
        int pages = Math.max(1, Math.ceilDiv(reachable, perPage));
        int page = Math.min(query.page(), pages);
        int from = (page - 1) * perPage;
        int end = Math.min(Math.min(from + perPage, reachable), first.size());
        return new PageOfResults(first.subList(Math.min(from, end), end), total, page, pages);
    }
}
