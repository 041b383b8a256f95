package tidylantern.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Words;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.query.SearchEngine;
import tidylantern.core.query.VisitorQuery;
import tools.jackson.databind.json.JsonMapper;
import tidylantern.core.reference.WordNet;

/**
 * A fixed list of queries over WordNet's 117,659 entries: through the core with typos off and on, as live results, through
 * HTTP, and through bare Lucene doing the same work without typos, interleaved in one run.
 */
final class WordNetBench {
    private static final int ROUNDS_TO_WARM = 1;
    private static final int ROUNDS = 3;

    private WordNetBench() {}

    static void run() throws Exception {
        List<WordNet.Entry> entries = WordNet.entries();
        List<String> queries = WordNetQueries.of(entries);
        Path folder = Files.createTempDirectory("tidy-lantern-bench");
        Collection words = new Collection(new CollectionKey("words"), "Words", "en",
                List.of(new Field(FieldKey.TITLE, FieldKind.TEXT, "title", "Title"), new Field(FieldKey.BODY, FieldKind.TEXT, "body", "Body")));
        SiteContent site = new SiteContent(List.of(words));
        List<FieldWeight> weights = List.of(new FieldWeight(FieldKey.TITLE, 5), new FieldWeight(FieldKey.BODY, 1));
        SearchDesign forgiving = SearchDesign.firstFor("Words", site).withWords(Words.standard().withWeights(weights));
        SearchDesign exact = forgiving.withWords(new Words(weights, Words.WordsNeeded.ALL, Words.PartOfWord.START, new Words.Typos(false, true), true, 2, null));

        long begun = System.nanoTime();
        try (SiteIndex index = SiteIndex.open(folder.resolve("core")); BareLucene lucene = new BareLucene(folder.resolve("bare"), entries); Service service = new Service(folder.resolve("service"))) {
            ItemReader reader = new ItemReader(words);
            List<SiteIndex.Changed> batch = new ArrayList<>();
            for (WordNet.Entry entry : entries) {
                Item item = reader.read(new ItemId(entry.id()), Map.of("title", String.join(", ", entry.words()), "body", entry.gloss()));
                batch.add(new SiteIndex.Changed(item, "en"));
                if (batch.size() == 1_000) {
                    index.add(batch);
                    batch.clear();
                }
            }
            index.apply(batch, List.of(), 1);
            String search = pushed(service, entries);
            System.out.printf("%,d entries, %d queries, a tenth mistyped; prepared in %d s%n", entries.size(), queries.size(), (System.nanoTime() - begun) / 1_000_000_000);

            SearchEngine engine = new SearchEngine(index);
            Timings timings = new Timings();
            for (int round = 0; round < ROUNDS_TO_WARM + ROUNDS; round++) {
                if (round == ROUNDS_TO_WARM) {
                    timings.forget();
                }
                for (String query : queries) {
                    VisitorQuery asked = new VisitorQuery(query, 1);
                    timings.measure("bare Lucene, no typos", () -> lucene.answer(query));
                    timings.measure("core, no typos", () -> engine.answer(site, exact, asked).total());
                    timings.measure("core, typos forgiven", () -> engine.answer(site, forgiving, asked).total());
                    timings.measure("core, live results", () -> engine.live(site, forgiving, asked).total());
                    timings.measure("HTTP, results, typos forgiven", () -> service.ask(search, "results", query));
                }
            }
            timings.print("bare Lucene, no typos");
        }
    }

    private static String pushed(Service service, List<WordNet.Entry> entries) throws Exception {
        JsonMapper json = new JsonMapper();
        service.send("POST", "/api/owner/sites", "{\"name\":\"WordNet\",\"address\":\"https://wordnet.example\"}", "application/json", "");
        String collection = "/api/owner/sites/wordnet/collections/words";
        service.send("PUT", collection, "{\"label\":\"Words\",\"language\":\"en\"}", "application/json", "");
        StringBuilder lines = new StringBuilder();
        for (WordNet.Entry entry : entries) {
            Map<String, Object> item = new LinkedHashMap<>();
            item.put("id", entry.id());
            item.put("title", String.join(", ", entry.words()));
            item.put("body", entry.gloss());
            lines.append(json.writeValueAsString(item)).append('\n');
        }
        long begun = System.nanoTime();
        service.send("PUT", collection + "/items", lines.toString(), "application/jsonl", "");
        System.out.printf("pushed over HTTP in %.1f s%n", (System.nanoTime() - begun) / 1e9);
        var made = service.send("POST", "/api/owner/sites/wordnet/searches", "{\"name\":\"Words\"}", "application/json", "");
        String key = made.path("key").asString();
        service.send("POST", "/api/owner/searches/" + key + "/publish", "", "application/json", "\"1\"");
        return key;
    }
}
