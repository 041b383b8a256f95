package tidylantern.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.box.Chooser;
import tidylantern.core.design.box.SearchBox;
import tidylantern.core.design.card.ButtonPart;
import tidylantern.core.design.card.Card;
import tidylantern.core.design.card.Format;
import tidylantern.core.design.card.Lettering;
import tidylantern.core.design.card.PartGroup;
import tidylantern.core.design.card.Place;
import tidylantern.core.design.card.Step;
import tidylantern.core.design.card.TitlePart;
import tidylantern.core.design.card.ValuePart;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.WordSource;
import tidylantern.core.design.results.Arranged;
import tidylantern.core.design.results.Layout;
import tidylantern.core.design.results.LiveList;
import tidylantern.core.design.results.PopularCategories;
import tidylantern.core.design.results.ResultsPage;
import tidylantern.core.design.results.StartingList;

class SearchDesignTest {
    private static final SiteContent SITE = new SiteContent(List.of(
            new Collection(
                    new CollectionKey("posts"),
                    "Posts",
                    "en",
                    List.of(
                            field("title", FieldKind.TEXT),
                            field("tags", FieldKind.CATEGORY),
                            field("published", FieldKind.DATE))),
            new Collection(
                    new CollectionKey("homes"),
                    "Homes",
                    "en",
                    List.of(field("title", FieldKind.TEXT), field("code", FieldKind.CODE)))));

    private static Field field(String key, FieldKind kind) {
        return new Field(new FieldKey(key), kind, key, Field.labelFrom(key));
    }

    @ParameterizedTest
    @CsvSource({
        "ALL,1,1",
        "ALL,5,5",
        "ANY,4,1",
        "MOST,1,1",
        "MOST,2,2",
        "MOST,3,2",
        "MOST,4,3",
        "MOST,5,3",
        "MOST,8,6",
        "ANY,0,0"
    })
    void wordsNeededFollowTheRule(Words.WordsNeeded needed, int words, int atLeast) {
        // product.md, Words: all of 1 or 2, then three quarters, rounded down.
        assertThat(needed.of(words)).isEqualTo(atLeast);
    }

    @ParameterizedTest
    @CsvSource({"cat,0", "boat,1", "harbour,1", "harbours,2", "QH2041,0", "2026,0"})
    void editsAllowedFollowTheRule(String word, int edits) {
        // product.md, Words: none up to 3 letters, one in 4 to 7, two from 8 on; numbers and codes are never bent.
        assertThat(new Words.Typos(true, true).editsIn(word)).isEqualTo(edits);
        assertThat(new Words.Typos(false, true).editsIn(word)).isZero();
    }

    @ParameterizedTest
    @ValueSource(doubles = {-0.1, 10.1, Double.NaN, Double.POSITIVE_INFINITY})
    void aWeightOutsideZeroToTenIsRefused(double weight) {
        assertThatThrownBy(() -> new FieldWeight(FieldKey.TITLE, weight))
                .isInstanceOf(DesignFault.class)
                .hasMessageContaining("outside 0 to 10")
                .extracting(fault -> ((DesignFault) fault).key())
                .isEqualTo("weight");
    }

    @Test
    void aFieldOrCollectionNamedTwiceIsRefusedWithItsPlace() {
        FieldWeight title = new FieldWeight(FieldKey.TITLE, 1);
        assertThatThrownBy(() -> Words.standard().withWeights(List.of(title, new FieldWeight(FieldKey.BODY, 1), title)))
                .extracting(fault -> ((DesignFault) fault).key())
                .isEqualTo("weights[2]");
        Reach.Searched posts = Reach.Searched.all(new CollectionKey("posts"));
        assertThatThrownBy(() -> new Reach(List.of(posts, posts)))
                .extracting(fault -> ((DesignFault) fault).key())
                .isEqualTo("collections[1]");
    }

    @Test
    void theFirstDesignSearchesEverythingThatNamesAnItem() {
        SearchDesign first = SearchDesign.firstFor("Search", SITE);
        assertThat(first.searched()).extracting(CollectionKey::value).containsExactly("posts", "homes");
        assertThat(first.words().searched())
                .extracting(weight -> weight.field().value())
                .containsExactly("title", "tags", "code");
        assertThat(DesignChecks.of(first, SITE)).isEmpty();
    }

    @Test
    void checksSayWhatIsOpenAndWhatStopsAPublication() {
        SearchDesign design = SearchDesign.firstFor("Search", SITE);
        assertThat(DesignChecks.of(design.withReach(new Reach(List.of())), SITE))
                .filteredOn(DesignChecks.Remark::stops)
                .extracting(DesignChecks.Remark::step)
                .containsExactly(DesignChecks.Step.REACH);
        SearchDesign odd = design.withWords(design.words()
                        .withWeights(List.of(
                                new FieldWeight(new FieldKey("gone"), 1),
                                new FieldWeight(new FieldKey("published"), 1),
                                new FieldWeight(new FieldKey("code"), 1))))
                .withReach(new Reach(List.of(Reach.Searched.all(new CollectionKey("posts")))));
        assertThat(DesignChecks.of(odd, SITE))
                .extracting(DesignChecks.Remark::text)
                .satisfiesExactly(
                        text -> assertThat(text).contains("No collection has the field \"gone\""),
                        text -> assertThat(text).contains("\"published\" holds no words"),
                        text -> assertThat(text).contains("No searched collection has the field \"code\""));
        assertThat(DesignChecks.of(design.withWords(design.words().withWeights(List.of())), SITE))
                .filteredOn(DesignChecks.Remark::stops)
                .hasSize(1);
    }

