package tidylantern.core.query.words;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Arrays;
import java.util.List;
import org.apache.lucene.util.automaton.Automata;
import org.apache.lucene.util.automaton.Automaton;
import org.apache.lucene.util.automaton.CompiledAutomaton;
import org.apache.lucene.util.automaton.LevenshteinAutomata;
import org.apache.lucene.util.automaton.Operations;
import org.apache.lucene.util.automaton.Transition;
import org.jspecify.annotations.Nullable;
import tidylantern.core.index.WordForms;

/**
 * Which words a mistyped word may stand for: those within so many edits, where an edit is a letter too many, too few or
 * wrong, or two neighbours swapped (optimal string alignment, after Damerau 1964). The automata are Lucene's, after
 * Schulz and Mihov 2002.
 */
public final class Typos {
    /** Compiled automata that are kept; each takes some ten kilobytes. */
    private static final int KEPT = 128;

    private static final Cache<Reach, CompiledAutomaton> LAST =
            Caffeine.newBuilder().maximumSize(KEPT).executor(Runnable::run).build();

    /** Stands for words that hold the letters as they are. */
    private static final int NO_EDITS = 0;

    private Typos() {}

    private record Reach(String word, int edits, boolean firstLetterFixed, boolean starts) {}

    /**
     * All words that a slip may lead to, whatever the way. Compiling it is the dear part of forgiving slips, and it
     * hangs on nothing but the word; so the last are kept, for the same word is asked again with every change of a
     * draft, every trial, every remedy of Why? and every way on from a query.
     *
     * @param starts whether the start of a word is enough
     */
    public static CompiledAutomaton reach(String word, int edits, boolean firstLetterFixed, boolean starts) {
        return LAST.get(new Reach(word, edits, firstLetterFixed, starts), made -> {
            Automaton widest = within(word, edits, firstLetterFixed);
            // Called finite although a start may go on for ever: it has no loop before it accepts, and what Lucene
            // would
            // reckon for a true loop (the suffix that all words share) is dear, and empty here.
            return new CompiledAutomaton(starts ? startingWith(widest) : widest, true, true);
        });
    }

    /** All words that hold the letters {@link #inside} them; kept like those that a slip may lead to. */
    static CompiledAutomaton holding(String letters) {
        return LAST.get(
                new Reach(letters, NO_EDITS, false, false),
                made -> new CompiledAutomaton(inside(letters), false, true));
    }

    /**
     * Accepts the words within {@code edits} of {@code word}.
     *
     * @param edits 1 or 2
     * @param firstLetterFixed whether they must begin with the same letter
     */
    public static Automaton within(String word, int edits, boolean firstLetterFixed) {
        int fixed = firstLetterFixed ? Character.charCount(word.codePointAt(0)) : 0;
        Automaton automaton =
                new LevenshteinAutomata(word.substring(fixed), true).toAutomaton(edits, word.substring(0, fixed));
        return Operations.determinize(automaton, Operations.DEFAULT_DETERMINIZE_WORK_LIMIT);
    }

    /**
     * In which way a word of the index stands for the typed one. Every word that the automata of {@link #within} and
     * {@link #startingWith} accept has one; telling it by the distances is far cheaper than an automaton for each way.
     *
     * @param edits how many edits are allowed, 1 or 2
     * @param starts whether the start of a word is enough
     * @return null if it is too far off
     */
    public static @Nullable Strength strength(String typed, String word, int edits, boolean starts) {
        int[] a = typed.codePoints().toArray();
        int[] b = word.codePoints().toArray();
        int[] beforeLast = new int[b.length + 1];
        int[] last = new int[b.length + 1];
        int[] row = new int[b.length + 1];
        for (int j = 0; j <= b.length; j++) {
            row[j] = j;
        }
        for (int i = 1; i <= a.length; i++) {
            int[] spare = beforeLast;
            beforeLast = last;
            last = row;
            row = spare;
            row[0] = i;
            for (int j = 1; j <= b.length; j++) {
                row[j] = Math.min(Math.min(last[j], row[j - 1]) + 1, last[j - 1] + (a[i - 1] == b[j - 1] ? 0 : 1));
                if (i > 1 && j > 1 && a[i - 1] == b[j - 2] && a[i - 2] == b[j - 1]) {
                    row[j] = Math.min(row[j], beforeLast[j - 2] + 1);
                }
            }
        }
        int whole = row[b.length];
        int start = starts ? Arrays.stream(row).min().orElse(whole) : whole;
        if (Math.min(whole, start) > edits) {
            return null;
        }
        if (whole <= 1) {
            return Strength.TYPO;
        }
        if (start <= 1) {
            return Strength.TYPO_START;
        }
        return whole <= 2 ? Strength.FAR_TYPO : Strength.FAR_TYPO_START;
    }

