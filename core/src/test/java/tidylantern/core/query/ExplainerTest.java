package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.OwnerMark;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.Help;
import tidylantern.core.design.Reach;
import tidylantern.core.design.ReachRule;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Words;
import tidylantern.core.design.results.Arranged;
import tidylantern.core.design.results.ResultsPage;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.why.Explainer;
import tidylantern.core.query.why.Explanation;
import tidylantern.core.query.why.Explanation.Cure;
import tidylantern.core.query.why.Explanation.Kind;

/** Why an item is found where it is, or not found. */
class ExplainerTest {
    private SearchFixture site;

    @BeforeEach
    void open(@TempDir Path folder) {
        site = new SearchFixture(folder);
    }

    @AfterEach
    void close() throws Exception {
        site.close();
    }

    private static ItemRef post(String id) {
        return new ItemRef(new CollectionKey("posts"), new ItemId(id));
    }

    private Explanation why(SearchDesign design, String query, String id) {
        return site.engine()
                .explain(CompiledSearch.of(SearchFixture.SITE, design), SearchFixture.asked(query, 1), post(id));
    }

    private static SearchDesign titlesOnly() {
        return SearchFixture.design()
                .withWords(SearchFixture.design().words().withWeights(List.of(SearchFixture.weight("title", 5))));
    }

    private static SearchDesign rules(List<ReachRule> only, List<ReachRule> leaveOut) {
        return SearchFixture.design()
                .withReach(new Reach(List.of(new Reach.Searched(new CollectionKey("posts"), only, leaveOut))));
    }

    @Test
    void aHitSaysWhichWordsMetWhichFieldsInWhichWayAndWhatEachGave() {
        site.post("a", "title", "Baking bread", "body", "We baked all day", "tags", "Baking")
                .post("b", "title", "Harbour")
                .indexed();
        Explanation why = why(SearchFixture.design(), "baking brea", "a");
        assertThat(why.place()).isEqualTo(1);
        assertThat(why.words()).extracting(Explanation.WordPart::word).containsExactly("baking", "brea");
        assertThat(why.words().getFirst().fields())
                .extracting(field -> field.field().value() + " " + field.way() + " " + field.met())
                .containsExactlyInAnyOrder("title exact [Baking]", "tags exact [Baking]", "body stem [baked]");
        assertThat(why.words().getLast().fields())
                .extracting(field -> field.field().value() + " " + field.way() + " " + field.met())
                .containsExactly("title start [bread]");
        assertThat(why.words().stream().mapToDouble(Explanation.WordPart::gives).sum())
                .isCloseTo(why.score(), Offset.offset(1e-5));
        assertThat(why.score())
                .isCloseTo(
                        site.answer(SearchFixture.design(), "baking brea")
                                .hits()
                                .getFirst()
                                .score(),
                        Offset.offset(1e-6));
    }

    @Test
    void aWordInAFieldThatIsNotSearchedIsToldWithTheFieldAndTheEffectOfSearchingIt() {
        site.post("a", "title", "Ropewalk", "body", "They sell hawsers")
                .post("b", "title", "Bakery", "body", "hawsers and bread")
                .indexed();
        Explanation why = why(titlesOnly(), "hawser", "a");
        assertThat(why.found()).isFalse();
        assertThat(why.reasons()).singleElement().satisfies(reason -> {
            assertThat(reason.kind()).isEqualTo(Kind.FIELD_NOT_SEARCHED);
            assertThat(reason.words()).containsExactly("hawser");
            assertThat(reason.fields()).containsExactly(new FieldKey("body"));
        });
        Explanation.Remedy remedy = why.reasons().getFirst().remedies().getFirst();
        assertThat(remedy.cure()).isEqualTo(Cure.SEARCH_FIELD);
        Answer after = site.answer(remedy.after(), "hawser");
        assertThat(remedy.total()).isEqualTo(after.total()).isEqualTo(2);
        assertThat(after.hits().get(remedy.place() - 1).ref()).isEqualTo(post("a"));
    }

    @Test
    void eachReasonOfReachIsToldByItself() {
        site.post("a", "title", "Ferry", "tags", "Old", "author", "Ann", "url", "/drafts/a")
                .marked(OwnerMark.NONE.withKeptOut(true))
                .post("b", "title", "Ferry", "tags", "Old", "author", "Ann", "url", "/drafts/a")
                .indexed();
        SearchDesign design = rules(
                List.of(ReachRule.category(new FieldKey("tags"), "new"), ReachRule.author("bo")),
                List.of(ReachRule.address("/drafts/*"), ReachRule.item(new ItemId("b"))));
        assertThat(why(design, "ferry", "b").reasons())
                .extracting(Explanation.Reason::kind)
                .containsExactly(Kind.LEFT_OUT, Kind.LEFT_OUT, Kind.NOT_LET_IN, Kind.NOT_LET_IN);
        assertThat(why(design, "ferry", "a").reasons())
                .extracting(Explanation.Reason::kind)
                .containsExactly(Kind.KEPT_OUT, Kind.LEFT_OUT, Kind.NOT_LET_IN, Kind.NOT_LET_IN);
        assertThat(why(SearchFixture.searching("notes"), "ferry", "b").reasons())
                .extracting(Explanation.Reason::kind)
                .containsExactly(Kind.COLLECTION_NOT_SEARCHED);
        assertThat(why(design, "ferry", "gone").reasons())
                .extracting(Explanation.Reason::kind)
                .containsExactly(Kind.NOT_THERE);
    }

