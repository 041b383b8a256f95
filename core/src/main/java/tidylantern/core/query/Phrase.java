package tidylantern.core.query;

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
record Phrase(List<WordForms.Word> words, boolean stems) {
    /** What stands for a word of it in the index. */
    Set<String> forms(WordForms.Word word) {
        Set<String> forms = new LinkedHashSet<>(Set.of(word.folded()));
        if (stems) {
            forms.addAll(word.stems());
        }
        return forms;
    }

    /** The forms of the word that fewest items are likely to hold: the longest. */
    Set<String> rarest() {
        return words.stream()
                .max(java.util.Comparator.comparingInt(word -> word.folded().length()))
                .map(this::forms)
                .orElse(Set.of());
    }

    Query query(String place) {
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
    boolean endsAt(List<String> lower, int place, Stemming stemming) {
        int first = place - words.size() + 1;
        if (first < 0) {
            return false;
        }
        for (int i = 0; i < words.size(); i++) {
            String word = lower.get(first + i);
            if (!Folding.fold(word).equals(words.get(i).folded())
                    && !(stems && WordMatch.sameStem(words.get(i), word, stemming))) {
                return false;
            }
        }
        return true;
    }
}
