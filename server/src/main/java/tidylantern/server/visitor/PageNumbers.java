package tidylantern.server.visitor;

import java.text.NumberFormat;
import java.util.Locale;

/**
 * Numbers and distances as the hosted page writes them: as its language does, wherever the service runs, and far in the
 * unit of the search's filter by distance.
 *
 * @param miles whether distances are told in miles; in kilometres otherwise
 */
record PageNumbers(Locale locale, boolean miles) {
    private static final double KM_PER_MILE = 1.609344;
    private static final double LEAST = 0.1;
    private static final int FAR = 10;

    String count(long number) {
        return NumberFormat.getIntegerInstance(locale).format(number);
    }

    /** "1.2 km away": a tenth where it is not far, and "under 0.1 km away" below that. */
    String away(double km) {
        double far = miles ? km / KM_PER_MILE : km;
        NumberFormat format = NumberFormat.getNumberInstance(locale);
        format.setMaximumFractionDigits(far < FAR ? 1 : 0);
        String said = format.format(Math.max(far, LEAST)) + (miles ? " mi" : " km");
        return (far < LEAST ? "under " + said : said) + " away";
    }
}
