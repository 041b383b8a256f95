package tidylantern.core.design;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Addresses;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;

/**
 * Something that visitors can narrow by: the values of a field. Keys that a document leaves out take their usual value.
 *
 * @param key its name in addresses: small letters, digits and hyphens, 1 to 40; none of {@link #TAKEN}
 * @param label what visitors read above it, 1 to 80 characters
 * @param help what they read below the label, at most 200 characters; may be empty
 * @param field whose values are on offer
 * @param control what it is handled with; null for the usual one of the field's kind
 * @param except keys of category values taken off the list, each with all below it; their items are still found
 * @param picked keys of the category values on offer, in this order and no others, each for itself and all below it;
 *     null where all are, minus the exceptions
 * @param labels what visitors read instead of a category value's own name, by its key
 * @param several what several ticks mean together
 * @param order of the values on each level
 * @param tree whether the values stand as a tree, or all in one list
 * @param counts whether the number of items stands beside a value
 * @param withoutResults what becomes of a value that would give nothing
 * @param cutAfter how many values show at first, 1 to 1000; 'more' shows the rest
 * @param folded whether only the label shows at first
 * @param unit what stands behind numbers, at most 12 characters; may be empty
 * @param bands between which numbers the steps of a number lie, ascending; none for steps that fit what there is
 * @param neutral what visitors read for none of a list or menu of which one holds, at most 40 characters; empty for
 *     "Any"
 * @param devices where there is room beside the results, where there is none, or both
 * @param after key of another filter, without which set this one is not shown; null to show it always
 * @param values which of the values below others are on offer, which count as others, and what stands beside them
 * @param start what is set as long as a visitor has set nothing
 * @param shown in which places, and when
 * @param joined other filters whose values stand in this one; null for a filter of one field
 * @param radii how far from a place visitors may look, in the unit: ascending, 1 to 20 of them
 */
