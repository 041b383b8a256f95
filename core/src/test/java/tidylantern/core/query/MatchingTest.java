package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;
import static tidylantern.core.query.SearchFixture.design;
import static tidylantern.core.query.SearchFixture.strict;
import static tidylantern.core.query.SearchFixture.weight;

import java.nio.file.Path;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.core.design.Help;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Words;
import tidylantern.core.design.Words.PartOfWord;
import tidylantern.core.design.Words.WordsNeeded;
import tidylantern.core.query.words.Strength;

/** The rules of product.md under 'Words'. */
class MatchingTest {
    private SearchFixture site;

    @BeforeEach
    void open(@TempDir Path folder) {
        site = new SearchFixture(folder);
    }

    @AfterEach
    void close() throws Exception {
        site.close();
    }

    @Test
    void strengthsComeInTheirOrder() {
        site.post("exact", "body", "one baking more")
                .post("stem", "body", "one baked more")
                .post("start", "body", "one bakingtin more")
                .indexed();
        assertThat(site.found("baking")).containsExactly("exact", "stem", "start");
    }

    @Test
    void aWholeNameComesBeforeNamesThatHoldMore() {
        site.post("university", "title", "University of Vermont", "body", "Vermont, Vermont")
                .post("state", "title", "Vermont\nThe Green Mountain State, far in the north\nVT")
                .post("lake", "title", "Vermont lake")
                .post("mountain", "title", "Green mountain")
                .indexed();
        assertThat(site.found("vermont")).as("one of several names").startsWith("state");
        assertThat(site.found("VERMÓNT")).startsWith("state");
        assertThat(site.found("green mountain")).startsWith("mountain");
        assertThat(site.found("mountain green"))
                .as("the same words in another order")
                .hasSize(2);
        assertThat(site.found("verm")).as("a name still being typed").hasSize(3);
        assertThat(site.found("vermomt")).as("with a slip").startsWith("state").hasSize(3);
    }

    @Test
    void typosComeAfterEveryWayOfSpellingItRight() {
        site.post("right", "body", "one harbour more")
                .post("start", "body", "one harbourmaster more")
                .post("typo", "body", "one harbuor more")
                .post("far", "body", "one other word")
                .indexed();
        assertThat(site.found("harbour")).containsExactly("right", "start", "typo");
        assertThat(site.found("harbuor"))
                .as("here the mistyped one is exact")
                .startsWith("typo")
                .doesNotContain("far");
    }

    @Test
    void everyStrengthIsWorthLessThanTheOneBefore() {
        Strength[] ways = Strength.values();
        for (int i = 1; i < ways.length; i++) {
            assertThat(ways[i].share()).isLessThan(ways[i - 1].share()).isPositive();
        }
    }

    @Test
    void aWordSpelledRightIsNeverDilutedByItsNeighbours() {
        for (int i = 0; i < 3; i++) {
            site.post("boat" + i, "title", "boat " + i);
        }
        site.post("coat", "title", "goat").post("moat", "title", "boot").indexed();
        assertThat(site.found("boat"))
                .as("three items hold the word as typed: typos stay out")
                .containsExactlyInAnyOrder("boat0", "boat1", "boat2");
        assertThat(site.found("boots"))
                .as("'boots' stands in one item by stem, so its neighbours come too, behind it")
                .startsWith("moat");
    }

    @Test
    void typosComeIntoPlayWordByWord() {
        site.post("both", "body", "pell harbour")
                .post("a", "body", "pell")
                .post("b", "body", "pell")
                .post("c", "body", "pall harbour")
                .indexed();
        assertThat(site.found("pell harbuor"))
                .as("'pell' is spelled right and is not bent to 'pall'")
                .containsExactly("both");
    }

    @Test
    void theHalfTypedLastWordIsForgivenToo() {
        site.post("1", "body", "a hummingbird somewhere").indexed();
        assertThat(site.found("hummigb")).containsExactly("1");
        assertThat(site.found("hummigb somewhere"))
                .as("only the last word is half-typed")
                .isEmpty();
        assertThat(site.found("hummigbird somewhere")).containsExactly("1");
    }

    @Test
    void numbersAndShortWordsAreNeverBent() {
        site.post("1", "body", "route 2041 to the pier").indexed();
        assertThat(site.found("2042")).isEmpty();
        assertThat(site.found("2041")).containsExactly("1");
        assertThat(site.found("pir")).as("three letters").isEmpty();
        assertThat(site.found("peir")).as("four letters, neighbours swapped").containsExactly("1");
    }

    @Test
    void codesMatchWholeWithoutCaseAndPunctuation() {
        site.post("1", "code", "QH-2041/B").post("2", "code", "QH-2042/B").indexed();
        for (String typed : List.of("QH-2041/B", "qh2041b", "qh 2041 b", "QH.2041 b")) {
            assertThat(site.found(typed)).as(typed).containsExactly("1");
        }
        assertThat(site.found("QH-2041")).as("part of a code").isEmpty();
        assertThat(site.found("QH-2043/B")).as("codes are never bent").isEmpty();
    }

    @Test
    void accentsCaseAndWidthMakeNoDifference() {
        site.post("1", "title", "Zoë’s Crêpes").indexed();
        for (String typed : List.of("zoes crepes", "ZOË'S CRÊPES", "ｃｒêpes", "Zoe")) {
            assertThat(site.found(typed)).as(typed).containsExactly("1");
        }
    }

