package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.TreeMap;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermQuery;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemReader;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.OwnerMark;
import tidylantern.core.content.Placement;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.OrderKey;
import tidylantern.core.design.Reach;
import tidylantern.core.design.ReachRule;
import tidylantern.core.design.ResultOrder;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Tier;
import tidylantern.core.design.TierLooks;
import tidylantern.core.design.filter.Control;
import tidylantern.core.design.filter.DayControl;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterBuilder;
import tidylantern.core.design.filter.NumberControl;
import tidylantern.core.design.filter.OnlyControl;
import tidylantern.core.design.filter.YesNoControl;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.IndexState;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.compiled.ItemsInReach;
import tidylantern.core.query.filter.CategoryNumbers;
import tidylantern.core.query.words.VisitorQuery;
import tidylantern.core.query.words.Whereabouts;

/**
 * However an index came to be what it is, it answers like one that was made of the same items at once: what is kept of
 * its parts follows what was added, changed and removed.
 */
class ChangesOfAnIndexTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 5, 14);
    private static final int CHANGES = 60;

    private static final SiteContent SITE = new SiteContent(
            SearchFixture.SITE.collections(),
            List.of(
                    new Placement(ref("p-3"), "gold", 1, null, null),
                    new Placement(ref("p-7"), "gold", null, null, null)),
            ZoneOffset.UTC,
            List.of());

    private static ItemRef ref(String id) {
        return new ItemRef(SearchFixture.POSTS.key(), new ItemId(id));
    }

    private static Filter filter(String key, String field, Control control) {
        FieldKind kind = Objects.requireNonNull(SearchFixture.SITE.kind(new FieldKey(field)));
        return FilterBuilder.like(FilterBuilder.usual(key, field, kind))
                .handledWith(control)
                .made();
    }

    private static SearchDesign design() {
        OrderKey tier = new OrderKey(OrderKey.By.TIER, null, false, null);
        OrderKey place = new OrderKey(OrderKey.By.PLACE_IN_TIER, null, false, null);
        OrderKey title = new OrderKey(OrderKey.By.TITLE, null, false, null);
        List<OrderKey> keys = List.of(tier, place, title);
        return SearchFixture.design()
                .withReach(new Reach(List.of(new Reach.Searched(
                        SearchFixture.POSTS.key(),
                        List.of(),
                        List.of(ReachRule.category(new FieldKey("kind"), "hidden"))))))
                .withFilters(List.of(
                        FilterBuilder.categories("tree", "Tree", "tags"),
                        FilterBuilder.like(FilterBuilder.categories("merged", "Merged", "tags"))
                                .ruled(true, Map.of("sea/reef", "land"), 0)
                                .made(),
                        FilterBuilder.categories("kind", "Kind", "kind"),
                        filter("price", "price", NumberControl.RANGE),
                        filter("bands", "size", NumberControl.BANDS),
                        filter("months", "days", DayControl.MONTHS),
                        filter("open", "open", YesNoControl.SWITCH),
                        filter("around", "where", OnlyControl.DISTANCE)))
                .withOrder(new ResultOrder(keys, keys, List.of(), ""))
                .withTiers(List.of(
                        new Tier(
                                "gold",
                                "Gold",
                                1,
                                List.of(),
                                new Tier.Lift(2, 1, Tier.Turns.NONE),
                                null,
                                TierLooks.plain()),
                        new Tier(
                                "reef",
                                "Reef",
                                2,
                                List.of(new Tier.Holders(
                                        SearchFixture.POSTS.key(),
                                        ReachRule.category(new FieldKey("tags"), "sea/reef"))),
                                new Tier.Lift(null, null, Tier.Turns.NONE),
                                null,
                                TierLooks.plain())));
    }

    private static SiteIndex.Changed item(String id, Random random) throws Exception {
        Map<String, Object> says = new HashMap<>();
        says.put("title", "Boat " + random.nextInt(50));
        List<String> tags = List.of("Sea/Reef", "SEA/Reef", "Sea/Deep", "Land", "land/Hill", "Sky");
        says.put("tags", List.of(tags.get(random.nextInt(tags.size())), tags.get(random.nextInt(tags.size()))));
        if (random.nextInt(4) > 0) {
            says.put(
                    "kind",
                    List.of("Sail", "Oar", "Hidden", "Kind " + random.nextInt(30))
                            .get(random.nextInt(4)));
            says.put("price", random.nextInt(200) + (random.nextBoolean() ? 0.5 : 0) + " EUR");
            says.put("size", random.nextInt(40));
        }
        if (random.nextBoolean()) {
            says.put("days", TODAY.plusDays(random.nextInt(400)).toString());
            says.put("open", random.nextBoolean());
            says.put(
                    "where",
                    Map.of(
                            "name",
                            List.of("Quay", "Mole", "quay").get(random.nextInt(3)),
                            "lat",
                            50 + random.nextInt(3) * 0.1,
                            "lon",
                            -5.0));
        }
        return new SiteIndex.Changed(
                new ItemReader(SearchFixture.POSTS).read(new ItemId(id), says),
                "en",
                new OwnerMark(random.nextInt(12) == 0, "", "", "", "", ""),
                java.time.Instant.EPOCH);
    }

    /** All that hangs on what is kept of a state. */
    private static List<Object> answers(SiteIndex index, CompiledSearch search) {
        SearchEngine engine = new SearchEngine(index);
        List<Object> answers = new ArrayList<>();
        for (Map<String, List<String>> set : List.of(
                Map.<String, List<String>>of(),
                Map.of("tree", List.of("sea")),
                Map.of("merged", List.of("land"), "price", List.of("20..120")))) {
            Answer answer =
                    engine.answer(search, new VisitorQuery("", 1, set, Whereabouts.of("50.1,-5", "", ""), "", TODAY));
            answers.add(answer.total());
            answers.add(answer.filters());
            answers.add(answer.hits().stream()
                    .map(hit -> hit.ref() + " " + hit.standing())
                    .toList());
        }
        answers.add(engine.figures(search));
        answers.add(engine.holders(search, TODAY));
        answers.add(
                engine.answer(search, new VisitorQuery("", 1, Map.of(), Whereabouts.of("", "quay", "20"), "", TODAY))
                        .filters()
                        .getLast());
        return answers;
    }

    @ParameterizedTest
    @ValueSource(longs = {5, 6, 7})
    void whatIsKeptOfPartsFollowsChanges(long seed, @TempDir Path folder) throws Exception {
        CompiledSearch search = CompiledSearch.of(SITE, design());
        Random random = new Random(seed);
        Map<String, SiteIndex.Changed> there = new TreeMap<>();
        try (SiteIndex index = SiteIndex.open(folder.resolve("followed"))) {
            SearchEngine engine = new SearchEngine(index);
            index.beforeShown(next -> engine.prepare(next, search));
            for (int change = 1; change <= CHANGES; change++) {
                List<SiteIndex.Changed> changed = new ArrayList<>();
                List<ItemRef> removed = new ArrayList<>();
                for (int n = random.nextInt(20); n >= 0; n--) {
                    String id = "p-" + random.nextInt(120);
                    if (random.nextInt(3) == 0) {
                        there.remove(id);
                        changed.removeIf(one -> one.item().ref().equals(ref(id)));
                        removed.add(ref(id));
                    } else if (!removed.contains(ref(id))) {
                        changed.removeIf(one -> one.item().ref().equals(ref(id)));
                        there.put(id, item(id, random));
                        changed.add(there.get(id));
                    }
                }
                // Asked between the changes too, so that there is something to follow.
                answers(index, search);
                index.apply(changed, removed, change);
                if (change % 5 == 0) {
                    assertThat(answers(index, search))
                            .as("after change " + change)
                            .isEqualTo(anew(folder.resolve("anew-" + change), there, search));
                }
            }
        }
    }

    private static List<Object> anew(Path folder, Map<String, SiteIndex.Changed> items, CompiledSearch search)
            throws IOException {
        try (SiteIndex index = SiteIndex.open(folder)) {
            index.apply(items.values(), List.of(), 1);
            return answers(index, search);
        }
    }

    /** Also by what is asked of it for the first time once the next state was asked. */
    @Test
    void anEarlierStateGoesOnAnsweringAsItWas(@TempDir Path folder) throws Exception {
        CompiledSearch search = CompiledSearch.of(SITE, design());
        Random random = new Random(9);
        try (SiteIndex index = SiteIndex.open(folder)) {
            List<SiteIndex.Changed> first = new ArrayList<>();
            for (int n = 0; n < 40; n++) {
                first.add(item("p-" + n, random));
            }
            index.apply(first, List.of(), 1);
            index.read(state -> {
                index.apply(
                        List.of(),
                        first.stream().map(one -> one.item().ref()).limit(30).toList(),
                        2);
                int left = index.read(next -> mustCountAsItIs(next, search));
                assertThat(mustCountAsItIs(state, search)).isGreaterThan(left);
                return left;
            });
        }
    }

    /** @return how many items are in reach, once what is kept of the state says what asking it says */
    private static int mustCountAsItIs(IndexState state, CompiledSearch search) throws IOException {
        Query reach = search.reachIn(state);
        FieldKey tags = new FieldKey("tags");
        CategoryNumbers numbers = CategoryNumbers.of(state, tags);
        int[] counts = numbers.inReach(reach, CategoryNumbers.Reading.PLAIN);
        for (String value : List.of("sea", "sea/reef", "land", "land/hill", "sky")) {
            Query having = new BooleanQuery.Builder()
                    .add(reach, BooleanClause.Occur.FILTER)
                    .add(new TermQuery(new Term(IndexFields.values(tags), value)), BooleanClause.Occur.FILTER)
                    .build();
            assertThat(numbers.number(value) < 0 ? 0 : counts[numbers.number(value)])
                    .as(value)
                    .isEqualTo(state.searcher().count(having));
        }
        int items = state.searcher().count(reach);
        assertThat(ItemsInReach.of(state, reach)).isEqualTo(items);
        return items;
    }
}