public record Filter(
        String key,
        String label,
        String help,
        FieldKey field,
        @Nullable Control control,
        List<String> except,
        @Nullable List<String> picked,
        Map<String, String> labels,
        Several several,
        Order order,
        Boolean tree,
        Boolean counts,
        WithoutResults withoutResults,
        Integer cutAfter,
        Boolean folded,
        String unit,
        List<Double> bands,
        String neutral,
        Devices devices,
        @Nullable String after,
        ValueRules values,
        Start start,
        Shown shown,
        @Nullable Joined joined,
        List<Double> radii) {
    /** Parameters of the public contract, which no filter may be called by. */
    public static final Set<String> TAKEN = Set.of("q", "page", "order", "near", "place", "within", "below", "named");

    public static final int MOST_EXCEPT = 5_000;
    public static final int MOST_BANDS = 50;
    public static final int MOST_RADII = 20;
    private static final int USUAL_CUT = 8;
    private static final List<Double> USUAL_RADII = List.of(1.0, 2.0, 5.0, 10.0, 25.0);

    // Null takes its default here, as it does where a document leaves a key out.
    @SuppressWarnings("NullAway")
    public Filter {
        key = checkedKey(key);
        label = Objects.requireNonNullElse(label, "").strip();
        DesignFault.unless(
                !label.isEmpty() && label.length() <= 80,
                "label",
                "the filter \"%s\" needs a label of 1 to 80 characters",
                key);
        help = atMost(200, "help", help);
        field = field == null && joined != null ? joined.parts().getFirst().field() : field;
        DesignFault.unless(field != null, "field", "say which field the filter \"%s\" draws on", key);
        except = Objects.requireNonNullElse(values("except", except), List.of());
        picked = values("picked", picked);
        labels = checkedLabels(labels);
        several = Objects.requireNonNullElse(several, Several.ANY);
        order = Objects.requireNonNullElse(order, Order.NAME);
        tree = Objects.requireNonNullElse(tree, true);
        counts = Objects.requireNonNullElse(counts, true);
        withoutResults = Objects.requireNonNullElse(withoutResults, WithoutResults.DIM);
        cutAfter = Objects.requireNonNullElse(cutAfter, USUAL_CUT);
        DesignFault.unless(
                cutAfter >= 1 && cutAfter <= 1_000,
                "cutAfter",
                "a list cannot be cut after %d values; choose 1 to 1000",
                cutAfter);
        folded = Objects.requireNonNullElse(folded, false);
        unit = atMost(12, "unit", unit);
        bands = steps("bands", Objects.requireNonNullElse(bands, List.of()), 0, MOST_BANDS);
        neutral = atMost(40, "neutral", neutral);
        devices = Objects.requireNonNullElse(devices, Devices.ALL);
        DesignFault.unless(!key.equals(after), "after", "the filter \"%s\" cannot wait for itself", key);
        values = Objects.requireNonNullElseGet(values, () -> new ValueRules(null, null, null, null, null));
        start = Objects.requireNonNullElseGet(start, () -> new Start(null, null));
        shown = Objects.requireNonNullElseGet(shown, () -> new Shown(null, null, null, null, null));
        radii = steps("radii", Objects.requireNonNullElse(radii, USUAL_RADII), 1, MOST_RADII);
        DesignFault.unless(
                radii.getFirst() > 0,
                "radii[0]",
                "a distance of %s is none; the least must be more than 0",
                radii.getFirst());
    }

    private static String checkedKey(@Nullable String given) {
        String key = Objects.requireNonNullElse(given, "");
        DesignFault.unless(
                key.matches("[a-z0-9][a-z0-9-]{0,39}"),
                "key",
                "\"%s\" cannot stand in an address as a filter's name; use small letters, digits and hyphens, 1 to 40",
                key);
        DesignFault.unless(
                !TAKEN.contains(key),
                "key",
                "\"%s\" is a parameter of the search itself; call the filter something else",
                key);
        return key;
    }

    private static String atMost(int most, String part, @Nullable String given) {
        String text = Objects.requireNonNullElse(given, "").strip();
        DesignFault.unless(
                text.length() <= most, part, "\"%s\" is too long; %d characters are the most here", text, most);
        return text;
    }

    private static @Nullable List<String> values(String part, @Nullable List<String> given) {
        if (given == null) {
            return null;
        }
        List<String> values = given.stream().distinct().toList();
        DesignFault.unless(
                values.size() <= MOST_EXCEPT,
                part,
                "%d values are too many; %d are the most",
                values.size(),
                MOST_EXCEPT);
        return values;
    }

    private static Map<String, String> checkedLabels(@Nullable Map<String, String> given) {
        Map<String, String> labels = Map.copyOf(Objects.requireNonNullElse(given, Map.of()));
        DesignFault.unless(
                labels.size() <= MOST_EXCEPT,
                "labels",
                "%d labels are too many; %d are the most",
                labels.size(),
                MOST_EXCEPT);
        labels.forEach((value, said) -> DesignFault.unless(
                !said.isBlank() && said.length() <= 80,
                "labels",
                "what visitors read for \"%s\" needs 1 to 80 characters",
                value));
        return labels;
    }

    /** Numbers that go up, at least and at most so many. */
    private static List<Double> steps(String part, List<Double> given, int fewest, int most) {
        List<Double> steps = List.copyOf(given);
        DesignFault.unless(
                steps.size() >= fewest && steps.size() <= most,
                part,
                "%d steps are not possible; %d to %d are",
                steps.size(),
                fewest,
                most);
        for (int i = 0; i < steps.size(); i++) {
            DesignFault.unless(
                    Double.isFinite(steps.get(i)) && (i == 0 || steps.get(i) > steps.get(i - 1)),
                    part + "[" + i + "]",
                    "the steps of a filter must go up; %s does not",
                    steps.get(i));
        }
        return steps;
    }

    /** With everything as usual. */
    // Null takes its default here, as it does where a document leaves a key out.
    @SuppressWarnings("NullAway")
    public static Filter of(String key, String label, FieldKey field) {
        return new Filter(
                key, label, null, field, null, null, null, null, null, null, null, null, null, null, null, null, null,
                null, null, null, null, null, null, null, null);
    }

    /**
     * Those that are in use for this one: itself, or, where it is joined of others that stand apart just now, these.
     */
    Stream<Filter> inUse() {
        return joined != null && joined.apart() ? joined.parts().stream() : Stream.of(this);
    }

    /** The fields it draws on. */
    public List<FieldKey> fields() {
        return joined == null
                ? List.of(field)
                : joined.parts().stream().map(Filter::field).distinct().toList();
    }

    /** Itself and all that are joined in it. */
    public Stream<Filter> withParts() {
        return joined == null ? Stream.of(this) : Stream.concat(Stream.of(this), joined.parts().stream());
    }

    /**
     * Its control for a field of this kind, which may have changed since one was chosen; null where nobody narrows by
     * the kind.
     */
    public @Nullable Control controlFor(@Nullable FieldKind kind) {
        List<Control> fitting = Control.fitting(kind);
        return fitting.isEmpty() ? null : control != null && fitting.contains(control) ? control : fitting.getFirst();
    }

    /** Whether a category value may be ticked. */
    public boolean offers(String value) {
        return values.standsFor(value).equals(value)
                && (picked != null
                        ? picked.contains(value)
                        : !excepts(value)
                                && (values.depth() == 0
                                        || value.chars().filter(c -> c == '/').count() < values.depth()));
    }

    /** Whether a value is taken off the list, by itself or with one above it. */
    public boolean excepts(String value) {
        return except.stream().anyMatch(off -> isAt(value, off));
    }

    public Filter withControl(Control changed) {
        return with(parts -> parts.control = changed);
    }

    public Filter withSeveral(Several changed) {
        return with(parts -> parts.several = changed);
    }

    public Filter withExcept(List<String> changed) {
        return with(parts -> parts.except = changed);
    }

    public Filter withPicked(@Nullable List<String> changed) {
        return with(parts -> parts.picked = changed);
    }

    public Filter withLabels(Map<String, String> changed) {
        return with(parts -> parts.labels = changed);
    }

    /** @param tree whether the values stand as a tree */
    public Filter ordered(Order changed, boolean tree, WithoutResults without) {
        return with(parts -> {
            parts.order = changed;
            parts.tree = tree;
            parts.withoutResults = without;
        });
    }

    public Filter withBands(List<Double> changed) {
        return with(parts -> parts.bands = changed);
    }

    public Filter withAfter(@Nullable String changed) {
        return with(parts -> parts.after = changed);
    }

    public Filter withValues(ValueRules changed) {
        return with(parts -> parts.values = changed);
    }

    public Filter withStart(Start changed) {
        return with(parts -> parts.start = changed);
    }

    public Filter withShown(Shown changed) {
        return with(parts -> parts.shown = changed);
    }

    public Filter withJoined(@Nullable Joined changed) {
        return with(parts -> parts.joined = changed);
    }

    public Filter withUnit(String changed) {
        return with(parts -> parts.unit = changed);
    }

    public Filter withRadii(List<Double> changed, String unit) {
        return with(parts -> {
            parts.radii = changed;
            parts.unit = unit;
        });
    }

    private Filter with(Consumer<Parts> change) {
        Parts parts = new Parts(this);
        change.accept(parts);
        return parts.put();
    }

    /** The parts of one on the way to another that differs in some of them. */
    private static final class Parts {
        private String key;
        private String label;
        private String help;
        private FieldKey field;
        private @Nullable Control control;
        private List<String> except;
        private @Nullable List<String> picked;
        private Map<String, String> labels;
        private Several several;
        private Order order;
        private Boolean tree;
        private Boolean counts;
        private WithoutResults withoutResults;
        private Integer cutAfter;
        private Boolean folded;
        private String unit;
        private List<Double> bands;
        private String neutral;
        private Devices devices;
        private @Nullable String after;
        private ValueRules values;
        private Start start;
        private Shown shown;
        private @Nullable Joined joined;
        private List<Double> radii;

        Parts(Filter of) {
            key = of.key;
            label = of.label;
            help = of.help;
            field = of.field;
            control = of.control;
            except = of.except;
            picked = of.picked;
            labels = of.labels;
            several = of.several;
            order = of.order;
            tree = of.tree;
            counts = of.counts;
            withoutResults = of.withoutResults;
            cutAfter = of.cutAfter;
            folded = of.folded;
            unit = of.unit;
            bands = of.bands;
            neutral = of.neutral;
            devices = of.devices;
            after = of.after;
            values = of.values;
            start = of.start;
            shown = of.shown;
            joined = of.joined;
            radii = of.radii;
        }

        Filter put() {
            return new Filter(
                    key,
                    label,
                    help,
                    field,
                    control,
                    except,
                    picked,
                    labels,
                    several,
                    order,
                    tree,
                    counts,
                    withoutResults,
                    cutAfter,
                    folded,
                    unit,
                    bands,
                    neutral,
                    devices,
                    after,
                    values,
                    start,
                    shown,
                    joined,
                    radii);
        }
    }

    /**
     * Finer rules for category values.
     *
     * @param withBelow whether a hand-picked value stands for all below it too; if not, for the items that name it
     *     itself
     * @param merged values that count as another one and leave the list, by their keys: the key of that other one
     * @param depth how many levels of a tree are on offer, 1 to 20; 0 for all
     * @param searchFrom from how many values on a list is searched by name, 1 to 10000
     * @param pictures what stands beside a value, by its key: a colour ({@code #0e5f63}) or the address of a picture
     */
    public record ValueRules(
            Boolean withBelow,
            Map<String, String> merged,
            Integer depth,
            Integer searchFrom,
            Map<String, String> pictures) {
        private static final int USUAL_SEARCH_FROM = 20;
        private static final Pattern ADDRESS = Pattern.compile("/|https?://");
        private static final Pattern COLOUR = Pattern.compile("#[0-9a-fA-F]{6}");

        public ValueRules {
            withBelow = Objects.requireNonNullElse(withBelow, true);
            merged = Map.copyOf(Objects.requireNonNullElse(merged, Map.<String, String>of()));
            DesignFault.unless(
                    merged.size() <= MOST_EXCEPT,
                    "merged",
                    "%d merged values are too many; %d are the most",
                    merged.size(),
                    MOST_EXCEPT);
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
            depth = Objects.requireNonNullElse(depth, 0);
            DesignFault.unless(
                    depth >= 0 && depth <= 20,
                    "depth",
                    "%d levels are not possible; choose 1 to 20, or 0 for all",
                    depth);
            searchFrom = Objects.requireNonNullElse(searchFrom, USUAL_SEARCH_FROM);
            DesignFault.unless(
                    searchFrom >= 1 && searchFrom <= 10_000,
                    "searchFrom",
                    "a list cannot be searched from %d values on; choose 1 to 10000",
                    searchFrom);
            pictures = Map.copyOf(Objects.requireNonNullElse(pictures, Map.<String, String>of()));
            DesignFault.unless(
                    pictures.size() <= MOST_EXCEPT,
                    "pictures",
                    "%d pictures are too many; %d are the most",
                    pictures.size(),
                    MOST_EXCEPT);
            pictures.forEach((value, picture) -> DesignFault.unless(
                    COLOUR.matcher(picture).matches()
                            || (ADDRESS.matcher(picture).lookingAt() && Addresses.safe(picture)),
                    "pictures",
                    "\"%s\" is no colour such as #0e5f63 and no address that starts with /, https:// or http://",
                    picture));
        }

        /** The value that another one counts as; the same for most. */
        public String standsFor(String value) {
            return standsFor(value, merged);
        }

        private static String standsFor(String value, Map<String, String> merged) {
            // Asked of every value of a large tree with every answer, and hardly anybody merges any.
            for (int end = merged.isEmpty() ? 0 : value.length(); end > 0; end = value.lastIndexOf('/', end - 1)) {
                String target = merged.get(value.substring(0, end));
                if (target != null) {
                    return target;
                }
            }
            return value;
        }
    }

    /** Whether a value is another one, or lies below it. */
    static boolean isAt(String value, String other) {
        return value.equals(other) || value.startsWith(other + "/");
    }

    /**
     * What is set as long as a visitor has set nothing.
     *
     * @param all every value on offer; for category filters
     * @param chosen as addresses have it; not looked at with {@code all}
     */
    public record Start(Boolean all, List<String> chosen) {
        public Start {
            all = Objects.requireNonNullElse(all, false);
            chosen = List.copyOf(Objects.requireNonNullElse(chosen, List.<String>of()));
            DesignFault.unless(
                    chosen.size() <= 1_000,
                    "chosen",
                    "%d values to start with are too many; 1000 are the most",
                    chosen.size());
        }

        public boolean setsNothing() {
            return !all && chosen.isEmpty();
        }
    }

    /**
     * In which places a filter is shown, and when.
     *
     * @param page where on the results page
     * @param box beside the search box
     * @param home in the form that stands alone ({@code <tidy-filters>})
     * @param narrowing only while setting it would take anything away
     * @param collections only while something of one of these is among the results; none for always
     */
    public record Shown(OnPage page, Boolean box, Boolean home, Boolean narrowing, List<CollectionKey> collections) {
        public Shown {
            page = Objects.requireNonNullElse(page, OnPage.SIDE);
            box = Objects.requireNonNullElse(box, false);
            home = Objects.requireNonNullElse(home, false);
            narrowing = Objects.requireNonNullElse(narrowing, false);
            collections = Objects.requireNonNullElse(collections, List.<CollectionKey>of()).stream()
                    .distinct()
                    .toList();
        }
    }

    /** Where on the results page. */
    public enum OnPage {
        SIDE,
        TOP,
        NOWHERE;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * Filters of one field each, whose values stand together under the label and with the control of another. Each
     * keeps all it has for when it stands alone.
     *
     * @param parts 2 to 12, of category or yes/no fields; none joined itself
     * @param headings whether the values of each stand under its label, or all in one list
     * @param apart whether they stand alone just now, and the joint filter only waits to be put together again
     */
    public record Joined(List<Filter> parts, Boolean headings, Boolean apart) {
        public Joined {
            parts = List.copyOf(Objects.requireNonNullElse(parts, List.<Filter>of()));
            DesignFault.unless(
                    parts.size() >= 2 && parts.size() <= 12,
                    "parts",
                    "%d filters cannot be joined; 2 to 12 can",
                    parts.size());
            for (int i = 0; i < parts.size(); i++) {
                DesignFault.unless(
                        parts.get(i).joined() == null,
                        "parts[" + i + "]",
                        "the filter \"%s\" is joined of others itself",
                        parts.get(i).key());
            }
            headings = Objects.requireNonNullElse(headings, true);
            apart = Objects.requireNonNullElse(apart, false);
        }
    }

    /** On what a filter is shown. */
    public enum Devices {
        ALL,
        /** Where filters stand beside the results. */
        WIDE,
        /** Where they open as a sheet. */
        NARROW;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
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
        /** By name, the last first. */
        NAME_DOWN,
        /** By the first number in the name, those without one last. */
        NUMBER,
        /** Those that most items have first. */
        COUNT;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    public enum WithoutResults {
        DIM,
        HIDE,
        /** Not shown, and neither is one that none of the items found has. */
        FOUND;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
