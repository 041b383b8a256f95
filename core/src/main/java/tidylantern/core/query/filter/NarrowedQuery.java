package tidylantern.core.query.filter;

import java.io.IOException;
import java.util.Set;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import tidylantern.core.content.Collection;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.IndexState;
import tidylantern.core.index.WordForms;
import tidylantern.core.place.Gazetteer;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.compiled.FoundAtLeast;
import tidylantern.core.query.place.VisitorPlace;
import tidylantern.core.query.words.Effort;
import tidylantern.core.query.words.ReadQuery;
import tidylantern.core.query.words.TypedText;
import tidylantern.core.query.words.VisitorQuery;

/** One query with all that it is asked of; what ways on from it are made from and tried on. */
public record NarrowedQuery(
        IndexState state,
        CompiledSearch search,
        VisitorQuery query,
        VisitorPlace located,
        ReadQuery read,
        SetFilters narrowing,
        Effort effort) {
    /** A query that was submitted. */
    public static NarrowedQuery of(IndexState state, CompiledSearch search, VisitorQuery query, Gazetteer gazetteer)
            throws IOException {
        return of(state, search, query, gazetteer, false);
    }

    /** The same for what somebody is typing. */
    public static NarrowedQuery whileTyping(
            IndexState state, CompiledSearch search, VisitorQuery query, Gazetteer gazetteer) throws IOException {
        return of(state, search, query, gazetteer, true);
    }

    private static NarrowedQuery of(
            IndexState state, CompiledSearch search, VisitorQuery query, Gazetteer gazetteer, boolean typing)
            throws IOException {
        VisitorPlace located = VisitorPlace.of(state, search, gazetteer, query.whereabouts());
        Effort effort = new Effort(state);
        return new NarrowedQuery(
                state,
                search,
                query,
                located,
                ReadQuery.read(query, search, state, effort, typing),
                SetFilters.of(new QueryFilter.Setting(search, state, query, located, effort)),
                effort);
    }

    public IndexSearcher searcher() {
        return state.searcher();
    }

    public SiteContent content() {
        return search.content();
    }

    public SearchDesign design() {
        return search.design();
    }

    /** The same filters with other words. */
    public NarrowedQuery with(String text) throws IOException {
        VisitorQuery other = query.withText(text);
        return new NarrowedQuery(
                state, search, other, located, ReadQuery.read(other, search, state, effort, false), narrowing, effort);
    }

    /** How many items it finds. */
    public int total() throws IOException {
        return searcher().count(found());
    }

    /** Whether it leads anywhere: the starting list is nowhere. */
    public boolean findsSomething() throws IOException {
        return !read.startingList() && FoundAtLeast.found(searcher(), found(), 1);
    }

    /** What the words find and the filters let through. */
    public Query found() {
        return !narrowing.isSet()
                ? read.lucene()
                : new BooleanQuery.Builder()
                        .add(read.lucene(), Occur.MUST)
                        .add(narrowing.all(), Occur.FILTER)
                        .build();
    }

    /** Of the collections that are searched. */
    public Set<String> languages() {
        return search.languages();
    }

    public TypedText typed() {
        return TypedText.of(query.text().strip(), languages());
    }

    /**
     * How an item writes a word in these fields, in small letters; as it is compared where it stands in none (as
     * owners' keywords do).
     */
    public String asWritten(String folded, Item item, java.util.Collection<FieldKey> fields) {
        Collection collection = content().collection(item.ref().collection());
        Set<String> language = collection == null ? Set.of() : Set.of(collection.language());
        String[] written = {folded};
        for (FieldKey field : fields) {
            FieldValue value = item.values().get(field);
            if (value != null && written[0].equals(folded)) {
                WordForms.each(IndexFields.searchableText(value), (lower, start, end) -> {
                    boolean same = TypedText.folded(lower, language).equals(folded);
                    written[0] = same ? lower : written[0];
                    return !same;
                });
            }
        }
        return written[0];
    }
}
