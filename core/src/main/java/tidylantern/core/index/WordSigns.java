package tidylantern.core.index;

import java.util.LinkedHashSet;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The signs that belong to a word and tell it from others: {@code C++}, {@code C#}, {@code .NET}, {@code AT&T}.
 * Punctuation of sentences is none of them, nor are those that markup and formulas put anywhere. Words end before such
 * signs (UAX #29), so a word with its signs is looked for apart from the word.
 */
public final class WordSigns {
    private static final String ASCII = "+#*&@$%";
    /** These say who owns a word, not which word it is. */
    private static final String OF_OWNERS = "©®™℠";
    /** Longer rows of signs are a line drawn across a text. */
    private static final int MOST = 3;

    private WordSigns() {}

    /**
     * A word with the signs at both of its sides.
     *
     * @param text in which it stands from {@code start} to {@code end}, in UTF-16 units
     * @param folded the word as it is compared
     * @return null where no sign stands beside it
     */
    public static @Nullable String with(String text, int start, int end, String folded) {
        int from = before(text, start);
        int to = after(text, end);
        return from == start && to == end ? null : text.substring(from, start) + folded + text.substring(end, to);
    }

    /** Where the signs before a word begin; {@code start} where there are none. */
    public static int before(String text, int start) {
        int from = start;
        while (from > 0 && sign(text.charAt(from - 1))) {
            from--;
        }
        if (from == start && start > 0 && beginsWord(text, start - 1)) {
            from--;
        }
        return start - from > MOST ? start : from;
    }

    /** Where the signs after a word end, exclusive; {@code end} where there are none. */
    public static int after(String text, int end) {
        int to = end;
        while (to < text.length() && sign(text.charAt(to))) {
            to++;
        }
        return to - end > MOST ? end : to;
    }

    /** The words of a text of one language that have signs, with them. */
    static Set<String> wordsOf(String text, String languageTag) {
        String language = Locale.forLanguageTag(languageTag).getLanguage();
        Set<String> signed = new LinkedHashSet<>();
        text.lines()
                .filter(WordSigns::mayHaveSome)
                .forEach(line -> WordForms.each(line, (lower, start, end) -> {
                    String word = with(line, start, end, Folding.fold(WordForms.withoutElision(lower, language)));
                    if (word != null) {
                        signed.add(word);
                    }
                    return true;
                }));
        return signed;
    }

    /** Most lines have none, and their words need not be taken apart once more. */
    private static boolean mayHaveSome(String line) {
        for (int i = 0; i < line.length(); i++) {
            if (sign(line.charAt(i)) || beginsWord(line, i)) {
                return true;
            }
        }
        return false;
    }

    /**
     * Whether a full stop stands here that ends no sentence: after a blank or first of all, and right before a word.
     */
    private static boolean beginsWord(String text, int at) {
        return text.charAt(at) == '.'
                && at + 1 < text.length()
                && !Character.isWhitespace(text.charAt(at + 1))
                && (at == 0 || (!Character.isLetterOrDigit(text.charAt(at - 1)) && text.charAt(at - 1) != '.'));
    }

    private static boolean sign(char c) {
        if (c < 0x80) {
            return ASCII.indexOf(c) >= 0;
        }
        int type = Character.getType(c);
        return (type == Character.CURRENCY_SYMBOL || type == Character.MATH_SYMBOL || type == Character.OTHER_SYMBOL)
                && OF_OWNERS.indexOf(c) < 0;
    }
}
