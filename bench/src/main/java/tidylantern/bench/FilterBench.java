package tidylantern.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemReader;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.Help;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Words;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.results.ResultsPage;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.query.SearchEngine;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.reference.WordNet;

/**
 * WordNet's entries under eight filters, three of them set: the noun tree of over 80,000 values, five flat ones, two
 * ranges. Whole answers of the core beside Lucene's own drill-sideways, interleaved in one run.
 */
final class FilterBench {
    static final String TREE = "tree";
    static final List<String> CATEGORIES = List.of(TREE, "part", "file", "initial", "ending", "names");
    static final List<String> NUMBERS = List.of("letters", "gloss");
    static final int BARS = 20;
    static final double BAR = 20;
    private static final int ROUNDS_TO_WARM = 1;
    private static final int ROUNDS = 3;
    private static final Collection WORDS = new Collection(
            new CollectionKey("words"),
            "Words",
            "en",
            Stream.of(
                            Stream.of(field("title", FieldKind.TEXT), field("body", FieldKind.TEXT)),
                            CATEGORIES.stream().map(key -> field(key, FieldKind.CATEGORY)),
                            NUMBERS.stream().map(key -> field(key, FieldKind.NUMBER)))
                    .flatMap(fields -> fields)
                    .toList());
    private static final SiteContent SITE = new SiteContent(List.of(WORDS));

    private FilterBench() {}

    /** An entry with what it is filtered by. */
    record Word(
            String id, String title, String body, Map<String, List<String>> categories, Map<String, Double> numbers) {}

    /** What is set: values of two filters, any of which is enough, and one range. */
    record Set(Map<String, List<String>> values, String number, double from, double to) {}

    private static Field field(String key, FieldKind kind) {
        return new Field(new FieldKey(key), kind, key, Field.labelFrom(key));
    }

    static void run() throws Exception {
        List<WordNet.Entry> entries = WordNet.entries();
        Map<String, WordNet.Entry> byId = new HashMap<>();
        entries.forEach(entry -> byId.put(entry.id(), entry));
        List<Word> words = entries.stream().map(entry -> word(entry, byId)).toList();
        Set set = new Set(
                Map.of(
                        "file",
                        List.of("03", "05", "06", "15", "18"),
                        "initial",
                        Stream.iterate('a', c -> c <= 'p', c -> (char) (c + 1))
                                .map(String::valueOf)
                                .toList()),
                "letters",
                4,
                14);
        SearchDesign plain = SearchDesign.firstFor("Words", SITE);
        SearchDesign design = plain.withWords(Words.standard()
                        .withWeights(List.of(new FieldWeight(FieldKey.TITLE, 5), new FieldWeight(FieldKey.BODY, 1)))
                        .withTypos(new Words.Typos(false, true))
                        .withHelp(new Help(false, false, false, List.of())))
                .withFilters(Stream.concat(CATEGORIES.stream(), NUMBERS.stream())
                        .map(key -> Filter.of(key, key, CategorySource.usual(new FieldKey(key))))
                        .toList())
                .withPage(withoutWaysOut(plain.page()));
        CompiledSearch search = CompiledSearch.of(SITE, design);
        CompiledSearch unfiltered = CompiledSearch.of(SITE, design.withFilters(List.of()));
        Map<String, List<String>> asked = new HashMap<>(set.values());
        asked.put(set.number(), List.of((int) set.from() + ".." + (int) set.to()));
        Path folder = Files.createTempDirectory("tidy-lantern-bench");
        List<String> queries = WordNetQueries.of(entries);
        try (SiteIndex index = indexed(folder.resolve("core"), words);
                BareSideways lucene = new BareSideways(folder.resolve("bare"), words, set)) {
            SearchEngine engine = new SearchEngine(index);
            System.out.printf("%,d entries, %d queries under 8 filters, 3 of them set%n", words.size(), queries.size());
            Timings timings = new Timings();
            long ours = 0;
            long theirs = 0;
            for (int round = 0; round < ROUNDS_TO_WARM + ROUNDS; round++) {
                if (round == ROUNDS_TO_WARM) {
                    timings.forget();
                }
                for (String query : queries) {
                    theirs += timings.measure("bare Lucene drill-sideways", () -> lucene.answer(query));
                    ours += timings.measure("core, 8 filters", () -> engine.answer(search, Asking.of(query, 1, asked))
                            .total());
                    timings.measure("core, without filters", () -> engine.answer(unfiltered, Asking.of(query, 1))
                            .total());
                }
            }
            System.out.printf("found in all: bare %,d, core %,d (their words end in other places)%n", theirs, ours);
            timings.print("bare Lucene drill-sideways");
        }
    }

    /** The floor offers nothing where nothing is found. */
    private static ResultsPage withoutWaysOut(ResultsPage page) {
        ResultsPage.Shows shows = page.shows();
        ResultsPage.Shows without = new ResultsPage.Shows(
                shows.heading(),
                shows.count(),
                shows.time(),
                shows.order(),
                shows.set(),
                shows.copyLink(),
                shows.box(),
                shows.popular(),
                new ResultsPage.NothingFound(null, false, false, false));
        return new ResultsPage(
                page.address(),
                page.perPage(),
                page.layout(),
                page.paging(),
                page.most(),
                without,
                page.start(),
                page.told());
    }

    private static Word word(WordNet.Entry entry, Map<String, WordNet.Entry> byId) {
        String name = entry.words().getFirst().toLowerCase(java.util.Locale.ROOT);
        Map<String, List<String>> categories = new HashMap<>(Map.of(
                "part",
                List.of(entry.part()),
                "file",
                List.of(entry.file()),
                "initial",
                List.of(letter(name.charAt(0))),
                "ending",
                List.of(letter(name.charAt(name.length() - 1))),
                "names",
                List.of(entry.words().size() + " names")));
        if (entry.noun()) {
            categories.put(TREE, paths(entry, byId));
        }
        return new Word(
                entry.id(),
                String.join(", ", entry.words()),
                entry.gloss(),
                categories,
                Map.of("letters", (double) name.length(), "gloss", (double)
                        entry.gloss().length()));
    }

    private static String letter(char c) {
        return Character.isLetter(c) ? String.valueOf(c) : "other";
    }

    /** From the one most general noun down to the entry, in every way there is. */
    private static List<String> paths(WordNet.Entry entry, Map<String, WordNet.Entry> byId) {
        String name = entry.words().getFirst().replace('/', ' ') + " " + entry.id();
        return entry.above().isEmpty()
                ? List.of(name)
                : entry.above().stream()
                        .flatMap(id -> paths(Objects.requireNonNull(byId.get(id)), byId).stream())
                        .map(above -> above + "/" + name)
                        .toList();
    }

    private static SiteIndex indexed(Path folder, List<Word> words) throws Exception {
        SiteIndex index = SiteIndex.open(folder);
        ItemReader reader = new ItemReader(WORDS);
        List<SiteIndex.Changed> batch = new ArrayList<>();
        for (Word word : words) {
            Map<String, @Nullable Object> properties = new HashMap<>(word.categories());
            properties.putAll(word.numbers());
            properties.put("title", word.title());
            properties.put("body", word.body());
            batch.add(new SiteIndex.Changed(reader.read(new ItemId(word.id()), properties), "en"));
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
