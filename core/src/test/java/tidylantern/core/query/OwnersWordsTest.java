package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Synonym;
import tidylantern.core.design.Words;

/** Synonyms, stop words, parts inside words and operators: product.md, 'Words'. */
class OwnersWordsTest {
    private SearchFixture site;

    @BeforeEach
    void open(@TempDir Path folder) {
        site = new SearchFixture(folder);
    }

    @AfterEach
    void close() throws Exception {
        site.close();
    }

    private static Words words() {
        return SearchFixture.design().words();
    }

    private static SearchDesign synonyms(Synonym... synonyms) {
        return SearchFixture.design().withWords(words().withSynonyms(List.of(synonyms)));
    }

    private static SearchDesign operators() {
        return SearchFixture.design().withWords(words().withOperators(true));
    }

    private static SearchDesign inside(boolean typos) {
        return SearchFixture.strict(Words.WordsNeeded.ALL, Words.PartOfWord.INSIDE, typos, true);
    }

    private String title(SearchDesign design, String query) {
        return SearchFixture.marked(site.answer(design, query).hits().getFirst().title());
    }

    @Test
    void aGroupHoldsBothWaysAndAnEntryFromOneWordOneWay() {
        site.post("couch", "title", "A blue couch")
                .post("sofa", "title", "A red sofa")
                .post("settee", "title", "An old settee")
                .indexed();
        SearchDesign group = synonyms(Synonym.group("couch", "sofa"));
        assertThat(site.found(group, "sofa")).containsExactly("sofa", "couch");
        assertThat(site.found(group, "couch")).containsExactly("couch", "sofa");
        SearchDesign oneWay = synonyms(Synonym.oneWay("couch", "settee"));
        assertThat(site.found(oneWay, "couch")).containsExactly("couch", "settee");
        assertThat(site.found(oneWay, "settee")).containsExactly("settee");
    }

    @Test
    void phrasesStandForWordsAndWordsForPhrases() {
        site.post("bnb", "title", "A cheap BnB")
                .post("long", "title", "Bed and breakfast by the sea")
                .post("apart", "title", "Breakfast in bed")
                .indexed();
        SearchDesign design = synonyms(Synonym.group("bed and breakfast", "bnb"));
        assertThat(site.found(design, "bnb"))
                .as("the phrase, not its words apart")
                .containsExactly("bnb", "long");
        assertThat(site.found(design, "bed and breakfast"))
                .contains("long", "bnb")
                .doesNotContain("apart");
        assertThat(site.found(design, "bed and breakfast sea")).containsExactly("long");
        assertThat(title(design, "bnb sea"))
                .isEqualTo(
                        "[Bed and breakfast] by the [sea]".replace("[Bed and breakfast]", "[Bed] [and] [breakfast]"));
    }

    @Test
    void otherFormsOfASynonymDoToo() {
        site.post("mend", "title", "We mended the nets")
                .post("repair", "title", "Repairs of boats")
                .indexed();
        assertThat(site.found(synonyms(Synonym.group("repair", "mend")), "repair"))
                .containsExactly("repair", "mend");
    }

    @Test
    void aSynonymIsWorthLessThanEveryWayOfTypingTheWordItself() {
        site.post("exact", "title", "one harbour more")
                .post("typo", "title", "one harbuor more")
                .post("synonym", "title", "one haven more")
                .indexed();
        assertThat(site.found(synonyms(Synonym.group("harbour", "haven")), "harbour"))
                .containsExactly("exact", "typo", "synonym");
    }

    @Test
    void circlesAndChainsLeadNoFurtherThanOneStep() {
        site.post("a", "title", "alpha")
                .post("b", "title", "bravo")
                .post("c", "title", "charlie")
                .indexed();
        SearchDesign chain = synonyms(
                Synonym.oneWay("alpha", "bravo"),
                Synonym.oneWay("bravo", "charlie"),
                Synonym.oneWay("charlie", "alpha"),
                Synonym.oneWay("alpha", "alpha"));
        assertThat(site.found(chain, "alpha")).containsExactly("a", "b");
    }

    @Test
    void stopWordsDoNotCountUnlessThereIsNothingElse() {
        site.post("the", "title", "The ferry")
                .post("who", "title", "The Who live")
                .post("ferry", "title", "Ferry times")
                .indexed();
        SearchDesign design = SearchFixture.design().withWords(words().withStopWords(List.of("the", "Who", "of")));
        assertThat(site.found(design, "the ferry")).containsExactlyInAnyOrder("the", "ferry");
        assertThat(site.found(design, "the who")).containsExactly("who");
        assertThat(site.found(design, "who ferry of")).containsExactlyInAnyOrder("the", "ferry");
    }

