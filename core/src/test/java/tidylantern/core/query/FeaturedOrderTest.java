package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.Placement;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.OrderKey;
import tidylantern.core.design.OrderKey.By;
import tidylantern.core.design.Pin;
import tidylantern.core.design.ReachRule;
import tidylantern.core.design.ResultOrder;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Tier;
import tidylantern.core.design.TierLooks;
import tidylantern.core.place.Gazetteer;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.order.Standing;
import tidylantern.core.query.why.Explanation;
import tidylantern.core.query.words.VisitorQuery;
import tidylantern.core.query.words.Whereabouts;

/** Featured tiers and pins among the keys of an order; product.md, 'Order'. */
class FeaturedOrderTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 5, 14);
    private static final OrderKey TIER = OrderKey.of(By.TIER);
    private static final OrderKey PLACE = OrderKey.of(By.PLACE_IN_TIER);
    private static final OrderKey TITLE = OrderKey.of(By.TITLE);
    private static final OrderKey PRICE = OrderKey.of(By.NUMBER, new FieldKey("price"));

    private static Tier tier(String key, @Nullable Integer rank, Tier.@Nullable Lift lift, String... kinds) {
        return new Tier(
                key,
                key,
                rank,
                Stream.of(kinds)
                        .map(kind -> new Tier.Holders(null, ReachRule.category(new FieldKey("kind"), kind)))
                        .toList(),
                lift,
                null,
                TierLooks.plain());
    }

    private static Tier.Lift lift(@Nullable Integer most, @Nullable Integer live, boolean turns) {
        return new Tier.Lift(most, live, turns ? Tier.Turns.BY_DAY : Tier.Turns.NONE);
    }

    private static ItemRef ref(String id) {
        return new ItemRef(SearchFixture.POSTS.key(), new ItemId(id));
    }

    private static Placement held(String id, String tier, @Nullable Integer place) {
        return new Placement(ref(id), tier, place, null, null);
    }

    private static SiteContent with(Placement... placements) {
        return new SiteContent(SearchFixture.SITE.collections(), List.of(placements), ZoneOffset.UTC, List.of());
    }

    private static SearchDesign design(List<OrderKey> keys, Tier... tiers) {
        return SearchFixture.design()
                .withOrder(new ResultOrder(keys, keys, List.of(), ""))
                .withTiers(List.of(tiers));
    }

    private static List<Hit> hits(
            SearchFixture site, SiteContent content, SearchDesign design, String text, LocalDate day) {
        List<Hit> hits = new ArrayList<>();
        for (int page = 1, pages = 1; page <= pages; page++) {
            Answer answer = site.engine().answer(CompiledSearch.of(content, design), asked(text, page, day));
            pages = answer.pages();
            hits.addAll(answer.hits());
        }
        return hits;
    }

    private static VisitorQuery asked(String text, int page, LocalDate day) {
        return new VisitorQuery(text, page, Map.of(), Whereabouts.UNKNOWN, "", day);
    }

    private static List<String> ids(List<Hit> hits) {
        return hits.stream().map(hit -> hit.ref().id().value()).toList();
    }

    private static List<String> order(SearchFixture site, SiteContent content, SearchDesign design) {
        return ids(hits(site, content, design, "", TODAY));
    }

    private static SearchFixture letters(Path folder, String... ids) {
        SearchFixture site = new SearchFixture(folder);
        for (String id : ids) {
            site.post(id, "title", "Boat " + id);
        }
        return site.indexed();
    }

    @Test
    void whatATierMayNotLiftStandsWhereTheOtherKeysPutIt(@TempDir Path folder) throws Exception {
        try (SearchFixture site = letters(folder, "a", "b", "c", "d", "e")) {
            SiteContent content = with(
                    held("c", "gold", null), held("d", "gold", 1), held("e", "gold", null), held("b", "mark", null));
            SearchDesign two =
                    design(List.of(TIER, PLACE, TITLE), tier("gold", 1, lift(2, 1, false)), tier("mark", 2, null));
            assertThat(order(site, content, two)).containsExactly("d", "c", "a", "b", "e");
            List<Hit> hits = hits(site, content, two, "", TODAY);
            assertThat(hits)
                    .extracting(hit -> hit.standing().lifted())
                    .containsExactly(true, true, false, false, false);
            assertThat(hits)
                    .as("a tier marks what it does not lift")
                    .extracting(hit -> hit.tier() == null ? "" : hit.tier().key())
                    .containsExactly("gold", "gold", "", "mark", "gold");
            assertThat(site.engine()
                            .live(CompiledSearch.of(content, two), asked("", 1, TODAY))
                            .groups()
                            .getFirst()
                            .hits())
                    .extracting(hit -> hit.ref().id().value())
                    .as("live results lift one")
                    .containsExactly("d", "a", "b");
            assertThat(ids(hits(site, content, two, "boat", TODAY)))
                    .as("with words too")
                    .containsExactly("d", "c", "a", "b", "e");
        }
    }

    @Test
    void anOrderWithoutTheKeyLiftsNothingAndMarksStay(@TempDir Path folder) throws Exception {
        try (SearchFixture site = letters(folder, "a", "b")) {
            SearchDesign design = design(List.of(TITLE), tier("gold", 1, lift(null, null, false)));
            assertThat(order(site, with(held("b", "gold", null)), design)).containsExactly("a", "b");
            assertThat(hits(site, with(held("b", "gold", null)), design, "", TODAY)
                            .getLast()
                            .tier())
                    .isNotNull();
            assertThat(order(
                            site,
                            with(held("b", "gold", 1)),
                            design(List.of(PLACE, TITLE), tier("gold", 1, lift(null, null, false)))))
                    .as("the place alone decides nothing")
                    .containsExactly("a", "b");
        }
    }

    @Test
    void theHigherOfTwoTiersHoldsAndTiesInRankGoByTheList(@TempDir Path folder) throws Exception {
        try (SearchFixture site = letters(folder, "a", "b", "c", "d")) {
            SiteContent content = with(
                    held("d", "low", null), held("d", "high", null), held("c", "low", null), held("b", "none", null));
            SearchDesign ranked = design(
                    List.of(TIER, TITLE),
                    tier("none", null, lift(null, null, false)),
                    tier("low", 2, lift(null, null, false)),
                    tier("high", 1, lift(null, null, false)));
            assertThat(order(site, content, ranked))
                    .as("a missing rank comes after all")
                    .containsExactly("d", "c", "b", "a");
            SearchDesign tied = design(
                    List.of(TIER, TITLE),
                    tier("none", 1, lift(null, null, false)),
                    tier("low", 1, lift(null, null, false)),
                    tier("high", 1, null));
            assertThat(order(site, content, tied))
                    .as("listed first is higher; d holds low then, which lifts")
                    .containsExactly("b", "c", "d", "a");
            SearchDesign marking =
                    design(List.of(TIER, TITLE), tier("low", 2, lift(null, null, false)), tier("high", 1, null));
            assertThat(order(site, content, marking))
                    .as("the higher only marks, so it does not lift")
                    .containsExactly("c", "a", "b", "d");
        }
    }

    @Test
    void placementsBeginAndEndOnTheirDays(@TempDir Path folder) throws Exception {
        try (SearchFixture site = letters(folder, "a", "b")) {
            SearchDesign design = design(List.of(TIER, TITLE), tier("gold", 1, lift(null, null, false)));
            SiteContent content = with(new Placement(ref("b"), "gold", null, TODAY, TODAY.plusDays(1)));
            assertThat(Stream.of(-1, 0, 1, 2).map(days -> ids(hits(site, content, design, "", TODAY.plusDays(days)))
                            .getFirst()))
                    .containsExactly("a", "b", "b", "a");
        }
    }

    @Test
    void fieldsAndRulesPlaceItemsThatArriveLaterToo(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)
                .item(SearchFixture.POSTS, "a", Map.of("title", "A", "kind", "plain"))
                .item(SearchFixture.POSTS, "b", Map.of("title", "B", "kind", "beacon", "open", true))
                .indexed()) {
            SearchDesign byKind = design(List.of(TIER, TITLE), tier("gold", 1, lift(null, null, false), "beacon"));
            assertThat(order(site, SearchFixture.SITE, byKind)).containsExactly("b", "a");
            site.item(SearchFixture.POSTS, "c", Map.of("title", "C", "kind", "beacon"))
                    .indexed();
            assertThat(order(site, SearchFixture.SITE, byKind)).containsExactly("b", "c", "a");
            Tier byYes = new Tier(
                    "gold",
                    "Gold",
                    1,
                    List.of(new Tier.Holders(
                            SearchFixture.POSTS.key(), ReachRule.category(new FieldKey("open"), "yes"))),
                    lift(null, null, false),
                    null,
                    TierLooks.plain());
            assertThat(order(site, SearchFixture.SITE, design(List.of(TIER, TITLE), byYes)))
                    .containsExactly("b", "a", "c");
        }
    }

    /** Fair over a month: no item of a tier of 12 gets more than 1.25 times the mean of first places in 30 days. */
    @Test
    void turnsAreFairOverAMonthAndTheSameForEverybodyOnADay(@TempDir Path folder) throws Exception {
        String[] all = IntStream.range(0, 20).mapToObj(n -> "i" + (10 + n)).toArray(String[]::new);
        try (SearchFixture site = new SearchFixture(folder)) {
            for (String id : all) {
                site.post(id, "title", "Boat", "body", Integer.parseInt(id.substring(1)) % 2 == 0 ? "even" : "odd");
            }
            site.indexed();
            SiteContent content = with(Arrays.stream(all)
                    .limit(12)
                    .map(id -> held(id, "gold", null))
                    .toArray(Placement[]::new));
            SearchDesign design = design(List.of(TIER, PLACE, TITLE), tier("gold", 1, lift(3, 1, true)));
            for (String text : List.of("", "boat", "even")) {
                Map<String, Integer> firsts = new HashMap<>();
                for (int day = 0; day < 30; day++) {
                    LocalDate on = TODAY.plusDays(day);
                    List<Hit> found = hits(site, content, design, text, on);
                    firsts.merge(found.getFirst().ref().id().value(), 1, Integer::sum);
                    assertThat(found.stream().filter(hit -> hit.standing().lifted()))
                            .hasSize(3)
                            .allMatch(hit -> hit.standing().takesTurns());
                    assertThat(ids(hits(site, content, design, text, on))).isEqualTo(ids(found));
                    assertThat(site.engine()
                                    .live(CompiledSearch.of(content, design), asked(text, 1, on))
                                    .groups()
                                    .getFirst()
                                    .hits()
                                    .getFirst()
                                    .ref())
                            .as("live results begin with the same")
                            .isEqualTo(found.getFirst().ref());
                }
                int holders = text.equals("even") ? 6 : 12;
                assertThat(firsts).as("first places for \"%s\"", text).hasSize(holders);
                assertThat(firsts.values()).allMatch(count -> count <= 1.25 * 30 / holders);
            }
            SiteContent placed = with(held("i11", "gold", 1), held("i10", "gold", null), held("i12", "gold", null));
            SearchDesign placeFirst = design(List.of(PLACE, TIER, TITLE), tier("gold", 1, lift(3, 1, true)));
            assertThat(hits(site, content, placeFirst, "", TODAY).getFirst().standing())
                    .as("by a place before the tier nobody takes turns")
                    .extracting(Standing::lifted, Standing::takesTurns)
                    .containsExactly(true, false);
            assertThat(IntStream.range(0, 4).mapToObj(day -> ids(hits(site, placed, design, "", TODAY.plusDays(day)))
                            .getFirst()))
                    .as("a place of its own is no turn")
                    .containsOnly("i11");
        }
    }

    @Test
    void pinsPutAndTakeOutForNearWaysToWriteAQuery(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)
                .post("a", "title", "Ferry times")
                .post("b", "title", "The ferry times of May")
                .post("c", "title", "Ferry times and times")
                .post("d", "title", "Cheese")
                .post("draft", "title", "Draft")
                .indexed()) {
            Pin pin = new Pin(
                    List.of("ferry times"),
                    List.of(new Pin.Put(ref("d"), 1), new Pin.Put(ref("gone"), 2), new Pin.Put(ref("b"), 50)),
                    List.of(ref("a")),
                    TODAY);
            SearchDesign design = design(List.of(TITLE)).withPins(List.of(pin));
            assertThat(Stream.of("ferry times", "FERRY, times!", "Ferry time", "ferrry times")
                            .map(text -> ids(hits(site, SearchFixture.SITE, design, text, TODAY))))
                    .allMatch(found -> found.equals(List.of("d", "c", "b")));
            List<Hit> hits = hits(site, SearchFixture.SITE, design, "ferry times", TODAY);
            assertThat(hits).extracting(hit -> hit.standing().pinnedAt()).containsExactly(1, null, 50);
            assertThat(ids(hits(site, SearchFixture.SITE, design, "times ferry", TODAY)))
                    .as("another order of words is another query")
                    .containsExactly("a", "c", "b");
            assertThat(ids(hits(site, SearchFixture.SITE, design, "ferry times", TODAY.plusDays(1))))
                    .as("it ended")
                    .doesNotContain("d")
                    .contains("a");
            assertThat(ids(hits(
                            site,
                            SearchFixture.SITE,
                            design.withReach(SearchFixture.searching("notes").reach()),
                            "ferry times",
                            TODAY)))
                    .as("nothing out of reach is put anywhere")
                    .isEmpty();
            Explanation out = site.engine()
                    .explain(CompiledSearch.of(SearchFixture.SITE, design), asked("ferry times", 1, TODAY), ref("a"));
            assertThat(out.reasons()).extracting(Explanation.Reason::kind).containsExactly(Explanation.Kind.TAKEN_OUT);
            Explanation.Remedy remedy = out.reasons().getFirst().remedies().getFirst();
            assertThat(remedy.place()).isNotNull();
            assertThat(remedy.after().pins().getFirst().put()).hasSize(3);
            Explanation put = site.engine()
                    .explain(CompiledSearch.of(SearchFixture.SITE, design), asked("ferry times", 1, TODAY), ref("d"));
            assertThat(put.place()).isEqualTo(1);
            assertThat(put.standing()).extracting(Standing::pinnedAt).isEqualTo(1);
            assertThat(site.engine()
                            .live(CompiledSearch.of(SearchFixture.SITE, design), asked("ferry times", 1, TODAY))
                            .groups()
                            .getFirst()
                            .hits())
                    .extracting(hit -> hit.ref().id().value())
                    .containsExactly("d", "c", "b");
        }
    }

    @Test
    void anOrderThatAVisitorChoseHasNoPinnedPlaces(@TempDir Path folder) throws Exception {
        try (SearchFixture site = letters(folder, "a", "b", "c")) {
            Pin pin = new Pin(List.of("boat"), List.of(new Pin.Put(ref("c"), 1)), List.of(ref("b")), null);
            SearchDesign design = SearchFixture.design()
                    .withOrder(new ResultOrder(
                            List.of(TITLE),
                            List.of(),
                            List.of(new ResultOrder.Choice("name", "By name", List.of(TITLE))),
                            ""))
                    .withPins(List.of(pin));
            assertThat(ids(hits(site, SearchFixture.SITE, design, "boat", TODAY)))
                    .containsExactly("c", "a");
            assertThat(site.engine()
                            .answer(
                                    CompiledSearch.of(SearchFixture.SITE, design),
                                    new VisitorQuery("boat", 1, Map.of(), Whereabouts.UNKNOWN, "name", TODAY))
                            .hits())
                    .extracting(hit -> hit.ref().id().value())
                    .containsExactly("a", "c");
        }
    }

    @Test
    void eachResultSaysWhatSetsItApart(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)
                .post("a", "title", "Boat", "price", "5 EUR")
                .post("b", "title", "Boat", "price", "9 EUR")
                .post("c", "title", "Cat", "price", "9 EUR")
                .post("d", "title", "Boat", "price", "1 EUR")
                .indexed()) {
            List<Hit> hits = hits(
                    site,
                    with(held("d", "gold", 2)),
                    design(List.of(TIER, PLACE, TITLE, PRICE), tier("gold", 1, lift(null, null, false))),
                    "",
                    TODAY);
            assertThat(ids(hits)).containsExactly("d", "a", "b", "c");
            assertThat(hits)
                    .extracting(hit -> String.valueOf(hit.standing().by()))
                    .containsExactly("tier", "price, least first", "price, least first", "title");
            assertThat(hits.getFirst().standing()).isEqualTo(new Standing(null, "gold", "gold", true, 2, false, TIER));
        }
    }

    // Everything together, against a plain sort

    private record Plain(String id, String title, int price, String kind) {}

    /** The order as product.md has it, by lists that are walked through. */
    private record PlainOrder(
            List<Plain> found,
            List<OrderKey> keys,
            List<Tier> tiersByRank,
            List<Placement> placements,
            LocalDate day,
            Map<String, Integer> pins) {
        private @Nullable Tier tier(Plain item) {
            for (Tier tier : tiersByRank) {
                boolean byKind = tier.holders().stream()
                        .anyMatch(holders -> item.kind().equals(holders.rule().value()));
                if (byKind || placement(item, tier) != null) {
                    return tier;
                }
            }
            return null;
        }

        private @Nullable Placement placement(Plain item, Tier tier) {
            return placements.stream()
                    .filter(one -> one.item().id().value().equals(item.id())
                            && one.tier().equals(tier.key())
                            && !(one.from() != null && one.from().isAfter(day))
                            && !(one.until() != null && one.until().isBefore(day)))
                    .findFirst()
                    .orElse(null);
        }

        private int place(Plain item, Tier tier) {
            Placement placement = placement(item, tier);
            return placement == null || placement.place() == null ? Integer.MAX_VALUE : placement.place();
        }

        /**
         * Whose turn it is among those of one place: they stand in a row by their ids, and every day the next one is
         * the first.
         */
        private long turn(Plain item, Tier tier) {
            List<String> row = found.stream()
                    .filter(other -> tier.equals(tier(other)) && place(other, tier) == place(item, tier))
                    .map(Plain::id)
                    .sorted()
                    .toList();
            List<String> today = new ArrayList<>(row);
            java.util.Collections.rotate(today, -(int) Math.floorMod(day.toEpochDay(), (long) row.size()));
            return tier.lift() != null && tier.lift().turns() == Tier.Turns.BY_DAY ? today.indexOf(item.id()) : 0;
        }

        private Comparator<Plain> by(Set<Plain> lifted) {
            Comparator<Plain> by = (a, b) -> 0;
            for (OrderKey key : keys) {
                if (key.by() == By.PLACE_IN_TIER
                        && !keys.subList(0, keys.indexOf(key)).contains(TIER)) {
                    continue;
                }
                by = by.thenComparing(
                        switch (key.by()) {
                            case TIER ->
                                Comparator.comparingInt(
                                        (Plain item) -> lifted.contains(item) ? tiersByRank.indexOf(tier(item)) : 99);
                            case PLACE_IN_TIER ->
                                (a, b) -> {
                                    Tier tier = tier(a);
                                    if (tier == null
                                            || !tier.equals(tier(b))
                                            || !lifted.contains(a)
                                            || !lifted.contains(b)) {
                                        return 0;
                                    }
                                    return place(a, tier) != place(b, tier)
                                            ? Integer.compare(place(a, tier), place(b, tier))
                                            : Long.compare(turn(a, tier), turn(b, tier));
                                };
                            case NUMBER -> Comparator.comparingInt(Plain::price);
                            default -> Comparator.comparing(Plain::title);
                        });
            }
            return by.thenComparing(item -> "posts/" + item.id());
        }

        List<String> ids(boolean live) {
            Set<Plain> lifted = new HashSet<>();
            if (keys.contains(TIER)) {
                for (Tier tier : tiersByRank) {
                    List<Plain> of = found.stream()
                            .filter(item -> tier.equals(tier(item)))
                            .toList();
                    if (tier.lift() != null) {
                        Integer most = live && tier.lift().mostLive() != null
                                ? tier.lift().mostLive()
                                : tier.lift().most();
                        of.stream()
                                .sorted(by(Set.copyOf(of)))
                                .limit(most == null ? of.size() : most)
                                .forEach(lifted::add);
                    }
                }
            }
            List<String> row = new ArrayList<>(found.stream()
                    .filter(item -> !pins.containsKey(item.id()))
                    .sorted(by(lifted))
                    .map(Plain::id)
                    .toList());
            found.stream()
                    .filter(item -> pins.containsKey(item.id()))
                    .sorted(Comparator.comparing(item -> pins.get(item.id())))
                    .forEach(item -> row.add(Math.min(pins.get(item.id()) - 1, row.size()), item.id()));
            return row;
        }
    }

    @RepeatedTest(10)
    void pagesFollowAPlainSortWithPlacementsAndPins(RepetitionInfo run, @TempDir Path folder) throws Exception {
        Random random = new Random(run.getCurrentRepetition());
        List<Plain> items = new ArrayList<>();
        try (SearchFixture site = new SearchFixture(folder)) {
            for (int i = 0; i < 50; i++) {
                Plain plain = new Plain(
                        "i" + i,
                        List.of("Alpha boat", "Beta boat", "Gamma boat").get(random.nextInt(3)),
                        random.nextInt(4),
                        List.of("plain", "gold", "mark").get(Math.max(0, random.nextInt(6) - 3)));
                items.add(plain);
                site.item(
                        SearchFixture.POSTS,
                        plain.id(),
                        Map.of("title", plain.title(), "price", plain.price(), "kind", plain.kind()));
                if (i % 20 == 19) {
                    site.indexed();
                }
            }
            site.indexed();
            for (int query = 0; query < 10; query++) {
                List<Placement> placements = new ArrayList<>();
                for (int n = random.nextInt(20); n > 0; n--) {
                    LocalDate from = random.nextInt(3) == 0 ? TODAY.plusDays(random.nextInt(4) - 2) : null;
                    Placement one = new Placement(
                            ref("i" + random.nextInt(50)),
                            List.of("gold", "silver", "mark").get(random.nextInt(3)),
                            random.nextInt(2) == 0 ? null : 1 + random.nextInt(3),
                            from,
                            random.nextInt(3) == 0 ? TODAY.plusDays(random.nextInt(3) + 1) : null);
                    if (placements.stream()
                            .noneMatch(other -> other.item().equals(one.item())
                                    && other.tier().equals(one.tier()))) {
                        placements.add(one);
                    }
                }
                Tier[] tiers = {
                    tier(
                            "silver",
                            random.nextInt(3) + 1,
                            lift(
                                    random.nextBoolean() ? null : 1 + random.nextInt(4),
                                    random.nextInt(3),
                                    random.nextBoolean())),
                    tier(
                            "gold",
                            random.nextInt(3) + 1,
                            lift(1 + random.nextInt(4), null, random.nextBoolean()),
                            "gold"),
                    tier("mark", random.nextBoolean() ? null : 1, null, "mark")
                };
                List<OrderKey> keys = new ArrayList<>(List.of(TIER, PLACE, TITLE, PRICE));
                java.util.Collections.shuffle(keys, random);
                keys.subList(random.nextInt(3) + 2, 4).clear();
                Map<String, Integer> pins = random.ints(random.nextInt(4), 1, 60)
                        .distinct()
                        .filter(at -> at <= 50)
                        .boxed()
                        .collect(Collectors.toMap(at -> "i" + at % 50, at -> at, (a, b) -> a));
                SearchDesign design = design(keys, tiers)
                        .withPins(
                                pins.isEmpty()
                                        ? List.of()
                                        : List.of(new Pin(
                                                List.of("boat"),
                                                pins.entrySet().stream()
                                                        .map(pin -> new Pin.Put(ref(pin.getKey()), pin.getValue()))
                                                        .toList(),
                                                List.of(),
                                                null)));
                SiteContent content = with(placements.toArray(Placement[]::new));
                LocalDate day = TODAY.plusDays(random.nextInt(3));
                List<Plain> found = items;
                List<String> wanted =
                        new PlainOrder(found, keys, design.tiersByRank(), placements, day, pins).ids(false);
                assertThat(ids(hits(site, content, design, "boat", day)))
                        .as("%s, pins %s", keys, pins)
                        .isEqualTo(wanted);
                for (String id : List.of(wanted.getFirst(), wanted.get(random.nextInt(50)), wanted.getLast())) {
                    assertThat(site.engine()
                                    .explain(CompiledSearch.of(content, design), asked("boat", 1, day), ref(id))
                                    .place())
                            .as("Why? of %s", id)
                            .isEqualTo(wanted.indexOf(id) + 1);
                }
                List<String> live = new PlainOrder(found, keys, design.tiersByRank(), placements, day, pins).ids(true);
                assertThat(ids(site.engine()
                                .live(CompiledSearch.of(content, design), asked("boat", 1, day))
                                .groups()
                                .getFirst()
                                .hits()))
                        .as("live, %s", keys)
                        .isEqualTo(live.subList(0, 3));
                List<String> unpinned =
                        new PlainOrder(found, keys, design.tiersByRank(), placements, day, Map.of()).ids(false);
                assertThat(ids(hits(site, content, design, "", day)))
                        .as("the starting list, %s", keys)
                        .isEqualTo(unpinned);
                Ranking ranking = site.engine()
                        .ranking(CompiledSearch.of(content, design), "", 7, Set.of(ref(unpinned.get(30))), false);
                assertThat(ranking.total()).isEqualTo(50);
            }
        }
    }

    /** Trials and what is reckoned beforehand go by the clock that the engine was given, not by the machine's. */
    @Test
    void whereNoVisitorAsksTheDayIsTheGivenClocks(@TempDir Path folder) throws Exception {
        try (SearchFixture site = letters(folder, "a", "b")) {
            LocalDate held = LocalDate.of(2020, 2, 4);
            SiteContent inAuckland = new SiteContent(
                    SearchFixture.SITE.collections(),
                    List.of(new Placement(ref("b"), "gold", null, held, held)),
                    ZoneId.of("Pacific/Auckland"),
                    List.of());
            SearchDesign featured = design(List.of(TIER, TITLE), tier("gold", 1, lift(null, null, false)));
            for (String time : List.of("2020-02-03T12:00:00Z", "2020-02-05T12:00:00Z")) {
                SearchEngine then = new SearchEngine(
                        site.index(), Gazetteer.empty(), Clock.fixed(Instant.parse(time), ZoneOffset.UTC));
                boolean holds = time.startsWith("2020-02-03");
                assertThat(then.today(inAuckland).equals(held)).isEqualTo(holds);
                assertThat(then.ranking(CompiledSearch.of(inAuckland, featured), "boat", 2, Set.of(), false)
                                .first())
                        .as(time)
                        .containsExactly(ref(holds ? "b" : "a"), ref(holds ? "a" : "b"));
            }
        }
    }
}
