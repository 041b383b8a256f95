package tidylantern.core.query.help;

import java.io.IOException;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.Query;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.Item;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.Words;
import tidylantern.core.index.IndexFields;
import tidylantern.core.query.filter.NarrowedQuery;
import tidylantern.core.query.words.Effort;
import tidylantern.core.query.words.ReadQuery;
import tidylantern.core.query.words.Strength;
import tidylantern.core.query.words.TypedText;
import tidylantern.core.query.words.Typos;
import tidylantern.core.query.words.WordMatch;

/**
 * Another way to write a query that finds nothing, or little, or something only because slips are forgiven: a word that
 * hardly any item holds becomes the nearest one that items do hold (as near as typos are forgiven, with any first
 * letter), or goes if there is none; if the words are right and no item holds them together, one of them goes. What is
 * offered finds something, and more than the query did where that found little.
 */
public final class DidYouMean {
    /** Fewer results than this are little. */
    static final int LITTLE = 3;

    private static final int MOST_TRIED = 5;
    /** A word that stands somewhere is taken to be meant unless so many times as many items hold the other. */
    private static final int FAR_MORE = 10;

    private static final Words.Typos NEAR = new Words.Typos(true, false);

    private final NarrowedQuery asked;
    private final List<FieldKey> fields;

    public DidYouMean(NarrowedQuery asked) {
        this.asked = asked;
        fields = asked.design().words().searched().stream()
                .map(FieldWeight::field)
                .filter(field -> asked.content().kind(field) != FieldKind.CODE)
                .toList();
    }

    /** @param total how many items the query finds */
    public @Nullable String of(int total) throws IOException {
        List<ReadQuery.Part> parts = asked.read().parts();
        boolean bent = parts.stream().anyMatch(part -> part.match().forgivesTypos());
        if (!asked.design().words().help().didYouMean() || parts.isEmpty() || (total >= LITTLE && !bent)) {
            return null;
        }
        TypedText typed = asked.typed();
        Map<String, String> better = new HashMap<>();
        for (ReadQuery.Part part : parts) {
            WordMatch match = part.match();
            if (match.forgivesTypos()
                    || (!match.cut()
                            && !ReadQuery.spelledRight(
                                    part.query(), asked.read().reach(), asked.searcher()))) {
                String nearest = nearest(match, inReach(match.asTyped().query(asked.content())));
                if (nearest != null) {
                    better.put(match.typed(), nearest);
                } else if (!match.forgivesTypos() && inReach(part.query()) == 0) {
                    better.put(match.typed(), "");
                }
            }
        }
        String other = typed.with(better);
        if (!better.isEmpty() && !sameOrEmpty(other, typed)) {
            int then = asked.with(other).total();
            if (then > (bent ? 0 : total)) {
                return other;
            }
        }
        return total == 0 ? withOneWordLess(typed, better) : null;
    }

    private boolean sameOrEmpty(String other, TypedText typed) {
        TypedText words = TypedText.of(other, asked.languages());
        return words.words().isEmpty() || words.sameWords(typed);
    }

    private int inReach(Query word) throws IOException {
        return asked.searcher()
                .count(new BooleanQuery.Builder()
                        .add(word, Occur.FILTER)
                        .add(asked.read().reach(), Occur.FILTER)
                        .build());
    }

    /** Of the queries without one of the words, the one that says most: it finds fewest items, but finds some. */
    private @Nullable String withOneWordLess(TypedText typed, Map<String, String> better) throws IOException {
        String best = null;
        int fewest = Integer.MAX_VALUE;
        List<ReadQuery.Part> parts = asked.read().parts();
        for (ReadQuery.Part part : parts.subList(0, Math.min(parts.size(), Effort.mostWithoutOneOf(parts.size())))) {
            Map<String, String> without = new HashMap<>(better);
            without.put(part.match().typed(), "");
            String other = typed.with(without);
            if (sameOrEmpty(other, typed)) {
                continue;
            }
            NarrowedQuery then = asked.with(other);
            int total = then.read().startingList() ? 0 : then.total();
            // Of equals the one that keeps what was typed first.
            if (total > 0 && total <= fewest) {
                best = other;
                fewest = total;
            }
        }
        return best;
    }

    /** @param documents at least how many items hold it */
    private record Candidate(String word, Strength way, boolean sameFirst, long documents) {}

    /**
     * The nearest word that an item in reach holds, as items write it; of equally near ones the one that most hold.
     *
     * @param held how many items in reach hold the word as typed
     */
    private @Nullable String nearest(WordMatch match, int held) throws IOException {
        int edits = NEAR.editsIn(match.typed());
        if (edits == 0 || !asked.effort().mayBend(match.typed())) {
            return null;
        }
        Map<String, Long> near = new LinkedHashMap<>();
        for (String word : new TreeSet<>(match.typoWords())) {
            near.put(word, documents(word));
        }
        List<Candidate> candidates = candidates(match.typed(), near, edits, held);
        if (candidates.isEmpty()) {
            candidates = candidates(match.typed(), walked(match.typed(), edits), edits, held);
        }
        if (candidates.isEmpty()) {
            return null;
        }
        WordHolders holders = new WordHolders(asked.searcher(), asked.read().reach());
        for (Candidate candidate : candidates.stream().limit(MOST_TRIED).toList()) {
            Item item = holders.first(candidate.word(), Set.copyOf(fields));
            if (item != null) {
                return asked.asWritten(candidate.word(), item, fields);
            }
        }
        return null;
    }

    private List<Candidate> candidates(String typed, Map<String, Long> words, int edits, int held) {
        return words.entrySet().stream()
                .filter(word -> !word.getKey().equals(typed) && word.getValue() > (long) FAR_MORE * held)
                .<Candidate>mapMulti((word, use) -> {
                    Strength way = Typos.strength(typed, word.getKey(), edits, false);
                    if (way != null) {
                        use.accept(new Candidate(
                                word.getKey(),
                                way,
                                word.getKey().codePointAt(0) == typed.codePointAt(0),
                                word.getValue()));
                    }
                })
                .sorted(Comparator.comparing(Candidate::way)
                        .thenComparing(Candidate::sameFirst, Comparator.reverseOrder())
                        .thenComparing(Candidate::documents, Comparator.reverseOrder())
                        .thenComparing(Candidate::word))
                .toList();
    }

    private long documents(String word) throws IOException {
        long documents = 0;
        for (FieldKey field : fields) {
            documents += asked.effort().lookups().documents(new Term(IndexFields.words(field), word));
        }
        return documents;
    }

    /** Every word of the searched fields that is near enough, with how many items hold it at least. */
    private Map<String, Long> walked(String typed, int edits) throws IOException {
        Map<String, Long> near = new HashMap<>();
        for (FieldKey field : fields) {
            asked.effort()
                    .words()
                    .near(
                            field,
                            typed,
                            edits,
                            false,
                            false,
                            (word, documents) -> near.merge(word.utf8ToString(), (long) documents, Long::sum));
        }
        return near;
    }
}