    @Test
    void cardsThatShowWhatIsGoneOrHideWhatIsPaidForAreRemarkedOn() {
        TitlePart title = new TitlePart("title", 3, 2, Lettering.strong());
        ValuePart gone = ValuePart.of(new FieldKey("gone"), new Format.Usual(), Lettering.usual());
        ButtonPart book = new ButtonPart("book", "Book", new FieldKey("away"));
        SearchDesign design = SearchDesign.firstFor("Search", SITE)
                .withCards(List.of(
                        new Card(Place.LIST, null, PartGroup.column("card", Step.SMALL, title, gone, book)),
                        new Card(
                                Place.LIST,
                                new CollectionKey("nowhere"),
                                PartGroup.column("card", Step.SMALL, title))));
        assertThat(DesignChecks.of(design, SITE))
                .allMatch(remark -> remark.step() == DesignChecks.Step.CARDS && !remark.stops())
                .extracting(DesignChecks.Remark::text)
                .satisfiesExactly(
                        text -> assertThat(text).contains("No collection has the field \"away\""),
                        text -> assertThat(text).contains("No collection has the field \"gone\""),
                        text -> assertThat(text).contains("The card of \"nowhere\" is never drawn"));
        Tier paid = new Tier("gold", "Gold", 1, List.of(), null, "Paid placement", TierLooks.plain());
        assertThat(DesignChecks.of(
                        SearchDesign.firstFor("Search", SITE)
                                .withTiers(List.of(paid))
                                .withCards(List.of(
                                        new Card(Place.LIVE, null, PartGroup.column("card", Step.SMALL, title)))),
                        SITE))
                .extracting(DesignChecks.Remark::text)
                .anyMatch(text -> text.contains("a card for live results does not say so"));
    }

    private static List<String> remarks(SearchDesign design, DesignChecks.Step step) {
        return DesignChecks.of(design, SITE).stream()
                .filter(remark -> remark.step() == step)
                .map(DesignChecks.Remark::text)
                .toList();
    }

    @Test
    void whatAPlaceCannotShowIsSaid() {
        SearchDesign design = SearchDesign.firstFor("Test", SITE);
        assertThat(remarks(
                        design.withBox(SearchBox.usual().withChooser(Chooser.ofCollections())), DesignChecks.Step.BOX))
                .isEmpty();
        assertThat(remarks(
                        design.withBox(SearchBox.usual().withChooser(new Chooser(new FieldKey("code")))),
                        DesignChecks.Step.BOX))
                .singleElement()
                .asString()
                .contains("\"code\"", "no collection has a category");
        SearchDesign one = design.withReach(new Reach(List.of(Reach.Searched.all(new CollectionKey("homes")))));
        assertThat(remarks(one.withBox(SearchBox.usual().withChooser(Chooser.ofCollections())), DesignChecks.Step.BOX))
                .singleElement()
                .asString()
                .contains("Only one collection");
        assertThat(remarks(
                        one.withBox(SearchBox.usual().withChooser(new Chooser(new FieldKey("tags")))),
                        DesignChecks.Step.BOX))
                .singleElement()
                .asString()
                .contains("no searched collection has");
        LiveList.Asking early = new LiveList.Asking(1, 120, false);
        LiveList live = new LiveList(
                LiveList.Where.BELOW,
                false,
                early,
                true,
                4,
                4,
                LiveList.LiveForm.usual(),
                LiveList.Above.usual(),
                LiveList.Opens.HERE);
        assertThat(remarks(design.withLive(live), DesignChecks.Step.LIVE)).hasSize(2);
        assertThat(pageRemarks(design, StartingList.of(StartingList.With.FEATURED), null, Layout.of(Arranged.LIST)))
                .singleElement()
                .asString()
                .contains("no featured tier");
    }

    private static List<String> pageRemarks(
            SearchDesign design, StartingList start, @Nullable PopularCategories popular, Layout layout) {
        ResultsPage.Shows shows = new ResultsPage.Shows(
                true, true, false, true, true, false, false, popular, ResultsPage.NothingFound.usual());
        ResultsPage page = new ResultsPage(
                null,
                10,
                layout,
                ResultsPage.Paging.NUMBERS,
                null,
                shows,
                start,
                ResultsPage.usual().told());
        return remarks(design.withPage(page), DesignChecks.Step.PAGE);
    }

    @Test
    void aPageThatLeadsOnByCategoriesNeedsAFilterOfThem() {
        SearchDesign bare = SearchDesign.firstFor("Search", SITE);
        StartingList category = new StartingList(StartingList.With.CATEGORY, "sort", "stew");
        PopularCategories popular = PopularCategories.of("sort");
        Layout wall = new Layout(Arranged.WALL, null, true, "sort");
        Layout list = new Layout(Arranged.LIST, null, true, "sort");

        assertThat(pageRemarks(bare, category, popular, wall))
                .hasSize(3)
                .allMatch(remark -> remark.contains("\"sort\", and there is no such filter"));
        assertThat(pageRemarks(bare, StartingList.of(StartingList.With.EVERYTHING), null, list))
                .as("only on a wall do pictures open")
                .isEmpty();
        SearchDesign ofWords = bare.withFilters(List.of(Filter.of("sort", "Sort", WordSource.usual(FieldKey.TITLE))));
        assertThat(pageRemarks(ofWords, category, null, Layout.of(Arranged.LIST)))
                .singleElement()
                .asString()
                .contains("none of one field's categories");
        assertThatThrownBy(() -> new StartingList(StartingList.With.CATEGORY, "sort", " "))
                .isInstanceOf(DesignFault.class);
        assertThatThrownBy(() -> PopularCategories.of("")).isInstanceOf(DesignFault.class);
    }
}
