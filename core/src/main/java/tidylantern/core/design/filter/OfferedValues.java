package tidylantern.core.design.filter;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.Limit;

/**
 * Which of the values of a category field are on offer, and which count as others. A value stands for itself and all
 * below it.
 *
 * @param except keys of values taken off the list, each with all below it; their items are still found
 * @param picked keys of the values on offer, in this order and no others; null where all are, minus the exceptions
 * @param withBelow whether a hand-picked value stands for all below it too; if not, for the items that name it itself
 * @param merged values that count as another one and leave the list, by their keys: the key of that other one
 * @param tree whether the values stand as a tree, or all in one list
 * @param depth how many levels of a tree are on offer; 0 for all
 */
public record OfferedValues(
        List<String> except,
        @Nullable List<String> picked,
        boolean withBelow,
        Map<String, String> merged,
        boolean tree,
        int depth) {
    public static final Limit DEPTH = new Limit(0, 20);

    public OfferedValues {
        except = FilterText.values("except", except);
        picked = picked == null ? null : FilterText.values("picked", picked);
        merged = Map.copyOf(merged);
        DesignFault.unless(
                merged.size() <= FilterText.VALUES.most(),
                "merged",
                "%d merged values are too many; %d are the most",
                merged.size(),
                FilterText.VALUES.most());
        for (Map.Entry<String, String> one : merged.entrySet()) {
            DesignFault.unless(
                    !isAt(one.getValue(), one.getKey()),
                    "merged",
                    "\"%s\" cannot count as \"%s\", which is itself or lies below it",
                    one.getKey(),
                    one.getValue());
            DesignFault.unless(
                    // Of thousands of merged values, each is compared with those above its target alone.
                    standsFor(one.getValue(), merged).equals(one.getValue()),
                    "merged",
                    "\"%s\" counts as \"%s\", which counts as another one",
                    one.getKey(),
                    one.getValue());
        }
        DesignFault.unless(
                DEPTH.includes(depth),
                "depth",
                "%d levels are not possible; choose 1 to %d, or 0 for all",
                depth,
                DEPTH.most());
    }

    /** All of them. */
    public static OfferedValues all(boolean tree) {
        return new OfferedValues(List.of(), null, true, Map.of(), tree, 0);
    }

    /** Whether a value may be ticked. */
    public boolean offers(String value) {
        return standsFor(value).equals(value)
                && (picked != null
                        ? picked.contains(value)
                        : !excepts(value) && (depth == 0 || isWithin(value, depth)));
    }

    private static boolean isWithin(String value, int depth) {
        return value.chars().filter(c -> c == '/').count() < depth;
    }

    /** Whether a value is taken off the list, by itself or with one above it. */
    public boolean excepts(String value) {
        return except.stream().anyMatch(off -> isAt(value, off));
    }

    /** The value that another one counts as; the same for most. */
    public String standsFor(String value) {
        return standsFor(value, merged);
    }

    /**
     * The value that another one counts as, by itself or with one above it.
     *
     * @param merged the key of the other one, by the keys of those that count as it
     */
    public static String standsFor(String value, Map<String, String> merged) {
        // Asked of every value of a large tree with every answer, and hardly anybody merges any.
        for (int end = merged.isEmpty() ? 0 : value.length(); end > 0; end = value.lastIndexOf('/', end - 1)) {
            String target = merged.get(value.substring(0, end));
            if (target != null) {
                return target;
            }
        }
        return value;
    }

    /** Whether a value is another one, or lies below it. */
    private static boolean isAt(String value, String other) {
        return value.equals(other) || value.startsWith(other + "/");
    }
}
