package tidylantern.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemReader;
import tidylantern.core.content.ItemRefused;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.query.SearchEngine;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.words.VisitorQuery;
import tidylantern.core.reference.WordNet;

/**
 * The dearest that somebody can ask: WordNet's nouns in their tree of 111,557 paths, the first answer after each push
 * (as the writer pays for it, before the new state is shown), and queries of mistyped words.
 */
final class EffortBench {
    private static final int PUSHES = 5;
    private static final int ROUNDS_TO_WARM = 10;
    private static final int ROUNDS = 40;
    private static final String TREE = "tree";
    private static final Collection NOUNS = new Collection(
            new CollectionKey("nouns"),
            "Nouns",
            "en",
            List.of(field("title", FieldKind.TEXT), field("body", FieldKind.TEXT), field(TREE, FieldKind.CATEGORY)));
    private static final SiteContent SITE = new SiteContent(List.of(NOUNS));

    private EffortBench() {}

    private static Field field(String key, FieldKind kind) {
        return new Field(new FieldKey(key), kind, key, Field.labelFrom(key));
    }

    static void run() throws Exception {
        List<WordNet.Entry> nouns =
                WordNet.entries().stream().filter(WordNet.Entry::noun).toList();
        SearchDesign plain = SearchDesign.firstFor("Nouns", SITE);
        CompiledSearch withTree = CompiledSearch.of(
                SITE, plain.withFilters(List.of(Filter.of(TREE, "Tree", CategorySource.usual(new FieldKey(TREE))))));
        Path folder = Files.createTempDirectory("tidy-lantern-bench");
        try (SiteIndex index = indexed(folder, nouns)) {
            SearchEngine engine = new SearchEngine(index);
            Timings timings = new Timings();
            index.beforeShown(next -> engine.prepare(next, withTree));
            for (int push = 0; push < PUSHES; push++) {
                timings.measure("first answer after a push", () -> engine.answer(withTree, Asking.of("", 1))
                        .total());
                timings.measure("the next", () -> engine.answer(withTree, Asking.of("", 1))
                        .total());
                long change = 2L + push;
                SiteIndex.Changed anew =
                        item("new" + push, List.of("New " + push), "", List.of(List.of("entity", "thing " + push)));
                timings.measure("a push of one item", () -> {
                    index.apply(List.of(anew), List.of(), change);
                    return 1;
                });
            }
            timings.print("the next");
            CompiledSearch search = CompiledSearch.of(SITE, plain);
            mistyped(engine, search, nouns);
            byMachines(engine, search, nouns);
            writtenOtherwise(engine, search, nouns);
        }
    }

    private static void mistyped(SearchEngine engine, CompiledSearch search, List<WordNet.Entry> nouns)
            throws Exception {
        List<String> words = nouns.stream()
                .map(noun -> noun.words().getFirst())
                .filter(word -> word.matches("[a-z]{8,12}"))
                .toList();
        Random random = new Random(3);
        inRounds("1 mistyped", timings -> {
            for (int many : new int[] {1, 2, VisitorQuery.MOST_WORDS}) {
                String query = IntStream.range(0, many)
                        .mapToObj(n -> bent(words.get(random.nextInt(words.size())), random))
                        .collect(Collectors.joining(" "));
                timings.measure(many + " mistyped", () -> engine.answer(search, Asking.of(query, 1))
                        .total());
            }
        });
    }

    /** Queries that nobody types: without end, with more words and operators than are looked at. */
    private static void byMachines(SearchEngine engine, CompiledSearch search, List<WordNet.Entry> nouns)
            throws Exception {
        List<String> words = nouns.stream()
                .map(noun -> noun.words().getFirst())
                .filter(word -> word.matches("[a-z]{4,8}"))
                .toList();
        Random random = new Random(9);
        inRounds("two words", timings -> {
            String letters = random.ints(10_000, 'a', 'z' + 1)
                    .mapToObj(Character::toString)
                    .collect(Collectors.joining());
            measure(timings, "two words", engine, search, some(words, 2, random));
            measure(timings, "10,000 letters in one word", engine, search, letters);
            measure(timings, "10,000 letters in words", engine, search, some(words, 1_500, random));
            measure(timings, "200 words", engine, search, some(words, 200, random));
            measure(
                    timings,
                    "200 letters, a word each",
                    engine,
                    search,
                    letters.substring(0, 200).replaceAll("", " "));
            measure(
                    timings,
                    "64 times OR",
                    engine,
                    search,
                    some(words, 65, random).replace(" ", " OR "));
            measure(
                    timings,
                    "64 times NOT",
                    engine,
                    search,
                    "a " + some(words, 64, random).replaceAll("(^| )", " -"));
            measure(timings, "64 parentheses", engine, search, "(".repeat(64) + "sea" + ")".repeat(64));
            measure(
                    timings,
                    "64 quotes",
                    engine,
                    search,
                    "\"" + some(words, 32, random).replace(" ", "\" \"") + "\"");
        });
    }

