package tidylantern.core.trial;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.ItemRef;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Synonym;
import tidylantern.core.query.Ranking;
import tidylantern.core.query.SearchEngine;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.trial.TrialReport.Change;
import tidylantern.core.trial.TrialReport.Figures;
import tidylantern.core.trial.TrialReport.Move;
import tidylantern.core.trial.TrialReport.Outcome;
import tidylantern.core.trial.TrialReport.Side;

/**
 * Runs trials through the engine that answers visitors. Kept from one run to the next it remembers what the live
 * version made of them, which changes far more rarely than the draft.
 */
public final class TrialRun {
    /** So many of the first results are compared between draft and live version; the usual first page. */
    public static final int COMPARED = 10;

    private static final int MOST_EFFECTS = 50;

    private final SearchEngine engine;
    private final List<Trial> trials;
    /** What is expected of each query, so that it is asked once. */
    private final Map<String, Set<ItemRef>> expected = new LinkedHashMap<>();

    private final Set<String> suggested = new HashSet<>();
    private volatile @Nullable Remembered live;

    public TrialRun(SearchEngine engine, List<Trial> trials) {
        this.engine = engine;
        this.trials = List.copyOf(trials);
        for (Trial trial : trials) {
            Set<ItemRef> items = expected.computeIfAbsent(trial.query(), query -> new LinkedHashSet<>());
            if (trial.expected() instanceof Expectation.Within within) {
                items.add(within.item());
            } else if (trial.expected() instanceof Expectation.Suggests) {
                suggested.add(trial.query());
            }
        }
    }

    /** @param live null where nothing was published yet */
    public TrialReport report(CompiledSearch draft, @Nullable CompiledSearch live) {
        Map<String, Ranking> now = rankings(draft);
        Map<String, Ranking> before =
                live == null ? Map.of() : live.design().equals(draft.design()) ? now : remembered(live);
        Map<String, List<Move>> moves = live == null ? Map.of() : moves(live, before, draft, now);
        Map<ItemRef, String> titles =
                engine.titles(expected.values().stream().flatMap(Set::stream).toList());
        List<Outcome> outcomes = new ArrayList<>();
        for (Trial trial : trials) {
            String title = trial.expected() instanceof Expectation.Within within ? titles.get(within.item()) : null;
            Ranking lived = before.get(trial.query());
            outcomes.add(new Outcome(
                    trial,
                    title,
                    side(trial, of(now, trial.query())),
                    lived == null ? null : side(trial, lived),
                    moves.getOrDefault(trial.query(), List.of())));
        }
        return new TrialReport(outcomes, figures(now), live == null ? null : figures(before));
    }

    private static Ranking of(Map<String, Ranking> rankings, String query) {
        return Objects.requireNonNull(rankings.get(query));
    }

    /**
     * @param state of the content when it was reckoned
     * @param day on which it was reckoned: placements begin and end, and turns change, with the day
     */
    private record Remembered(CompiledSearch search, long state, LocalDate day, Map<String, Ranking> rankings) {}

    private Map<String, Ranking> remembered(CompiledSearch search) {
        long state = engine.contentState();
        LocalDate day = engine.today(search.content());
        Remembered known = live;
        if (known == null
                || known.state() != state
                || !known.day().equals(day)
                || !known.search().content().equals(search.content())
                || !known.search().design().equals(search.design())) {
            known = new Remembered(search, state, day, rankings(search));
            live = known;
        }
        return known.rankings();
    }

    /** Every query is asked by itself, so all processors do it together: the owner is waiting for the whole. */
    private Map<String, Ranking> rankings(CompiledSearch search) {
        Map<String, Ranking> rankings = new ConcurrentHashMap<>();
        expected.entrySet().parallelStream()
                .forEach(one -> rankings.put(
                        one.getKey(),
                        engine.ranking(
                                search, one.getKey(), COMPARED, one.getValue(), suggested.contains(one.getKey()))));
        return rankings;
    }

    private static Side side(Trial trial, Ranking ranking) {
        Integer place = trial.expected() instanceof Expectation.Within within
                ? ranking.places().get(within.item())
                : null;
        boolean holds =
                switch (trial.expected()) {
                    case Expectation.Within within -> place != null && place <= within.first();
                    case Expectation.AtLeast least -> ranking.total() >= least.results();
                    case Expectation.AtMost most -> ranking.total() <= most.results();
                    case Expectation.Suggests suggests -> suggests.query().equalsIgnoreCase(ranking.didYouMean());
                };
        return new Side(holds, place, ranking.total(), ranking.didYouMean());
    }

    private Map<String, List<Move>> moves(
            CompiledSearch live, Map<String, Ranking> before, CompiledSearch draft, Map<String, Ranking> now) {
        Map<String, List<Move>> moves = new LinkedHashMap<>();
        Set<ItemRef> moved = new HashSet<>();
        before.forEach((query, lived) -> {
            Ranking drafted = of(now, query);
            if (!lived.first().equals(drafted.first())) {
                // Further down is not lost, so those that left the first results are looked for in all of them.
                Map<ItemRef, Integer> livedAt = places(live, query, lived, drafted.first());
                Map<ItemRef, Integer> draftedAt = places(draft, query, drafted, lived.first());
                Set<ItemRef> items = new LinkedHashSet<>(drafted.first());
                items.addAll(lived.first());
                List<Move> ofQuery = new ArrayList<>();
                for (ItemRef item : items) {
                    Change change = change(livedAt.get(item), draftedAt.get(item));
                    if (change != null) {
                        ofQuery.add(new Move(item, item.toString(), change, livedAt.get(item), draftedAt.get(item)));
                        moved.add(item);
                    }
                }
                moves.put(query, ofQuery);
            }
        });
        Map<ItemRef, String> titles = engine.titles(moved);
        moves.replaceAll((query, all) -> all.stream()
                .map(move -> new Move(
                        move.item(),
                        titles.getOrDefault(move.item(), move.title()),
                        move.change(),
                        move.before(),
                        move.after()))
                .toList());
        return moves;
    }

