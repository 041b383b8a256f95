package tidylantern.core.query.filter;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.Collector;
import org.apache.lucene.search.CollectorManager;
import org.apache.lucene.search.LeafCollector;
import org.apache.lucene.search.Scorable;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.TopFieldCollector;
import org.apache.lucene.search.TopFieldCollectorManager;
import org.apache.lucene.search.TopFieldDocs;
import org.jspecify.annotations.Nullable;
import tidylantern.core.query.compiled.DocumentCounting;

/**
 * The first of what a query finds and all its filters let through, with counts of every filter's values, in one pass.
 * The query runs without the filters. An item that all of them let through is a result, and counts for every filter;
 * one that a single 'any of' filter holds back counts for that filter alone, since its own ticks are left out of its
 * counts (product.md, 'Filters').
 */
public final class SidewaysCounts implements CollectorManager<SidewaysCounts.Pass, TopFieldDocs> {
    private final TopFieldCollectorManager top;
    private final SetFilters narrowing;

    private final Set<QueryFilter> counted;
    private final @Nullable DocumentCounting results;

    /**
     * @param counted the filters whose values are counted; all of them narrow
     * @param results also sees every result; null for nobody
     */
    public SidewaysCounts(
            TopFieldCollectorManager top,
            SetFilters narrowing,
            Collection<QueryFilter> counted,
            @Nullable DocumentCounting results) {
        this.results = results;
        this.top = top;
        this.narrowing = narrowing;
        this.counted = Set.copyOf(counted);
    }

    @Override
    public Pass newCollector() throws IOException {
        return new Pass();
    }

    @Override
    public TopFieldDocs reduce(Collection<Pass> passes) throws IOException {
        return top.reduce(passes.stream().map(pass -> pass.first).toList());
    }

    private record SetFilter(QueryFilter one, boolean counts) {}

    /** One pass over a part of the index after the other. */
    final class Pass implements Collector {
        private final TopFieldCollector first = top.newCollector();
        private final List<DocumentCounting> countings = new ArrayList<>();
        private final List<SetFilter> set = new ArrayList<>();

        private Pass() throws IOException {
            if (results != null) {
                countings.add(results);
            }
            for (QueryFilter one : narrowing.filters()) {
                if (counted.contains(one)) {
                    countings.add(one.counting());
                    DocumentCounting found = one.countingFound();
                    if (found != null) {
                        countings.add(found);
                    }
                }
                if (!one.values().isEmpty()) {
                    set.add(new SetFilter(one, counted.contains(one)));
                }
            }
        }

        @Override
        public ScoreMode scoreMode() {
            return first.scoreMode();
        }

        @Override
        public LeafCollector getLeafCollector(LeafReaderContext leaf) throws IOException {
            LeafCollector found = first.getLeafCollector(leaf);
            @Nullable DocumentTest[] passing = new DocumentTest[set.size()];
            for (DocumentCounting counting : countings) {
                counting.enter(leaf);
            }
            return new LeafCollector() {
                @Override
                public void setScorer(Scorable scorer) throws IOException {
                    found.setScorer(scorer);
                }

                @Override
                public void collect(int document) throws IOException {
                    int heldBackBy = -1;
                    for (int i = 0; i < passing.length; i++) {
                        DocumentTest one = passing[i];
                        if (one == null) {
                            one = set.get(i).one().passing(leaf);
                            passing[i] = one;
                        }
                        if (!one.passes(document)) {
                            if (heldBackBy >= 0 || set.get(i).one().keepsOwn()) {
                                return;
                            }
                            heldBackBy = i;
                        }
                    }
                    if (heldBackBy >= 0) {
                        if (set.get(heldBackBy).counts()) {
                            set.get(heldBackBy).one().counting().add(document);
                        }
                        return;
                    }
                    found.collect(document);
                    for (DocumentCounting counting : countings) {
                        counting.add(document);
                    }
                }
            };
        }
    }
}
