package tidylantern.core.design.card;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.DesignFault;

/** A card holds together, and is drawn where it was made for. */
class CardTest {
    private static final CollectionKey HOMES = new CollectionKey("homes");
    private static final CollectionKey POSTS = new CollectionKey("posts");
    private static final TitlePart TITLE = new TitlePart("title", 3, 2, Lettering.strong());

    private static Card card(Place place, CollectionKey collection, CardPart... parts) {
        return new Card(place, collection, PartGroup.column("card", Step.SMALL, parts));
    }

    private static MentionPart mention(String key) {
        return new MentionPart(key, MentionPart.What.COLLECTION, Lettering.quiet());
    }

    @Test
    void withoutATitleItsLinkWouldHaveNoName() {
        assertThatThrownBy(() -> card(Place.LIST, null, mention("collection")))
                .isInstanceOf(DesignFault.class)
                .hasMessageContaining("needs a title");
        assertThatThrownBy(() -> card(Place.LIST, null, TITLE, new TitlePart("again", 3, 2, Lettering.usual())))
                .hasMessageContaining("one title");
    }

    @Test
    void whatIsTooMuchOrTwiceIsRefused() {
        CardPart[] many = Stream.concat(Stream.of(TITLE), IntStream.range(0, 38).mapToObj(n -> mention("part-" + n)))
                .toArray(CardPart[]::new);
        assertThat(card(Place.LIST, null, many).leaves()).hasSize(39);
        CardPart[] more =
                Stream.concat(Stream.of(mention("one-more")), Stream.of(many)).toArray(CardPart[]::new);
        assertThatThrownBy(() -> card(Place.LIST, null, more)).hasMessageContaining("41 parts are too many");
        assertThatThrownBy(() -> card(Place.LIST, null, TITLE, mention("a"), mention("a")))
                .hasMessageContaining("\"a\" stands twice");
        PartGroup deep = PartGroup.column("g0", Step.SMALL, TITLE);
        for (int n = 1; n < Card.MOST_DEPTH; n++) {
            deep = PartGroup.column("g" + n, Step.SMALL, deep);
        }
        PartGroup deepest = deep;
        assertThat(new Card(Place.LIST, null, deepest).leaves()).containsExactly(TITLE);
        assertThatThrownBy(() -> new Card(Place.LIST, null, PartGroup.column("more", Step.SMALL, deepest)))
                .hasMessageContaining("6 deep");
        assertThatThrownBy(() -> mention("No key")).hasMessageContaining("cannot name a part");
    }

    @Test
    void placesFollowOneAnotherUntilTheyAreChanged() {
        assertThat(Card.chosen(List.of(), Place.LIST, HOMES)).isEqualTo(ReadyCards.usual(Place.LIST));
        assertThat(Card.chosen(List.of(), Place.LIVE, HOMES)).isEqualTo(ReadyCards.usual(Place.LIVE));
        Card all = card(Place.LIST, null, TITLE);
        Card homes = card(Place.LIST, HOMES, TITLE, mention("collection"));
        Card live = card(Place.LIVE, null, TITLE, mention("other"));
        List<Card> made = List.of(all, homes);
        assertThat(Card.chosen(made, Place.GRID, POSTS)).isEqualTo(all);
        assertThat(Card.chosen(made, Place.LIVE, HOMES)).isEqualTo(homes);
        assertThat(Card.chosen(List.of(all, homes, live), Place.LIVE, HOMES))
                .as("what was made for a place holds there")
                .isEqualTo(live);
        assertThat(Card.chosen(List.of(homes), Place.LIST, POSTS)).isEqualTo(ReadyCards.usual(Place.LIST));
    }

    @ParameterizedTest
    @EnumSource(FieldKind.class)
    void everyKindHasFormatsThatFitIt(FieldKind kind) {
        assertThat(Format.fitting(kind)).isNotEmpty().allMatch(format -> format.fits(kind));
    }

