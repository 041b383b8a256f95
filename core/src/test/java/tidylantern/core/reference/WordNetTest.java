package tidylantern.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
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
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.Help;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Synonym;
import tidylantern.core.design.Words;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.index.Stemming;
import tidylantern.core.query.Ranking;
import tidylantern.core.query.SearchEngine;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.filter.CategoryCount;
import tidylantern.core.query.listing.ItemFilter;
import tidylantern.core.query.listing.ItemListing;

/**
 * Answers over the 82,115 nouns of WordNet 3.0: words as titles, glosses as texts. Nobody of this project wrote them.
 */
@EnabledIfSystemProperty(named = "long", matches = ".*")
class WordNetTest {
    private static final int LEMMAS = 200;
    private static final int BATCH = 500;
    private static final Collection WORDS = new Collection(
            new CollectionKey("words"),
            "Words",
            "en",
            List.of(field("title", FieldKind.TEXT), field("body", FieldKind.TEXT), field("tree", FieldKind.CATEGORY)));
    private static final SiteContent SITE = new SiteContent(List.of(WORDS));
    private static final Stemming ENGLISH = new Stemming("en");
    private static List<WordNet.Entry> entries;
    private static final Map<String, WordNet.Entry> byId = new HashMap<>();
    private static SiteIndex index;
    private static SearchEngine engine;

    private static Field field(String key, FieldKind kind) {
        return new Field(new FieldKey(key), kind, key, Field.labelFrom(key));
    }

    @BeforeAll
    static void open(@TempDir Path folder) throws Exception {
        assumeTrue(WordNet.installed(), "bin/test --long installs the package wordnet-base");
        entries = WordNet.entries().stream().filter(WordNet.Entry::noun).toList();
        entries.forEach(entry -> byId.put(entry.id(), entry));
        index = indexed(folder);
        engine = new SearchEngine(index);
    }

    private static SiteIndex indexed(Path folder) throws Exception {
        ItemReader reader = new ItemReader(WORDS);
        List<SiteIndex.Changed> all = new ArrayList<>();
        for (WordNet.Entry entry : entries) {
            all.add(new SiteIndex.Changed(
                    reader.read(
                            new ItemId(entry.id()),
                            Map.of("title", entry.words(), "body", entry.gloss(), "tree", paths(entry))),
                    "en"));
        }
        SiteIndex indexed = SiteIndex.open(folder);
        for (int from = 0; from < all.size(); from += BATCH) {
            indexed.add(all.subList(from, Math.min(all.size(), from + BATCH)));
        }
        indexed.apply(List.of(), List.of(), 1);
        return indexed;
    }

    /** From the one most general noun down to the entry, in every way there is; a name of its own for each synset. */
    private static List<String> paths(WordNet.Entry entry) {
        String name = entry.words().getFirst().replace('/', ' ') + " " + entry.id();
        return entry.above().isEmpty()
                ? List.of(name)
                : entry.above().stream()
                        .flatMap(id -> paths(Objects.requireNonNull(byId.get(id))).stream())
                        .map(above -> above + "/" + name)
                        .toList();
    }

    @AfterAll
    static void close() throws Exception {
        if (index != null) {
            index.close();
        }
    }

    /** A large push leaves many parts; put together into few they say the same. */
    @Test
    void inFewerPartsItAnswersTheSame(@TempDir Path folder) throws Exception {
        try (SiteIndex own = indexed(folder)) {
            SearchEngine asked = new SearchEngine(own);
            CompiledSearch search = CompiledSearch.of(SITE, design(Words.standard()));
            List<String> queries = IntStream.range(0, LEMMAS)
                    .mapToObj(n ->
                            entries.get(n * entries.size() / LEMMAS).words().getFirst())
                    .toList();
            List<Ranking> before = queries.stream()
                    .map(query -> asked.ranking(search, query, 10, Set.of(), false))
                    .toList();
            int parts = own.read(state -> state.parts().size());
            own.settle();
            int untilShown = own.read(state -> state.parts().size());
            assertThat(untilShown).isEqualTo(parts).isGreaterThan(4);
            own.showSettled();
            int settled = own.read(state -> state.parts().size());
            assertThat(settled).isLessThanOrEqualTo(4);
            assertThat(queries.stream()
                            .map(query -> asked.ranking(search, query, 10, Set.of(), false))
                            .toList())
                    .isEqualTo(before);
        }
    }

    private static SearchDesign design(Words words) {
        return SearchDesign.firstFor("Words", SITE)
                .withWords(words.withWeights(
                        List.of(new FieldWeight(FieldKey.TITLE, 5), new FieldWeight(FieldKey.BODY, 1))));
    }

