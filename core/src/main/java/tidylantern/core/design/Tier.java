package tidylantern.core.design;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;

/**
 * A level of featured listing. What it does and how it looks is design; who holds it is content: placements given by
 * hand, and the items that {@code holders} pick.
 *
 * @param key by which placements name it: small letters, digits and hyphens, 1 to 40
 * @param name what the owner calls it, 1 to 40 characters
 * @param rank 1 for the highest, at most 1000; tiers without one come after all that have one, those of one rank as
 *     they are listed. An item that holds several has the highest
 * @param holders items that hold it by what they say; any of them
 * @param lift how it lifts its items to the top; null where it only marks them
 * @param disclosure what visitors read on its cards because the place is paid for, 1 to 60 characters; null where it is
 *     not
 */
public record Tier(
        String key,
        String name,
        @Nullable Integer rank,
        List<Holders> holders,
        @Nullable Lift lift,
        @Nullable String disclosure,
        TierLooks looks) {
    public static final int LONGEST_NAME = 40;
    public static final int LONGEST_DISCLOSURE = 60;
    public static final Limit RANK = new Limit(1, 1_000);
    public static final int MOST_HOLDERS = 50;

    public Tier {
        DesignFault.unless(
                key.matches("[a-z0-9][a-z0-9-]{0,39}"),
                "key",
                "\"%s\" cannot be a tier's key; use small letters, digits and hyphens, 1 to 40",
                key);
        name = name.strip();
        DesignFault.unless(
                !name.isEmpty() && name.length() <= LONGEST_NAME,
                "name",
                "the tier \"%s\" needs a name of 1 to %d characters",
                key,
                LONGEST_NAME);
        DesignFault.unless(
                rank == null || RANK.includes(rank),
                "rank",
                "rank %s of \"%s\" is none; choose %s, 1 for the highest",
                rank,
                name,
                RANK);
        holders = List.copyOf(holders);
        DesignFault.unless(
                holders.size() <= MOST_HOLDERS,
                "holders",
                "%d rules are too many; %d are the most",
                holders.size(),
                MOST_HOLDERS);
        DesignFault.ifTwice(holders, "holders", "the rule");
        disclosure = disclosure == null || disclosure.isBlank() ? null : disclosure.strip();
        DesignFault.unless(
                disclosure == null || disclosure.length() <= LONGEST_DISCLOSURE,
                "disclosure",
                "what visitors read of \"%s\" being paid for is too long; %d characters are the most",
                name,
                LONGEST_DISCLOSURE);
    }

    /**
     * Items that hold a tier by what they say, today and whenever more arrive.
     *
     * @param collection of which items; null for every collection that is searched
     * @param rule one of those that reach knows; the value may be {@code yes} or {@code no} for a field of that kind
     */
    public record Holders(@Nullable CollectionKey collection, ReachRule rule) {
        public Holders {
            DesignFault.unless(rule != null, "rule", "say which items hold the tier");
        }

        @Override
        public String toString() {
            return (collection == null ? "" : collection + ": ") + rule;
        }
    }

    /**
     * That items of a tier come first where the order has the key 'tier'. Those beyond the most stand where the other
     * keys put them.
     *
     * @param most of a list of results, 1 to {@value #MOST}; null for all
     * @param mostLive of live results, 0 to {@value #MOST}; null for as many as in a list
     * @param turns how those take turns that have the same place in the tier
     */
    public record Lift(@Nullable Integer most, @Nullable Integer mostLive, Turns turns) {
        public static final int MOST = 100;

        /** All there are, in no turn. */
        public static Lift usual() {
            return new Lift(null, null, Turns.NONE);
        }

        public Lift {
            DesignFault.unless(
                    most == null || (most >= 1 && most <= MOST),
                    "most",
                    "%s lifted items are not possible; choose 1 to %d, or a tier that only marks",
                    most,
                    MOST);
            DesignFault.unless(
                    mostLive == null || (mostLive >= 0 && mostLive <= MOST),
                    "mostLive",
                    "%s lifted items are not possible; choose 0 to %d",
                    mostLive,
                    MOST);
        }

        /** How many it lifts at most; null for all. */
        public @Nullable Integer most(boolean live) {
            return live && mostLive != null ? mostLive : most;
        }
    }

    /** How items with the same place in a tier take turns. */
    public enum Turns {
        /** They do not: the keys that follow decide. */
        NONE,
        /** Every day another one comes first, the same one for all visitors. */
        BY_DAY;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }
}
