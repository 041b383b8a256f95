package tidylantern.server.platform;

import java.util.List;

/** Names in a sentence: the first of them, and how many more there are. */
public final class SomeNames {
    /** So many are named. */
    public static final int NAMED = 3;

    private SomeNames() {}

    public static String of(List<String> names) {
        return of(names, names.size());
    }

    /**
     * @param first of the names, {@link #NAMED} of them where there are so many
     * @param all how many there are
     */
    public static String of(List<String> first, int all) {
        List<String> named =
                first.stream().limit(NAMED).map(name -> "“" + name + "”").toList();
        String joined = String.join(", ", named);
        return all <= named.size() ? joined : "%s and %,d more".formatted(joined, all - named.size());
    }
}
