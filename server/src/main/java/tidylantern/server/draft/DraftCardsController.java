package tidylantern.server.draft;

import io.swagger.v3.oas.annotations.Operation;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.Reach;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Sign;
import tidylantern.core.design.card.Card;
import tidylantern.core.design.card.CardPart;
import tidylantern.core.design.card.Format;
import tidylantern.core.design.card.Frame;
import tidylantern.core.design.card.Lettering;
import tidylantern.core.design.card.PartGroup;
import tidylantern.core.design.card.Place;
import tidylantern.core.design.card.ReadyCards;
import tidylantern.core.design.card.ValuePart;
import tidylantern.core.query.listing.ItemFilter;
import tidylantern.core.query.listing.ItemListing;
import tidylantern.server.answer.AnswerTexts;
import tidylantern.server.answer.Signs;
import tidylantern.server.answer.ValueTexts;
import tidylantern.server.content.SiteContents;
import tidylantern.server.content.SiteIndexes;
import tidylantern.server.design.Searches;
import tidylantern.server.key.SearchKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.site.Sites;

/** What the cards of a draft are, and what they can be made of. */
@RestController
class DraftCardsController {
    /** So many items are looked at for an example of each field. */
    private static final int LOOKED_AT = 40;
    /** What every card shows by parts of their own. */
    private static final Set<FieldKey> SHOWN_BY_PARTS =
            Set.of(FieldKey.TITLE, FieldKey.SUMMARY, FieldKey.BODY, FieldKey.IMAGE, FieldKey.HEADINGS);

    private final Searches searches;
    private final SiteIndexes indexes;
    private final SiteContents contents;
    private final Sites sites;
    private final Clock clock;

    DraftCardsController(Searches searches, SiteIndexes indexes, SiteContents contents, Sites sites, Clock clock) {
        this.searches = searches;
        this.indexes = indexes;
        this.contents = contents;
        this.sites = sites;
        this.clock = clock;
    }

    /**
     * What is drawn in a place.
     *
     * @param collection null for what holds for collections without a card of their own
     * @param own whether the draft has a card for just this
     */
    record DrawnCard(Place place, @Nullable CollectionKey collection, PartGroup body, Frame frame, boolean own) {}

    /** @param path its outline, as the path of an SVG of 24 by 24 */
    record DrawnSign(Sign sign, String called, String path) {}

    /** @param example how the value of some item is written so */
    record WrittenSo(Format format, String example) {}

    /**
     * A field that a card can show.
     *
     * @param part as it begins
     * @param formats that fit its kind, the usual one first; one that writes nothing of the example is left out
     */
    record ShownField(ValuePart part, String label, FieldKind kind, String example, List<WrittenSo> formats) {}

    /** What the cards of a collection can be made of. */
    record CardMaterial(
            CollectionKey collection, String label, List<ReadyCards.Ready> ready, List<ShownField> fields) {}

    /**
     * @param parts that any card can have, as they begin
     * @param signs that can stand for a collection
     */
    record CardChoices(
            List<DrawnCard> drawn, List<CardMaterial> collections, List<CardPart> parts, List<DrawnSign> signs) {}

    @Operation(summary = "What the draft's cards are in each place, and what they can be made of.")
    @GetMapping("/api/owner/searches/{key}/draft/cards")
    CardChoices cards(@PathVariable SearchKey key) {
        Searches.Draft draft = searches.draft(key);
        SiteContent content = contents.of(draft.site());
        SearchDesign design = draft.design();
        List<Collection> searched = design.reach().collections().stream()
                .map(Reach.Searched::collection)
                .map(content::collection)
                .filter(Objects::nonNull)
                .toList();
        ValueTexts values =
                new ValueTexts(AnswerTexts.of(content, design, null), LocalDate.now(clock.withZone(content.zone())));
        return new CardChoices(
                drawn(design, searched),
                searched.stream()
                        .map(collection -> new CardMaterial(
                                collection.key(),
                                collection.label(),
                                ReadyCards.of(collection, content, some(draft.site(), content, collection)),
                                fields(draft.site(), content, collection, values)))
                        .toList(),
                ReadyCards.parts(),
                Arrays.stream(Sign.values())
                        .map(sign -> new DrawnSign(sign, sign.called(), Signs.pathOf(sign)))
                        .toList());
    }

    private static List<DrawnCard> drawn(SearchDesign design, List<Collection> searched) {
        List<@Nullable CollectionKey> whose = new ArrayList<>();
        whose.add(null);
        searched.forEach(collection -> whose.add(collection.key()));
        return Arrays.stream(Place.values())
                .flatMap(place -> whose.stream().map(collection -> {
                    Card card = design.card(place, collection);
                    boolean own = design.cards().contains(card)
                            && card.place() == place
                            && Objects.equals(card.collection(), collection);
                    return new DrawnCard(place, collection, card.body(), card.frame(), own);
                }))
                .toList();
    }

    private List<ShownField> fields(SiteKey site, SiteContent content, Collection collection, ValueTexts values) {
        String address = sites.get(site).address();
        Map<FieldKey, FieldValue> examples = new LinkedHashMap<>();
        for (Item item : some(site, content, collection)) {
            item.values().forEach(examples::putIfAbsent);
        }
        return collection.fields().stream()
                .filter(field -> !SHOWN_BY_PARTS.contains(field.key()))
                .flatMap(field -> Stream.ofNullable(shown(field, examples.get(field.key()), values, address)))
                .toList();
    }

    private List<Item> some(SiteKey site, SiteContent content, Collection collection) {
        return indexes
                .listing(site)
                .page(
                        content,
                        new ItemFilter(collection.key(), "", List.of()),
                        new ItemListing.ByChange(),
                        true,
                        1,
                        LOOKED_AT,
                        Set.copyOf(collection.fields().stream().map(Field::key).toList()))
                .rows()
                .stream()
                .map(row -> row.item())
                .toList();
    }

    /** Null for a field of which there is no example, or that nothing is written of. */
    private static @Nullable ShownField shown(
            Field field, @Nullable FieldValue example, ValueTexts values, String address) {
        if (example == null) {
            return null;
        }
        List<WrittenSo> formats = Format.fitting(field.kind()).stream()
                .flatMap(format -> Stream.ofNullable(values.write(
                                ValuePart.of(field.key(), format, Lettering.usual()), example, field, address))
                        .map(value -> new WrittenSo(format, value.seen())))
                .toList();
        if (formats.isEmpty()) {
            return null;
        }
        WrittenSo usual = formats.getFirst();
        return new ShownField(
                ValuePart.of(field.key(), usual.format(), Lettering.usual()),
                field.label(),
                field.kind(),
                usual.example(),
                formats);
    }
}
