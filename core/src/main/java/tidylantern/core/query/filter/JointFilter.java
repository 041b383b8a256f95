package tidylantern.core.query.filter;

import java.io.IOException;
import java.text.Collator;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.Query;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.JointSource;
import tidylantern.core.design.filter.Several;
import tidylantern.core.design.filter.WithoutResults;
import tidylantern.core.design.filter.YesNoSource;
import tidylantern.core.index.IndexFields;
import tidylantern.core.query.compiled.DocumentCounting;
import tidylantern.core.query.compiled.FilterPlan;

/**
 * Values of several fields in one filter. In addresses each stands behind the key of its part and a colon, since two
 * fields may have the same value. Of a yes/no field there is the yes, which reads as the part's label.
 */
public final class JointFilter implements QueryFilter {
    private static final String BETWEEN = ":";

    private final Filter filter;
    private final JointSource source;
    private final List<QueryFilter> parts = new ArrayList<>();
    private final Collator collator;
    private @Nullable DocumentCounting counting;
    private @Nullable DocumentCounting countingFound;

    /** @param given null for the start */
    JointFilter(FilterPlan plan, JointSource source, @Nullable List<String> given, QueryFilter.Setting in)
            throws IOException {
        filter = plan.filter();
        this.source = source;
        collator = Collator.getInstance(Locale.forLanguageTag(in.language()));
        boolean taken = false;
        for (FilterPlan part : plan.parts()) {
            QueryFilter one = QueryFilter.of(
                    part, source.control().onlyOne() && taken ? List.of() : own(part, given), in.nowhere());
            taken |= !one.values().isEmpty();
            parts.add(one);
        }
    }

    /** What is set of one part. */
    private @Nullable List<String> own(FilterPlan part, @Nullable List<String> given) {
        if (given == null && source.allAtStart()) {
            return part.filter().source() instanceof YesNoSource ? List.of(IndexFields.YES) : null;
        }
        String start = part.filter().key() + BETWEEN;
        return (given == null ? source.start() : given)
                .stream()
                        .filter(one -> one.startsWith(start))
                        .map(one -> one.substring(start.length()))
                        .toList();
    }

    @Override
    public Filter filter() {
        return filter;
    }

    private static String prefix(QueryFilter part) {
        return part.filter().key() + BETWEEN;
    }

    @Override
    public List<String> values() {
        return parts.stream()
                .flatMap(part -> part.values().stream().map(value -> prefix(part) + value))
                .toList();
    }

    @Override
    public List<String> said() {
        return parts.stream()
                .flatMap(part -> part.said().stream()
                        .map(said -> part instanceof YesNoFilter ? part.filter().label() : said))
                .toList();
    }

    @Override
    public boolean keepsOwn() {
        return source.several() == Several.ALL && !source.control().onlyOne();
    }

    @Override
    public @Nullable Query passed() {
        List<Query> set =
                parts.stream().map(QueryFilter::passed).filter(Objects::nonNull).toList();
        if (set.isEmpty()) {
            return null;
        }
        BooleanQuery.Builder together = new BooleanQuery.Builder();
        set.forEach(one -> together.add(one, keepsOwn() ? Occur.FILTER : Occur.SHOULD));
        return together.build();
    }

    @Override
    public DocumentTest passing(LeafReaderContext leaf) throws IOException {
        List<DocumentTest> set = new ArrayList<>();
        for (QueryFilter part : parts) {
            if (!part.values().isEmpty()) {
                set.add(part.passing(leaf));
            }
        }
        boolean all = keepsOwn();
        return document -> {
            for (DocumentTest one : set) {
                if (one.passes(document) != all) {
                    return !all;
                }
            }
            return all;
        };
    }

    @Override
    public DocumentCounting counting() throws IOException {
        if (counting == null) {
            List<DocumentCounting> each = new ArrayList<>();
            for (QueryFilter part : parts) {
                each.add(part.counting());
            }
            counting = new CountingEach(each);
        }
        return counting;
    }