    /** One word of five letters or more, one sense: of all such the same 200, evenly spread over the alphabet. */
    private static Map<String, String> lemmas() {
        List<Map.Entry<String, List<String>>> fitting = WordNet.nounSenses().entrySet().stream()
                .filter(sense -> sense.getValue().size() == 1 && sense.getKey().matches("[a-z]{5,}"))
                .toList();
        Map<String, String> lemmas = new LinkedHashMap<>();
        for (int i = 0; i < LEMMAS; i++) {
            Map.Entry<String, List<String>> one = fitting.get(i * (fitting.size() / LEMMAS));
            lemmas.put(one.getKey(), one.getValue().getFirst());
        }
        return lemmas;
    }

    private static List<String> words(String text) {
        return List.of(text.toLowerCase(Locale.ROOT).split("[^\\p{L}]+")).stream()
                .filter(word -> !word.isEmpty())
                .toList();
    }

    private static String stem(String word) {
        return ENGLISH.tokens(word).stream().findFirst().orElse(word);
    }

    /** Every word of every title and gloss. */
    private static Set<String> vocabulary() {
        Set<String> words = new HashSet<>();
        entries.forEach(entry -> words.addAll(words(String.join(" ", entry.words()) + " " + entry.gloss())));
        return words;
    }

    /**
     * The word with one letter wrong, never the first, and not giving another word of the corpus or a form of one
     * ("clans"): of a fixed order the first that nothing else is as near to; where there is none, in short words, just
     * the first.
     */
    private static String misspelt(String word, Set<String> vocabulary, Set<String> stems, int turn) {
        Predicate<String> noWord = made -> !vocabulary.contains(made) && !stems.contains(stem(made));
        String clear = misspelt(word, made -> noWord.test(made) && !mayMeanAnother(made, word, vocabulary), turn);
        return clear != null ? clear : Objects.requireNonNull(misspelt(word, noWord, turn));
    }

    private static @Nullable String misspelt(String word, Predicate<String> passes, int turn) {
        for (int shift = 1; shift < 26; shift++) {
            for (int step = 0; step < word.length() - 1; step++) {
                int at = 1 + (turn + shift + step) % (word.length() - 1);
                char wrong = (char) ('a' + (word.charAt(at) - 'a' + shift) % 26);
                String made = word.substring(0, at) + wrong + word.substring(at + 1);
                if (passes.test(made)) {
                    return made;
                }
            }
        }
        return null;
    }

    /** Whether a word of the corpus other than the lemma begins with it or with something one letter off it. */
    private static boolean mayMeanAnother(String misspelt, String lemma, Set<String> vocabulary) {
        return vocabulary.stream()
                .anyMatch(word -> word.charAt(0) == misspelt.charAt(0)
                        && !word.startsWith(lemma)
                        && word.length() >= misspelt.length() - 1
                        && (oneLetterOff(word, misspelt) || word.startsWith(misspelt)));
    }

    /** Whether the word, or a beginning of it, comes of the other by one letter more, less or other, or two swapped. */
    private static boolean oneLetterOff(String word, String other) {
        int same = 0;
        while (same < Math.min(word.length(), other.length()) && word.charAt(same) == other.charAt(same)) {
            same++;
        }
        String left = word.substring(same);
        String right = other.substring(same);
        return right.isEmpty()
                || left.startsWith(right.substring(1))
                || (!left.isEmpty()
                        && (left.substring(1).startsWith(right)
                                || left.substring(1).startsWith(right.substring(1))))
                || (left.length() > 1
                        && right.length() > 1
                        && left.charAt(0) == right.charAt(1)
                        && left.charAt(1) == right.charAt(0)
                        && left.substring(2).startsWith(right.substring(2)));
    }

    private static List<String> missed(Map<String, String> queries, int first) {
        SearchDesign design = design(Words.standard());
        List<String> missed = new ArrayList<>();
        queries.forEach((query, id) -> {
            ItemRef wanted = new ItemRef(WORDS.key(), new ItemId(id));
            Ranking ranking = engine.ranking(CompiledSearch.of(SITE, design), query, first, Set.of(wanted), false);
            if (!ranking.first().contains(wanted)) {
                missed.add(query + " for " + id + " at " + ranking.places().get(wanted) + " of " + ranking.total());
            }
        });
        return missed;
    }

    @Test
    void aLemmaFindsItsSynsetAmongTheFirstThree() {
        assertThat(missed(lemmas(), 3)).isEmpty();
    }

