package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.core.content.Collection;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.filter.CategoryControl;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterBuilder;
import tidylantern.core.design.filter.Several;
import tidylantern.core.design.filter.ValueOrder;
import tidylantern.core.design.filter.WithoutResults;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.core.query.why.Explanation;
import tidylantern.core.query.words.VisitorQuery;
import tidylantern.core.query.words.Whereabouts;

/** Filters: product.md, 'Filters'. Counts are held against a plain loop over the items, without Lucene. */
class FiltersTest {
    private static final Filter TAGS = FilterBuilder.categories("tag", "Tag", "tags");
    private static final Filter KINDS = FilterBuilder.categories("kind", "Kind", "kind");

    private static SearchDesign design(Filter... filters) {
        return SearchFixture.design().withFilters(List.of(filters));
    }

    private static Answer answer(
            SearchFixture site, SearchDesign design, String text, Map<String, List<String>> ticked) {
        return site.engine()
                .answer(CompiledSearch.of(SearchFixture.SITE, design), SearchFixture.asked(text, 1, ticked));
    }

    private static SearchFixture boats(Path folder) {
        return new SearchFixture(folder)
                .item(SearchFixture.POSTS, "gig", Map.of("title", "Boat one", "tags", List.of("Sea/Gigs", "Fast")))
                .item(SearchFixture.POSTS, "skiff", Map.of("title", "Boat two", "tags", List.of("Sea/Skiffs")))
                .item(SearchFixture.POSTS, "cart", Map.of("title", "Cart", "tags", List.of("Land/Gigs", "Fast")))
                .item(SearchFixture.POSTS, "plain", Map.of("title", "Boat without"))
                .indexed();
    }

    private static String said(List<FilterAnswer.Offered> values) {
        return String.join(
                ", ",
                values.stream()
                        .map(value -> (value.selected() ? "*" : "") + value.label() + " " + value.count()
                                + (value.children().isEmpty() ? "" : " (" + said(value.children()) + ")"))
                        .toList());
    }

    private static String offered(Answer answer, int filter) {
        return said(answer.filters().get(filter).values());
    }

    @Test
    void ticksOfAnAnyFilterLeaveTheAlternativesOnOffer(@TempDir Path folder) throws Exception {
        try (SearchFixture site = boats(folder)) {
            assertThat(offered(answer(site, design(TAGS), "", Map.of()), 0))
                    .isEqualTo("Fast 2, Land 1 (Gigs 1), Sea 2 (Gigs 1, Skiffs 1)");
            Answer ticked = answer(site, design(TAGS), "boat", Map.of("tag", List.of("sea/gigs")));
            assertThat(ticked.total()).isEqualTo(1);
            assertThat(offered(ticked, 0)).isEqualTo("Fast 1, Land 0 (Gigs 0), Sea 2 (*Gigs 1, Skiffs 1)");
            assertThat(answer(site, design(TAGS), "", Map.of("tag", List.of("sea")))
                            .total())
                    .as("a value stands for all below it")
                    .isEqualTo(2);
            assertThat(answer(site, design(TAGS), "", Map.of("tag", List.of("sea/skiffs", "land")))
                            .total())
                    .isEqualTo(2);
        }
    }

    @Test
    void ticksOfAnAllFilterAreKeptIn(@TempDir Path folder) throws Exception {
        try (SearchFixture site = boats(folder)) {
            Answer ticked = answer(
                    site,
                    design(FilterBuilder.like(TAGS).ticked(Several.ALL).made()),
                    "",
                    Map.of("tag", List.of("fast")));
            assertThat(offered(ticked, 0))
                    .as("what one more tick leaves")
                    .isEqualTo("*Fast 2, Land 1 (Gigs 1), Sea 1 (Gigs 1, Skiffs 0)");
            assertThat(answer(
                                    site,
                                    design(FilterBuilder.like(TAGS)
                                            .ticked(Several.ALL)
                                            .made()),
                                    "",
                                    Map.of("tag", List.of("fast", "sea")))
                            .total())
                    .isEqualTo(1);
        }
    }

