package tidylantern.core.design.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.design.DesignFault;

/** A filter holds what the kind of its field needs, and nothing of the others; product.md, 'Filters'. */
class FilterSourcesTest {
    private static final FieldKey FIELD = new FieldKey("what");

    @ParameterizedTest
    @EnumSource(FieldKind.class)
    void eachKindHasItsOwnControlsTheUsualOneFirst(FieldKind kind) {
        FilterSource usual = FilterSource.usual(FIELD, kind);
        if (Control.fitting(kind).isEmpty()) {
            assertThat(usual).as("nobody narrows by %s", kind).isNull();
            return;
        }
        assertThat(Objects.requireNonNull(usual).control())
                .isEqualTo(Control.fitting(kind).getFirst());
        assertThat(usual.startsEmpty()).isTrue();
        for (FieldKind other : FieldKind.values()) {
            assertThat(FilterSource.fits(usual, other))
                    .as("%s over %s", usual, other)
                    .isEqualTo(Control.fitting(other).equals(Control.fitting(kind)));
        }
    }

    @Test
    void everyControlBelongsToOneSource() {
        assertThat(Control.all()).hasSize(16).doesNotHaveDuplicates();
        assertThat(Arrays.stream(FieldKind.values())
                        .map(Control::fitting)
                        .distinct()
                        .flatMap(List::stream)
                        .filter(control -> control != OnlyControl.BOX))
                .doesNotHaveDuplicates();
    }

    /** The kind may be corrected long after the filter was made. */
    @ParameterizedTest
    @CsvSource({
        "CATEGORY, NUMBER, range",
        "NUMBER, CATEGORY, list",
        "DATE, PLACE, distance",
        "YES_NO, TEXT, box",
        "CATEGORY, IMAGE, list"
    })
    void overAFieldOfAnotherKindItWorksAsIsUsualThere(FieldKind was, FieldKind is, String control) {
        Filter filter = FilterBuilder.usual("what", "what", was);
        assertThat(filter.over(was)).isSameAs(filter);
        assertThat(filter.over(is).source().control()).hasToString(control);
        assertThat(filter.over(is).head()).isEqualTo(filter.head());
        assertThat(filter.over(null)).as("the field is gone").isSameAs(filter);
    }

    @Test
    void ofTwoJoinedTheFirstDecidesHowTheyStand() {
        Filter kinds = FilterBuilder.like(FilterBuilder.categories("kind", "Kind", "kind"))
                .handledWith(CategoryControl.CHIPS)
                .ticked(Several.ALL)
                .listed(ValueOrder.COUNT, WithoutResults.HIDE)
                .made();
        Filter open = FilterBuilder.usual("open", "open", FieldKind.YES_NO);
        JointSource joint = JointSource.joining(kinds, open);
        assertThat(joint.parts()).containsExactly(kinds, open);
        assertThat(joint.control()).isEqualTo(CategoryControl.CHIPS);
        assertThat(joint.several()).isEqualTo(Several.ALL);
        assertThat(joint.list().order()).isEqualTo(ValueOrder.COUNT);
        assertThat(JointSource.joining(open, kinds).control())
                .as("yes and no say nothing of a list")
                .isEqualTo(CategoryControl.LIST);
        Filter more = FilterBuilder.categories("more", "More", "more");
        assertThat(JointSource.joining(Filter.of("both", "Both", joint), more).parts())
                .as("a joint one takes the other in")
                .containsExactly(kinds, open, more);
        assertThatThrownBy(() -> JointSource.joining(more, Filter.of("both", "Both", joint)))
                .isInstanceOf(DesignFault.class)
                .hasMessageContaining("joined of others itself");
    }

    @Test
    void aSourceDrawsOnItsFields() {
        Filter kinds = FilterBuilder.categories("kind", "Kind", "kind");
        Filter same = FilterBuilder.categories("same", "Same", "kind");
        Filter open = FilterBuilder.usual("open", "open", FieldKind.YES_NO);
        assertThat(FilterBuilder.joint("all", "All", true, false, kinds, same, open)
                        .fields())
                .containsExactly(new FieldKey("kind"), new FieldKey("open"));
    }
}
