package tidylantern.core.query;

/**
 * In which way a word of a query meets a word of an item, strongest first, and how much of a whole exact match it is
 * worth. The order is the product's rule; the figures are this product's own choice, apart enough that a weaker way never
 * overtakes a stronger one in texts that are otherwise alike.
 */
public enum Strength {
    EXACT(1.0),
    STEM(0.7),
    START(0.4),
    /** Somewhere inside a word. */
    INSIDE(0.3),
    /** One edit off. */
    TYPO(0.25),
    /** The start of a word, one edit off. */
    TYPO_START(0.18),
    /** A part of a word, one edit off. */
    TYPO_INSIDE(0.15),
    /** Two edits off. */
    FAR_TYPO(0.12),
    FAR_TYPO_START(0.08),
    FAR_TYPO_INSIDE(0.07),
    /** Another word or phrase that the owner says means the same. */
    SYNONYM(0.06);

    private final float share;

    Strength(double share) {
        this.share = (float) share;
    }

    @Override
    public String toString() {
        return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
    }

    /** Of what an exact match gives, 0 to 1. */
    public float share() {
        return share;
    }
}