    @Test
    void readyCardsAreFilledWithWhatACollectionHas() {
        Collection homes = collection(Map.of("price", FieldKind.MONEY, "bedrooms", FieldKind.NUMBER));
        List<ReadyCards.Ready> ready = ready(homes);
        assertThat(ready)
                .extracting(ReadyCards.Ready::name)
                .startsWith("A home or a room")
                .endsWith("Plain", "Nothing but the title");
        Card home = new Card(Place.LIST, null, ready.getFirst().body());
        assertThat(home.fields()).containsExactlyInAnyOrder(new FieldKey("price"), new FieldKey("bedrooms"));
        ValuePart bedrooms = home.leaves()
                .flatMap(part -> part instanceof ValuePart value ? Stream.of(value) : Stream.empty())
                .filter(value -> value.key().equals("bedrooms"))
                .findFirst()
                .orElseThrow();
        assertThat(bedrooms.beside("1")).isEqualTo("Bedrooms: 1");
        Collection trips = collection(Map.of("nextDeparture", FieldKind.DATE, "author", FieldKind.TEXT));
        assertThat(ready(trips))
                .extracting(ReadyCards.Ready::name)
                .contains("A trip or an event", "A post", "Plain")
                .doesNotContain("A home or a room");
    }

    @Test
    void aTextBesideAValueKeepsApartFromItWhereLettersWouldMeet() {
        assertThat(beside("from", "a week")).isEqualTo("from 480 a week");
        assertThat(beside("ca. ", "+")).isEqualTo("ca. 480+");
        assertThat(beside("£", "")).isEqualTo("£480");
        assertThat(beside("", "%")).isEqualTo("480%");
    }

    private static String beside(String before, String after) {
        return new ValuePart("price", new FieldKey("price"), before, after, new Format.Usual(), Lettering.usual())
                .beside("480");
    }

    /** Stars above five would be five, whatever the number says. */
    @Test
    void aRatingIsToldBySignsOnlyWhereAllFindRoomAmongThem() {
        Collection rated = collection(Map.of("trade", FieldKind.CATEGORY, "rating", FieldKind.NUMBER));
        assertThat(ratedBy(rated, "4.5", "5")).isEqualTo(Format.Quantity.Style.SIGNS);
        assertThat(ratedBy(rated, "4.5", "7.4")).isEqualTo(Format.Quantity.Style.NUMBER);
    }

    private static Format.Quantity.Style ratedBy(Collection rated, String... ratings) {
        List<Item> some = Stream.of(ratings)
                .map(rating -> new Item(
                        new ItemRef(HOMES, new ItemId(rating)),
                        Map.of(new FieldKey("rating"), new FieldValue.Numeric(new BigDecimal(rating)))))
                .toList();
        // A place or a rating makes an entry of a directory.
        return ReadyCards.of(rated, new SiteContent(List.of(rated)), some).stream()
                .filter(ready -> ready.name().equals(ReadyCards.ENTRY))
                .flatMap(ready -> new Card(Place.LIST, null, ready.body()).leaves())
                .flatMap(part -> part instanceof ValuePart value && value.key().equals("rating")
                        ? Stream.of(((Format.Quantity) value.format()).style())
                        : Stream.empty())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void whatHasCategoriesAloneSaysTwoOfThem() {
        Collection countries = collection(Map.of(
                "continent", FieldKind.CATEGORY, "currency", FieldKind.CATEGORY, "languages", FieldKind.CATEGORY));
        ReadyCards.Ready first = ready(countries).getFirst();
        assertThat(first.name()).isEqualTo(ReadyCards.FACTS);
        assertThat(new Card(Place.LIST, null, first.body()).fields())
                .containsExactlyInAnyOrder(new FieldKey("continent"), new FieldKey("currency"));
    }

    private static List<ReadyCards.Ready> ready(Collection collection) {
        return ReadyCards.of(collection, new SiteContent(List.of(collection)), List.of());
    }

    private static Collection collection(Map<String, FieldKind> fields) {
        return new Collection(
                HOMES,
                "Homes",
                "en",
                fields.entrySet().stream()
                        .sorted(Map.Entry.comparingByKey())
                        .map(field -> new Field(
                                new FieldKey(field.getKey()),
                                field.getValue(),
                                field.getKey(),
                                Field.labelFrom(field.getKey())))
                        .toList());
    }
}
