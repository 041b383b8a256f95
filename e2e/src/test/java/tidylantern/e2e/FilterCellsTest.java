package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.SearchContext;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Every kind of filter with every control that fits it, with any or all of several, of one field or joined of two, in
 * every place: each is set through the visitors' own elements, and the total and every number on screen are held
 * against a plain loop over the items. All of them in all places take minutes, so they wait for {@code bin/test
 * --long}; else some are run in one place. What is no cell here is named in the guide, under 'What does not go
 * together'.
 */
class FilterCellsTest {
    private static final boolean LONG = System.getProperty("long") != null;
    private static final JsonMapper JSON = new JsonMapper();
    private static final LocalDate TODAY = LocalDate.now(ZoneOffset.UTC);
    private static final List<String> TAGS = List.of("Oak", "Ash", "Elm");
    private static final List<String> KINDS = List.of("Gig", "Cart");
    private static final Set<String> TYPED = Set.of("range", "at-least", "at-most", "span", "box");
    private static final List<Map<String, Object>> ITEMS = items();
    private static final List<Cell> CELLS = cells();
    private static RunningService service;
    private static Api api;
    private static Browser browser;

    /** Where visitors meet the filters. */
    enum Place {
        SIDE("{\"page\":\"side\"}", "tidy-results"),
        TOP("{\"page\":\"top\"}", "tidy-results"),
        BOX("{\"page\":\"nowhere\",\"box\":true}", "tidy-search"),
        ALONE("{\"page\":\"nowhere\",\"home\":true}", "tidy-filters");

        final String shown;
        final String element;

        Place(String shown, String element) {
            this.shown = shown;
            this.element = element;
        }
    }

    /**
     * One filter, and what is done with it.
     *
     * @param source what its source says beside the control
     * @param steps labels to choose one after the other, or what is typed
     * @param has whether an item has what a label or a typed text stands for
     */
    private record Cell(
            String key,
            String control,
            boolean all,
            Map<String, Object> source,
            List<String> steps,
            BiPredicate<Map<String, Object>, String> has) {
        boolean onlyOne() {
            return control.equals("one-of") || control.equals("menu") || control.equals("distance");
        }

        long passing(List<String> set) {
            return ITEMS.stream()
                    .filter(item -> set.isEmpty()
                            || (all
                                    ? set.stream().allMatch(one -> has.test(item, one))
                                    : set.stream().anyMatch(one -> has.test(item, one))))
                    .count();
        }

        /** What must stand beside a value: with all of several, what one more tick leaves. */
        long beside(String label, List<String> set) {
            return ITEMS.stream()
                    .filter(item ->
                            has.test(item, label) && (!all || set.stream().allMatch(one -> has.test(item, one))))
                    .count();
        }
    }

    private static List<Map<String, Object>> items() {
        Random random = new Random(7);
        return IntStream.range(0, 40)
                .mapToObj(i -> {
                    Map<String, Object> item = new HashMap<>(Map.of("id", "i" + i, "title", "Thing " + i));
                    // Every seventh has no value at all.
                    if (i % 7 > 0) {
                        item.put(
                                "tags",
                                IntStream.rangeClosed(0, random.nextInt(2))
                                        .mapToObj(n -> TAGS.get(random.nextInt(3)))
                                        .distinct()
                                        .toList());
                        item.put("kind", KINDS.get(random.nextInt(2)));
                        item.put("size", random.nextInt(30));
                        item.put("price", random.nextInt(40));
                        item.put("open", random.nextBoolean());
                        item.put(
                                "days",
                                IntStream.range(0, 2)
                                        .mapToObj(n -> TODAY.plusDays(random.nextInt(60) - 30)
                                                .toString())
                                        .distinct()
                                        .toList());
                        item.put(
                                "summary",
                                List.of("red oar", "blue sail", "red rope").get(random.nextInt(3)));
                        item.put("code", "QH" + random.nextInt(4));
                        item.put("place", Map.of("lat", 50 + random.nextInt(20) / 100.0, "lon", -5, "name", "Quay"));
                    }
                    return item;
                })
                .toList();
    }

    private static Map<String, Object> part(String key, String label, String field) {
        return Map.of("head", Map.of("key", key, "label", label), "source", Map.of("of", "category", "field", field));
    }

