package tidylantern.core.query.words;

import java.util.Arrays;
import org.apache.lucene.util.BytesRef;

/**
 * Tells quickly, and without making a text of each, that a word is no slip of a typed one: by the distance of
 * {@link Typos#strength}, of which only what can still come out small enough is reckoned (Ukkonen 1985), and given up
 * with the first letter at which nothing can.
 */
final class SlipTest {
    private final int[] typed;
    private final int edits;
    private final boolean starts;
    private int[] beforeLast = new int[0];
    private int[] last = new int[0];
    private int[] row = new int[0];

    /** @param starts whether the start of a word is enough */
    SlipTest(String typed, int edits, boolean starts) {
        this.typed = typed.codePoints().toArray();
        this.edits = edits;
        this.starts = starts;
    }

    /** @param word of ASCII letters alone */
    boolean mayPass(BytesRef word) {
        if (!starts && word.length > typed.length + edits) {
            return false;
        }
        // What stands further on than this matters to no start of it.
        int length = Math.min(word.length, typed.length + edits);
        begin(length);
        for (int i = 1; i <= typed.length; i++) {
            int[] spare = beforeLast;
            beforeLast = last;
            last = row;
            row = spare;
            if (fill(i, word, length) > edits) {
                return false;
            }
        }
        return starts || row[length] <= edits;
    }

    /** The distances of nothing from the starts of the word. */
    private void begin(int length) {
        if (row.length <= length) {
            beforeLast = new int[length + 1];
            last = new int[length + 1];
            row = new int[length + 1];
        }
        for (int j = 0; j <= length; j++) {
            row[j] = j;
        }
    }

    /**
     * The distances of the first i typed letters from the starts of the word, as far as they may be small enough.
     *
     * @return the smallest
     */
    private int fill(int i, BytesRef word, int length) {
        int far = edits + 1;
        Arrays.fill(row, 0, length + 1, far);
        row[0] = Math.min(i, far);
        int nearest = row[0];
        for (int j = Math.max(1, i - edits); j <= Math.min(length, i + edits); j++) {
            byte letter = word.bytes[word.offset + j - 1];
            int best = Math.min(Math.min(last[j], row[j - 1]) + 1, last[j - 1] + (typed[i - 1] == letter ? 0 : 1));
            if (i > 1 && j > 1 && typed[i - 1] == word.bytes[word.offset + j - 2] && typed[i - 2] == letter) {
                best = Math.min(best, beforeLast[j - 2] + 1);
            }
            row[j] = best;
            nearest = Math.min(nearest, best);
        }
        return nearest;
    }
}
