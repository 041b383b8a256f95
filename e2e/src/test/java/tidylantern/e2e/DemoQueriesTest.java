package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tidylantern.core.trial.RankingQuality;
import tidylantern.demo.DemoLoader;
import tidylantern.demo.Quillhaven;
import tidylantern.server.Api;

/** Queries written before the search was tuned find their items through the first design of a new search. */
@ExtendWith(SharedDemo.class)
class DemoQueriesTest {
    private static DemoWorld world;

    @BeforeAll
    static void start(DemoWorld shared) {
        world = shared;
    }

    static List<Quillhaven.Expected> queries() {
        return Quillhaven.expected();
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("queries")
    void findsTheItemAmongTheFirst(Quillhaven.Expected expected) {
        Api.Answer answer = world.api().results("island-search", expected.query());
        List<String> first = answer.hits().stream().limit(expected.within()).toList();
        assertThat(first)
                .as(
                        "\"%s\" of %d",
                        expected.query(), answer.json().path("total").asInt())
                .contains(expected.item());
    }

    /** A search that nobody tuned does nearly as well: at least 0.9 of what the demo's own reaches. */
    @Test
    void aProposedSearchPutsThemAsHigh() {
        Api proposing = world.api().on(DemoLoader.SITE);
        double tuned = gain("island-search");
        assertThat(gain(proposing.proposedSearch("Proposed by itself"))).isGreaterThanOrEqualTo(0.9 * tuned);
        assertThat(tuned).as("nDCG@10 of the demo's own search").isGreaterThan(0.85);
    }

    private static double gain(String search) {
        return queries().stream()
                .mapToDouble(expected -> {
                    int place =
                            world.api().results(search, expected.query()).hits().indexOf(expected.item());
                    return RankingQuality.normalisedGain(
                            List.of(new RankingQuality.Wanted(1, place < 0 ? null : place + 1)), 10);
                })
                .average()
                .orElseThrow();
    }

    @Test
    void thereAreFortyOfThem() {
        assertThat(queries()).hasSizeGreaterThanOrEqualTo(40);
    }

    @Test
    void theImperfectItemsAreFoundAndCalledSomething() {
        List<String> called = new ArrayList<>();
        for (String query : List.of("grey of a pigeon", "complete as the parish records", "deja vu naive")) {
            called.add(world.api()
                    .results("island-search", query)
                    .json()
                    .path("hits")
                    .get(0)
                    .path("title")
                    .asString());
        }
        assertThat(called.get(0)).isEqualTo("Cold water, sixty strokes out and sixty back,…");
        assertThat(called.get(1)).startsWith("An account, as complete");
        assertThat(called.get(2)).startsWith("Fête at L'Anse");
        assertThat(world.api().results("island-search", "snorer").hits())
                .as("reviews are not searched until somebody says so")
                .isEmpty();
    }

    @Test
    void loadingTheDemoTwiceChangesNothing() {
        Api.Answer before = world.api().get("/api/owner/sites/quillhaven-isles/collections");
        new tidylantern.demo.DemoLoader(world.service(), tidylantern.server.RunningService.ACCESS_KEY)
                .load(world.site(), java.time.LocalDate.now());
        assertThat(world.api()
                        .get("/api/owner/sites/quillhaven-isles/collections")
                        .json())
                .isEqualTo(before.json());
    }
}
