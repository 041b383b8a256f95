package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.lucene.util.SloppyMath;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.design.DesignChange;
import tidylantern.core.design.DesignChanges;
import tidylantern.core.design.DesignChecks;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.filter.CategoryControl;
import tidylantern.core.design.filter.DistanceSource;
import tidylantern.core.design.filter.DistanceUnit;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterBuilder;
import tidylantern.core.design.filter.JointSource;
import tidylantern.core.design.filter.OfferedValues;
import tidylantern.core.design.filter.OnPage;
import tidylantern.core.design.filter.Several;
import tidylantern.core.design.filter.ValueLooks;
import tidylantern.core.design.filter.ValueOrder;
import tidylantern.core.design.filter.WithoutResults;
import tidylantern.core.design.filter.YesNoSource;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.core.query.filter.FilterFigures;
import tidylantern.core.query.words.Whereabouts;

/** What an owner decides about a filter, one rule after the other; product.md, 'Filters'. */
class FilterRulesTest {
    private static final Filter TAGS = FilterBuilder.categories("tag", "Tag", "tags");
    private static final Filter KINDS = FilterBuilder.categories("kind", "Kind", "kind");
    private static final Filter OPEN = Filter.of("open", "Open on Sundays", YesNoSource.usual(new FieldKey("open")));
    private static final Filter WHERE = Filter.of("where", "Near", DistanceSource.usual(new FieldKey("where")));

    private static Filter joint(boolean headings, boolean apart, Filter... parts) {
        return FilterBuilder.joint("what", "What", headings, apart, parts);
    }

    private static SearchDesign design(Filter... filters) {
        return SearchFixture.design().withFilters(List.of(filters));
    }

    private static Answer answer(SearchFixture site, SearchDesign design, Map<String, List<String>> set) {
        return site.engine().answer(CompiledSearch.of(SearchFixture.SITE, design), SearchFixture.asked("", 1, set));
    }

    private static String said(Answer answer, int filter) {
        return said(answer.filters().get(filter).values());
    }

    private static String said(List<FilterAnswer.Offered> values) {
        return String.join(
                ", ",
                values.stream()
                        .map(value -> (value.heading().isEmpty() ? "" : value.heading() + ": ")
                                + (value.selected() ? "*" : "") + SearchFixture.name(value) + " " + value.count()
                                + (value.children().isEmpty() ? "" : " (" + said(value.children()) + ")"))
                        .toList());
    }

    private static OfferedValues rules(boolean withBelow, Map<String, String> merged, int depth) {
        return new OfferedValues(List.of(), null, withBelow, merged, true, depth);
    }

    private static SearchFixture boats(Path folder) {
        return new SearchFixture(folder)
                .item(
                        SearchFixture.POSTS,
                        "gig",
                        Map.of("tags", List.of("Sea/Gigs", "Fast"), "kind", "Fast", "open", true))
                .item(
                        SearchFixture.POSTS,
                        "skiff",
                        Map.of("tags", List.of("Sea/Skiffs"), "kind", "Slow", "open", false))
                .item(SearchFixture.POSTS, "sea", Map.of("tags", List.of("Sea"), "open", true))
                .item(SearchFixture.NOTES, "none", Map.of("kind", "Slow"))
                .indexed();
    }

    @Test
    void aPickedParentStandsAloneIfTheOwnerSaysSo(@TempDir Path folder) throws Exception {
        try (SearchFixture site = boats(folder)) {
            SearchDesign alone = design(FilterBuilder.like(TAGS)
                    .picked("sea", "fast")
                    .ruled(false, Map.of(), 0)
                    .made());
            assertThat(said(answer(site, alone, Map.of()), 0)).isEqualTo("Sea 1, Fast 1");
            assertThat(answer(site, alone, Map.of("tag", List.of("sea"))).total())
                    .isEqualTo(1);
            assertThat(site.engine()
                            .live(CompiledSearch.of(SearchFixture.SITE, alone), SearchFixture.asked("", 1))
                            .total())
                    .isEqualTo(4);
        }
    }

    @Test
    void aTreeEndsWhereTheOwnerEndsIt(@TempDir Path folder) throws Exception {
        try (SearchFixture site = boats(folder)) {
            SearchDesign flat =
                    design(FilterBuilder.like(TAGS).ruled(true, Map.of(), 1).made());
            assertThat(said(answer(site, flat, Map.of()), 0)).isEqualTo("Fast 1, Sea 3");
            assertThat(answer(site, flat, Map.of("tag", List.of("sea/gigs"))).total())
                    .as("what is deeper cannot be ticked")
                    .isEqualTo(4);
        }
    }

