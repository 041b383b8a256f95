package tidylantern.core.design.filter;

import java.util.Locale;

/** In what distances are told. */
public enum DistanceUnit {
    KM(1_000),
    /** International mile, 1959. */
    MI(1_609.344);

    private final double metres;

    DistanceUnit(double metres) {
        this.metres = metres;
    }

    /** How long one is. */
    public double metres() {
        return metres;
    }

    /** As it is written behind numbers. */
    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT);
    }
}
