package tidylantern.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;
import tidylantern.core.design.box.BoxArrangement;
import tidylantern.core.design.box.BoxColours;
import tidylantern.core.design.box.BoxDress;
import tidylantern.core.design.box.BoxSizes;
import tidylantern.core.design.box.BoxType;
import tidylantern.core.design.box.Chooser;
import tidylantern.core.design.box.Opening;
import tidylantern.core.design.box.Paint;
import tidylantern.core.design.box.SearchBox;
import tidylantern.core.design.card.ButtonPart;
import tidylantern.core.design.card.Card;
import tidylantern.core.design.card.ExcerptPart;
import tidylantern.core.design.card.Format;
import tidylantern.core.design.card.Frame;
import tidylantern.core.design.card.Lettering;
import tidylantern.core.design.card.MentionPart;
import tidylantern.core.design.card.PartGroup;
import tidylantern.core.design.card.PicturePart;
import tidylantern.core.design.card.Place;
import tidylantern.core.design.card.Step;
import tidylantern.core.design.card.TitlePart;
import tidylantern.core.design.card.ValuePart;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterBuilder;
import tidylantern.core.design.filter.FilterPlaces;
import tidylantern.core.design.filter.NumberSource;
import tidylantern.core.design.look.BoxForm;
import tidylantern.core.design.look.CardForm;
import tidylantern.core.design.look.ColourToken;
import tidylantern.core.design.look.Density;
import tidylantern.core.design.look.Look;
import tidylantern.core.design.look.LookForm;
import tidylantern.core.design.look.LookType;
import tidylantern.core.design.look.ReadyLook;
import tidylantern.core.design.look.Scheme;
import tidylantern.core.design.look.Shadow;
import tidylantern.core.design.results.Arranged;
import tidylantern.core.design.results.Layout;
import tidylantern.core.design.results.LiveList;
import tidylantern.core.design.results.PopularCategories;
import tidylantern.core.design.results.ResultsPage;
import tidylantern.core.design.results.StartingList;
import tidylantern.core.design.text.Language;
import tidylantern.core.design.text.Reworded;
import tidylantern.core.design.text.VisitorTexts;
import tidylantern.core.design.text.WordedLabel;

/** Two designs differ exactly where something is told of it. */
class DesignChangesTest {
    private static final FieldKey KIND = new FieldKey("kind");
    private static final ItemRef PIER = new ItemRef(new CollectionKey("posts"), new ItemId("pier"));
    private static final ItemRef BOAT = new ItemRef(new CollectionKey("posts"), new ItemId("boat"));

    /** Of everything there is at least one. */
    private static final SearchDesign FULL = full();

    private static SearchBox box() {
        BoxColours colours =
                new BoxColours(new Paint("#0e5f63"), new Paint("accent"), new Paint("#114488"), new Paint("#ffffff"));
        return new SearchBox(
                BoxArrangement.usual(),
                BoxArrangement.usual().opening(Opening.OVER),
                640,
                new Chooser(KIND),
                SearchBox.Leads.NEAREST,
                new BoxDress(
                        new BoxSizes(400, 48, 12, 8, 10, 2, 18),
                        new BoxType("Charter, serif", 600),
                        90,
                        colours,
                        colours,
                        colours,
                        new BoxDress.OverPage(new Paint("#114488"), 24)));
    }

