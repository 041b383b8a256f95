package tidylantern.server.visitor;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.filter.OnPage;
import tidylantern.core.design.filter.OnlyControl;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.server.answer.AnswerTexts;
import tidylantern.server.answer.SearchAnswers;

/**
 * A filter as the hosted page draws it without script.
 *
 * @param type of the box before each value
 * @param written what is typed: bounds as {@code from..to}, or words; null where values are ticked
 * @param hint what may be typed; empty if anything may
 * @param begun whether something is set at the start, so that setting nothing must be said
 * @param place the name of the place that distances are measured from; null for other filters
 * @param inView whether visitors see it on the page
 */
record PageFilter(
        String key,
        String label,
        String help,
        boolean hasHelp,
        List<PageValue> values,
        String type,
        @Nullable String written,
        String hint,
        boolean begun,
        @Nullable String place,
        boolean inView) {
    static PageFilter of(SearchAnswers.FilterShape filter, boolean anyShown, AnswerTexts texts) {
        FilterAnswer.Bounds bounds = filter.bounds();
        String written = bounds != null ? interval(bounds) : filter.control() == OnlyControl.BOX ? filter.text() : null;
        boolean onlyOne = filter.control().onlyOne()
                || (filter.control() == OnlyControl.DISTANCE && !filter.values().isEmpty());
        List<PageValue> values = new ArrayList<>(values(filter, filter.values(), 0, texts));
        if (onlyOne) {
            // Otherwise nothing could take the choice back.
            values.addFirst(new PageValue(
                    "", filter.neutral(), "", values.stream().noneMatch(PageValue::selected), false, 0, ""));
        }
        return new PageFilter(
                filter.key(),
                filter.label(),
                filter.help(),
                !filter.help().isEmpty(),
                values,
                onlyOne ? "radio" : "checkbox",
                written,
                bounds == null || bounds.min() == null ? "" : bounds.min() + ".." + bounds.max(),
                !filter.start().isEmpty(),
                filter.around() == null
                        ? null
                        : filter.around().known()
                                ? filter.around().name()
                                : filter.around().unknown(),
                anyShown && filter.offers() && filter.shown().page() != OnPage.NOWHERE);
    }

    /** As the address has it; empty where nothing is set. */
    private static String interval(FilterAnswer.Bounds bounds) {
        return bounds.from() == null && bounds.to() == null
                ? ""
                : Objects.requireNonNullElse(bounds.from(), "") + ".." + Objects.requireNonNullElse(bounds.to(), "");
    }

    /** What is set, as the address has it. */
    List<String> set() {
        return written == null
                ? values.stream()
                        .filter(PageValue::selected)
                        .map(PageValue::value)
                        .filter(value -> !value.isEmpty())
                        .toList()
                : written.isEmpty() ? List.of() : List.of(written);
    }

    /** What is set, as visitors read it; the filter's own label where that is written and not chosen. */
    String setSaid() {
        List<String> chosen = values.stream()
                .filter(value -> value.selected() && !value.value().isEmpty())
                .map(PageValue::label)
                .toList();
        return chosen.isEmpty() ? label : String.join(", ", chosen);
    }

    /**
     * @param count as it is shown; empty where none is
     * @param nothing whether it would give nothing
     * @param level 0 at the top of a tree
     * @param heading that begins with it; empty for none
     */
    record PageValue(
            String value, String label, String count, boolean selected, boolean nothing, int level, String heading) {
        boolean hasHeading() {
            return !heading.isEmpty();
        }
    }

    /** The values one below the other, those below a value further in. */
    private static List<PageValue> values(
            SearchAnswers.FilterShape filter, List<FilterAnswer.Offered> values, int level, AnswerTexts texts) {
        List<PageValue> shown = new ArrayList<>();
        String heading = "";
        for (FilterAnswer.Offered value : values) {
            shown.add(new PageValue(
                    value.value(),
                    value.label(),
                    filter.counts() ? texts.number(value.count()) : "",
                    value.selected(),
                    value.count() == 0 && !value.selected(),
                    level,
                    value.heading().equals(heading) ? "" : value.heading()));
            heading = value.heading();
            shown.addAll(values(filter, value.children(), level + 1, texts));
        }
        return shown;
    }
}
