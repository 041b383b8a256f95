package tidylantern.core.design;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
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
 * @param picked keys of the category values on offer, in this order and no others, each for itself and all below it; null
 *     where all are, minus the exceptions
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
 * @param neutral what visitors read for none of a list or menu of which one holds, at most 40 characters; empty for "Any"
 * @param devices where there is room beside the results, where there is none, or both
 * @param after key of another filter, without which set this one is not shown; null to show it always
 */
public record Filter(String key, String label, String help, FieldKey field, @Nullable Control control, List<String> except, @Nullable List<String> picked, Map<String, String> labels,
        Several several, Order order, Boolean tree, Boolean counts, WithoutResults withoutResults, Integer cutAfter, Boolean folded, String unit, List<Double> bands, String neutral, Devices devices, @Nullable String after) {
    /** Parameters of the public contract, which no filter may be called by. */
    public static final Set<String> TAKEN = Set.of("q", "page", "order", "near", "place", "within", "below", "named");
    public static final int MOST_EXCEPT = 5_000;
    public static final int MOST_BANDS = 50;
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
        help = Objects.requireNonNullElse(help, "").strip();
        DesignFault.unless(help.length() <= 200, "help", "the help of the filter \"%s\" has %d characters; 200 are the most", key, help.length());
        if (picked != null) {
            picked = picked.stream().distinct().toList();
            DesignFault.unless(picked.size() <= MOST_EXCEPT, "picked", "%d values are too many to be picked; %d are the most", picked.size(), MOST_EXCEPT);
        }
        labels = Map.copyOf(Objects.requireNonNullElse(labels, Map.<String, String>of()));
        DesignFault.unless(labels.size() <= MOST_EXCEPT, "labels", "%d labels are too many; %d are the most", labels.size(), MOST_EXCEPT);
        labels.forEach((value, said) -> DesignFault.unless(!said.isBlank() && said.length() <= 80, "labels", "what visitors read for \"%s\" needs 1 to 80 characters", value));
        several = Objects.requireNonNullElse(several, Several.ANY);
        order = Objects.requireNonNullElse(order, Order.NAME);
        tree = Objects.requireNonNullElse(tree, true);
        counts = Objects.requireNonNullElse(counts, true);
        withoutResults = Objects.requireNonNullElse(withoutResults, WithoutResults.DIM);
        cutAfter = Objects.requireNonNullElse(cutAfter, USUAL_CUT);
        DesignFault.unless(cutAfter >= 1 && cutAfter <= 1_000, "cutAfter", "a list cannot be cut after %d values; choose 1 to 1000", cutAfter);
        folded = Objects.requireNonNullElse(folded, false);
        unit = Objects.requireNonNullElse(unit, "").strip();
        DesignFault.unless(unit.length() <= 12, "unit", "\"%s\" is too long for a unit; 12 characters are the most", unit);
        bands = List.copyOf(Objects.requireNonNullElse(bands, List.<Double>of()));
        DesignFault.unless(bands.size() <= MOST_BANDS, "bands", "%d steps are too many; %d are the most", bands.size(), MOST_BANDS);
        neutral = Objects.requireNonNullElse(neutral, "").strip();
        DesignFault.unless(neutral.length() <= 40, "neutral", "\"%s\" is too long for a choice; 40 characters are the most", neutral);
        devices = Objects.requireNonNullElse(devices, Devices.ALL);
        DesignFault.unless(!key.equals(after), "after", "the filter \"%s\" cannot wait for itself", key);
        for (int i = 0; i < bands.size(); i++) {
            DesignFault.unless(Double.isFinite(bands.get(i)) && (i == 0 || bands.get(i) > bands.get(i - 1)), "bands[" + i + "]", "the steps of the filter \"%s\" must go up; %s does not", key, bands.get(i));
        }
    }

    /** With everything as usual. */
    public static Filter of(String key, String label, FieldKey field) {
        return new Filter(key, label, null, field, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null);
    }

    /** Its control for a field of this kind, which may have changed since one was chosen; null where nobody narrows by the kind. */
    public @Nullable Control controlFor(@Nullable FieldKind kind) {
        List<Control> fitting = Control.fitting(kind);
        return fitting.isEmpty() ? null : control != null && fitting.contains(control) ? control : fitting.getFirst();
    }

    /** Whether a category value may be ticked. */
    public boolean offers(String value) {
        return picked == null ? !excepts(value) : picked.contains(value);
    }

    /** Whether a value is taken off the list, by itself or with one above it. */
    public boolean excepts(String value) {
        return except.stream().anyMatch(off -> value.equals(off) || value.startsWith(off + "/"));
    }

    public Filter withControl(Control changed) {
        return new Filter(key, label, help, field, changed, except, picked, labels, several, order, tree, counts, withoutResults, cutAfter, folded, unit, bands, neutral, devices, after);
    }

    public Filter withSeveral(Several changed) {
        return new Filter(key, label, help, field, control, except, picked, labels, changed, order, tree, counts, withoutResults, cutAfter, folded, unit, bands, neutral, devices, after);
    }

    public Filter withExcept(List<String> changed) {
        return new Filter(key, label, help, field, control, changed, picked, labels, several, order, tree, counts, withoutResults, cutAfter, folded, unit, bands, neutral, devices, after);
    }

    public Filter withPicked(@Nullable List<String> changed) {
        return new Filter(key, label, help, field, control, except, changed, labels, several, order, tree, counts, withoutResults, cutAfter, folded, unit, bands, neutral, devices, after);
    }

    public Filter withLabels(Map<String, String> changed) {
        return new Filter(key, label, help, field, control, except, picked, changed, several, order, tree, counts, withoutResults, cutAfter, folded, unit, bands, neutral, devices, after);
    }

    /** @param tree whether the values stand as a tree */
    public Filter ordered(Order changed, boolean tree, WithoutResults without) {
        return new Filter(key, label, help, field, control, except, picked, labels, several, changed, tree, counts, without, cutAfter, folded, unit, bands, neutral, devices, after);
    }

    public Filter withBands(List<Double> changed) {
        return new Filter(key, label, help, field, control, except, picked, labels, several, order, tree, counts, withoutResults, cutAfter, folded, unit, changed, neutral, devices, after);
    }

    public Filter withAfter(@Nullable String changed) {
        return new Filter(key, label, help, field, control, except, picked, labels, several, order, tree, counts, withoutResults, cutAfter, folded, unit, bands, neutral, devices, changed);
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
        DIM, HIDE;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT);
        }
    }
}
