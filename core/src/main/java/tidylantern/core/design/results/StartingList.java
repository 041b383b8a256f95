package tidylantern.core.design.results;

import java.util.Locale;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.DesignFault;

/**
 * What is shown before anything is typed.
 *
 * @param with which items
 * @param filter key of the filter of categories that one value is taken of; null where all are shown
 * @param value the key of that value, which stands for all below it too
 */
public record StartingList(
        With with, @Nullable String filter, @Nullable String value) {
    public StartingList {
        filter = filter == null || filter.isBlank() ? null : filter.strip();
        value = value == null || value.isBlank() ? null : value.strip();
        DesignFault.unless(
                with != With.CATEGORY || (filter != null && value != null),
                "value",
                "say which value of which filter the list begins with");
    }

    /** With no category. */
    public static StartingList of(With with) {
        return new StartingList(with, null, null);
    }

    /** Which items there are before anything is typed. */
    public enum With {
        EVERYTHING,
        /** What holds a tier today. */
        FEATURED,
        /** What visitors chose most often. */
        POPULAR,
        /** What has one value of a filter of categories. */
        CATEGORY,
        NOTHING;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
