package tidylantern.core.design.card;

import tidylantern.core.design.DesignFault;

/**
 * The item's title, which leads to its page. Every card has one, since its link would have no name.
 *
 * @param level of the heading, 2 to 6
 * @param lines at most; what is longer is cut where it is seen
 */
public record TitlePart(String key, int level, int lines, Lettering lettering) implements CardPart {
    public static final int MOST_LINES = 6;
    private static final int USUAL_LEVEL = 3;
    private static final int USUAL_LINES = 3;

    public TitlePart {
        key = CardPart.checkedKey(key);
        DesignFault.unless(level >= 2 && level <= 6, "level", "there is no heading of level %d; choose 2 to 6", level);
        DesignFault.unless(
                lines >= 1 && lines <= MOST_LINES, "lines", "%d lines are none; choose 1 to %d", lines, MOST_LINES);
    }

    /** A strong one of a few lines. */
    public static TitlePart usual(String key) {
        return new TitlePart(key, USUAL_LEVEL, USUAL_LINES, Lettering.strong());
    }
}
