package tidylantern.core.design.card;

import java.util.regex.Pattern;
import tidylantern.core.content.FieldKey;
import tidylantern.core.design.DesignFault;

/**
 * What one field says, with a text before and behind it.
 *
 * @param before at most {@value #LONGEST} characters; a space follows where it ends with a letter, a digit or a stop
 * @param after at most {@value #LONGEST} characters; a space comes before where it begins with a letter or a digit
 * @param format one that does not fit the field's kind gives way to the usual one
 */
public record ValuePart(String key, FieldKey field, String before, String after, Format format, Lettering lettering)
        implements CardPart {
    public static final int LONGEST = 40;
    private static final Pattern WANTS_A_SPACE = Pattern.compile("[\\p{L}\\p{N}.:,;]$");

    public ValuePart {
        key = CardPart.checkedKey(key);
        before = beside(before, "before");
        after = beside(after, "after");
    }

    private static String beside(String text, String key) {
        String said = text.strip();
        DesignFault.unless(said.length() <= LONGEST, key, "a text beside a value has at most %d characters", LONGEST);
        return said;
    }

    /** A value with the texts beside it. */
    public String beside(String value) {
        String first = WANTS_A_SPACE.matcher(before).find() ? before + " " : before;
        String last = after.isEmpty() || !Character.isLetterOrDigit(after.codePointAt(0)) ? after : " " + after;
        return first + value + last;
    }

    /** A field without a text beside it. */
    public static ValuePart of(FieldKey field, Format format, Lettering lettering) {
        return new ValuePart(field.hyphenated(), field, "", "", format, lettering);
    }
}
