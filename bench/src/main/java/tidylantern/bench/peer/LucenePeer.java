package tidylantern.bench.peer;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.IntField;
import org.apache.lucene.facet.FacetsCollectorManager;
import org.apache.lucene.facet.FacetsConfig;
import org.apache.lucene.facet.sortedset.DefaultSortedSetDocValuesReaderState;
import org.apache.lucene.facet.sortedset.SortedSetDocValuesFacetCounts;
import org.apache.lucene.facet.sortedset.SortedSetDocValuesFacetField;
import org.apache.lucene.facet.sortedset.SortedSetDocValuesReaderState;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.uhighlight.UnifiedHighlighter;
import org.apache.lucene.store.FSDirectory;
import org.jspecify.annotations.Nullable;

/** Bare Lucene in this process, as somebody writes it who needs it once; {@link BareLucene} with a range. */
public final class LucenePeer implements Peer {
    private static final int MOST_VALUES = 100;
    private static final String PART = "part";
    private static final String FILE = "file";
    private static final String LETTERS = "letters";

    private final Path folder;
    private final FSDirectory directory;
    private final FacetsConfig facets = new FacetsConfig();
    private @Nullable Opened opened;

    /** What is asked, once all texts are in. */
    private record Opened(
            DirectoryReader reader,
            IndexSearcher searcher,
            UnifiedHighlighter highlighter,
            SortedSetDocValuesReaderState state) {}

    public LucenePeer(Path folder) throws IOException {
        this.folder = folder;
        directory = FSDirectory.open(folder);
    }

    @Override
    public void take(PeerCorpus corpus) throws IOException {
        try (IndexWriter writer = new IndexWriter(directory, new IndexWriterConfig(BareLucene.analyzer()));
                Stream<PeerCorpus.Text> texts = corpus.texts()) {
            for (PeerCorpus.Text text : (Iterable<PeerCorpus.Text>) texts::iterator) {
                Document document = new Document();
                BareLucene.addTexts(document, text.title(), text.body());
                document.add(new SortedSetDocValuesFacetField(PART, text.part()));
                document.add(new SortedSetDocValuesFacetField(FILE, text.file()));
                document.add(new IntField(LETTERS, text.letters(), org.apache.lucene.document.Field.Store.NO));
                writer.addDocument(facets.build(document));
            }
        }
        DirectoryReader reader = DirectoryReader.open(directory);
        IndexSearcher searcher = new IndexSearcher(reader);
        opened = new Opened(
                reader,
                searcher,
                UnifiedHighlighter.builder(searcher, BareLucene.PLAIN).build(),
                new DefaultSortedSetDocValuesReaderState(reader, facets));
    }

    @Override
    public int answer(PeerCorpus.Question question) throws IOException {
        Opened index = java.util.Objects.requireNonNull(opened);
        Query words = BareLucene.allWords(question.words());
        PeerCorpus.Letters letters = question.letters();
        Query query = letters == null
                ? words
                : new BooleanQuery.Builder()
                        .add(words, BooleanClause.Occur.MUST)
                        .add(IntField.newRangeQuery(LETTERS, letters.from(), letters.to()), BooleanClause.Occur.FILTER)
                        .build();
        var found = FacetsCollectorManager.search(index.searcher(), query, 10, new FacetsCollectorManager());
        // Over all dimensions in one go, as its documentation advises.
        var counts = new SortedSetDocValuesFacetCounts(index.state(), found.facetsCollector());
        for (String category : List.of(PART, FILE)) {
            counts.getTopChildren(MOST_VALUES, category);
        }
        BareLucene.show(index.reader(), index.highlighter(), words, found.topDocs());
        return (int) found.topDocs().totalHits.value();
    }

    @Override
    public long diskBytes() throws IOException {
        return Peer.bytesBelow(folder);
    }

    @Override
    public void close() throws IOException {
        if (opened != null) {
            opened.reader().close();
        }
        directory.close();
    }
}
