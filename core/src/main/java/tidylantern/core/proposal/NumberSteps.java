package tidylantern.core.proposal;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.List;
import java.util.stream.DoubleStream;

/** Steps between numbers that lie too unevenly for a bound to be drawn. */
final class NumberSteps {
    /** Where so much lies between the middle and the greatest, a drawn bound moves by what most numbers are. */
    private static final double UNEVEN = 20;

    private static final double[] SHARES = {0.2, 0.4, 0.6, 0.8};

    private NumberSteps() {}

    /** @param ascending the numbers */
    static boolean areUneven(List<Double> ascending) {
        if (ascending.isEmpty()) {
            return false;
        }
        double middle = at(ascending, 0.5);
        return middle > 0 && at(ascending, 0.95) > UNEVEN * middle;
    }

    /** Up to four round numbers, ascending, with about as many of the numbers between any two. */
    static List<Double> between(List<Double> ascending) {
        return DoubleStream.of(SHARES)
                .map(share -> rounded(at(ascending, share)))
                .distinct()
                .sorted()
                .boxed()
                .toList();
    }

    private static double at(List<Double> ascending, double share) {
        return ascending.get((int) Math.floor(share * (ascending.size() - 1)));
    }

    private static double rounded(double number) {
        return new BigDecimal(number)
                .round(new MathContext(1, RoundingMode.HALF_UP))
                .doubleValue();
    }
}
