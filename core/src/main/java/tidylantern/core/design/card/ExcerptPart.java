package tidylantern.core.design.card;

import java.util.Objects;
import tidylantern.core.design.DesignFault;

/**
 * What the item tells in short, with the matched words marked.
 *
 * @param lines at most, by the room there is
 */
public record ExcerptPart(String key, Integer lines, Lettering lettering) implements CardPart {
    public static final int MOST_LINES = 12;
    private static final int USUAL_LINES = 4;

    // Null takes its default here, as it does where a document leaves a key out.
    @SuppressWarnings("NullAway")
    public ExcerptPart {
        key = CardPart.checkedKey(key);
        lines = Objects.requireNonNullElse(lines, USUAL_LINES);
        DesignFault.unless(
                lines >= 1 && lines <= MOST_LINES, "lines", "%d lines are none; choose 1 to %d", lines, MOST_LINES);
        lettering = Objects.requireNonNullElseGet(lettering, Lettering::usual);
    }
}
