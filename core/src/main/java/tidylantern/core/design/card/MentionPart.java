package tidylantern.core.design.card;

import java.util.Locale;

/** Something that is known of a result and is no field of its item. */
public record MentionPart(String key, What what, Lettering lettering) implements CardPart {
    public MentionPart {
        key = CardPart.checkedKey(key);
    }

    /** What can be mentioned. */
    public enum What {
        /** The label of the item's collection. */
        COLLECTION,
        /** The short label of a featured tier. */
        RIBBON,
        /** What visitors read because a tier is paid for. */
        DISCLOSURE,
        /** How far the item is from the visitor's place. */
        DISTANCE;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
