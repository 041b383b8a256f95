package tidylantern.core.query.help;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.apache.lucene.search.MatchNoDocsQuery;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;
import tidylantern.core.content.ItemRef;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.query.compiled.ReachQuery;

class WordHoldersTest {
    private static final Set<FieldKey> TITLES = Set.of(FieldKey.TITLE);
    private static final Set<FieldKey> BOTH = Set.of(FieldKey.TITLE, FieldKey.SUMMARY);

    private static SiteIndex.Changed item(String ref, String title, String summary) {
        return new SiteIndex.Changed(
                new Item(
                        ItemRef.parse(ref),
                        Map.of(
                                FieldKey.TITLE,
                                new FieldValue.Text(title),
                                FieldKey.SUMMARY,
                                new FieldValue.Text(summary))),
                "en");
    }

    @Test
    void tellsTheFirstThatCountsAndIsStillThere(@TempDir Path folder) throws IOException {
        try (SiteIndex index = SiteIndex.open(folder)) {
            index.apply(List.of(item("posts/gone", "Rope", "Knot"), item("posts/knot", "Knot", "Hemp")), List.of(), 1);
            index.apply(List.of(item("boats/gig", "Rope ladder", "A gig")), List.of(), 2);
            index.apply(List.of(item("posts/rope", "A rope", "Sisal")), List.of(), 3);
            index.apply(List.of(), List.of(ItemRef.parse("posts/gone")), 4);
            index.read(state -> {
                WordHolders posts =
                        new WordHolders(state.searcher(), ReachQuery.collection(new CollectionKey("posts")));
                Item rope = Objects.requireNonNull(posts.first("rope", TITLES));
                assertThat(rope.ref())
                        .as("one that is gone and one of another collection come before it")
                        .isEqualTo(ItemRef.parse("posts/rope"));
                assertThat(rope.values()).as("with these fields alone").containsOnlyKeys(TITLES);
                assertThat(posts.first("hemp", TITLES)).isNull();
                assertThat(Objects.requireNonNull(posts.first("hemp", BOTH)).ref())
                        .isEqualTo(ItemRef.parse("posts/knot"));
                assertThat(posts.first("gig", BOTH)).isNull();
                assertThat(posts.first("rop", BOTH)).as("a word just so").isNull();
                assertThat(new WordHolders(state.searcher(), new MatchNoDocsQuery("none")).first("rope", BOTH))
                        .isNull();
                return state;
            });
        }
    }
}
