package tidylantern.core.query.listing;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.apache.lucene.index.StoredFields;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.MatchAllDocsQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.TermInSetQuery;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.search.WildcardQuery;
import org.apache.lucene.util.BytesRef;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.Reach;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.query.compiled.ReachQuery;
import tidylantern.core.query.compiled.ValueQuery;
import tidylantern.core.query.filter.CategoryCount;
import tidylantern.core.query.filter.CategoryNumbers;
import tidylantern.core.query.filter.CategoryTally;
import tidylantern.core.query.order.OrderedDocuments;

/** Lists items as owners want to see them: filtered, sorted by any field, a page at a time. Threads may share it. */
public final class ItemListing {
    private final SiteIndex index;
    private final OrderedDocuments ordered = new OrderedDocuments();

    public ItemListing(SiteIndex index) {
        this.index = index;
    }

    /** What items are sorted by. Ties go to the item's reference; items that do not say it come last. */
    public sealed interface Key {}

    public record ByTitle() implements Key {}

    public record ById() implements Key {}

    public record ByChange() implements Key {}

    public record ByField(FieldKey field) implements Key {}

    /** A page of the list; {@code page} is the last one where a later one was asked for. */
    public record Page(int total, int page, int pages, List<IndexFields.Row> rows) {}

    /**
     * Every value of a category field that an item of the filter has, and those above them; a tree's branches one after
     * the other, by name.
     */
    public List<CategoryCount> values(FieldKey field, ItemFilter filter) {
        return read(state -> {
            CategoryNumbers numbers = CategoryNumbers.of(state, field);
            CategoryTally counting = CategoryTally.of(numbers, field, CategoryNumbers.Reading.PLAIN);
            counting.addAll(state.searcher(), query(filter));
            return counting.counted(numbers);
        });
    }

    /** @param columns the fields to be read for each row */
    public Page page(
            SiteContent content,
            ItemFilter filter,
            Key by,
            boolean reversed,
            int page,
            int perPage,
            Set<FieldKey> columns) {
        return read(state -> {
            IndexSearcher searcher = state.searcher();
            Query query = query(filter);
            int total = searcher.count(query);
            int pages = Math.max(1, Math.ceilDiv(total, perPage));
            int shown = Math.clamp(page, 1, pages);
            int from = (shown - 1) * perPage;
            int to = Math.min(total, from + perPage);
            List<IndexFields.Row> rows = new ArrayList<>();
            StoredFields stored = searcher.storedFields();
            Set<FieldKey> read = new HashSet<>(columns);
            read.addAll(Set.of(FieldKey.TITLE, FieldKey.HEADINGS, FieldKey.SUMMARY, FieldKey.BODY, FieldKey.ADDRESS));
            for (int document : ordered.stretch(searcher, query, order(content, by), reversed, from, to)) {
                rows.add(IndexFields.row(stored, document, read));
            }
            return new Page(total, shown, pages, rows);
        });
    }

    /** How many items a filter lets through. */
    public int count(ItemFilter filter) {
        return read(state -> state.searcher().count(query(filter)));
    }

    /** The references of what the filter lets through, in no order; at most so many. */
    public List<ItemRef> refs(ItemFilter filter, int most) {
        return read(state -> {
            IndexSearcher searcher = state.searcher();
            List<ItemRef> refs = new ArrayList<>();
            StoredFields stored = searcher.storedFields();
            for (ScoreDoc document : searcher.search(query(filter), Math.max(1, most)).scoreDocs) {
                refs.add(IndexFields.item(stored, document.doc, Set.of()).ref());
            }
            return refs;
        });
    }

