package tidylantern.core.query;

import java.util.List;

/**
 * Where the items of a query are, in its order: for a list of entries that a site draws itself, and that are known by
 * where their links lead.
 *
 * @param total how many are found; exact
 * @param whole whether nothing is typed and nothing set, so that this is everything in reach
 * @param addresses of the first of them, as the site gives them; one without an address is left out
 */
public record FoundAddresses(int total, boolean whole, List<String> addresses) {
    /** So many entries a list may have. */
    public static final int MOST = 5_000;

    public FoundAddresses {
        addresses = List.copyOf(addresses);
    }
}
