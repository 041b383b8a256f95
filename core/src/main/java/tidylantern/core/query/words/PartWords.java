package tidylantern.core.query.words;

import java.io.IOException;
import java.util.Arrays;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.Terms;
import org.apache.lucene.index.TermsEnum;
import org.apache.lucene.util.ArrayUtil;
import org.apache.lucene.util.BytesRef;
import org.apache.lucene.util.UnicodeUtil;
import org.jspecify.annotations.Nullable;
import tidylantern.core.index.WordForms;

/**
 * The words of one field in one part of an index, in their order, side by side in memory: some 27 bytes a word. Beside
 * each stands how many letters it has, which, and how many of them the word before it begins with too, so that hardly
 * any has to be compared with a word that it may be a slip of.
 */
final class PartWords {
    private static final int SOME = 256;
    /** Words of this many letters or more are told apart by no number; nobody types one. */
    private static final int LONG = 127;

    /**
     * What is found out about the beginning of a word that shares fewer letters with the one before tells of many that
     * follow, so its letters are not looked at first. Measured with 1 to 6 over WordNet's words.
     */
    private static final int FEW_SHARED = 3;

    private byte[] letters = new byte[SOME * 8];
    private int[] ends = new int[SOME];
    private long[] marks = new long[SOME];
    /** How many letters each has, up to {@link #LONG}. */
    private byte[] lengths = new byte[SOME];
    /** With how many of the same letters the word before each begins, up to {@link #LONG}. */
    private byte[] shared = new byte[SOME];

    private int[] documents = new int[SOME];
    private int size;
    private boolean complete = true;

    private PartWords() {}

    /**
     * What a word looks like that is to be visited.
     *
     * @param marks of the typed word's letters, as {@link PartWords#marks} has them
     * @param edits so many letters may differ
     * @param length how many letters the typed word has
     * @param whole whether it may hold no more letters than there are edits beside the typed ones
     * @param begins what it has to begin with; empty for anything
     */
    record Likeness(long marks, int edits, int length, boolean whole, BytesRef begins) {}

    /** @param most how many words are taken to hand; where the part holds more, it is none */
    static PartWords of(LeafReaderContext part, String field, int most) throws IOException {
        PartWords words = new PartWords();
        Terms terms = part.reader().terms(field);
        TermsEnum all = terms == null ? TermsEnum.EMPTY : terms.iterator();
        // Before them stand stems and pieces, under their marks.
        BytesRef first = new BytesRef(String.valueOf(WordForms.firstOfWords()));
        boolean any = all.seekCeil(first) != TermsEnum.SeekStatus.END;
        for (BytesRef word = any ? all.term() : null; word != null; word = all.next()) {
            if (words.size == most) {
                return tooMany();
            }
            words.add(word, all.docFreq());
        }
        words.trim();
        return words;
    }

    private static PartWords tooMany() {
        PartWords none = new PartWords();
        none.complete = false;
        none.trim();
        return none;
    }

    /** Whether the words are here; if not, there are too many. */
    boolean complete() {
        return complete;
    }

    private void add(BytesRef word, int heldBy) {
        int begin = begin(size);
        letters = ArrayUtil.grow(letters, begin + word.length);
        ends = ArrayUtil.grow(ends, size + 1);
        marks = ArrayUtil.grow(marks, size + 1);
        documents = ArrayUtil.grow(documents, size + 1);
        System.arraycopy(word.bytes, word.offset, letters, begin, word.length);
        ends[size] = begin + word.length;
        marks[size] = marks(word.utf8ToString());
        documents[size] = heldBy;
        lengths = ArrayUtil.grow(lengths, size + 1);
        lengths[size] = (byte) Math.min(LONG, UnicodeUtil.codePointCount(word));
        shared = ArrayUtil.grow(shared, size + 1);
        shared[size] = (byte) Math.min(LONG, sharedWithLast(word));
        size++;
    }

