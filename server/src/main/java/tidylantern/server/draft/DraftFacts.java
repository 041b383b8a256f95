package tidylantern.server.draft;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import tidylantern.core.design.Words;
import tidylantern.core.query.SearchEngine;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.filter.FilterFigures;
import tidylantern.core.query.words.VisitorQuery;
import tidylantern.core.readiness.FilterWarnings;
import tidylantern.server.content.CompiledSearches;
import tidylantern.server.content.SiteIndexes;
import tidylantern.server.design.Searches;
import tidylantern.server.turn.AnswerTurns;
import tidylantern.server.turn.Asker;

/** What a draft's decisions come to today, beside the items of its site. */
@Component
public class DraftFacts {
    private final CompiledSearches compiled;
    private final SiteIndexes indexes;
    private final AnswerTurns turns;

    DraftFacts(CompiledSearches compiled, SiteIndexes indexes, AnswerTurns turns) {
        this.compiled = compiled;
        this.indexes = indexes;
        this.turns = turns;
    }

    /** What each filter does: values on offer, items, and what is left out. */
    public List<FilterFigures> filters(Searches.Draft draft) {
        return indexes.engine(draft.site()).figures(compiled.of(draft.site(), draft.design()));
    }

    /**
     * What a filter does today.
     *
     * @param warnings what its owner should know, in whole sentences
     */
    record FilterToday(FilterFigures figures, List<String> warnings) {}

    /** The same with what owners should know of each. */
    List<FilterToday> filtersToday(Searches.Draft draft) {
        int inReach =
                indexes.listing(draft.site()).counts(draft.design().reach()).inReach();
        Map<String, FilterFigures> figures =
                filters(draft).stream().collect(Collectors.toMap(FilterFigures::key, one -> one, (one, same) -> one));
        return draft.design().filtersInUse().stream()
                .filter(filter -> figures.containsKey(filter.key()))
                .map(filter -> {
                    FilterFigures own = Objects.requireNonNull(figures.get(filter.key()));
                    return new FilterToday(own, FilterWarnings.of(filter, own, inReach));
                })
                .toList();
    }

    /** How many items hold each tier, by the tier's key. */
    public Map<String, Integer> holders(Searches.Draft draft) {
        CompiledSearch search = compiled.of(draft.site(), draft.design());
        SearchEngine engine = indexes.engine(draft.site());
        return engine.holders(search, engine.today(search.content()));
    }

    /** How many items a word or phrase finds by itself: without synonyms, and as it is written. */
    public ToIntFunction<String> foundBy(Searches.Draft draft) {
        Words literal = draft.design().words().withSynonyms(List.of()).withTypos(new Words.Typos(false, true));
        CompiledSearch plain = compiled.of(draft.site(), draft.design().withWords(literal));
        SearchEngine engine = indexes.engine(draft.site());
        LocalDate today = engine.today(plain.content());
        return word -> turns.answer(
                Asker.current(), AnswerTurns.Kind.WORK, 0, () -> engine.answer(plain, VisitorQuery.plain(word, today))
                        .total());
    }
}
