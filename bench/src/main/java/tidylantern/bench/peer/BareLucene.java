package tidylantern.bench.peer;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.analysis.TokenStream;
import org.apache.lucene.analysis.en.EnglishAnalyzer;
import org.apache.lucene.analysis.miscellaneous.PerFieldAnalyzerWrapper;
import org.apache.lucene.analysis.standard.StandardAnalyzer;
import org.apache.lucene.analysis.tokenattributes.CharTermAttribute;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.Field;
import org.apache.lucene.document.TextField;
import org.apache.lucene.facet.FacetResult;
import org.apache.lucene.facet.Facets;
import org.apache.lucene.facet.FacetsCollectorManager;
import org.apache.lucene.facet.FacetsConfig;
import org.apache.lucene.facet.LabelAndValue;
import org.apache.lucene.facet.sortedset.DefaultSortedSetDocValuesReaderState;
import org.apache.lucene.facet.sortedset.SortedSetDocValuesFacetCounts;
import org.apache.lucene.facet.sortedset.SortedSetDocValuesFacetField;
import org.apache.lucene.facet.sortedset.SortedSetDocValuesReaderState;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.BoostQuery;
import org.apache.lucene.search.DisjunctionMaxQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.PrefixQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.search.TopDocs;
import org.apache.lucene.search.TopScoreDocCollectorManager;
import org.apache.lucene.search.uhighlight.UnifiedHighlighter;
import org.apache.lucene.store.FSDirectory;

/**
 * The floor: the same work written straight on Lucene, as somebody would who needs it once. Two weighted fields, each
 * word as typed, by stem or as a start, all words needed, an exact count, counts of two categories, ten hits with their
 * texts and marked excerpts. No typos, no design, no groups.
 */
public final class BareLucene implements AutoCloseable {
    private static final String[] FIELDS = {"title", "body"};
    private static final float[] WEIGHTS = {5, 1};
    private static final List<String> CATEGORIES = List.of("part", "file");
    private static final int MOST_VALUES = 100;

    /** What is searched: an entry of WordNet, or several made into a page. */
    public record Page(String id, String title, String body, String part, String file) {}

    public static final Analyzer PLAIN = new StandardAnalyzer();
    private static final Analyzer ENGLISH = new EnglishAnalyzer();
    private final FSDirectory directory;
    private final DirectoryReader reader;
    private final IndexSearcher searcher;
    private final UnifiedHighlighter highlighter;
    private static final FacetsConfig FACETS = new FacetsConfig();
    private final SortedSetDocValuesReaderState state;

    /** @param pages texts, with the words that they are called by */
    public BareLucene(Path folder, List<Page> pages) throws IOException {
        this(written(folder, pages));
    }

    /** @param folder where such an index is already */
    BareLucene(Path folder) throws IOException {
        directory = FSDirectory.open(folder);
        reader = DirectoryReader.open(directory);
        searcher = new IndexSearcher(reader);
        highlighter = UnifiedHighlighter.builder(searcher, PLAIN).build();
        state = new DefaultSortedSetDocValuesReaderState(reader, FACETS);
    }

    private static Path written(Path folder, List<Page> pages) throws IOException {
        try (FSDirectory directory = FSDirectory.open(folder);
                IndexWriter writer = new IndexWriter(directory, new IndexWriterConfig(analyzer()))) {
            for (Page page : pages) {
                Document document = new Document();
                addTexts(document, page.title(), page.body());
                for (String category : CATEGORIES) {
                    document.add(new SortedSetDocValuesFacetField(
                            category, category.equals("part") ? page.part() : page.file()));
                }
                writer.addDocument(FACETS.build(document));
            }
        }
        return folder;
    }

    public static Analyzer analyzer() {
        return new PerFieldAnalyzerWrapper(PLAIN, Map.of("title.stem", ENGLISH, "body.stem", ENGLISH));
    }

    /** The searched texts of an item, as typed and by stem. */
    public static void addTexts(Document document, String title, String body) {
        document.add(new TextField("title", title, Field.Store.YES));
        document.add(new TextField("body", body, Field.Store.YES));
        document.add(new TextField("title.stem", title, Field.Store.NO));
        document.add(new TextField("body.stem", body, Field.Store.NO));
    }

    /**
     * @param hits the first ten
     * @param counts of each category how many have its values
     */
    public record Answer(int total, List<Shown> hits, Map<String, Map<String, Number>> counts) {}

