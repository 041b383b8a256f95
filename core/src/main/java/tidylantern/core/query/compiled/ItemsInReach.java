package tidylantern.core.query.compiled;

import java.io.IOException;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.Query;
import tidylantern.core.index.IndexState;
import tidylantern.core.index.PartFigures;

/** Counts what a search reaches. */
public final class ItemsInReach {
    private ItemsInReach() {}

    /**
     * How many items are in reach; counted once for a state of the index.
     *
     * @param reach as the state is asked for it: {@link CompiledSearch#reachIn}
     */
    public static int of(IndexState state, Query reach) throws IOException {
        return state.kept(reach, ItemsInReach.class, Integer.class, () -> {
            int items = 0;
            for (LeafReaderContext part : state.parts()) {
                items += state.ofPart(part, reach, ItemsInReach.class, Integer.class, new Counting());
            }
            return items;
        });
    }

    private static final class Counting implements PartFigures<Integer> {
        @Override
        public Integer over(LeafReaderContext part, DocIdSetIterator documents) throws IOException {
            int items = 0;
            while (documents.nextDoc() != DocIdSetIterator.NO_MORE_DOCS) {
                items++;
            }
            return items;
        }

        @Override
        public Integer without(Integer all, Integer gone) {
            return all - gone;
        }
    }
}
