package tidylantern.server.readiness;

import java.net.URI;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.readiness.CarryingPage;
import tidylantern.core.readiness.OpenPoint;
import tidylantern.core.readiness.OpenPoint.Weight;
import tidylantern.core.readiness.OpenPoints;
import tidylantern.server.content.HealthChecks;
import tidylantern.server.content.SiteContents;
import tidylantern.server.design.Searches;
import tidylantern.server.draft.DraftFacts;
import tidylantern.server.insight.SearchPages;
import tidylantern.server.insight.SearchPages.Element;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;
import tidylantern.server.site.RefusedOrigins;
import tidylantern.server.site.Sites;
import tidylantern.server.source.SourceStates;
import tidylantern.server.trial.Trials;

/** Brings together what is open in a search, and what its owner leaves as it is. */
@Component
class Readiness {
    private final Searches searches;
    private final SiteContents contents;
    private final Sites sites;
    private final Trials trials;
    private final HealthChecks health;
    private final SourceStates sources;
    private final RefusedOrigins refused;
    private final SearchPages pages;
    private final LeftPointStore left;
    private final DraftFacts facts;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Readiness(
            Searches searches,
            SiteContents contents,
            Sites sites,
            Trials trials,
            HealthChecks health,
            SourceStates sources,
            RefusedOrigins refused,
            SearchPages pages,
            LeftPointStore left,
            DraftFacts facts,
            TransactionTemplate transaction,
            Clock clock) {
        this.transaction = transaction;
        this.searches = searches;
        this.contents = contents;
        this.sites = sites;
        this.trials = trials;
        this.health = health;
        this.sources = sources;
        this.refused = refused;
        this.pages = pages;
        this.left = left;
        this.facts = facts;
        this.clock = clock;
    }

    /** @param by who leaves it as it is; null while nobody does */
    record Point(
            OpenPoint point, @Nullable String by, @Nullable OffsetDateTime since) {}

    /** Worst first, those that are left behind all others. */
    List<Point> of(SearchKey search) {
        Map<String, LeftPointStore.LeftPoint> leaving =
                left.of(search).stream().collect(Collectors.toMap(LeftPointStore.LeftPoint::pointId, one -> one));
        List<Point> all = open(search).stream()
                .map(point -> {
                    LeftPointStore.LeftPoint here = point.weight() == Weight.STOPS ? null : leaving.get(point.id());
                    return here == null ? new Point(point, null, null) : new Point(point, here.leftBy(), here.leftAt());
                })
                .toList();
        return Stream.concat(
                        all.stream().filter(one -> one.by() == null),
                        all.stream().filter(one -> one.by() != null))
                .toList();
    }

    private List<OpenPoint> open(SearchKey search) {
        Searches.Draft draft = searches.draft(search);
        SearchDesign design = draft.design();
        OpenPoints points = new OpenPoints(design, contents.of(draft.site()));
        points.remarks(searches.remarks(draft.site(), design), Weight.WEAKENS);
        points.remarks(searches.unreadable(draft.site(), design), Weight.FAILS);
        points.texts();
        points.tiers(facts.holders(draft));
        points.items(health.of(draft.site()));
        points.sources(sources.of(draft.site(), design.searched()));
        points.origins(refused.of(sites.get(draft.site())).stream()
                .map(RefusedOrigins.RefusedOrigin::origin)
                .toList());
        points.pages(listPage(draft.site(), design), met(search));
        points.trials(trials.report(search));
        points.filters(facts.filters(draft));
        points.synonyms(facts.foundBy(draft));
        return points.worstFirst();
    }

    /** Whole and without query; null where results are shown by the service. */
    private @Nullable String listPage(SiteKey site, SearchDesign design) {
        String address = design.page().address();
        return address == null
                ? null
                : SearchPages.withoutQuery(
                        URI.create(sites.get(site).address() + "/").resolve(address));
    }

    private List<CarryingPage> met(SearchKey search) {
        return pages.of(search).stream()
                .map(seen -> new CarryingPage(
                        seen.page().address(),
                        seen.page().elements().contains(Element.BOX),
                        seen.page().elements().contains(Element.RESULTS)
                                || seen.page().elements().contains(Element.LIST)))
                .toList();
    }

    /** @throws Refusal if there is no such point, or it stops a publication */
    void leave(SearchKey search, String point, String by) {
        OpenPoint open = open(search).stream()
                .filter(one -> one.id().equals(point))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("Nothing of that kind is open in this search."));
        if (open.weight() == Weight.STOPS) {
            throw Refusal.conflict("This cannot be left as it is, since nothing can be published with it.");
        }
        LeftPointStore.LeftPoint leaving = new LeftPointStore.LeftPoint(point, by, OffsetDateTime.now(clock));
        transaction.executeWithoutResult(status -> left.leave(search, leaving));
    }

    /** Counts it as open again. */
    void takeUp(SearchKey search, String point) {
        searches.draft(search);
        left.takeUp(search, point);
    }
}