    /** @param excerpts of title and text, the words marked */
    public record Shown(String title, List<String> excerpts) {}

    public Answer answer(String text) throws IOException {
        Query query = query(text);
        FacetsCollectorManager.FacetsResult found =
                FacetsCollectorManager.search(searcher, query, 10, new FacetsCollectorManager());
        // Over all dimensions in one go, as its documentation advises.
        Facets counts = new SortedSetDocValuesFacetCounts(state, found.facetsCollector());
        Map<String, Map<String, Number>> counted = new LinkedHashMap<>();
        for (String category : CATEGORIES) {
            FacetResult values = counts.getTopChildren(MOST_VALUES, category);
            Map<String, Number> ofCategory = new LinkedHashMap<>();
            if (values != null) {
                for (LabelAndValue value : values.labelValues) {
                    ofCategory.put(value.label, value.value);
                }
            }
            counted.put(category, ofCategory);
        }
        return new Answer(
                (int) found.topDocs().totalHits.value(), show(reader, highlighter, query, found.topDocs()), counted);
    }

    /** Without counts and without anything to show. */
    public int find(String text) throws IOException {
        return (int) top(query(text)).totalHits.value();
    }

    /** Without counts. */
    public int findAndShow(String text) throws IOException {
        Query query = query(text);
        TopDocs top = top(query);
        show(reader, highlighter, query, top);
        return (int) top.totalHits.value();
    }

    private TopDocs top(Query query) throws IOException {
        return searcher.search(query, new TopScoreDocCollectorManager(10, null, Integer.MAX_VALUE));
    }

    /** The titles of the hits, with their excerpts. */
    public static List<Shown> show(DirectoryReader reader, UnifiedHighlighter highlighter, Query query, TopDocs top)
            throws IOException {
        List<Shown> shown = new ArrayList<>();
        if (top.scoreDocs.length > 0) {
            Map<String, String[]> excerpts = highlighter.highlightFields(FIELDS, query, top, new int[] {1, 1});
            for (int n = 0; n < top.scoreDocs.length; n++) {
                String title =
                        reader.storedFields().document(top.scoreDocs[n].doc).get("title");
                List<String> ofHit = new ArrayList<>();
                for (String field : FIELDS) {
                    ofHit.add(Objects.requireNonNull(excerpts.get(field))[n]);
                }
                shown.add(new Shown(title, ofHit));
            }
        }
        return shown;
    }

    public static Query query(String text) throws IOException {
        BooleanQuery.Builder words = new BooleanQuery.Builder();
        for (String word : tokens(PLAIN, text)) {
            words.add(anyWay(word, true), BooleanClause.Occur.MUST);
        }
        return words.build();
    }

    /** All of them, the last one as a start, too. */
    static Query allWords(List<String> typed) throws IOException {
        BooleanQuery.Builder words = new BooleanQuery.Builder();
        for (int n = 0; n < typed.size(); n++) {
            words.add(anyWay(typed.get(n), n == typed.size() - 1), BooleanClause.Occur.MUST);
        }
        return words.build();
    }

    private static Query anyWay(String word, boolean asStart) throws IOException {
        List<Query> ways = new ArrayList<>();
        for (int f = 0; f < FIELDS.length; f++) {
            ways.add(new BoostQuery(new TermQuery(new Term(FIELDS[f], word)), WEIGHTS[f]));
            for (String stem : tokens(ENGLISH, word)) {
                ways.add(new BoostQuery(new TermQuery(new Term(FIELDS[f] + ".stem", stem)), WEIGHTS[f] * .7f));
            }
            if (asStart) {
                ways.add(new BoostQuery(new PrefixQuery(new Term(FIELDS[f], word)), WEIGHTS[f] * .4f));
            }
        }
        return new DisjunctionMaxQuery(ways, 0);
    }

    private static List<String> tokens(Analyzer analyzer, String text) throws IOException {
        List<String> tokens = new ArrayList<>();
        try (TokenStream stream = analyzer.tokenStream("any", text)) {
            CharTermAttribute term = stream.addAttribute(CharTermAttribute.class);
            stream.reset();
            while (stream.incrementToken()) {
                tokens.add(term.toString());
            }
            stream.end();
        }
        return tokens;
    }

    @Override
    public void close() throws IOException {
        reader.close();
        directory.close();
    }
}