    /** Of a letter whose bytes are the same at first only, nothing is shared. */
    private int sharedWithLast(BytesRef word) {
        if (size == 0) {
            return 0;
        }
        int begin = begin(size - 1);
        int bytes = Arrays.mismatch(letters, begin, ends[size - 1], word.bytes, word.offset, word.offset + word.length);
        while (bytes > 0 && bytes < word.length && isInsideLetter(word.bytes[word.offset + bytes])) {
            bytes--;
        }
        return UnicodeUtil.codePointCount(new BytesRef(word.bytes, word.offset, bytes));
    }

    /** As UTF-8 (RFC 3629) marks the bytes of a letter after its first. */
    private static boolean isInsideLetter(byte one) {
        return (one & 0xC0) == 0x80;
    }

    private void trim() {
        letters = Arrays.copyOf(letters, begin(size));
        ends = Arrays.copyOf(ends, size);
        marks = Arrays.copyOf(marks, size);
        documents = Arrays.copyOf(documents, size);
        lengths = Arrays.copyOf(lengths, size);
        shared = Arrays.copyOf(shared, size);
    }

    private int begin(int word) {
        return word == 0 ? 0 : ends[word - 1];
    }

    /** A bit for each letter that a word has; far letters may share one, so that it tells what is not there alone. */
    static long marks(String word) {
        long marks = 0;
        for (int i = 0; i < word.length(); i += Character.charCount(word.codePointAt(i))) {
            marks |= 1L << word.codePointAt(i);
        }
        return marks;
    }

    /**
     * Visits every word that may be alike, and some that are not.
     *
     * @param slips tells what is too far off after all, and has come to no word of this part yet; null where that is
     *     for who visits
     */
    void visit(Likeness like, @Nullable SlipWalk slips, IndexWords.Visitor visitor) throws IOException {
        BytesRef word = new BytesRef(letters, 0, 0);
        int end = like.begins().length == 0 ? size : firstBehind(like.begins());
        int n = like.begins().length == 0 ? 0 : firstFrom(like.begins());
        while (n < end) {
            word.offset = begin(n);
            word.length = ends[n] - word.offset;
            if (slips == null ? hasLetters(n, like) : isSlip(n, word, like, slips)) {
                visitor.word(word, documents[n]);
            }
            n++;
            if (slips != null && slips.isHopeless()) {
                n = firstSharingLess(slips.hopelessFrom(), n, end);
            }
        }
    }

    private boolean isSlip(int n, BytesRef word, Likeness like, SlipWalk slips) {
        slips.comeTo(shared[n]);
        return (shared[n] < FEW_SHARED || hasLetters(n, like)) && slips.isSlip(word);
    }

    /** Place of the first word that begins with fewer of the letters of the one before it. */
    private int firstSharingLess(int many, int from, int end) {
        int n = from;
        while (n < end && shared[n] >= many) {
            n++;
        }
        return n;
    }

    /** Whether it has about as many letters as the typed word, and about the same. */
    private boolean hasLetters(int n, Likeness like) {
        if (Long.bitCount(like.marks() & ~marks[n]) > like.edits()) {
            // The most by far end here.
            return false;
        }
        int length = lengths[n];
        return length >= Math.min(LONG, like.length() - like.edits())
                && (!like.whole() || length == LONG || length <= like.length() + like.edits())
                && (!like.whole() || Long.bitCount(marks[n] & ~like.marks()) <= like.edits());
    }

    /** Place of the first word behind all that begin so. */
    private int firstBehind(BytesRef begin) {
        // No byte of UTF-8 is that large, so it stands behind whatever follows.
        BytesRef behind = new BytesRef(Arrays.copyOfRange(begin.bytes, begin.offset, begin.offset + begin.length + 1));
        behind.bytes[begin.length] = (byte) 0xFF;
        return firstFrom(behind);
    }

    /** Place of the first word that does not come before one. */
    private int firstFrom(BytesRef begin) {
        int low = 0;
        int high = size;
        while (low < high) {
            int middle = (low + high) >>> 1;
            int compared = Arrays.compareUnsigned(
                    letters, begin(middle), ends[middle], begin.bytes, begin.offset, begin.offset + begin.length);
            if (compared < 0) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }
}
