package tidylantern.core.design.card;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * The item's picture.
 *
 * @param whole whether all of it is shown, with ground around it; else it fills its shape, cut where it must be
 * @param standIn what stands in its place where an item has none
 * @param corners how round it is; null as the look has it
 */
public record PicturePart(
        String key,
        Shape shape,
        Size size,
        boolean whole,
        StandIn standIn,
        @Nullable Step corners) implements CardPart {
    public PicturePart {
        key = CardPart.checkedKey(key);
    }

    /** A picture of usual shape and size, alone. */
    public static PicturePart usual(String key) {
        return new PicturePart(key, Shape.FOUR_TO_THREE, Size.USUAL, false, StandIn.NONE, null);
    }

    /** A picture that fills its shape; its corners are the look's, and nothing stands in for it. */
    public static PicturePart of(Shape shape, Size size) {
        return new PicturePart("picture", shape, size, false, StandIn.NONE, null);
    }

    /** Width to height. */
    public enum Shape {
        SQUARE("square"),
        FOUR_TO_THREE("4-3"),
        THREE_TO_TWO("3-2"),
        SIXTEEN_TO_NINE("16-9"),
        ROUND("round"),
        /** As it came. */
        NATURAL("natural");

        private final String written;

        Shape(String written) {
            this.written = written;
        }

        @Override
        public String toString() {
            return written;
        }
    }

    /** How wide it is: in steps, or as a part of the card. */
    public enum Size {
        ICON,
        SMALL,
        USUAL,
        LARGE,
        THIRD,
        FULL;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** What stands where a picture is missing. */
    public enum StandIn {
        /** Nothing: the other parts take its room. */
        NONE,
        /** The first letter of the title. */
        LETTER,
        /** The sign of its collection. */
        SIGN;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
