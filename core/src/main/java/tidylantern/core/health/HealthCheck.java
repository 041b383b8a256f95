package tidylantern.core.health;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Collection;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;
import tidylantern.core.content.ItemRef;

/**
 * Looks over one collection. Give it every item that is not kept out of search, then ask for the {@link #findings}.
 * Memory grows with the number of items by about 200 bytes each, not with their texts.
 */
public final class HealthCheck {
    /** Of the items that a finding concerns, so many are named. */
    public static final int MOST_TOLD = 1_000;
    /** Fewer words in all of title, summary and text are thin. */
    static final int FEWEST_WORDS = 20;
    /** A field that fewer of a hundred items have is nearly empty, in a collection of some size. */
    private static final int FEWEST_PERCENT = 5;

    private static final int COLLECTION_OF_SOME_SIZE = 20;
    /**
     * A place is far off if it lies this many times farther from the middle than half of the places do, and this far at
     * least.
     */
    private static final double TIMES_FARTHER = 10;

    private static final double FAR_KM = 50;
    private static final double KM_A_DEGREE = 111.2;
    private static final Set<String> DAYS_OF_THE_PAST =
            Set.of("published", "created", "modified", "updated", "born", "since", "founded", "built", "date");

    private final Collection collection;
    private final LocalDate today;
    private final Map<Finding.Kind, Concerned> plain = new EnumMap<>(Finding.Kind.class);
    private final Map<FieldKey, Concerned> past = new LinkedHashMap<>();
    private final Map<Long, List<ItemRef>> byAddress = new HashMap<>();
    private final Map<Long, List<ItemRef>> byText = new HashMap<>();
    private final Map<FieldKey, Integer> having = new HashMap<>();
    private final Map<FieldKey, Spellings> spellings = new LinkedHashMap<>();
    private final Map<FieldKey, List<Located>> places = new LinkedHashMap<>();
    private int items;

    public HealthCheck(Collection collection, LocalDate today) {
        this.collection = collection;
        this.today = today;
    }

    private record Located(ItemRef item, double latitude, double longitude) {}

    private static final class Concerned {
        private final List<ItemRef> some = new ArrayList<>();
        private int items;

        void add(ItemRef item) {
            items++;
            if (some.size() < MOST_TOLD) {
                some.add(item);
            }
        }
    }

    /** Looks at one item, as visitors get it. */
    public void accept(Item item) {
        items++;
        ItemRef ref = item.ref();
        item.values().keySet().forEach(key -> having.merge(key, 1, Integer::sum));
        if (!item.values().containsKey(FieldKey.TITLE)) {
            note(Finding.Kind.NO_TITLE, ref);
        }
        if (!item.values().containsKey(FieldKey.SUMMARY)) {
            note(Finding.Kind.NO_SUMMARY, ref);
        }
        String text = item.text(FieldKey.TITLE) + " " + item.text(FieldKey.SUMMARY) + " " + item.text(FieldKey.BODY);
        if (words(text) < FEWEST_WORDS) {
            note(Finding.Kind.THIN_TEXT, ref);
        }
        if (!(item.values().get(FieldKey.IMAGE) instanceof FieldValue.Image image)) {
            note(Finding.Kind.NO_IMAGE, ref);
        } else if (image.alternative() == null || image.alternative().isBlank()) {
            note(Finding.Kind.NO_ALTERNATIVE, ref);
        }
        String address = item.address();
        if (address != null) {
            byAddress.computeIfAbsent(print(address), key -> new ArrayList<>(1)).add(ref);
        }
        String body = (item.text(FieldKey.SUMMARY) + item.text(FieldKey.BODY))
                .replaceAll("\\s+", " ")
                .strip();
        if (body.length() > 80) {
            byText.computeIfAbsent(print(body), key -> new ArrayList<>(1)).add(ref);
        }
        item.values().forEach((key, value) -> look(ref, key, value));
    }

