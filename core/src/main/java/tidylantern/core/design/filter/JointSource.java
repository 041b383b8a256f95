package tidylantern.core.design.filter;

import java.util.ArrayList;
import java.util.List;
import tidylantern.core.content.FieldKey;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.Limit;

/**
 * Filters of one field each, whose values stand together. Each keeps all it has for when it stands alone.
 *
 * @param parts of category or yes/no fields; none joined itself
 * @param headings whether the values of each stand under its label, or all in one list
 * @param apart whether they stand alone just now, and the joint filter only waits to be put together again
 * @param several what several ticks mean together
 * @param list how the values stand; their order only where they are in one list
 * @param neutral what visitors read for none of a list or menu of which one holds, at most 40 characters; empty for the
 *     usual words
 * @param start what is set as long as a visitor has set nothing, each behind the key of its part and a colon; not
 *     looked at with {@code allAtStart}
 * @param allAtStart whether every value on offer is set then
 */
public record JointSource(
        List<Filter> parts,
        boolean headings,
        boolean apart,
        CategoryControl control,
        Several several,
        ValueList list,
        String neutral,
        List<String> start,
        boolean allAtStart)
        implements FilterSource {
    public static final Limit PARTS = new Limit(2, 12);

    public JointSource {
        parts = List.copyOf(parts);
        DesignFault.unless(
                PARTS.includes(parts.size()), "parts", "%d filters cannot be joined; %s can", parts.size(), PARTS);
        for (int i = 0; i < parts.size(); i++) {
            DesignFault.unless(
                    !(parts.get(i).source() instanceof JointSource),
                    "parts[" + i + "]",
                    "the filter \"%s\" is joined of others itself",
                    parts.get(i).key());
        }
        neutral = FilterText.atMost(FilterText.LONGEST_NEUTRAL, "neutral", neutral);
        start = FilterText.start(start);
    }

    /** The values of each under its label, to tick. */
    public static JointSource usual(List<Filter> parts) {
        return new JointSource(
                parts, true, false, CategoryControl.LIST, Several.ANY, ValueList.usual(), "", List.of(), false);
    }

    /**
     * One filter and another, whose values stand together from now on; what the first is handled with, and how its
     * values stand, holds for both. A joint one takes the other in.
     */
    public static JointSource joining(Filter filter, Filter other) {
        return switch (filter.source()) {
            case JointSource joint -> joint.with(other);
            case CategorySource first ->
                new JointSource(
                        List.of(filter, other),
                        true,
                        false,
                        first.control(),
                        first.several(),
                        first.list(),
                        first.neutral(),
                        List.of(),
                        false);
            default -> usual(List.of(filter, other));
        };
    }

    private JointSource with(Filter other) {
        List<Filter> more = new ArrayList<>(parts);
        more.add(other);
        return new JointSource(more, headings, apart, control, several, list, neutral, start, allAtStart);
    }

    @Override
    public List<FieldKey> fields() {
        return parts.stream().flatMap(part -> part.fields().stream()).distinct().toList();
    }

    @Override
    public boolean startsEmpty() {
        return start.isEmpty() && !allAtStart;
    }

    @Override
    public int cutAfter() {
        return list.cutAfter();
    }

    @Override
    public int searchFrom() {
        return list.searchFrom();
    }

    @Override
    public boolean counts() {
        return list.counts();
    }
}
