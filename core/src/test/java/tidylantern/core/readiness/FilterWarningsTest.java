package tidylantern.core.readiness;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import tidylantern.core.content.FieldKind;
import tidylantern.core.design.filter.CategoryControl;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterBuilder;
import tidylantern.core.design.filter.OnPage;
import tidylantern.core.query.filter.FilterFigures;

class FilterWarningsTest {
    private static final Filter KINDS = FilterBuilder.categories("kind", "Kind", "kind");

    private static FilterFigures figures(int values, int items) {
        return new FilterFigures("kind", values, false, items, FilterFigures.LeftOut.NOTHING);
    }

    @Test
    void aFilterThatDoesItsWorkIsNotWarnedOf() {
        assertThat(FilterWarnings.of(KINDS, figures(101, 5), 100)).isEmpty();
    }

    @Test
    void whatKeepsVisitorsFromUsingItIsSaid() {
        assertThat(FilterWarnings.of(KINDS, figures(0, 0), 100))
                .containsExactly("No item that can be found has a value, so visitors do not see it.");
        assertThat(FilterWarnings.of(FilterBuilder.like(KINDS).picked().made(), figures(0, 9), 100))
                .containsExactly("Nothing is picked yet, so visitors do not see it.");
        Filter hidden = FilterBuilder.like(KINDS).shown(OnPage.NOWHERE, false).made();
        assertThat(FilterWarnings.of(hidden, figures(3, 9), 100))
                .containsExactly("It is shown in no place, so visitors cannot set it.");
        assertThat(FilterWarnings.of(FilterBuilder.joint("all", "All", true, false, KINDS, hidden), figures(0, 0), 100))
                .as("of a joint one each part has its own values")
                .isEmpty();
    }

    @Test
    void whatTakesNearlyEverythingAwayIsSaid() {
        assertThat(FilterWarnings.of(KINDS, figures(3, 49), 1_000))
                .containsExactly("Only 5 % of what is searched has a value; everything else drops out once it is set.");
        assertThat(FilterWarnings.of(FilterBuilder.usual("p", "price", FieldKind.MONEY), figures(0, 1), 100_000))
                .as("never none")
                .first()
                .asString()
                .startsWith("Only 1 %");
    }

    @Test
    void aLongMenuIsSaid() {
        Filter menu =
                FilterBuilder.like(KINDS).handledWith(CategoryControl.MENU).made();
        assertThat(FilterWarnings.of(menu, figures(100, 9), 100)).isEmpty();
        assertThat(FilterWarnings.of(menu, figures(1_234, 9), 100))
                .containsExactly("1,234 values are too many for a menu. A list shows a few and more on demand.");
    }
}
