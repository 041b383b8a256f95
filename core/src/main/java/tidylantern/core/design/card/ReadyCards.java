package tidylantern.core.design.card;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Collection;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.card.Format.Amount;
import tidylantern.core.design.card.Format.Days;
import tidylantern.core.design.card.Format.Names;
import tidylantern.core.design.card.Format.Quantity;

/** Complete cards to begin from, filled with what a collection has. */
public final class ReadyCards {
    public static final String HOME = "A home or a room";
    public static final String TRIP = "A trip or an event";
    public static final String RECIPE = "A recipe";
    public static final String ENTRY = "An entry of a directory";
    public static final String POST = "A post";
    public static final String PICTURE = "A picture";
    public static final String FACTS = "A thing with its facts";

    private static final Set<FieldKey> TOLD_ELSEWHERE = Set.of(FieldKey.AUTHOR, FieldKey.PUBLISHED);

    private static final PartGroup TEXTS = PartGroup.column(
            "texts",
            Step.SMALL,
            mention(MentionPart.What.RIBBON),
            title(),
            excerpt(4),
            PartGroup.line(
                    "about",
                    mention(MentionPart.What.COLLECTION),
                    mention(MentionPart.What.DISCLOSURE),
                    mention(MentionPart.What.DISTANCE)));
    private static final PartGroup PLAIN =
            PartGroup.row("card", Step.LARGE, picture(PicturePart.Shape.FOUR_TO_THREE, PicturePart.Size.USUAL), TEXTS);
    private static final PartGroup EMPTY = PartGroup.column("card", Step.SMALL, title());
    private static final PartGroup UPRIGHT = PartGroup.column(
            "card", Step.USUAL, picture(PicturePart.Shape.FOUR_TO_THREE, PicturePart.Size.FULL), TEXTS);
    private static final PartGroup TILE = PartGroup.column(
            "card",
            Step.SMALL,
            new PicturePart(
                    "picture",
                    PicturePart.Shape.SQUARE,
                    PicturePart.Size.FULL,
                    false,
                    PicturePart.StandIn.LETTER,
                    Step.NONE),
            mention(MentionPart.What.RIBBON),
            new TitlePart("title", 3, 2, new Lettering(Lettering.Size.SMALL, true, Lettering.Tone.TEXT)),
            PartGroup.line("about", mention(MentionPart.What.DISCLOSURE), mention(MentionPart.What.DISTANCE)));
    private static final PartGroup ROW = PartGroup.row(
            "card",
            Step.USUAL,
            picture(PicturePart.Shape.FOUR_TO_THREE, PicturePart.Size.ICON),
            PartGroup.column(
                    "texts",
                    Step.NONE,
                    PartGroup.row(
                            "name",
                            Step.SMALL,
                            new TitlePart("title", 3, 2, Lettering.strong()),
                            mention(MentionPart.What.RIBBON)),
                    mention(MentionPart.What.DISCLOSURE),
                    new ExcerptPart("excerpt", 2, Lettering.quiet())));

    /** At hand, since an answer asks for each collection found. */
    private static final Map<Place, Card> USUAL = Arrays.stream(Place.values())
            .collect(Collectors.toUnmodifiableMap(
                    Function.identity(), place -> new Card(place, null, usualBody(place))));

    private final Collection collection;
    /** Fields that other collections of the site have, too: they tell less of what this one is about. */
    private final Set<FieldKey> shared;

    private final List<Item> some;

    private ReadyCards(Collection collection, Set<FieldKey> shared, List<Item> some) {
        this.collection = collection;
        this.shared = shared;
        this.some = some;
    }

    /** @param name what it is for, as owners read it */
    public record Ready(String name, PartGroup body) {
        private long shown() {
            return body.withBelow().filter(ValuePart.class::isInstance).count();
        }
    }

    /** What is drawn where an owner made no card. */
    public static Card usual(Place place) {
        return Objects.requireNonNull(USUAL.get(place));
    }

    private static PartGroup usualBody(Place place) {
        return switch (place) {
            case LIST -> PLAIN;
            case GRID -> UPRIGHT;
            case WALL -> TILE;
            case LIVE -> ROW;
        };
    }

    /** The parts that any card can have, as they begin. */
    public static List<CardPart> parts() {
        List<CardPart> parts = new ArrayList<>(
                List.of(picture(PicturePart.Shape.FOUR_TO_THREE, PicturePart.Size.USUAL), title(), excerpt(4)));
        for (MentionPart.What what : MentionPart.What.values()) {
            parts.add(mention(what));
        }
        parts.add(new ButtonPart("button", "Look at it", null));
        parts.add(PartGroup.line("line"));
        parts.add(PartGroup.row("row", Step.USUAL));
        parts.add(PartGroup.column("column", Step.SMALL));
        return parts;
    }

