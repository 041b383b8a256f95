package tidylantern.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * What can be said of the looks of featured tiers: whether texts can be read on them, and whether they can be told
 * apart.
 */
public final class TierChecks {
    /** The colours of cards as they come: their ground, and what is written on it. */
    private static final Colour CARD = new Colour(0xff, 0xff, 0xff);

    private static final List<Colour> WRITTEN =
            List.of(new Colour(0x1b, 0x2a, 0x33), new Colour(0x0e, 0x5f, 0x63), new Colour(0x55, 0x65, 0x6d));
    /** Less far apart, in steps of sRGB, two colours on different cards look the same; our own figure, from looking. */
    private static final double TOLD_APART = 30;

    private TierChecks() {}

    /** What of a card's looks has a contrast to keep. */
    public enum Part {
        RIBBON,
        GROUND,
        EDGE;

        @Override
        public String toString() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }
    }

    /**
     * A contrast of a tier's looks.
     *
     * @param ratio by WCAG 2.2, 1 to 21
     * @param wanted 4.5 for text (1.4.3), 3 for an edge that alone marks a card (1.4.11)
     * @param nearest the colour nearest to the one picked that passes (of the ribbon's text, of the ground, of the
     *     edge); null where it passes
     * @param nearestBehind of a ribbon, the colour nearest to the one behind its text, to keep the text's; null for
     *     others
     */
    public record Contrast(
            Part part,
            double ratio,
            double wanted,
            @Nullable String nearest,
            @Nullable String nearestBehind) {
        public boolean passes() {
            return ratio >= wanted;
        }
    }

    /** The contrasts that a tier's looks have to keep. */
    public static List<Contrast> contrasts(TierLooks looks) {
        List<Contrast> contrasts = new ArrayList<>();
        Colour ground = Objects.requireNonNullElse(Colour.read(looks.ground(), "ground"), CARD);
        if (looks.ribbon() != null) {
            Contrast ribbon = contrast(
                    Part.RIBBON,
                    colour(looks.ribbon().color()),
                    colour(looks.ribbon().ground()),
                    Colour.TEXT);
            contrasts.add(
                    ribbon.passes()
                            ? ribbon
                            : new Contrast(
                                    Part.RIBBON,
                                    ribbon.ratio(),
                                    ribbon.wanted(),
                                    ribbon.nearest(),
                                    String.valueOf(colour(looks.ribbon().ground())
                                            .nearest(
                                                    Colour.TEXT,
                                                    colour(looks.ribbon().color())))));
        }
        if (looks.ground() != null) {
            double ratio = WRITTEN.stream().mapToDouble(ground::contrast).min().orElse(21);
            // Everything written on it is dark, so a ground passes that is light enough for the lightest of them.
            Colour hardest = WRITTEN.stream()
                    .min((a, b) -> Double.compare(ground.contrast(a), ground.contrast(b)))
                    .orElseThrow();
            contrasts.add(new Contrast(
                    Part.GROUND,
                    ratio,
                    Colour.TEXT,
                    ratio >= Colour.TEXT ? null : String.valueOf(lighter(ground, hardest)),
                    null));
        }
        if (looks.edge() != TierLooks.Edge.NONE) {
            contrasts.add(contrast(Part.EDGE, colour(looks.edgeColor()), CARD, Colour.NOT_TEXT));
        }
        return contrasts;
    }

    private static Contrast contrast(Part part, Colour picked, Colour on, double wanted) {
        double ratio = picked.contrast(on);
        return new Contrast(
                part, ratio, wanted, ratio >= wanted ? null : String.valueOf(picked.nearest(wanted, on)), null);
    }

    private static Colour lighter(Colour ground, Colour written) {
        Colour nearest = ground.nearest(Colour.TEXT, written);
        return nearest != null && WRITTEN.stream().allMatch(one -> nearest.contrast(one) >= Colour.TEXT)
                ? nearest
                : CARD;
    }

    private static Colour colour(String written) {
        return Objects.requireNonNull(Colour.read(written, "color"));
    }

    /** Whether nothing sets cards of a tier apart but what may be said of it being paid for. */
    public static boolean unseen(TierLooks looks) {
        return looks.ribbon() == null
                && looks.edge() == TierLooks.Edge.NONE
                && (looks.ground() == null || colour(looks.ground()).distance(CARD) < TOLD_APART / 3);
    }

    /**
     * Whether cards of two tiers look alike: the same ribbon or none, an edge as strong and near in colour, and grounds
     * near in colour.
     */
    public static boolean alike(TierLooks a, TierLooks b) {
        return said(a).equals(said(b))
                && (a.ribbon() == null
                        || b.ribbon() == null
                        || near(a.ribbon().ground(), b.ribbon().ground()))
                && a.edge() == b.edge()
                && (a.edge() == TierLooks.Edge.NONE || near(a.edgeColor(), b.edgeColor()))
                && near(ground(a), ground(b));
    }

    private static String said(TierLooks looks) {
        return looks.ribbon() == null ? "" : looks.ribbon().text().toLowerCase(java.util.Locale.ROOT);
    }

    private static String ground(TierLooks looks) {
        return looks.ground() == null ? CARD.toString() : looks.ground();
    }

    private static boolean near(String a, String b) {
        return colour(a).distance(colour(b)) < TOLD_APART;
    }

    /** What is open in the tiers and pins of a design, as far as it can be seen without the items. */
    static List<DesignChecks.Remark> remarks(SearchDesign design) {
        List<DesignChecks.Remark> remarks = new ArrayList<>();
        List<Tier> tiers = design.tiersByRank();
        List<Tier> lifting = tiers.stream().filter(tier -> tier.lift() != null).toList();
        for (boolean words : new boolean[] {true, false}) {
            List<OrderKey> keys =
                    words ? design.order().withWords() : design.order().withoutWords();
            if (!lifting.isEmpty() && keys.stream().noneMatch(key -> key.by() == OrderKey.By.TIER)) {
                remarks.add(remark("The order %s words has no key \"tier\", so there %s nothing."
                        .formatted(
                                words ? "with" : "without",
                                lifting.size() == 1
                                        ? "\"" + lifting.getFirst().name() + "\" lifts"
                                        : lifting.size() + " tiers lift")));
            } else if (keys.stream()
                    .takeWhile(key -> key.by() != OrderKey.By.TIER)
                    .anyMatch(key -> key.by() == OrderKey.By.PLACE_IN_TIER)) {
                remarks.add(remark(
                        "The order %s words has the place in the tier without the tier before it, so it decides nothing."
                                .formatted(words ? "with" : "without")));
            }
        }
        for (int i = 0; i < tiers.size(); i++) {
            Tier tier = tiers.get(i);
            if (unseen(tier.looks())) {
                remarks.add(
                        remark("Nothing shows that an item holds \"%s\". Give its cards a ribbon, an edge or a ground."
                                .formatted(tier.name())));
            }
            for (Contrast contrast : contrasts(tier.looks())) {
                if (!contrast.passes()) {
                    remarks.add(remark(
                            "The %s of \"%s\" has a contrast of %.2f, where %.1f is needed. %s is the nearest colour that has it."
                                    .formatted(
                                            contrast.part() == Part.RIBBON ? "ribbon's text" : contrast.part(),
                                            tier.name(),
                                            Math.floor(contrast.ratio() * 100) / 100,
                                            contrast.wanted(),
                                            contrast.nearest())));
                }
            }
            for (Tier other : tiers.subList(i + 1, tiers.size())) {
                if (!unseen(tier.looks()) && alike(tier.looks(), other.looks())) {
                    remarks.add(remark("\"%s\" and \"%s\" look alike: visitors cannot tell them apart."
                            .formatted(tier.name(), other.name())));
                }
                if (tier.rank() != null && tier.rank().equals(other.rank())) {
                    remarks.add(remark(
                            "\"%s\" and \"%s\" have the same rank; \"%s\" stands first in the list, so it is the higher."
                                    .formatted(tier.name(), other.name(), tier.name())));
                }
            }
        }
        return remarks;
    }

    private static DesignChecks.Remark remark(String text) {
        return new DesignChecks.Remark(DesignChecks.Step.ORDER, text, false);
    }
}
