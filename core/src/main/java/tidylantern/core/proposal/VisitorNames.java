package tidylantern.core.proposal;

import java.text.MessageFormat;
import java.util.Locale;
import java.util.ResourceBundle;

/** What visitors read for what is proposed, in the language of what is searched. */
final class VisitorNames {
    private static final ResourceBundle.Control NO_OTHER_LANGUAGE =
            ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_PROPERTIES);

    private static final int LONGEST = 40;

    private final ResourceBundle names;

    /** English where we do not speak the language. */
    VisitorNames(Locale language) {
        names = ResourceBundle.getBundle("tidylantern.core.proposal.visitor-names", language, NO_OTHER_LANGUAGE);
    }

    /** @param label of a field, where the name holds one */
    String of(String key, String label) {
        String name = MessageFormat.format(names.getString(key), label);
        return name.length() <= LONGEST ? name : name.substring(0, LONGEST - 1).strip() + "…";
    }

    String of(String key) {
        return of(key, "");
    }
}
