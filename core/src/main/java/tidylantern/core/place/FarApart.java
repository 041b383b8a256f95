package tidylantern.core.place;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.apache.lucene.util.SloppyMath;

/** Tells places of one name apart: what lies far from all others of a group is another place. */
public final class FarApart {
    /** In metres. A region's villages lie nearer to one another; towns that share a name by chance hardly ever do. */
    static final double FAR = 100_000;
    /** No two points with a greater difference of latitude are nearer than {@link #FAR}, on a sphere of 6,371 km. */
    private static final double FAR_IN_LATITUDE = Math.toDegrees(FAR / 6_371_000) * 1.01;

    private FarApart() {}

    /**
     * Groups in which everything is reached in steps of at most 100 km (single linkage).
     *
     * @param at where one lies
     * @return each in one group; the groups in the order from south to north of their southernmost
     */
    public static <T> List<List<T>> groups(List<T> places, Function<T, Position> at) {
        List<T> northward = places.stream()
                .sorted(Comparator.comparingDouble((T one) -> at.apply(one).latitude())
                        .thenComparingDouble(one -> at.apply(one).longitude()))
                .toList();
        int[] group = new int[northward.size()];
        for (int i = 0; i < group.length; i++) {
            group[i] = i;
            Position here = at.apply(northward.get(i));
            for (int j = i - 1; j >= 0; j--) {
                Position there = at.apply(northward.get(j));
                if (here.latitude() - there.latitude() > FAR_IN_LATITUDE) {
                    break;
                }
                if (root(group, i) != root(group, j)
                        && SloppyMath.haversinMeters(
                                        here.latitude(), here.longitude(), there.latitude(), there.longitude())
                                <= FAR) {
                    group[Math.max(root(group, i), root(group, j))] = Math.min(root(group, i), root(group, j));
                }
            }
        }
        Map<Integer, List<T>> groups = new HashMap<>();
        List<List<T>> ordered = new ArrayList<>();
        for (int i = 0; i < group.length; i++) {
            groups.computeIfAbsent(root(group, i), root -> {
                        List<T> made = new ArrayList<>();
                        ordered.add(made);
                        return made;
                    })
                    .add(northward.get(i));
        }
        return ordered;
    }

    private static int root(int[] group, int of) {
        int at = of;
        while (group[at] != at) {
            group[at] = group[group[at]];
            at = group[at];
        }
        return at;
    }
}
