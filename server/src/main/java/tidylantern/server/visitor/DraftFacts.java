package tidylantern.server.visitor;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.function.ToIntFunction;
import org.springframework.stereotype.Component;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Words;
import tidylantern.core.query.FilterFigures;
import tidylantern.core.query.SearchEngine;
import tidylantern.core.query.VisitorQuery;
import tidylantern.server.content.SiteContents;
import tidylantern.server.content.SiteIndexes;
import tidylantern.server.design.Searches;
import tidylantern.server.platform.AnswerPool;
import tidylantern.server.platform.Clients;

/** What a draft's decisions come to today, beside the items of its site. */
@Component
public class DraftFacts {
    private final SiteContents contents;
    private final SiteIndexes indexes;
    private final AnswerPool pool;

    DraftFacts(SiteContents contents, SiteIndexes indexes, AnswerPool pool) {
        this.contents = contents;
        this.indexes = indexes;
        this.pool = pool;
    }

    /** What each filter does: values on offer, items, and what is left out. */
    public List<FilterFigures> filters(Searches.Draft draft) {
        return indexes.engine(draft.site()).figures(contents.of(draft.site()), draft.design());
    }

    /** How many items hold each tier, by the tier's key. */
    public Map<String, Integer> holders(Searches.Draft draft) {
        SiteContent content = contents.of(draft.site());
        SearchEngine engine = indexes.engine(draft.site());
        return engine.holders(content, draft.design(), engine.today(content));
    }

    /** How many items a word or phrase finds by itself: without synonyms, and as it is written. */
    public ToIntFunction<String> foundBy(Searches.Draft draft) {
        SiteContent content = contents.of(draft.site());
        Words literal = draft.design().words().withSynonyms(List.of()).withTypos(new Words.Typos(false, true));
        SearchDesign plain = draft.design().withWords(literal);
        SearchEngine engine = indexes.engine(draft.site());
        LocalDate today = engine.today(content);
        return word -> pool.answer(Clients.current(), AnswerPool.Kind.WORK, 0, () -> engine.answer(
                        content, plain, VisitorQuery.plain(word, today))
                .total());
    }
}