    /**
     * Those that a collection has the fields for, the one that shows most of them first; the plain one last.
     *
     * @param some items of the collection, by whose values a rating is told from other numbers
     */
    public static List<Ready> of(Collection collection, SiteContent content, List<Item> some) {
        Set<FieldKey> shared = content.collections().stream()
                .filter(other -> !other.key().equals(collection.key()))
                .flatMap(other -> other.fields().stream())
                .map(Field::key)
                .collect(Collectors.toSet());
        ReadyCards with = new ReadyCards(collection, shared, some);
        return Stream.concat(
                        Stream.of(
                                        with.home(),
                                        with.trip(),
                                        with.recipe(),
                                        with.entry(),
                                        with.post(),
                                        with.picture(),
                                        with.facts())
                                .filter(Objects::nonNull)
                                .sorted(Comparator.comparingLong(Ready::shown).reversed()),
                        Stream.of(new Ready("Plain", PLAIN), new Ready("Nothing but the title", EMPTY)))
                .toList();
    }

    private @Nullable Ready home() {
        ValuePart price = price(Lettering.strong());
        ValuePart rooms = firstNumber();
        return price == null || rooms == null
                ? null
                : beside(
                        HOME,
                        picture(PicturePart.Shape.FOUR_TO_THREE, PicturePart.Size.THIRD),
                        title(),
                        excerpt(2),
                        line("facts", price, rooms, place()));
    }

    private @Nullable Ready trip() {
        ValuePart day = of(FieldKind.DATE)
                .map(field -> ValuePart.of(field.key(), new Days(Days.Which.NEXT, Days.Told.WITHOUT_YEAR), accent()))
                .findFirst()
                .orElse(null);
        return day == null
                ? null
                : beside(
                        TRIP,
                        picture(PicturePart.Shape.SQUARE, PicturePart.Size.USUAL),
                        line("when", day, firstNumber()),
                        title(),
                        excerpt(2),
                        line("facts", price(Lettering.strong()), place()));
    }

    private @Nullable Ready recipe() {
        Field minutes = numbers().filter(ReadyCards::isDuration).findFirst().orElse(null);
        return minutes == null
                ? null
                : beside(
                        RECIPE,
                        picture(PicturePart.Shape.THREE_TO_TWO, PicturePart.Size.LARGE),
                        title(),
                        line("facts", number(minutes), category(false, Lettering.quiet()), author(Lettering.quiet())),
                        excerpt(2));
    }

    private @Nullable Ready entry() {
        ValuePart trade = category(true, Lettering.quiet());
        ValuePart rating = numbers()
                .filter(field -> names(field, "rating", "stars"))
                .map(this::rating)
                .findFirst()
                .orElse(null);
        return trade == null || (rating == null && place() == null)
                ? null
                : beside(
                        ENTRY,
                        picture(PicturePart.Shape.SQUARE, PicturePart.Size.SMALL),
                        title(),
                        line("facts", rating, place()),
                        excerpt(2),
                        trade);
    }

    /** By signs where all ratings that are known have a place among them; "7.4" says no more than "5 of 5" by signs. */
    private ValuePart rating(Field field) {
        boolean fits = some.stream()
                .map(item -> item.values().get(field.key()))
                .allMatch(value -> !(value instanceof FieldValue.Numeric number)
                        || number.number().compareTo(BigDecimal.valueOf(Quantity.USUAL_SIGNS)) <= 0);
        return fits
                ? ValuePart.of(field.key(), new Quantity(Quantity.Style.SIGNS, Quantity.USUAL_SIGNS), Lettering.usual())
                : number(field);
    }

    /** What is none of these: two categories. */
    private @Nullable Ready facts() {
        List<ValuePart> categories = of(FieldKind.CATEGORY)
                .sorted(Comparator.comparing(field -> shared.contains(field.key())))
                .map(field -> ValuePart.of(field.key(), new Names(false, false, 2), Lettering.quiet()))
                .limit(2)
                .toList();
        return categories.isEmpty()
                ? null
                : beside(
                        FACTS,
                        picture(PicturePart.Shape.SQUARE, PicturePart.Size.SMALL),
                        title(),
                        excerpt(2),
                        line("facts", categories.toArray(CardPart[]::new)));
    }

    private @Nullable Ready post() {
        ValuePart author = author(Lettering.quiet());
        ValuePart day = collection.field(FieldKey.PUBLISHED) == null
                ? null
                : ValuePart.of(FieldKey.PUBLISHED, new Days(Days.Which.NEXT, Days.Told.USUAL), Lettering.quiet());
        return author == null && day == null
                ? null
                : new Ready(
                        POST,
                        PartGroup.row(
                                "card",
                                Step.LARGE,
                                withRest(title(), line("facts", author, day), excerpt(4)),
                                picture(PicturePart.Shape.SQUARE, PicturePart.Size.USUAL)));
    }

