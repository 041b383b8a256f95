package tidylantern.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import tidylantern.bench.peer.BareLucene;
import tidylantern.bench.peer.PeerCorpus;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.Item;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemReader;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.Help;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Words;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.query.SearchEngine;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.reference.WordNet;

/**
 * A fixed list of queries over WordNet's 117,659 entries: through the core with typos off and on, as live results,
 * through HTTP, and through bare Lucene doing the same work without typos, by turns in one run.
 */
final class WordNetBench {
    /** Until Java has compiled what a service does for an answer; each contestant is asked as often. */
    private static final int ROUNDS_TO_WARM = 40;

    private static final int ROUNDS = 3;
    private static final int WORDS_OF_A_PAGE = 400;
    private static final List<FieldKey> CATEGORIES = List.of(new FieldKey("part"), new FieldKey("file"));
    private static final Collection WORDS = new Collection(
            new CollectionKey("words"),
            "Words",
            "en",
            List.of(
                    new Field(FieldKey.TITLE, FieldKind.TEXT, "title", "Title"),
                    new Field(FieldKey.BODY, FieldKind.TEXT, "body", "Body"),
                    new Field(CATEGORIES.get(0), FieldKind.CATEGORY, "part", "Part"),
                    new Field(CATEGORIES.get(1), FieldKind.CATEGORY, "file", "File")));
    private static final SiteContent SITE = new SiteContent(List.of(WORDS));
    private static final List<FieldWeight> WEIGHTS =
            List.of(new FieldWeight(FieldKey.TITLE, 5), new FieldWeight(FieldKey.BODY, 1));
    /** As the product begins, with completions, 'did you mean' and see also. */
    private static final SearchDesign HELPING =
            SearchDesign.firstFor("Words", SITE).withWords(Words.standard().withWeights(WEIGHTS));
    /** The floor offers no help, so beside it none is made. */
    private static final SearchDesign FORGIVING =
            HELPING.withWords(HELPING.words().withHelp(new Help(false, false, false, List.of())));

    private static final SearchDesign EXACT =
            FORGIVING.withWords(FORGIVING.words().withTypos(new Words.Typos(false, true)));

    private WordNetBench() {}

    /** An entry a page. */
    private static List<BareLucene.Page> pages(List<WordNet.Entry> entries) {
        return entries.stream()
                .map(entry -> new BareLucene.Page(
                        entry.id(), String.join(", ", entry.words()), entry.gloss(), entry.part(), entry.file()))
                .toList();
    }

    /** With filters over the two categories, so that they are counted. */
    private static SearchDesign counting(SearchDesign design) {
        return design.withFilters(CATEGORIES.stream()
                .map(field -> Filter.of(field.value(), field.value(), CategorySource.usual(field)))
                .toList());
    }

    static void run() throws Exception {
        List<WordNet.Entry> entries = WordNet.entries();
        List<String> queries = WordNetQueries.of(entries);
        List<BareLucene.Page> pages = pages(entries);
        Path folder = Files.createTempDirectory("tidy-lantern-bench");
        long begun = System.nanoTime();
        try (SiteIndex index = indexed(folder.resolve("core"), pages);
                BareLucene lucene = new BareLucene(folder.resolve("bare"), pages);
                BareLuceneProcess bareService = new BareLuceneProcess(folder.resolve("bare"), "-Xmx512m");
                ServicePeer service = new ServicePeer(folder.resolve("service"), ServicePeer.practised(), "-Xmx512m")) {
            service.takeWithCategories(PeerCorpus.ofEntries(entries, entries.size()));
            ServicePeer.letSettle();
            System.out.printf(
                    "%,d entries, %d queries, a tenth mistyped; prepared in %d s%n",
                    entries.size(), queries.size(), (System.nanoTime() - begun) / 1_000_000_000);
            SearchEngine engine = new SearchEngine(index);
            CompiledSearch exact = CompiledSearch.of(SITE, counting(EXACT));
            CompiledSearch forgiving = CompiledSearch.of(SITE, counting(FORGIVING));
            CompiledSearch helping = CompiledSearch.of(SITE, counting(HELPING));
            CompiledSearch live = CompiledSearch.of(SITE, HELPING);
            Map<String, Answering> all = new LinkedHashMap<>();
            all.put("bare Lucene, no typos", query -> lucene.answer(query).total());
            all.put("core, no typos", query -> engine.answer(exact, Asking.of(query, 1))
                    .total());
            all.put("core, typos forgiven", query -> engine.answer(forgiving, Asking.of(query, 1))
                    .total());
            all.put("core, with all help", query -> engine.answer(helping, Asking.of(query, 1))
                    .total());
            all.put("core, live results", query -> engine.live(live, Asking.of(query, 1))
                    .total());
            all.put("bare Lucene over HTTP", bareService::ask);
            all.put("HTTP, results, all help", query -> service.ask("results", query));
            all.put("HTTP, live results", query -> service.ask("live", query));
            Timings timings = byTurns(all, queries);
            timings.print("bare Lucene, no typos");
        }
        excerpts(entries, folder);
    }

