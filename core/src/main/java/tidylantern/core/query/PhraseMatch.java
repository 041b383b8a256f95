package tidylantern.core.query;

import java.util.List;
import org.apache.lucene.index.IndexReader;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.BoostQuery;
import org.apache.lucene.search.Query;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.Words;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.Stemming;

/** Words that a visitor put in quotes: just these, in this order, beside one another. */
record PhraseMatch(Phrase phrase, Words design) implements Match {
    @Override
    public Query query(IndexReader reader, SiteContent content) {
        BooleanQuery.Builder fields = new BooleanQuery.Builder();
        for (FieldWeight weight : design.searched()) {
            if (content.kind(weight.field()) != FieldKind.CODE) {
                fields.add(new BoostQuery(phrase.query(IndexFields.words(weight.field())), (float) weight.weight()), BooleanClause.Occur.SHOULD);
            }
        }
        return fields.build();
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
