package tidylantern.core.query;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.query.filter.FilterAnswer;

/**
 * Which filters visitors see with an answer. One in which something is set stays in sight, so that it can be taken off.
 *
 * @param among the collections that the results are of; empty where no filter asks for them
 */
public record VisibleFilters(SearchDesign design, int total, List<FilterAnswer> filters, Set<CollectionKey> among) {
    Set<String> keys() {
        Set<String> set = filters.stream()
                .filter(FilterAnswer::isSet)
                .map(answer -> answer.filter().key())
                .collect(Collectors.toSet());
        return filters.stream()
                .filter(answer -> isShown(answer, set))
                .map(answer -> answer.filter().key())
                .collect(Collectors.toUnmodifiableSet());
    }

    private boolean isShown(FilterAnswer answer, Set<String> set) {
        Filter filter = answer.filter();
        if (!answer.offers()) {
            return false;
        }
        return set.contains(filter.key())
                || ((filter.shown().after() == null
                                || design.inUseAs(filter.shown().after()).stream()
                                        .anyMatch(set::contains))
                        && (!filter.shown().narrowing() || answer.narrows(total))
                        && (filter.shown().collections().isEmpty()
                                || filter.shown().collections().stream().anyMatch(among::contains)));
    }
}
