package tidylantern.core.query.filter;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;

/** Round numbers between others, as people put them on a ruler: 1, 2 or 5 times a power of ten. */
public final class RoundSteps {
    private static final MathContext DIGITS = new MathContext(12);

    private RoundSteps() {}

    /** The least such step that parts a width into at most so many; 1 for no width. */
    static double step(double width, int most) {
        if (!(width > 0)) {
            return 1;
        }
        double least = width / most;
        double power = Math.pow(10, Math.floor(Math.log10(least)));
        for (double times : new double[] {1, 2, 5}) {
            if (times * power >= least * (1 - 1e-9)) {
                return rounded(times * power);
            }
        }
        return rounded(10 * power);
    }

    /** Multiples of a step that lie between two numbers, neither included. */
    static List<Double> between(double from, double to, double step) {
        List<Double> multiples = new ArrayList<>();
        for (long n = (long) Math.floor(from / step) + 1; n * step < to; n++) {
            multiples.add(rounded(n * step));
        }
        return multiples;
    }

    /** Without the last digits, which powers of ten get wrong. */
    static double rounded(double number) {
        return BigDecimal.valueOf(number).round(DIGITS).doubleValue();
    }
}
