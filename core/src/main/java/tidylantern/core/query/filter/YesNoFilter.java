package tidylantern.core.query.filter;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.lucene.index.DocValues;
import org.apache.lucene.index.LeafReaderContext;
import org.apache.lucene.index.SortedDocValues;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermQuery;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.YesNoControl;
import tidylantern.core.design.filter.YesNoSource;
import tidylantern.core.index.IndexFields;
import tidylantern.core.query.compiled.DocumentCounting;

/** The answers of a yes/no field; an item without one is neither. */
public final class YesNoFilter implements QueryFilter {
    private final Filter filter;
    private final YesNoSource source;
    private final List<String> values;
    private final Answers counting = new Answers();

    YesNoFilter(Filter filter, YesNoSource source, List<String> given) {
        this.filter = filter;
        this.source = source;
        values = given.stream().distinct().filter(offered()::contains).toList();
    }

    private List<String> offered() {
        return source.control() == YesNoControl.SWITCH
                ? List.of(IndexFields.YES)
                : List.of(IndexFields.YES, IndexFields.NO);
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
    public @Nullable Query passed() {
        if (values.isEmpty()) {
            return null;
        }
        BooleanQuery.Builder any = new BooleanQuery.Builder();
        values.forEach(
                value -> any.add(new TermQuery(new Term(IndexFields.values(source.field()), value)), Occur.SHOULD));
        return any.build();
    }

    @Override
    public DocumentTest passing(LeafReaderContext leaf) throws IOException {
        SortedDocValues answers = DocValues.getSorted(leaf.reader(), IndexFields.sort(source.field()));
        return document -> answers.advanceExact(document)
                && values.contains(answers.lookupOrd(answers.ordValue()).utf8ToString());
    }

    @Override
    public DocumentCounting counting() {
        return counting;
    }

    @Override
    public FilterAnswer answer() {
        List<FilterAnswer.Offered> offered = new ArrayList<>();
        for (String value : offered()) {
            boolean yes = value.equals(IndexFields.YES);
            String name = source.labels().getOrDefault(value, "");
            offered.add(FilterAnswer.Offered.of(value, name, yes ? counting.yes : counting.no, values.contains(value)));
        }
        return FilterAnswer.of(filter, offered);
    }

    private final class Answers extends DocumentCounting {
        private int yes;
        private int no;
        private @Nullable SortedDocValues answers;

        @Override
        public void open(LeafReaderContext leaf) throws IOException {
            answers = DocValues.getSorted(leaf.reader(), IndexFields.sort(source.field()));
        }

        @Override
        public void count(int document) throws IOException {
            if (answers != null && answers.advanceExact(document)) {
                if (answers.lookupOrd(answers.ordValue()).utf8ToString().equals(IndexFields.YES)) {
                    yes++;
                } else {
                    no++;
                }
            }
        }
    }
}
