package tidylantern.core.reference;

import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemReader;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.query.SearchEngine;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.words.VisitorQuery;

/** What 300 queries find among WordNet's 117,659 entries is what they found before answers were made fast. */
@EnabledIfSystemProperty(named = "long", matches = ".*")
class WordNetAnswersBeforeTest {
    private static final Path KEPT = Path.of("src/test/resources/answers-before/wordnet.tsv");
    private static final int QUERIES = 300;
    private static final int BATCH = 1_000;
    private static final Collection WORDS = new Collection(
            new CollectionKey("words"),
            "Words",
            "en",
            List.of(
                    new Field(FieldKey.TITLE, FieldKind.TEXT, "title", "Title"),
                    new Field(FieldKey.BODY, FieldKind.TEXT, "body", "Body")));
    private static final SiteContent SITE = new SiteContent(List.of(WORDS));

    @Test
    void theyFindTheSameInTheSameOrder(@TempDir Path folder) throws Exception {
        assumeTrue(WordNet.installed(), "bin/test --long installs the package wordnet-base");
        List<WordNet.Entry> entries = WordNet.entries();
        try (SiteIndex index = SiteIndex.open(folder)) {
            ItemReader reader = new ItemReader(WORDS);
            List<SiteIndex.Changed> batch = new ArrayList<>();
            for (WordNet.Entry entry : entries) {
                batch.add(new SiteIndex.Changed(
                        reader.read(
                                new ItemId(entry.id()),
                                Map.of("title", String.join(", ", entry.words()), "body", entry.gloss())),
                        "en"));
                if (batch.size() == BATCH) {
                    index.add(batch);
                    batch.clear();
                }
            }
            index.apply(batch, List.of(), 1);
            SearchEngine engine = new SearchEngine(index);
            CompiledSearch search = CompiledSearch.of(SITE, SearchDesign.firstFor("Words", SITE));
            AnswersBefore.hold(
                    KEPT,
                    queries(entries),
                    query -> engine.answer(search, VisitorQuery.plain(query, engine.today(SITE))).hits().stream()
                            .limit(10)
                            .map(hit -> hit.ref().id().value())
                            .toList());
        }
    }

    /** By turns a name, two words of a gloss, a name half typed, and one with two neighbours swapped. */
    private static List<String> queries(List<WordNet.Entry> entries) {
        List<WordNet.Entry> fitting = entries.stream()
                .filter(entry -> entry.words().getFirst().matches("[A-Za-z]{7,}"))
                .filter(entry -> glossWords(entry).size() == 2)
                .toList();
        Set<String> queries = new LinkedHashSet<>();
        for (int n = 0; queries.size() < QUERIES; n++) {
            WordNet.Entry entry = fitting.get(n * (fitting.size() / QUERIES / 2));
            String name = entry.words().getFirst().toLowerCase(Locale.ROOT);
            queries.add(
                    switch (n % 4) {
                        case 0 -> name;
                        case 1 -> String.join(" ", glossWords(entry));
                        case 2 -> name.substring(0, 4);
                        default -> name.substring(0, 3) + name.charAt(4) + name.charAt(3) + name.substring(5);
                    });
        }
        return List.copyOf(queries);
    }

    private static List<String> glossWords(WordNet.Entry entry) {
        return Arrays.stream(entry.gloss().toLowerCase(Locale.ROOT).split("[^a-z]+"))
                .filter(word -> word.length() >= 5)
                .limit(2)
                .toList();
    }
}
