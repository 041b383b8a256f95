package tidylantern.core.query.words;

import java.io.IOException;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.lucene.util.BytesRef;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.index.IndexState;

/**
 * What one answer may spend on words that stand nowhere as they were typed, together with all the queries that are
 * tried for it (completions, did you mean), and what was found out for it already. Walking over the words of an index
 * for a mistyped one is by far the dearest part of an answer; a machine may send many such words, a person does not.
 */
public final class Effort {
    /**
     * So many different words may be looked for among the words of the index; later ones are taken as they are typed.
     */
    public static final int MOST_BENT = 6;
    /** So many different words may be looked for written apart, and so many rows of words written together. */
    static final int MOST_OTHERWISE = 6;
    /** Ways to leave one word out that are tried. */
    private static final int MOST_WITHOUT_ONE = 8;
    /** Of a long query fewer are tried, since each reads all its other words once more: so many words altogether. */
    private static final int MOST_READ_AGAIN = 64;

    private final Set<String> bent = new HashSet<>();
    private final Set<String> apart = new HashSet<>();
    private final Set<String> together = new HashSet<>();
    private final Map<Walk, List<Met>> walks = new HashMap<>();
    private final IndexWords words;
    private final WordLookups lookups;

    /** @param state of the index that is asked */
    public Effort(IndexState state) {
        words = new IndexWords(state);
        lookups = new WordLookups(state.searcher());
    }

    /** What the index holds, to be looked through. */
    public IndexWords words() {
        return words;
    }

    /** Where words stand in what is asked. */
    public WordLookups lookups() {
        return lookups;
    }

    /**
     * A walk over the words of a field.
     *
     * @param starts whether the start of a word is enough
     * @param inside whether any part of a word is
     */
    record Walk(FieldKey field, String word, boolean starts, boolean inside) {}

    /** A word of the index that a mistyped one may stand for, and how many items hold it in the field. */
    record Met(BytesRef word, Strength way, int documents) {
        /** The same word in one more part of the index. */
        Met and(Met other) {
            return new Met(word, way, documents + other.documents);
        }
    }

    @FunctionalInterface
    interface Walking {
        List<Met> walk() throws IOException;
    }

    /** So many ways to leave one of so many words out may be tried; it is the first of them that are left out. */
    public static int mostWithoutOneOf(int words) {
        return Math.min(MOST_WITHOUT_ONE, MOST_READ_AGAIN / Math.max(1, words));
    }

    /** Whether this word may be looked for; once it may, it always may. */
    public boolean mayBend(String word) {
        return spend(bent, word, MOST_BENT);
    }

    /** Whether this word may be looked for written as two; once it may, it always may. */
    boolean mayTakeApart(String word) {
        return spend(apart, word, MOST_OTHERWISE);
    }

    /** Whether words that are this one together may be looked for so; once they may, they always may. */
    boolean mayPutTogether(String together) {
        return spend(this.together, together, MOST_OTHERWISE);
    }

    private static boolean spend(Set<String> spent, String word, int most) {
        return spent.contains(word) || (spent.size() < most && spent.add(word));
    }

    /** What a walk meets; each is walked once. */
    List<Met> met(Walk walk, Walking walking) throws IOException {
        @Nullable List<Met> known = walks.get(walk);
        if (known == null) {
            known = walking.walk();
            walks.put(walk, known);
        }
        return known;
    }
}
