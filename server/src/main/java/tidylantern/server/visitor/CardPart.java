package tidylantern.server.visitor;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldValue;
import tidylantern.core.design.Tier;
import tidylantern.core.query.Hit;
import tidylantern.core.query.MarkedText;

/**
 * One part of a result's card, as every renderer draws it.
 *
 * @param text what visitors read, in runs; of a picture what it shows, which may be nothing
 * @param value the same for the page, where it needs one: the address of a picture, a distance in kilometres; else null
 */
record CardPart(
        Kind part, List<MarkedText.Run> text, @Nullable String value) {
    /** What a part tells. */
    enum Kind {
        PICTURE,
        /** The short label of a featured tier. */
        RIBBON,
        TITLE,
        EXCERPT,
        COLLECTION,
        /** What visitors read because a tier is paid for. */
        DISCLOSURE,
        /** How far the item is from the visitor's place. */
        DISTANCE;

        /** As answers have it. */
        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** The card of a result, in the order in which it is read; without parts that have no value. */
    static List<CardPart> of(Hit hit, AnswerTexts texts, String siteAddress) {
        List<CardPart> card = new ArrayList<>();
        FieldValue.Image image = hit.image();
        if (image != null) {
            String shows = image.alternative() == null ? "" : image.alternative();
            card.add(new CardPart(Kind.PICTURE, plain(shows), Answering.absolute(image.address(), siteAddress)));
        }
        Tier tier = hit.tier();
        if (tier != null && tier.looks().ribbon() != null) {
            card.add(new CardPart(Kind.RIBBON, plain(tier.looks().ribbon().text()), null));
        }
        card.add(new CardPart(Kind.TITLE, hit.title().runs(), null));
        if (!hit.excerpt().runs().isEmpty()) {
            card.add(new CardPart(Kind.EXCERPT, hit.excerpt().runs(), null));
        }
        card.add(new CardPart(Kind.COLLECTION, plain(hit.collectionLabel()), null));
        if (tier != null && tier.disclosure() != null) {
            card.add(new CardPart(Kind.DISCLOSURE, plain(tier.disclosure()), null));
        }
        if (hit.metres() != null) {
            double km = hit.metres() / 1_000;
            card.add(new CardPart(Kind.DISTANCE, plain(texts.away(km)), Double.toString(km)));
        }
        return card;
    }

    private static List<MarkedText.Run> plain(String text) {
        return text.isEmpty() ? List.of() : List.of(new MarkedText.Run(text, false));
    }
}
