package tidylantern.server.key;

import java.text.Normalizer;
import java.util.Locale;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/** Makes keys for addresses from names people give. */
public final class KeyNames {
    private static final int LONGEST = 36;

    /** As wide as the columns that hold one. */
    private static final Pattern KEY = Pattern.compile("[a-z][a-z0-9-]{0,39}");

    private KeyNames() {}

    /** Whether a text can stand as a key in addresses and tags. */
    public static boolean isKey(String text) {
        return KEY.matcher(text).matches();
    }

    /**
     * {@code island-search} for "Island Search"; with a number behind it where that is taken.
     *
     * @param otherwise the key where the name has no letter that can stand in one
     */
    public static String from(String name, String otherwise, Predicate<String> taken) {
        String plain = Normalizer.normalize(name, Normalizer.Form.NFD)
                .toLowerCase(Locale.ROOT)
                .replaceAll("\\p{M}+", "")
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^[^a-z]+|-+$", "");
        String base = plain.isEmpty()
                ? otherwise
                : plain.substring(0, Math.min(plain.length(), LONGEST)).replaceAll("-+$", "");
        String key = base;
        for (int n = 2; taken.test(key); n++) {
            key = base + "-" + n;
        }
        return key;
    }
}
