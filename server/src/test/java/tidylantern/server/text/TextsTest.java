package tidylantern.server.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.ibm.icu.text.PluralRules;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** One home of what visitors read: found by both renderers, whole in its plurals, with nothing that nobody reads. */
class TextsTest {
    private static final Texts TEXTS = Texts.english();

    @Test
    void aNumberDecidesThePluralAndIsWrittenAsItsLanguageDoes() {
        assertThat(TEXTS.say("count", Map.of("count", 1), Locale.ENGLISH)).isEqualTo("1 result");
        assertThat(TEXTS.say("count", Map.of("count", 0), Locale.ENGLISH)).isEqualTo("0 results");
        assertThat(TEXTS.say("count", Map.of("count", 12_345), Locale.FRANCE)).isEqualTo("12\u202f345 results");
        assertThat(TEXTS.say("resultsFor", Map.of("query", "$1 {count} \\"), Locale.ENGLISH))
                .as("what a visitor typed stays what it is")
                .isEqualTo("Results for “$1 {count} \\”");
    }

    @Test
    void whatIsMissingIsNamed() {
        assertThatThrownBy(() -> TEXTS.say("nope")).hasMessageContaining("\"nope\"");
        assertThatThrownBy(() -> TEXTS.say("takeOff"))
                .hasMessageContaining("\"takeOff\"")
                .hasMessageContaining("\"label\"");
    }

    @Test
    void everyTextIsReadSomewhere() throws IOException {
        JsonNode english = JsonMapper.shared().readTree(Files.readString(Path.of("../texts/en.json")));
        String sources = Stream.of("../web/src/visitor", "src/main/java", "src/main/resources/templates")
                .flatMap(folder -> read(Path.of(folder)).stream())
                .collect(Collectors.joining("\n"));
        assertThat(english.propertyNames()).allMatch(key -> Pattern.compile("['\"]" + key + "['\"]|say\\." + key + "}")
                .matcher(sources)
                .find());
        TreeSet<String> said = new TreeSet<>();
        Pattern.compile("say\\('(\\w+)'|say\\.(\\w+)}")
                .matcher(sources)
                .results()
                .forEach(found -> said.add(found.group(1) == null ? found.group(2) : found.group(1)));
        assertThat(english.propertyNames()).containsAll(said);
    }

    private static List<String> read(Path folder) {
        try (Stream<Path> files = Files.walk(folder)) {
            return files.filter(Files::isRegularFile).map(TextsTest::text).toList();
        } catch (IOException unread) {
            throw new UncheckedIOException(unread);
        }
    }

    private static String text(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException unread) {
            throw new UncheckedIOException(unread);
        }
    }

    @Test
    void everyPluralHasTheFormsOfItsLanguage() throws IOException {
        JsonNode english = JsonMapper.shared().readTree(Files.readString(Path.of("../texts/en.json")));
        for (Map.Entry<String, JsonNode> text : english.properties()) {
            if (text.getValue().isObject()) {
                assertThat(text.getValue().propertyNames())
                        .as(text.getKey())
                        .containsExactlyInAnyOrderElementsOf(
                                PluralRules.forLocale(Locale.ENGLISH).getKeywords());
            }
        }
    }
}