    @Test
    void withOneLetterWrongItIsAmongTheFirstTen() {
        Set<String> vocabulary = vocabulary();
        Map<String, String> misspelt = new LinkedHashMap<>();
        Set<String> stems = new HashSet<>();
        vocabulary.forEach(word -> stems.add(stem(word)));
        lemmas().forEach((lemma, id) -> misspelt.put(misspelt(lemma, vocabulary, stems, misspelt.size()), id));
        assertThat(misspelt).hasSize(LEMMAS);
        assertThat(missed(misspelt, 10)).isEmpty();
    }

    @Test
    void countsOfATreeAreOfDistinctItemsAtEveryValue() {
        Map<String, Set<String>> below = new HashMap<>();
        for (WordNet.Entry entry : entries) {
            above(entry, new HashSet<>()).forEach(id -> below.computeIfAbsent(id, key -> new HashSet<>())
                    .add(entry.id()));
        }
        List<CategoryCount> counted =
                new ItemListing(index).values(new FieldKey("tree"), new ItemFilter(null, "", List.of()));
        assertThat(counted).as("every path there is").hasSize(111_557);
        for (CategoryCount value : counted) {
            String id = value.names().getLast().replaceAll(".* ", "");
            assertThat(value.count())
                    .as(value.value())
                    .isEqualTo(below.getOrDefault(id, Set.of()).size());
        }
        // From the project's references: distinct items below each, itself left aside.
        Map.of("noun-00015388", 4016, "noun-01503061", 871, "noun-02084071", 189, "noun-04524313", 527)
                .forEach((id, items) -> assertThat(below.getOrDefault(id, Set.of()))
                        .as(String.valueOf(byId.get(id)))
                        .hasSize(items + 1));
    }

    /** The entry and everything above it. */
    private static Set<String> above(WordNet.Entry entry, Set<String> seen) {
        if (seen.add(entry.id())) {
            entry.above().forEach(id -> above(Objects.requireNonNull(byId.get(id)), seen));
        }
        return seen;
    }

    @Test
    void everySynsetOfSeveralWordsIsAGroupOfSynonyms() {
        List<Synonym> groups = entries.stream()
                .map(entry -> entry.words().stream()
                        .map(word -> word.toLowerCase(Locale.ROOT))
                        .distinct()
                        .toList())
                .filter(words -> words.size() > 1
                        && words.stream().allMatch(word -> word.codePoints().anyMatch(Character::isLetterOrDigit)))
                .map(words -> new Synonym(null, words))
                .distinct()
                .toList();
        assertThat(entries.stream().filter(entry -> entry.words().size() > 1).count())
                .as("as the references say")
                .isEqualTo(40_061);
        assertThat(groups).hasSizeGreaterThan(38_000);
        Words whole = new Words(
                List.of(new FieldWeight(FieldKey.TITLE, 1)),
                new Words.Matching(
                        Words.WordsNeeded.ALL, Words.PartOfWord.WHOLE, new Words.Typos(false, true), false, 2, false),
                Words.Excerpt.usual(),
                List.of(),
                List.of(),
                Help.usual());
        SearchDesign design = SearchDesign.firstFor("Words", SITE).withWords(whole.withSynonyms(groups));
        Predicate<String> oneWord = word -> word.matches("[a-z]{5,}");
        // Groups of single words alone, so that a plain reckoning needs no phrases: who asks for one word finds every
        // entry
        // that has it, or one of those that stand for it in any group, among its words.
        Map<String, Set<String>> standing = new HashMap<>();
        for (Synonym group : groups) {
            group.words().forEach(word -> standing.computeIfAbsent(word, key -> new HashSet<>())
                    .addAll(group.words()));
        }
        Map<String, Integer> byWord = new HashMap<>();
        List<String> asked = standing.entrySet().stream()
                .filter(entry -> entry.getValue().stream().allMatch(oneWord))
                .map(Map.Entry::getKey)
                .sorted()
                .toList();
        for (int i = 0; i < asked.size(); i += asked.size() / 100) {
            byWord.put(asked.get(i), 0);
        }
        for (WordNet.Entry entry : entries) {
            Set<String> words = new HashSet<>(List.of(String.join(" ", entry.words())
                    .toLowerCase(Locale.ROOT)
                    .replace("'", "")
                    .split("[^\\p{L}\\p{N}]+")));
            byWord.replaceAll(
                    (word, found) -> found + (standing.get(word).stream().anyMatch(words::contains) ? 1 : 0));
        }
        byWord.forEach(
                (word, found) -> assertThat(engine.ranking(CompiledSearch.of(SITE, design), word, 1, Set.of(), false)
                                .total())
                        .as(word + " and " + standing.get(word))
                        .isEqualTo(found));
    }
}
