package tidylantern.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** What a document leaves out stands in one place, and the parts of a design take whole values. */
class UsualPartsTest {
    /** All records that a design is made of. */
    private static Set<Class<?>> records() {
        Set<Class<?>> found = new LinkedHashSet<>();
        collect(SearchDesign.class, found);
        return found;
    }

    private static void collect(Type type, Set<Class<?>> found) {
        if (type instanceof ParameterizedType several) {
            Arrays.stream(several.getActualTypeArguments()).forEach(one -> collect(one, found));
        } else if (type instanceof Class<?> one && one.getPackageName().startsWith("tidylantern.core.design")) {
            if (one.isSealed() && one.isInterface()) {
                Arrays.stream(one.getPermittedSubclasses()).forEach(permitted -> collect(permitted, found));
            } else if (one.isRecord() && found.add(one)) {
                Arrays.stream(one.getRecordComponents())
                        .forEach(component -> collect(component.getGenericType(), found));
            }
        }
    }

    private static boolean mayBeNull(RecordComponent component) {
        return Stream.of(component.getAnnotatedType(), component.getAccessor().getAnnotatedReturnType())
                .anyMatch(type -> type.isAnnotationPresent(Nullable.class));
    }

    @Test
    void eachBelongsToADesignAndHasAValueForAllItsPartsThatMayBeLeftOut() {
        assertThat(UsualParts.all()).extracting(UsualParts.Part::type).doesNotHaveDuplicates();
        assertThat(records())
                .hasSizeGreaterThan(60)
                .containsAll(
                        UsualParts.all().stream().map(UsualParts.Part::type).toList());
        for (UsualParts.Part part : UsualParts.all()) {
            assertThat(part.keys()).as(part.toString()).containsAll(part.usual().keySet());
            for (RecordComponent component : part.type().getRecordComponents()) {
                assertThat(!part.usual().containsKey(component.getName())
                                || mayBeNull(component)
                                || part.usual().get(component.getName()) != null)
                        .as("%s of %s", component, part.type())
                        .isTrue();
            }
        }
    }

    /** A yes, a no or a number that is there is no object that may be missing. */
    @Test
    void whatIsLaidUnderIsNoObjectThatMayBeMissing() {
        Set<RecordComponent> boxed = UsualParts.all().stream()
                .map(UsualParts.Part::type)
                .flatMap(type -> Arrays.stream(type.getRecordComponents()))
                .filter(component -> !mayBeNull(component))
                .filter(component ->
                        Set.of(Boolean.class, Integer.class, Double.class).contains(component.getType()))
                .collect(Collectors.toSet());
        assertThat(boxed).isEmpty();
    }

    /** A longer list of components is several things that belong together by twos and threes. */
    @Test
    void noPartHasMoreThanNineComponents() {
        assertThat(records()).allSatisfy(type -> assertThat(type.getRecordComponents())
                .as(type.getSimpleName())
                .hasSizeLessThanOrEqualTo(9));
    }
}
