package tidylantern.core.query.help;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.lucene.index.MultiTerms;
import org.apache.lucene.index.Term;
import org.apache.lucene.index.Terms;
import org.apache.lucene.index.TermsEnum;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.util.BytesRef;
import org.apache.lucene.util.StringHelper;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.WordForms;
import tidylantern.core.query.compiled.FoundAtLeast;
import tidylantern.core.query.filter.NarrowedQuery;
import tidylantern.core.query.words.ReadQuery;
import tidylantern.core.query.words.TypedText;

/**
 * Ways to go on with the word at hand: words of titles and category names that begin with it, those that most items
 * hold first, and whole category names where they begin with it. Each finds something together with the words before
 * it.
 */
public final class Completions {
    static final int MOST = 3;
    private static final int MOST_TRIED = 12;
    private static final int MOST_LOOKED_AT = 10_000;

    private final NarrowedQuery asked;
    private final Set<FieldKey> sources = new LinkedHashSet<>();
    private final Set<FieldKey> searched;

    public Completions(NarrowedQuery asked) {
        this.asked = asked;
        sources.add(FieldKey.TITLE);
        asked.content().collections().stream()
                .filter(collection -> asked.design().searched().contains(collection.key()))
                .flatMap(collection -> collection.fields().stream())
                .filter(field -> field.kind() == FieldKind.CATEGORY)
                .map(Field::key)
                .forEach(sources::add);
        searched = asked.design().words().searched().stream()
                .map(FieldWeight::field)
                .collect(Collectors.toSet());
    }

    /** Whole queries, at most {@link #MOST}; none where no word is at hand. */
    public List<String> of() throws IOException {
        List<ReadQuery.Part> parts = asked.read().parts();
        TypedText typed = TypedText.of(asked.query().text(), asked.languages());
        if (!asked.design().words().help().completions() || parts.isEmpty() || !typed.endsWithAWord()) {
            return List.of();
        }
        TypedText.Spot atHand = typed.words().getLast();
        boolean typedBefore = typed.words().stream()
                        .filter(word -> word.folded().equals(atHand.folded()))
                        .count()
                > 1;
        if (typedBefore
                || !atHand.folded().equals(parts.getLast().match().typed())
                || atHand.folded().chars().noneMatch(Character::isLetter)) {
            return List.of();
        }
        String before = typed.text().substring(0, atHand.start());
        List<String> candidates = candidates(atHand.folded());
        return candidates.isEmpty() ? List.of() : offered(before, atHand.folded(), candidates);
    }

    /** The first of the candidates that lead somewhere, as whole queries. */
    private List<String> offered(String before, String atHand, List<String> candidates) throws IOException {
        WordHolders holders = new WordHolders(asked.searcher(), besideTheWordAtHand());
        List<String> completed = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        for (String candidate : candidates) {
            if (completed.size() == MOST) {
                break;
            }
            Set<String> forms = forms(candidate);
            // Singular and plural of one word would take the room of another.
            if (forms.stream().anyMatch(taken::contains)) {
                continue;
            }
            String way = completed(before, candidate, candidate.equals(atHand), holders);
            if (way != null && !completed.contains(way)) {
                completed.add(way);
                taken.addAll(forms);
            }
        }
        return completed;
    }

    /** The likeliest first. */
    private List<String> candidates(String start) throws IOException {
        Map<String, Integer> documents = new HashMap<>();
        BytesRef prefix = new BytesRef(start);
        for (FieldKey source : sources) {
            Terms terms = MultiTerms.getTerms(asked.searcher().getIndexReader(), IndexFields.words(source));
            TermsEnum found = terms == null ? null : terms.iterator();
            if (found == null || found.seekCeil(prefix) == TermsEnum.SeekStatus.END) {
                continue;
            }
            int left = MOST_LOOKED_AT;
            for (BytesRef term = found.term();
                    term != null && StringHelper.startsWith(term, prefix) && left > 0;
                    term = found.next(), left--) {
                documents.merge(term.utf8ToString(), found.docFreq(), Integer::sum);
            }
        }
        return documents.entrySet().stream()
                .sorted(Map.Entry.<String, Integer>comparingByValue(Comparator.reverseOrder())
                        .thenComparing(Map.Entry.comparingByKey()))
                .limit(MOST_TRIED)
                .map(Map.Entry::getKey)
                .toList();
    }

    private Set<String> forms(String word) {
        Set<String> forms = new HashSet<>(Set.of(word));
        WordForms.wordsOf(word, asked.languages()).forEach(one -> forms.addAll(one.stems()));
        return forms;
    }

    /** The items in reach that the words before it find. */
    private Query besideTheWordAtHand() {
        BooleanQuery.Builder found = new BooleanQuery.Builder().add(asked.read().reach(), Occur.FILTER);
        List<ReadQuery.Part> parts = asked.read().parts();
        parts.subList(0, parts.size() - 1).forEach(part -> found.add(part.query(), Occur.FILTER));
        return found.build();
    }

    private @Nullable String completed(String before, String word, boolean complete, WordHolders holders)
            throws IOException {
        Item item = holders.first(word, sources);
        if (item == null) {
            return null;
        }
        String category = categoryBeginningWith(word, item);
        if (category != null && asked.with(before + category).findsSomething()) {
            return before + category;
        }
        return complete || !isFound(word) ? null : before + asked.asWritten(word, item, sources);
    }

    /** Whether a word of the sources finds an item that holds it there; a category need not be searched. */
    private boolean isFound(String word) throws IOException {
        return searched.containsAll(sources)
                || FoundAtLeast.found(
                        asked.searcher(),
                        new BooleanQuery.Builder()
                                .add(besideTheWordAtHand(), Occur.FILTER)
                                .add(holding(word, sources), Occur.FILTER)
                                .add(holding(word, searched), Occur.FILTER)
                                .build(),
                        1);
    }

    /** The items that hold a word just so in one of these fields. */
    private static Query holding(String folded, Set<FieldKey> fields) {
        BooleanQuery.Builder any = new BooleanQuery.Builder();
        fields.forEach(field -> any.add(new TermQuery(new Term(IndexFields.words(field), folded)), Occur.SHOULD));
        return any.build();
    }

    private @Nullable String categoryBeginningWith(String word, Item item) {
        for (FieldKey source : sources) {
            if (item.values().get(source) instanceof FieldValue.Categories categories) {
                for (String name : categories.paths().stream()
                        .flatMap(path -> path.names().stream())
                        .toList()) {
                    TypedText words = TypedText.of(name, asked.languages());
                    if (words.words().size() > 1
                            && words.words().getFirst().folded().equals(word)) {
                        return name;
                    }
                }
            }
        }
        return null;
    }
}
