package tidylantern.core.design.filter;

import java.util.Locale;

/** What numbers and amounts are handled with, the usual one first. */
public enum NumberControl implements Control {
    /** Two bounds, drawn or typed. */
    RANGE,
    /** Steps, each with how many items lie in it. */
    BANDS,
    /** A lower bound. */
    AT_LEAST,
    /** An upper bound. */
    AT_MOST;

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