    @Test
    void wordsOfOneQueryMayStandInDifferentFields() {
        site.post("1", "title", "Net loft", "tags", "North Isle/Skarn Point")
                .post("2", "title", "Net", "body", "no upstairs")
                .indexed();
        assertThat(site.found("loft skarn")).containsExactly("1");
    }

    @Test
    void wordsNeeded() {
        site.post("abcd", "body", "alpha bravo candle dolphin")
                .post("abc", "body", "alpha bravo candle")
                .post("a", "body", "alpha")
                .indexed();
        String query = "alpha bravo candle dolphin";
        assertThat(site.found(strict(WordsNeeded.ALL, PartOfWord.START, true, true), query))
                .containsExactly("abcd");
        assertThat(site.found(strict(WordsNeeded.MOST, PartOfWord.START, true, true), query))
                .containsExactly("abcd", "abc");
        assertThat(site.found(strict(WordsNeeded.ANY, PartOfWord.START, true, true), query))
                .containsExactly("abcd", "abc", "a");
    }

    @Test
    void strictnessIsTheOwners() {
        site.post("1", "body", "the harbourmaster was baking").indexed();
        assertThat(site.found("harbour baked")).containsExactly("1");
        assertThat(site.found(strict(WordsNeeded.ALL, PartOfWord.WHOLE, true, true), "harbourmaster baked"))
                .containsExactly("1");
        assertThat(site.found(strict(WordsNeeded.ALL, PartOfWord.WHOLE, false, true), "harbour"))
                .isEmpty();
        assertThat(site.found(strict(WordsNeeded.ALL, PartOfWord.WHOLE, false, false), "baked"))
                .isEmpty();
        assertThat(site.found(strict(WordsNeeded.ALL, PartOfWord.START, false, true), "harbuormaster"))
                .isEmpty();
    }

    @Test
    void aFieldWithWeightZeroIsNotSearched() {
        site.post("1", "title", "Pier", "body", "lobster").indexed();
        SearchDesign titles =
                design().withWords(design().words().withWeights(List.of(weight("title", 5), weight("body", 0))));
        assertThat(site.found("lobster")).containsExactly("1");
        assertThat(site.found(titles, "lobster")).isEmpty();
    }

    @Test
    void changingAWeightChangesTheOrder() {
        site.post("t", "title", "ferry", "body", "something else entirely")
                .post("b", "title", "something else", "body", "ferry entirely")
                .indexed();
        assertThat(site.found("ferry")).containsExactly("t", "b");
        SearchDesign bodies =
                design().withWords(design().words().withWeights(List.of(weight("title", 1), weight("body", 9))));
        assertThat(site.found(bodies, "ferry")).containsExactly("b", "t");
    }

    @Test
    void scoresAreBm25AsPublished() {
        // Robertson & Zaragoza, The Probabilistic Relevance Framework, 2009: idf ln(1 + (N - n + 0.5)/(n + 0.5)), tf
        // part
        // f / (f + k1 (1 - b + b len/avg)), k1 = 1.2, b = 0.75, without the constant (k1 + 1). Reckoned by hand on
        // three texts.
        site.post("1", "body", "tern tern gull")
                .post("2", "body", "gull skua gull auk")
                .post("3", "body", "tern skua")
                .indexed();
        Words words = new Words(
                List.of(weight("body", 2)),
                new Words.Matching(WordsNeeded.ALL, PartOfWord.WHOLE, new Words.Typos(false, true), false, 2, false),
                Words.Excerpt.usual(),
                List.of(),
                List.of(),
                Help.usual());
        Answer answer = site.answer(design().withWords(words), "tern");
        double idf = Math.log(1 + (3 - 2 + 0.5) / (2 + 0.5));
        double average = (3 + 4 + 2) / 3.0;
        assertThat(answer.hits()).extracting(hit -> hit.ref().id().value()).containsExactly("1", "3");
        assertThat(answer.hits().get(0).score())
                .isCloseTo(2 * idf * 2 / (2 + 1.2 * (0.25 + 0.75 * 3 / average)), Offset.offset(1e-6));
        assertThat(answer.hits().get(1).score())
                .isCloseTo(2 * idf * 1 / (1 + 1.2 * (0.25 + 0.75 * 2 / average)), Offset.offset(1e-6));
    }

    @Test
    void onlySearchedCollectionsAreInReach() {
        site.post("p", "title", "tern")
                .item(SearchFixture.NOTES, "n", "title", "tern")
                .indexed();
        assertThat(site.found("tern")).containsExactlyInAnyOrder("p", "n");
        assertThat(site.found(SearchFixture.searching("notes"), "tern")).containsExactly("n");
        assertThat(site.found(SearchFixture.searching(), "tern")).isEmpty();
    }

    @Test
    void spelledRightIsCountedInReachOnly() {
        for (int i = 0; i < 5; i++) {
            site.item(SearchFixture.NOTES, "n" + i, "title", "tarn");
        }
        site.post("p", "title", "terns").indexed();
        assertThat(site.found(SearchFixture.searching("posts"), "tarns"))
                .as("the notes' tarns are out of reach, so they count for nothing")
                .containsExactly("p");
    }
}
