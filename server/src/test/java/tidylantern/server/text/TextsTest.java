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
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.text.Language;
import tidylantern.core.design.text.Reworded;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** One home of what visitors read: found by both renderers, whole in its plurals, with nothing that nobody reads. */
class TextsTest {
    private static final Texts TEXTS = Texts.in(Language.EN);

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

    private static JsonNode file(Language language) {
        try {
            return JsonMapper.shared().readTree(Files.readString(Path.of("../texts/" + language + ".json")));
        } catch (IOException unread) {
            throw new UncheckedIOException(unread);
        }
    }

    @ParameterizedTest
    @EnumSource
    void everyLanguageHasEveryTextInTheFormsThatCldrSays(Language language) {
        JsonNode english = file(Language.EN);
        JsonNode other = file(language);
        assertThat(other.propertyNames()).containsExactlyElementsOf(english.propertyNames());
        for (Map.Entry<String, JsonNode> text : other.properties()) {
            JsonNode standard = english.path(text.getKey());
            assertThat(text.getValue().isObject()).as(text.getKey()).isEqualTo(standard.isObject());
            if (text.getValue().isObject()) {
                assertThat(text.getValue().propertyNames())
                        .as(text.getKey())
                        .containsExactlyInAnyOrderElementsOf(
                                PluralRules.forLocale(language.locale()).getKeywords());
            }
            assertThat(Texts.placeholders(text.getValue().toString()))
                    .as(text.getKey())
                    .isEqualTo(Texts.placeholders(standard.toString()));
        }
    }

    @Test
    void aFormOfManyIsTakenWhereCldrTakesIt() {
        // CLDR 48: in French and Spanish a whole million, without other digits, is "many".
        assertThat(Texts.in(Language.FR).say("count", Map.of("count", 1_000_000), Locale.FRENCH))
                .endsWith(" de résultats");
        assertThat(Texts.in(Language.FR).say("count", Map.of("count", 0), Locale.FRENCH))
                .isEqualTo("0 résultat");
        assertThat(Texts.in(Language.ES).say("count", Map.of("count", 2), Locale.forLanguageTag("es")))
                .isEqualTo("2 resultados");
    }

    private static Reworded reworded(Language language, String text, String... forms) {
        Map<String, String> all = new TreeMap<>();
        for (int i = 0; i < forms.length; i += 2) {
            all.put(forms[i], forms[i + 1]);
        }
        return new Reworded(language, text, all);
    }

    @Test
    void anOwnersWordingStandsInPlaceOfTheTextAsItComes() {
        Reworded own = reworded(Language.DE, "count", "one", "Ein Haus", "other", "{count} Häuser");
        Texts.check(own);
        Texts texts = Texts.in(Language.DE).reworded(List.of(own));
        assertThat(texts.say("count", Map.of("count", 1), Locale.GERMAN)).isEqualTo("Ein Haus");
        assertThat(texts.say("count", Map.of("count", 1_200), Locale.GERMAN)).isEqualTo("1.200 Häuser");
        assertThat(texts.say("search")).isEqualTo("Suchen");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "EN | nope       | other | Hello                 | text        | there is no text \"nope\"",
                "EN | resultsFor | other | Here they are         | forms.other | lacks {query}",
                "EN | resultsFor | other | {query} in {place}    | forms.other | nothing is put into {place}",
                "EN | search     | other | Look for {query}      | forms.other | this text has no placeholders",
                "EN | count      | other | {count} homes         | forms.one   | has a form \"one\"",
                "FR | search     | many  | Chercher              | forms.other | has a form \"other\"",
                "EN | search     | few   | Go                    | forms.other | has a form \"other\""
            })
    void aWordingThatCouldNotStandThereIsRefusedByName(
            Language language, String text, String form, String wording, String key, String reason) {
        assertThatThrownBy(() -> Texts.check(reworded(language, text, form, wording)))
                .isInstanceOfSatisfying(
                        DesignFault.class, fault -> assertThat(fault.key()).isEqualTo(key))
                .hasMessageContaining(reason);
    }
}