    @Test
    void insideWordsIsWeakerThanTheirStartAndMarksJustThePart() {
        site.post("start", "title", "Birdsong")
                .post("inside", "title", "A hummingbird")
                .post("none", "title", "A bard")
                .indexed();
        assertThat(site.found(inside(false), "bird")).containsExactly("start", "inside");
        assertThat(title(inside(false), "hummingb")).isEqualTo("A [hummingb]ird");
        assertThat(title(inside(false), "mingbird")).isEqualTo("A hum[mingbird]");
        assertThat(site.found(inside(false), "ir"))
                .as("two letters stand in every other word")
                .isEmpty();
        assertThat(site.found("mingbird")).as("only where the owner says so").isEmpty();
    }

    @Test
    void aSlipInsideAWordIsForgivenToo() {
        site.post("h", "title", "A hummingbird")
                .post("other", "title", "A lamb")
                .indexed();
        assertThat(site.found(inside(true), "burd"))
                .as("product.md: a slip in 'bird' still finds 'hummingbird'")
                .containsExactly("h");
        assertThat(site.found(inside(false), "burd")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "ferry | a,b,c",
                "ferry winter | a,b",
                "ferry -winter | c",
                "ferry NOT winter | c",
                "ferry AND winter | a,b",
                "timetable OR bakery | b,d",
                "(timetable OR bakery) ferry | b",
                "\"winter ferry\" | a",
                "\u201cwinter ferry\u201d | a",
                "-ferry | d",
                "NOT (ferry OR bakery) | ''",
                "ferry -(winter OR summer) | ''",
                "\"winter\" -timetable | a"
            })
    void operatorsAreObeyed(String query, String found) {
        site.post("a", "title", "The winter ferry")
                .post("b", "title", "Ferry timetable", "body", "For winter")
                .post("c", "title", "Summer ferry")
                .post("d", "title", "Bakery")
                .indexed();
        assertThat(site.found(operators(), query))
                .containsExactlyInAnyOrder(found.isEmpty() ? new String[0] : found.split(","));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "\"ferry",
                "ferry)",
                "(ferry",
                "ferry AND",
                "OR ferry",
                "ferry OR OR times",
                "NOT",
                "()",
                "- ferry",
                "\"\" ferry",
                "((((((((((((((((((((((((ferry))))))))))))))))))))))))"
            })
    void whatIsNotWellFormedIsReadAsWords(String query) {
        site.post("a", "title", "Ferry and times or not").indexed();
        assertThat(site.found(operators(), query)).as("never an error").isIn(List.of("a"), List.of());
        assertThat(site.found(operators(), query)).isEqualTo(site.found(query));
    }

    @Test
    void operatorsAreWordsWhereTheOwnerDoesNotAllowThem() {
        site.post("a", "title", "Ferry OR bakery").post("b", "title", "Bakery").indexed();
        assertThat(site.found("ferry OR bakery")).containsExactly("a");
        assertThat(site.found(SearchFixture.design(), "bakery -ferry")).containsExactly("a");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"🙂 🙂", "מִלָּה בעברית", "\u202eferry", "-- -- --", "AND", "\"", "the", "a\u0301\u0301\u0301"})
    void strangeQueriesGetHarmlessAnswers(String query) {
        site.post("a", "title", "Ferry").indexed();
        SearchDesign all = SearchFixture.design()
                .withWords(words().withOperators(true)
                        .withStopWords(List.of("the"))
                        .withPartOfWord(Words.PartOfWord.INSIDE)
                        .withSynonyms(List.of(Synonym.group("ferry", "🙂 boat"))));
        assertThat(site.answer(all, query).total()).isBetween(0, 1);
        assertThat(site.answer(all, (query + " ").repeat(1_000)).total()).isBetween(0, 1);
    }

    @Test
    void whatCannotBeASynonymOrStopWordNamesTheEntry() {
        assertThatThrownBy(() -> Synonym.group("one"))
                .isInstanceOf(DesignFault.class)
                .hasMessageContaining("two different words");
        assertThatThrownBy(() -> Synonym.group("one", "!!!"))
                .isInstanceOf(DesignFault.class)
                .hasMessageContaining("\"!!!\" has no letter or digit");
        assertThatThrownBy(() -> new Synonym(
                        null, IntStream.range(0, 10_000).mapToObj(n -> "w" + n).toList()))
                .isInstanceOf(DesignFault.class)
                .hasMessageContaining("10000 words in one entry are too many");
        assertThatThrownBy(() -> words().withStopWords(List.of("of the")))
                .isInstanceOf(DesignFault.class)
                .hasMessageContaining("no single word");
        assertThatThrownBy(() -> words().withSynonyms(List.of(Synonym.group("a", "b"), Synonym.group("a", "b"))))
                .isInstanceOfSatisfying(
                        DesignFault.class, fault -> assertThat(fault.key()).isEqualTo("synonyms[1]"));
    }

    @Test
    void manyThousandGroupsAreOneLookUpAWord() {
        List<Synonym> many = new ArrayList<>();
        for (int i = 0; i < 40_000; i++) {
            many.add(Synonym.group("word" + i, "other" + i));
        }
        site.post("a", "title", "other39999").indexed();
        SearchDesign design = SearchFixture.design().withWords(words().withSynonyms(many));
        assertThat(site.found(design, "word39999")).containsExactly("a");
    }
}
