package tidylantern.core.design;

import java.util.List;

/**
 * What comes before what: the order, and what an owner puts before or out of it.
 *
 * @param tiers of featured listings, at most {@value #MOST_TIERS}
 * @param pins at most {@value #MOST_PINS}; where several concern one item or one place of a query, the first holds
 */
public record Ranking(ResultOrder order, List<Tier> tiers, List<Pin> pins) {
    public static final int MOST_TIERS = 12;
    public static final int MOST_PINS = 500;

    public Ranking {
        tiers = List.copyOf(tiers);
        DesignFault.unless(
                tiers.size() <= MOST_TIERS,
                "tiers",
                "%d tiers are too many; %d are the most",
                tiers.size(),
                MOST_TIERS);
        DesignFault.ifTwice(tiers.stream().map(Tier::key).toList(), "tiers", "the key");
        pins = List.copyOf(pins);
        DesignFault.unless(
                pins.size() <= MOST_PINS, "pins", "%d pins are too many; %d are the most", pins.size(), MOST_PINS);
    }

    /** By the usual order alone. */
    public static Ranking usual() {
        return new Ranking(ResultOrder.usual(), List.of(), List.of());
    }
}
