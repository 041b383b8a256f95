package tidylantern.core.health;

import java.util.List;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.ItemRef;

/**
 * Something that is wrong with items of one collection.
 *
 * @param what in the owner's words
 * @param effect what it does to a search
 * @param field the field at fault; null where it is none
 * @param items how many items it concerns
 * @param some the first of them, at most {@link HealthCheck#MOST_TOLD}
 * @param merge for two spellings: what to merge into what; null for other kinds
 */
public record Finding(
        Kind kind,
        CollectionKey collection,
        String what,
        String effect,
        @Nullable FieldKey field,
        int items,
        List<ItemRef> some,
        @Nullable Merge merge) {
    public Finding {
        some = List.copyOf(some);
    }

    /** Items that could not be laid into the index. */
    public static Finding cannotBeFound(CollectionKey collection, String reason, List<ItemRef> items) {
        return new Finding(
                Kind.CANNOT_BE_FOUND,
                collection,
                (items.size() == 1 ? "1 item: " : "%,d items: ".formatted(items.size())) + reason,
                "No search finds them. Correct the value at its source.",
                null,
                items.size(),
                items.subList(0, Math.min(items.size(), HealthCheck.MOST_TOLD)),
                null);
    }

    /** @param from the rarer spelling */
    public record Merge(CategoryPath from, CategoryPath into) {}

    /**
     * Worst first: what no search can find, then what sends visitors astray, then what makes items hard to find, then
     * what makes them look poor.
     */
    public enum Kind {
        CANNOT_BE_FOUND,
        NO_TITLE,
        SAME_ADDRESS,
        SAME_TEXT,
        DATES_PAST,
        TWO_SPELLINGS,
        PLACE_FAR_OFF,
        THIN_TEXT,
        NO_SUMMARY,
        NO_IMAGE,
        NO_ALTERNATIVE,
        FIELD_NEARLY_EMPTY;

        @Override
        public String toString() {
            return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
        }
    }
}
