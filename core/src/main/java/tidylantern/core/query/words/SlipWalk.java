package tidylantern.core.query.words;

import org.apache.lucene.util.BytesRef;
import org.apache.lucene.util.UnicodeUtil;

/**
 * Tells of words that come in their order which are slips of a typed one, by the distance of {@link Typos#strength}. A
 * letter of a word is one step of an automaton whose states stand side by side in the bits of a number (Wu and Manber
 * 1992; two neighbours swapped as in Navarro 2001). What a word has in common with the one before it is not walked
 * again, and words whose common beginning is too far off already are passed over at once.
 */
final class SlipWalk {
    /** Longer words have no room in the bits. */
    static final int MOST_LETTERS = Long.SIZE - 2;

    private static final int NEVER = Integer.MAX_VALUE;
    private static final int ASCII = 128;

    private final int[] typed;
    private final int edits;
    private final boolean starts;
    /** A bit for each beginning of the typed word, the empty one first. */
    private final long beginnings;

    private final long wholeWord;
    /** By letter: the bits of the typed word's letters that are this one. */
    private final long[] ofAscii = new long[ASCII];

    /**
     * By how many letters of a word, and by edits: the beginnings of the typed word that so many edits, or fewer, make
     * of them.
     */
    private final long[][] within;

    /** By how many letters of a word: the bits of the typed word's letters that the last of them is. */
    private final long[] letterBits;
    /** By how many letters of a word: the byte behind them. */
    private final int[] ends;

    private final UnicodeUtil.UTF8CodePoint read = new UnicodeUtil.UTF8CodePoint();

    /** How many letters were walked of the word that it came to last. */
    private int walked;
    /** With so many of its letters it is too far off, whatever follows. */
    private int hopeless = NEVER;
    /** With so many of its letters it is near enough, whatever follows. */
    private int enough = NEVER;

    /**
     * @param typed of at most {@link #MOST_LETTERS} letters
     * @param starts whether the start of a word is enough
     */
    SlipWalk(String typed, int edits, boolean starts) {
        this.typed = typed.codePoints().toArray();
        this.edits = edits;
        this.starts = starts;
        wholeWord = 1L << this.typed.length;
        beginnings = (wholeWord << 1) - 1;
        for (int i = 0; i < this.typed.length; i++) {
            if (this.typed[i] < ASCII) {
                ofAscii[this.typed[i]] |= 1L << i;
            }
        }
        // A word that goes on further than this is too far off.
        int longest = this.typed.length + edits + 1;
        within = new long[longest + 1][edits + 1];
        letterBits = new long[longest + 1];
        ends = new int[longest + 1];
        for (int edit = 0; edit <= edits; edit++) {
            within[0][edit] = ((1L << (edit + 1)) - 1) & beginnings;
        }
    }

    /**
     * Comes to a word.
     *
     * @param shared how many letters it has in common with the word before it, or fewer
     */
    void comeTo(int shared) {
        walked = Math.min(walked, shared);
        if (hopeless > shared) {
            hopeless = NEVER;
        }
        if (enough > shared) {
            enough = NEVER;
        }
    }

    /** Whether the word that it came to is too far off by what is known of its beginning. */
    boolean isHopeless() {
        return hopeless != NEVER;
    }

    /** So many letters of a hopeless word are enough to tell: what begins with them as well is so, too. */
    int hopelessFrom() {
        return hopeless;
    }

    /** Whether the word that it came to, and that is not hopeless, is a slip. */
    boolean isSlip(BytesRef word) {
        if (enough != NEVER) {
            return true;
        }
        while (ends[walked] < word.length) {
            step(word);
            if (within[walked][edits] == 0) {
                hopeless = walked;
                return false;
            }
            if (starts && (within[walked][edits] & wholeWord) != 0) {
                enough = walked;
                return true;
            }
        }
        return (within[walked][edits] & wholeWord) != 0;
    }

    /** One letter more of the word. */
    private void step(BytesRef word) {
        long letter = nextLetter(word);
        long[] before = within[walked];
        long[] next = within[walked + 1];
        // Two letters of the word are two neighbours of the typed one, swapped.
        long swapped = walked == 0 ? 0 : letter & (letterBits[walked] >>> 1);
        long fewer = 0;
        for (int edit = 0; edit <= edits; edit++) {
            long made = (before[edit] & letter) << 1;
            if (edit > 0) {
                long wrong = before[edit - 1] << 1;
                long tooMany = before[edit - 1];
                long missing = fewer << 1;
                made |= wrong | tooMany | missing;
                made |= walked == 0 ? 0 : (within[walked - 1][edit - 1] & swapped) << 2;
            }
            fewer = made & beginnings;
            next[edit] = fewer;
        }
        walked++;
        letterBits[walked] = letter;
    }

    /** The bits of the typed word's letters that are the word's next one. */
    private long nextLetter(BytesRef word) {
        int place = word.offset + ends[walked];
        byte first = word.bytes[place];
        if (first >= 0) {
            ends[walked + 1] = ends[walked] + 1;
            return ofAscii[first];
        }
        UnicodeUtil.codePointAt(word.bytes, place, read);
        ends[walked + 1] = ends[walked] + read.numBytes;
        long letters = 0;
        for (int i = 0; i < typed.length; i++) {
            letters |= typed[i] == read.codePoint ? 1L << i : 0;
        }
        return letters;
    }
}
