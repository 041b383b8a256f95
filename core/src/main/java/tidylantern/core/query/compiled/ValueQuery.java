package tidylantern.core.query.compiled;

import org.apache.lucene.index.Term;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.QueryVisitor;
import org.apache.lucene.search.TermQuery;
import tidylantern.core.index.IndexFields;

/**
 * The items that have a value, by its key; where none has it, those of the values that had the key before signs counted
 * in keys.
 */
public final class ValueQuery extends Query {
    private final String field;
    private final String key;

    /** @param field of the index: {@link IndexFields#AUTHOR} or one of {@link IndexFields#values} */
    public ValueQuery(String field, String key) {
        this.field = field;
        this.key = key;
    }

    @Override
    public Query rewrite(IndexSearcher searcher) {
        return new TermQuery(term(searcher));
    }

    private Term term(IndexSearcher searcher) {
        Term now = new Term(field, key);
        try {
            return searcher.getIndexReader().docFreq(now) > 0 ? now : new Term(IndexFields.former(field), key);
        } catch (java.io.IOException failure) {
            throw new java.io.UncheckedIOException(failure);
        }
    }

    @Override
    public void visit(QueryVisitor visitor) {
        visitor.visitLeaf(this);
    }

    @Override
    public String toString(String of) {
        return field + ":" + key;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof ValueQuery query && query.field.equals(field) && query.key.equals(key);
    }

    @Override
    public int hashCode() {
        return 31 * field.hashCode() + key.hashCode();
    }
}
