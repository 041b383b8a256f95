package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.OwnerMark;
import tidylantern.core.query.filter.CategoryCount;
import tidylantern.core.query.listing.ItemFilter;
import tidylantern.core.query.listing.ItemListing;

/** The owner's table of items. */
class ItemListingTest {
    private static final FieldKey TAGS = new FieldKey("tags");
    private static final FieldKey PRICE = new FieldKey("price");

    private static ItemFilter posts(String text, ItemFilter.Condition... conditions) {
        return new ItemFilter(SearchFixture.POSTS.key(), text, List.of(conditions));
    }

    private static List<String> ids(SearchFixture site, ItemFilter filter) {
        return site
                .listing()
                .page(SearchFixture.SITE, filter, new ItemListing.ById(), false, 1, 50, Set.of())
                .rows()
                .stream()
                .map(row -> row.item().ref().id().value())
                .toList();
    }

    @Test
    void itemsAreFoundByAnyPartOfTitleOrIdAndByWhatTheySay(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)) {
            site.post("alpha-1", "title", "Café at the Harbour", "tags", "Food/Coffee")
                    .marked(OwnerMark.NONE.withKeptOut(true));
            site.post("beta-2", "title", "Rope*walk", "tags", "Boats")
                    .post("gamma-3", "body", "No title here", "tags", "Food")
                    .item(SearchFixture.NOTES, "alpha-n", "title", "A note")
                    .indexed();
            assertThat(ids(site, posts("cafe at"))).containsExactly("alpha-1");
            assertThat(ids(site, posts("A-2"))).containsExactly("beta-2");
            assertThat(ids(site, posts("e*w"))).as("a star is a star").containsExactly("beta-2");
            assertThat(ids(site, posts("", new ItemFilter.Value(TAGS, "food"))))
                    .as("with all below")
                    .containsExactly("alpha-1", "gamma-3");
            assertThat(ids(site, posts("", new ItemFilter.Says(FieldKey.TITLE, false))))
                    .containsExactly("gamma-3");
            assertThat(ids(site, posts("", new ItemFilter.KeptOut(true)))).containsExactly("alpha-1");
            assertThat(ids(
                            site,
                            posts(
                                    "",
                                    new ItemFilter.InReach(
                                            SearchFixture.design().reach(), false))))
                    .containsExactly("alpha-1");
            assertThat(site.listing().count(new ItemFilter(null, "", List.of())))
                    .isEqualTo(4);
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void everyOrderIsStrictFromBothEndsAndWhatIsMissingComesLast(long seed, @TempDir Path folder) throws Exception {
        Random random = new Random(seed);
        Map<String, Integer> prices = new HashMap<>();
        Map<String, String> tags = new HashMap<>();
        try (SearchFixture site = new SearchFixture(folder)) {
            for (int i = 0; i < 60; i++) {
                String id = "i%02d".formatted(i);
                Map<String, Object> said = new HashMap<>(Map.of("title", "T"));
                if (random.nextInt(4) > 0) {
                    prices.put(id, random.nextInt(9));
                    said.put("price", prices.get(id));
                }
                if (random.nextInt(4) > 0) {
                    tags.put(id, "t" + random.nextInt(5));
                    said.put("tags", tags.get(id));
                }
                site.item(SearchFixture.POSTS, id, said);
                if (i % 13 == 0) {
                    // Several parts of an index, and items that were replaced in some of them.
                    site.indexed();
                }
            }
            site.indexed();
            List<String> all = new ArrayList<>(ids(site, posts("")));
            assertThat(all).hasSize(50);
            for (boolean reversed : new boolean[] {false, true}) {
                assertThat(walked(site, new ItemListing.ByField(PRICE), reversed))
                        .as("price, reversed %s", reversed)
                        .isEqualTo(sorted(prices, reversed));
                assertThat(walked(site, new ItemListing.ByField(TAGS), reversed))
                        .as("tags, reversed %s", reversed)
                        .isEqualTo(sorted(tags, reversed));
            }
        }
    }

    private static List<String> walked(SearchFixture site, ItemListing.Key by, boolean reversed) {
        List<String> ids = new ArrayList<>();
        for (int page = 1; page <= 9; page++) {
            site.listing()
                    .page(SearchFixture.SITE, posts(""), by, reversed, page, 7, Set.of())
                    .rows()
                    .forEach(row -> ids.add(row.item().ref().id().value()));
        }
        return ids;
    }

    private static <V extends Comparable<V>> List<String> sorted(Map<String, V> values, boolean reversed) {
        List<String> ids = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            ids.add("i%02d".formatted(i));
        }
        Comparator<V> order = reversed ? Comparator.reverseOrder() : Comparator.naturalOrder();
        ids.sort(Comparator.comparing((String id) -> values.get(id), Comparator.nullsLast(order))
                .thenComparing(Comparator.naturalOrder()));
        return ids;
    }

    @Test
    void valuesAreCountedByDistinctItemsUpTheTree(@TempDir Path folder) throws Exception {
        try (SearchFixture site = new SearchFixture(folder)) {
            site.item(SearchFixture.POSTS, "a", Map.of("tags", List.of("Sea/Gig", "Sea/Skiff")))
                    .item(SearchFixture.POSTS, "b", Map.of("tags", List.of("sea/gig")))
                    .item(SearchFixture.POSTS, "c", Map.of("tags", List.of("Sea/Gig", "Land/Gig")))
                    .indexed();
            assertThat(new ItemListing(Objects.requireNonNull(site.index())).values(TAGS, posts("")))
                    .containsExactly(
                            new CategoryCount("land", List.of("Land"), 1),
                            new CategoryCount("land/gig", List.of("Land", "Gig"), 1),
                            new CategoryCount("sea", List.of("Sea"), 3),
                            new CategoryCount("sea/gig", List.of("Sea", "Gig"), 3),
                            new CategoryCount("sea/skiff", List.of("Sea", "Skiff"), 1));
        }
    }
}
