package tidylantern.core.health;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.ItemRef;

/**
 * Finds values of one category field that look like two spellings of one: under the same parent, the same letters and
 * digits however they are set (case, accents, spaces, hyphens, points; not signs that tell things apart, as in C and
 * C++), or in longer words one letter more, less or other, where one spelling is much rarer.
 */
final class Spellings {
    private static final int SHORTEST_FOR_A_SLIP = 6;
    /** One letter apart is a slip only if the rarer stands in at most this share of the more frequent. */
    private static final double RARE = .25;

    private static final int MOST_KEPT = 1_000;

    private final Map<CategoryPath, Seen> seen = new LinkedHashMap<>();

    private static final class Seen {
        private int items;
        private final List<ItemRef> some = new ArrayList<>(1);
    }

    /** @param items that have the rarer spelling */
    record Pair(CategoryPath from, CategoryPath into, List<ItemRef> items) {}

    void add(CategoryPath path, ItemRef item) {
        for (CategoryPath value : path.fromTheTop()) {
            Seen here = seen.computeIfAbsent(value, key -> new Seen());
            here.items++;
            if (here.some.size() < MOST_KEPT) {
                here.some.add(item);
            }
        }
    }

    List<Pair> pairs() {
        Map<String, List<CategoryPath>> byLetters = new LinkedHashMap<>();
        Map<String, Set<CategoryPath>> byAllButOne = new HashMap<>();
        for (CategoryPath path : seen.keySet()) {
            String parent = parent(path);
            String letters = letters(path.label());
            byLetters
                    .computeIfAbsent(parent + letters, key -> new ArrayList<>())
                    .add(path);
            if (letters.length() >= SHORTEST_FOR_A_SLIP && letters.chars().noneMatch(Character::isDigit)) {
                byAllButOne
                        .computeIfAbsent(parent + letters, key -> new TreeSet<>(BY_NAME))
                        .add(path);
                for (int i = 0; i < letters.length(); i++) {
                    byAllButOne
                            .computeIfAbsent(
                                    parent + letters.substring(0, i) + letters.substring(i + 1),
                                    key -> new TreeSet<>(BY_NAME))
                            .add(path);
                }
            }
        }
        Map<CategoryPath, CategoryPath> merges = new LinkedHashMap<>();
        byLetters.values().forEach(same -> same.stream()
                .sorted(this::moreFrequentFirst)
                .skip(1)
                .forEach(path -> merges.putIfAbsent(
                        path, same.stream().min(this::moreFrequentFirst).orElseThrow())));
        byAllButOne.values().stream().filter(near -> near.size() > 1).forEach(near -> {
            List<CategoryPath> byFrequency =
                    near.stream().sorted(this::moreFrequentFirst).toList();
            CategoryPath most = byFrequency.getFirst();
            byFrequency.stream()
                    .skip(1)
                    .filter(path -> !letters(path.label()).equals(letters(most.label()))
                            && oneApart(letters(path.label()), letters(most.label()))
                            && items(path) <= items(most) * RARE)
                    .forEach(path -> merges.putIfAbsent(path, most));
        });
        // Those that have one key count as one already.
        return merges.entrySet().stream()
                .filter(merge -> !merge.getKey().key().equals(merge.getValue().key()))
                .map(merge -> new Pair(
                        merge.getKey(),
                        merge.getValue(),
                        new ArrayList<>(new java.util.LinkedHashSet<>(some(merge.getKey())))))
                .toList();
    }

    private static final Comparator<CategoryPath> BY_NAME = Comparator.comparing(CategoryPath::toString);

    private int moreFrequentFirst(CategoryPath a, CategoryPath b) {
        int byItems = Integer.compare(items(b), items(a));
        return byItems != 0 ? byItems : BY_NAME.compare(a, b);
    }

    private int items(CategoryPath path) {
        Seen here = seen.get(path);
        return here == null ? 0 : here.items;
    }

    private List<ItemRef> some(CategoryPath path) {
        Seen here = seen.get(path);
        return here == null ? List.of() : here.some;
    }

    private static String parent(CategoryPath path) {
        return String.join("\u0001", path.names().subList(0, path.names().size() - 1)) + "\u0002";
    }

    private static String letters(String name) {
        return Normalizer.normalize(name, Normalizer.Form.NFKD)
                .toLowerCase(Locale.ROOT)
                .replaceAll("[\\p{Z}\\p{M}\\p{Pd}'’.,_/()]", "");
    }

    /** One letter more, less or other. */
    private static boolean oneApart(String a, String b) {
        if (Math.abs(a.length() - b.length()) > 1) {
            return false;
        }
        int same = 0;
        while (same < Math.min(a.length(), b.length()) && a.charAt(same) == b.charAt(same)) {
            same++;
        }
        String restA = a.substring(same);
        String restB = b.substring(same);
        return a.length() == b.length()
                ? restA.substring(Math.min(1, restA.length())).equals(restB.substring(Math.min(1, restB.length())))
                : a.length() > b.length()
                        ? restA.substring(1).equals(restB)
                        : restB.substring(1).equals(restA);
    }
}