    /** What every collection and every rule of a reach comes to. */
    public ReachCounts counts(Reach reach) {
        return read(state -> {
            IndexSearcher searcher = state.searcher();
            List<ReachCounts.OfCollection> collections = new ArrayList<>();
            int inReach = 0;
            for (Reach.Searched searched : reach.collections()) {
                Query all = ReachQuery.collection(searched.collection());
                int found = searcher.count(ReachQuery.of(new Reach(List.of(searched))));
                inReach += found;
                List<Integer> only = new ArrayList<>();
                for (var rule : searched.only()) {
                    only.add(searcher.count(ReachQuery.rule(rule, searched.collection())));
                }
                List<Integer> leaveOut = new ArrayList<>();
                for (var rule : searched.leaveOut()) {
                    leaveOut.add(searcher.count(ReachQuery.rule(rule, searched.collection())));
                }
                int keptOut = searcher.count(new BooleanQuery.Builder()
                        .add(all, Occur.FILTER)
                        .add(ReachQuery.keptOut(), Occur.FILTER)
                        .build());
                collections.add(new ReachCounts.OfCollection(
                        searched.collection(), searcher.count(all), keptOut, found, only, leaveOut));
            }
            return new ReachCounts(inReach, collections);
        });
    }

    static Query query(ItemFilter filter) {
        BooleanQuery.Builder found = new BooleanQuery.Builder();
        found.add(
                filter.collection() == null ? MatchAllDocsQuery.INSTANCE : ReachQuery.collection(filter.collection()),
                Occur.FILTER);
        String text = IndexFields.folded(filter.text().strip());
        if (!text.isEmpty()) {
            String anywhere = "*" + ReachQuery.escaped(text) + "*";
            found.add(
                    new BooleanQuery.Builder()
                            .add(new WildcardQuery(new Term(IndexFields.TITLE, anywhere)), Occur.SHOULD)
                            .add(new WildcardQuery(new Term(IndexFields.ID, anywhere)), Occur.SHOULD)
                            .build(),
                    Occur.FILTER);
        }
        for (ItemFilter.Condition condition : filter.conditions()) {
            switch (condition) {
                case ItemFilter.Value value ->
                    found.add(new ValueQuery(IndexFields.values(value.field()), value.value()), Occur.FILTER);
                case ItemFilter.Says says ->
                    found.add(
                            new TermQuery(new Term(IndexFields.HAS, says.field().value())),
                            says.something() ? Occur.FILTER : Occur.MUST_NOT);
                case ItemFilter.KeptOut kept ->
                    found.add(ReachQuery.keptOut(), kept.keptOut() ? Occur.FILTER : Occur.MUST_NOT);
                case ItemFilter.HitBy hit -> found.add(ReachQuery.rule(hit.rule(), hit.collection()), Occur.FILTER);
                case ItemFilter.InReach in ->
                    found.add(ReachQuery.of(in.reach()), in.found() ? Occur.FILTER : Occur.MUST_NOT);
                case ItemFilter.OneOf one ->
                    found.add(
                            new TermInSetQuery(
                                    IndexFields.REF,
                                    one.items().stream()
                                            .map(ref -> new BytesRef(ref.toString()))
                                            .toList()),
                            Occur.FILTER);
            }
        }
        return found.build();
    }

    private static OrderedDocuments.By order(SiteContent content, Key by) {
        return switch (by) {
            case ByTitle title -> new OrderedDocuments.By.Text(IndexFields.TITLE);
            case ById id -> new OrderedDocuments.By.Text(IndexFields.REF);
            case ByChange change -> new OrderedDocuments.By.Numeric(IndexFields.CHANGED);
            case ByField field -> {
                FieldKind kind = content.kind(field.field());
                yield kind == FieldKind.NUMBER || kind == FieldKind.MONEY || kind == FieldKind.DATE
                        ? new OrderedDocuments.By.Numeric(IndexFields.numbers(field.field()))
                        : new OrderedDocuments.By.Text(IndexFields.sort(field.field()));
            }
        };
    }

    private <T> T read(SiteIndex.Reading<T> reading) {
        try {
            return index.read(reading);
        } catch (IOException failure) {
            throw new UncheckedIOException("reading the index", failure);
        }
    }
}