    private static SearchDesign full() {
        ReachRule sea = ReachRule.category(KIND, "sea");
        Filter filter = FilterBuilder.like(FilterBuilder.categories("kind", "Kind", "kind"))
                .picked("a", "b", "c", "d", "e", "f", "g", "h")
                .made();
        Filter same = Filter.of("sort", "Kind", NumberSource.usual(new FieldKey("sort")));
        Filter joint = FilterBuilder.joint(
                "what",
                "What",
                true,
                false,
                FilterBuilder.categories("one", "One", "kind"),
                FilterBuilder.categories("two", "Two", "sort"),
                FilterBuilder.usual("three", "third", FieldKind.YES_NO));
        List<Filter> others = List.of(
                FilterBuilder.usual("days", "days", FieldKind.DATE),
                FilterBuilder.usual("note", "note", FieldKind.TEXT),
                FilterBuilder.usual("by-place", "where", FieldKind.PLACE));
        return new SearchDesign(
                SearchDesign.CURRENT_VERSION,
                "Shore",
                new Reach(List.of(
                        new Reach.Searched(new CollectionKey("posts"), List.of(sea), List.of(), Sign.BOOK),
                        Reach.Searched.all(new CollectionKey("trips")))),
                new Words(
                        List.of(new FieldWeight(FieldKey.TITLE, 5), new FieldWeight(FieldKey.BODY, 1)),
                        new Words.Matching(
                                Words.WordsNeeded.ALL,
                                Words.PartOfWord.START,
                                new Words.Typos(true, false),
                                true,
                                2,
                                false),
                        new Words.Excerpt(30, 8),
                        List.of(new Synonym(null, List.of("quay", "pier"))),
                        List.of("the", "of"),
                        new Help(true, true, true, List.of(new Help.SeeAlso("boat", List.of("ferry", "punt"))))),
                Stream.concat(Stream.of(filter, same, joint), others.stream()).toList(),
                FilterPlaces.usual(),
                new Ranking(
                        new ResultOrder(
                                List.of(OrderKey.of(OrderKey.By.TIER), OrderKey.of(OrderKey.By.RELEVANCE)),
                                List.of(OrderKey.of(OrderKey.By.TITLE)),
                                List.of(
                                        new ResultOrder.Choice("name", "Name", List.of(OrderKey.of(OrderKey.By.TITLE))),
                                        new ResultOrder.Choice(
                                                "best", "Best", List.of(OrderKey.of(OrderKey.By.RELEVANCE)))),
                                "Ours",
                                40),
                        List.of(tier("gold", 1, sea), tier("silver", 2, sea)),
                        List.of(pin("ferry", PIER), pin("boat", BOAT))),
                new VisitorPlaces(
                        box(),
                        new LiveList(
                                LiveList.Where.BELOW,
                                false,
                                new LiveList.Asking(3, 120, false),
                                true,
                                8,
                                4,
                                new LiveList.LiveForm(2, 8, 520, 400),
                                new LiveList.Above(true, true, false, true),
                                LiveList.Opens.HERE),
                        new ResultsPage(
                                "/find",
                                10,
                                new Layout(Arranged.WALL, 3, true, "sea"),
                                ResultsPage.Paging.NUMBERS,
                                200,
                                new ResultsPage.Shows(
                                        true,
                                        true,
                                        false,
                                        true,
                                        true,
                                        false,
                                        false,
                                        new PopularCategories("sea", 6, true),
                                        new ResultsPage.NothingFound(Sign.LAMP, true, true, true)),
                                new StartingList(StartingList.With.CATEGORY, "sea", "north"),
                                new ResultsPage.Told(true, true))),
                new Appearance(
                        List.of(card(Place.LIST, null), card(Place.LIVE, new CollectionKey("posts"))),
                        new Look(
                                ReadyLook.GAZETTE,
                                Scheme.LIGHT,
                                Map.of(ColourToken.ACCENT, Colour.of("#0e5f63")),
                                Map.of(ColourToken.ACCENT, Colour.of("#8ed3d4")),
                                new LookType("Charter", "serif", 16, 500, true),
                                new LookForm(CardForm.RULED, BoxForm.LINED, 4, Density.DENSE, Shadow.SOFT, false)),
                        new VisitorTexts(
                                Language.DE,
                                Language.FR,
                                List.of(
                                        new Reworded(Language.DE, "search", Map.of("other", "Los")),
                                        new Reworded(Language.EN, "search", Map.of("other", "Go"))),
                                List.of(new WordedLabel(Language.DE, "filters.sea.label", "Meer")))));
    }

    private static Card card(Place place, @Nullable CollectionKey collection) {
        Lettering quiet = Lettering.quiet();
        return new Card(
                place,
                collection,
                PartGroup.row(
                        "card",
                        Step.LARGE,
                        new PicturePart(
                                "picture",
                                PicturePart.Shape.SQUARE,
                                PicturePart.Size.SMALL,
                                false,
                                PicturePart.StandIn.LETTER,
                                Step.SMALL),
                        PartGroup.column(
                                "texts",
                                Step.SMALL,
                                new TitlePart("title", 3, 2, Lettering.strong()),
                                new ExcerptPart("excerpt", 4, Lettering.usual()),
                                new ValuePart("price", KIND, "from", "a week", new Format.Amount(true), quiet),
                                ValuePart.of(
                                        new FieldKey("day"),
                                        new Format.Days(Format.Days.Which.NEXT, Format.Days.Told.RELATIVE),
                                        quiet),
                                new MentionPart("distance", MentionPart.What.DISTANCE, quiet),
                                new ButtonPart("button", "Book", new FieldKey("booking")))),
                new Frame(
                        Frame.Ground.CARD,
                        List.of(Frame.Side.ABOVE, Frame.Side.START),
                        12,
                        Step.LARGE,
                        Shadow.SOFT,
                        Frame.Pointed.EDGE,
                        Frame.Focused.TITLE));
    }

