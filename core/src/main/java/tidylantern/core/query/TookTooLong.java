package tidylantern.core.query;

/**
 * An answer would have taken so long that nobody waits for it, while others wait for their turn. Nothing of it is
 * known.
 */
public final class TookTooLong extends RuntimeException {
    TookTooLong() {
        super("This question takes too long to answer. Ask with fewer words, or narrow it down.");
    }
}
