package tidylantern.core.content;

import java.text.Normalizer;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * How the name of a category value stands in addresses and documents. Case, accents, width and blanks at either end or
 * repeated do not count; a blank is written {@code -}. Every other sign counts, so that {@code C}, {@code C++} and
 * {@code C#} are three values: a hyphen is {@code ~}, any other sign {@code ~}, its code point in hexadecimal digits,
 * and a point. A point stands nowhere else, so no two different names have one key: {@code c}, {@code c~2b.~2b.} and
 * {@code c~23.}.
 *
 * <p>Before, all signs were written {@code -}, and values were one that are not. What was written so in addresses and
 * designs goes on working: {@link #former}.
 */
public final class ValueKey {
    private static final Pattern FORM = Pattern.compile("[\\p{L}\\p{M}\\p{N}~.-]+(/[\\p{L}\\p{M}\\p{N}~.-]+)*");
    /** The accents of Latin, Greek and Cyrillic; marks of other scripts carry the sound. */
    private static final Pattern ACCENTS = Pattern.compile("[\\u0300-\\u036f]");

    private static final Pattern BLANKS = Pattern.compile("\\s+");

    private ValueKey() {}

    /** @param name of one value, without those above it */
    public static String of(String name) {
        String plain = plain(name);
        StringBuilder key = new StringBuilder(plain.length());
        plain.codePoints().forEach(sign -> {
            if (isLetterOrDigit(sign)) {
                key.appendCodePoint(sign);
            } else if (sign == ' ') {
                key.append('-');
            } else if (sign == '-') {
                key.append('~');
            } else {
                key.append('~').append(Integer.toHexString(sign)).append('.');
            }
        });
        return key.toString();
    }

    private static String plain(String name) {
        String folded = ascii(name)
                ? name.toLowerCase(Locale.ROOT)
                : Normalizer.normalize(
                        ACCENTS.matcher(Normalizer.normalize(
                                        Normalizer.normalize(name, Normalizer.Form.NFKC)
                                                .toLowerCase(Locale.ROOT),
                                        Normalizer.Form.NFD))
                                .replaceAll(""),
                        Normalizer.Form.NFC);
        StringBuilder plain = new StringBuilder(folded.length());
        folded.codePoints().forEach(c -> {
            if (Character.isWhitespace(c) || Character.isSpaceChar(c)) {
                if (!plain.isEmpty() && plain.charAt(plain.length() - 1) != ' ') {
                    plain.append(' ');
                }
            } else if (Character.getType(c) == Character.DASH_PUNCTUATION) {
                plain.append('-');
            } else if (c == '’' || c == 'ʼ') {
                plain.append('\'');
            } else if (Character.getType(c) != Character.FORMAT) {
                plain.appendCodePoint(c);
            }
        });
        return plain.toString().strip();
    }

    private static boolean isLetterOrDigit(int c) {
        return Character.isLetter(c)
                || switch (Character.getType(c)) {
                    case Character.NON_SPACING_MARK,
                            Character.ENCLOSING_MARK,
                            Character.COMBINING_SPACING_MARK,
                            Character.DECIMAL_DIGIT_NUMBER,
                            Character.LETTER_NUMBER,
                            Character.OTHER_NUMBER -> true;
                    default -> false;
                };
    }

    /** Whether a text may be a key of a value, with those above it, or a former one; if not, it is a name. */
    public static boolean fits(String text) {
        return FORM.matcher(text).matches() && text.equals(text.toLowerCase(Locale.ROOT));
    }

    /** The key that a name had before signs counted. */
    public static String former(String name) {
        String folded = ascii(name)
                ? name.toLowerCase(Locale.ROOT)
                : Normalizer.normalize(name, Normalizer.Form.NFKC).toLowerCase(Locale.ROOT);
        StringBuilder slug = new StringBuilder(folded.length());
        boolean signBefore = false;
        for (int at = 0; at < folded.length(); at = folded.offsetByCodePoints(at, 1)) {
            int c = folded.codePointAt(at);
            if (isLetterOrDigit(c)) {
                slug.append(signBefore && !slug.isEmpty() ? "-" : "").appendCodePoint(c);
                signBefore = false;
            } else if (c != '\'' && c != '’') {
                signBefore = true;
            }
        }
        return slug.isEmpty() ? BLANKS.matcher(folded).replaceAll("-").replace('/', '-') : slug.toString();
    }

    private static boolean ascii(String name) {
        return !CodePoints.any(name, c -> c >= 0x80);
    }

    /** The former key of a path. */
    public static String former(CategoryPath path) {
        StringBuilder key = new StringBuilder();
        path.names().forEach(name -> key.append(key.isEmpty() ? "" : "/").append(former(name)));
        return key.toString();
    }
}
