package tidylantern.core.query.words;

/**
 * In which way a word of a query meets a word of an item, strongest first, and how much of a whole exact match it is
 * worth. The order is the product's rule; the figures are this product's own choice, apart enough that a weaker way
 * never overtakes a stronger one in texts that are otherwise alike.
 */
public enum Strength {
    /**
     * The query is a whole name of the item, as typed: each word gives what BM25 gives one at most, 1 + k1 times one
     * occurrence.
     */
    WHOLE_NAME(2.2),
    EXACT(1.0),
    STEM(0.7),
    START(0.4),
    /** A whole name of the item is the whole query, written together where the other is written apart. */
    NAME_OTHERWISE(0.38),
    /** Neighbouring words of the query, written as one. */
    TOGETHER(0.35),
    /** A word of the query, written as two (or its pieces) side by side. */
    APART(0.34),
    /** A piece of a word that is written together: {@code time} of {@code LocalDateTime}. */
    PIECE(0.32),
    /** Somewhere inside a word. */
    INSIDE(0.3),
    /** The query is one word, and a whole name of the item is one edit off it. */
    TYPO_NAME(0.28),
    /** One edit off. */
    TYPO(0.14),
    /** The query is one word, and a whole name is two edits off it. */
    FAR_TYPO_NAME(0.12),
    /** The start of a word, one edit off. */
    TYPO_START(0.1),
    /** A part of a word, one edit off. */
    TYPO_INSIDE(0.09),
    /** Two edits off. */
    FAR_TYPO(0.07),
    FAR_TYPO_START(0.05),
    FAR_TYPO_INSIDE(0.04),
    /** Another word or phrase that the owner says means the same. */
    SYNONYM(0.035);

    private final float share;

    Strength(double share) {
        this.share = (float) share;
    }

    @Override
    public String toString() {
        return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
    }

    /** Of what one exact match in a text of average length gives. */
    public float share() {
        return share;
    }
}