    /** The places of a ranking's first results and of some other items. */
    private Map<ItemRef, Integer> places(CompiledSearch search, String query, Ranking ranking, List<ItemRef> others) {
        Map<ItemRef, Integer> places = new HashMap<>();
        for (int at = 0; at < ranking.first().size(); at++) {
            places.put(ranking.first().get(at), at + 1);
        }
        Set<ItemRef> further = new LinkedHashSet<>(others);
        further.removeAll(places.keySet());
        if (!further.isEmpty() && ranking.total() > ranking.first().size()) {
            places.putAll(engine.ranking(search, query, 1, further, false).places());
        }
        return places;
    }

    private static @Nullable Change change(@Nullable Integer before, @Nullable Integer after) {
        if (before == null || after == null) {
            return before == null ? after == null ? null : Change.FOUND : Change.LOST;
        }
        return after < before ? Change.UP : after > before ? Change.DOWN : null;
    }

    private Figures figures(Map<String, Ranking> rankings) {
        int hold = (int) trials.stream()
                .filter(trial -> side(trial, of(rankings, trial.query())).holds())
                .count();
        double reciprocal = 0;
        double gain = 0;
        int queries = 0;
        for (Map.Entry<String, Set<ItemRef>> one : expected.entrySet()) {
            if (one.getValue().isEmpty()) {
                continue;
            }
            Map<ItemRef, Integer> places = of(rankings, one.getKey()).places();
            List<RankingQuality.Wanted> wanted = one.getValue().stream()
                    .map(item -> new RankingQuality.Wanted(gain(one.getKey(), item), places.get(item)))
                    .toList();
            List<@Nullable Integer> at = new ArrayList<>();
            wanted.forEach(item -> at.add(item.place()));
            queries++;
            reciprocal += RankingQuality.reciprocalRank(at);
            gain += RankingQuality.normalisedGain(wanted, COMPARED);
        }
        return new Figures(
                trials.size(), hold, queries == 0 ? null : reciprocal / queries, queries == 0 ? null : gain / queries);
    }

    /** 3 for an item that must come first, 2 for one of the first three, 1 for others; this product's own choice. */
    private int gain(String query, ItemRef item) {
        int first = trials.stream()
                .filter(trial -> trial.query().equals(query))
                .mapToInt(trial -> trial.expected() instanceof Expectation.Within within
                                && within.item().equals(item)
                        ? within.first()
                        : Integer.MAX_VALUE)
                .min()
                .orElse(Integer.MAX_VALUE);
        return first == 1 ? 3 : first <= 3 ? 2 : 1;
    }

    /**
     * What one entry of the synonyms does for the trials.
     *
     * @param queries of trials that bring it into play
     * @param items how many more items those queries find with it, all together
     * @param saved how many trials hold with it and would not without
     */
    public record SynonymEffect(Synonym synonym, List<String> queries, int items, int saved) {
        public SynonymEffect {
            queries = List.copyOf(queries);
        }
    }

    /**
     * The entries that queries of trials bring into play, in the order of the design; of many the first
     * {@value #MOST_EFFECTS}.
     */
    public List<SynonymEffect> synonymEffects(CompiledSearch search) {
        SearchDesign design = search.design();
        Map<Synonym, List<String>> inPlay = new HashMap<>();
        for (String query : expected.keySet()) {
            search.synonymsIn(query).forEach(synonym -> inPlay.computeIfAbsent(synonym, key -> new ArrayList<>())
                    .add(query));
        }
        List<SynonymEffect> effects = new ArrayList<>();
        for (Synonym synonym : design.words().synonyms()) {
            List<String> queries = inPlay.get(synonym);
            if (queries != null && effects.size() < MOST_EFFECTS) {
                CompiledSearch without = search.with(design.withWords(design.words()
                        .withSynonyms(design.words().synonyms().stream()
                                .filter(other -> !other.equals(synonym))
                                .toList())));
                int items = 0;
                int saved = 0;
                for (String query : queries) {
                    Set<ItemRef> wanted = expected.getOrDefault(query, Set.of());
                    Ranking with = engine.ranking(search, query, COMPARED, wanted, suggested.contains(query));
                    Ranking then = engine.ranking(without, query, COMPARED, wanted, suggested.contains(query));
                    items += with.total() - then.total();
                    saved += (int) trials.stream()
                            .filter(trial -> trial.query().equals(query)
                                    && side(trial, with).holds()
                                    && !side(trial, then).holds())
                            .count();
                }
                effects.add(new SynonymEffect(synonym, queries, items, saved));
            }
        }
        return effects;
    }
}
