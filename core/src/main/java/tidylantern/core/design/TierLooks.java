package tidylantern.core.design;

import java.util.Locale;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * How the card of an item is drawn that holds a featured tier, wherever cards are drawn. It never moves anything.
 * Colours are written {@code #8a5200}.
 *
 * @param ground behind the card; null for that of all cards
 * @param corners how round they are, 0 to {@value #ROUNDEST} px; null for those of all cards
 * @param edge around the card
 * @param edgeColor of the edge; the ink of lamps where none is named
 * @param ribbon a short label on the card; null for none
 */
public record TierLooks(
        @Nullable String ground,
        @Nullable Integer corners,
        Edge edge,
        String edgeColor,
        @Nullable Ribbon ribbon) {
    public static final int ROUNDEST = 24;
    /** The colour of lamps, dark enough for text on white. */
    static final String LAMP = "#8a5200";

    private static final String WHITE = "#ffffff";

    public TierLooks {
        ground = colour(ground, "ground");
        DesignFault.unless(
                corners == null || (corners >= 0 && corners <= ROUNDEST),
                "corners",
                "corners of %s px are none; choose 0 to %d",
                corners,
                ROUNDEST);
        edgeColor = Objects.requireNonNullElse(colour(edgeColor, "edgeColor"), LAMP);
    }

    /** As all cards look. */
    public static TierLooks plain() {
        return new TierLooks(null, null, Edge.NONE, LAMP, null);
    }

    /** As all cards look, with a ribbon in the colour of lamps. */
    public static TierLooks ribbon(String text) {
        return new TierLooks(null, null, Edge.NONE, LAMP, new Ribbon(text, WHITE, LAMP, Size.USUAL, Side.END));
    }

    private static @Nullable String colour(@Nullable String written, String key) {
        Colour read = Colour.read(written, key);
        return read == null ? null : read.toString();
    }

    /** A line around the card. */
    public enum Edge {
        NONE,
        FINE,
        CLEAR,
        STRONG;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** How large a ribbon's text is. */
    public enum Size {
        SMALL,
        USUAL,
        LARGE;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** Where a ribbon stands on the card: where lines begin, or where they end. */
    public enum Side {
        START,
        END;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * A short label on a card.
     *
     * @param text 1 to {@value #LONGEST} characters; what does not fit on the card is cut short there
     * @param color of the text; white where none is named
     * @param ground behind the text; the ink of lamps where none is named
     */
    public record Ribbon(String text, String color, String ground, Size size, Side side) {
        public static final int LONGEST = 60;

        public Ribbon {
            text = text.strip();
            DesignFault.unless(!text.isEmpty(), "text", "a ribbon needs a text; switch it off to have none");
            DesignFault.unless(
                    text.length() <= LONGEST,
                    "text",
                    "a ribbon's text of %d characters fits no card; %d are the most",
                    text.length(),
                    LONGEST);
            DesignFault.unless(text.chars().noneMatch(Character::isISOControl), "text", "a ribbon's text is one line");
            color = Objects.requireNonNullElse(colour(color, "color"), WHITE);
            ground = Objects.requireNonNullElse(colour(ground, "ground"), LAMP);
        }
    }
}
