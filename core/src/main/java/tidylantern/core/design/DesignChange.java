package tidylantern.core.design;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One decision that differs.
 *
 * <p>Of a list whose entries have keys, each entry is a part of its own, and the path of the list itself is that of
 * their order: {@code before} and {@code after} are the keys. Of any other list they are the entries that only one of
 * the two has, or the whole lists where those are the same in another order.
 *
 * @param path down to the decision: names of components, and keys of entries of lists and maps, such as {@code filters,
 *     kind, labels, north-isle}
 * @param before what it was: a text, a number, a list, a part of a design; null where there was none
 * @param after what it is; null where there is none
 */
public record DesignChange(
        List<String> path,
        @Nullable Object before,
        @Nullable Object after) {}
