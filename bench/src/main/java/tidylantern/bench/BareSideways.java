package tidylantern.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.DoubleDocValuesField;
import org.apache.lucene.document.DoublePoint;
import org.apache.lucene.facet.DrillDownQuery;
import org.apache.lucene.facet.DrillSideways;
import org.apache.lucene.facet.Facets;
import org.apache.lucene.facet.FacetsCollector;
import org.apache.lucene.facet.FacetsConfig;
import org.apache.lucene.facet.MultiFacets;
import org.apache.lucene.facet.range.DoubleRange;
import org.apache.lucene.facet.range.DoubleRangeFacetCounts;
import org.apache.lucene.facet.sortedset.DefaultSortedSetDocValuesReaderState;
import org.apache.lucene.facet.sortedset.SortedSetDocValuesFacetCounts;
import org.apache.lucene.facet.sortedset.SortedSetDocValuesFacetField;
import org.apache.lucene.facet.sortedset.SortedSetDocValuesReaderState;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.uhighlight.UnifiedHighlighter;
import org.apache.lucene.store.FSDirectory;
import tidylantern.bench.peer.BareLucene;

/**
 * The floor for filters: Lucene's own drill-sideways over sorted-set facets and ranges, with the query, the hits and
 * the excerpts of {@link BareLucene}.
 */
final class BareSideways implements AutoCloseable {
    private static final int MOST_VALUES = 500;

    private final FilterBench.Set set;
    private final FSDirectory directory;
    private final DirectoryReader reader;
    private final IndexSearcher searcher;
    private final UnifiedHighlighter highlighter;
    private final FacetsConfig config = new FacetsConfig();
    private final DrillSideways sideways;

    BareSideways(Path folder, List<FilterBench.Word> words, FilterBench.Set set) throws IOException {
        this.set = set;
        config.setHierarchical(FilterBench.TREE, true);
        FilterBench.CATEGORIES.forEach(field -> config.setMultiValued(field, true));
        directory = FSDirectory.open(folder);
        try (IndexWriter writer = new IndexWriter(directory, new IndexWriterConfig(BareLucene.analyzer()))) {
            for (FilterBench.Word word : words) {
                Document document = new Document();
                BareLucene.addTexts(document, word.title(), word.body());
                word.categories()
                        .forEach((field, values) -> values.forEach(
                                value -> document.add(new SortedSetDocValuesFacetField(field, value.split("/")))));
                word.numbers().forEach((field, number) -> {
                    document.add(new DoublePoint(field, number));
                    document.add(new DoubleDocValuesField(field, number));
                });
                writer.addDocument(config.build(document));
            }
        }
        reader = DirectoryReader.open(directory);
        searcher = new IndexSearcher(reader);
        highlighter = UnifiedHighlighter.builder(searcher, BareLucene.PLAIN).build();
        SortedSetDocValuesReaderState state = new DefaultSortedSetDocValuesReaderState(reader, config);
        sideways = new DrillSideways(searcher, config, state) {
            @Override
            protected Facets buildFacetsResult(
                    FacetsCollector drillDowns, FacetsCollector[] drillSideways, String[] dims) throws IOException {
                Map<String, Facets> each = new HashMap<>();
                for (int i = 0; i < dims.length; i++) {
                    each.put(
                            dims[i],
                            FilterBench.NUMBERS.contains(dims[i])
                                    ? bars(dims[i], drillSideways[i])
                                    : new SortedSetDocValuesFacetCounts(state, drillSideways[i]));
                }
                for (String field : FilterBench.NUMBERS) {
                    if (!each.containsKey(field)) {
                        each.put(field, bars(field, drillDowns));
                    }
                }
                return new MultiFacets(each, new SortedSetDocValuesFacetCounts(state, drillDowns));
            }
        };
    }

    private static Facets bars(String field, FacetsCollector found) throws IOException {
        DoubleRange[] bars = new DoubleRange[FilterBench.BARS];
        for (int i = 0; i < bars.length; i++) {
            bars[i] = new DoubleRange(String.valueOf(i), i * FilterBench.BAR, true, (i + 1) * FilterBench.BAR, false);
        }
        return new DoubleRangeFacetCounts(field, found, bars);
    }

    int answer(String text) throws IOException {
        Query query = BareLucene.query(text);
        DrillDownQuery narrowed = new DrillDownQuery(config, query);
        set.values().forEach((field, values) -> values.forEach(value -> narrowed.add(field, value)));
        narrowed.add(set.number(), DoublePoint.newRangeQuery(set.number(), set.from(), set.to()));
        DrillSideways.DrillSidewaysResult found = sideways.search(narrowed, 10);
        for (String field : FilterBench.CATEGORIES) {
            found.facets.getTopChildren(MOST_VALUES, field);
        }
        for (String field : FilterBench.NUMBERS) {
            found.facets.getAllChildren(field);
        }
        BareLucene.show(reader, highlighter, query, found.hits);
        return (int) found.hits.totalHits.value();
    }

    @Override
    public void close() throws IOException {
        reader.close();
        directory.close();
    }
}
