package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.design.Reach;
import tidylantern.core.design.ReachRule;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterBuilder;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.filter.FilterAnswer;

/** Values that differ only in signs are several, and what was written before they were goes on working. */
class ValuesThatDifferInSignsTest {
    private static final FieldKey KIND = new FieldKey("kind");
    private SearchFixture site;

    @BeforeEach
    void fill(@TempDir Path folder) {
        site = new SearchFixture(folder);
        List.of("C", "C", "C++", "C#", "C#", "c#")
                .forEach(kind -> site.post("p" + System.identityHashCode(new Object()), "title", "Tool", "kind", kind));
        site.post("hyphen", "title", "Words", "kind", "self-catering")
                .post("blank", "title", "Words", "kind", "father figure")
                .post("both", "title", "Words", "kind", "father-figure", "author", "Jo-Ann Fenn")
                .indexed();
    }

    @AfterEach
    void close() throws IOException {
        site.close();
    }

    private static SearchDesign with(Filter filter) {
        return SearchFixture.design().withFilters(List.of(filter));
    }

    private static Filter kind() {
        return Filter.of("kind", "Kind", CategorySource.usual(KIND));
    }

    private Answer answer(Filter filter, String... given) {
        return site.engine()
                .answer(
                        CompiledSearch.of(SearchFixture.SITE, with(filter)),
                        SearchFixture.asked("", 1, given.length == 0 ? Map.of() : Map.of("kind", List.of(given))));
    }

    @Test
    void eachHasItsOwnCountAndFindsItsOwnItems() {
        assertThat(answer(kind()).filters().getFirst().values())
                .extracting(FilterAnswer.Offered::value, FilterAnswer.Offered::label, FilterAnswer.Offered::count)
                .contains(
                        org.assertj.core.groups.Tuple.tuple("c", "C", 2),
                        org.assertj.core.groups.Tuple.tuple("c~2b.~2b.", "C++", 1),
                        org.assertj.core.groups.Tuple.tuple("c~23.", "C#", 3));
        assertThat(answer(kind(), "c~23.").total()).isEqualTo(3);
        assertThat(answer(kind(), "c").total()).isEqualTo(2);
    }

    @Test
    void anAddressOfBeforeGoesOnWorking() {
        assertThat(answer(kind(), "self-catering").hits())
                .extracting(hit -> hit.ref().id().value())
                .containsExactly("hyphen");
        assertThat(answer(kind(), "self~catering").total()).isEqualTo(1);
        assertThat(answer(kind(), "father-figure").hits())
                .as("which is the key of one of them today")
                .extracting(hit -> hit.ref().id().value())
                .containsExactly("blank");
        FilterAnswer.Offered ticked = answer(kind(), "self-catering").filters().getFirst().values().stream()
                .filter(FilterAnswer.Offered::selected)
                .findFirst()
                .orElseThrow();
        assertThat(ticked.value()).as("told by today's key").isEqualTo("self~catering");
    }

    @Test
    void aDesignOfBeforeGoesOnWorking() {
        assertThat(answer(FilterBuilder.like(kind()).except("self-catering").made())
                        .filters()
                        .getFirst()
                        .values())
                .extracting(FilterAnswer.Offered::value)
                .doesNotContain("self~catering")
                .contains("c~23.");
        assertThat(answer(FilterBuilder.like(kind())
                                .picked("self-catering", "c")
                                .made())
                        .filters()
                        .getFirst()
                        .values())
                .extracting(FilterAnswer.Offered::value)
                .containsExactly("self~catering", "c");
        assertThat(answer(FilterBuilder.like(kind())
                                .labelled(Map.of("self-catering", "Cook yourself"))
                                .made())
                        .filters()
                        .getFirst()
                        .values())
                .extracting(FilterAnswer.Offered::label)
                .contains("Cook yourself");
        for (String value : List.of("self-catering", "self~catering", "Self-Catering ")) {
            assertThat(leavingOut(ReachRule.category(KIND, value)))
                    .as(value)
                    .doesNotContain("hyphen")
                    .contains("blank");
        }
        for (String author : List.of("jo-ann-fenn", "Jo-Ann Fenn")) {
            assertThat(leavingOut(ReachRule.author(author)))
                    .as(author)
                    .doesNotContain("both")
                    .contains("blank");
        }
    }

    private List<String> leavingOut(ReachRule rule) {
        CollectionKey posts = SearchFixture.POSTS.key();
        SearchDesign design = SearchFixture.design()
                .withReach(new Reach(List.of(new Reach.Searched(posts, List.of(), List.of(rule)))));
        return site
                .engine()
                .answer(CompiledSearch.of(SearchFixture.SITE, design), SearchFixture.asked("", 1))
                .hits()
                .stream()
                .map(hit -> hit.ref().id().value())
                .toList();
    }
}