    /** Names of two words written as one, and words that are written as one written as two. */
    private static void writtenOtherwise(SearchEngine engine, CompiledSearch search, List<WordNet.Entry> nouns)
            throws Exception {
        List<String> together = nouns.stream()
                .flatMap(noun -> noun.words().stream())
                .filter(word -> word.matches("[a-z]{3,} [a-z]{3,}"))
                .map(word -> word.replace(" ", ""))
                .toList();
        List<String> single = nouns.stream()
                .flatMap(noun -> noun.words().stream())
                .filter(word -> word.matches("[a-z]{8,12}"))
                .toList();
        List<String> apart = nouns.stream()
                .flatMap(noun -> noun.words().stream())
                .filter(word -> word.matches("[a-z]{8,12}"))
                .map(word -> word.substring(0, 4) + " " + word.substring(4))
                .toList();
        Random random = new Random(5);
        inRounds("1 as they are", timings -> {
            for (int many : new int[] {1, VisitorQuery.MOST_WORDS / 2}) {
                measure(timings, many + " as they are", engine, search, some(single, many, random));
                measure(timings, many + " written as two", engine, search, some(apart, many, random));
                measure(timings, many + " of two written as one", engine, search, some(together, many, random));
            }
        });
    }

    @FunctionalInterface
    private interface Round {
        void go(Timings timings) throws Exception;
    }

    /** @param floor beside which the others are told */
    private static void inRounds(String floor, Round round) throws Exception {
        Timings timings = new Timings();
        for (int n = 0; n < ROUNDS_TO_WARM + ROUNDS; n++) {
            if (n == ROUNDS_TO_WARM) {
                timings.forget();
            }
            round.go(timings);
        }
        timings.print(floor);
    }

    private static void measure(Timings timings, String name, SearchEngine engine, CompiledSearch search, String query)
            throws Exception {
        timings.measure(name, () -> engine.answer(search, Asking.of(query, 1)).total());
    }

    private static String some(List<String> words, int many, Random random) {
        return IntStream.range(0, many)
                .mapToObj(n -> words.get(random.nextInt(words.size())))
                .collect(Collectors.joining(" "));
    }

    private static String bent(String word, Random random) {
        int at = 1 + random.nextInt(word.length() - 2);
        return word.substring(0, at) + "qzx".charAt(random.nextInt(3)) + word.substring(at + 1);
    }

    private static SiteIndex indexed(Path folder, List<WordNet.Entry> nouns) throws IOException, ItemRefused {
        Map<String, WordNet.Entry> byId = new HashMap<>();
        nouns.forEach(noun -> byId.put(noun.id(), noun));
        SiteIndex index = SiteIndex.open(folder);
        List<SiteIndex.Changed> all = new ArrayList<>();
        for (WordNet.Entry noun : nouns) {
            List<List<String>> paths = new ArrayList<>();
            paths(noun, List.of(), byId, paths);
            all.add(item(noun.id(), noun.words(), noun.gloss(), paths));
        }
        index.apply(all, List.of(), 1);
        index.settle();
        index.showSettled();
        return index;
    }

    private static SiteIndex.Changed item(String id, List<String> title, String body, List<List<String>> tree)
            throws ItemRefused {
        return new SiteIndex.Changed(
                new ItemReader(NOUNS).read(new ItemId(id), Map.of("title", title, "body", body, TREE, tree)), "en");
    }

    private static void paths(
            WordNet.Entry noun, List<String> below, Map<String, WordNet.Entry> byId, List<List<String>> found) {
        List<String> here = new ArrayList<>(below);
        here.addFirst(noun.words().getFirst());
        List<WordNet.Entry> above =
                noun.above().stream().map(byId::get).filter(Objects::nonNull).toList();
        if (above.isEmpty()) {
            found.add(here);
        }
        above.forEach(one -> paths(one, here, byId, found));
    }
}
