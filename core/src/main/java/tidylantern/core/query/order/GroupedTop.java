package tidylantern.core.query.order;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedDocValues;
import org.apache.lucene.search.Collector;
import org.apache.lucene.search.CollectorManager;
import org.apache.lucene.search.LeafCollector;
import org.apache.lucene.search.Scorable;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.Sort;
import org.apache.lucene.search.TopFieldCollector;
import org.apache.lucene.search.TopFieldCollectorManager;
import org.apache.lucene.search.TopFieldDocs;
import org.jspecify.annotations.Nullable;
import tidylantern.core.index.IndexFields;

/** The first items of every collection, in one pass over what is found. */
public final class GroupedTop implements CollectorManager<GroupedTop.Groups, Map<String, TopFieldDocs>> {
    private final Sort order;
    private final int perGroup;

    /** @param perGroup so many of the first of each collection */
    public GroupedTop(Sort order, int perGroup) {
        this.order = order;
        this.perGroup = perGroup;
    }

    @Override
    public Groups newCollector() {
        return new Groups();
    }

    /** By collection; the total of each is exact. */
    @Override
    public Map<String, TopFieldDocs> reduce(Collection<Groups> slices) {
        Map<String, List<TopFieldDocs>> parts = new LinkedHashMap<>();
        for (Groups slice : slices) {
            slice.groups.forEach((collection, top) ->
                    parts.computeIfAbsent(collection, key -> new ArrayList<>()).add(top.topDocs()));
        }
        Map<String, TopFieldDocs> merged = new LinkedHashMap<>();
        parts.forEach((collection, tops) -> merged.put(
                collection,
                org.apache.lucene.search.TopDocs.merge(order, perGroup, tops.toArray(TopFieldDocs[]::new))));
        return merged;
    }

    final class Groups implements Collector {
        private final Map<String, TopFieldCollector> groups = new HashMap<>();

        @Override
        public ScoreMode scoreMode() {
            return ScoreMode.COMPLETE;
        }

        @Override
        public LeafCollector getLeafCollector(LeafReaderContext leaf) throws IOException {
            SortedDocValues collections = DocValues.getSorted(leaf.reader(), IndexFields.COLLECTION);
            @Nullable LeafCollector[] byOrdinal = new LeafCollector[collections.getValueCount()];
            return new LeafCollector() {
                private @Nullable Scorable scorer;

                @Override
                public void setScorer(Scorable changed) throws IOException {
                    scorer = changed;
                    for (LeafCollector group : byOrdinal) {
                        if (group != null) {
                            group.setScorer(changed);
                        }
                    }
                }

                @Override
                public void collect(int document) throws IOException {
                    if (!collections.advanceExact(document)) {
                        return;
                    }
                    int ordinal = collections.ordValue();
                    LeafCollector group = byOrdinal[ordinal];
                    if (group == null) {
                        String collection = collections.lookupOrd(ordinal).utf8ToString();
                        group = groups.computeIfAbsent(collection, key -> new TopFieldCollectorManager(
                                                order, perGroup, null, Integer.MAX_VALUE)
                                        .newCollector())
                                .getLeafCollector(leaf);
                        if (scorer != null) {
                            group.setScorer(scorer);
                        }
                        byOrdinal[ordinal] = group;
                    }
                    group.collect(document);
                }
            };
        }
    }
}
