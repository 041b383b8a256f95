package tidylantern.core.design.card;

import java.util.Objects;
import tidylantern.core.design.DesignFault;

/**
 * The item's title, which leads to its page. Every card has one, since its link would have no name.
 *
 * @param level of the heading, 2 to 6
 * @param lines at most; what is longer is cut where it is seen
 */
public record TitlePart(String key, Integer level, Integer lines, Lettering lettering) implements CardPart {
    public static final int MOST_LINES = 6;
    private static final int USUAL_LEVEL = 3;
    private static final int USUAL_LINES = 3;

    // Null takes its default here, as it does where a document leaves a key out.
    @SuppressWarnings("NullAway")
    public TitlePart {
        key = CardPart.checkedKey(key);
        level = Objects.requireNonNullElse(level, USUAL_LEVEL);
        DesignFault.unless(level >= 2 && level <= 6, "level", "there is no heading of level %d; choose 2 to 6", level);
        lines = Objects.requireNonNullElse(lines, USUAL_LINES);
        DesignFault.unless(
                lines >= 1 && lines <= MOST_LINES, "lines", "%d lines are none; choose 1 to %d", lines, MOST_LINES);
        lettering = Objects.requireNonNullElseGet(lettering, Lettering::strong);
    }
}
