package tidylantern.core.query.words;

import java.io.IOException;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.Terms;
import org.apache.lucene.index.TermsEnum;
import org.apache.lucene.util.BytesRef;
import org.apache.lucene.util.automaton.CompiledAutomaton;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.IndexState;
import tidylantern.core.index.WordForms;

/**
 * The words that a state of an index holds, to be looked through for those that a mistyped one may stand for. They are
 * kept at hand by the parts of the index; a part that holds very many in a field is walked by an automaton instead,
 * which is dear to make for each word anew.
 */
public final class IndexWords {
    /** A field that holds more different words in one part than this is one of codes, numbers or names of files. */
    private static final int MOST_AT_HAND = 200_000;

    private final IndexState state;
    private final int most;

    public IndexWords(IndexState state) {
        this(state, MOST_AT_HAND);
    }

    /** @param most how many words of a field in a part are taken to hand */
    IndexWords(IndexState state, int most) {
        this.state = state;
        this.most = most;
    }

    /** Receives words part by part, so that one may come several times. */
    @FunctionalInterface
    public interface Visitor {
        /**
         * @param word changes with the next
         * @param documents how many of a part hold it, deleted ones too
         */
        void word(BytesRef word, int documents) throws IOException;
    }

    /** The words of a field in one part, if there are no more. */
    private record OfField(FieldKey field, int most) {}

    /** Takes the words of a field to hand, so that nobody waits for it who asks. */
    public void prepare(FieldKey field) throws IOException {
        for (LeafReaderContext part : state.parts()) {
            atHand(part, field);
        }
    }

    private PartWords atHand(LeafReaderContext part, FieldKey field) throws IOException {
        return state.ofPart(
                part,
                new OfField(field, most),
                PartWords.class,
                () -> PartWords.of(part, IndexFields.words(field), most));
    }

    /**
     * Visits at least every word of a field within some edits of a typed one, as {@link Typos#strength} tells them.
     *
     * @param starts whether the start of a word is enough
     */
    public void near(FieldKey field, String typed, int edits, boolean firstLetterFixed, boolean starts, Visitor visitor)
            throws IOException {
        int letters = typed.codePointCount(0, typed.length());
        int fixed = firstLetterFixed ? Character.charCount(typed.codePointAt(0)) : 0;
        PartWords.Likeness like = new PartWords.Likeness(
                PartWords.marks(typed), edits, letters, !starts, new BytesRef(typed.substring(0, fixed)));
        for (LeafReaderContext part : state.parts()) {
            PartWords words = atHand(part, field);
            if (words.complete()) {
                SlipWalk slips = letters <= SlipWalk.MOST_LETTERS ? new SlipWalk(typed, edits, starts) : null;
                words.visit(like, slips, visitor);
            } else {
                walk(part, field, Typos.reach(typed, edits, firstLetterFixed, starts), visitor);
            }
        }
    }

    /**
     * Visits at least every word of a field of which some part is within some edits of a typed one, as
     * {@link Typos#insideStrength} tells them.
     */
    void nearInside(FieldKey field, String typed, int edits, Visitor visitor) throws IOException {
        PartWords.Likeness like = new PartWords.Likeness(
                PartWords.marks(typed), edits, typed.codePointCount(0, typed.length()), false, new BytesRef());
        for (LeafReaderContext part : state.parts()) {
            PartWords words = atHand(part, field);
            if (words.complete()) {
                words.visit(like, null, visitor);
            } else {
                // What holds the word somewhere begins with any letter, so nothing narrows the walk.
                walk(part, field, null, visitor);
            }
        }
    }

    private static void walk(
            LeafReaderContext part, FieldKey field, @Nullable CompiledAutomaton within, Visitor visitor)
            throws IOException {
        Terms terms = part.reader().terms(IndexFields.words(field));
        if (terms == null) {
            return;
        }
        TermsEnum found = within == null ? terms.iterator() : terms.intersect(within, null);
        for (BytesRef word = found.next(); word != null; word = found.next()) {
            if (!WordForms.marked(word)) {
                visitor.word(word, found.docFreq());
            }
        }
    }
}