    @Test
    void strictnessAndWordsThatStandNowhereAreToldWithTheirCures() {
        site.post("a", "title", "Hummingbird").post("b", "title", "Baked goods").indexed();
        SearchDesign strict = SearchFixture.strict(Words.WordsNeeded.ALL, Words.PartOfWord.WHOLE, false, false);
        assertThat(why(strict, "bird", "a").reasons().getFirst().kind()).isEqualTo(Kind.TOO_STRICT);
        assertThat(why(strict, "bird", "a").reasons().getFirst().remedies())
                .extracting(Explanation.Remedy::cure)
                .contains(Cure.MATCH_INSIDE, Cure.ADD_SYNONYM);
        assertThat(why(strict, "baking", "b").reasons().getFirst().remedies())
                .extracting(Explanation.Remedy::cure)
                .contains(Cure.FIND_OTHER_FORMS);
        assertThat(why(strict, "hummingbirb", "a").reasons().getFirst().remedies())
                .extracting(Explanation.Remedy::cure)
                .contains(Cure.ALLOW_TYPOS);
        Explanation nowhere = why(SearchFixture.design(), "zeppelin", "a");
        assertThat(nowhere.reasons()).singleElement().satisfies(reason -> assertThat(reason.kind())
                .isEqualTo(Kind.WORD_NOWHERE));
        assertThat(nowhere.reasons().getFirst().remedies()).singleElement().satisfies(remedy -> {
            assertThat(remedy.cure()).isEqualTo(Cure.ADD_SYNONYM);
            assertThat(site.found(remedy.after(), "zeppelin")).containsExactly("a");
        });
    }

    @Test
    void operatorsThatAnItemDoesNotFitAreToldAsSuch() {
        site.post("a", "title", "Winter ferry").indexed();
        SearchDesign design =
                SearchFixture.design().withWords(SearchFixture.design().words().withOperators(true));
        assertThat(why(design, "ferry -winter", "a").reasons())
                .extracting(Explanation.Reason::kind)
                .containsExactly(Kind.OPERATORS);
        assertThat(why(design, "\"winter ferry\"", "a").words())
                .singleElement()
                .satisfies(word -> assertThat(word.word()).isEqualTo("\"winter ferry\""));
    }

    @Test
    void aHitThatShouldNotBeThereOffersRulesWithWhatElseTheyWouldTake() {
        site.post("a", "title", "Ferry", "tags", "Travel/Boats", "author", "Ann")
                .post("b", "title", "Ferry two", "tags", "Travel")
                .post("c", "title", "Ferry three", "author", "Ann")
                .indexed();
        assertThat(why(SearchFixture.design(), "ferry", "a").leavings())
                .extracting(leaving -> leaving.rule() + " " + leaving.items())
                .containsExactlyInAnyOrder("item a 1", "tags travel/boats 1", "tags travel 2", "author ann 2");
    }

    private static final List<String> WORDS = List.of(
            "harbour",
            "harbours",
            "ferry",
            "winter",
            "bakery",
            "baking",
            "rope",
            "ropes",
            "lantern",
            "lanterns",
            "puffin",
            "kettle");

    private static String some(Random random, int most) {
        List<String> words = new ArrayList<>();
        for (int i = random.nextInt(most + 1); i >= 0; i--) {
            words.add(WORDS.get(random.nextInt(WORDS.size())));
        }
        return String.join(" ", words);
    }

