package tidylantern.core.query.compiled;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.Control;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.Filter;
import tidylantern.core.design.Words;
import tidylantern.core.index.IndexFields;

/** A filter of a search with what its content says of it, ready for the queries that come. The same only as itself. */
public final class FilterPlan {
    private final Filter filter;
    private final @Nullable FieldKind kind;
    private final boolean first;
    private final List<FilterPlan> parts;
    private final @Nullable Words words;

    private FilterPlan(
            Filter filter, @Nullable FieldKind kind, boolean first, List<FilterPlan> parts, @Nullable Words words) {
        this.filter = filter;
        this.kind = kind;
        this.first = first;
        this.parts = parts;
        this.words = words;
    }

    static FilterPlan of(Filter filter, CompiledSearch search) {
        SiteContent content = search.content();
        FieldKind kind = content.kind(filter.field());
        return new FilterPlan(
                filter,
                kind,
                search.design().filtersInUse().stream()
                        .filter(one -> content.kind(one.field()) == FieldKind.PLACE)
                        .findFirst()
                        .filter(filter::equals)
                        .isPresent(),
                filter.joined() == null ? List.of() : parts(filter, filter.joined(), search),
                kind == FieldKind.TEXT || kind == FieldKind.CODE
                        ? search.design()
                                .words()
                                .withWeights(List.of(new FieldWeight(filter.field(), 1)))
                                .withNeeded(Words.WordsNeeded.ALL)
                                .withOperators(false)
                        : null);
    }

    /** The parts as the whole has them shown and set. */
    private static List<FilterPlan> parts(Filter whole, Filter.Joined joined, CompiledSearch search) {
        Control control = Objects.requireNonNullElse(whole.controlFor(FieldKind.CATEGORY), Control.LIST);
        List<FilterPlan> parts = new ArrayList<>();
        for (Filter part : joined.parts()) {
            FieldKind kind = search.content().kind(part.field());
            if (!Control.joinable(kind)) {
                continue;
            }
            boolean yesNo = kind == FieldKind.YES_NO;
            Filter here = part.withControl(yesNo ? Control.SWITCH : control.onlyOne() ? Control.ONE_OF : Control.LIST)
                    .withSeveral(whole.several())
                    .ordered(part.order(), part.tree(), whole.withoutResults())
                    .withStart(new Filter.Start(whole.start().all(), List.of()));
            parts.add(of(yesNo ? here.withLabels(Map.of(IndexFields.YES, part.label())) : here, search));
        }
        return List.copyOf(parts);
    }

    public Filter filter() {
        return filter;
    }

    /** Of its field; null where no collection has the field any more. */
    public @Nullable FieldKind kind() {
        return kind;
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
