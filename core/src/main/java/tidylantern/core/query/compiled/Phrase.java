package tidylantern.core.query.compiled;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.MultiPhraseQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermInSetQuery;
import org.apache.lucene.util.BytesRef;
import tidylantern.core.index.Folding;
import tidylantern.core.index.Stemming;
import tidylantern.core.index.WordForms;

/**
 * Words that must stand beside one another in one field, in their order; one word is a phrase too.
 *
 * @param stems whether other forms of each word do as well
 */
public record Phrase(List<WordForms.Word> words, boolean stems) {
    /** What stands for a word of it in the index. */
    public Set<String> forms(WordForms.Word word) {
        Set<String> forms = new LinkedHashSet<>(Set.of(word.folded()));
        if (stems) {
            forms.addAll(word.stems());
        }
        return forms;
    }

    /** The forms of the word that fewest items are likely to hold: the longest. */
    public Set<String> rarest() {
        return words.stream()
                .max(java.util.Comparator.comparingInt(word -> word.folded().length()))
                .map(this::forms)
                .orElse(Set.of());
    }

    /** @param place a field of the index that holds words */
    public Query query(String place) {
        if (words.size() == 1) {
            return new TermInSetQuery(
                    place, forms(words.getFirst()).stream().map(BytesRef::new).toList());
        }
        MultiPhraseQuery.Builder phrase = new MultiPhraseQuery.Builder();
        for (WordForms.Word word : words) {
            List<Term> forms = new ArrayList<>();
            forms(word).forEach(form -> forms.add(new Term(place, form)));
            phrase.add(forms.toArray(Term[]::new));
        }
        return phrase.build();
    }

    /** Whether the words of a text up to this place end with the phrase. */
    public boolean endsAt(List<String> lower, int place, Stemming stemming) {
        int first = place - words.size() + 1;
        if (first < 0) {
            return false;
        }
        for (int i = 0; i < words.size(); i++) {
            String word = lower.get(first + i);
            if (!Folding.fold(word).equals(words.get(i).folded())
                    && !(stems && sameStem(words.get(i), word, stemming))) {
                return false;
            }
        }
        return true;
    }

    /** Whether a word of a text is another form of one of a query. */
    public static boolean sameStem(WordForms.Word word, String lower, Stemming stemming) {
        String folded = Folding.fold(lower);
        // No algorithm changes the first letter, so most words need no stemming to be told apart.
        if (folded.isEmpty()
                || word.stems().isEmpty()
                || folded.charAt(0) != word.folded().charAt(0)) {
            return false;
        }
        for (String token : stemming.tokens(lower)) {
            if (word.stems().contains(token) || word.bareStems().contains(token)) {
                return true;
            }
        }
        return false;
    }
}
