package tidylantern.core.query;

import org.apache.lucene.util.automaton.Automaton;
import org.apache.lucene.util.automaton.LevenshteinAutomata;
import org.apache.lucene.util.automaton.Operations;
import org.apache.lucene.util.automaton.Transition;

/**
 * Which words a mistyped word may stand for: those within so many edits, where an edit is a letter too many, too few or
 * wrong, or two neighbours swapped (optimal string alignment, after Damerau 1964). The automata are Lucene's, after
 * Schulz and Mihov 2002.
 */
final class Typos {
    private Typos() {}

    /**
     * Accepts the words within {@code edits} of {@code word}.
     *
     * @param edits 1 or 2
     * @param firstLetterFixed whether they must begin with the same letter
     */
    static Automaton within(String word, int edits, boolean firstLetterFixed) {
        int fixed = firstLetterFixed ? Character.charCount(word.codePointAt(0)) : 0;
        Automaton automaton = new LevenshteinAutomata(word.substring(fixed), true).toAutomaton(edits, word.substring(0, fixed));
        return Operations.determinize(automaton, Operations.DEFAULT_DETERMINIZE_WORK_LIMIT);
    }

    /** Accepts the words that begin with one that {@code whole} accepts; {@code whole} is deterministic. */
    static Automaton startingWith(Automaton whole) {
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
