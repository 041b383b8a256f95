package tidylantern.core.readiness;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.DesignChecks;
import tidylantern.core.design.DesignChecks.Step;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Synonym;
import tidylantern.core.health.Finding;
import tidylantern.core.readiness.OpenPoint.Place;
import tidylantern.core.readiness.OpenPoint.Weight;

/** How bad what is open is, where it leads, and when it is the same as before. */
class OpenPointsTest {
    private static final CollectionKey POSTS = new CollectionKey("posts");
    private static final SiteContent SITE = new SiteContent(List.of(new Collection(
            POSTS, "Posts", "en", List.of(new Field(FieldKey.TITLE, FieldKind.TEXT, "title", "Title")))));
    private static final SearchDesign DESIGN = SearchDesign.firstFor("Search", SITE);

    private final OpenPoints points = new OpenPoints(DESIGN, SITE);

    private static DesignChecks.Remark remark(Step step, String text, boolean stops) {
        return new DesignChecks.Remark(step, text, stops);
    }

    @Test
    void whatStopsComesFirstThenWhatVisitorsMeetThenTheRestByPlace() {
        points.remarks(List.of(remark(Step.PAGE, "page", false), remark(Step.REACH, "reach", false)), Weight.WEAKENS);
        points.origins(List.of("https://www.isles.example"));
        points.remarks(List.of(remark(Step.WORDS, "words", true)), Weight.WEAKENS);

        assertThat(points.worstFirst())
                .extracting(point -> point.weight() + " " + point.place())
                .containsExactly("stops words", "fails site", "weakens reach", "weakens page");
    }

    @Test
    void longPointsThatBeginAlikeAreTwo() {
        String alike = "x".repeat(300);
        points.remarks(
                List.of(remark(Step.CARDS, alike + "1", false), remark(Step.CARDS, alike + "2", false)),
                Weight.WEAKENS);

        assertThat(points.worstFirst()).extracting(OpenPoint::id).doesNotHaveDuplicates();
        assertThat(points.worstFirst()).allSatisfy(point -> assertThat(point.id())
                .as("as wide as where what is left is kept")
                .hasSizeLessThanOrEqualTo(200));
    }

    @Test
    void itemsThatAreLostForTwoReasonsAreTwoPoints() {
        points.items(List.of(
                Finding.cannotBeFound(POSTS, "\"price\" is no number.", List.of(ItemRef.parse("posts/a"))),
                Finding.cannotBeFound(POSTS, "\"day\" is no day.", List.of(ItemRef.parse("posts/b")))));

        assertThat(points.worstFirst())
                .hasSize(2)
                .allMatch(point -> point.weight() == Weight.FAILS)
                .extracting(OpenPoint::id)
                .doesNotHaveDuplicates();
    }

    @Test
    void itemsOfWhatIsNotSearchedAreNothingOfThisSearch() {
        points.items(List.of(Finding.cannotBeFound(
                new CollectionKey("homes"), "\"price\" is no number.", List.of(ItemRef.parse("homes/a")))));

        assertThat(points.worstFirst()).isEmpty();
    }

    private static @Nullable Duration hours(@Nullable Integer hours) {
        return hours == null ? null : Duration.ofHours(hours);
    }

    /** Daily is late after three days; by hand after thirty. */
    @ParameterizedTest
    @CsvSource({
        "72,24,true,false",
        "73,24,true,true",
        "720,,true,false",
        "721,,true,true",
        ",,true,true",
        ",,false,false"
    })
    void aSourceIsLateOnceSeveralOfItsTimesHavePassed(
            @Nullable Integer since, @Nullable Integer between, boolean changes, boolean isLate) {
        points.sources(List.of(new SourceState(7, "Feed", null, hours(since), hours(between), changes)));

        assertThat(points.worstFirst()).hasSize(isLate ? 1 : 0).allSatisfy(point -> {
            assertThat(point.place()).isEqualTo(Place.SOURCE);
            assertThat(point.of()).isEqualTo("7");
        });
    }

    @Test
    void aSourceThatFailedIsNotCalledLateAsWell() {
        points.sources(
                List.of(new SourceState(7, "Feed", "status 500", Duration.ofDays(90), Duration.ofDays(1), true)));

        assertThat(points.worstFirst()).singleElement().satisfies(point -> assertThat(point.text())
                .isEqualTo("The source \"Feed\" did not run through: status 500"));
    }

    @Test
    void synonymsActWhereAnyOfTheirWordsIsFound() {
        OpenPoints ofSynonyms = new OpenPoints(
                DESIGN.withWords(DESIGN.words()
                        .withSynonyms(List.of(
                                Synonym.group("ferry", "boat"),
                                Synonym.oneWay("ship", "vessel"),
                                Synonym.oneWay("vessel", "ship", "boat")))),
                SITE);
        ofSynonyms.synonyms(Map.of("boat", 3, "ferry", 0, "ship", 5, "vessel", 0)::get);

        assertThat(ofSynonyms.worstFirst())
                .as("what is typed is found anyway; what it leads to is nowhere")
                .singleElement()
                .satisfies(point -> assertThat(point.text()).contains("ship", "vessel"));
    }

    @ParameterizedTest
    @CsvSource({"/,true,/search,false,true", "/,true,/search,true,false", "/,false,/search,false,false"})
    void aBoxLeadsNowhereWhereItIsMetAndItsListIsNot(
            String first, boolean box, String second, boolean list, boolean isOpen) {
        String site = "https://isles.example";
        points.pages(
                site + "/search",
                List.of(new CarryingPage(site + first, box, false), new CarryingPage(site + second, false, list)));

        assertThat(points.worstFirst()).hasSize(isOpen ? 1 : 0);
    }

    @Test
    void aListOfTheServicesOwnIsAlwaysThere() {
        points.pages(null, List.of(new CarryingPage("https://isles.example/", true, false)));

        assertThat(points.worstFirst()).isEmpty();
    }
}
