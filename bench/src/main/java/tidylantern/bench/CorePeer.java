package tidylantern.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.bench.peer.Peer;
import tidylantern.bench.peer.PeerCorpus;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemReader;
import tidylantern.core.content.ItemRefused;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Words;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.NumberSource;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.query.SearchEngine;
import tidylantern.core.query.compiled.CompiledSearch;

/** Our engine in this process, with all that it does for visitors: typos forgiven, completions, other queries. */
final class CorePeer implements Peer {
    private static final int BATCH = 1_000;
    private static final FieldKey PART = new FieldKey("part");
    private static final FieldKey FILE = new FieldKey("file");
    private static final FieldKey LETTERS = new FieldKey("letters");
    private static final Collection TEXTS = new Collection(
            new CollectionKey("texts"),
            "Texts",
            "en",
            List.of(
                    new Field(FieldKey.TITLE, FieldKind.TEXT, "title", "Title"),
                    new Field(FieldKey.BODY, FieldKind.TEXT, "body", "Body"),
                    new Field(PART, FieldKind.CATEGORY, "part", "Part"),
                    new Field(FILE, FieldKind.CATEGORY, "file", "File"),
                    new Field(LETTERS, FieldKind.NUMBER, "letters", "Letters")));
    private static final SiteContent SITE = new SiteContent(List.of(TEXTS));

    private final Path folder;
    private final SiteIndex index;
    private final SearchEngine engine;
    private final CompiledSearch search = CompiledSearch.of(
            SITE,
            SearchDesign.firstFor("Texts", SITE)
                    .withWords(Words.standard()
                            .withWeights(
                                    List.of(new FieldWeight(FieldKey.TITLE, 5), new FieldWeight(FieldKey.BODY, 1))))
                    .withFilters(List.of(
                            Filter.of("part", "Part", CategorySource.usual(PART)),
                            Filter.of("file", "File", CategorySource.usual(FILE)),
                            Filter.of("letters", "Letters", NumberSource.usual(LETTERS)))));

    CorePeer(Path folder) throws IOException {
        this.folder = folder;
        index = SiteIndex.open(folder);
        engine = new SearchEngine(index);
    }

    @Override
    public void take(PeerCorpus corpus) throws IOException, ItemRefused {
        ItemReader reader = new ItemReader(TEXTS);
        List<SiteIndex.Changed> batch = new ArrayList<>();
        try (Stream<PeerCorpus.Text> texts = corpus.texts()) {
            for (PeerCorpus.Text text : (Iterable<PeerCorpus.Text>) texts::iterator) {
                Map<String, @Nullable Object> properties = new HashMap<>();
                properties.put("title", text.title());
                properties.put("body", text.body());
                properties.put("url", "/texts/" + text.id());
                properties.put("part", text.part());
                properties.put("file", text.file());
                properties.put("letters", text.letters());
                batch.add(new SiteIndex.Changed(reader.read(new ItemId(text.id()), properties), "en"));
                if (batch.size() == BATCH) {
                    index.add(batch);
                    batch.clear();
                }
            }
        }
        index.apply(batch, List.of(), 1);
        index.settle();
        index.showSettled();
    }

    @Override
    public int answer(PeerCorpus.Question question) {
        PeerCorpus.Letters letters = question.letters();
        Map<String, List<String>> filters =
                letters == null ? Map.of() : Map.of("letters", List.of(letters.from() + ".." + letters.to()));
        return engine.answer(search, Asking.of(question.typed(), 1, filters)).total();
    }

    @Override
    public long diskBytes() throws IOException {
        return Peer.bytesBelow(folder);
    }

    @Override
    public void close() throws IOException {
        index.close();
    }
}