    @Test
    void aPartOfACardIsToldByItsKeyAndNothingElseWithIt() {
        assertThat(changes(design -> design.withCards(List.of(
                        new Card(
                                Place.LIST,
                                null,
                                PartGroup.row("card", Step.LARGE, new TitlePart("title", 2, 2, Lettering.strong())),
                                design.cards().getFirst().frame()),
                        design.cards().get(1)))))
                .extracting(DesignChange::path)
                .containsExactly(
                        List.of("appearance", "cards", "list", "body", "parts", "picture"),
                        List.of("appearance", "cards", "list", "body", "parts", "texts"),
                        List.of("appearance", "cards", "list", "body", "parts", "title"));
    }

    private static Tier tier(String key, int rank, ReachRule rule) {
        return new Tier(
                key,
                "Tier " + key,
                rank,
                List.of(new Tier.Holders(null, rule)),
                new Tier.Lift(3, 2, Tier.Turns.NONE),
                "Paid for",
                new TierLooks(
                        "#fff8e8",
                        8,
                        TierLooks.Edge.FINE,
                        "#8a5200",
                        new TierLooks.Ribbon(
                                "Ours", "#ffffff", "#8a5200", TierLooks.Size.USUAL, TierLooks.Side.START)));
    }

    private static Pin pin(String query, ItemRef item) {
        return new Pin(
                List.of(query, query + " trips"), List.of(new Pin.Put(item, 1)), List.of(), LocalDate.of(2026, 12, 1));
    }

    private static List<DesignChange> changes(UnaryOperator<SearchDesign> by) {
        return DesignChanges.between(FULL, by.apply(FULL));
    }

    @Test
    void aChangeSaysWhereItIsAndBothItsStates() {
        assertThat(DesignChanges.between(FULL, FULL)).isEmpty();
        assertThat(changes(design -> design.withWords(design.words()
                        .withWeights(
                                List.of(new FieldWeight(FieldKey.TITLE, 7.5), new FieldWeight(FieldKey.SUMMARY, 2))))))
                .containsExactly(
                        new DesignChange(List.of("words", "weights", "title", "weight"), 5.0, 7.5),
                        new DesignChange(List.of("words", "weights", "body"), new FieldWeight(FieldKey.BODY, 1), null),
                        new DesignChange(
                                List.of("words", "weights", "summary"), null, new FieldWeight(FieldKey.SUMMARY, 2)));
    }

    @Test
    void aNinthPickedValueIsTold() {
        assertThat(changes(design -> design.withFilters(Stream.concat(
                                Stream.of(FilterBuilder.like(design.filters().getFirst())
                                        .picked("a", "b", "c", "d", "e", "f", "g", "h", "i")
                                        .made()),
                                design.filters().stream().skip(1))
                        .toList())))
                .containsExactly(new DesignChange(
                        List.of("filters", "kind", "source", "offered", "picked"), List.of(), List.of("i")));
    }

    @Test
    void theOrderOfPinsOfFiltersAndOfVisitorsOrdersIsTold() {
        assertThat(changes(design -> design.withPins(design.pins().reversed())))
                .containsExactly(new DesignChange(
                        List.of("ranking", "pins"), List.of("ferry", "boat"), List.of("boat", "ferry")));
        assertThat(changes(design -> design.withFilters(design.filters().reversed())))
                .containsExactly(new DesignChange(
                        List.of("filters"),
                        List.of("kind", "sort", "what", "days", "note", "by-place"),
                        List.of("by-place", "note", "days", "what", "sort", "kind")));
        assertThat(changes(design -> design.withOrder(new ResultOrder(
                        design.order().withWords(),
                        design.order().withoutWords(),
                        design.order().choices().reversed(),
                        design.order().label(),
                        design.order().mostFeatured()))))
                .extracting(DesignChange::path)
                .containsExactly(List.of("ranking", "order", "choices"));
    }

    /** Every component of every record of a design, changed in every way that the records allow. */
    @TestFactory
    List<DynamicTest> whateverDiffersIsToldWhereItDiffers() {
        List<Variant> variants = variants(FULL);
        assertThat(variants).hasSizeGreaterThan(250);
        return variants.stream()
                .map(variant -> DynamicTest.dynamicTest(String.join(".", variant.path()), () -> {
                    List<DesignChange> told = DesignChanges.between(FULL, (SearchDesign) variant.value());
                    assertThat(told.isEmpty()).isEqualTo(variant.value().equals(FULL));
                    assertThat(told).allSatisfy(change -> assertThat(beginsAlike(change.path(), variant.path()))
                            .isTrue());
                }))
                .toList();
    }

    private static boolean beginsAlike(List<String> one, List<String> other) {
        int common = Math.min(one.size(), other.size());
        return one.subList(0, common).equals(other.subList(0, common));
    }

