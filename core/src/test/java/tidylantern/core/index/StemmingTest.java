package tidylantern.core.index;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Stems against the vocabularies that the Snowball project publishes (voc.txt and output.txt of each language, package
 * snowball-data). A small excerpt stands beside the tests; the whole of them is checked where the package is installed.
 */
class StemmingTest {
    private static final Path PUBLISHED = Path.of("/usr/share/snowball/data");

    private record Difference(String word, String published, String ours) {}

    private static List<Difference> differences(String language, List<String> words, List<String> stems) {
        assertThat(stems).hasSameSizeAs(words);
        Stemming stemming = new Stemming(language);
        List<Difference> differences = new ArrayList<>();
        for (int i = 0; i < words.size(); i++) {
            if (!words.get(i).isEmpty()) {
                String stem = stemming.stem(words.get(i));
                if (!stem.equals(stems.get(i))) {
                    differences.add(new Difference(words.get(i), stems.get(i), stem));
                }
            }
        }
        return differences;
    }

    @ParameterizedTest(name = "{0}: {2} words, {3} known differences")
    @CsvSource({
        "english,en,29417,7",
        "german,de,35033,81",
        "french,fr,20805,0",
        "spanish,es,28390,0",
        "dutch,nl,45669,0",
        "italian,it,35494,0",
        "portuguese,pt,32016,0",
        "swedish,sv,30623,18"
    })
    void wholeVocabulariesAgreeButForKnownDifferences(String folder, String language, int words, int known)
            throws IOException {
        Assumptions.assumeTrue(
                Files.exists(PUBLISHED.resolve(folder).resolve("voc.txt")),
                "the package snowball-data is not installed");
        List<String> vocabulary =
                Files.readAllLines(PUBLISHED.resolve(folder).resolve("voc.txt"), StandardCharsets.UTF_8);
        List<String> output =
                Files.readAllLines(PUBLISHED.resolve(folder).resolve("output.txt"), StandardCharsets.UTF_8);
        assertThat(vocabulary).hasSize(words);
        List<Difference> differences = differences(language, vocabulary, output);
        // Lucene's classes are of another revision of the algorithms than the package; so many words differ, and no
        // more.
        assertThat(differences).as("%s", differences.stream().limit(5).toList()).hasSize(known);
        if (language.equals("en")) {
            assertThat(differences).contains(new Difference("added", "ad", "add"));
        }
    }

    @ParameterizedTest
    @CsvSource({"en", "de", "fr", "es", "sv"})
    void theExcerptBesideTheTestsAgrees(String language) throws IOException {
        List<String> words = new ArrayList<>();
        List<String> stems = new ArrayList<>();
        try (var in = Objects.requireNonNull(getClass().getResourceAsStream("/snowball/" + language + ".tsv"))) {
            new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#"))
                    .forEach(line -> {
                        words.add(line.substring(0, line.indexOf('\t')));
                        stems.add(line.substring(line.indexOf('\t') + 1));
                    });
        }
        assertThat(words).hasSizeGreaterThan(200);
        assertThat(differences(language, words, stems)).isEmpty();
    }

    @Test
    void numbersAndUnknownLanguagesStayAsTheyAre() {
        assertThat(new Stemming("en").stem("2041s")).isEqualTo("2041s");
        assertThat(new Stemming("tlh").stem("harbours")).isEqualTo("harbours");
        assertThat(new Stemming("tlh").tokens("harbours")).isEmpty();
    }

    @Test
    void aWordTypedWithoutItsAccentsMeetsTheOneWithThem() {
        Stemming german = new Stemming("de");
        assertThat(german.tokens("häuser"))
                .containsAnyElementsOf(german.tokens("hauser"))
                .containsAnyElementsOf(german.tokens("haus"));
        Stemming french = new Stemming("fr");
        assertThat(french.tokens("fenêtres")).containsAnyElementsOf(french.tokens("fenetre"));
    }
}