    private static List<Cell> cells() {
        List<Cell> cells = new ArrayList<>();
        BiPredicate<Map<String, Object>, String> tags =
                (item, label) -> item.get("tags") instanceof List<?> some && some.contains(label);
        BiPredicate<Map<String, Object>, String> tagsOrKind =
                (item, label) -> tags.test(item, label) || label.equals(item.get("kind"));
        for (String control : List.of("list", "chips", "pictures", "one-of", "menu")) {
            for (boolean all :
                    control.equals("one-of") || control.equals("menu") ? List.of(false) : List.of(false, true)) {
                String key = control + (all ? "-all" : "-any");
                String several = all ? "all" : "any";
                cells.add(new Cell(
                        key,
                        control,
                        all,
                        Map.of("of", "category", "several", several, "field", "tags"),
                        List.of("Oak", "Elm"),
                        tags));
                List<Map<String, Object>> parts =
                        List.of(part("t" + cells.size(), "Tags", "tags"), part("k" + cells.size(), "Kind", "kind"));
                // Under a heading each, or in one list.
                cells.add(new Cell(
                        key + "-joined",
                        control,
                        all,
                        Map.of("of", "joint", "several", several, "headings", !all, "parts", parts),
                        List.of("Gig", "Ash"),
                        tagsOrKind));
            }
        }
        for (String field : List.of("size", "price")) {
            BiPredicate<Map<String, Object>, String> between =
                    (item, said) -> item.get(field) instanceof Integer number && isBetween(number, said);
            cells.add(new Cell(
                    field + "-range",
                    "range",
                    false,
                    Map.of("of", "number", "field", field),
                    List.of("5..20"),
                    between));
            cells.add(new Cell(
                    field + "-bands",
                    "bands",
                    false,
                    Map.of("of", "number", "field", field, "bands", List.of(10, 20)),
                    List.of("up to 10", "20 and more"),
                    between));
            cells.add(new Cell(
                    field + "-least",
                    "at-least",
                    false,
                    Map.of("of", "number", "field", field),
                    List.of("12.."),
                    between));
            cells.add(new Cell(
                    field + "-most",
                    "at-most",
                    false,
                    Map.of("of", "number", "field", field),
                    List.of("..12"),
                    between));
        }
        cells.add(new Cell(
                "span",
                "span",
                false,
                Map.of("of", "day", "field", "days"),
                List.of(TODAY.minusDays(9) + ".." + TODAY.plusDays(9)),
                (item, span) -> hasDay(
                        item,
                        day -> day.compareTo(span.substring(0, 10)) >= 0 && day.compareTo(span.substring(12)) <= 0)));
        cells.add(new Cell(
                "months",
                "months",
                false,
                Map.of("of", "day", "field", "days"),
                List.of(month(TODAY.toString())),
                (item, said) -> hasDay(item, day -> month(day).equals(said))));
        cells.add(new Cell(
                "today",
                "from-today",
                false,
                Map.of("of", "day", "field", "days"),
                List.of("From today"),
                (item, said) -> hasDay(item, day -> day.compareTo(TODAY.toString()) >= 0)));
        BiPredicate<Map<String, Object>, String> open =
                (item, said) -> Boolean.valueOf(said.equals("Yes")).equals(item.get("open"));
        cells.add(new Cell("switch", "switch", false, Map.of("of", "yes-no", "field", "open"), List.of("Yes"), open));
        cells.add(
                new Cell("ticks", "ticks", false, Map.of("of", "yes-no", "field", "open"), List.of("No", "Yes"), open));
        cells.add(new Cell(
                "words",
                "box",
                false,
                Map.of("of", "word", "field", "summary"),
                List.of("red"),
                (item, word) -> item.get("summary") instanceof String text && text.startsWith(word)));
        cells.add(new Cell(
                "code",
                "box",
                false,
                Map.of("of", "word", "field", "code"),
                List.of("QH2"),
                (item, code) -> code.equals(item.get("code"))));
        // All places lie on one meridian; R = 6371.0088 km makes a degree of it 111.195 km.
        cells.add(new Cell(
                "far",
                "distance",
                false,
                Map.of("of", "distance", "field", "place", "radii", List.of(3, 8)),
                List.of("3 km", "8 km"),
                (item, said) -> item.get("place") instanceof Map<?, ?> place
                        && Math.abs((Double) place.get("lat") - middle()) * 111.195
                                <= Double.parseDouble(said.split(" ")[0])));
        return cells;
    }

