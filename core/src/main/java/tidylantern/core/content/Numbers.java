package tidylantern.core.content;

import static tidylantern.core.content.Require.require;

import java.math.BigDecimal;

/**
 * Which numbers content may bring. A decimal number can be written in a few characters and fill the memory once it is
 * written out ({@code 1e-999999999}), so digits and scale are bounded before anybody reckons with it.
 */
public final class Numbers {
    /** Digits of a number, as many as IEEE 754's decimal128 has. */
    public static final int MOST_DIGITS = 34;
    /** Digits behind the point. */
    public static final int MOST_DECIMALS = 40;
    /** Up to here every whole number is exact in the index, which holds doubles. */
    private static final BigDecimal LARGEST = new BigDecimal("1e15");

    private static final int LONGEST_TEXT = 100;

    private Numbers() {}

    /**
     * @param text as JSON writes a number; blanks around it are passed over
     * @throws NumberFormatException if it is no number
     * @throws IllegalArgumentException if it has too many digits or is too large
     */
    public static BigDecimal read(String text) {
        String digits = text.strip();
        require(
                digits.length() <= LONGEST_TEXT,
                "%s has %,d characters; a number has at most %d",
                Require.shown(digits),
                digits.length(),
                LONGEST_TEXT);
        return checked(new BigDecimal(digits));
    }

    /** Written out where that is short, else with its exponent: for numbers of a source that nobody has checked yet. */
    public static String written(BigDecimal number) {
        return Math.abs((long) number.scale()) <= MOST_DECIMALS ? number.toPlainString() : number.toString();
    }

    /** @throws IllegalArgumentException if the number has too many digits or is too large */
    public static BigDecimal checked(BigDecimal number) {
        require(
                number.precision() <= MOST_DIGITS,
                "a number has at most %d digits, not %,d",
                MOST_DIGITS,
                number.precision());
        require(
                number.scale() <= MOST_DECIMALS,
                "a number has at most %d digits behind the point, not %,d",
                MOST_DECIMALS,
                number.scale());
        // By the exponent first: to compare a number with a large one it is written out.
        boolean large = (long) number.precision() - number.scale() > LARGEST.precision() - LARGEST.scale()
                || number.abs().compareTo(LARGEST) > 0;
        require(!large, "%s is too large; 10^15 is the most", Require.shown(number));
        return number;
    }
}
