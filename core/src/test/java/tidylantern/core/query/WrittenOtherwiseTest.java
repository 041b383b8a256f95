package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;
import static tidylantern.core.query.SearchFixture.design;

import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.core.content.ItemRef;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Words.PartOfWord;
import tidylantern.core.design.Words.WordsNeeded;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.why.Explanation;

/** Words written together or apart, and words with signs: 'Words' of product.md. */
class WrittenOtherwiseTest {
    private SearchFixture site;

    @BeforeEach
    void open(@TempDir Path folder) {
        site = new SearchFixture(folder);
    }

    @AfterEach
    void close() throws Exception {
        site.close();
    }

    private String marked(String query) {
        return site.answer(design(), query).hits().getFirst().title().runs().stream()
                .map(run -> run.marked() ? "[" + run.text() + "]" : run.text())
                .collect(Collectors.joining());
    }

    private List<String> ways(String query, String id) {
        return site
                .engine()
                .explain(
                        CompiledSearch.of(SearchFixture.SITE, design()),
                        SearchFixture.asked(query, 1),
                        ItemRef.parse("posts/" + id))
                .words()
                .stream()
                .flatMap(word -> word.fields().stream())
                .map(field -> field.way() + " " + field.met())
                .toList();
    }

    @Test
    void neighboursAreTriedAsOneWord() {
        site.post("one", "title", "Airmail of the isles")
                .post("class", "title", "LocalDateTime")
                .post("apart", "title", "Mail by air")
                .indexed();
        assertThat(site.found("air mail")).containsExactly("apart", "one");
        assertThat(site.found("air-mails")).as("by stem").contains("one");
        assertThat(site.found("local date time")).containsExactly("class");
        assertThat(site.found("local date ti")).as("half typed").containsExactly("class");
        assertThat(site.found("mail air")).as("in another order it is no word").containsExactly("apart");
        assertThat(marked("local date time")).isEqualTo("[LocalDateTime]");
        assertThat(ways("air mail", "one")).containsExactly("together [Airmail]", "together [Airmail]");
    }

    @Test
    void aWordThatNothingHoldsIsTriedAsTwo() {
        site.post("two", "title", "The air mails of the isles")
                .post("far", "title", "Air from the mail")
                .post("class", "title", "local date time")
                .indexed();
        assertThat(site.found("airmail")).containsExactly("two");
        assertThat(site.found("LocalDateTime")).as("by its capitals").containsExactly("class");
        assertThat(site.found("local_date_time")).containsExactly("class");
        assertThat(marked("airmail")).isEqualTo("The [air] [mails] of the isles");
        assertThat(ways("airmail", "two")).containsExactly("apart [air mails]");
    }

    @Test
    void aWordOfPiecesIsFoundByAnyOfThem() {
        site.post("1", "title", "java.time.LocalDateTime")
                .post("2", "title", "UTF8Reader for iso8601")
                .post("3", "title", "the URLs of HTTPServer")
                .indexed();
        assertThat(site.found("time")).containsExactly("1");
        assertThat(site.found("datetime")).as("neighbouring pieces").containsExactly("1");
        assertThat(site.found("local date time")).containsExactly("1");
        assertThat(site.found("date local"))
                .as("pieces in any order, as words are")
                .containsExactly("1");
        assertThat(site.found("reader")).containsExactly("2");
        assertThat(site.found("iso 8601")).containsExactly("2");
        assertThat(site.found("8601")).as("a number is no piece").isEmpty();
        assertThat(site.found("server")).containsExactly("3");
        assertThat(site.found("rls")).isEmpty();
        assertThat(marked("date")).isEqualTo("java.time.Local[Date]Time");
        assertThat(ways("date", "1")).containsExactly("piece [java.time.LocalDateTime]");
    }

    @Test
    void asTypedComesFirstAndAloneWhereItIsCommon() {
        site.post("apart1", "title", "air mail")
                .post("joined", "title", "airmail")
                .indexed();
        assertThat(site.found("air mail")).containsExactly("apart1", "joined");
        assertThat(site.found("airmail")).containsExactly("joined", "apart1");
        site.post("apart2", "title", "the air mail")
                .post("apart3", "title", "an air mail")
                .indexed();
        assertThat(site.found("air mail"))
                .as("three items write it so")
                .doesNotContain("joined")
                .hasSize(3);
        assertThat(site.found("airmail")).as("one item does").hasSize(4).startsWith("joined");
    }

    @Test
    void itComesBetweenStartAndTypo() {
        site.post("start", "body", "one airmailbag more")
                .post("apart", "body", "one air mail more")
                .post("typo", "body", "one airmael more")
                .indexed();
        assertThat(site.found("airmail")).containsExactly("start", "apart", "typo");
    }

