package tidylantern.core.index;

import java.io.IOException;
import java.util.List;
import java.util.Objects;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.ConjunctionUtils;
import org.apache.lucene.search.DocIdSetIterator;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.Scorer;
import org.apache.lucene.util.BitSetIterator;
import org.apache.lucene.util.Bits;
import org.apache.lucene.util.FixedBitSet;
import org.jspecify.annotations.Nullable;

/** Figures of one part of an index, as they were when they were asked for last. */
final class FollowedFigures {
    private @Nullable Last last;

    /** @param live which documents were not deleted then; null for all of them */
    private record Last(Object figures, @Nullable Bits live) {}

    synchronized <F> Object of(LeafReaderContext part, IndexSearcher searcher, Query passing, PartFigures<F> figures)
            throws IOException {
        Bits now = part.reader().getLiveDocs();
        Last known = last;
        if (known == null || known.live() != now) {
            known = new Last(Objects.requireNonNull(followed(known, part, searcher, passing, figures)), now);
            last = known;
        }
        return known.figures();
    }

    private static <F> F followed(
            @Nullable Last last, LeafReaderContext part, IndexSearcher searcher, Query passing, PartFigures<F> figures)
            throws IOException {
        Bits now = part.reader().getLiveDocs();
        DocIdSetIterator found = found(part, searcher, passing);
        if (now == null) {
            return figures.over(part, found);
        }
        FixedBitSet gone =
                last == null ? null : gone(last.live(), now, part.reader().maxDoc());
        if (last != null && gone != null) {
            // It was made by the same figures, which the key stands for.
            @SuppressWarnings("unchecked")
            F before = (F) last.figures();
            F left = figures.without(
                    before,
                    figures.over(
                            part,
                            ConjunctionUtils.intersectIterators(
                                    List.of(found, new BitSetIterator(gone, gone.cardinality())))));
            if (left != null) {
                return left;
            }
            found = found(part, searcher, passing);
        }
        return figures.over(part, LiveDocuments.of(found, now));
    }

    private static DocIdSetIterator found(LeafReaderContext part, IndexSearcher searcher, Query passing)
            throws IOException {
        Scorer scorer =
                searcher.createWeight(passing, ScoreMode.COMPLETE_NO_SCORES, 1).scorer(part);
        return scorer == null ? DocIdSetIterator.empty() : scorer.iterator();
    }

    /** What went since; null where something is there that was not, since an earlier state is asked once more. */
    private static @Nullable FixedBitSet gone(@Nullable Bits before, Bits now, int size) {
        FixedBitSet gone = new FixedBitSet(size);
        for (int document = 0; document < size; document++) {
            boolean was = before == null || before.get(document);
            boolean is = now.get(document);
            if (was && !is) {
                gone.set(document);
            } else if (!was && is) {
                return null;
            }
        }
        return gone;
    }
}
