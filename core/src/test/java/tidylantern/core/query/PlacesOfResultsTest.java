package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;
import static tidylantern.core.query.SearchFixture.NOTES;
import static tidylantern.core.query.SearchFixture.POSTS;
import static tidylantern.core.query.SearchFixture.SITE;
import static tidylantern.core.query.SearchFixture.design;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;
import tidylantern.core.design.OrderKey;
import tidylantern.core.design.OrderKey.By;
import tidylantern.core.design.Pin;
import tidylantern.core.design.ReachRule;
import tidylantern.core.design.ResultOrder;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Tier;
import tidylantern.core.design.TierLooks;
import tidylantern.core.design.box.Chooser;
import tidylantern.core.design.box.SearchBox;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.results.Arranged;
import tidylantern.core.design.results.Layout;
import tidylantern.core.design.results.LiveList;
import tidylantern.core.design.results.PopularCategories;
import tidylantern.core.design.results.ResultsPage;
import tidylantern.core.design.results.StartingList;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.core.query.filter.Popularity;
import tidylantern.core.query.help.WithoutOne;

/** What live results, the results page and the box's chooser show of what is found; product.md, 'Places'. */
class PlacesOfResultsTest {
    private static final FieldKey KIND = new FieldKey("kind");
    private SearchFixture site;

    @BeforeEach
    void open(@TempDir Path folder) {
        site = new SearchFixture(folder);
    }

    @AfterEach
    void close() throws Exception {
        site.close();
    }

