package tidylantern.core.content;

import java.util.function.IntPredicate;

/**
 * Looks through texts without a stream, which costs more than the looking where every text of every item is looked at.
 */
public final class CodePoints {
    private CodePoints() {}

    /** Whether a text has such a code point; half a surrogate pair counts as one. */
    public static boolean any(String text, IntPredicate such) {
        int at = 0;
        while (at < text.length()) {
            int c = text.codePointAt(at);
            if (such.test(c)) {
                return true;
            }
            at += Character.charCount(c);
        }
        return false;
    }
}