    @Test
    void anExceptionIsTakenOffTheListWithAllBelowAndItsItemsAreStillFound(@TempDir Path folder) throws Exception {
        try (SearchFixture site = boats(folder)) {
            SearchDesign design = design(FilterBuilder.like(TAGS).except("sea").made());
            assertThat(offered(answer(site, design, "", Map.of()), 0)).isEqualTo("Fast 2, Land 1 (Gigs 1)");
            assertThat(answer(site, design, "", Map.of("tag", List.of("sea/gigs")))
                            .total())
                    .as("an old address with it")
                    .isEqualTo(4);
        }
    }

    @Test
    void aFlatListTellsTheSameNameUnderTwoParentsApart(@TempDir Path folder) throws Exception {
        try (SearchFixture site = boats(folder)) {
            Filter flat = FilterBuilder.like(TAGS)
                    .inOneList()
                    .listed(ValueOrder.COUNT, WithoutResults.HIDE)
                    .made();
            assertThat(offered(answer(site, design(flat), "boat", Map.of()), 0))
                    .isEqualTo("Sea 2, Fast 1, Gigs (Sea) 1, Skiffs 1");
        }
    }

    @Test
    void handPickedValuesStandAloneInTheOwnersOrderUnderTheOwnersLabels(@TempDir Path folder) throws Exception {
        try (SearchFixture site = boats(folder)) {
            SearchDesign design = design(FilterBuilder.like(TAGS)
                    .picked("sea", "gone", "land/gigs")
                    .labelled(Map.of("land/gigs", "Carts <b>", "sea", "At sea"))
                    .made());
            assertThat(offered(answer(site, design, "", Map.of()), 0))
                    .as("a picked parent stands for all below it")
                    .isEqualTo("At sea 2, Carts <b> 1");
            assertThat(answer(site, design, "", Map.of("tag", List.of("sea"))).total())
                    .isEqualTo(2);
            assertThat(answer(site, design, "", Map.of("tag", List.of("fast"))).total())
                    .as("what is not picked cannot be ticked")
                    .isEqualTo(4);
        }
    }

    @Test
    void aFilterThatWaitsForAnotherShowsOnceThatIsSet(@TempDir Path folder) throws Exception {
        try (SearchFixture site = boats(folder)) {
            SearchDesign design = design(
                    TAGS,
                    FilterBuilder.like(FilterBuilder.categories("more", "More", "tags"))
                            .after("tag")
                            .made());
            Answer before = answer(site, design, "", Map.of());
            assertThat(before.filters()).extracting(before::shows).containsExactly(true, false);
            Answer then = answer(site, design, "", Map.of("tag", List.of("sea")));
            assertThat(then.filters()).extracting(then::shows).containsExactly(true, true);
            Answer alone = answer(site, design, "", Map.of("more", List.of("sea")));
            assertThat(alone.filters())
                    .as("what is set stays in sight")
                    .extracting(alone::shows)
                    .containsExactly(true, true);
            assertThatThrownBy(
                            () -> design(FilterBuilder.like(TAGS).after("gone").made()))
                    .isInstanceOfSatisfying(
                            DesignFault.class, fault -> assertThat(fault.key()).isEqualTo("filters[0].shown.after"));
            assertThatThrownBy(() -> FilterBuilder.like(TAGS).after("tag").made())
                    .isInstanceOf(DesignFault.class)
                    .hasMessageContaining("cannot wait for itself");
        }
    }

