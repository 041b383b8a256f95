package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.core.content.OwnerMark;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.Help;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Synonym;
import tidylantern.core.design.Words;
import tidylantern.core.query.compiled.CompiledSearch;

/** Completion, 'did you mean' and see also: whatever is offered leads somewhere. */
class HelpTest {
    private SearchFixture site;

    @BeforeEach
    void open(@TempDir Path folder) {
        site = new SearchFixture(folder);
    }

    @AfterEach
    void close() throws Exception {
        site.close();
    }

    private static SearchDesign help(Help help) {
        return SearchFixture.design().withWords(SearchFixture.design().words().withHelp(help));
    }

    private static SearchDesign owners(Help.SeeAlso... entries) {
        return help(new Help(true, true, true, List.of(entries)));
    }

    private List<String> completed(String typed) {
        return completed(SearchFixture.design(), typed);
    }

    private List<String> completed(SearchDesign design, String typed) {
        return site.engine()
                .live(CompiledSearch.of(SearchFixture.SITE, design), SearchFixture.asked(typed, 1))
                .completions();
    }

    private String meant(SearchDesign design, String query) {
        return site.answer(design, query).didYouMean();
    }

    private SearchDesign withoutTypos() {
        return SearchFixture.strict(Words.WordsNeeded.ALL, Words.PartOfWord.START, false, true);
    }

    private void harbours() {
        site.post("a", "title", "The harbour at night", "tags", "Pell Harbour")
                .post("b", "title", "Harbour lights", "tags", "Pell Harbour")
                .post("c", "title", "Harvest soup", "body", "hardly any work")
                .post("d", "title", "Café on the quay", "tags", "Places/Cafés")
                .indexed();
    }

    @Test
    void theWordAtHandIsCompletedFromTitlesAndCategoryNamesTheMostFrequentFirst() {
        harbours();
        assertThat(completed("har")).as("'hardly' stands in a text only").containsExactly("harbour", "harvest");
        assertThat(completed("caf")).as("as the site writes it").containsExactly("café");
        assertThat(completed("pe")).as("a category by its whole name").containsExactly("Pell Harbour");
        assertThat(completed("pell")).containsExactly("Pell Harbour");
    }