    private @Nullable Ready picture() {
        return collection.field(FieldKey.IMAGE) == null
                ? null
                : new Ready(
                        PICTURE,
                        PartGroup.column(
                                "card",
                                Step.SMALL,
                                picture(PicturePart.Shape.NATURAL, PicturePart.Size.FULL),
                                withRest(
                                        new TitlePart("title", 3, 2, Lettering.strong()),
                                        line("facts", author(Lettering.quiet()), place()))));
    }

    /** Texts beside a picture. */
    private static Ready beside(String name, PicturePart picture, @Nullable CardPart... texts) {
        return new Ready(name, PartGroup.row("card", Step.LARGE, picture, withRest(texts)));
    }

    /** Texts with what belongs to every card, though it stands on some results only. */
    private static PartGroup withRest(@Nullable CardPart... texts) {
        List<CardPart> all = new ArrayList<>(List.of(mention(MentionPart.What.RIBBON)));
        all.addAll(List.of(given(texts)));
        all.add(PartGroup.line("about", mention(MentionPart.What.DISCLOSURE), mention(MentionPart.What.DISTANCE)));
        return PartGroup.column("texts", Step.SMALL, all.toArray(CardPart[]::new));
    }

    private static PicturePart picture(PicturePart.Shape shape, PicturePart.Size size) {
        return PicturePart.of(shape, size);
    }

    private static PartGroup line(String key, @Nullable CardPart... parts) {
        return PartGroup.line(key, given(parts));
    }

    private static CardPart[] given(@Nullable CardPart... parts) {
        return Arrays.stream(parts).filter(Objects::nonNull).toArray(CardPart[]::new);
    }

    private static TitlePart title() {
        return new TitlePart("title", 3, 3, new Lettering(Lettering.Size.LARGE, true, Lettering.Tone.TEXT));
    }

    private static ExcerptPart excerpt(int lines) {
        return new ExcerptPart("excerpt", lines, Lettering.usual());
    }

    private static MentionPart mention(MentionPart.What what) {
        return new MentionPart(what.toString(), what, Lettering.quiet());
    }

    private static Lettering accent() {
        return new Lettering(Lettering.Size.SMALL, true, Lettering.Tone.ACCENT);
    }

    private Stream<Field> of(FieldKind kind) {
        return collection.fields().stream()
                .filter(field -> field.kind() == kind && !TOLD_ELSEWHERE.contains(field.key()));
    }

    private Stream<Field> numbers() {
        return of(FieldKind.NUMBER);
    }

    private @Nullable ValuePart firstNumber() {
        return numbers().map(ReadyCards::number).findFirst().orElse(null);
    }

    /** A number with its unit or, where it has none, its name before it, which fits any number: "Bedrooms: 3". */
    private static ValuePart number(Field field) {
        if (isDuration(field)) {
            return ValuePart.of(
                    field.key(), new Quantity(Quantity.Style.DURATION, Quantity.USUAL_SIGNS), Lettering.usual());
        }
        String before = field.unit() == null ? field.label() + ":" : "";
        return new ValuePart(
                field.key().hyphenated(),
                field.key(),
                before.length() <= ValuePart.LONGEST ? before : "",
                "",
                new Quantity(Quantity.Style.NUMBER, Quantity.USUAL_SIGNS),
                Lettering.usual());
    }

    private static boolean isDuration(Field field) {
        return Objects.equals(field.unit(), "min") || names(field, "minutes");
    }

    private static boolean names(Field field, String... words) {
        String name = field.label().toLowerCase(Locale.ROOT);
        return Arrays.stream(words).anyMatch(name::contains);
    }

    private @Nullable ValuePart price(Lettering lettering) {
        return of(FieldKind.MONEY)
                .map(field -> ValuePart.of(field.key(), new Amount(false), lettering))
                .findFirst()
                .orElse(null);
    }

    private @Nullable ValuePart place() {
        return of(FieldKind.PLACE)
                .map(field -> ValuePart.of(field.key(), new Format.Usual(), Lettering.usual()))
                .findFirst()
                .orElse(null);
    }

    private @Nullable ValuePart category(boolean chips, Lettering lettering) {
        return of(FieldKind.CATEGORY)
                .sorted(Comparator.comparing(field -> shared.contains(field.key())))
                .map(field -> ValuePart.of(field.key(), new Names(false, chips, 3), lettering))
                .findFirst()
                .orElse(null);
    }

    private @Nullable ValuePart author(Lettering lettering) {
        return collection.field(FieldKey.AUTHOR) == null
                ? null
                : ValuePart.of(FieldKey.AUTHOR, new Format.Usual(), lettering);
    }
}
