package tidylantern.core.design;

import org.jspecify.annotations.Nullable;

/** Between which ends, both included, a number of a design may be. */
public record Limit(int least, int most) {
    /**
     * Refuses a number beyond either end.
     *
     * @param key of the number, as a path from the part that refuses
     * @param number null where none is said, which is always possible
     */
    public void check(String key, @Nullable Integer number) {
        DesignFault.unless(number == null || includes(number), key, "%s is not possible here; choose %s", number, this);
    }

    public boolean includes(int number) {
        return number >= least && number <= most;
    }

    /** As owners read it: {@code 1 to 100}. */
    @Override
    public String toString() {
        return "%d to %d".formatted(least, most);
    }
}
