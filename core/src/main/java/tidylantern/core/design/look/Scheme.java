package tidylantern.core.design.look;

import java.util.Locale;

/** Which of a look's two sets of colours is worn. */
public enum Scheme {
    LIGHT,
    DARK,
    /** As the visitor's device is set. */
    VISITOR,
    /** The one that can be read on the ground of the page. */
    PAGE;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
