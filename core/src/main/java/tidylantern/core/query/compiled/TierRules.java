package tidylantern.core.query.compiled;

import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermInSetQuery;
import org.apache.lucene.util.BytesRef;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Placement;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Tier;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.IndexState;

/** What decides who holds a featured tier: the tiers of a design, and the placements of its site. */
public final class TierRules {
    private final List<Tier> tiers;
    private final List<Placement> placements;
    private final List<CollectionKey> collections;

    private TierRules(List<Tier> tiers, List<Placement> placements, List<CollectionKey> collections) {
        this.tiers = tiers;
        this.placements = placements;
        this.collections = collections;
    }

    static TierRules of(SearchDesign design, SiteContent content) {
        List<Tier> tiers = design.tiersByRank();
        return new TierRules(
                tiers,
                content.placements().stream()
                        .filter(placement ->
                                tiers.stream().anyMatch(tier -> tier.key().equals(placement.tier())))
                        .toList(),
                content.collections().stream().map(one -> one.key()).toList());
    }

    /** The highest first. */
    public List<Tier> tiers() {
        return tiers;
    }

    /**
     * The rules as they hold on a day.
     *
     * @param holding of each tier, the items that hold it, as a state of the index is asked for them
     */
    public record OfDay(List<Tier> tiers, List<Placement> placements, List<Query> holding) {}

    /** As they hold on a day. */
    public OfDay ofDay(LocalDate day, IndexState state) throws IOException {
        List<Placement> today =
                placements.stream().filter(placement -> placement.holdsOn(day)).toList();
        List<Query> holding = new ArrayList<>();
        for (Tier tier : tiers) {
            holding.add(state.searcher().rewrite(holding(tier, today)));
        }
        return new OfDay(tiers, today, holding);
    }

    /** Those placed by hand and those that a rule of the tier names. */
    private Query holding(Tier tier, List<Placement> today) {
        BooleanQuery.Builder holding = new BooleanQuery.Builder();
        List<BytesRef> references = today.stream()
                .filter(placement -> placement.tier().equals(tier.key()))
                .map(placement -> new BytesRef(placement.item().toString()))
                .toList();
        holding.add(new TermInSetQuery(IndexFields.REF, references), Occur.SHOULD);
        for (Tier.Holders holders : tier.holders()) {
            List<CollectionKey> named = holders.collection() != null ? List.of(holders.collection()) : collections;
            named.forEach(collection -> holding.add(ReachQuery.rule(holders.rule(), collection), Occur.SHOULD));
        }
        return holding.build();
    }
}
