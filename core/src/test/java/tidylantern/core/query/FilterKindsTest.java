package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.filter.CategoryControl;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.Control;
import tidylantern.core.design.filter.DayControl;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterBuilder;
import tidylantern.core.design.filter.JointSource;
import tidylantern.core.design.filter.NumberControl;
import tidylantern.core.design.filter.NumberSource;
import tidylantern.core.design.filter.OfferedValues;
import tidylantern.core.design.filter.OnlyControl;
import tidylantern.core.design.filter.Several;
import tidylantern.core.design.filter.ValueOrder;
import tidylantern.core.design.filter.WithoutResults;
import tidylantern.core.design.filter.YesNoControl;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.core.query.words.VisitorQuery;
import tidylantern.core.query.words.Whereabouts;

/**
 * Every kind of filter with every control that fits it, together, in every mode: totals, counts, ends and bars are held
 * against a plain loop over the items, without Lucene and without the code that reads addresses.
 */
class FilterKindsTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 5, 14);
    private static final Map<String, FieldKind> FIELDS = Map.of(
            "tags",
            FieldKind.CATEGORY,
            "kind",
            FieldKind.CATEGORY,
            "price",
            FieldKind.MONEY,
            "size",
            FieldKind.NUMBER,
            "open",
            FieldKind.YES_NO,
            "days",
            FieldKind.DATE,
            "summary",
            FieldKind.TEXT,
            "code",
            FieldKind.CODE,
            "where",
            FieldKind.PLACE);
    private static final Whereabouts WHEREABOUTS = Whereabouts.of("50.01,-5.02", "", "");
    private static final List<String> WORDS = List.of("oar", "sail", "rope");

    private static Answer answer(SearchFixture site, List<Filter> filters, String text, Map<String, List<String>> set) {
        return site.engine()
                .answer(
                        CompiledSearch.of(
                                SearchFixture.SITE, SearchFixture.design().withFilters(filters)),
                        new VisitorQuery(text, 1, set, WHEREABOUTS, "", TODAY));
    }

    private static Filter filter(String field, Control control) {
        return FilterBuilder.like(FilterBuilder.usual(
                        field, field, Objects.requireNonNull(SearchFixture.SITE.kind(new FieldKey(field)))))
                .handledWith(control)
                .made();
    }

    private static SearchFixture prices(Path folder) {
        SearchFixture site = new SearchFixture(folder);
        int number = 0;
        for (int price : new int[] {5, 10, 10, 40, 95}) {
            site.post("p" + number++, "price", price + " EUR");
        }
        return site.post("none", "title", "Without").indexed();
    }

    @Test
    void boundsAreInclusiveAndWhatHasNoValueDropsOut(@TempDir Path folder) throws Exception {
        try (SearchFixture site = prices(folder)) {
            List<Filter> range = List.of(filter("price", NumberControl.RANGE));
            FilterAnswer.Bounds bounds = bounds(answer(site, range, "", Map.of()), 0);
            assertThat(List.of(
                            String.valueOf(bounds.min()), String.valueOf(bounds.max()), bounds.count(), bounds.step()))
                    .containsExactly("5", "95", 5, 1.0);
            assertThat(bounds.bars())
                    .as("5 wide, from 5: 5, 10 twice, 40, 95")
                    .hasSize(19)
                    .startsWith(1, 2)
                    .endsWith(1);
            Answer set = answer(site, range, "", Map.of("price", List.of("10..40")));
            assertThat(set.total()).isEqualTo(3);
            assertThat(bounds(set, 0))
                    .extracting(FilterAnswer.Bounds::from, FilterAnswer.Bounds::to, FilterAnswer.Bounds::count)
                    .as("own bounds are left out of the bars")
                    .containsExactly("10", "40", 5);
            assertThat(answer(
                                    site,
                                    List.of(filter("price", NumberControl.AT_LEAST)),
                                    "",
                                    Map.of("price", List.of("40")))
                            .total())
                    .isEqualTo(2);
            assertThat(answer(site, List.of(filter("price", NumberControl.AT_MOST)), "", Map.of("price", List.of("10")))
                            .total())
                    .isEqualTo(3);
        }
    }

    @Test
    void stepsAreRoundUnlessTheOwnerSetsThem(@TempDir Path folder) throws Exception {
        try (SearchFixture site = prices(folder)) {
            Filter bands = filter("price", NumberControl.BANDS);
            assertThat(said(answer(site, List.of(bands), "", Map.of()), 0))
                    .isEqualTo("..20 3, 20..40 1, 40..60 1, 60..80 0, 80.. 1");
            assertThat(said(
                            answer(
                                    site,
                                    List.of(FilterBuilder.like(bands)
                                            .bands(10.0, 50.5)
                                            .made()),
                                    "",
                                    Map.of("price", List.of("..10", "50.5.."))),
                            0))
                    .isEqualTo("*..10 3, 10..50.5 3, *50.5.. 1");
            assertThat(said(
                            answer(
                                    site,
                                    List.of(FilterBuilder.like(bands)
                                            .bands(10.0)
                                            .made()),
                                    "",
                                    Map.of("price", List.of("7..40"))),
                            0))
                    .as("an older address")
                    .isEqualTo("..10 3, 10.. 4, *7..40 3");
            assertThatThrownBy(() -> FilterBuilder.like(bands).bands(10.0, 10.0))
                    .isInstanceOf(DesignFault.class)
                    .hasMessageContaining("must go up");
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "..",
                "40..10",
                "a..b",
                "1e3..",
                "NaN..",
                "..Infinity",
                "10...40",
                "--5",
                "0x10",
                "1,5..2",
                "<b>",
                "99999999999999999999.."
            })
    void whatIsNoIntervalIsPassedOver(String value, @TempDir Path folder) throws Exception {
        try (SearchFixture site = prices(folder)) {
            for (Control control : Control.fitting(FieldKind.MONEY)) {
                assertThat(answer(site, List.of(filter("price", control)), "", Map.of("price", List.of(value)))
                                .total())
                        .as(control.toString())
                        .isEqualTo(6);
                assertThat(answer(
                                        site,
                                        List.of(filter("price", control)),
                                        "",
                                        Map.of("price", List.of(value, "95..95")))
                                .total())
                        .as("the rest is kept, %s", control)
                        .isEqualTo(control == NumberControl.AT_MOST ? 5 : 1);
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        "2026-05-14..2026-05-14, 1",
        "2026-05.., 2",
        "..2026-05, 2",
        "2026-06..2026-07, 1",
        "today.., 2",
        "2026-02-30.., 3",
        "2026-13.., 3",
        "2026-05-20..2026-05-01, 3",
        "tomorrow.., 3",
        "2027.., 3"
    })
    void anItemWithSeveralDaysFitsIfOneDoes(String span, int found, @TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)
                .item(SearchFixture.POSTS, "tour", Map.of("days", List.of("2026-04-01", "2026-05-14")))
                .item(SearchFixture.POSTS, "trip", Map.of("days", List.of("2026-04-02", "2026-06-30")))
                .post("never", "title", "Never")
                .indexed()) {
            assertThat(answer(site, List.of(filter("days", DayControl.SPAN)), "", Map.of("days", List.of(span)))
                            .total())
                    .isEqualTo(found);
            assertThat(said(
                            answer(
                                    site,
                                    List.of(filter("days", DayControl.MONTHS)),
                                    "",
                                    Map.of("days", List.of("2026-05"))),
                            0))
                    .isEqualTo("2026-04 2, *2026-05 1, 2026-06 1");
            assertThat(said(
                            answer(
                                    site,
                                    List.of(filter("days", DayControl.FROM_TODAY)),
                                    "",
                                    Map.of("days", List.of("today.."))),
                            0))
                    .isEqualTo("*today.. 2");
        }
    }

    @Test
    void aBoxSearchesOneFieldAlone(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)
                .post("in", "summary", "A long oar", "title", "Boat")
                .post("out", "title", "Boat with oars", "code", "OAR-1")
                .indexed()) {
            assertThat(answer(
                                    site,
                                    List.of(filter("summary", OnlyControl.BOX)),
                                    "boat",
                                    Map.of("summary", List.of("oars")))
                            .total())
                    .isEqualTo(1);
            assertThat(answer(site, List.of(filter("code", OnlyControl.BOX)), "", Map.of("code", List.of("oar1")))
                            .total())
                    .isEqualTo(1);
            assertThat(answer(site, List.of(filter("summary", OnlyControl.BOX)), "", Map.of("summary", List.of("!")))
                            .total())
                    .as("nothing but punctuation")
                    .isEqualTo(2);
        }
    }

    private static FilterAnswer.Bounds bounds(Answer answer, int filter) {
        FilterAnswer.Bounds bounds = answer.filters().get(filter).bounds();
        assertThat(bounds).isNotNull();
        return bounds;
    }

    private static String said(Answer answer, int filter) {
        return String.join(
                ", ",
                answer.filters().get(filter).values().stream()
                        .map(value -> (value.selected() ? "*" : "") + SearchFixture.name(value) + " " + value.count())
                        .toList());
    }

    // Everything together, against a plain loop

    private record Plain(String title, Map<String, Object> values) {
        List<?> of(String field) {
            Object value = values.get(field);
            return value == null ? List.of() : value instanceof List<?> several ? several : List.of(value);
        }
    }

    /** Whether an item has one value of a filter, as its control means it. */
    private static boolean has(Plain item, Filter filter, String value) {
        String field = field(filter);
        if (filter.source() instanceof JointSource joint) {
            return joint.parts().stream()
                    .anyMatch(part -> value.startsWith(part.key() + ":")
                            && has(item, part, value.substring(part.key().length() + 1)));
        }
        return switch (FIELDS.get(field)) {
            case CATEGORY ->
                item.of(field).stream()
                        .anyMatch(path -> countsFor(path.toString(), filter).contains(value));
            case PLACE ->
                item.of(field).stream().anyMatch(where -> kilometres((String) where) <= Double.parseDouble(value));
            case YES_NO -> item.of(field).contains(value.equals("yes"));
            case MONEY, NUMBER ->
                item.of(field).stream()
                        .anyMatch(number -> number(value.split("\\.\\.", -1)[0], -1e9) <= (Integer) number
                                && (Integer) number <= number(value.split("\\.\\.", -1)[1], 1e9));
            case DATE ->
                item.of(field).stream()
                        .anyMatch(day -> value.equals("today..")
                                ? !((LocalDate) day).isBefore(TODAY)
                                : value.length() == 7
                                        ? YearMonth.from((LocalDate) day)
                                                .toString()
                                                .equals(value)
                                        : value.split("\\.\\.")[0].compareTo(day.toString()) <= 0
                                                && value.split("\\.\\.")[1].compareTo(day.toString()) >= 0);
            default ->
                item.of(field).stream()
                        .anyMatch(text ->
                                Arrays.asList(text.toString().split(" ")).contains(value));
        };
    }

    /**
     * All that an item of a path counts for: its levels, or the path alone, and in place of what is merged the other
     * value with those above it.
     */
    private static Set<String> countsFor(String path, Filter filter) {
        OfferedValues offered = ((CategorySource) filter.source()).offered();
        boolean alone = offered.picked() != null && !offered.withBelow();
        Set<String> values = new HashSet<>();
        for (String level : alone ? List.of(path) : levels(path)) {
            String merged = levels(level).reversed().stream()
                    .filter(offered.merged()::containsKey)
                    .findFirst()
                    .map(offered.merged()::get)
                    .orElse(null);
            values.addAll(merged == null ? List.of(level) : alone ? List.of(merged) : levels(merged));
        }
        return values;
    }

    private static List<String> levels(String path) {
        return IntStream.rangeClosed(1, path.length())
                .filter(end -> end == path.length() || path.charAt(end) == '/')
                .mapToObj(end -> path.substring(0, end))
                .toList();
    }

    /** From the visitor's place, by the haversine formula with R = 6371.0088 km. */
    private static double kilometres(String where) {
        double latitude = Math.toRadians(Double.parseDouble(where.split(",")[0]));
        double from = Math.toRadians(50.01);
        double half = Math.pow(Math.sin((latitude - from) / 2), 2)
                + Math.cos(latitude)
                        * Math.cos(from)
                        * Math.pow(Math.sin(Math.toRadians(Double.parseDouble(where.split(",")[1]) + 5.02) / 2), 2);
        return 2 * 6371.0088 * Math.asin(Math.sqrt(half));
    }

    private static double number(String end, double open) {
        return end.isEmpty() ? open : Double.parseDouble(end);
    }

    private static boolean passes(Plain item, Filter filter, List<String> set) {
        return set.isEmpty()
                || (keepsOwn(filter)
                        ? set.stream().allMatch(value -> has(item, filter, value))
                        : set.stream().anyMatch(value -> has(item, filter, value)));
    }

    private static boolean keepsOwn(Filter filter) {
        return switch (filter.source()) {
            case CategorySource one ->
                one.several() == Several.ALL && !one.control().onlyOne();
            case JointSource one ->
                one.several() == Several.ALL && !one.control().onlyOne();
            default -> false;
        };
    }

    private static Map<String, Object> item(Random random) {
        Map<String, Object> values = new HashMap<>();
        Predicate<Integer> chance = times -> random.nextInt(10) < times;
        if (chance.test(7)) {
            values.put(
                    "tags",
                    IntStream.rangeClosed(0, random.nextInt(3))
                            .mapToObj(n -> List.of("a", "a/b", "c", "c/b", "d").get(random.nextInt(5)))
                            .distinct()
                            .toList());
        }
        if (chance.test(8)) {
            values.put("kind", List.of("x", "y", "z").get(random.nextInt(3)));
        }
        if (chance.test(8)) {
            values.put("price", random.nextInt(100));
        }
        if (chance.test(8)) {
            values.put("size", random.nextInt(7) - 3);
        }
        if (chance.test(8)) {
            values.put("open", random.nextBoolean());
        }
        if (chance.test(8)) {
            values.put(
                    "days",
                    IntStream.rangeClosed(0, random.nextInt(3))
                            .mapToObj(n -> TODAY.plusDays(random.nextInt(120) - 60))
                            .distinct()
                            .sorted()
                            .toList());
        }
        if (chance.test(8)) {
            values.put(
                    "summary",
                    String.join(
                            " ",
                            IntStream.rangeClosed(0, random.nextInt(2))
                                    .mapToObj(n -> WORDS.get(random.nextInt(3)))
                                    .toList()));
        }
        if (chance.test(8)) {
            values.put("code", "QH" + random.nextInt(3));
        }
        if (chance.test(8)) {
            values.put("where", "50.%02d,-5.%02d".formatted(random.nextInt(40), random.nextInt(40)));
        }
        return values;
    }

    private static List<String> set(Random random, Filter filter) {
        if (random.nextInt(3) == 0) {
            return List.of();
        }
        if (filter.source() instanceof JointSource joint) {
            List<String> all = joint.parts().stream()
                    .flatMap(part -> set(random, part).stream().map(value -> part.key() + ":" + value))
                    .toList();
            return joint.control().onlyOne() ? all.stream().limit(1).toList() : all;
        }
        int low = random.nextInt(60) - 3;
        LocalDate day = TODAY.plusDays(random.nextInt(80) - 50);
        return switch (filter.source().control()) {
            case CategoryControl.LIST, CategoryControl.CHIPS, CategoryControl.PICTURES ->
                IntStream.rangeClosed(0, random.nextInt(2))
                        .mapToObj(n -> (field(filter).equals("kind")
                                        ? List.of("x", "y", "z")
                                        : List.of("a", "a/b", "c", "c/b", "d"))
                                .get(random.nextInt(3)))
                        .distinct()
                        .toList();
            case OnlyControl.DISTANCE -> List.of(List.of("3", "8", "17.5").get(random.nextInt(3)));
            case CategoryControl.ONE_OF, CategoryControl.MENU ->
                List.of(field(filter).equals("kind") ? "y" : "a");
            case NumberControl.RANGE -> List.of(random.nextBoolean() ? low + ".." + (low + 30) : low + "..");
            case NumberControl.BANDS -> List.of("..10", "10..20").subList(0, 1 + random.nextInt(2));
            case NumberControl.AT_LEAST -> List.of(low + "..");
            case NumberControl.AT_MOST -> List.of(".." + low);
            case DayControl.SPAN -> List.of(day + ".." + day.plusDays(20));
            case DayControl.MONTHS -> List.of("2026-05", "2026-06").subList(0, 1 + random.nextInt(2));
            case DayControl.FROM_TODAY -> List.of("today..");
            case YesNoControl.SWITCH -> List.of("yes");
            case YesNoControl.TICKS ->
                List.of(List.of("yes"), List.of("no"), List.of("yes", "no")).get(random.nextInt(3));
            case OnlyControl.BOX -> List.of(filter.key().equals("code") ? "QH1" : WORDS.get(random.nextInt(3)));
        };
    }

    @RepeatedTest(12)
    void everyKindWithEveryControlAgreesWithAPlainLoop(RepetitionInfo run, @TempDir Path folder) throws Exception {
        Random random = new Random(run.getCurrentRepetition());
        List<Plain> items = new ArrayList<>();
        try (SearchFixture site = new SearchFixture(folder)) {
            for (int i = 0; i < 60; i++) {
                Plain plain = new Plain(random.nextBoolean() ? "boat" : "cart", item(random));
                items.add(plain);
                Map<String, Object> properties = new HashMap<>(plain.values());
                properties.replaceAll((field, value) -> value instanceof Integer number
                        ? BigDecimal.valueOf(number)
                        : value instanceof List<?> several
                                ? several.stream().map(Object::toString).toList()
                                : value);
                properties.put("title", plain.title());
                site.item(SearchFixture.POSTS, "i" + i, properties);
                if (i % 25 == 24) {
                    site.indexed();
                }
            }
            site.indexed();
            for (int query = 0; query < 40; query++) {
                List<Filter> filters = new ArrayList<>();
                Map<String, List<String>> set = new HashMap<>();
                for (Map.Entry<String, FieldKind> field : FIELDS.entrySet()) {
                    if (random.nextInt(3) > 0) {
                        List<Control> fitting = Control.fitting(field.getValue());
                        filters.add(
                                varied(random, filter(field.getKey(), fitting.get(random.nextInt(fitting.size())))));
                    }
                }
                if (random.nextBoolean()) {
                    List<Control> fitting = Control.fitting(FieldKind.CATEGORY);
                    List<Filter> parts = new ArrayList<>(
                            List.of(refined(random, part("tags")), refined(random, part("kind")), part("open")));
                    parts.remove(random.nextInt(3));
                    Filter joint = FilterBuilder.joint(
                            "joint", "Joint", random.nextBoolean(), false, parts.toArray(Filter[]::new));
                    filters.add(FilterBuilder.like(joint)
                            .handledWith(fitting.get(random.nextInt(fitting.size())))
                            .ticked(Several.values()[random.nextInt(2)])
                            .made());
                }
                for (Filter filter : filters) {
                    // A value that no item has or that is not on offer is passed over; here it would only blur the
                    // comparison.
                    set.put(
                            filter.key(),
                            set(random, filter).stream()
                                    .filter(value -> isOnOffer(filter, value, items))
                                    .toList());
                    if (filter.source().control() == OnlyControl.DISTANCE && random.nextInt(4) == 0) {
                        set.put(filter.key(), List.of());
                    }
                }
                String text = List.of("boat", "cart", "").get(random.nextInt(3));
                compare(
                        answer(site, filters, text, set),
                        items.stream()
                                .filter(item -> text.isEmpty() || item.title().equals(text))
                                .toList(),
                        items,
                        filters,
                        set);
            }
        }
    }

    private static boolean isOnOffer(Filter filter, String value, List<Plain> items) {
        if (filter.source() instanceof JointSource joint) {
            return joint.parts().stream()
                    .anyMatch(part -> value.startsWith(part.key() + ":")
                            && isOnOffer(part, value.substring(part.key().length() + 1), items));
        }
        return !(filter.source() instanceof CategorySource categories)
                || (categories.offered().offers(value)
                        && items.stream()
                                .anyMatch(item -> item.of(categories.field().value()).stream()
                                        .anyMatch(
                                                path -> levels(path.toString()).contains(value))));
    }

    private static Filter part(String field) {
        return FilterBuilder.usual("p-" + field, field, Objects.requireNonNull(FIELDS.get(field)));
    }

    private static String field(Filter filter) {
        return filter.fields().getFirst().value();
    }

    /** With what may be decided of it at random. */
    private static Filter varied(Random random, Filter filter) {
        FilterBuilder varied = FilterBuilder.like(filter);
        if (filter.source() instanceof NumberSource) {
            return varied.bands(10.0, 20.0).made();
        }
        if (!(filter.source() instanceof CategorySource)) {
            return filter;
        }
        varied.ticked(Several.values()[random.nextInt(2)])
                .listed(ValueOrder.values()[random.nextInt(4)], WithoutResults.values()[random.nextInt(3)]);
        return refined(random, (random.nextBoolean() ? varied.inOneList() : varied).made());
    }

    /** Some values merged, picked or taken off. */
    private static Filter refined(Random random, Filter filter) {
        boolean tags = field(filter).equals("tags");
        Map<String, String> merged = random.nextInt(3) > 0
                ? Map.of()
                : tags
                        ? List.of(Map.of("c/b", "a/b"), Map.of("c", "d"), Map.of("a/b", "c/b", "d", "c/b"))
                                .get(random.nextInt(3))
                        : Map.of("z", "x");
        FilterBuilder refined = FilterBuilder.like(filter).ruled(random.nextBoolean(), merged, random.nextInt(3));
        return switch (random.nextInt(3)) {
            case 0 -> (tags ? refined.picked("a/b", "a", "d") : refined.picked("y", "x")).made();
            case 1 -> (tags ? refined.except("c") : refined).made();
            default -> refined.made();
        };
    }

    private static void compare(
            Answer answer, List<Plain> found, List<Plain> all, List<Filter> filters, Map<String, List<String>> set) {
        assertThat(answer.total()).as("%s", set).isEqualTo((int) found.stream()
                .filter(item -> filters.stream()
                        .allMatch(filter -> passes(item, filter, set.getOrDefault(filter.key(), List.of()))))
                .count());
        for (FilterAnswer given : answer.filters()) {
            Filter filter = given.filter();
            String field = field(filter);
            List<Plain> counted = found.stream()
                    .filter(item -> filters.stream()
                            .allMatch(other -> (other.equals(filter) && !keepsOwn(filter))
                                    || passes(item, other, set.getOrDefault(other.key(), List.of()))))
                    .toList();
            String what = filter.source().control() + " of " + field + " with " + set;
            each(given.values(), value -> assertThat(value.count())
                    .as("%s: %s, %s", what, value.value(), filter)
                    .isEqualTo((int) counted.stream()
                            .filter(item -> has(item, filter, value.value()))
                            .count()));
            if (filter.source() instanceof CategorySource categories
                    && categories.list().withoutResults() == WithoutResults.FOUND) {
                List<Plain> passing = found.stream()
                        .filter(item -> filters.stream()
                                .allMatch(other -> passes(item, other, set.getOrDefault(other.key(), List.of()))))
                        .toList();
                each(given.values(), value -> assertThat(isTicked(List.of(value))
                                || passing.stream().anyMatch(item -> has(item, filter, value.value())))
                        .as("%s: %s of the items found", what, value.value())
                        .isTrue());
            }
            each(given.values(), value -> assertThat(value.selected())
                    .as("%s: %s", what, value.value())
                    .isEqualTo(set.getOrDefault(filter.key(), List.of()).contains(value.value())));
            FilterAnswer.Bounds bounds = given.bounds();
            if (bounds != null) {
                assertThat(bounds.count()).as(what).isEqualTo((int) counted.stream()
                        .filter(item -> !item.of(field).isEmpty())
                        .count());
                assertThat(bounds.min())
                        .as(what)
                        .isEqualTo(all.stream()
                                .flatMap(item -> item.of(field).stream())
                                .min((a, b) -> order(a, b))
                                .map(Object::toString)
                                .orElse(null));
                assertThat(bounds.max())
                        .as(what)
                        .isEqualTo(all.stream()
                                .flatMap(item -> item.of(field).stream())
                                .max((a, b) -> order(a, b))
                                .map(Object::toString)
                                .orElse(null));
                for (int bar = 0; bar < bounds.bars().size(); bar++) {
                    double from = bounds.barsFrom() + bar * bounds.barWidth();
                    assertThat(bounds.bars().get(bar))
                            .as("%s: bar from %s", what, from)
                            .isEqualTo((int) counted.stream()
                                    .filter(item -> item.of(field).stream()
                                            .anyMatch(number -> (Integer) number >= from
                                                    && (Integer) number < from + bounds.barWidth()))
                                    .count());
                }
                assertThat(bounds.bars().stream().mapToInt(Integer::intValue).sum())
                        .as(what)
                        .isEqualTo(filter.source().control() == NumberControl.RANGE ? bounds.count() : 0);
            }
        }
    }

    private static boolean isTicked(List<FilterAnswer.Offered> values) {
        return values.stream().anyMatch(value -> value.selected() || isTicked(value.children()));
    }

    private static int order(Object a, Object b) {
        return a instanceof Integer number ? number.compareTo((Integer) b) : ((LocalDate) a).compareTo((LocalDate) b);
    }

    private static void each(
            List<FilterAnswer.Offered> values, java.util.function.Consumer<FilterAnswer.Offered> check) {
        values.forEach(value -> {
            check.accept(value);
            each(value.children(), check);
        });
    }
}