    @Test
    void aThousandTicksAreObeyed(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)) {
            List<String> all = IntStream.range(0, 300).mapToObj(n -> "V" + n).toList();
            site.item(SearchFixture.POSTS, "all", Map.of("title", "Boat", "tags", all))
                    .item(SearchFixture.POSTS, "most", Map.of("title", "Boat", "tags", all.subList(0, 299)))
                    .indexed();
            Map<String, List<String>> ticked =
                    Map.of("tag", all.stream().map(String::toLowerCase).toList());
            assertThat(answer(
                                    site,
                                    design(FilterBuilder.like(TAGS)
                                            .ticked(Several.ALL)
                                            .made()),
                                    "",
                                    ticked)
                            .total())
                    .isEqualTo(1);
            assertThat(answer(site, design(TAGS), "", ticked).total()).isEqualTo(2);
        }
    }

    @Test
    void branchesOfALargeTreeComeWhenTheyAreOpened(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)) {
            for (int i = 0; i < 500; i++) {
                site.item(
                        SearchFixture.POSTS,
                        "i" + i,
                        Map.of(
                                "title",
                                i % 2 == 0 ? "Boat" : "Cart",
                                "tags",
                                List.of("Isle %d/Bay %d/Berth %d".formatted(i % 5, i % 25, i))));
            }
            site.indexed();
            SearchDesign design = design(TAGS, KINDS);
            List<FilterAnswer.Offered> top =
                    answer(site, design, "boat", Map.of()).filters().getFirst().values();
            assertThat(said(top)).isEqualTo("Isle 0 50, Isle 1 50, Isle 2 50, Isle 3 50, Isle 4 50");
            assertThat(top.getFirst().below()).isEqualTo(5);
            Map<String, List<String>> ticked = Map.of("tag", List.of("isle-1/bay-6"));
            FilterAnswer.Offered open = answer(site, design, "boat", ticked)
                    .filters()
                    .getFirst()
                    .values()
                    .get(1);
            assertThat(said(open.children()).split(" \\(")[0])
                    .as("down to the ticked one and right below it")
                    .isEqualTo("Bay 1 10, Bay 11 10, Bay 16 10, Bay 21 10, *Bay 6 10");
            assertThat(open.children().getLast().children()).hasSize(20);
            assertThat(said(site.engine()
                            .values(
                                    CompiledSearch.of(SearchFixture.SITE, design),
                                    SearchFixture.asked("boat", 1, ticked),
                                    "tag",
                                    "isle-0",
                                    "")))
                    .as("the filter's own ticks left out")
                    .isEqualTo("Bay 0 10, Bay 10 10, Bay 15 10, Bay 20 10, Bay 5 10");
            assertThat(said(site.engine()
                            .values(
                                    CompiledSearch.of(SearchFixture.SITE, design),
                                    SearchFixture.asked("boat", 1),
                                    "tag",
                                    "",
                                    "BÉRTH 49")))
                    .isEqualTo(
                            "Berth 49 0, Berth 490 1, Berth 491 0, Berth 492 1, Berth 493 0, Berth 494 1, Berth 495 0, Berth 496 1, Berth 497 0, Berth 498 1, Berth 499 0");
            assertThat(site.engine()
                            .values(
                                    CompiledSearch.of(SearchFixture.SITE, design),
                                    SearchFixture.asked("", 1),
                                    "tag",
                                    "isle-9",
                                    ""))
                    .isEmpty();
            assertThat(site.engine()
                            .values(
                                    CompiledSearch.of(SearchFixture.SITE, design),
                                    SearchFixture.asked("", 1),
                                    "nope",
                                    "isle-0",
                                    ""))
                    .isEmpty();
        }
    }

    @Test
    void ofAOneOfListTheFirstKnownValueHolds(@TempDir Path folder) throws Exception {
        try (SearchFixture site = boats(folder)) {
            for (CategoryControl control : List.of(CategoryControl.ONE_OF, CategoryControl.MENU)) {
                Answer answer = answer(
                        site,
                        design(FilterBuilder.like(TAGS)
                                .handledWith(control)
                                .ticked(Several.ALL)
                                .made()),
                        "",
                        Map.of("tag", List.of("nope", "land", "sea")));
                assertThat(offered(answer, 0))
                        .as("the alternatives stay on offer")
                        .isEqualTo("Fast 2, *Land 1 (Gigs 1), Sea 2 (Gigs 1, Skiffs 1)");
            }
        }
    }

    @Test
    void valuesStandByTheNumberInTheirNames(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)
                .post("1", "kind", "10 rooms")
                .post("2", "kind", "2 rooms")
                .post("3", "kind", "Loft")
                .post("4", "kind", "2.5 rooms")
                .indexed()) {
            assertThat(offered(
                            answer(
                                    site,
                                    design(FilterBuilder.like(KINDS)
                                            .inOneList()
                                            .listed(ValueOrder.NUMBER, WithoutResults.DIM)
                                            .made()),
                                    "",
                                    Map.of()),
                            0))
                    .isEqualTo("2 rooms 1, 2.5 rooms 1, 10 rooms 1, Loft 1");
            assertThat(offered(
                            answer(
                                    site,
                                    design(FilterBuilder.like(KINDS)
                                            .inOneList()
                                            .listed(ValueOrder.NAME_DOWN, WithoutResults.DIM)
                                            .made()),
                                    "",
                                    Map.of()),
                            0))
                    .startsWith("Loft 1");
        }
    }

    /**
     * CLDR's tailorings, as the JDK's collator has them: Swedish puts å, ä, ö after z (and ü among y), Spanish ñ after
     * n, German takes umlauts as their letters.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "sv | zon, äng, åker, öga, and, yta | and, yta, zon, åker, äng, öga",
                "de | Zopf, Ärmel, Apfel, Öl, Ofen, Azur | Apfel, Ärmel, Azur, Ofen, Öl, Zopf",
                "es | ñandú, nuez, oca, nata | nata, nuez, ñandú, oca"
            })
    void namesStandByTheRulesOfTheLanguage(String language, String given, String expected, @TempDir Path folder)
            throws Exception {
        assertThat(namesInOrder(given.split(", "), language, null, folder.resolve("content")))
                .as("of what is searched")
                .containsExactly(expected.split(", "));
        assertThat(namesInOrder(given.split(", "), "en", language, folder.resolve("visitor")))
                .as("of the visitor, whatever language is searched")
                .containsExactly(expected.split(", "));
    }

    /** @param asked the visitor's language */
    private static List<String> namesInOrder(String[] given, String language, @Nullable String asked, Path folder)
            throws Exception {
        Collection words = SearchFixture.collection("posts", language);
        SiteContent content = new SiteContent(List.of(words));
        VisitorQuery query =
                new VisitorQuery("", 1, Map.of(), Whereabouts.UNKNOWN, "", LocalDate.of(2026, 11, 28), asked);
        try (SearchFixture site = new SearchFixture(folder)) {
            for (String name : given) {
                site.item(words, name, Map.of("title", name, "kind", name));
            }
            site.indexed();
            SearchDesign design = SearchDesign.firstFor("Words", content).withFilters(List.of(KINDS));
            return site
                    .engine()
                    .answer(CompiledSearch.of(content, design), query)
                    .filters()
                    .getFirst()
                    .values()
                    .stream()
                    .map(FilterAnswer.Offered::label)
                    .toList();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"no-such", "", "SEA", "sea/", "<b>", "sea'", "0"})
    void unknownValuesAndFiltersArePassedOver(String value, @TempDir Path folder) throws Exception {
        try (SearchFixture site = boats(folder)) {
            assertThat(answer(site, design(TAGS), "", Map.of("tag", List.of(value), "colour", List.of("red")))
                            .total())
                    .isEqualTo(4);
            assertThat(answer(site, design(TAGS), "", Map.of("tag", List.of(value, "land")))
                            .total())
                    .isEqualTo(1);
            assertThat(answer(
                                    site,
                                    design(TAGS),
                                    "",
                                    Map.of(
                                            "tag",
                                            IntStream.range(0, 5_000)
                                                    .mapToObj(n -> value + n)
                                                    .toList()))
                            .total())
                    .isEqualTo(4);
        }
    }

    @Test
    void suggestionsKeepToTheFilters(@TempDir Path folder) throws Exception {
        try (SearchFixture site = boats(folder)) {
            assertThat(answer(site, design(TAGS), "caart", Map.of()).didYouMean())
                    .isEqualTo("cart");
            assertThat(answer(site, design(TAGS), "caart", Map.of("tag", List.of("sea")))
                            .didYouMean())
                    .as("there is no cart at sea")
                    .isNull();
        }
    }

    @Test
    void whyNamesTheFilterThatHoldsAnItemBack(@TempDir Path folder) throws Exception {
        try (SearchFixture site = boats(folder)) {
            ItemRef skiff = new ItemRef(SearchFixture.POSTS.key(), new ItemId("skiff"));
            Explanation lost = site.engine()
                    .explain(
                            CompiledSearch.of(SearchFixture.SITE, design(TAGS)),
                            SearchFixture.asked("boat", 1, Map.of("tag", List.of("land", "fast"))),
                            skiff);
            assertThat(lost.place()).isNull();
            assertThat(lost.total()).isEqualTo(1);
            assertThat(lost.reasons())
                    .extracting(Explanation.Reason::kind, Explanation.Reason::words)
                    .containsExactly(
                            org.assertj.core.groups.Tuple.tuple(Explanation.Kind.FILTERED, List.of("Land", "Fast")));
            Explanation found = site.engine()
                    .explain(
                            CompiledSearch.of(SearchFixture.SITE, design(TAGS)),
                            SearchFixture.asked("boat", 1, Map.of("tag", List.of("sea/skiffs"))),
                            skiff);
            assertThat(found.place()).as("among what the filter lets through").isEqualTo(1);
            assertThat(found.total()).isEqualTo(1);
        }
    }

    @Test
    void whatCannotBeAFilterNamesTheKey() {
        assertThatThrownBy(() -> FilterBuilder.categories("page", "Page", "tags"))
                .isInstanceOf(DesignFault.class)
                .hasMessageContaining("parameter of the search itself");
        assertThatThrownBy(() -> FilterBuilder.categories("Ta g", "Tag", "tags"))
                .isInstanceOf(DesignFault.class)
                .hasMessageContaining("cannot stand in an address");
        assertThatThrownBy(() -> FilterBuilder.categories("tag", " ", "tags"))
                .isInstanceOfSatisfying(
                        DesignFault.class, fault -> assertThat(fault.key()).isEqualTo("label"));
        assertThatThrownBy(() -> design(TAGS, TAGS))
                .isInstanceOfSatisfying(
                        DesignFault.class, fault -> assertThat(fault.key()).isEqualTo("filters[1]"));
    }

    private static Several several(Filter filter) {
        return ((CategorySource) filter.source()).several();
    }

    private record Plain(String title, List<String> tags, List<String> kinds) {
        boolean passes(Filter filter, List<String> ticked) {
            Set<String> values = values(filter);
            return ticked.isEmpty()
                    || (several(filter) == Several.ALL
                            ? values.containsAll(ticked)
                            : ticked.stream().anyMatch(values::contains));
        }

        Set<String> values(Filter filter) {
            Set<String> values = new HashSet<>();
            for (String path : filter.key().equals("tag") ? tags : kinds) {
                for (String at = path;
                        !at.isEmpty();
                        at = at.contains("/") ? at.substring(0, at.lastIndexOf('/')) : "") {
                    values.add(at);
                }
            }
            return values;
        }
    }

    @RepeatedTest(12)
    void countsAreThoseOfAPlainLoopInEveryModeAndCombination(RepetitionInfo run, @TempDir Path folder)
            throws Exception {
        Random random = new Random(run.getCurrentRepetition());
        try (SearchFixture site = new SearchFixture(folder)) {
            Map<String, Plain> items = new HashMap<>();
            // In several rounds, so that there are several parts of the index with changed and removed items in them.
            for (int round = 0; round < 3; round++) {
                for (int i = 0; i < 25; i++) {
                    String id = "p" + random.nextInt(40);
                    Plain plain =
                            new Plain(random.nextBoolean() ? "boat" : "cart", some(random, 4, 3), some(random, 2, 1));
                    items.put(id, plain);
                    Map<String, Object> properties = new HashMap<>(Map.of("title", plain.title()));
                    properties.put("tags", plain.tags());
                    properties.put("kind", plain.kinds());
                    properties.values().removeIf(value -> value.equals(List.of()));
                    site.forget(id);
                    site.item(SearchFixture.POSTS, id, properties);
                }
                site.indexed();
                String gone = "p" + random.nextInt(40);
                site.index()
                        .apply(List.of(), List.of(new ItemRef(SearchFixture.POSTS.key(), new ItemId(gone))), round + 2);
                site.forget(gone);
                items.remove(gone);
                for (int query = 0; query < 25; query++) {
                    List<Filter> filters = new ArrayList<>(List.of(
                            FilterBuilder.like(TAGS)
                                    .ticked(Several.values()[random.nextInt(2)])
                                    .made(),
                            FilterBuilder.like(KINDS)
                                    .ticked(Several.values()[random.nextInt(2)])
                                    .made()));
                    Map<String, List<String>> ticked =
                            new HashMap<>(Map.of("tag", some(random, 2, 2), "kind", some(random, 2, 1)));
                    ticked.replaceAll((key, values) -> values.stream()
                            .filter(value -> items.values().stream()
                                    .anyMatch(item -> item.values(key.equals("tag") ? TAGS : KINDS)
                                            .contains(value)))
                            .toList());
                    String text = List.of("boat", "cart", "", "nothing").get(random.nextInt(4));
                    compare(
                            answer(site, design(filters.toArray(Filter[]::new)), text, ticked),
                            items.values().stream()
                                    .filter(item ->
                                            text.isEmpty() || item.title().equals(text))
                                    .toList(),
                            filters,
                            ticked);
                }
            }
        }
    }

    private static void compare(
            Answer answer, List<Plain> found, List<Filter> filters, Map<String, List<String>> ticked) {
        assertThat(answer.total()).as("%s under %s", ticked, filters).isEqualTo((int) found.stream()
                .filter(item -> filters.stream()
                        .allMatch(filter -> item.passes(filter, ticked.getOrDefault(filter.key(), List.of()))))
                .count());
        for (int i = 0; i < filters.size(); i++) {
            Filter filter = filters.get(i);
            Map<String, Integer> expected = new TreeMap<>();
            for (Plain item : found) {
                boolean counts = filters.stream()
                        .allMatch(other -> (other.equals(filter) && several(filter) == Several.ANY)
                                || item.passes(other, ticked.getOrDefault(other.key(), List.of())));
                if (counts) {
                    item.values(filter).forEach(value -> expected.merge(value, 1, Integer::sum));
                }
            }
            Map<String, Integer> counted = new TreeMap<>();
            collect(answer.filters().get(i).values(), counted);
            counted.values().removeIf(count -> count == 0);
            assertThat(counted)
                    .as("%s of %s, ticked %s", several(filter), filter.key(), ticked)
                    .isEqualTo(expected);
        }
    }

    private static void collect(List<FilterAnswer.Offered> values, Map<String, Integer> into) {
        values.forEach(value -> {
            into.put(value.value(), value.count());
            collect(value.children(), into);
        });
    }

    private static List<String> some(Random random, int most, int levels) {
        return IntStream.range(0, random.nextInt(most))
                .mapToObj(n -> String.join(
                        "/",
                        IntStream.rangeClosed(0, random.nextInt(levels))
                                .mapToObj(level -> List.of("a", "b", "c").get(random.nextInt(3)))
                                .toList()))
                .distinct()
                .toList();
    }
}
