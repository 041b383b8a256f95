package tidylantern.server.draft;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import tidylantern.core.index.StopWordLists;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The ready lists against those of stopwords-iso 1.1.0 (npm, MIT), which the front end's packages bring along for this.
 */
class ReadyStopWordsTest {
    private static final Path LISTS = Path.of("..", "web", "node_modules", "stopwords-iso", "stopwords-iso.json");

    @Test
    void everyReadyWordIsOnTheInternationalListToo() {
        assumeTrue(Files.exists(LISTS), "npm ci in web/ brings the lists");
        JsonNode international = new JsonMapper().readTree(LISTS);
        Map<String, Double> shares = new TreeMap<>();
        for (String language : StopWordLists.languages()) {
            Set<String> theirs = international
                    .path(language.equals("nb") ? "no" : language)
                    .valueStream()
                    .map(JsonNode::asString)
                    .collect(Collectors.toSet());
            List<String> ours = StopWordLists.of(language);
            shares.put(language, (double) ours.stream().filter(theirs::contains).count() / ours.size());
        }
        assertThat(shares)
                .allSatisfy((language, share) -> assertThat(share).as(language).isEqualTo(1));
    }
}
