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
 * The words of one field in one part of an index, in their order, side by side in memory: some 26 bytes a word. Beside
 * each stands how many letters it has and which, so that hardly any has to be compared with a word that it may be a
 * slip of.
 */
final class PartWords {
    private static final int SOME = 256;
    /** Words of this many letters or more are told apart by no number; nobody types one. */
    private static final int LONG = 127;

    private byte[] letters = new byte[SOME * 8];
    private int[] ends = new int[SOME];
    private long[] marks = new long[SOME];
    /** How many letters each has, up to {@link #LONG}. */
    private byte[] lengths = new byte[SOME];

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
     * @param slips tells what is too far off after all; null where that is for who visits
     */
    record Likeness(
            long marks,
            int edits,
            int length,
            boolean whole,
            BytesRef begins,
            @Nullable SlipTest slips) {}

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
        size++;
    }

    private void trim() {
        letters = Arrays.copyOf(letters, begin(size));
        ends = Arrays.copyOf(ends, size);
        marks = Arrays.copyOf(marks, size);
        documents = Arrays.copyOf(documents, size);
        lengths = Arrays.copyOf(lengths, size);
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

    /** Visits every word that may be alike, and some that are not. */
    void visit(Likeness like, IndexWords.Visitor visitor) throws IOException {
        BytesRef word = new BytesRef(letters, 0, 0);
        boolean begins = like.begins().length > 0;
        for (int n = begins ? firstFrom(like.begins()) : 0; n < size; n++) {
            word.offset = begin(n);
            word.length = ends[n] - word.offset;
            if (begins && !beginsWith(word, like.begins())) {
                return;
            }
            if (hasLetters(n, like) && isNear(n, word, like.slips())) {
                visitor.word(word, documents[n]);
            }
        }
    }

    /** Whether it has about as many letters as the typed word, and about the same. */
    private boolean hasLetters(int n, Likeness like) {
        int length = lengths[n];
        return length >= Math.min(LONG, like.length() - like.edits())
                && (!like.whole() || length == LONG || length <= like.length() + like.edits())
                && Long.bitCount(like.marks() & ~marks[n]) <= like.edits()
                && (!like.whole() || Long.bitCount(marks[n] & ~like.marks()) <= like.edits());
    }

    /** Of a word with letters beyond ASCII nothing is said. */
    private boolean isNear(int n, BytesRef word, @Nullable SlipTest slips) {
        return slips == null || word.length != lengths[n] || slips.mayPass(word);
    }

    private static boolean beginsWith(BytesRef word, BytesRef begin) {
        return word.length >= begin.length
                && Arrays.equals(
                        word.bytes,
                        word.offset,
                        word.offset + begin.length,
                        begin.bytes,
                        begin.offset,
                        begin.offset + begin.length);
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
