package tidylantern.server.platform;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import tidylantern.core.query.MarkedText;
import tidylantern.core.query.filter.FilterAnswer;

/**
 * Parts of records that are not written where they are empty, false or 0, since an answer has hundreds of such records
 * and most have nothing there. The service's own records say so of a part themselves, by {@link JsonInclude}; for the
 * core's, which know nothing of JSON, it is said here.
 */
final class LeftOutWhereEmpty {
    /** By the record what stands for its annotations: Jackson takes those of methods that are called the same. */
    static final Map<Class<?>, Class<?>> OF_CORE =
            Map.of(FilterAnswer.Offered.class, ValueOnOffer.class, MarkedText.Run.class, Run.class);

    private LeftOutWhereEmpty() {}

    /** Whether this part of a record is one of them. */
    static boolean is(RecordComponent part) {
        if (part.getAccessor().isAnnotationPresent(JsonInclude.class)) {
            return true;
        }
        Class<?> stands = OF_CORE.get(part.getDeclaringRecord());
        return stands != null
                && Arrays.stream(stands.getDeclaredMethods())
                        .anyMatch(method -> method.getName().equals(part.getName()));
    }

    interface ValueOnOffer {
        @JsonInclude(JsonInclude.Include.NON_DEFAULT)
        boolean selected();

        @JsonInclude(JsonInclude.Include.NON_DEFAULT)
        int below();

        @JsonInclude(JsonInclude.Include.NON_EMPTY)
        List<FilterAnswer.Offered> children();

        @JsonInclude(JsonInclude.Include.NON_EMPTY)
        String picture();

        @JsonInclude(JsonInclude.Include.NON_EMPTY)
        String heading();
    }

    interface Run {
        @JsonInclude(JsonInclude.Include.NON_DEFAULT)
        boolean marked();
    }
}