    private static boolean hasDay(Map<String, Object> item, Predicate<String> such) {
        return item.get("days") instanceof List<?> days && days.stream().anyMatch(day -> such.test(day.toString()));
    }

    private static String month(String day) {
        return LocalDate.parse(day).getMonth().getDisplayName(TextStyle.FULL, Locale.ENGLISH) + " "
                + day.substring(0, 4);
    }

    /** As it is typed, or as a step reads. */
    private static boolean isBetween(int number, String said) {
        String[] ends = said.replace("up to ", "..").replace(" and more", "..").split("\\.\\.| to ", -1);
        return (ends[0].isEmpty() || number >= Integer.parseInt(ends[0]))
                && (ends[1].isEmpty() || number <= Integer.parseInt(ends[1]));
    }

    private static double middle() {
        return ITEMS.stream()
                .filter(item -> item.containsKey("place"))
                .mapToDouble(item -> (Double) ((Map<?, ?>) item.get("place")).get("lat"))
                .average()
                .orElseThrow();
    }

    @BeforeAll
    static void start(@TempDir Path data) {
        service = RunningService.on(data);
        api = service.api().withSite();
        api.push(
                "posts",
                String.join("\n", ITEMS.stream().map(JSON::writeValueAsString).toList()));
        browser = Browser.wide();
        browser.signIn(service.address());
    }

    @AfterAll
    static void stop() {
        browser.close();
        service.close();
    }

    private static String search(Place place) {
        String key = api.publishedSearch("Cells " + place);
        Api.Answer draft = api.get("/api/owner/searches/" + key + "/draft");
        ObjectNode design = (ObjectNode) draft.json();
        design.set(
                "filters",
                JSON.valueToTree(CELLS.stream()
                        .map(cell -> {
                            Map<String, Object> source = new HashMap<>(cell.source());
                            if (!cell.control().equals("box") && !cell.control().equals("distance")) {
                                source.put("control", cell.control());
                            }
                            return Map.of(
                                    "head",
                                    Map.of("key", cell.key(), "label", cell.key()),
                                    "shown",
                                    JSON.readTree(place.shown),
                                    "source",
                                    source);
                        })
                        .toList()));
        Api.Answer kept = api.send(
                "PUT",
                "/api/owner/searches/" + key + "/draft",
                design.toString(),
                Map.of("Content-Type", "application/json", "If-Match", draft.header("ETag")));
        assertThat(kept.status()).as(kept.text()).isEqualTo(200);
        assertThat(api.send(
                                "POST",
                                "/api/owner/searches/" + key + "/publish",
                                "",
                                Map.of("If-Match", kept.header("ETag")))
                        .status())
                .isEqualTo(200);
        return key;
    }

    @ParameterizedTest
    @EnumSource
    void everyCellFindsAndCountsWhatAPlainLoopDoes(Place place) {
        assumeTrue(LONG || place == Place.SIDE, "the other places wait for bin/test --long");
        String key = search(place);
        browser.open(service.address()
                + (place == Place.ALONE ? "/workbench/stage.html#search=" + key + "&place=home" : "/s/" + key));
        SearchContext here = browser.inside(place.element);
        browser.until(
                "all filters",
                () -> here.findElements(By.cssSelector(".filter")).size() == CELLS.size());
        for (Cell cell : CELLS) {
            if (!LONG && CELLS.indexOf(cell) % 4 != 0) {
                continue;
            }
            List<String> set = new ArrayList<>();
            mustShow(place, here, cell, set);
            for (String step : cell.steps()) {
                if (cell.onlyOne()) {
                    set.clear();
                }
                choose(here, cell, step);
                set.add(step);
                mustShow(place, here, cell, set);
            }
            assertThat(cell.passing(set))
                    .as("%s: a check that could not fail", cell.key())
                    .isBetween(1L, ITEMS.size() - 1L);
            browser.see(place == Place.BOX ? browser.inside("tidy-results") : here, ".again")
                    .click();
        }
        browser.mustBeAccessible("every kind of filter, " + place);
        assertThat(browser.consoleErrors()).isEmpty();
        if (place == Place.ALONE) {
            choose(here, CELLS.getFirst(), "Oak");
            mustShow(place, here, CELLS.getFirst(), List.of("Oak"));
            browser.see(here, ".done").click();
            browser.until(
                    "the results page with what was set",
                    () -> browser.address().contains("/s/" + key + "?")
                            && browser.address().contains(CELLS.getFirst().key() + "=oak"));
            browser.untilTexts(
                    browser.inside("tidy-results"),
                    ".count",
                    texts -> texts.equals(List.of(CELLS.getFirst().passing(List.of("Oak")) + " results")));
        }
    }

