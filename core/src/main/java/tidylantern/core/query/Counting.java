package tidylantern.core.query;

import java.io.IOException;
import org.apache.lucene.index.LeafReaderContext;

/** Adds up what one item after the other has in a field. */
interface Counting {
    /** The items that follow are of this part of the index. */
    void enter(LeafReaderContext leaf) throws IOException;

    /** @param document greater than the one before, within the part */
    void add(int document) throws IOException;
}
