package tidylantern.core.index;

import java.text.Normalizer;
import java.util.Locale;
import org.apache.lucene.analysis.miscellaneous.ASCIIFoldingFilter;

/**
 * Makes words comparable without regard to case, accents or width: compatibility forms (NFKC, which takes care of full
 * and half width), small letters, Latin, Greek and Cyrillic accents off, letters such as ø and ß as ASCII writes them.
 * Marks that carry the sound in other scripts (Devanagari vowels, say) stay.
 */
public final class Folding {
    private Folding() {}

    /**
     * Case and width only: what a stemmer wants, which knows its language's accents. Curly apostrophes become straight.
     */
    public static String lower(CharSequence word) {
        String text = word.toString();
        return plain(text)
                ? lowerPlain(text)
                : Normalizer.normalize(text, Normalizer.Form.NFKC)
                        .replace('’', '\'')
                        .replace('ʼ', '\'')
                        .toLowerCase(Locale.ROOT);
    }

    /** Accents and apostrophes off a word from {@link #lower}. */
    public static String fold(String lower) {
        if (plain(lower)) {
            return lower.indexOf('\'') < 0 ? lower : lower.replace("'", "");
        }
        String decomposed = Normalizer.normalize(lower, Normalizer.Form.NFD);
        StringBuilder kept = new StringBuilder(decomposed.length());
        for (int i = 0; i < decomposed.length(); i++) {
            char c = decomposed.charAt(i);
            // U+0300 to U+036F, combining diacritical marks: the accents of Latin, Greek and Cyrillic
            if ((c < 0x0300 || c > 0x036F) && c != '\'') {
                kept.append(c);
            }
        }
        char[] in = Normalizer.normalize(kept, Normalizer.Form.NFC).toCharArray();
        char[] out = new char[in.length * 4];
        return new String(out, 0, ASCIIFoldingFilter.foldToASCII(in, 0, out, 0, in.length));
    }

    /** A code without case and punctuation: {@code QH-2041/b} and {@code qh2041B} are one. */
    public static String code(String code) {
        return fold(lower(code))
                .codePoints()
                .filter(Character::isLetterOrDigit)
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                .toString();
    }

    private static boolean plain(String text) {
        for (int i = 0; i < text.length(); i++) {
            if (text.charAt(i) >= 0x80) {
                return false;
            }
        }
        return true;
    }

    private static String lowerPlain(String text) {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c >= 'A' && c <= 'Z') {
                return text.toLowerCase(Locale.ROOT);
            }
        }
        return text;
    }
}
