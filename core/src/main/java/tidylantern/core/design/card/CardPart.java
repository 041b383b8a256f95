package tidylantern.core.design.card;

import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.DesignFault;

/**
 * A piece of a card: a group of others, or something that is drawn. One without a value takes no room.
 *
 * <p>In documents a part says with {@code part} which of these it is, by its name in small letters.
 */
public sealed interface CardPart
        permits PartGroup, PicturePart, TitlePart, ValuePart, ExcerptPart, MentionPart, ButtonPart {
    /** What tells it apart on its card, so that it can be followed from one design to another. */
    String key();

    /** This part and, of a group, all below it. */
    default Stream<CardPart> withBelow() {
        return Stream.of(this);
    }

    /** @throws DesignFault if no part can be called so */
    static String checkedKey(@Nullable String key) {
        DesignFault.unless(
                key != null && Form.KEY.matcher(key).matches(),
                "key",
                "\"%s\" cannot name a part: start with a small letter, then up to 39 small letters, digits or -",
                key);
        return String.valueOf(key);
    }

    /** How keys are written. */
    final class Form {
        private static final Pattern KEY = Pattern.compile("[a-z][a-z0-9-]{0,39}");

        private Form() {}
    }
}