    /** Comparing each merged value with every other for each of the paths would take the better part of a minute. */
    @Test
    @Timeout(20)
    void manyMergedValuesOfALargeFieldCountAsTheirTargets(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)) {
            for (int item = 0; item < 1_000; item++) {
                int first = item * 20;
                site.item(
                        SearchFixture.POSTS,
                        "i" + item,
                        Map.of(
                                "tags",
                                IntStream.range(first, first + 20)
                                        .mapToObj(tag -> "tag" + tag)
                                        .toList()));
            }
            site.indexed();
            Map<String, String> merged =
                    IntStream.range(1, 301).boxed().collect(Collectors.toMap(tag -> "tag" + tag, tag -> "tag0"));
            SearchDesign design = design(FilterBuilder.like(TAGS)
                    .picked("tag0")
                    .ruled(true, merged, 0)
                    .made());
            assertThat(said(answer(site, design, Map.of()), 0))
                    .as("the items of tags 0 to 300")
                    .isEqualTo("tag0 16");
        }
    }

    @Test
    void mergedValuesCountOnceAndOldAddressesWithThemHold(@TempDir Path folder) throws Exception {
        try (SearchFixture site = boats(folder)) {
            SearchDesign merged = design(FilterBuilder.like(TAGS)
                    .ruled(true, Map.of("fast", "sea/gigs"), 0)
                    .labelled(Map.of("sea/gigs", "Quick boats"))
                    .made());
            assertThat(said(answer(site, merged, Map.of()), 0)).isEqualTo("Sea 3 (Quick boats 1, Skiffs 1)");
            assertThat(said(answer(site, merged, Map.of("tag", List.of("fast"))), 0))
                    .isEqualTo("Sea 3 (*Quick boats 1, Skiffs 1)");
            SearchDesign gone = design(FilterBuilder.like(TAGS)
                    .ruled(true, Map.of("fast", "sea/cutters"), 0)
                    .made());
            assertThat(said(answer(site, gone, Map.of()), 0))
                    .as("no item has what it counts as")
                    .isEqualTo("Fast 1, Sea 3 (Gigs 1, Skiffs 1)");
            assertThatThrownBy(() -> rules(true, Map.of("sea", "sea/gigs"), 0))
                    .isInstanceOf(DesignFault.class)
                    .hasMessageContaining("itself or lies below it");
            assertThatThrownBy(() -> rules(true, Map.of("a", "b", "b", "c"), 0))
                    .isInstanceOf(DesignFault.class)
                    .hasMessageContaining("counts as another one");
        }
    }

    @Test
    void aFilterBeginsAtItsStartUntilSomethingOrNothingIsSet(@TempDir Path folder) throws Exception {
        try (SearchFixture site = boats(folder)) {
            SearchDesign chosen =
                    design(FilterBuilder.like(TAGS).startingWith("fast", "gone").made(), KINDS);
            Answer begun = answer(site, chosen, Map.of());
            assertThat(begun.total()).isEqualTo(1);
            assertThat(begun.filters().getFirst().start())
                    .as("without what is not on offer")
                    .containsExactly("fast");
            assertThat(answer(site, chosen, Map.of("tag", List.of())).total())
                    .as("nothing is ticked although the start is something else")
                    .isEqualTo(4);
            assertThat(answer(site, chosen, Map.of("tag", List.of("sea")))
                            .filters()
                            .getFirst()
                            .start())
                    .containsExactly("fast");
            Answer all = answer(
                    site, design(FilterBuilder.like(TAGS).startingWithAll().made()), Map.of());
            assertThat(said(all, 0)).isEqualTo("*Fast 1, *Sea 3 (Gigs 1, Skiffs 1)");
            assertThat(all.total())
                    .as("without a value an item is not among them")
                    .isEqualTo(3);
        }
    }

    @Test
    void aFilterShowsWhileItNarrowsAndWithResultsOfItsCollections(@TempDir Path folder) throws Exception {
        try (SearchFixture site = boats(folder)) {
            SearchDesign design = design(
                    FilterBuilder.like(TAGS).shown(OnPage.SIDE, true).made(),
                    FilterBuilder.like(KINDS).shown(OnPage.TOP, false, "notes").made(),
                    OPEN);
            assertThat(answer(site, design, Map.of()).shown()).containsExactlyInAnyOrder("tag", "kind", "open");
            assertThat(answer(site, design, Map.of("open", List.of("yes"))).shown())
                    .as("of the two that are open, one is fast; no note is")
                    .containsExactlyInAnyOrder("tag", "open");
            assertThat(answer(site, design, Map.of("kind", List.of("slow"), "open", List.of("yes")))
                            .shown())
                    .as("what is set stays in sight; nothing is found")
                    .containsExactlyInAnyOrder("kind", "open");
        }
    }

    @Test
    void valuesOfSeveralFieldsStandInOneFilter(@TempDir Path folder) throws Exception {
        try (SearchFixture site = boats(folder)) {
            Filter joint = joint(
                    true, false, FilterBuilder.like(TAGS).except("sea/skiffs").made(), KINDS, OPEN);
            assertThat(said(answer(site, design(joint), Map.of()), 0))
                    .isEqualTo(
                            "Tag: Fast 1, Tag: Sea 3 (Gigs 1), Kind: Fast 1, Kind: Slow 2, Open on Sundays: Open on Sundays 2");
            Answer ticked = answer(
                    site,
                    design(joint),
                    Map.of("what", List.of("kind:slow", "tag:fast", "kind:gone", "gone:x", "slow")));
            assertThat(ticked.total()).as("any of them").isEqualTo(3);
            assertThat(answer(
                                    site,
                                    design(FilterBuilder.like(joint)
                                            .ticked(Several.ALL)
                                            .made()),
                                    Map.of("what", List.of("open:yes", "tag:sea")))
                            .total())
                    .as("all of them")
                    .isEqualTo(2);
            Filter list = FilterBuilder.like(joint(
                            false,
                            false,
                            FilterBuilder.like(TAGS).except("sea/skiffs").made(),
                            KINDS,
                            OPEN))
                    .listed(ValueOrder.COUNT, WithoutResults.HIDE)
                    .made();
            assertThat(said(answer(site, design(list), Map.of()), 0))
                    .isEqualTo("Sea 3 (Gigs 1), Open on Sundays 2, Slow 2, Fast 1, Fast 1");
            assertThat(answer(
                                    site,
                                    design(FilterBuilder.like(joint)
                                            .handledWith(CategoryControl.MENU)
                                            .made()),
                                    Map.of("what", List.of("kind:slow", "tag:fast")))
                            .total())
                    .as("one of a menu: the first part's")
                    .isEqualTo(1);
        }
    }

    @Test
    void joinedFiltersStandApartAndTogetherAgainWithAllTheyHave(@TempDir Path folder) throws Exception {
        try (SearchFixture site = boats(folder)) {
            Filter withoutSea = FilterBuilder.like(TAGS).except("sea").made();
            Filter joint = joint(true, true, withoutSea, KINDS);
            SearchDesign apart =
                    design(joint, FilterBuilder.like(OPEN).after("what").made());
            assertThat(answer(site, apart, Map.of()).filters())
                    .extracting(one -> one.filter().key())
                    .containsExactly("tag", "kind", "open");
            assertThat(answer(site, apart, Map.of("tag", List.of("fast"))).shown())
                    .as("what waits for the joint filter waits for any of its parts")
                    .contains("open");
            assertThat(DesignChanges.between(design(joint), design(joint(true, false, withoutSea, KINDS))))
                    .extracting(DesignChange::path)
                    .containsExactly(List.of("filters", "what", "source", "apart"));
            assertThatThrownBy(() -> design(joint, TAGS))
                    .isInstanceOf(DesignFault.class)
                    .hasMessageContaining("the key \"tag\" stands twice");
            assertThatThrownBy(() -> JointSource.usual(List.of(TAGS)))
                    .isInstanceOf(DesignFault.class)
                    .hasMessageContaining("2 to 12");
        }
        Filter wrong = joint(true, false, TAGS, FilterBuilder.usual("price", "price", FieldKind.MONEY));
        assertThat(DesignChecks.of(design(wrong), SearchFixture.SITE))
                .extracting(DesignChecks.Remark::text)
                .anyMatch(text -> text.contains("cannot stand among those of other fields"));
    }

    @Test
    void whatIsLeftOutIsCountedWithItsItems(@TempDir Path folder) throws Exception {
        try (SearchFixture site = boats(folder)) {
            SearchDesign design = design(
                    FilterBuilder.like(TAGS).except("sea/gigs").made(),
                    FilterBuilder.like(KINDS).picked("fast").made(),
                    FilterBuilder.like(FilterBuilder.categories("more", "More", "tags"))
                            .ruled(true, Map.of("fast", "sea"), 1)
                            .made());
            List<FilterFigures> figures = site.engine().figures(CompiledSearch.of(SearchFixture.SITE, design));
            assertThat(figures).extracting(FilterFigures::values).containsExactly(3, 1, 1);
            assertThat(figures).extracting(FilterFigures::items).containsExactly(3, 3, 3);
            assertThat(figures)
                    .extracting(FilterFigures::nearlyUnique)
                    .as("three items tell nothing")
                    .containsOnly(false);
            assertThat(figures.getFirst().leftOut()).isEqualTo(new FilterFigures.LeftOut(1, 1, List.of("Sea › Gigs")));
            assertThat(figures.get(1).leftOut()).isEqualTo(new FilterFigures.LeftOut(1, 2, List.of("Slow")));
            assertThat(figures.get(2).leftOut())
                    .as("the merged and the deeper ones are covered by Sea")
                    .isEqualTo(FilterFigures.LeftOut.NOTHING);
        }
    }

    /** Narrowing by the top of a tree leads to more than one item, however many values lie below it. */
    @Test
    void valuesThatAreNearlyOneItemsOwnAreToldFromTheTopOfATree(@TempDir Path folder) throws Exception {
        SearchFixture many = new SearchFixture(folder);
        for (int n = 0; n < 24; n++) {
            many.item(
                    SearchFixture.POSTS,
                    "boat-" + n,
                    Map.of("kind", "Kind " + n, "tags", List.of((n % 2 == 0 ? "Sea" : "Land") + "/Boat " + n)));
        }
        try (SearchFixture site = many.indexed()) {
            assertThat(site.engine().figures(CompiledSearch.of(SearchFixture.SITE, design(KINDS, TAGS))))
                    .extracting(FilterFigures::nearlyUnique)
                    .containsExactly(true, false);
        }
    }

    @Test
    void aPictureIsAColourOrAnAddress() {
        assertThat(new ValueLooks(Map.of(), Map.of("sea", "#0E5f63", "fast", "/fast.svg")).pictures())
                .hasSize(2);
        for (String wrong : List.of("red", "#12", "javascript:alert(1)", "data:text/html,x", "")) {
            assertThatThrownBy(() -> new ValueLooks(Map.of(), Map.of("sea", wrong)))
                    .as(wrong)
                    .isInstanceOf(DesignFault.class);
        }
    }

    @Test
    void capitalsAndAccentsMakeNoOtherValueAndNothingInOneIsTakenForMore(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)
                .item(SearchFixture.POSTS, "a", Map.of("tags", List.of("Café", "Ale, \"dark\"")))
                .item(SearchFixture.POSTS, "b", Map.of("tags", List.of("CAFÉ", "<b>R&D, 'Öl'", "Cafe")))
                .item(SearchFixture.POSTS, "c", Map.of("tags", List.of("Café", "North/Cove", "South/Cove")))
                .indexed()) {
            Answer all = answer(site, design(TAGS), Map.of());
            assertThat(said(all, 0))
                    .as("capitals and accents apart: one value, as most write it")
                    .contains("Café 3", "<b>R&D, 'Öl' 1")
                    .doesNotContain("CAFÉ", "Cafe")
                    .contains("Ale, \"dark\" 1")
                    .contains("North 1 (Cove 1)")
                    .contains("South 1 (Cove 1)");
            for (FilterAnswer.Offered value : all.filters().getFirst().values()) {
                assertThat(answer(site, design(TAGS), Map.of("tag", List.of(value.value())))
                                .total())
                        .as(value.label())
                        .isEqualTo(value.count());
            }
        }
    }

    private static SearchFixture harbours(Path folder) {
        return new SearchFixture(folder)
                .item(SearchFixture.POSTS, "a", Map.of("where", Map.of("lat", 50.0, "lon", -5.0, "name", "Wickhaven")))
                .item(SearchFixture.POSTS, "b", Map.of("where", Map.of("lat", 50.02, "lon", -5.0, "name", "Wickhaven")))
                .item(SearchFixture.POSTS, "c", Map.of("where", Map.of("lat", 50.1, "lon", -5.0, "name", "Éastwater")))
                .post("nowhere", "title", "Nowhere")
                .indexed();
    }

    private static Answer around(
            SearchFixture site, String near, String place, String within, Filter filter, String... radius) {
        return site.engine()
                .answer(
                        CompiledSearch.of(SearchFixture.SITE, design(filter)),
                        SearchFixture.asked(
                                "",
                                1,
                                radius.length == 0 ? Map.of() : Map.of("where", List.of(radius)),
                                Whereabouts.of(near, place, within)));
    }

    @Test
    void distancesAreCountedFromAPositionOrAPlaceOfTheItems(@TempDir Path folder) throws Exception {
        try (SearchFixture site = harbours(folder)) {
            Answer unknown = around(site, "", "", "", WHERE, "5");
            assertThat(unknown.total()).as("without a place nothing is set").isEqualTo(4);
            assertThat(unknown.filters().getFirst().around())
                    .isEqualTo(new FilterAnswer.Around(
                            false, "", "", 3, List.of("Wickhaven", "Éastwater"), List.of(), ""));
            Answer near = around(site, "50,-5", "", "", WHERE, "5");
            assertThat(said(near, 0)).isEqualTo("1 1, 2 1, *5 2, 10 2, 25 3");
            assertThat(near.total()).isEqualTo(2);
            Answer named = around(site, "", "wickHAVEN", "2", WHERE);
            assertThat(named.total())
                    .as("from the middle of the two, and 'within' means the first filter by distance")
                    .isEqualTo(2);
            assertThat(named.filters().getFirst().around())
                    .extracting(FilterAnswer.Around::name)
                    .isEqualTo("Wickhaven");
            assertThat(around(site, "", "east", "1", WHERE).total())
                    .as("the beginning of a name, without its accent")
                    .isEqualTo(1);
            assertThat(around(site, "", "Elsewhere", "1", WHERE)
                            .filters()
                            .getFirst()
                            .around())
                    .extracting(FilterAnswer.Around::unknown)
                    .isEqualTo("Elsewhere");
            assertThat(said(
                            around(
                                    site,
                                    "50,-5",
                                    "",
                                    "",
                                    FilterBuilder.like(WHERE)
                                            .radii(DistanceUnit.MI, 1.0, 1.5, 7.0)
                                            .made(),
                                    "1.5"),
                            0))
                    .isEqualTo("1 1, *1.5 2, 7 3");
        }
    }

    @ParameterizedTest
    @CsvSource({"0, 1", "-1, 4", "1000000000, 3", "x, 4", "1e9, 4", "NaN, 4", "4.5, 2"})
    void anyDistanceIsReadAsFarAsItGoes(String radius, int found, @TempDir Path folder) throws Exception {
        try (SearchFixture site = harbours(folder)) {
            assertThat(around(site, "50,-5", "", "", WHERE, radius).total()).isEqualTo(found);
        }
    }

    @ParameterizedTest
    @CsvSource({"'91,0'", "'0,181'", "'50'", "'50,-5,1'", "'a,b'", "'NaN,0'", "'1e2,5'"})
    void aPositionThatThereIsNotStandsForNone(String near) {
        assertThat(Whereabouts.of(near, "", "").position()).isNull();
    }

    /**
     * Williams, Aviation Formulary, and the common haversine exercise, its second value recomputed for R = 6371.0088 km
     * (both from memory, recomputed).
     */
    @Test
    void distancesFollowTheGreatCircle() {
        double la = 33 + 57 / 60.0;
        assertThat(SloppyMath.haversinMeters(la, -(118 + 24 / 60.0), 40 + 38 / 60.0, -(73 + 47 / 60.0)) / 6_371_008.8)
                .isCloseTo(0.623585, within(1e-6));
        assertThat(SloppyMath.haversinMeters(36.12, -86.67, 33.94, -118.40) / 1_000)
                .isCloseTo(2886.45, within(0.01));
    }

    @Test
    void theMiddleOfAPlaceHoldsAcrossTheDateLine(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)) {
            Stream.of(179.99, -179.99)
                    .forEach(longitude -> site.item(
                            SearchFixture.POSTS,
                            "at" + longitude,
                            Map.of("where", Map.of("lat", 0, "lon", longitude, "name", "Line"))));
            assertThat(around(site.indexed(), "", "Line", "", WHERE, "2").total())
                    .isEqualTo(2);
        }
    }
}
