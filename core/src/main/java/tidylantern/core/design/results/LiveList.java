package tidylantern.core.design.results;

import java.util.Locale;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.Limit;

/**
 * Live results: what appears at the box while somebody types.
 *
 * @param where they appear
 * @param inList whether the list on the same page goes on refreshing while somebody types, whatever appears at the box
 * @param asking when they are asked for
 * @param grouped whether they stand by collection, each with its number, or in one list
 * @param most how many there are at the most, 1 to 30
 * @param first how many of them show before 'more' is pressed, 1 to 30; null for all
 * @param form how they are laid out
 * @param above what stands above them
 * @param opens where a result opens
 */
public record LiveList(
        Where where,
        boolean inList,
        Asking asking,
        boolean grouped,
        int most,
        @Nullable Integer first,
        LiveForm form,
        Above above,
        Opens opens) {
    public static final Limit MOST = new Limit(1, 30);
    private static final int USUAL_MOST = 8;

    public LiveList {
        MOST.check("most", most);
        MOST.check("first", first);
    }

    /** Below the box, by collection. */
    public static LiveList usual() {
        return new LiveList(
                Where.BELOW,
                false,
                Asking.usual(),
                true,
                USUAL_MOST,
                null,
                LiveForm.usual(),
                Above.usual(),
                Opens.HERE);
    }

    /** With so many, by collection or in one list. */
    public LiveList holding(int most, boolean grouped) {
        return new LiveList(where, inList, asking, grouped, most, first, form, above, opens);
    }

    /** How many of one collection there are at the most, where they are grouped: about a third, at least three. */
    public int mostOfOne() {
        return Math.max(3, Math.ceilDiv(most, 3));
    }

    /** Where live results appear. */
    public enum Where {
        /** In a panel below the box. */
        BELOW,
        /** In a dialog over the page, the box above them. */
        OVER,
        NOWHERE;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** Where a result opens. */
    public enum Opens {
        HERE,
        NEW_TAB;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    /**
     * When live results are asked for.
     *
     * @param from how many letters and digits, 1 to 10; null for the fewest that words are looked for from
     * @param pause after the last letter, 0 to 2000 ms
     * @param onEnter whether not before Enter is pressed
     */
    public record Asking(@Nullable Integer from, int pause, boolean onEnter) {
        public static final Limit FROM = new Limit(1, 10);
        public static final Limit PAUSE = new Limit(0, 2000);
        private static final int USUAL_PAUSE = 120;

        public Asking {
            FROM.check("from", from);
            PAUSE.check("pause", pause);
        }

        public static Asking usual() {
            return new Asking(null, USUAL_PAUSE, false);
        }
    }

    /**
     * How live results are laid out. A panel is never narrower than 320 px, where the screen is not, and never wider
     * than the screen; on phones it is as wide as the screen.
     *
     * @param columns in which they stand where there is room, 1 to 3
     * @param gap between them, 0 to 40 px
     * @param width of the panel, 320 to 1600 px; null for that of the box
     * @param height that it grows to before it scrolls, 160 to 1200 px; null for as much as fits
     */
    public record LiveForm(
            int columns,
            int gap,
            @Nullable Integer width,
            @Nullable Integer height) {
        public static final Limit COLUMNS = new Limit(1, 3);
        public static final Limit GAP = new Limit(0, 40);
        public static final Limit WIDTH = new Limit(320, 1600);
        public static final Limit HEIGHT = new Limit(160, 1200);

        public LiveForm {
            COLUMNS.check("columns", columns);
            GAP.check("gap", gap);
            WIDTH.check("width", width);
            HEIGHT.check("height", height);
        }

        public static LiveForm usual() {
            return new LiveForm(1, 0, null, null);
        }
    }

    /**
     * What stands above and below live results; completions and other spellings are offered where the help for visitors
     * offers them anywhere.
     *
     * @param completions whether the word at hand is completed
     * @param didYouMean whether another spelling is offered where nothing is found
     * @param recent whether this visitor's own last searches are, which stay in their browser
     * @param all whether the way to all results stands below them
     */
    public record Above(boolean completions, boolean didYouMean, boolean recent, boolean all) {

        public static Above usual() {
            return new Above(true, true, false, true);
        }
    }
}
