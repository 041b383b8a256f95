package tidylantern.core.design.card;

import java.util.Locale;

/** How a text is set. What a size is and which colour a tone has belongs to the look. */
public record Lettering(Size size, boolean bold, Tone tone) {

    /** As running text is set. */
    public static Lettering usual() {
        return new Lettering(Size.USUAL, false, Tone.TEXT);
    }

    /** Beside what matters more. */
    public static Lettering quiet() {
        return new Lettering(Size.SMALL, false, Tone.QUIET);
    }

    /** What is to be seen first. */
    public static Lettering strong() {
        return new Lettering(Size.USUAL, true, Tone.TEXT);
    }

    /** How large a text is. */
    public enum Size {
        SMALL,
        USUAL,
        LARGE;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** Which of a look's colours a text has. */
    public enum Tone {
        TEXT,
        QUIET,
        ACCENT;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