    private record Variant(List<String> path, Object value) {}

    /** A record with one thing in it changed. */
    private static List<Variant> variants(Record of) {
        RecordComponent[] components = of.getClass().getRecordComponents();
        Object[] values = Arrays.stream(components).map(one -> read(one, of)).toArray();
        List<Variant> variants = new ArrayList<>();
        for (int i = 0; i < components.length; i++) {
            for (Variant other : others(components[i], values[i])) {
                Object[] changed = values.clone();
                changed[i] = other.value();
                Object made = made(of.getClass(), components, changed);
                if (made != null) {
                    List<String> path = new ArrayList<>(List.of(components[i].getName()));
                    path.addAll(other.path());
                    variants.add(new Variant(path, made));
                }
            }
        }
        return variants;
    }

    private static Object read(RecordComponent component, Object of) {
        try {
            return component.getAccessor().invoke(of);
        } catch (ReflectiveOperationException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    /** Null where the record refuses to be so. */
    private static @Nullable Object made(Class<?> type, RecordComponent[] components, Object[] values) {
        try {
            Constructor<?> constructor = type.getDeclaredConstructor(
                    Arrays.stream(components).map(RecordComponent::getType).toArray(Class[]::new));
            constructor.setAccessible(true);
            return constructor.newInstance(values);
        } catch (InvocationTargetException refused) {
            assertThat(refused.getCause()).isInstanceOfAny(IllegalArgumentException.class, NullPointerException.class);
            return null;
        } catch (ReflectiveOperationException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static List<Variant> others(RecordComponent component, @Nullable Object value) {
        List<Variant> others = new ArrayList<>();
        if (value instanceof List<?> list) {
            others.addAll(otherLists(list));
        } else if (value instanceof Map<?, ?> map) {
            Map<Object, Object> more = new TreeMap<>(map);
            if (map.keySet().stream().anyMatch(ColourToken.class::isInstance)) {
                more.put(ColourToken.EDGE, Colour.of("#123456"));
                others.add(new Variant(List.of("edge"), more));
            } else {
                more.put("north", "south");
                others.add(new Variant(List.of("north"), more));
            }
        } else if (value instanceof Record record && isPart(record)) {
            others.addAll(variants(record));
            others.add(new Variant(List.of(), null));
        } else {
            values(component.getType(), value).forEach(one -> others.add(new Variant(List.of(), one)));
        }
        return others;
    }

    /** With an entry changed, one less, and the other way round. */
    private static List<Variant> otherLists(List<?> list) {
        List<Variant> others = new ArrayList<>();
        IntStream.range(0, list.size()).forEach(i -> variantsOf(list.get(i)).forEach(changed -> {
            List<Object> copy = new ArrayList<>(list);
            copy.set(i, changed.value());
            others.add(new Variant(List.of(), copy));
        }));
        if (!list.isEmpty()) {
            others.add(new Variant(List.of(), list.subList(0, list.size() - 1)));
            others.add(new Variant(List.of(), list.reversed()));
        }
        return others;
    }

    private static boolean isPart(Object value) {
        return value instanceof Record
                && !(value instanceof Colour)
                && value.getClass().getPackageName().startsWith(SearchDesign.class.getPackageName());
    }

    private static List<Variant> variantsOf(Object entry) {
        return isPart(entry)
                ? variants((Record) entry)
                : values(entry.getClass(), entry).stream()
                        .map(value -> new Variant(List.of(), value))
                        .toList();
    }

    private static List<Object> values(Class<?> type, @Nullable Object value) {
        List<Object> values = new ArrayList<>();
        if (type.isEnum()) {
            values.addAll(Arrays.asList(type.getEnumConstants()));
        } else if (type == Boolean.class || type == boolean.class) {
            values.addAll(List.of(true, false));
        } else if (type == Integer.class || type == int.class) {
            values.addAll(value == null ? List.of(1) : List.of((Integer) value + 1, (Integer) value - 1));
        } else if (type == Double.class || type == double.class) {
            values.add((Double) value + 1.5);
        } else if (type == String.class) {
            values.addAll(List.of("other", "#102030", "/elsewhere"));
        } else if (type == FieldKey.class) {
            values.add(new FieldKey("other"));
        } else if (type == CollectionKey.class) {
            values.add(new CollectionKey("others"));
        } else if (type == ItemRef.class) {
            values.add(new ItemRef(new CollectionKey("posts"), new ItemId("other")));
        } else if (type == Colour.class) {
            values.add(Colour.of("#654321"));
        } else if (type == LocalDate.class) {
            values.add(LocalDate.of(2027, 1, 1));
        }
        return values;
    }
}
