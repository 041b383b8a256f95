package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.DesignChecks;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.OrderKey;
import tidylantern.core.design.OrderKey.By;
import tidylantern.core.design.ResultOrder;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.words.VisitorQuery;
import tidylantern.core.query.words.Whereabouts;

/** The order of results; product.md, 'Order'. */
class OrderingTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 5, 14);
    private static final OrderKey PRICE_UP = OrderKey.of(By.NUMBER, new FieldKey("price"));
    private static final OrderKey PRICE_DOWN = new OrderKey(By.NUMBER, new FieldKey("price"), true, null);
    private static final OrderKey NEXT = OrderKey.of(By.NEXT_DAY, new FieldKey("days"));

    private static SearchDesign design(List<OrderKey> keys) {
        return SearchFixture.design().withOrder(new ResultOrder(keys, keys, List.of(), ""));
    }

    private static List<String> order(
            SearchFixture site, SearchDesign design, String text, Whereabouts whereabouts, String chosen) {
        List<String> ids = new ArrayList<>();
        for (int page = 1, pages = 1; page <= pages; page++) {
            Answer answer = site.engine()
                    .answer(
                            CompiledSearch.of(SearchFixture.SITE, design),
                            new VisitorQuery(text, page, Map.of(), whereabouts, chosen, TODAY));
            pages = answer.pages();
            answer.hits().forEach(hit -> ids.add(hit.ref().id().value()));
        }
        return ids;
    }

    @Test
    void keysFollowOneAnotherAndWhatSaysNothingComesLast(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)
                .post("a", "price", "5 EUR", "published", "2026-01-01")
                .post("b", "price", "9 EUR", "published", "2026-02-01")
                .post("c", "price", "5 EUR", "published", "2026-03-01")
                .post("d", "published", "2026-04-01")
                .indexed()) {
            assertThat(order(site, design(List.of(PRICE_UP, OrderKey.of(By.NEWEST))), "", Whereabouts.UNKNOWN, ""))
                    .containsExactly("c", "a", "b", "d");
            assertThat(order(site, design(List.of(PRICE_DOWN, OrderKey.of(By.NEWEST))), "", Whereabouts.UNKNOWN, ""))
                    .containsExactly("b", "c", "a", "d");
            assertThat(order(site, SearchFixture.design(), "", Whereabouts.UNKNOWN, ""))
                    .as("the usual starting list")
                    .containsExactly("d", "c", "b", "a");
            assertThat(order(site, design(List.of(OrderKey.of(By.RELEVANCE))), "", Whereabouts.UNKNOWN, ""))
                    .as("without words all are equal")
                    .containsExactly("a", "b", "c", "d");
        }
    }

    @Test
    void aListIsSaidToBeTheNewestFirstOnlyWhereSomethingHasADay(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)
                .post("a", "title", "Dated quay", "published", "2026-01-01")
                .post("b", "title", "Quay")
                .indexed()) {
            assertThat(starting(site, SearchFixture.design(), "").newestFirst()).isTrue();
            assertThat(starting(site, design(List.of(OrderKey.of(By.TITLE))), "")
                            .newestFirst())
                    .as("another order")
                    .isFalse();
            assertThat(starting(site, SearchFixture.design(), "quay").newestFirst())
                    .as("for words")
                    .isFalse();
        }
        try (SearchFixture site = new SearchFixture(folder.resolve("undated"))
                .post("a", "title", "Quay")
                .indexed()) {
            assertThat(starting(site, SearchFixture.design(), "").newestFirst())
                    .as("nothing has a day")
                    .isFalse();
        }
    }

    private static Answer starting(SearchFixture site, SearchDesign design, String text) {
        return site.engine()
                .answer(
                        CompiledSearch.of(SearchFixture.SITE, design),
                        new VisitorQuery(text, 1, Map.of(), Whereabouts.UNKNOWN, "", TODAY));
    }

    @Test
    void severalDaysStandByTheNextOne(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)
                .item(SearchFixture.POSTS, "past", Map.of("days", List.of("2026-05-13")))
                .item(SearchFixture.POSTS, "soon", Map.of("days", List.of("2026-01-01", "2026-06-01")))
                .item(SearchFixture.POSTS, "today", Map.of("days", List.of("2026-05-14", "2027-01-01")))
                .post("never", "title", "Never")
                .indexed()) {
            assertThat(order(site, design(List.of(NEXT)), "", Whereabouts.UNKNOWN, ""))
                    .containsExactly("today", "soon", "never", "past");
        }
    }

    @Test
    void theNearestStandFirstAndWithoutAPlaceTheOtherKeyHolds(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)
                .item(
                        SearchFixture.POSTS,
                        "far",
                        Map.of("where", Map.of("lat", 51, "lon", -5, "name", "Far"), "published", "2026-03-01"))
                .item(
                        SearchFixture.POSTS,
                        "near",
                        Map.of("where", Map.of("lat", 50.001, "lon", -5, "name", "Near"), "published", "2026-01-01"))
                .post("nowhere", "published", "2026-02-01")
                .indexed()) {
            SearchDesign design = design(List.of(new OrderKey(By.DISTANCE, null, false, OrderKey.of(By.NEWEST))));
            assertThat(order(site, design, "", Whereabouts.of("50,-5", "", ""), ""))
                    .containsExactly("near", "far", "nowhere");
            assertThat(order(site, design, "", Whereabouts.of("", "far", ""), ""))
                    .containsExactly("far", "near", "nowhere");
            assertThat(order(site, design, "", Whereabouts.UNKNOWN, "")).containsExactly("far", "nowhere", "near");
            Answer answer = site.engine()
                    .answer(
                            CompiledSearch.of(SearchFixture.SITE, design),
                            new VisitorQuery("", 1, Map.of(), Whereabouts.of("50,-5", "", ""), "", TODAY));
            assertThat(answer.hits().getFirst().metres()).isBetween(111.1, 111.3);
            assertThat(answer.hits().getLast().metres()).isNull();
        }
    }

    @Test
    void visitorsChooseAmongTheOwnersOrders(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)
                .post("a", "title", "Oar", "price", "9 EUR")
                .post("b", "title", "Oar oar", "body", "oar", "price", "5 EUR")
                .indexed()) {
            SearchDesign design = SearchFixture.design()
                    .withOrder(new ResultOrder(
                            List.of(),
                            List.of(),
                            List.of(new ResultOrder.Choice("cheap", "Price, low to high", List.of(PRICE_UP))),
                            ""));
            List<String> relevance = order(site, design, "oar", Whereabouts.UNKNOWN, "");
            assertThat(order(site, design, "oar", Whereabouts.UNKNOWN, "cheap")).containsExactly("b", "a");
            assertThat(order(site, design, "oar", Whereabouts.UNKNOWN, "no-such"))
                    .as("another key stands for none")
                    .isEqualTo(relevance);
            assertThat(site.engine()
                            .answer(
                                    CompiledSearch.of(SearchFixture.SITE, design),
                                    new VisitorQuery("oar", 1, Map.of(), Whereabouts.UNKNOWN, "cheap", TODAY))
                            .hits())
                    .as("what the words gave is known all the same")
                    .allMatch(hit -> hit.score() > 0);
        }
    }

    /**
     * Relative order only, as in CLDR's root and tailorings; numbers as numbers and blanks before letters are common
     * practice for lists that people read.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "en | Seafood; Sea kayak; Pier 10; Pier 9; Éclair; Eclair; Zoo; pier 2 | Eclair; Éclair; pier 2; Pier 9; Pier 10; Sea kayak; Seafood; Zoo",
                "sv | Zon; Ö; Ä; Å | Zon; Å; Ä; Ö",
                "de | Zopf; Öl; Ofen; Azur; Äpfel | Äpfel; Azur; Ofen; Öl; Zopf"
            })
    void titlesStandByTheLanguage(String language, String given, String expected, @TempDir Path folder)
            throws Exception {
        Collection posts = SearchFixture.collection("posts", language);
        try (SearchFixture site = new SearchFixture(folder)) {
            for (String title : given.split("; ")) {
                site.item(posts, "i" + title.hashCode(), "title", title);
            }
            site.indexed();
            SearchDesign design = design(List.of(OrderKey.of(By.TITLE)));
            Answer answer = site.engine()
                    .answer(CompiledSearch.of(new SiteContent(List.of(posts)), design), SearchFixture.asked("", 1));
            assertThat(answer.hits()).extracting(hit -> hit.title().plain()).containsExactly(expected.split("; "));
            Answer down = site.engine()
                    .answer(
                            CompiledSearch.of(
                                    new SiteContent(List.of(posts)),
                                    design(List.of(new OrderKey(By.TITLE, null, true, null)))),
                            SearchFixture.asked("", 1));
            assertThat(down.hits().reversed())
                    .extracting(hit -> hit.title().plain())
                    .containsExactly(expected.split("; "));
        }
    }

    @Test
    void whatCannotOrderIsRefusedOrRemarkedOn() {
        assertThatThrownBy(() -> OrderKey.of(By.NUMBER))
                .isInstanceOf(DesignFault.class)
                .hasMessageContaining("whose numbers");
        assertThatThrownBy(() -> new OrderKey(By.NEWEST, null, true, null))
                .isInstanceOf(DesignFault.class)
                .hasMessageContaining("one direction");
        assertThatThrownBy(() -> new OrderKey(By.DISTANCE, null, false, OrderKey.of(By.DISTANCE)))
                .isInstanceOf(DesignFault.class)
                .hasMessageContaining("unknown too");
        assertThatThrownBy(() -> new ResultOrder.Choice("x", "", List.of(PRICE_UP)))
                .isInstanceOf(DesignFault.class)
                .hasMessageContaining("label");
        assertThatThrownBy(() -> new ResultOrder(
                        List.of(),
                        List.of(),
                        List.of(
                                new ResultOrder.Choice("x", "X", List.of(PRICE_UP)),
                                new ResultOrder.Choice("x", "Y", List.of(PRICE_UP))),
                        ""))
                .isInstanceOf(DesignFault.class)
                .hasMessageContaining("twice");
        assertThat(DesignChecks.of(
                        design(List.of(
                                OrderKey.of(By.NUMBER, new FieldKey("kind")),
                                OrderKey.of(By.NEXT_DAY, new FieldKey("gone")))),
                        SearchFixture.SITE))
                .extracting(DesignChecks.Remark::text)
                .anyMatch(text -> text.contains("\"kind\" is of kind category"))
                .anyMatch(text -> text.contains("No collection has the field \"gone\""));
    }

    // Everything together, against a plain sort

    private record Plain(
            String id, String title, @Nullable Integer price, List<LocalDate> days, double @Nullable [] where) {}

    private static Comparator<Plain> plain(OrderKey key) {
        return switch (key.by()) {
            case NUMBER ->
                Comparator.comparingDouble(item ->
                        item.price() == null ? Double.POSITIVE_INFINITY : key.down() ? -item.price() : item.price());
            case NEXT_DAY ->
                Comparator.comparing(item -> item.days().stream()
                        .filter(day -> !day.isBefore(TODAY))
                        .min(Comparator.naturalOrder())
                        .orElse(LocalDate.MAX));
            case NEWEST ->
                Comparator.comparing((Plain item) -> item.days().stream()
                                .max(Comparator.naturalOrder())
                                .orElse(LocalDate.MIN))
                        .reversed();
            case DISTANCE ->
                Comparator.comparingDouble(
                        item -> item.where() == null ? Double.POSITIVE_INFINITY : Math.hypot(item.where()[0] - 50, 0));
            case TITLE ->
                key.down() ? Comparator.comparing(Plain::title).reversed() : Comparator.comparing(Plain::title);
            case RELEVANCE, TIER, PLACE_IN_TIER -> (a, b) -> 0;
        };
    }

    @RepeatedTest(8)
    void pagesFollowAPlainSortAndNeverRepeatOrLoseAnItem(RepetitionInfo run, @TempDir Path folder) throws Exception {
        Random random = new Random(run.getCurrentRepetition());
        List<Plain> items = new ArrayList<>();
        try (SearchFixture site = new SearchFixture(folder)) {
            for (int i = 0; i < 60; i++) {
                Plain plain = new Plain(
                        "i" + i,
                        List.of("alpha", "beta", "gamma").get(random.nextInt(3)),
                        random.nextInt(4) == 0 ? null : random.nextInt(4),
                        random.nextInt(4) == 0
                                ? List.of()
                                : IntStream.rangeClosed(0, random.nextInt(2))
                                        .mapToObj(n -> TODAY.plusDays(random.nextInt(8) - 4))
                                        .distinct()
                                        .toList(),
                        random.nextInt(4) == 0 ? null : new double[] {50 + random.nextInt(5) / 10.0, -5});
                items.add(plain);
                Map<String, Object> values = new HashMap<>(Map.of("title", plain.title()));
                if (plain.price() != null) {
                    values.put("price", plain.price());
                }
                if (!plain.days().isEmpty()) {
                    values.put(
                            "days",
                            plain.days().stream().map(LocalDate::toString).toList());
                }
                if (plain.where() != null) {
                    values.put("where", Arrays.toString(plain.where()).replaceAll("[\\[\\] ]", ""));
                }
                site.item(SearchFixture.POSTS, plain.id(), values);
                if (i % 25 == 24) {
                    site.indexed();
                }
            }
            site.indexed();
            List<OrderKey> all = List.of(
                    PRICE_UP,
                    PRICE_DOWN,
                    NEXT,
                    OrderKey.of(By.NEWEST, new FieldKey("days")),
                    OrderKey.of(By.DISTANCE),
                    OrderKey.of(By.TITLE),
                    new OrderKey(By.TITLE, null, true, null),
                    OrderKey.of(By.RELEVANCE));
            for (int query = 0; query < 12; query++) {
                List<OrderKey> keys = random.ints(1 + random.nextInt(3), 0, all.size())
                        .mapToObj(all::get)
                        .toList();
                Comparator<Plain> expected = keys.stream()
                        .map(OrderingTest::plain)
                        .reduce((a, b) -> 0, Comparator::thenComparing)
                        .thenComparing(item -> "posts/" + item.id());
                Whereabouts here = Whereabouts.of("50,-5", "", "");
                SearchDesign design = design(keys);
                List<String> wanted =
                        items.stream().sorted(expected).map(Plain::id).toList();
                assertThat(order(site, design, "", here, "")).as("%s", keys).isEqualTo(wanted);
                VisitorQuery asked = new VisitorQuery("", 1, Map.of(), here, "", TODAY);
                ItemRef one = new ItemRef(
                        new CollectionKey("posts"),
                        new tidylantern.core.content.ItemId(wanted.get(random.nextInt(60))));
                assertThat(site.engine()
                                .explain(CompiledSearch.of(SearchFixture.SITE, design), asked, one)
                                .place())
                        .as("%s of %s", one, keys)
                        .isEqualTo(wanted.indexOf(one.id().value()) + 1);
                List<String> live = site
                        .engine()
                        .live(CompiledSearch.of(SearchFixture.SITE, design), asked)
                        .groups()
                        .getFirst()
                        .hits()
                        .stream()
                        .map(hit -> hit.ref().id().value())
                        .toList();
                assertThat(live).as("live results, %s", keys).isEqualTo(wanted.subList(0, live.size()));
                Set<String> again = new HashSet<>(order(site, design, "alpha", here, ""));
                assertThat(again)
                        .isEqualTo(items.stream()
                                .filter(item -> item.title().equals("alpha"))
                                .map(Plain::id)
                                .collect(java.util.stream.Collectors.toSet()));
            }
        }
    }
}
