package tidylantern.core.design.card;

import tidylantern.core.design.DesignFault;

/**
 * What the item tells in short, with the matched words marked.
 *
 * @param lines at most, by the room there is
 */
public record ExcerptPart(String key, int lines, Lettering lettering) implements CardPart {
    public static final int MOST_LINES = 12;
    private static final int USUAL_LINES = 4;

    public ExcerptPart {
        key = CardPart.checkedKey(key);
        DesignFault.unless(
                lines >= 1 && lines <= MOST_LINES, "lines", "%d lines are none; choose 1 to %d", lines, MOST_LINES);
    }

    /** A few lines. */
    public static ExcerptPart usual(String key) {
        return new ExcerptPart(key, USUAL_LINES, Lettering.usual());
    }
}
