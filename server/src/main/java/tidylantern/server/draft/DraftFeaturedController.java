package tidylantern.server.draft;

import io.swagger.v3.oas.annotations.Operation;
import java.time.Clock;
import java.time.LocalDate;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.Pin;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Tier;
import tidylantern.core.design.TierChecks;
import tidylantern.core.query.Answer;
import tidylantern.core.query.Hit;
import tidylantern.core.query.words.VisitorQuery;
import tidylantern.core.query.words.Whereabouts;
import tidylantern.server.content.CompiledSearches;
import tidylantern.server.content.SiteContents;
import tidylantern.server.content.SiteIndexes;
import tidylantern.server.design.Searches;
import tidylantern.server.insight.AskedQueries;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.trial.Trials;
import tidylantern.server.turn.AnswerTurns;
import tidylantern.server.turn.Asker;

/** What the featured tiers and pins of a draft come to today. */
@RestController
@RequestMapping("/api/owner/searches/{key}/draft")
class DraftFeaturedController {
    private static final int MOST_QUERIES = 100;
    private static final int MOST_FREQUENT = 30;

    private final Searches searches;
    private final SiteIndexes indexes;
    private final CompiledSearches compiled;
    private final SiteContents contents;
    private final Trials trials;
    private final AnswerTurns turns;
    private final AskedQueries asked;
    private final DraftFacts facts;
    private final Clock clock;

    DraftFeaturedController(
            Searches searches,
            SiteIndexes indexes,
            CompiledSearches compiled,
            SiteContents contents,
            Trials trials,
            AnswerTurns turns,
            AskedQueries asked,
            DraftFacts facts,
            Clock clock) {
        this.facts = facts;
        this.searches = searches;
        this.indexes = indexes;
        this.compiled = compiled;
        this.contents = contents;
        this.trials = trials;
        this.turns = turns;
        this.asked = asked;
        this.clock = clock;
    }

    /**
     * @param holders items in reach that hold it today
     * @param unseen whether nothing sets its cards apart
     * @param alike names of other tiers whose cards look the same
     */
    record TierFigures(
            String key, int holders, List<TierChecks.Contrast> contrasts, boolean unseen, List<String> alike) {}

    /** @param title null where the item is gone */
    record PinnedItem(ItemRef item, @Nullable String title) {}

    /**
     * @param tiers in the order of the draft
     * @param pinned every item that a pin names
     */
    record Featured(List<TierFigures> tiers, List<PinnedItem> pinned) {}

    /**
     * How much of the first page is featured.
     *
     * @param query empty for the starting list
     * @param trial whether a trial asks it; if not, visitors often do
     * @param onPage results on the first page
     * @param featured of them with a tier
     * @param lifted of those, how many the tier lifts
     */
    record FeaturedShare(String query, boolean trial, int onPage, int featured, int lifted) {}

    @Operation(
            summary =
                    "How many items hold each tier of the draft today, what can be said of the tiers' looks, and what pins name.")
    @GetMapping("/featured")
    Featured featured(@PathVariable SearchKey key) {
        Searches.Draft draft = searches.draft(key);
        SearchDesign design = draft.design();
        Map<String, Integer> holders = facts.holders(draft);
        List<TierFigures> tiers = design.tiers().stream()
                .map(tier -> new TierFigures(
                        tier.key(),
                        holders.getOrDefault(tier.key(), 0),
                        TierChecks.contrasts(tier.looks()),
                        TierChecks.unseen(tier.looks()),
                        design.tiers().stream()
                                .filter(other -> other != tier
                                        && !TierChecks.unseen(tier.looks())
                                        && TierChecks.alike(tier.looks(), other.looks()))
                                .map(Tier::name)
                                .toList()))
                .toList();
        Set<ItemRef> named = new LinkedHashSet<>();
        design.pins().forEach(pin -> Stream.concat(pin.put().stream().map(Pin.Put::item), pin.takeOut().stream())
                .forEach(named::add));
        Map<ItemRef, String> titles = indexes.engine(draft.site()).titles(named);
        return new Featured(
                tiers,
                named.stream()
                        .map(item -> new PinnedItem(item, titles.get(item)))
                        .toList());
    }

    @Operation(
            summary =
                    "How much of the first page is featured: in the starting list, for the queries of the trials, and for those that visitors ask most often.")
    @GetMapping("/featured-share")
    List<FeaturedShare> share(@PathVariable SearchKey key) {
        Searches.Draft draft = searches.draft(key);
        SiteContent content = contents.of(draft.site());
        Set<String> ofTrials = new LinkedHashSet<>();
        trials.shapes(key).forEach(trial -> ofTrials.add(trial.query().strip()));
        Set<String> queries = new LinkedHashSet<>(List.of(""));
        ofTrials.stream().limit(MOST_QUERIES).forEach(queries::add);
        asked.frequent(key, MOST_FREQUENT).stream()
                .filter(query -> ofTrials.stream().noneMatch(query::equalsIgnoreCase))
                .forEach(queries::add);
        return queries.stream()
                .map(query -> turns.answer(
                        Asker.current(),
                        AnswerTurns.Kind.WORK,
                        0,
                        () -> share(draft.site(), content, draft.design(), query, ofTrials.contains(query))))
                .toList();
    }

    private FeaturedShare share(SiteKey site, SiteContent content, SearchDesign design, String query, boolean trial) {
        Answer answer = indexes.engine(site)
                .answer(
                        compiled.of(site, design),
                        new VisitorQuery(query, 1, Map.of(), Whereabouts.UNKNOWN, "", today(content)));
        List<Hit> featured =
                answer.hits().stream().filter(hit -> hit.tier() != null).toList();
        return new FeaturedShare(query, trial, answer.hits().size(), featured.size(), (int)
                featured.stream().filter(hit -> hit.standing().lifted()).count());
    }

    private LocalDate today(SiteContent content) {
        return LocalDate.now(clock.withZone(content.zone()));
    }
}
