package tidylantern.core.content;

import java.util.Random;

/** Texts by chance, of few signs, so that what is easily confused meets. */
public final class RandomTexts {
    private RandomTexts() {}

    /** @param most letters it has; at least one */
    public static String of(String signs, int most, Random random) {
        StringBuilder text = new StringBuilder();
        for (int left = 1 + random.nextInt(most); left > 0; left--) {
            text.append(signs.charAt(random.nextInt(signs.length())));
        }
        return text.toString();
    }
}
