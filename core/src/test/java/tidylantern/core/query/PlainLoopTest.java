package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.Help;
import tidylantern.core.design.Reach;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Words;
import tidylantern.core.index.Stemming;
import tidylantern.core.query.compiled.CompiledSearch;

/**
 * What is found, against a plain loop over the items written from product.md alone ('Reach' and 'Words'), without
 * Lucene: random items, random designs, random queries.
 */
class PlainLoopTest {
    private static final String[] STEMS = {
        "harbour", "bake", "kettle", "lantern", "ferry", "rope", "gull", "hummingbird", "tide", "skerry"
    };
    private static final String[] ENDINGS = {"", "s", "ed", "ing", "er"};
    private static final List<String> FIELDS = List.of("title", "summary", "body");
    private static final int QUERIES = 120;

    private record Plain(String collection, String id, Map<String, List<String>> words) {}

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void findsWhatThePlainLoopFinds(long seed, @TempDir Path folder) throws Exception {
        Random random = new Random(seed);
        List<Plain> items = new ArrayList<>();
        try (SearchFixture site = new SearchFixture(folder)) {
            for (int i = 0; i < 60; i++) {
                boolean note = random.nextInt(3) == 0;
                Map<String, List<String>> words = new HashMap<>();
                List<String> properties = new ArrayList<>();
                for (String field : FIELDS) {
                    List<String> said = new ArrayList<>();
                    for (int n = random.nextInt(4); n > 0; n--) {
                        said.add(word(random));
                    }
                    words.put(field, said);
                    properties.add(field);
                    properties.add(String.join(" ", said));
                }
                items.add(new Plain(note ? "notes" : "posts", "i" + i, words));
                site.item(note ? SearchFixture.NOTES : SearchFixture.POSTS, "i" + i, properties.toArray(String[]::new));
            }
            site.indexed();
            for (int q = 0; q < QUERIES; q++) {
                SearchDesign design = design(random);
                List<String> typed = new ArrayList<>();
                for (int n = 1 + random.nextInt(3); n > 0; n--) {
                    typed.add(typed(random));
                }
                Set<String> expected = new TreeSet<>(plainly(items, design, typed));
                Set<String> found = new TreeSet<>(all(site, design, String.join(" ", typed)));
                assertThat(found)
                        .as("query %d of seed %d: %s under %s", q, seed, typed, design.words())
                        .isEqualTo(expected);
            }
        }
    }

    private static String word(Random random) {
        return STEMS[random.nextInt(STEMS.length)] + ENDINGS[random.nextInt(ENDINGS.length)];
    }

    /** A word, or the beginning of one, or one with two neighbours swapped or a letter gone. */
    private static String typed(Random random) {
        String word = word(random);
        int at = 1 + random.nextInt(word.length() - 2);
        return switch (random.nextInt(5)) {
            case 0 -> word.substring(0, Math.max(3, word.length() / 2));
            case 1 -> word.substring(0, at) + word.charAt(at + 1) + word.charAt(at) + word.substring(at + 2);
            case 2 -> word.substring(0, at) + word.substring(at + 1);
            default -> word;
        };
    }

    private static SearchDesign design(Random random) {
        List<FieldWeight> weights = new ArrayList<>();
        FIELDS.forEach(
                field -> weights.add(SearchFixture.weight(field, random.nextInt(3) == 0 ? 0 : 1 + random.nextInt(9))));
        Words words = new Words(
                weights,
                new Words.Matching(
                        Words.WordsNeeded.values()[random.nextInt(3)],
                        Words.PartOfWord.values()[random.nextInt(2)],
                        new Words.Typos(random.nextBoolean(), random.nextBoolean()),
                        random.nextBoolean(),
                        1,
                        false),
                Words.Excerpt.usual(),
                List.of(),
                List.of(),
                Help.usual());
        SearchDesign design = SearchFixture.design().withWords(words);
        return random.nextInt(4) == 0
                ? design.withReach(new Reach(List.of(Reach.Searched.all(SearchFixture.POSTS.key()))))
                : design;
    }

    private static List<String> all(SearchFixture site, SearchDesign design, String query) {
        List<String> found = new ArrayList<>();
        Answer first = site.answer(design, query);
        for (int page = 1; page <= first.pages(); page++) {
            site.engine()
                    .answer(CompiledSearch.of(SearchFixture.SITE, design), SearchFixture.asked(query, page))
                    .hits()
                    .forEach(hit -> found.add(hit.ref().id().value()));
        }
        return found;
    }

    private static Set<String> plainly(List<Plain> items, SearchDesign design, List<String> typed) {
        List<Plain> reach = items.stream()
                .filter(item ->
                        design.searched().stream().anyMatch(key -> key.value().equals(item.collection())))
                .toList();
        List<String> words = typed.stream().distinct().toList();
        List<Set<String>> holders = new ArrayList<>();
        for (int w = 0; w < words.size(); w++) {
            String word = words.get(w);
            Set<String> asTyped = holding(reach, design, word, 0, false);
            int edits = design.words().typos().editsIn(word);
            boolean last = w == words.size() - 1;
            holders.add(edits > 0 && asTyped.size() < 3 ? holding(reach, design, word, edits, last) : asTyped);
        }
        Set<String> found = new HashSet<>();
        for (Plain item : reach) {
            long held = holders.stream()
                    .filter(holder -> holder.contains(item.id()))
                    .count();
            if (held >= design.words().needed().of(words.size())) {
                found.add(item.id());
            }
        }
        return found;
    }

    /** The items in reach that hold the word in a searched field, with so many edits forgiven. */
    private static Set<String> holding(List<Plain> reach, SearchDesign design, String word, int edits, boolean last) {
        Stemming stemming = new Stemming("en");
        Words rules = design.words();
        boolean starts = rules.partOfWord() == Words.PartOfWord.START;
        Set<String> held = new HashSet<>();
        for (Plain item : reach) {
            for (FieldWeight weight : rules.searched()) {
                for (String said : item.words().getOrDefault(weight.field().value(), List.of())) {
                    boolean met = said.equals(word)
                            || (starts && said.startsWith(word))
                            || (rules.stemming() && stemming.stem(said).equals(stemming.stem(word)))
                            || (edits > 0
                                    && bent(word, said, edits, rules.typos().firstLetterFixed(), starts && last));
                    if (met) {
                        held.add(item.id());
                    }
                }
            }
        }
        return held;
    }

    private static boolean bent(String word, String said, int edits, boolean firstLetterFixed, boolean startCounts) {
        if (firstLetterFixed && word.charAt(0) != said.charAt(0)) {
            return false;
        }
        String typed = firstLetterFixed ? word.substring(1) : word;
        String other = firstLetterFixed ? said.substring(1) : said;
        if (TyposTest.distance(typed, other) <= edits) {
            return true;
        }
        for (int end = 0; startCounts && end <= other.length(); end++) {
            if (TyposTest.distance(typed, other.substring(0, end)) <= edits) {
                return true;
            }
        }
        return false;
    }
}
