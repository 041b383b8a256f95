package tidylantern.core.query;

import java.io.IOException;
import java.util.BitSet;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedSetDocValues;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreMode;
import org.apache.lucene.search.TermQuery;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.Control;
import tidylantern.core.design.Filter;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.index.IndexFields;

/** Values of a category field; a value stands for itself and all below it. */
final class CategoryFilter implements OneFilter {
    private final Filter filter;
    private final IndexSearcher searcher;
    private final SearchDesign design;
    private final String language;
    private final Control control;
    private final CategoryNumbers numbers;
    /** As large as the field has values, so not there before anything is to be counted. */
    private CategoryCounts.@Nullable Tally counting;
    private final List<String> values;

    CategoryFilter(Filter filter, List<String> given, IndexSearcher searcher, SiteContent content, SearchDesign design) throws IOException {
        this.filter = filter;
        this.searcher = searcher;
        this.design = design;
        language = content.languages(design.searched()).stream().sorted().findFirst().orElse("en");
        control = Objects.requireNonNullElse(filter.controlFor(FieldKind.CATEGORY), Control.LIST);
        numbers = CategoryNumbers.of(searcher.getIndexReader(), filter.field());
        values = given.stream().distinct().filter(value -> numbers.has(value) && filter.offers(value)).limit(control.onlyOne() ? 1 : VisitorQuery.MOST_VALUES).toList();
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
        return values.stream().map(value -> filter.labels().getOrDefault(value, numbers.names(numbers.number(value)).getLast())).toList();
    }

    @Override
    public boolean keepsOwn() {
        return filter.several() == Filter.Several.ALL && !control.onlyOne();
    }

    @Override
    public @Nullable Query passed() {
        if (values.isEmpty()) {
            return null;
        }
        BooleanQuery.Builder passed = new BooleanQuery.Builder();
        values.forEach(value -> passed.add(new TermQuery(new Term(IndexFields.values(filter.field()), value)), keepsOwn() ? Occur.FILTER : Occur.SHOULD));
        return passed.build();
    }

    @Override
    public Passing passing(LeafReaderContext leaf) throws IOException {
        int[] wanted = values.stream().mapToInt(numbers::number).toArray();
        if (keepsOwn() && wanted.length > Long.SIZE) {
            return Passing.of(searcher.createWeight(searcher.rewrite(Objects.requireNonNull(passed())), ScoreMode.COMPLETE_NO_SCORES, 1), leaf);
        }
        BitSet any = new BitSet();
        IntStream.of(wanted).forEach(any::set);
        int[][] ofPaths = numbers.ofPaths(leaf);
        SortedSetDocValues paths = DocValues.getSortedSet(leaf.reader(), IndexFields.paths(filter.field()));
        boolean all = keepsOwn();
        return document -> {
            if (!paths.advanceExact(document)) {
                return false;
            }
            long met = 0;
            for (int left = paths.docValueCount(); left > 0; left--) {
                for (int number : ofPaths[(int) paths.nextOrd()]) {
                    if (any.get(number) && !all) {
                        return true;
                    }
                    for (int i = 0; all && i < wanted.length; i++) {
                        met |= wanted[i] == number ? 1L << i : 0;
                    }
                }
            }
            return all && Long.bitCount(met) == wanted.length;
        };
    }

    @Override
    public CategoryCounts.Tally counting() throws IOException {
        if (counting == null) {
            counting = new CategoryCounts.Tally(searcher.getIndexReader(), filter.field());
        }
        return counting;
    }

    @Override
    public FilterAnswer answer() throws IOException {
        return FilterAnswer.of(filter, control, counted().offered());
    }

    /** After everything has been counted. */
    FilterValues counted() throws IOException {
        return new FilterValues(filter, numbers, counting().counts(), numbers.inReach(searcher, filter.field(), design.reach()), numbers.placesByName(searcher.getIndexReader(), filter.field(), language), values, language);
    }
}