    /**
     * Accepts the words that hold the letters somewhere after their first, and none that stands for a stem or a piece.
     */
    static Automaton inside(String letters) {
        Automaton first = Automata.makeCharRange(WordForms.firstOfWords(), Character.MAX_CODE_POINT);
        Automaton all = Operations.concatenate(
                List.of(first, Automata.makeAnyString(), Automata.makeString(letters), Automata.makeAnyString()));
        return Operations.determinize(all, Operations.DEFAULT_DETERMINIZE_WORK_LIMIT);
    }

    /**
     * In which way a part of a word stands for the typed one: its best distance from any run of the word's letters
     * (Sellers 1980: the distance with a free beginning and end).
     *
     * @return null if every part is too far off
     */
    static @Nullable Strength insideStrength(String typed, String word, int edits, boolean firstLetterFixed) {
        int[] a = typed.codePoints().toArray();
        int[] b = word.codePoints().toArray();
        if (b.length < a.length - edits) {
            return null;
        }
        int far = a.length + b.length;
        int[] beforeLast = new int[b.length + 1];
        int[] last = new int[b.length + 1];
        int[] row = new int[b.length + 1];
        for (int i = 1; i <= a.length; i++) {
            int[] spare = beforeLast;
            beforeLast = last;
            last = row;
            row = spare;
            row[0] = firstLetterFixed ? far : i;
            for (int j = 1; j <= b.length; j++) {
                boolean same = a[i - 1] == b[j - 1];
                if (i == 1 && firstLetterFixed) {
                    row[j] = same ? 0 : Math.min(far, row[j - 1] + 1);
                    continue;
                }
                row[j] = Math.min(Math.min(last[j], row[j - 1]) + 1, last[j - 1] + (same ? 0 : 1));
                if (i > (firstLetterFixed ? 2 : 1) && j > 1 && a[i - 1] == b[j - 2] && a[i - 2] == b[j - 1]) {
                    row[j] = Math.min(row[j], beforeLast[j - 2] + 1);
                }
            }
        }
        int best = Arrays.stream(row).min().orElse(far);
        return best > edits ? null : best <= 1 ? Strength.TYPO_INSIDE : Strength.FAR_TYPO_INSIDE;
    }

    /** Accepts the words that begin with one that {@code whole} accepts; {@code whole} is deterministic. */
    public static Automaton startingWith(Automaton whole) {
        Automaton.Builder starts = new Automaton.Builder();
        Transition transition = new Transition();
        for (int state = 0; state < whole.getNumStates(); state++) {
            starts.createState();
            starts.setAccept(state, whole.isAccept(state));
        }
        for (int state = 0; state < whole.getNumStates(); state++) {
            if (whole.isAccept(state)) {
                // The beginning is right: whatever follows is welcome.
                starts.addTransition(state, state, Character.MIN_CODE_POINT, Character.MAX_CODE_POINT);
                continue;
            }
            int count = whole.initTransition(state, transition);
            for (int i = 0; i < count; i++) {
                whole.getNextTransition(transition);
                starts.addTransition(state, transition.dest, transition.min, transition.max);
            }
        }
        return Operations.removeDeadStates(starts.finish());
    }
}
