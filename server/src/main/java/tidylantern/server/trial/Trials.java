package tidylantern.server.trial;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.ItemId;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.trial.Trial;
import tidylantern.core.trial.TrialFault;
import tidylantern.core.trial.TrialReport;
import tidylantern.core.trial.TrialRun;
import tidylantern.server.content.CompiledSearches;
import tidylantern.server.content.SiteIndexes;
import tidylantern.server.design.Searches;
import tidylantern.server.key.SearchKey;
import tidylantern.server.platform.Refusal;
import tidylantern.server.turn.AnswerTurns;
import tidylantern.server.turn.Asker;

/** Keeps the trials of searches and runs them. */
@Component
public class Trials {
    /** They run on every change, so a search has room for so many. */
    static final int MOST = 500;

    private final TrialStore store;
    private final Searches searches;
    private final SiteIndexes indexes;
    private final CompiledSearches compiled;
    private final AnswerTurns turns;
    /** By search; a run knows what the live version made of its trials. */
    private final Map<SearchKey, Remembered> last = new ConcurrentHashMap<>();

    Trials(TrialStore store, Searches searches, SiteIndexes indexes, CompiledSearches compiled, AnswerTurns turns) {
        this.store = store;
        this.searches = searches;
        this.indexes = indexes;
        this.compiled = compiled;
        this.turns = turns;
    }

    /** @param id by which it is changed and taken away */
    record Kept(long id, Trial trial) {}

    /** @throws Refusal if there is no such search */
    List<Kept> ofSearch(SearchKey search) {
        searches.draft(search);
        return store.ofSearch(search).stream()
                .map(stored -> new Kept(stored.id(), trial(stored)))
                .toList();
    }

    /** @throws Refusal if there is no such search, or no room for another trial */
    @Transactional
    long add(SearchKey search, Trial trial) {
        searches.draft(search);
        room(search, 1);
        return store.add(stored(0, search, trial));
    }

    /**
     * Adds those that are not kept yet; all or none.
     *
     * @return how many were added
     */
    @Transactional
    public int addAll(SearchKey search, List<Trial> trials) {
        Set<Trial> known =
                new HashSet<>(ofSearch(search).stream().map(Kept::trial).toList());
        List<Trial> added = trials.stream().filter(known::add).toList();
        room(search, added.size());
        added.forEach(trial -> store.add(stored(0, search, trial)));
        return added.size();
    }

    private void room(SearchKey search, int more) {
        int kept = store.ofSearch(search).size();
        if (kept + more > MOST) {
            throw Refusal.conflict("A search has room for %d trials; with these it would have %d. Take some away first."
                    .formatted(MOST, kept + more));
        }
    }

    @Transactional
    void change(SearchKey search, long id, Trial trial) {
        if (store.find(search, id).isEmpty()) {
            throw gone(id);
        }
        store.change(stored(id, search, trial));
    }

    @Transactional
    void remove(SearchKey search, long id) {
        if (!store.remove(search, id)) {
            throw gone(id);
        }
    }

    private static Refusal gone(long id) {
        return Refusal.notFound("There is no trial %d of this search any more.".formatted(id));
    }

    private record Remembered(List<Kept> kept, TrialRun run) {}

    /** @param report its outcomes in the order of {@code kept} */
    record Ran(List<Kept> kept, TrialReport report, long tookMicros) {}

    /** What becomes of all trials of a search on its draft and on its live version. */
    public TrialReport report(SearchKey search) {
        return run(search).report();
    }

    /** Runs all trials of a search on its draft and on its live version. */
    Ran run(SearchKey search) {
        List<Kept> kept = ofSearch(search);
        Searches.Draft draft = searches.draft(search);
        @Nullable SearchDesign live = searches.findLive(search).map(Searches.Live::design).orElse(null);
        return turns.answer(Asker.current(), AnswerTurns.Kind.WORK, 0, () -> {
            long begun = System.nanoTime();
            TrialReport report = remembered(draft, kept)
                    .report(
                            compiled.of(draft.site(), draft.design()),
                            live == null ? null : compiled.of(draft.site(), live));
            return new Ran(kept, report, (System.nanoTime() - begun) / 1_000);
        });
    }

    /**
     * What each entry of the draft's synonyms does for the trials; those that no trial brings into play are missing.
     */
    List<TrialRun.SynonymEffect> synonymEffects(SearchKey search) {
        List<Kept> kept = ofSearch(search);
        Searches.Draft draft = searches.draft(search);
        return turns.answer(Asker.current(), AnswerTurns.Kind.WORK, 0, () -> of(draft, kept)
                .synonymEffects(compiled.of(draft.site(), draft.design())));
    }

    private TrialRun remembered(Searches.Draft draft, List<Kept> kept) {
        Remembered known = last.get(draft.search());
        if (known == null || !known.kept().equals(kept)) {
            known = new Remembered(kept, of(draft, kept));
            last.put(draft.search(), known);
        }
        return known.run();
    }

    private TrialRun of(Searches.Draft draft, List<Kept> kept) {
        return new TrialRun(
                indexes.engine(draft.site()), kept.stream().map(Kept::trial).toList());
    }

    /** As they go into files. */
    public List<TrialShape> shapes(SearchKey search) {
        return ofSearch(search).stream()
                .map(kept -> TrialShape.of(kept.trial()))
                .toList();
    }

    /**
     * Adds trials from a file.
     *
     * @throws Refusal naming the one at fault
     */
    @Transactional
    public void addShapes(SearchKey search, List<TrialShape> shapes) {
        List<Trial> trials = new ArrayList<>();
        for (int i = 0; i < shapes.size(); i++) {
            try {
                trials.add(shapes.get(i).trial());
            } catch (TrialFault wrong) {
                throw Refusal.bad("trials[%d].%s".formatted(i, wrong.field()), String.valueOf(wrong.getMessage()));
            }
        }
        addAll(search, trials);
    }

    private static TrialStore.StoredTrial stored(long id, SearchKey search, Trial trial) {
        TrialShape shape = TrialShape.of(trial);
        return new TrialStore.StoredTrial(
                id,
                search.value(),
                shape.query(),
                shape.expects().toString(),
                shape.collection() == null ? null : shape.collection().value(),
                shape.item() == null ? null : shape.item().value(),
                shape.number(),
                shape.suggestion());
    }

    private static Trial trial(TrialStore.StoredTrial stored) {
        return new TrialShape(
                        stored.query(),
                        TrialShape.Expects.of(stored.expects()),
                        stored.collectionKey() == null ? null : new CollectionKey(stored.collectionKey()),
                        stored.itemId() == null ? null : new ItemId(stored.itemId()),
                        stored.number(),
                        stored.suggestion())
                .trial();
    }
}
