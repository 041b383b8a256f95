package tidylantern.core.index;

import java.io.IOException;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.DocIdSetIterator;
import org.jspecify.annotations.Nullable;

/**
 * Figures of some documents of one part of an index, such as how many have each value.
 *
 * @param <F> the figures; never changed once they are made
 */
public interface PartFigures<F> {
    F over(LeafReaderContext part, DocIdSetIterator documents) throws IOException;

    /**
     * The figures of those that are left.
     *
     * @param all of those there were
     * @param gone of those that went
     * @return null where the two do not tell, so that all that are left have to be looked at
     */
    @Nullable F without(F all, F gone);

    /** What is left of numbers that only add up, one by one. */
    static int[] difference(int[] all, int[] gone) {
        int[] left = all.clone();
        for (int i = 0; i < left.length; i++) {
            left[i] -= gone[i];
        }
        return left;
    }
}
