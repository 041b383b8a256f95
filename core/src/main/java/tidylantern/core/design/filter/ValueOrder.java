package tidylantern.core.design.filter;

import java.util.Locale;

/** In which order the values of one level stand. */
public enum ValueOrder {
    /** By name, by the rules of the content's language. */
    NAME,
    /** By name, the last first. */
    NAME_DOWN,
    /** By the first number in the name, those without one last. */
    NUMBER,
    /** Those that most items have first. */
    COUNT;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