    private static SearchDesign random(Random random) {
        List<FieldWeight> weights = new ArrayList<>(List.of(SearchFixture.weight("title", 1 + random.nextInt(9))));
        for (String field : List.of("summary", "body", "tags")) {
            weights.add(SearchFixture.weight(field, random.nextInt(4)));
        }
        Words words = new Words(
                weights,
                new Words.Matching(
                        Words.WordsNeeded.values()[random.nextInt(3)],
                        Words.PartOfWord.values()[random.nextInt(3)],
                        new Words.Typos(random.nextBoolean(), random.nextBoolean()),
                        random.nextBoolean(),
                        2,
                        false),
                Words.Excerpt.usual(),
                List.of(),
                List.of(),
                Help.usual());
        List<ReachRule> only = new ArrayList<>();
        List<ReachRule> leaveOut = new ArrayList<>();
        if (random.nextInt(3) == 0) {
            only.add(ReachRule.category(new FieldKey("tags"), WORDS.get(random.nextInt(WORDS.size()))));
            only.add(ReachRule.category(
                    new FieldKey("tags"), WORDS.get(random.nextInt(3)).concat("x")));
        }
        if (random.nextInt(3) == 0) {
            only.add(ReachRule.author("ann"));
        }
        if (random.nextInt(2) == 0) {
            leaveOut.add(ReachRule.address("/" + random.nextInt(3) + "*"));
        }
        return rules(only, leaveOut)
                .withWords(words)
                .withReach(
                        random.nextInt(6) == 0
                                ? SearchFixture.searching("notes").reach()
                                : rules(only, leaveOut).reach());
    }

    /**
     * The proof: an explanation agrees with the answer; the figures of a hit add up to its score; taking away all
     * reasons of a miss makes the item a hit, and taking away all but one does not. Words are taken away by a synonym
     * that nothing else of the query has.
     */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void explanationsAgreeWithTheAnswers(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 7; i++) {
            Map<String, Object> said = new HashMap<>(Map.of(
                    "title",
                    "t" + i + "x " + some(random, 1),
                    "summary",
                    some(random, 2),
                    "body",
                    some(random, 5),
                    "tags",
                    some(random, 0),
                    "url",
                    "/" + random.nextInt(4) + "/" + i,
                    "author",
                    random.nextBoolean() ? "Ann" : "Bo"));
            site.item(SearchFixture.POSTS, "i%02d".formatted(i), said);
        }
        site.indexed();
        int hits = 0;
        int misses = 0;
        for (int round = 0; round < 3; round++) {
            SearchDesign design = random(random);
            String query = some(random, 2);
            List<Hit> answer =
                    site.answer(design.withWords(design.words()), query).hits();
            List<String> found =
                    answer.stream().map(hit -> hit.ref().id().value()).toList();
            for (int i = 0; i < 7; i++) {
                String id = "i%02d".formatted(i);
                String at = "%s in %s of %s".formatted(id, query, design);
                Explanation why = why(design, query, id);
                assertThat(why.found()).as(at).isEqualTo(found.contains(id));
                assertThat(why.total()).as(at).isEqualTo(found.size());
                if (why.found()) {
                    hits++;
                    assertThat(why.place()).as(at).isEqualTo(found.indexOf(id) + 1);
                    assertThat(why.score())
                            .as(at)
                            .isCloseTo(answer.get(found.indexOf(id)).score(), Offset.offset(1e-6));
                    assertThat(why.words().stream()
                                    .mapToDouble(Explanation.WordPart::gives)
                                    .sum())
                            .as(at)
                            .isCloseTo(why.score(), Offset.offset(1e-4));
                } else {
                    misses++;
                    proveReasons(design, query, id, why, at);
                }
            }
        }
        assertThat(hits).isPositive();
        assertThat(misses).isPositive();
    }

    private List<String> all(SearchDesign design, String query) {
        return site.found(design.withPage(ResultsPage.of(null, 100, Arranged.LIST)), query);
    }

    private void proveReasons(SearchDesign design, String query, String id, Explanation why, String at) {
        List<Explainer.Cause> causes = site.explainer(query, post(id)).causes(design);
        assertThat(causes).as(at).isNotEmpty();
        assertThat(all(cured(design, causes, null), query))
                .as("all reasons taken away: %s: %s", at, causes)
                .contains(id);
        for (Explainer.Cause left : causes) {
            assertThat(all(cured(design, causes, left), query))
                    .as("all but %s taken away: %s", left, at)
                    .doesNotContain(id);
        }
        for (Explanation.Reason reason : why.reasons()) {
            for (Explanation.Remedy remedy : reason.remedies()) {
                assertThat(remedy.total())
                        .as("the forecast of %s: %s", remedy.cure(), at)
                        .isEqualTo(site.answer(remedy.after(), query).total());
            }
        }
    }

    private static SearchDesign cured(SearchDesign design, List<Explainer.Cause> causes, Explainer.Cause left) {
        SearchDesign cured = design;
        for (Explainer.Cause cause : causes) {
            if (cause != left) {
                List<Explainer.Fix> synonyms = cause.fixes().stream()
                        .filter(fix -> fix.cure() == Cure.ADD_SYNONYM)
                        .toList();
                for (Explainer.Fix fix :
                        synonyms.isEmpty() ? List.of(cause.fixes().getFirst()) : synonyms) {
                    cured = fix.change().apply(cured);
                }
            }
        }
        return cured;
    }
}
