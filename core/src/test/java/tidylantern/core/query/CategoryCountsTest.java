package tidylantern.core.query;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;

/** Counts of categories among results against a plain loop over the items, without Lucene. */
class CategoryCountsTest {
    private static final FieldKey TAGS = new FieldKey("tags");

    @RepeatedTest(12)
    void countsAreThoseOfAPlainLoop(RepetitionInfo run, @TempDir Path folder) throws Exception {
        Random random = new Random(run.getCurrentRepetition());
        try (SearchFixture site = new SearchFixture(folder)) {
            Map<String, List<String>> tags = new HashMap<>();
            Map<String, String> titles = new HashMap<>();
            // In several rounds, so that there are several parts of the index with changed and removed items in them.
            for (int round = 0; round < 3; round++) {
                for (int i = 0; i < 25; i++) {
                    String id = "p" + random.nextInt(40);
                    site.forget(id);
                    titles.put(id, random.nextBoolean() ? "boat" : "cart");
                    tags.put(id, IntStream.range(0, random.nextInt(4)).mapToObj(n -> path(random)).distinct().toList());
                    site.item(SearchFixture.POSTS, id, tags.get(id).isEmpty() ? Map.of("title", titles.get(id)) : Map.of("title", titles.get(id), "tags", tags.get(id)));
                }
                site.indexed();
                String gone = "p" + random.nextInt(40);
                site.index().apply(List.of(), List.of(new ItemRef(SearchFixture.POSTS.key(), new ItemId(gone))), round + 2);
                site.forget(gone);
                titles.remove(gone);
                for (String query : List.of("boat", "cart", "", "nothing")) {
                    CountedAnswer answer = site.engine().counted(SearchFixture.SITE, SearchFixture.design(), new VisitorQuery(query, 1), List.of(TAGS));
                    Map<String, Integer> expected = new HashMap<>();
                    titles.forEach((id, title) -> {
                        if (query.isEmpty() || title.equals(query)) {
                            Set<String> values = new HashSet<>();
                            tags.get(id).forEach(path -> values.addAll(withAbove(path)));
                            values.forEach(value -> expected.merge(value, 1, Integer::sum));
                        }
                    });
                    assertThat(answer.counts().get(TAGS).stream().collect(Collectors.toMap(CategoryCounts.Counted::value, CategoryCounts.Counted::count))).as("“%s” in round %d", query, round).isEqualTo(expected);
                    assertThat(answer.answer().total()).isEqualTo(site.answer(SearchFixture.design(), query).total());
                }
            }
        }
    }

    private static String path(Random random) {
        return String.join("/", IntStream.rangeClosed(0, random.nextInt(3)).mapToObj(level -> List.of("a", "b", "c").get(random.nextInt(3))).toList());
    }

    private static List<String> withAbove(String path) {
        List<String> all = new ArrayList<>();
        for (String at = path; !at.isEmpty(); at = at.contains("/") ? at.substring(0, at.lastIndexOf('/')) : "") {
            all.add(at);
        }
        return all;
    }
}