    private void look(ItemRef ref, FieldKey key, FieldValue value) {
        switch (value) {
            case FieldValue.Dates dates -> {
                if (!DAYS_OF_THE_PAST.contains(key.value())
                        && dates.days().getLast().isBefore(today)) {
                    past.computeIfAbsent(key, field -> new Concerned()).add(ref);
                }
            }
            case FieldValue.Categories categories ->
                categories.paths().forEach(path -> spellings
                        .computeIfAbsent(key, field -> new Spellings())
                        .add(path, ref));
            case FieldValue.Place place ->
                places.computeIfAbsent(key, field -> new ArrayList<>())
                        .add(new Located(ref, place.latitude(), place.longitude()));
            case FieldValue.Text t -> {}
            case FieldValue.Numeric n -> {}
            case FieldValue.Money m -> {}
            case FieldValue.YesNo y -> {}
            case FieldValue.Image i -> {}
            case FieldValue.Link l -> {}
            case FieldValue.Codes c -> {}
        }
    }

    private void note(Finding.Kind kind, ItemRef item) {
        plain.computeIfAbsent(kind, key -> new Concerned()).add(item);
    }

    /** Worst first; within a kind the one that concerns more items. */
    public List<Finding> findings() {
        List<Finding> found = new ArrayList<>();
        missingParts(found);
        sharedParts(found);
        ofFields(found);
        emptyFields(found);
        found.sort(Comparator.comparing(Finding::kind)
                .thenComparing(Finding::items, Comparator.reverseOrder())
                .thenComparing(Finding::what));
        return found;
    }

    private void missingParts(List<Finding> found) {
        tell(
                found,
                Finding.Kind.NO_TITLE,
                FieldKey.TITLE,
                "without a title",
                "Results show the first heading or words instead, and the field that counts most is missing.");
        tell(
                found,
                Finding.Kind.THIN_TEXT,
                null,
                "with fewer than %d words".formatted(FEWEST_WORDS),
                "There is little to be found by.");
        if (collection.field(FieldKey.SUMMARY) != null) {
            tell(
                    found,
                    Finding.Kind.NO_SUMMARY,
                    FieldKey.SUMMARY,
                    "without a summary",
                    "Results show the first words of the text instead.");
        }
        if (collection.field(FieldKey.IMAGE) != null) {
            tell(
                    found,
                    Finding.Kind.NO_IMAGE,
                    FieldKey.IMAGE,
                    "without an image",
                    "Results stand bare among those with pictures.");
            tell(
                    found,
                    Finding.Kind.NO_ALTERNATIVE,
                    FieldKey.IMAGE,
                    "whose image has no alternative text",
                    "Whoever cannot see the picture is not told what it shows.");
        }
    }

    private void sharedParts(List<Finding> found) {
        shared(
                found,
                Finding.Kind.SAME_ADDRESS,
                byAddress,
                FieldKey.ADDRESS,
                "that share an address with another",
                "Visitors see one page twice among their results.");
        shared(
                found,
                Finding.Kind.SAME_TEXT,
                byText,
                FieldKey.BODY,
                "that share their text with another",
                "The same words fill the results, and filters count them double.");
    }

    private void ofFields(List<Finding> found) {
        past.forEach((key, concerned) -> found.add(finding(
                Finding.Kind.DATES_PAST,
                key,
                concerned,
                "whose %s is past".formatted(label(key)),
                "Visitors find what they can no longer have.",
                null)));
        spellings.forEach((key, seen) -> seen.pairs()
                .forEach(pair -> found.add(finding(
                        Finding.Kind.TWO_SPELLINGS,
                        key,
                        concerned(pair.items()),
                        "with “%s” in %s, where others say “%s”".formatted(pair.from(), label(key), pair.into()),
                        "A filter lists one thing twice, and each finds only a part.",
                        new Finding.Merge(pair.from(), pair.into())))));
        places.forEach((key, located) -> {
            Concerned off = farOff(located);
            if (off.items > 0) {
                found.add(finding(
                        Finding.Kind.PLACE_FAR_OFF,
                        key,
                        off,
                        "whose %s lies far from all others".formatted(label(key)),
                        "Distances from it are wrong, if the two numbers were swapped or mistyped.",
                        null));
            }
        });
    }

    private void tell(List<Finding> found, Finding.Kind kind, @Nullable FieldKey field, String what, String effect) {
        Concerned concerned = plain.get(kind);
        if (concerned != null) {
            found.add(finding(kind, field, concerned, what, effect, null));
        }
    }

