package tidylantern.core.design;

import java.util.List;
import tidylantern.core.design.card.Card;
import tidylantern.core.design.look.Look;
import tidylantern.core.design.text.VisitorTexts;

/**
 * How the search looks and what it says.
 *
 * @param cards that the owner made, none twice for one place and collection, at most {@value #MOST_CARDS}
 * @param look what the search wears that its site does not
 * @param texts what visitors read around the content, and in which language
 */
public record Appearance(List<Card> cards, Look look, VisitorTexts texts) {
    public static final int MOST_CARDS = 100;

    public Appearance {
        cards = List.copyOf(cards);
        DesignFault.unless(
                cards.size() <= MOST_CARDS,
                "cards",
                "%d cards are too many; %d are the most",
                cards.size(),
                MOST_CARDS);
        DesignFault.ifTwice(cards.stream().map(Card::key).toList(), "cards", "the card for");
    }

    /** Cards and texts as they come, in the site's look. */
    public static Appearance usual() {
        return new Appearance(List.of(), Look.asBelow(), VisitorTexts.asTheyCome());
    }
}
