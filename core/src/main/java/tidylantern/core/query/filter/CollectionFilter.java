package tidylantern.core.query.filter;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedDocValues;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermQuery;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.index.IndexFields;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.compiled.DocumentCounting;

/** The collections that are searched, one of which can be chosen, in the owner's order. */
public final class CollectionFilter implements QueryFilter {
    private final Filter filter;
    private final List<Collection> offered;
    private final List<String> values;
    private final OfCollections counting = new OfCollections();

    CollectionFilter(Filter filter, List<String> given, CompiledSearch search) {
        this(
                filter,
                given,
                search.design().reach().collections().stream()
                        .map(searched -> search.content().collection(searched.collection()))
                        .filter(Objects::nonNull)
                        .toList());
    }

    private CollectionFilter(Filter filter, List<String> given, List<Collection> offered) {
        this.filter = filter;
        this.offered = offered;
        values = given.stream()
                .filter(value ->
                        offered.stream().anyMatch(one -> one.key().value().equals(value)))
                .limit(1)
                .toList();
    }

    @Override
    public Filter filter() {
        return filter;
    }

    @Override
    public List<String> values() {
        return values;
    }

    @Override
    public List<String> said() {
        return offered.stream()
                .filter(one -> values.contains(one.key().value()))
                .map(Collection::label)
                .toList();
    }

    @Override
    public @Nullable Query passed() {
        return values.isEmpty() ? null : new TermQuery(new Term(IndexFields.COLLECTION, values.getFirst()));
    }

    @Override
    public DocumentTest passing(LeafReaderContext leaf) throws IOException {
        SortedDocValues collections = DocValues.getSorted(leaf.reader(), IndexFields.COLLECTION);
        return document -> collections.advanceExact(document)
                && values.contains(collections.lookupOrd(collections.ordValue()).utf8ToString());
    }

    @Override
    public DocumentCounting counting() {
        return counting;
    }

    @Override
    public FilterAnswer answer() {
        List<FilterAnswer.Offered> choices = new ArrayList<>();
        for (Collection one : offered) {
            String key = one.key().value();
            choices.add(FilterAnswer.Offered.of(
                    key, one.label(), counting.items.getOrDefault(one.key(), 0), values.contains(key)));
        }
        return FilterAnswer.of(filter, choices);
    }

    @Override
    public CollectionFilter withOnly(String value) {
        return new CollectionFilter(filter, List.of(value), offered);
    }

    private static final class OfCollections extends DocumentCounting {
        private final Map<CollectionKey, Integer> items = new HashMap<>();
        private @Nullable SortedDocValues collections;

        @Override
        public void open(LeafReaderContext leaf) throws IOException {
            collections = DocValues.getSorted(leaf.reader(), IndexFields.COLLECTION);
        }

        @Override
        public void count(int document) throws IOException {
            if (collections != null && collections.advanceExact(document)) {
                items.merge(
                        new CollectionKey(
                                collections.lookupOrd(collections.ordValue()).utf8ToString()),
                        1,
                        Integer::sum);
            }
        }
    }
}
