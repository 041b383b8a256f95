package tidylantern.core.design.results;

import java.util.Locale;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Addresses;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.Limit;
import tidylantern.core.design.Sign;

/**
 * The list of all results, and where it stands.
 *
 * @param address of the site's own results page, absolute or from the site's root; null for the hosted page
 * @param perPage how many results a page holds, 1 to 100
 * @param layout how the cards stand
 * @param paging how visitors get further
 * @param most results that can be looked through, 1 to 10,000, which null stands for. The count is that of all found
 * @param shows what stands around the cards
 * @param start what is shown before anything is typed
 * @param told to whom the address tells what
 */
public record ResultsPage(
        @Nullable String address,
        int perPage,
        Layout layout,
        Paging paging,
        @Nullable Integer most,
        Shows shows,
        StartingList start,
        Told told) {
    public static final int USUAL_PER_PAGE = 10;
    public static final Limit PER_PAGE = new Limit(1, 100);
    public static final Limit MOST = new Limit(1, 10_000);

    public ResultsPage {
        address = address == null || address.isBlank() ? null : address.strip();
        DesignFault.unless(
                address == null || Addresses.safe(address),
                "address",
                "\"%s\" is no web address; write one that starts with /, https:// or http://",
                address);
        PER_PAGE.check("perPage", perPage);
        MOST.check("most", most);
    }

    /** The hosted page, as a list. */
    public static ResultsPage usual() {
        return of(null, USUAL_PER_PAGE, Arranged.LIST);
    }

    /** With all else as usual. */
    public static ResultsPage of(@Nullable String address, int perPage, Arranged arranged) {
        return new ResultsPage(
                address,
                perPage,
                Layout.of(arranged),
                Paging.NUMBERS,
                null,
                Shows.everything(),
                StartingList.of(StartingList.With.EVERYTHING),
                Told.usual());
    }

    /** With cards laid out otherwise, so many on a page. */
    public ResultsPage laidOut(int perPage, Layout layout) {
        return new ResultsPage(address, perPage, layout, paging, most, shows, start, told);
    }

    /** With categories that visitors like. */
    public ResultsPage withPopular(PopularCategories popular) {
        Shows around = new Shows(
                shows.heading,
                shows.count,
                shows.time,
                shows.order,
                shows.set,
                shows.copyLink,
                shows.box,
                popular,
                shows.nothing);
        return new ResultsPage(address, perPage, layout, paging, most, around, start, told);
    }

    /**
     * How many of the results found can be looked through. Nobody looks through more than 10,000 (common practice), and
     * whoever asks for a page behind them would have the service line up all before it.
     */
    public int reachable(int found) {
        return Math.min(found, most == null ? MOST.most() : most);
    }

    /** How visitors get further. */
    public enum Paging {
        /** By numbers, with back and next. */
        NUMBERS,
        /** By a button below the list, which grows. */
        MORE,
        /** The list grows as its end comes into view. */
        SCROLL;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * What stands around the cards.
     *
     * @param heading what was searched for
     * @param count how many results there are
     * @param time how long the reckoning took
     * @param order the orders that visitors may choose among
     * @param set what is set in filters, each to be taken off
     * @param copyLink a button that copies the address of what is shown
     * @param box a box above it, for those who search again
     * @param popular categories that visitors like; null for none
     * @param nothing what stands there where nothing is found
     */
    public record Shows(
            boolean heading,
            boolean count,
            boolean time,
            boolean order,
            boolean set,
            boolean copyLink,
            boolean box,
            @Nullable PopularCategories popular,
            NothingFound nothing) {

        public static Shows everything() {
            return new Shows(true, true, false, true, true, false, false, null, NothingFound.usual());
        }
    }

    /**
     * What leads on from a page on which nothing is found, beside another spelling and what the owner offers.
     *
     * @param sign that stands above the words; null for none
     * @param withoutOne what is found with one filter less, for each that is set
     * @param related items that are found by some of the words, the best first
     * @param everything the way to everything
     */
    public record NothingFound(@Nullable Sign sign, boolean withoutOne, boolean related, boolean everything) {

        public static NothingFound usual() {
            return new NothingFound(null, true, true, true);
        }
    }

    /**
     * To whom the address tells what.
     *
     * @param inAddress whether it tells what is shown, so that it can be kept and passed on
     * @param listed whether search engines may list the hosted page, as long as that is the results page and nothing is
     *     asked for on it
     */
    public record Told(boolean inAddress, boolean listed) {

        public static Told usual() {
            return new Told(true, true);
        }
    }
}
