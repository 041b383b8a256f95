package tidylantern.core.design.text;

import java.util.List;
import java.util.stream.Stream;
import tidylantern.core.design.ResultOrder;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Tier;
import tidylantern.core.design.filter.Filter;

/** The labels that an owner gave and visitors read, each by where it stands in the design. */
public final class DesignLabels {
    private DesignLabels() {}

    /**
     * @param label where it stands: {@code filters.price.label}
     * @param usual as the owner has it there; never empty
     */
    public record UsualLabel(String label, String usual) {}

    public static String ofFilter(String key) {
        return "filters." + key + ".label";
    }

    public static String helpOf(String filter) {
        return "filters." + filter + ".help";
    }

    public static String neutralOf(String filter) {
        return "filters." + filter + ".neutral";
    }

    /** Of the order that holds by itself. */
    public static String ofUsualOrder() {
        return "order.label";
    }

    public static String ofOrder(String choice) {
        return "order.choices." + choice;
    }

    public static String disclosureOf(String tier) {
        return "tiers." + tier + ".disclosure";
    }

    public static String ribbonOf(String tier) {
        return "tiers." + tier + ".ribbon";
    }

    /** In the order in which the design has them. */
    public static List<UsualLabel> of(SearchDesign design) {
        ResultOrder order = design.order();
        return Stream.of(
                        design.filters().stream().flatMap(Filter::withParts).flatMap(DesignLabels::of),
                        Stream.of(new UsualLabel(ofUsualOrder(), order.label())),
                        order.choices().stream().map(choice -> new UsualLabel(ofOrder(choice.key()), choice.label())),
                        design.tiers().stream().flatMap(DesignLabels::of))
                .flatMap(labels -> labels)
                .filter(label -> !label.usual().isEmpty())
                .toList();
    }

    private static Stream<UsualLabel> of(Filter filter) {
        return Stream.of(
                new UsualLabel(ofFilter(filter.key()), filter.label()),
                new UsualLabel(helpOf(filter.key()), filter.head().help()),
                new UsualLabel(neutralOf(filter.key()), filter.source().neutral()));
    }

    private static Stream<UsualLabel> of(Tier tier) {
        return Stream.of(
                new UsualLabel(disclosureOf(tier.key()), tier.disclosure() == null ? "" : tier.disclosure()),
                new UsualLabel(
                        ribbonOf(tier.key()),
                        tier.looks().ribbon() == null
                                ? ""
                                : tier.looks().ribbon().text()));
    }
}
