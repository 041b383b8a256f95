package tidylantern.core.design;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;

/**
 * Which items a search can find ('What is searched'). An item is in reach if its collection is searched, it is not kept
 * out of search, it passes the collection's 'only' rules, and no leave-out rule hits it.
 */
public record Reach(List<Searched> collections) {
    public Reach {
        collections = List.copyOf(collections);
        DesignFault.ifTwice(collections.stream().map(Searched::collection).toList(), "collections", "the collection");
    }

    /**
     * One collection that is searched.
     *
     * @param only where there are some, an item passes if one of those on each field holds; rules by author, by item
     *     and by address count as a field each
     * @param leaveOut an item that one of these hits is left out, whatever else holds
     * @param sign what stands for it where there is no room for its name, or no picture; null for that of a page
     */
    public record Searched(
            CollectionKey collection,
            List<ReachRule> only,
            List<ReachRule> leaveOut,
            @Nullable Sign sign) {
        /** More would be a list to keep in the content itself. */
        public static final int MOST_RULES = 500;

        public Searched {
            only = List.copyOf(only);
            leaveOut = List.copyOf(leaveOut);
            DesignFault.unless(
                    only.size() <= MOST_RULES,
                    "only",
                    "%d rules are too many; %d are the most",
                    only.size(),
                    MOST_RULES);
            DesignFault.unless(
                    leaveOut.size() <= MOST_RULES,
                    "leaveOut",
                    "%d rules are too many; %d are the most",
                    leaveOut.size(),
                    MOST_RULES);
            DesignFault.ifTwice(only, "only", "the rule");
            DesignFault.ifTwice(leaveOut, "leaveOut", "the rule");
        }

        /** A collection without a sign of its own. */
        public Searched(CollectionKey collection, List<ReachRule> only, List<ReachRule> leaveOut) {
            this(collection, only, leaveOut, null);
        }

        /** All of a collection. */
        public static Searched all(CollectionKey collection) {
            return new Searched(collection, List.of(), List.of());
        }
    }

    /** What stands for a collection. */
    public Sign signOf(CollectionKey collection) {
        return collections.stream()
                .filter(searched -> searched.collection().equals(collection))
                .map(Searched::sign)
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(Sign.PAGE);
    }

    /** The collections that are searched. */
    public Set<CollectionKey> keys() {
        Set<CollectionKey> keys = new LinkedHashSet<>();
        collections.forEach(searched -> keys.add(searched.collection()));
        return keys;
    }
}
