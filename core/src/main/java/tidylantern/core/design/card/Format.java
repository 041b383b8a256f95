package tidylantern.core.design.card;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import tidylantern.core.content.FieldKind;
import tidylantern.core.design.DesignFault;

/**
 * How a field's value is written. In documents a format says with {@code format} which of these it is, by its name in
 * small letters.
 */
public sealed interface Format {
    /** Whether values of a kind can be written so. */
    boolean fits(FieldKind kind);

    /** Those to choose from for a kind, the usual one first. */
    static List<Format> fitting(FieldKind kind) {
        return switch (kind) {
            case DATE ->
                List.of(
                        new Days(Days.Which.NEXT, Days.Told.USUAL),
                        new Days(Days.Which.NEXT, Days.Told.WITHOUT_YEAR),
                        new Days(Days.Which.NEXT, Days.Told.RELATIVE),
                        new Days(Days.Which.NEXT_THREE, Days.Told.WITHOUT_YEAR),
                        new Days(Days.Which.FIRST_AND_LAST, Days.Told.WITHOUT_YEAR));
            case MONEY -> List.of(new Amount(false), new Amount(true));
            case NUMBER ->
                Arrays.stream(Quantity.Style.values())
                        .<Format>map(style -> new Quantity(style, Quantity.USUAL_SIGNS))
                        .toList();
            case CATEGORY ->
                List.of(
                        new Names(false, false, Names.USUAL_MOST),
                        new Names(true, false, Names.USUAL_MOST),
                        new Names(false, true, Names.USUAL_MOST));
            default -> List.of(new Usual());
        };
    }

    /** As the kind is usually written: days in full, the last level of a category, the label where it is yes. */
    record Usual() implements Format {
        @Override
        public boolean fits(FieldKind kind) {
            return true;
        }
    }

    /**
     * Days.
     *
     * @param which of several
     */
    record Days(Which which, Told told) implements Format {
        /** The next day, as days are usually written. */
        public static Days usual() {
            return new Days(Which.NEXT, Told.USUAL);
        }

        @Override
        public boolean fits(FieldKind kind) {
            return kind == FieldKind.DATE;
        }

        /** Of days that lie on both sides of today. */
        public enum Which {
            /** The first from today on; the last one where all are over. */
            NEXT,
            NEXT_THREE,
            FIRST_AND_LAST;

            @Override
            public String toString() {
                return name().toLowerCase(Locale.ROOT).replace('_', '-');
            }
        }

        /** How much of a day is told. */
        public enum Told {
            USUAL,
            WITHOUT_YEAR,
            /** "in 3 days". */
            RELATIVE;

            @Override
            public String toString() {
                return name().toLowerCase(Locale.ROOT).replace('_', '-');
            }
        }
    }

    /**
     * Money.
     *
     * @param whole without what is smaller than the currency's unit; else that is told where there is any
     */
    record Amount(boolean whole) implements Format {
        @Override
        public boolean fits(FieldKind kind) {
            return kind == FieldKind.MONEY;
        }
    }

    /**
     * A number.
     *
     * @param outOf the best there is, for signs; 2 to {@value #MOST_SIGNS}
     */
    record Quantity(Style style, int outOf) implements Format {
        static final int MOST_SIGNS = 10;
        static final int USUAL_SIGNS = 5;

        public Quantity {
            DesignFault.unless(
                    outOf >= 2 && outOf <= MOST_SIGNS,
                    "outOf",
                    "%d signs are none to tell apart; choose 2 to %d",
                    outOf,
                    MOST_SIGNS);
        }

        /** As a number with its unit. */
        public static Quantity usual() {
            return new Quantity(Style.NUMBER, USUAL_SIGNS);
        }

        @Override
        public boolean fits(FieldKind kind) {
            return kind == FieldKind.NUMBER;
        }

        /** How a number is told. */
        public enum Style {
            /** With the field's unit. */
            NUMBER,
            /** The same without signs between thousands, for years. */
            DIGITS,
            /** Of minutes: "1 h 20". */
            DURATION,
            /** As signs, with the number for those who hear it. */
            SIGNS;

            @Override
            public String toString() {
                return name().toLowerCase(Locale.ROOT);
            }
        }
    }

    /**
     * Categories.
     *
     * @param path whether all levels are told; else the last one
     * @param chips whether each stands in a frame of its own
     * @param most how many are told
     */
    record Names(boolean path, boolean chips, int most) implements Format {
        static final int LARGEST = 20;
        static final int USUAL_MOST = 3;

        public Names {
            DesignFault.unless(
                    most >= 1 && most <= LARGEST, "most", "%d names are none; choose 1 to %d", most, LARGEST);
        }

        /** The last level of a few. */
        public static Names usual() {
            return new Names(false, false, USUAL_MOST);
        }

        @Override
        public boolean fits(FieldKind kind) {
            return kind == FieldKind.CATEGORY;
        }
    }
}