    private void fill(int items, long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < items; i++) {
            site.item(
                    random.nextInt(3) == 0 ? NOTES : POSTS,
                    "i%03d".formatted(i),
                    "title",
                    random.nextBoolean() ? "Gull" : "Gull and tern",
                    "kind",
                    List.of("Sea", "Shore", "Sky").get(random.nextInt(3)));
        }
        site.indexed();
    }

    private Answer answer(SearchDesign design, String text, int page, Map<String, List<String>> filters) {
        return site.engine().answer(CompiledSearch.of(SITE, design), SearchFixture.asked(text, page, filters));
    }

    private List<ItemRef> all(SearchDesign design, String text, Map<String, List<String>> filters) {
        List<ItemRef> all = new ArrayList<>();
        for (int page = 1, pages = 1; page <= pages; page++) {
            Answer answer = answer(design, text, page, filters);
            pages = answer.pages();
            answer.hits().forEach(hit -> all.add(hit.ref()));
        }
        return all;
    }

    private static List<ItemRef> refs(LiveAnswer live) {
        return live.groups().stream()
                .flatMap(group -> group.hits().stream())
                .map(Hit::ref)
                .toList();
    }

    /** Over random numbers and pins: in one list, live results are the beginning of the page. */
    @RepeatedTest(8)
    void liveResultsInOneListAreTheFirstOfThePage(RepetitionInfo run) {
        fill(60, run.getCurrentRepetition());
        Random random = new Random(run.getCurrentRepetition());
        List<ItemRef> found = all(design(), "gull", Map.of());
        List<Pin.Put> put = Stream.of(1 + random.nextInt(3), 5 + random.nextInt(3))
                .map(place -> new Pin.Put(found.get(random.nextInt(found.size())), place))
                .toList();
        int most = 1 + random.nextInt(12);
        SearchDesign design = design().withLive(LiveList.usual().holding(most, false));
        if (!put.get(0).item().equals(put.get(1).item())) {
            design = design.withPins(List.of(new Pin(List.of("gull"), put, List.of(), null)));
        }

        LiveAnswer live = site.engine().live(CompiledSearch.of(SITE, design), SearchFixture.asked("gull", 1));

        assertThat(refs(live)).isEqualTo(all(design, "gull", Map.of()).subList(0, most));
        assertThat(live.total()).isEqualTo(found.size());
        assertThat(live.groups()).singleElement().satisfies(group -> {
            assertThat(group.collection()).isNull();
            assertThat(group.total()).isEqualTo(found.size());
        });
    }

    @Test
    void groupedLiveResultsAreAsManyAsTheOwnerSays() {
        fill(60, 3);
        for (int most : List.of(1, 2, 5, 12, 30)) {
            SearchDesign design = design().withLive(LiveList.usual().holding(most, true));
            LiveAnswer live = site.engine().live(CompiledSearch.of(SITE, design), SearchFixture.asked("gull", 1));
            assertThat(refs(live)).as("at most %d", most).hasSizeLessThanOrEqualTo(most);
            assertThat(live.total()).isEqualTo(60);

            SearchDesign ofOne = SearchFixture.searching("posts").withLive(design.live());
            assertThat(refs(site.engine().live(CompiledSearch.of(SITE, ofOne), SearchFixture.asked("gull", 1))))
                    .as("of one collection there is no other to keep room for")
                    .hasSize(most);
        }
    }

    @Test
    void whatIsNotWantedAboveLiveResultsIsNotThere() {
        fill(20, 4);
        LiveList usual = LiveList.usual();
        LiveList bare = new LiveList(
                LiveList.Where.BELOW,
                false,
                LiveList.Asking.usual(),
                true,
                8,
                null,
                LiveList.LiveForm.usual(),
                new LiveList.Above(false, false, false, true),
                LiveList.Opens.HERE);
        assertThat(site.engine()
                        .live(CompiledSearch.of(SITE, design().withLive(usual)), SearchFixture.asked("gul", 1))
                        .completions())
                .contains("gull");
        assertThat(site.engine()
                        .live(CompiledSearch.of(SITE, design().withLive(bare)), SearchFixture.asked("gul", 1))
                        .completions())
                .isEmpty();
    }

    @Test
    void aListEndsWhereTheOwnerSaysAndTellsHowManyThereAre() {
        fill(60, 5);
        List<ItemRef> whole = all(design(), "gull", Map.of());
        ResultsPage page = ResultsPage.of(null, 10, Arranged.LIST);
        ResultsPage capped = new ResultsPage(
                page.address(),
                10,
                Layout.of(Arranged.LIST),
                ResultsPage.Paging.NUMBERS,
                23,
                page.shows(),
                page.start(),
                page.told());

        Answer answer = answer(design().withPage(capped), "gull", 1, Map.of());

        assertThat(answer.total()).isEqualTo(60);
        assertThat(answer.pages()).isEqualTo(3);
        assertThat(all(design().withPage(capped), "gull", Map.of())).isEqualTo(whole.subList(0, 23));
        assertThat(answer(design().withPage(capped), "gull", 99, Map.of()).page())
                .isEqualTo(3);
    }

    private static SearchDesign startingWith(StartingList.With with) {
        return pageWith(StartingList.of(with), null, true);
    }

    private static SearchDesign pageWith(StartingList start, @Nullable PopularCategories popular, boolean related) {
        ResultsPage usual = ResultsPage.usual();
        ResultsPage.NothingFound nothing = new ResultsPage.NothingFound(null, true, related, true);
        ResultsPage.Shows shows = new ResultsPage.Shows(true, true, false, true, true, false, false, popular, nothing);
        return design().withFilters(List.of(Filter.of("kind", "Kind", CategorySource.usual(KIND))))
                .withOrder(
                        new ResultOrder(List.of(OrderKey.of(By.TITLE)), List.of(OrderKey.of(By.TITLE)), List.of(), ""))
                .withPage(new ResultsPage(
                        null,
                        10,
                        Layout.of(Arranged.LIST),
                        ResultsPage.Paging.NUMBERS,
                        null,
                        shows,
                        start,
                        usual.told()));
    }

    private static Tier sky() {
        return new Tier(
                "sky",
                "Sky",
                1,
                List.of(new Tier.Holders(null, ReachRule.category(KIND, "sky"))),
                null,
                null,
                TierLooks.plain());
    }

    @Test
    void beforeAnythingIsTypedThereMayBeWhatIsFeatured() {
        fill(60, 6);
        SearchDesign design = startingWith(StartingList.With.FEATURED).withTiers(List.of(sky()));

        List<ItemRef> featured = all(design, "", Map.of());

        assertThat(featured)
                .isNotEmpty()
                .containsExactlyInAnyOrderElementsOf(all(design, "", Map.of("kind", List.of("sky"))));
        assertThat(answer(design, "", 1, Map.of()).start()).isEqualTo(StartingList.With.FEATURED);
        FilterAnswer kinds = answer(design, "", 1, Map.of()).filters().getFirst();
        assertThat(kinds.values().stream().mapToInt(FilterAnswer.Offered::count).sum())
                .as("numbers are those of what narrowing looks through")
                .isEqualTo(60);
        assertThat(all(design, "gull", Map.of())).hasSize(60);
        assertThat(answer(design, "", 1, Map.of("kind", List.of("sea"))).start())
                .isEqualTo(StartingList.With.EVERYTHING);
        assertThat(all(startingWith(StartingList.With.FEATURED), "", Map.of()))
                .as("where nothing is featured, everything is there")
                .hasSize(60);
    }

    @Test
    void beforeAnythingIsTypedThereMayBeNothing() {
        fill(60, 7);
        SearchDesign design = startingWith(StartingList.With.NOTHING);

        assertThat(answer(design, "", 1, Map.of()).hits()).isEmpty();
        assertThat(answer(design, "", 7, Map.of()).pages()).isEqualTo(1);
        assertThat(answer(design, "", 1, Map.of()).filters().getFirst().offers())
                .isTrue();
        assertThat(all(design, "gull", Map.of())).hasSize(60);
        assertThat(all(design, "", Map.of("kind", List.of("sky")))).isNotEmpty();
    }

    @Test
    void beforeAnythingIsTypedThereMayBeOneCategory() {
        fill(60, 11);
        SearchDesign design = pageWith(new StartingList(StartingList.With.CATEGORY, "kind", "sky"), null, true);

        Answer start = answer(design, "", 1, Map.of());

        assertThat(start.start()).isEqualTo(StartingList.With.CATEGORY);
        assertThat(start.startLabel()).isEqualTo("Sky");
        assertThat(all(design, "", Map.of())).isNotEmpty().isEqualTo(all(design, "", Map.of("kind", List.of("sky"))));
        assertThat(all(design, "gull", Map.of()))
                .as("words look through everything")
                .hasSize(60);
        assertThat(all(
                        pageWith(new StartingList(StartingList.With.CATEGORY, "kind", "gone"), null, true),
                        "",
                        Map.of()))
                .as("a value that nothing has any more")
                .hasSize(60);
    }

    private Answer popular(SearchDesign design, String text, Map<ItemRef, Long> times) {
        return site.engine()
                .answer(CompiledSearch.of(SITE, design), SearchFixture.asked(text, 1), new Popularity(times));
    }

    @Test
    void beforeAnythingIsTypedThereMayBeWhatOthersChose() {
        fill(60, 12);
        SearchDesign design = startingWith(StartingList.With.POPULAR);
        List<ItemRef> everything = all(design, "", Map.of());
        Map<ItemRef, Long> times = Map.of(
                everything.get(7),
                2L,
                everything.get(40),
                9L,
                everything.get(3),
                2L,
                new ItemRef(POSTS.key(), new ItemId("gone")),
                99L);

        Answer answer = popular(design, "", times);

        assertThat(answer.start()).isEqualTo(StartingList.With.POPULAR);
        assertThat(answer.hits())
                .as("those chosen as often stand in the search's order")
                .extracting(Hit::ref)
                .containsExactly(everything.get(40), everything.get(3), everything.get(7));
        assertThat(answer.total()).isEqualTo(3);
        assertThat(popular(design, "", Map.of()).total())
                .as("as long as nothing was chosen")
                .isEqualTo(60);
        assertThat(popular(design, "gull", times).total()).isEqualTo(60);
    }

    @Test
    void popularCategoriesAreTheLargestUntilSomethingWasChosen() {
        fill(60, 13);
        SearchDesign design =
                pageWith(StartingList.of(StartingList.With.EVERYTHING), new PopularCategories("kind", 2, true), true);
        Answer bySize = popular(design, "", Map.of());
        Map<String, Integer> sizes = answer(design, "", 1, Map.of()).filters().getFirst().values().stream()
                .collect(Collectors.toMap(FilterAnswer.Offered::value, FilterAnswer.Offered::count));

        assertThat(bySize.popular()).hasSize(2).allMatch(one -> one.count() == sizes.get(one.value()));
        assertThat(bySize.popular().getFirst().count())
                .isEqualTo(sizes.values().stream()
                        .mapToInt(Integer::intValue)
                        .max()
                        .orElseThrow());
        String smallest = sizes.entrySet().stream()
                .min(Map.Entry.<String, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .orElseThrow()
                .getKey();
        ItemRef chosen = all(design, "", Map.of("kind", List.of(smallest))).getFirst();
        assertThat(popular(design, "gull", Map.of(chosen, 1L))
                        .popular()
                        .getFirst()
                        .value())
                .isEqualTo(smallest);

        SearchDesign empty = pageWith(StartingList.of(StartingList.With.NOTHING), PopularCategories.of("kind"), true);
        assertThat(popular(empty, "", Map.of()).popular())
                .as("a page that begins with nothing has found something")
                .isEmpty();
        SearchDesign onlyWhereNothingIs =
                pageWith(StartingList.of(StartingList.With.EVERYTHING), PopularCategories.of("kind"), true);
        assertThat(popular(onlyWhereNothingIs, "gull", Map.of()).popular()).isEmpty();
        assertThat(popular(onlyWhereNothingIs, "zzzz", Map.of()).popular()).isNotEmpty();
    }

    @Test
    void whereAllWordsFindNothingSomeOfThemLeadOn() {
        fill(60, 14);
        site.item(POSTS, "rare", "title", "Kittiwake ledge", "kind", "Sky");
        site.indexed();
        SearchDesign design = pageWith(StartingList.of(StartingList.With.EVERYTHING), null, true);

        Answer nothing = answer(design, "kittiwake zzzz", 1, Map.of());

        assertThat(nothing.total()).isZero();
        assertThat(nothing.related()).extracting(hit -> hit.ref().id().value()).containsExactly("rare");
        assertThat(answer(design, "kittiwake zzzz", 1, Map.of("kind", List.of("sea")))
                        .related())
                .as("what is set gives way before nothing is offered")
                .hasSize(1);
        assertThat(answer(design, "zzzz", 1, Map.of()).related())
                .as("one word has no part")
                .isEmpty();
        assertThat(answer(design, "gull", 1, Map.of()).related()).isEmpty();
        assertThat(answer(
                                pageWith(StartingList.of(StartingList.With.EVERYTHING), null, false),
                                "kittiwake zzzz",
                                1,
                                Map.of())
                        .related())
                .isEmpty();
    }

    @Test
    void aCollectionChosenInTheBoxNarrowsEverythingAlike() {
        fill(60, 8);
        SearchDesign design = design().withFilters(List.of(Filter.of("kind", "Kind", CategorySource.usual(KIND))))
                .withBox(SearchBox.usual().withChooser(Chooser.ofCollections()));
        Map<String, List<String>> notes = Map.of("in", List.of("notes"));

        Answer all = answer(design, "gull", 1, Map.of());
        Answer narrowed = answer(design, "gull", 1, notes);

        FilterAnswer chooser = all.filters().getLast();
        assertThat(chooser.values()).extracting(FilterAnswer.Offered::label).containsExactly("Posts", "Notes");
        assertThat(chooser.values().stream()
                        .mapToInt(FilterAnswer.Offered::count)
                        .sum())
                .isEqualTo(60);
        assertThat(narrowed.total()).isEqualTo(chooser.values().getLast().count());
        assertThat(narrowed.filters().getLast().values())
                .as("its own choice does not change its numbers")
                .extracting(FilterAnswer.Offered::count)
                .isEqualTo(chooser.values().stream()
                        .map(FilterAnswer.Offered::count)
                        .toList());
        assertThat(narrowed.filters().getFirst().values().stream()
                        .mapToInt(FilterAnswer.Offered::count)
                        .sum())
                .isEqualTo(narrowed.total());
        assertThat(all(design, "gull", notes)).allMatch(ref -> ref.collection().equals(NOTES.key()));
        LiveAnswer live = site.engine().live(CompiledSearch.of(SITE, design), SearchFixture.asked("gull", 1, notes));
        assertThat(live.total()).isEqualTo(narrowed.total());
        assertThat(answer(design, "gull", 1, Map.of("in", List.of("nothing-of-ours")))
                        .total())
                .as("what there is not is passed over")
                .isEqualTo(60);
    }

    @Test
    void aCategoryChosenInTheBoxStandsForAllBelowIt() {
        site.post("a", "title", "Gull", "tags", "North/Cove");
        site.post("b", "title", "Gull", "tags", "North");
        site.post("c", "title", "Gull", "tags", "South");
        site.indexed();
        SearchDesign design = design().withBox(SearchBox.usual().withChooser(new Chooser(new FieldKey("tags"))));
        FilterAnswer chooser = answer(design, "", 1, Map.of()).filters().getLast();
        assertThat(chooser.filter().key()).isEqualTo("in");
        assertThat(chooser.values().getFirst().value()).isEqualTo("north");
        assertThat(chooser.values().getFirst().count()).isEqualTo(2);
        assertThat(all(design, "gull", Map.of("in", List.of("north"))))
                .extracting(ref -> ref.id().value())
                .containsExactlyInAnyOrder("a", "b");
        assertThat(all(design, "gull", Map.of("in", List.of("north/cove"))))
                .extracting(ref -> ref.id().value())
                .containsExactly("a");
    }

    @Test
    void whereNothingIsFoundOneFilterLessTellsWhatIs() {
        site.post("a", "title", "Gull", "kind", "Sea", "tags", "North");
        site.post("b", "title", "Gull", "kind", "Shore", "tags", "South");
        site.post("c", "title", "Tern", "kind", "Sea", "tags", "South");
        site.indexed();
        SearchDesign design = design().withFilters(List.of(
                Filter.of("kind", "Kind", CategorySource.usual(KIND)),
                Filter.of("tags", "Tags", CategorySource.usual(new FieldKey("tags")))));
        Map<String, List<String>> both = Map.of("kind", List.of("sea"), "tags", List.of("south"));

        Answer nothing = answer(design, "gull", 1, both);

        assertThat(nothing.total()).isZero();
        assertThat(nothing.withoutOne()).containsExactly(new WithoutOne("kind", 1), new WithoutOne("tags", 1));
        for (WithoutOne way : nothing.withoutOne()) {
            Map<String, List<String>> others = both.entrySet().stream()
                    .filter(one -> !one.getKey().equals(way.filter()))
                    .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
            assertThat(answer(design, "gull", 1, others).total()).isEqualTo(way.total());
        }
        assertThat(answer(design, "tern", 1, both).withoutOne())
                .as("something is found")
                .isEmpty();
        assertThat(answer(design, "skua", 1, both).withoutOne())
                .as("no filter is in the way")
                .isEmpty();
    }
}
