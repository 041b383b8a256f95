package tidylantern.core.query.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.TermQuery;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.core.content.FieldKey;
import tidylantern.core.index.IndexFields;
import tidylantern.core.query.SearchFixture;

class WordLookupsTest {
    @TempDir
    Path folder;

    @Test
    void aWordIsLookedUpOnceForItsNumberAndForWhatHoldsIt() throws IOException {
        try (SearchFixture fixture = new SearchFixture(folder)) {
            fixture.post("walk", "title", "Rope walk").indexed();
            fixture.post("net", "title", "Rope net").indexed();
            fixture.index().read(state -> {
                WordLookups lookups = new WordLookups(state.searcher());
                Term rope = new Term(IndexFields.words(FieldKey.TITLE), "rope");
                assertThat(lookups.documents(rope)).isEqualTo(2);
                TermQuery holding = (TermQuery) lookups.holding(rope);
                assertThat(holding.getTermStates())
                        .as("found where it was counted")
                        .isNotNull()
                        .isSameAs(((TermQuery) lookups.holding(rope)).getTermStates());
                assertThat(state.searcher().count(holding)).isEqualTo(2);

                Term knot = new Term(IndexFields.words(FieldKey.TITLE), "knot");
                assertThat(lookups.documents(knot)).isZero();
                assertThat(state.searcher().count(lookups.holding(knot))).isZero();
                assertThat(lookups.all("no place of the index")).isNull();
                return state;
            });
        }
    }
}
