package tidylantern.core.design.card;

import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.design.DesignFault;

/**
 * What stands on a result.
 *
 * @param place where it is drawn, and wherever that is followed by a place without a card of its own
 * @param collection whose results it is for; null for those of every collection that has none of its own there
 * @param body at most {@value #MOST_PARTS} parts, groups counted, no key twice, with one title
 * @param frame what is around its parts
 */
public record Card(Place place, @Nullable CollectionKey collection, PartGroup body, Frame frame) {
    public static final int MOST_PARTS = 40;
    public static final int MOST_DEPTH = 5;

    public Card {
        List<CardPart> parts = body.withBelow().toList();
        DesignFault.unless(
                parts.size() <= MOST_PARTS,
                "body.parts",
                "%d parts are too many for a card; %d are the most",
                parts.size(),
                MOST_PARTS);
        DesignFault.unless(
                body.depth() <= MOST_DEPTH,
                "body.parts",
                "groups stand %d deep in one another; %d are the most",
                body.depth(),
                MOST_DEPTH);
        DesignFault.ifTwice(parts.stream().map(CardPart::key).toList(), "body.parts", "the key");
        long titles = parts.stream().filter(TitlePart.class::isInstance).count();
        DesignFault.unless(titles > 0, "body.parts", "a card needs a title, since its link would have no name");
        DesignFault.unless(titles == 1, "body.parts", "a card has one title; take the others away");
    }

    /** A card whose frame is the look's. */
    public Card(Place place, @Nullable CollectionKey collection, PartGroup body) {
        this(place, collection, body, Frame.asLook());
    }

    /** What tells it apart in a design: {@code live}, or {@code live homes} where it is a collection's own. */
    public String key() {
        return collection == null ? place.toString() : place + " " + collection;
    }

    /** So many lines its excerpt has at the most; 0 where it shows none. */
    public int excerptLines() {
        return leaves().mapToInt(part -> part instanceof ExcerptPart excerpt ? excerpt.lines() : 0)
                .max()
                .orElse(0);
    }

    /** The parts that are drawn, in the order in which they are read. */
    public Stream<CardPart> leaves() {
        return body.withBelow().filter(part -> !(part instanceof PartGroup));
    }

    /** The fields that it shows beside title, excerpt and picture. */
    public Set<FieldKey> fields() {
        return leaves().map(part -> switch (part) {
                    case ValuePart shown -> shown.field();
                    case ButtonPart button -> button.link();
                    default -> null;
                })
                .filter(Objects::nonNull)
                .collect(Collectors.toUnmodifiableSet());
    }

    /**
     * The card of a collection's results in a place: its own there, that of all collections there, or the one of the
     * place which is followed; where nobody made one, the usual one.
     *
     * @param made what an owner made, none twice for one place and collection
     * @param collection null for what holds for those without a card of their own
     */
    public static Card chosen(List<Card> made, Place place, @Nullable CollectionKey collection) {
        for (Place at = place; at != null; at = at.followed()) {
            Place here = at;
            List<Card> cards = made.stream().filter(card -> card.place == here).toList();
            for (CollectionKey whose : new @Nullable CollectionKey[] {collection, null}) {
                for (Card card : cards) {
                    if (Objects.equals(card.collection, whose)) {
                        return card;
                    }
                }
            }
        }
        return ReadyCards.usual(place);
    }
}
