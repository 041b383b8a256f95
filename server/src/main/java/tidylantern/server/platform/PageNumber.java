package tidylantern.server.platform;

/** A page's number as it stands in an address, where anybody may have written anything. */
public final class PageNumber {
    private PageNumber() {}

    /** 1 for what is no number above 1; numbers too large to be held are beyond any last page. */
    public static int of(String text) {
        String digits = text.strip();
        if (!digits.matches("[0-9]+")) {
            return 1;
        }
        return digits.length() > 9 ? Integer.MAX_VALUE : Math.max(1, Integer.parseInt(digits));
    }
}
