package tidylantern.core.place;

/** Whether two names are one slip apart. */
public final class Slip {
    private static final int SHORTEST = 4;

    private Slip() {}

    /**
     * A letter too many, too few or wrong, or two neighbours swapped; the first letter must be right, and names of up
     * to 3 letters are never bent (product.md, 'Words'). Equal names are no slip apart.
     *
     * @param a in small letters without accents; so is the other
     */
    public static boolean between(String a, String b) {
        int difference = a.length() - b.length();
        if (Math.min(a.length(), b.length()) < SHORTEST
                || Math.abs(difference) > 1
                || a.charAt(0) != b.charAt(0)
                || a.equals(b)) {
            return false;
        }
        int same = 1;
        while (same < Math.min(a.length(), b.length()) && a.charAt(same) == b.charAt(same)) {
            same++;
        }
        if (difference != 0) {
            String longer = difference > 0 ? a : b;
            String shorter = difference > 0 ? b : a;
            return longer.substring(same + 1).equals(shorter.substring(same));
        }
        boolean wrong = a.substring(same + 1).equals(b.substring(same + 1));
        boolean swapped = same + 1 < a.length()
                && a.charAt(same) == b.charAt(same + 1)
                && a.charAt(same + 1) == b.charAt(same)
                && a.substring(same + 2).equals(b.substring(same + 2));
        return wrong || swapped;
    }
}
