package tidylantern.server.trial;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tidylantern.core.design.DesignChange;
import tidylantern.core.design.DesignChanges;
import tidylantern.core.design.DesignChecks;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.trial.Expectation;
import tidylantern.core.trial.Trial;
import tidylantern.core.trial.TrialReport;
import tidylantern.core.trial.TrialRun;
import tidylantern.server.content.CompiledSearches;
import tidylantern.server.content.SiteIndexes;
import tidylantern.server.design.Searches;
import tidylantern.server.insight.AskedQueries;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;
import tidylantern.server.turn.AnswerTurns;
import tidylantern.server.turn.Asker;

/** Compares two designs of a search: in words, by its trials, and by what visitors ask most often. */
@Component
class Comparisons {
    static final String DRAFT = "draft";
    private static final int MOST_QUERIES = 100;

    private final Searches searches;
    private final Trials trials;
    private final AskedQueries asked;
    private final CompiledSearches compiled;
    private final SiteIndexes indexes;
    private final AnswerTurns turns;

    Comparisons(
            Searches searches,
            Trials trials,
            AskedQueries asked,
            CompiledSearches compiled,
            SiteIndexes indexes,
            AnswerTurns turns) {
        this.searches = searches;
        this.trials = trials;
        this.asked = asked;
        this.compiled = compiled;
        this.indexes = indexes;
        this.turns = turns;
    }

    /**
     * A query whose first page is another.
     *
     * @param before how many items it finds with the first design
     * @param after with the second
     * @param moves of the items of either first page
     */
    record ChangedQuery(String query, int before, int after, List<TrialReport.Move> moves) {}

    /**
     * How two designs differ.
     *
     * @param changes from the first to the second, in the order of the steps
     * @param trialsBefore how the trials fare with the first; null where there are none
     * @param trialsAfter with the second
     * @param queries how many of visitors' most frequent queries were asked of both
     * @param changed those of them whose first page is another, the most frequent first
     * @param lost how many results stand on a first page before and are not found any more
     * @param remarks what is open in the second, held against today's content
     * @param tookMicros how long it took, in microseconds
     */
    record Comparison(
            List<DesignChange> changes,
            TrialReport.@Nullable Figures trialsBefore,
            TrialReport.@Nullable Figures trialsAfter,
            int queries,
            List<ChangedQuery> changed,
            int lost,
            List<DesignChecks.Remark> remarks,
            long tookMicros) {}

    /**
     * @param first the number of a version, or {@code draft}
     * @throws Refusal if there is no such search, or no such version of it
     */
    Comparison of(SearchKey search, String first, String second) {
        SearchDesign before = design(search, first);
        SearchDesign after = design(search, second);
        SiteKey site = searches.draft(search).site();
        List<Trial> kept =
                trials.ofSearch(search).stream().map(Trials.Kept::trial).toList();
        List<Trial> frequent = queries(search, kept).stream()
                .map(query -> new Trial(query, new Expectation.AtLeast(1)))
                .toList();
        return turns.answer(Asker.current(), AnswerTurns.Kind.WORK, 0, () -> {
            long begun = System.nanoTime();
            CompiledSearch one = compiled.of(site, before);
            CompiledSearch other = compiled.of(site, after);
            TrialReport ofTrials = new TrialRun(indexes.engine(site), kept).report(other, one);
            TrialReport ofQueries = new TrialRun(indexes.engine(site), frequent).report(other, one);
            List<ChangedQuery> changed = ofQueries.outcomes().stream()
                    .filter(outcome -> !outcome.moves().isEmpty() && outcome.live() != null)
                    .map(Comparisons::changed)
                    .toList();
            return new Comparison(
                    DesignChanges.between(before, after),
                    kept.isEmpty() ? null : ofTrials.live(),
                    kept.isEmpty() ? null : ofTrials.draft(),
                    frequent.size(),
                    changed,
                    (int) changed.stream()
                            .flatMap(query -> query.moves().stream())
                            .filter(move -> move.change() == TrialReport.Change.LOST)
                            .count(),
                    DesignChecks.of(after, one.content()),
                    (System.nanoTime() - begun) / 1_000);
        });
    }

    private static ChangedQuery changed(TrialReport.Outcome outcome) {
        TrialReport.Side before = outcome.live();
        return new ChangedQuery(
                outcome.trial().query(),
                before == null ? 0 : before.total(),
                outcome.draft().total(),
                outcome.moves());
    }

    private SearchDesign design(SearchKey search, String which) {
        if (which.equals(DRAFT)) {
            return searches.draft(search).design();
        }
        try {
            return searches.version(search, Integer.parseInt(which));
        } catch (NumberFormatException noNumber) {
            throw Refusal.bad(null, "\"%s\" is no version; write its number, or %s.".formatted(which, DRAFT));
        }
    }

    /** What visitors ask most often; as long as nobody asked anything, what the trials do. */
    private Set<String> queries(SearchKey search, List<Trial> kept) {
        Set<String> queries = new LinkedHashSet<>(asked.frequent(search, MOST_QUERIES));
        kept.stream()
                .map(Trial::query)
                .limit(Math.max(0, MOST_QUERIES - queries.size()))
                .forEach(queries::add);
        return queries;
    }
}
