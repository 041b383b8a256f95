package tidylantern.core.content;

/** The one way in which a value refuses to exist in a wrong state. */
public final class Require {
    private Require() {}

    /**
     * @param message a {@link String#formatted} pattern that says what was wrong and the way out
     * @throws IllegalArgumentException with that message, unless {@code holds}
     */
    public static void require(boolean holds, String message, Object... values) {
        if (!holds) {
            throw new IllegalArgumentException(message.formatted(values));
        }
    }
}