    private void shared(
            List<Finding> found,
            Finding.Kind kind,
            Map<Long, List<ItemRef>> groups,
            FieldKey field,
            String what,
            String effect) {
        Concerned concerned = new Concerned();
        groups.values().stream()
                .filter(group -> group.size() > 1)
                .sorted(Comparator.comparing(group -> group.getFirst().toString()))
                .forEach(group -> group.forEach(concerned::add));
        if (concerned.items > 0) {
            found.add(finding(kind, field, concerned, what, effect, null));
        }
    }

    private void emptyFields(List<Finding> found) {
        for (Field field : collection.fields()) {
            int said = having.getOrDefault(field.key(), 0);
            if (items >= COLLECTION_OF_SOME_SIZE
                    && said * 100 < items * FEWEST_PERCENT
                    && field.kind() != FieldKind.YES_NO) {
                found.add(new Finding(
                        Finding.Kind.FIELD_NEARLY_EMPTY,
                        collection.key(),
                        said == 0
                                ? "%s says nothing".formatted(field.label())
                                : "%s says something in %d of %d items".formatted(field.label(), said, items),
                        "A filter or a weight on it does next to nothing.",
                        field.key(),
                        items - said,
                        List.of(),
                        null));
            }
        }
    }

    private Finding finding(
            Finding.Kind kind,
            @Nullable FieldKey field,
            Concerned concerned,
            String what,
            String effect,
            Finding.@Nullable Merge merge) {
        return new Finding(
                kind,
                collection.key(),
                (concerned.items == 1 ? "1 item " : "%,d items ".formatted(concerned.items)) + what,
                effect,
                field,
                concerned.items,
                concerned.some,
                merge);
    }

    private static Concerned concerned(List<ItemRef> items) {
        Concerned concerned = new Concerned();
        items.forEach(concerned::add);
        return concerned;
    }

    /** Robust against what it looks for: the middle and the usual distance are medians. */
    private static Concerned farOff(List<Located> located) {
        Concerned off = new Concerned();
        if (located.size() < 5) {
            return off;
        }
        double latitude = median(located.stream().mapToDouble(Located::latitude).toArray());
        double longitude =
                median(located.stream().mapToDouble(Located::longitude).toArray());
        double[] distances = located.stream()
                .mapToDouble(one -> kilometres(one, latitude, longitude))
                .toArray();
        double far = Math.max(FAR_KM, TIMES_FARTHER * median(distances.clone()));
        for (int i = 0; i < distances.length; i++) {
            if (distances[i] > far) {
                off.add(located.get(i).item());
            }
        }
        return off;
    }

    /** Near enough for telling far from near: degrees on a plane, those of longitude shortened by the latitude. */
    private static double kilometres(Located one, double latitude, double longitude) {
        double across = Math.abs(one.longitude() - longitude);
        double east = Math.min(across, 360 - across) * Math.cos(Math.toRadians((one.latitude() + latitude) / 2));
        return Math.hypot(one.latitude() - latitude, east) * KM_A_DEGREE;
    }

    private static double median(double[] values) {
        java.util.Arrays.sort(values);
        return values[values.length / 2];
    }

    private String label(FieldKey key) {
        Field field = collection.field(key);
        return field == null ? key.value() : field.label().toLowerCase(java.util.Locale.ROOT);
    }

    private static int words(String text) {
        int words = 0;
        boolean in = false;
        for (int i = 0; i < text.length() && words < FEWEST_WORDS; i++) {
            boolean letter = Character.isLetterOrDigit(text.charAt(i));
            words += letter && !in ? 1 : 0;
            in = letter;
        }
        return words;
    }

    /**
     * 64 bits of a text, so that texts need not be kept; for a million of them two alike by chance are one in 30
     * million.
     */
    private static long print(String text) {
        long print = 1125899906842597L;
        for (int i = 0; i < text.length(); i++) {
            print = 31 * print + text.charAt(i);
        }
        // Mixed (Stafford, variant 13), since neighbours of a polynomial are near one another.
        print = (print ^ (print >>> 30)) * 0xbf58476d1ce4e5b9L;
        print = (print ^ (print >>> 27)) * 0x94d049bb133111ebL;
        return print ^ (print >>> 31);
    }
}