    @Test
    void aCompletionFitsTheWordsBeforeIt() {
        harbours();
        assertThat(completed("Soup  har")).containsExactly("Soup  harvest");
        assertThat(completed("lights h")).containsExactly("lights harbour");
        assertThat(completed("café har")).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"har ", "harbour", "harb!", "h", "", "20", "zzz", "harbour harbour"})
    void nothingIsCompletedWhereNoWordIsAtHandOrNoneGoesOn(String typed) {
        site.post("a", "title", "The harbour in 2024").indexed();
        assertThat(completed(typed)).isEmpty();
    }

    @Test
    void ofOneWordsFormsOneIsOffered() {
        site.post("a", "title", "Boat")
                .post("b", "title", "Boats")
                .post("c", "title", "Boats and nets")
                .post("d", "title", "Bonfire")
                .indexed();
        assertThat(completed("bo")).containsExactly("boats", "bonfire");
    }

    @Test
    void keptOutItemsAndUnsearchedFieldsCompleteNothing() {
        site.post("a", "title", "Secret harbour")
                .marked(new OwnerMark(true, "", "", "", "", ""))
                .post("b", "title", "Hill", "tags", "Harmony")
                .indexed();
        assertThat(completed("har")).containsExactly("harmony");
        SearchDesign titlesOnly = SearchFixture.design()
                .withWords(SearchFixture.design().words().withWeights(List.of(SearchFixture.weight("title", 5))));
        assertThat(completed(titlesOnly, "har")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                "harbuor | harbour",
                "Harbuor lights | harbour lights",
                "iarbour | harbour",
                "cafe | -",
                "lighthouse harbour | harbour",
                "soup lights | soup",
                "zanzibar | -",
                "harbour | -",
                "hrvst | -",
                "harbour 2049 | harbour"
            })
    void whereNothingIsFoundAnotherWayToWriteItIsOffered(String query, String meant) {
        harbours();
        assertThat(meant(withoutTypos(), query)).isEqualTo(meant);
    }

    @Test
    void aForgivenSlipIsNamed() {
        harbours();
        assertThat(site.found("harbuor")).containsExactlyInAnyOrder("a", "b");
        assertThat(meant(SearchFixture.design(), "harbuor")).isEqualTo("harbour");
        assertThat(meant(SearchFixture.design(), "nigth harbour")).isEqualTo("night harbour");
    }

    @Test
    void aRareWordIsTakenToBeMeantUnlessFarMoreItemsHoldTheOther() {
        site.post("boat", "title", "A boat")
                .post("goat", "title", "A goat")
                .post("goats", "title", "goat two")
                .indexed();
        assertThat(meant(SearchFixture.design(), "boat")).isNull();
        IntStream.range(0, 10).forEach(n -> site.post("more" + n, "title", "goat number " + n));
        site.indexed();
        assertThat(meant(SearchFixture.design(), "boat")).isEqualTo("goat");
        site.post("knitting", "title", "Knitting for all");
        IntStream.range(0, 9).forEach(n -> site.post("knot" + n, "title", "Knot " + n));
        site.indexed();
        assertThat(meant(SearchFixture.design(), "knit"))
                .as("another form of it stands somewhere")
                .isNull();
    }

    @Test
    void ofQueriesWithOneWordLessTheOneThatSaysMostIsOffered() {
        site.post("a", "title", "cheap room")
                .post("b", "title", "cheap boat")
                .post("c", "title", "cheap cart")
                .post("d", "title", "beekeeping")
                .post("e", "title", "cheap meal")
                .indexed();
        assertThat(meant(withoutTypos(), "cheap beekeeping")).isEqualTo("beekeeping");
    }

    @Test
    void seeAlsoOffersTheOwnersListThenSynonymsThenSharedCategories() {
        site.post("a", "title", "Rowing boat", "tags", "Sea trips")
                .post("b", "title", "Boat for two", "tags", "Sea trips")
                .post("c", "title", "Dinghy")
                .post("d", "title", "Oars");
        IntStream.range(0, 6).forEach(n -> site.post("other" + n, "title", "Something else"));
        site.indexed();
        SearchDesign design = owners(new Help.SeeAlso("boat", List.of("oars", "no such thing", "Boat")));
        design = design.withWords(design.words().withSynonyms(List.of(Synonym.group("rowing boat", "dinghy"))));
        assertThat(site.answer(design, "boat").seeAlso())
                .as("what finds nothing is passed over")
                .containsExactly("oars", "Sea trips");
        assertThat(site.answer(design, "my rowing boat").seeAlso())
                .as("no item has 'my dinghy'")
                .containsExactly("oars", "Boat");
        assertThat(site.answer(design, "rowing boat").seeAlso()).containsExactly("oars", "Boat", "dinghy");
        assertThat(site.answer(design, "dinghy").seeAlso()).containsExactly("rowing boat");
        assertThat(site.answer(design, "sea trips").seeAlso())
                .as("the query itself")
                .isEmpty();
        assertThat(site.answer(design, "").seeAlso()).isEmpty();
    }

    @Test
    void aCategoryIsOfferedOnlyIfItTellsTheFoundItemsFromOthers() {
        IntStream.range(0, 3)
                .forEach(n -> site.item(
                        SearchFixture.POSTS,
                        "boat" + n,
                        java.util.Map.of("title", "Boat " + n, "tags", List.of("Free", "Boats", "Regatta"))));
        IntStream.range(0, 9).forEach(n -> site.post("cart" + n, "title", "Cart " + n, "tags", "Free"));
        site.indexed();
        assertThat(site.answer(SearchFixture.design(), "boat").seeAlso())
                .as("'Free' is everywhere, 'Boats' is the word in another form")
                .containsExactly("Regatta");
    }

    @Test
    void eachKindOfHelpCanBeSwitchedOff() {
        harbours();
        SearchDesign off = help(new Help(false, false, false, List.of(new Help.SeeAlso("harbour", List.of("soup")))));
        assertThat(completed(off, "har")).isEmpty();
        assertThat(meant(off, "harbuor")).isNull();
        assertThat(site.answer(off, "harbour").seeAlso()).isEmpty();
    }

    @Test
    void whatCannotBeOfferedNamesTheEntry() {
        assertThatThrownBy(() -> new Help.SeeAlso("ferry", List.of()))
                .isInstanceOf(DesignFault.class)
                .hasMessageContaining("beside \"ferry\"");
        assertThatThrownBy(() -> new Help.SeeAlso("ferry", List.of("…")))
                .isInstanceOf(DesignFault.class)
                .hasMessageContaining("\"…\" has no letter or digit");
        assertThatThrownBy(
                        () -> owners(new Help.SeeAlso("Ferry", List.of("a")), new Help.SeeAlso("ferry", List.of("b"))))
                .isInstanceOfSatisfying(
                        DesignFault.class, fault -> assertThat(fault.key()).isEqualTo("owners[1]"));
    }

    @RepeatedTest(20)
    void whateverIsOfferedFindsSomething(RepetitionInfo run) {
        Random random = new Random(run.getCurrentRepetition());
        String[] words = {
            "harbour",
            "harbours",
            "harvest",
            "hardy",
            "hard",
            "haven",
            "boat",
            "boats",
            "bolt",
            "café",
            "cafe",
            "l'île",
            "soup",
            "2024",
            "the",
            "thé"
        };
        for (int i = 0; i < 12; i++) {
            site.post(
                            "p" + i,
                            "title",
                            some(words, random, 3),
                            "body",
                            some(words, random, 5),
                            "tags",
                            some(words, random, 2))
                    .marked(new OwnerMark(
                            random.nextInt(6) == 0, random.nextInt(4) == 0 ? "hardship" : "", "", "", "", ""));
        }
        site.indexed();
        SearchDesign design = SearchFixture.strict(
                Words.WordsNeeded.values()[random.nextInt(3)],
                Words.PartOfWord.values()[random.nextInt(3)],
                random.nextBoolean(),
                random.nextBoolean());
        design = design.withWords(design.words()
                .withSynonyms(List.of(Synonym.group("boat", "café"), Synonym.oneWay("hard soup", "haven")))
                .withStopWords(List.of("the"))
                .withOperators(random.nextBoolean())
                .withHelp(
                        new Help(true, true, true, List.of(new Help.SeeAlso("soup", List.of("harvest", "nowhere"))))));
        for (int i = 0; i < 30; i++) {
            String query = some(words, random, 3);
            int cut = random.nextInt(query.length());
            query = switch (random.nextInt(3)) {
                case 0 -> query;
                case 1 -> query.substring(0, cut);
                default -> query.substring(0, cut) + "x" + query.substring(cut);
            };
            Answer answer = site.answer(design, query);
            List<String> offered = new java.util.ArrayList<>(answer.seeAlso());
            offered.addAll(completed(design, query));
            if (answer.didYouMean() != null) {
                offered.add(answer.didYouMean());
            }
            for (String other : offered) {
                assertThat(site.answer(design, other))
                        .as("“%s” offered for “%s”", other, query)
                        .satisfies(then -> {
                            assertThat(then.total()).isPositive();
                            assertThat(then.startingList()).isFalse();
                        });
                assertThat(other).isNotEqualToIgnoringCase(query.strip());
            }
        }
    }

    private static String some(String[] words, Random random, int most) {
        return String.join(
                " ",
                IntStream.rangeClosed(0, random.nextInt(most))
                        .mapToObj(n -> words[random.nextInt(words.length)])
                        .toList());
    }
}
