package tidylantern.core.design;

import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.design.box.BoxArrangement;
import tidylantern.core.design.box.BoxButton;
import tidylantern.core.design.box.BoxDress;
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
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.DaySource;
import tidylantern.core.design.filter.DistanceSource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterPlaces;
import tidylantern.core.design.filter.FilterShown;
import tidylantern.core.design.filter.JointSource;
import tidylantern.core.design.filter.NumberSource;
import tidylantern.core.design.filter.OfferedValues;
import tidylantern.core.design.filter.ValueList;
import tidylantern.core.design.filter.ValueLooks;
import tidylantern.core.design.filter.WordSource;
import tidylantern.core.design.filter.YesNoSource;
import tidylantern.core.design.look.Look;
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

/**
 * The parts of a design as they usually are: what a document leaves out of one is taken from here, so that the parts
 * themselves only know whole values. Parts that may leave out nothing, or all, are not among them.
 */
public final class UsualParts {
    private static final FieldKey FIELD = new FieldKey("field");
    private static final Filter FILTER = Filter.of("key", "Label", CategorySource.usual(FIELD));
    private static final PartGroup GROUP = PartGroup.column("card", Step.USUAL, TitlePart.usual("title"));

    private UsualParts() {}

    /**
     * @param type of the part
     * @param usual value of each component that may be left out, by its name
     */
    public record Part(Class<? extends Record> type, Map<String, @Nullable Object> usual) {
        /** The names of all its components. */
        public List<String> keys() {
            return Arrays.stream(type.getRecordComponents())
                    .map(RecordComponent::getName)
                    .toList();
        }
    }

    /** Each once. */
    public static List<Part> all() {
        return Stream.of(design(), ranking(), filters(), sources(), box(), results(), cards(), texts())
                .flatMap(List::stream)
                .toList();
    }

    private static List<Part> design() {
        return List.of(
                part(SearchDesign.usual("Name"), "version", "name"),
                part(new Reach(List.of())),
                part(Reach.Searched.all(new CollectionKey("collection")), "collection"),
                part(Words.standard().withWeights(List.of())),
                part(Words.Matching.usual()),
                part(Words.Typos.usual()),
                part(Words.Excerpt.usual()),
                part(Help.usual()));
    }

    private static List<Part> ranking() {
        OrderKey byTitle = OrderKey.of(OrderKey.By.TITLE);
        return List.of(
                part(Ranking.usual()),
                part(ResultOrder.usual()),
                part(new ResultOrder.Choice("key", "Label", List.of(byTitle)), "key", "label", "by"),
                part(byTitle, "by"),
                part(new Tier("key", "Name", null, List.of(), null, null, TierLooks.plain()), "key", "name"),
                part(Tier.Lift.usual()),
                part(TierLooks.plain()),
                part(Objects.requireNonNull(TierLooks.ribbon("Text").ribbon()), "text"),
                pin());
    }

    /** A pin that leaves out both what it puts and what it takes out is none. */
    private static Part pin() {
        Map<String, @Nullable Object> usual = new LinkedHashMap<>();
        usual.put("put", List.of());
        usual.put("takeOut", List.of());
        usual.put("until", null);
        return new Part(Pin.class, usual);
    }

    private static List<Part> filters() {
        FilterPlaces places = FilterPlaces.usual();
        return List.of(
                part(FILTER, "head", "source"),
                part(FILTER.head(), "key", "label"),
                part(FilterShown.usual()),
                part(OfferedValues.all(true)),
                part(ValueLooks.plain()),
                part(ValueList.usual()),
                part(places),
                part(places.page()));
    }

    private static List<Part> sources() {
        return List.of(
                part(CategorySource.usual(FIELD), "field"),
                part(NumberSource.usual(FIELD), "field"),
                part(DaySource.usual(FIELD), "field"),
                part(YesNoSource.usual(FIELD), "field"),
                part(WordSource.usual(FIELD), "field"),
                part(DistanceSource.usual(FIELD), "field"),
                part(JointSource.usual(List.of(FILTER, FILTER)), "parts"));
    }

    private static List<Part> box() {
        return List.of(
                part(VisitorPlaces.usual()),
                part(SearchBox.usual()),
                part(BoxArrangement.usual()),
                part(BoxButton.usual()),
                part(BoxDress.asLook()),
                part(BoxDress.OverPage.usual()));
    }

    private static List<Part> results() {
        return List.of(
                part(LiveList.usual()),
                part(LiveList.Asking.usual()),
                part(LiveList.LiveForm.usual()),
                part(LiveList.Above.usual()),
                part(ResultsPage.usual()),
                part(ResultsPage.Shows.everything()),
                part(ResultsPage.NothingFound.usual()),
                part(ResultsPage.Told.usual()),
                part(Layout.of(Arranged.LIST)),
                part(StartingList.of(StartingList.With.EVERYTHING)),
                part(PopularCategories.of("filter"), "filter"));
    }

    private static List<Part> cards() {
        return List.of(
                part(new Card(Place.LIST, null, GROUP), "body"),
                part(Frame.asLook()),
                part(Lettering.usual()),
                part(PartGroup.usual("key"), "key"),
                part(TitlePart.usual("key"), "key"),
                part(ExcerptPart.usual("key"), "key"),
                part(PicturePart.usual("key"), "key"),
                part(new ValuePart("key", FIELD, "", "", new Format.Usual(), Lettering.usual()), "key", "field"),
                part(new MentionPart("key", MentionPart.What.COLLECTION, Lettering.quiet()), "key", "what"),
                part(new ButtonPart("key", "Text", null), "key", "text"),
                part(Format.Days.usual()),
                part(new Format.Amount(false)),
                part(Format.Quantity.usual()),
                part(Format.Names.usual()));
    }

    private static List<Part> texts() {
        return List.of(
                part(Appearance.usual()),
                part(Look.asBelow()),
                part(VisitorTexts.asTheyCome()),
                part(new Reworded(Language.EN, "text", Map.of()), "language", "text"),
                part(new WordedLabel(Language.EN, "label", "Wording"), "language", "label", "wording"));
    }

    /** @param mustBeSaid names of components that have no usual value; what the record has there stands for nothing */
    private static Part part(Record record, String... mustBeSaid) {
        Map<String, @Nullable Object> usual = new LinkedHashMap<>();
        for (RecordComponent component : record.getClass().getRecordComponents()) {
            if (!Set.of(mustBeSaid).contains(component.getName())) {
                usual.put(component.getName(), read(component, record));
            }
        }
        return new Part(record.getClass(), usual);
    }

    private static @Nullable Object read(RecordComponent component, Record of) {
        try {
            return component.getAccessor().invoke(of);
        } catch (ReflectiveOperationException impossible) {
            throw new IllegalStateException("reading " + component, impossible);
        }
    }
}
