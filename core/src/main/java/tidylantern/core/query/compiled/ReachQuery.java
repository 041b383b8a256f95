package tidylantern.core.query.compiled;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.MatchNoDocsQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermInSetQuery;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.search.WildcardQuery;
import org.apache.lucene.util.BytesRef;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.ItemRef;
import tidylantern.core.design.Reach;
import tidylantern.core.design.ReachRule;
import tidylantern.core.index.IndexFields;

/** The items in reach, as the index is asked for them. Rules of product.md, 'Reach'. */
public final class ReachQuery {
    private ReachQuery() {}

    /**
     * Items of searched collections that no owner keeps out, that pass what 'only' rules there are, and that no
     * leave-out rule hits.
     */
    public static Query of(Reach reach) {
        BooleanQuery.Builder found = new BooleanQuery.Builder();
        List<Reach.Searched> plain = reach.collections().stream()
                .filter(one -> one.only().isEmpty() && one.leaveOut().isEmpty())
                .toList();
        if (plain.size() == 1) {
            found.add(collection(plain.getFirst().collection()), Occur.SHOULD);
        } else if (!plain.isEmpty()) {
            found.add(
                    new TermInSetQuery(
                            IndexFields.COLLECTION,
                            plain.stream()
                                    .map(one -> new BytesRef(one.collection().value()))
                                    .toList()),
                    Occur.SHOULD);
        }
        reach.collections().stream()
                .filter(one -> !plain.contains(one))
                .forEach(one -> found.add(of(one), Occur.SHOULD));
        if (reach.collections().isEmpty()) {
            return new MatchNoDocsQuery("no collection is searched");
        }
        return new BooleanQuery.Builder()
                .add(found.build(), Occur.MUST)
                .add(keptOut(), Occur.MUST_NOT)
                .build();
    }

    /** What the rules of one collection let through; items that are kept out included. */
    private static Query of(Reach.Searched searched) {
        BooleanQuery.Builder found = new BooleanQuery.Builder();
        found.add(collection(searched.collection()), Occur.FILTER);
        Map<String, BooleanQuery.Builder> alternatives = new LinkedHashMap<>();
        searched.only().forEach(rule -> alternatives
                .computeIfAbsent(rule.looksAt(), field -> new BooleanQuery.Builder())
                .add(hits(rule, searched.collection()), Occur.SHOULD));
        alternatives.values().forEach(any -> found.add(any.build(), Occur.FILTER));
        searched.leaveOut().forEach(rule -> found.add(hits(rule, searched.collection()), Occur.MUST_NOT));
        return found.build();
    }

    /** The items that their owner keeps out of all searches. */
    public static Query keptOut() {
        return new TermQuery(new Term(IndexFields.KEPT_OUT, IndexFields.YES));
    }

    /** The items of a collection. */
    public static Query collection(CollectionKey key) {
        return new TermQuery(new Term(IndexFields.COLLECTION, key.value()));
    }

    /** The items of a collection that a rule hits by itself. */
    public static Query rule(ReachRule rule, CollectionKey collection) {
        return new BooleanQuery.Builder()
                .add(collection(collection), Occur.FILTER)
                .add(hits(rule, collection), Occur.FILTER)
                .build();
    }

    private static Query hits(ReachRule rule, CollectionKey collection) {
        if (rule.field() != null) {
            return new ValueQuery(IndexFields.values(rule.field()), String.valueOf(rule.value()));
        }
        if (rule.author() != null) {
            return new ValueQuery(IndexFields.AUTHOR, rule.author());
        }
        if (rule.item() != null) {
            return new TermQuery(new Term(IndexFields.REF, new ItemRef(collection, rule.item()).toString()));
        }
        String pattern = String.valueOf(rule.address());
        return new WildcardQuery(new Term(IndexFields.ADDRESS, escaped(pattern, true)));
    }

    /** Text that a wildcard query takes letter by letter. */
    public static String escaped(String text) {
        return escaped(text, false);
    }

    private static String escaped(String text, boolean starMeansAny) {
        StringBuilder escaped = new StringBuilder();
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '\\' || c == '?' || (c == '*' && !starMeansAny)) {
                escaped.append('\\');
            }
            escaped.append(c);
        }
        return escaped.toString();
    }
}
