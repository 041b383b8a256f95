package tidylantern.core.query.compiled;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.Words;
import tidylantern.core.design.filter.CategoryControl;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterSource;
import tidylantern.core.design.filter.JointSource;
import tidylantern.core.design.filter.ValueList;
import tidylantern.core.design.filter.WordSource;
import tidylantern.core.design.filter.YesNoControl;
import tidylantern.core.design.filter.YesNoSource;
import tidylantern.core.index.IndexFields;

/** A filter of a search with what its content says of it, ready for the queries that come. The same only as itself. */
public final class FilterPlan {
    private final Filter filter;
    private final boolean first;
    private final List<FilterPlan> parts;
    private final @Nullable Words words;

    private FilterPlan(Filter filter, boolean first, List<FilterPlan> parts, @Nullable Words words) {
        this.filter = filter;
        this.first = first;
        this.parts = parts;
        this.words = words;
    }

    static FilterPlan of(Filter designed, CompiledSearch search) {
        SiteContent content = search.content();
        FieldKind kind = content.kind(designed.fields().getFirst());
        Filter filter = designed.over(kind);
        return new FilterPlan(
                filter,
                isFirstByDistance(designed, search),
                filter.source() instanceof JointSource joint ? parts(joint, search) : List.of(),
                filter.source() instanceof WordSource words
                        ? words(words, search.design().words())
                        : null);
    }

    private static boolean isFirstByDistance(Filter filter, CompiledSearch search) {
        return search.design().filtersInUse().stream()
                .filter(one -> one.fields().stream().map(search.content()::kind).anyMatch(FieldKind.PLACE::equals))
                .findFirst()
                .filter(filter::equals)
                .isPresent();
    }

    private static Words words(WordSource source, Words words) {
        return words.withWeights(List.of(new FieldWeight(source.field(), 1)))
                .withNeeded(Words.WordsNeeded.ALL)
                .withOperators(false);
    }

    /** The parts as the whole has them shown and set; what cannot be joined by now is left out. */
    private static List<FilterPlan> parts(JointSource joint, CompiledSearch search) {
        List<FilterPlan> parts = new ArrayList<>();
        for (Filter part : joint.parts()) {
            FilterSource own =
                    part.over(search.content().kind(part.fields().getFirst())).source();
            FilterSource here =
                    switch (own) {
                        case CategorySource categories -> within(joint, categories);
                        case YesNoSource yesNo ->
                            new YesNoSource(
                                    yesNo.field(),
                                    YesNoControl.SWITCH,
                                    Map.of(IndexFields.YES, part.label()),
                                    yesNo.counts(),
                                    List.of());
                        default -> null;
                    };
            if (here != null
                    && FilterSource.fits(
                            here, search.content().kind(part.fields().getFirst()))) {
                parts.add(of(new Filter(part.head(), part.shown(), here), search));
            }
        }
        return List.copyOf(parts);
    }

    private static CategorySource within(JointSource joint, CategorySource part) {
        ValueList own = part.list();
        return new CategorySource(
                part.field(),
                joint.control().onlyOne() ? CategoryControl.ONE_OF : CategoryControl.LIST,
                joint.several(),
                part.offered(),
                part.looks(),
                new ValueList(
                        own.order(), joint.list().withoutResults(), own.counts(), own.cutAfter(), own.searchFrom()),
                part.neutral(),
                List.of(),
                joint.allAtStart());
    }

    /** As it works over what the content holds. */
    public Filter filter() {
        return filter;
    }

    /** Whether it is the first by distance, which the parameter 'within' of the public contract means. */
    public boolean first() {
        return first;
    }

    /** What is joined in it; none of others. */
    public List<FilterPlan> parts() {
        return parts;
    }

    /** How words are met in its field, where visitors type words into it. */
    public Words words() {
        return Objects.requireNonNull(words);
    }
}