    /** Answers a query; how many entries are found. */
    @FunctionalInterface
    private interface Answering {
        int answer(String query) throws Exception;
    }

    /** Each answers all queries of a round before the next does. */
    private static Timings byTurns(Map<String, Answering> all, List<String> queries) throws Exception {
        Timings timings = new Timings();
        for (int round = 0; round < ROUNDS_TO_WARM + ROUNDS; round++) {
            if (round == ROUNDS_TO_WARM) {
                timings.forget();
            }
            for (Map.Entry<String, Answering> one : all.entrySet()) {
                for (String query : queries) {
                    timings.measure(one.getKey(), () -> one.getValue().answer(query));
                }
            }
        }
        return timings;
    }

    /**
     * Excerpts over texts as long as a page: what showing ten hits adds to finding them, here and with the unified
     * highlighter.
     */
    private static void excerpts(List<WordNet.Entry> entries, Path folder) throws Exception {
        List<BareLucene.Page> pages = new ArrayList<>();
        StringBuilder text = new StringBuilder();
        int words = 0;
        for (WordNet.Entry entry : entries) {
            text.append(entry.gloss()).append(". ");
            words += entry.gloss().split("\\s+").length;
            if (words >= WORDS_OF_A_PAGE) {
                pages.add(new BareLucene.Page(
                        entry.id(), String.join(", ", entry.words()), text.toString(), entry.part(), entry.file()));
                text.setLength(0);
                words = 0;
            }
        }
        List<String> queries = WordNetQueries.of(entries);
        try (SiteIndex index = indexed(folder.resolve("pages"), pages);
                BareLucene lucene = new BareLucene(folder.resolve("bare-pages"), pages)) {
            SearchEngine engine = new SearchEngine(index);
            CompiledSearch plain = CompiledSearch.of(SITE, EXACT);
            Timings timings = new Timings();
            for (int round = 0; round < ROUNDS_TO_WARM + ROUNDS; round++) {
                if (round == ROUNDS_TO_WARM) {
                    timings.forget();
                }
                for (String query : queries) {
                    timings.measure("bare Lucene, found", () -> lucene.find(query));
                    timings.measure("bare Lucene, found and shown", () -> lucene.findAndShow(query));
                    timings.measure("core, found", () -> engine.ranking(plain, query, 10, Set.of(), false)
                            .total());
                    timings.measure("core, found and shown", () -> engine.answer(plain, Asking.of(query, 1))
                            .total());
                }
            }
            System.out.printf("%,d pages of %d words%n", pages.size(), WORDS_OF_A_PAGE);
            timings.print("bare Lucene, found and shown");
            for (double p : new double[] {.5, .95}) {
                double theirs = timings.percentile("bare Lucene, found and shown", p)
                        - timings.percentile("bare Lucene, found", p);
                double ours = timings.percentile("core, found and shown", p) - timings.percentile("core, found", p);
                System.out.printf(
                        Locale.ROOT,
                        "excerpts of ten hits at the %.0fth percentile: unified highlighter %.3f ms, core %.3f ms, %.2f times%n",
                        p * 100,
                        theirs,
                        ours,
                        ours / theirs);
            }
        }
    }

    private static SiteIndex indexed(Path folder, List<BareLucene.Page> pages) throws Exception {
        SiteIndex index = SiteIndex.open(folder);
        ItemReader reader = new ItemReader(WORDS);
        List<SiteIndex.Changed> batch = new ArrayList<>();
        for (BareLucene.Page page : pages) {
            Item item = reader.read(
                    new ItemId(page.id()),
                    Map.of("title", page.title(), "body", page.body(), "part", page.part(), "file", page.file()));
            batch.add(new SiteIndex.Changed(item, "en"));
            if (batch.size() == 1_000) {
                index.add(batch);
                batch.clear();
            }
        }
        index.apply(batch, List.of(), 1);
        index.settle();
        index.showSettled();
        return index;
    }
}
