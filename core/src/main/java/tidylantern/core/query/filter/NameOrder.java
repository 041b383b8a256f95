package tidylantern.core.query.filter;

import java.text.CollationKey;
import java.text.Collator;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * The order of a field's names by the rules of a language, from one state of an index to the next. Names seldom change
 * and comparing them is dear, so only what is new is put in its place.
 */
final class NameOrder {
    private final Collator collator;
    /** By number: the name that stands in the order, and how it is compared. */
    private final List<@Nullable Name> names = new ArrayList<>();

    private int[] order = {};
    private int[] places = {};

    private record Name(String name, CollationKey key) {}

    NameOrder(String language) {
        collator = Collator.getInstance(Locale.forLanguageTag(language));
    }

    /**
     * By number: the place of each name; the same name has the same place.
     *
     * @param now by number; what is null has no name now, and some place
     * @return not to be written to
     */
    synchronized int[] places(List<@Nullable String> now) {
        boolean[] moved = new boolean[now.size()];
        List<Integer> added = new ArrayList<>();
        for (int number = 0; number < moved.length; number++) {
            String name = now.get(number);
            Name known = number < names.size() ? names.get(number) : null;
            if (name != null && (known == null || !known.name().equals(name))) {
                Name next = new Name(name, collator.getCollationKey(name));
                if (number < names.size()) {
                    names.set(number, next);
                } else {
                    while (names.size() < number) {
                        names.add(null);
                    }
                    names.add(next);
                }
                moved[number] = true;
                added.add(number);
            }
        }
        if (!added.isEmpty() || places.length < moved.length) {
            order = merged(added, moved);
            places = places(moved.length);
        }
        return places;
    }

    private CollationKey key(int number) {
        return Objects.requireNonNull(names.get(number)).key();
    }

    private int[] merged(List<Integer> added, boolean[] moved) {
        int[] kept = Arrays.stream(order)
                .filter(number -> number >= moved.length || !moved[number])
                .toArray();
        added.sort(Comparator.comparing(this::key));
        int[] merged = new int[kept.length + added.size()];
        int from = 0;
        int at = 0;
        for (int number : added) {
            int until = place(kept, from, key(number));
            System.arraycopy(kept, from, merged, at, until - from);
            at += until - from;
            from = until;
            merged[at++] = number;
        }
        System.arraycopy(kept, from, merged, at, kept.length - from);
        return merged;
    }

    /** The first place from one on whose name comes not before a name. */
    private int place(int[] kept, int from, CollationKey key) {
        int low = from;
        int high = kept.length;
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (key(kept[middle]).compareTo(key) < 0) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }

    private int[] places(int size) {
        int[] made = new int[Math.max(size, IntStream.of(order).max().orElse(-1) + 1)];
        for (int at = 1; at < order.length; at++) {
            made[order[at]] = made[order[at - 1]] + (key(order[at]).compareTo(key(order[at - 1])) == 0 ? 0 : 1);
        }
        return made;
    }
}
