package tidylantern.core.query;

import java.util.List;
import org.apache.lucene.index.IndexReader;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.Words;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.Stemming;
import tidylantern.core.index.WordForms;

/** Words that a visitor put in quotes: just these, in this order, beside one another. */
record PhraseMatch(Phrase phrase, Words design) implements Match {
    @Override
    public String typed() {
        return "\"" + String.join(" ", phrase.words().stream().map(WordForms.Word::folded).toList()) + "\"";
    }

    @Override
    public boolean forgivesTypos() {
        return false;
    }

    @Override
    public List<InField> inFields(IndexReader reader, SiteContent content) {
        return design.searched().stream().filter(weight -> content.kind(weight.field()) != FieldKind.CODE)
                .map(weight -> new InField(weight.field(), weight.weight(), List.of(new Way(Strength.EXACT, phrase.query(IndexFields.words(weight.field())))))).toList();
    }

    @Override
    public @Nullable Mark mark(String lower, int length, Stemming stemming) {
        return phrase.words().size() == 1 && phrase.endsAt(List.of(lower), 0, stemming) ? new Mark(0, length) : null;
    }

    @Override
    public List<Phrase> phrases() {
        return phrase.words().size() > 1 ? List.of(phrase) : List.of();
    }
}