    private static WebElement filter(SearchContext here, Cell cell) {
        return browser.see(here, "[part~='filter-" + cell.key() + "']");
    }

    private static void choose(SearchContext here, Cell cell, String step) {
        WebElement filter = filter(here, cell);
        if (TYPED.contains(cell.control())) {
            List<WebElement> inputs = filter.findElements(By.cssSelector("input.typed"));
            String[] ends = cell.control().equals("box")
                    ? new String[] {step}
                    : Stream.of(step.split("\\.\\.", -1))
                            .filter(end -> !end.isEmpty())
                            .toArray(String[]::new);
            for (int i = 0; i < ends.length; i++) {
                if (cell.control().equals("span")) {
                    // What a date field takes from the keyboard hangs on the browser's language.
                    browser.script(
                            "arguments[0].value = arguments[1]; arguments[0].dispatchEvent(new Event('input')); arguments[0].dispatchEvent(new Event('change'))",
                            inputs.get(i),
                            ends[i]);
                } else {
                    inputs.get(i).sendKeys(Keys.chord(Keys.CONTROL, "a"), ends[i], Keys.ENTER);
                }
            }
        } else if (cell.control().equals("menu") || cell.control().equals("distance")) {
            if (cell.control().equals("distance")
                    && filter.findElements(By.cssSelector("select")).isEmpty()) {
                filter.findElement(By.cssSelector("input")).sendKeys("quay", Keys.ENTER);
            }
            Select menu = browser.until(
                    "distances", () -> new Select(filter(here, cell).findElement(By.cssSelector("select"))));
            menu.selectByVisibleText(menu.getOptions().stream()
                    .map(WebElement::getText)
                    .filter(text -> text.startsWith(step))
                    .findFirst()
                    .orElseThrow());
        } else {
            WebElement value = filter.findElements(By.cssSelector(".value, .tag")).stream()
                    .filter(one -> one.getText().startsWith(step))
                    .findFirst()
                    .orElseThrow();
            (value.getTagName().equals("button") ? value : value.findElement(By.cssSelector("input"))).click();
        }
    }

    /** The total, and every number beside a value of the filter. */
    private static void mustShow(Place place, SearchContext here, Cell cell, List<String> set) {
        long total = cell.passing(set);
        String said = place == Place.ALONE
                ? total == 1 ? "Show 1 result" : "Show " + total + " results"
                : total == 1 ? "1 result" : total + " results";
        browser.until(place + " " + cell.key() + " with " + set + " finds " + total, () -> browser.texts(
                        place == Place.ALONE ? here : browser.inside("tidy-results"),
                        place == Place.ALONE ? ".done" : ".count")
                .equals(List.of(said)));
        browser.until(place + " " + cell.key() + " with " + set + " counts", () -> {
            List<String> shown = numbers(filter(here, cell));
            // Nothing to count stands beside what is typed, and beside distances before there is a place.
            boolean mayBeNone =
                    TYPED.contains(cell.control()) || (cell.control().equals("distance") && set.isEmpty());
            return (mayBeNone || !shown.isEmpty())
                    && shown.stream()
                            .allMatch(text ->
                                    text.endsWith(" " + cell.beside(text.substring(0, text.lastIndexOf(' ')), set)));
        });
    }

    /** Each value with its number, as visitors read them. */
    private static List<String> numbers(WebElement filter) {
        // All at once: asked one by one, these would be most of the time that the test takes.
        return ((List<?>) Objects.requireNonNull(browser.script("""
                return [...arguments[0].querySelectorAll('.value:has(.number), .tag, select option:not([value=""])')].map(one => {
                  const number = one.querySelector('.number')
                  return number ? one.textContent.trim().slice(0, -number.textContent.length).trim() + ' ' + number.textContent : one.textContent.trim().replace(/\\((\\d+)\\)$/, '$1')
                })""", filter)))
                .stream().map(Object::toString).toList();
    }
}
