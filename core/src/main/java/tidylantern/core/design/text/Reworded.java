package tidylantern.core.design.text;

import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;
import tidylantern.core.design.DesignFault;

/**
 * A text that an owner words otherwise.
 *
 * @param text its key among the texts
 * @param forms by plural categories of the language; a text that goes by no number has just {@value #OTHER}
 */
public record Reworded(Language language, String text, Map<String, String> forms) {
    public static final String OTHER = "other";
    public static final int LONGEST = 400;

    public Reworded {
        DesignFault.unless(!text.isEmpty(), "text", "say which text is meant");
        Map<String, String> copy = new TreeMap<>(forms);
        copy.forEach((form, written) -> {
            DesignFault.unless(
                    written != null && !written.isBlank(),
                    "forms." + form,
                    "a text cannot be empty; take its wording away");
            DesignFault.unless(
                    written.length() <= LONGEST,
                    "forms." + form,
                    "a text of %d characters fits nowhere; %d are the most",
                    written.length(),
                    LONGEST);
            DesignFault.unless(
                    written.chars().noneMatch(Character::isISOControl), "forms." + form, "a text is one line");
        });
        forms = Collections.unmodifiableMap(copy);
    }

    /** What tells it from others. */
    public String key() {
        return language + "." + text;
    }
}