    @Override
    public @Nullable DocumentCounting countingFound() throws IOException {
        if (countingFound == null) {
            List<DocumentCounting> each = new ArrayList<>();
            for (QueryFilter part : parts) {
                DocumentCounting found = part.countingFound();
                if (found != null) {
                    each.add(found);
                }
            }
            countingFound = each.isEmpty() ? null : new CountingEach(each);
        }
        return countingFound;
    }

    private static final class CountingEach extends DocumentCounting {
        private final List<DocumentCounting> each;

        CountingEach(List<DocumentCounting> each) {
            this.each = each;
        }

        @Override
        public void open(LeafReaderContext leaf) {
            each.forEach(one -> one.enter(leaf));
        }

        @Override
        public void count(int document) throws IOException {
            for (DocumentCounting one : each) {
                one.add(document);
            }
        }
    }

    @Override
    public void prepare() throws IOException {
        for (QueryFilter part : parts) {
            part.prepare();
        }
    }

    @Override
    public FilterAnswer answer() throws IOException {
        List<FilterAnswer.Offered> values = new ArrayList<>();
        int further = 0;
        for (QueryFilter part : parts) {
            FilterAnswer answer = part.answer();
            further += answer.further();
            answer.values().stream()
                    .filter(value -> value.count() > 0
                            || value.selected()
                            || source.list().withoutResults() == WithoutResults.DIM)
                    .map(value -> value.in(
                            prefix(part), source.headings() ? part.filter().label() : ""))
                    .forEach(values::add);
        }
        return FilterAnswer.of(
                filter,
                source.headings() ? values : values.stream().sorted(order()).toList(),
                further);
    }

    /** In one list; by the order of the parts and their values where the owner picked the values by hand. */
    private Comparator<FilterAnswer.Offered> order() {
        Comparator<FilterAnswer.Offered> byName =
                Comparator.comparing(FilterAnswer.Offered::label, collator).thenComparing(FilterAnswer.Offered::value);
        return parts.stream()
                        .anyMatch(part -> part.filter().source() instanceof CategorySource categories
                                && categories.offered().picked() != null)
                ? (unusedOne, unusedOther) -> 0
                : switch (source.list().order()) {
                    case NAME -> byName;
                    case NAME_DOWN -> byName.reversed();
                    case NUMBER ->
                        Comparator.comparingDouble(
                                        (FilterAnswer.Offered value) -> FilterValues.firstNumber(value.label()))
                                .thenComparing(byName);
                    case COUNT ->
                        Comparator.comparingInt(FilterAnswer.Offered::count)
                                .reversed()
                                .thenComparing(byName);
                };
    }

    @Override
    public int onOffer() throws IOException {
        int values = 0;
        for (QueryFilter part : parts) {
            values += part instanceof YesNoFilter ? 1 : part.onOffer();
        }
        return values;
    }

    @Override
    public FilterFigures.LeftOut leftOut() throws IOException {
        FilterFigures.LeftOut all = FilterFigures.LeftOut.NOTHING;
        for (QueryFilter part : parts) {
            all = all.and(part.leftOut());
        }
        return all;
    }

    @Override
    public List<FilterAnswer.Offered> more(String below, String named) throws IOException {
        List<FilterAnswer.Offered> more = new ArrayList<>();
        for (QueryFilter part : parts) {
            if (below.isEmpty() || below.startsWith(prefix(part))) {
                List<FilterAnswer.Offered> found = part instanceof YesNoFilter
                        ? part.answer().values().stream()
                                .filter(value -> below.isEmpty()
                                        && IndexFields.folded(value.label())
                                                .contains(IndexFields.folded(named.strip())))
                                .toList()
                        : part.more(
                                below.isEmpty()
                                        ? ""
                                        : below.substring(prefix(part).length()),
                                named);
                found.forEach(value -> more.add(value.in(
                        prefix(part),
                        below.isEmpty() && source.headings() ? part.filter().label() : "")));
            }
        }
        return more;
    }
}
