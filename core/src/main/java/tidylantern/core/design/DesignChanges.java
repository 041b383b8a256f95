package tidylantern.core.design;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.box.Paint;
import tidylantern.core.design.card.Card;
import tidylantern.core.design.card.CardPart;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.text.Reworded;
import tidylantern.core.design.text.WordedLabel;

/**
 * What differs between two designs of one search, decision by decision, in the order in which the design holds them. It
 * is found by walking the records, so a decision that a design learns later is told without a line here, and nothing
 * differs exactly where the two are equal.
 */
public final class DesignChanges {
    /** What tells the entries of a list apart, so that one can be followed from one design to the other. */
    private static @Nullable Object keyOf(Object entry) {
        return switch (entry) {
            case Filter filter -> filter.key();
            case Tier tier -> tier.key();
            case Pin pin -> pin.queries().getFirst();
            case FieldWeight weight -> weight.field();
            case Reach.Searched searched -> searched.collection();
            case ResultOrder.Choice choice -> choice.key();
            case Help.SeeAlso also -> also.query();
            case Card card -> card.key();
            case CardPart part -> part.key();
            case Reworded text -> text.key();
            case WordedLabel label -> label.key();
            default -> null;
        };
    }

    private final List<DesignChange> found = new ArrayList<>();

    private DesignChanges() {}

    public static List<DesignChange> between(SearchDesign before, SearchDesign after) {
        DesignChanges changes = new DesignChanges();
        changes.compare(List.of(), before, after);
        return List.copyOf(changes.found);
    }

    private void compare(List<String> path, @Nullable Object before, @Nullable Object after) {
        if (Objects.equals(before, after)) {
            return;
        }
        if (before instanceof List<?> was && after instanceof List<?> is) {
            compareLists(path, was, is);
        } else if (before instanceof Map<?, ?> was && after instanceof Map<?, ?> is) {
            compareEntries(path, new TreeMap<>(was), new TreeMap<>(is));
        } else if (before != null && after != null && isPart(before) && before.getClass() == after.getClass()) {
            for (RecordComponent component : before.getClass().getRecordComponents()) {
                compare(below(path, component.getName()), read(component, before), read(component, after));
            }
        } else {
            found.add(new DesignChange(path, before, after));
        }
    }

    /**
     * A record of the design's own; those of the content, such as a field's key, are values, and so are colours and
     * paints.
     */
    private static boolean isPart(Object value) {
        return value instanceof Record
                && !(value instanceof Colour)
                && !(value instanceof Paint)
                && value.getClass().getPackageName().startsWith(SearchDesign.class.getPackageName());
    }

    private static @Nullable Object read(RecordComponent component, Object of) {
        try {
            return component.getAccessor().invoke(of);
        } catch (ReflectiveOperationException impossible) {
            throw new IllegalStateException("reading " + component, impossible);
        }
    }

    private void compareLists(List<String> path, List<?> before, List<?> after) {
        Map<String, Object> was = byKey(before);
        Map<String, Object> is = byKey(after);
        if (was != null && is != null) {
            compareEntries(path, was, is);
            if (!among(was.keySet(), is.keySet()).equals(among(is.keySet(), was.keySet()))) {
                found.add(new DesignChange(path, List.copyOf(was.keySet()), List.copyOf(is.keySet())));
            }
            return;
        }
        List<?> removed = without(before, after);
        List<?> added = without(after, before);
        found.add(
                removed.isEmpty() && added.isEmpty()
                        ? new DesignChange(path, before, after)
                        : new DesignChange(path, removed, added));
    }

    private void compareEntries(List<String> path, Map<?, ?> before, Map<?, ?> after) {
        Set<Object> keys = new LinkedHashSet<>(before.keySet());
        keys.addAll(after.keySet());
        keys.forEach(key -> compare(below(path, key.toString()), before.get(key), after.get(key)));
    }

    /** In their order; null where the entries have no keys, or two have the same. */
    private static @Nullable Map<String, Object> byKey(List<?> entries) {
        Map<String, Object> byKey = new LinkedHashMap<>();
        for (Object entry : entries) {
            Object key = keyOf(entry);
            if (key == null || byKey.put(key.toString(), entry) != null) {
                return null;
            }
        }
        return byKey;
    }

    private static List<String> among(Collection<String> keys, Set<String> others) {
        return keys.stream().filter(others::contains).toList();
    }

    private static List<?> without(List<?> entries, List<?> others) {
        Set<Object> known = Set.copyOf(others);
        return entries.stream().filter(entry -> !known.contains(entry)).toList();
    }

    private static List<String> below(List<String> path, String name) {
        List<String> longer = new ArrayList<>(path);
        longer.add(name);
        return List.copyOf(longer);
    }
}