    @Test
    void oneWrittenOtherwiseIsNotBentAsWell() {
        for (int i = 0; i < 3; i++) {
            site.post("apart" + i, "title", "data set " + i);
        }
        site.post("typo", "title", "dataget").indexed();
        assertThat(site.found("dataset"))
                .as("three items hold it, written apart")
                .hasSize(3)
                .doesNotContain("typo");
        assertThat(site.answer(design(), "dataset").didYouMean()).isNull();
    }

    @Test
    void theWholeNameComesBeforeNamesThatHoldMore() {
        site.post("more", "title", "air mail stamps of the isles")
                .post("name", "title", "air mail")
                .post("longer", "title", "the air mail")
                .indexed();
        assertThat(site.found("airmail")).startsWith("name").hasSize(3);
    }

    @Test
    void commonWordsAreNoParts() {
        site.post("1", "title", "a way to the pier")
                .post("2", "title", "to be here")
                .indexed();
        assertThat(site.found("away")).isEmpty();
        assertThat(site.found("tobe")).isEmpty();
    }

    @Test
    void everyWordStillHasToBeThere() {
        site.post("1", "title", "airmail stamps").post("2", "title", "airmail").indexed();
        assertThat(site.found("air mail stamps")).containsExactly("1");
        SearchDesign strict = SearchFixture.strict(WordsNeeded.ALL, PartOfWord.WHOLE, false, false);
        assertThat(site.found(strict, "air mail stamps"))
                .as("with everything else switched off")
                .containsExactly("1");
    }

    @Test
    void anAnswerLooksForSoManyWordsAndSaysWhatItLeftOut() {
        site.post("1", "title", "something else").indexed();
        SearchDesign any = SearchFixture.strict(WordsNeeded.ANY, PartOfWord.START, false, true);
        String query = "something alphabeta betagamma gammadelta deltazeta zetaeta etatheta thetaiota iotakappa";
        List<Explanation.WordPart> words = site.engine()
                .explain(
                        CompiledSearch.of(SearchFixture.SITE, any),
                        SearchFixture.asked(query, 1),
                        ItemRef.parse("posts/1"))
                .words();
        assertThat(words)
                .extracting(Explanation.WordPart::cut)
                .as("the one that is there is looked for as well, since one item is few")
                .containsExactly(false, false, false, false, false, false, true, true, true);
    }

    @Test
    void signsOfAWordCountWhereItemsHaveThem() {
        site.post("c", "title", "C for beginners")
                .post("cpp", "title", "C++ for beginners")
                .post("cs", "title", "(C#) for beginners")
                .post("net", "title", "On .NET. Net weight")
                .post("rd", "title", "R&D")
                .post("body", "title", "Notes", "body", "written in C++, mostly")
                .indexed();
        assertThat(site.found("c++")).containsExactly("cpp", "body");
        assertThat(site.found("C#")).containsExactly("cs");
        assertThat(site.found("c+")).as("half typed").containsExactly("cpp", "body");
        assertThat(site.found("c")).as("without signs it is any of them").contains("c", "cpp", "cs", "body");
        assertThat(site.found("c++ beginners")).containsExactly("cpp");
        assertThat(site.found(".net")).containsExactly("net");
        assertThat(site.found("r&d")).containsExactly("rd");
        assertThat(site.found("g++"))
                .as("nothing has it, and no word begins with g")
                .isEmpty();
        assertThat(site.found("#beginners"))
                .as("no item has the sign, so the word is meant")
                .hasSize(3);
        assertThat(marked("c++")).isEqualTo("[C++] for beginners");
        assertThat(marked("r&d")).isEqualTo("[R&D]");
        assertThat(ways("c++", "cpp")).hasSize(1).first().asString().contains("[C");
    }

    @Test
    void aSignThatOnlyItemsOutOfReachHaveCountsForNothing() {
        site.item(SearchFixture.NOTES, "note", "title", "C++")
                .post("c", "title", "C")
                .indexed();
        assertThat(site.found(SearchFixture.searching("posts"), "c++")).containsExactly("c");
    }

    @Test
    void quotedWordsHaveTheirSigns() {
        site.post("c", "title", "written in C")
                .post("cpp", "title", "written in C++")
                .indexed();
        SearchDesign operators = design().withWords(design().words().withOperators(true));
        assertThat(site.found(operators, "\"in C++\"")).containsExactly("cpp");
        assertThat(site.found(operators, "written -c++")).containsExactly("c");
    }
}
