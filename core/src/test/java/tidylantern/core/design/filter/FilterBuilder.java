package tidylantern.core.design.filter;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;

/** Filters for tests: as usual, but for what is said. What a source does not have is refused. */
public final class FilterBuilder {
    private final FilterHead head;
    private FilterShown shown;
    private FilterSource source;

    private FilterBuilder(Filter from) {
        head = from.head();
        shown = from.shown();
        source = from.source();
    }

    /** Of a category field, with everything as usual. */
    public static Filter categories(String key, String label, String field) {
        return Filter.of(key, label, CategorySource.usual(new FieldKey(field)));
    }

    /** Of any field, with everything as usual for its kind. */
    public static Filter usual(String key, String field, FieldKind kind) {
        return Filter.of(key, field, Objects.requireNonNull(FilterSource.usual(new FieldKey(field), kind)));
    }

    /** Of several others. */
    public static Filter joint(String key, String label, boolean headings, boolean apart, Filter... parts) {
        JointSource usual = JointSource.usual(List.of(parts));
        return Filter.of(key, label, with(with(usual, "headings", headings), "apart", apart));
    }

    /** To be made like another one, but for what is said. */
    public static FilterBuilder like(Filter filter) {
        return new FilterBuilder(filter);
    }

    public Filter made() {
        return new Filter(head, shown, source);
    }

    public FilterBuilder handledWith(Control control) {
        return source.control() == control ? this : saying("control", control);
    }

    public FilterBuilder ticked(Several several) {
        return saying("several", several);
    }

    public FilterBuilder listed(ValueOrder order, WithoutResults withoutResults) {
        return saying("list", ValueList.of(order, withoutResults));
    }

    public FilterBuilder except(String... values) {
        return offering("except", List.of(values));
    }

    public FilterBuilder picked(String... values) {
        return offering("picked", List.of(values));
    }

    public FilterBuilder inOneList() {
        return offering("tree", false);
    }

    /** The finer rules of which values are on offer. */
    public FilterBuilder ruled(boolean withBelow, Map<String, String> merged, int depth) {
        return offering("withBelow", withBelow).offering("merged", merged).offering("depth", depth);
    }

    /** What visitors read for values of a category field. */
    public FilterBuilder labelled(Map<String, String> labels) {
        return saying("looks", new ValueLooks(labels, Map.of()));
    }

    public FilterBuilder startingWith(String... values) {
        return saying("start", List.of(values));
    }

    public FilterBuilder startingWithAll() {
        return saying("allAtStart", true);
    }

    public FilterBuilder bands(Double... bands) {
        return saying("bands", List.of(bands));
    }

    public FilterBuilder radii(DistanceUnit unit, Double... radii) {
        return saying("measured", unit).saying("radii", List.of(radii));
    }

    public FilterBuilder after(@Nullable String other) {
        shown = with(shown, "after", other);
        return this;
    }

    public FilterBuilder shown(OnPage page, boolean narrowing, String... collections) {
        List<CollectionKey> found =
                Arrays.stream(collections).map(CollectionKey::new).toList();
        shown = with(with(with(shown, "page", page), "narrowing", narrowing), "collections", found);
        return this;
    }

    private FilterBuilder saying(String component, Object value) {
        source = (FilterSource) with((Record) source, component, value);
        return this;
    }

    private FilterBuilder offering(String component, Object value) {
        return saying("offered", with(((CategorySource) source).offered(), component, value));
    }

    /** A record with one component changed. What its constructor refuses, this does. */
    private static <R extends Record> R with(R record, String component, @Nullable Object value) {
        RecordComponent[] components = record.getClass().getRecordComponents();
        if (Arrays.stream(components).noneMatch(one -> one.getName().equals(component))) {
            throw new IllegalArgumentException("there is no \"%s\" in %s".formatted(component, record));
        }
        try {
            Object[] values = new Object[components.length];
            for (int i = 0; i < values.length; i++) {
                values[i] = components[i].getName().equals(component)
                        ? value
                        : components[i].getAccessor().invoke(record);
            }
            Class<?>[] types =
                    Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new);
            @SuppressWarnings("unchecked")
            R made = (R) record.getClass().getDeclaredConstructor(types).newInstance(values);
            return made;
        } catch (InvocationTargetException refused) {
            if (refused.getCause() instanceof RuntimeException reason) {
                throw reason;
            }
            throw new IllegalStateException(refused);
        } catch (ReflectiveOperationException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
