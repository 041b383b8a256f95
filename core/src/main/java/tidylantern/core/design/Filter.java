package tidylantern.core.design;

import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import tidylantern.core.content.FieldKey;

/**
 * Something that visitors can narrow by: the values of a category field. Keys that a document leaves out take their usual
 * value.
 *
 * @param key its name in addresses: small letters, digits and hyphens, 1 to 40; none of {@link #TAKEN}
 * @param label what visitors read above it, 1 to 80 characters
 * @param field whose values are on offer
 * @param except keys of values taken off the list, each with all below it; their items are still found
 * @param several what several ticks mean together
 * @param order of the values on each level
 * @param tree whether the values stand as a tree, or all in one list
 * @param counts whether the number of items stands beside a value
 * @param withoutResults what becomes of a value that would give nothing
 * @param cutAfter how many values show at first, 1 to 1000; 'more' shows the rest
 */
public record Filter(String key, String label, FieldKey field, List<String> except, Several several, Order order, Boolean tree, Boolean counts,
        WithoutResults withoutResults, Integer cutAfter) {
    /** Parameters of the public contract, which no filter may be called by. */
    public static final Set<String> TAKEN = Set.of("q", "page", "order", "near", "place", "within");
    public static final int MOST_EXCEPT = 5_000;
    private static final int USUAL_CUT = 8;

    public Filter {
        key = Objects.requireNonNullElse(key, "");
        DesignFault.unless(key.matches("[a-z0-9][a-z0-9-]{0,39}"), "key", "\"%s\" cannot stand in an address as a filter's name; use small letters, digits and hyphens, 1 to 40", key);
        DesignFault.unless(!TAKEN.contains(key), "key", "\"%s\" is a parameter of the search itself; call the filter something else", key);
        label = Objects.requireNonNullElse(label, "").strip();
        DesignFault.unless(!label.isEmpty() && label.length() <= 80, "label", "the filter \"%s\" needs a label of 1 to 80 characters", key);
        DesignFault.unless(field != null, "field", "say which field the filter \"%s\" draws on", key);
        except = Objects.requireNonNullElse(except, List.<String>of()).stream().distinct().toList();
        DesignFault.unless(except.size() <= MOST_EXCEPT, "except", "%d exceptions are too many; %d are the most", except.size(), MOST_EXCEPT);
        several = Objects.requireNonNullElse(several, Several.ANY);
        order = Objects.requireNonNullElse(order, Order.NAME);
        tree = Objects.requireNonNullElse(tree, true);
        counts = Objects.requireNonNullElse(counts, true);
        withoutResults = Objects.requireNonNullElse(withoutResults, WithoutResults.DIM);
        cutAfter = Objects.requireNonNullElse(cutAfter, USUAL_CUT);
        DesignFault.unless(cutAfter >= 1 && cutAfter <= 1_000, "cutAfter", "a list cannot be cut after %d values; choose 1 to 1000", cutAfter);
    }

    /** With everything as usual. */
    public static Filter of(String key, String label, FieldKey field) {
        return new Filter(key, label, field, null, null, null, null, null, null, null);
    }

    /** Whether a value is taken off the list, by itself or with one above it. */
    public boolean excepts(String value) {
        return except.stream().anyMatch(off -> value.equals(off) || value.startsWith(off + "/"));
    }

    public Filter withSeveral(Several changed) {
        return new Filter(key, label, field, except, changed, order, tree, counts, withoutResults, cutAfter);
    }

    public Filter withExcept(List<String> changed) {
        return new Filter(key, label, field, changed, several, order, tree, counts, withoutResults, cutAfter);
    }

    /** What several ticks mean together. */
    public enum Several {
        /** One is enough. */
        ANY,
        /** Every one must hold; for fields with several values. */
        ALL;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    public enum Order {
        /** By name, by the rules of the content's language. */
        NAME,
        /** Those that most items have first. */
        COUNT;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    public enum WithoutResults {
        DIM, HIDE;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
