package tidylantern.core.design.card;

import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.design.DesignFault;

/**
 * A link that looks like a button. A card without the address has no such button.
 *
 * @param text of the owner's, 1 to {@value #LONGEST} characters
 * @param link a field of kind link; null for the item's own page
 */
public record ButtonPart(String key, String text, @Nullable FieldKey link) implements CardPart {
    public static final int LONGEST = 40;

    public ButtonPart {
        key = CardPart.checkedKey(key);
        text = text.strip();
        DesignFault.unless(
                !text.isEmpty() && text.length() <= LONGEST,
                "text",
                "a button needs a text of 1 to %d characters",
                LONGEST);
    }
}
