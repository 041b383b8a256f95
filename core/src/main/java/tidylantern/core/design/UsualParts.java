package tidylantern.core.design;

import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import tidylantern.core.content.FieldKey;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.DaySource;
import tidylantern.core.design.filter.DistanceSource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterShown;
import tidylantern.core.design.filter.JointSource;
import tidylantern.core.design.filter.NumberSource;
import tidylantern.core.design.filter.OfferedValues;
import tidylantern.core.design.filter.ValueList;
import tidylantern.core.design.filter.ValueLooks;
import tidylantern.core.design.filter.WordSource;
import tidylantern.core.design.filter.YesNoSource;

/**
 * The parts of a design as they usually are: what a document leaves out of one is taken from here, so that the parts
 * themselves only know whole values.
 */
public final class UsualParts {
    private static final FieldKey SOME_FIELD = new FieldKey("field");
    private static final Filter SOME_FILTER = Filter.of("key", "Label", CategorySource.usual(SOME_FIELD));

    private UsualParts() {}

    /**
     * @param usual values of the part; what stands for those that must be said has no meaning
     * @param mustBeSaid names of components that have no usual value
     */
    public record Part(Record usual, Set<String> mustBeSaid) {
        public Part {
            mustBeSaid = Set.copyOf(mustBeSaid);
        }

        /** The names of all its components. */
        public List<String> keys() {
            return Arrays.stream(usual.getClass().getRecordComponents())
                    .map(RecordComponent::getName)
                    .toList();
        }
    }

    /** Each once. */
    public static List<Part> all() {
        return List.of(
                part(SOME_FILTER, "head", "source"),
                part(SOME_FILTER.head(), "key", "label"),
                part(FilterShown.usual()),
                part(CategorySource.usual(SOME_FIELD), "field"),
                part(NumberSource.usual(SOME_FIELD), "field"),
                part(DaySource.usual(SOME_FIELD), "field"),
                part(YesNoSource.usual(SOME_FIELD), "field"),
                part(WordSource.usual(SOME_FIELD), "field"),
                part(DistanceSource.usual(SOME_FIELD), "field"),
                part(JointSource.usual(List.of(SOME_FILTER, SOME_FILTER)), "parts"),
                part(OfferedValues.all(true)),
                part(ValueLooks.plain()),
                part(ValueList.usual()));
    }

    private static Part part(Record usual, String... mustBeSaid) {
        return new Part(usual, Set.of(mustBeSaid));
    }
}
