package tidylantern.core.query.words;

import java.util.List;
import java.util.Objects;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermQuery;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.Words;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.Stemming;
import tidylantern.core.index.WordForms;
import tidylantern.core.query.compiled.Phrase;

/** Words that a visitor put in quotes: just these with their signs, in this order, beside one another. */
public record PhraseMatch(Phrase phrase, Words design) implements Match {
    @Override
    public String typed() {
        return "\""
                + String.join(
                        " ", phrase.words().stream().map(WordForms.Word::folded).toList()) + "\"";
    }

    @Override
    public boolean forgivesTypos() {
        return false;
    }

    @Override
    public List<InField> inFields(SiteContent content) {
        return design.searched().stream()
                .filter(weight -> content.kind(weight.field()) != FieldKind.CODE)
                .map(weight -> new InField(
                        weight.field(), weight.weight(), List.of(new Way(Strength.EXACT, query(weight.field())))))
                .toList();
    }

    private Query query(FieldKey field) {
        BooleanQuery.Builder all =
                new BooleanQuery.Builder().add(phrase.query(IndexFields.words(field)), BooleanClause.Occur.MUST);
        phrase.words().stream()
                .map(WordForms.Word::signed)
                .filter(Objects::nonNull)
                .forEach(signed -> all.add(
                        new TermQuery(new Term(IndexFields.signed(field), signed)), BooleanClause.Occur.FILTER));
        return all.build();
    }

    @Override
    public @Nullable Mark mark(Seen seen, Stemming stemming) {
        return phrase.words().size() == 1 && phrase.endsAt(List.of(seen.lower()), 0, stemming) ? seen.whole() : null;
    }

    @Override
    public List<Phrase> phrases() {
        return phrase.words().size() > 1 ? List.of(phrase) : List.of();
    }
}
