package tidylantern.core.query.help;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.index.Term;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;
import tidylantern.core.design.Help;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.WordForms;
import tidylantern.core.query.compiled.Vocabulary;
import tidylantern.core.query.filter.NarrowedQuery;
import tidylantern.core.query.words.TypedText;

/**
 * Queries offered beside the results: those of the owner's list, those with a synonym in place of a word, and the names
 * of categories that several of the shown items share, far more often than items do elsewhere. Each finds something and
 * is another query than the one asked.
 */
public final class SeeAlso {
    static final int MOST = 6;
    private static final int MOST_CATEGORIES = 3;
    private static final int SHARED_BY = 2;
    /** What is not far more frequent here than elsewhere ("to let", "free") says nothing about the query. */
    private static final double LEAST_LIFT = 3;

    private final NarrowedQuery asked;
    private final TypedText typed;
    private final List<String> offered = new ArrayList<>();
    private final List<TypedText> taken = new ArrayList<>();

    /** @param didYouMean what is offered already */
    public SeeAlso(NarrowedQuery asked, @Nullable String didYouMean) {
        this.asked = asked;
        this.typed = asked.typed();
        taken.add(typed);
        if (didYouMean != null) {
            taken.add(TypedText.of(didYouMean, asked.languages()));
        }
    }

    /** @param shown the items on the page, with their categories */
    public List<String> of(List<Item> shown) throws IOException {
        if (!asked.design().words().help().seeAlso() || asked.read().startingList()) {
            return List.of();
        }
        for (String query : ofTheOwner()) {
            offer(query);
        }
        List<WordForms.Word> words = WordForms.allWordsOf(typed.text(), asked.languages());
        if (words.size() == typed.words().size()) {
            for (Vocabulary.Replaceable run : asked.search().vocabulary().replaceable(words)) {
                for (String other : run.written()) {
                    offer(typed.with(run.from(), run.words(), other));
                }
            }
        }
        int most = offered.size() + MOST_CATEGORIES;
        for (String name : shared(shown)) {
            if (offered.size() < most) {
                offer(name, this::categoryFindsSomething);
            }
        }
        return offered;
    }

    /** Tells whether a query leads anywhere. */
    @FunctionalInterface
    private interface Finding {
        boolean something(String query) throws IOException;
    }

    private boolean findsSomething(String query) throws IOException {
        return asked.with(query).findsSomething();
    }

    /** The name of a category is offered with many answers, so what it finds by itself is kept. */
    private record NameAlone(String name) {}

    private boolean categoryFindsSomething(String name) throws IOException {
        return asked.narrowing().isSet()
                ? findsSomething(name)
                : asked.state().kept(asked.search(), new NameAlone(name), Boolean.class, () -> findsSomething(name));
    }

    private void offer(String query) throws IOException {
        offer(query, this::findsSomething);
    }

    private void offer(String query, Finding finding) throws IOException {
        TypedText words = TypedText.of(query, asked.languages());
        if (offered.size() < MOST
                && !onlyOtherForms(query)
                && taken.stream().noneMatch(words::sameWords)
                && finding.something(query)) {
            taken.add(words);
            offered.add(query);
        }
    }

    /** Whether its words are those of the query in other forms: "boats" beside "boat" would find the same. */
    private boolean onlyOtherForms(String query) {
        Set<String> stems = asked.design().words().stemming() ? stems(typed.text()) : Set.of();
        return !stems.isEmpty() && stems.equals(stems(query));
    }

    private Set<String> stems(String text) {
        return WordForms.allWordsOf(text, asked.languages()).stream()
                .flatMap(word -> word.stems().stream())
                .collect(Collectors.toSet());
    }

    private List<String> ofTheOwner() {
        Set<String> words = words(typed);
        return asked.design().words().help().owners().stream()
                .filter(entry -> words.containsAll(words(TypedText.of(entry.query(), asked.languages()))))
                .map(Help.SeeAlso::offered)
                .flatMap(List::stream)
                .toList();
    }

    private static Set<String> words(TypedText text) {
        return text.words().stream().map(TypedText.Spot::folded).collect(Collectors.toSet());
    }

    /** @param lift how many times as frequent the category is among the shown items as among all */
    private record Shared(String name, int items, double lift) {
        double tells() {
            return items * Math.log(lift);
        }
    }

    /** The names of categories that several items have and that tell them from others; those that tell most first. */
    private List<String> shared(List<Item> items) throws IOException {
        IndexReader reader = asked.searcher().getIndexReader();
        Map<Term, Integer> counts = new HashMap<>();
        Map<Term, String> names = new HashMap<>();
        for (Item item : items) {
            item.values().forEach((field, value) -> {
                if (value instanceof FieldValue.Categories categories) {
                    for (CategoryPath path : categories.paths()) {
                        Term term = new Term(IndexFields.values(field), path.key());
                        counts.merge(term, 1, Integer::sum);
                        names.putIfAbsent(term, path.label());
                    }
                }
            });
        }
        List<Shared> shared = new ArrayList<>();
        for (Map.Entry<Term, Integer> count : counts.entrySet()) {
            double lift = (double) count.getValue()
                    / items.size()
                    * reader.numDocs()
                    / Math.max(1, reader.docFreq(count.getKey()));
            if (count.getValue() >= SHARED_BY && lift >= LEAST_LIFT) {
                shared.add(new Shared(names.getOrDefault(count.getKey(), ""), count.getValue(), lift));
            }
        }
        return shared.stream()
                .sorted(Comparator.comparingDouble(Shared::tells).reversed().thenComparing(Shared::name))
                .map(Shared::name)
                .distinct()
                .toList();
    }
}
