package tidylantern.core.index;

import java.io.ByteArrayOutputStream;
import java.text.Collator;
import java.util.Arrays;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Bytes that stand in the order of titles: by the rules of a language, word by word, numbers as numbers. The JDK's
 * collation passes over blanks ("Sea kayak" would come after "Seafood"), so words are told apart here; accents and
 * capitals decide only where all words are the same otherwise.
 */
final class TitleOrder {
    private static final Pattern DIGITS = Pattern.compile("\\d+");
    private static final Pattern BETWEEN_WORDS = Pattern.compile("[\\s\\p{Punct}]+");
    /** Longer numbers than this are compared by their first digits. */
    private static final int LONGEST_NUMBER = 18;
    /** What lies beyond decides nothing: titles of one beginning this long stand by their ids. */
    private static final int MOST_BYTES = 8_000;

    private static final byte[] END_OF_WORD = {0, 0};

    private TitleOrder() {}

    static byte[] key(String title, String language) {
        Collator collator = Collator.getInstance(Locale.forLanguageTag(language));
        Matcher digits = DIGITS.matcher(title);
        String padded = digits.replaceAll(found -> {
            String number = found.group().replaceFirst("^0+(?=\\d)", "");
            return number.length() >= LONGEST_NUMBER
                    ? number.substring(0, LONGEST_NUMBER)
                    : "0".repeat(LONGEST_NUMBER - number.length()) + number;
        });
        ByteArrayOutputStream key = new ByteArrayOutputStream();
        collator.setStrength(Collator.PRIMARY);
        for (String word : BETWEEN_WORDS.split(padded)) {
            if (!word.isEmpty()) {
                key.writeBytes(collator.getCollationKey(word).toByteArray());
                key.writeBytes(END_OF_WORD);
            }
        }
        key.writeBytes(END_OF_WORD);
        collator.setStrength(Collator.TERTIARY);
        key.writeBytes(collator.getCollationKey(padded).toByteArray());
        byte[] bytes = key.toByteArray();
        return bytes.length <= MOST_BYTES ? bytes : Arrays.copyOf(bytes, MOST_BYTES);
    }
}
